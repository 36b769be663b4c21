import * as breath from '@/core/breath'
import { packOf, speechIn } from '@/core/language'
import * as sides from '@/core/sides'

/** What works in the language of a card, for lines of English. */

const en = { language: 'en' }
type Options = Partial<sides.MirrorOptions>

export const mirrorText = (text: string, options: Options = {}) =>
  sides.mirrorText(text, { ...en, ...options })
export const sideWords = (text: string, options: Options = {}) =>
  sides.sideWords(text, { ...en, ...options })
export const stretches = (text: string) => sides.stretches(text, en)
export const plainText = (text: string) => sides.plainText(text, en)
export const toggleFixed = (text: string, index: number) => sides.toggleFixed(text, index, en)

export const phaseOffered = (text: string) => breath.phaseOffered(text, 'en')
export const spoken = (text: string) => breath.spoken(text, 'en')
export const speechSeconds = (text: string, rate: number) => breath.speechSeconds(text, rate, 'en')
export const fitOf = (text: string, seconds: number, rate: number) =>
  breath.fitOf(text, seconds, rate, 'en')
export const cuesWithin = (cues: readonly string[], seconds: number, rate: number) =>
  breath.cuesWithin(cues, seconds, rate, 'en')

export const { words: spokenWords, syllables: syllablesOf } = speechIn('en')!
export const {
  labels: { stay: stayWords, duration: durationWords, pace: paceWords, when: whenWords },
} = packOf('en')!
