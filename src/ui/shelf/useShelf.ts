'use client'

import { useCallback, useEffect, useState } from 'react'
import type { ShelfCard } from '@/core/deck'
import { api } from '../shared/api'

export type ShelfState =
  | { state: 'loading' }
  | { state: 'failed'; message: string }
  | { state: 'ready'; cards: ShelfCard[] }

/** The shelf's cards, read once and again on request. */
export function useShelf(): [ShelfState, () => void] {
  const [shelf, setShelf] = useState<ShelfState>({ state: 'loading' })
  const read = useCallback(() => {
    api<{ cards: ShelfCard[] }>('/api/shelf')
      .then(({ cards }) => setShelf({ state: 'ready', cards }))
      .catch((error: Error) => setShelf({ state: 'failed', message: error.message }))
  }, [])
  useEffect(read, [read])
  return [shelf, read]
}
