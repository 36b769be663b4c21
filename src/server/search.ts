import { plainName, searchKey } from '@/core/search'
import { shelfColumns } from './cards'
import { db } from './db'
import { storedBody } from './storedBody'

/**
 * The words of the deck that one word may mean: its letters stand in them, or they are alike
 * enough (pg_trgm, by its own threshold); if there is none, words with one letter wrong, one too
 * many or one missing. Takes four values: see `wantedValues`.
 */
const WORDS_MEANT = `COALESCE(
  (SELECT array_agg(word) FROM search_words
   WHERE word LIKE ? OR word LIKE ? OR word % unaccent(?)),
  (SELECT array_agg(word) FROM search_words WHERE levenshtein_less_equal(word, ?, 1) <= 1),
  '{}')`

function wantedValues(plain: string): string[] {
  const key = searchKey(plain)
  return [`%${key}%`, `%${plain}%`, key, plain]
}

/**
 * Finds cards by name: whatever the marks, capitals and spelling of the Sanskrit, and with a
 * wrong letter. Each word that is searched for must be alike to a word of the card's names.
 * @returns ids, the best first
 */
export async function searchCards(text: string): Promise<string[]> {
  const wanted = plainName(text.slice(0, 200)).split(' ').filter(Boolean).slice(0, 8)
  if (wanted.length === 0) return []
  const { rows } = await db()
    .raw<{ rows: { id: string }[] }>(
      `SELECT id FROM cards
       WHERE deleted_at IS NULL AND ${wanted.map(() => `words && ${WORDS_MEANT}`).join(' AND ')}
       ORDER BY words @> ?::text[] DESC, title LIMIT 200`,
      [...wanted.flatMap(wantedValues), wanted.map(searchKey)]
    )
    // A named statement is planned once on a connection; planning is most of a search.
    .options({ name: `search-${wanted.length}` })
  return rows.map((row) => row.id)
}

/** Writes the shelf columns of cards that were stored before these were there. */
export async function reindex(): Promise<number> {
  const { rows } = await db().raw<{ rows: { id: string; body: unknown; format: number }[] }>(
    `SELECT c.id, v.body, v.format FROM cards c JOIN card_versions v
     ON v.card_id = c.id AND v.version = c.current_version WHERE c.words IS NULL`
  )
  for (const { id, ...body } of rows) {
    const columns = shelfColumns(storedBody(body))
    await db()('cards').where({ id }).update(columns)
    await db().raw('INSERT INTO search_words SELECT unnest(?::text[]) ON CONFLICT DO NOTHING', [
      columns.words,
    ])
  }
  return rows.length
}
