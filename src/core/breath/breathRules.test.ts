import { cueOf, demoCard, finishedCards, lunge, stepsOf } from '../../../tests/support/cards'
import { applyPatches, type Breath, type Card, DEFAULT_SCHOOL, runRules } from '../card'
import { phaseOffered } from '../../../tests/support/english'
import { breathRules } from '.'

const found = (card: Card, school = DEFAULT_SCHOOL) => runRules(breathRules, card, school)
const rules = (card: Card) => found(card).map((finding) => finding.rule.replace('breath/', ''))
const mended = (card: Card) => applyPatches(card, found(card)[0]!.fix!.patches)
const enter = (...lines: [Breath, string][]) => lunge({ enter: stepsOf(lines) })

test('the finished cards of the demo deck have nothing wrong with their breath', () => {
  const told = finishedCards().flatMap((card) =>
    found(card).map((each) => [card.id, each.where, each.message])
  )
  expect(told).toEqual([])
  expect(rules(demoCard('crescent-lunge'))).toEqual(['in-and-out-take-turns'])
  expect(found(lunge())).toEqual([])
})

describe('the breath that a movement asks for', () => {
  // Common practice, no source.
  test.each([
    ['Lift both arms.', 'in'],
    ['Grow long through the crown.', 'in'],
    ['Lengthen the spine.', 'in'],
    ['Open the chest.', 'in'],
    ['Reach up.', 'in'],
    ['Arch the upper back.', 'in'],
    ['Fold forward.', 'out'],
    ['Lower the hips.', 'out'],
    ['Twist to the right.', 'out'],
    ['Turn left, hand on the knee.', 'out'],
    ['Bend to the right.', 'out'],
    ['Soften the belly.', 'out'],
    ['Breathe out and step back.', 'out'],
    ['As you inhale, step forward.', 'in'],
    ['Raise the arms and fold forward.', null],
    ['Step the left foot back.', null],
    ['Turn the right toes out.', null],
    ['Loop the strap round the arch of the foot.', null],
  ])('%s %s', (text, phase) => {
    expect(phaseOffered(text)).toBe(phase)
  })
})

describe('in and out take turns', () => {
  test('two ins running hide an out, which is offered when the words allow it', () => {
    const card = enter(['in', 'Grow tall.'], ['in', 'Step the left foot back.'])
    expect(found(card)[0]).toMatchObject({
      where: 'enter[1].breath',
      fix: { label: 'Make it out' },
    })
    expect(rules(mended(card))).toEqual([])
    expect(found(enter(['in', 'Grow tall.'], ['in', 'Lift the arms.']))[0]!.fix).toBeUndefined()
  })

  test('a hold or a free breath between them parts two ins', () => {
    expect(rules(enter(['in', 'Grow.'], ['free', 'Feel.'], ['in', 'Lift.']))).toEqual([])
  })

  test('a cycle goes from its end to its beginning', () => {
    const cycle = (last: Breath) =>
      lunge({
        manner: 'moving',
        stay: { repeats: 5 },
        enter: [
          { id: 's1', breath: 'in', text: 'Lift the arms.', cycle: true },
          { id: 's2', breath: 'out', text: 'Step back.', cycle: true },
          { id: 's3', breath: last, text: 'Step in.', cycle: true },
        ],
      })
    expect(rules(cycle('in'))).toEqual(['in-and-out-take-turns'])
    expect(rules(cycle('out'))).toEqual(['in-and-out-take-turns'])
    expect(rules(cycle('free'))).toEqual([])
  })
})

test('a fold goes with an out', () => {
  const card = enter(['out', 'Step in.'], ['in', 'Fold forward from the hips.'])
  expect(rules(card)).toEqual(['fold-on-out'])
  expect(mended(card).enter[1]!.breath).toBe('out')
  expect(rules(enter(['in', 'Unfold the legs.'], ['out', 'Fold forward.']))).toEqual([])
})

describe('before a turn comes a lengthening in', () => {
  const twist = (...lines: [Breath, string][]) => ({ ...enter(...lines), spine: 'twist' as const })
  test.each<[string, [Breath, string][]]>([
    ['the first step turns', [['out', 'Turn to the right.']]],
    [
      'an in that does not lengthen',
      [
        ['in', 'Set the right hand behind you.'],
        ['out', 'Turn right.'],
      ],
    ],
    [
      'an out before it',
      [
        ['in', 'Grow tall.'],
        ['out', 'Lower the hips.'],
        ['free', 'Wait.'],
        ['out', 'Twist.'],
      ],
    ],
  ])('%s', (_, lines) => {
    expect(rules(twist(...lines))).toEqual(['lengthen-before-turn'])
  })
  test.each<[string, [Breath, string][]]>([
    [
      'a lengthening in',
      [
        ['in', 'Grow tall.'],
        ['out', 'Turn to the right.'],
      ],
    ],
    ['a limb that turns', [['out', 'Turn the right toes out.']]],
    ['the way back', [['out', 'Unwind, turn back to the middle.']]],
  ])('good: %s', (_, lines) => {
    expect(rules(twist(...lines))).toEqual([])
  })
})

