import type { Card } from '@/core/card'
import { saveCard, type SaveResult } from './cards'
import { db } from './db'
import { storedBody } from './storedBody'

/** One saved version of a card. */
export interface VersionInfo {
  version: number
  author: string
  note: string
  savedAt: string
}

/** All versions of a card, the newest first. */
export async function versionsOf(id: string): Promise<VersionInfo[]> {
  const rows = await db()('card_versions')
    .where({ card_id: id })
    .orderBy('version', 'desc')
    .select('version', 'author', 'note', 'created_at')
  return rows.map((row: { version: number; author: string; note: string; created_at: Date }) => ({
    version: row.version,
    author: row.author,
    note: row.note,
    savedAt: row.created_at.toISOString(),
  }))
}

/** @returns the card as it was in a version, or null when there is none */
export async function loadVersion(id: string, version: number): Promise<Card | null> {
  const row = await db()('card_versions').where({ card_id: id, version }).first('body', 'format')
  return row ? storedBody(row) : null
}

/** Brings an old version back, as a new one: nothing in between is lost. */
export async function bringBack(id: string, version: number, author: string): Promise<SaveResult> {
  // The current one need not be readable: that may be why an old one is wanted.
  const [old, current] = await Promise.all([
    loadVersion(id, version),
    db()('cards').where({ id }).whereNull('deleted_at').first('current_version'),
  ])
  if (!old || !current) return { outcome: 'missing' }
  return saveCard(old, current.current_version, author, `brought back version ${version}`)
}
