import { DEFAULT_SCHOOL, withValue } from '@/core/card'
import { demoCard } from '../../tests/support/cards'
import { player } from './play'
import { followWords } from './words'

const gate = demoCard('gate')

test('what the words draw follows what changed, and a form that is kept stays', () => {
  const follow = followWords()
  const before = follow({ changed: gate, school: DEFAULT_SCHOOL })
  const form = (answer: typeof before, where: string) =>
    answer.forms.find((each) => each.where === where)
  expect(form(before, 'enter[2].text')!.kept).toBe(false)
  expect(form(before, 'enter[4].text')!.kept).toBe(true)
  const { enter } = withValue(gate, 'enter[2].text', 'Lower the left arm.')
  const after = follow({ changed: { enter }, school: DEFAULT_SCHOOL })
  expect(form(after, 'enter[2].text')!.figure).not.toEqual(form(before, 'enter[2].text')!.figure)
  expect(form(after, 'enter[4].text')!.figure).toEqual(form(before, 'enter[4].text')!.figure)
})

test('each line is told as each side words it, and what was not understood', () => {
  const { lines } = followWords()({
    changed: withValue(gate, 'enter[0].text', 'Step the right leg out like a gate.'),
    school: DEFAULT_SCHOOL,
  })
  const [left, right] = ['left', 'right'].map((side) =>
    lines.find((each) => each.where === 'enter[0].text' && each.side === side)
  )
  expect(left!.asks[0]!.words).toContain('left leg')
  expect(right!.asks[0]!.words).toContain('right leg')
  const unread = right!.notUnderstood.map(([from, until]) => right!.text.slice(from, until))
  expect(unread).toEqual(['like a gate'])
})

test('a player gives the picture of a time, and none before it is loaded', () => {
  const play = player()
  expect(play({ kind: 'frame', seconds: 0 })).toBeNull()
  const loaded = play({ kind: 'load', card: gate, school: DEFAULT_SCHOOL })
  expect(loaded).toMatchObject({ kind: 'loaded', seconds: 200, first: 'right' })
  const picture = play({ kind: 'frame', seconds: 12 })
  expect(picture).toMatchObject({ kind: 'frame', breath: 'in' })
  expect(picture!.kind === 'frame' && picture!.drawing.shapes.length).toBeGreaterThan(3)
})
