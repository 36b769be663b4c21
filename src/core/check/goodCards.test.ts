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
]

const craft = RULES.filter((rule) => !rule.id.endsWith('-complete'))

test.each(cards.map((card) => [card.names.common[0]!, card] as const))('%s', (_, card) => {
  expect(runRules(craft, card).map((finding) => finding.message)).toEqual([])
})
