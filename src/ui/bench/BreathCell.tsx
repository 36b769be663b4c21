'use client'

import { LABELS } from '@/core/language'
import { paceOf, phaseOffered, phaseSeconds, repeatsOfStep } from '@/core/breath'
import { BREATHS, type Breath, type Step } from '@/core/card'
import { memo } from 'react'
import { BreathMark } from '../shared/BreathMark'
import classes from './BreathCell.module.css'
import { later } from '../shared/later'
import type { ListName } from './SpreadList'
import { useSchool } from '../shared/school'
import { useBench, useBenchStore } from './store'

const PIXELS_A_SECOND = 12

const RepeatsField = later(() => import('./RepeatsField').then((module) => module.RepeatsField))

interface CellProps {
  item: Step
  index: number
  list: ListName
}

/** One segment of the breath spine: the shape says the phase, the height says the seconds. */
export function BreathCell({ item, index, list }: CellProps) {
  const { breath, seconds, repeat, repeatMost, cycle } = item
  const offered = phaseOffered(
    item.text,
    useBench((state) => state.card.language)
  )
  return (
    <Cell
      {...{ breath, seconds, repeat, repeatMost, cycle, index, list }}
      offer={offered && offered !== breath && seconds === undefined ? offered : null}
    />
  )
}

interface PhaseProps extends Pick<Step, 'breath' | 'seconds' | 'repeat' | 'repeatMost' | 'cycle'> {
  index: number
  list: ListName
  /** The breath that the words ask for, when it is another. */
  offer: 'in' | 'out' | null
}

/** All of the middle that does not change with each letter. */
const Cell = memo(function Cell({ index, list, offer, ...step }: PhaseProps) {
  const bench = useBenchStore()
  const stay = useBench((state) => state.card.stay)
  const moving = useBench((state) => state.card.manner === 'moving')
  const pace = paceOf({ stay }, useSchool())
  const seconds = phaseSeconds(step, pace)
  const path = `${list}[${index}]`
  const own = step.breath !== 'in' && step.breath !== 'out'
  const name = `step ${index + 1}`
  return (
    <div className={classes.cell}>
      <span className={classes.word} aria-hidden>
        {LABELS.breath[step.breath].split(' ').map((word) => (
          <span key={word}>{word}</span>
        ))}
      </span>
      <label className={classes.mark}>
        <BreathMark
          breath={step.breath}
          width={46}
          height={Math.max(16, Math.min(seconds * PIXELS_A_SECOND, 360))}
          decorative
        />
        <select
          className={classes.choose}
          aria-label={`Breath of ${name}`}
          value={step.breath}
          onChange={(event) =>
            bench.getState().set(`${path}.breath`, event.currentTarget.value as Breath)
          }
        >
          {BREATHS.map((breath) => (
            <option key={breath} value={breath}>
              {LABELS.breath[breath]}
            </option>
          ))}
        </select>
      </label>
      <span className={classes.time}>
        {own ? (
          <input
            className={classes.seconds}
            type="number"
            min={1}
            max={600}
            aria-label={`Seconds of ${name}`}
            value={step.seconds ?? ''}
            placeholder={String(seconds)}
            onChange={(event) => {
              const given = event.currentTarget.valueAsNumber
              bench.getState().set(`${path}.seconds`, given > 0 ? given : undefined)
            }}
          />
        ) : (
          seconds
        )}
        {' s'}
        {(moving || repeatsOfStep(step) > 1) && (
          <span className={classes.more}>
            ×
            <RepeatsField
              className={classes.seconds}
              data-range={step.repeatMost === undefined ? undefined : ''}
              aria-label={`Repeats of ${name}`}
              placeholder="1"
              of={step}
              path={path}
            />
          </span>
        )}
      </span>
      {moving && (
        <label className={classes.cycle}>
          <input
            type="checkbox"
            aria-label={`Step ${index + 1} is part of the cycle`}
            checked={step.cycle ?? false}
            onChange={(event) =>
              bench.getState().set(`${path}.cycle`, event.currentTarget.checked || undefined)
            }
          />
          cycle
        </label>
      )}
      {offer && (
        <button
          className={classes.offer}
          aria-label={`Step ${index + 1}: the words ask for ${offer}; set it`}
          title={`The words ask for ${offer}`}
          onClick={() => bench.getState().set(`${path}.breath`, offer)}
        >
          {offer}?
        </button>
      )}
    </div>
  )
})
