import { otherSide } from '../card'
import fc from 'fast-check'
import { arbitraryCard } from '../../../tests/support/arbitraryCard'
import { demoCard } from '../../../tests/support/cards'
import { belongsTo, cardLedFrom, writeFor } from '.'

const twist = demoCard('seated-half-twist')

test('a card is written for the other side and back without a change', () => {
  fc.assert(
    fc.property(arbitraryCard, (card) => {
      const there = writeFor(card, otherSide(card.writtenFor))
      expect(writeFor(there, card.writtenFor)).toEqual(card)
    }),
    { numRuns: 60 }
  )
})

test('every wording is written for the side that leads', () => {
  const left = cardLedFrom(twist, 'left', 'right')
  expect(left.enter[3]!.text).toBe('Turn left, right arm round the knee.')
  expect(left.alignment[3]!.text).toBe('Turn the right ribs to the left thigh.')
  expect(left.ladder[3]!.steps.replace[0]!.text).toBe(
    'Turn left, right elbow outside the left knee.'
  )
  expect(left.ladder[1]!.name).toBe('Right leg long')
  expect(left.mistakes[1]!.say).toBe('Make the left sit bone heavy.')
  expect(left.names).toBe(twist.names)
})

test('an even card stays as it is', () => {
  const even = { ...twist, sides: 'even' as const }
  expect(cardLedFrom(even, 'left', 'right').enter).toBe(even.enter)
})

test('parts belong to the side, or to the order in which sides are led', () => {
  const on = ['both', 'left-only', 'right-only', 'first-only', 'second-only'] as const
  expect(on.map((each) => belongsTo(each, 'left', 'left'))).toEqual([
    true,
    true,
    false,
    true,
    false,
  ])
  expect(on.map((each) => belongsTo(each, 'left', 'right'))).toEqual([
    true,
    true,
    false,
    false,
    true,
  ])
  const one = {
    ...twist,
    alignment: twist.alignment.map((cue) => ({ ...cue, on: 'left-only' as const })),
  }
  expect(cardLedFrom(one, 'right', 'right').alignment).toEqual([])
  expect(cardLedFrom(one, 'left', 'right').alignment).toHaveLength(twist.alignment.length)
})
