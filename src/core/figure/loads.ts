import { rememberOf } from '../language'
import { type Body, CENTRES, MASSES } from './body'
import { type Flat, fromEdge, hull, isInside } from './hull'
import { type AtLeast, leastWithin } from './quadratic'
import {
  axesOf,
  CHAINS,
  jointOf,
  JOINTS,
  type Placed,
  pointIn,
  type Segment,
  SEGMENTS,
} from './skeleton'
import type { Solved } from './solve'
import { footprint, type Push, pushesOn, supportsOf } from './supports'
import { add, dot, norm, scale, unit, type Vec } from './vec'

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

export interface Load {
  part: string
  /** Part of the body weight. */
  share: number
}

interface Held {
  joint: string
  /** The segment that hangs on the joint, away from the pelvis. */
  segment: Segment
  /** What the joint can hold, as a part of body weight times stature. */
  strength: number
  /** What presses through the joint with ease, as a part of body weight. */
  bears?: number
}

/** What a joint can hold in newton metres, by the middle man and the middle woman, made one number. */
const ofTable = (man: number, woman: number) =>
  (man / (78 * 9.81 * 1.76) + woman / (62 * 9.81 * 1.63)) / 2

const STRENGTH = {
  trunk: ofTable(234, 143),
  ankle: ofTable(126, 81),
  knee: ofTable(168, 106),
  hip: ofTable(190, 97),
  shoulder: ofTable(92, 40),
  elbow: ofTable(77, 41),
}

/**
 * Joints that hold, and how strong they are. Published: Stobbe 1982, static strength of fifty
 * working people, as given in Chaffin, Andersson & Martin, Occupational Biomechanics (from
 * memory): the stronger way of each joint, the middle of the middle man (78 kg, 1.76 m) and the
 * middle woman (62 kg, 1.63 m): ankle 126 and 81 Nm, knee 168 and 106, hip 190 and 97, shoulder
 * 92 and 40, elbow 77 and 41, trunk 234 and 143. Wrist and neck are not in that table: about 0.2
 * and 0.4 newton metres a kilogram (from memory). What the neck bears is set so that a headstand
 * comes out in the published range.
 */
const JOINTS_HELD: readonly Held[] = [
  { joint: 'low back', segment: 'lowBack', strength: STRENGTH.trunk },
  { joint: 'ribs', segment: 'ribs', strength: STRENGTH.trunk * 0.85 },
  { joint: 'neck', segment: 'neck', strength: 0.024, bears: 0.6 },
  ...(['left', 'right'] as const).flatMap((side): Held[] => [
    { joint: `${side} ankle`, segment: `${side}Foot`, strength: STRENGTH.ankle },
    { joint: `${side} knee`, segment: `${side}Shank`, strength: STRENGTH.knee },
    { joint: `${side} hip`, segment: `${side}Thigh`, strength: STRENGTH.hip },
    { joint: `${side} shoulder`, segment: `${side}UpperArm`, strength: STRENGTH.shoulder },
    { joint: `${side} elbow`, segment: `${side}Forearm`, strength: STRENGTH.elbow },
    { joint: `${side} wrist`, segment: `${side}Hand`, strength: 0.012 },
  ]),
]
/** Joints whose moment is told among the measures of a figure. */
const TOLD = /ankle|knee|hip|shoulder|wrist|low back/

/** How far the forces may miss the weight and its turning, as parts of it: 3 mm for a tall person. */
const MISS = 1.5e-3
/** Keeps what is as good either way even. */
const EVEN = 0.02

const beyondOf = new Map<Segment, ReadonlySet<Segment>>()
function beyond(segment: Segment): ReadonlySet<Segment> {
  const known = beyondOf.get(segment)
  if (known) return known
  const index = jointOf(segment)
  const found = new Set(SEGMENTS.filter((each) => CHAINS[jointOf(each)]!.includes(index)))
  beyondOf.set(segment, found)
  return found
}

/**
 * What a joint holds: of the weight, and of a unit of each push. Turns and forces have a row for
 * each axis.
 */
interface Levers {
  weight: Vec
  mass: number
  turns: readonly [Float64Array, Float64Array, Float64Array]
  forces: readonly [Float64Array, Float64Array, Float64Array]
  /** The pushes that give anything, by their places. */
  that: number[]
}

const threeRows = (n: number) =>
  [new Float64Array(n), new Float64Array(n), new Float64Array(n)] as const

