import type { Card } from '@/core/card'

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
    return kept ? (JSON.parse(kept) as Draft) : null
  } catch {
    return null
  }
}

/** @returns false when the browser has no room or keeps nothing */
export function keepDraft(id: string, draft: Draft): boolean {
  try {
    localStorage.setItem(key(id), JSON.stringify(draft))
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
