'use client'

import { useCallback, useEffect, useRef } from 'react'
import type { BenchAnswer, BenchJob } from '@/workers/bench'
import { openWork, type Worked } from './benchWork'

/** Work that a part of the page may ask for. */
export type UsedWork = 'drawings' | 'cautions' | 'ladder'

/**
 * Work for a part of the bench, one job at a time; while it is done only the newest wish waits.
 * What cannot be worked out is not shown: the answer to a job that came to no end is empty.
 * @param apart for what takes long, so that nothing else waits for it
 */
export function useWork<W extends UsedWork>(work: W, apart = false) {
  type Job = BenchJob<W>
  type Answer = BenchAnswer<W>
  const worker = useRef<Worked<Job, Answer> | null>(null)
  const busy = useRef<((answer: Answer) => void) | null>(null)
  const next = useRef<{ job: Job; tell: (answer: Answer) => void } | null>(null)
  const begin = useCallback((job: Job, tell: (answer: Answer) => void) => {
    if (!worker.current) return
    busy.current = tell
    worker.current.ask(job)
  }, [])
  useEffect(() => {
    const made = openWork(work, apart)
    worker.current = made
    const done = (answer: Answer) => {
      busy.current?.(answer)
      busy.current = null
      const wish = next.current
      next.current = null
      if (wish) begin(wish.job, wish.tell)
    }
    made.onAnswer(done)
    made.onFailure(() => done({} as Answer))
    return () => {
      worker.current = null
      busy.current = null
      next.current = null
      made.stop()
    }
  }, [begin, work, apart])
  return useCallback(
    (job: Job, tell: (answer: Answer) => void) => {
      if (busy.current) next.current = { job, tell }
      else begin(job, tell)
    },
    [begin]
  )
}
