import { type Card, FORMAT_VERSION, upgraded } from '@/core/card'

/** What was typed and is not yet saved, kept in this browser. */
export interface Draft {
  card: Card
  /** The version that the text started from. */
  from: number
  at: string
}

const key = (id: string) => `notula:draft:${id}`

/** The fields that changed since the whole was kept: letters are kept at once, a card at a pause. */
const tail = (id: string) => `notula:draft-tail:${id}`

export function readDraft(id: string): Draft | null {
  try {
    const kept = localStorage.getItem(key(id))
    if (!kept) return null
    const { format = 1, ...draft } = JSON.parse(kept) as Draft & { format?: number }
    const since = JSON.parse(localStorage.getItem(tail(id)) ?? '{}') as object
    const card = { ...(upgraded(draft.card, format) as Card), ...since }
    const there = Object.entries(card).filter(([, value]) => value !== null)
    return { ...draft, card: Object.fromEntries(there) as Card }
  } catch {
    return null
  }
}

/** @returns false when the browser has no room or keeps nothing */
export function keepDraft(id: string, draft: Draft): boolean {
  try {
    localStorage.setItem(key(id), JSON.stringify({ format: FORMAT_VERSION, ...draft }))
    localStorage.removeItem(tail(id))
    return true
  } catch {
    return false
  }
}

/** Keeps what changed since a whole draft was kept. */
export function keepTail(id: string, changed: Partial<Card>): void {
  try {
    // A field that was taken away is kept as null.
    localStorage.setItem(
      tail(id),
      JSON.stringify(changed, (_, value: unknown) => (value === undefined ? null : value))
    )
  } catch {
    // No room: the whole is kept at the next pause, or it is told that it cannot be.
  }
}

export function dropDraft(id: string): void {
  try {
    localStorage.removeItem(key(id))
    localStorage.removeItem(tail(id))
  } catch {
    // The browser keeps nothing; there is nothing to drop.
  }
}
