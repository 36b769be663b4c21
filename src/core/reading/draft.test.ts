import fc from 'fast-check'
import { ANGLES, finalFigure, mirroredFigure, mirroredPose, solved } from '../figure'
import { type Card, otherSide } from '../card'
import { writeFor } from '../sides'
import { demoCard, demoCards, lunge, stepsOf } from '../../../tests/support/cards'
import { furthest, outsideLimits } from '../../../tests/support/numbers'
import { apart, draftsOf, finalDraft, formsOf } from './draft'

const contacts = (all: readonly { part: string; on: string }[]) =>
  all.map(({ part, on }) => `${part} on ${on}`).sort()
const fromWords = (card: Card) => draftsOf(card, { kept: false })
const chain = (place: string, steps: string[], more: Partial<Card> = {}) =>
  fromWords(
    lunge({
      setUp: { place, props: [], note: '' },
      enter: stepsOf(steps.map((text) => ['in', text])),
      exit: [],
      ...more,
    })
  )

describe('the final forms of the demo deck', () => {
  test.each(demoCards().map((card) => [card.id, card] as const))('%s', (_, card) => {
    const kept = finalFigure(card)!.figure
    const draft = finalDraft(card, fromWords(card))
    expect(contacts(draft.figure.contacts)).toEqual(contacts(kept.contacts))
    expect(apart(draft.solved, solved(kept))).toBeLessThan(12)
    expect(draft.solved.unmet).toEqual([])
  })
})

describe('mirrored cards have mirrored drafts', () => {
  const close = (a: readonly number[], b: readonly number[]) =>
    expect(furthest(a, b)).toBeLessThan(1e-6)
  const angles = (figure: { angles: Record<string, Record<string, number>> }) =>
    ANGLES.map(({ joint, angle }) => figure.angles[joint]?.[angle] ?? 0)

  test.each(
    demoCards()
      .filter(({ sides, id }) => sides === 'sided' && id !== 'final-rest')
      .map((card) => [card.id, card] as const)
  )('%s', (_, card) => {
    const across = fromWords(writeFor(card, otherSide(card.writtenFor)))
    fromWords(card).forEach((draft, i) => {
      // A fixed side word does not swap: rolling to the right side stays so.
      if (card.exit.some(({ id, text }) => draft.id === `step ${id}` && text.includes('{'))) return
      close(angles(across[i]!.figure), angles(mirroredFigure(draft.figure)))
      expect(contacts(across[i]!.figure.contacts)).toEqual(
        contacts(mirroredFigure(draft.figure).contacts)
      )
      close(across[i]!.solved.pose.angles, mirroredPose(draft.solved.pose).angles)
    })
  })

  test('of any steps', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom(
            'Step the left foot back.',
            'Lift the right arm up.',
            'Bend the right knee.',
            'Turn the left foot out.',
            'Twist to the right.',
            'Bend to the left.',
            'Fold forward.',
            'Place the left hand on the right thigh.'
          ),
          { minLength: 1, maxLength: 3 }
        ),
        (steps) => {
          const card = lunge({ enter: stepsOf(steps.map((text) => ['in', text])), exit: [] })
          const across = fromWords(writeFor(card, 'left'))
          fromWords(card).forEach(({ figure }, i) =>
            close(angles(across[i]!.figure), angles(mirroredFigure(figure)))
          )
        }
      ),
      { numRuns: 12 }
    ))
})

test('no draft passes the limits of a joint', () => {
  for (const card of demoCards())
    for (const {
      solved: { pose },
    } of fromWords(card))
      expect(outsideLimits(pose.angles)).toEqual([])
})

