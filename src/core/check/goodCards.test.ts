import { lunge } from '../../../tests/support/cards'
import { type Breath, type Card, runRules } from '../card'
import { RULES } from '.'

/**
 * Cards as trainers write them, with nothing wrong: what is found on them is a false finding.
 * Common practice, no source.
 */

const stepsIn = (text: string, prefix: string): Card['enter'] =>
  text.split('\n').map((line, i) => {
    const [, breath, words] = /^\s*\[(\S+)\] (.*)$/.exec(line)!
    return { id: `${prefix}${i + 1}`, breath: breath as Breath, text: words! }
  })

function mk(
  name: string,
  base: Card['base'],
  spine: Card['spine'],
  sides: Card['sides'],
  sideNamedBy: string,
  enter: string,
  exit: string,
  cues: string,
  more: Partial<Card> = {}
): Card {
  return lunge({
    names: { common: [name], sanskrit: '', aliases: [], meaning: '' },
    base,
    spine,
    sides,
    sideNamedBy,
    enter: stepsIn(enter, 's').map((step) =>
      more.manner === 'moving' ? { ...step, cycle: true } : step
    ),
    exit: stepsIn(exit, 'x'),
    alignment: cues
      .split('\n')
      .map((text, i) => ({ id: `a${i + 1}`, region: 'feet', text: text.trim(), on: 'both' })),
    ...more,
  })
}

