import { type Body, bodyOf, USUAL_STATURE } from './body'
import { jointOf, JOINTS, place, type Placed, type Segment } from './skeleton'
import { solve } from './solve'
import type { Figure } from './spec'
import { deg, IDENTITY, type Mat, scale, times, transpose, type Vec } from './vec'

/**
 * BVH, an open text format for moving bodies: a tree of joints with their places, then the
 * angles of every joint for every frame. Lengths are in cm, y is up, x the person’s left.
 */

const ROUND = 1e6
const told = (value: number) => String(Math.round(value * ROUND) / ROUND + 0)
const toldVec = (v: Vec) => v.map(told).join(' ')

/** Angles about z, x and y whose turns, one inside the other, make a rotation; in degrees. */
function anglesZXY(m: Mat): Vec {
  const sin = Math.max(-1, Math.min(1, m[7]!))
  if (Math.abs(sin) > 1 - 1e-9) return [deg(Math.atan2(m[3]!, m[0]!)), deg(Math.asin(sin)), 0]
  return [deg(Math.atan2(-m[1]!, m[4]!)), deg(Math.asin(sin)), deg(Math.atan2(-m[6]!, m[8]!))]
}

const childrenOf = (segment: Segment) => JOINTS.filter((joint) => joint.parent === segment)

const ENDS: Partial<Record<Segment, (body: Body) => Vec>> = {
  head: (b) => [0, b.headUp, 0],
  leftHand: (b) => [0, -b.hand, 0],
  rightHand: (b) => [0, -b.hand, 0],
  leftToes: () => [0, 0, 0.037],
  rightToes: () => [0, 0, 0.037],
}

function hierarchy(segment: Segment, body: Body, depth: number): string[] {
  const joint = JOINTS[jointOf(segment)]!
  const pad = '\t'.repeat(depth)
  const offset = scale(joint.at(body), USUAL_STATURE)
  const channels =
    joint.parent === null
      ? 'CHANNELS 6 Xposition Yposition Zposition Zrotation Xrotation Yrotation'
      : 'CHANNELS 3 Zrotation Xrotation Yrotation'
  const end = ENDS[segment]?.(body)
  return [
    `${pad}${joint.parent === null ? 'ROOT' : 'JOINT'} ${segment}`,
    `${pad}{`,
    `${pad}\tOFFSET ${toldVec(offset)}`,
    `${pad}\t${channels}`,
    ...childrenOf(segment).flatMap((child) => hierarchy(child.segment, body, depth + 1)),
    ...(end
      ? [
          `${pad}\tEnd Site`,
          `${pad}\t{`,
          `${pad}\t\tOFFSET ${toldVec(scale(end, USUAL_STATURE))}`,
          `${pad}\t}`,
        ]
      : []),
    `${pad}}`,
  ]
}

function frameOf(placed: Placed, root: Vec, segment: Segment): string[] {
  const i = jointOf(segment)
  const joint = JOINTS[i]!
  const parent = joint.parent === null ? IDENTITY : placed.rotations[jointOf(joint.parent)]!
  const local = times(transpose(parent), placed.rotations[i]!)
  return [
    ...(joint.parent === null ? [toldVec(scale(root, USUAL_STATURE))] : []),
    toldVec(anglesZXY(local)),
    ...childrenOf(segment).flatMap((child) => frameOf(placed, root, child.segment)),
  ]
}

/**
 * Figures as the frames of one BVH file, in their order, for a body of 170 cm.
 * @param seconds from one frame to the next
 */
export function bvhOf(figures: readonly Figure[], seconds = 1): string {
  const body = bodyOf(figures[0]?.body)
  const frames = figures.map((figure) => {
    const { pose } = solve(figure)
    return frameOf(place(body, pose), pose.root, 'pelvis').join(' ')
  })
  return [
    'HIERARCHY',
    ...hierarchy('pelvis', body, 0),
    'MOTION',
    `Frames: ${frames.length}`,
    `Frame Time: ${told(seconds)}`,
    ...frames,
    '',
  ].join('\n')
}
