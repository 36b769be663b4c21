import { english } from './english'
import type { Lexicon } from './lexicon'

const LEXICONS: readonly Lexicon[] = [english]

/**
 * The lexicon of a language, by the first part of its code; English when there is none yet.
 * @param language BCP 47
 */
export function lexiconOf(language: string): Lexicon {
  const first = language.toLowerCase().split('-')[0]
  return LEXICONS.find((each) => each.language === first) ?? english
}
