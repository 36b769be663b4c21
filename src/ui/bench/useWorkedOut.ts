'use client'

import { useContext, useEffect, useRef, useState } from 'react'
import type { Card, School } from '@/core/card'
import type { BenchAnswer, BenchJob } from '@/workers/bench'
import { asBefore } from '../shared/asBefore'
import { NearContext } from '../shared/near'
import { useSchool } from '../shared/school'
import { useWork, type UsedWork } from '../shared/useWork'
import { useBenchStore } from './store'

/** What is to be worked out of a card. Kept outside of a component, or by it: a new one is asked. */
export interface Question<W extends UsedWork, Seen> {
  work: W
  /** What of the card the answer follows from, as plain data: it is asked anew when that differs. */
  from: (card: Card) => unknown
  job: (card: Card, school: School) => BenchJob<W>
  /** What is shown of an answer, as plain data; nothing when it came to no end. */
  seen: (answer: BenchAnswer<W>) => Seen | undefined
}

/**
 * What a worker makes of the card on the bench at each pause in typing; null until it is known.
 * Nothing is asked for a section that is far from the window, until one comes near it.
 * Of a new answer what is as before stays the same object, so that only what differs draws anew.
 */
export function useWorkedOut<W extends UsedWork, Seen>(question: Question<W, Seen>): Seen | null {
  const bench = useBenchStore()
  const school = useSchool()
  const ask = useWork(question.work)
  const near = useContext(NearContext)
  const [seen, setSeen] = useState<Seen | null>(null)
  const known = useRef({ question, school, from: '' })
  useEffect(() => {
    if (!near) return
    const before = known.current
    let asked = before.question === question && before.school === school ? before.from : ''
    const look = () => {
      const { card } = bench.quiet.getState()
      const from = JSON.stringify(question.from(card))
      if (from === asked) return
      asked = from
      // An answer on its way is not the last word on what was known before.
      known.current = { question, school, from: '' }
      ask(question.job(card, school), (answer) => {
        known.current = { question, school, from }
        const now = question.seen(answer)
        if (now !== undefined) setSeen((before) => asBefore(before, now))
      })
    }
    look()
    return bench.quiet.subscribe(look)
  }, [bench, school, ask, question, near])
  return seen
}
