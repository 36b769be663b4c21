'use client'

import { LABELS } from '@/core/language'
import { type Cue, ON, REGIONS } from '@/core/card'
import { later } from '../shared/later'
import classes from './CueCell.module.css'
import { useBench, useBenchStore } from './store'

// What is measured and marked comes after the words: the figure is large.
const CueTools = later(
  () => import('./CueTools').then((module) => module.CueTools),
  <span className={classes.measured}>…</span>
)

/** The middle of an alignment row: where on the body, and on which side. */
export function CueCell({ item: cue, index }: { item: Cue; index: number }) {
  const bench = useBenchStore()
  const sided = useBench((state) => state.card.sides === 'sided')
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
      <CueTools cue={cue} index={index} />
    </div>
  )
}
