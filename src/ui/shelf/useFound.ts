'use client'

import { useEffect, useMemo, useState } from 'react'
import { api } from '../shared/api'
import { fold, matchesName } from './search'
import type { ShelfCard } from '@/core/deck'

const PAUSE_MS = 120

/**
 * The cards that a search finds: at once those whose names hold the words, then, from the
 * server, those that are spelt otherwise or with a wrong letter.
 */
export function useFound(cards: ShelfCard[], search: string): ShelfCard[] {
  const words = fold(search)
  const [answer, setAnswer] = useState<{ words: string; ids: Set<string> } | null>(null)
  useEffect(() => {
    if (!words) return
    const stop = new AbortController()
    const timer = setTimeout(() => {
      api<{ ids: string[] }>(`/api/search?q=${encodeURIComponent(words)}`, { signal: stop.signal })
        .then(({ ids }) => setAnswer({ words, ids: new Set(ids) }))
        .catch(() => undefined)
    }, PAUSE_MS)
    return () => {
      clearTimeout(timer)
      stop.abort()
    }
  }, [words])
  return useMemo(() => {
    if (!words) return cards
    const ids = answer?.words === words ? answer.ids : undefined
    return cards.filter((card) => matchesName(card, words) || ids?.has(card.id))
  }, [cards, words, answer])
}
