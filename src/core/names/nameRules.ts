import type { Card, Found, Rule } from '../card'
import { RULE_WORDS, SAY } from '../language'
import { type Misspelling, misspellings, nearMisses } from './spelling'

/** The finding about a word of the Sanskrit name; the right form is offered where it is known. */
function told(card: Card, { word, at, offered }: Misspelling, message: string): Found {
  const sanskrit = card.names.sanskrit.normalize('NFC')
  const value = offered && sanskrit.slice(0, at) + offered + sanskrit.slice(at + word.length)
  return {
    where: 'names.sanskrit',
    message,
    ...(value
      ? { fix: { label: SAY.names.write(offered), patches: [{ path: 'names.sanskrit', value }] } }
      : {}),
  }
}

const unlikeIast = (card: Card): Found[] =>
  misspellings(card.names.sanskrit).map((each) =>
    told(card, each, SAY.names.spelt(each.word, each.offered, each.unmarked))
  )

const nearKnown = (card: Card): Found[] =>
  nearMisses(card.names.sanskrit).map((each) =>
    told(card, each, SAY.names.near(each.word, each.offered!))
  )

/** The rules about names. */
export const nameRules: readonly Rule[] = [
  {
    id: 'names/sanskrit-in-iast',
    ...RULE_WORDS['names/sanskrit-in-iast'],
    source: 'published',
    severity: 'mend',
    check: unlikeIast,
  },
  {
    id: 'names/near-a-known-word',
    ...RULE_WORDS['names/near-a-known-word'],
    source: 'common practice',
    severity: 'note',
    check: nearKnown,
  },
]
