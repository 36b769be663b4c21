import type { Body } from './body'
import {
  add,
  apply,
  IDENTITY,
  type Mat,
  rad,
  rotBy,
  rotX,
  rotY,
  rotZ,
  scale,
  times,
  turnsBy,
  type Vec,
} from './vec'

/**
 * The joints and their angles in clinical terms, in degrees. Zero is standing in the
 * anatomical position: arms down, palms to the front.
 */

export const SEGMENTS = [
  'pelvis',
  'lowBack',
  'ribs',
  'neck',
  'head',
  'leftGirdle',
  'leftUpperArm',
  'leftForearm',
  'leftHand',
  'rightGirdle',
  'rightUpperArm',
  'rightForearm',
  'rightHand',
  'leftThigh',
  'leftShank',
  'leftFoot',
  'leftToes',
  'rightThigh',
  'rightShank',
  'rightFoot',
  'rightToes',
] as const
export type Segment = (typeof SEGMENTS)[number]

/** One angle of a joint: its range, and whether the mirror turns its sign. */
export interface AngleInfo {
  joint: string
  angle: string
  min: number
  max: number
  flips: boolean
}

const angle = (
  joint: string,
  name: string,
  min: number,
  max: number,
  flips = false
): AngleInfo => ({
  joint,
  angle: name,
  min,
  max,
  flips,
})

const limb = (side: 'left' | 'right'): AngleInfo[] => {
  const of = (joint: string) => side + joint
  return [
    angle(of('Girdle'), 'elevation', -10, 40),
    angle(of('Girdle'), 'retraction', -25, 25),
    angle(of('Shoulder'), 'flexion', -60, 180),
    angle(of('Shoulder'), 'abduction', -60, 180),
    angle(of('Shoulder'), 'rotation', -90, 90),
    angle(of('Elbow'), 'flexion', -5, 150),
    angle(of('Forearm'), 'pronation', -10, 170),
    angle(of('Wrist'), 'flexion', -90, 80),
    angle(of('Wrist'), 'radialDeviation', -20, 30),
    angle(of('Hip'), 'flexion', -30, 135),
    angle(of('Hip'), 'abduction', -30, 75),
    angle(of('Hip'), 'rotation', -50, 90),
    angle(of('Knee'), 'flexion', -5, 155),
    angle(of('Ankle'), 'dorsiflexion', -75, 35),
    angle(of('Ankle'), 'eversion', -48, 25),
    angle(of('Toes'), 'extension', -40, 75),
  ]
}

/**
 * Every angle of the body. Ranges: AAOS 1965 (from memory), widened where practice goes
 * further with the girdle or a prop: hip flexion with a rounded low back to 135, hip rotation
 * out with flexion to 90, wide straddles to 75, toes bent under weight, soles flat in a wide stand (ankle tilt 48), wrists to 90 under
 * weight, kneeling knees to 155. See `NORMAL_RANGES` for the plain table.
 */
export const ANGLES: readonly AngleInfo[] = [
  angle('pelvis', 'turn', -360, 360, true),
  angle('pelvis', 'tilt', -360, 360),
  angle('pelvis', 'lean', -360, 360, true),
  angle('lowBack', 'flexion', -30, 45),
  angle('lowBack', 'lateralFlexion', -20, 20, true),
  angle('lowBack', 'rotation', -12, 12, true),
  angle('ribs', 'flexion', -25, 45),
  angle('ribs', 'lateralFlexion', -25, 25, true),
  angle('ribs', 'rotation', -40, 40, true),
  angle('neck', 'flexion', -50, 50),
  angle('neck', 'lateralFlexion', -45, 45, true),
  angle('neck', 'rotation', -80, 80, true),
  angle('head', 'flexion', -20, 20),
  ...limb('left'),
  ...limb('right'),
]

