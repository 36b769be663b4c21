import { demoCard, demoCards } from '../../../tests/support/cards'
import { form, ladderCard, loweredPlank, seatedFold } from '../../../tests/support/ladders'
import { atRung, type Card, DEFAULT_SCHOOL } from '../card'
import { keyframesOf, solved } from '../figure'
import { readLine } from '../reading'
import {
  demandOf,
  halfway,
  heldSeconds,
  type MoveName,
  MOVES,
  proposalsFor,
  rungForm,
  stands,
} from '.'

jest.setTimeout(120_000)

const moves = (card: Card) => proposalsFor(card, DEFAULT_SCHOOL).map(({ move }) => move)
const one = (start: string, more: Partial<Card> = {}) => ladderCard({ it: form(start) }, 'it', more)

/** What the trade does to a form. Common practice, no source. */
test.each<[string, Card, MoveName[]]>([
  [
    'plank',
    one('plank', { base: 'hands' }),
    ['knee-down', 'hands-to-wall', 'raise-hand', 'lift-foot'],
  ],
  [
    'dog',
    one('dog', { base: 'hands' }),
    ['hands-to-wall', 'raise-hand', 'halve-range', 'lift-foot'],
  ],
  [
    'stride',
    one('stride', { sides: 'sided' }),
    ['knee-down', 'back-to-wall', 'eyes-closed', 'longer-stay'],
  ],
  [
    'standing',
    one('standing'),
    ['back-to-wall', 'feet-together', 'eyes-closed', 'arms-up', 'lift-foot'],
  ],
  ['standing fold', one('standing-fold'), ['bend-knee', 'halve-range', 'longer-stay']],
  [
    'all fours',
    one('hands-and-knees', { base: 'hands' }),
    ['raise-hand', 'lift-hand', 'lift-foot'],
  ],
  [
    'seated fold',
    ladderCard(seatedFold(), 'whole', { base: 'seated' }),
    ['bend-knee', 'halve-range', 'lie-down'],
  ],
  [
    'lowered plank',
    ladderCard(loweredPlank(), 'full', { base: 'hands' }),
    ['knee-down', 'longer-stay'],
  ],
  [
    'tree',
    demoCard('tree'),
    ['fingers-to-wall', 'back-to-wall', 'lie-down', 'eyes-closed', 'bind'],
  ],
  ['reclined leg', demoCard('reclined-leg-stretch'), ['bend-knee', 'halve-range', 'longer-stay']],
  ['side angle', demoCard('long-side-angle'), ['lower-hand', 'lift-hand', 'bind', 'back-to-wall']],
])('%s', (_, card, wanted) => {
  const offered = moves(card)
  for (const move of wanted) expect([move, offered.includes(move)]).toEqual([move, true])
})

test('holding a foot, a strap is offered', () => {
  const held = form(
    'long-seat',
    {
      pelvis: { tilt: 30 },
      leftHip: { flexion: 118 },
      rightHip: { flexion: 118 },
      lowBack: { flexion: 20 },
      ribs: { flexion: 20 },
      leftShoulder: { flexion: 120 },
      rightShoulder: { flexion: 120 },
    },
    {
      contacts: [
        { part: 'sit bones', on: 'floor' },
        { part: 'left heel', on: 'floor' },
        { part: 'right heel', on: 'floor' },
        { part: 'left hand', on: 'left foot', along: 0.5 },
        { part: 'right hand', on: 'right foot', along: 0.5 },
      ],
    }
  )
  const [strapped] = proposalsFor(
    ladderCard({ held }, 'held', { base: 'seated' }),
    DEFAULT_SCHOOL,
    'easier'
  ).filter(({ move }) => move === 'strap')
  expect(strapped!.rung.props).toEqual(['strap'])
  expect(strapped!.figure.straps.length).toBe(2)
})

test('what is offered stands, asks what it says, and comes back as the form of its rung', () => {
  for (const card of [
    demoCard('tree'),
    demoCard('seated-fold'),
    demoCard('low-cobra'),
    one('plank', { base: 'hands' }),
  ]) {
    const before = demandOf(
      rungForm(card, card.ladder.find((rung) => rung.reference)!.id).figure!,
      heldSeconds(card, DEFAULT_SCHOOL)
    ).total
    for (const { figure, demand, rung, way } of proposalsFor(card, DEFAULT_SCHOOL)) {
      expect([rung.name, stands(figure)]).toEqual([rung.name, true])
      expect([rung.name, way === 'easier' ? demand.total < before : demand.total > before]).toEqual(
        [rung.name, true]
      )
      const taken: Card = { ...card, ladder: [...card.ladder, rung] }
      expect(keyframesOf(taken).problems).toEqual([])
      if (rung.figure)
        expect(solved(rungForm(taken, rung.id).figure!).pose).toEqual(solved(figure).pose)
      // Its own words are put into the steps, once.
      const said = [
        ...rung.steps.replace.map(({ text }) => text),
        ...rung.steps.add.map(({ step }) => step.text),
      ]
      expect(said.length).toBeLessThanOrEqual(1)
      for (const text of said)
        expect(atRung(taken, rung.id).enter.map((step) => step.text)).toContain(text)
    }
  }
})

test('the words of the moves are understood by the reader', () => {
  const oneOfEachBase = demoCards().filter(
    ({ base }, i, all) => all.findIndex((each) => each.base === base) === i
  )
  const said = new Set(
    [...oneOfEachBase, one('plank'), one('standing'), one('stride')].flatMap((card) =>
      proposalsFor(card, DEFAULT_SCHOOL).flatMap(({ rung }) => [
        ...rung.steps.replace.map(({ text }) => text),
        ...rung.steps.add.map(({ step }) => step.text),
      ])
    )
  )
  const unread = [...said].filter((text) => readLine(text).instructions.length === 0)
  expect(said.size).toBeGreaterThan(12)
  // These tell how far, and name no part.
  expect(unread.filter((text) => !/^Go (?:half|a little)/.test(text))).toEqual([])
})

test('a card that is not drawn is offered nothing', () => {
  expect(proposalsFor({ ...one('standing'), ladder: [] }, DEFAULT_SCHOOL)).toEqual([])
  expect(MOVES.length).toBeGreaterThan(15)
})

test('halfway lies between', () => {
  const { bent, whole } = seatedFold()
  const middle = halfway(bent!, whole!)!
  const total = (figure: typeof middle) => demandOf(figure, 30).total
  expect(total(middle)).toBeGreaterThan(total(bent!))
  expect(total(middle)).toBeLessThan(total(whole!))
})
