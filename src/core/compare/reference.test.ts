import fc from 'fast-check'
import { diff3Merge } from 'node-diff3'
import { compareFromBase, mergedText } from '.'

/** Merging three texts, against node-diff3. */

const LINES = Array.from({ length: 12 }, (_, i) => `line ${i}`)

/** Most lines are left alone, so that often both texts merge. */
const WAYS = [...Array(14).fill('keep'), 'drop', 'change', 'add'] as string[]

/** A text that came of the base: lines left out, put in, written anew. No line stands twice. */
const edited = (name: string) =>
  fc
    .array(fc.constantFrom(...WAYS), {
      minLength: LINES.length,
      maxLength: LINES.length,
    })
    .map((ways) =>
      LINES.flatMap((line, i) => {
        switch (ways[i]) {
          case 'drop':
            return []
          case 'change':
            return [`${line} by ${name}`]
          case 'add':
            return [line, `after ${line} by ${name}`]
          default:
            return [line]
        }
      })
    )

/** What each of the two alone changed is taken; null when both changed one place. */
function merged(base: string[], first: string[], second: string[]): string | null {
  const hunks = compareFromBase(base.join('\n'), first.join('\n'), second.join('\n'))
  if (hunks.some(({ by }) => by === 'both')) return null
  return mergedText(hunks, (i) => (hunks[i]!.by === 'second' ? 'second' : 'first'))
}

test('what merges here merges there, to the same text', () => {
  let taken = 0
  fc.assert(
    fc.property(edited('Ada'), edited('Ben'), (first, second) => {
      const ours = merged(LINES, first, second)
      if (ours === null) return
      taken += 1
      const theirs = diff3Merge(first, LINES, second)
      expect(theirs.every(({ conflict }) => !conflict)).toBe(true)
      expect(ours).toBe(theirs.flatMap(({ ok }) => ok ?? []).join('\n'))
    }),
    { numRuns: 400 }
  )
  expect(taken).toBeGreaterThan(10)
})

test('where both wrote, both are asked: no conflict of theirs is merged here', () => {
  fc.assert(
    fc.property(edited('Ada'), edited('Ben'), (first, second) => {
      const theirs = diff3Merge(first, LINES, second)
      const conflicts = theirs.filter(({ conflict }) => conflict)
      if (conflicts.length > 0) expect(merged(LINES, first, second)).toBeNull()
      // Each of their conflicts lies in a place that is told as changed by both.
      const told = compareFromBase(LINES.join('\n'), first.join('\n'), second.join('\n'))
        .filter(({ by }) => by === 'both')
        .map((hunk) => ({ first: hunk.first.join('\n'), second: hunk.second.join('\n') }))
      for (const { conflict } of conflicts)
        expect(
          told.some(
            (hunk) =>
              hunk.first.includes(conflict!.a.join('\n')) &&
              hunk.second.includes(conflict!.b.join('\n'))
          )
        ).toBe(true)
    }),
    { numRuns: 400 }
  )
})

test.each([
  ['the first alone', ['a', 'B', 'c'], ['a', 'b', 'c'], 'a\nB\nc'],
  ['the second alone', ['a', 'b', 'c'], ['a', 'b', 'c', 'd'], 'a\nb\nc\nd'],
  ['each another line', ['A', 'b', 'c'], ['a', 'b', 'C'], 'A\nb\nC'],
  ['both the same', ['a', 'x', 'c'], ['a', 'x', 'c'], 'a\nx\nc'],
  ['both one line', ['a', 'x', 'c'], ['a', 'y', 'c'], null],
  ['one leaves out what the other writes', ['a', 'c'], ['a', 'y', 'c'], null],
])('%s', (_what, first, second, text) => {
  const base = ['a', 'b', 'c']
  expect(merged(base, first, second)).toBe(text)
  const theirs = diff3Merge(first, base, second)
  expect(theirs.some(({ conflict }) => conflict)).toBe(text === null)
})
