import { claimWordsOf, inEach, type RULE_WORDS } from '../language'
import type { Card } from './card'
import { type Part, partsOf, type Want } from './parts'
import type { Found, Rule } from './rules'
import { usualRule } from './usualRule'

type Words = NonNullable<ReturnType<typeof claimWordsOf>>

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
const PLAIN = new Set(['condition', 'source', 'over'])
const isTold: Want = ({ kind, field, key }) =>
  kind === 'words' && TOLD.has(field) && !PLAIN.has(key)

const isEffect: Want = ({ field, key }) => field === 'effects' && key === 'text'

type Claims = (card: Card, words: Words) => readonly Found[]

/** What is found in the lines that a claim may stand in. */
function claimsIn(which: Want, kind: 'cure' | 'promise' | 'number'): Claims {
  const found = inEach((words: Words) => ({ path, value }: Part): Found[] => {
    const claim = typeof value === 'string' ? words[kind](value) : null
    if (!claim) return []
    return [
      {
        where: path,
        message: words[`${kind}Told`](claim.words),
        fix: {
          label: words.sayIt(claim.calmer),
          patches: [{ path, value: claim.calmer }],
        },
      },
    ]
  })
  return (card, words) => found(partsOf(card, which), words)
}

/** What is found of effects that no published source stands behind. */
const unsourced =
  (claims: Claims): Claims =>
  (card, words) =>
    claims(card, words).filter(({ where }) => {
      const claim = card.effects[Number(/\d+/.exec(where)![0])]!
      return claim.basis !== 'published' || !claim.source
    })

const rule = (id: keyof typeof RULE_WORDS & `claims/${string}`, check: Claims): Rule =>
  usualRule(id, 'mend', (card) => {
    const words = claimWordsOf(card.language)
    return words ? check(card, words) : []
  })

/** The rules about what is claimed of a pose. */
export const claimRules: readonly Rule[] = [
  rule('claims/no-cure', claimsIn(isTold, 'cure')),
  rule('claims/no-promise', unsourced(claimsIn(isEffect, 'promise'))),
  rule('claims/numbers-have-a-source', unsourced(claimsIn(isEffect, 'number'))),
]
