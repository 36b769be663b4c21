import { RULE_WORDS } from '../language'
import type { Severity } from './finding'
import type { Rule } from './rules'

/**
 * A rule of common practice, with its words from the language. It stands apart from the rules’
 * running: a page that tells findings does not load the words of all rules.
 */
export const usualRule = (
  id: keyof typeof RULE_WORDS,
  severity: Severity,
  check: Rule['check'],
  more: Partial<Rule> = {}
): Rule => ({
  id,
  ...RULE_WORDS[id],
  source: 'common practice',
  severity,
  check,
  ...more,
})
