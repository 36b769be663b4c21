import {
  atRung,
  type Card,
  type Demanded,
  DEMANDED,
  type Finding,
  type Rung,
  type School,
} from '@/core/card'
import { timeOf } from '@/core/breath'
import { checkCard } from '@/core/check'
import { draw, type Drawing, type Figure, figureShown, measureWords, solved } from '@/core/figure'
import {
  closesWords,
  demandNumbers,
  type DemandNumbers,
  demandsOf,
  findingsOnRung,
  firstOpen,
  missingWords,
  openingsFor,
  originWords,
  type Person,
  proposalsFor,
  READY_BODIES,
  rungForm,
  signRead,
  signsOffered,
  type Way,
} from '@/core/ladder'
import { LADDER } from '@/core/language'

/** What the ladder view asks for. */
export type LadderJob =
  | { ask: 'ladder'; card: Card; school: School; person: Person | null }
  | { ask: 'proposals'; card: Card; school: School }

/** One rung as it is looked at: everything in words and shapes. */
export interface RungSeen {
  id: string
  demand: DemandNumbers | null
  /** What each number was worked out from, in words. */
  why: Record<Demanded, string[]>
  sure: boolean
  /** Where its form comes from, in words. */
  from: string
  drawing: Drawing | null
  /** Seconds of the whole card on this rung. */
  seconds: number
  /** What the rules find on the rung as it is done, and not on the form described. */
  findings: Finding[]
  opening: { open: boolean | null; missing: string[]; closes: string[] } | null
  /** Ready bodies to whom this is the first open rung, in words. */
  opensTo: string[]
  /** What its figure reads where a sign is tied to a measure. */
  signs: { sign: string; read: string; met: boolean }[]
}

export interface ProposalSeen {
  way: Way
  rung: Rung
  demand: DemandNumbers
  drawing: Drawing
}

export interface LadderAnswer {
  rungs?: RungSeen[]
  offered?: { up: string[]; down: string[] }
  proposals?: ProposalSeen[]
}

/** Small drawings may be coarser than those that are looked at. */
const COARSE = 0.014

function drawn(card: Card, figure: Figure, school: School, person?: Person | null): Drawing {
  const shown = figureShown(card, figure, card.writtenFor, school)
  return draw(shown, solved(shown, person?.stature), { cell: COARSE })
}

const NONE = Object.fromEntries(
  DEMANDED.map((part) => [part, [] as string[]])
) as unknown as Record<Demanded, string[]>

/** Works out what is asked for; what cannot be worked out of one rung leaves the others. */
export function ladderWork(job: LadderJob): LadderAnswer {
  const { card, school } = job
  if (job.ask === 'proposals')
    return {
      proposals: proposalsFor(card, school).map(({ way, rung, figure, demand }) => ({
        way,
        rung,
        demand: demandNumbers(demand),
        drawing: drawn(card, figure, school),
      })),
    }
  const openings = job.person && openingsFor(card, job.person)
  const firsts = READY_BODIES.map(({ id, person }) => ({
    name: LADDER.person.ready[id],
    rung: firstOpen(openingsFor(card, person)),
  }))
  const rungs = demandsOf(card, school).map(({ id, demand, sure, from }, i): RungSeen => {
    const { figure } = rungForm(card, id)
    const opening = openings?.[i]
    return {
      id,
      demand: demand && demandNumbers(demand),
      why: demand
        ? (Object.fromEntries(
            DEMANDED.map((part) => [part, demand.parts[part].from.map(originWords)])
          ) as Record<Demanded, string[]>)
        : NONE,
      sure,
      from: sure || !demand ? LADDER.from[from] : LADDER.unsure,
      // With a person set, the form is drawn as far as they can do it.
      drawing: figure && drawn(card, opening?.form ?? figure, school, job.person),
      opensTo: firsts.filter(({ rung }) => rung === id).map(({ name }) => name),
      seconds: timeOf(atRung(card, id), school).total,
      findings: findingsOnRung(card, id, (done) => checkCard(done, school)),
      opening: opening
        ? {
            open: opening.open,
            missing: opening.missing.map(missingWords),
            closes: opening.closes.map(closesWords),
          }
        : null,
      signs: card.ladder[i]!.upWhen.flatMap((sign) => {
        const read = signRead(card, id, sign)
        return read
          ? [{ sign, read: measureWords(read.value, read.unit), met: read.off === 0 }]
          : []
      }),
    }
  })
  return { rungs, offered: signsOffered(card, school) }
}