const cards: Card[] = [
  mk(
    'Warrior two',
    'standing',
    'lengthen',
    'sided',
    'front leg',
    `[in] Step the feet wide apart.
[out] Turn the right foot out, left toes in.
[in] Raise the arms to shoulder height.
[out] Bend the right knee over the ankle.`,
    `[in] Straighten the right leg.
[out] Lower the arms.
[in] Turn the feet forward.`,
    `Press the outer edge of the back foot.
Point the front knee over the second toe.
Keep the shoulders over the hips.
Look past the right fingertips.`
  ),
  mk(
    'Triangle',
    'standing',
    'side',
    'sided',
    'front leg',
    `[in] Step the left foot back, toes turned in.
[out] Ground both feet.
[in] Stretch the arms wide.
[out] Reach right and tip from the hip.
[in] Lift the left arm to the ceiling.`,
    `[in] Press the feet and come up.
[out] Lower the arms and step together.`,
    `Front heel in line with the back arch.
Lift the right kneecap.
Roll the top ribs open.
Stack the top shoulder over the bottom one.
Look up past the left thumb, or down.`
  ),
  mk(
    'Pigeon',
    'hands',
    'lengthen',
    'sided',
    'front leg',
    `[in] From downward dog, lift the right leg.
[out] Bring the right knee behind the right wrist.
[in] Slide the left leg back and grow tall.
[out] Fold forward over the shin.`,
    `[in] Walk the hands back and rise.
[out] Tuck the back toes.
[in] Lift the right leg.
[out] Set the right hand beside the left.`,
    `Flex the right foot.
Keep the hips level.
Point the left toes straight back.`
  ),
  mk(
    'Half moon',
    'standing',
    'side',
    'sided',
    'standing leg',
    `[in] Look down and bend the right knee.
[out] Set the right hand on the block.
[in] Lift the left leg to hip height.
[out] Turn the chest open.`,
    `[in] Look down.
[out] Lower the left foot.`,
    `Press the right big toe mound.
Push the left heel away.
Stack the left hip over the right.`
  ),
  mk(
    'Sun breath',
    'standing',
    'forward',
    'even',
    '',
    `[in] Sweep the arms up.
[out] Fold forward from the hips.
[in] Lengthen to a flat back.
[out] Fold again.
[in] Rise with a long back.
[out] Lower the arms.`,
    `[free] Stand still and feel.`,
    `Stand with the feet hip-width.
Keep the knees soft.`,
    { manner: 'moving', stay: { repeats: 5 } }
  ),
  mk(
    'Head to knee',
    'seated',
    'forward',
    'sided',
    'bent knee',
    `[in] Sit tall with both legs long.
[out] Bend the right knee, foot to the thigh.
[in] Reach both arms up.
[out] Turn to the left leg and fold.
[in] Lengthen the spine.
[out] Fold a little deeper.`,
    `[in] Walk the hands back and sit up.
[out] Straighten the right leg.`,
    `Press the left heel away.
Let the right knee be heavy.
Draw the right hip back.
Lengthen both sides of the waist.`
  ),
  mk(
    'Camel',
    'kneeling',
    'back',
    'even',
    '',
    `[in] Kneel tall, hands to the low back.
[out] Root the shins down.
[in] Lift the chest and arch.
[out] Lower the hands to the heels.`,
    `[in] Lift the chest and come up.
[out] Sit back on the heels.`,
    `Press the tops of the feet.
Keep the hips over the knees.
Let the head follow last.`
  ),
  mk(
    'Revolved lunge',
    'standing',
    'twist',
    'sided',
    'direction turned',
    `[in] Step the left foot back.
[out] Lower the back knee.
[in] Lengthen, hands at the heart.
[out] Turn right, left elbow outside the right knee.`,
    `[in] Unwind to the middle, lift the chest.
[out] Step the left foot forward.`,
    `Keep the right knee over the ankle.
Squeeze the thighs together.
Press the palms and turn from the ribs.`
  ),
  mk(
    'Supine twist',
    'supine',
    'twist',
    'sided',
    'direction turned',
    `[in] Lie long, arms wide.
[out] Draw the left knee to the chest.
[in] Lengthen the neck.
[out] Drop the left knee across to the right.`,
    `[in] Bring the knee back to the middle.
[out] Stretch the leg out.
[free] Roll to the {right} side and rest.`,
    `Keep both shoulders heavy.
Turn the head only if the neck likes it.`
  ),
  mk(
    'Boat',
    'seated',
    'lengthen',
    'even',
    '',
    `[in] Sit tall, hands behind the knees.
[out] Lean back a little.
[in] Float the shins level with the floor.
[out] Draw the navel in.`,
    `[out] Lower the feet.
[in] Sit tall.`,
    `Keep the chest lifted.
Broaden the collarbones.`
  ),
  mk(
    'Dancer',
    'standing',
    'back',
    'sided',
    'lifted leg',
    `[in] Shift onto the left foot, stand tall.
[out] Bend the right knee and hold the ankle.
[in] Raise the left arm.
[out] Press the right foot into the hand.
[in] Lift the chest.`,
    `[out] Lower the right foot with care.
[in] Stand on both feet.`,
    `Keep the left knee soft.
Point the right knee down.
Level the hips.`
  ),
  mk(
    'Cow face',
    'seated',
    'lengthen',
    'sided',
    'top knee',
    `[in] Sit tall on the blanket.
[out] Cross the right knee over the left.
[in] Reach the right arm up.
[out] Bend the elbow, hand between the shoulder blades.
[in] Slide the left hand up the back.`,
    `[in] Release the hands.
[out] Uncross the legs.`,
    `Level the sit bones.
Keep the neck long.`
  ),
  mk(
    'Staff turned to one side',
    'seated',
    'twist',
    'sided',
    'direction turned',
    `[in] Grow tall through the crown.
[out] Turn the ribs to the right.
[in] Lengthen up once more.
[out] Turn a little further right.`,
    `[in] Grow tall.
[out] Come back to the middle.`,
    `Keep both heels level.
Weigh both sit bones down.
Let the head turn last.`,
    { stay: { breaths: 5, repeats: 1 }, when: { mealGapHours: 2, timeOfDay: 'evening' } }
  ),
  mk(
    'Shoulder stand on blankets',
    'inverted',
    'lengthen',
    'even',
    '',
    `[in] Press the arms into the mat.
[out] Lift the legs over the hips.
[in] Set the hands on the back.
[out] Reach up through the heels.`,
    `[out] Lower the knees to the forehead.
[in] Bring the hands to the floor.
[out] Roll down slowly.`,
    `Keep the chin free of the chest.
Press the elbows down.
Reach the inner heels up.`,
    {
      setUp: { place: 'Lie on three folded blankets.', props: ['three blankets'], note: '' },
      stay: { seconds: [60, 120], repeats: 1 },
    }
  ),
  mk(
    'Locust',
    'prone',
    'back',
    'even',
    '',
    `[in] Lengthen the legs back.
[out] Press the feet down.
[in] Lift the chest and the arms.`,
    `[out] Lower to the mat.
[in] Turn the head to one side.`,
    `Press the tops of the feet down.
Reach the legs back, long and close.
Look at the floor in front of you.`,
    { stay: { seconds: [10, 20], repeats: 3, restBetween: { breaths: 2 } } }
  ),
  mk(
    'Bridge with a strap',
    'supine',
    'back',
    'even',
    '',
    `[in] Press the feet down.
[out] Lengthen the tailbone to the knees.
[in] Lift the hips.`,
    `[out] Lower the spine slowly.
[in] Let the knees rest together.`,
    `Press the inner feet down.
Knees in line with the hips.
Keep a space under the chin.`,
    {
      setUp: {
        place: 'Lie on your back, knees bent, a strap round the ankles.',
        props: ['strap'],
        note: '',
      },
      stay: { breaths: 5, breathsMost: 8, repeats: 2 },
    }
  ),
  mk(
    'Supported fold',
    'seated',
    'forward',
    'even',
    '',
    `[in] Sit tall, legs long.
[out] Fold over the bolster.
[free] Rest the forehead.`,
    `[in] Press the hands down and rise.
[out] Sit and feel the back.`,
    `Let the feet fall apart.
Fold from the hips.
Soften the shoulders.`,
    {
      manner: 'restorative',
      setUp: { place: 'Sit on a blanket.', props: ['bolster', 'blanket'], note: '' },
      stay: { seconds: [180, 300], repeats: 1 },
    }
  ),
  mk(
    'Leg lifts',
    'supine',
    'lengthen',
    'sided',
    'lifted leg',
    `[in] Lift the right leg.
[out] Lower the right leg.`,
    `[in] Rest both legs.`,
    `Press the left heel away.
Keep the low back where it is.
Leave the shoulders heavy.`,
    {
      manner: 'moving',
      stay: { repeats: 6, repeatsMost: 8 },
      when: { mealGapHours: 3, timeOfDay: '' },
    }
  ),
  mk(
    'Side stretch on the heels',
    'kneeling',
    'side',
    'sided',
    'side bent towards',
    `[in] Reach the left arm up.
[out] Bend to the right.
[in] Lengthen the left side.`,
    `[in] Rise to the middle.
[out] Lower the arm.`,
    `Keep both sit bones on the heels.
Breathe into the left ribs.
Look past the left elbow.`,
    {
      mistakes: [
        {
          seen: 'The left hip lifts.',
          why: 'The bend moves into the low back.',
          say: 'Sit the left hip down.',
          cue: 'a1',
          on: 'both',
        },
      ],
      betweenSides: { breaths: 2, text: 'Sit still and feel both sides.' },
    }
  ),
  mk(
    'Plank on the knees',
    'hands',
    'lengthen',
    'even',
    '',
    `[in] Press the hands down.
[out] Walk the knees back.
[in] Lengthen from knees to crown.`,
    `[out] Sit back on the heels.`,
    `Shoulders over the wrists.
Push the floor away.
Look between the hands.`,
    {
      stay: { breaths: 3, repeats: 3, restBetween: { breaths: 2 } },
      cautions: [
        {
          condition: 'wrist trouble',
          verdict: 'change',
          say: 'Go on the fists, or on the forearms.',
        },
      ],
      effects: [{ text: 'Drummers say the shoulders feel steadier.', basis: 'experience' }],
    }
  ),
  mk(
    'Tree at the wall',
    'standing',
    'lengthen',
    'sided',
    'lifted leg',
    `[in] Shift onto the left foot.
[out] Set the right foot on the left calf.
[in] Reach both arms up.`,
    `[out] Lower the arms.
[in] Set the right foot down.`,
    `Press the left big toe down.
Turn the right knee out to the side.
Level the hips.
Look at one spot.`,
    {
      setUp: { place: 'Stand with your back to the wall.', props: [], note: '' },
      assists: [
        {
          text: 'Rest a hand on the outer right hip.',
          stance: 'Stand wide beside the standing leg.',
          breath: 'out',
          on: 'both',
        },
      ],
    }
  ),
  mk(
    'Resting on the left side',
    'side-lying',
    'lengthen',
    'even',
    '',
    `[out] Let the head sink.
[free] Rest.`,
    `[in] Press the top hand down.
[out] Come up slowly, the head last.`,
    `Bend the knees a little.
Let the shoulders sink.`,
    {
      manner: 'restorative',
      setUp: {
        place: 'Lie on the {left} side, a blanket under the head.',
        props: ['blanket'],
        note: '',
      },
      stay: { seconds: [300, 600], repeats: 1 },
    }
  ),
]

const craft = RULES.filter((rule) => !rule.id.endsWith('-complete'))

test.each(cards.map((card) => [card.names.common[0]!, card] as const))('%s', (_, card) => {
  expect(runRules(craft, card).map((finding) => finding.message)).toEqual([])
})
