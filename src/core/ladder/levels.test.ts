import { demoCards } from '../../../tests/support/cards'
import { ladderCard, squats } from '../../../tests/support/ladders'
import { DEFAULT_SCHOOL } from '../card'
import { GAP, gapsIn, levelsOf } from '.'

const levels = demoCards().map((card) => levelsOf(card, DEFAULT_SCHOOL))

test('every rung of the demo has its level, the form described among them', () => {
  for (const { id, levels: all, unknown } of levels) {
    expect([id, unknown]).toEqual([id, 0])
    expect([id, all.filter(({ reference }) => reference).length]).toEqual([id, 1])
  }
})

test('a gap is a stretch of a family with no rung in it, the widest first', () => {
  const gaps = gapsIn(levels, 'base')
  expect(gaps.length).toBeGreaterThan(0)
  for (const { family, from, to, by } of gaps) {
    expect(by).toBeGreaterThanOrEqual(GAP)
    const between = levels
      .filter(({ base }) => base === family)
      .flatMap((card) => card.levels)
      .filter(
        ({ demand, beside }) =>
          !beside && demand.total > from.demand.total && demand.total < to.demand.total
      )
    expect(between).toEqual([])
  }
  const widths = gaps.map(({ by }) => by)
  expect([...widths].sort((a, b) => b - a)).toEqual(widths)
})

test('a rung put into a gap closes it, and what stands beside a ladder closes none', () => {
  const { high, deep } = squats()
  const card = (more: object = {}) =>
    levelsOf(ladderCard({ high: high!, deep: deep!, ...more }, 'deep'), DEFAULT_SCHOOL)
  expect(gapsIn([card()], 'base')).toHaveLength(1)
  expect(gapsIn([card({ half: squats().half! })], 'base').every(({ by }) => by < 10)).toBe(true)
  const beside = levelsOf(
    ladderCard(
      { high: high!, half: squats().half!, deep: deep! },
      'deep',
      {},
      { half: { beside: true } }
    ),
    DEFAULT_SCHOOL
  )
  expect(gapsIn([beside], 'base')).toHaveLength(1)
  expect(gapsIn([card()], 'spine', 'hands')).toEqual([])
})
