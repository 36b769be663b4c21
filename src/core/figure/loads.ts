import { fcnnls } from 'ml-fcnnls'
import { Matrix } from 'ml-matrix'
import { type Body, CENTRES, MASSES } from './body'
import { hull } from './hull'
import { touchPoints } from './parts'
import { CHAINS, jointOf, type Placed, pointIn, type Segment, SEGMENTS } from './skeleton'
import type { Solved } from './solve'
import { add, cross, norm, scale, sub, type Vec } from './vec'

/** The weight of a body at rest: where its centre is, what carries it, and what the joints hold. */

interface Mass {
  segment: Segment
  mass: number
  at: Vec
}

/** Mass and centre of every segment, in space; masses are parts of the body's. */
export function massesOf(body: Body, placed: Placed): Mass[] {
  const of = (segment: Segment, mass: number, local: Vec): Mass => ({
    segment,
    mass,
    at: pointIn(placed, segment, local),
  })
  const { upperArm, forearm, hand, thigh, shank, foot, ankleHeight } = body
  return [
    of('pelvis', MASSES.pelvis, [0, body.pelvisUp * 0.3, 0]),
    of('lowBack', MASSES.lowBack, [0, body.lowBackUp * 0.5, 0.008]),
    of('ribs', MASSES.ribs, [0, body.shoulderUp * 0.5, 0]),
    of('head', MASSES.head, [0, body.headUp * 0.4, 0.008]),
    ...(['left', 'right'] as const).flatMap((side) => [
      of(`${side}UpperArm`, MASSES.upperArm, [0, -upperArm * CENTRES.upperArm, 0]),
      of(`${side}Forearm`, MASSES.forearm, [0, -forearm * CENTRES.forearm, 0]),
      of(`${side}Hand`, MASSES.hand, [0, -hand * CENTRES.hand, 0]),
      of(`${side}Thigh`, MASSES.thigh, [0, -thigh * CENTRES.thigh, 0]),
      of(`${side}Shank`, MASSES.shank, [0, -shank * CENTRES.shank, 0]),
      of(`${side}Foot`, MASSES.foot, [0, -ankleHeight * 0.6, foot * (CENTRES.foot - 0.26)]),
    ]),
  ]
}

/** Centre of mass of the whole body, in statures. */
export function centreOfMass(body: Body, placed: Placed): Vec {
  return massesOf(body, placed).reduce<Vec>(
    (sum, { mass, at }) => add(sum, scale(at, mass)),
    [0, 0, 0]
  )
}

/** A point that carries weight. */
interface Support {
  part: string
  segment: Segment
  at: Vec
  /** Of the flesh there; 0 for a point of a flat part. */
  radius: number
}

/** What carries the body: contacts with the floor and with props, not with walls and limbs. */
export function supportsOf({ body, placed, contacts }: Solved): Support[] {
  return contacts.flatMap(({ part, on }) => {
    if (on === 'wall' || /^(?:left|right) /.test(on)) return []
    return touchPoints(part, { body, placed }).map(
      ({ segment, at: [x, y, z], radius }): Support => ({
        part,
        segment,
        radius,
        at: [x, y - radius, z],
      })
    )
  })
}

export interface Load {
  part: string
  /** Part of the body weight. */
  share: number
}

const EVEN = 1e-3

function forcesOn(supports: Support[], centre: Vec): number[] {
  const n = supports.length
  if (n === 0) return []
  // The forces carry the weight and keep it from tipping; else they are as even as can be.
  const rows = [
    supports.map(() => 1),
    supports.map(({ at }) => at[0] - centre[0]),
    supports.map(({ at }) => at[2] - centre[2]),
    ...supports.map((_, i) => supports.map((__, j) => (i === j ? EVEN : 0))),
  ]
  const wanted = [[1], [0], [0], ...supports.map(() => [EVEN / n])]
  const { K: solution } = fcnnls(new Matrix(rows), new Matrix(wanted), { maxIterations: 400 })
  const forces = supports.map((_, i) => solution.get(i, 0))
  const sum = forces.reduce((total, force) => total + force, 0)
  return sum > 0 ? forces.map((force) => force / sum) : forces
}