function leversOf(
  { placed }: Solved,
  masses: readonly Mass[],
  pushes: readonly Push[],
  { segment: held }: Held
): Levers {
  const far = beyond(held)
  const about = placed.origins[jointOf(held)]!
  let [turnX, turnZ, mass] = [0, 0, 0]
  for (const each of masses)
    if (far.has(each.segment)) {
      turnX += (each.at[2] - about[2]) * each.mass
      turnZ -= (each.at[0] - about[0]) * each.mass
      mass += each.mass
    }
  const turns = threeRows(pushes.length)
  const forces = threeRows(pushes.length)
  const that: number[] = []
  for (let i = 0; i < pushes.length; i += 1) {
    const { segment, at, along, against } = pushes[i]!
    const own = far.has(segment)
    const back = against !== null && far.has(against.segment)
    if (own === back) continue
    that.push(i)
    addPush(turns, forces, i, own ? at : against!.at, about, along, own ? 1 : -1)
  }
  return { weight: [turnX, 0, turnZ], mass, turns, forces, that }
}

/** What one push gives: its force, and its turning about a point. */
function addPush(
  turns: Levers['turns'],
  forces: Levers['forces'],
  i: number,
  at: Vec,
  about: Vec,
  along: Vec,
  way: number
) {
  const [x, y, z] = [at[0] - about[0], at[1] - about[1], at[2] - about[2]]
  const [fx, fy, fz] = [along[0] * way, along[1] * way, along[2] * way]
  turns[0][i] = y * fz - z * fy
  turns[1][i] = z * fx - x * fz
  turns[2][i] = x * fy - y * fx
  forces[0][i] = fx
  forces[1][i] = fy
  forces[2][i] = fz
}

/** What is known of how a body is carried. */
export interface Carried {
  /** The size of each push, in body weights. */
  forces: number[]
  pushes: Push[]
  masses: Mass[]
}

/**
 * The forces that carry a body, upright and along the surfaces within their grip: of all that
 * can hold it still, those that load its joints least against their strength.
 * @returns null when nothing can hold it: it falls
 */
function carry(solved: Solved, miss = MISS): Carried | null {
  const masses = massesOf(solved.body, solved.placed)
  const centre = centreOfMass(solved.body, solved.placed)
  const pushes = pushesOn(solved, centre)
  const n = pushes.length
  if (n === 0) return null
  // Of the whole body: forces, and turning about its centre.
  const [turns, forces] = [threeRows(n), threeRows(n)]
  for (let i = 0; i < n; i += 1) {
    const { at, along, against } = pushes[i]!
    if (!against) addPush(turns, forces, i, at, centre, along, 1)
  }
  const g = Array.from({ length: n }, () => new Float64Array(n))
  const a = new Float64Array(n)
  for (let i = 0; i < n; i += 1) g[i]![i] = EVEN
  for (const held of JOINTS_HELD) {
    const levers = leversOf(solved, masses, pushes, held)
    const { strength, bears } = held
    for (let axis = 0; axis < 3; axis += 1) {
      addEffort(g, a, levers.that, levers.turns[axis]!, -levers.weight[axis]!, strength)
      if (bears)
        addEffort(g, a, levers.that, levers.forces[axis]!, axis === 1 ? levers.mass : 0, bears)
    }
  }
  // The whole within the miss, either way.
  const limits = [...forces, ...turns].flatMap((gives, i): AtLeast[] => {
    const has = i === 1 ? 1 : 0
    return [
      { gives, has: has - miss },
      { gives: gives.map((value) => -value), has: -has - miss },
    ]
  })
  const sizes = leastWithin(g, a, limits)
  return sizes && { forces: Array.from(sizes, (each) => Math.max(0, each)), pushes, masses }
}

/** Adds what one effort asks of all pushes, each against the other: a row of least squares. */
function addEffort(
  g: readonly Float64Array[],
  a: Float64Array,
  that: readonly number[],
  gives: Float64Array,
  has: number,
  by: number
) {
  for (const i of that) {
    const own = gives[i]! / by
    const row = g[i]!
    a[i]! += (own * has) / by
    for (const j of that) row[j]! += own * (gives[j]! / by)
  }
}

/** How a body is carried; null when it falls. Worked out once. */
export const carriedOf = rememberOf((solved: Solved): Carried | null => carry(solved))

