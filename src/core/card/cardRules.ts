import type { Card, Rung } from './card'
import { inEach, packOf, rememberOf, RULE_WORDS, SAY } from '../language'
import type { Found, Rule } from './rules'
import { completeness, SECTIONS } from './sections'
import { idsOf, linksOf, type Part } from './parts'

const completenessRules: Rule[] = SECTIONS.map(({ id, title }) => ({
  id: `card/${id}-complete`,
  looksAt: SAY.sectionRule(title),
  why: SAY.sectionWhy[id],
  source: 'common practice',
  severity: 'mend',
  whenAsked: true,
  check: (card) => completeness(card).find((section) => section.id === id)!.missing,
}))

/** Hours that schools ask for lie well within these: 1 after fruit, 3 after a meal, 4 on an empty stomach. */
const USUAL_GAP = { least: 0.75, most: 6 }

const NAMED = { step: 'steps', cue: 'cues', rung: 'rungs' } as const

const named = inEach(() => ({ of, value, path }: Part) => [
  { of, value, path, key: `${of} ${value as string}` },
])
/** The ids of a card with what links name them by: `step s3`. */
const namedOn = rememberOf((card: Card) => named(idsOf(card)))

function doubles(card: Card): Found[] {
  const seen = new Set<string>()
  return namedOn(card).flatMap(({ of, value, path, key }) => {
    if (!seen.has(key)) {
      seen.add(key)
      return []
    }
    const what = NAMED[of as keyof typeof NAMED]
    return [
      {
        where: path,
        message: SAY.card.double(value as string, what),
      },
    ]
  })
}

/** Links inside the card that lead nowhere. */
function deadLinks(card: Card): Found[] {
  const ids = new Set(namedOn(card).map(({ key }) => key))
  return linksOf(card).flatMap(({ to, value, path, owners }) => {
    if (to === 'card' || ids.has(`${to} ${value as string}`)) return []
    const rung = owners.find((owner) => owner.of === 'rung')?.value as Rung | undefined
    return [
      {
        where: path,
        message: rung
          ? SAY.card.deadOnRung(rung.name, to, value as string)
          : SAY.card.dead(to, value as string),
      },
    ]
  })
}

/** The rules about the card as a whole. */
export const cardRules: readonly Rule[] = [
  {
    id: 'card/one-id-one-part',
    ...RULE_WORDS['card/one-id-one-part'],
    source: 'format',
    severity: 'stop',
    check: doubles,
  },
  {
    id: 'card/links-lead-somewhere',
    ...RULE_WORDS['card/links-lead-somewhere'],
    source: 'format',
    severity: 'stop',
    check: deadLinks,
  },
  {
    id: 'card/language-is-known',
    ...RULE_WORDS['card/language-is-known'],
    source: 'format',
    severity: 'mend',
    check: ({ language, sides }) =>
      packOf(language)
        ? []
        : [
            {
              where: 'language',
              message: SAY.card.unknownLanguage(language, sides === 'sided'),
            },
          ],
  },
  {
    id: 'card/one-reference-rung',
    ...RULE_WORDS['card/one-reference-rung'],
    source: 'common practice',
    severity: 'stop',
    check: (card) =>
      card.ladder.filter((rung) => rung.reference).length > 1
        ? [{ where: 'ladder', message: SAY.card.references }]
        : [],
  },
  {
    id: 'card/not-its-own-counter',
    ...RULE_WORDS['card/not-its-own-counter'],
    source: 'common practice',
    severity: 'mend',
    check: (card) =>
      card.counter.flatMap((id, i) =>
        id === card.id ? [{ where: `counter[${i}]`, message: SAY.card.ownCounter }] : []
      ),
  },
  {
    id: 'card/claims-have-a-basis',
    ...RULE_WORDS['card/claims-have-a-basis'],
    source: 'common practice',
    severity: 'mend',
    check: (card) =>
      card.effects.flatMap((claim, i) =>
        claim.basis === 'published' && !claim.source
          ? [
              {
                where: `effects[${i}].source`,
                message: SAY.card.noSource,
              },
            ]
          : []
      ),
  },
  {
    id: 'card/usual-meal-gap',
    ...RULE_WORDS['card/usual-meal-gap'],
    source: 'common practice',
    severity: 'note',
    check: ({ when: { mealGapHours: hours = 0 } }) =>
      hours === 0 || (hours >= USUAL_GAP.least && hours <= USUAL_GAP.most)
        ? []
        : [{ where: 'when.mealGapHours', message: SAY.card.mealGap(hours) }],
  },
  ...completenessRules,
]
