'use client'

import { type Card, type Cue, freshId, REGIONS } from '@/core/card'
import { CueCell } from './CueCell'
import { SpreadList } from './SpreadList'

/** The alignment cues, from the ground up. */
export function CueList() {
  return (
    <SpreadList<Cue>
      list="alignment"
      noun="cue"
      teach="Look at the body from the ground up: write what each place does. Enter adds the next cue."
      centreTitle="where"
      make={(card: Card, before) => ({
        id: freshId(
          'a',
          card.alignment.map((cue) => cue.id)
        ),
        region: regionAfter(before?.region),
        text: '',
        on: 'both',
      })}
      centre={(cue, index) => <CueCell cue={cue} index={index} />}
    />
  )
}

function regionAfter(region: Cue['region'] | undefined): Cue['region'] {
  if (!region) return REGIONS[0]
  return REGIONS[Math.min(REGIONS.indexOf(region) + 1, REGIONS.length - 1)]!
}
