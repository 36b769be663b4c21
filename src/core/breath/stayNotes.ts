import { type Card, stepsOf } from '../card'
import type { Labels } from '../language'
import { isMiddle } from './dose'
import { multiplied } from './timeline'

/** What a count multiplies, and where a time is that of the middle of a range. */
export function stayNotes(card: Card, labels: Labels): string[] {
  const done = multiplied(card)
  const ranges = stepsOf(card).flatMap(({ step }) => (step.repeatMost ? [step] : []))
  return [
    done
      ? labels.sheet.multiplied({
          rounds: labels.timesOf(card.stay),
          steps: done.steps,
          stay: done.stay
            ? labels.stay({
                ...card.stay,
                repeats: 1,
                repeatsMost: undefined,
                restBetween: undefined,
              })
            : '',
        })
      : '',
    isMiddle(card.stay) || ranges.length > 0 ? labels.sheet.middle(card.stay, ranges) : '',
  ].filter(Boolean)
}
