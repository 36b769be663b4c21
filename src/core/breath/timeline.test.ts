import fc from 'fast-check'
import { arbitraryCard } from '../../../tests/support/arbitraryCard'
import { demoCard, demoCards, lunge, stepsOf } from '../../../tests/support/cards'
import { rowsAt } from '../../../tests/support/sheet'
import { type Card, DEFAULT_SCHOOL, otherSide, type Pace, type Stay } from '../card'
import { LABELS } from '../language'
import { sheetOf } from '../print'
import { writeFor } from '../sides'
import {
  breathsAMinute,
  breathSeconds,
  passSeconds,
  secondsOfBreaths,
  ribbonOf,
  stayNotes,
  staySeconds,
  timelineOf,
  timeOf,
} from '.'

const school = DEFAULT_SCHOOL
const four: Pace = { in: 4, out: 4 }
const stay = (more: Partial<Stay>): Stay => ({ repeats: 1, ...more })

describe('the doses of the trade, as worked examples (common practice, no source)', () => {
  test.each<[string, Stay, Pace, number]>([
    ['held, general class: 5 breaths', stay({ breaths: 5 }), four, 40],
    ['therapeutic: 8 breaths', stay({ breaths: 8 }), { in: 5, out: 5 }, 80],
    ['therapeutic: 10 breaths', stay({ breaths: 10 }), { in: 5, out: 5 }, 100],
    ['classical back bend: 10 to 15 s', stay({ seconds: [10, 15] }), four, 12.5],
    [
      'classical back bend, three times, a breath between',
      stay({ seconds: [10, 20], repeats: 3, restBetween: { breaths: 1 } }),
      four,
      61,
    ],
    [
      'leg raises in five stages, 10 to 15 s each',
      stay({ seconds: [10, 15], repeats: 5 }),
      four,
      62.5,
    ],
    ['shoulder stand, 1 to 3 min', stay({ seconds: [60, 180] }), four, 120],
    ['kneeling seat, 5 to 10 min', stay({ seconds: [300, 600] }), four, 450],
    ['supported fold, 2 to 5 min', stay({ seconds: [120, 300] }), four, 210],
    ['held lift: up to 8 s a repeat, 8 repeats', stay({ seconds: [8, 8], repeats: 8 }), four, 64],
    ['a breath with holds', stay({ breaths: 3 }), { in: 4, holdIn: 2, out: 6, holdOut: 1 }, 39],
  ])('%s', (_, dose, pace, seconds) => {
    expect(staySeconds(dose, pace)).toBe(seconds)
  })
})

test('5 s in and 5 s out is 6 breaths a minute; 4 and 4 is 7.5', () => {
  // Resonance breathing near 6 a minute: Lehrer & Gevirtz 2014 (from memory).
  expect(breathsAMinute({ in: 5, out: 5 })).toBe(6)
  expect(breathsAMinute(four)).toBe(7.5)
})

test('breaths, seconds and minutes convert both ways', () => {
  const part = fc.double({ min: 0.5, max: 20, noNaN: true })
  fc.assert(
    fc.property(part, part, fc.double({ min: 0.1, max: 500, noNaN: true }), (inward, out, n) => {
      const pace = { in: inward, out }
      expect(secondsOfBreaths(n, pace) / breathSeconds(pace)).toBeCloseTo(n, 4)
      expect(secondsOfBreaths(1, pace)).toBe(breathSeconds(pace))
    })
  )
})

