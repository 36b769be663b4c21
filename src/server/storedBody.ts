import { Card, upgraded } from '@/core/card'

/** A stored body as data or as text, with the format that it was stored in. */
export interface StoredText {
  body: unknown
  format: number
}

/** A stored card that this Notula cannot read: it says so itself, and the others go on. */
export class UnreadableCard extends Error {
  constructor(cause: unknown) {
    super(UNREADABLE, { cause })
    this.name = 'UnreadableCard'
  }
}

const UNREADABLE = 'What is stored of this card cannot be read.'

/** Whether an error is of such a card; from a worker it comes as a plain error. */
export const isUnreadable = (error: unknown) => (error as Error | null)?.message === UNREADABLE

/**
 * A card from its stored body, whatever format that was stored in.
 * @throws UnreadableCard
 */
export function storedBody({ body, format }: StoredText): Card {
  try {
    return Card.parse(upgraded(typeof body === 'string' ? JSON.parse(body) : body, format))
  } catch (error) {
    throw new UnreadableCard(error)
  }
}

/** The cards of a deck that can be read, and the rows of those that cannot. */
export function readable<Row extends StoredText>(
  rows: readonly Row[]
): { cards: { card: Card; row: Row }[]; unreadable: Row[] } {
  const cards: { card: Card; row: Row }[] = []
  const unreadable: Row[] = []
  for (const row of rows)
    try {
      cards.push({ card: storedBody(row), row })
    } catch {
      unreadable.push(row)
    }
  return { cards, unreadable }
}
