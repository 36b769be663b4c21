import { FIGURE, SAY_BVH } from '../language'
import { bodyOf } from './body'
import { type Bvh, BvhError, type BvhJoint, parseBvh } from './bvhParse'
import { anglesOf } from './handles'
import { FLESH, touchPoints } from './parts'
import {
  ANGLES,
  indexOf,
  jointOf,
  JOINTS,
  place,
  type Pose,
  type Segment,
  SPINAL,
} from './skeleton'
import type { Figure } from './spec'
import {
  add,
  apply,
  cross,
  deg,
  dot,
  IDENTITY,
  type Mat,
  norm,
  rotBy,
  scale,
  sub,
  times,
  transpose,
  unit,
  type Vec,
} from './vec'

const AXES: Record<string, Vec> = { X: [1, 0, 0], Y: [0, 1, 0], Z: [0, 0, 1] }

/** How each joint is turned in space, in one frame. */
function turnsOf({ joints, frames }: Bvh, frame: number): Mat[] {
  const values = frames[frame]!
  let at = 0
  const turns: Mat[] = []
  for (const joint of joints) {
    let local = IDENTITY
    for (const channel of joint.channels) {
      const value = values[at]!
      at += 1
      if (/rotation$/i.test(channel))
        local = times(local, rotBy(scale(AXES[channel[0]!.toUpperCase()]!, value)))
    }
    turns.push(joint.parent < 0 ? local : times(turns[joint.parent]!, local))
  }
  return turns
}

type Side = 'left' | 'right'

/** The side in a joint’s name: `LeftArm`, `l_knee`, `Foot.R`. */
function sideIn(name: string): Side | null {
  if (/left/i.test(name)) return 'left'
  if (/right/i.test(name)) return 'right'
  const short = /^([lr])(?=[A-Z_.\- ])/i.exec(name) ?? /[_.\- ]([lr])$/i.exec(name)
  return short ? (short[1]!.toLowerCase() === 'l' ? 'left' : 'right') : null
}

/** A joint’s name without what stands before a colon. */
const bare = (name: string) => name.replace(/^.*:/, '')

const HAND = /hand|wrist/i
const ARM = /collar|clavicle|girdle|shoulder|arm|elbow|hand|wrist/i
const FINGER = /finger|thumb|index|middle|ring|pinky|little/i
const LEG = /leg|thigh|hip|knee|shin|shank|calf|foot|ankle|toe/i
const FOOT = /foot|ankle/i

/** Which joint of the file is which segment; what is missing is left out. */
function mapped(joints: readonly BvhJoint[]): Map<Segment, number> {
  const found = new Map<Segment, number>([['pelvis', 0]])
  const path = (to: number) => {
    const list: number[] = []
    for (let i = to; i >= 0; i = joints[i]!.parent) list.unshift(i)
    return list
  }
  const named = (pattern: RegExp, side: Side | null) =>
    joints.flatMap(({ name }, i) =>
      pattern.test(bare(name)) && !FINGER.test(bare(name)) && sideIn(bare(name)) === side ? [i] : []
    )
  for (const side of ['left', 'right'] as const) {
    const hand = named(HAND, side)[0]
    const arm = (hand === undefined ? named(ARM, side) : path(hand)).filter(
      (i) => sideIn(bare(joints[i]!.name)) === side && ARM.test(bare(joints[i]!.name))
    )
    const armNames = ['Hand', 'Forearm', 'UpperArm', 'Girdle']
    const inward = hand === undefined ? [undefined, ...arm.toReversed()] : arm.toReversed()
    armNames.forEach((name, k) => {
      if (inward[k] !== undefined) found.set(`${side}${name}` as Segment, inward[k])
    })
    const foot = named(FOOT, side)[0]
    const leg = (foot === undefined ? named(LEG, side) : path(foot)).filter(
      (i) => sideIn(bare(joints[i]!.name)) === side && LEG.test(bare(joints[i]!.name))
    )
    const upward = foot === undefined ? [undefined, ...leg.toReversed()] : leg.toReversed()
    ;['Foot', 'Shank', 'Thigh'].forEach((name, k) => {
      if (upward[k] !== undefined) found.set(`${side}${name}` as Segment, upward[k])
    })
    const toes = joints.findIndex(
      ({ name, parent }) => /toe/i.test(name) && parent === found.get(`${side}Foot`)
    )
    if (toes >= 0) found.set(`${side}Toes`, toes)
  }
  const head = named(/head/i, null)[0]
  const neck = named(/neck/i, null)[0]
  if (head !== undefined) found.set('head', head)
  if (neck !== undefined) found.set('neck', neck)
  const top = neck ?? head ?? found.get('leftGirdle') ?? found.get('leftUpperArm')
  const trunk =
    top === undefined
      ? []
      : path(joints[top]!.parent).filter((i) => i > 0 && joints[i]!.parent >= 0)
  if (trunk.length > 0) found.set('ribs', trunk.at(-1)!)
  if (trunk.length > 1) found.set('lowBack', trunk[0]!)
  return found
}

