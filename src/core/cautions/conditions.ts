import { distance } from 'fastest-levenshtein'
import { CONDITIONS } from '../language'

/** A condition that a caution can be about. */
export interface Condition {
  id: string
  group: string
  name: string
  synonyms: readonly string[]
}

export const conditions: readonly Condition[] = CONDITIONS

const plain = (words: string) =>
  words
    .trim()
    .toLowerCase()
    .replace(/['’]/g, '’')
    .replace(/[^\p{L}\p{N}’]+/gu, ' ')
    .trim()

const BY_NAME = new Map(
  conditions.flatMap((condition) =>
    [condition.id, condition.name, ...condition.synonyms].map((name): [string, Condition] => [
      plain(name),
      condition,
    ])
  )
)

/** The condition that a name means; null when it is not known. */
export const conditionNamed = (name: string): Condition | null => BY_NAME.get(plain(name)) ?? null

/** Known names that are spelled most like a name that is not known, the nearest first. */
export function nearestConditions(name: string, most = 3): Condition[] {
  const wanted = plain(name)
  const away = (known: string) =>
    known.includes(wanted) || wanted.includes(known) ? 0 : distance(wanted, known)
  const ranked = [...BY_NAME]
    .map(([known, condition]) => ({ condition, by: away(known) / Math.max(3, known.length) }))
    .sort((a, b) => a.by - b.by)
  return [...new Set(ranked.map(({ condition }) => condition))].slice(0, most)
}
