import fc from 'fast-check'
import { solveQP } from 'quadprog'
import { type AtLeast, leastWithin } from './quadratic'

/** Held against the quadratic programme of a registry library, and against what makes a least. */

const number = fc.integer({ min: -64, max: 64 }).map((each) => each / 64)

interface Problem {
  g: Float64Array[]
  a: Float64Array
  limits: AtLeast[]
}

/** What some rows of numbers ask for, eased a little, as efforts of joints are. */
const problems = fc
  .tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 0, max: 5 }))
  .chain(([n, m]) =>
    fc
      .tuple(
        fc.array(fc.array(number, { minLength: n, maxLength: n }), { minLength: 2, maxLength: 8 }),
        fc.array(number, { minLength: n, maxLength: n }),
        fc.array(
          fc
            .tuple(fc.array(number, { minLength: n, maxLength: n }), number)
            .map(([gives, has]) => ({
              gives,
              has,
            })),
          { minLength: m, maxLength: m }
        )
      )
      .map(([rows, a, limits]): Problem => ({
        g: Array.from({ length: n }, (_, i) =>
          Float64Array.from({ length: n }, (__, j) =>
            rows.reduce((sum, row) => sum + row[i]! * row[j]!, i === j ? 0.02 : 0)
          )
        ),
        a: Float64Array.from(a),
        limits,
      }))
  )

/** The same by the library, which counts from 1 and takes every limit in one table. */
function byLibrary({ g, a, limits }: Problem): number[] | null {
  const n = a.length
  const all = [
    ...limits,
    ...Array.from({ length: n }, (_, i) => ({
      gives: Array.from({ length: n }, (__, j) => (i === j ? 1 : 0)),
      has: 0,
    })),
  ]
  const { solution, message } = solveQP(
    [[], ...g.map((row) => [0, ...row])],
    [0, ...a],
    [[], ...Array.from({ length: n }, (_, i) => [0, ...all.map(({ gives }) => gives[i]!)])],
    [0, ...all.map(({ has }) => has)]
  )
  return message ? null : solution.slice(1, n + 1)
}

const value = ({ g, a }: Problem, x: ArrayLike<number>) =>
  Array.from(x).reduce(
    (sum, xi, i) => sum + xi * (0.5 * g[i]!.reduce((all, gij, j) => all + gij * x[j]!, 0) - a[i]!),
    0
  )

const gives = ({ gives: each }: AtLeast, at: ArrayLike<number>) =>
  Array.from(each).reduce((sum, by, i) => sum + by * at[i]!, 0)

const meets = ({ limits }: Problem, x: ArrayLike<number>) =>
  limits.every((limit) => gives(limit, x) > limit.has - 1e-8) && Math.min(...Array.from(x)) > -1e-9

/** A limit that only touches what the others leave: the library takes it for one against them. */
const touching: Problem = {
  g: [
    Float64Array.of(0.430400390625, 0.1201171875, 0),
    Float64Array.of(0.1201171875, 0.0795703125, 0),
    Float64Array.of(0, 0, 0.02),
  ],
  a: Float64Array.of(0, 0.125, 0.015625),
  limits: [{ gives: [0, -0.671875, -0.046875], has: 0 }],
}

/** The least of it is some 41,303, for which 2,026 of one number are needed. */
const large: Problem = {
  g: Array.from({ length: 9 }, (_, i) =>
    Float64Array.from({ length: 9 }, (__, j) => +(i === j) / 50)
  ),
  a: Float64Array.of(0, 0, 0, 0, 0, 0, 0.484375, 0, 0),
  limits: [
    { gives: [0.59375, 0, -0.03125, 0, 0, -0.046875, 0, 0, -0.015625], has: 0.03125 },
    {
      gives: [-0.984375, -0.515625, 0.03125, -0.046875, 0, 0.078125, -0.65625, 0, 0],
      has: 0.78125,
    },
  ],
}

test('is what the library finds, or as little, and nothing only where nothing can be', () => {
  fc.assert(
    fc.property(problems, (problem) => {
      const own = leastWithin(problem.g, problem.a, problem.limits)
      const library = byLibrary(problem)
      if (!own) expect(library).toBeNull()
      // Numbers that meet every limit say more than the library that found none.
      else if (!library) expect(meets(problem, own)).toBe(true)
      else {
        const least = value(problem, library)
        // Of a large number only so many digits are known.
        expect(value(problem, own) / (1 + Math.abs(least))).toBeCloseTo(
          least / (1 + Math.abs(least)),
          7
        )
      }
    }),
    { numRuns: 400, examples: [[touching], [large]] }
  )
})

test('where limits only touch, what is left is found', () => {
  const x = leastWithin(touching.g, touching.a, touching.limits)!
  expect(Math.max(...x.map(Math.abs))).toBeLessThan(1e-12)
})

test('meets every limit, and no small change that meets them is less', () => {
  fc.assert(
    fc.property(problems, fc.array(number, { minLength: 12, maxLength: 12 }), (problem, change) => {
      const x = leastWithin(problem.g, problem.a, problem.limits)
      if (!x) return
      expect(meets(problem, x)).toBe(true)
      const near = x.map((each, i) => each + change[i]! * 1e-3)
      const allowed =
        near.every((each) => each >= 0) &&
        problem.limits.every((limit) => gives(limit, near) >= limit.has)
      if (allowed) expect(value(problem, near)).toBeGreaterThan(value(problem, x) - 1e-9)
    }),
    { numRuns: 400 }
  )
})

test('worked by hand: two pushes that carry one, the easier one more', () => {
  // ½(x² + 3y²) with x + y ≥ 1: x is three times y.
  const x = leastWithin([Float64Array.of(1, 0), Float64Array.of(0, 3)], Float64Array.of(0, 0), [
    { gives: [1, 1], has: 1 },
  ])!
  expect(x[0]).toBeCloseTo(0.75, 12)
  expect(x[1]).toBeCloseTo(0.25, 12)
})

test('limits that go against each other, and a matrix that is none of the kind', () => {
  const one = [Float64Array.of(1)]
  expect(
    leastWithin(one, Float64Array.of(0), [
      { gives: [1], has: 2 },
      { gives: [-1], has: -1 },
    ])
  ).toBeNull()
  expect(leastWithin(one, Float64Array.of(0), [{ gives: [0], has: 1 }])).toBeNull()
  expect(leastWithin([Float64Array.of(-1)], Float64Array.of(1), [])).toBeNull()
  // What would be below 0 is 0.
  expect([...leastWithin(one, Float64Array.of(-3), [])!]).toEqual([0])
})