/** The published table of normal ranges (AAOS 1965, from memory), in degrees. */
export const NORMAL_RANGES = {
  shoulderFlexion: 180,
  shoulderExtension: 60,
  shoulderAbduction: 180,
  shoulderRotationIn: 70,
  shoulderRotationOut: 90,
  elbowFlexion: 150,
  wristFlexion: 80,
  wristExtension: 70,
  hipFlexion: 120,
  hipExtension: 30,
  hipAbduction: 45,
  hipAdduction: 30,
  hipRotation: 45,
  kneeFlexion: 135,
  ankleUp: 20,
  ankleDown: 50,
  neckFlexion: 45,
  neckExtension: 45,
  neckSide: 45,
  neckTurn: 80,
  trunkFlexion: 80,
  trunkExtension: 25,
  trunkSide: 35,
  trunkTurn: 45,
} as const

/** Where each angle stands in a list of all of them: `leftHip.flexion` → index. */
export const ANGLE_INDEX: ReadonlyMap<string, number> = new Map(
  ANGLES.map(({ joint, angle: name }, i) => [`${joint}.${name}`, i])
)
export const indexOf = (joint: string, name: string): number => ANGLE_INDEX.get(`${joint}.${name}`)!

/** For each angle, where its mirrored one stands. */
export const MIRROR_INDEX: readonly number[] = ANGLES.map(({ joint, angle: name }) => {
  const across = joint.startsWith('left')
    ? joint.replace('left', 'right')
    : joint.startsWith('right')
      ? joint.replace('right', 'left')
      : joint
  return indexOf(across, name)
})

/** A pose in numbers: where the middle of the hips is, and every angle in the order of `ANGLES`. */
export interface Pose {
  root: Vec
  angles: number[]
}

/** The pose seen in a mirror: left and right change places. */
export function mirroredPose({ root, angles }: Pose): Pose {
  return {
    root: [0 - root[0], root[1], root[2]],
    angles: ANGLES.map(({ flips }, i) => {
      const value = angles[MIRROR_INDEX[i]!]!
      return flips ? 0 - value : value
    }),
  }
}

/** One turn of a joint: by which of its angles, about which line, and which way. */
type Turn = readonly [of: number, about: 'x' | 'y' | 'z', sign: 1 | -1]

interface Joint {
  segment: Segment
  parent: Segment | null
  /** Place of the joint in the parent. */
  at: (body: Body) => Vec
  /** Indexes of its angles. */
  angles: readonly number[]
  /** How it is turned in its parent. */
  rotation: (angles: readonly number[]) => Mat
  /** For each of its angles, in its parent: about which axis one degree more of it turns. */
  axes: (angles: readonly number[]) => Vec[]
}

const ABOUT = { x: rotX, y: rotY, z: rotZ }
const LINES: Record<Turn[1], Vec> = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] }

/** A joint that turns by one angle after the other. */
const turning = (...turns: Turn[]): Pick<Joint, 'rotation' | 'axes'> => turningAfter(null, turns)

/** Hip and shoulder: flexion and abduction are one swing, and the limb turns in it. */
const swinging = (sign: 1 | -1): Pick<Joint, 'rotation' | 'axes'> =>
  turningAfter(([flexion, abduction]) => [-flexion!, 0, sign * abduction!], [[2, 'y', sign]], sign)

function turningAfter(
  swing: ((angles: readonly number[]) => Vec) | null,
  turns: readonly Turn[],
  sign = 1
): Pick<Joint, 'rotation' | 'axes'> {
  const turned = (angles: readonly number[], [of, about, way]: Turn) =>
    ABOUT[about](way * angles[of]!)
  return {
    rotation: (angles) =>
      turns
        .slice(swing ? 0 : 1)
        .reduce(
          (all, turn) => times(all, turned(angles, turn)),
          swing ? rotBy(swing(angles)) : turned(angles, turns[0]!)
        ),
    axes: (angles) => {
      const axes: Vec[] = []
      let all = IDENTITY
      if (swing) {
        const vector = swing(angles)
        const by = turnsBy(vector)
        axes[0] = scale(apply(by, LINES.x), -rad(1))
        axes[1] = scale(apply(by, LINES.z), sign * rad(1))
        all = rotBy(vector)
      }
      turns.forEach((turn, i) => {
        const [of, about, way] = turn
        axes[of] = scale(apply(all, LINES[about]), way * rad(1))
        if (i < turns.length - 1) all = times(all, turned(angles, turn))
      })
      return axes
    },
  }
}

