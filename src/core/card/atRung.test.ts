import { lunge, cueOf } from '../../../tests/support/cards'
import { rungOf } from '../../../tests/support/ladders'
import { readCard, writeMarkdown } from '../formats'
import { atRung, type Card, type Rung } from '.'

const card = (more: Partial<Rung>): Card =>
  lunge({
    alignment: [
      cueOf('Press the front foot.', { id: 'a1', region: 'feet' }),
      cueOf('Stack the knee over the ankle.', { id: 'a2', region: 'knees' }),
      cueOf('Lift the chest.', { id: 'a3', region: 'ribs and upper back' }),
    ],
    ladder: [rungOf('low', more), rungOf('whole', { reference: true })],
  })
const cues = (more: Rung['cues']) =>
  atRung(card({ cues: more }), 'low').alignment.map(({ text }) => text)

test('a rung says cues otherwise, more of them, and fewer', () => {
  expect(
    cues({
      replace: [{ cue: 'a2', text: 'Rest the back knee.' }],
      add: [cueOf('Level the hips.', { id: 'b1', region: 'hips and pelvis' })],
      omit: ['a3'],
    })
  ).toEqual(['Press the front foot.', 'Rest the back knee.', 'Level the hips.'])
})

test('an added cue stands from the ground up, after those of its region', () => {
  expect(
    cues({
      replace: [],
      omit: [],
      add: [
        cueOf('Spread the toes.', { id: 'b1', region: 'feet' }),
        cueOf('Look far.', { id: 'b2', region: 'gaze' }),
      ],
    })
  ).toEqual([
    'Press the front foot.',
    'Spread the toes.',
    'Stack the knee over the ankle.',
    'Lift the chest.',
    'Look far.',
  ])
})

test('a rung with nothing to say of the cues has those of the card', () => {
  expect(cues(undefined)).toHaveLength(3)
  expect(() => atRung(card({}), 'high')).toThrow(RangeError)
})

test('what a rung says of the cues stands in its file and comes back', () => {
  const whole = card({
    beside: true,
    cues: {
      replace: [{ cue: 'a2', text: '[out] starts like a bracket' }],
      add: [
        cueOf('Level the hips.', {
          id: 'b1',
          region: 'hips and pelvis',
          on: 'first-only',
          measure: { name: 'hip height', target: 0, tolerance: 2, unit: 'cm' },
          mark: { kind: 'level', part: 'pelvis' },
        }),
      ],
      omit: ['a3'],
    },
  })
  const file = writeMarkdown(whole)
  expect(file).toContain('Replace cue a2: ')
  expect(file).toContain('Add cue hips and pelvis: [first-only, #b1] Level the hips.')
  expect(file).toContain('Omit cue: a3')
  expect(file).toContain('Beside: yes')
  expect(readCard(file)).toEqual(whole)
})

test.each([
  ['Add cue hips: Level them.', 'needs an id in its bracket'],
  ['Beside: no', 'is followed by yes'],
  ['Add cue belly: [#b1] Soft.', 'should be one of'],
])('“%s” is told with its line', (line, words) => {
  const file = writeMarkdown(card({})).replace('  - Id: low', `  - Id: low\n  - ${line}`)
  expect(() => readCard(file)).toThrow(
    expect.objectContaining({ message: expect.stringContaining(words) })
  )
})
