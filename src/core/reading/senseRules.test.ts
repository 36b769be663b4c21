import { cueOf, lunge, stepsOf } from '../../../tests/support/cards'
import { applyPatches, type Card, type Finding } from '../card'
import { checkCard } from '../check'
import { cutLine, splitStep } from './split'

/** Faulty cards and the nearest right ones; common practice, no source. */

const found = (card: Card, rule: string): Finding[] =>
  checkCard(card).filter((each) => each.rule === rule)
const enter = (...lines: string[]) => stepsOf(lines.map((text, i) => [i % 2 ? 'out' : 'in', text]))
const FEET = ['left sole', 'right sole'].map((part) => ({ part, on: 'floor' }))
type Kept = NonNullable<Card['setUp']['figure']>
const posed = (lines: string[], figure: object, more: Partial<Card> = {}) =>
  lunge({
    enter: enter(...lines).map((step, i, all) =>
      i === all.length - 1 ? { ...step, figure: { contacts: FEET, ...figure } as Kept } : step
    ),
    ...more,
  })

/** Seated, one leg folded so that its heel lies by the hip of its side; the hand of that side is at the foot. */
function seated(line: string, side: 'left' | 'right', then = 'Grow tall.'): Card {
  return posed(
    [line, then],
    {
      angles: {
        leftHip: { flexion: 88 },
        rightHip: { flexion: 88 },
        [`${side}Hip`]: { flexion: 60, rotation: -30 },
        [`${side}Knee`]: { flexion: 150 },
        [`${side}Ankle`]: { dorsiflexion: -40 },
        [`${side}Shoulder`]: { flexion: -4, abduction: 14 },
      },
      contacts: [{ part: 'sit bones', on: 'floor' }],
    },
    { base: 'seated', setUp: { place: 'Sit tall, legs long.', props: [], note: '' } }
  )
}

describe('words and the figure that is kept', () => {
  const rule = 'sense/words-and-figure'
  test.each<[string, Card, RegExp]>([
    [
      'a turn the other way',
      posed(['Turn to the left.'], { angles: { ribs: { rotation: -30 } } }),
      /turn left/,
    ],
    [
      'a bend the other way',
      posed(['Bend to the right.'], { angles: { ribs: { lateralFlexion: 20 } } }),
      /bend to the right/,
    ],
    [
      'a foot on another part',
      posed(['Set the right foot on the left shin.'], {
        angles: {},
        contacts: [
          { part: 'left sole', on: 'floor' },
          { part: 'right sole', on: 'left thigh' },
        ],
      }),
      /left shin; the figure has it on the left thigh/,
    ],
    [
      'the other leg lifted',
      posed(['Lift the left knee.'], {
        angles: { rightHip: { flexion: 90 } },
        contacts: [{ part: 'left sole', on: 'floor' }],
      }),
      /the figure lifts the other one/,
    ],
    [
      'an arm that hangs',
      posed(['Lift the left arm up.'], { angles: {} }),
      /left arm up; in the figure it is down/,
    ],
    [
      'a knee that is straight',
      posed(['Step the left foot back.', 'Bend the right knee over the ankle.'], { angles: {} }),
      /bend the right knee; in the figure it is straight/,
    ],
    [
      'degrees that differ',
      posed(['Step the left foot back.', 'Bend the right knee 90 degrees.'], {
        angles: { rightKnee: { flexion: 40 }, rightHip: { flexion: 40 } },
      }),
      /90°; the figure bends it 40°/,
    ],
    [
      'a heel drawn to a hip, where the other one lies',
      seated('Draw the left heel beside the right hip.', 'right'),
      /left heel to the right hip; in the figure the right heel is there/,
    ],
    [
      'a hand brought to a foot that the other hand holds',
      seated('Bring the left hand to the right foot.', 'right'),
      /left hand to the right foot; in the figure the right hand is there/,
    ],
  ])('%s', (_, card, message) => {
    expect(
      found(card, rule)
        .map((each) => each.message)
        .join()
    ).toMatch(message)
  })

  test.each<[string, Card]>([
    ['a turn that fits', posed(['Turn to the left.'], { angles: { ribs: { rotation: 30 } } })],
    [
      'a turn that was unwound',
      posed(['Turn to the left.', 'Unwind to the middle.'], { angles: { ribs: { rotation: -4 } } }),
    ],
    [
      'an arm that is up',
      posed(['Lift the left arm up.'], { angles: { leftShoulder: { flexion: 170 } } }),
    ],
    [
      'words that are not understood',
      posed(['Frobnicate.'], { angles: { ribs: { rotation: 30 } } }),
    ],
    [
      'a hand at the knee, told at the thigh',
      posed(['Place the right hand on the right knee.'], {
        angles: {},
        contacts: [...FEET, { part: 'right hand', on: 'right shin', along: 0.1 }],
      }),
    ],
    [
      'a heel that lies where it is told to',
      seated('Draw the right heel beside the right hip.', 'right'),
    ],
    [
      'a heel that is drawn in and stretched out again',
      seated('Draw the left heel beside the right hip.', 'right', 'Stretch the left leg out long.'),
    ],
    ['a limb that is told beside none', seated('Fold the left heel in.', 'right')],
  ])('is silent on %s', (_, card) => expect(found(card, rule)).toEqual([]))
})

