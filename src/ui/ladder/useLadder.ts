'use client'

import { useEffect, useState } from 'react'
import { useStore } from 'zustand'
import type { Card } from '@/core/card'
import type { Person } from '@/core/ladder'
import type { ProposalSeen, RungSeen } from '@/workers/ladder'
import { useBenchStore } from '../bench/store'
import { useSchool } from '../shared/school'
import { formFields } from '../shared/formFields'
import { useWork } from '../shared/useWork'

/** The fields that a ladder is worked out from: the others may change as they like. */
const told = (card: Card) =>
  JSON.stringify([formFields(card), card.alignment, card.sides, card.sideNamedBy])

export interface LadderSeen {
  rungs: ReadonlyMap<string, RungSeen>
  offered: { up: string[]; down: string[] }
}

/**
 * What the rungs of the card on the bench ask, and for whom they are open, worked out beside the
 * page at each pause. Null until it is known.
 */
export function useLadder(person: Person | null): LadderSeen | null {
  const bench = useBenchStore()
  const school = useSchool()
  const key = useStore(bench.quiet, ({ card }) => told(card))
  const work = useWork('ladder')
  const [seen, setSeen] = useState<LadderSeen | null>(null)
  useEffect(() => {
    const { card } = bench.quiet.getState()
    work({ ask: 'ladder', card, school, person }, ({ rungs, offered }) => {
      if (rungs && offered)
        setSeen({ rungs: new Map(rungs.map((rung) => [rung.id, rung])), offered })
    })
  }, [bench, key, person, school, work])
  return seen
}

/** Rungs that could be added, asked for once; null while they are worked out. */
export function useProposals(): ProposalSeen[] | null {
  const bench = useBenchStore()
  const school = useSchool()
  const work = useWork('ladder', true)
  const [proposals, setProposals] = useState<ProposalSeen[] | null>(null)
  useEffect(() => {
    const { card } = bench.getState()
    work({ ask: 'proposals', card, school }, (answer) => setProposals(answer.proposals ?? []))
  }, [bench, school, work])
  return proposals
}
