import { englishReader } from './en/reading'
import type { Reader } from './instruction'

/** By language. It stands apart from the packs: a page that reads no movements does not load it. */
const READERS: Readonly<Record<string, Reader>> = { en: englishReader }

/** How a language is read, by the first part of its code; null when that is not known yet. */
export const readerOf = (language: string): Reader | null =>
  READERS[language] ?? READERS[language.toLowerCase().split('-')[0]!] ?? null