describe('what is never taken back', () => {
  const out = (lines: string[], exit: string[], place = 'Stand tall.') =>
    lunge({
      setUp: { place, props: ['strap'], note: 'strap' },
      enter: enter(...lines),
      exit: stepsOf(
        exit.map((text) => ['out', text]),
        'x'
      ),
    })
  const messages = (card: Card) =>
    found(card, 'sense/taken-back')
      .map(({ message }) => message)
      .join()
  test('an arm still up, a foot still turned or lifted, a strap still on', () => {
    expect(messages(out(['Sweep the left arm up.'], ['Step the feet together.']))).toMatch(
      /left arm is still up/
    )
    expect(
      messages(out(['Step the feet wide apart.', 'Turn the right foot out.'], ['Lower the chest.']))
    ).toMatch(/right foot is still turned/)
    expect(messages(out(['Lift the left knee.'], ['Grow tall.']))).toMatch(/left foot is still off/)
    expect(
      messages(
        out(
          ['Loop the strap round the right foot.', 'Lift the right leg.'],
          ['Lower the right leg.'],
          'Lie on the back.'
        )
      )
    ).toMatch(/strap is still on/)
  })
  test('a strap that one rolls over with, and legs that stay folded', () => {
    const rolled = ['Bend both knees.', 'Roll to the {right} side.']
    const strap = 'Loop the strap round the right foot.'
    expect(messages(out([strap], rolled, 'Lie on the back.'))).toMatch(/strap is still on/)
    expect(
      messages(out([strap], ['Slip off the strap.', ...rolled], 'Lie on the back.'))
    ).not.toMatch(/strap/)
    const folds = ['Fold the left heel to the right hip.', 'Lengthen the spine.']
    expect(messages(out(folds, ['Grow tall.'], 'Sit tall, legs long.'))).toMatch(
      /left leg is still folded/
    )
    for (const exit of [['Stretch the left leg out long.'], ['Stretch both legs out.']])
      expect(messages(out(folds, exit, 'Sit tall, legs long.'))).toBe('')
    // Who lies down on the way folds the legs as they come.
    expect(messages(out(folds, ['Lie on the back.'], 'Sit tall, legs long.'))).toBe('')
  })
  test('is silent when the way out takes it back, or was not understood', () => {
    expect(messages(out(['Sweep the left arm up.'], ['Lower the left arm.']))).toBe('')
    expect(messages(out(['Sweep the left arm up.'], ['Let the arm find its way home.']))).toBe('')
    expect(
      messages(
        out(
          ['Step the feet wide apart.', 'Turn the right foot out.'],
          ['Turn the right foot forward.']
        )
      )
    ).toBe('')
    expect(
      messages(
        out(['Loop the strap round the right foot.'], ['Slip off the strap.'], 'Lie on the back.')
      )
    ).toBe('')
  })
})

