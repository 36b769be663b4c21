import type { Card } from './card'
import { BASES, type Build, type TURNS_OF_BUILDS } from './words'

/**
 * Which body is drawn on a card, by the school’s choice; a card always has the same.
 * @example buildOf(card, { builds: ['usual', 'older'], buildsBy: 'card' })
 */
export function buildOf(
  { id, base }: Pick<Card, 'id' | 'base'>,
  { builds, buildsBy }: { builds: readonly Build[]; buildsBy: (typeof TURNS_OF_BUILDS)[number] }
): Build {
  const turn =
    buildsBy === 'base'
      ? BASES.indexOf(base)
      : [...id].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 100_003, 7)
  return builds[turn % builds.length] ?? 'usual'
}
