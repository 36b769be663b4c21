import { demoCard, demoText } from '../../../tests/support/cards'
import { applyPatches, type Card, type Finding, otherSide, valueAt } from '../card'
import { remember } from '../language'
import { keptFor } from '../figure'
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
  'long-side-angle': [
    [
      'the other foot stepped back',
      '1. [in] Step the left foot back, a leg length.',
      '1. [in] Step the right foot back, a leg length.',
      'sides/slip',
    ],
    [
      'the other toes turned',
      '2. [out] Turn the right toes to the short edge.',
      '2. [out] Turn the left toes to the short edge.',
      'sides/slip',
    ],
    [
      'the other knee bent',
      '4. [out] Bend the right knee over the ankle.',
      '4. [out] Bend the left knee over the ankle.',
      'sides/slip',
    ],
    [
      'the other forearm on the thigh',
      '6. [out] Set the right forearm on the thigh.',
      '6. [out] Set the left forearm on the thigh.',
      'sides/slip',
    ],
    [
      'the other arm past the ear',
      '7. [in] Sweep the left arm past the ear.',
      '7. [in] Sweep the right arm past the ear.',
      'sides/slip',
    ],
    [
      'a cue for the other foot',
      'Press the outer edge of the left foot.\n  - Mark',
      'Press the outer edge of the right foot.\n  - Mark',
      'sides/slip',
    ],
    [
      'a cue for the other knee',
      'Point the right knee along',
      'Point the left knee along',
      'sides/slip',
    ],
    [
      'a cue for the other hip',
      '- Hips and pelvis: Draw the right hip back under you.',
      '- Hips and pelvis: Draw the left hip back under you.',
      'sides/slip',
    ],
    [
      'the other ribs rolled up',
      'Roll the left ribs up to the ceiling.',
      'Roll the right ribs up to the ceiling.',
      'sides/slip',
    ],
    [
      'the other shoulder',
      '- Shoulders: Slide the left shoulder away',
      '- Shoulders: Slide the right shoulder away',
      'sides/slip',
    ],
    [
      'a gaze past the lower arm',
      'or up past the left arm.',
      'or up past the right arm.',
      'sides/slip',
    ],
    [
      'the other leg straightened',
      '2. [out] Straighten the right leg, lower the arms.',
      '2. [out] Straighten the left leg, lower the arms.',
      'sides/slip',
    ],
    [
      'arms left up',
      '2. [out] Straighten the right leg, lower the arms.',
      '2. [out] Straighten the right leg.',
      'sense/taken-back',
    ],
    [
      'toes left turned',
      '3. [in] Turn the right toes forward.\n4. [out] Walk the feet together, heel and toe.',
      '3. [in] Grow tall.',
      'sense/taken-back',
    ],
    [
      'bend on an in',
      '4. [out] Bend the right knee over the ankle.',
      '4. [in] Bend the right knee over the ankle.',
      'breath/in-and-out-take-turns',
    ],
    ['a side bend filed as a fold', 'spine: side', 'spine: forward', 'sense/family-fits'],
    ['a side bend filed as a twist', 'spine: side', 'spine: twist', 'sense/family-fits'],
    [
      'a measure of another knee',
      'target: 0, tolerance: 12',
      'target: 60, tolerance: 5',
      'figure/keeps-the-cues',
    ],
    [
      'a rung that thanks the wrong arm',
      'Replace s6: Reach the right fingers to the floor.',
      'Replace s6: Reach the left fingers to the floor.',
      'sides/slip',
    ],
    [
      'a rung that rests the other hand',
      'Replace s6: Rest the right hand on the chair.',
      'Replace s6: Rest the left hand on the chair.',
      'sides/slip',
    ],
    [
      'a rung with a chair that is not listed',
      '  - Prop: wall\n  - Prop: chair\n  - Replace s6',
      '  - Prop: wall\n  - Replace s6',
      'sense/props-named',
    ],
    [
      'praevia called change',
      '- Condition: placenta praevia\n  - Verdict: avoid',
      '- Condition: placenta praevia\n  - Verdict: change',
      'cautions/contradict',
    ],
    [
      'an unknown condition',
      '- Condition: groin strain',
      '- Condition: groyn pull',
      'cautions/condition-known',
    ],
    [
      'a cure in the effects',
      'Said to steady the legs and open the side ribs.',
      'Cures sciatica and flushes the kidneys.',
      'claims/no-cure',
    ],
    [
      'a touch pressed on the in',
      '- [out] Steady the right outer hip with your own hip.',
      '- [in] Press the right outer hip forward with your own hip.',
      'touch/on-the-out',
    ],
    [
      'a count of nothing',
      '5. [in] Grow long through the crown.',
      '5. [in] Grow long and hold for ten.',
      'breath/count-of-what',
    ],
    [
      'one breath too much to say',
      '5. [in] Grow long through the crown.',
      '5. [in] Grow long through the crown, soften the throat, and let the ribs widen on both sides equally.',
      'breath/one-movement-a-phase',
    ],
    [
      'a foot that has no side',
      '1. [in] Step the left foot back',
      '1. [in] Step the foot back',
      'sense/which-side',
    ],
    [
      'a Sanskrit name without marks',
      'utthita pārśvakoṇāsana',
      'utthita parsvakonasana',
      'names/sanskrit-in-iast',
    ],
    [
      'the pause of a minute',
      '- Breaths: 2\n- Say: Stand still',
      '- Breaths: 8\n- Say: Stand still',
      'breath/usual-dose',
    ],
    ['a meal gap in minutes', 'mealGapHours: 2', 'mealGapHours: 0.2', 'card/usual-meal-gap'],
  ],
  tree: [
    [
      'weight on the leg that lifts',
      '1. [in] Shift the weight onto the left foot.',
      '1. [in] Shift the weight onto the right foot.',
      'sides/slip',
    ],
    [
      'the other knee out',
      '2. [out] Turn the right knee out.',
      '2. [out] Turn the left knee out.',
      'sides/slip',
    ],
    [
      'the other foot set',
      '3. [in] Set the right foot on the left shin.',
      '3. [in] Set the left foot on the right shin.',
      'sides/slip',
    ],
    [
      'a foot on its own shin',
      '3. [in] Set the right foot on the left shin.',
      '3. [in] Set the right foot on the right shin.',
      'sides/slip',
    ],
    [
      'the lifted big toe pressed down',
      '- Feet: Press the left big toe mound down.',
      '- Feet: Press the right big toe mound down.',
      'sides/slip',
    ],
    [
      'the other ankle',
      '- Ankles: Keep the left ankle quiet.',
      '- Ankles: Keep the right ankle quiet.',
      'sides/slip',
    ],
    [
      'a cue for the other knee',
      'Point the right knee out, not the hip.',
      'Point the left knee out, not the hip.',
      'sides/slip',
    ],
    [
      'the standing knee brought front',
      '2. [out] Bring the right knee to the front.',
      '2. [out] Bring the left knee to the front.',
      'sides/slip',
    ],
    [
      'the standing foot set down',
      '3. [in] Set the right foot down.\n\n',
      '3. [in] Set the left foot down.\n\n',
      'sides/slip',
    ],
    [
      'the foot never set down',
      '3. [in] Set the right foot down.\n\n',
      '\n',
      'card/links-lead-somewhere',
    ],
    [
      'a mistake of the other foot',
      '- Seen: The left big toe lifts.',
      '- Seen: The right big toe lifts.',
      'sides/slip',
    ],
    [
      'a correction of the other foot',
      'Say: Press the left big toe mound.',
      'Say: Press the right big toe mound.',
      'sides/slip',
    ],
    [
      'a rung on its own ankle',
      'Replace s3: Set the right heel on the left ankle.',
      'Replace s3: Set the right heel on the right ankle.',
      'sides/slip',
    ],
    ['filed under seated', 'base: standing', 'base: seated', 'sense/family-fits'],
    ['filed as a back bend', 'spine: lengthen', 'spine: twist', 'sense/family-fits'],
    [
      'vertigo called fine',
      '- Condition: vertigo\n  - Verdict: change',
      '- Condition: vertigo\n  - Verdict: fine',
      'cautions/contradict',
    ],
    [
      'vertigo sent to the hardest rung',
      '  - Say: Keep a hand on the wall.\n  - Rung: wall',
      '  - Say: Keep a hand on the wall.\n  - Rung: thigh',
      'cautions/rung-asks-less',
    ],
    [
      'vertigo twice',
      '- Condition: osteoporosis',
      '- Condition: dizziness',
      'cautions/condition-once',
    ],
    [
      'hips that are not level',
      'target: 0, tolerance: 3',
      'target: 20, tolerance: 3',
      'figure/keeps-the-cues',
    ],
    ['two measures for one name', 'name: hips level', 'name: hip level', 'figure/keeps-the-cues'],
    [
      'ribs sent two ways',
      '- Shoulders: Let both shoulders hang.',
      '- Shoulders: Lift both shoulders to the ears.\n- Shoulders: Let both shoulders hang.',
      'sense/one-thing-asked',
    ],
    [
      'the breath held',
      '4. [out] Press foot and leg together.',
      '4. [hold out] Press foot and leg together.',
      'breath/no-hold',
    ],
    [
      'the breath held in words',
      '- Gaze: Rest the eyes on one still point.',
      '- Gaze: Hold the breath and rest the eyes.',
      'breath/no-hold',
    ],
    [
      'only a don’t',
      'Say: Let both shoulders hang.',
      'Say: Don’t lift the shoulders.',
      'mistakes/says-what-to-do',
    ],
    ['a stay of an hour', '  breaths: 5', '  breaths: 400', 'breath/usual-dose'],
  ],
  'low-cobra': [
    [
      'a lift on the out',
      '3. [in, cycle] Lengthen, and float the chest up.',
      '3. [out, cycle] Lengthen, and float the chest up.',
      'breath/in-and-out-take-turns',
    ],
    [
      'a lower on the in',
      '4. [out, cycle] Lower the chest, forehead last.',
      '4. [in, cycle] Lower the chest, forehead last.',
      'breath/in-and-out-take-turns',
    ],
    [
      'one elbow',
      '- Elbows: Hug the elbows to the ribs.',
      '- Elbows: Hug the left elbow to the ribs.',
      'sides/even-names-both',
    ],
    [
      'one foot',
      '2. [out] Press the tops of the feet down.',
      '2. [out] Press the top of the right foot down.',
      'sides/even-names-both',
    ],
    [
      'no cycle',
      '3. [in, cycle] Lengthen, and float the chest up.\n4. [out, cycle]',
      '3. [in] Lengthen, and float the chest up.\n4. [out]',
      'breath/cycle-is-marked',
    ],
    ['eighty rounds', '  repeats: 5', '  repeats: 80', 'breath/usual-dose'],
    ['prone filed as supine', 'base: prone', 'base: supine', 'sense/family-fits'],
    ['a back bend filed as a fold', 'spine: back', 'spine: forward', 'sense/family-fits'],
    [
      'pregnancy called fine',
      '- Condition: second trimester\n  - Verdict: avoid',
      '- Condition: second trimester\n  - Verdict: fine',
      'cautions/contradict',
    ],
    [
      'wrist trouble sent nowhere',
      '  - Rung: sphinx\n- Cond',
      '  - Rung: forearms\n- Cond',
      'card/links-lead-somewhere',
    ],
    [
      'a correction about something else',
      'Say: Look ahead, the back of the neck long.',
      'Say: Press the toes down.',
      'sense/mistake-meets-cue',
    ],
    [
      'a gaze before the ground',
      '- Feet: Press all ten toenails down.',
      '- Gaze: Look ahead.\n- Feet: Press all ten toenails down.',
      'sense/ground-up',
    ],
    [
      'a neck that the figure does not have',
      'target: -10, tolerance: 10',
      'target: 40, tolerance: 5',
      'figure/keeps-the-cues',
    ],
    [
      'ten per cent',
      'Flautists report',
      'Of all flautists 70 % report',
      'claims/numbers-have-a-source',
    ],
    [
      'the prop never used',
      '- Prop: blanket',
      '- Prop: blanket\n- Prop: strap',
      'sense/props-used',
    ],
    [
      'a bolster from nowhere',
      '- Note: Lay the blanket under the hip bones.',
      '- Note: Lay the bolster under the hip bones.',
      'sense/props-named',
    ],
    [
      'two things on one breath',
      '3. [in, cycle] Lengthen, and float the chest up.',
      '3. [in, cycle] Float the chest up and bend the knees.',
      'breath/one-movement-a-phase',
    ],
    [
      'a rung that stands on nothing',
      '  - Replace s3: Lengthen, and float the collarbones up.',
      '  - Replace s7: Lengthen, and float the collarbones up.',
      'card/links-lead-somewhere',
    ],
    [
      'a caution that promises',
      'Say: Rest on the forearms.',
      'Say: This pose will always heal the wrist.',
      'claims/no-cure',
    ],
    [
      'a fold on the in',
      '2. [out] Press the tops of the feet down.',
      '2. [in] Fold forward over the legs.',
      'breath/fold-on-out',
    ],
  ],
  'reclined-leg-stretch': [
    [
      'the other knee drawn in',
      '1. [in] Draw the right knee to the chest.',
      '1. [in] Draw the left knee to the chest.',
      'sides/slip',
    ],
    [
      'the strap on the other foot',
      '2. [out] Loop the strap round the right arch.',
      '2. [out] Loop the strap round the left arch.',
      'sides/slip',
    ],
    [
      'the other leg stretched up',
      '3. [in] Stretch the right leg to the ceiling.',
      '3. [in] Stretch the left leg to the ceiling.',
      'sides/slip',
    ],
    [
      'the lifted leg slid long',
      '4. [out] Slide the left leg long on the floor.',
      '4. [out] Slide the right leg long on the floor.',
      'sides/slip',
    ],
    [
      'toes of the other foot',
      '- Feet: Spread the right toes',
      '- Feet: Spread the left toes',
      'sides/slip',
    ],
    [
      'the other knee soft',
      '- Knees: Keep the right knee soft',
      '- Knees: Keep the left knee soft',
      'sides/slip',
    ],
    [
      'the roll set free',
      'Roll to your {right} side',
      'Roll to your right side',
      'sides/suspect-fixed',
    ],
    [
      'a side lain on set free',
      'lie on the {left} side',
      'lie on the left side',
      'sides/suspect-fixed',
    ],
    [
      'the strap left on',
      '2. [out] Slip off the strap, right foot down.',
      '2. [out] Right foot down.',
      'sense/taken-back',
    ],
    [
      'the other foot down',
      '2. [out] Slip off the strap, right foot down.',
      '2. [out] Slip off the strap, left foot down.',
      'sides/slip',
    ],
    [
      'a strap that nobody has',
      '- Prop: strap\n- Prop: blanket',
      '- Prop: blanket',
      'sense/props-named',
    ],
    [
      'a source lost',
      '  - Source: Bandy & Irion, Physical Therapy 1994 (from memory)\n',
      '',
      'card/claims-have-a-basis',
    ],
    [
      'disc trouble called fine',
      '- Condition: disc trouble\n  - Verdict: change',
      '- Condition: disc trouble\n  - Verdict: fine',
      'cautions/contradict',
    ],
    ['filed under standing', 'base: supine', 'base: standing', 'sense/family-fits'],
    [
      'braces round a word',
      '- Neck and head: Let the chin be level.',
      '- Neck and head: Let the {chin} be level.',
      'sides/braces-fix-a-side',
    ],
    [
      'the hip of the other leg',
      '- Seen: The right hip hikes towards the ribs.\n  - Why: The waist shortens, and the stretch goes to the back.\n  - Say: Push the right hip away',
      '- Seen: The right hip hikes towards the ribs.\n  - Why: The waist shortens, and the stretch goes to the back.\n  - Say: Push the left hip away',
      'sides/slip',
    ],
    [
      'a side of the other foot',
      '  - Say: Push through the right heel.',
      '  - Say: Push through the left heel.',
      'sides/slip',
    ],
    ['a single count of seconds as breaths', '  breaths: 8', '  breaths: 90', 'breath/usual-dose'],
  ],
  'cross-legged-twist': [
    [
      'the other shin in front',
      'right shin in front of the left.',
      'left shin in front of the right.',
      'sides/slip',
    ],
    [
      'a shin in front of itself',
      'right shin in front of the left.',
      'right shin in front of the right.',
      'sides/slip',
    ],
    [
      'the hand on the knee of its side',
      '2. [out] Set the left hand on the right knee.',
      '2. [out] Set the left hand on the left knee.',
      'sides/slip',
    ],
    [
      'the other hand on the knee',
      '2. [out] Set the left hand on the right knee.',
      '2. [out] Set the right hand on the right knee.',
      'sides/slip',
    ],
    [
      'a turn the other way',
      '4. [out] Turn right, right hand behind you.',
      '4. [out] Turn left, right hand behind you.',
      'sides/slip',
    ],
    [
      'the other hand behind',
      '4. [out] Turn right, right hand behind you.',
      '4. [out] Turn right, left hand behind you.',
      'sides/slip',
    ],
    [
      'the other way the same way',
      '3. [out] Turn left, right hand on the left knee.',
      '3. [out] Turn right, right hand on the left knee.',
      'sides/slip',
    ],
    [
      'a turn on the in',
      '4. [out] Turn right',
      '4. [in] Turn right',
      'breath/in-and-out-take-turns',
    ],
    [
      'no length before the turn',
      '3. [in] Lengthen the back of the neck.',
      '3. [in] Look ahead.',
      'breath/lengthen-before-turn',
    ],
    ['a twist filed as a side bend', 'spine: twist', 'spine: side', 'sense/family-fits'],
    ['a twist filed as lengthening', 'spine: twist', 'spine: lengthen', 'sense/family-fits'],
    ['seated filed as prone', 'base: seated', 'base: prone', 'sense/family-fits'],
    [
      'the head before the hips',
      '- Hips and pelvis: Keep both sit bones heavy.',
      '- Neck and head: Turn the head last.\n- Hips and pelvis: Keep both sit bones heavy.',
      'sense/ground-up',
    ],
    [
      'a mark for the leg',
      '{kind: level, part: shoulders}',
      '{kind: level, part: antlers}',
      'figure/marks-are-drawn',
    ],
    [
      'a rung sent for nothing',
      '  - Say: Keep the turn small and upright.\n  - Rung: chair',
      '  - Say: Keep the turn small and upright.\n  - Rung: bound',
      'cautions/rung-asks-less',
    ],
    [
      'back pain called fine',
      '- Condition: acute back pain\n  - Verdict: avoid',
      '- Condition: acute back pain\n  - Verdict: fine',
      'cautions/contradict',
    ],
    [
      'a cure for the back',
      'Harpists like it between movements',
      'Harpists know that it cures the back',
      'claims/no-cure',
    ],
    [
      'a number of the spine',
      'it turns the ribs and leaves',
      'it turns the ribs 40 % more and leaves',
      'claims/numbers-have-a-source',
    ],
    ['ninety breaths', '  breaths: 3', '  breaths: 90', 'breath/usual-dose'],
    [
      'a chair that nobody lists',
      '  - Prop: chair\n  - Replace s1: Sit tall, both feet flat.',
      '  - Replace s1: Sit tall on the chair, both feet flat.',
      'sense/props-named',
    ],
  ],
  'seated-fold': [
    [
      'a fold on the in',
      '4. [out] Go a little deeper.',
      '4. [in] Fold a little deeper.',
      'breath/fold-on-out',
    ],
    [
      'a lift on the out',
      '1. [in] Lift the breastbone.\n2. [out] Tip',
      '1. [out] Lift the breastbone.\n2. [out] Tip',
      'breath/in-and-out-take-turns',
    ],
    [
      'one knee',
      '- Knees: Keep the knees soft if the back rounds.',
      '- Knees: Keep the right knee soft if the back rounds.',
      'sides/even-names-both',
    ],
    [
      'one foot',
      '- Feet: Point the toes to the ceiling.',
      '- Feet: Point the left toes to the ceiling.',
      'sides/even-names-both',
    ],
    [
      'knees two ways',
      '- Knees: Keep the knees soft if the back rounds.',
      '- Knees: Straighten the knees.\n- Knees: Bend the knees.',
      'sense/one-thing-asked',
    ],
    [
      'a strap that nobody has',
      '- Prop: blanket\n- Prop: strap',
      '- Prop: blanket',
      'sense/props-named',
    ],
    ['a fold filed as a back bend', 'spine: forward', 'spine: back', 'sense/family-fits'],
    ['a fold filed as a twist', 'spine: forward', 'spine: twist', 'sense/family-fits'],
    ['seated filed as inverted legs', 'base: seated', 'base: side-lying', 'sense/family-fits'],
    [
      'disc trouble called fine',
      '- Condition: disc trouble\n  - Verdict: change',
      '- Condition: disc trouble\n  - Verdict: fine',
      'cautions/contradict',
    ],
    [
      'osteoporosis called fine',
      '- Condition: osteoporosis\n  - Verdict: avoid',
      '- Condition: osteoporosis\n  - Verdict: fine',
      'cautions/contradict',
    ],
    [
      'back pain twice',
      '- Condition: disc trouble',
      '- Condition: acute back pain',
      'cautions/contradict',
    ],
    [
      'a correction of the head for the feet',
      '  - Say: Point the toes up.',
      '  - Say: Lift the chin.',
      'sense/mistake-meets-cue',
    ],
    [
      'a don’t for the shoulders',
      '  - Say: Slide the shoulders down the back.',
      '  - Say: Don’t shrug.',
      'mistakes/names-a-part',
    ],
    [
      'a correction without a part',
      '  - Say: Let the crown follow the spine.',
      '  - Say: Softer, please.',
      'mistakes/names-a-part',
    ],
    [
      'a whole lecture',
      '  - Say: Point the toes up.',
      '  - Say: Point the toes up and keep them there while the thighs roll in and the heels reach away from you.',
      'mistakes/one-breath',
    ],
    ['an hour', '  breaths: 8', '  breaths: 450', 'breath/usual-dose'],
    ['a gap of a day', 'mealGapHours: 3', 'mealGapHours: 24', 'card/usual-meal-gap'],
    [
      'sleep for sure',
      'Said to calm before sleep.',
      'Always brings sleep and cures insomnia.',
      'claims/no-cure',
    ],
    [
      'a breath held in a cue',
      '- Neck and head: Let the neck go on with the spine.',
      '- Neck and head: Hold the breath and let the neck go on.',
      'breath/no-hold',
    ],
    [
      'a count of nothing',
      '4. [out] Go a little deeper.',
      '4. [out] Go deeper for ten.',
      'breath/count-of-what',
    ],
    [
      'braces round the feet',
      '- Feet: Point the toes to the ceiling.',
      '- Feet: Point the {toes} to the ceiling.',
      'sides/braces-fix-a-side',
    ],
    [
      'the other foot',
      '- Knees: Keep the knees soft if the back rounds.',
      '- Knees: Keep the other knee soft.',
      'sides/other-than-what',
    ],
    ['paścimottānāsana misspelt', 'paścimottānāsana', 'paścimotanasana', 'names/sanskrit-in-iast'],
  ],
  'standing-fold': [
    [
      'a fold on the in',
      '2. [out] Fold from the hips, knees soft.',
      '2. [in] Fold from the hips, knees soft.',
      'breath/fold-on-out',
    ],
    [
      'one knee',
      '- Knees: Bend the knees until belly meets thigh.',
      '- Knees: Bend the left knee until belly meets thigh.',
      'sides/even-names-both',
    ],
    [
      'one hand on the block',
      'Replace s4: Set the hands on the blocks.',
      'Replace s4: Set the right hand on the block.',
      'sides/even-names-both',
    ],
    [
      'a block from nowhere',
      '- Prop: block\n- Prop: chair\n- Note: Stand the block before the feet, for the hands.',
      '- Prop: chair\n- Note: Stand the strap before the feet, for the hands.',
      'sense/props-named',
    ],
    ['a fold filed as lengthening', 'spine: forward', 'spine: lengthen', 'sense/family-fits'],
    ['standing filed as kneeling', 'base: standing', 'base: kneeling', 'sense/family-fits'],
    ['standing filed as supine', 'base: standing', 'base: supine', 'sense/family-fits'],
    [
      'glaucoma called fine',
      '- Condition: glaucoma\n  - Verdict: avoid',
      '- Condition: glaucoma\n  - Verdict: fine',
      'cautions/contradict',
    ],
    [
      'blood pressure called fine',
      '- Condition: high blood pressure\n  - Verdict: change',
      '- Condition: high blood pressure\n  - Verdict: fine',
      'cautions/contradict',
    ],
    [
      'blood pressure sent up',
      '  - Say: Rest the hands on a chair, head up.\n  - Rung: chair',
      '  - Say: Rest the hands on a chair, head up.\n  - Rung: long',
      'cautions/contradict',
    ],
    [
      'an override with no reason',
      '  - Say: Fold to a wall, head above heart.',
      '  - Say: This heals the eyes.',
      'claims/no-cure',
    ],
    [
      'an unknown rung',
      '  - Say: Bend the knees and stop at the chair.\n  - Rung: chair',
      '  - Say: Bend the knees and stop at the chair.\n  - Rung: chairs',
      'card/links-lead-somewhere',
    ],
    [
      'a rung on a rung that is not there',
      'Replace s2: Fold from the hips, legs long.',
      'Replace s8: Fold from the hips, legs long.',
      'card/links-lead-somewhere',
    ],
    [
      'the head held two ways',
      '- Neck and head: Let the head hang like a bell.',
      '- Neck and head: Lift the head.\n- Neck and head: Lower the head.',
      'sense/one-thing-asked',
    ],
    [
      'a whole minute of in',
      '1. [in] Lift the breastbone.\n2. [out] Fold',
      '1. [in, 60 s] Lift the breastbone.\n2. [out] Fold',
      'breath/usual-dose',
    ],
    ['a counter to itself', '- low-cobra', '- standing-fold', 'card/not-its-own-counter'],
    ['a mind that is healed', 'Said to quiet the mind.', 'It heals the mind.', 'claims/no-cure'],
    [
      'two movements on one breath',
      '3. [in] Rise with a long spine.',
      '3. [in] Rise with a long spine and bend the elbows.',
      'breath/one-movement-a-phase',
    ],
  ],
}