describe('props', () => {
  const card = (text: string, props: string[], note = '') =>
    lunge({ setUp: { place: 'Stand tall.', props, note }, enter: enter(text) })
  test('one that is named and not listed is offered for the set-up', () => {
    const faulty = card('Set the right hand on the block.', [])
    const [finding] = found(faulty, 'sense/props-named')
    expect(applyPatches(faulty, finding!.fix!.patches).setUp.props).toEqual(['block'])
    expect(found(card('Set the right hand on the brick.', ['block']), 'sense/props-named')).toEqual(
      []
    )
  })
  test('one that is listed and not used is told; a note uses it', () => {
    expect(found(card('Grow tall.', ['heel pad']), 'sense/props-used')).toHaveLength(1)
    expect(
      found(card('Grow tall.', ['heel pad'], 'Lay the pad under the heels.'), 'sense/props-used')
    ).toEqual([])
  })
  test.each([
    ['brick', 'block high', true],
    ['2 blocks', 'block low', true],
    ['bolster', 'ramp', true],
    ['two blocks', 'ramp', true],
    ['ramp', 'ramp', true],
    ['cushion', 'bolster', true],
    ['stool', 'chair', true],
    ['belt', 'block low', false],
    ['bolster', 'block low', false],
    ['eye pillow', 'bolster', false],
    ['wall', 'chair', false],
  ])('“%s” is used by a form that rests on the %s: %s', (prop, on, used) => {
    const drawn = card('Grow tall.', [prop])
    drawn.enter[0]!.figure = { angles: {}, contacts: [{ part: 'right palm', on }], straps: [] }
    expect(found(drawn, 'sense/props-used')).toHaveLength(used ? 0 : 1)
  })
  test('a strap is used by hands that hold it', () => {
    const drawn = card('Grow tall.', ['belt'])
    drawn.enter[0]!.figure = {
      angles: {},
      contacts: [],
      straps: [['left hand', 'right hand']],
    }
    expect(found(drawn, 'sense/props-used')).toEqual([])
  })
  test('one that only a note names is told, unless a rung lists it', () => {
    const noted = card('Grow tall.', [], 'Have a chair beside you.')
    expect(found(noted, 'sense/props-named').map(({ where }) => where)).toEqual(['setUp.note'])
    const rung = (props: string[], text: string): Card['ladder'][number] => ({
      id: 'r1',
      name: 'Easier',
      props,
      steps: { replace: [{ step: 's1', text }], add: [], omit: [] },
      upWhen: [],
      downWhen: [],
    })
    const listed = { ...noted, ladder: [rung(['chair'], 'Rest the right hand on the chair.')] }
    expect(found(listed, 'sense/props-named')).toEqual([])
    const lost = { ...noted, ladder: [rung(['wall'], 'Rest the right hand on the chair.')] }
    const [finding] = found(lost, 'sense/props-named').filter(({ where }) => /^ladder/.test(where))
    expect(finding!.where).toBe('ladder[0].steps.replace[0].text')
    expect(applyPatches(lost, finding!.fix!.patches).ladder[0]!.props).toEqual(['wall', 'chair'])
  })
  test('a hand that holds a strap is busy', () => {
    const busy = lunge({
      base: 'supine',
      setUp: { place: 'Lie on the back.', props: ['strap'], note: '' },
      enter: enter('Loop the strap round the right foot.', 'Place the left hand on the floor.'),
    })
    expect(found(busy, 'sense/still-busy')).toHaveLength(1)
  })
})

describe('a side that is not told', () => {
  const fix = (text: string) => {
    const card = lunge({ enter: enter('Grow tall.', text) })
    const [finding] = found(card, 'sense/which-side')
    return finding?.fix
      ? applyPatches(card, finding.fix.patches).enter[1]!.text
      : finding
        ? 'told'
        : null
  }
  test.each([
    ['Bend the knee.', 'Bend the right knee.'],
    ['Press the heel down.', 'Press the right heel down.'],
    ['Lift your arm up.', 'Lift your right arm up.'],
    ['Bend the front knee.', null],
    ['Bend both knees.', null],
    ['Bend the knees.', null],
    ['Lift one arm.', null],
    ['Step the left foot back, heel high.', null],
    ['Lengthen the neck.', null],
    ['Step the foot back, a leg length.', 'Step the right foot back, a leg length.'],
    ['Lift a foot.', null],
  ])('%s', (text, mended) => expect(fix(text)).toBe(mended))

  test.each<[string[], number]>([
    [['Lift the left arm.', 'Grow tall.', 'Lower the arm.'], 0],
    [['Lift the right leg.', 'Press the left foot.', 'Grow tall.', 'Lower the foot.'], 0],
    [['Grow tall.', 'Lower the arm.'], 1],
    [['Lift the left arm.', 'Grow tall.', 'Bend the arm.'], 1],
    [['Lift the left arm.', 'Lift both arms.', 'Grow tall.', 'Lower the arm.'], 1],
  ])('%j', (lines, asked) => {
    // The one limb that is up is meant where it comes down.
    const card = lunge({ enter: enter(...lines), sideNamedBy: 'direction turned', exit: [] })
    expect(found(card, 'sense/which-side')).toHaveLength(asked)
  })

  test('what the step before named is meant again', () => {
    const card = lunge({ enter: enter('Lift the left arm.', 'Lower the arm.') })
    expect(found(card, 'sense/which-side')).toEqual([])
  })
})