/** How the weight is shared among the contacts, as parts of the body weight. */
export function loadShares(solved: Solved): Load[] {
  const supports = supportsOf(solved)
  const forces = forcesOn(supports, centreOfMass(solved.body, solved.placed))
  const byPart = new Map<string, number>()
  supports.forEach(({ part }, i) => byPart.set(part, (byPart.get(part) ?? 0) + forces[i]!))
  return [...byPart].map(([part, share]) => ({ part, share }))
}

/** Joints whose moment is told, with the segment that hangs on them. */
const MOMENTS: [joint: string, segment: Segment][] = [
  ['low back', 'lowBack'],
  ...(['left', 'right'] as const).flatMap((side): [string, Segment][] => [
    [`${side} ankle`, `${side}Foot`],
    [`${side} knee`, `${side}Shank`],
    [`${side} hip`, `${side}Thigh`],
    [`${side} shoulder`, `${side}UpperArm`],
    [`${side} wrist`, `${side}Hand`],
  ]),
]

/**
 * What the joints hold against gravity at rest, as parts of body weight times stature: the
 * turning effect, about the joint, of all that lies beyond it, its weight and what pushes it up.
 */
export function jointMoments(solved: Solved): { joint: string; moment: number }[] {
  const { body, placed } = solved
  const masses = massesOf(body, placed)
  const supports = supportsOf(solved)
  const forces = forcesOn(supports, centreOfMass(body, placed))
  return MOMENTS.map(([joint, segment]) => {
    const index = jointOf(segment)
    const beyond = new Set(SEGMENTS.filter((each) => CHAINS[jointOf(each)]!.includes(index)))
    const about = placed.origins[index]!
    let moment: Vec = [0, 0, 0]
    const turn = (at: Vec, up: number) => {
      moment = add(moment, cross(sub(at, about), [0, up, 0]))
    }
    for (const each of masses) if (beyond.has(each.segment)) turn(each.at, -each.mass)
    supports.forEach((each, i) => {
      if (beyond.has(each.segment)) turn(each.at, forces[i]!)
    })
    return { joint, moment: norm(moment) }
  })
}

/** Of a ball of flesh that carries weight, this part of its radius lies flat. */
const FLATTENED = 0.45

/** Corners of the support on the floor, in order around it: flesh that carries weight lies flat. */
export function supportCorners(solved: Solved): readonly (readonly [number, number])[] {
  return hull(
    supportsOf(solved).flatMap(({ at: [x, , z], radius }): [number, number][] => {
      const r = radius * FLATTENED
      return r === 0
        ? [[x, z]]
        : [
            [x - r, z],
            [x + r, z],
            [x, z - r],
            [x, z + r],
          ]
    })
  )
}

/**
 * How far the centre of mass lies inside the support, in statures; below 0 it lies outside, and
 * the body would fall.
 */
export function balanceMargin(solved: Solved): number {
  const corners = supportCorners(solved)
  const [x, , z] = centreOfMass(solved.body, solved.placed)
  if (corners.length === 0) return -Infinity
  if (corners.length === 1) return -Math.hypot(x - corners[0]![0], z - corners[0]![1])
  let inside = true
  let nearest = Infinity
  corners.forEach((a, i) => {
    const b = corners[(i + 1) % corners.length]!
    const [ex, ez] = [b[0] - a[0], b[1] - a[1]]
    const long = Math.hypot(ex, ez)
    if (long < 1e-9) return
    if ((ex * (z - a[1]) - ez * (x - a[0])) / long < 0) inside = false
    const t = Math.max(0, Math.min(1, ((x - a[0]) * ex + (z - a[1]) * ez) / (long * long)))
    nearest = Math.min(nearest, Math.hypot(x - a[0] - t * ex, z - a[1] - t * ez))
  })
  return inside && corners.length > 2 ? nearest : -nearest
}
