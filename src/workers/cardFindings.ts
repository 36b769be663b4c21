import type { Card, Finding, School } from '@/core/card'
import { checkCard } from '@/core/check'

/** What the bench asks for: the findings of the card as it is now. */
export interface FindingsJob {
  card: Card
  school: School
}

export interface FindingsAnswer {
  findings: Finding[]
}

/** Everything that the rules find on a card, beside the page. */
export const cardFindings = ({ card, school }: FindingsJob): FindingsAnswer => ({
  findings: checkCard(card, school),
})
