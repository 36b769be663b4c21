import { cueOf, demoCard, finishedCards, lunge, stepsOf } from '../../../tests/support/cards'
import { type Card, DEFAULT_SCHOOL, SECTIONS, withValue } from '../card'
import { conditions } from '../cautions'
import { form, ladderCard, squats } from '../../../tests/support/ladders'
import { checkCard, RULES } from '.'

/** Each rule once on what it is for, and once on the nearest thing that is right. */

const enter = (...lines: Parameters<typeof stepsOf>[0]) => lunge({ enter: stepsOf(lines) })
const more = (text: string) =>
  lunge({ enter: [...lunge().enter, { id: 's5', breath: 'in', text }] })
const cue = (text: string, of: Partial<Card['alignment'][number]> = {}) =>
  lunge({ alignment: [cueOf(text, of)] })
const rung = (id: string, of: Partial<Card['ladder'][number]> = {}): Card['ladder'][number] => ({
  id,
  name: 'A form',
  props: [],
  steps: { replace: [], add: [], omit: [] },
  upWhen: [],
  downWhen: [],
  ...of,
})
const folded = (caution: Card['cautions'][number]) =>
  ladderCard({ wide: form('standing-fold'), fold: form('standing-fold') }, 'fold', {
    cautions: [caution],
  })
const mistake = (of: Partial<Card['mistakes'][number]>) =>
  lunge({
    alignment: [cueOf('Press the left foot down.')],
    mistakes: [{ seen: 'The left foot lifts.', why: '', say: '', on: 'both', cue: 'a1', ...of }],
  })
const claim = (text: string, of: Partial<Card['effects'][number]> = {}) =>
  lunge({ effects: [{ text, basis: 'experience', ...of }] })
const touched = (text: string, breath: 'in' | 'out') =>
  lunge({ assists: [{ text, breath, stance: '', on: 'both' }] })
const FEET = ['left sole', 'right sole'].map((part) => ({ part, on: 'floor' }))
const figure = (of: object) =>
  lunge({
    setUp: { place: '', props: [], note: '', figure: of as NonNullable<Card['setUp']['figure']> },
  })
const even = (text: string) =>
  lunge({ sides: 'even', sideNamedBy: '', exit: [], enter: stepsOf([['free', text]]) })
const moving = (of: Partial<Card>) => lunge({ manner: 'moving', stay: { repeats: 6 }, ...of })
const cycle = (repeat?: number) =>
  moving({
    enter: stepsOf([
      ['in', 'Lift the chest.'],
      ['out', 'Lower the chest.'],
    ]).map((step) => ({ ...step, cycle: true as const, ...(repeat ? { repeat } : {}) })),
  })
const knee = (target: number) => ({
  ...figure({ angles: { leftKnee: { flexion: 0 } }, contacts: FEET }),
  alignment: [
    cueOf('Straighten the left knee.', {
      measure: { name: 'left knee angle', target, tolerance: 5, unit: 'deg' },
    }),
  ],
})

const caution = (condition: string): Card['cautions'][number] => ({
  condition,
  verdict: 'ask-first',
  say: 'Ask your clinician first.',
})
const sentTo = (rung: string) => ({
  ...demoCard('tree'),
  cautions: [{ ...caution('vertigo'), verdict: 'change' as const, rung }],
})
const called = (sanskrit: string) => lunge({ names: { ...lunge().names, sanskrit } })

const marked = (part: string) => ({
  ...figure({ angles: {}, contacts: FEET }),
  alignment: [cueOf('Press the left foot down.', { mark: { kind: 'press', part } })],
})

const posed = (lines: string[], angles: object) =>
  lunge({
    enter: stepsOf(
      lines.map((text, i) => [
        'out',
        text,
        i === lines.length - 1
          ? { figure: { angles, contacts: FEET } as NonNullable<Card['setUp']['figure']> }
          : {},
      ])
    ),
  })
const wayOut = (last: string) =>
  lunge({
    enter: stepsOf([['in', 'Sweep both arms up.']]),
    exit: stepsOf([['out', last]], 'x'),
  })
