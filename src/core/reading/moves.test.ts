import { jointOf, type Segment } from '../figure'
import { draftedFrom, type Stands } from '../../../tests/support/drafted'

/**
 * What a line does to a body, as it is seen from outside: which part goes which way. x is to the
 * person's left, y up, z to the front of somebody who stands. Common practice, no source.
 */

type Way = `${Segment} ${'left' | 'right' | 'up' | 'down' | 'front' | 'back'}`

const AXIS = { left: 0, right: 0, up: 1, down: 1, front: 2, back: 2 }
const SIGN = { left: 1, right: -1, up: 1, down: -1, front: 1, back: -1 }
/** Where every segment is before and after the last of the lines. */
function placesOf(from: Stands, lines: string[]) {
  const all = draftedFrom(from, lines)
  const [before, after] = [all.at(-2)!, all.at(-1)!].map(({ solved }) => solved)
  return { before: before!, after: after!, drafts: all }
}

/** Less than this, in statures, is standing still: 1 cm. */
const STILL = 0.006

test.each<[Stands, string | string[], Way[]]>([
  ['standing', 'Lift the right arm up.', ['rightHand up']],
  ['standing', 'Lift both arms overhead.', ['leftHand up', 'rightHand up']],
  ['standing', 'Lift the arms out to the sides.', ['leftHand left', 'rightHand right']],
  ['standing', 'Reach the arms forward.', ['leftHand front', 'rightHand front']],
  ['standing', 'Reach the left arm back.', ['leftHand back']],
  ['standing', 'Bend the right elbow.', ['rightHand up']],
  ['standing', 'Place the hands on the hips.', ['leftHand up', 'rightHand up']],
  ['standing', 'Step the left foot back.', ['leftFoot back']],
  ['standing', 'Step the right foot forward.', ['rightFoot front']],
  ['standing', 'Bend the knees.', ['pelvis down']],
  ['standing', 'Lift the left foot.', ['leftFoot up']],
  ['standing', 'Lift the right knee to hip height.', ['rightShank up', 'rightShank front']],
  ['standing', 'Lift the heels.', ['pelvis up', 'leftFoot up']],
  ['standing', 'Rise onto the toes.', ['pelvis up', 'rightFoot up']],
  ['standing', 'Lift the left heel.', ['leftFoot up']],
  ['standing', ['Rise onto the toes.', 'Lower the heels.'], ['pelvis down']],
  ['standing', 'Fold forward from the hips.', ['head down', 'head front']],
  ['standing', 'Bend to the right.', ['head right']],
  ['standing', 'Bend to the left.', ['head left']],
  ['standing', 'Lean the trunk forward.', ['head front', 'head down']],
  ['standing', 'Arch back.', ['head back']],
  ['standing', 'Turn the chest to the left.', ['leftUpperArm back', 'rightUpperArm front']],
  ['standing', 'Turn the chest to the right.', ['leftUpperArm front', 'rightUpperArm back']],
  ['standing', 'Draw the left heel to the buttock.', ['leftFoot up', 'leftFoot back']],
  ['standing', ['Lift the arms overhead.', 'Lower the arms.'], ['leftHand down', 'rightHand down']],
  ['standing', ['Step the left foot back.', 'Bend the right knee.'], ['pelvis down']],
  ['standing', ['Bend the knees.', 'Straighten the knees.'], ['pelvis up']],
  ['standing', ['Fold forward.', 'Come up to standing.'], ['head up']],
  ['standing', ['Lift the left knee.', 'Lower the left foot.'], ['leftFoot down']],
  ['standing', ['Bend to the right.', 'Come back to the middle.'], ['head left']],
  ['kneeling', 'Lift the left arm up.', ['leftHand up']],
  ['kneeling', 'Sit back on the heels.', ['pelvis down']],
  ['kneeling', 'Bend to the left.', ['head left']],
  ['kneeling', 'Step the right foot forward.', ['rightFoot front']],
  ['kneeling', 'Turn the chest to the right.', ['leftUpperArm front']],
  ['allFours', 'Lift the right arm forward.', ['rightHand up', 'rightHand front']],
  ['allFours', 'Lift the left leg back.', ['leftFoot up']],
  ['allFours', 'Sit the hips back to the heels.', ['pelvis down', 'head down']],
  ['allFours', 'Lower the hips back to the heels.', ['pelvis down', 'head down']],
  ['allFours', 'Lower the chest to the floor.', ['ribs down']],
  ['allFours', 'Round the back.', ['lowBack up']],
  ['allFours', 'Lift the hips up and back.', ['pelvis up']],
  ['supine', 'Lift the right leg up.', ['rightFoot up']],
  ['supine', 'Draw the left knee to the chest.', ['leftShank up']],
  ['supine', 'Lift the head.', ['head up']],
  ['supine', 'Reach the arms to the ceiling.', ['leftHand up', 'rightHand up']],
  ['bent', 'Lift the hips.', ['pelvis up']],
  ['bent', ['Lift the hips.', 'Lower the hips.'], ['pelvis down']],
  ['prone', 'Lift the chest.', ['head up']],
  ['prone', 'Lift both legs.', ['leftFoot up', 'rightFoot up']],
  ['prone', 'Bend the right knee.', ['rightFoot up']],
  ['prone', 'Draw the left heel toward the buttock.', ['leftFoot up']],
  // From here on each was looked at as a picture as well.
  ['standing', 'Lift the arms halfway.', ['leftHand left', 'rightHand right', 'leftHand up']],
  ['standing', 'Lift the arms forward halfway.', ['leftHand front', 'rightHand front']],
  ['standing', 'Hold the elbows behind the back.', ['leftHand back', 'rightHand back']],
  ['standing', 'Clasp the hands behind the head.', ['leftHand up', 'rightHand up']],
  ['standing', 'Bring the palms together behind the back.', ['leftHand back', 'rightHand back']],
  ['standing', 'Place the hands on the low back.', ['leftHand back', 'rightHand back']],
  ['standing', 'Place the hands on the belly.', ['leftHand front', 'rightHand front']],
  ['standing', ['Clasp the hands behind the back.', 'Fold forward.'], ['leftHand up']],
  [
    'standing',
    ['Place the hands on the hips.', 'Fold forward.', 'Place the hands on the floor.'],
    ['leftHand down', 'rightHand down'],
  ],
  ['allFours', 'Drop the belly.', ['lowBack down']],
  ['standing', 'Turn the left ribs to the right.', ['leftUpperArm front', 'rightUpperArm back']],
  ['standing', 'Turn the right ribs back.', ['leftUpperArm front', 'rightUpperArm back']],
  ['standing', 'Turn the right ribs forward.', ['leftUpperArm back', 'rightUpperArm front']],
  ['standing', 'Cross the right foot in front of the left.', ['rightFoot front', 'rightFoot left']],
  ['standing', 'Cross the right foot behind the left.', ['rightFoot back', 'rightFoot left']],
  ['standing', 'Cross the right ankle over the left.', ['rightFoot front', 'rightFoot left']],
  ['standing', 'Lift the right heel towards the buttock.', ['rightFoot up', 'rightFoot back']],
  [
    'standing',
    ['Lift the right knee.', 'Open the right knee to the side.'],
    ['rightShank right', 'rightFoot right'],
  ],
  [
    'standing',
    ['Lift the right knee.', 'Turn the right knee out.'],
    ['rightShank right', 'rightFoot right'],
  ],
  [
    'standing',
    ['Step the feet wide apart.', 'Lift the left leg level with the floor.'],
    ['leftFoot left', 'leftFoot up', 'head right', 'head down'],
  ],
  ['standing', ['Fold forward.', 'Walk the feet back.'], ['leftFoot back', 'rightFoot back']],
  ['standing', ['Fold forward.', 'Walk the hands forward.'], ['leftHand front']],
  ['standing', 'Walk the feet apart.', ['leftFoot left', 'rightFoot right', 'pelvis down']],
  ['kneeling', 'Stretch the right leg out to the side.', ['rightFoot right', 'rightShank up']],
  ['kneeling', 'Straighten the left leg forward.', ['leftFoot front']],
  ['kneeling', 'Lean back.', ['head back']],
  ['kneeling', ['Sit back on the heels.', 'Rise onto the knees.'], ['pelvis up']],
  ['allFours', 'Straighten the right leg.', ['rightFoot back']],
  ['allFours', 'Straighten the left leg back.', ['leftFoot back']],
  ['allFours', ['Step the left leg back.', 'Lift the left leg.'], ['leftFoot up']],
  ['allFours', 'Draw the right knee to the chest.', ['rightShank front', 'rightFoot front']],
  ['allFours', 'Spread the knees wide.', ['leftShank left', 'rightShank right']],
  ['allFours', 'Lower onto the forearms.', ['ribs down', 'leftForearm down']],
  ['allFours', 'Rise to kneeling.', ['head up', 'leftHand up']],
  ['plank', 'Lower onto the forearms.', ['head down', 'leftForearm down']],
  ['supine', 'Place the right foot on the floor.', ['rightShank up']],
  ['bent', ['Lift the hips.', 'Roll the spine down to the floor.'], ['pelvis down']],
  ['prone', ['Lift the right leg.', 'Lower the right leg.'], ['rightFoot down']],
  ['prone', 'Press up to all fours.', ['pelvis up', 'head up']],
  ['allFours', 'Push back to kneeling.', ['head up']],
  ['seated', ['Bend the knees.', 'Lift the feet.'], ['leftFoot up', 'rightFoot up', 'head back']],
  [
    'standing',
    ['Step the feet wide apart.', 'Lift the left knee level with the hip.'],
    ['leftShank up', 'leftShank front'],
  ],
  ['seated', 'Roll the spine down to the floor.', ['head down', 'head back']],
  ['seated', 'Cross the legs.', ['leftFoot right', 'rightFoot left']],
  ['seated', 'Cross the right ankle over the left thigh.', ['rightFoot left', 'rightFoot back']],
  ['seated', 'Walk the hands forward.', ['leftHand front', 'head front']],
  ['seated', 'Fold forward.', ['head front', 'head down']],
  ['seated', 'Lift the arms overhead.', ['leftHand up', 'rightHand up']],
  ['seated', 'Bend the left knee.', ['leftShank up']],
  ['seated', 'Twist to the left.', ['leftUpperArm back', 'rightUpperArm front']],
  ['seated', 'Lean back.', ['head back']],
  ['plank', 'Lower the knees to the floor.', ['leftShank down', 'rightShank down']],
  ['plank', 'Lift the right foot.', ['rightFoot up']],
  ['plank', 'Bend the elbows.', ['ribs down']],
])('%s: %s', (from, said, ways) => {
  const { before, after } = placesOf(from, [said].flat())
  for (const way of ways) {
    const [segment, towards] = way.split(' ') as [Segment, keyof typeof AXIS]
    const [a, b] = [before, after].map(({ placed }) => placed.origins[jointOf(segment)]!)
    const moved = (b![AXIS[towards]]! - a![AXIS[towards]]!) * SIGN[towards]
    expect([way, moved > STILL]).toEqual([way, true])
  }
})

