'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import type { Card, School } from '@/core/card'
import type { PlayAnswer, PlayJob, PlayLoaded, PlayPicture } from '@/workers/play'

/** A worker that plays a card; while it draws, only the newest time waits. */
export function usePlay(card: Card, school: School) {
  const [loaded, setLoaded] = useState<PlayLoaded | null>(null)
  const [picture, setPicture] = useState<PlayPicture | null>(null)
  const [failure, setFailure] = useState('')
  const worker = useRef<Worker | null>(null)
  const busy = useRef(false)
  const waiting = useRef<number | null>(null)

  const send = useCallback((seconds: number) => {
    busy.current = true
    worker.current?.postMessage({ kind: 'frame', seconds } satisfies PlayJob)
  }, [])

  useEffect(() => {
    const made = new Worker(new URL('../../workers/play.worker.ts', import.meta.url), {
      type: 'module',
    })
    worker.current = made
    made.onmessage = ({ data }: MessageEvent<PlayAnswer>) => {
      if (data.kind === 'loaded') {
        setLoaded(data)
        send(0)
        return
      }
      busy.current = false
      setPicture(data)
      const next = waiting.current
      waiting.current = null
      if (next !== null) send(next)
    }
    made.onerror = (event) =>
      setFailure(`It cannot be played: ${event.message}. The card is as it was.`)
    made.postMessage({ kind: 'load', card, school } satisfies PlayJob)
    return () => made.terminate()
  }, [card, school, send])

  const show = useCallback(
    (seconds: number) => {
      if (busy.current) waiting.current = seconds
      else send(seconds)
    },
    [send]
  )
  return { loaded, picture, show, failure }
}
