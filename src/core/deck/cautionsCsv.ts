import { parse } from 'csv-parse/sync'
import { stringify } from 'csv-stringify/sync'
import {
  type Card,
  type Caution,
  LIMITS,
  type School,
  titleOf,
  type Verdict,
  VERDICTS,
} from '../card'
import { conditionNamed, judgedCard, nearestConditions, ONLY_RUNG, overNow } from '../cautions'
import { LABELS, SAY_CAUTIONS } from '../language'
import { plainText } from '../sides'
import { cellText, harmless } from './csv'

const COLUMNS = [
  'card',
  'title',
  'rung',
  'form',
  'condition',
  'verdict',
  'usual',
  'say',
  'reason',
] as const
type Column = (typeof COLUMNS)[number]

/** The verdicts of a deck as CSV (RFC 4180): a row for each card, rung and condition. */
export function writeVerdictsCsv(cards: readonly Card[], school: School): string {
  const rows = cards.flatMap((card) => {
    const { rungs, rows: all } = judgedCard(card, school)
    return all.flatMap(({ condition, cells }) =>
      cells.map(({ rung, verdict, usual, typed }, i) => [
        card.id,
        titleOf(card),
        rung,
        plainText(rungs[i]!.name, card),
        condition.name,
        LABELS.verdict[verdict],
        LABELS.verdict[usual],
        typed ? plainText(typed.caution.say, card) : '',
        typed?.caution.reason ?? '',
      ])
    )
  })
  return stringify(
    rows.map((row) => row.map(harmless)),
    { header: true, columns: [...COLUMNS], record_delimiter: 'windows' }
  )
}

/** What a table of verdicts would change. */
export interface VerdictsPlan {
  /** Cards with their new cautions. */
  changed: { card: Card; title: string; lines: string[] }[]
  /** Rows that say what holds anyway. */
  same: number
  /** Rows that are not taken, by the line of the table. */
  problems: { line: number; message: string }[]
}

const verdictOf = (word: string): Verdict | undefined =>
  VERDICTS.find(
    (each) => each === word.replace(/\s+/g, '-') || LABELS.verdict[each].toLowerCase() === word
  )

/**
 * Reads a table of verdicts. A verdict that differs from what holds is written on its card as an
 * override, and needs a reason; nothing else of a card changes.
 * @throws Error when the text is no such table
 */
export function planVerdictsCsv(
  text: string,
  cards: readonly Card[],
  school: School
): VerdictsPlan {
  const records = parse(text, {
    columns: (names: string[]) => names.map((name) => name.trim().toLowerCase()),
    bom: true,
    skip_empty_lines: true,
    relax_column_count: true,
    info: true,
    max_record_size: LIMITS.fileLine,
  }) as unknown as { record: Partial<Record<Column, string>>; info: { lines: number } }[]
  const names = Object.keys(records[0]?.record ?? {})
  const missing = (['card', 'rung', 'condition', 'verdict'] as const).filter(
    (name) => !names.includes(name)
  )
  if (records.length === 0 || missing.length > 0) throw new Error(SAY_CAUTIONS.noTable(missing))
  const now = new Map(cards.map((card) => [card.id, card]))
  const lines = new Map<string, string[]>()
  const problems: VerdictsPlan['problems'] = []
  let same = 0
  for (const { record, info } of records) {
    const cell = (name: Column) => cellText((record[name] ?? '').trim()).trim()
    const wrong = (message: string) => {
      if (problems.length < LIMITS.problems) problems.push({ line: info.lines, message })
    }
    const card = now.get(cell('card'))
    const original = cards.find(({ id }) => id === cell('card'))
    const condition = conditionNamed(cell('condition'), school)
    const verdict = verdictOf(cell('verdict').toLowerCase())
    if (!card || !original) wrong(SAY_CAUTIONS.noCard(cell('card')))
    else if (!condition)
      wrong(
        SAY_CAUTIONS.unknown(
          cell('condition'),
          nearestConditions(cell('condition'), school).map(({ name }) => name)
        )
      )
    else if (!verdict) wrong(SAY_CAUTIONS.noVerdict(cell('verdict')))
    else {
      const row = judgedCard(original, school).rows.find(
        (each) => each.condition.id === condition.id
      )!
      const own = row.cells.find(({ rung }) => rung === cell('rung'))
      if (!own) wrong(SAY_CAUTIONS.noRung(cell('rung'), titleOf(card)))
      else if (own.verdict === verdict && cell('reason') === (own.typed?.caution.reason ?? ''))
        same += 1
      else if (cell('reason') === '') wrong(SAY_CAUTIONS.needsReason(titleOf(card), condition.name))
      else {
        const rung = own.rung === ONLY_RUNG ? undefined : own.rung
        const bare: Caution = {
          condition: own.typed?.caution.condition ?? condition.name,
          verdict,
          say: own.typed?.caution.say ?? '',
          ...(rung === undefined ? {} : { rung }),
          reason: cell('reason'),
        }
        const over = overNow(original, bare, school)
        const caution = over === undefined ? bare : { ...bare, over }
        const at = card.cautions.findIndex(
          (each) =>
            each.reason !== undefined &&
            each.rung === rung &&
            conditionNamed(each.condition, school)?.id === condition.id
        )
        now.set(card.id, {
          ...card,
          cautions: at < 0 ? [...card.cautions, caution] : card.cautions.with(at, caution),
        })
        lines.set(card.id, [
          ...(lines.get(card.id) ?? []),
          SAY_CAUTIONS.wouldChange(
            condition.name,
            plainText(original.ladder.find(({ id }) => id === own.rung)?.name ?? '', original),
            LABELS.verdict[own.verdict],
            LABELS.verdict[verdict]
          ),
        ])
      }
    }
  }
  return {
    changed: [...lines].map(([id, told]) => ({
      card: now.get(id)!,
      title: titleOf(now.get(id)!),
      lines: told,
    })),
    same,
    problems,
  }
}
