import { createStore, type StoreApi } from 'zustand'
import type { Card } from '@/core/card'
import { api, ApiError } from '../shared/api'
import { dropDraft, keepDraft, keepTail } from './draft'
import { type BenchStore, changedFields, PAUSE_MS } from './store'

/** The card as the server has it. */
export interface ServerCard {
  card: Card
  version: number
  author: string
  savedAt: string
}

export type SaveState =
  | { state: 'saved'; at: string | null; notes?: string[] }
  | { state: 'unsaved' }
  | { state: 'saving' }
  | { state: 'waiting'; message: string; kept: boolean }
  | { state: 'refused'; message: string }
  | { state: 'stale'; current: ServerCard }

export interface Saver {
  status: StoreApi<{ save: SaveState; version: number }>
  /** Saves what is not saved, at once. */
  flush: () => Promise<void>
  /** Keeps what is not saved in this browser, at once: the page may be gone in a moment. */
  keep: () => void
  /** Goes on from another version of the card, after a stale save was settled. */
  startFrom: (version: number) => void
  stop: () => void
}

const IDLE_MS = 700
/** While typing goes on, what was typed is kept so often; a page that is left keeps it at once. */
const TAIL_MS = 400
const RETRY_MS = [1000, 2000, 4000, 8000]
const MOST_LOST = 50

const freshKey = () => `${Date.now().toString(36)}-${Math.random().toString(36).slice(2)}`

/** Saves the card on the bench a moment after each change, and goes on trying when it cannot. */
export function createSaver(bench: BenchStore, version: number, author: () => string): Saver {
  const status = createStore(() => ({ save: { state: 'saved', at: null } as SaveState, version }))
  let saved = bench.getState().card
  let timer: ReturnType<typeof setTimeout> | undefined
  let tries = 0
  let running: Promise<void> | null = null
  /** The save that is tried, and keys of those whose answers were lost: they may have been done. */
  let tried: { card: Card; key: string } | null = null
  let lost: string[] = []

  const show = (save: SaveState) => status.setState({ save })
  /** The card of the whole draft in this browser, while there is one. */
  let whole: Card | null = null
  let pause: ReturnType<typeof setTimeout> | undefined
  let tailAt = 0
  const keep = (): boolean => {
    clearTimeout(pause)
    const { card } = bench.getState()
    const at = new Date().toISOString()
    const kept = keepDraft(card.id, { card, from: status.getState().version, at })
    whole = kept ? card : null
    return kept
  }
  const later = (ms: number) => {
    clearTimeout(timer)
    timer = setTimeout(() => void flush(), ms)
  }

  async function send(): Promise<void> {
    const card = bench.getState().card
    show({ state: 'saving' })
    if (tried?.card !== card) tried = { card, key: freshKey() }
    const { key } = tried
    try {
      const result = await api<{ version: number; savedAt: string; notes?: string[] }>(
        `/api/cards/${card.id}`,
        {
          method: 'PUT',
          json: { card, from: status.getState().version, author: author(), key, lost },
        }
      )
      tries = 0
      lost = []
      saved = card
      status.setState({ version: result.version })
      if (bench.getState().card === card) {
        clearTimeout(pause)
        dropDraft(card.id)
        whole = null
        show({
          state: 'saved',
          at: result.savedAt,
          ...(result.notes ? { notes: result.notes } : {}),
        })
      } else {
        keep()
        show({ state: 'unsaved' })
        later(IDLE_MS)
      }
    } catch (error) {
      if (!(error instanceof ApiError) || error.status === 0 || error.status >= 500)
        lost = [...lost.filter((each) => each !== key), key].slice(-MOST_LOST)
      failed(error)
    }
  }

  function failed(error: unknown): void {
    const kept = keep()
    const message = error instanceof Error ? error.message : String(error)
    if (error instanceof ApiError && error.status === 409)
      return show({ state: 'stale', current: error.body.current as ServerCard })
    if (error instanceof ApiError && error.status >= 400 && error.status < 500)
      return show({ state: 'refused', message })
    show({ state: 'waiting', message, kept })
    later(RETRY_MS[Math.min(tries, RETRY_MS.length - 1)]!)
    tries += 1
  }

  async function flush(): Promise<void> {
    clearTimeout(timer)
    if (running) return running
    if (bench.getState().card === saved || status.getState().save.state === 'stale') return
    running = send().finally(() => {
      running = null
    })
    return running
  }

  const keepSoon = (card: Card) => {
    clearTimeout(pause)
    if (whole === null) return keep()
    pause = setTimeout(keep, PAUSE_MS)
    if (Date.now() - tailAt < TAIL_MS) return
    tailAt = Date.now()
    keepTail(card.id, changedFields(whole, card))
  }
  const unsubscribe = bench.subscribe((now, before) => {
    if (now.card === before.card) return
    keepSoon(now.card)
    const { save } = status.getState()
    if (save.state === 'stale') return
    if (save.state === 'saved' || save.state === 'refused') show({ state: 'unsaved' })
    if (save.state !== 'waiting') later(IDLE_MS)
  })

  return {
    status,
    flush,
    keep() {
      if (bench.getState().card !== saved) keep()
    },
    startFrom(next) {
      status.setState({ version: next, save: { state: 'unsaved' } })
      keep()
      later(0)
    },
    stop() {
      clearTimeout(timer)
      clearTimeout(pause)
      unsubscribe()
    },
  }
}
