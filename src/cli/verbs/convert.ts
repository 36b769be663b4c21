import { CARD_FORMATS, writeJson, writeMarkdown } from '@/core/formats'
import { GOOD, oneOf } from '../badCall'
import { cardFrom, write } from '../files'

/** Writes a card in another format. */
export function convert(file: string, options: { to: string; out?: string }): number {
  const format = oneOf('the format', options.to, CARD_FORMATS)
  const card = cardFrom(file)
  const text = format === 'md' ? writeMarkdown(card) : writeJson(card)
  write(text, options.out)
  return GOOD
}
