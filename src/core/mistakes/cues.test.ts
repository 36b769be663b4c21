import { cueOf, demoCards, lunge } from '../../../tests/support/cards'
import { type Card, DEFAULT_SCHOOL } from '../card'
import { mistakeRules } from '.'

/** Cues that only forbid, and cues that forbid beside what they ask for. Common practice, no source. */

const rule = mistakeRules.find(({ id }) => id === 'mistakes/cue-says-what-to-do')!
const told = (card: Card) => rule.check(card, DEFAULT_SCHOOL)
const cues = (...texts: string[]) =>
  lunge({ alignment: texts.map((text, i) => cueOf(text, { id: `a${i + 1}` })) })

test.each([
  'Don’t let the left knee roll in.',
  "Don't lock the knees.",
  'Do not sink into the shoulders.',
  'Never let a sit bone lift.',
  'Avoid gripping the toes.',
  'No rounding of the back.',
  'Don’t grip, don’t push.',
  'Never past the toes.',
  'Stop pulling with the arms.',
  'Stop the hip from lifting.',
])('“%s” leaves the body with nothing to do', (text) => {
  const [finding, ...more] = told(cues('Press the feet down.', text))
  expect(more).toEqual([])
  expect(finding!.where).toBe('alignment[1].text')
  expect(finding!.message).toContain(text)
})

test.each([
  'Press the left foot down.',
  'Press the foot down, don’t grip the toes.',
  'Turn from the ribs, not from the arm.',
  'Fold from the hips, not the waist.',
  'Lift the chest without clenching the seat.',
  'Bend the knees rather than round the back.',
  'Keep the knee behind the toes.',
  'Let nothing pull on the neck; rest the head.',
  'Draw the breastbone forward, not up.',
  'Stop where the breath stays even.',
  'Stop before the back rounds.',
  'Stop at hip height.',
  'Look level, never at the floor.',
])('“%s” says what to do', (text) => {
  expect(told(cues(text))).toEqual([])
})

test('cues that a rung says in place of them, or adds, are looked at as well', () => {
  const card = cues('Press the feet down.')
  const rung = (more: Partial<Card['ladder'][number]>): Card => ({
    ...card,
    ladder: [
      {
        id: 'r1',
        name: 'Easier',
        props: [],
        steps: { replace: [], add: [], omit: [] },
        upWhen: [],
        downWhen: [],
        ...more,
      },
    ],
  })
  const replaced = rung({
    cues: { replace: [{ cue: 'a1', text: 'Don’t press.' }], add: [], omit: [] },
  })
  expect(told(replaced).map(({ where }) => where)).toEqual(['ladder[0].cues.replace[0].text'])
  const added = rung({
    cues: {
      replace: [],
      add: [cueOf('Never lean.', { id: 'a9' }), cueOf('Lean on the wall.', { id: 'a8' })],
      omit: [],
    },
  })
  expect(told(added).map(({ where }) => where)).toEqual(['ladder[0].cues.add[0].text'])
})

test('steps, and cues that are not written yet, are left alone', () => {
  expect(told(lunge({ enter: [{ id: 's1', breath: 'free', text: 'Don’t move yet.' }] }))).toEqual(
    []
  )
  expect(told(cues('', ' '))).toEqual([])
  expect(told({ ...cues('Don’t lock the knees.'), language: 'xx' })).toEqual([])
})

test('no cue of the demo deck only forbids', () => {
  for (const card of demoCards()) expect([card.id, told(card)]).toEqual([card.id, []])
})