const withProps = (text: string, props: string[]) =>
  lunge({ setUp: { place: 'Stand tall.', props, note: '' }, enter: stepsOf([['out', text]]) })
const cueTwice = (one: string, other: string) =>
  lunge({
    alignment: [cueOf(one, { region: 'knees' }), cueOf(other, { id: 'a2', region: 'knees' })],
  })
const corrected = (say: string) =>
  lunge({
    alignment: [cueOf('Keep the right knee over the ankle.', { region: 'knees' })],
    mistakes: [{ seen: 'The knee falls in.', why: 'b', say, on: 'both', cue: 'a1' }],
  })

const ladderOf = (...names: string[]) =>
  ladderCard(Object.fromEntries(names.map((name) => [name, squats()[name]!])), 'half')
const oneSided = (on: Card['alignment'][number]['on']) =>
  ladderCard(
    { high: squats().high!, half: squats().half! },
    'half',
    { sides: 'sided', sideNamedBy: 'front leg' },
    {
      high: {
        cues: { replace: [], omit: [], add: [cueOf('Press the foot down.', { id: 'b1', on })] },
      },
    }
  )

const CASES: Record<string, [fires: Card, silent: Card]> = {
  'card/one-id-one-part': [withValue(lunge(), 'enter[1].id', 's1'), lunge()],
  'card/links-lead-somewhere': [
    lunge({ mistakes: [{ seen: 'a', why: 'b', say: 'c', on: 'both', cue: 'a9' }] }),
    {
      ...cue('Press down.'),
      mistakes: [{ seen: 'a', why: 'b', say: 'c', on: 'both', cue: 'a1' }],
    },
  ],
  'card/language-is-known': [lunge({ language: 'eo' }), lunge({ language: 'en-GB' })],
  'card/one-reference-rung': [
    lunge({ ladder: [rung('a', { reference: true }), rung('b', { reference: true })] }),
    lunge({ ladder: [rung('a', { reference: true }), rung('b')] }),
  ],
  'card/not-its-own-counter': [{ ...lunge(), counter: [lunge().id] }, lunge({ counter: ['tree'] })],
  'card/claims-have-a-basis': [
    lunge({ effects: [{ text: 'It calms.', basis: 'published' }] }),
    lunge({ effects: [{ text: 'It calms.', basis: 'published', source: 'A study, 2019' }] }),
  ],
  'names/sanskrit-in-iast': [
    withValue(lunge(), 'names.sanskrit', 'anjaneyasana'),
    withValue(lunge(), 'names.sanskrit', 'añjaneyāsana'),
  ],
  'sides/unsure-word': [more('Drop left under the ribs.'), more('Drop the left ribs.')],
  'sides/suspect-fixed': [
    lunge({ exit: stepsOf([['out', 'Roll to the right side and sit up.']], 'x') }),
    lunge({ exit: stepsOf([['out', 'Roll to the {right} side and sit up.']], 'x') }),
  ],
  'sides/silent-swap': [more('Interlace the fingers.'), more('Interlace, right thumb on top.')],
  'sides/one-sided-cue-is-marked': [
    cue('Hold the right side only.'),
    cue('Hold the right side only.', { on: 'right-only' }),
  ],
  'sides/same-form-on-both': [
    more('Stay three breaths on the right side, five on the left side.'),
    more('Stay three breaths on the right side, three on the left side.'),
  ],
  'sides/lead-agrees': [
    enter(['in', 'Grow tall.'], ['out', 'Step the right foot back.']),
    enter(['in', 'Grow tall.'], ['out', 'Step the left foot back.']),
  ],
  'sides/slip': [more('Bend the left knee deeper.'), more('Bend the right knee deeper.')],
  'sides/other-than-what': [
    enter(['in', 'Lift the other foot.']),
    enter(['in', 'Lift one foot, then the other foot.']),
  ],
  'sides/front-back-is-set': [
    enter(['in', 'Press the back heel.']),
    enter(['in', 'Step one foot back and press the back heel.']),
  ],
  'sides/braces-fix-a-side': [more('Stay here {cycle}.'), more('Hold the {right} wall.')],
  'sides/even-names-both': [
    even('Lift the left heel.'),
    even('Lift the left heel, then the right.'),
  ],
  'breath/in-and-out-take-turns': [
    enter(['in', 'Grow tall.'], ['in', 'Lift the arms.']),
    enter(['in', 'Grow tall.'], ['free', 'Feel.'], ['in', 'Lift the arms.']),
  ],
  'breath/fold-on-out': [enter(['in', 'Fold forward.']), enter(['in', 'Fold the blanket.'])],
  'breath/lengthen-before-turn': [
    lunge({ spine: 'twist', enter: stepsOf([['out', 'Turn to the right.']]) }),
    lunge({
      spine: 'twist',
      enter: stepsOf([
        ['in', 'Grow tall.'],
        ['out', 'Turn to the right.'],
      ]),
    }),
  ],
  'breath/one-movement-a-phase': [
    enter(['in', 'Lift the arms and bend the knees.']),
    enter(['in', 'Lift the arms and spread the fingers.']),
  ],
  'breath/no-hold': [enter(['hold-in', 'Stay.']), enter(['free', 'Never hold the breath.'])],
  'breath/count-of-what': [cue('Hold for five.'), cue('Hold for five breaths.')],
  'breath/said-within-the-breath': [
    enter(['in', 'Step the left foot back a whole leg length along the mat, heel high.']),
    enter(['in', 'Step the left foot back.']),
  ],
  'breath/cycle-is-marked': [moving({}), cycle()],
  'breath/cycle-counts-once': [cycle(2), cycle()],
  'breath/usual-dose': [
    lunge({ stay: { breaths: 60, repeats: 1 } }),
    lunge({ stay: { breaths: 10, repeats: 1 } }),
  ],
  'card/usual-meal-gap': [
    lunge({ when: { mealGapHours: 0.2, timeOfDay: '' } }),
    lunge({ when: { mealGapHours: 1.5, timeOfDay: '' } }),
  ],
  'sense/family-fits': [{ ...demoCard('seated-fold'), base: 'standing' }, demoCard('seated-fold')],
  'figure/can-be-read': [
    figure({ angles: { leftWing: { flexion: 3 } } }),
    figure({ angles: {}, contacts: FEET }),
  ],
  'figure/contacts-are-met': [
    figure({
      angles: {},
      contacts: FEET,
      straps: [
        ['left palm', 'right palm', 1],
        ['crown', 'left heel', 5],
      ],
    }),
    figure({ angles: {}, contacts: FEET }),
  ],
  'figure/keeps-the-cues': [knee(60), knee(0)],
  'figure/marks-are-drawn': [marked('left eyebrow'), marked('left foot')],
  'sense/words-and-figure': [
    posed(['Turn to the right.'], { ribs: { rotation: 30 } }),
    posed(['Turn to the right.'], { ribs: { rotation: -30 } }),
  ],
  'sense/already-there': [
    enter(['in', 'Grow tall.'], ['out', 'Lift the left knee.'], ['in', 'Lift the left knee.']),
    enter(['in', 'Grow tall.'], ['out', 'Lift the left knee.'], ['in', 'Straighten the left leg.']),
  ],
  'sense/still-busy': [
    enter(['in', 'Lift the left knee.'], ['out', 'Lift the right foot.']),
    enter(
      ['in', 'Lift the left knee.'],
      ['out', 'Set the left foot down.'],
      ['in', 'Lift the right foot.']
    ),
  ],
  'sense/taken-back': [wayOut('Step the feet together.'), wayOut('Lower both arms.')],
  'sense/props-named': [
    withProps('Set the right hand on the block.', ['strap']),
    withProps('Set the right hand on the block.', ['block']),
  ],
  'sense/props-used': [
    withProps('Set the right hand on the block.', ['block', 'strap']),
    withProps('Set the right hand on the block.', ['block']),
  ],
  'sense/which-side': [more('Press the heel down.'), more('Press the back heel down.')],
  'sense/one-thing-asked': [
    cueTwice('Turn the right knee out.', 'Turn the right knee in.'),
    cueTwice('Turn the right knee out.', 'Turn the left knee in.'),
  ],
  'sense/ground-up': [
    lunge({
      alignment: [
        cueOf('Level the hips.', { region: 'hips and pelvis' }),
        cueOf('Press the feet.', { id: 'a2', region: 'feet' }),
      ],
    }),
    lunge({
      alignment: [
        cueOf('Press the feet.', { region: 'feet' }),
        cueOf('Level the hips.', { id: 'a2', region: 'hips and pelvis' }),
      ],
    }),
  ],
  'sense/does-something': [
    enter(['in', 'Feel the floor.'], ['out', 'Step the left foot back.']),
    enter(['in', 'Press the feet.'], ['out', 'Step the left foot back.']),
  ],
  'sense/mistake-meets-cue': [
    corrected('Soften the jaw.'),
    corrected('Send the knee over the toes.'),
  ],
  'figure/does-not-fall': [
    figure({ angles: { pelvis: { tilt: 60 } }, contacts: FEET }),
    figure({ angles: { pelvis: { tilt: 2 } }, contacts: FEET }),
  ],
  'figure/within-its-ranges': [
    figure({ angles: { leftKnee: { flexion: 200 }, rightKnee: { flexion: 200 } }, contacts: FEET }),
    figure({ angles: { leftKnee: { flexion: 20 }, rightKnee: { flexion: 20 } }, contacts: FEET }),
  ],
  'figure/limbs-apart': [
    figure({
      angles: { leftHip: { abduction: -25 }, rightHip: { abduction: -25 } },
      contacts: FEET,
    }),
    figure({ angles: { leftHip: { abduction: 10 }, rightHip: { abduction: 10 } }, contacts: FEET }),
  ],
  'ladder/climbs': [ladderOf('half', 'deep', 'high'), ladderOf('high', 'half', 'deep')],
  'ladder/no-leaps': [
    ladderCard({ tall: form('standing'), fold: form('standing-fold') }, 'fold'),
    ladderOf('high', 'half'),
  ],
  'ladder/rungs-differ': [
    ladderCard({ high: squats().high!, a: squats().half!, b: squats().half! }, 'b'),
    ladderOf('high', 'half'),
  ],
  'ladder/props-support': [
    ladderCard(
      { block: squats().deep!, half: squats().half! },
      'half',
      {},
      { block: { props: ['block'] } }
    ),
    ladderCard(
      { block: squats().high!, half: squats().half! },
      'half',
      {},
      { block: { props: ['block'] } }
    ),
  ],
  'ladder/has-an-easier-way': [
    ladderCard({ half: squats().half!, deep: squats().deep! }, 'half'),
    ladderOf('high', 'half'),
  ],
  'ladder/has-signs': [
    ladderCard(
      { high: squats().high!, half: squats().half! },
      'half',
      {},
      { half: { downWhen: [] } }
    ),
    ladderOf('high', 'half'),
  ],
  'ladder/signs-are-met': [
    ladderCard(
      { high: squats().high!, half: squats().half! },
      'half',
      {},
      {
        high: { upWhen: ['the knee bends (left knee angle 90 deg ± 5)'] },
      }
    ),
    ladderCard(
      { high: squats().high!, half: squats().half! },
      'half',
      {},
      {
        high: { upWhen: ['the knee bends (left knee angle 32 deg ± 12)'] },
      }
    ),
  ],
  'ladder/same-on-both-sides': [oneSided('left-only'), oneSided('both')],
  'cautions/contradict': [
    folded({ condition: 'glaucoma', verdict: 'fine', say: '' }),
    folded({ condition: 'glaucoma', verdict: 'avoid', say: '' }),
  ],
  'cautions/no-ground': [
    folded({ condition: 'wrist trouble', verdict: 'avoid', say: '' }),
    folded({ condition: 'glaucoma', verdict: 'avoid', say: '' }),
  ],
  'cautions/reason-holds': [
    folded({
      condition: 'glaucoma',
      verdict: 'change',
      say: '',
      reason: 'only for a breath',
      over: 'avoid: head below heart from 30 cm avoid',
    }),
    folded({ condition: 'glaucoma', verdict: 'avoid', say: '' }),
  ],
  'cautions/condition-known': [
    folded({ condition: 'purple knees', verdict: 'avoid', say: '' }),
    folded({ condition: 'wrist pain', verdict: 'change', say: '' }),
  ],
  'cautions/way-out': [
    folded({ condition: 'reflux', verdict: 'change', say: '' }),
    {
      ...folded({ condition: 'reflux', verdict: 'change', say: '' }),
      cautions: conditions.map(({ name }) => ({
        condition: name,
        verdict: 'avoid' as const,
        say: '',
        instead: 'mountain',
      })),
    },
  ],
  'mistakes/says-what-to-do': [
    mistake({ say: 'Don’t let the knee roll in.' }),
    mistake({ say: 'Press the foot down, don’t grip the toes.' }),
  ],
  'cautions/condition-once': [
    lunge({ cautions: [caution('vertigo'), caution('dizziness')] }),
    lunge({ cautions: [caution('vertigo'), caution('osteoporosis')] }),
  ],
  'cautions/rung-asks-less': [sentTo('thigh'), sentTo('wall')],
  'names/near-a-known-word': [called('matsendrāsana'), called('matsyāsana')],
  'mistakes/cue-says-what-to-do': [
    cue('Don’t let the left knee roll in.'),
    cue('Press the left foot down, don’t grip the toes.'),
  ],
  'mistakes/one-breath': [
    mistake({ say: 'Press the whole of the left foot down into the floor, slowly.' }),
    mistake({ say: 'Press the left foot down.' }),
  ],
  'mistakes/names-a-part': [mistake({ say: 'Better!' }), mistake({ say: 'Breathe out longer.' })],
  'mistakes/has-a-cue': [
    mistake({ cue: undefined }),
    mistake({ seen: 'The left foot rolls in.', cue: 'a1' }),
  ],
  'claims/no-cure': [claim('Cures back pain.'), claim('Is said to help with back pain.')],
  'claims/no-promise': [claim('Will lower the pulse.'), claim('May lower the pulse.')],
  'claims/numbers-have-a-source': [
    claim('Slows the breath by 30 %.'),
    claim('Slows the breath by 30 %.', { basis: 'published', source: 'A study, 2001' }),
  ],
  'touch/on-the-out': [
    touched('Press the hips back with both hands.', 'in'),
    touched('Press the hips back with both hands.', 'out'),
  ],
}

