import type { Card, Pace, Stay } from '../card'

const count = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`

/**
 * A stay in words.
 * @example stayWords({ breaths: 5, repeats: 2 }) // '5 breaths, 2 times'
 */
export function stayWords(stay: Stay): string {
  const parts: string[] = []
  if (stay.breaths !== undefined) parts.push(count(stay.breaths, 'breath'))
  if (stay.seconds) {
    const [least, most] = stay.seconds
    const minutes = least >= 60 && least % 30 === 0 && most % 30 === 0
    const unit = minutes ? 60 : 1
    const span = least === most ? `${least / unit}` : `${least / unit} to ${most / unit}`
    parts.push(
      `${span} ${minutes ? (most === 60 ? 'minute' : 'minutes') : most === 1 ? 'second' : 'seconds'}`
    )
  }
  if (stay.repeats > 1) parts.push(count(stay.repeats, 'time'))
  if (stay.restBetween) parts.push(`${count(stay.restBetween.breaths, 'breath')} of rest between`)
  return parts.join(', ')
}

/**
 * A length of time in words, to the half second below a minute.
 * @example durationWords(128) // '2 min 8 s'
 */
export function durationWords(seconds: number): string {
  if (seconds < 60) return `${Math.round(seconds * 10) / 10} s`
  const whole = Math.round(seconds)
  const minutes = Math.floor(whole / 60)
  const rest = whole % 60
  return rest ? `${minutes} min ${rest} s` : `${minutes} min`
}

/** A pace in words: `4 s in, 4 s out`. */
export function paceWords(pace: Pace): string {
  return [
    `${pace.in} s in`,
    pace.holdIn ? `hold ${pace.holdIn} s` : '',
    `${pace.out} s out`,
    pace.holdOut ? `hold ${pace.holdOut} s` : '',
  ]
    .filter(Boolean)
    .join(', ')
}

/** The gap after a meal and the time of day, in words; empty when neither is given. */
export function whenWords(when: Card['when']): string {
  const gap =
    when.mealGapHours === undefined
      ? ''
      : when.mealGapHours === 0
        ? 'also straight after a meal'
        : `${count(when.mealGapHours, 'hour')} after a meal`
  return [gap, when.timeOfDay].filter(Boolean).join('; ')
}
