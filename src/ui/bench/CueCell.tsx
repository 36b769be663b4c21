'use client'

import { LABELS } from '@/core/language'
import { useState } from 'react'
import { type Cue, ON, REGIONS } from '@/core/card'
import { later } from '../shared/later'
import classes from './CueCell.module.css'
import { useBench, useBenchStore } from './store'

// The figure is large: it comes when a cue is measured.
const CueMeasure = later(
  () => import('./CueMeasure').then((module) => module.default),
  <span className={classes.measured}>…</span>
)

const CueMark = later(
  () => import('./CueMark').then((module) => module.default),
  <span className={classes.measured}>…</span>
)

/** The middle of an alignment row: where on the body, and on which side. */
export function CueCell({ item: cue, index }: { item: Cue; index: number }) {
  const bench = useBenchStore()
  const sided = useBench((state) => state.card.sides === 'sided')
  const [measuring, setMeasuring] = useState(false)
  const [marking, setMarking] = useState(false)
  const set = (key: string, value: string) =>
    bench.getState().set(`alignment[${index}].${key}`, value)
  return (
    <div className={classes.cell}>
      <select
        className={classes.region}
        aria-label={`Region of cue ${index + 1}`}
        value={cue.region}
        onChange={(event) => set('region', event.currentTarget.value)}
      >
        {REGIONS.map((region) => (
          <option key={region}>{region}</option>
        ))}
      </select>
      {sided && (
        <select
          className={classes.on}
          aria-label={`Sides of cue ${index + 1}`}
          value={cue.on}
          onChange={(event) => set('on', event.currentTarget.value)}
        >
          {ON.map((on) => (
            <option key={on} value={on}>
              {LABELS.on[on]}
            </option>
          ))}
        </select>
      )}
      <span className={classes.tools}>
        {cue.measure || measuring ? (
          <CueMeasure cue={cue} index={index} opened={measuring} onOpen={setMeasuring} />
        ) : (
          <button
            className={`${classes.measured} ${classes.quiet}`}
            aria-label={`Measure of cue ${index + 1}`}
            onClick={() => setMeasuring(true)}
          >
            measure
          </button>
        )}
        {cue.mark || marking ? (
          <CueMark cue={cue} index={index} opened={marking} onOpen={setMarking} />
        ) : (
          <button
            className={`${classes.measured} ${classes.quiet}`}
            aria-label={`Mark of cue ${index + 1}`}
            onClick={() => setMarking(true)}
          >
            mark
          </button>
        )}
      </span>
    </div>
  )
}
