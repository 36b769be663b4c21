import { LABELS, lexiconOf } from '../language'
import type { Card } from './card'

/** A question that schools answer differently, and the cards that the answer stands on. */
export interface Convention {
  id: string
  title: string
  /** Usual answers; a school may word its own. */
  answers: readonly string[]
  applies: (card: Card) => boolean
}

const named = (card: Card, pose: keyof typeof LABELS.poses) =>
  LABELS.poses[pose].test(
    [card.id, card.names.sanskrit, ...card.names.common, ...card.names.aliases].join(' ')
  )

/** Which cards each question is about; titles and usual answers are the language’s. */
const APPLIES: readonly Pick<Convention, 'id' | 'applies'>[] = [
  {
    id: 'heel-line',
    applies: (card) =>
      card.base === 'standing' &&
      card.sides === 'sided' &&
      lexiconOf(card.language).named(card.sideNamedBy).has('front-back'),
  },
  {
    id: 'hips-in-twists',
    applies: (card) => card.spine === 'twist',
  },
  {
    id: 'cobra-hands',
    applies: (card) => named(card, 'cobra'),
  },
  {
    id: 'cobra-arms',
    applies: (card) => named(card, 'cobra'),
  },
  {
    id: 'feet',
    applies: (card) => card.base === 'standing' && card.sides === 'even',
  },
  {
    id: 'brow',
    applies: (card) => card.base === 'prone',
  },
  {
    id: 'meal-gap',
    applies: (card) => card.when.mealGapHours === undefined,
  },
  {
    id: 'menstruation',
    applies: (card) => card.base === 'inverted',
  },
  {
    id: 'legs-at-first',
    applies: (card) => card.base === 'prone' || card.base === 'supine',
  },
  {
    id: 'salutation',
    applies: (card) => named(card, 'salutation'),
  },
  {
    id: 'names',
    applies: (card) => card.names.aliases.length > 0,
  },
]

/** Where schools disagree, first side, pace and held breath aside. */
export const CONVENTIONS: readonly Convention[] = APPLIES.map((each) => ({
  ...each,
  ...LABELS.conventions[each.id]!,
}))

/** What the school has settled for a card, in the order of the questions. */
export function conventionsOn(
  card: Card,
  settled: Readonly<Record<string, string>>
): { title: string; answer: string }[] {
  return CONVENTIONS.flatMap(({ id, title, applies }) => {
    const answer = settled[id]
    return answer && applies(card) ? [{ title, answer }] : []
  })
}
