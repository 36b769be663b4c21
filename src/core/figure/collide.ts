import type { Side } from '../card'
import { LIMBS } from './parts'
import { jointOf, pointIn, type Segment } from './skeleton'
import type { Contact } from './spec'
import type { Solved, Standing } from './solve'
import { add, cross, dot, norm, scale, sub, unit, type Vec } from './vec'

/** A limb, or a stretch of the trunk, as a rod with round ends. */
interface Rod {
  name: string
  segment: Segment
  from: Vec
  to: Vec
  radius: number
}

/** Two parts that are where only one can be. */
export interface Clash {
  /** As the card would name them: `left forearm`, `trunk`. */
  parts: [string, string]
  /** How far one is inside the other, in statures. */
  deep: number
}

const RODS: Record<string, { segment: string; next?: string; end?: Vec }> = {
  'upper arm': { segment: 'UpperArm', next: 'Forearm' },
  forearm: { segment: 'Forearm', next: 'Hand' },
  hand: { segment: 'Hand', end: [0, -0.06, 0] },
  thigh: { segment: 'Thigh', next: 'Shank' },
  shin: { segment: 'Shank', next: 'Foot' },
  foot: { segment: 'Foot', end: [0, -0.02, 0.07] },
}
const ARM = ['upper arm', 'forearm', 'hand']
const LEG = ['thigh', 'shin', 'foot']
/** Of the trunk from front to back, half. Our own, set by looking. */
const TRUNK = 0.058
const HEAD = 0.055

/** Names of the rods, in their order. */
const NAMES = [
  ...(['left', 'right'] as const).flatMap((side) =>
    Object.keys(RODS).map((name) => `${side} ${name}`)
  ),
  'belly',
  'chest',
  'head',
]

function rodsOf({ body, placed }: Standing): Rod[] {
  const origin = (segment: Segment) => placed.origins[jointOf(segment)]!
  const limbs = (['left', 'right'] as const).flatMap((side: Side) =>
    Object.entries(RODS).map(([name, { segment, next, end }]): Rod => {
      const own = `${side}${segment}` as Segment
      return {
        name: `${side} ${name}`,
        segment: own,
        from: origin(own),
        to: next ? origin(`${side}${next}` as Segment) : pointIn(placed, own, end!),
        radius: LIMBS[name]!(body, side).radius,
      }
    })
  )
  return [
    ...limbs,
    {
      name: 'belly',
      segment: 'lowBack',
      from: origin('pelvis'),
      to: origin('ribs'),
      radius: TRUNK * body.girth.belly,
    },
    {
      name: 'chest',
      segment: 'ribs',
      from: origin('ribs'),
      to: pointIn(placed, 'ribs', [0, body.shoulderUp * 0.8, 0]),
      radius: TRUNK * body.girth.chest,
    },
    {
      name: 'head',
      segment: 'head',
      from: pointIn(placed, 'head', [0, body.headUp * 0.4, 0]),
      to: pointIn(placed, 'head', [0, body.headUp * 0.6, 0]),
      radius: HEAD,
    },
  ]
}

/** Where two rods’ middle lines come nearest: a place on each, and how far they are apart. */
export function nearest(a: Pick<Rod, 'from' | 'to'>, b: Pick<Rod, 'from' | 'to'>) {
  const [u, v, w] = [sub(a.to, a.from), sub(b.to, b.from), sub(a.from, b.from)]
  const [uu, uv, vv, uw, vw] = [dot(u, u), dot(u, v), dot(v, v), dot(u, w), dot(v, w)]
  const within = (t: number) => Math.max(0, Math.min(1, t))
  const across = uu * vv - uv * uv
  let s = across > 1e-12 ? within((uv * vw - vv * uw) / across) : 0
  const t = within(vv > 1e-12 ? (uv * s + vw) / vv : 0)
  s = within(uu > 1e-12 ? (uv * t - uw) / uu : 0)
  const onA = add(a.from, scale(u, s))
  const onB = add(b.from, scale(v, t))
  return { onA, onB, distance: norm(sub(onA, onB)), across: cross(u, v) }
}

/** Parts that are joined, or lie against each other in every fold. */
function joined(a: string, b: string): boolean {
  const [sideA, ...nameA] = a.split(' ')
  const [sideB, ...nameB] = b.split(' ')
  const [one, two] = [nameA.join(' '), nameB.join(' ')]
  if (!one && !two) return true
  if (!one || !two) {
    const limb = one || two
    const trunk = one ? b : a
    return limb === 'upper arm' || limb === 'thigh' || (trunk === 'head' && limb === 'hand')
  }
  if (sideA !== sideB) return false
  return ARM.includes(one) === ARM.includes(two) && LEG.includes(one) === LEG.includes(two)
}

/** Flesh gives: parts whose middle lines come nearer than this of their radii are in one place. */
const THROUGH = 0.5
/** Less than this, in statures, is a hair. */
const TOLD = 3e-3

/** Two parts in one place, and the way out. */
export interface Meeting extends Clash {
  segments: [Segment, Segment]
  at: [Vec, Vec]
  /** From the second to the first. */
  away: Vec
}

/** Which pairs of rods are looked at, for the contacts of a figure. */
export function lookedAt(contacts: readonly Contact[]): [number, number][] {
  const meant = (a: string, b: string) =>
    contacts.some(({ part, on }) => {
      const [, side, name] = /^(left|right) (.+)$/.exec(part) ?? []
      const own = side ? `${side} ${rodOf(name!)}` : part
      return (on === a && own === b) || (on === b && own === a)
    })
  return NAMES.flatMap((a, i) =>
    NAMES.slice(i + 1).flatMap((b, k): [number, number][] =>
      joined(a, b) || meant(a, b) ? [] : [[i, i + 1 + k]]
    )
  )
}

/** Of the pairs looked at, those nearer than their flesh has room, and a little more. */
export function meetings(
  standing: Standing,
  pairs: readonly [number, number][],
  margin = 0
): Meeting[] {
  const rods = rodsOf(standing)
  const reach = rods.map(({ from, to, radius }) => norm(sub(to, from)) / 2 + radius)
  const middle = rods.map(({ from, to }) => scale(add(from, to), 0.5))
  return pairs.flatMap(([i, k]): Meeting[] => {
    if (norm(sub(middle[i]!, middle[k]!)) > reach[i]! + reach[k]!) return []
    const [a, b] = [rods[i]!, rods[k]!]
    const { onA, onB, distance, across } = nearest(a, b)
    const deep = (a.radius + b.radius) * THROUGH - distance
    if (deep < -margin) return []
    const way = distance > 1e-5 ? sub(onA, onB) : norm(across) > 1e-9 ? across : ([0, 0, 1] as Vec)
    return [
      {
        parts: [a.name, b.name],
        deep,
        segments: [a.segment, b.segment],
        at: [onA, onB],
        away: unit(way),
      },
    ]
  })
}

/**
 * Limbs that pass through each other, through the trunk or the head. What a contact brings
 * together on purpose is left out, and so are parts that are joined.
 */
export const clashesIn = (solved: Solved): Clash[] =>
  meetings(solved, lookedAt(solved.contacts)).filter(({ deep }) => deep > TOLD)

/** The limb that a part belongs to. */
function rodOf(part: string): string {
  if (/palm|hand|fist|finger/.test(part)) return 'hand'
  if (/sole|toes|heel|foot/.test(part)) return 'foot'
  if (part === 'elbow') return 'forearm'
  if (part === 'knee' || part === 'calf' || part === 'leg') return 'shin'
  return part
}
