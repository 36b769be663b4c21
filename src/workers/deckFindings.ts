import { timeOf } from '@/core/breath'
import { type Card, type Finding, isAsked, type School, titleOf } from '@/core/card'
import { checkCard, checkDeck } from '@/core/check'

/** What the deck's findings are worked out from. */
export interface DeckJob {
  cards: { card: Card; version: number; status?: string }[]
  school: School
  /** When it is given, the work also tells how the cards differ under these rules. */
  compareWith?: School
}

export interface CardFindings {
  id: string
  title: string
  version: number
  findings: Finding[]
}

export type DeckAnswer =
  | { done: number; total: number }
  | {
      finished: true
      cards: CardFindings[]
      /** Cards whose findings, and whose time, differ between the two sets of rules. */
      differ: { findings: number; time: number }
    }

const EVERY = 20

/** Seconds of a card; of one that cannot be timed none, and the others go on. */
function totalOf(card: Card, school: School): number | null {
  try {
    return timeOf(card, school).total
  } catch {
    return null
  }
}

/** Works out the findings of a deck, telling how far it is after each few cards. */
export function deckFindings(job: DeckJob, tell: (answer: DeckAnswer) => void): void {
  const { cards, school, compareWith } = job
  const differ = { findings: 0, time: 0 }
  const found = cards.map(({ card, version, status = 'draft' }, i): CardFindings => {
    const asked = isAsked(status)
    const findings = checkCard(card, school, asked)
    if (compareWith) {
      const before = checkCard(card, compareWith, asked)
      if (JSON.stringify(before) !== JSON.stringify(findings)) differ.findings += 1
      if (totalOf(card, school) !== totalOf(card, compareWith)) differ.time += 1
    }
    if ((i + 1) % EVERY === 0) tell({ done: i + 1, total: cards.length })
    return { id: card.id, title: titleOf(card), version, findings }
  })
  // What shows only when the cards lie side by side.
  for (const [id, findings] of checkDeck(
    cards.map(({ card }) => card),
    school
  )) {
    const own = found.find((each) => each.id === id)
    if (own) own.findings = [...own.findings, ...findings]
  }
  tell({ finished: true, cards: found, differ })
}
