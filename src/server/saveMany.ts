import type { Card } from '@/core/card'
import { saveCard } from './cards'
import { inTurn } from './counters'
import { db } from './db'

/**
 * Saves several cards as new versions, all of them or none.
 * @param from the versions that the texts started from
 * @returns ids of the cards that someone saved meanwhile; empty when all were saved
 */
export async function saveMany(
  cards: readonly { card: Card; from: number }[],
  author: string,
  note: string
): Promise<string[]> {
  const stale: string[] = []
  await db()
    .transaction(async (trx) => {
      // Always in one order: two at once would else wait for each other.
      const ordered = [...cards].sort((a, b) => (a.card.id < b.card.id ? -1 : 1))
      await inTurn(trx)
      for (const { card, from } of ordered) {
        const result = await saveCard(card, from, author, note, trx)
        if (result.outcome !== 'saved') stale.push(card.id)
      }
      if (stale.length > 0) throw new NotAll()
    })
    .catch((error: unknown) => {
      if (!(error instanceof NotAll)) throw error
    })
  return stale
}

/** Takes the transaction back. */
class NotAll extends Error {}
