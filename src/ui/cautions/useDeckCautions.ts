'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import type { Card, School } from '@/core/card'
import type { CautionsAnswer, CautionsJob } from '@/workers/deckCautions'
import { api } from '../shared/api'

export interface CautionsDeck {
  school: School
  cards: { card: Card; version: number }[]
}

export type Matrix = Extract<CautionsAnswer, { told: 'matrix' }>
type Asked = CautionsJob extends infer J ? (J extends { n: number } ? Omit<J, 'n'> : never) : never
type AnswerTo<T extends CautionsAnswer['told']> = Extract<CautionsAnswer, { told: T }>

export interface DeckCautions {
  deck: CautionsDeck | null
  /** Null while it is worked out. */
  matrix: Matrix | null
  progress: { done: number; total: number } | null
  failure: string
  /** Asks about the deck that is loaded. */
  ask: <T extends CautionsAnswer['told']>(job: Asked) => Promise<AnswerTo<T>>
  /** Reads the deck anew. */
  reload: () => void
}

/** The deck with the verdicts of every rung, worked out beside the page; it can be asked more. */
export function useDeckCautions(): DeckCautions {
  const [deck, setDeck] = useState<CautionsDeck | null>(null)
  const [matrix, setMatrix] = useState<Matrix | null>(null)
  const [progress, setProgress] = useState<{ done: number; total: number } | null>(null)
  const [failure, setFailure] = useState('')
  const worker = useRef<Worker | null>(null)
  const waiting = useRef(new Map<number, (answer: CautionsAnswer) => void>())
  const count = useRef(0)

  const ask = useCallback(
    <T extends CautionsAnswer['told']>(job: Asked) =>
      new Promise<AnswerTo<T>>((done) => {
        const n = (count.current += 1)
        waiting.current.set(n, (answer) => done(answer as AnswerTo<T>))
        worker.current?.postMessage({ ...job, n })
      }),
    []
  )
  const reload = useCallback(() => {
    api<CautionsDeck>('/api/deck')
      .then(setDeck)
      .catch((error: Error) => setFailure(error.message))
  }, [])
  useEffect(reload, [reload])
  useEffect(() => {
    if (!deck) return
    const made = new Worker(new URL('../../workers/deckCautions.worker.ts', import.meta.url), {
      type: 'module',
    })
    worker.current = made
    const asked = waiting.current
    made.onmessage = ({ data }: MessageEvent<CautionsAnswer>) => {
      if (data.told === 'progress') {
        setProgress(data)
        return
      }
      asked.get(data.n)?.(data)
      asked.delete(data.n)
    }
    made.onerror = (event) =>
      setFailure(
        `The cautions could not be worked out (${event.message || 'the worker did not start'}). The deck is as it was; reload the page.`
      )
    void ask<'matrix'>({ ask: 'load', cards: deck.cards, school: deck.school }).then((answer) => {
      setMatrix(answer)
      setProgress(null)
    })
    return () => {
      worker.current = null
      asked.clear()
      made.terminate()
    }
  }, [deck, ask])
  return { deck, matrix, progress, failure, ask, reload }
}
