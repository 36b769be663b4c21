'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import type { FigureAnswer, FigureJob } from '@/workers/figure'

type Ask = Omit<FigureJob, 'seq'>

/**
 * A worker that solves and draws; while it works, only the newest wish waits.
 * @returns the newest answer, and how to ask
 */
export function useFigureWork(): [FigureAnswer | null, (ask: Ask) => void, string] {
  const [answer, setAnswer] = useState<FigureAnswer | null>(null)
  const [failure, setFailure] = useState('')
  const worker = useRef<Worker | null>(null)
  const busy = useRef(false)
  const waiting = useRef<Ask | null>(null)
  const seq = useRef(0)

  const send = useCallback((ask: Ask) => {
    seq.current += 1
    busy.current = true
    worker.current?.postMessage({ ...ask, seq: seq.current } satisfies FigureJob)
  }, [])

  useEffect(() => {
    const made = new Worker(new URL('../../workers/figure.worker.ts', import.meta.url), {
      type: 'module',
    })
    worker.current = made
    made.onmessage = ({ data }: MessageEvent<FigureAnswer>) => {
      busy.current = false
      // While a part is pulled the loads are those of before.
      setAnswer((before) => ({ ...data, carried: data.carried ?? before?.carried ?? null }))
      const next = waiting.current
      waiting.current = null
      if (next) send(next)
    }
    made.onerror = (event) => {
      busy.current = false
      setFailure(`The figure could not be worked out: ${event.message}. What you had is kept.`)
    }
    if (waiting.current) {
      send(waiting.current)
      waiting.current = null
    }
    return () => made.terminate()
  }, [send])

  const ask = useCallback(
    (wish: Ask) => {
      if (busy.current || !worker.current) waiting.current = wish
      else send(wish)
    },
    [send]
  )
  return [answer, ask, failure]
}
