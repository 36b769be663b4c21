import { parse } from 'csv-parse/sync'
import { stringify } from 'csv-stringify/sync'
import { demoCards } from '../../../tests/support/cards'
import { CardIn, DEFAULT_SCHOOL } from '../card'
import { conditionNamed, conditions, judgedCard } from '../cautions'
import { planVerdictsCsv, writeVerdictsCsv } from '.'

const deck = demoCards().slice(0, 6)
const text = writeVerdictsCsv(deck, DEFAULT_SCHOOL)
type Row = Record<string, string>
const rows = parse(text, { columns: true }) as Row[]
const table = (change: (row: Row) => Row, only: (row: Row) => boolean = () => true) =>
  stringify(rows.filter(only).map(change), { header: true })
const plan = (csv: string) => planVerdictsCsv(csv, deck, DEFAULT_SCHOOL)
const on = (card: string, rung: string, condition: string) => (row: Row) =>
  row.card === card && row.rung === rung && row.condition === condition

test('a row for each card, rung and condition, read by another reader (RFC 4180)', () => {
  const rungs = deck.reduce((sum, card) => sum + Math.max(1, card.ladder.length), 0)
  expect(rows).toHaveLength(rungs * conditions.length)
  for (const row of rows.slice(0, 200)) {
    const card = deck.find(({ id }) => id === row.card)!
    const { id } = conditionNamed(row.condition!)!
    const cell = judgedCard(card, DEFAULT_SCHOOL)
      .rows.find((each) => each.condition.id === id)!
      .cells.find(({ rung }) => rung === row.rung)!
    expect([row.verdict, row.usual]).toEqual(
      [cell.verdict, cell.usual].map((verdict) => verdict.replace('-', ' '))
    )
  }
})

test('what comes back as it went changes nothing', () => {
  expect(plan(text)).toMatchObject({ changed: [], problems: [], same: rows.length })
  expect(plan(`\uFEFF${text}`)).toMatchObject({ changed: [], problems: [] })
})

test('a verdict that differs is written on its card, as an override with its reason', () => {
  const here = on('bridge', 'lift', 'neck problem')
  const told = plan(
    table((row) => (here(row) ? { ...row, verdict: 'Avoid', reason: 'so we do' } : row))
  )
  expect(told.changed.map(({ card }) => card.id)).toEqual(['bridge'])
  const [{ card }] = told.changed as [(typeof told.changed)[number]]
  expect(CardIn.safeParse(card).success).toBe(true)
  const cells = judgedCard(card, DEFAULT_SCHOOL).rows.find(
    (row) => row.condition.id === 'neck'
  )!.cells
  expect(cells.find(({ rung }) => rung === 'lift')).toMatchObject({
    verdict: 'avoid',
    by: 'reason',
  })
  expect(cells.find(({ rung }) => rung === 'lift')!.stale).toBeUndefined()
  // Nothing else of the card changed, and the table that follows says the same.
  expect({ ...card, cautions: [] }).toEqual({
    ...deck.find(({ id }) => id === 'bridge'),
    cautions: [],
  })
  const after = deck.map((each) => (each.id === 'bridge' ? card : each))
  const again = planVerdictsCsv(writeVerdictsCsv(after, DEFAULT_SCHOOL), after, DEFAULT_SCHOOL)
  expect(again.changed).toEqual([])
})

test.each<[string, (row: Row) => Row, RegExp]>([
  ['no reason', (row) => ({ ...row, verdict: 'fine', reason: '' }), /needs a reason/],
  ['no verdict', (row) => ({ ...row, verdict: 'maybe', reason: 'x' }), /no verdict/],
  ['no such card', (row) => ({ ...row, card: 'nowhere' }), /no card “nowhere”/],
  ['no such rung', (row) => ({ ...row, rung: 'top' }), /no rung “top”/],
  ['no such condition', (row) => ({ ...row, condition: 'glaucomo' }), /glaucoma/],
])('a row with %s is not taken, and told with its line', (_, change, message) => {
  const told = plan(table(change, on('bridge', 'lift', 'reflux')))
  expect(told.changed).toEqual([])
  expect(told.problems).toEqual([{ line: 2, message: expect.stringMatching(message) as string }])
})

test('what is no table says so', () => {
  expect(() => plan('hello')).toThrow(/no table/)
  expect(() => plan('card,rung\na,b')).toThrow(/“condition”/)
  expect(() => plan('')).toThrow(/no table/)
})

test('a cell that a spreadsheet would run is written harmlessly, and read back', () => {
  const card = {
    ...deck[0]!,
    cautions: [
      { condition: 'glaucoma', verdict: 'avoid' as const, say: '', reason: '=1+1', over: 'x' },
    ],
  }
  const csv = writeVerdictsCsv([card], DEFAULT_SCHOOL)
  expect(csv).toContain("'=1+1")
  expect(planVerdictsCsv(csv, [card], DEFAULT_SCHOOL).changed).toEqual([])
})
