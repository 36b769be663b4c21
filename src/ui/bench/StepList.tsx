'use client'

import { nextBreath } from '@/core/breath'
import { type Breath, type Card, freshId, type Step, stepIds } from '@/core/card'
import { BreathCell } from './BreathCell'
import { SpreadList } from './SpreadList'
import { useBenchStore } from './store'

export type StepListName = 'enter' | 'otherWay' | 'exit'
const PREFIX: Record<StepListName, string> = { enter: 's', otherWay: 'w', exit: 'x' }

const PHASE_KEYS: Record<string, Breath> = { KeyI: 'in', KeyO: 'out', KeyF: 'free' }

/** The steps into the pose, or out of it, each tied to a breath. */
export function StepList({ list, teach }: { list: StepListName; teach: string }) {
  const bench = useBenchStore()

  function keys(event: React.KeyboardEvent, index: number): boolean {
    if (!event.altKey) return false
    const step = bench.getState().card[list][index]!
    // Alt+H goes from held in to held out and back.
    const breath =
      event.code === 'KeyH'
        ? step.breath === 'hold-in'
          ? 'hold-out'
          : 'hold-in'
        : PHASE_KEYS[event.code]
    if (!breath) return false
    bench.getState().set(`${list}[${index}].breath`, breath)
    return true
  }

  return (
    <SpreadList<Step>
      list={list}
      noun="step"
      teach={teach}
      centreTitle="breath"
      make={(card: Card, before) => ({
        id: freshId(PREFIX[list], stepIds(card)),
        text: '',
        breath: nextBreath(before?.breath),
      })}
      centre={(step, index) => <BreathCell step={step} index={index} list={list} />}
      keys={keys}
    />
  )
}
