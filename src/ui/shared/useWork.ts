'use client'

import { useCallback, useEffect, useRef } from 'react'

/**
 * One worker that answers one job at a time; while it works only the newest wish waits.
 * @param make starts the worker; it and `failed` stand outside of the component
 * @param failed the answer to a job that came to no end
 */
export function useWork<Job, Answer>(make: () => Worker, failed: () => Answer) {
  const worker = useRef<Worker | null>(null)
  const busy = useRef<((answer: Answer) => void) | null>(null)
  const next = useRef<{ job: Job; tell: (answer: Answer) => void } | null>(null)
  const begin = useCallback((job: Job, tell: (answer: Answer) => void) => {
    if (!worker.current) return
    busy.current = tell
    worker.current.postMessage(job)
  }, [])
  useEffect(() => {
    const made = make()
    worker.current = made
    const done = (answer: Answer) => {
      busy.current?.(answer)
      busy.current = null
      const wish = next.current
      next.current = null
      if (wish) begin(wish.job, wish.tell)
    }
    made.onmessage = ({ data }: MessageEvent<Answer>) => done(data)
    made.onerror = () => done(failed())
    return () => {
      worker.current = null
      busy.current = null
      next.current = null
      made.terminate()
    }
  }, [begin, make, failed])
  return useCallback(
    (job: Job, tell: (answer: Answer) => void) => {
      if (busy.current) next.current = { job, tell }
      else begin(job, tell)
    },
    [begin]
  )
}
