import type { Card } from './card'

/** Whether any form of a card has a figure. */
export function isDrawn(card: Card): boolean {
  return Boolean(
    card.setUp.figure ||
    [...card.enter, ...card.otherWay, ...card.exit].some((step) => step.figure) ||
    card.ladder.some((rung) => rung.figure || rung.steps.add.some(({ step }) => step.figure))
  )
}
