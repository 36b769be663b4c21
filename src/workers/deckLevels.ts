import type { Card, School } from '@/core/card'
import { type CardLevels, levelsOf } from '@/core/ladder'

export interface LevelsJob {
  cards: { card: Card }[]
  school: School
}

export type LevelsAnswer =
  { done: number; total: number } | { finished: true; cards: CardLevels[]; failed: string[] }

const EVERY = 10

/** Where every rung of a deck stands; a card that cannot be worked out is told, and the others go on. */
export function deckLevels(
  { cards, school }: LevelsJob,
  tell: (answer: LevelsAnswer) => void
): void {
  const failed: string[] = []
  const levels = cards.flatMap(({ card }, i): CardLevels[] => {
    if ((i + 1) % EVERY === 0) tell({ done: i + 1, total: cards.length })
    try {
      return [levelsOf(card, school)]
    } catch {
      failed.push(card.id)
      return []
    }
  })
  tell({ finished: true, cards: levels, failed })
}
