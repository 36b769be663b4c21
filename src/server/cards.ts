import { createHash } from 'node:crypto'
import type { Knex } from 'knex'
import { type Card, completeness, FORMAT_VERSION, isDrawn, titleOf } from '@/core/card'
import { remember } from '@/core/language'
import type { Status } from '@/core/deck'
import { plainName, searchKey } from '@/core/search'
import { db } from './db'
import { readable, storedBody, type StoredText } from './storedBody'

/** A card as it is stored, with the version that its body is. */
export interface StoredCard {
  card: Card
  version: number
  status: Status
  author: string
  savedAt: string
}

export type SaveResult =
  | { outcome: 'saved'; version: number; savedAt: string }
  | { outcome: 'stale'; current: StoredCard }
  | { outcome: 'missing' }

/** The words of names, as they are written and with their spelling levelled: most saves leave them. */
const wordsOf = remember((names): readonly string[] => {
  const words = `${searchKey(names)} ${plainName(names)}`.split(' ').filter(Boolean)
  return [...new Set(words.map((word) => word.slice(0, 100)))]
})

const searchedWords = ({ number, names }: Card): string[] => [
  ...wordsOf([number, names.sanskrit, ...names.common, ...names.aliases].join(' ')),
]

/**
 * What the shelf shows and searches of a card, and what its picture is addressed by. Written anew
 * at each save.
 */
export function shelfColumns(card: Card, text = JSON.stringify(card)) {
  return {
    number: card.number,
    title: titleOf(card),
    sanskrit: card.names.sanskrit,
    aliases: [...card.names.common.slice(1), ...card.names.aliases].join(' · '),
    base: card.base,
    spine: card.spine,
    manner: card.manner,
    sides: card.sides,
    drawn: isDrawn(card),
    counter: card.counter,
    words: searchedWords(card),
    picture: createHash('sha256').update(text).digest('hex').slice(0, 16),
    unwritten: completeness(card)
      .filter((section) => !section.complete)
      .map(({ id }) => id),
  }
}

const CURRENT = `
  SELECT c.id, c.status, c.current_version, v.body, v.format, v.author, v.created_at
  FROM cards c JOIN card_versions v ON v.card_id = c.id AND v.version = c.current_version
  WHERE c.deleted_at IS NULL`

interface CurrentRow {
  id: string
  status: Status
  current_version: number
  body: unknown
  format: number
  author: string
  created_at: Date
}

const stored = (row: CurrentRow): StoredCard => ({
  card: storedBody(row),
  version: row.current_version,
  status: row.status,
  author: row.author,
  savedAt: row.created_at.toISOString(),
})

/** @returns the card with its current version, or null when there is none */
export async function loadCard(
  id: string,
  on: Knex | Knex.Transaction = db()
): Promise<StoredCard | null> {
  const { rows } = await on.raw<{ rows: CurrentRow[] }>(`${CURRENT} AND c.id = ?`, [id])
  return rows[0] ? stored(rows[0]) : null
}

/** A card with what its picture is addressed by, both of one moment; null when there is none. */
export async function cardWithPicture(id: string): Promise<{ card: Card; picture: string } | null> {
  const { rows } = await db().raw<{ rows: (StoredText & { picture: string })[] }>(
    `SELECT v.body, v.format, c.picture FROM cards c
     JOIN card_versions v ON v.card_id = c.id AND v.version = c.current_version
     WHERE c.deleted_at IS NULL AND c.id = ?`,
    [id]
  )
  return rows[0] ? { card: storedBody(rows[0]), picture: rows[0].picture } : null
}

/** All cards, in the order of the shelf. */
export async function loadDeck(): Promise<StoredCard[]> {
  const { rows } = await db().raw<{ rows: CurrentRow[] }>(
    `${CURRENT} ORDER BY c.base, c.number, c.title, c.id`
  )
  return readable(rows).cards.map(({ row }) => stored(row))
}

/** A stored card before it is read: reading a whole deck takes a while, and is a job's work. */
export interface StoredRow extends StoredText {
  id: string
  version: number
  status: Status
}

/** All cards as they are stored, in the order of the shelf; or those of some ids. */
export async function storedDeck(ids?: readonly string[]): Promise<StoredRow[]> {
  const { rows } = await db().raw<{ rows: StoredRow[] }>(
    `SELECT c.id, c.status, c.current_version AS version, v.body::text AS body, v.format
     FROM cards c JOIN card_versions v ON v.card_id = c.id AND v.version = c.current_version
     WHERE c.deleted_at IS NULL ${ids ? 'AND c.id = ANY (?)' : ''}
     ORDER BY c.base, c.number, c.title, c.id`,
    ids ? [[...ids]] : []
  )
  return rows
}

