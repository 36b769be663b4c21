import fc from 'fast-check'
import { clashesIn, lookedAt, nearest } from './collide'
import { readFigure, type Figure, type FigureInput } from './spec'
import { solve } from './solve'
import { startOf, STARTS } from './starts'
import { norm, sub, type Vec } from './vec'

const place = fc.tuple(
  ...[0, 1, 2].map(() => fc.integer({ min: -16, max: 16 }).map((each) => each / 16))
)
const rod = fc.record({ from: place, to: place }) as unknown as fc.Arbitrary<{ from: Vec; to: Vec }>

const on = ({ from, to }: { from: Vec; to: Vec }, t: number): Vec =>
  from.map((value, i) => value + (to[i]! - value) * t) as unknown as Vec

test('no two places of two rods are nearer than the nearest', () => {
  fc.assert(
    fc.property(rod, rod, (a, b) => {
      const { distance, onA, onB } = nearest(a, b)
      expect(norm(sub(onA, onB))).toBeCloseTo(distance, 9)
      let least = Infinity
      for (let i = 0; i <= 20; i += 1)
        for (let k = 0; k <= 20; k += 1)
          least = Math.min(least, norm(sub(on(a, i / 20), on(b, k / 20))))
      expect(least).toBeGreaterThan(distance - 1e-7)
    })
  )
})

test('it is the same from both, and of rods that cross it is nothing', () => {
  fc.assert(
    fc.property(rod, rod, (a, b) => {
      expect(nearest(a, b).distance).toBeCloseTo(nearest(b, a).distance, 9)
    })
  )
  const cross = nearest({ from: [-1, 0, 0], to: [1, 0, 0] }, { from: [0, -1, 0], to: [0, 1, 0] })
  expect(cross.distance).toBeCloseTo(0, 12)
  const point = nearest({ from: [0, 0, 0], to: [0, 0, 0] }, { from: [3, 0, 0], to: [3, 0, 4] })
  expect(point.distance).toBeCloseTo(3, 12)
})

const figure = (input: FigureInput): Figure => readFigure(input).figure!
const names = (of: Figure) =>
  clashesIn(solve(of, { rounds: 0 })).map(({ parts }) => parts.toSorted().join(' / '))

test('no start goes through itself', () => {
  for (const { id, figure: input } of STARTS)
    expect([id, clashesIn(solve(figure(input)))]).toEqual([id, []])
})

/** As the angles say, with nothing pushed apart: what is in one place is told. */
test.each<[string, FigureInput['angles'], RegExp]>([
  ['a leg through the other', { rightHip: { abduction: -25 } }, /right .*left|left .*right/],
  ['the other through it', { leftHip: { abduction: -25 } }, /right .*left|left .*right/],
])('%s is told', (_, angles, what) => {
  const told = names(figure({ ...startOf('standing')!.figure, angles }))
  expect(told.join(', ')).toMatch(what)
})

test('what a contact brings together on purpose is not looked at', () => {
  const all = lookedAt([])
  const held = lookedAt([{ part: 'left hand', on: 'right thigh' }])
  expect(held.length).toBe(all.length - 1)
  expect(lookedAt([{ part: 'left sole', on: 'floor' }])).toHaveLength(all.length)
})
