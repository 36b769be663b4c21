import { LABELS } from '../language'
import type { Card } from './card'

/** The sections of a card in the order of the work, each with the fields that it holds. */
const FIELDS = {
  name: ['names'],
  when: ['when', 'effects'],
  setup: ['setUp'],
  enter: ['enter', 'otherWay'],
  alignment: ['alignment'],
  stay: ['stay'],
  mistakes: ['mistakes'],
  cautions: ['cautions'],
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

const wordless = (lines: { text: string }[]) => lines.findIndex((each) => !each.text)

type Missing = SectionState['missing']

const LOOKS: Record<SectionId, (card: Card) => Missing> = {
  name(card) {
    const missing: Missing = []
    if (!card.names.common.some(Boolean))
      missing.push({ where: 'names.common', message: 'Give the pose a common name.' })
    if (!card.names.sanskrit)
      missing.push({ where: 'names.sanskrit', message: 'Give the Sanskrit name, with its marks.' })
    if (card.sides === 'sided' && !card.sideNamedBy)
      missing.push({
        where: 'sideNamedBy',
        message: 'Say what the side is named by, such as the front leg.',
      })
    return missing
  },
  when(card) {
    return card.when.timeOfDay || card.when.mealGapHours !== undefined
      ? []
      : [
          {
            where: 'when',
            message: 'Say when it is practised: the hours after a meal, or the time of day.',
          },
        ]
  },
  setup(card) {
    return card.setUp.place
      ? []
      : [{ where: 'setUp.place', message: 'Say where the student starts, and how.' }]
  },
  enter: (card) => stepsMissing(card.enter, 'enter', 'Write the steps into the pose.'),
  alignment(card) {
    if (card.alignment.length === 0)
      return [{ where: 'alignment', message: 'Write the alignment cues, from the ground up.' }]
    const empty = wordless(card.alignment)
    return empty < 0
      ? []
      : [{ where: `alignment[${empty}].text`, message: `Cue ${empty + 1} has no words yet.` }]
  },
  stay(card) {
    const counted =
      card.stay.breaths !== undefined ||
      card.stay.seconds !== undefined ||
      (card.manner === 'moving' && card.stay.repeats > 1)
    if (counted) return []
    return [
      {
        where: 'stay',
        message:
          card.manner === 'moving'
            ? 'Say how many times it is repeated.'
            : 'Say how long the stay is, in breaths or in seconds.',
      },
    ]
  },
  mistakes(card) {
    if (card.mistakes.length === 0)
      return [{ where: 'mistakes', message: 'Write at least one thing that goes wrong.' }]
    return card.mistakes.flatMap((mistake, i) => {
      const gaps = (['seen', 'why', 'say'] as const).filter((part) => !mistake[part])
      const words = { seen: 'what is seen', why: 'why it matters', say: 'what to say' }
      return gaps.map((part) => ({
        where: `mistakes[${i}].${part}`,
        message: `Mistake ${i + 1} does not say ${words[part]}.`,
      }))
    })
  },
  cautions(card) {
    if (card.cautions.length === 0)
      return [{ where: 'cautions', message: 'Say who must not, or must ask first.' }]
    return card.cautions.flatMap((caution, i) =>
      caution.condition && caution.say
        ? []
        : [
            {
              where: `cautions[${i}]`,
              message: `Caution ${i + 1} lacks ${caution.condition ? 'what to say' : 'its condition'}.`,
            },
          ]
    )
  },
  ladder(card) {
    if (card.ladder.length < 2)
      return [
        {
          where: 'ladder',
          message: 'Give at least two rungs: the form described here and an easier one.',
        },
      ]
    return card.ladder.some((rung) => rung.reference)
      ? []
      : [{ where: 'ladder', message: 'Say which rung the main steps describe.' }]
  },
  exit: (card) => stepsMissing(card.exit, 'exit', 'Write the way out, as carefully as the way in.'),
  rest(card) {
    const missing: Missing = []
    if (card.counter.length === 0)
      missing.push({ where: 'counter', message: 'Name a pose that follows or balances this one.' })
    if (card.sides === 'sided' && !card.betweenSides.text)
      missing.push({ where: 'betweenSides.text', message: 'Say what happens between the sides.' })
    return missing
  },
}

function stepsMissing(steps: Card['enter'], where: string, none: string): Missing {
  if (steps.length === 0) return [{ where, message: none }]
  const empty = wordless(steps)
  return empty < 0
    ? []
    : [{ where: `${where}[${empty}].text`, message: `Step ${empty + 1} has no words yet.` }]
}

/**
 * How far each section of a card is written, in the order of the work.
 * @example completeness(card).filter((section) => !section.complete)
 */
export function completeness(card: Card): SectionState[] {
  return SECTIONS.map(({ id, title }) => {
    const missing = LOOKS[id](card)
    return { id, title, complete: missing.length === 0, missing }
  })
}

/** The section that a finding’s path belongs to; what has no section stands with the names. */
export function sectionOf(where: string): SectionId {
  const field = /^[A-Za-z]+/.exec(where)?.[0] ?? ''
  return SECTIONS.find(({ fields }) => fields.includes(field))?.id ?? 'name'
}
