'use client'

import { useCallback } from 'react'
import { type Card, type Side, titleOf } from '@/core/card'
import { figureLedFrom, finalFigure, shownMeasures } from '@/core/figure'
import { AskedDrawing } from './AskedDrawing'
import { useDerived } from './store'

const aboutForm = (card: Card, side: Side) => {
  const { sides, writtenFor } = card
  const final = finalFigure(card)
  if (!final) return null
  return {
    label: `${titleOf(card)}, ${final.id}${sides === 'sided' ? `, ${side} leads` : ''}`,
    job: {
      figure: figureLedFrom({ sides, writtenFor }, final.figure, side),
      letters: sides === 'sided',
      shown: shownMeasures(card, side),
    },
  }
}

/** The form described, small, led from one side, with what the cues show on it. */
export default function DrawnForm({ side }: { side: Side }) {
  const about = useDerived(useCallback((card: Card) => aboutForm(card, side), [side]))
  return about && <AskedDrawing {...about} />
}