const NEEDED: Segment[] = [
  'leftThigh',
  'rightThigh',
  'leftShank',
  'rightShank',
  'leftUpperArm',
  'rightUpperArm',
  'leftForearm',
  'rightForearm',
  'ribs',
]

/** Rotation that takes one direction to another the shortest way. */
function shortest(from: Vec, to: Vec): Mat {
  const [a, b] = [unit(from), unit(to)]
  const axis = cross(a, b)
  const sin = norm(axis)
  if (sin < 1e-9) return dot(a, b) > 0 ? IDENTITY : rotBy([0, 0, 180])
  return rotBy(scale(axis, deg(Math.atan2(sin, dot(a, b))) / sin))
}

/** A rotation whose axes are those of space where it is nearly so. */
function squared(m: Mat): Mat {
  const near = m.map((value) => (Math.abs(value) > 0.9 ? Math.sign(value) : 0))
  const rows = [0, 3, 6].every((r) => [0, 1, 2].filter((c) => near[r + c] !== 0).length === 1)
  return rows ? near : m
}

/** The way a segment points at rest, to its next joint. */
const RESTS: Partial<Record<Segment, Segment>> = {
  leftUpperArm: 'leftForearm',
  leftForearm: 'leftHand',
  leftThigh: 'leftShank',
  leftShank: 'leftFoot',
  rightUpperArm: 'rightForearm',
  rightForearm: 'rightHand',
  rightThigh: 'rightShank',
  rightShank: 'rightFoot',
  ribs: 'neck',
  neck: 'head',
}

const wrap = (degrees: number) => degrees - 360 * Math.round(degrees / 360)
const turnY = (m: Mat) => deg(Math.atan2(m[2]! - m[6]!, m[0]! + m[8]!))

/** Swing of a limb away from hanging down, and its turn about itself; in degrees. */
function swingAndTurn(local: Mat): { swing: Vec; turn: number } {
  const way = apply(local, [0, -1, 0])
  const axis = cross([0, -1, 0], way)
  const sin = norm(axis)
  const angle = deg(Math.atan2(sin, -way[1]))
  const swing: Vec = sin < 1e-9 ? [angle, 0, 0] : scale(axis, angle / sin)
  return { swing, turn: turnY(times(transpose(rotBy(swing)), local)) }
}

/** Angles of one joint that turn it as nearly as they can. */
function anglesFrom(segment: Segment, local: Mat): number[] {
  const s = segment.startsWith('left') ? 1 : -1
  const name = segment.replace(/^(?:left|right)/, '')
  switch (name) {
    case 'UpperArm':
    case 'Thigh': {
      const { swing, turn } = swingAndTurn(local)
      return [-swing[0], s * swing[2], s * turn]
    }
    case 'Forearm': {
      const way = apply(local, [0, -1, 0])
      const flexion = deg(Math.atan2(way[2], -way[1]))
      const twist = times(transpose(rotBy([-flexion, 0, 0])), local)
      return [flexion, -s * turnY(twist)]
    }
    case 'Hand':
    case 'Foot': {
      const x = deg(Math.atan2(-local[5]!, local[8]!))
      const z = deg(Math.atan2(-local[1]!, local[0]!))
      return [-x, s * z]
    }
    case 'Shank': {
      const way = apply(local, [0, -1, 0])
      return [deg(Math.atan2(-way[2], -way[1]))]
    }
    case 'Toes':
      return [deg(Math.atan2(local[5]!, local[8]!))]
    case 'head':
      return [deg(Math.atan2(-local[5]!, local[8]!))]
    case 'Girdle': {
      const z = Math.asin(Math.max(-1, Math.min(1, local[3]!)))
      return [s * deg(z), s * deg(Math.atan2(-local[6]!, local[0]!))]
    }
    default: {
      // Pelvis and spine: turned about y, then x, then z.
      const sin = Math.max(-1, Math.min(1, -local[5]!))
      const bend = deg(Math.asin(sin))
      if (Math.abs(sin) > 1 - 1e-9) return [deg(Math.atan2(-local[6]!, local[0]!)), bend, 0]
      return [deg(Math.atan2(local[2]!, local[8]!)), bend, -deg(Math.atan2(local[3]!, local[4]!))]
    }
  }
}

/** The order of `anglesFrom` for the spine is turn, bend, side; for the skeleton bend, side, turn. */
const inOrder = (segment: Segment, values: number[]): number[] =>
  segment === 'lowBack' || segment === 'ribs' || segment === 'neck'
    ? [values[1]!, values[2]!, values[0]!]
    : values

const TOUCHES = [
  'sit bones',
  'back',
  'belly',
  'head',
  'forehead',
  'crown',
  ...(['left', 'right'] as const).flatMap((side) =>
    ['sole', 'toes', 'palm', 'shin', 'forearm', 'fist'].map((part) => `${side} ${part}`)
  ),
]
/** What is so near to the lowest point touches the floor; in statures. */
const NEAR_FLOOR = 0.012

