import type { SpeechWords } from './breathWords'
import { englishSpeech } from './en/speech'
import { packOf } from './packs'

/**
 * How each language that has a pack is said aloud. Apart from the packs: what counts syllables is
 * large, and a page that times nothing does not load it.
 */
export const SPEECH = new Map<string, SpeechWords>([['en', englishSpeech]])

/** How a language is said aloud; null when it has no pack. */
export const speechIn = (language: string): SpeechWords | null =>
  SPEECH.get(packOf(language)?.language ?? '') ?? null