describe('what a movement does to what touches what', () => {
  const last = (place: string, ...steps: string[]) =>
    contacts(chain(place, steps).at(-1)!.figure.contacts)
  test('a foot that steps leaves the floor and lands', () =>
    expect(last('Stand tall.', 'Step the left foot back.')).toEqual([
      'left toes on floor',
      'right sole on floor',
    ]))
  test('a heel that is pressed down stands flat', () =>
    expect(last('Stand tall.', 'Step the left foot back.', 'Press the left heel down.')).toEqual([
      'left sole on floor',
      'right sole on floor',
    ]))
  test('a lifted leg touches nothing', () =>
    expect(last('Stand tall.', 'Lift the left knee.')).toEqual(['right sole on floor']))
  test('a hand that is placed is carried, and gives up its place when it lifts', () => {
    expect(last('Sit with the legs long.', 'Set the right hand behind you.')).toContain(
      'right fingertips on floor'
    )
    expect(
      last('Sit with the legs long.', 'Set the right hand behind you.', 'Lift the right arm.')
    ).not.toContain('right fingertips on floor')
  })
  test('what is said of both does both', () =>
    expect(last('All fours.', 'Step both feet back.')).toEqual([
      'left palm on floor',
      'left toes on floor',
      'right palm on floor',
      'right toes on floor',
    ]))
  test('knees that are hugged are held', () =>
    expect(last('Lie on the back.', 'Hug both knees to the chest.')).toEqual([
      'back on floor',
      'head on floor',
      'left hand on left shin',
      'right hand on right shin',
    ]))
})

test('a line that is not understood moves nothing and is not sure', () => {
  const [, first, second] = chain('Stand tall.', ['Lift both arms.', 'Frobnicate the quux.'])
  expect(second!.sure).toBe(false)
  expect(second!.figure).toEqual(first!.figure)
})

test('a side that is not told moves nothing', () => {
  const [start, step] = chain('Stand tall.', ['Lift the knee.'])
  expect(step!.sure).toBe(false)
  expect(step!.figure.contacts).toEqual(start!.figure.contacts)
})

test('a form that is kept stays, and the words go on from it', () => {
  const card = demoCard('gate')
  const drafts = draftsOf(card)
  const kept = finalFigure(card)!.figure
  const final = finalDraft(card, drafts)
  expect(final.kept).toBe(true)
  expect(final.figure).toEqual(kept)
  expect(drafts.find(({ id }) => id === 'step x1')!.kept).toBe(false)
})

test('what was asked before is done as if it were asked first', () => {
  const places = ['Stand at the front of the mat.', 'Kneel on all fours.', 'Lie on the left side.']
  const lines = [
    'Step the left foot back.',
    'Step the right foot back.',
    'Now step the left foot back, all of you.',
    'Step the left foot back a little.',
    'Step the left foot forward.',
    'Bend the left knee to 90°.',
    'Bend the left knee to 40°.',
    'Lift the left arm.',
    'Lift both arms.',
    'Lift the left arm out to the side.',
    'Place the left hand on a block.',
    'Place the left hand on the floor.',
    'Place the left hand on the left shin.',
    'Place the left hand on the right shin.',
    'Turn the chest to the left.',
    'Turn the chest to the right.',
    'Lift the same arm.',
    'Lift the other arm.',
  ]
  const chains = places.flatMap((place) =>
    lines.flatMap((one) => lines.slice(0, 6).map((two) => ({ place, steps: [one, two, one] })))
  )
  const told = (forms: typeof formsOf, all: typeof chains) =>
    all.map(({ place, steps }) =>
      forms(
        lunge({
          setUp: { place, props: [], note: '' },
          enter: stepsOf(steps.map((text) => ['in', text])),
          exit: [],
        }),
        { kept: false }
      ).map(({ figure, did, idle, sure }) => ({ figure, did, idle: idle.length, sure }))
    )
  // Who is asked in the other order, and remembers nothing yet, answers the same.
  jest.isolateModules(() => {
    // eslint-disable-next-line @typescript-eslint/no-require-imports
    const anew = require('./draft') as { formsOf: typeof formsOf }
    expect(told(anew.formsOf, chains.toReversed()).reverse()).toEqual(told(formsOf, chains))
  })
})
