'use client'

import { NativeSelect } from '@mantine/core'
import { useState } from 'react'
import { type Card, titleOf } from '@/core/card'
import {
  type Figure,
  type FigureInput,
  finalFigure,
  keyframesOf,
  readFigure,
  STARTS,
} from '@/core/figure'
import { api } from '../shared/api'
import classes from './FigureBench.module.css'

const figureOf = (input: FigureInput): Figure => readFigure(input).figure!

interface Drawn {
  id: string
  title: string
  figure: Figure
}

interface FormsProps {
  label: string
  none: string
  card: Card
  /** Whether the starting positions are offered. */
  positions?: boolean
  /** Whether what was picked stays picked. */
  keeps?: boolean
  onPick: (figure: Figure | null) => void
}

/** Forms to pick from: starting positions, those of this card, the final ones of others. */
export function Forms({ label, none, card, positions, keeps, onPick }: FormsProps) {
  const [others, setOthers] = useState<Drawn[]>([])
  const [picked, setPicked] = useState('')
  const own = keyframesOf(card).frames
  const read = () => {
    if (others.length > 0) return
    api<{ cards: { card: Card }[] }>('/api/deck')
      .then(({ cards }) =>
        setOthers(
          cards.flatMap(({ card: other }) => {
            const found = finalFigure(other)
            if (!found || other.id === card.id) return []
            return [{ id: other.id, title: titleOf(other), figure: found.figure }]
          })
        )
      )
      .catch(() => undefined)
  }
  return (
    <NativeSelect
      className={classes.forms}
      aria-label={label}
      value={picked}
      onFocus={read}
      onChange={(event) => {
        const value = event.currentTarget.value
        const start = STARTS.find((each) => `start ${each.id}` === value)
        const found =
          (start && figureOf(start.figure)) ??
          own.find((each) => `own ${each.id}` === value)?.figure ??
          others.find((each) => `card ${each.id}` === value)?.figure ??
          null
        if (keeps) setPicked(value)
        onPick(found)
      }}
      data={[
        { value: '', label: none },
        ...(positions
          ? [
              {
                group: 'Positions',
                items: STARTS.map(({ id, title }) => ({ value: `start ${id}`, label: title })),
              },
            ]
          : []),
        {
          group: 'This card',
          items: own.map(({ id }) => ({ value: `own ${id}`, label: id })),
        },
        {
          group: 'Other cards',
          items: others.map(({ id, title }) => ({ value: `card ${id}`, label: title })),
        },
      ]}
    />
  )
}
