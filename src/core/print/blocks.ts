import type { RibbonStretch } from '../breath'
import type { Breath, Side, Verdict } from '../card'
import type { Figure, ShownMeasures } from '../figure'
import { figureWords } from '../figure'
import type { Stretch } from '../sides'

/**
 * A sheet is parts, and a part is a heading and blocks. Screen, paper and comparison know how
 * each kind of block is drawn, and nothing of what a card holds.
 */

/** A stretch of wording with its look. */
export type Ink = Stretch & { bold?: true; soft?: true }
export type Line = Ink[]

export interface Drawn {
  figure: Figure
  side: Side
  /** What it is of, in words. */
  caption: string
  /** Whether left and right are lettered on it. */
  letters: boolean
  shown?: ShownMeasures
}

/** One half of a row. */
export interface Half {
  words: Line
  drawn?: Drawn
  /** What the figure measures where a cue says what it should. */
  measured?: string
}

/** A row across the spread; a half that is not said on its side is null. */
export interface Row {
  id: string
  left: Half | null
  right: Half | null
  /** Where on the body, or when the breath is told, nothing. */
  label: string
  breath: Breath | null
  /** How long the breath lasts once, and how often it is done. */
  seconds: number
  repeat: number
  /** What stands beside the breath: how often, how long a hold is, whether it goes round. */
  beside: string[]
}

/** What stays together: lines, a mark before them, a figure beside them. */
export interface Item {
  id: string
  lines: Line[]
  verdict?: Verdict
  drawn?: Drawn[]
  /** Set apart from the others: the rung that the steps describe. */
  marked?: boolean
  /** Numbers from 0 to 100, drawn small. */
  bars?: { label: string; value: number }[]
}

export type Block =
  | { kind: 'figures'; drawn: Drawn[] }
  | {
      kind: 'spread'
      /** Above the middle. */
      centre: string
      numbered: boolean
      rows: Row[]
      /** In the place of a half that is null. */
      absent: string
    }
  | { kind: 'list'; items: Item[] }
  | { kind: 'rungs'; items: Item[] }
  | {
      kind: 'table'
      /** What it is, for those who do not see it. */
      label: string
      head: string[]
      rows: { what: string; cells: { value: string; told?: string }[] }[]
      note: string
    }
  | { kind: 'ribbon'; ribbon: RibbonStretch[]; told: string }

export interface SheetPart {
  id: string
  /** Empty for what needs no heading. */
  title: string
  blocks: Block[]
}

export const ink = (text: string): Ink => ({ text, role: 'text' })
export const bold = (text: string): Ink => ({ text, role: 'text', bold: true })
export const soft = (text: string): Ink => ({ text, role: 'text', soft: true })

/** Words of stretches, run together. */
export const wordsOf = (parts: readonly Stretch[] | null): string =>
  (parts ?? []).map((part) => part.text).join('')

/** One row of plain words, as versions are compared. */
export interface PlainRow {
  id: string
  /** Null for what is said once. */
  left: string | null
  middle: string
  right: string
}

const once = (right: string, middle = '', id = right): PlainRow => ({
  id,
  left: null,
  middle,
  right,
})
const drawnRow = ({ caption, figure }: Drawn): PlainRow =>
  once(figureWords(figure), caption, caption)

function itemRows({ lines, drawn = [], bars = [] }: Item): PlainRow[] {
  const told = [
    ...lines.map((line) => wordsOf(line)),
    bars.map(({ label, value }) => `${label} ${value}`).join(', '),
  ].filter(Boolean)
  return [...told.map((text) => once(text)), ...drawn.map(drawnRow)]
}

function spreadRow(row: Row, sided: boolean, phase: (breath: Breath) => string): PlainRow[] {
  const half = (side: Side) =>
    [wordsOf(row[side]?.words ?? null), row[side]?.measured ?? ''].filter(Boolean).join(' · ')
  const middle = row.breath
    ? [phase(row.breath), `${row.seconds} s`, ...row.beside]
    : [row.label, ...row.beside]
  const drawn = row.right?.drawn ?? row.left?.drawn
  return [
    {
      id: row.id,
      left: sided ? half('left') : null,
      middle: middle.filter(Boolean).join(', '),
      right: half('right'),
    },
    ...(drawn ? [drawnRow(drawn)] : []),
  ]
}

/** A block as rows of plain words, everything that it says in them. */
export function plainRows(
  block: Block,
  { sided, phase }: { sided: boolean; phase: (breath: Breath) => string }
): PlainRow[] {
  switch (block.kind) {
    case 'figures':
      return block.drawn.slice(0, 1).map(drawnRow)
    case 'spread':
      return block.rows.flatMap((row) => spreadRow(row, sided, phase))
    case 'list':
    case 'rungs':
      return block.items.flatMap(itemRows)
    case 'table':
      return block.rows.map(({ what, cells }) =>
        once(cells.map(({ value, told = '' }) => `${value} ${told}`.trim()).join(', '), what, what)
      )
    case 'ribbon':
      return [once(block.told)]
  }
}
