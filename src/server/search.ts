import { Card } from '@/core/card'
import { plainName, searchKey } from '@/core/search'
import { shelfColumns } from './cards'
import { db } from './db'

/** Conditions on one word of the names, each with its value; one of them must hold. */
type Alike = (plain: string, key: string) => [condition: string, value: string][]

/** The letters stand in it, or it is alike enough (pg_trgm, by its own threshold). */
const alike: Alike = (plain, key) => [
  ['word LIKE ?', `%${key}%`],
  ['word LIKE ?', `%${plain}%`],
  ['word % (SELECT unaccent(?))', key],
]

/** One letter is wrong, one too many or one missing. */
const oneLetterOff: Alike = (plain) => [['levenshtein_less_equal(word, ?, 1) <= 1', plain]]

/**
 * Finds cards by name: whatever the marks, capitals and spelling of the Sanskrit, and with a
 * wrong letter. Each word that is searched for must be alike to a word of the card's names.
 * @returns ids, the best first
 */
export async function searchCards(text: string): Promise<string[]> {
  const wanted = plainName(text.slice(0, 200)).split(' ').filter(Boolean).slice(0, 8)
  if (wanted.length === 0) return []
  const found = await idsOf(wanted, alike)
  return found.length > 0 ? found : idsOf(wanted, oneLetterOff)
}

async function idsOf(wanted: string[], test: Alike): Promise<string[]> {
  const tests = wanted.map((plain) => test(plain, searchKey(plain)))
  // A union, not an OR: each part of it can go by the index.
  const known = tests
    .map((conditions, i) => {
      const words = conditions.map(
        ([condition]) => `SELECT word FROM search_words WHERE ${condition}`
      )
      return `w${i} AS (SELECT array_agg(word) AS words FROM (${words.join(' UNION ')}) AS alike)`
    })
    .join(', ')
  const { rows } = await db().raw<{ rows: { id: string }[] }>(
    `WITH ${known} SELECT id FROM cards
     WHERE deleted_at IS NULL AND ${tests.map((_, i) => `words && (SELECT words FROM w${i})`).join(' AND ')}
     ORDER BY words @> ?::text[] DESC, title LIMIT 200`,
    [...tests.flat().map(([, value]) => value), wanted.map(searchKey)]
  )
  return rows.map((row) => row.id)
}

/** Writes the shelf columns of cards that were stored before these were there. */
export async function reindex(): Promise<number> {
  const { rows } = await db().raw<{ rows: { id: string; body: unknown }[] }>(
    `SELECT c.id, v.body FROM cards c JOIN card_versions v
     ON v.card_id = c.id AND v.version = c.current_version WHERE c.words IS NULL`
  )
  for (const { id, body } of rows) {
    const columns = shelfColumns(Card.parse(body))
    await db()('cards').where({ id }).update(columns)
    await db().raw('INSERT INTO search_words SELECT unnest(?::text[]) ON CONFLICT DO NOTHING', [
      columns.words,
    ])
  }
  return rows.length
}
