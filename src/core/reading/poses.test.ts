import { type Base, blankCard } from '../card'
import { ANGLES, mirroredFigure } from '../figure'
import { writeFor } from '../sides'
import { stepsOf } from '../../../tests/support/cards'
import { outsideLimits } from '../../../tests/support/numbers'
import { draftsOf } from './draft'

/**
 * Poses in the words of the trade, and what carries the form that the words draw. Each drawing
 * was looked at; common practice, no source.
 */
const POSES: {
  pose: string
  base: Base
  /** Empty on an even card. */
  namedBy: string
  place: string
  steps: string[]
  carried: string[]
}[] = [
  {
    pose: 'warrior two',
    base: 'standing',
    namedBy: 'front leg',
    place: 'Stand facing the long edge of the mat.',
    steps: [
      'Step the feet wide apart.',
      'Turn the right foot out ninety degrees and the left foot in a little.',
      'Lift the arms out to the sides, level with the floor.',
      'Bend the right knee over the ankle.',
      'Look past the right hand.',
    ],
    carried: ['left sole on floor', 'right sole on floor'],
  },
  {
    pose: 'triangle',
    base: 'standing',
    namedBy: 'front leg',
    place: 'Stand with the feet wide apart.',
    steps: [
      'Turn the right foot out.',
      'Raise both arms to shoulder height.',
      'Reach out over the right leg.',
      'Place the right hand on the shin, left arm to the ceiling.',
    ],
    carried: ['left sole on floor', 'right hand on right shin', 'right sole on floor'],
  },
  {
    pose: 'warrior one',
    base: 'standing',
    namedBy: 'front leg',
    place: 'Stand at the front of the mat.',
    steps: [
      'Step the left foot back a leg length.',
      'Press the left heel down.',
      'Bend the right knee.',
      'Lift both arms overhead.',
    ],
    carried: ['left sole on floor', 'right sole on floor'],
  },
  {
    pose: 'warrior three',
    base: 'standing',
    namedBy: 'standing leg',
    place: 'Stand tall, feet together.',
    steps: [
      'Shift the weight onto the right foot.',
      'Lift the left leg behind you, level with the floor.',
      'Reach the arms forward.',
    ],
    carried: ['right sole on floor'],
  },
  {
    pose: 'chair',
    base: 'standing',
    namedBy: '',
    place: 'Stand with the feet together.',
    steps: ['Lift the arms overhead.', 'Bend the knees and send the hips back.'],
    carried: ['left sole on floor', 'right sole on floor'],
  },
  {
    pose: 'plank',
    base: 'hands',
    namedBy: '',
    place: 'Hands and knees, hands under the shoulders.',
    steps: ['Tuck the toes.', 'Step both feet back.', 'Press the floor away.'],
    carried: [
      'left palm on floor',
      'left toes on floor',
      'right palm on floor',
      'right toes on floor',
    ],
  },
  {
    pose: 'lowered plank',
    base: 'hands',
    namedBy: '',
    place: 'Start in plank.',
    steps: ['Shift forward on the toes.', 'Bend the elbows close to the ribs and lower halfway.'],
    carried: [
      'left palm on floor',
      'left toes on floor',
      'right palm on floor',
      'right toes on floor',
    ],
  },
  {
    pose: 'upward dog',
    base: 'prone',
    namedBy: '',
    place: 'Lie on the belly, legs long.',
    steps: [
      'Set the hands beside the ribs.',
      'Lift the chest.',
      'Straighten the arms and lift the thighs off the floor.',
    ],
    carried: [
      'left palm on floor',
      'left top of foot on floor',
      'right palm on floor',
      'right top of foot on floor',
    ],
  },
  {
    pose: 'locust',
    base: 'prone',
    namedBy: '',
    place: 'Lie on the front, arms by the sides.',
    steps: ['Lengthen both legs.', 'Lift the chest, the arms and the legs.'],
    carried: ['belly on floor'],
  },
  {
    pose: 'boat',
    base: 'seated',
    namedBy: '',
    place: 'Sit with the knees bent, feet on the floor.',
    steps: [
      'Lean back a little.',
      'Lift the feet, shins level.',
      'Straighten the legs.',
      'Reach the arms forward beside the knees.',
    ],
    carried: ['sit bones on floor'],
  },
  {
    pose: 'bound angle',
    base: 'seated',
    namedBy: '',
    place: 'Sit tall, legs long.',
    steps: [
      'Bend the knees and bring the soles of the feet together.',
      'Let the knees fall out to the sides.',
      'Hold the feet with both hands.',
    ],
    carried: [
      'left hand on left foot',
      'left outer foot on floor',
      'right hand on right foot',
      'right outer foot on floor',
      'sit bones on floor',
    ],
  },
  {
    pose: 'wide fold',
    base: 'standing',
    namedBy: '',
    place: 'Stand with the legs wide.',
    steps: [
      'Bring the hands to the hips.',
      'Fold forward from the hips.',
      'Place the hands on the floor under the shoulders.',
    ],
    carried: [
      'left palm on floor',
      'left sole on floor',
      'right palm on floor',
      'right sole on floor',
    ],
  },
  {
    pose: 'camel',
    base: 'kneeling',
    namedBy: '',
    place: 'Kneel tall, knees hip-width.',
    steps: [
      'Bring the hands to the hips.',
      'Lift the chest and arch back.',
      'Reach the hands to the heels.',
    ],
    carried: [
      'left hand on left foot',
      'left shin on floor',
      'right hand on right foot',
      'right shin on floor',
    ],
  },
  {
    pose: 'low lunge',
    base: 'kneeling',
    namedBy: 'front leg',
    place: 'Come to hands and knees.',
    steps: [
      'Step the right foot forward between the hands.',
      'Slide the left knee back.',
      'Lift the chest and rise.',
      'Sweep both arms up.',
    ],
    carried: ['left shin on floor', 'right sole on floor'],
  },
  {
    pose: 'head to knee',
    base: 'seated',
    namedBy: 'bent knee',
    place: 'Sit with both legs straight.',
    steps: [
      'Bend the right knee and bring the foot to the inside of the left thigh.',
      'Lift both arms.',
      'Fold forward over the left leg.',
      'Hold the left foot with both hands.',
    ],
    carried: [
      'left hand on left foot',
      'left heel on floor',
      'right hand on left foot',
      'right outer foot on floor',
      'sit bones on floor',
    ],
  },
  {
    pose: 'supine twist',
    base: 'supine',
    namedBy: 'direction turned',
    place: 'Lie on the back, knees bent.',
    steps: [
      'Open the arms to the sides.',
      'Draw both knees to the chest.',
      'Lower both knees to the right.',
      'Turn the head to the left.',
    ],
    carried: ['head on floor', 'right hip on floor', 'right knee on floor', 'shoulders on floor'],
  },
  {
    pose: 'knees to chest',
    base: 'supine',
    namedBy: '',
    place: 'Lie on your back.',
    steps: ['Bend both knees.', 'Hug both knees to the chest.'],
    carried: [
      'back on floor',
      'head on floor',
      'left hand on left shin',
      'right hand on right shin',
    ],
  },
  {
    pose: 'happy legs',
    base: 'supine',
    namedBy: '',
    place: 'Lie on the back with the knees bent and the feet on the floor.',
    steps: ['Draw the knees toward the armpits.', 'Hold the outer edges of the feet.'],
    carried: [
      'back on floor',
      'head on floor',
      'left hand on left foot',
      'right hand on right foot',
    ],
  },
  {
    pose: 'squat',
    base: 'standing',
    namedBy: '',
    place: 'Stand with the feet a little wider than the hips.',
    steps: ['Bend the knees and sink the hips low.', 'Bring the palms together at the heart.'],
    carried: ['left sole on floor', 'right sole on floor'],
  },
  {
    pose: 'bird dog',
    base: 'hands',
    namedBy: 'lifted leg',
    place: 'All fours.',
    steps: ['Lift the right leg behind you, level with the floor.', 'Reach the left arm forward.'],
    carried: ['left shin on floor', 'right palm on floor'],
  },
  {
    pose: 'shoulder stand',
    base: 'inverted',
    namedBy: '',
    place: 'Lie on the back, arms by the sides.',
    steps: [
      'Bend the knees to the chest.',
      'Lift the hips and roll up onto the shoulders.',
      'Place the hands on the back.',
      'Straighten the legs to the ceiling.',
    ],
    carried: ['head on floor', 'left elbow on floor', 'right elbow on floor', 'shoulders on floor'],
  },
  {
    pose: 'plough',
    base: 'inverted',
    namedBy: '',
    place: 'Lie on the back.',
    steps: ['Lift both legs.', 'Swing the legs over the head and lower the toes to the floor.'],
    carried: [
      'head on floor',
      'left palm on floor',
      'left toes on floor',
      'right palm on floor',
      'right toes on floor',
      'shoulders on floor',
    ],
  },
  {
    pose: 'side plank',
    base: 'hands',
    namedBy: 'bottom hand',
    place: 'Come to plank.',
    steps: [
      'Shift the weight onto the right hand.',
      'Roll onto the outer edge of the right foot.',
      'Stack the left foot on the right.',
      'Lift the left arm to the ceiling.',
    ],
    carried: ['left sole on right foot', 'right outer foot on floor', 'right palm on floor'],
  },
  {
    pose: 'half moon',
    base: 'standing',
    namedBy: 'standing leg',
    place: 'Stand with the feet wide apart.',
    steps: [
      'Turn the right foot out and bend the right knee.',
      'Place the right fingertips on the floor in front of the right foot.',
      'Lift the left leg level with the floor.',
      'Straighten the right leg.',
      'Reach the left arm to the ceiling.',
    ],
    carried: ['right fingertips on floor', 'right sole on floor'],
  },
  {
    pose: 'pigeon',
    base: 'hands',
    namedBy: 'bent knee',
    place: 'Come to all fours.',
    steps: [
      'Bring the right knee forward behind the right wrist.',
      'Slide the left leg back.',
      'Lower the hips.',
      'Fold forward over the shin.',
    ],
    carried: [
      'left forearm on floor',
      'left knee on floor',
      'left top of foot on floor',
      'right forearm on floor',
      'right hip on floor',
      'right outer foot on floor',
    ],
  },
  {
    pose: 'eagle',
    base: 'standing',
    namedBy: 'top leg',
    place: 'Stand tall.',
    steps: [
      'Bend both knees.',
      'Cross the right thigh over the left.',
      'Cross the left arm over the right and bring the palms together.',
    ],
    carried: ['left sole on floor'],
  },
  {
    pose: 'standing side bend',
    base: 'standing',
    namedBy: 'side bent towards',
    place: 'Stand with feet together.',
    steps: ['Sweep the left arm up.', 'Bend to the right.'],
    carried: ['left sole on floor', 'right sole on floor'],
  },
  {
    pose: 'seated wide fold',
    base: 'seated',
    namedBy: '',
    place: 'Sit with the legs wide apart.',
    steps: ['Set the hands on the floor in front of you.', 'Walk the hands forward and fold.'],
    carried: [
      'left heel on floor',
      'left palm on floor',
      'right heel on floor',
      'right palm on floor',
      'sit bones on floor',
    ],
  },
  {
    pose: 'bow',
    base: 'prone',
    namedBy: '',
    place: 'Lie on the belly.',
    steps: ['Bend both knees.', 'Hold the ankles.', 'Lift the chest and the thighs.'],
    carried: ['belly on floor', 'left hand on left shin', 'right hand on right shin'],
  },
  {
    pose: 'puppy',
    base: 'hands',
    namedBy: '',
    place: 'Hands and knees.',
    steps: [
      'Walk the hands forward.',
      'Lower the chest toward the floor and the forehead to the mat.',
    ],
    carried: [
      'forehead on floor',
      'left palm on floor',
      'left shin on floor',
      'right palm on floor',
      'right shin on floor',
    ],
  },
  {
    pose: 'pyramid',
    base: 'standing',
    namedBy: 'front leg',
    place: 'Stand at the front of the mat, hands on the hips.',
    steps: [
      'Step the left foot back.',
      'Turn the left foot out and press the heel down.',
      'Straighten both legs.',
      'Fold forward over the right leg.',
      'Place the hands on the floor beside the right foot.',
    ],
    carried: [
      'left palm on floor',
      'left sole on floor',
      'right palm on floor',
      'right sole on floor',
    ],
  },
  {
    pose: 'goddess',
    base: 'standing',
    namedBy: '',
    place: 'Stand with the feet wide apart.',
    steps: [
      'Turn the feet out.',
      'Bend both knees.',
      'Raise the arms to shoulder height and bend the elbows.',
    ],
    carried: ['left sole on floor', 'right sole on floor'],
  },
  {
    pose: 'reverse warrior',
    base: 'standing',
    namedBy: 'front leg',
    place: 'Stand with the feet wide apart.',
    steps: [
      'Turn the right foot out.',
      'Bend the right knee.',
      'Slide the left hand down the left leg.',
      'Sweep the right arm overhead.',
    ],
    carried: ['left hand on left shin', 'left sole on floor', 'right sole on floor'],
  },
  {
    pose: 'big toe stand',
    base: 'standing',
    namedBy: 'lifted leg',
    place: 'Stand tall.',
    steps: [
      'Lift the right knee.',
      'Hold the right big toe with the right hand.',
      'Straighten the right leg forward.',
    ],
    carried: ['left sole on floor', 'right hand on right foot'],
  },
  {
    pose: 'dancer',
    base: 'standing',
    namedBy: 'lifted leg',
    place: 'Stand tall, feet together.',
    steps: [
      'Bend the right knee and hold the right foot with the right hand.',
      'Lift the left arm forward and up.',
      'Lift the right foot back and up.',
    ],
    carried: ['left sole on floor', 'right hand on right foot'],
  },
  {
    pose: 'full cobra',
    base: 'prone',
    namedBy: '',
    place: 'Lie on the front, hands under the shoulders.',
    steps: ['Press the hands down and lift the chest.', 'Straighten the arms.'],
    carried: [
      'belly on floor',
      'left knee on floor',
      'left palm on floor',
      'left top of foot on floor',
      'right knee on floor',
      'right palm on floor',
      'right top of foot on floor',
    ],
  },
  {
    pose: 'crocodile',
    base: 'prone',
    namedBy: '',
    place: 'Lie on the belly.',
    steps: ['Fold the arms and rest the forehead on the hands.', 'Let the heels fall out.'],
    carried: [
      'belly on floor',
      'chest on floor',
      'forehead on floor',
      'left knee on floor',
      'left top of foot on floor',
      'right knee on floor',
      'right top of foot on floor',
    ],
  },
  {
    pose: 'hero',
    base: 'kneeling',
    namedBy: '',
    place: 'Kneel with the knees together.',
    steps: ['Move the feet apart.', 'Sit between the heels.', 'Rest the hands on the thighs.'],
    carried: [
      'left hand on left thigh',
      'left shin on floor',
      'right hand on right thigh',
      'right shin on floor',
      'sit bones on floor',
    ],
  },
  {
    pose: 'fish',
    base: 'supine',
    namedBy: '',
    place: 'Lie on the back, legs long.',
    steps: [
      'Slide the hands under the hips.',
      'Press the forearms down and lift the chest.',
      'Lower the crown of the head to the floor.',
    ],
    carried: [
      'crown on floor',
      'left forearm on floor',
      'left heel on floor',
      'pelvis on floor',
      'right forearm on floor',
      'right heel on floor',
    ],
  },
  {
    pose: 'one leg bridge',
    base: 'supine',
    namedBy: 'lifted leg',
    place: 'Lie on the back, knees bent, feet hip-width.',
    steps: ['Lift the hips.', 'Straighten the right leg to the ceiling.'],
    carried: [
      'head on floor',
      'left hand on floor',
      'left sole on floor',
      'right hand on floor',
      'shoulders on floor',
    ],
  },
  {
    pose: 'wide seat',
    base: 'seated',
    namedBy: '',
    place: 'Sit with the legs long.',
    steps: ['Spread the legs wide.', 'Sit tall.', 'Walk the hands forward.'],
    carried: ['left heel on floor', 'right heel on floor', 'sit bones on floor'],
  },
  {
    pose: 'half lotus fold',
    base: 'seated',
    namedBy: 'bent knee',
    place: 'Sit with the legs long.',
    steps: [
      'Place the right foot on the left thigh.',
      'Lift the arms.',
      'Fold forward and hold the left foot.',
    ],
    carried: [
      'left hand on left foot',
      'left heel on floor',
      'right hand on left foot',
      'right outer foot on left thigh',
      'sit bones on floor',
    ],
  },
  {
    pose: 'reclined bound',
    base: 'supine',
    namedBy: '',
    place: 'Lie on the back, knees bent.',
    steps: [
      'Bring the soles of the feet together.',
      'Let the knees fall open.',
      'Rest the hands on the belly.',
    ],
    carried: [
      'back on floor',
      'head on floor',
      'left outer foot on floor',
      'right outer foot on floor',
    ],
  },
  {
    pose: 'legs up',
    base: 'supine',
    namedBy: '',
    place: 'Lie on the back.',
    steps: [
      'Lift the legs to ninety degrees.',
      'Lower the legs to thirty degrees.',
      'Lower the legs to the floor.',
    ],
    carried: ['back on floor', 'head on floor', 'left heel on floor', 'right heel on floor'],
  },
  {
    pose: 'kneeling lunge twist',
    base: 'kneeling',
    namedBy: 'front leg',
    place: 'Kneel tall.',
    steps: [
      'Step the right foot forward.',
      'Bring the palms together at the heart.',
      'Turn to the right, left elbow outside the right knee.',
    ],
    carried: ['left elbow on right thigh', 'left shin on floor', 'right sole on floor'],
  },
  {
    pose: 'side bend seat',
    base: 'seated',
    namedBy: 'side bent towards',
    place: 'Sit cross-legged.',
    steps: [
      'Set the right hand on the floor beside the right hip.',
      'Sweep the left arm up.',
      'Bend to the right.',
    ],
    carried: [
      'left outer foot on floor',
      'right outer foot on floor',
      'right palm on floor',
      'sit bones on floor',
    ],
  },
  {
    pose: 'downdog split',
    base: 'hands',
    namedBy: 'lifted leg',
    place: 'Downward dog.',
    steps: ['Lift the right leg back and up.'],
    carried: ['left palm on floor', 'left sole on floor', 'right palm on floor'],
  },
  {
    pose: 'rabbit',
    base: 'kneeling',
    namedBy: '',
    place: 'Sit on the heels.',
    steps: ['Hold the heels.', 'Round the back and bring the crown to the floor.'],
    carried: [
      'crown on floor',
      'left hand on left foot',
      'left shin on floor',
      'right hand on right foot',
      'right shin on floor',
    ],
  },
  {
    pose: 'wall stand',
    base: 'standing',
    namedBy: '',
    place: 'Stand facing the wall.',
    steps: [
      'Place the hands on the wall at hip height.',
      'Walk the feet back.',
      'Fold from the hips until the back is level.',
    ],
    carried: [
      'left palm on wall',
      'left sole on floor',
      'right palm on wall',
      'right sole on floor',
    ],
  },
]

