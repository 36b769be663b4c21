import type { LanguagePack } from '../packs'
import { englishLabels } from './labels'
import { englishBreath } from './movement'
import { englishSides } from './sides'

export const english: LanguagePack = {
  language: 'en',
  sides: englishSides,
  breath: englishBreath,
  labels: englishLabels,
}
