import fc from 'fast-check'
import { Matrix4, Quaternion, Vector3 } from 'three'
import { bodyOf } from './body'
import { ANGLES, axesOf, JOINTS, place, type Pose } from './skeleton'
import { rotBy, times, transpose, turnsBy, type Vec } from './vec'

const pose: fc.Arbitrary<Pose> = fc
  .tuple(...ANGLES.map(({ min, max }) => fc.double({ min, max, noNaN: true })))
  .map((angles) => ({ root: [0, 0.5, 0], angles }))

/** About which axis a rotation matrix turns, its length the sine of the angle. */
const axisOf = (turn: readonly number[]): Vec => [
  (turn[7]! - turn[5]!) / 2,
  (turn[2]! - turn[6]!) / 2,
  (turn[3]! - turn[1]!) / 2,
]

const apart = (a: readonly number[], b: readonly number[]) =>
  Math.max(...a.map((value, i) => Math.abs(value - b[i]!)))

test('the axis of each angle is the one about which its segment really turns', () => {
  const body = bodyOf(undefined)
  const by = 1e-3
  fc.assert(
    fc.property(pose, (at) => {
      const axes = axesOf(at, place(body, at))
      JOINTS.forEach(({ angles }, joint) => {
        for (const index of angles) {
          const turned = (way: number) =>
            place(body, { ...at, angles: at.angles.with(index, at.angles[index]! + way) })
              .rotations[joint]!
          const seen = axisOf(times(turned(by), transpose(turned(-by))))
          expect(
            apart(
              axes[index]!,
              seen.map((value) => value / (2 * by))
            )
          ).toBeLessThan(1e-7)
        }
      })
    }),
    { numRuns: 25 }
  )
})

test('a rotation by a vector is the one of an outside library, and grows about the axes told', () => {
  const component = fc.double({ min: -170, max: 170, noNaN: true })
  fc.assert(
    fc.property(fc.tuple(component, component, component), (v) => {
      const radians = new Vector3(...v).multiplyScalar(Math.PI / 180)
      const turn = (vector: Vector3) =>
        new Quaternion().setFromAxisAngle(vector.clone().normalize(), vector.length())
      const cells = (turned: Quaternion) => {
        const { elements: e } = new Matrix4().makeRotationFromQuaternion(turned)
        return [e[0], e[4], e[8], e[1], e[5], e[9], e[2], e[6], e[10]]
      }
      expect(apart(rotBy(v), cells(turn(radians)))).toBeLessThan(1e-6)
      const by = 1e-5
      const columns = turnsBy(v)
      for (const k of [0, 1, 2]) {
        const more = radians.clone().setComponent(k, radians.getComponent(k) + by)
        const less = radians.clone().setComponent(k, radians.getComponent(k) - by)
        const seen = axisOf(cells(turn(more).multiply(turn(less).invert())))
        const told = [columns[k]!, columns[3 + k]!, columns[6 + k]!]
        expect(
          apart(
            told,
            seen.map((value) => value / (2 * by))
          )
        ).toBeLessThan(1e-5)
      }
    })
  )
})