/** Names of cards by id: of all, or of those of some ids. */
export async function cardTitles(ids?: readonly string[]): Promise<Map<string, string>> {
  if (ids?.length === 0) return new Map()
  const cards = db()('cards').whereNull('deleted_at').select('id', 'title')
  const rows = await (ids ? cards.whereIn('id', [...ids]) : cards)
  return new Map(rows.map((row: { id: string; title: string }) => [row.id, row.title]))
}

/**
 * Adds a new card as its first version.
 * @returns null when a card with this id is already there
 */
export async function createCard(
  card: Card,
  author: string,
  note = '',
  on: Knex | Knex.Transaction = db()
): Promise<{ version: number } | null> {
  const text = JSON.stringify(card)
  const columns = shelfColumns(card, text)
  const names = Object.keys(columns)
  const { rows } = await on
    .raw<{ rows: unknown[] }>(
      `WITH card AS (
       INSERT INTO cards (id, current_version, ${names.join(', ')})
       VALUES (?, 1, ${names.map(() => '?').join(', ')}) ON CONFLICT (id) DO NOTHING RETURNING id
     ), version AS (
       INSERT INTO card_versions (card_id, version, format, body, author, note)
       SELECT id, 1, ${FORMAT_VERSION}, ?::json, ?, ? FROM card
     ), words AS (
       INSERT INTO search_words SELECT unnest(?::text[]) ON CONFLICT DO NOTHING
     ), touched AS (
       UPDATE deck SET revision = revision + 1 WHERE EXISTS (SELECT 1 FROM card)
     )
     SELECT id FROM card`,
      [card.id, ...Object.values(columns), text, author, note, columns.words]
    )
    // A named statement is planned once on a connection.
    .options({ name: 'create-card' })
  return rows.length ? { version: 1 } : null
}

/**
 * Saves a card as a new version, in one statement: all of it or nothing.
 * @param from the version that the text started from; when another was saved since, nothing
 *   is written and the current card is given back
 */
export async function saveCard(
  card: Card,
  from: number,
  author: string,
  note = '',
  on: Knex | Knex.Transaction = db(),
  /** Made for this save alone: with it a save whose answer was lost is known when it is tried again. */
  key?: string
): Promise<SaveResult> {
  const text = JSON.stringify(card)
  const columns = shelfColumns(card, text)
  const names = Object.keys(columns)
  const { rows } = await on
    .raw<{ rows: { version: number; created_at: Date }[] }>(
      `WITH card AS (
       UPDATE cards SET current_version = current_version + 1, updated_at = now(),
         ${names.map((name) => `${name} = ?`).join(', ')}
       WHERE id = ? AND current_version = ? AND deleted_at IS NULL
       RETURNING id, current_version, words
     ), version AS (
       INSERT INTO card_versions (card_id, version, format, body, author, note, save_key)
       SELECT id, current_version, ${FORMAT_VERSION}, ?::json, ?, ?, ? FROM card RETURNING version, created_at
     ), words AS (
       INSERT INTO search_words
       SELECT unnest(card.words) FROM card
       WHERE NOT EXISTS (SELECT FROM cards b WHERE b.id = card.id AND b.words = card.words)
       ON CONFLICT DO NOTHING
     ), touched AS (
       UPDATE deck SET revision = revision + 1 WHERE EXISTS (SELECT 1 FROM card)
     )
     SELECT version, created_at FROM version`,
      [...Object.values(columns), card.id, from, text, author, note, key ?? null]
    )
    // A named statement is planned once on a connection.
    .options({ name: 'save-card' })
  if (rows[0])
    return { outcome: 'saved', version: rows[0].version, savedAt: rows[0].created_at.toISOString() }
  if (key !== undefined) {
    const mine = await on('card_versions').where({ card_id: card.id, save_key: key }).first()
    if (mine)
      return { outcome: 'saved', version: mine.version, savedAt: mine.created_at.toISOString() }
  }
  const current = await loadCard(card.id, on)
  return current ? { outcome: 'stale', current } : { outcome: 'missing' }
}

/** @returns false when there is no such card */
export async function setStatus(id: string, status: Status): Promise<boolean> {
  const { rows } = await db().raw<{ rows: unknown[] }>(
    `WITH card AS (
       UPDATE cards SET status = ? WHERE id = ? AND deleted_at IS NULL RETURNING id
     ), touched AS (
       UPDATE deck SET revision = revision + 1 WHERE EXISTS (SELECT 1 FROM card)
     )
     SELECT id FROM card`,
    [status, id]
  )
  return rows.length > 0
}
