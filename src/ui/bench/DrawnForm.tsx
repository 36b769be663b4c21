'use client'

import { useCallback } from 'react'
import { useStore } from 'zustand'
import { type Card, type Side, titleOf } from '@/core/card'
import { drawnFigure, figureLedFrom, finalFigure, keyframesOf, shownMeasures } from '@/core/figure'
import { FigureSvg } from '../shared/FigureSvg'
import { useBenchStore, useDerived } from './store'

const frameAt = (card: Card, where?: string) =>
  where === undefined
    ? finalFigure(card)
    : keyframesOf(card).frames.find((each) => each.where === where)

const aboutForm = (card: Card, where: string | undefined, side: Side) => ({
  id: frameAt(card, where)?.id,
  title: titleOf(card),
  sides: card.sides,
  writtenFor: card.writtenFor,
  shown: shownMeasures(card, side),
})

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
  const bench = useBenchStore()
  const kept = useStore(bench.quiet, (state) => frameAt(state.card, where)?.figure)
  const { id, title, sides, writtenFor, shown } = useDerived(
    useCallback((card: Card) => aboutForm(card, where, side), [where, side])
  )
  if (!kept) return null
  const sided = sides === 'sided'
  const figure = figureLedFrom({ sides, writtenFor }, kept, side)
  const drawing =
    where === undefined ? drawnFigure(figure, sided, shown) : drawnFigure(figure, false)
  return (
    <FigureSvg
      drawing={drawing}
      className={className}
      label={`${title}, ${id}${sided ? `, ${side} leads` : ''}`}
    />
  )
}
