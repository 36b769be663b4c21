'use client'

import { type Cue, freshId, REGIONS } from '@/core/card'
import { CueCell } from './CueCell'
import { type RowKind, SpreadList } from './SpreadList'

const CUES: RowKind<Cue> = {
  list: 'alignment',
  noun: 'cue',
  centreTitle: 'where',
  make: (card, before) => ({
    id: freshId(
      'a',
      card.alignment.map((cue) => cue.id)
    ),
    region: regionAfter(before?.region),
    text: '',
    on: 'both',
  }),
  Centre: CueCell,
}

/** The alignment cues, from the ground up. */
export const CueList = () => (
  <SpreadList<Cue>
    kind={CUES}
    teach="Look at the body from the ground up: write what each place does. Enter adds the next cue."
  />
)

function regionAfter(region: Cue['region'] | undefined): Cue['region'] {
  if (!region) return REGIONS[0]
  return REGIONS[Math.min(REGIONS.indexOf(region) + 1, REGIONS.length - 1)]!
}
