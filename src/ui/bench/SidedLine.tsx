'use client'

import { Fragment, memo, type ReactNode } from 'react'
import { sideWords } from '@/core/sides'
import { LABELS, packOf } from '@/core/language'
import { HalfField } from './HalfField'
import classes from './Spread.module.css'
import { useBench } from './store'

/** One line that is not a step or a cue, written in both halves: the place, a note, what is said. */
export const SidedLine = memo(function SidedLine({
  path,
  value,
  label,
  name = label,
  placeholder,
  calm = false,
}: {
  path: string
  value: string
  /** Stands in the middle. */
  label: string
  /** What the field is called by ear; the label when it stands once. */
  name?: string
  placeholder?: string
  /** One line across, as long as it names no side: where a side is hardly ever meant. */
  calm?: boolean
}) {
  const sided = useBench((state) => state.card.sides === 'sided')
  const writtenFor = useBench((state) => state.card.writtenFor)
  const language = useBench((state) => state.card.language)
  const across =
    calm && sided && !sideWords(value, { language }).some(({ role }) => role !== 'plain')
  const unknown = sided && !across && !packOf(language)
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
          sided={sided && !across}
          label={sided && !across ? `${name}, ${side} leads` : name}
          placeholder={side === writtenFor || !sided || across ? placeholder : undefined}
        />
      </div>
    )
  const side = (of: 'left' | 'right') => <Fragment key={of}>{half(of)}</Fragment>
  return (
    <div className={`${classes.row} ${across ? classes.across : ''}`} data-block>
      <span />
      {[
        // By keys, so that the half that is typed in stays itself when the other one appears.
        sided && !across ? side('left') : null,
        <div key="label" className={`${classes.centre} ${classes.lineLabel}`}>
          {label}
        </div>,
        side(across ? writtenFor : 'right'),
      ]}
      <span />
    </div>
  )
})

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
