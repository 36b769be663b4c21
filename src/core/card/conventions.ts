import type { Card } from './card'

/** A question that schools answer differently, and the cards that the answer stands on. */
export interface Convention {
  id: string
  title: string
  /** Usual answers; a school may word its own. */
  answers: readonly string[]
  applies: (card: Card) => boolean
}

const named = (card: Card, pattern: RegExp) =>
  pattern.test(
    [card.id, card.names.sanskrit, ...card.names.common, ...card.names.aliases].join(' ')
  )

/** Where schools disagree, first side, pace and held breath aside. Common practice, no source. */
export const CONVENTIONS: readonly Convention[] = [
  {
    id: 'heel-line',
    title: 'Heel line',
    answers: ['front heel to back arch', 'heel to heel'],
    applies: (card) =>
      card.base === 'standing' && card.sides === 'sided' && /front/i.test(card.sideNamedBy),
  },
  {
    id: 'hips-in-twists',
    title: 'Hips in twists',
    answers: ['square', 'free, the turn taken in the ribs'],
    applies: (card) => card.spine === 'twist',
  },
  {
    id: 'cobra-hands',
    title: 'Hands in cobra',
    answers: ['by the chest', 'by the head'],
    applies: (card) => named(card, /cobra|bhuja[nṅ]g/i),
  },
  {
    id: 'cobra-arms',
    title: 'Arms in cobra',
    answers: ['bent', 'straight'],
    applies: (card) => named(card, /cobra|bhuja[nṅ]g/i),
  },
  {
    id: 'feet',
    title: 'Feet',
    answers: ['together', 'hip-width'],
    applies: (card) => card.base === 'standing' && card.sides === 'even',
  },
  {
    id: 'brow',
    title: 'Face down',
    answers: ['chin down', 'forehead down'],
    applies: (card) => card.base === 'prone',
  },
  {
    id: 'meal-gap',
    title: 'After a meal',
    answers: ['1.5 hours', '2 hours', '3 hours', 'an empty stomach'],
    applies: (card) => card.when.mealGapHours === undefined,
  },
  {
    id: 'menstruation',
    title: 'Menstruation',
    answers: ['no inversions', 'as the student likes'],
    applies: (card) => card.base === 'inverted',
  },
  {
    id: 'legs-at-first',
    title: 'Legs at first',
    answers: ['together', 'apart'],
    applies: (card) => card.base === 'prone' || card.base === 'supine',
  },
  {
    id: 'salutation',
    title: 'Salutation',
    answers: [
      'right leg back first, left leg back first in the second round',
      'the leg that stepped back comes forward',
      '12 positions',
    ],
    applies: (card) => named(card, /salutation|namask[aā]r/i),
  },
  {
    id: 'names',
    title: 'Names',
    answers: ['one name for one pose; the other names are listed as also called'],
    applies: (card) => card.names.aliases.length > 0,
  },
]

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
