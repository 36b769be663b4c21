import { type Card, FORMAT_VERSION, upgraded } from '@/core/card'

/** What was typed and is not yet saved, kept in this browser. */
export interface Draft {
  card: Card
  /** The version that the text started from. */
  from: number
  at: string
}

const key = (id: string) => `notula:draft:${id}`

export function readDraft(id: string): Draft | null {
  try {
    const kept = localStorage.getItem(key(id))
    if (!kept) return null
    const { format = 1, ...draft } = JSON.parse(kept) as Draft & { format?: number }
    return { ...draft, card: upgraded(draft.card, format) as Card }
  } catch {
    return null
  }
}

/** @returns false when the browser has no room or keeps nothing */
export function keepDraft(id: string, draft: Draft): boolean {
  try {
    localStorage.setItem(key(id), JSON.stringify({ format: FORMAT_VERSION, ...draft }))
    return true
  } catch {
    return false
  }
}

export function dropDraft(id: string): void {
  try {
    localStorage.removeItem(key(id))
  } catch {
    // The browser keeps nothing; there is nothing to drop.
  }
}
