import { Bone, type QuaternionKeyframeTrack, Vector3, type VectorKeyframeTrack } from 'three'
import { BVHLoader } from 'three/examples/jsm/loaders/BVHLoader.js'
import {
  ANGLES,
  BvhError,
  bvhOf,
  type Figure,
  figureFromBvh,
  JOINTS,
  readFigure,
  solve,
  STARTS,
  USUAL_STATURE,
} from './index'

const read = (data: unknown): Figure => readFigure(data).figure!
const starts = STARTS.map(({ figure }) => read(figure))

/** Where an independent reader, three’s BVHLoader, puts every joint in one frame; cm. */
function placesByThree(text: string, frame: number): Record<string, Vector3> {
  const { skeleton, clip } = new BVHLoader().parse(text)
  for (const bone of skeleton.bones) {
    const track = (what: string) => clip.tracks.find((each) => each.name === `${bone.name}.${what}`)
    const at = track('position') as VectorKeyframeTrack | undefined
    const turn = track('quaternion') as QuaternionKeyframeTrack | undefined
    if (at) bone.position.fromArray(at.values, frame * 3)
    if (turn) bone.quaternion.fromArray(turn.values, frame * 4)
  }
  const root = skeleton.bones[0] as Bone
  root.updateMatrixWorld(true)
  return Object.fromEntries(
    skeleton.bones.map((bone) => [bone.name, bone.getWorldPosition(new Vector3())])
  )
}

describe('BVH out', () => {
  test('an independent reader puts every joint of every frame where it is', () => {
    const text = bvhOf(starts, 4)
    starts.forEach((figure, frame) => {
      const { placed } = solve(figure)
      const theirs = placesByThree(text, frame)
      JOINTS.forEach(({ segment }, i) => {
        const ours = placed.origins[i]!
        const there = theirs[segment]!
        expect(Math.abs(there.x - ours[0] * USUAL_STATURE)).toBeLessThan(0.01)
        expect(Math.abs(there.y - ours[1] * USUAL_STATURE)).toBeLessThan(0.01)
        expect(Math.abs(there.z - ours[2] * USUAL_STATURE)).toBeLessThan(0.01)
      })
    })
  })

  test('one line for a frame, and the time between them', () => {
    const lines = bvhOf(starts.slice(0, 3), 4).trimEnd().split('\n')
    expect(lines).toContain('Frames: 3')
    expect(lines).toContain('Frame Time: 4')
    expect(lines.slice(-3).every((line) => line.split(' ').length === 6 + 20 * 3)).toBe(true)
  })
})

