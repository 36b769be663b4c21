'use client'

import { useCallback, useEffect, useState } from 'react'
import type { Base, Card, Manner, Spine } from '@/core/card'
import { api } from '../shared/api'

/** One card as the shelf shows it. */
export interface ShelfCard {
  id: string
  number: string
  title: string
  sanskrit: string
  aliases: string
  base: Base
  spine: Spine
  manner: Manner
  sides: Card['sides']
  status: 'draft' | 'review' | 'approved'
  sections: number
  drawn: boolean
  version: number
}

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
