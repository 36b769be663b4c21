'use client'

import { useEffect, useMemo, useState } from 'react'
import type { Person } from '@/core/ladder'
import type { ProposalSeen, RungSeen } from '@/workers/ladder'
import { useBenchStore } from '../bench/store'
import { type Question, useWorkedOut } from '../bench/useWorkedOut'
import { useSchool } from '../shared/school'
import { formFields } from '../shared/formFields'
import { useWork } from '../shared/useWork'

interface Worked {
  rungs: RungSeen[]
  offered: { up: string[]; down: string[] }
}

/** What the rungs of the card on the bench ask, and for whom they are open; by their ids. */
export interface LadderSeen extends Pick<Worked, 'offered'> {
  rungs: ReadonlyMap<string, RungSeen>
}

/** The ladder of the card on the bench; null until it is known. */
export function useLadder(person: Person | null): LadderSeen | null {
  const seen = useWorkedOut(
    useMemo<Question<'ladder', Worked>>(
      () => ({
        work: 'ladder',
        from: (card) => [formFields(card), card.alignment, card.sides, card.sideNamedBy],
        job: (card, school) => ({ ask: 'ladder', card, school, person }),
        seen: ({ rungs, offered }) => rungs && offered && { rungs, offered },
      }),
      [person]
    )
  )
  return useMemo(
    () => seen && { ...seen, rungs: new Map(seen.rungs.map((rung) => [rung.id, rung])) },
    [seen]
  )
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
