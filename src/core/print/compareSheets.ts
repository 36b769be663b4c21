import { BREATH_WORDS, VERDICT_WORDS } from '../card'
import { compareTexts, type WordChange, wordChanges } from '../compare'
import { type Sheet, type SpreadLine, type SpreadRow, wordsOf } from './sheet'

/** One row of two versions laid over each other, each stretch told as same, gone or come. */
export interface ComparedRow {
  kind: 'same' | 'changed' | 'gone' | 'come'
  /** Null for what is said once for both sides. */
  left: WordChange[] | null
  /** The breath, or the region. */
  middle: WordChange[]
  right: WordChange[]
}

export interface ComparedPart {
  title: string
  rows: ComparedRow[]
}

interface Row {
  id: string
  left: string | null
  middle: string
  right: string
}

const line = (text: string): Row => ({ id: text, left: null, middle: '', right: text })
const lines = (...texts: (string | false | null | undefined)[]): Row[] =>
  texts.filter((text): text is string => Boolean(text)).map(line)

const spread = (label: string, each: SpreadLine | null): Row[] =>
  each
    ? [
        {
          id: label,
          left: each.left && wordsOf(each.left),
          middle: label,
          right: wordsOf(each.right),
        },
      ]
    : []

function breathOf(row: SpreadRow): string {
  if (!row.breath) return row.label
  return [
    BREATH_WORDS[row.breath],
    `${row.seconds} s`,
    row.repeat > 1 ? `in ${row.repeat} times` : '',
  ]
    .filter(Boolean)
    .join(', ')
}

const rows = (sheet: Sheet, of: SpreadRow[]): Row[] =>
  of.map((row) => ({
    id: row.id,
    left: sheet.sided ? wordsOf(row.left) : null,
    middle: breathOf(row),
    right: wordsOf(row.right),
  }))

/** The parts of a sheet, each as rows of plain words. */
function partsOf(sheet: Sheet): { title: string; rows: Row[] }[] {
  return [
    {
      title: 'Name and place',
      rows: lines(
        sheet.title,
        sheet.number,
        sheet.sanskrit,
        ...sheet.also,
        sheet.meaning,
        sheet.facts.join(' · '),
        sheet.when
      ),
    },
    {
      title: 'Set-up',
      rows: [
        ...spread('start', sheet.setUp.place),
        ...sheet.setUp.props.map((prop) => ({ ...line(prop), middle: 'prop' })),
        ...spread('note', sheet.setUp.note),
      ],
    },
    { title: 'Coming in', rows: rows(sheet, sheet.enter) },
    { title: 'The stay', rows: lines(sheet.stay, `breath ${sheet.pace}`) },
    { title: 'Alignment', rows: rows(sheet, sheet.alignment) },
    { title: 'The other way', rows: rows(sheet, sheet.otherWay) },
    { title: 'Coming out', rows: rows(sheet, sheet.exit) },
    {
      title: 'Between the sides',
      rows: lines(sheet.between?.breaths, sheet.between && wordsOf(sheet.between.text)),
    },
    {
      title: 'What goes wrong',
      rows: sheet.mistakes.flatMap((each) =>
        lines(wordsOf(each.seen), wordsOf(each.why), wordsOf(each.say), each.on)
      ),
    },
    {
      title: 'Cautions',
      rows: sheet.cautions.map((each) =>
        line(
          [`${each.condition}: ${VERDICT_WORDS[each.verdict]}`, each.rung, each.say, each.reason]
            .filter(Boolean)
            .join('. ')
        )
      ),
    },
    {
      title: 'The ladder',
      rows: sheet.ladder.flatMap((rung) =>
        lines(
          rung.reference ? `${rung.name} (the form described here)` : rung.name,
          ...rung.props,
          rung.stay,
          ...rung.changes,
          ...rung.upWhen.map((sign) => `Up when: ${sign}`),
          ...rung.downWhen.map((sign) => `Down when: ${sign}`)
        )
      ),
    },
    { title: 'Follow with', rows: lines(...sheet.counter) },
    {
      title: 'Said of this pose',
      rows: sheet.effects.map((each) =>
        line([each.text, each.basis, each.source].filter(Boolean).join(' · '))
      ),
    },
    { title: 'Touch', rows: sheet.assists.flatMap((each) => lines(wordsOf(each.text), each.on)) },
    { title: 'Notes', rows: lines(...sheet.notes.split('\n')) },
  ]
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

/** Steps and cues keep their ids; lines without one are matched by their place. */
function laidOver(older: Row[], newer: Row[]): ComparedRow[] {
  const ids = (list: Row[]) => list.map((row) => row.id.replaceAll('\n', ' ')).join('\n')
  const result: ComparedRow[] = []
  let [a, b] = [0, 0]
  const take = (first: number, second: number) => {
    for (let i = 0; i < Math.max(first, second); i += 1)
      result.push(laid(i < first ? older[a + i] : undefined, i < second ? newer[b + i] : undefined))
    a += first
    b += second
  }
  if (older.length === 0 || newer.length === 0) {
    take(older.length, newer.length)
    return result
  }
  for (const hunk of compareTexts(ids(older), ids(newer)))
    take(hunk.first.length, hunk.second.length)
  return result
}

/**
 * Lays two versions of a card over each other, part by part and row by row.
 * @returns the parts that have something in them, in the order of the sheet
 */
export function compareSheets(older: Sheet, newer: Sheet): ComparedPart[] {
  const after = partsOf(newer)
  return partsOf(older)
    .map((part, i) => ({ title: part.title, rows: laidOver(part.rows, after[i]!.rows) }))
    .filter((part) => part.rows.length > 0)
}
