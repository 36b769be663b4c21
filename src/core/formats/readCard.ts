import type { Card } from '../card'
import { SAY_FILES } from '../language'
import { readJson } from './json'
import { CardFileError } from './problem'
import { readMarkdown } from './readMarkdown'

export const CARD_FORMATS = ['md', 'json'] as const

/**
 * Text of a file: UTF-8, with or without a byte order mark, any line ends, brought to NFC.
 * @throws CardFileError when the bytes are no UTF-8 text
 */
export function decodeText(bytes: Uint8Array): string {
  let text: string
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    throw new CardFileError([{ line: 1, message: SAY_FILES.notUtf8 }])
  }
  if (text.includes('\u0000')) throw new CardFileError([{ line: 1, message: SAY_FILES.noText }])
  return tidyFile(text)
}

const tidyFile = (text: string) =>
  text
    .replace(/^\uFEFF/, '')
    .replace(/\r\n?/g, '\n')
    .normalize('NFC')

/**
 * Reads a card from the text of a file: JSON when it starts with a brace, else Markdown.
 * @throws CardFileError with every problem and its line
 */
export function readCard(text: string): Card {
  const tidy = tidyFile(text)
  if (!tidy.trim()) throw new CardFileError([{ line: 1, message: SAY_FILES.empty }])
  return /^\s*[{[]/.test(tidy) ? readJson(tidy) : readMarkdown(tidy)
}

/** Reads a card from the bytes of a file. */
export function readCardBytes(bytes: Uint8Array): Card {
  return readCard(decodeText(bytes))
}
