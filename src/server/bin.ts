import { db } from './db'

/** A card in the bin. */
export interface BinnedCard {
  id: string
  title: string
  deletedAt: string
}

const TOUCH = `UPDATE deck SET revision = revision + 1 WHERE EXISTS (SELECT 1 FROM card)`

/** Puts a card into the bin. @returns false when there is no such card */
export async function binCard(id: string): Promise<boolean> {
  const { rows } = await db().raw<{ rows: unknown[] }>(
    `WITH card AS (
       UPDATE cards SET deleted_at = now() WHERE id = ? AND deleted_at IS NULL RETURNING id
     ), touched AS (${TOUCH}) SELECT id FROM card`,
    [id]
  )
  return rows.length > 0
}

/** Takes a card out of the bin. @returns false when it is not there */
export async function unbinCard(id: string): Promise<boolean> {
  const { rows } = await db().raw<{ rows: unknown[] }>(
    `WITH card AS (
       UPDATE cards SET deleted_at = NULL WHERE id = ? AND deleted_at IS NOT NULL RETURNING id
     ), touched AS (${TOUCH}) SELECT id FROM card`,
    [id]
  )
  return rows.length > 0
}

/** What is in the bin, the last one first. */
export async function binnedCards(): Promise<BinnedCard[]> {
  const rows = await db()('cards')
    .whereNotNull('deleted_at')
    .orderBy('deleted_at', 'desc')
    .select('id', 'title', 'deleted_at')
  return rows.map((row: { id: string; title: string; deleted_at: Date }) => ({
    id: row.id,
    title: row.title,
    deletedAt: row.deleted_at.toISOString(),
  }))
}

/** Empties the bin for good, versions and all. @returns how many cards are gone */
export async function emptyBin(): Promise<number> {
  return db()('cards').whereNotNull('deleted_at').delete()
}
