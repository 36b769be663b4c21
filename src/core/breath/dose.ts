import type { Pace, Stay, Step } from '../card'

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

const middle = (least: number, most = least): number => (least + most) / 2

/** Breaths of one repeat; the middle of a range. Undefined when breaths are not counted. */
export const breathsOnce = ({ breaths, breathsMost }: Stay): number | undefined =>
  breaths === undefined ? undefined : middle(breaths, breathsMost)

/** How often a stay, or the cycle of a moving card, is done; the middle of a range. */
export const repeatsOf = ({ repeats, repeatsMost }: Stay): number => middle(repeats, repeatsMost)

/** How often a step is done by itself; the middle of a range. */
export const repeatsOfStep = ({ repeat = 1, repeatMost }: Partial<Step>): number =>
  middle(repeat, repeatMost)

/** Whether a time worked out from the stay stands for the middle of a range. */
export const isMiddle = ({ breathsMost, repeatsMost, seconds, breaths }: Stay): boolean =>
  breathsMost !== undefined ||
  repeatsMost !== undefined ||
  (breaths === undefined && seconds !== undefined && seconds[0] < seconds[1])

/**
 * How long one repeat of a stay lasts: its breaths at the pace, else its seconds; of a range the middle.
 * @returns seconds; 0 when the stay gives neither
 */
export function staySecondsOnce(stay: Stay, pace: Pace): number {
  const breaths = breathsOnce(stay)
  if (breaths !== undefined) return secondsOfBreaths(breaths, pace)
  return stay.seconds ? tidySeconds((stay.seconds[0] + stay.seconds[1]) / 2) : 0
}

/**
 * How long a stay lasts: its repeats, and the rests between them at the same pace.
 * @returns seconds
 * @example staySeconds({ breaths: 5, repeats: 3, restBetween: { breaths: 2 } }, { in: 4, out: 4 }) // 152
 */
export function staySeconds(stay: Stay, pace: Pace): number {
  const rest = stay.restBetween ? secondsOfBreaths(stay.restBetween.breaths, pace) : 0
  const repeats = repeatsOf(stay)
  return tidySeconds(staySecondsOnce(stay, pace) * repeats + rest * (repeats - 1))
}
