import type { Build, Card, School, Side } from '@/core/card'
import {
  type CsvTable,
  type ImportFile,
  type ImportItem,
  planImport,
  planVerdictsCsv,
  type VerdictsPlan,
  writeCsv,
  writeVerdictsCsv,
} from '@/core/deck'
import type { Manner } from '@/core/figure'
import { writeJson, writeMarkdown } from '@/core/formats'
import { filesOf, pack, UploadError } from '../archive'
import { cardFiguresBvh, cardFigureSvg } from '../cardFigure'
import { readable, type StoredText, storedBody } from '../storedBody'
import type { Export } from './exports'

/**
 * Work that takes long, or may: it runs in worker threads (`pool.ts`), and what stops it stops
 * nothing else. Each job takes and gives plain data.
 */

/** What cannot be told by an error across threads. */
export type Told<T> = { value: T } | { refused: string }

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
    const cards = new Map(readable(deck).cards.map(({ card }) => [card.id, card]))
    return { value: planImport(filesOf(uploads), cards, new Set(bin)) }
  } catch (error) {
    if (error instanceof UploadError) return { refused: error.message }
    throw error
  }
}

/** Cards as one PDF. What prints is loaded by the first that prints. */
export async function print({
  cards,
  school,
  titles,
  rung,
}: {
  cards: StoredText[]
  school: School
  titles: [string, string][]
  /** The form of each card; the form described when it is left out. */
  rung?: string
}): Promise<Uint8Array> {
  const [{ printCards }, { rungCard }] = await Promise.all([
    import('../print'),
    import('@/core/ladder'),
  ])
  const bodies = cards.map(storedBody)
  const done = rung === undefined ? bodies : bodies.map((card) => rungCard(card, rung))
  return printCards(done, school, new Map(titles))
}

/** The figure of one form of a card as SVG; null when it is not drawn. */
export function figure({
  card,
  side,
  of,
  build,
  manner,
}: {
  card: Card
  side: Side
  of?: string
  build?: Build
  manner?: Manner
}): string | null {
  return cardFigureSvg(card, side, of, build, manner)
}

/** Every figure of a card as BVH; null when none is drawn. */
export function bvh({ card, side }: { card: Card; side: Side }): string | null {
  return cardFiguresBvh(card, side)
}

type Row = StoredText & { id: string; version: number; status: string }

/** The whole deck as a ZIP of files, or as a table. A card that cannot be read goes as it is stored. */
export function exportDeck({ deck, as }: { deck: Row[]; as: Export }): Uint8Array {
  const { cards, unreadable } = readable(deck)
  if (as !== 'md' && as !== 'json')
    return new TextEncoder().encode(
      writeCsv(
        cards.map(({ card }) => card),
        as as CsvTable
      )
    )
  const write = as === 'md' ? writeMarkdown : writeJson
  return pack([
    ...cards.map(({ card }) => ({ name: `${card.id}.${as}`, text: write(card) })),
    ...unreadable.map(({ id, body }) => ({
      name: `${id}.unreadable.txt`,
      text: typeof body === 'string' ? body : JSON.stringify(body),
    })),
  ])
}

/** The verdicts of the deck as a table. */
export function verdictsCsv({ deck, school }: { deck: Row[]; school: School }): string {
  return writeVerdictsCsv(
    readable(deck).cards.map(({ card }) => card),
    school
  )
}

/** What a table of verdicts would change, each card with the version that it starts from. */
export function planVerdicts({
  text,
  deck,
  school,
}: {
  text: string
  deck: Row[]
  school: School
}): Told<
  Omit<VerdictsPlan, 'changed'> & {
    changed: (VerdictsPlan['changed'][number] & { from: number })[]
  }
> {
  const { cards } = readable(deck)
  try {
    const plan = planVerdictsCsv(
      text,
      cards.map(({ card }) => card),
      school
    )
    const versions = new Map(cards.map(({ card, row }) => [card.id, row.version]))
    return {
      value: {
        ...plan,
        changed: plan.changed.map((each) => ({ ...each, from: versions.get(each.card.id)! })),
      },
    }
  } catch (error) {
    return { refused: error instanceof Error ? error.message : String(error) }
  }
}

/** The verdicts of the deck as a sheet for the wall. */
export async function wallSheet({
  deck,
  school,
}: {
  deck: Row[]
  school: School
}): Promise<Uint8Array> {
  const { printWall } = await import('../print')
  return printWall(
    readable(deck).cards.map(({ card }) => card),
    school
  )
}

/** Cards with version and status, as JSON in one; those that cannot be read by their ids. */
export function deckJson({ deck, more }: { deck: Row[]; more: object }): string {
  const { cards, unreadable } = readable(deck)
  return JSON.stringify({
    ...more,
    cards: cards.map(({ card, row: { version, status } }) => ({ card, version, status })),
    ...(unreadable.length > 0 && { unreadable: unreadable.map(({ id }) => id) }),
  })
}