/** An ear goes to its shoulder sideways: the head tips and does not turn. */
test.each([
  ['Tilt the right ear to the right shoulder.', -1],
  ['Drop the left ear towards the left shoulder.', 1],
])('%s tips the head', (line, way) => {
  const neck = draftedFrom('standing', [line]).at(-1)!.figure.angles.neck as Record<string, number>
  expect(Math.sign(neck.lateralFlexion!)).toBe(way)
  expect(neck.rotation ?? 0).toBe(0)
})

const heightOf = (from: Stands, lines: string[], segment: Segment) =>
  draftedFrom(from, lines).at(-1)!.solved.placed.origins[jointOf(segment)]![1]

test('hands that come to the shoulders come no higher than the head', () => {
  for (const line of ['Lift the hands to the shoulders.', 'Bring the fingertips to the shoulders.'])
    for (const hand of ['leftHand', 'rightHand'] as const) {
      const height = heightOf('standing', [line], hand)
      expect(height).toBeGreaterThan(heightOf('standing', [line], 'ribs'))
      expect(height).toBeLessThan(heightOf('standing', [line], 'head') + 0.06)
    }
})

test('arms that reach forward are level, however far the trunk leans', () => {
  const boat = ['Bend the knees.', 'Lift the feet.', 'Reach the arms forward.']
  for (const lines of [boat, ['Lean back.', 'Lift both legs.', 'Reach the arms forward.']]) {
    const [shoulder, hand] = (['leftUpperArm', 'leftHand'] as const).map((part) =>
      heightOf('seated', lines, part)
    )
    expect(Math.abs(shoulder! - hand!)).toBeLessThan(0.06)
  }
})

