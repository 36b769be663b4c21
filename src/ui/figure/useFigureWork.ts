'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import type { FigureAnswer, FigureJob } from '@/workers/figure'

type Ask = Omit<FigureJob, 'seq'>

/**
 * A worker that solves and draws; while it works, only the newest wish waits.
 * @returns the newest answer, how to ask, what failed, and how to hear the answer to the last wish
 */
export function useFigureWork(): [
  FigureAnswer | null,
  (ask: Ask) => void,
  string,
  (tell: (answer: FigureAnswer) => void) => void,
] {
  const [answer, setAnswer] = useState<FigureAnswer | null>(null)
  const [failure, setFailure] = useState('')
  const worker = useRef<Worker | null>(null)
  const busy = useRef(false)
  const waiting = useRef<Ask | null>(null)
  const seq = useRef(0)
  const newest = useRef<FigureAnswer | null>(null)
  const after = useRef<((answer: FigureAnswer) => void) | null>(null)

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
    let left = false
    made.onmessage = ({ data }: MessageEvent<FigureAnswer>) => {
      busy.current = false
      // While a part is pulled the loads are those of before.
      const now = { ...data, carried: data.carried ?? newest.current?.carried ?? null }
      newest.current = now
      setAnswer(now)
      const next = waiting.current
      waiting.current = null
      if (next) return send(next)
      after.current?.(now)
      after.current = null
      if (left) made.terminate()
    }
    made.onerror = (event) => {
      busy.current = false
      after.current = null
      if (left) made.terminate()
      setFailure(`The figure could not be worked out: ${event.message}. What you had is kept.`)
    }
    if (waiting.current) {
      send(waiting.current)
      waiting.current = null
    }
    return () => {
      left = true
      // What was pulled a moment before one leaves is still worked out, and told.
      if (!after.current) made.terminate()
    }
  }, [send])

  const ask = useCallback(
    (wish: Ask) => {
      if (busy.current || !worker.current) waiting.current = wish
      else send(wish)
    },
    [send]
  )
  const whenDone = useCallback((tell: (answer: FigureAnswer) => void) => {
    // What is still on its way is what was meant: the answer before it is older than the hand.
    if (busy.current || waiting.current) after.current = tell
    else if (newest.current) tell(newest.current)
  }, [])
  return [answer, ask, failure, whenDone]
}
