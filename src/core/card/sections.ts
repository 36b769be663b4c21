import { LABELS, SAY_MISSING } from '../language'
import type { Card, Rung } from './card'
import { type Owner, type Part, partsOf, type Want } from './parts'

/** The sections of a card in the order of the work, each with the fields that it holds. */
const FIELDS = {
  name: ['names'],
  when: ['when', 'effects'],
  setup: ['setUp'],
  enter: ['enter', 'otherWay'],
  alignment: ['alignment'],
  stay: ['stay'],
  mistakes: ['mistakes'],
  cautions: ['cautions', 'traits'],
  ladder: ['ladder'],
  exit: ['exit'],
  rest: ['betweenSides', 'counter', 'assists', 'notes'],
}

export type SectionId = keyof typeof FIELDS

export const SECTIONS = (Object.keys(FIELDS) as SectionId[]).map((id) => ({
  id,
  title: LABELS.sections[id],
  fields: FIELDS[id],
}))

export interface SectionState {
  id: SectionId
  title: string
  complete: boolean
  /** What is still missing, each in plain words; empty when complete. */
  missing: { where: string; message: string }[]
}

type Missing = SectionState['missing']

const OF_WORDS = ['step', 'cue', 'instead', 'insteadCue', 'claim', 'assist'] as const
type OfWords = (typeof OF_WORDS)[number]
const isOfWords = (of: Owner): of is OfWords => (OF_WORDS as readonly Owner[]).includes(of)

/** The words that a part is nothing without. */
const isNeeded: Want = ({ of, key }) =>
  (key === 'text' && isOfWords(of)) || (key === 'name' && of === 'rung')

/** Parts that were begun and have no words yet. */
const wordless = (card: Card): Missing =>
  partsOf(card, isNeeded).flatMap((part) =>
    String(part.value).trim() ? [] : [{ where: part.path, message: noWords(part) }]
  )

function noWords({ of, path, field, owners }: Part): string {
  const say = SAY_MISSING.noWords
  const n = 1 + Number(/\d+(?=\]\D*$)/.exec(path)![0])
  if (!isOfWords(of)) return say.name(n)
  const rung = owners.find((owner) => owner.of === 'rung')
  if (!rung) return say.words(say.what[of], n, field === 'otherWay' ? say.otherWay : '')
  return say.words(say.added[of] ?? say.what[of], n, say.rung((rung.value as Rung).name))
}

const LOOKS: Record<SectionId, (card: Card) => Missing> = {
  name(card) {
    const missing: Missing = []
    if (!card.names.common.some(Boolean))
      missing.push({ where: 'names.common', message: SAY_MISSING.commonName })
    if (!card.names.sanskrit)
      missing.push({ where: 'names.sanskrit', message: SAY_MISSING.sanskrit })
    if (card.sides === 'sided' && !card.sideNamedBy)
      missing.push({
        where: 'sideNamedBy',
        message: SAY_MISSING.namedBy,
      })
    return missing
  },
  when(card) {
    return card.when.timeOfDay || card.when.mealGapHours !== undefined
      ? []
      : [
          {
            where: 'when',
            message: SAY_MISSING.when,
          },
        ]
  },
  setup(card) {
    return card.setUp.place ? [] : [{ where: 'setUp.place', message: SAY_MISSING.place }]
  },
  enter: ({ enter }) => (enter.length ? [] : [{ where: 'enter', message: SAY_MISSING.enter }]),
  alignment: ({ alignment }) =>
    alignment.length ? [] : [{ where: 'alignment', message: SAY_MISSING.alignment }],
  stay(card) {
    const counted =
      card.stay.breaths !== undefined ||
      card.stay.seconds !== undefined ||
      (card.manner === 'moving' && card.stay.repeats > 1)
    if (counted) return []
    return [
      {
        where: 'stay',
        message: card.manner === 'moving' ? SAY_MISSING.repeats : SAY_MISSING.stay,
      },
    ]
  },
  mistakes(card) {
    if (card.mistakes.length === 0) return [{ where: 'mistakes', message: SAY_MISSING.mistakes }]
    return card.mistakes.flatMap((mistake, i) => {
      const gaps = (['seen', 'why', 'say'] as const).filter((part) => !mistake[part])
      const words = SAY_MISSING.parts
      return gaps.map((part) => ({
        where: `mistakes[${i}].${part}`,
        message: SAY_MISSING.mistake(i + 1, words[part]),
      }))
    })
  },
  cautions(card) {
    if (card.cautions.length === 0) return [{ where: 'cautions', message: SAY_MISSING.cautions }]
    return card.cautions.flatMap((caution, i) =>
      caution.condition && caution.say
        ? []
        : [
            {
              where: `cautions[${i}]`,
              message: SAY_MISSING.caution(i + 1, Boolean(caution.condition)),
            },
          ]
    )
  },
  ladder(card) {
    if (card.ladder.length < 2)
      return [
        {
          where: 'ladder',
          message: SAY_MISSING.ladder,
        },
      ]
    return card.ladder.some((rung) => rung.reference)
      ? []
      : [{ where: 'ladder', message: SAY_MISSING.reference }]
  },
  exit: ({ exit }) => (exit.length ? [] : [{ where: 'exit', message: SAY_MISSING.exit }]),
  rest(card) {
    const missing: Missing = []
    if (card.counter.length === 0) missing.push({ where: 'counter', message: SAY_MISSING.counter })
    if (card.sides === 'sided' && !card.betweenSides.text)
      missing.push({ where: 'betweenSides.text', message: SAY_MISSING.between })
    return missing
  },
}

/**
 * How far each section of a card is written, in the order of the work.
 * @example completeness(card).filter((section) => !section.complete)
 */
export function completeness(card: Card): SectionState[] {
  const begun = wordless(card)
  return SECTIONS.map(({ id, title }) => {
    const missing = [...LOOKS[id](card), ...begun.filter(({ where }) => sectionOf(where) === id)]
    return { id, title, complete: missing.length === 0, missing }
  })
}

/** The section that a finding’s path belongs to; what has no section stands with the names. */
export function sectionOf(where: string): SectionId {
  const field = /^[A-Za-z]+/.exec(where)?.[0] ?? ''
  return SECTIONS.find(({ fields }) => fields.includes(field))?.id ?? 'name'
}
