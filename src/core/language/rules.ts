import { englishRules } from './en/ruleWords'
import { englishSays, type Says } from './en/says'

/** What the rules look at and why; a page that tells only what they find does not load it. */
export const RULE_WORDS = englishRules
/** What they say of a card. Apart from the pack: a page that checks nothing does not load it. */
export const SAY: Says = englishSays
