import type { Card, Found, Rule } from '../card'
import { measure, measureWords, MEASURES, unitNamed } from './measures'
import { figureLedFrom, finalFigure, keyframesOf } from './ofCard'
import { solved } from './solved'

/** What a cue’s measure reads on the final form; null when there is no figure or no such measure. */
export function measuredCue(
  card: Card,
  index: number
): { value: number; unit: string; off: number } | null {
  const asked = card.alignment[index]?.measure
  const frame = asked && finalFigure(card)
  if (!asked || !frame) return null
  const side = card.writtenFor
  const found = measure(solved(figureLedFrom(card, frame.figure, side)), asked.name, {
    lead: side,
    namedBy: card.sideNamedBy,
  })
  if (!found) return null
  const off = Math.max(0, Math.abs(found.value - asked.target) - asked.tolerance)
  return { ...found, off }
}

function brokenCues(card: Card): Found[] {
  if (!card.alignment.some((cue) => cue.measure)) return []
  return card.alignment.flatMap((cue, i): Found[] => {
    if (!cue.measure) return []
    const { name, target, tolerance, unit } = cue.measure
    if (!finalFigure(card)) return []
    const found = measuredCue(card, i)
    if (!found)
      return [
        {
          where: `alignment[${i}].measure`,
          message: `“${name}” cannot be measured; the measures are ${MEASURES.map((each) => each.name).join(', ')}.`,
        },
      ]
    if (unitNamed(unit) !== found.unit)
      return [
        {
          where: `alignment[${i}].measure`,
          message: `“${name}” is measured in ${found.unit}, not in ${unit}; tell the target in ${found.unit}.`,
        },
      ]
    if (found.off === 0) return []
    return [
      {
        where: `alignment[${i}]`,
        message: `The figure breaks this cue: ${name} is ${measureWords(found.value, found.unit)}, wanted ${measureWords(target, unit)} give or take ${tolerance}.`,
      },
    ]
  })
}

function unmetContacts(card: Card): Found[] {
  return keyframesOf(card).frames.flatMap(({ where, id, figure }) =>
    solved(figure).unmet.map((unmet) => ({ where, message: `Figure of ${id}: ${unmet.message}` }))
  )
}

/** The rules about figures. */
export const figureRules: readonly Rule[] = [
  {
    id: 'figure/can-be-read',
    looksAt: 'The data of the figures.',
    why: 'A figure that cannot be read is not drawn.',
    source: 'format',
    severity: 'stop',
    check: (card) =>
      keyframesOf(card).problems.map(({ where, problem }) => ({
        where,
        message: `The figure cannot be read: ${problem}.`,
      })),
  },
  {
    id: 'figure/contacts-are-met',
    looksAt: 'Whether what should touch touches.',
    why: 'A hand that hangs above its block teaches the wrong distance.',
    source: 'common practice',
    severity: 'note',
    check: unmetContacts,
  },
  {
    id: 'figure/keeps-the-cues',
    looksAt: 'Cues with a measure, on the figure of the form described.',
    why: 'A picture that breaks its own cue is believed more than the words.',
    source: 'common practice',
    severity: 'mend',
    check: brokenCues,
  },
]