describe('the time of a card', () => {
  test('a sided card: both sides and one breath between, worked by hand', () => {
    // Four steps 16 s, five breaths 40 s, one step out 4 s.
    expect(timeOf(lunge(), school)).toEqual({
      left: 60,
      right: 60,
      between: 8,
      total: 128,
      breaths: 16,
    })
  })

  test('its own pace, holds, seconds and repeats', () => {
    const card = lunge({
      enter: stepsOf([
        ['in', 'Lift.', { repeat: 3 }],
        ['hold-in', 'Wait.', { seconds: 7, repeat: 2 }],
        ['out', 'Fold.'],
        ['free', 'Rest.'],
      ]),
      stay: {
        breaths: 2,
        repeats: 3,
        restBetween: { breaths: 1 },
        pace: { in: 3, holdIn: 1, out: 5.5 },
      },
      betweenSides: { breaths: 2, text: '' },
    })
    // 9 + 14 + 5.5 + 4; three times 19 and two rests of 9.5; 3 out.
    expect(timeOf(card, school)).toEqual({
      left: 111.5,
      right: 111.5,
      between: 19,
      total: 242,
      breaths: 25.473684,
    })
  })

  test('a step done 8 to 10 times takes the time of its middle, and says so', () => {
    const card = lunge({
      enter: stepsOf([
        ['in', 'Lift.', { repeat: 8, repeatMost: 11 }],
        ['out', 'Lower.'],
      ]),
    })
    const [lift] = timelineOf(card, school)
    // 9.5 times 4 seconds.
    expect(lift).toMatchObject({ times: 9.5, seconds: 38 })
    const drawn = ribbonOf(card, school).filter(({ where }) => where === 'enter[0]')
    expect(drawn).toHaveLength(10)
    expect(drawn.reduce((sum, { seconds }) => sum + seconds, 0)).toBeCloseTo(38, 3)
    expect(stayNotes(card, LABELS)).toContain('The time is that of the middle of 8 to 11 times.')
    expect(rowsAt(sheetOf(card, school), 'enter')[0]).toMatchObject({
      repeat: 9.5,
      beside: ['× 8 to 11'],
    })
  })

  test('an even card has one pass', () => {
    expect(timeOf(lunge({ sides: 'even' }), school)).toEqual({
      left: null,
      right: 60,
      between: 0,
      total: 60,
      breaths: 7.5,
    })
  })

  test('a moving card repeats its cycle; a held one does not', () => {
    const card = lunge({
      manner: 'moving',
      sides: 'even',
      enter: stepsOf([
        ['in', 'Lengthen.'],
        ['out', 'Round.', { cycle: true }],
        ['in', 'Arch.', { cycle: true }],
      ]),
      stay: { repeats: 6 },
    })
    expect(timeOf(card, school).total).toBe(4 + 6 * 8 + 4)
    expect(timeOf({ ...card, manner: 'held' }, school).total).toBe(16)
    expect(timeOf(demoCard('cat-and-cow'), school).total).toBe(4 + 8 * 8 + 8)
  })

  test('a twist with two directions stays twice on each side', () => {
    const card = lunge({
      otherWay: stepsOf(
        [
          ['in', 'Grow tall.'],
          ['out', 'Turn.'],
        ],
        'w'
      ),
    })
    expect(passSeconds(card, school)).toBe(60 + 8 + 40)
  })

  test('a rung has its own steps and stay, at the pace of the card', () => {
    const card = lunge({
      stay: { breaths: 5, repeats: 1, pace: { in: 5, out: 5 } },
      ladder: [
        {
          id: 'easy',
          name: 'Easy',
          props: [],
          steps: {
            replace: [{ step: 's4', text: 'Rest.', breath: 'free', seconds: 12 }],
            add: [
              { step: { id: 'n1', text: 'First.', breath: 'in' } },
              { after: 's3', step: { id: 'n2', text: 'After.', breath: 'hold-out', seconds: 3 } },
            ],
            omit: ['s3'],
          },
          stay: { breaths: 2, repeats: 1 },
          upWhen: [],
          downWhen: [],
        },
      ],
    })
    expect(timelineOf(card, school).map((each) => each.seconds)).toEqual([5, 5, 5, 5, 50, 5])
    expect(timeOf(card, school, 'easy').right).toBe(5 + 5 + 5 + 3 + 12 + 20 + 5)
    expect(() => timeOf(card, school, 'none')).toThrow(
      'There is no rung “none” on this card; it has easy.'
    )
  })

  test('of any card: both sides take as long, and the parts make the whole', () => {
    fc.assert(
      fc.property(arbitraryCard, (card) => {
        const time = timeOf(card, school)
        expect(time.total).toBeCloseTo((time.left ?? 0) + time.right + time.between, 4)
        expect(time.left === null).toBe(card.sides === 'even')
        const across: Card = writeFor(card, otherSide(card.writtenFor))
        expect(timeOf(across, school)).toEqual(time)
        const line = timelineOf(card, school)
        for (const [i, each] of line.entries())
          expect(each.at).toBeCloseTo(
            line.slice(0, i).reduce((sum, before) => sum + before.seconds, 0),
            3
          )
      }),
      { numRuns: 60 }
    )
  })
})

test('the ribbon is drawn to scale: its stretches fill the pass without a gap', () => {
  fc.assert(
    fc.property(arbitraryCard, (card) => {
      let at = 0
      for (const stretch of ribbonOf(card, school)) {
        expect(stretch.at).toBeCloseTo(at, 3)
        at = stretch.at + stretch.seconds
      }
      expect(at).toBeCloseTo(passSeconds(card, school), 3)
    }),
    { numRuns: 60 }
  )
  const breaths = ribbonOf(lunge(), school).filter((each) => each.part === 'stay')
  expect(breaths).toHaveLength(10)
  expect(breaths.slice(0, 2)).toMatchObject([
    { breath: 'in', at: 16, seconds: 4 },
    { breath: 'out', at: 20, seconds: 4 },
  ])
  for (const card of demoCards()) expect(ribbonOf(card, school).length).toBeLessThan(60)
})
