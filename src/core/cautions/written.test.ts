import fc from 'fast-check'
import { demoCard, demoCards } from '../../../tests/support/cards'
import { applyPatches, type Card, type Caution, DEFAULT_SCHOOL, type Found } from '../card'
import { cautionRules, conditions, judgedCard } from '.'

/**
 * Cautions as they are written by hand: each condition once, by whatever name, and nobody sent to
 * a rung that asks no less. Common practice, no source.
 */

const check = (id: string, card: Card): readonly Found[] =>
  cautionRules.find((rule) => rule.id === id)!.check(card, DEFAULT_SCHOOL)
const caution = (condition: string, more: Partial<Caution> = {}): Caution => ({
  condition,
  verdict: 'change',
  say: 'Ask your clinician how far.',
  ...more,
})
const withCautions = (id: string, ...cautions: Caution[]): Card => ({ ...demoCard(id), cautions })

describe('a condition stands on a card once', () => {
  const twice = (...names: string[]) =>
    check('cautions/condition-once', withCautions('tree', ...names.map((name) => caution(name))))

  test.each([
    ['vertigo', 'vertigo'],
    ['vertigo', 'dizziness'],
    ['Vertigo', 'vertigo'],
    ['glaucoma', 'Glaucoma'],
    ['high blood pressure', 'hypertension'],
    ['second trimester', 'second trimester'],
  ])('“%s” and “%s” are one', (one, other) => {
    const [finding, ...more] = twice('osteoporosis', one, other)
    expect(more).toEqual([])
    expect(finding!.where).toBe('cautions[2].condition')
    expect(finding!.message).toContain('in caution 2 already')
    if (one !== other) expect(finding!.message).toContain(`as “${one}”`)
  })

  test.each([
    ['second trimester', 'third trimester'],
    ['knee trouble', 'recent leg surgery'],
    ['wrist trouble', 'shoulder injury'],
    ['disc trouble', 'acute back pain'],
    ['a condition of nobody', 'a condition of nobody else'],
  ])('“%s” and “%s” are two', (one, other) => {
    expect(twice(one, other)).toEqual([])
  })

  test('three times is told twice, and says when the verdicts differ', () => {
    expect(twice('vertigo', 'vertigo', 'dizziness').map(({ where }) => where)).toEqual([
      'cautions[1].condition',
      'cautions[2].condition',
    ])
    const card = withCautions('tree', caution('vertigo'), caution('vertigo', { verdict: 'avoid' }))
    expect(check('cautions/condition-once', card)[0]!.message).toMatch(/change there, avoid here/)
  })

  test('every condition of the list is known to itself', () => {
    fc.assert(
      fc.property(fc.constantFrom(...conditions), ({ name, synonyms }) => {
        for (const other of [name, ...synonyms]) expect(twice(name, other)).toHaveLength(1)
      }),
      { numRuns: 12 }
    )
  })
})

describe('who is sent to another rung finds less there', () => {
  const sentUp = (id: string, of: Caution) => check('cautions/rung-asks-less', withCautions(id, of))

  test.each([
    ['tree', 'vertigo', 'thigh'],
    ['cross-legged-twist', 'osteoporosis', 'bound'],
    ['standing-fold', 'high blood pressure', 'long'],
    ['seated-half-twist', 'osteoporosis', 'elbow'],
  ])('%s: with %s up to “%s” is told', (id, condition, rung) => {
    const card = withCautions(id, caution(condition, { rung }))
    const [finding] = check('cautions/rung-asks-less', card)
    expect(finding!.where).toBe('cautions[0].rung')
    // What is offered stands below the form described, and is open.
    if (finding!.fix) {
      const mended = applyPatches(card, finding!.fix.patches)
      const at = (of: Card) => of.ladder.findIndex(({ id: each }) => each === of.cautions[0]!.rung)
      expect(at(mended)).toBeLessThan(card.ladder.findIndex(({ reference }) => reference))
      expect(check('cautions/rung-asks-less', mended)).toEqual([])
    }
  })

  test.each([
    ['tree', 'vertigo', 'wall'],
    ['tree', 'osteoporosis', 'toes'],
    ['cross-legged-twist', 'osteoporosis', 'chair'],
    ['standing-fold', 'high blood pressure', 'chair'],
    ['tree', 'vertigo', 'shin'],
  ])('%s: with %s down to “%s” is not', (id, condition, rung) => {
    expect(sentUp(id, caution(condition, { rung }))).toEqual([])
  })

  test('who is sent nowhere, or to a rung that is not there, is told of elsewhere', () => {
    expect(sentUp('tree', caution('vertigo'))).toEqual([])
    expect(sentUp('tree', caution('vertigo', { rung: 'ceiling' }))).toEqual([])
    expect(sentUp('tree', caution('no such thing', { rung: 'thigh' }))).toEqual([])
  })

  test('never where the rung asks less than the form described', () => {
    const cards = demoCards().filter(({ ladder }) => ladder.some(({ reference }) => reference))
    fc.assert(
      fc.property(
        fc.constantFrom(...cards),
        fc.constantFrom(...conditions),
        fc.nat({ max: 5 }),
        (card, { name, id }, n) => {
          const rung = card.ladder[n % card.ladder.length]!.id
          const mine = { ...card, cautions: [caution(name, { rung })] }
          const { rows, rungs } = judgedCard(mine, DEFAULT_SCHOOL)
          const row = rows.find(({ condition }) => condition.id === id)!
          const at = (which: (each: (typeof rungs)[number]) => boolean) => rungs.findIndex(which)
          const [here, there] = [at(({ described }) => described), at((each) => each.id === rung)]
          const order = ['avoid', 'ask-first', 'change', 'fine']
          const rank = (i: number) => order.indexOf(row.cells[i]!.usual)
          const told = check('cautions/rung-asks-less', mine).length > 0
          expect(told).toBe(there > here && rank(there) <= rank(here))
        }
      ),
      { numRuns: 24 }
    )
  })
})
