import { createHash } from 'node:crypto'
import type { Status } from './cards'
import { db } from './db'

/** One card as the shelf shows it. */
export interface ShelfCard {
  id: string
  number: string
  title: string
  sanskrit: string
  aliases: string
  base: string
  spine: string
  manner: string
  sides: string
  status: Status
  /** Bit i is set when section i, in the order of the work, is complete. */
  sections: number
  drawn: boolean
  version: number
}

/** The shelf, ready to send. */
export interface PackedShelf {
  revision: number
  etag: string
  json: string
}

const holder = globalThis as { notulaShelf?: PackedShelf }

/** The shelf's cards, in order. */
export async function shelfCards(): Promise<ShelfCard[]> {
  return db()('cards')
    .whereNull('deleted_at')
    .orderBy(['base', 'number', 'title', 'id'])
    .select(
      'id',
      'number',
      'title',
      'sanskrit',
      'aliases',
      'base',
      'spine',
      'manner',
      'sides',
      'status',
      'sections',
      'drawn',
      'current_version as version'
    )
}

/** The shelf as JSON, packed once for each revision of the deck. */
export async function packedShelf(): Promise<PackedShelf> {
  const { revision } = await db()('deck').where({ id: 1 }).first('revision')
  const known = holder.notulaShelf
  if (known && known.revision === revision) return known
  const json = JSON.stringify({ revision, cards: await shelfCards() })
  const etag = `"${createHash('sha256').update(json).digest('base64url').slice(0, 20)}"`
  const packed = { revision, etag, json }
  holder.notulaShelf = packed
  return packed
}