test('one breath carries one movement', () => {
  expect(rules(enter(['in', 'Raise the arms and fold forward.']))).toEqual([
    'fold-on-out',
    'one-movement-a-phase',
  ])
  expect(rules(enter(['out', 'Lower the hips, then lift the chest.']))).toEqual([
    'one-movement-a-phase',
  ])
  expect(rules(enter(['out', 'Bend the knee, then lower the hands.']))).toEqual([
    'one-movement-a-phase',
  ])
  expect(rules(enter(['in', 'Lift the left arm and grow tall.']))).toEqual([])
  expect(rules(enter(['free', 'Raise the arms and fold.']))).toEqual([])
})

test('held breath is found where the school holds none', () => {
  const card = lunge({
    enter: stepsOf([['hold-in', 'Stay.', { seconds: 6 }]]),
    stay: { breaths: 3, repeats: 1, pace: { in: 4, holdIn: 2, out: 4 } },
  })
  expect(rules(card)).toEqual(['no-hold', 'no-hold'])
  expect(found(card, { ...DEFAULT_SCHOOL, retention: true })).toEqual([])
  const once = mended(card)
  expect(once.enter[0]!.breath).toBe('free')
  expect(mended(once).stay.pace).toEqual({ in: 4, out: 4 })
})

describe('a count says what it counts', () => {
  test.each([
    'Hold for five.',
    'Stay for a count of 5.',
    'Hold 8, then come down.',
    'Count down from five.',
    'Stay here for ten counts.',
    'Five, four, three, two, one.',
    'Go deeper for ten.',
    'Press down for five, then rest.',
    'Stretch the left leg long for eight; lower it.',
    'Press for another five.',
    'For three, press.',
  ])('%s does not', (text) => {
    const card = lunge({ alignment: [cueOf(text)] })
    expect(rules(card)).toEqual(['count-of-what'])
  })
  test('breaths are offered', () => {
    const card = lunge({ alignment: [cueOf('Hold for five.')] })
    expect(mended(card).alignment[0]!.text).toBe('Hold for five breaths.')
    expect(rules(mended(card))).toEqual([])
  })
  test.each([
    'Hold for five breaths.',
    'Stay for 10 to 15 seconds.',
    'Hold for a count of five slow breaths.',
    'Count five breaths.',
    'For five breaths, press.',
    'Press for five, breathing slowly for five breaths.',
    'Make room for two hands.',
    'Do it for one.',
    'Good for ten fingers.',
    'Reach for ten to two on the clock.',
    'Lower in five.',
    'Stay for two minutes.',
    'Keep the feet two fists apart.',
    'Rest on the two sit bones.',
    'Hold the strap in one hand.',
    'Lift the knee to 90 degrees.',
    'Do it five times.',
  ])('%s does', (text) => {
    expect(rules(lunge({ alignment: [cueOf(text)] }))).toEqual([])
  })
})

test('a step that takes too long to say tells by how much, and what can go', () => {
  const card = enter(['in', 'Step the right leg out to the side, with ease.'])
  expect(found(card)).toMatchObject([
    {
      rule: 'breath/said-within-the-breath',
      message:
        'Takes 5 s to say and the in-breath lasts 4 s: 1 s over, about 2 words. Leave out “with ease”.',
    },
  ])
  expect(mended(card).enter[0]!.text).toBe('Step the right leg out to the side.')
  expect(rules({ ...card, stay: { breaths: 5, repeats: 1, pace: { in: 5, out: 5 } } })).toEqual([])
  expect(found(card, { ...DEFAULT_SCHOOL, speechRate: 150 })).toEqual([])
})

test('a rung is said within its breath, too', () => {
  const card = lunge({
    ladder: [
      {
        id: 'r',
        name: 'Easy',
        props: [],
        steps: {
          replace: [{ step: 's2', text: 'Slide the left foot back along the mat to its far end.' }],
          add: [],
          omit: [],
        },
        upWhen: [],
        downWhen: [],
      },
    ],
  })
  expect(found(card)).toMatchObject([{ where: 'ladder[0].steps.replace[0].text' }])
})