/** The angles of each region of the spine. */
export const SPINAL = ['flexion', 'lateralFlexion', 'rotation'] as const

const spine = turning([2, 'y', 1], [0, 'x', 1], [1, 'z', -1])

function arm(side: 'left' | 'right'): Joint[] {
  const s: 1 | -1 = side === 'left' ? 1 : -1
  const seg = (name: string) => `${side}${name}` as Segment
  const ids = (joint: string, ...names: string[]) =>
    names.map((name) => indexOf(side + joint, name))
  return [
    {
      segment: seg('Girdle'),
      parent: 'ribs',
      at: (b) => [s * 0.02, b.shoulderUp, 0.01],
      angles: ids('Girdle', 'elevation', 'retraction'),
      ...turning([1, 'y', s], [0, 'z', s]),
    },
    {
      segment: seg('UpperArm'),
      parent: seg('Girdle'),
      at: (b) => [s * (b.shoulderOut - 0.02), 0, -0.01],
      angles: ids('Shoulder', 'flexion', 'abduction', 'rotation'),
      ...swinging(s),
    },
    {
      segment: seg('Forearm'),
      parent: seg('UpperArm'),
      at: (b) => [0, -b.upperArm, 0],
      angles: [indexOf(`${side}Elbow`, 'flexion'), indexOf(`${side}Forearm`, 'pronation')],
      ...turning([0, 'x', -1], [1, 'y', s === 1 ? -1 : 1]),
    },
    {
      segment: seg('Hand'),
      parent: seg('Forearm'),
      at: (b) => [0, -b.forearm, 0],
      angles: ids('Wrist', 'flexion', 'radialDeviation'),
      ...turning([0, 'x', -1], [1, 'z', s]),
    },
  ]
}

function leg(side: 'left' | 'right'): Joint[] {
  const s: 1 | -1 = side === 'left' ? 1 : -1
  const seg = (name: string) => `${side}${name}` as Segment
  const ids = (joint: string, ...names: string[]) =>
    names.map((name) => indexOf(side + joint, name))
  return [
    {
      segment: seg('Thigh'),
      parent: 'pelvis',
      at: (b) => [s * b.hipOut, 0, 0],
      angles: ids('Hip', 'flexion', 'abduction', 'rotation'),
      ...swinging(s),
    },
    {
      segment: seg('Shank'),
      parent: seg('Thigh'),
      at: (b) => [0, -b.thigh, 0],
      angles: ids('Knee', 'flexion'),
      ...turning([0, 'x', 1]),
    },
    {
      segment: seg('Foot'),
      parent: seg('Shank'),
      at: (b) => [0, -b.shank, 0],
      angles: ids('Ankle', 'dorsiflexion', 'eversion'),
      ...turning([0, 'x', -1], [1, 'z', s]),
    },
    {
      segment: seg('Toes'),
      parent: seg('Foot'),
      at: (b) => [0, -b.ankleHeight + 0.008, b.foot * 0.5],
      angles: ids('Toes', 'extension'),
      ...turning([0, 'x', -1]),
    },
  ]
}

