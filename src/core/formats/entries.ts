import { distance } from 'fastest-levenshtein'
import type { List, ListItem, Paragraph, RootContent } from 'mdast'
import { isMap, parseDocument } from 'yaml'
import { SAY_FILES } from '../language'
import type { Problem } from './problem'
import { readTags, splitTags, type Tags } from './tags'

/** The lines of a card file as they are read: labels, brackets, and what is wrong with them. */

/** A line of a list: its words, where it stands, and the lines under it. */
export interface Entry {
  text: string
  line: number
  under: Entry[]
}

export interface Labelled extends Entry {
  label: string
}

export type Found = Record<string, unknown>

/** Reads one file: collects what it finds, on which line, and what is wrong. */
export class Reading {
  readonly problems: Problem[] = []
  private readonly lines = new Map<string, number>()

  constructor(readonly source: string) {}

  wrong(line: number, message: string): void {
    this.problems.push({ line, message })
  }

  mark(path: PropertyKey[], line: number): void {
    this.lines.set(path.join('\u0000'), line)
  }

  lineOf(path: PropertyKey[]): number {
    for (let keys = path; keys.length > 0; keys = keys.slice(0, -1)) {
      const line = this.lines.get(keys.join('\u0000'))
      if (line !== undefined) return line
    }
    return 1
  }
}

export const startLine = (node: { position?: RootContent['position'] }) =>
  node.position?.start.line ?? 1

/**
 * The words of a paragraph. Formatting has no meaning on a card, so anything but text is
 * taken letter by letter, as it stands in the file.
 */
export function wordsOf(paragraph: Paragraph, source: string, lineBreak = ' '): string {
  return paragraph.children
    .map((node) => {
      if (node.type === 'text') return node.value.replace(/\n/g, lineBreak)
      if (node.type === 'break') return lineBreak
      return source.slice(node.position!.start.offset, node.position!.end.offset)
    })
    .join('')
}

export function entriesOf(list: List, reading: Reading): Entry[] {
  return list.children.map((item) => entryOf(item, reading))
}

function entryOf(item: ListItem, reading: Reading): Entry {
  const entry: Entry = { text: '', line: startLine(item), under: [] }
  item.children.forEach((child, i) => {
    if (child.type === 'paragraph' && i === 0) entry.text = wordsOf(child, reading.source)
    else if (child.type === 'list') entry.under.push(...entriesOf(child, reading))
    else reading.wrong(startLine(child), SAY_FILES.oneLine)
  })
  return entry
}

const LABEL = /^([^:[\]]{1,60}):(?:\s+|$)/

/** The known word that is nearest to one that is not, when one is near. */
function meant(word: string, known: readonly string[]): string {
  const [best] = known
    .map((each) => ({ each, away: distance(word, each.toLowerCase()) }))
    .sort((a, b) => a.away - b.away)
  return best && best.away <= Math.max(1, Math.floor(word.length / 3)) ? best.each : ''
}

/** Cuts `Label: text`, when the label is one of those that can stand here. */
function labelOf(
  entry: Entry,
  allowed: readonly string[],
  reading: Reading,
  short: Readonly<Record<string, string>> = {}
): Labelled | null {
  const match = LABEL.exec(entry.text)
  const written = match?.[1]?.trim().toLowerCase()
  const found = (written && short[written]) ?? written
  const label = allowed.find((each) =>
    each.endsWith(' ') ? found?.startsWith(each.toLowerCase()) : each.toLowerCase() === found
  )
  if (!match || label === undefined) {
    reading.wrong(
      entry.line,
      SAY_FILES.labels(
        found
          ? SAY_FILES.unknownLabel(match![1]!, meant(found, [...allowed, ...Object.keys(short)]))
          : SAY_FILES.noLabel,
        allowed.map((each) => (each.endsWith(' ') ? `${each}s2` : each))
      )
    )
    return null
  }
  return {
    ...entry,
    label: label.endsWith(' ') ? match[1]!.trim() : label,
    text: entry.text.slice(match[0].length),
  }
}

export function labelled(
  entries: Entry[],
  allowed: readonly string[],
  reading: Reading,
  short?: Readonly<Record<string, string>>
): Labelled[] {
  return entries.flatMap((entry) => labelOf(entry, allowed, reading, short) ?? [])
}

export function nothingUnder(entry: Entry, reading: Reading): void {
  for (const each of entry.under) reading.wrong(each.line, SAY_FILES.nothingUnder)
}

export function tagsOf(
  entry: { text: string; line: number },
  reading: Reading,
  takes: (keyof Tags)[]
): { tags: Tags; text: string } {
  const { tags: words, text } = splitTags(entry.text)
  if (words === null) return { tags: {}, text }
  try {
    const tags = readTags(words)
    const stray = (Object.keys(tags) as (keyof Tags)[]).find((key) => !takes.includes(key))
    if (stray) reading.wrong(entry.line, SAY_FILES.strayTag(words))
    return { tags, text }
  } catch (error) {
    reading.wrong(entry.line, (error as Error).message)
    return { tags: {}, text }
  }
}

const STEP_TAGS: (keyof Tags)[] = ['breath', 'seconds', 'repeat', 'repeatMost', 'cycle', 'id']

export function readStep(
  entry: { text: string; line: number },
  reading: Reading,
  id?: string
): Found {
  const { tags, text } = tagsOf(entry, reading, STEP_TAGS)
  const { breath, ...rest } = tags
  if (!breath) reading.wrong(entry.line, SAY_FILES.noBreath)
  return { id, ...rest, breath: breath ?? 'free', text }
}

export function structured(entry: Labelled, path: PropertyKey[], reading: Reading): unknown {
  nothingUnder(entry, reading)
  reading.mark(path, entry.line)
  const document = parseDocument(entry.text, { version: '1.2' })
  if (document.errors.length > 0 || !isMap(document.contents)) {
    reading.wrong(entry.line, SAY_FILES.inBraces(entry.label))
    return undefined
  }
  return document.toJS()
}

/** Puts a value under a key that can stand once. */
export function once(
  into: Found,
  key: string,
  entry: Labelled,
  value: unknown,
  reading: Reading
): void {
  if (into[key] !== undefined) reading.wrong(entry.line, SAY_FILES.twice(entry.label))
  into[key] = value
}
