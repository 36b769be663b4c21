import {
  atRung,
  type Card,
  type Demanded,
  DEMANDED,
  type Finding,
  runRules,
  type School,
} from '../card'
import { LADDER } from '../language'
import { type Demand, demandsOf, type Origin } from './demand'
import { ladderRules } from './order'
import { type Closes, firstOpen, type Missing, openingsFor, type Person } from './person'

/** One decimal is enough of a demand. */
const tenth = (value: number) => Math.round(value * 10) / 10

/** A demand as plain numbers: each part, and the total. */
export type DemandNumbers = Record<Demanded | 'total', number>

export const demandNumbers = ({ parts, total }: Demand): DemandNumbers => ({
  ...(Object.fromEntries(DEMANDED.map((part) => [part, tenth(parts[part].value)])) as Record<
    Demanded,
    number
  >),
  total: tenth(total),
})

/** What a ladder asks, in which order, and what is wrong with it. */
export interface LadderReport {
  rungs: {
    id: string
    /** Null when nothing tells the form of the rung. */
    demand: DemandNumbers | null
    sure: boolean
    from: string
    open?: boolean | null
    missing?: Missing[]
    closes?: Closes[]
  }[]
  /** From the least asking; rungs whose form is not known are left out. */
  order: string[]
  findings: Finding[]
  firstOpen?: string | null
}

/**
 * The whole of a ladder as plain data.
 * @param person for whom each rung is open or not
 */
export function ladderReport(card: Card, school: School, person?: Person): LadderReport {
  const rated = demandsOf(card, school)
  const openings = person && openingsFor(card, person)
  const rungs = rated.map(({ id, demand, sure, from }, i): LadderReport['rungs'][number] => ({
    id,
    demand: demand && demandNumbers(demand),
    sure,
    from,
    ...(openings
      ? {
          open: openings[i]!.open,
          missing: openings[i]!.missing,
          closes: openings[i]!.closes,
        }
      : {}),
  }))
  return {
    rungs,
    order: rated
      .flatMap(({ id, demand }) => (demand ? [{ id, total: demand.total }] : []))
      .sort((a, b) => a.total - b.total)
      .map(({ id }) => id),
    findings: runRules(ladderRules, card, school, true),
    ...(openings ? { firstOpen: firstOpen(openings) } : {}),
  }
}

/** What the rules find on a rung as it is done that they do not find on the form described. */
export function findingsOnRung(
  card: Card,
  rungId: string,
  check: (card: Card) => Finding[]
): Finding[] {
  const key = ({ rule, message }: Finding) => `${rule} ${message}`
  // Who may do it is told of every rung by its verdicts.
  const alone = (done: Card): Card => ({ ...done, ladder: [], cautions: [] })
  const before = new Set(check(alone(card)).map(key))
  const done = atRung(card, rungId)
  const { props } = card.ladder.find(({ id }) => id === rungId)!
  const ids = (cues: Card['alignment']) => new Set(cues.map(({ id }) => id))
  const [all, left] = [ids(card.alignment), ids(done.alignment)]
  const meant = new Set([
    // A note is of the whole card: it may speak of what another rung needs.
    'sense/props-named setUp.note',
    // What the rung needs is listed by the rung: whether it is used is told of the ladder.
    ...done.setUp.props.flatMap((prop, i) =>
      props.includes(prop) ? [`sense/props-used setUp.props[${i}]`] : []
    ),
    // That the rung leaves out the cue which a mistake breaks is no slip of the mistake.
    ...done.mistakes.flatMap(({ cue = '' }, i) =>
      all.has(cue) && !left.has(cue) ? [`card/links-lead-somewhere mistakes[${i}].cue`] : []
    ),
  ])
  return check(alone(done)).filter(
    (finding) => !before.has(key(finding)) && !meant.has(`${finding.rule} ${finding.where}`)
  )
}

// In words

/** How a number was worked out, in words. */
export function originWords(origin: Origin): string {
  const words = LADDER.origin
  switch (origin.of) {
    case 'motion':
      return words.motion(origin.motion, origin.side, origin.degrees, origin.normal)
    case 'joint':
      return words.joint(origin.joint, origin.share)
    case 'balance':
      return words.balance(origin.margin, origin.size, origin.height, origin.degrees)
    case 'hand':
      return words.hand(origin.part, origin.share, origin.degrees)
    case 'head weight':
      return words.headWeight(origin.share)
    case 'bent neck':
      return words.bentNeck(origin.share, origin.degrees)
    case 'head low':
      return words.headLow(origin.cm)
    case 'stay':
      return words.stay(origin.seconds, origin.effort)
    default:
      return words[origin.of]
  }
}

export function missingWords(missing: Missing): string {
  const { person } = LADDER
  if (missing.of === 'degrees') return person.missing(missing.need, missing.short)
  if (missing.of === 'weight') return person.noWeight(missing.share)
  return person.short(missing.part, missing.on, missing.cm)
}

export function closesWords(closes: Closes): string {
  const { person } = LADDER
  if (closes.of === 'prop') return person.raise(closes.part, closes.prop, closes.cm)
  return closes.of === 'wedge' ? person.wedge(closes.cm) : person.pad(closes.cm)
}