/** Rules that look at the whole deck have cases of their own (`cautions`, `mistakes`). */
const OF_DECK = RULES.filter(({ deck }) => deck).map(({ id }) => id)

const rulesOn = (card: Card, asked = false) =>
  checkCard(card, DEFAULT_SCHOOL, asked).map(({ rule }) => rule)

test('every rule of the register has its case', () => {
  expect(Object.keys(CASES).sort()).toEqual(
    RULES.filter(({ whenAsked, id }) => !whenAsked && !OF_DECK.includes(id))
      .map(({ id }) => id)
      .sort()
  )
})

test.each(Object.entries(CASES))(
  '%s fires, and is silent on a near miss',
  (id, [fires, silent]) => {
    expect(rulesOn(fires)).toContain(id)
    expect(rulesOn(silent)).not.toContain(id)
  }
)

/** What makes a section unwritten. */
const TAKEN: Partial<Record<(typeof SECTIONS)[number]['id'], Partial<Card>>> = {
  name: { names: { common: [], sanskrit: '', aliases: [], meaning: '' } },
  when: { when: { timeOfDay: '' } },
  setup: { setUp: { place: '', props: [], note: '' } },
  enter: { enter: [] },
  alignment: { alignment: [] },
  stay: { stay: { repeats: 1 } },
  mistakes: { mistakes: [] },
  cautions: { cautions: [] },
  ladder: { ladder: [] },
  exit: { exit: [] },
  rest: { counter: [] },
}

test.each(SECTIONS.map(({ id }) => id))(
  'what is missing of “%s” is told when review is asked for',
  (id) => {
    const card = finishedCards().find((each) => each.id === 'gate')!
    const without = { ...card, ...TAKEN[id] }
    expect(rulesOn(card, true)).not.toContain(`card/${id}-complete`)
    expect(rulesOn(without, true)).toContain(`card/${id}-complete`)
    expect(rulesOn(without)).not.toContain(`card/${id}-complete`)
  }
)
