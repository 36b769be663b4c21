import type { Card, Found, Rule } from '../card'
import { RULE_WORDS, SAY } from '../language'
import { misspellings } from './spelling'

function unlikeIast(card: Card): Found[] {
  const { sanskrit } = card.names
  return misspellings(sanskrit).map(({ word, at, offered, unmarked }) => ({
    where: 'names.sanskrit',
    message: SAY.names.spelt(word, offered, unmarked),
    ...(offered
      ? {
          fix: {
            label: SAY.names.write(offered),
            patches: [
              {
                path: 'names.sanskrit',
                value:
                  sanskrit.normalize('NFC').slice(0, at) +
                  offered +
                  sanskrit.normalize('NFC').slice(at + word.length),
              },
            ],
          },
        }
      : {}),
  }))
}

/** The rules about names. */
export const nameRules: readonly Rule[] = [
  {
    id: 'names/sanskrit-in-iast',
    ...RULE_WORDS['names/sanskrit-in-iast'],
    source: 'published',
    severity: 'mend',
    check: unlikeIast,
  },
]
