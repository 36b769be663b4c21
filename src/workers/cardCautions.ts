import { type Card, type School, titleOf, type Verdict } from '@/core/card'
import { conditionsOf, judgedCard, together, type WayOut, waysOut } from '@/core/cautions'
import { type Drawing, drawnFigure } from '@/core/figure'
import { sheetOf } from '@/core/print'
import { plainText } from '@/core/sides'
import { type SeenWhy, whyOf } from './deckCautions'

/** What is asked of the card on the bench. */
export type CardCautionsJob =
  | { ask: 'verdicts'; card: Card; school: School }
  | { ask: 'ways'; card: Card; school: School; conditions: string[]; deck: { card: Card }[] }
  /** What holds on each rung for someone who has all of these. */
  | { ask: 'together'; card: Card; school: School; conditions: string[] }
  /** The wrong form beside the right one, of each mistake that has one. */
  | { ask: 'faults'; card: Card; school: School }

export interface SeenFault {
  /** Place of the mistake. */
  at: number
  drawn: { drawing: Drawing; caption: string }[]
}

/** One rung for someone who has several things. */
export interface SeenTogether {
  id: string
  name: string
  described: boolean
  verdict: Verdict
  change: string[]
  reason: string[]
  /** Changes that go against each other. */
  against: [string, string][]
}

export interface CardCautionsAnswer {
  verdicts?: SeenWhy[]
  /** Whether the form of every rung is known. */
  sure?: boolean
  ways?: WayOut[]
  together?: SeenTogether[]
  faults?: SeenFault[]
}

/** Answers jobs about a card; the same answer twice running is told once, so that nothing is drawn anew. */
export function followCautions(): (job: CardCautionsJob) => CardCautionsAnswer {
  let last = ''
  return (job) => {
    const answer = cardCautions(job)
    // Ways out are asked for by hand: whoever asks again is told again.
    if (job.ask === 'ways') return answer
    const text = JSON.stringify(answer)
    if (text === last) return {}
    last = text
    return answer
  }
}

/** Answers one job about a card; a card that cannot be worked out gives nothing. */
export function cardCautions(job: CardCautionsJob): CardCautionsAnswer {
  try {
    switch (job.ask) {
      case 'verdicts': {
        const verdicts = conditionsOf(job.school).flatMap(
          ({ id }) => whyOf(job.card, id, null, job.school) ?? []
        )
        return { verdicts, sure: verdicts[0]?.rungs.every(({ sure }) => sure) ?? false }
      }
      case 'ways':
        return {
          ways: waysOut(
            job.card,
            job.conditions,
            job.deck.map(({ card }) => card),
            job.school
          ).slice(0, 6),
        }
      case 'together': {
        const { rows, rungs } = judgedCard(job.card, job.school)
        const asked = rows.filter(({ condition }) => job.conditions.includes(condition.id))
        return {
          together: rungs.map(({ id, name, described }, i) => {
            const { verdict, change, reason, against } = together(
              asked.map(({ cells }) => cells[i]!)
            )
            const shown = plainText(name, job.card) || titleOf(job.card)
            return { id, name: shown, described, verdict, change, reason, against }
          }),
        }
      }
      case 'faults': {
        const part = sheetOf(job.card, job.school).parts.find(({ id }) => id === 'mistakes')
        const items = part?.blocks.flatMap((block) => (block.kind === 'list' ? block.items : []))
        return {
          faults: (items ?? []).flatMap(({ drawn = [] }, at) =>
            drawn.length === 0
              ? []
              : [
                  {
                    at,
                    drawn: drawn.map(({ figure, letters, shown, caption }) => ({
                      drawing: drawnFigure(figure, letters, shown),
                      caption,
                    })),
                  },
                ]
          ),
        }
      }
    }
  } catch {
    return {}
  }
}