/** The tree of joints, parents before children. */
export const JOINTS: readonly Joint[] = [
  {
    segment: 'pelvis',
    parent: null,
    at: () => [0, 0, 0],
    angles: [indexOf('pelvis', 'turn'), indexOf('pelvis', 'tilt'), indexOf('pelvis', 'lean')],
    ...turning([0, 'y', 1], [1, 'x', 1], [2, 'z', -1]),
  },
  {
    segment: 'lowBack',
    parent: 'pelvis',
    at: (b) => [0, b.pelvisUp, -0.012],
    angles: SPINAL.map((name) => indexOf('lowBack', name)),
    ...spine,
  },
  {
    segment: 'ribs',
    parent: 'lowBack',
    at: (b) => [0, b.lowBackUp, 0],
    angles: SPINAL.map((name) => indexOf('ribs', name)),
    ...spine,
  },
  {
    segment: 'neck',
    parent: 'ribs',
    at: (b) => [0, b.neckFrom, b.stoop],
    angles: SPINAL.map((name) => indexOf('neck', name)),
    ...spine,
  },
  {
    segment: 'head',
    parent: 'neck',
    at: (b) => [0, b.neckUp, 0.006],
    angles: [indexOf('head', 'flexion')],
    ...turning([0, 'x', 1]),
  },
  ...arm('left'),
  ...arm('right'),
  ...leg('left'),
  ...leg('right'),
]

/** The segment that a joint’s angles move: `leftKnee` → `leftShank`. */
export const segmentOf = (joint: string): Segment =>
  JOINTS.find(({ angles }) => angles.some((i) => ANGLES[i]!.joint === joint))!.segment

const JOINT_OF = new Map(JOINTS.map((joint, i) => [joint.segment, i]))

/** Index of the joint that moves a segment. */
export const jointOf = (segment: Segment): number => JOINT_OF.get(segment)!
const RIBS = jointOf('ribs')

/** For each joint, the joints from the root down to it. */
export const CHAINS: readonly (readonly number[])[] = JOINTS.map(({ segment }) => {
  const chain: number[] = []
  for (let at: Segment | null = segment; at; at = JOINTS[jointOf(at)]!.parent)
    chain.unshift(jointOf(at))
  return chain
})

/** Where every segment is: its joint in space, and how it is turned. */
export interface Placed {
  origins: Vec[]
  rotations: Mat[]
}

const valuesOf = (joint: Joint, angles: readonly number[]) => joint.angles.map((i) => angles[i]!)

/**
 * The joint whose rotation a segment starts from: its parent's. The arm starts from the ribs:
 * the girdle carries the shoulder to another place and does not tip the arm, as arm angles are
 * told against the trunk.
 */
const turnedBy = (segment: Segment, parent: number): number =>
  segment === 'leftUpperArm' || segment === 'rightUpperArm' ? RIBS : parent

/** For a joint that carries what hangs on it without turning it (the girdles), what that is. */
export const CARRIED: readonly (number | undefined)[] = JOINTS.map(({ segment }) =>
  segment.endsWith('Girdle') ? jointOf(segment.replace('Girdle', 'UpperArm') as Segment) : undefined
)

/** Places every segment of a body. */
export function place(body: Body, pose: Pose): Placed {
  const origins: Vec[] = []
  const rotations: Mat[] = []
  for (const joint of JOINTS) {
    const parent = joint.parent === null ? -1 : jointOf(joint.parent)
    const local = joint.rotation(valuesOf(joint, pose.angles))
    if (parent < 0) {
      origins.push(pose.root)
      rotations.push(local)
    } else {
      origins.push(add(origins[parent]!, apply(rotations[parent]!, joint.at(body))))
      rotations.push(times(rotations[turnedBy(joint.segment, parent)]!, local))
    }
  }
  return { origins, rotations }
}

/** A point of a segment, told in the segment, in space. */
export const pointIn = (placed: Placed, segment: Segment, local: Vec): Vec => {
  const i = jointOf(segment)
  return add(placed.origins[i]!, apply(placed.rotations[i]!, local))
}

/** For each angle, the axis in space about which one degree more of it turns its segment. */
export function axesOf(pose: Pose, placed: Placed): Vec[] {
  const axes = new Array<Vec>(ANGLES.length)
  for (const joint of JOINTS) {
    const parent =
      joint.parent === null
        ? IDENTITY
        : placed.rotations[turnedBy(joint.segment, jointOf(joint.parent))]!
    const local = joint.axes(valuesOf(joint, pose.angles))
    joint.angles.forEach((index, k) => {
      axes[index] = apply(parent, local[k]!)
    })
  }
  return axes
}
