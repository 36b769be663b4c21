import type { Card, School, Side } from '@/core/card'
import { type CsvTable, type ImportFile, type ImportItem, planImport, writeCsv } from '@/core/deck'
import { writeJson, writeMarkdown } from '@/core/formats'
import { filesOf, pack, UploadError } from '../archive'
import { cardFiguresBvh, cardFigureSvg } from '../cardFigure'
import { printCards } from '../print'
import { type StoredText, storedBody } from '../storedBody'
import type { Export } from './exports'

/**
 * Work that takes long, or may: it runs in worker threads (`pool.ts`), and what stops it stops
 * nothing else. Each job takes and gives plain data.
 */

/** What cannot be told by an error across threads. */
export type Told<T> = { value: T } | { refused: string }

const cardsOf = (rows: readonly StoredText[]): Card[] => rows.map((row) => storedBody(row))

/** What taking files in would do. */
export function plan({
  uploads,
  deck,
  bin,
}: {
  uploads: ImportFile[]
  deck: StoredText[]
  bin: string[]
}): Told<ImportItem[]> {
  try {
    const cards = new Map(cardsOf(deck).map((card) => [card.id, card]))
    return { value: planImport(filesOf(uploads), cards, new Set(bin)) }
  } catch (error) {
    if (error instanceof UploadError) return { refused: error.message }
    throw error
  }
}

/** Cards as one PDF. */
export function print({
  cards,
  school,
  titles,
}: {
  cards: StoredText[]
  school: School
  titles: [string, string][]
}): Promise<Uint8Array> {
  return printCards(cardsOf(cards), school, new Map(titles))
}

/** The figure of one form of a card as SVG; null when it is not drawn. */
export function figure({ card, side, of }: { card: Card; side: Side; of?: string }): string | null {
  return cardFigureSvg(card, side, of)
}

/** Every figure of a card as BVH; null when none is drawn. */
export function bvh({ card, side }: { card: Card; side: Side }): string | null {
  return cardFiguresBvh(card, side)
}

/** The whole deck as a ZIP of files, or as a table. */
export function exportDeck({ deck, as }: { deck: StoredText[]; as: Export }): Uint8Array {
  const cards = cardsOf(deck)
  if (as !== 'md' && as !== 'json') return new TextEncoder().encode(writeCsv(cards, as as CsvTable))
  const write = as === 'md' ? writeMarkdown : writeJson
  return pack(cards.map((card) => ({ name: `${card.id}.${as}`, text: write(card) })))
}

/** Cards with version and status, as JSON in one. */
export function deckJson({
  deck,
  more,
}: {
  deck: (StoredText & { version: number; status: string })[]
  more: object
}): string {
  return JSON.stringify({
    ...more,
    cards: deck.map((row) => ({
      card: storedBody(row),
      version: row.version,
      status: row.status,
    })),
  })
}
