import { otherSide, type Side } from '../card'
import {
  earOf,
  flat,
  footWay,
  heel,
  joint,
  type MeasureContext,
  pelvisWay,
  seg,
  sideMeant,
  toeTip,
} from './landmarks'
import { centreOfMass, supportCorners } from './loads'
import { pointIn, type Segment } from './skeleton'
import type { Solved } from './solve'
import { add, apply, dot, mid, norm, scale, sub, unit, type Vec } from './vec'

/** A line in space that shows what is measured: a plumb line, a level, an arc. */
export type Mark = Vec[]

type Marked = (f: Solved) => Mark[]
type SidedMarked = (f: Solved, side: Side) => Mark[]

const ARC_STEPS = 12
const ARC = 0.085

/** The arc between two directions at a place, with its two arms. */
function arc(at: Vec, a: Vec, b: Vec): Mark[] {
  const [from, to] = [unit(a), unit(b)]
  const angle = Math.acos(Math.max(-1, Math.min(1, dot(from, to))))
  if (angle < 1e-3) return [[at, add(at, scale(from, ARC * 1.6))]]
  // Across a straight line any way round will do.
  const away = sub(to, scale(from, dot(from, to)))
  const side = norm(away) < 1e-6 ? unit([-from[1], from[0], 0.001]) : unit(away)
  const curve = Array.from({ length: ARC_STEPS + 1 }, (_, i) => {
    const t = (angle * i) / ARC_STEPS
    return add(at, scale(add(scale(from, Math.cos(t)), scale(side, Math.sin(t))), ARC))
  })
  return [[add(at, scale(from, ARC * 1.6)), at, add(at, scale(to, ARC * 1.6))], curve]
}

/** An upright line through a place, up to the height of another, and the line between the two. */
const plumb = (foot: Vec, top: Vec): Mark[] => [
  [foot, [foot[0], top[1], foot[2]]],
  [foot, top],
]

/** A line from one place to another, and a level one through its middle. */
function level(a: Vec, b: Vec): Mark[] {
  const long = norm(sub(a, b))
  const middle = mid(a, b)
  const way = flat(sub(b, a))
  const along = norm(way) < 1e-6 ? ([1, 0, 0] as Vec) : unit(way)
  return [
    [a, b],
    [add(middle, scale(along, -long * 0.75)), add(middle, scale(along, long * 0.75))],
  ]
}

const ring = (points: Vec[]): Mark => [...points, points[0]!]
const shoulders = (f: Solved) => [joint(f, 'leftUpperArm'), joint(f, 'rightUpperArm')] as const
const hips = (f: Solved) => [joint(f, 'leftThigh'), joint(f, 'rightThigh')] as const
const spine = (f: Solved): Mark =>
  (['pelvis', 'lowBack', 'ribs', 'neck', 'head'] as Segment[])
    .map((segment) => joint(f, segment))
    .concat([pointIn(f.placed, 'head', [0, f.body.headUp, 0])])
const down = (p: Vec): Vec => [p[0], 0, p[2]]
const feet = (f: Solved): Mark[] => [[down(joint(f, 'leftFoot')), down(joint(f, 'rightFoot'))]]
const standing = (p: Vec): Mark[] => [[down(p), p]]

const MIDDLE: Record<string, Marked> = {
  'stance length': feet,
  stance: feet,
  'hips level': (f) => level(...hips(f)),
  'shoulders level': (f) => level(...shoulders(f)),
  'shoulders over hips': (f) => plumb(f.pose.root, mid(...shoulders(f))),
  'arm line': (f) => [[joint(f, 'leftForearm'), ...shoulders(f), joint(f, 'rightForearm')]],
  'spine arc': (f) => [spine(f)],
  'low back arc': (f) => [spine(f).slice(0, 3)],
  'ribs arc': (f) => [spine(f).slice(1, 4)],
  'neck arc': (f) => [spine(f).slice(2)],
  'side arc': (f) => [spine(f)],
  'arc evenness': (f) => [spine(f)],
  turn: (f) => [[...hips(f)], [...shoulders(f)]],
  'side bend plane': (f) => {
    const top = mid(...shoulders(f))
    const ahead = apply(f.placed.rotations[0]!, [0, 0, 1])
    const away = scale(ahead, dot(sub(top, f.pose.root), ahead))
    return [
      [f.pose.root, top],
      [f.pose.root, sub(top, away), top],
    ]
  },
  'head against heart': (f) => {
    const head = pointIn(f.placed, 'head', [0, f.body.headUp / 2, 0])
    const heart = pointIn(f.placed, 'ribs', [0, f.body.shoulderUp * 0.6, 0.01])
    return [[heart, [head[0], heart[1], head[2]], head]]
  },
  'balance margin': (f) => {
    const centre = centreOfMass(f.body, f.placed)
    const corners = supportCorners(f).map(([x, z]): Vec => [x, 0, z])
    return [[centre, down(centre)], ...(corners.length > 1 ? [ring(corners)] : [])]
  },
}