/** Both sides of a fault are told of the same card. */
const wrongly = remember(readCard)
const told = (card: Card) => checkCard(card)
const key = ({ rule, where, message }: Finding) => `${rule} ${where} ${message}`

describe.each(Object.entries(FAULTS))('%s', (id, faults) => {
  const text = demoText(id)
  const right = demoCard(id)
  const before = new Set(told(right).map(key))
  const across = (card: Card) => keptFor(card, otherSide(right.writtenFor))
  const beforeAcross = new Set(told(across(right)).map(key))

  test.each(faults)('%s is told', (_, stands, instead, rule) => {
    expect(text.split(stands).length).toBeGreaterThan(1)
    const wrong = wrongly(text.replace(stands, instead))
    const found = told(wrong).filter((each) => !before.has(key(each)))
    expect(found.map((each) => each.rule)).toContain(rule)
    // A mend that is offered for the word that was changed gives back what stood there.
    for (const { where, fix } of found.filter((each) => each.rule === 'sides/slip')) {
      const changed = valueAt(wrong, where) !== valueAt(right, where)
      if (fix && changed)
        expect(valueAt(applyPatches(wrong, fix.patches), where)).toBe(valueAt(right, where))
    }
  })

  test.each(faults)(
    '%s is told as well of the card kept for its other side',
    (_, stands, instead, rule) => {
      const found = told(across(wrongly(text.replace(stands, instead))))
      const fresh = found.filter((each) => !beforeAcross.has(key(each)))
      expect(fresh.map((each) => each.rule)).toContain(rule)
    }
  )

  test('as it stands nothing of the kind is told', () => {
    const rules = new Set(faults.map(([, , , rule]) => rule))
    expect([...before].filter((each) => rules.has(each.split(' ')[0]!))).toEqual([])
  })
})
