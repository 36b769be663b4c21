import { ANGLES } from '@/core/figure'

/** Lists of numbers that are looked at in one go: a matcher for each number takes longer than a pose. */

/** The angles that pass the limits of their joints by more than that many degrees. */
export const outsideLimits = (angles: readonly number[], by = 1e-6): string[] =>
  ANGLES.flatMap(({ joint, angle, min, max }, i) =>
    angles[i]! >= min - by && angles[i]! <= max + by ? [] : `${joint} ${angle}: ${angles[i]}`
  )

/** How far two lists of numbers are apart where they differ most; NaN where one has none. */
export const furthest = (ours: readonly number[], theirs: readonly number[]): number =>
  Math.max(...ours.map((value, i) => Math.abs(value - theirs[i]!)))
