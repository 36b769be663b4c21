import { createHash } from 'node:crypto'
import { buildOf } from '@/core/card'
import type { ShelfCard } from '@/core/deck'
import { db } from './db'
import { loadSchool } from './school'

/** The shelf, ready to send. */
export interface PackedShelf {
  revision: number
  etag: string
  json: string
}

const holder = globalThis as { notulaShelf?: PackedShelf }

/** The shelf's cards, in order. */
export async function shelfCards(): Promise<ShelfCard[]> {
  const school = await loadSchool()
  const cards: ShelfCard[] = await db()('cards')
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
      'unwritten',
      'drawn',
      'current_version as version',
      'picture'
    )
  return cards.map((card) => {
    const build = buildOf(card, school)
    return build === 'usual' ? card : { ...card, build }
  })
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
