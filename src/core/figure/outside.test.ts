import { polygonContains, polygonHull } from 'd3-polygon'
import fc from 'fast-check'
import { furthest } from '../../../tests/support/numbers'
import { Euler, Matrix4, Object3D, Quaternion, Vector3 } from 'three'
import { bodyOf } from './body'
import { hull } from './hull'
import {
  ANGLES,
  balanceMargin,
  centreOfMass,
  type Figure,
  jointMoments,
  readFigure,
  solve,
  STARTS,
  supportCorners,
} from './index'
import { ANGLE_INDEX, JOINTS, jointOf, place, type Segment } from './skeleton'
import { type Mat, rad, rotBy, rotX, rotY, rotZ, type Vec } from './vec'

/** The figure held against libraries and tables that know nothing of it. */

const read = (data: unknown): Figure => readFigure(data).figure!
const angle = fc.double({ min: -179, max: 179, noNaN: true })

function rowsOf(m: Matrix4): number[] {
  const [a, b, c, , d, e, f, , g, h, i] = m.elements
  return [a, d, g, b, e, h, c, f, i] as number[]
}

const close = (ours: readonly number[], theirs: readonly number[], digits = 9) =>
  expect(furthest(ours, theirs)).toBeLessThan(10 ** -digits / 2)

describe('turns, against three', () => {
  test.each([
    ['x', rotX, (a: number) => new Matrix4().makeRotationX(a)],
    ['y', rotY, (a: number) => new Matrix4().makeRotationY(a)],
    ['z', rotZ, (a: number) => new Matrix4().makeRotationZ(a)],
  ] as const)('about %s', (_axis, ours, theirs) => {
    fc.assert(fc.property(angle, (a) => close(ours(a), rowsOf(theirs(rad(a))))))
  })

  test('about any axis, by a vector as long as the angle', () => {
    fc.assert(
      fc.property(angle, angle, angle, (x, y, z) => {
        const long = Math.hypot(x, y, z)
        fc.pre(long > 1e-6)
        const axis = new Vector3(x, y, z).divideScalar(long)
        close(rotBy([x, y, z]), rowsOf(new Matrix4().makeRotationAxis(axis, rad(long))), 7)
      })
    )
  })

  const of = (values: readonly number[], joint: string, name: string) =>
    values[ANGLE_INDEX.get(`${joint}.${name}`)!]!

  /** Turns of each segment by three's own angles and quaternions. */
  function turnsByThree(values: readonly number[]): Partial<Record<Segment, Quaternion>> {
    const v = (joint: string, name: string) => rad(of(values, joint, name))
    const euler = (x: number, y: number, z: number) =>
      new Quaternion().setFromEuler(new Euler(x, y, z, 'YXZ'))
    const byVector = (x: number, z: number, then: number) => {
      const long = Math.hypot(x, z)
      const swing = new Quaternion()
      if (long > 0) swing.setFromAxisAngle(new Vector3(x / long, 0, z / long), long)
      return swing.multiply(new Quaternion().setFromAxisAngle(new Vector3(0, 1, 0), then))
    }
    const spine = (joint: string) =>
      euler(v(joint, 'flexion'), v(joint, 'rotation'), -v(joint, 'lateralFlexion'))
    const turns: Partial<Record<Segment, Quaternion>> = {
      pelvis: euler(v('pelvis', 'tilt'), v('pelvis', 'turn'), -v('pelvis', 'lean')),
      lowBack: spine('lowBack'),
      ribs: spine('ribs'),
      neck: spine('neck'),
    }
    for (const [side, s] of [
      ['left', 1],
      ['right', -1],
    ] as const) {
      turns[`${side}Thigh`] = byVector(
        -v(`${side}Hip`, 'flexion'),
        s * v(`${side}Hip`, 'abduction'),
        s * v(`${side}Hip`, 'rotation')
      )
      turns[`${side}Shank`] = euler(v(`${side}Knee`, 'flexion'), 0, 0)
    }
    return turns
  }

  test('spine and legs of any pose lie where a tree of three’s objects puts them', () => {
    const body = bodyOf({})
    const values = fc.tuple(
      ...ANGLES.map(({ min, max }) => fc.double({ min, max, noNaN: true }))
    ) as fc.Arbitrary<number[]>
    fc.assert(
      fc.property(values, (angles) => {
        const placed = place(body, { root: [0.1, 0.5, -0.2], angles })
        const objects = new Map<Segment, Object3D>()
        for (const [name, turn] of Object.entries(turnsByThree(angles))) {
          const segment = name as Segment
          const joint = JOINTS[jointOf(segment)]!
          const object = new Object3D()
          object.position.set(...(joint.parent ? joint.at(body) : ([0.1, 0.5, -0.2] as Vec)))
          object.quaternion.copy(turn)
          objects.set(segment, object)
          if (joint.parent) objects.get(joint.parent)!.add(object)
        }
        objects.get('pelvis')!.updateMatrixWorld(true)
        for (const [segment, object] of objects) {
          const i = jointOf(segment)
          close(
            placed.origins[i]!,
            new Vector3().setFromMatrixPosition(object.matrixWorld).toArray()
          )
          close(placed.rotations[i]! as Mat, rowsOf(object.matrixWorld), 7)
        }
      }),
      { numRuns: 60 }
    )
  })
})

