import type { Pace, Stay } from '../card'

/** Keeps sums of tenths free of the noise of binary fractions. */
export const tidySeconds = (seconds: number): number => Math.round(seconds * 1e6) / 1e6

/**
 * How long one breath lasts at a pace, its holds included.
 * @returns seconds
 * @example breathSeconds({ in: 5, out: 5 }) // 10
 */
export const breathSeconds = (pace: Pace): number =>
  tidySeconds(pace.in + (pace.holdIn ?? 0) + pace.out + (pace.holdOut ?? 0))

/**
 * Breaths a minute at a pace.
 * @example breathsAMinute({ in: 5, out: 5 }) // 6
 */
export const breathsAMinute = (pace: Pace): number => 60 / breathSeconds(pace)

/** Seconds that so many breaths last. */
export const secondsOfBreaths = (breaths: number, pace: Pace): number =>
  tidySeconds(breaths * breathSeconds(pace))

/**
 * How long one repeat of a stay lasts: its breaths at the pace, else the middle of its seconds.
 * @returns seconds; 0 when the stay gives neither
 */
export function staySecondsOnce(stay: Stay, pace: Pace): number {
  if (stay.breaths !== undefined) return secondsOfBreaths(stay.breaths, pace)
  return stay.seconds ? tidySeconds((stay.seconds[0] + stay.seconds[1]) / 2) : 0
}

/**
 * How long a stay lasts: its repeats, and the rests between them at the same pace.
 * @returns seconds
 * @example staySeconds({ breaths: 5, repeats: 3, restBetween: { breaths: 2 } }, { in: 4, out: 4 }) // 152
 */
export function staySeconds(stay: Stay, pace: Pace): number {
  const rest = stay.restBetween ? secondsOfBreaths(stay.restBetween.breaths, pace) : 0
  return tidySeconds(staySecondsOnce(stay, pace) * stay.repeats + rest * (stay.repeats - 1))
}
