import { rungOf } from '../../../tests/support/ladders'
import fc from 'fast-check'
import { blankCard, type Card } from '../card'
import { checkCard } from '../check'
import {
  ANGLES,
  drawnFigure,
  type Figure,
  type FigureInput,
  jointMoments,
  loadShares,
  MEASURES,
  measure,
  PARTS,
  readFigure,
  solve,
  SURFACES_AND_LIMBS,
  svgOf,
} from './index'

/** Whatever figure is let in, it is worked out to numbers, or refused at the door. */

const degrees = fc.oneof(
  fc.double({ min: -720, max: 720, noNaN: true }),
  fc.constantFrom(-720, -180, -90, 0, 90, 180, 720)
)
const angles = fc
  .array(fc.tuple(fc.constantFrom(...ANGLES), degrees), { maxLength: 30 })
  .map((list) => {
    const all: Record<string, Record<string, number>> = {}
    for (const [{ joint, angle }, value] of list) (all[joint] ??= {})[angle] = value
    return all
  })
const place = fc.double({ min: -5, max: 5, noNaN: true })
const contact = fc.record(
  {
    part: fc.constantFrom(...PARTS),
    on: fc.constantFrom(...SURFACES_AND_LIMBS),
    along: fc.double({ min: 0, max: 1, noNaN: true }),
    at: fc.tuple(place, place),
  },
  { requiredKeys: ['part', 'on'] }
)
const part = fc.constantFrom(...PARTS)
const build = fc.double({ min: 0.8, max: 1.2, noNaN: true })
const figures = fc.record(
  {
    angles,
    contacts: fc.array(contact, { maxLength: 24 }),
    wall: fc.double({ min: -3, max: 3, noNaN: true }),
    straps: fc.array(
      fc.oneof(fc.tuple(part, part), fc.tuple(part, part, fc.integer({ min: 1, max: 400 }))),
      { maxLength: 4 }
    ),
    view: fc.record({ turn: degrees, tilt: degrees }),
    body: fc.record({ legs: build, arms: build, trunk: build }),
  },
  { requiredKeys: [] }
) as fc.Arbitrary<FigureInput>

const read = (data: FigureInput): Figure => {
  const { figure, problem } = readFigure(data)
  expect(problem).toBeNull()
  return figure!
}

test('every figure that is let in is solved and drawn to numbers', () => {
  fc.assert(
    fc.property(figures, (data) => {
      const figure = read(data)
      const solved = solve(figure)
      const numbers = [
        ...solved.pose.angles,
        ...solved.pose.root,
        ...solved.placed.origins.flat(),
        ...solved.placed.rotations.flat(),
        ...loadShares(solved).map(({ share }) => share),
        ...jointMoments(solved).map(({ moment }) => moment),
        ...solved.unmet.map(({ cm }) => cm),
      ]
      expect(numbers.filter((value) => !Number.isFinite(value))).toEqual([])
      expect(svgOf(drawnFigure(figure, true), { title: 'x' })).not.toMatch(/NaN|Infinity|undefined/)
      for (const { name } of MEASURES) {
        const found = measure(solved, name, {
          sided: true,
          sideNamedBy: '',
          lead: 'right',
        } as never)
        if (found) expect([name, Number.isFinite(found.value)]).toEqual([name, true])
      }
    }),
    { numRuns: 40 }
  )
}, 120_000)

test('a card with such a figure is checked to its end', () => {
  const card = blankCard({
    name: 'Odd',
    base: 'standing',
    spine: 'side',
    manner: 'held',
    sides: 'sided',
  })
  fc.assert(
    fc.property(figures, (figure) => {
      const odd = {
        ...card,
        ladder: [rungOf('r1', { reference: true, figure: figure as never })],
        setUp: { ...card.setUp, figure },
      } as unknown as Card
      const rules = checkCard(odd).map(({ rule }) => rule)
      expect(rules).not.toContain('card/checked')
    }),
    { numRuns: 25 }
  )
}, 120_000)

test.each<[string, unknown]>([
  ['a place past all mats', { contacts: [{ part: 'left sole', on: 'floor', at: [1e308, 0] }] }],
  ['a place that is no number', { contacts: [{ part: 'left sole', on: 'floor', at: [NaN, 0] }] }],
  ['an angle past all turns', { angles: { pelvis: { turn: 1e308 } } }],
  ['an angle without end', { angles: { pelvis: { turn: Infinity } } }],
  ['a wall on the other side of the town', { wall: 400 }],
  [
    'more contacts than a body has',
    { contacts: Array(60).fill({ part: 'left sole', on: 'floor' }) },
  ],
  ['a strap a mile long', { straps: [['left sole', 'right sole', 160_000]] }],
  ['a view of a million turns', { view: { turn: 3.6e8 } }],
  ['legs three times as long', { body: { legs: 3 } }],
])('%s is told and not drawn', (_what, data) => {
  expect(readFigure(data)).toMatchObject({ figure: null, problem: expect.any(String) })
})
