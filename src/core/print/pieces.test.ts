import fc from 'fast-check'
import { stretches } from '../../../tests/support/english'
import { pieces, wordsOf } from '.'

test('a short line is one piece', () => {
  const line = stretches('Turn the left toes out.')
  expect(pieces(line, 100)).toEqual([line])
  expect(pieces([], 100)).toEqual([])
})

test('a long line is cut between words', () => {
  const cut = pieces(stretches('one two three left four'), 9).map(wordsOf)
  expect(cut).toEqual(['one two ', 'three ', 'left four'])
})

test('no letter is lost and no piece is too long', () => {
  fc.assert(
    fc.property(
      fc.string({ unit: 'grapheme', maxLength: 300 }),
      fc.integer({ min: 20, max: 80 }),
      (text, limit) => {
        const cut = pieces([{ role: 'text' as const, text }], limit)
        expect(cut.map(wordsOf).join('')).toBe(text)
        expect(cut.every((piece) => wordsOf(piece).length <= limit)).toBe(true)
      }
    )
  )
})