describe('the ground under a body, against d3-polygon', () => {
  const coordinate = fc.integer({ min: -40, max: 40 })

  test('the hull has the same corners', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(coordinate, coordinate), { minLength: 3, maxLength: 40 }),
        (points) => {
          const theirs = polygonHull(points)
          fc.pre(theirs !== null && theirs.length > 2)
          const told = (corners: readonly (readonly number[])[]) =>
            corners.map((corner) => corner.join()).sort()
          expect(told(hull(points))).toEqual(told(theirs!))
        }
      )
    )
  })

  const leaning = STARTS.flatMap(({ title, figure }) =>
    [0, 12, 30].map((tilt) => [`${title}, tipped ${tilt}°`, figure, tilt] as const)
  )

  test.each(leaning)('%s: inside and outside, and how far', (_name, data, tilt) => {
    const figure = read(data)
    const ankles = { dorsiflexion: tilt }
    const solved = solve(
      read({
        ...(data as object),
        angles: {
          ...figure.angles,
          ...(tilt > 0 && { leftAnkle: ankles, rightAnkle: ankles }),
        },
      })
    )
    const corners = supportCorners(solved).map(([x, z]): [number, number] => [x, z])
    expect(corners.length).toBeGreaterThan(0)
    const [x, , z] = centreOfMass(solved.body, solved.placed)
    const margin = balanceMargin(solved)
    if (corners.length > 2) expect(margin >= 0).toBe(polygonContains(corners, [x, z]))
    // The nearest of many points along the edges; none of them is nearer than the margin says.
    const nearest = corners.reduce((best, a, i) => {
      const b = corners[(i + 1) % corners.length]!
      for (let t = 0; t <= 1; t += 1 / 400)
        best = Math.min(
          best,
          Math.hypot(x - a[0] - t * (b[0] - a[0]), z - a[1] - t * (b[1] - a[1]))
        )
      return best
    }, Infinity)
    expect(Math.abs(margin)).toBeLessThanOrEqual(nearest + 1e-9)
    expect(nearest - Math.abs(margin)).toBeLessThan(2e-3)
  })
})

describe('moments about a joint, against a table of whole limbs', () => {
  // Winter, Biomechanics and Motor Control of Human Movement, after Dempster: limbs told as one
  // segment; mass as a part of the body's, centre as a part of the limb's length (mem). The
  // figure adds up its own smaller segments, so the two are different rows of the table.
  const WHOLE = {
    'forearm and hand': { mass: 0.022, centre: 0.682, length: 0.146 },
    'whole arm': { mass: 0.05, centre: 0.53, length: 0.332 },
    'whole leg': { mass: 0.161, centre: 0.447, length: 0.491 },
  }
  const byTable = (limb: keyof typeof WHOLE) =>
    WHOLE[limb].mass * WHOLE[limb].centre * WHOLE[limb].length

  const FEET = [
    { part: 'left sole', on: 'floor' },
    { part: 'right sole', on: 'floor' },
  ]
  const momentOf = (figure: Figure, joint: string) =>
    jointMoments(solve(figure)).find((each) => each.joint === joint)!.moment
  const standing = (angles: object) => read({ angles, contacts: FEET })

  test('a forearm held level while the upper arm hangs', () => {
    const held = momentOf(standing({ leftElbow: { flexion: 90 } }), 'left shoulder')
    expect(held / byTable('forearm and hand')).toBeGreaterThan(0.95)
    expect(held / byTable('forearm and hand')).toBeLessThan(1.05)
  })

  test('a straight arm held level', () => {
    const held = momentOf(standing({ leftShoulder: { flexion: 90 } }), 'left shoulder')
    expect(held / byTable('whole arm')).toBeGreaterThan(0.93)
    expect(held / byTable('whole arm')).toBeLessThan(1.07)
  })

  const lying = (flexion: number) => {
    const { figure: start } = STARTS.find(({ id }) => id === 'supine')!
    const figure = read(start)
    return read({
      ...start,
      angles: { ...figure.angles, leftHip: { flexion }, leftKnee: { flexion: 0 } },
      contacts: figure.contacts.filter(({ part }) => !part.startsWith('left')),
    })
  }

  test('a straight leg raised from lying, in the stages of a leg raise: less the higher it is', () => {
    const moments = [30, 45, 60].map((flexion) => {
      const raised = lying(flexion)
      const { placed } = solve(raised)
      const [hip, ankle] = (['leftThigh', 'leftFoot'] as const).map(
        (segment) => placed.origins[jointOf(segment)]!
      ) as [Vec, Vec]
      const level = Math.hypot(ankle[0] - hip[0], ankle[2] - hip[2])
      const slope = level / Math.hypot(level, ankle[1] - hip[1])
      const moment = momentOf(raised, 'left hip')
      expect(moment / (byTable('whole leg') * slope)).toBeGreaterThan(0.9)
      expect(moment / (byTable('whole leg') * slope)).toBeLessThan(1.1)
      return moment
    })
    expect(moments[0]).toBeGreaterThan(moments[1]!)
    expect(moments[1]).toBeGreaterThan(moments[2]!)
  })
})
