import { USUAL_STATURE } from './body'
import { solve, type Solved } from './solve'
import type { Figure } from './spec'

const known = new Map<string, Solved>()
const MOST_KEPT = 600

/**
 * Solves a figure once and keeps it: the same figure has the same pose.
 * @param stature of the person, in cm
 * @param rounds at most, where a form need not be exact
 */
export function solved(figure: Figure, stature = USUAL_STATURE, rounds?: number): Solved {
  const key = `${stature} ${rounds ?? ''} ${JSON.stringify(figure)}`
  const before = known.get(key)
  if (before) return before
  const now = solve(figure, { stature, ...(rounds ? { rounds } : {}) })
  if (known.size >= MOST_KEPT) known.clear()
  known.set(key, now)
  return now
}
