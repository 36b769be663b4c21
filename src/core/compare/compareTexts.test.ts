import fc from 'fast-check'
import { compareFromBase, compareTexts, compareWords, mergedText } from '.'

const text = fc
  .array(fc.constantFrom('Step the left foot.', 'Fold.', '', '## Notes', 'x'), { maxLength: 12 })
  .map((lines) => lines.join('\n'))

test('changed, added and missing lines are told apart from the same ones', () => {
  expect(compareTexts('a\nb\nc', 'a\nB\nc\nd')).toEqual([
    { kind: 'same', first: ['a'], second: ['a'] },
    { kind: 'changed', first: ['b'], second: ['B'] },
    { kind: 'same', first: ['c'], second: ['c'] },
    { kind: 'changed', first: [], second: ['d'] },
  ])
})

test('taking one side throughout gives that text', () => {
  fc.assert(
    fc.property(text, text, (first, second) => {
      const hunks = compareTexts(first, second)
      expect(mergedText(hunks, () => 'first')).toBe(first)
      expect(mergedText(hunks, () => 'second')).toBe(second)
      if (first === second) expect(hunks.every((hunk) => hunk.kind === 'same')).toBe(true)
    })
  )
})

test('words that differ are marked in each line', () => {
  const { first, second } = compareWords('Turn the left toes.', 'Turn the left heel.')
  expect(first.filter((mark) => mark.marked).map((mark) => mark.text)).toEqual(['toes'])
  expect(second.filter((mark) => mark.marked).map((mark) => mark.text)).toEqual(['heel'])
  expect(first.map((mark) => mark.text).join('')).toBe('Turn the left toes.')
})

test('what only one changed is told apart from what both changed', () => {
  const base = 'a\nb\nc\nd\ne\nf'
  const hunks = compareFromBase(base, 'A\nb\nc\ne\nf', 'a\nb\nC\nd\ne\nf\ng')
  expect(hunks.filter((hunk) => hunk.kind === 'changed')).toEqual([
    { kind: 'changed', by: 'first', first: ['A'], second: ['a'] },
    { kind: 'changed', by: 'both', first: ['c'], second: ['C', 'd'] },
    { kind: 'changed', by: 'second', first: [], second: ['g'] },
  ])
})

test('from one base: each text comes back whole, and what one alone changed is taken', () => {
  fc.assert(
    fc.property(text, text, text, (base, first, second) => {
      const hunks = compareFromBase(base, first, second)
      expect(mergedText(hunks, () => 'first')).toBe(first)
      expect(mergedText(hunks, () => 'second')).toBe(second)
      const taken = (a: string, b: string) => {
        const all = compareFromBase(base, a, b)
        return mergedText(all, (i) => (all[i]!.by === 'second' ? 'second' : 'first'))
      }
      expect(taken(base, second)).toBe(second)
      expect(taken(first, base)).toBe(first)
    })
  )
})
