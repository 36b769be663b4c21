import fc from 'fast-check'
import { arbitraryCard } from '../../../tests/support/arbitraryCard'
import { demoCard } from '../../../tests/support/cards'
import { DEFAULT_SCHOOL, undrawn, withValue } from '../card'
import { compareSheets, sheetOf, wordsOf } from '.'
import { rowsAt } from '../../../tests/support/sheet'

const gate = demoCard('gate')
const sheet = (card: typeof gate) => sheetOf(card, DEFAULT_SCHOOL)
const changed = (older: typeof gate, newer: typeof gate, title?: string) =>
  compareSheets(sheet(older), sheet(newer))
    .filter((part) => !title || part.title === title)
    .flatMap((part) => part.rows.filter((row) => row.kind !== 'same'))

test('a step that was rewritten shows what went and what came, on both halves', () => {
  const newer = withValue(gate, 'enter[3].text', 'Bend to the right, right hand down the thigh.')
  expect(changed(gate, newer, 'Coming in')).toEqual([
    {
      kind: 'changed',
      left: [
        { kind: 'same', text: 'Bend to the left, left hand down the ' },
        { kind: 'gone', text: 'shin' },
        { kind: 'come', text: 'thigh' },
        { kind: 'same', text: '.' },
      ],
      middle: [{ kind: 'same', text: expect.stringMatching(/^out, /) }],
      right: expect.arrayContaining([{ kind: 'come', text: 'thigh' }]),
    },
  ])
})

test('the ladder tells it too, where it quotes the step', () => {
  const newer = withValue(gate, 'enter[3].text', 'Bend to the right, right hand down the thigh.')
  expect(changed(gate, newer, 'The ladder, most demanding on top')).toMatchObject([
    { kind: 'changed', left: null },
  ])
  expect(changed(gate, newer)).toHaveLength(2)
})

test('a step that was taken out or put in leaves its neighbours alone', () => {
  const without = { ...gate, enter: gate.enter.filter((_, i) => i !== 3) }
  expect(changed(gate, without, 'Coming in')).toMatchObject([{ kind: 'gone' }])
  expect(changed(without, gate, 'Coming in')).toMatchObject([{ kind: 'come' }])
})

test('a breath that was changed is told in the middle', () => {
  const [row] = changed(gate, withValue(gate, 'enter[3].breath', 'in'))
  expect(row!.middle.filter((each) => each.kind === 'come')[0]!.text).toBe('in')
})

test('a line never lies over a line of another sort', () => {
  // What a rung asks is told under its figures, and is told otherwise without them.
  const path = 'ladder[1].steps.add[0]'
  const step = { id: 'n1', text: 'Roll to the {right}.', breath: 'out' as const }
  const with_ = (figure?: object) =>
    withValue(undrawn(gate), path, { step: figure ? { ...step, figure } : step })
  const drawn = with_({ angles: {}, contacts: [{ part: 'left sole', on: 'floor' }] })
  const rows = changed(drawn, with_(), 'The ladder, most demanding on top')
  const label = (row: (typeof rows)[number]) => row.middle.map(({ text }) => text).join('')
  const figure = rows.find((row) => label(row).startsWith('figure of Roll'))
  expect(figure?.kind).toBe('gone')
  for (const row of rows.filter(({ kind }) => kind === 'changed'))
    expect([label(row), row.middle.every(({ kind }) => kind === 'same')]).toEqual([
      label(row),
      true,
    ])
})

test('a card beside itself is the same throughout; two cards keep every word of both', () => {
  fc.assert(
    fc.property(arbitraryCard.map(undrawn), arbitraryCard.map(undrawn), (older, newer) => {
      expect(changed(older, older)).toEqual([])
      const [one, other] = [sheet(older), sheet(newer)]
      const compared = compareSheets(one, other)
      const words = (skip: 'gone' | 'come') =>
        compared
          .find((part) => part.title === 'Coming in')
          ?.rows.flatMap((row) => row.right.filter((each) => each.kind !== skip))
          .map((each) => each.text)
          .join('') ?? ''
      const said = (of: ReturnType<typeof sheet>) =>
        rowsAt(of, 'enter')
          .map((row) => wordsOf(row.right?.words ?? null))
          .join('')
      expect(words('come')).toBe(said(one))
      expect(words('gone')).toBe(said(other))
    }),
    { numRuns: 60 }
  )
})
