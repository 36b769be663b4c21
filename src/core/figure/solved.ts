import { keeping, rememberOf } from '../language'
import { USUAL_STATURE } from './body'
import { solve, type Solved, solvedAcross } from './solve'
import { type Figure, mirroredFigure } from './spec'

/** By the figure in letters, then by what it was solved for. */
const known = keeping<string, Map<string, Solved>>(600)

/** A figure in letters. */
const spell = rememberOf((figure: Figure): string => JSON.stringify(figure))

/**
 * Solves a figure once and keeps it: the same figure has the same pose, and its mirror the
 * mirrored one.
 * @param stature of the person, in cm
 * @param rough whether the pose may be off by what one hardly sees
 */
export function solved(figure: Figure, stature = USUAL_STATURE, rough = false): Solved {
  const letters = spell(figure)
  const how = `${stature} ${rough}`
  const before = known.get(letters)?.get(how)
  if (before) return before
  const mirror = known.get(spell(mirroredFigure(figure)))?.get(how)
  const now = mirror ? solvedAcross(figure, mirror, { stature }) : solve(figure, { stature, rough })
  known.set(letters, (known.get(letters) ?? new Map<string, Solved>()).set(how, now))
  return now
}
