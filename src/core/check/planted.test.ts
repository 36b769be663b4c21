import { readFileSync } from 'node:fs'
import { applyPatches, type Card, type Finding, valueAt } from '../card'
import { readCard } from '../formats'
import { checkCard } from './checkCard'

/**
 * One fault at a time put into a finished card, as it slips in when one writes: a word of the
 * wrong side, a breath, a number, a name. Common practice, no source.
 */

type Fault = [what: string, stands: string, instead: string, rule: string]

const FAULTS: Record<string, Fault[]> = {
  gate: [
    [
      'step: wrong breath for lift',
      '3. [in] Lift the left arm to the ceiling.',
      '3. [out] Lift the left arm to the ceiling.',
      'breath/in-and-out-take-turns',
    ],
    [
      'step: bend on in',
      '4. [out] Bend to the right, right hand down the shin.',
      '4. [in] Bend to the right, right hand down the shin.',
      'breath/in-and-out-take-turns',
    ],
    [
      'flip arm lift',
      '3. [in] Lift the left arm to the ceiling.',
      '3. [in] Lift the right arm to the ceiling.',
      'sides/slip',
    ],
    [
      'flip hip over knee',
      '2. [out] Stack the left hip over the left knee.',
      '2. [out] Stack the right hip over the left knee.',
      'sides/slip',
    ],
    [
      'flip leg out',
      '1. [in] Step the right leg out to the side, foot flat.',
      '1. [in] Step the left leg out to the side, foot flat.',
      'sides/slip',
    ],
    [
      'flip reach',
      '5. [in] Reach long from the left knee to the fingers.',
      '5. [in] Reach long from the right knee to the fingers.',
      'sides/slip',
    ],
    [
      'too long',
      '2. [out] Stack the left hip over the left knee.',
      '2. [out] Stack the left hip exactly over the left knee and, without letting the pelvis tip, press the shin down and feel how tall the spine can be.',
      'breath/said-within-the-breath',
    ],
    [
      'exit flip',
      '3. [in] Bring the right knee beside the left.',
      '3. [in] Bring the left knee beside the right.',
      'sides/slip',
    ],
    [
      'exit flip arm',
      '1. [in] Reach up through the left arm and rise.',
      '1. [in] Reach up through the right arm and rise.',
      'sides/slip',
    ],
    [
      'mistyped sanskrit',
      'sanskrit: parighāsana',
      'sanskrit: parighasana',
      'names/sanskrit-in-iast',
    ],
    [
      'cue flip kneecap',
      'Point the right kneecap at the ceiling',
      'Point the left kneecap at the ceiling',
      'sides/slip',
    ],
    [
      'cue flip foot',
      'Press the whole right foot down',
      'Press the whole left foot down',
      'sides/slip',
    ],
    ['cue flip ribs', 'Fan the left ribs open', 'Fan the right ribs open', 'sides/slip'],
    [
      'cue flip shoulder',
      'Drop the left shoulder from the ear',
      'Drop the right shoulder from the ear',
      'sides/slip',
    ],
    ['cue flip gaze', 'up under the left arm', 'up under the right arm', 'sides/slip'],
    [
      'hold text',
      'Let the head follow the long curve.',
      'Let the head follow the long curve and hold your breath here.',
      'breath/no-hold',
    ],
    [
      'negative only',
      'Drop the left shoulder from the ear.',
      "Don't hunch the left shoulder.",
      'mistakes/cue-says-what-to-do',
    ],
    [
      'cure claim',
      '- Say: Sit on the heels and breathe into the side that was long.',
      '- Say: Sit on the heels; this cures asthma and flushes the liver.',
      'claims/no-cure',
    ],
    ['pad flip', 'Pad the left knee', 'Pad the right knee', 'sides/slip'],
    ['brace', '2. [out] Lower the arm.', '2. [out] Lower the {arm}.', 'sides/braces-fix-a-side'],
    ['mistake flip', '- Seen: The right foot rolls', '- Seen: The left foot rolls', 'sides/slip'],
    [
      'mistake say flip',
      'Say: Press the left hip forward',
      'Say: Press the right hip forward',
      'sides/slip',
    ],
    [
      'measure off',
      'target: 0, tolerance: 10',
      'target: 40, tolerance: 5',
      'figure/keeps-the-cues',
    ],
    ['prop unused', '- Prop: block', '- Prop: block\n- Prop: strap', 'sense/props-used'],
    ['prop missing', '- Prop: blanket\n', '', 'sense/props-named'],
    ['region wrong', '- Gaze: Look level', '- Feet: Look level', 'sense/ground-up'],
    [
      'two ins',
      '2. [out] Lower the arm.',
      '2. [in] Lower the arm.',
      'breath/in-and-out-take-turns',
    ],
    ['pace retention', '    out: 5\n', '    out: 5\n    holdIn: 20\n', 'breath/no-hold'],
    ['breaths many', '  breaths: 5', '  breaths: 60', 'breath/usual-dose'],
    [
      'exit not back',
      '2. [out] Lower the arm.\n3. [in] Bring the right knee beside the left.',
      '2. [out] Lower the arm.',
      'sense/taken-back',
    ],
    [
      'twisted',
      '2. [out] Stack the left hip over the left knee.',
      '2. [out] Twist to the left.',
      'breath/lengthen-before-turn',
    ],
    ['gap', 'mealGapHours: 2', 'mealGapHours: 0.1', 'card/usual-meal-gap'],
  ],
  'seated-half-twist': [
    ['spine dir', 'spine: twist', 'spine: side', 'sense/family-fits'],
    ['base', 'base: seated', 'base: standing', 'sense/family-fits'],
    ['written for', 'writtenFor: right', 'writtenFor: left', 'sides/lead-agrees'],
    [
      'flip stand foot',
      '1. [in] Stand the right foot outside the left knee.',
      '1. [in] Stand the left foot outside the left knee.',
      'sides/slip',
    ],
    ['flip knee', 'outside the left knee.\n2', 'outside the right knee.\n2', 'sides/slip'],
    [
      'flip heel',
      '2. [out] Fold the left heel beside the right hip.',
      '2. [out] Fold the right heel beside the right hip.',
      'sense/words-and-figure',
    ],
    [
      'flip turn',
      '4. [out] Turn right, left arm round the knee.',
      '4. [out] Turn left, left arm round the knee.',
      'sides/slip',
    ],
    [
      'flip arm round',
      '4. [out] Turn right, left arm round the knee.',
      '4. [out] Turn right, right arm round the knee.',
      'sides/slip',
    ],
    [
      'flip hand behind',
      '5. [in] Set the right hand behind you',
      '5. [in] Set the left hand behind you',
      'sides/slip',
    ],
    [
      'flip turn further',
      '6. [out] Turn further right from the ribs.',
      '6. [out] Turn further left from the ribs.',
      'sides/slip',
    ],
    [
      'cue toe',
      '- Feet: Press the right big toe down.',
      '- Feet: Press the left big toe down.',
      'sides/slip',
    ],
    [
      'cue ribs both',
      'Turn the left ribs to the right thigh.',
      'Turn the right ribs to the right thigh.',
      'sides/slip',
    ],
    [
      'cue thigh',
      'Turn the left ribs to the right thigh.',
      'Turn the left ribs to the left thigh.',
      'sides/slip',
    ],
    [
      'gaze',
      'Look past the right shoulder, or over the left.',
      'Look past the left shoulder, or over the left.',
      'sides/slip',
    ],
    ['turn on in', '4. [out] Turn right', '4. [in] Turn right', 'breath/in-and-out-take-turns'],
    [
      'no lengthen',
      '3. [in] Lift the left arm and grow tall.',
      '3. [in] Set the left hand down.',
      'breath/lengthen-before-turn',
    ],
    ['sanskrit misspelt', 'ardha matsyendrāsana', 'ardha matsendrāsana', 'names/near-a-known-word'],
    ['sanskrit no marks', 'ardha matsyendrāsana', 'ardha matsyendrasana', 'names/sanskrit-in-iast'],
    ['meal gap', 'mealGapHours: 2', 'mealGapHours: 20', 'card/usual-meal-gap'],
    [
      'mistake wrong cue',
      '  - Say: Press the right big toe down.\n  - Cue: a1',
      '  - Say: Press the right big toe down.\n  - Cue: a5',
      'sense/mistake-meets-cue',
    ],
    ['dead cue', '  - Cue: a1', '  - Cue: a9', 'card/links-lead-somewhere'],
    [
      'correction neg',
      'Say: Press the right big toe down.',
      'Say: Don’t roll off the foot.',
      'mistakes/says-what-to-do',
    ],
    [
      'correction vague',
      'Say: Press the right big toe down.',
      'Say: Much better now.',
      'mistakes/names-a-part',
    ],
    [
      'mistake long',
      'Say: Make the right sit bone heavy.',
      'Say: Make the right sit bone as heavy as the left one and keep it there all through the whole turn.',
      'mistakes/one-breath',
    ],
    [
      'caution milder',
      '- Condition: osteoporosis\n  - Verdict: change',
      '- Condition: osteoporosis\n  - Verdict: fine',
      'cautions/contradict',
    ],
    [
      'caution unknown',
      '- Condition: spine injury',
      '- Condition: spyne injury',
      'cautions/condition-known',
    ],
    [
      'caution rung dead',
      '  - Rung: chair\n- Cond',
      '  - Rung: stool\n- Cond',
      'card/links-lead-somewhere',
    ],
    [
      'caution cure',
      'Say: Keep the turn small and upright, without the arm.',
      'Say: This turn heals the bones.',
      'claims/no-cure',
    ],
    [
      'two caution same',
      '- Condition: knee trouble',
      '- Condition: osteoporosis',
      'cautions/condition-once',
    ],
    [
      'rung order',
      '- Rung: On a chair\n  - Id: chair',
      '- Rung: On a chair\n  - Id: chair\n  - Reference: yes',
      'card/one-reference-rung',
    ],
    [
      'rung replace dead',
      '  - Replace s4: Turn right, left elbow',
      '  - Replace s9: Turn right, left elbow',
      'card/links-lead-somewhere',
    ],
    [
      'rung flip',
      'Replace s4: Turn right, left elbow outside the right knee.',
      'Replace s4: Turn right, right elbow outside the right knee.',
      'sides/slip',
    ],
    [
      'rung turn flip',
      'Replace s4: Turn right, left hand on the right thigh.',
      'Replace s4: Turn left, left hand on the right thigh.',
      'sides/slip',
    ],
    [
      'claim number',
      '- Experience: Viola players',
      '- Experience: 80 % of viola players',
      'claims/numbers-have-a-source',
    ],
    ['claim published', '- Experience: Viola', '- Published: Viola', 'card/claims-have-a-basis'],
    [
      'touch press in',
      '- Show the upward line',
      '- [in] Press the shoulder round; show the upward line',
      'touch/on-the-out',
    ],
    ['exit unlike', '3. [in] Stretch both legs out long.\n', '', 'sense/taken-back'],
    [
      'exit two ins',
      '2. [out] Unwind to the middle',
      '2. [in] Unwind to the middle',
      'breath/in-and-out-take-turns',
    ],
    ['between many', '- Breaths: 1', '- Breaths: 15', 'breath/usual-dose'],
    ['stay 1 breath no', '  breaths: 5', '  breaths: 500', 'breath/usual-dose'],
    ['step sec', '1. [in] Stand', '1. [in, 40 s] Stand', 'breath/usual-dose'],
    [
      'count no unit',
      '6. [out] Turn further right from the ribs.',
      '6. [out] Turn further right and hold for five.',
      'breath/count-of-what',
    ],
    [
      'hold',
      '6. [out] Turn further right from the ribs.',
      '6. [hold out] Turn further right from the ribs.',
      'breath/no-hold',
    ],
    [
      'other foot',
      '1. [in] Stand the right foot outside the left knee.',
      '1. [in] Stand the other foot outside the left knee.',
      'sides/other-than-what',
    ],
    ['which', '1. [in] Stand the right foot', '1. [in] Stand the foot', 'sense/which-side'],
    [
      'prop note',
      '- Note: Sit higher if the back rounds.',
      '- Note: Put a block beside you.',
      'sense/props-named',
    ],
    [
      'neg cue',
      '- Hips and pelvis: Keep both sit bones heavy.',
      '- Hips and pelvis: Never let a sit bone lift.',
      'mistakes/cue-says-what-to-do',
    ],
    [
      'opposite cue',
      '- Shoulders: Level the shoulders as you turn.',
      '- Feet: Lift the right big toe.',
      'sense/one-thing-asked',
    ],
    [
      'region order',
      '- Feet: Press the right big toe down.\n- Hips and pelvis: Keep both sit bones heavy.',
      '- Hips and pelvis: Keep both sit bones heavy.\n- Feet: Press the right big toe down.',
      'sense/ground-up',
    ],
    ['measure far', 'target: 0, tolerance: 5', 'target: 30, tolerance: 5', 'figure/keeps-the-cues'],
    [
      'measure unknown',
      'name: shoulders level',
      'name: shoulder leveling',
      'figure/keeps-the-cues',
    ],
    ['own counter', '- seated-fold', '- seated-half-twist', 'card/not-its-own-counter'],
  ],
}

const told = (card: Card) => checkCard(card)
const key = ({ rule, where, message }: Finding) => `${rule} ${where} ${message}`

describe.each(Object.entries(FAULTS))('%s', (id, faults) => {
  const text = readFileSync(`demo/${id}.md`, 'utf8')
  const right = readCard(text)
  const before = new Set(told(right).map(key))

  test.each(faults)('%s is told', (_, stands, instead, rule) => {
    expect(text.split(stands).length).toBeGreaterThan(1)
    const wrong = readCard(text.replace(stands, instead))
    const found = told(wrong).filter((each) => !before.has(key(each)))
    expect(found.map((each) => each.rule)).toContain(rule)
    // A mend that is offered for the word that was changed gives back what stood there.
    for (const { where, fix } of found.filter((each) => each.rule === 'sides/slip')) {
      const changed = valueAt(wrong, where) !== valueAt(right, where)
      if (fix && changed)
        expect(valueAt(applyPatches(wrong, fix.patches), where)).toBe(valueAt(right, where))
    }
  })

  test('as it stands nothing of the kind is told', () => {
    const rules = new Set(faults.map(([, , , rule]) => rule))
    expect([...before].filter((each) => rules.has(each.split(' ')[0]!))).toEqual([])
  })
})
