import { type Card, type Finding, type School, unchecked } from '@/core/card'
import { checkCard } from '@/core/check'

/** What the bench asks for: the findings of the card with these fields as they are now. */
export interface FindingsJob {
  /** The fields that changed since it asked before; all of them at first. */
  changed: Partial<Card>
  school: School
  /** Whether the card’s review is asked for. */
  asked: boolean
}

export interface FindingsAnswer {
  findings: Finding[]
}

/** Follows one card: each job tells what changed, and everything that the rules find is told. */
export function followCard(): (job: FindingsJob) => FindingsAnswer {
  let card = {} as Card
  return ({ changed, school, asked }) => {
    card = { ...card, ...changed }
    try {
      return { findings: checkCard(card, school, asked) }
    } catch (error) {
      return { findings: [unchecked(error instanceof Error ? error.message : String(error))] }
    }
  }
}
