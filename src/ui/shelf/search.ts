import type { ShelfCard } from '@/core/deck'

/** A name without marks and capitals, for searching. */
export const fold = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{M}+/gu, '')
    .toLowerCase()
    .trim()

/** Whether each word that is searched for stands in one of the card's names. */
export function matchesName(card: ShelfCard, words: string): boolean {
  if (!words) return true
  const names = fold(`${card.number} ${card.title} ${card.sanskrit} ${card.aliases}`)
  return words.split(/\s+/).every((word) => names.includes(word))
}
