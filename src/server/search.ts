import { Card } from '@/core/card'
import { plainName, searchKey } from '@/core/search'
import { shelfColumns } from './cards'
import { db } from './db'

/**
 * Finds cards by name: whatever the marks, capitals and spelling of the Sanskrit, and with a
 * wrong letter.
 * @returns ids, the best first
 */
export async function searchCards(words: string): Promise<string[]> {
  const key = searchKey(words.slice(0, 200))
  if (!key) return []
  const { rows } = await db().raw<{ rows: { id: string }[] }>(
    `SELECT id FROM cards
     WHERE deleted_at IS NULL AND (search LIKE ? OR search %> unaccent(?))
     ORDER BY search LIKE ? DESC, word_similarity(?, search) DESC, title LIMIT 200`,
    [`%${key}%`, key, `%${key}%`, key]
  )
  if (rows.length > 0) return rows.map((row) => row.id)
  const near = await db().raw<{ rows: { id: string }[] }>(
    `SELECT id FROM cards
     WHERE deleted_at IS NULL AND EXISTS (
       SELECT 1 FROM regexp_split_to_table(search, ' ') AS word
       WHERE levenshtein_less_equal(left(word, 200), ?, 1) <= 1
     ) ORDER BY title LIMIT 200`,
    [plainName(words.slice(0, 200))]
  )
  return near.rows.map((row) => row.id)
}

/** Writes the shelf columns of cards that were stored before these were there. */
export async function reindex(): Promise<number> {
  const { rows } = await db().raw<{ rows: { id: string; body: unknown }[] }>(
    `SELECT c.id, v.body FROM cards c JOIN card_versions v
     ON v.card_id = c.id AND v.version = c.current_version WHERE c.search IS NULL`
  )
  for (const { id, body } of rows)
    await db()('cards')
      .where({ id })
      .update(shelfColumns(Card.parse(body)))
  return rows.length
}
