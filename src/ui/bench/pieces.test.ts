import { DEFAULT_SCHOOL } from '@/core/card'
import { followWords } from '@/workers/words'
import { lunge, stepsOf } from '../../../tests/support/cards'
import { piecesOf } from './pieces'

const told = (text: string) => {
  const card = lunge({ enter: stepsOf([['in', text]]) })
  const { lines } = followWords()({ changed: card, school: DEFAULT_SCHOOL })
  return piecesOf(lines.find(({ where, side }) => where === 'enter[0].text' && side === 'right')!)
}

test('a line in pieces is the line, and each caption stands once', () => {
  const text = 'Place the right hand on the shin, left arm up like a sail.'
  const pieces = told(text)
  expect(pieces.map((piece) => piece.text).join('')).toBe(text)
  expect(pieces.flatMap((piece) => piece.asks ?? [])).toEqual([
    'place right hand → on shin',
    'lift left arm → up',
  ])
  expect(pieces.find((piece) => piece.unread)!.text).toBe('like a sail')
})

test('a line of which nothing is understood is one piece that says so', () =>
  expect(told('Frobnicate.')).toEqual([{ text: 'Frobnicate', unread: true }, { text: '.' }]))
