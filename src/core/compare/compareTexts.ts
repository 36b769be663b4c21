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

/** A hunk of two texts that started from one; changed by one of them, or by both. */
export interface MergeHunk extends Hunk {
  by: 'none' | 'first' | 'second' | 'both'
}

/** Lines of a base, from (included) to (left out), and what stands there now. */
interface Change {
  from: number
  to: number
  lines: string[]
}

function changesOf(base: string, text: string): Change[] {
  let at = 0
  return compareTexts(base, text).flatMap(({ kind, first, second }) => {
    const from = at
    at += first.length
    return kind === 'changed' ? [{ from, to: at, lines: second }] : []
  })
}

/**
 * Compares two texts that both started from a third, line by line.
 * @returns the hunks in order; where only one text changed something, the other has it as it
 *   was at the start
 */
export function compareFromBase(base: string, first: string, second: string): MergeHunk[] {
  const start = base.split('\n')
  const changes = { first: changesOf(base, first), second: changesOf(base, second) }
  const hunks: MergeHunk[] = []
  let at = 0
  const same = (to: number) => {
    if (to > at)
      hunks.push({
        kind: 'same',
        by: 'none',
        first: start.slice(at, to),
        second: start.slice(at, to),
      })
  }
  for (;;) {
    const next = [changes.first[0], changes.second[0]].filter((each) => each !== undefined)
    if (next.length === 0) break
    const from = Math.min(...next.map((each) => each.from))
    // All changes that touch each other are one place.
    const here: Record<'first' | 'second', Change[]> = { first: [], second: [] }
    let to = from
    for (let grew = true; grew;) {
      grew = false
      for (const side of ['first', 'second'] as const)
        while (changes[side][0] && changes[side][0].from <= to) {
          const change = changes[side].shift()!
          here[side].push(change)
          to = Math.max(to, change.to)
          grew = true
        }
    }
    const linesOf = (side: 'first' | 'second') => {
      let line = from
      const lines = here[side].flatMap((change) => {
        const kept = start.slice(line, change.from)
        line = change.to
        return [...kept, ...change.lines]
      })
      return [...lines, ...start.slice(line, to)]
    }
    same(from)
    const by = here.first.length === 0 ? 'second' : here.second.length === 0 ? 'first' : 'both'
    const [mine, theirs] = [linesOf('first'), linesOf('second')]
    if (mine.join('\n') === theirs.join('\n') && mine.length === theirs.length)
      hunks.push({ kind: 'same', by: 'none', first: mine, second: theirs })
    else hunks.push({ kind: 'changed', by, first: mine, second: theirs })
    at = to
  }
  same(start.length)
  return hunks
}

/** A stretch of a changed line; `marked` when the other line does not have it. */
export interface Mark {
  text: string
  marked: boolean
}

/** A stretch of a line that was changed: in both, only in the older, or only in the newer. */
export interface WordChange {
  kind: 'same' | 'gone' | 'come'
  text: string
}

/** The way from one line to another, word by word, both in one. */
export const wordChanges = (older: string, newer: string): WordChange[] =>
  diffWordsWithSpace(older, newer).map(({ added, removed, value }) => ({
    kind: removed ? 'gone' : added ? 'come' : 'same',
    text: value,
  }))

/** The words that differ between two lines. */
export function compareWords(first: string, second: string): { first: Mark[]; second: Mark[] } {
  const parts = diffWordsWithSpace(first, second)
  const side = (skip: 'added' | 'removed', mark: 'added' | 'removed') =>
    parts.filter((part) => !part[skip]).map((part) => ({ text: part.value, marked: part[mark] }))
  return { first: side('added', 'removed'), second: side('removed', 'added') }
}
