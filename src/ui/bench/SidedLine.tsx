'use client'

import type { ReactNode } from 'react'
import { LABELS, packOf } from '@/core/language'
import { HalfField } from './HalfField'
import classes from './Spread.module.css'
import { useBench } from './store'

/** One line that is not a step or a cue, written in both halves: the place, a note, what is said. */
export function SidedLine({
  path,
  value,
  label,
  name = label,
  placeholder,
}: {
  path: string
  value: string
  /** Stands in the middle. */
  label: string
  /** What the field is called by ear; the label when it stands once. */
  name?: string
  placeholder?: string
}) {
  const sided = useBench((state) => state.card.sides === 'sided')
  const writtenFor = useBench((state) => state.card.writtenFor)
  const language = useBench((state) => state.card.language)
  const unknown = sided && !packOf(language)
  const half = (side: 'left' | 'right'): ReactNode =>
    unknown && side !== writtenFor ? (
      <p className={`${classes.notHere} ${classes[side]}`}>{LABELS.sheet.notWritten(language)}</p>
    ) : (
      <div className={classes[side]}>
        <HalfField
          path={path}
          value={value}
          side={side}
          writtenFor={writtenFor}
          sided={sided}
          label={sided ? `${name}, ${side} leads` : name}
          placeholder={side === writtenFor || !sided ? placeholder : undefined}
        />
      </div>
    )
  return (
    <div className={classes.row}>
      <span />
      {sided && half('left')}
      <div className={`${classes.centre} ${classes.lineLabel}`}>{label}</div>
      {half('right')}
      <span />
    </div>
  )
}

/** A spread made of single lines. */
export function LineSpread({ children, label }: { children: ReactNode; label: string }) {
  const sided = useBench((state) => state.card.sides === 'sided')
  return (
    <div
      className={`${classes.spread} ${sided ? '' : classes.even}`}
      role="group"
      aria-label={label}
    >
      {children}
    </div>
  )
}
