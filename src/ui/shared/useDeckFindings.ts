'use client'

import { useEffect, useRef, useState } from 'react'
import type { CardFindings, DeckAnswer, DeckJob } from '@/workers/deckFindings'

export type DeckWork =
  | { state: 'idle' }
  | { state: 'running'; done: number; total: number }
  | { state: 'finished'; cards: CardFindings[]; differ: { findings: number; time: number } }
  | { state: 'failed'; message: string }

/**
 * The findings of a deck, worked out in a worker; a new job takes the place of a running one.
 * @param job null while there is nothing to work out
 */
export function useDeckFindings(job: DeckJob | null): DeckWork {
  const [known, setKnown] = useState<{ job: DeckJob | null; work: DeckWork }>({
    job: null,
    work: { state: 'idle' },
  })
  const latest = useRef<DeckJob | null>(null)
  useEffect(() => {
    latest.current = job
    if (!job) return
    const worker = new Worker(new URL('../../workers/deckFindings.worker.ts', import.meta.url), {
      type: 'module',
    })
    const mine = (next: DeckWork) => {
      if (latest.current === job) setKnown({ job, work: next })
    }
    worker.onmessage = ({ data }: MessageEvent<DeckAnswer>) => {
      if ('finished' in data) mine({ state: 'finished', cards: data.cards, differ: data.differ })
      else mine({ state: 'running', ...data })
    }
    worker.onerror = (event) =>
      mine({
        state: 'failed',
        message: `The findings could not be worked out (${event.message || 'the worker did not start'}). The deck is as it was; reload the page.`,
      })
    worker.postMessage(job)
    return () => worker.terminate()
  }, [job])
  // What was worked out for another job says nothing about this one.
  return job && known.job === job ? known.work : { state: 'idle' }
}
