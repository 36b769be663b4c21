import fc from 'fast-check'
import { asBefore } from './asBefore'

const copy = <T>(value: T): T => structuredClone(value)

describe('what is as before', () => {
  test('is the object of before, and what differs is not', () => {
    const before = {
      rungs: [
        { id: 'a', total: 1 },
        { id: 'b', total: 2 },
      ],
      offered: { up: ['x'] },
    }
    const now = copy(before)
    now.rungs[1]!.total = 3
    const seen = asBefore(before, now)
    expect(seen).toEqual(now)
    expect(seen).not.toBe(before)
    expect(seen.rungs).not.toBe(before.rungs)
    expect(seen.rungs[0]).toBe(before.rungs[0])
    expect(seen.rungs[1]).not.toBe(before.rungs[1])
    expect(seen.offered).toBe(before.offered)
  })

  test.each<[what: string, before: unknown, now: unknown]>([
    ['a key that is gone', { a: 1, b: 2 }, { a: 1 }],
    ['a key that came', { a: 1 }, { a: 1, b: 2 }],
    ['another key with nothing in it', { a: undefined }, { b: undefined }],
    ['a shorter list', [1, 2], [1]],
    ['a longer list', [1], [1, undefined]],
    ['a list in place of an object', {}, []],
    ['an object in place of a list', [], {}],
    ['nothing in place of something', { a: 1 }, null],
    ['something in place of nothing', null, { a: 1 }],
    ['words in place of a number', 1, '1'],
  ])('%s is another thing', (_, before, now) => {
    const seen = asBefore(before, now)
    expect(seen).not.toBe(before)
    expect(seen).toStrictEqual(now)
  })

  test('whatever they are, they are as they are now, and nothing of either is changed', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (before, now) => {
        const [was, is] = [copy(before), copy(now)]
        expect(asBefore(before, now)).toStrictEqual(is)
        expect(before).toStrictEqual(was)
        expect(now).toStrictEqual(is)
      })
    )
  })

  test('alike through and through, they are the object of before', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (before) => {
        expect(asBefore(before, copy(before))).toBe(before)
      })
    )
  })
})
