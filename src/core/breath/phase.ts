import type { Breath, Card, Pace, Step } from '../card'
import type { School } from '../card'

/** Seconds of a hold or a free breath that gives none of its own. */
export const UNSPECIFIED_SECONDS = 4

/** The pace of a card in seconds: its own, else the school's. */
export function paceOf(card: Pick<Card, 'stay'>, school: Pick<School, 'pace'>): Pace {
  return card.stay.pace ?? school.pace
}

/**
 * How long one step lasts once: in and out by the pace, a hold or a free breath its own
 * seconds.
 * @returns seconds
 * @example phaseSeconds({ breath: 'in' }, { in: 4, out: 6 }) // 4
 */
export function phaseSeconds(step: Pick<Step, 'breath' | 'seconds'>, pace: Pace): number {
  switch (step.breath) {
    case 'in':
      return pace.in
    case 'out':
      return pace.out
    default:
      return step.seconds ?? UNSPECIFIED_SECONDS
  }
}

/** The breath that follows in linked movement: in and out take turns. */
export function nextBreath(before: Breath | undefined): Breath {
  return before === 'in' || before === 'hold-in' ? 'out' : 'in'
}
