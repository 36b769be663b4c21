import type { Card } from '@/core/card'
import { saveCard, type SaveResult } from './cards'
import { countersInCircle, inTurn } from './counters'
import { db } from './db'

/** Whether a card is stored with other counter poses than these. */
async function changesCounters({ id, counter }: Card): Promise<boolean> {
  const stored = await db()('cards').where({ id }).first('counter')
  return JSON.stringify(stored?.counter ?? []) !== JSON.stringify(counter)
}

export interface Save {
  card: Card
  /** The version that the text started from. */
  from: number
  author: string
  note: string
  /** Made for this save alone; see `saveCard`. */
  key?: string
  /** Keys of earlier saves from the same page whose answers were lost: what they saved is no conflict. */
  lost?: readonly string[]
}

/**
 * Saves a card as the bench asks for it.
 * @returns the outcome, with what is told of the saved card
 */
export async function saveOne(save: Save): Promise<SaveResult & { notes?: string[] }> {
  const result = await saveOnce(save)
  if (result.outcome !== 'stale' || !save.lost?.length) return result
  const { version } = result.current
  const own = await db()('card_versions')
    .where({ card_id: save.card.id, version })
    .whereIn('save_key', [...save.lost])
    .first('version')
  return own ? saveOnce({ ...save, from: version }) : result
}

async function saveOnce({ card, from, author, note, key }: Save) {
  if (card.counter.length === 0 || !(await changesCounters(card)))
    return saveCard(card, from, author, note, db(), key)
  return db().transaction(async (trx) => {
    await inTurn(trx)
    const result = await saveCard(card, from, author, note, trx, key)
    if (result.outcome !== 'saved') return result
    return { ...result, notes: await countersInCircle([card.id], trx) }
  })
}
