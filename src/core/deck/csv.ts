import { LABELS } from '../language'
import { stringify } from 'csv-stringify/sync'
import { type Card, titleOf } from '../card'
import { plainText } from '../sides'

export const CSV_TABLES = ['cues', 'mistakes', 'cautions'] as const
export type CsvTable = (typeof CSV_TABLES)[number]

const COLUMNS: Record<CsvTable, string[]> = {
  cues: ['card', 'title', 'cue', 'region', 'on', 'text'],
  mistakes: ['card', 'title', 'seen', 'why', 'say', 'cue', 'on'],
  cautions: ['card', 'title', 'condition', 'verdict', 'say', 'rung', 'reason'],
}

function rows(card: Card, table: CsvTable): string[][] {
  const plain = (text: string) => plainText(text, card)
  const head = [card.id, titleOf(card)]
  switch (table) {
    case 'cues':
      return card.alignment.map((cue) => [
        ...head,
        cue.id,
        cue.region,
        LABELS.on[cue.on],
        plain(cue.text),
      ])
    case 'mistakes':
      return card.mistakes.map((each) => [
        ...head,
        plain(each.seen),
        plain(each.why),
        plain(each.say),
        each.cue ?? '',
        LABELS.on[each.on],
      ])
    case 'cautions':
      return card.cautions.map((each) => [
        ...head,
        each.condition,
        LABELS.verdict[each.verdict],
        plain(each.say),
        each.rung ?? '',
        each.reason ?? '',
      ])
  }
}

/** What a spreadsheet takes for a formula, and the mark that keeps it from doing so. */
const FORMULA = /^['=+\-@\t\r＝＋－＠]/

/** A cell that no spreadsheet runs: one that could be a formula gets an apostrophe in front. */
export const harmless = (cell: string) => (FORMULA.test(cell) ? `'${cell}` : cell)

/** The text of a cell that was written by `writeCsv`. */
export const cellText = (cell: string) => (/^'/.test(cell) ? cell.slice(1) : cell)

/** The cues, mistakes or cautions of a deck as CSV (RFC 4180), a row each; `cellText` reads a cell back. */
export function writeCsv(cards: readonly Card[], table: CsvTable): string {
  return stringify(
    cards.flatMap((card) => rows(card, table).map((row) => row.map(harmless))),
    { header: true, columns: COLUMNS[table], record_delimiter: 'windows' }
  )
}
