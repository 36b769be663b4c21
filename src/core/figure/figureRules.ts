import { SAY } from '../language'
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
          message: SAY.figure.noMeasure(name, MEASURES.map((each) => each.name).join(', ')),
        },
      ]
    if (unitNamed(unit) !== found.unit)
      return [
        {
          where: `alignment[${i}].measure`,
          message: SAY.figure.unit(name, found.unit, unit),
        },
      ]
    if (found.off === 0) return []
    return [
      {
        where: `alignment[${i}]`,
        message: SAY.figure.breaks(
          name,
          measureWords(found.value, found.unit),
          measureWords(target, unit),
          tolerance
        ),
      },
    ]
  })
}

function unmetContacts(card: Card): Found[] {
  return keyframesOf(card).frames.flatMap(({ where, id, figure }) =>
    solved(figure).unmet.map((unmet) => ({ where, message: SAY.figure.of(id, unmet.message) }))
  )
}

/** The rules about figures. */
export const figureRules: readonly Rule[] = [
  {
    id: 'figure/can-be-read',
    ...SAY.rules['figure/can-be-read'],
    source: 'format',
    severity: 'stop',
    check: (card) =>
      keyframesOf(card).problems.map(({ where, problem }) => ({
        where,
        message: SAY.figure.unread(problem),
      })),
  },
  {
    id: 'figure/contacts-are-met',
    ...SAY.rules['figure/contacts-are-met'],
    source: 'common practice',
    severity: 'note',
    check: unmetContacts,
  },
  {
    id: 'figure/keeps-the-cues',
    ...SAY.rules['figure/keeps-the-cues'],
    source: 'common practice',
    severity: 'mend',
    check: brokenCues,
  },
]
