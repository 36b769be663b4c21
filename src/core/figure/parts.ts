import type { Body } from './body'
import { type Placed, pointIn, type Segment } from './skeleton'
import type { Vec } from './vec'

/** A place of the body that can carry weight: a ball of flesh, or a point of a flat part. */
export interface ContactPoint {
  segment: Segment
  /** In the segment. */
  at: Vec
  /** Of the ball; 0 for a point that touches by itself. */
  radius: number
}

type Points = (body: Body, s: 1 | -1, side: 'left' | 'right') => ContactPoint[]

const seg = (side: string, name: string) => `${side}${name}` as Segment
const ball = (segment: Segment, at: Vec, radius: number): ContactPoint => ({ segment, at, radius })

/** Parts that stand on each side; their places are told for the left and mirrored. */
const SIDED: Record<string, Points> = {
  sole: (b, s, side) => [
    ball(seg(side, 'Foot'), [0, -b.ankleHeight, -0.036], 0),
    ball(seg(side, 'Foot'), [s * 0.022, -b.ankleHeight, b.foot * 0.5], 0),
    ball(seg(side, 'Foot'), [s * -0.02, -b.ankleHeight, b.foot * 0.5], 0),
  ],
  toes: (_, s, side) => [
    ball(seg(side, 'Toes'), [s * 0.016, -0.008, 0.006], 0),
    ball(seg(side, 'Toes'), [s * -0.016, -0.008, 0.006], 0),
    ball(seg(side, 'Toes'), [0, -0.008, 0.03], 0),
  ],
  heel: (b, _, side) => [ball(seg(side, 'Foot'), [0, -b.ankleHeight, -0.036], 0)],
  'top of foot': (b, _, side) => [
    ball(seg(side, 'Foot'), [0, -b.ankleHeight + 0.02, b.foot * 0.5], 0.012),
  ],
  'outer foot': (b, s, side) => [
    ball(seg(side, 'Foot'), [s * 0.024, -b.ankleHeight * 0.7, 0.02], 0.006),
  ],
  knee: (_, __, side) => [ball(seg(side, 'Shank'), [0, 0, 0], 0.032)],
  shin: (b, _, side) => [
    ball(seg(side, 'Shank'), [0, 0, 0], 0.032),
    ball(seg(side, 'Shank'), [0, -b.shank * 0.95, 0], 0.024),
  ],
  calf: (b, _, side) => [ball(seg(side, 'Shank'), [0, -b.shank * 0.3, -0.008], 0.032)],
  thigh: (b, _, side) => [ball(seg(side, 'Thigh'), [0, -b.thigh * 0.55, 0], 0.042)],
  leg: (b, _, side) => [
    ball(seg(side, 'Foot'), [0, -b.ankleHeight * 0.5, -0.02], 0.02),
    ball(seg(side, 'Shank'), [0, -b.shank * 0.3, -0.006], 0.034),
  ],
  hip: (b, s, side) => [
    ball('pelvis', [s * b.hipOut, 0.01, 0], 0.05),
    ball(seg(side, 'Thigh'), [0, -b.thigh * 0.2, 0], 0.05),
  ],
  shoulder: (_, __, side) => [ball(seg(side, 'UpperArm'), [0, 0, 0], 0.034)],
  elbow: (_, __, side) => [ball(seg(side, 'Forearm'), [0, 0, 0], 0.021)],
  forearm: (b, _, side) => [
    ball(seg(side, 'Forearm'), [0, 0, 0], 0.021),
    ball(seg(side, 'Forearm'), [0, -b.forearm, 0], 0.016),
  ],
  palm: (_, s, side) => [
    ball(seg(side, 'Hand'), [0, -0.008, 0.012], 0),
    ball(seg(side, 'Hand'), [s * 0.018, -0.052, 0.012], 0),
    ball(seg(side, 'Hand'), [s * -0.018, -0.052, 0.012], 0),
  ],
  hand: (_, __, side) => [ball(seg(side, 'Hand'), [0, -0.04, 0], 0.01)],
  'back of hand': (_, __, side) => [ball(seg(side, 'Hand'), [0, -0.04, 0], 0.01)],
  fist: (_, s, side) => [
    ball(seg(side, 'Hand'), [s * 0.014, -0.055, 0], 0),
    ball(seg(side, 'Hand'), [s * -0.014, -0.055, 0], 0),
  ],
  fingertips: (b, _, side) => [ball(seg(side, 'Hand'), [0, -b.hand, 0], 0.004)],
  'sit bone': (b, s) => [ball('pelvis', [s * b.hipOut * 0.8, -0.03, -0.012], 0.044)],
  ear: (b, s) => [
    ball('head', [0, b.headUp * 0.5, 0.01], 0.05),
    ball('head', [s * 0.02, b.headUp * 0.5, 0.01], 0.035),
  ],
}

