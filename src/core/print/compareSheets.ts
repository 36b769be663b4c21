import { compareTexts, type WordChange, wordChanges } from '../compare'
import { LABELS } from '../language'
import { type PlainRow as Row, plainRows } from './blocks'
import { layouts } from './layout'
import type { Sheet } from './sheet'

/** One row of two versions laid over each other, each stretch told as same, gone or come. */
export interface ComparedRow {
  kind: 'same' | 'changed' | 'gone' | 'come'
  /** Null for what is said once for both sides. */
  left: WordChange[] | null
  /** The breath, the region, or what a line is. */
  middle: WordChange[]
  right: WordChange[]
}

export interface ComparedPart {
  title: string
  rows: ComparedRow[]
}

const line = (text: string): Row => ({ id: text, left: null, middle: '', right: text })

/** The parts of a sheet, each as rows of plain words; first what stands at its head. */
function rowsOf(sheet: Sheet): Map<string, { title: string; rows: Row[] }> {
  const { title, number, sanskrit, also, meaning, facts, sided } = sheet
  const head = [title, number, sanskrit, ...also, meaning, ...facts].filter(Boolean).map(line)
  const phase = (breath: keyof typeof LABELS.breath) => LABELS.breath[breath]
  return new Map([
    ['head', { title: LABELS.sections.name, rows: head }],
    ...sheet.parts.map((part): [string, { title: string; rows: Row[] }] => [
      part.id,
      {
        title: part.title || LABELS.sheet.figure,
        rows: part.blocks.flatMap((block) => plainRows(block, { sided, phase })),
      },
    ]),
  ])
}

function laid(older: Row | undefined, newer: Row | undefined): ComparedRow {
  const change = (pick: (row: Row) => string | null) =>
    wordChanges((older && pick(older)) ?? '', (newer && pick(newer)) ?? '')
  const left = (older ?? newer)!.left ?? newer?.left
  const row = {
    left: left === null || left === undefined ? null : change((each) => each.left),
    middle: change((each) => each.middle),
    right: change((each) => each.right),
  }
  const all = [...(row.left ?? []), ...row.middle, ...row.right]
  const same = all.every((each) => each.kind === 'same')
  return { kind: !older ? 'come' : !newer ? 'gone' : same ? 'same' : 'changed', ...row }
}

/** Two lists run through together: what stands at both ends of a stretch by its key, and what does not. */
function hunksBy(key: (row: Row) => string, older: Row[], newer: Row[]) {
  const keys = (list: Row[]) => list.map((row) => `=${key(row).replaceAll('\n', ' ')}`).join('\n')
  let [a, b] = [0, 0]
  return compareTexts(keys(older), keys(newer)).map(({ kind, first, second }) => ({
    same: kind === 'same',
    first: older.slice(a, (a += first.length)),
    second: newer.slice(b, (b += second.length)),
  }))
}

/**
 * Steps and cues keep their ids; of the lines between them those lie over each other that are of
 * one sort (a breath, a region, a label), in their order. A figure never lies over a demand.
 */
function laidOver(older: Row[], newer: Row[]): ComparedRow[] {
  const rows = (first: Row[], second: Row[], same: boolean) =>
    same
      ? first.map((row, i) => laid(row, second[i]))
      : [...first.map((row) => laid(row, undefined)), ...second.map((row) => laid(undefined, row))]
  if (older.length === 0 || newer.length === 0) return rows(older, newer, false)
  return hunksBy(({ id }) => id, older, newer).flatMap((hunk) =>
    hunk.same || hunk.first.length === 0 || hunk.second.length === 0
      ? rows(hunk.first, hunk.second, hunk.same)
      : hunksBy(({ middle }) => middle, hunk.first, hunk.second).flatMap((each) =>
          rows(each.first, each.second, each.same)
        )
  )
}

/**
 * Lays two versions of a card over each other, part by part and row by row.
 * @returns the parts that have something in them, in the order of the sheet
 */
export function compareSheets(older: Sheet, newer: Sheet): ComparedPart[] {
  const [before, after] = [rowsOf(older), rowsOf(newer)]
  const ids = [...before.keys(), ...[...after.keys()].filter((id) => !before.has(id))]
  return layoutOrder(ids).flatMap((id): ComparedPart[] => {
    const rows = laidOver(before.get(id)?.rows ?? [], after.get(id)?.rows ?? [])
    return rows.length ? [{ title: (after.get(id) ?? before.get(id))!.title, rows }] : []
  })
}

const layoutOrder = (ids: string[]) => {
  const order = ['head', ...layouts(LABELS).map(([id]) => id)]
  return ids.sort((a, b) => order.indexOf(a) - order.indexOf(b))
}