test('a moving card says which steps it repeats, and how often only once', () => {
  const moving = lunge({ manner: 'moving', stay: { repeats: 6 } })
  expect(rules(moving)).toEqual(['cycle-is-marked'])
  const twice = {
    ...moving,
    enter: moving.enter.map((step) => ({ ...step, cycle: true as const, repeat: 6 })),
  }
  expect(new Set(rules(twice))).toEqual(new Set(['cycle-counts-once']))
})

describe('two movements in one breath', () => {
  test.each([
    'Bend the knees and sweep the arms up.',
    'Set the right hand down and lift the left leg.',
    'Straighten the legs and raise the arms.',
    'Step the left foot back and raise the arms.',
    'Lower the arms and bend the right knee.',
    'Cross the right leg over and clasp the left elbow.',
    'Turn the toes out and reach the arms wide.',
    'Lift the heels and drop the chin.',
    'Place the hands on the floor and then step the feet back.',
    'Draw the knee in and wrap the arms round it.',
  ])('“%s” has two', (text) => {
    const told = (['in', 'out'] as const).map((breath) => rules(enter([breath, text])))
    expect(told.every((each) => each.includes('one-movement-a-phase'))).toBe(true)
  })

  test.each([
    'Lift the left arm and grow tall.',
    'Lift the arms and bring the palms together.',
    'Bend the knees and lower the hips.',
    'Step the left foot back and set the heel down.',
    'Lengthen the neck and lift the crown.',
    'Press the hands and feet into the floor.',
    'Spread the fingers and press the palms.',
    'Stretch the arms and legs long.',
    'Lift the chest and the arms.',
    'Reach the arms up and back.',
  ])('“%s” has one', (text) => {
    const told = (['in', 'out'] as const).map((breath) => rules(enter([breath, text])))
    expect(told.some((each) => !each.includes('one-movement-a-phase'))).toBe(true)
  })
})

describe('a breath that is held in words', () => {
  const first = (text: string) => enter(['free', text])
  test.each([
    'Hold the breath in here.',
    'Keep the breath in for a moment.',
    'Retain your breath at the top.',
    'Hold the breath out, belly in.',
    'Hold your inhale and look up.',
    'Pause the breath, then lower.',
    'The breath is held while the hips lift.',
    'Suspend the breath.',
  ])('“%s” is told where the school does not hold', (text) => {
    expect(rules(first(text))).toContain('no-hold')
    expect(
      found(first(text), { ...DEFAULT_SCHOOL, retention: true }).map(({ rule }) => rule)
    ).not.toContain('breath/no-hold')
  })

  test.each([
    'Do not hold the breath.',
    'Never hold your breath here.',
    'Stay without holding the breath.',
    'Keep the breath even.',
    'Keep the breath moving.',
    'Hold the pose and breathe.',
    'If you hold the breath, come out.',
    'Hold the strap and breathe in.',
    'Watch the breath go in and out.',
  ])('“%s” holds none', (text) => {
    expect(rules(first(text))).not.toContain('no-hold')
  })
})

test.each([
  'Fold the blanket.',
  'Fold the hands at the chest.',
  'Fold the right heel in beside the hip.',
  'Bow the arms in front of you.',
  'Bow the head.',
  'Round the arms as if round a ball.',
  'Curl the toes under.',
  'Curl the fingers.',
  'Fold the end of the mat over.',
  'Fold the arms.',
])('“%s” is no forward fold', (text) => {
  expect(rules(enter(['in', text]))).not.toContain('fold-on-out')
})

test.each([
  'Fold forward.',
  'Fold over the legs.',
  'Bow to the floor.',
  'Round the back.',
  'Curl in.',
])('“%s” is one', (text) => {
  expect(rules(enter(['in', text]))).toContain('fold-on-out')
})

test('a held breath is seen in whatever is said, not only in steps', () => {
  const card = lunge()
  const cue = { ...card.alignment[0]!, text: 'Let the ribs widen and hold the breath.' }
  const mistake = { seen: 'It shakes.', why: 'It tires.', say: 'Hold your breath.', on: 'both' }
  const told = found({
    ...card,
    alignment: [cue, ...card.alignment.slice(1)],
    mistakes: [mistake as (typeof card.mistakes)[number]],
    notes: 'Some schools hold the breath here; ours does not.',
  }).filter(({ rule }) => rule === 'breath/no-hold')
  expect(told.map(({ where }) => where)).toEqual(['alignment[0].text', 'mistakes[0].say'])
})
