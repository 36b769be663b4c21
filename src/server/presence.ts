import { db } from './db'

/**
 * Who has a card on the bench: told by each tab every few seconds, forgotten soon after. It
 * stands in the database, so that several servers of one deck know the same.
 */

/** Seconds without a word after which a tab is gone. */
export const FORGOTTEN_S = 15
/** Tabs that are kept of one card; more are not told of. */
const MOST_TABS = 40

/**
 * Notes that a tab has a card open; of a card that there is not, nothing is kept.
 * @param tab an id of the tab
 * @returns the names of the others who have it open
 */
export async function noteTab(card: string, tab: string, who: string): Promise<string[]> {
  const { rows } = await db().raw<{ rows: { tab: string; who: string }[] }>(
    `WITH gone AS (
       DELETE FROM presence WHERE seen_at < now() - interval '${FORGOTTEN_S} seconds'
         AND (card_id, tab) <> (?, ?)
     ), here AS (
       INSERT INTO presence (card_id, tab, who)
       SELECT id, ?, ? FROM cards WHERE id = ? AND deleted_at IS NULL
         AND (SELECT count(*) FROM presence WHERE card_id = ?) < ${MOST_TABS}
       ON CONFLICT (card_id, tab) DO UPDATE SET seen_at = now(), who = EXCLUDED.who
     )
     SELECT tab, who FROM presence WHERE card_id = ? AND tab <> ?
       AND seen_at >= now() - interval '${FORGOTTEN_S} seconds' ORDER BY who, tab`,
    [card, tab, tab, who, card, card, card, tab]
  )
  return rows.map((row) => row.who)
}

/** Notes that a tab has closed a card. */
export async function forgetTab(card: string, tab: string): Promise<void> {
  await db()('presence').where({ card_id: card, tab }).delete()
}
