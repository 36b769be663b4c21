import { demoCards } from '../../tests/support/cards'
import { DEFAULT_SCHOOL, type School } from '@/core/card'
import { conditions, DEFAULT_POLICY, judgedCard, policyFrom } from '@/core/cautions'
import { cardCautions } from './cardCautions'
import { changesOf, type CautionsAnswer, followDeck, whyOf } from './deckCautions'

const deck = demoCards()
const later: School = {
  ...DEFAULT_SCHOOL,
  policy: policyFrom(
    DEFAULT_POLICY.map((rule) =>
      rule.id === 'wrist/weight-on-wrists-10' ? { ...rule, least: 35 } : rule
    )
  ),
}

test('the deck is loaded once, and answers with the number of the question', () => {
  const told: CautionsAnswer[] = []
  const follow = followDeck()
  const tell = (answer: CautionsAnswer) => told.push(answer)
  follow(
    {
      n: 1,
      ask: 'load',
      cards: [...deck.map((card) => ({ card })), { card: { ...deck[0]!, ladder: null as never } }],
      school: DEFAULT_SCHOOL,
    },
    tell
  )
  const matrix = told.find((each) => each.told === 'matrix')
  expect(matrix).toMatchObject({ n: 1, failed: [deck[0]!.id] })
  expect(told.filter((each) => each.told === 'progress').length).toBeGreaterThan(0)
  if (matrix?.told !== 'matrix') throw new Error('no matrix')
  expect(matrix.cards).toHaveLength(deck.length)
  for (const seen of matrix.cards) {
    expect(seen.cells).toHaveLength(conditions.length)
    for (const cells of seen.cells) expect(cells).toHaveLength(seen.rungs.length)
  }
  follow({ n: 2, ask: 'why', card: 'tree', condition: 'vertigo' }, tell)
  expect(told.at(-1)).toMatchObject({ n: 2, told: 'why' })
  follow({ n: 3, ask: 'why', card: 'nowhere', condition: 'vertigo' }, tell)
  expect(told.at(-1)).toEqual({ n: 3, told: 'why', why: null })
  follow({ n: 4, ask: 'changes', school: later }, tell)
  expect(told.at(-1)).toMatchObject({ n: 4, told: 'changes' })
  follow({ n: 5, ask: 'room', room: { people: 3, counts: { wrist: 1 }, cards: ['tree'] } }, tell)
  expect(told.at(-1)).toMatchObject({ n: 5, told: 'room', cards: [{ id: 'tree' }] })
})

test('a preview tells every verdict that the new policy changes, and no other', () => {
  const changes = changesOf(deck, DEFAULT_SCHOOL, later)
  expect(changes.length).toBeGreaterThan(0)
  let n = 0
  for (const card of deck) {
    const read = (school: School) =>
      judgedCard({ ...card }, school).rows.flatMap(({ condition, cells }) =>
        cells.map(({ rung, verdict }) => `${condition.name} ${rung} ${verdict}`)
      )
    const [before, after] = [read(DEFAULT_SCHOOL), read(later)]
    n += after.filter((each, i) => each !== before[i]).length
  }
  expect(changes).toHaveLength(n)
  for (const { condition, from, to } of changes)
    expect([condition, from, to]).toEqual(['wrist trouble', 'change', 'fine'])
  expect(changesOf(deck, DEFAULT_SCHOOL, DEFAULT_SCHOOL)).toEqual([])
})

test('why tells the number that was read, and the rule that it met', () => {
  const dog = deck.find(({ id }) => id === 'downward-dog')!
  const why = whyOf(dog, 'wrist', deck, DEFAULT_SCHOOL)!
  const long = why.rungs.find(({ id }) => id === 'long')!
  expect(long.grounds).toEqual([
    expect.objectContaining({
      read: expect.stringMatching(/^weight on wrists \d+ %$/) as string,
      rule: 'weight on wrists from 10 %',
      verdict: 'change',
      basis: 'common practice',
    }),
  ])
  expect(long.basis).toBe('change: weight on wrists from 10 % change')
})

test('the bench is told verdicts, ways and the wrong form beside the right one', () => {
  const gate = deck.find(({ id }) => id === 'gate')!
  const told = cardCautions({ ask: 'verdicts', card: gate, school: DEFAULT_SCHOOL })
  expect(told.sure).toBe(true)
  expect(told.verdicts).toHaveLength(conditions.length)
  const cobra = deck.find(({ id }) => id === 'low-cobra')!
  const { ways } = cardCautions({
    ask: 'ways',
    card: cobra,
    school: DEFAULT_SCHOOL,
    conditions: ['third-trimester'],
    deck: deck.map((card) => ({ card })),
  })
  expect(ways!.map(({ card }) => card)).toContain('cat-and-cow')
  const both = cardCautions({
    ask: 'together',
    card: deck.find(({ id }) => id === 'downward-dog')!,
    school: DEFAULT_SCHOOL,
    conditions: ['eye-pressure', 'wrist'],
  })
  expect(both.together!.map(({ id, verdict }) => [id, verdict])).toEqual([
    ['chair', 'change'],
    ['bent', 'avoid'],
    ['long', 'avoid'],
    ['count', 'avoid'],
  ])
  expect(both.together![1]!.change).toEqual(
    expect.arrayContaining(['keep the head at or above the heart', 'fists, forearms or a wedge'])
  )
  const angle = deck.find(({ id }) => id === 'long-side-angle')!
  const { faults } = cardCautions({ ask: 'faults', card: angle, school: DEFAULT_SCHOOL })
  expect(faults!.length).toBeGreaterThan(0)
  for (const { at, drawn } of faults!) {
    const { cue } = angle.mistakes[at]!
    expect(angle.alignment.find(({ id }) => id === cue)!.measure).toBeDefined()
    expect(drawn).toHaveLength(2)
    expect(drawn[0]!.drawing.shapes).not.toEqual(drawn[1]!.drawing.shapes)
  }
  expect(cardCautions({ ask: 'verdicts', card: null as never, school: DEFAULT_SCHOOL })).toEqual({})
})
