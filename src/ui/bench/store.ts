'use client'

import { temporal, type TemporalState } from 'zundo'
import { createContext, useContext, useMemo } from 'react'
import { createStore, type StoreApi, useStore } from 'zustand'
import { type Card, withValue } from '@/core/card'

export interface BenchState {
  card: Card
  /**
   * Changes the card.
   * @param burst changes with the same name that follow within a second undo as one
   */
  edit: (change: (card: Card) => Card, burst?: string) => void
  /** Sets the value at a path; typing in one field undoes as one. */
  set: (path: string, value: unknown) => void
  /** Takes another text in place of the card, as one step that can be undone. */
  replace: (card: Card) => void
}

export type BenchStore = StoreApi<BenchState> & {
  temporal: StoreApi<TemporalState<Pick<BenchState, 'card'>>>
}

const BURST_MS = 1000

/** The card on the bench, with everything that was done to it. */
export function createBench(card: Card): BenchStore {
  let burst: string | undefined
  let last: { name: string | undefined; at: number } = { name: undefined, at: 0 }
  return createStore<BenchState>()(
    temporal(
      (set, get) => ({
        card,
        edit: (change, name) => {
          burst = name
          const next = change(get().card)
          if (next !== get().card) set({ card: next })
        },
        set: (path, value) => get().edit((now) => withValue(now, path, value), path),
        replace: (next) => get().edit(() => next),
      }),
      {
        partialize: ({ card: kept }) => ({ card: kept }),
        equality: (a, b) => a.card === b.card,
        limit: 300,
        handleSet: (record) => (state) => {
          const now = Date.now()
          const goesOn = burst !== undefined && burst === last.name && now - last.at < BURST_MS
          last = { name: burst, at: now }
          if (!goesOn) record(state)
        },
      }
    )
  ) as unknown as BenchStore
}

export const BenchContext = createContext<BenchStore | null>(null)

export function useBenchStore(): BenchStore {
  const store = useContext(BenchContext)
  if (!store) throw new Error('no bench above')
  return store
}

/** A part of the bench's state; the component draws anew when it changes. */
export function useBench<T>(pick: (state: BenchState) => T): T {
  return useStore(useBenchStore(), pick)
}

/** Gives what it gave before as long as the data are the same. */
function keeping<T>(work: (card: Card) => T): (state: BenchState) => T {
  let before: { told: string; value: T } | null = null
  return ({ card }) => {
    const value = work(card)
    const told = JSON.stringify(value) ?? ''
    if (before?.told !== told) before = { told, value }
    return before.value
  }
}

/**
 * What is worked out from the card; the component draws anew when its data are others.
 * @param work gives plain data; keep it, it is run at each change
 */
export const useDerived = <T>(work: (card: Card) => T): T =>
  useBench(useMemo(() => keeping(work), [work]))

export function useHistory<T>(pick: (state: TemporalState<Pick<BenchState, 'card'>>) => T): T {
  return useStore(useBenchStore().temporal, pick)
}
