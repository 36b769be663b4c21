'use client'

import { nextBreath } from '@/core/breath'
import {
  type Breath,
  freshId,
  type Step,
  stepIds,
  type StepList as List,
  stepLists,
} from '@/core/card'
import { BreathCell } from './BreathCell'
import { type KeyAction, keyOf } from './keys'
import { type RowKind, SpreadList } from './SpreadList'

const PHASES: Partial<Record<KeyAction, (now: Breath) => Breath>> = {
  'breath-in': () => 'in',
  'breath-out': () => 'out',
  'breath-free': () => 'free',
  // The same key goes from held in to held out and back.
  'breath-hold': (now) => (now === 'hold-in' ? 'hold-out' : 'hold-in'),
}

const kindOf = (list: List, prefix: string): RowKind<Step> => ({
  list,
  noun: 'step',
  centreTitle: 'breath',
  make: (card, before) => ({
    id: freshId(prefix, stepIds(card)),
    text: '',
    breath: nextBreath(before?.breath),
  }),
  Centre: BreathCell,
  keys: (event, index, bench) => {
    const action = keyOf(event)
    const phase = action && PHASES[action]
    if (!phase) return false
    const { breath } = bench.getState().card[list][index]!
    bench.getState().set(`${list}[${index}].breath`, phase(breath))
    return true
  },
})

const KINDS = new Map(stepLists().map(({ list, prefix }) => [list, kindOf(list, prefix)]))

/** The steps into the pose, or out of it, each tied to a breath. */
export const StepList = ({ list, teach }: { list: List; teach: string }) => (
  <SpreadList<Step> kind={KINDS.get(list)!} teach={teach} />
)
