import type { LanguagePack } from '../packs'
import { englishLabels } from './labels'
import { englishBreath } from './movement'
import { englishSides } from './sides'
import { englishSpeech } from './speech'

export const english: LanguagePack = {
  language: 'en',
  sides: englishSides,
  breath: englishBreath,
  speech: englishSpeech,
  labels: englishLabels,
}
