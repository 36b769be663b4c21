import fc from 'fast-check'
import { demoCard, demoCards, lunge, stepsOf } from '../../../tests/support/cards'
import { mirrorText, plainText } from '../../../tests/support/english'
import type { Card, On } from '../card'
import { checkCard } from '../check'
import { HAND_WORK, LEG_WORK } from '../language'
import { mirroredCurve, otherWaySteps, otherWayText, passesOf, unevenWork, withUnevenWork } from '.'

const side = fc.constantFrom('left' as const, 'right' as const)
const curve = fc.oneof(
  fc.record({ ribs: side }),
  fc.record({ lowBack: side }),
  fc.record({ ribs: side, lowBack: side })
)
const how = fc.record({ hand: fc.constantFrom(...HAND_WORK), leg: fc.constantFrom(...LEG_WORK) })
const MIRRORED: Record<On, On> = {
  both: 'both',
  'left-only': 'right-only',
  'right-only': 'left-only',
  'first-only': 'first-only',
  'second-only': 'second-only',
}

test('the mirrored pattern gives the mirrored work', () => {
  fc.assert(
    fc.property(curve, how, (pattern, work) => {
      const card = { alignment: [], language: 'en' }
      const told = unevenWork(card, pattern, work).cues
      expect(unevenWork(card, mirroredCurve(pattern), work).cues).toEqual(
        told.map((cue) => ({
          ...cue,
          on: MIRRORED[cue.on],
          text: cue.text.replace(/\{(\w+)\}/g, (_, word: string) => `{${mirrorText(word)}}`),
        }))
      )
      expect(mirroredCurve(mirroredCurve(pattern))).toEqual(pattern)
    })
  )
})

test('a right thoracic curve is reached by the left hand, a left lumbar one by the right leg', () => {
  const { cues, caution, props } = unevenWork(
    { alignment: [], language: 'en' },
    { ribs: 'right', lowBack: 'left' },
    { hand: 'block', leg: 'hip higher' }
  )
  expect(cues.map((cue) => [cue.on, plainText(cue.text)])).toEqual([
    ['right-only', 'Bend both knees and lift the right hip higher.'],
    ['right-only', 'Keep the right hip high while the knees straighten.'],
    ['right-only', 'Breathe into the right low back, where it is short.'],
    ['left-only', 'Raise the left hand on a flat block.'],
    ['left-only', 'Breathe into the left ribs, where they are hollow.'],
    ['right-only', 'Let the right ribs be quiet.'],
    ['both', 'Start small, then compare both sides: more even than before is enough.'],
  ])
  expect(caution).toMatchObject({ condition: 'scoliosis', verdict: 'ask-first' })
  expect(props).toEqual(['block'])
  expect(() =>
    unevenWork({ alignment: [], language: 'en' }, {}, { hand: 'pad', leg: 'foot back' })
  ).toThrow('Give the bulging side')
})

test('the work joins a card without a finding, and only once as a caution and a prop', () => {
  fc.assert(
    fc.property(curve, how, (pattern, work) => {
      for (const card of [demoCard('downward-dog'), demoCard('long-side-angle')]) {
        const before = checkCard(card).length
        const once = withUnevenWork(card, unevenWork(card, pattern, work))
        expect(checkCard(once)).toHaveLength(before)
        const twice = withUnevenWork(once, unevenWork(once, pattern, work))
        expect(twice.cautions).toEqual(once.cautions)
        expect(twice.setUp.props).toEqual(once.setUp.props)
        expect(new Set(twice.alignment.map((cue) => cue.id)).size).toBe(twice.alignment.length)
      }
    }),
    { numRuns: 20 }
  )
})

describe('twists with two directions for each leg position', () => {
  test('hands and turn change, legs stay', () => {
    expect(otherWayText('Turn right, left hand on the right knee.', 'en')).toBe(
      'Turn left, right hand on the right knee.'
    )
    expect(otherWayText('Press the left foot, twist to the right.', 'en')).toBe(
      'Press the left foot, twist to the left.'
    )
  })

  const twist: Card = lunge({
    spine: 'twist',
    sideNamedBy: 'bent knee',
    enter: stepsOf([
      ['in', 'Bend the right knee.'],
      ['out', 'Sit on both sit bones.'],
      ['in', 'Grow tall.'],
      ['out', 'Turn right, left arm round the right knee.'],
    ]),
    exit: stepsOf([['in', 'Grow tall once more.']], 'x'),
  })

  test('a start for the second direction is written from the first', () => {
    expect(otherWaySteps(twist).map(({ breath, text }) => [breath, text])).toEqual([
      ['out', 'Unwind to the middle.'],
      ['in', 'Grow tall.'],
      ['out', 'Turn left, right arm round the right knee.'],
    ])
    expect(otherWaySteps(lunge())).toEqual([])
    const whole = { ...twist, otherWay: otherWaySteps(twist) }
    expect(checkCard(whole).filter((each) => /^(?:sides|breath)\//.test(each.rule))).toEqual([])
  })

  test('there are four passes, the school’s first side first', () => {
    const four = { ...twist, otherWay: otherWaySteps(twist) }
    expect(passesOf(four, 'left')).toEqual([
      { side: 'left', way: 'first' },
      { side: 'left', way: 'other' },
      { side: 'right', way: 'first' },
      { side: 'right', way: 'other' },
    ])
    expect(passesOf(twist, 'right')).toHaveLength(2)
    for (const card of demoCards())
      expect([card.id, passesOf(card, 'right').length]).toEqual([
        card.id,
        card.id === 'cross-legged-twist' ? 4 : card.sides === 'even' ? 1 : 2,
      ])
  })
})