/** How far a drawn body may stand beside its support and still be meant to stand, in statures: 5 cm. */
const SWAYS = [0.01, 0.02, 0.03]

/**
 * How a body is carried that is drawn a little out of balance, as if it swayed to where it
 * stands; null for one that falls in earnest.
 */
export const carriedNearly = rememberOf((solved: Solved): Carried | null => {
  let carried = carriedOf(solved)
  for (const miss of SWAYS) carried ??= carry(solved, miss)
  return carried
})

/**
 * How the weight is shared among the contacts, as parts of the body weight: what each gives
 * upright. Empty when the body falls, as nothing carries it then.
 */
export function loadShares(solved: Solved, carried = carriedOf(solved)): Load[] {
  if (!carried) return []
  const byPart = new Map<string, number>()
  for (const { part } of supportsOf(solved)) byPart.set(part, 0)
  carried.pushes.forEach(({ part, along, against }, i) => {
    if (part === null || against) return
    byPart.set(part, (byPart.get(part) ?? 0) + along[1] * carried.forces[i]!)
  })
  // The weight is met within a hair: what is missing is nobody’s.
  const sum = [...byPart.values()].reduce((all, share) => all + share, 0)
  return [...byPart].map(([part, share]) => ({ part, share: share / sum }))
}

/**
 * What the joints hold at rest, as parts of body weight times stature: the turning effect, about
 * the joint, of all that lies beyond it, its weight and what pushes on it. Empty for a body that
 * falls.
 */
export const jointMoments = (solved: Solved): { joint: string; moment: number }[] =>
  jointEfforts(solved)
    .filter(({ joint }) => TOLD.test(joint))
    .map(({ joint, moment }) => ({ joint, moment }))

/** What one joint holds at rest, and what it can, as parts of body weight times stature. */
export interface Effort {
  joint: string
  moment: number
  strength: number
  /** The part of the moment that bends the joint (above 0) or straightens it. */
  bends: number
}

/** What every joint holds against what it can. Empty for a body that falls. */
export function jointEfforts(solved: Solved, carried = carriedOf(solved)): Effort[] {
  if (!carried) return []
  const { masses, pushes, forces } = carried
  const axes = axesOf(solved.pose, solved.placed)
  return JOINTS_HELD.map((held) => {
    const { weight, turns } = leversOf(solved, masses, pushes, held)
    const [x, y, z] = turns.map((row) => row.reduce((sum, turn, i) => sum + turn * forces[i]!, 0))
    const moment = add(weight, [x!, y!, z!])
    // The first angle of a joint that holds is its flexion.
    const [flexion] = JOINTS[jointOf(held.segment)]!.angles
    const bends = dot(moment, unit(axes[flexion!]!))
    return { joint: held.joint, moment: norm(moment), strength: held.strength, bends }
  })
}

/** Corners of the support on the floor, in order around it: flesh that carries weight lies flat. */
export function supportCorners(solved: Solved): readonly (readonly [number, number])[] {
  return hull(
    supportsOf(solved).flatMap((support) =>
      footprint(support).map(([x, , z]): [number, number] => [x, z])
    )
  )
}

/**
 * How far the centre of mass lies inside the support, in statures; below 0 it lies outside, and
 * the body would fall.
 */
export function balanceMargin(solved: Solved): number {
  const corners = supportCorners(solved)
  if (corners.length === 0) return -Infinity
  const [x, , z] = centreOfMass(solved.body, solved.placed)
  const away = Math.hypot(...fromEdge(corners, [x, z]))
  return isInside(corners, [x, z]) ? away : -away
}

/** A body that falls: how far its weight lies outside what carries it, and which way. */
export interface Fall {
  /** In statures; null when nothing carries it at all. */
  by: number | null
  /** On the floor: to its left, and to the front. */
  way: Flat
}

/** @returns null for a body that is held, by the floor, a wall or what it leans on */
export function fallOf(solved: Solved): Fall | null {
  // Over its support a body stands by pushes straight up, whatever its joints would sooner do.
  if (balanceMargin(solved) >= 0 || carriedOf(solved)) return null
  const corners = supportCorners(solved)
  if (corners.length === 0) return { by: null, way: [0, 0] }
  const [x, , z] = centreOfMass(solved.body, solved.placed)
  const way = fromEdge(corners, [x, z])
  return { by: Math.hypot(...way), way }
}
