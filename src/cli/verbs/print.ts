import { writeFileSync } from 'node:fs'
import { DEFAULT_SCHOOL, titleOf } from '@/core/card'
import { printCards } from '@/server/print'
import { BadCall, GOOD, oneOf, out } from '../badCall'
import { cardsFrom } from '../files'
import { onRung } from '../onRung'

/** Prints cards to a PDF. */
export async function print(
  files: string[],
  options: { stock: string; out: string; rung?: string }
): Promise<number> {
  const stock = oneOf('the paper', options.stock, ['A4', 'A5', 'A6'])
  const cards = await Promise.all(
    cardsFrom(files).map(({ file, card }) => onRung(file, card, options.rung))
  )
  const titles = new Map(cards.map((card) => [card.id, titleOf(card)]))
  const pdf = await printCards(cards, DEFAULT_SCHOOL, titles, stock)
  try {
    writeFileSync(options.out, pdf)
  } catch {
    throw new BadCall(`${options.out}:1: the file cannot be written; nothing was printed`)
  }
  out(`${options.out}: ${cards.length === 1 ? 'one card' : `${cards.length} cards`}, ${stock}\n`)
  return GOOD
}