export interface BvhFigure {
  figure: Figure
  /** What was left out or changed, in words. */
  notes: string[]
  frames: number
}

/**
 * One frame of a BVH file as a figure. Joints are found by their names and their place in the
 * tree; lengths are not taken over, the figure keeps its own body.
 * @param frame from 1
 * @throws BvhError with the line and what is wrong
 */
export function figureFromBvh(text: string, frame = 1): BvhFigure {
  const bvh = parseBvh(text)
  const { joints, frames } = bvh
  if (!Number.isInteger(frame) || frame < 1 || frame > frames.length)
    throw new BvhError(1, SAY_BVH.noFrame(frame, frames.length))
  const found = mapped(joints)
  const missing = NEEDED.filter((segment) => !found.has(segment))
  if (missing.length > 0)
    throw new BvhError(
      1,
      SAY_BVH.noJoint(
        missing,
        joints.map((joint) => joint.name)
      )
    )
  const notes: string[] = []
  const known = new Set(found.values())
  const left = joints.filter((_, i) => !known.has(i)).map((joint) => joint.name)
  if (left.length > 0) notes.push(FIGURE.unused(left))

  // The file’s own left, up and front, from its body at rest.
  const rest = restPlaces(joints)
  const at = (segment: Segment) => rest[found.get(segment)!]!
  const across = unit(sub(at('leftThigh'), at('rightThigh')))
  const up0 = sub(at('ribs'), rest[0]!)
  const up = unit(sub(up0, scale(across, dot(up0, across))))
  const front = cross(across, up)
  const scene = squared(transpose([...across, ...up, ...front]))
  const home = transpose(scene)
  const turns = turnsOf(bvh, frame - 1).map((turn) => times(times(home, turn), scene))

  const body = bodyOf()
  const angles = new Array<number>(ANGLES.length).fill(0)
  const pose: Pose = { root: [0, 0, 0], angles }
  const past: string[] = []
  const settled = new Map<Segment, Mat>()
  for (const joint of JOINTS) {
    const from = found.get(joint.segment)
    if (from === undefined) continue
    const placed = place(body, pose)
    const i = jointOf(joint.segment)
    const values = joint.angles.map((k) => angles[k]!)
    // What carries the segment: where it is with its own angles at zero.
    const carrier = times(placed.rotations[i]!, transpose(joint.rotation(values)))
    const to = RESTS[joint.segment]
    const next = to && found.get(to)
    const own = to && JOINTS[jointOf(to)]!.at(body)
    const theirs = next === undefined ? null : apply(home, sub(rest[next]!, rest[from]!))
    const limb = /Arm|arm|Thigh|Shank/.test(joint.segment)
    // A hand lies at rest as its forearm does.
    const settle = joint.segment.endsWith('Hand')
      ? (settled.get(joint.parent!) ?? IDENTITY)
      : limb && own && theirs && norm(theirs) > 1e-6
        ? shortest(own, theirs)
        : IDENTITY
    settled.set(joint.segment, settle)
    const wanted = times(turns[from]!, settle)
    let read = inOrder(joint.segment, anglesFrom(joint.segment, times(transpose(carrier), wanted)))
    if (joint.segment === 'ribs' && !found.has('lowBack')) {
      // One joint for the whole trunk: low back and ribs share it.
      read = read.map((value) => value / 2)
      SPINAL.forEach((name, k) => {
        angles[indexOf('lowBack', name)] = read[k]!
      })
    }
    joint.angles.forEach((k, n) => {
      const { joint: name, angle, min, max } = ANGLES[k]!
      const value = wrap(read[n]!)
      if (value < min - 1 || value > max + 1)
        past.push(`${name} ${angle} ${Math.round(value)}° (${value < min ? min : max}°)`)
      angles[k] = Math.min(max, Math.max(min, value))
    })
  }
  if (past.length > 0) notes.push(FIGURE.pastRange(past))

  const placed = place(body, pose)
  const heights = (part: string) =>
    touchPoints(part, { body, placed }).map(({ at, radius }) => at[1] - radius)
  const floor = Math.min(...FLESH.flatMap(heights))
  const flat = (part: string) => heights(part).every((height) => height < floor + NEAR_FLOOR)
  const contacts = TOUCHES.filter(
    (part) => flat(part) && !(part.endsWith('toes') && flat(part.replace('toes', 'sole')))
  ).map((part) => ({ part, on: 'floor' }))
  notes.push(FIGURE.onFloor(contacts.map(({ part }) => part)))
  return {
    figure: { angles: anglesOf(pose), contacts, straps: [] },
    notes,
    frames: frames.length,
  }
}

/** Where each joint is at rest. */
function restPlaces(joints: readonly BvhJoint[]): Vec[] {
  const places: Vec[] = []
  for (const { parent, offset } of joints)
    places.push(parent < 0 ? [0, 0, 0] : add(places[parent]!, offset))
  return places
}
