import type { Side } from '../card'
import type { Body } from './body'
import { LIMBS } from './parts'
import { jointOf, pointIn, type Segment } from './skeleton'
import type { Contact } from './spec'
import type { Solved, Standing } from './solve'
import { add, cross, dot, norm, scale, sub, unit, type Vec } from './vec'

/** A limb, or a stretch of the trunk, as a rod with round ends. */
interface Rod {
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

/** Where a rod ends: at a joint, or at a place of its own segment that hangs on the body. */
type End = number | ((body: Body) => Vec)

interface RodOf {
  name: string
  segment: Segment
  from: End
  to: End
  radius: (body: Body) => number
}

/** The rods of any body, in their order. */
const ALL: readonly RodOf[] = [
  ...(['left', 'right'] as const).flatMap((side: Side) =>
    Object.entries(RODS).map(([name, { segment, next, end }]): RodOf => ({
      name: `${side} ${name}`,
      segment: `${side}${segment}` as Segment,
      from: jointOf(`${side}${segment}` as Segment),
      to: next ? jointOf(`${side}${next}` as Segment) : () => end!,
      radius: (body) => LIMBS[name]!(body, side).radius,
    }))
  ),
  {
    name: 'belly',
    segment: 'lowBack',
    from: jointOf('pelvis'),
    to: jointOf('ribs'),
    radius: ({ girth }) => TRUNK * girth.belly,
  },
  {
    name: 'chest',
    segment: 'ribs',
    from: jointOf('ribs'),
    to: ({ shoulderUp }) => [0, shoulderUp * 0.8, 0],
    radius: ({ girth }) => TRUNK * girth.chest,
  },
  {
    name: 'head',
    segment: 'head',
    from: ({ headUp }) => [0, headUp * 0.4, 0],
    to: ({ headUp }) => [0, headUp * 0.6, 0],
    radius: () => HEAD,
  },
]

function rodsOf({ body, placed }: Standing): Rod[] {
  const end = (segment: Segment, at: End) =>
    typeof at === 'number' ? placed.origins[at]! : pointIn(placed, segment, at(body))
  return ALL.map(({ segment, from, to, radius }) => ({
    from: end(segment, from),
    to: end(segment, to),
    radius: radius(body),
  }))
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

/** Pairs of rods that are not joined. */
const APART: readonly (readonly [number, number])[] = ALL.flatMap((a, i) =>
  ALL.flatMap((b, k): [number, number][] => (k > i && !joined(a.name, b.name) ? [[i, k]] : []))
)

/** Which pairs of rods are looked at, for the contacts of a figure: all but those meant to meet. */
export function lookedAt(contacts: readonly Contact[]): readonly (readonly [number, number])[] {
  const meant = new Set(
    contacts.flatMap(({ part, on }) => {
      const [, side, name] = /^(left|right) (.+)$/.exec(part) ?? []
      const own = side ? `${side} ${rodOf(name!)}` : part
      return [`${own}, ${on}`, `${on}, ${own}`]
    })
  )
  return APART.filter(([i, k]) => !meant.has(`${ALL[i]!.name}, ${ALL[k]!.name}`))
}

/** Of the pairs looked at, those nearer than their flesh has room, and a little more. */
export function meetings(
  standing: Standing,
  pairs: readonly (readonly [number, number])[],
  margin = 0
): Meeting[] {
  const rods = rodsOf(standing)
  const reach = rods.map(({ from, to, radius }) => norm(sub(to, from)) / 2 + radius)
  const middle = rods.map(({ from, to }) => scale(add(from, to), 0.5))
  const found: Meeting[] = []
  for (const [i, k] of pairs) {
    const [ma, mb, far] = [middle[i]!, middle[k]!, reach[i]! + reach[k]!]
    if ((ma[0] - mb[0]) ** 2 + (ma[1] - mb[1]) ** 2 + (ma[2] - mb[2]) ** 2 > far * far) continue
    const [a, b] = [rods[i]!, rods[k]!]
    const { onA, onB, distance, across } = nearest(a, b)
    const deep = (a.radius + b.radius) * THROUGH - distance
    if (deep < -margin) continue
    const way = distance > 1e-5 ? sub(onA, onB) : norm(across) > 1e-9 ? across : ([0, 0, 1] as Vec)
    found.push({
      parts: [ALL[i]!.name, ALL[k]!.name],
      deep,
      segments: [ALL[i]!.segment, ALL[k]!.segment],
      at: [onA, onB],
      away: unit(way),
    })
  }
  return found
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
