import { LIMBS, pointsOf, touchPoints } from './parts'
import { pointIn, type Segment } from './skeleton'
import type { Solved } from './solve'
import { add, cross, norm, scale, sub, unit, type Vec } from './vec'

/** A point that carries weight: on the floor, or on a prop. */
export interface Support {
  part: string
  segment: Segment
  at: Vec
  /** Of the flesh there; 0 for a point of a flat part. */
  radius: number
}

/** A force that can be there: its direction, where it works, and what it works against. */
export interface Push {
  /** The contact that it belongs to; none for a strap. */
  part: string | null
  segment: Segment
  at: Vec
  along: Vec
  /** Where it works back, when that is the body itself. */
  against: { segment: Segment; at: Vec } | null
}

/** Friction of skin and cloth on a mat, on a wall, and of skin on skin. Our own, set by trying. */
const GRIP = { floor: 0.7, wall: 0.45, limb: 0.6 } as const
/** Of a ball of flesh that carries weight, this part of its radius lies flat. */
const FLATTENED = 0.45
const UP: Vec = [0, 1, 0]
/** Two points nearer than this are one. */
const SAME = 2e-3
/** Toes this near to the floor lie on it, in statures. */
const LIES = 8e-3

const onFloor = (on: string) => on !== 'wall' && !/^(?:left|right) /.test(on)
const SIDE = /^(left|right) (.+)$/

/** What is not reached carries nothing. */
const met = ({ contacts, unmet }: Solved) =>
  contacts.filter(({ part, on }) => !unmet.some((each) => each.part === part && each.on === on))

/** A sole that is flat reaches to the tips of its toes. */
function toeTip(part: string, solved: Solved, lowest: number): Support[] {
  const [, side, name] = SIDE.exec(part) ?? []
  if (name !== 'sole') return []
  const segment = `${side}Toes` as Segment
  const at = pointIn(solved.placed, segment, [0, -0.008, 0.03])
  return Math.abs(at[1] - lowest) < LIES ? [{ part, segment, at, radius: 0 }] : []
}

/**
 * What carries the body: contacts with the floor and with props, not with walls and limbs. What
 * is named twice, as a heel beside its sole, carries once.
 */
export function supportsOf(solved: Solved): Support[] {
  const parts = met(solved)
    .filter(({ on }) => onFloor(on))
    .map(({ part }) => {
      const own = touchPoints(part, solved).map(({ segment, at: [x, y, z], radius }): Support => ({
        part,
        segment,
        radius,
        at: [x, y - radius, z],
      }))
      return [...own, ...toeTip(part, solved, Math.min(...own.map(({ at }) => at[1])))]
    })
  // The part with more points first: its points stand for those of its parts.
  const order = parts.map((_, i) => i).sort((a, b) => parts[b]!.length - parts[a]!.length || a - b)
  const kept: Support[] = []
  for (const i of order)
    for (const point of parts[i]!)
      if (!kept.some((each) => norm(sub(each.at, point.at)) < SAME)) kept.push(point)
  return kept
}

/** Where a support presses: flesh that carries weight lies flat. */
export function footprint({ at, radius }: Pick<Support, 'at' | 'radius'>): Vec[] {
  const r = radius * FLATTENED
  if (r === 0) return [at]
  // A triangle that is its own mirror image.
  return [90, 210, 330].map((turn) => {
    const a = (turn * Math.PI) / 180
    return add(at, [r * Math.cos(a), 0, r * Math.sin(a)])
  })
}

/** The edges of the cone of forces that a surface can give: straight out, and along it by its grip. */
function cone(out: Vec, grip: number): Vec[] {
  const first = unit(cross(out, Math.abs(out[1]) > 0.7 ? [1, 0, 0] : UP))
  const second = cross(out, first)
  return [first, scale(first, -1), second, scale(second, -1)].map((along) =>
    add(out, scale(along, grip))
  )
}

function wallPushes(solved: Solved, centre: Vec): Push[] {
  return met(solved).flatMap(({ part, on }) => {
    if (on !== 'wall') return []
    return touchPoints(part, solved).flatMap(({ segment, at }) => {
      const out: Vec = [0, 0, at[2] < centre[2] ? 1 : -1]
      return cone(out, GRIP.wall).map((along): Push => ({
        part,
        segment,
        at,
        along,
        against: null,
      }))
    })
  })
}

function limbPushes(solved: Solved): Push[] {
  const { body, placed } = solved
  return met(solved).flatMap(({ part, on, along = 0.5 }) => {
    const [, side, name] = SIDE.exec(on) ?? []
    const limb = name && LIMBS[name]?.(body, side as 'left' | 'right')
    const [point] = limb ? pointsOf(part, body)! : []
    if (!limb || !point || point.segment === limb.segment) return []
    const at = pointIn(placed, point.segment, point.at)
    const under = pointIn(placed, limb.segment, [0, -limb.length * along, 0])
    const away = sub(at, under)
    if (norm(away) < 1e-6) return []
    return cone(unit(away), GRIP.limb).map((direction): Push => ({
      part,
      segment: point.segment,
      at,
      along: direction,
      against: { segment: limb.segment, at },
    }))
  })
}

/** A strap pulls its two ends together. */
function strapPushes(solved: Solved): Push[] {
  return solved.straps.flatMap(([from, to]): Push[] => {
    const [a] = touchPoints(from, solved)
    const [b] = touchPoints(to, solved)
    if (!a || !b || norm(sub(b.at, a.at)) < 1e-6) return []
    return [
      {
        part: null,
        segment: a.segment,
        at: a.at,
        along: unit(sub(b.at, a.at)),
        against: { segment: b.segment, at: b.at },
      },
    ]
  })
}

/** Every force that can help to carry the body. */
export function pushesOn(solved: Solved, centre: Vec): Push[] {
  const floor = supportsOf(solved).flatMap(({ part, segment, at, radius }) =>
    footprint({ at, radius }).flatMap((point) =>
      cone(UP, GRIP.floor).map((along): Push => ({
        part,
        segment,
        at: point,
        along,
        against: null,
      }))
    )
  )
  return [...floor, ...wallPushes(solved, centre), ...limbPushes(solved), ...strapPushes(solved)]
}
