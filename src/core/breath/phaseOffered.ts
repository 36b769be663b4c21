import type { Breath } from '../card'
import { packOf } from '../language'

/**
 * The breath that a line asks for: the one it names, else the one its movements share.
 * @returns null when the line names no movement, or movements of both phases
 * @example phaseOffered('Grow long through the crown.', 'en') // 'in'
 */
export function phaseOffered(text: string, language: string): Extract<Breath, 'in' | 'out'> | null {
  const words = packOf(language)?.breath
  const named = words?.named(text)
  if (!words || named === 'both') return null
  if (named) return named
  const phases = new Set(words.movements(text).map((movement) => movement.phase))
  return phases.size === 1 ? [...phases][0]! : null
}