/** Parts in the middle of the body. */
const MIDDLE: Record<string, (body: Body) => ContactPoint[]> = {
  'sit bones': (b) => [
    ball('pelvis', [b.hipOut * 0.8, -0.03, -0.012], 0.044),
    ball('pelvis', [-b.hipOut * 0.8, -0.03, -0.012], 0.044),
  ],
  pelvis: () => [ball('pelvis', [0, 0.015, -0.01], 0.056)],
  back: (b) => [
    ball('pelvis', [0, 0.015, -0.01], 0.056),
    ball('ribs', [0, b.shoulderUp * 0.6, -0.012], 0.056),
  ],
  shoulders: (b) => [
    ball('ribs', [0.06, b.shoulderUp * 0.85, -0.02], 0.045),
    ball('ribs', [-0.06, b.shoulderUp * 0.85, -0.02], 0.045),
  ],
  belly: () => [ball('pelvis', [0, 0.03, 0.002], 0.056)],
  chest: (b) => [ball('ribs', [0, b.shoulderUp * 0.5, 0.004], 0.06)],
  forehead: (b) => [ball('head', [0, b.headUp * 0.72, 0.022], 0.036)],
  crown: (b) => [ball('head', [0, b.headUp * 0.6, 0.008], b.headUp * 0.4)],
  chin: (b) => [ball('head', [0, b.headUp * 0.12, 0.045], 0.012)],
  head: (b) => [ball('head', [0, b.headUp * 0.55, -0.004], 0.05)],
}

/** Every part that can touch something. */
export const PARTS: readonly string[] = [
  ...Object.keys(MIDDLE),
  ...Object.keys(SIDED).flatMap((name) => [`left ${name}`, `right ${name}`]),
]

const SIDE_OF = /^(left|right) (.+)$/

/**
 * The points by which a part touches.
 * @returns null when there is no such part
 */
export function pointsOf(part: string, body: Body): ContactPoint[] | null {
  const middle = MIDDLE[part]
  if (middle) return fleshed(middle(body), part, body)
  const [, side, name] = SIDE_OF.exec(part) ?? []
  const points = name === undefined ? undefined : SIDED[name]
  if (!points) return null
  return fleshed(points(body, side === 'left' ? 1 : -1, side as 'left' | 'right'), name!, body)
}

/** Of the flesh of a part of the body, by the segment it lies on. */
export function girthOn(segment: Segment, { girth }: Body): number {
  if (segment === 'head' || segment === 'neck' || /Hand|Foot|Toes/.test(segment)) return 1
  if (segment === 'pelvis') return girth.hips
  return segment === 'lowBack' ? girth.belly : segment === 'ribs' ? girth.chest : girth.limbs
}

/** Balls of flesh as thick as they are on this body. */
const fleshed = (points: ContactPoint[], part: string, body: Body): ContactPoint[] =>
  points.map((point) => {
    const girth = part === 'belly' ? body.girth.belly : girthOn(point.segment, body)
    return girth === 1 ? point : { ...point, radius: point.radius * girth }
  })

/** A point by which a part touches, in space: the middle of its ball, and the ball's radius. */
export interface TouchPoint {
  segment: Segment
  at: Vec
  radius: number
}

/** Where the points of a part are on a body that stands somewhere, in statures. */
export const touchPoints = (
  part: string,
  { body, placed }: { body: Body; placed: Placed }
): TouchPoint[] =>
  (pointsOf(part, body) ?? []).map(({ segment, at, radius }) => ({
    segment,
    at: pointIn(placed, segment, at),
    radius,
  }))

/** Balls of flesh that must not sink into the floor, whatever else touches it. */
export const FLESH: readonly string[] = [
  'sit bones',
  'back',
  'belly',
  'chest',
  'head',
  'forehead',
  ...['left', 'right'].flatMap((side) =>
    [
      'knee',
      'shin',
      'thigh',
      'elbow',
      'forearm',
      'fingertips',
      'hand',
      'heel',
      'top of foot',
      'shoulder',
      'calf',
      'sole',
    ].map((name) => `${side} ${name}`)
  ),
]

/** Limbs that another part can rest on: from its first joint to its second. */
export const LIMBS: Record<
  string,
  (body: Body, side: 'left' | 'right') => { segment: Segment; length: number; radius: number }
> = {
  thigh: (b, side) => ({
    segment: seg(side, 'Thigh'),
    length: b.thigh,
    radius: 0.042 * b.girth.limbs,
  }),
  shin: (b, side) => ({
    segment: seg(side, 'Shank'),
    length: b.shank,
    radius: 0.028 * b.girth.limbs,
  }),
  'upper arm': (b, side) => ({
    segment: seg(side, 'UpperArm'),
    length: b.upperArm,
    radius: 0.026 * b.girth.limbs,
  }),
  forearm: (b, side) => ({
    segment: seg(side, 'Forearm'),
    length: b.forearm,
    radius: 0.02 * b.girth.limbs,
  }),
  hand: (b, side) => ({ segment: seg(side, 'Hand'), length: b.hand, radius: 0.012 }),
  foot: (b, side) => ({ segment: seg(side, 'Foot'), length: b.ankleHeight, radius: 0.022 }),
}
