import { type Body, USUAL_STATURE } from './body'
import { type ContactPoint, LIMBS, pointsOf } from './parts'
import { jointOf, type Placed, pointIn, type Segment } from './skeleton'
import { type Contact, PROP_HEIGHT, RAMP, type Strap } from './spec'
import { apply, dot, norm, scale, sub, type Vec } from './vec'

/** One equation: a point of the body, along a direction, against a target. */
export interface Row {
  segment: Segment
  point: Vec
  along: Vec
  /** What is missing, in statures. */
  residual: number
  /** A second place of the body that the point is measured from. */
  against?: { segment: Segment; point: Vec }
  contact?: number
  weight: number
}

export const HARD = 1
export const UP: Vec = [0, 1, 0]

/** Height of a surface above the floor, in statures. */
export const surfaceHeight = (on: string, stature = USUAL_STATURE): number =>
  (PROP_HEIGHT[on] ?? 0) / stature

/** A ramp under a body: where its low end is, which way it rises, and its top as a line. */
export interface Ramp {
  from: Vec
  way: Vec
  /** Height of its top at the low end, and how much it rises in one. */
  low: number
  rise: number
  long: number
}

/** How far behind the hips a ramp begins, and how high the thinner end of the bolster is, in cm. */
const [BEHIND, THIN] = [6, 12]

/** The ramp that a body lies on: along its back, from behind the hips; none while it is upright. */
export function rampUnder(body: Body, placed: Placed, stature = USUAL_STATURE): Ramp {
  const root = placed.origins[0]!
  const spine = sub(placed.origins[jointOf('neck')]!, root)
  const ahead = apply(placed.rotations[0]!, [0, 0, 1])
  const flat: Vec = [spine[0], 0, spine[2]]
  const back: Vec = [-ahead[0], 0, -ahead[2]]
  const long = norm(flat)
  const level = long > 0.03 ? flat : back
  const way = scale(level, 1 / (norm(level) || 1))
  const [low, high] = [PROP_HEIGHT['block low']!, PROP_HEIGHT['block high']!]
  const apart = (body.lowBackUp + body.shoulderUp) * stature
  return {
    from: [root[0] + (way[0] * BEHIND) / stature, 0, root[2] + (way[2] * BEHIND) / stature],
    way,
    low: (low + THIN) / stature,
    rise: (high - low) / apart,
    long: RAMP_LONG / stature,
  }
}

/** Length of the bolster, in cm. */
const RAMP_LONG = 65

export const rampHeight = ({ from, way, low, rise }: Ramp, [x, , z]: Vec): number =>
  low + rise * Math.max(0, (x - from[0]) * way[0] + (z - from[2]) * way[2])

function limbOf(on: string, body: Body) {
  const match = /^(left|right) (.+)$/.exec(on)
  const limb = match && LIMBS[match[2]!]
  return limb ? limb(body, match[1] as 'left' | 'right') : null
}

/** How far two soft parts sink into each other, of the sum of their radii. */
const SOFT = 0.8

export function contactRows(
  contact: Contact,
  index: number,
  points: ContactPoint[],
  placed: Placed,
  body: Body,
  wall: number,
  stature: number
): Row[] {
  const limb = limbOf(contact.on, body)
  if (limb) {
    const { segment, at, radius } = points[0]!
    const point = pointIn(placed, segment, at)
    const target = pointIn(placed, limb.segment, [0, -limb.length * (contact.along ?? 0.5), 0])
    const away = sub(point, target)
    const distance = norm(away)
    const wanted = (radius + limb.radius) * SOFT
    const along = distance < 1e-9 ? UP : scale(away, 1 / distance)
    // Along the limb it has its place; across it, its distance.
    const axis = apply(placed.rotations[jointOf(limb.segment)]!, UP)
    const against = { segment: limb.segment, point: target }
    return [
      { segment, point, along, residual: wanted - distance, against, contact: index, weight: HARD },
      {
        segment,
        point,
        along: axis,
        residual: -dot(away, axis),
        against,
        contact: index,
        weight: HARD,
      },
    ]
  }
  return points
    .flatMap(({ segment, at, radius }): Row[] => {
      const point = pointIn(placed, segment, at)
      if (contact.on === 'wall') {
        const inward = wall < 0 ? 1 : -1
        return [
          {
            segment,
            point,
            along: [0, 0, 1],
            residual: wall + inward * radius - point[2],
            contact: index,
            weight: HARD,
          },
        ]
      }
      const height =
        contact.on === RAMP
          ? rampHeight(rampUnder(body, placed, stature), point)
          : surfaceHeight(contact.on, stature)
      const row: Row = {
        segment,
        point,
        along: UP,
        residual: height + radius - point[1],
        contact: index,
        weight: HARD,
      }
      return [row]
    })
    .concat(pinned(contact, index, points, placed))
}

/** A contact that has its place on the floor keeps it with its first point. */
function pinned(contact: Contact, index: number, points: ContactPoint[], placed: Placed): Row[] {
  if (!contact.at) return []
  const { segment, at } = points[0]!
  const point = pointIn(placed, segment, at)
  return [
    {
      segment,
      point,
      along: [1, 0, 0],
      residual: contact.at[0] - point[0],
      contact: index,
      weight: HARD,
    },
    {
      segment,
      point,
      along: [0, 0, 1],
      residual: contact.at[1] - point[2],
      contact: index,
      weight: HARD,
    },
  ]
}

/** A strap that is taut: how much its ends are too far apart. */
export function strapRow(
  [from, to, cm]: Strap,
  placed: Placed,
  body: Body,
  stature: number
): Row | null {
  if (cm === undefined) return null
  const [a, b] = [from, to].map((part) => pointsOf(part, body)![0]!)
  const point = pointIn(placed, a!.segment, a!.at)
  const end = pointIn(placed, b!.segment, b!.at)
  const apart = sub(point, end)
  const residual = cm / stature - norm(apart)
  if (residual > 1e-6) return null
  return {
    segment: a!.segment,
    point,
    along: scale(apart, 1 / Math.max(norm(apart), 1e-9)),
    residual,
    against: { segment: b!.segment, point: end },
    weight: HARD,
  }
}
