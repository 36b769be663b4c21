import { keeping } from '../language'
import { type MeasureContext } from './landmarks'
import { marksOf } from './marks'
import { measure } from './measures'
import { ANGLES, place } from './skeleton'
import { solve, type Solved } from './solve'
import { solved } from './solved'
import type { Figure } from './spec'
import { add, scale, type Vec } from './vec'

/** A form in which a cue is broken, and where on it that is seen. */
export interface Fault {
  figure: Figure
  /** In statures. */
  at: Vec
}

/** What a cue wants of a measure. */
export interface Wanted {
  name: string
  target: number
  tolerance: number
}

/** By how many degrees an angle is tried, and may be changed at most. */
const TRIED = 3
const MOST = 55
/** How many angles are tried, those that count most first. */
const ANGLES_TRIED = 6
/** How far past its tolerance a measure is pushed, in tolerances. */
const PAST = 2.5

/**
 * The form that breaks a cue by the least change of one angle: that measure pushed out, past its
 * tolerance, away from where the good form stands.
 * @returns null when there is no such measure, or no one angle pushes it out
 */
export function faultOf(figure: Figure, wanted: Wanted, context: MeasureContext): Fault | null {
  const key = JSON.stringify([figure, wanted, context])
  const before = known.get(key)
  return before !== undefined ? before : known.set(key, worked(figure, wanted, context))
}

const known = keeping<string, Fault | null>(300)
/** Rounds that a wrong form is given to stand. */
const ROUNDS = 40

function worked(
  figure: Figure,
  { name, target, tolerance }: Wanted,
  context: MeasureContext
): Fault | null {
  const good = solved(figure)
  const read = (of: Solved) => measure(of, name, context)?.value
  const now = read(good)
  if (now === undefined) return null
  const by = Math.max(tolerance, 1) * PAST
  const changes = ANGLES.flatMap(({ joint, angle, min, max }, i) => {
    if (joint === 'pelvis' && angle === 'turn') return []
    const angles = good.pose.angles.with(i, good.pose.angles[i]! + TRIED)
    const moved = {
      ...good,
      pose: { ...good.pose, angles },
      placed: place(good.body, { ...good.pose, angles }),
    }
    const slope = ((read(moved) ?? now) - now) / TRIED
    if (Math.abs(slope) < 1e-3) return []
    return [1, -1].flatMap((sign) => {
      const change = (target + sign * by - now) / slope
      const to = good.pose.angles[i]! + change
      return Math.abs(change) > MOST || to < min || to > max ? [] : [{ joint, angle, to, change }]
    })
  }).sort((a, b) => Math.abs(a.change) - Math.abs(b.change))
  for (const { joint, angle, to } of changes.slice(0, ANGLES_TRIED)) {
    const wrong: Figure = {
      ...figure,
      angles: { ...figure.angles, [joint]: { ...figure.angles[joint], [angle]: Math.round(to) } },
    }
    const stands = solve(wrong, { rounds: ROUNDS })
    const value = read(stands)
    if (value === undefined || Math.abs(value - target) <= tolerance * 1.3) continue
    if (stands.unmet.length > good.unmet.length) continue
    const points = marksOf(stands, name, context)[0] ?? [stands.pose.root]
    const at = points.reduce<Vec>((sum, p) => add(sum, scale(p, 1 / points.length)), [0, 0, 0])
    return { figure: wrong, at }
  }
  return null
}