describe('BVH in', () => {
  test('what went out comes in as the same pose', () => {
    const text = bvhOf(starts)
    starts.forEach((figure, i) => {
      const back = figureFromBvh(text, i + 1)
      expect(back.frames).toBe(starts.length)
      const [a, b] = [solve(figure), solve({ ...back.figure, contacts: [] })]
      // The same places against the hips, whatever angles led there.
      JOINTS.forEach(({ segment }, j) => {
        const away = [0, 1, 2].map(
          (k) =>
            a.placed.origins[j]![k]! -
            a.pose.root[k]! -
            (b.placed.origins[j]![k]! - b.pose.root[k]!)
        )
        expect([STARTS[i]!.id, segment, Math.hypot(...away) < 0.01]).toEqual([
          STARTS[i]!.id,
          segment,
          true,
        ])
      })
      expect(figureFromBvh(text, i + 1).notes.join(' ')).not.toMatch(/Past their range/)
    })
  })

  // Arms out at rest, other names, one joint for the trunk, another order of angles, and feet first.
  const foreign = (motion: string) =>
    `HIERARCHY
ROOT rig:Hips
{
  OFFSET 0 90 0
  CHANNELS 6 Xposition Yposition Zposition Yrotation Xrotation Zrotation
  JOINT rig:Spine
  {
    OFFSET 0 12 0
    CHANNELS 3 Yrotation Xrotation Zrotation
    JOINT rig:Head
    {
      OFFSET 0 40 0
      CHANNELS 3 Yrotation Xrotation Zrotation
      End Site
      {
        OFFSET 0 20 0
      }
    }
${(['Left', 'Right'] as const)
  .map((side) => {
    const s = side === 'Left' ? 1 : -1
    return `    JOINT rig:${side}Arm
    {
      OFFSET ${s * 18} 34 0
      CHANNELS 3 Yrotation Xrotation Zrotation
      JOINT rig:${side}ForeArm
      {
        OFFSET ${s * 30} 0 0
        CHANNELS 3 Yrotation Xrotation Zrotation
        JOINT rig:${side}Hand
        {
          OFFSET ${s * 25} 0 0
          CHANNELS 3 Yrotation Xrotation Zrotation
        }
      }
    }`
  })
  .join('\n')}
  }
${(['Left', 'Right'] as const)
  .map((side) => {
    const s = side === 'Left' ? 1 : -1
    return `  JOINT rig:${side}UpLeg
  {
    OFFSET ${s * 9} -4 0
    CHANNELS 3 Yrotation Xrotation Zrotation
    JOINT rig:${side}Leg
    {
      OFFSET 0 -42 0
      CHANNELS 3 Yrotation Xrotation Zrotation
      JOINT rig:${side}Foot
      {
        OFFSET 0 -42 0
        CHANNELS 3 Yrotation Xrotation Zrotation
      }
    }
  }`
  })
  .join('\n')}
}
MOTION
Frames: 1
Frame Time: 0.0333
${motion}
`
  /** Zero everywhere but where told: hips 6, then 3 for each joint in the order of the file. */
  const motion = (told: Record<number, number>) =>
    Array.from({ length: 6 + 14 * 3 }, (_, i) => told[i] ?? 0).join(' ')
  const angle = (angles: Figure['angles'], joint: string, name: string) =>
    angles[joint]?.[name] ?? 0

  test('arms out at rest become arms at 90 degrees', () => {
    const { figure, notes } = figureFromBvh(foreign(motion({})))
    expect(angle(figure.angles, 'leftShoulder', 'abduction')).toBeCloseTo(90, 1)
    expect(angle(figure.angles, 'rightShoulder', 'abduction')).toBeCloseTo(90, 1)
    expect(angle(figure.angles, 'leftHip', 'flexion')).toBeCloseTo(0, 1)
    expect(notes.join(' ')).toMatch(/On the floor: left sole, right sole/)
  })

  test('a knee, a hip and the trunk bend as told; the trunk is shared out', () => {
    // Spine 6..8, head 9, left arm 12, 15, 18, right arm 21, 24, 27, left leg 30, 33, 36.
    const told = motion({ 7: 40, 31: -60, 34: 50 })
    const { figure } = figureFromBvh(foreign(told))
    expect(angle(figure.angles, 'leftHip', 'flexion')).toBeCloseTo(60, 1)
    expect(angle(figure.angles, 'leftKnee', 'flexion')).toBeCloseTo(50, 1)
    expect(angle(figure.angles, 'lowBack', 'flexion')).toBeCloseTo(20, 1)
    expect(angle(figure.angles, 'ribs', 'flexion')).toBeCloseTo(20, 1)
  })

  test('past the range it is brought to its end, and told', () => {
    const { figure, notes } = figureFromBvh(foreign(motion({ 34: 170 })))
    expect(angle(figure.angles, 'leftKnee', 'flexion')).toBe(155)
    expect(notes.join(' ')).toMatch(/leftKnee flexion 170° \(155°\)/)
  })

  test.each([
    ['', 1, /HIERARCHY/],
    ['\u0000\u0001 not it', 1, /HIERARCHY/],
    ['HIERARCHY\nROOT a\n{\n OFFSET 0 0 x\n', 4, /“x”.*number/],
    ['HIERARCHY\nROOT a\n{\n OFFSET 0 0\n', 4, /three numbers/],
    ['HIERARCHY\nROOT a\n{\n CHANNELS 2 Zrotation\n', 4, /CHANNELS/],
    ['HIERARCHY\nROOT a\n{\n OFFSET 0 0 0\n', 5, /ends too early/],
    ['HIERARCHY\n}\n', 3, /too many/],
    ['HIERARCHY\nROOT a\n{\n}\nROOT b\n', 6, /second ROOT/],
    ['HIERARCHY\nJOINT a\n{\n', 3, /outside the ROOT/],
    ['HIERARCHY\nROOT a\nOFFSET 0 0 0\n', 3, /“{” is missing/],
    ['HIERARCHY\nOFFSET 0 0 0\n', 3, /OFFSET stands outside/],
    ['HIERARCHY\nCHANNELS 0\n', 3, /CHANNELS stands outside/],
    ['HIERARCHY\nROOT a\n{\nMOTION\n', 5, /missing before MOTION/],
    ['HIERARCHY\nROOT a\n{\nTWIST 3\n', 4, /“TWIST” is not known/],
    ['HIERARCHY\nMOTION\nFrames: 1\n', 3, /no ROOT/],
    ['HIERARCHY\nROOT a\n{\n}\nMOTION\nFrames: 1\nTime: 1\n', 7, /Frame Time/],
    ['HIERARCHY\nROOT a\n{\n}\nMOTION\nFrames: 0\nFrame Time: 1\n', 6, /above 0/],
    ['HIERARCHY\nROOT a\n{\n}\nMOTION\nFrames: 2\nFrame Time: 1\n', 8, /2 frames are promised/],
    [
      'HIERARCHY\nROOT a\n{\nCHANNELS 1 Zrotation\n}\nMOTION\nFrames: 1\nFrame Time: 1\n1 2\n',
      9,
      /2 numbers.*1 channels/,
    ],
  ])('what cannot be read is told with its line: %#', (text, line, message) => {
    expect.assertions(3)
    try {
      figureFromBvh(text)
    } catch (error) {
      expect(error).toBeInstanceOf(BvhError)
      expect((error as BvhError).message).toMatch(message)
      expect((error as BvhError).line).toBe(line)
    }
  })

  test('a body without legs, and a frame that is not there', () => {
    const hips = 'HIERARCHY\nROOT hips\n{\nOFFSET 0 0 0\n}\nMOTION\nFrames: 1\nFrame Time: 1\n\n'
    expect(() => figureFromBvh(`${hips.trimEnd()}\n`)).toThrow(/frames are promised|no joint/)
    expect(() => figureFromBvh(foreign(motion({})), 2)).toThrow(/no frame 2; the file has 1/)
    expect(() => figureFromBvh(foreign(motion({})).replaceAll('UpLeg', 'X'))).toThrow(
      /no joint was found for leftThigh/
    )
  })
})

test('every angle of the body is either read from a joint or stays as it was', () => {
  const text = bvhOf([read({ angles: { pelvis: { turn: 30 }, neck: { rotation: -40 } } })])
  const { figure } = figureFromBvh(text)
  const names = ANGLES.map(({ joint, angle }) => `${joint}.${angle}`)
  const found: Figure['angles'] = figure.angles
  for (const [joint, values] of Object.entries(found))
    for (const name of Object.keys(values)) expect(names).toContain(`${joint}.${name}`)
  expect(found.neck?.rotation).toBeCloseTo(-40, 0)
  expect(found.pelvis?.turn).toBeCloseTo(30, 0)
})
