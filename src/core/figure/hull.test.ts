import fc from 'fast-check'
import { hull } from './hull'

test('the corners of a square, whatever lies inside it', () => {
  const corners = hull([
    [0, 0],
    [1, 1],
    [0.5, 0.5],
    [1, 0],
    [0, 1],
    [0.2, 0.9],
  ])
  expect(corners).toHaveLength(4)
  expect(corners).toEqual(
    expect.arrayContaining([
      [0, 0],
      [1, 0],
      [1, 1],
      [0, 1],
    ])
  )
})

test('every point lies on one side of every edge', () => {
  const point = fc.tuple(fc.integer({ min: -50, max: 50 }), fc.integer({ min: -50, max: 50 }))
  fc.assert(
    fc.property(fc.array(point, { minLength: 3, maxLength: 30 }), (points) => {
      const corners = hull(points)
      corners.forEach((a, i) => {
        const b = corners[(i + 1) % corners.length]!
        for (const p of points)
          expect(
            (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])
          ).toBeGreaterThanOrEqual(0)
      })
    })
  )
})
