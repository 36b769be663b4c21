import { englishLabels, type Labels } from './en/labels'

/** What one language brings: nothing of a language stands in the engines. */
export interface LanguagePack {
  /** BCP 47, its first part. */
  language: string
  labels: Labels
}

const PACKS: readonly LanguagePack[] = [{ language: 'en', labels: englishLabels }]

/** The pack of a language, by the first part of its code; null when there is none yet. */
export const packOf = (language: string): LanguagePack | null =>
  PACKS.find((each) => each.language === language.toLowerCase().split('-')[0]) ?? null

/** The language of the screens and of what is told about a card. */
export const INTERFACE = packOf('en')!
export const LABELS: Labels = INTERFACE.labels

export type { Labels }
