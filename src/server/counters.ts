import type { Knex } from 'knex'
import { loopsOf } from '@/core/deck'
import { SAY } from '@/core/language'

/** Savers of counter poses come one after the other, so that each sees what the one before saved. */
const LOCK = 7_203_411

/**
 * Waits until no other save that changes counter poses is under way, to the end of the
 * transaction.
 */
export const inTurn = (trx: Knex.Transaction) => trx.raw('SELECT pg_advisory_xact_lock(?)', [LOCK])

/**
 * The longer circles of counter poses that cards stand in, as the transaction sees the deck. Two
 * cards that counter each other are no circle.
 * @returns each circle once, in words
 */
export async function countersInCircle(
  ids: readonly string[],
  trx: Knex | Knex.Transaction
): Promise<string[]> {
  const { rows } = await trx.raw<{ rows: { id: string; counter: string[] }[] }>(
    `SELECT id, counter FROM cards WHERE deleted_at IS NULL AND counter <> '{}'`
  )
  const loops = loopsOf(new Map(rows.map((row) => [row.id, row.counter])))
  const told = new Map<string, string>()
  for (const id of ids) {
    const loop = loops.get(id)
    if (loop) told.set([...loop].sort().join(' '), SAY.deck.circle([...loop, loop[0]!]))
  }
  return [...told.values()]
}
