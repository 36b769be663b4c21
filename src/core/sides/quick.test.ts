import fc from 'fast-check'
import { demoCards } from '../../../tests/support/cards'
import { Card } from '../card'
import { type Lexicon, type LineContext, packOf } from '../language'
import { quick } from './quick'
import { sidedLines } from './sidedLines'

/** What is kept of a line is what the language says of it, in every place it can stand in. */

const lexicon = packOf('en')!.sides
const kept = quick(lexicon)
const texts = [...new Set(demoCards().flatMap((card) => sidedLines(card).map(({ text }) => text)))]
const PLACES: LineContext['place'][] = ['enter', 'exit', 'between', 'caution', 'other']

const line = fc.oneof(
  fc.constantFrom(...texts),
  fc
    .array(
      fc.constantFrom(
        ...'left right turn the foot knee over both roll side lie pregnancy up , . back arm to'.split(
          ' '
        )
      ),
      { maxLength: 12 }
    )
    .map((words) => words.join(' '))
)

type OfOneLine = {
  [K in keyof Lexicon]: Lexicon[K] extends (text: string) => unknown ? K : never
}[keyof Lexicon]
const OF_ONE_LINE = [
  'find',
  'silentSwap',
  'tellsSwap',
  'tellsOther',
  'relatives',
  'limbs',
  'sets',
  'onlyOneSide',
  'unequalCounts',
  'named',
  'namedRole',
] as const satisfies readonly OfOneLine[]

test.each(OF_ONE_LINE)('%s', (name) => {
  fc.assert(
    fc.property(line, (text) => {
      const say = (of: Lexicon) => (of[name] as (text: string) => unknown)(text)
      expect(say(kept)).toEqual(say(lexicon))
      // And a second time, when it is kept.
      expect(say(kept)).toEqual(say(lexicon))
    })
  )
})

test('suspects, in each place and for each condition', () => {
  const condition = fc.option(
    fc.oneof(
      fc.constantFrom('third trimester', 'scoliosis', 'knee trouble'),
      fc.string({ maxLength: 12 })
    ),
    { nil: undefined }
  )
  fc.assert(
    fc.property(line, fc.constantFrom(...PLACES), condition, (text, place, of) => {
      const context = { place, ...(of === undefined ? {} : { condition: of }) }
      for (const _ of [1, 2])
        expect(kept.suspects(text, context)).toEqual(lexicon.suspects(text, context))
    })
  )
})

test('claims, in each place', () => {
  fc.assert(
    fc.property(line, fc.constantFrom(...PLACES), (text, place) => {
      for (const _ of [1, 2])
        expect(kept.claims(text, { place })).toEqual(lexicon.claims(text, { place }))
    })
  )
})

test('pairs, in each pose', () => {
  fc.assert(
    fc.property(
      line,
      fc.constantFrom(...Card.shape.base.options),
      fc.constantFrom(...Card.shape.spine.options),
      (text, base, spine) => {
        for (const _ of [1, 2])
          expect(kept.pairs(text, { base, spine })).toEqual(lexicon.pairs(text, { base, spine }))
      }
    )
  )
})

test('hints of the lead, by what the side is named by', () => {
  const named = fc.constantFrom('front leg', 'lifted leg', 'direction turned', 'side bent towards')
  fc.assert(
    fc.property(line, named, (text, by) => {
      for (const _ of [1, 2]) expect(kept.leadHints(text, by)).toEqual(lexicon.leadHints(text, by))
    })
  )
})

test('one lexicon is kept once', () => {
  expect(quick(lexicon)).toBe(kept)
  expect(quick({ ...lexicon })).not.toBe(kept)
})
