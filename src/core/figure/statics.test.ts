import fc from 'fast-check'
import { outsideLimits } from '../../../tests/support/numbers'
import {
  ANGLES,
  balanceMargin,
  both,
  CENTRES,
  centreOfMass,
  type Figure,
  fallOf,
  FLESH,
  jointMoments,
  LENGTHS,
  loadShares,
  MASSES,
  pointIn,
  pointsOf,
  readFigure,
  solve,
  supportCorners,
  supportsOf,
} from './index'

const read = (data: unknown): Figure => readFigure(data).figure!
const floor = (...parts: string[]) => parts.map((part) => ({ part, on: 'floor' }))
const FEET = floor('left sole', 'right sole')
const momentOf = (figure: Figure, joint: string) =>
  jointMoments(solve(figure)).find((each) => each.joint === joint)!.moment

describe('weight, worked by hand', () => {
  test('an arm held out level turns about the shoulder by its masses times their distances', () => {
    const figure = read({ angles: { leftShoulder: { abduction: 90 } }, contacts: FEET })
    const { upperArm: u, forearm: f, hand: h } = LENGTHS
    const byHand =
      MASSES.upperArm * CENTRES.upperArm * u +
      MASSES.forearm * (u + CENTRES.forearm * f) +
      MASSES.hand * (u + f + CENTRES.hand * h)
    expect(momentOf(figure, 'left shoulder')).toBeCloseTo(byHand, 4)
    // Hanging down it turns about nothing.
    expect(momentOf(figure, 'right shoulder')).toBeLessThan(0.002)
  })

  test('a bent elbow shortens the lever, as the ladder has it', () => {
    const held = (flexion: number) =>
      momentOf(
        read({
          angles: { leftShoulder: { flexion: 90 }, leftElbow: { flexion } },
          contacts: FEET,
        }),
        'left shoulder'
      )
    expect(held(0)).toBeGreaterThan(held(60))
    expect(held(60)).toBeGreaterThan(held(120))
  })

  test('a deeper squat asks more of knees and hips', () => {
    const bent = (knee: number) =>
      read({
        angles: {
          pelvis: { tilt: knee / 3 },
          ...both({
            Knee: { flexion: knee },
            Hip: { flexion: knee * 0.85 },
            Ankle: { dorsiflexion: knee * 0.4 },
          }),
        },
        contacts: FEET,
      })
    expect(momentOf(bent(80), 'left knee')).toBeGreaterThan(momentOf(bent(30), 'left knee'))
    expect(momentOf(bent(80), 'left hip')).toBeGreaterThan(momentOf(bent(30), 'left hip'))
  })

  test('leaning to one foot loads it, and the centre of mass stays the weighted middle', () => {
    const figure = read({
      angles: { pelvis: { lean: 8 }, ...both({ Hip: { abduction: 12 } }) },
      contacts: FEET,
    })
    const solved = solve(figure)
    const shares = new Map(loadShares(solved).map(({ part, share }) => [part, share]))
    const [x] = centreOfMass(solved.body, solved.placed)
    const [l, r] = ['left', 'right'].map((side) => {
      const own = supportsOf(solved).filter(({ part }) => part === `${side} sole`)
      return own.reduce((sum, { at }) => sum + at[0], 0) / own.length
    })
    // Two supports alone: the lever law, give or take the width of a foot.
    const byLever = (x - r!) / (l! - r!)
    expect(Math.abs(shares.get('left sole')! - byLever)).toBeLessThan(0.1)
    expect(shares.get('left sole')! > 0.5).toBe(x > (l! + r!) / 2)
  })

  test('sitting on two sit bones there is ground to balance on', () => {
    const sitting = solve(
      read({ angles: both({ Hip: { flexion: 90 } }), contacts: floor('sit bones') })
    )
    const corners = supportCorners(sitting)
    const depth = Math.max(...corners.map((p) => p[1])) - Math.min(...corners.map((p) => p[1]))
    expect(depth * 170).toBeGreaterThan(3)
    expect(depth * 170).toBeLessThan(10)
    // With straight legs ahead the weight is in front of them.
    expect(balanceMargin(sitting)).toBeLessThan(0)
  })
})

describe('any figure', () => {
  const angle = fc.constantFrom(...ANGLES.filter((each) => each.joint !== 'pelvis')).chain((each) =>
    fc.record({
      each: fc.constant(each),
      // Within the nearer half of its range, so that it is a body and not a knot.
      share: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
    })
  )
  const contacts = fc.constantFrom(
    FEET,
    floor('left sole'),
    floor('left palm', 'right palm', 'left toes', 'right toes'),
    floor('left shin', 'right shin'),
    floor('sit bones', 'left heel', 'right heel'),
    floor('back', 'head'),
    [...FEET, { part: 'right palm', on: 'block high' }],
    [...FEET, { part: 'left hand', on: 'left thigh', along: 0.6 }]
  )
  const figure = fc.tuple(fc.array(angle, { maxLength: 10 }), contacts).map(([list, on]) => {
    const angles: Figure['angles'] = {}
    for (const { each, share } of list) {
      const { joint, angle: name, min, max } = each
      angles[joint] = { ...angles[joint], [name]: share < 0 ? -share * min : share * max }
    }
    return read({ angles, contacts: on })
  })

  test('is solved inside the limits, above the floor, its contacts met or told', () => {
    fc.assert(
      fc.property(figure, (asked) => {
        const { body, pose, placed, unmet } = solve(asked)
        expect(outsideLimits(pose.angles).filter((each) => !each.startsWith('pelvis'))).toEqual([])
        if (unmet.length > 0) return
        const touching = new Set(asked.contacts.map(({ part }) => part))
        for (const part of FLESH.filter((each) => !touching.has(each)))
          for (const { segment, at, radius } of pointsOf(part, body)!)
            expect((pointIn(placed, segment, at)[1] - radius) * 170).toBeGreaterThan(-1)
        for (const { part, on } of asked.contacts) {
          if (on !== 'floor') continue
          for (const { segment, at, radius } of pointsOf(part, body)!)
            expect(Math.abs(pointIn(placed, segment, at)[1] - radius) * 170).toBeLessThan(0.5)
        }
      }),
      { numRuns: 60 }
    )
  })

  test('has the same weight on the ground, and no joint that pushes by a negative share', () => {
    fc.assert(
      fc.property(figure, (asked) => {
        const solved = solve(asked)
        const shares = loadShares(solved).map(({ share }) => share)
        // What falls is carried by nothing.
        if (fallOf(solved)) return expect(shares).toEqual([])
        expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 6)
        for (const share of shares) expect(share).toBeGreaterThanOrEqual(0)
      }),
      { numRuns: 25 }
    )
  })
})
