import { distance } from 'fastest-levenshtein'
import type { OwnCondition, School } from '../card'
import { CONDITIONS, rememberOf } from '../language'

/** A condition that a caution can be about. */
export interface Condition {
  id: string
  group: string
  name: string
  synonyms: readonly string[]
}

export const conditions: readonly Condition[] = CONDITIONS

export type ConditionsOf = Pick<School, 'conditions'>

const NONE: readonly OwnCondition[] = []

/** The usual conditions and a school’s own; one of the same id stands in the place of the usual one. */
export const conditionsOf = (
  { conditions: own }: ConditionsOf = { conditions: [] }
): readonly Condition[] => (own.length === 0 ? conditions : withOwn(own))

const withOwn = rememberOf((own: readonly OwnCondition[]): readonly Condition[] => {
  const named = new Map<string, Condition>(own.map((each) => [each.id, each]))
  const usual = conditions.map((each) => {
    const worded = named.get(each.id)
    named.delete(each.id)
    // Words that people know it by are kept.
    return worded
      ? { ...worded, synonyms: [...new Set([...worded.synonyms, each.name, ...each.synonyms])] }
      : each
  })
  return [...usual, ...named.values()]
})

const plain = (words: string) =>
  words
    .trim()
    .toLowerCase()
    .replace(/['’]/g, '’')
    .replace(/[^\p{L}\p{N}’]+/gu, ' ')
    .trim()

const byName = rememberOf((list: readonly Condition[]) => {
  const map = new Map<string, Condition>()
  // A school’s own stand last, and a name of theirs is theirs.
  for (const condition of list)
    for (const name of [condition.id, condition.name, ...condition.synonyms])
      map.set(plain(name), condition)
  return map
})

/** The condition that a name means; null when it is not known. */
export const conditionNamed = (
  name: string,
  school: ConditionsOf = { conditions: NONE as OwnCondition[] }
): Condition | null => byName(conditionsOf(school)).get(plain(name)) ?? null

/** Known names that are spelled most like a name that is not known, the nearest first. */
export function nearestConditions(name: string, school?: ConditionsOf, most = 3): Condition[] {
  const wanted = plain(name)
  const away = (known: string) =>
    known.includes(wanted) || wanted.includes(known) ? 0 : distance(wanted, known)
  const ranked = [...byName(conditionsOf(school))]
    .map(([known, condition]) => ({ condition, by: away(known) / Math.max(3, known.length) }))
    .sort((a, b) => a.by - b.by)
  return [...new Set(ranked.map(({ condition }) => condition))].slice(0, most)
}
