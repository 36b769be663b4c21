import { blankCard, cardRules, DEFAULT_SCHOOL } from '.'

/**
 * Hours after a meal: schools ask for 1.5 h, for 2 to 3 h, for 1 to 1.5 h after fruit, or for an
 * empty stomach; the kneeling seat is done right after a meal. Common practice, no source.
 */

const rule = cardRules.find(({ id }) => id === 'card/usual-meal-gap')!
const told = (mealGapHours?: number) =>
  rule.check(
    {
      ...blankCard({
        name: 'X',
        base: 'kneeling',
        sides: 'even',
        spine: 'lengthen',
        manner: 'held',
      }),
      when: { timeOfDay: '', ...(mealGapHours === undefined ? {} : { mealGapHours }) },
    },
    DEFAULT_SCHOOL
  )

test.each([undefined, 0, 1, 1.5, 2, 2.5, 3, 4, 5])('%p is usual', (hours) => {
  expect(told(hours)).toEqual([])
})

test.each([0.1, 0.2, 0.5, 8, 12, 20, 24])('%p is told, with the number', (hours) => {
  const [finding, ...more] = told(hours)
  expect(more).toEqual([])
  expect(finding!.where).toBe('when.mealGapHours')
  expect(finding!.message).toContain(`${hours} h after a meal`)
})
