import type { Card } from '../card'
import type { BreathWords } from './breathWords'
import { english } from './en'
import type { Labels } from './en/labels'
import { NO_SIDES } from './lexicon'
import type { Lexicon, SideRole } from './lexicon'

/** What one language brings, with how it is said (`SPEECH`): nothing of a language stands in the engines. */
export interface LanguagePack {
  /** BCP 47, its first part. */
  language: string
  sides: Lexicon
  breath: BreathWords
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

/** The role of the limb that the side of a card is named by; null where its language tells none. */
export const namedRole = (card: Pick<Card, 'language' | 'sideNamedBy'>): SideRole | null =>
  lexiconOf(card.language).namedRole(card.sideNamedBy)

/** The language of the screens and of what is told about a card. */
export const LABELS: Labels = english.labels