test('cues that ask opposite things of one part', () => {
  const two = (one: string, other: string, on: Card['alignment'][number]['on'] = 'both') =>
    found(
      lunge({ alignment: [cueOf(one), cueOf(other, { id: 'a2', on })] }),
      'sense/one-thing-asked'
    ).length
  expect(two('Lift the chin.', 'Lower the chin.')).toBe(1)
  expect(two('Keep the knees together.', 'Keep the knees apart.')).toBe(1)
  expect(two('Straighten the left leg.', 'Bend the left leg.')).toBe(1)
  expect(two('Press the feet down.', 'Lift the arches.')).toBe(0)
  expect(two('Straighten the left leg.', 'Bend the right leg.')).toBe(0)
  expect(two('Draw the shoulders down.', 'Lift the chest up.')).toBe(0)
})

test('cues out of order are put in order, and none is lost', () => {
  const card = lunge({
    alignment: [
      cueOf('Look level.', { id: 'a1', region: 'gaze' }),
      cueOf('Press the feet.', { id: 'a2', region: 'feet' }),
      cueOf('Level the hips.', { id: 'a3', region: 'hips and pelvis' }),
    ],
  })
  const [finding] = found(card, 'sense/ground-up')
  expect(applyPatches(card, finding!.fix!.patches).alignment.map(({ id }) => id)).toEqual([
    'a2',
    'a3',
    'a1',
  ])
})

describe('a step with two things in it', () => {
  test.each([
    [
      'Place the right hand on the shin, left arm up.',
      ['Place the right hand on the shin.', 'Left arm up.'],
    ],
    ['Lift the chest and bend the knees.', ['Lift the chest.', 'Bend the knees.']],
    [
      'Step the left foot back, then lower the left knee.',
      ['Step the left foot back.', 'Lower the left knee.'],
    ],
    ['Bend the right knee over the ankle.', null],
    ['Press the left and the right foot.', null],
    ['Press foot and leg together.', null],
  ])('%s', (text, parts) => {
    const cut = cutLine(text, 'en')
    expect(cut && [cut.first, cut.second]).toEqual(parts)
  })

  const card = lunge({
    enter: stepsOf([
      ['in', 'Grow tall.'],
      ['out', 'Place the right hand on the shin, left arm up.'],
    ]),
    ladder: [
      {
        id: 'wall',
        name: 'At the wall',
        props: [],
        steps: { replace: [{ step: 's2', text: 'Lean on the wall.' }], add: [], omit: [] },
        upWhen: [],
        downWhen: [],
      },
      {
        id: 'free',
        name: 'Free',
        props: [],
        steps: { replace: [], add: [], omit: [] },
        upWhen: [],
        downWhen: [],
      },
    ],
  })
  test('the second gets a step of its own: ids stay, breaths take turns, rungs are told', () => {
    const split = splitStep(card, 'enter[1].text')!
    const after = applyPatches(card, split.patches)
    expect(after.enter.map(({ id, text, breath }) => [id, text, breath])).toEqual([
      ['s1', 'Grow tall.', 'in'],
      ['s2', 'Place the right hand on the shin.', 'out'],
      ['s4', 'Left arm up.', 'in'],
    ])
    expect(split.rungs).toEqual(['At the wall'])
    expect(after.ladder.map(({ steps }) => steps.omit)).toEqual([['s4'], []])
  })
  test('it is the mend that is offered when the breath is too short, and no word is lost', () => {
    const [finding] = found(card, 'breath/said-within-the-breath')
    expect(finding!.fix!.label).toContain('Left arm up.')
    const said = applyPatches(card, finding!.fix!.patches)
      .enter.map(({ text }) => text)
      .join(' ')
      .toLowerCase()
    for (const word of ['hand', 'shin', 'left arm up']) expect(said).toContain(word)
  })
})
