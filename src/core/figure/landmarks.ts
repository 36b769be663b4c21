import { otherSide, type Side } from '../card'
import type { SideRole } from '../language'
import { touchPoints } from './parts'
import { indexOf, jointOf, pointIn, type Segment } from './skeleton'
import type { Solved } from './solve'
import { apply, between, cross, deg, dot, norm, sub, unit, type Vec } from './vec'

/** Places and directions of a solved figure that measures are taken from. */
export interface Measuring extends Solved {
  /** In cm. */
  stature: number
}

export const UP: Vec = [0, 1, 0]
export const seg = (side: Side, name: string) => `${side}${name}` as Segment
export const joint = (f: Solved, segment: Segment): Vec => f.placed.origins[jointOf(segment)]!
export const angleOf = (f: Solved, of: string, name: string) => f.pose.angles[indexOf(of, name)]!
export const flat = (v: Vec): Vec => [v[0], 0, v[2]]
export const cm = (f: Measuring, statures: number) => statures * f.stature
export const toeTip = (f: Solved, side: Side) => pointIn(f.placed, seg(side, 'Toes'), [0, 0, 0.037])
export const heel = (f: Solved, side: Side) => touchPoints(`${side} heel`, f)[0]!.at
export const earOf = (f: Solved, side: Side) =>
  pointIn(f.placed, 'head', [(side === 'left' ? 1 : -1) * 0.05, f.body.headUp * 0.45, 0])
/** Where a foot points, on the floor. */
export const footWay = (f: Solved, side: Side): Vec =>
  unit(flat(apply(f.placed.rotations[jointOf(seg(side, 'Foot'))]!, [0, 0, 1])))
/**
 * Where the front of the pelvis looks, on the floor: across the line of the hips, so that it
 * holds for a pelvis tipped forward or back too; lying on the side, where its front looks.
 */
export function pelvisWay(f: Solved): Vec {
  const turned = f.placed.rotations[0]!
  const across = cross(apply(turned, [1, 0, 0]), UP)
  return unit(norm(across) > 0.2 ? across : flat(apply(turned, [0, 0, 1])))
}
/** Angle on the floor from one direction to another, in degrees; towards the person's left above 0. */
export const floorTurn = (from: Vec, to: Vec) =>
  deg(Math.atan2(to[0] * from[2] - to[2] * from[0], dot(from, to)))
export const tiltFrom = (v: Vec) => between(v, UP)

export interface MeasureContext {
  /** The side that leads the figure. */
  lead: Side
  /** What the leading limb is called; null where what the side is named by tells none. */
  namedBy?: SideRole | null
  /** In cm. */
  stature?: number
}

/** Which side a word means on a figure; null when it is none. */
export function sideMeant(word: string, f: Solved, { lead, namedBy }: MeasureContext): Side | null {
  const across = otherSide(lead)
  switch (word) {
    case 'left':
    case 'right':
      return word
    case 'lead':
      return lead
    case 'other':
      return across
    case 'front':
    case 'back': {
      const ahead = dot(sub(joint(f, 'leftFoot'), joint(f, 'rightFoot')), pelvisWay(f))
      const front: Side =
        namedBy === 'front' || Math.abs(ahead) < 0.05 ? lead : ahead > 0 ? 'left' : 'right'
      return word === 'front' ? front : otherSide(front)
    }
    case 'top':
    case 'bottom': {
      const higher: Side = joint(f, 'leftHand')[1] > joint(f, 'rightHand')[1] ? 'left' : 'right'
      return word === 'top' ? higher : otherSide(higher)
    }
    default:
      return null
  }
}
