import fc from 'fast-check'
import { CholeskyDecomposition, inverse as inverted, Matrix } from 'ml-matrix'
import { inverseOf, rootOf, solveBy } from './cholesky'
import type { Row } from './constraints'
import { ANGLES } from './skeleton'
import { solve } from './solve'
import { readFigure } from './spec'
import { nextStep } from './step'

/** Against ml-matrix, a library from the registry. */

const number = fc.double({ min: -50, max: 50, noNaN: true })

/** A·Aᵀ with something along the diagonal: symmetric and positive definite. */
const positive = fc.integer({ min: 1, max: 12 }).chain((n) =>
  fc.tuple(
    fc
      .array(fc.array(number, { minLength: n, maxLength: n }), { minLength: n, maxLength: n })
      .map((rows) => {
        const a = new Matrix(rows)
        return a.mmul(a.transpose()).add(Matrix.eye(n, n, 1))
      }),
    fc.array(number, { minLength: n, maxLength: n })
  )
)
const rowsOf = (a: Matrix) => a.to2DArray().map((row) => Float64Array.from(row))
/** How far two lists of numbers are apart, beside the largest of them. */
const apart = (ours: ArrayLike<number>, theirs: readonly number[]) =>
  Math.max(...theirs.map((each, i) => Math.abs(each - ours[i]!))) /
  Math.max(1, ...theirs.map(Math.abs))

test('the factor, what it solves and its inverse are those of the library', () => {
  fc.assert(
    fc.property(positive, ([a, b]) => {
      const n = b.length
      const library = new CholeskyDecomposition(a)
      const root = rootOf(rowsOf(a))!
      expect(apart(root, library.lowerTriangularMatrix.to1DArray())).toBeLessThan(1e-9)
      const x = Float64Array.from(b)
      solveBy(root, x)
      expect(apart(x, library.solve(Matrix.columnVector(b)).to1DArray())).toBeLessThan(1e-9)
      const theirs = inverted(library.lowerTriangularMatrix).to1DArray()
      expect(apart(inverseOf(root, n), theirs)).toBeLessThan(1e-6)
    })
  )
})

test.each([
  ['a row twice', [[4], [4, 4]]],
  ['a number below 0', [[-1]]],
  ['nothing', [[0]]],
  ['no number', [[NaN]]],
])('%s has no factor', (_, rows) => {
  expect(rootOf(rows.map((row) => Float64Array.from(row)))).toBeNull()
})

test('contacts that ask for nothing that a body can give move nothing', () => {
  const { pose, placed } = solve(readFigure({}).figure!)
  const row: Row = {
    segment: 'leftHand',
    point: [0, 1, 0],
    along: [0, 0, 0],
    residual: 0.2,
    weight: 1e200,
  }
  const limits = { min: ANGLES.map(({ min }) => min), max: ANGLES.map(({ max }) => max) }
  const step = nextStep([row, row], pose, placed, pose.angles, 1, limits)
  expect([...step]).toEqual(Array.from(step, () => 0))
})
