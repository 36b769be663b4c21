'use client'

import { useCallback, useEffect, useState } from 'react'
import { useStore } from 'zustand'
import type { Card } from '@/core/card'
import type { WayOut } from '@/core/cautions'
import type { SeenFault, SeenTogether } from '@/workers/cardCautions'
import type { SeenWhy } from '@/workers/deckCautions'
import { useBenchStore } from '../bench/store'
import { api } from '../shared/api'
import { formFields } from '../shared/formFields'
import { useSchool } from '../shared/school'
import { useWork } from '../shared/useWork'

const ofVerdicts = (card: Card) => JSON.stringify([formFields(card), card.cautions, card.traits])
const ofFaults = (card: Card) => JSON.stringify([formFields(card), card.mistakes, card.alignment])

/** The verdicts of the card on the bench, worked out beside the page at each pause; null until then. */
export function useCardVerdicts(): { verdicts: SeenWhy[]; sure: boolean } | null {
  const bench = useBenchStore()
  const school = useSchool()
  const key = useStore(bench.quiet, ({ card }) => ofVerdicts(card))
  const work = useWork('cautions')
  const [seen, setSeen] = useState<{ verdicts: SeenWhy[]; sure: boolean } | null>(null)
  useEffect(() => {
    const { card } = bench.quiet.getState()
    work({ ask: 'verdicts', card, school }, ({ verdicts, sure = false }) => {
      if (verdicts) setSeen({ verdicts, sure })
    })
  }, [bench, key, school, work])
  return seen
}

/** Cards where somebody may go who has no rung here: the deck is read when it is asked for. */
export function useWays(): (conditions: string[], tell: (ways: WayOut[] | string) => void) => void {
  const bench = useBenchStore()
  const school = useSchool()
  const work = useWork('cautions', true)
  return useCallback(
    (conditions, tell) => {
      void api<{ cards: { card: Card }[] }>('/api/deck').then(
        ({ cards: deck }) => {
          const { card } = bench.getState()
          work({ ask: 'ways', card, school, conditions, deck }, ({ ways }) => tell(ways ?? []))
        },
        (error: Error) => tell(error.message)
      )
    },
    [bench, school, work]
  )
}

/** What holds on each rung for someone who has all of these; null until it is known. */
export function useTogether(conditions: readonly string[]): SeenTogether[] | null {
  const bench = useBenchStore()
  const school = useSchool()
  const key = useStore(bench.quiet, ({ card }) => ofVerdicts(card))
  const work = useWork('cautions')
  const [seen, setSeen] = useState<SeenTogether[] | null>(null)
  const asked = conditions.join()
  useEffect(() => {
    const { card } = bench.quiet.getState()
    work({ ask: 'together', card, school, conditions: asked.split(',') }, ({ together }) => {
      if (together) setSeen(together)
    })
  }, [bench, key, school, work, asked])
  return seen
}

/** The wrong forms of the mistakes on the bench, by the place of the mistake; null until they are drawn. */
export function useFaults(): ReadonlyMap<number, SeenFault> | null {
  const bench = useBenchStore()
  const school = useSchool()
  const key = useStore(bench.quiet, ({ card }) => ofFaults(card))
  const work = useWork('cautions')
  const [seen, setSeen] = useState<ReadonlyMap<number, SeenFault> | null>(null)
  useEffect(() => {
    const { card } = bench.quiet.getState()
    work({ ask: 'faults', card, school }, ({ faults }) => {
      if (faults) setSeen(new Map(faults.map((each) => [each.at, each])))
    })
  }, [bench, key, school, work])
  return seen
}