const limbs = (f: Solved, side: Side, at: string, a: string, b: string): Mark[] => {
  const p = joint(f, seg(side, at))
  return arc(p, sub(joint(f, seg(side, a)), p), sub(joint(f, seg(side, b)), p))
}

const SIDED: Record<string, SidedMarked> = {
  'knee over ankle': (f, side) => plumb(joint(f, seg(side, 'Foot')), joint(f, seg(side, 'Shank'))),
  'knee past toes': (f, side) => {
    const [toes, knee] = [toeTip(f, side), joint(f, seg(side, 'Shank'))]
    const way = footWay(f, side)
    const over: Vec = [toes[0], knee[1], toes[2]]
    const reach = dot(sub(knee, over), way)
    return [
      [[toes[0], 0, toes[2]], over],
      [over, add(over, scale(way, reach))],
    ]
  },
  'knee tracking': (f, side) => {
    const [ankle, knee] = [joint(f, seg(side, 'Foot')), joint(f, seg(side, 'Shank'))]
    const tip = add(down(ankle), scale(footWay(f, side), 0.22))
    return [
      [down(ankle), tip],
      [down(joint(f, seg(side, 'Thigh'))), down(knee)],
      [down(knee), knee],
    ]
  },
  'knee angle': (f, side) => limbs(f, side, 'Shank', 'Thigh', 'Foot'),
  'elbow angle': (f, side) => limbs(f, side, 'Forearm', 'UpperArm', 'Hand'),
  'hip angle': (f, side) => {
    const hip = joint(f, seg(side, 'Thigh'))
    return arc(
      hip,
      sub(joint(f, seg(side, 'Shank')), hip),
      apply(f.placed.rotations[0]!, [0, -1, 0])
    )
  },
  'foot turn': (f, side) => arc(down(heel(f, side)), pelvisWay(f), footWay(f, side)),
  'hips square': (f, side) => arc(down(heel(f, side)), pelvisWay(f), footWay(f, side)),
  'heel line': (f, side) => {
    const other = otherSide(side)
    const arch = down(mid(heel(f, other), toeTip(f, other), 0.4))
    const from = down(heel(f, side))
    const way = footWay(f, side)
    const foot = add(from, scale(way, dot(sub(arch, from), way)))
    return [
      [down(toeTip(f, side)), foot],
      [foot, arch],
    ]
  },
  'shoulder over wrist': (f, side) =>
    plumb(joint(f, seg(side, 'Hand')), joint(f, seg(side, 'UpperArm'))),
  'hip over knee': (f, side) => plumb(joint(f, seg(side, 'Shank')), joint(f, seg(side, 'Thigh'))),
  'ear to upper arm': (f, side) => {
    const ear = earOf(f, side)
    const shoulder = joint(f, seg(side, 'UpperArm'))
    const arm = sub(joint(f, seg(side, 'Forearm')), shoulder)
    const t = Math.max(0, Math.min(1, dot(sub(ear, shoulder), arm) / dot(arm, arm)))
    return [[ear, add(shoulder, scale(arm, t))]]
  },
  'hand height': (f, side) =>
    standing(pointIn(f.placed, seg(side, 'Hand'), [0, -f.body.hand * 0.4, 0])),
  'foot height': (f, side) => standing(heel(f, side)),
}

/** Measures that can be shown on a drawing, by name. */
export const MARKED: readonly string[] = [...Object.keys(MIDDLE), ...Object.keys(SIDED)]

/**
 * The lines in space that show a measure on a figure.
 * @param name as for `measure`
 * @returns none when the measure has no lines, such as a share of the load
 */
export function marksOf(solved: Solved, name: string, context: MeasureContext): Mark[] {
  const wanted = name.trim().toLowerCase().replace(/\s+/g, ' ')
  const middle = MIDDLE[wanted]
  if (middle) return middle(solved)
  const [, word = '', rest = ''] = /^(\w+) (.+)$/.exec(wanted) ?? []
  const side = sideMeant(word, solved, context)
  return SIDED[side ? rest : wanted]?.(solved, side ?? context.lead) ?? []
}
