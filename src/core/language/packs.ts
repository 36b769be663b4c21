import type { BreathWords, SpeechWords } from './breathWords'
import { english } from './en'
import type { Labels } from './en/labels'
import { englishSays, type Says } from './en/says'
import { NO_SIDES } from './lexicon'
import type { Lexicon } from './lexicon'

/** What one language brings: nothing of a language stands in the engines. */
export interface LanguagePack {
  /** BCP 47, its first part. */
  language: string
  sides: Lexicon
  breath: BreathWords
  speech: SpeechWords
  /** What parts of a card, of a sheet and of a finding are called. */
  labels: Labels
}

/** The languages that there are. */
export const PACKS: LanguagePack[] = [english]

/** The pack of a language, by the first part of its code; null when there is none yet. */
export const packOf = (language: string): LanguagePack | null =>
  PACKS.find((each) => each.language === language) ??
  PACKS.find((each) => each.language === language.toLowerCase().split('-')[0]) ??
  null

/** The side words of a language; in one that has no pack nothing is a side word. */
export const lexiconOf = (language: string): Lexicon => packOf(language)?.sides ?? NO_SIDES

/** The language of the screens and of what is told about a card. */
export const LABELS: Labels = english.labels
/** What the rules say, in that language. It stands apart from the pack: a page that checks nothing does not load it. */
export const SAY: Says = englishSays
