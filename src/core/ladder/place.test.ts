import { asksLess, LESS, moved, placeFor, type Standing } from '.'

const rungs = (...totals: (number | null)[]): Standing[] =>
  totals.map((total, i) => ({ id: `r${i}`, total }))

test('a rung that asks plainly less is told with the most asking of those below it', () => {
  expect(asksLess(rungs(10, 20, 30))).toEqual([])
  expect(asksLess(rungs(20, 30, 10))).toEqual([{ id: 'r2', below: 'r1' }])
  expect(asksLess(rungs(20, 20 - LESS))).toEqual([])
  expect(asksLess(rungs(20, 20 - LESS - 0.1))).toEqual([{ id: 'r1', below: 'r0' }])
})

test('what is not known, and what stands beside the ladder, is no step of the climb', () => {
  expect(asksLess(rungs(30, null, 31))).toEqual([])
  const beside = [{ id: 'rest', total: 50, beside: true }, ...rungs(10, 20)]
  expect(asksLess(beside)).toEqual([])
  expect(placeFor(beside, 15)).toBe(2)
  expect(placeFor(rungs(10, null, 30), 20)).toBe(2)
  expect(placeFor(rungs(10, 20), 40)).toBe(2)
  expect(moved(['a', 'b', 'c'], 2, 0)).toEqual(['c', 'a', 'b'])
})
