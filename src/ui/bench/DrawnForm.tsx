'use client'

import { type Side, titleOf } from '@/core/card'
import { drawnFigure, figureLedFrom, finalFigure, keyframesOf, shownMeasures } from '@/core/figure'
import { FigureSvg } from '../shared/FigureSvg'
import { useBench } from './store'

/**
 * A form of the card on the bench, small, led from one side.
 * @param where its place on the card; the form described when it is left out, with its measures
 */
export default function DrawnForm({
  where,
  side,
  className,
}: {
  where?: string
  side: Side
  className?: string
}) {
  const card = useBench((state) => state.card)
  const frame =
    where === undefined
      ? finalFigure(card)
      : keyframesOf(card).frames.find((each) => each.where === where)
  if (!frame) return null
  const figure = figureLedFrom(card, frame.figure, side)
  const drawing =
    where === undefined
      ? drawnFigure(figure, card.sides === 'sided', shownMeasures(card, side))
      : drawnFigure(figure, false)
  return (
    <FigureSvg
      drawing={drawing}
      className={className}
      label={`${titleOf(card)}, ${frame.id}${card.sides === 'sided' ? `, ${side} leads` : ''}`}
    />
  )
}
