import { finishedCards } from '../../../tests/support/cards'
import { atRung, type Card, figuresOf, otherSide } from '../card'
import { writeFor } from '../sides'
import {
  keptFor,
  keyframesOf,
  mirroredFigure,
  readFigure,
  sameFigure,
  sideTruths,
  type SideTruths,
} from '.'

/** Which side has which role in a drawn form, read off by eye; and a card kept for the other side. */

type Drawn = Parameters<typeof drawnIn>[0]
const drawnIn = (given: { angles: object; contacts: object[] }) =>
  readFigure(given as never).figure!

const drawn = (figure: ReturnType<typeof drawnIn>): Card => {
  const [card] = finishedCards()
  const steps = { replace: [], add: [], omit: [] }
  const rung = { id: 'r', name: 'Form', reference: true as const, props: [], steps }
  return {
    ...card!,
    writtenFor: 'right',
    setUp: { ...card!.setUp, figure: undefined },
    enter: [],
    exit: [],
    otherWay: [],
    ladder: [{ ...rung, upWhen: [], downWhen: [], figure: figure as never }],
  }
}

const swapped = (truths: SideTruths) =>
  Object.fromEntries(Object.entries(truths).map(([role, side]) => [role, otherSide(side)]))

const standing = [
  { part: 'left sole', on: 'floor' },
  { part: 'right sole', on: 'floor' },
]

const FORMS: [name: string, figure: Drawn, truths: SideTruths][] = [
  ['standing even', { angles: {}, contacts: standing }, {}],
  [
    'one arm overhead',
    { angles: { leftShoulder: { flexion: 175 } }, contacts: standing },
    { up: 'left', low: 'right' },
  ],
  [
    'on one leg, the other knee up',
    {
      angles: { rightHip: { flexion: 95 }, rightKnee: { flexion: 95 } },
      contacts: [{ part: 'left sole', on: 'floor' }],
    },
    { lifted: 'right', standing: 'left', bent: 'right', straight: 'left', sole: 'left' },
  ],
  [
    'the trunk bent to the right',
    {
      angles: { lowBack: { lateralFlexion: -18 }, ribs: { lateralFlexion: -20 } },
      contacts: standing,
    },
    { bend: 'right' },
  ],
  [
    'the trunk turned to the left',
    { angles: { lowBack: { rotation: 6 }, ribs: { rotation: 30 } }, contacts: standing },
    { turn: 'left' },
  ],
]

test.each(FORMS)('%s', (_, figure, truths) => {
  const told = sideTruths(drawn(drawnIn(figure)))
  expect(told).toMatchObject(truths)
  if (Object.keys(truths).length === 0) expect(told).toEqual({})
})

test.each(FORMS)('%s, mirrored, has all of it on the other side', (_, figure, truths) => {
  expect(sideTruths(drawn(mirroredFigure(drawnIn(figure))))).toMatchObject(swapped(truths))
})

test('a leg is out to the side only where one is, and the other is not', () => {
  const out = finishedCards().flatMap((card) => {
    const { out: side } = sideTruths(card)
    return side ? [[card.id, side]] : []
  })
  // In a gate the leg of the side that is bent to is stretched out; wide stances have two.
  expect(out).toContainEqual(['gate', 'right'])
  expect(out.map(([id]) => id)).not.toContain('long-side-angle')
})

test('a rung has its own form and its own truths', () => {
  const gate = finishedCards().find(({ id }) => id === 'gate')!
  expect(sideTruths(atRung(gate, 'foot')).up).toBe('left')
  const bare = { ...gate, ladder: [], enter: [], setUp: { ...gate.setUp, figure: undefined } }
  expect(sideTruths(bare)).toEqual({})
})

describe('a card kept for the other side', () => {
  const cards = finishedCards().filter(({ sides }) => sides === 'sided')
  const across = (card: Card) => keptFor(card, otherSide(card.writtenFor))

  test('has its words, and every form with them', () => {
    expect(cards.length).toBeGreaterThan(5)
    for (const card of cards) {
      const other = across(card)
      expect(other.writtenFor).toBe(otherSide(card.writtenFor))
      expect(other.enter).toMatchObject(
        writeFor(card, other.writtenFor).enter.map(({ text }) => ({ text }))
      )
      expect([card.id, sideTruths(other)]).toEqual([card.id, swapped(sideTruths(card))])
      const [before, after] = [keyframesOf(card), keyframesOf(other)]
      expect(after.problems).toEqual(before.problems)
      expect(after.frames.map(({ id }) => id)).toEqual(before.frames.map(({ id }) => id))
      for (const [i, { id, figure }] of before.frames.entries())
        expect([card.id, id, sameFigure(after.frames[i]!.figure, mirroredFigure(figure))]).toEqual([
          card.id,
          id,
          true,
        ])
    }
  })

  test('kept for the first side again has the words and forms that it had', () => {
    for (const card of cards) {
      const back = keptFor(across(card), card.writtenFor)
      const words = ({ ladder, ...rest }: Card) => ({
        ...rest,
        setUp: { ...rest.setUp, figure: undefined },
        enter: rest.enter.map((step) => ({ ...step, figure: undefined })),
        exit: rest.exit.map((step) => ({ ...step, figure: undefined })),
        ladder: ladder.map((rung) => ({ ...rung, figure: undefined })),
      })
      expect(words(back)).toEqual(words(card))
      for (const [i, { figure }] of keyframesOf(card).frames.entries())
        expect(sameFigure(keyframesOf(back).frames[i]!.figure, figure)).toBe(true)
    }
  })

  test('names its measures and marks by the other side, and those of the leading side alike', () => {
    const gate = cards.find(({ id }) => id === 'gate')!
    const told = ({ alignment }: Card) =>
      alignment.flatMap(({ measure, mark }) => [measure?.name, mark?.part].filter(Boolean))
    expect(told(gate)).toEqual(['right foot', 'left hip over knee', 'left hip', 'left side'])
    expect(told(across(gate))).toEqual([
      'left foot',
      'right hip over knee',
      'right hip',
      'right side',
    ])
  })

  test('an even card, and one that is kept for the side already, stay as they are', () => {
    const even = finishedCards().find(({ sides }) => sides === 'even')!
    expect(keptFor(even, otherSide(even.writtenFor))).toBe(even)
    expect(keptFor(cards[0]!, cards[0]!.writtenFor)).toBe(cards[0])
  })

  test('a figure that cannot be read stays, and is told', () => {
    const gate = cards.find(({ id }) => id === 'gate')!
    const broken = { ...gate, setUp: { ...gate.setUp, figure: { angles: { tail: { wag: 1 } } } } }
    const other = across(broken as Card)
    expect(other.setUp.figure).toEqual(broken.setUp.figure)
    expect(keyframesOf(other).problems.length).toBe(1)
    expect(figuresOf(other).length).toBe(figuresOf(gate).length)
  })
})
