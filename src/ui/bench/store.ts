'use client'

import { temporal, type TemporalState } from 'zundo'
import { createContext, useContext, useMemo } from 'react'
import { createStore, type StoreApi, useStore } from 'zustand'
import { type Card, valueAt, withValue } from '@/core/card'
import { whenLetGo } from '../shared/letGo'

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

type Drawn = Pick<BenchState, 'card'>

/** @param goesOn more letters may come: what is seen beside may wait for the next */
type Hear = (text: string, goesOn: boolean) => void

export type BenchStore = StoreApi<BenchState> & {
  temporal: StoreApi<TemporalState<Drawn>>
  /** The card as the page draws it: at once, but a line that is typed at the next pause. */
  drawn: StoreApi<Drawn>
  /** The card as it was at the last pause in typing: what is worked out from it follows that. */
  quiet: StoreApi<Drawn>
  /** Writes a line as it is typed. Its own fields hear each letter, the page follows the pause. */
  type: (path: string, text: string) => void
  /**
   * Hears each letter typed into the line at a path, and the line once more when it is to be shown
   * as it stands: at the pause, or as an undo left it.
   * @returns how to stop
   */
  onTyped: (path: string, hear: Hear) => () => void
}

const BURST_MS = 1000
/** Without a key for so long, typing has paused. */
export const PAUSE_MS = 220

/** What follows a bench, and lines as they are typed, heard by their own fields at once. */
function followers(
  bench: StoreApi<BenchState>
): Omit<BenchStore, keyof StoreApi<BenchState> | 'temporal'> {
  const start = { card: bench.getState().card }
  const drawn = createStore<Drawn>(() => start)
  const quiet = createStore<Drawn>(() => start)
  const ears = new Map<string, Set<Hear>>()
  let timer: ReturnType<typeof setTimeout> | undefined
  let typing = false
  /** Lines that were typed and are not drawn yet. */
  const typed = new Set<string>()
  const say = (path: string, text: unknown, goesOn: boolean) =>
    ears.get(path)?.forEach((hear) => hear(text as string, goesOn))
  /** All that was typed as it stands in a card. */
  const settle = (card: Card) => {
    for (const path of typed) say(path, valueAt(card, path) ?? '', false)
    typed.clear()
  }
  bench.subscribe(({ card }, before) => {
    if (card === before.card) return
    clearTimeout(timer)
    if (!typing) {
      // An undo of what was typed just now brings back the line as it is drawn: its fields would
      // not hear of it.
      settle(card)
      drawn.setState({ card })
    }
    const pause = () => {
      if (bench.getState().card !== card) return
      settle(card)
      drawn.setState({ card })
      quiet.setState({ card })
    }
    timer = setTimeout(() => whenLetGo(pause), PAUSE_MS)
  })
  return {
    drawn,
    quiet,
    type(path, text) {
      typing = true
      try {
        bench.getState().set(path, text)
      } finally {
        typing = false
      }
      typed.add(path)
      say(path, text, true)
    },
    onTyped(path, hear) {
      const here = ears.get(path) ?? new Set()
      ears.set(path, here.add(hear))
      return () => void here.delete(hear)
    },
  }
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
  return Object.assign(bench, followers(bench))
}

export const BenchContext = createContext<BenchStore | null>(null)

export function useBenchStore(): BenchStore {
  const store = useContext(BenchContext)
  if (!store) throw new Error('no bench above')
  return store
}

/** A part of the card; the component draws anew when it changes. */
export function useBench<T>(pick: (state: Drawn) => T): T {
  return useStore(useBenchStore().drawn, pick)
}

/** Gives what it gave before as long as the data are the same. */
function keeping<T>(work: (card: Card) => T): (state: Drawn) => T {
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

export function useHistory<T>(pick: (state: TemporalState<Drawn>) => T): T {
  return useStore(useBenchStore().temporal, pick)
}
