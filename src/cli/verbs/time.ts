import { timeOf } from '@/core/breath'
import { DEFAULT_SCHOOL } from '@/core/card'
import { BadCall, GOOD, out } from '../badCall'
import { cardFrom } from '../files'

/** Tells how long a card takes. */
export function time(file: string, options: { rung?: string }): number {
  try {
    out(`${JSON.stringify(timeOf(cardFrom(file), DEFAULT_SCHOOL, options.rung))}\n`)
  } catch (error) {
    if (error instanceof RangeError) throw new BadCall(`${file}:1: ${error.message}`)
    throw error
  }
  return GOOD
}
