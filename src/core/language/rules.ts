import { englishRules } from './en/ruleWords'

/** What the rules look at and why; a page that tells only what they find does not load it. */
export const RULE_WORDS = englishRules
