'use client'

import { useCallback, useMemo } from 'react'
import type { Card } from '@/core/card'
import type { WayOut } from '@/core/cautions'
import type { SeenFault, SeenTogether } from '@/workers/cardCautions'
import type { SeenWhy } from '@/workers/deckCautions'
import { useBenchStore } from '../bench/store'
import { type Question, useWorkedOut } from '../bench/useWorkedOut'
import { api } from '../shared/api'
import { formFields } from '../shared/formFields'
import { useSchool } from '../shared/school'
import { useWork } from '../shared/useWork'

interface Verdicts {
  verdicts: SeenWhy[]
  sure: boolean
}

const ofVerdicts = (card: Card) => [formFields(card), card.cautions, card.traits]

const VERDICTS: Question<'cautions', Verdicts> = {
  work: 'cautions',
  from: ofVerdicts,
  job: (card, school) => ({ ask: 'verdicts', card, school }),
  seen: ({ verdicts, sure = false }) => verdicts && { verdicts, sure },
}

const FAULTS: Question<'cautions', SeenFault[]> = {
  work: 'cautions',
  from: (card) => [formFields(card), card.mistakes, card.alignment],
  job: (card, school) => ({ ask: 'faults', card, school }),
  seen: ({ faults }) => faults,
}

/** The verdicts of the card on the bench; null until they are known. */
export const useCardVerdicts = (): Verdicts | null => useWorkedOut(VERDICTS)

/** The wrong forms of the mistakes on the bench; null until they are drawn. */
export const useFaults = (): readonly SeenFault[] | null => useWorkedOut(FAULTS)

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
  const asked = conditions.join()
  return useWorkedOut(
    useMemo<Question<'cautions', SeenTogether[]>>(
      () => ({
        work: 'cautions',
        from: ofVerdicts,
        job: (card, school) => ({ ask: 'together', card, school, conditions: asked.split(',') }),
        seen: ({ together }) => together,
      }),
      [asked]
    )
  )
}
