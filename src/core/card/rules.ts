import { SAY } from '../language'
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
  check: (card: Card, school: School) => Found[]
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
  return rules
    .filter(({ whenAsked }) => asked || !whenAsked)
    .flatMap((rule) =>
      rule.check(card, school).map((found) => ({
        rule: rule.id,
        severity: school.severities[rule.id] ?? rule.severity,
        ...found,
      }))
    )
    .sort((a, b) => rank[a.severity] - rank[b.severity])
}

/** What is told when a card cannot be checked: that nothing was found must not be believed then. */
export const unchecked = (why: string): Finding => ({
  rule: 'card/checked',
  severity: 'mend',
  where: 'names',
  message: SAY.card.unchecked(why),
})
