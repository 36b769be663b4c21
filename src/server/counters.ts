import type { Card } from '@/core/card'
import { loopsOf } from '@/core/deck'
import { db } from './db'

/**
 * The chain of counter poses that leads from a card back to it, were it saved like this.
 * @returns the ids, the first one again at the end; null when there is none
 */
export async function counterLoop(card: Card): Promise<string[] | null> {
  if (card.counter.length === 0) return null
  const { rows } = await db().raw<{ rows: { id: string; counter: string[] }[] }>(
    `SELECT c.id, v.body->'counter' AS counter FROM cards c
     JOIN card_versions v ON v.card_id = c.id AND v.version = c.current_version
     WHERE c.deleted_at IS NULL AND jsonb_array_length(v.body->'counter') > 0`
  )
  const counters = new Map(rows.map((row) => [row.id, row.counter]))
  counters.set(card.id, card.counter)
  const loop = loopsOf(counters).get(card.id)
  return loop ? [...loop, card.id] : null
}
