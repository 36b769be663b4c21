'use client'

import { temporal, type TemporalState } from 'zundo'
import { createContext, useContext, useMemo } from 'react'
import { createStore, type StoreApi, useStore } from 'zustand'
import { type Card, withValue } from '@/core/card'

/** The fields of a card that are not as they were. */
export function changedFields(before: Card | null, now: Card): Partial<Card> {
  const all = new Set([...Object.keys(before ?? {}), ...Object.keys(now)]) as Set<keyof Card>
  return Object.fromEntries(
    [...all].filter((key) => before?.[key] !== now[key]).map((key) => [key, now[key]])
  )
}

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
  /** The card as it was at the last pause in typing: what is worked out from it follows that. */
  quiet: StoreApi<Pick<BenchState, 'card'>>
}

const BURST_MS = 1000
/** Without a key for so long, typing has paused. */
export const PAUSE_MS = 220

/** Follows a bench from one pause to the next. */
function quietOf(bench: StoreApi<BenchState>): BenchStore['quiet'] {
  const quiet = createStore<Pick<BenchState, 'card'>>(() => ({ card: bench.getState().card }))
  let timer: ReturnType<typeof setTimeout> | undefined
  bench.subscribe(({ card }, before) => {
    if (card === before.card) return
    clearTimeout(timer)
    timer = setTimeout(() => quiet.setState({ card }), PAUSE_MS)
  })
  return quiet
}

/** The card on the bench, with everything that was done to it. */
export function createBench(card: Card): BenchStore {
  let burst: string | undefined
  let last: { name: string | undefined; at: number } = { name: undefined, at: 0 }
  const bench = createStore<BenchState>()(
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
  return Object.assign(bench, { quiet: quietOf(bench) })
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
function keeping<T>(work: (card: Card) => T): (state: Pick<BenchState, 'card'>) => T {
  let before: { told: string; value: T } | null = null
  return ({ card }) => {
    const value = work(card)
    const told = JSON.stringify(value) ?? ''
    if (before?.told !== told) before = { told, value }
    return before.value
  }
}

/**
 * What is worked out from the card at each pause in typing; the component draws anew when its
 * data are others.
 * @param work gives plain data; keep it, it is run at each pause
 */
export const useDerived = <T>(work: (card: Card) => T): T =>
  useStore(
    useBenchStore().quiet,
    useMemo(() => keeping(work), [work])
  )

export function useHistory<T>(pick: (state: TemporalState<Pick<BenchState, 'card'>>) => T): T {
  return useStore(useBenchStore().temporal, pick)
}