const cardOf = ({ pose, base, namedBy, place, steps }: (typeof POSES)[number]) => ({
  ...blankCard({
    name: pose,
    base,
    spine: 'lengthen',
    manner: 'held',
    sides: namedBy ? 'sided' : 'even',
  }),
  sideNamedBy: namedBy,
  setUp: { place, props: [], note: '' },
  enter: stepsOf(steps.map((text) => ['in', text])),
})

const named = POSES.map((pose) => [pose.pose, pose] as const)

test.each(named)('%s is carried as its words say, inside the limits of its joints', (_, pose) => {
  const { figure, solved } = draftsOf(cardOf(pose), { kept: false }).at(-1)!
  expect(figure.contacts.map(({ part, on }) => `${part} on ${on}`).sort()).toEqual(pose.carried)
  expect(outsideLimits(solved.pose.angles)).toEqual([])
  // Nothing that should touch stays away by more than one sees on a card.
  expect(solved.unmet.filter(({ cm }) => cm > 3)).toEqual([])
})

test.each(named.filter(([, { namedBy }]) => namedBy))(
  '%s, led from the left, is its mirror',
  (_, pose) => {
    const card = cardOf(pose)
    const [right, left] = [card, writeFor(card, 'left')].map(
      (each) => draftsOf(each, { kept: false }).at(-1)!.figure
    )
    const across = mirroredFigure(right!)
    const angle = (angles: typeof across.angles, joint: string, name: string) =>
      angles[joint]?.[name] ?? 0
    for (const { joint, angle: name } of ANGLES)
      expect(
        Math.abs(angle(left!.angles, joint, name) - angle(across.angles, joint, name))
      ).toBeLessThan(1e-6)
    const touched = (figure: typeof across) =>
      figure.contacts.map(({ part, on }) => part + on).sort()
    expect(touched(left!)).toEqual(touched(across))
  }
)
