import { diffArrays, diffWordsWithSpace } from 'diff'

/** Lines that stand in the same place of two texts. */
export interface Hunk {
  kind: 'same' | 'changed'
  /** Lines of the first text; empty when the second only adds. */
  first: string[]
  /** Lines of the second text; empty when the first only has more. */
  second: string[]
}

/**
 * Compares two texts line by line.
 * @returns the hunks in order; the `first` lines run together are the first text, the
 *   `second` lines the second
 */
export function compareTexts(first: string, second: string): Hunk[] {
  const hunks: Hunk[] = []
  for (const part of diffArrays(first.split('\n'), second.split('\n'))) {
    if (!part.added && !part.removed) {
      hunks.push({ kind: 'same', first: part.value, second: part.value })
      continue
    }
    const last = hunks.at(-1)
    const open = last?.kind === 'changed' ? last : undefined
    if (part.removed && open && open.first.length === 0) open.first = part.value
    else if (part.added && open && open.second.length === 0) open.second = part.value
    else
      hunks.push({
        kind: 'changed',
        first: part.removed ? part.value : [],
        second: part.added ? part.value : [],
      })
  }
  return hunks
}

/** The text that comes of taking one side of each hunk. */
export function mergedText(
  hunks: readonly Hunk[],
  take: (index: number) => 'first' | 'second'
): string {
  return hunks.flatMap((hunk, i) => hunk[take(i)]).join('\n')
}

/** A stretch of a changed line; `marked` when the other line does not have it. */
export interface Mark {
  text: string
  marked: boolean
}

/** The words that differ between two lines. */
export function compareWords(first: string, second: string): { first: Mark[]; second: Mark[] } {
  const parts = diffWordsWithSpace(first, second)
  const side = (skip: 'added' | 'removed', mark: 'added' | 'removed') =>
    parts.filter((part) => !part[skip]).map((part) => ({ text: part.value, marked: part[mark] }))
  return { first: side('added', 'removed'), second: side('removed', 'added') }
}
