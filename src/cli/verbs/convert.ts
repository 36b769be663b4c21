import { CARD_FORMATS, writeJson, writeMarkdown } from '@/core/formats'
import { GOOD, oneOf } from '../badCall'
import { cardFrom, write } from '../files'
import { onRung } from '../onRung'

/** Writes a card in another format; on a rung as a card of its own. */
export async function convert(
  file: string,
  options: { to: string; out?: string; rung?: string }
): Promise<number> {
  const format = oneOf('the format', options.to, CARD_FORMATS)
  const card = await onRung(file, cardFrom(file), options.rung)
  write(format === 'md' ? writeMarkdown(card) : writeJson(card), options.out)
  return GOOD
}
