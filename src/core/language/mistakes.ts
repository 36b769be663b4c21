import { englishClaims } from './en/claims'
import { englishMistakes } from './en/mistakeWords'
import { englishTouch } from './en/touchWords'

const of =
  <T>(packs: Readonly<Record<string, T>>) =>
  (language: string): T | null =>
    packs[language.toLowerCase().split('-')[0]!] ?? null

/** How mistakes are read, by the language of the card; null when that is not known yet. */
export const mistakeWordsOf = of({ en: englishMistakes })
/** How claims are read, by the language of the card. */
export const claimWordsOf = of({ en: englishClaims })
/** How lines about touch are read, by the language of the card. */
export const touchWordsOf = of({ en: englishTouch })
