import fc from 'fast-check'
import { demoCard, demoCards } from '../../../tests/support/cards'
import { ribbonOf, timelineOf } from '../breath'
import {
  type Card,
  DEFAULT_SCHOOL,
  isSided,
  partsOf,
  type School,
  stepLists,
  stepsOf,
  withValue,
} from '../card'
import { judgedCard } from '../cautions'
import { demandsOf } from '../ladder'
import { formsOf, readCard } from '../reading'
import { cardLedFrom } from '../sides'
import { checkCard } from '.'

/**
 * While a trainer types, nearly all of a card stays what it was, and what was found in it is kept.
 * A copy shares nothing with what was there before: what is found in it is found anew. Both must
 * be the same, after whatever was done to the card before.
 */

const told = (card: Card, school: School) => ({
  found: checkCard(card, school, true),
  left: cardLedFrom(card, 'left', 'right'),
  right: cardLedFrom(card, 'right', 'left'),
  time: [timelineOf(card, school), ribbonOf(card, school)],
  read: readCard(card),
  forms: formsOf(card).map(({ figure, ...rest }) => ({ ...rest, figure })),
  asked: demandsOf(card, school),
  judged: judgedCard(card, school),
})

const LINES = [
  'Inhale and lift the left arm overhead.',
  'Press the left foot down and turn the right knee out, then reach forward with both hands.',
  'Hold the breath for five.',
  'Bend the left knee over the block and look up, away from the top hand, as far as the neck likes.',
  'Close the eyes.',
  'Do not let the {right} hip drop.',
  '',
]

type Edit = (card: Card) => Card

const line: fc.Arbitrary<Edit> = fc
  .tuple(fc.nat(200), fc.constantFrom(...LINES))
  .map(([n, text]) => (card) => {
    const parts = partsOf(card, isSided)
    return parts.length === 0 ? card : withValue(card, parts[n % parts.length]!.path, text)
  })

/** A step that goes, comes twice, or goes to another place. */
const step: fc.Arbitrary<Edit> = fc
  .tuple(fc.nat(50), fc.nat(50), fc.constantFrom('goes', 'twice', 'moves', 'breath', 'cycle'))
  .map(([list, n, what]) => (card) => {
    const { list: key } = stepLists()[list % stepLists().length]!
    const steps = card[key]
    if (steps.length === 0) return card
    const at = n % steps.length
    const one = steps[at]!
    const rest = steps.toSpliced(at, 1)
    switch (what) {
      case 'goes':
        return { ...card, [key]: rest }
      case 'twice':
        return { ...card, [key]: steps.toSpliced(at, 0, one) }
      case 'moves':
        return { ...card, [key]: rest.toSpliced((n * 7) % steps.length, 0, one) }
      case 'breath':
        return withValue(card, `${key}[${at}].breath`, n % 2 ? 'in' : 'hold-out')
      default:
        return withValue(card, `${key}[${at}].cycle`, one.cycle ? undefined : true)
    }
  })

/** What all lines are looked at by. */
const whole: fc.Arbitrary<Edit> = fc
  .constantFrom<Partial<Card>>(
    { base: 'kneeling' },
    { base: 'standing' },
    { spine: 'twist' },
    { writtenFor: 'left' },
    { sideNamedBy: 'front leg' },
    { manner: 'moving' },
    { language: 'xx' },
    { language: 'en' }
  )
  .map((change) => (card) => ({ ...card, ...change }))

const edit = fc.oneof({ weight: 5, arbitrary: line }, { weight: 4, arbitrary: step }, whole)

const start = fc.constantFrom(...demoCards())

test('a card that is worked on bit by bit has what the same card has that is looked at anew', () => {
  fc.assert(
    fc.property(start, fc.array(edit, { minLength: 1, maxLength: 5 }), (card, edits) => {
      let now = card
      told(now, DEFAULT_SCHOOL)
      for (const change of edits) {
        now = change(now)
        expect(told(now, DEFAULT_SCHOOL)).toEqual(told(structuredClone(now), DEFAULT_SCHOOL))
      }
      // And when it is what it was.
      expect(told(card, DEFAULT_SCHOOL)).toEqual(told(structuredClone(card), DEFAULT_SCHOOL))
    }),
    { numRuns: 25 }
  )
})

test('what a school sets is looked at anew', () => {
  const card = demoCard('long-side-angle')
  const other: School = {
    ...DEFAULT_SCHOOL,
    speechRate: DEFAULT_SCHOOL.speechRate / 3,
    pace: { in: 2, out: 2 },
    retention: !DEFAULT_SCHOOL.retention,
  }
  const before = told(card, DEFAULT_SCHOOL)
  expect(told(card, other)).toEqual(told(structuredClone(card), other))
  expect(told(card, other)).not.toEqual(before)
  expect(told(card, DEFAULT_SCHOOL)).toEqual(before)
})

test('a step keeps its place while another is written anew', () => {
  // A card of its own: nothing was found in it before.
  const card = structuredClone(demoCard('long-side-angle'))
  const now = withValue(card, 'enter[1].text', 'Press the left foot down.')
  const [before, after] = [stepsOf(card), stepsOf(now)]
  const moved = after.flatMap((place, i) => (place === before[i] ? [] : place.path))
  expect(moved).toEqual(['enter[1]'])
})
