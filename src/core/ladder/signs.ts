import type { Card, School } from '../card'
import { figureLedFrom, measure, measureWords, solved, unitNamed } from '../figure'
import { LADDER, namedRole } from '../language'
import { rungForm } from './rungForm'

/**
 * A sign is words. One that ends with a measure in parentheses, such as
 * `the knee stays over the ankle (front knee over ankle 0 deg ± 10)`, is tied to it.
 */
const TIED =
  /\(([a-z][a-z ]+?) (-?\d+(?:\.\d+)?) ?(deg|°|cm|%|leg lengths|ratio)? ?± ?(\d+(?:\.\d+)?)\)\s*$/i

/** The measure that a sign is tied to; null for words alone. */
export function signMeasure(
  sign: string
): { name: string; target: number; tolerance: number; unit: string } | null {
  const [, name, target, unit = '', tolerance] = TIED.exec(sign) ?? []
  return name === undefined
    ? null
    : { name, target: Number(target), tolerance: Number(tolerance), unit: unitNamed(unit) }
}

/**
 * What the figure of a rung reads where a sign is tied to a measure.
 * @returns null for a sign that is not tied, and where there is nothing to measure
 */
export function signRead(
  card: Card,
  rungId: string,
  sign: string
): { value: number; unit: string; off: number; sure: boolean } | null {
  const wanted = signMeasure(sign)
  if (!wanted) return null
  const { figure, sure } = rungForm(card, rungId)
  if (!figure) return null
  const side = card.writtenFor
  const read = measure(solved(figureLedFrom(card, figure, side)), wanted.name, {
    lead: side,
    namedBy: namedRole(card),
  })
  if (!read) return null
  return {
    ...read,
    off: Math.max(0, Math.abs(read.value - wanted.target) - wanted.tolerance),
    sure,
  }
}

/** Signs to pick from: those of the house, those of the trade, and those that the card’s cues measure. */
export function signsOffered(
  card: Card,
  school: Pick<School, 'signs'>
): { up: string[]; down: string[] } {
  const tied = card.alignment.flatMap(({ text, measure: asked }) =>
    asked
      ? [
          LADDER.phrases.tied(
            text.replace(/[.!]\s*$/, '').replace(/^\p{Lu}/u, (letter) => letter.toLowerCase()),
            asked.name,
            measureWords(asked.target, unitNamed(asked.unit)),
            asked.tolerance
          ),
        ]
      : []
  )
  const once = (list: string[]) => [...new Set(list)]
  return {
    up: once([...school.signs.up, ...LADDER.phrases.up, ...tied]),
    down: once([...school.signs.down, ...LADDER.phrases.down]),
  }
}