test('hands that carry do not cross', () => {
  const [before, after] = draftedFrom('allFours', ['Cross the right arm under the chest.'])
  expect(after!.did).toEqual(['unsure'])
  expect(after!.figure).toEqual(before!.figure)
})

/** Hands on the hips stay there, whatever the trunk does: common practice, no source. */
test.each<[Stands, string]>([
  ['standing', 'Fold forward from the hips.'],
  ['standing', 'Arch back.'],
  ['standing', 'Turn the chest to the left.'],
  ['kneeling', 'Arch back.'],
  ['kneeling', 'Turn the chest to the right.'],
])('from %s, hands on the hips: %s', (from, line) => {
  const away = (lines: string[]) => {
    const { origins } = draftedFrom(from, lines).at(-1)!.solved.placed
    return ['left', 'right'].map((side) => {
      const [hand, hip] = ['Hand', 'Thigh'].map(
        (part) => origins[jointOf(`${side}${part}` as Segment)]!
      )
      return Math.hypot(...hand!.map((value, k) => value - hip![k]!))
    })
  }
  const before = away(['Place the hands on the hips.'])
  away(['Place the hands on the hips.', line]).forEach((far, i) =>
    expect(far).toBeLessThan(before[i]! + 0.05)
  )
})

/** Nothing of the body goes anywhere. */
test.each<[Stands, string]>([
  ['standing', 'Feel the weight of the arms.'],
  ['standing', 'Notice where the breath moves.'],
  ['standing', 'Keep both knees straight.'],
  ['standing', 'Keep the feet under the hips.'],
  ['standing', 'Let the face be soft.'],
  ['standing', 'Stay for five breaths.'],
  ['seated', 'Breathe into the back.'],
  ['allFours', 'Listen to the sound of the breath.'],
  ['supine', 'Rest.'],
])('%s: %s moves nothing', (from, line) => {
  const { before, after } = placesOf(from, [line])
  const apart = before.placed.origins.map((at, i) =>
    Math.hypot(...at.map((value, k) => value - after.placed.origins[i]![k]!))
  )
  expect(Math.max(...apart)).toBeLessThan(1e-6)
})

/** The other side does the same, mirrored: what goes left on one goes right on the other. */
test.each([
  'Lift the right arm up.',
  'Step the left foot back.',
  'Bend to the right.',
  'Turn the chest to the left.',
  'Lift the left knee to hip height.',
])('%s has its mirror', (line) => {
  const swapped = line.replace(/left|right/g, (word) => (word === 'left' ? 'right' : 'left'))
  const [one, other] = [line, swapped].map((each) => placesOf('standing', [each]).after.placed)
  for (const segment of ['Hand', 'Foot', 'Shank', 'UpperArm']) {
    const left = one!.origins[jointOf(`left${segment}` as Segment)]!
    const right = other!.origins[jointOf(`right${segment}` as Segment)]!
    expect(left[0]).toBeCloseTo(-right[0], 6)
    expect(left[1]).toBeCloseTo(right[1], 6)
    expect(left[2]).toBeCloseTo(right[2], 6)
  }
})
