import type { Card } from '@/core/card'
import { BadCall } from './badCall'

/** The card as it is done on one rung; as it is when none is asked for. What it takes is loaded then. */
export async function onRung(file: string, card: Card, rung?: string): Promise<Card> {
  if (rung === undefined) return card
  if (!card.ladder.some(({ id }) => id === rung))
    throw new BadCall(
      `${file}:1: There is no rung “${rung}” on this card; it has ${card.ladder.map(({ id }) => id).join(', ') || 'none'}`
    )
  return (await import('@/core/ladder')).rungCard(card, rung)
}
