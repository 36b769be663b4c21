import fc from 'fast-check'
import { BREATHS } from '../card'
import { paceWords, stayWords, whenWords } from '../../../tests/support/english'
import { breathShape, nextBreath, phaseSeconds } from '.'

const pace = { in: 5, out: 6 }

test('a phase lasts as the pace says, a hold as it says itself, else 4 s', () => {
  expect(phaseSeconds({ breath: 'in', seconds: 9 }, pace)).toBe(5)
  expect(phaseSeconds({ breath: 'out' }, pace)).toBe(6)
  expect(phaseSeconds({ breath: 'hold-in', seconds: 8 }, pace)).toBe(8)
  expect(phaseSeconds({ breath: 'free' }, pace)).toBe(4)
})

test('in and out take turns', () => {
  expect([undefined, 'out', 'hold-in', 'in'].map((each) => nextBreath(each as never))).toEqual([
    'in',
    'in',
    'out',
    'out',
  ])
})

test('every breath has a shape of its own that stays in its box', () => {
  const paths = BREATHS.map((breath) => breathShape(breath, 40, 48))
  expect(new Set(paths.map((shape) => shape.path + shape.paint)).size).toBe(BREATHS.length)
  fc.assert(
    fc.property(
      fc.constantFrom(...BREATHS),
      fc.double({ min: 4, max: 200, noNaN: true }),
      (breath, height) => {
        const numbers = breathShape(breath, 40, height)
          .path.match(/-?\d+(\.\d+)?/g)!
          .map(Number)
        expect(Math.min(...numbers)).toBeGreaterThanOrEqual(0)
        expect(Math.max(...numbers)).toBeLessThanOrEqual(Math.max(40, height) + 0.01)
      }
    )
  )
})

test('counts are said as breaths, seconds or minutes', () => {
  expect(stayWords({ breaths: 5, repeats: 1 })).toBe('5 breaths')
  expect(stayWords({ seconds: [10, 15], repeats: 3, restBetween: { breaths: 1 } })).toBe(
    '10 to 15 seconds, 3 times, 1 breath of rest between'
  )
  expect(stayWords({ seconds: [120, 300], repeats: 1 })).toBe('2 to 5 minutes')
  expect(paceWords({ in: 4, out: 6, holdIn: 2 })).toBe('4 s in, hold 2 s, 6 s out')
  expect(whenWords({ mealGapHours: 2, timeOfDay: 'morning' })).toBe('2 hours after a meal; morning')
  expect(whenWords({ mealGapHours: 0, timeOfDay: '' })).toBe('also straight after a meal')
  // Where the school asks for something else, the exception says so.
  expect(whenWords({ mealGapHours: 0, timeOfDay: '' }, '2 hours')).toBe(
    'also straight after a meal (in our school: 2 hours)'
  )
  expect(whenWords({ mealGapHours: 2, timeOfDay: '' }, '2 hours')).toBe('2 hours after a meal')
  expect(whenWords({ timeOfDay: 'any' }, '2 hours')).toBe('any')
})
