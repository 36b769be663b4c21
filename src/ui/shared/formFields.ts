import type { Card } from '@/core/card'

/** The fields that the forms of a card and its rungs are worked out from. */
export const formFields = (card: Card) => [
  card.ladder,
  card.enter,
  card.otherWay,
  card.exit,
  card.setUp,
  card.stay,
  card.base,
  card.writtenFor,
  card.manner,
]
