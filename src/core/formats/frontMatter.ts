import {
  isMap,
  isNode,
  isPair,
  isScalar,
  isSeq,
  LineCounter,
  type Node,
  parseDocument,
  stringify,
} from 'yaml'
import { Card, FORMAT_VERSION } from '../card'
import { SAY_FILES } from '../language'
import { filled, stayParts } from './blocks'
import type { Found, Reading } from './entries'
import { versionProblem } from './problem'
import { FILE_SECTIONS } from './sections'

/** What stands between the --- lines: every field of the card that has no section of its own. */
export function frontMatter(card: Card): string {
  const fields = (Object.keys(Card.shape) as (keyof Card)[]).filter(
    (key) => !(key in FILE_SECTIONS)
  )
  const value = (field: keyof Card) => {
    const part = card[field]
    if (field === 'stay') return stayParts(card.stay)
    return typeof part === 'object' && !Array.isArray(part) ? filled(part) : part
  }
  const head = filled(Object.fromEntries(fields.map((field) => [field, value(field)])))
  return stringify({ notula: FORMAT_VERSION, ...head }, { lineWidth: 0 }).trimEnd()
}

/** Remembers on which line each value between the --- lines stands. */
function markYaml(
  node: unknown,
  path: PropertyKey[],
  counter: LineCounter,
  reading: Reading
): void {
  if (!isNode(node)) return
  const children: [PropertyKey, unknown, Node | null][] = isMap(node)
    ? node.items.map((pair) => [
        String(isScalar(pair.key) ? pair.key.value : pair.key),
        pair.value,
        isNode(pair.key) ? pair.key : null,
      ])
    : 'items' in node && Array.isArray(node.items)
      ? node.items.map((each, i) => [
          i,
          isPair(each) ? each.value : each,
          isNode(each) ? each : null,
        ])
      : []
  for (const [key, value, at] of children) {
    if (at?.range) reading.mark([...path, key], counter.linePos(at.range[0]).line + 1)
    markYaml(value, [...path, key], counter, reading)
  }
}

/** Fields of numbers; in all others what looks like a number is a text. */
const COUNTED = new Set(['stay', 'when', 'betweenSides', 'figure', 'setUp'])

/** A text that looks like a number (1.10, 007, .inf) stays as it is written. */
function asWritten(node: unknown, value: unknown): unknown {
  if (isScalar(node) && typeof node.value === 'number') return node.source ?? value
  if (isMap(node) && typeof value === 'object' && value !== null)
    return Object.fromEntries(
      Object.entries(value).map(([key, each]) => [key, asWritten(node.get(key, true), each)])
    )

  if (isSeq(node) && Array.isArray(value))
    return value.map((each, i) => asWritten(node.get(i, true), each))
  return value
}

/** @returns what stands between the --- lines, and the version of the format */
export function readFrontMatter(yaml: string, reading: Reading): { card: Found; version: unknown } {
  const counter = new LineCounter()
  const document = parseDocument(yaml, { version: '1.2', lineCounter: counter, uniqueKeys: true })
  for (const error of document.errors)
    reading.wrong(
      (error.linePos?.[0].line ?? 1) + 1,
      SAY_FILES.badFront(error.message.split('\n')[0]!.replace(/ at line \d+.*$/, ''))
    )
  const nothing = { card: {}, version: undefined }
  if (document.errors.length > 0) return nothing
  if (!isMap(document.contents)) {
    reading.wrong(1, SAY_FILES.notNamed)
    return nothing
  }
  markYaml(document.contents, [], counter, reading)
  try {
    const { notula, ...head } = document.toJS({ maxAliasCount: 20 }) as Found
    const wrong = versionProblem(notula)
    if (wrong) reading.wrong(reading.lineOf(['notula']), wrong)
    for (const key of Object.keys(head))
      if (!COUNTED.has(key)) head[key] = asWritten(document.get(key, true), head[key])
    const body = Object.keys(head).find((key) => key in FILE_SECTIONS)
    if (body) reading.wrong(reading.lineOf([body]), SAY_FILES.ownSection(body))
    return { card: head, version: notula }
  } catch {
    reading.wrong(1, SAY_FILES.inItself)
    return nothing
  }
}
