import type { Side } from '../../card'
import { touchPoints } from '../parts'
import { pointIn } from '../skeleton'
import { type Solved } from '../solve'
import { type Figure, PROP_HEIGHT } from '../spec'
import { add, apply, mid, scale, sub, unit, type Vec } from '../vec'

/** Where props stand under what rests on them. */

export interface Placement {
  at: Vec
  /** Direction along the floor in which it lies. */
  along: Vec
}

export function boxCorners(
  centre: Vec,
  along: Vec,
  long: number,
  wide: number,
  low: number,
  high: number
): Vec[] {
  const across: Vec = [along[2], 0, -along[0]]
  return [-1, 1].flatMap((a) =>
    [-1, 1].flatMap((b) =>
      [low, high].map((y): Vec => {
        const p = add(centre, add(scale(along, (a * long) / 2), scale(across, (b * wide) / 2)))
        return [p[0], y, p[2]]
      })
    )
  )
}

/** Sizes of props in cm: long, wide. */
export const SIZE: Record<string, [number, number]> = {
  'block low': [23, 15],
  'block middle': [23, 10],
  'block high': [15, 10],
  bolster: [65, 24],
  blanket: [70, 55],
  chair: [40, 40],
}

/** From where to where the back of a chair reaches, in cm. */
export const CHAIR_BACK = [66, 84] as const

export function propPlacements(
  figure: Figure,
  solved: Solved
): { kind: string; place: Placement }[] {
  const byKind = new Map<string, { points: Vec[]; kind: string }>()
  for (const contact of figure.contacts) {
    if (!(contact.on in PROP_HEIGHT)) continue
    const points = touchPoints(contact.part, solved).map(({ at }) => at)
    // Hands and feet have a block each; a bolster, a chair, a blanket carries all that rests on it.
    const key = contact.on.startsWith('block') ? `${contact.on} ${contact.part}` : contact.on
    const known = byKind.get(key)
    if (known) known.points.push(...points)
    else byKind.set(key, { points, kind: contact.on })
  }
  const spine = sub(pointIn(solved.placed, 'ribs', [0, 0.1, 0]), solved.pose.root)
  const level: Vec = [spine[0], 0, spine[2]]
  const ahead = apply(solved.placed.rotations[0]!, [0, 0, 1])
  const front: Vec =
    Math.hypot(ahead[0], ahead[2]) > 0.3 ? unit([ahead[0], 0, ahead[2]]) : [0, 0, 1]
  const along = Math.hypot(level[0], level[2]) > 0.08 ? unit(level) : front
  const sits = figure.contacts.some(({ part, on }) => on === 'chair' && part.includes('sit bone'))
  return [...byKind.values()].map(({ kind, points }) => {
    const low = (k: 0 | 2) => Math.min(...points.map((p) => p[k]))
    const high = (k: 0 | 2) => Math.max(...points.map((p) => p[k]))
    const at: Vec = [(low(0) + high(0)) / 2, 0, (low(2) + high(2)) / 2]
    if (kind !== 'chair') return { kind, place: { at, along } }
    // Who sits has its back behind; who leans on it stands at its front.
    const away: Vec = [at[0] - solved.pose.root[0], 0, at[2] - solved.pose.root[2]]
    const back = sits || Math.hypot(away[0], away[2]) < 0.05 ? scale(front, -1) : unit(away)
    return { kind, place: { at, along: back } }
  })
}

/** A view tipped by more than this shows the mat in place of the line of the floor. */
export const FROM_ABOVE = 8
/** Length and width of a mat, in statures. */
const MAT = [1.08, 0.4] as const

/** Corners of a mat that lies under what touches the floor. */
export function matUnder(figure: Figure, solved: Solved): Vec[] {
  const touching = figure.contacts
    .filter((contact) => contact.on === 'floor')
    .flatMap((contact) => touchPoints(contact.part, solved).map(({ at }) => at))
  const [head, root] = [pointIn(solved.placed, 'head', [0, 0, 0]), solved.pose.root]
  const feet = (['Foot', 'Shank'] as const).map((name) => {
    const of = (side: Side) => pointIn(solved.placed, `${side}${name}`, [0, 0, 0])
    return mid(of('left'), of('right'))
  })
  const far = feet.reduce((best, p) =>
    Math.hypot(p[0] - head[0], p[2] - head[2]) > Math.hypot(best[0] - head[0], best[2] - head[2])
      ? p
      : best
  )
  const line: Vec = [head[0] - far[0], 0, head[2] - far[2]]
  const ahead = apply(solved.placed.rotations[0]!, [0, 0, 1])
  const along = unit(Math.hypot(line[0], line[2]) > 0.25 ? line : [ahead[0], 0, ahead[2] || 1])
  const across: Vec = [along[2], 0, -along[0]]
  const middle = (way: Vec) => {
    const on = touching.map((p) => p[0] * way[0] + p[2] * way[2])
    return on.length ? (Math.min(...on) + Math.max(...on)) / 2 : root[0] * way[0] + root[2] * way[2]
  }
  const [m, n] = [middle(along), root[0] * across[0] + root[2] * across[2]]
  const corner = (a: number, b: number): Vec => {
    const p = add(scale(along, m + (a * MAT[0]) / 2), scale(across, n + (b * MAT[1]) / 2))
    return [p[0], 0, p[2]]
  }
  return [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)]
}
