import { SAY_MISSING } from '../language'
import type { Card } from './card'
import type { Finding, Severity } from './finding'
import { DEFAULT_SCHOOL } from './defaultSchool'
import type { School } from './school'

/** Where a rule comes from. */
export type RuleSource = 'published' | 'common practice' | 'school' | 'format'

/** What a rule finds; the register adds the rule's id and severity. */
export type Found = Omit<Finding, 'rule' | 'severity'>

/** One check. Every check, wherever it lives, is a rule in the register. */
export interface Rule {
  /** `folder/name`, never reused. */
  id: string
  /** What it looks at, for the trainer. */
  looksAt: string
  /** Why it matters. */
  why: string
  source: RuleSource
  /** The published source, or a note on the practice. */
  reference?: string
  severity: Severity
  /** Told only of a card whose review is asked for: what is not written yet is nothing wrong. */
  whenAsked?: true
  check: (card: Card, school: School) => readonly Found[]
  /** Of a rule that looks at the whole deck: what it finds, by the id of the card. */
  deck?: (cards: readonly Card[], school: School) => Map<string, Found[]>
}

/**
 * Runs rules over a card.
 * @param asked whether the card’s review is asked for: what is missing is told then, too
 * @returns the findings, worst first, in the order of the register
 */
export function runRules(
  rules: readonly Rule[],
  card: Card,
  school: School = DEFAULT_SCHOOL,
  asked = false
): Finding[] {
  const rank: Record<Severity, number> = { stop: 0, mend: 1, note: 2 }
  const failed: string[] = []
  const found: Finding[] = []
  for (const rule of rules) {
    if (rule.whenAsked && !asked) continue
    const severity = school.severities[rule.id] ?? rule.severity
    for (const each of foundBy(rule, card, school, failed))
      found.push({ rule: rule.id, severity, ...each })
  }
  if (failed.length > 0) found.push(unchecked(failed.join(', ')))
  return found.sort((a, b) => rank[a.severity] - rank[b.severity])
}

/**
 * Runs the rules that look at the whole deck.
 * @returns the findings by the id of the card; a rule that comes to no end finds nothing
 */
export function runDeckRules(
  rules: readonly Rule[],
  cards: readonly Card[],
  school: School = DEFAULT_SCHOOL
): Map<string, Finding[]> {
  const found = new Map<string, Finding[]>()
  for (const rule of rules) {
    if (!rule.deck) continue
    for (const [id, all] of rule.deck(cards, school))
      found.set(id, [
        ...(found.get(id) ?? []),
        ...all.map((each) => ({
          rule: rule.id,
          severity: school.severities[rule.id] ?? rule.severity,
          ...each,
        })),
      ])
  }
  return found
}

/** What one rule finds. One that comes to no end with a card is told, and the others go on. */
function foundBy(rule: Rule, card: Card, school: School, failed: string[]): readonly Found[] {
  try {
    return rule.check(card, school)
  } catch {
    failed.push(rule.id)
    return []
  }
}

/** What is told when a card cannot be checked: that nothing was found must not be believed then. */
export const unchecked = (why: string): Finding => ({
  rule: 'card/checked',
  severity: 'mend',
  where: 'names',
  message: SAY_MISSING.unchecked(why),
})
