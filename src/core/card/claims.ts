import { claimWordsOf, remember, rememberOf, type RULE_WORDS } from '../language'
import type { Card } from './card'
import { partsOf, type Want } from './parts'
import type { Found, Rule } from './rules'
import { usualRule } from './usualRule'

type Words = NonNullable<ReturnType<typeof claimWordsOf>>
type Calmer = (line: string) => { words: string; calmer: string } | null

/** Lines in which a cure may be promised: what is said, and what is told of the pose. */
const TOLD = new Set([
  'effects',
  'mistakes',
  'cautions',
  'assists',
  'betweenSides',
  'notes',
  'when',
])
const isTold: Want = ({ kind, field }) => kind === 'words' && TOLD.has(field)
const PLAIN = new Set(['condition', 'source', 'over'])

/** The lines of a card that a claim may stand in. */
const linesOf = (card: Card, wide: boolean) =>
  wide
    ? partsOf(card, isTold).filter(({ key }) => !PLAIN.has(String(key)))
    : card.effects.map(({ text }, i) => ({ path: `effects[${i}].text`, value: text }))

/** A language’s words, kept from one key press to the next. */
const quickly = rememberOf((words: Words): Words => ({
  ...words,
  cure: remember(words.cure),
  promise: remember(words.promise),
  number: remember(words.number),
}))

function claims(
  card: Card,
  words: Words,
  told: (of: string) => string,
  calmer: Calmer,
  wide: boolean
): Found[] {
  return linesOf(card, wide).flatMap(({ path, value }): Found[] => {
    const found = typeof value === 'string' ? calmer(value) : null
    if (!found) return []
    return [
      {
        where: path,
        message: told(found.words),
        fix: {
          label: words.sayIt(found.calmer),
          patches: [{ path, value: found.calmer }],
        },
      },
    ]
  })
}

/** What is found of effects that no published source stands behind. */
const unsourced = (card: Card, found: Found[]) =>
  found.filter(({ where }) => {
    const claim = card.effects[Number(/\d+/.exec(where)![0])]!
    return claim.basis !== 'published' || !claim.source
  })

const rule = (
  id: keyof typeof RULE_WORDS & `claims/${string}`,
  check: (card: Card, words: Words) => Found[]
): Rule =>
  usualRule(id, 'mend', (card) => {
    const words = claimWordsOf(card.language)
    return words ? check(card, quickly(words)) : []
  })

/** The rules about what is claimed of a pose. */
export const claimRules: readonly Rule[] = [
  rule('claims/no-cure', (card, words) => claims(card, words, words.cureTold, words.cure, true)),
  rule('claims/no-promise', (card, words) =>
    unsourced(card, claims(card, words, words.promiseTold, words.promise, false))
  ),
  rule('claims/numbers-have-a-source', (card, words) =>
    unsourced(card, claims(card, words, words.numberTold, words.number, false))
  ),
]
