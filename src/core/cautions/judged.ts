import { type Card, type Caution, type PolicyRule, type School, type Verdict } from '../card'
import { rememberOf, rememberWith } from '../language'
import { type Condition, conditionNamed, conditionsOf } from './conditions'
import { policyOf } from './policy'
import {
  askedOf,
  basisOf,
  highestOpen,
  isOpen,
  type RungVerdict,
  strictest,
  stricter,
  verdictsOf,
  withOneRung,
} from './verdicts'

/** What of a school decides about cautions. */
export type CautionSchool = Pick<School, 'pace' | 'conditions' | 'policy'>

/** A caution that is typed on a card, with the condition that it means. */
export interface Typed {
  caution: Caution
  /** Place in the card’s list. */
  at: number
  /** Null when the condition is not known: it is printed as it stands, and nothing is worked out. */
  condition: Condition | null
}

/** One rung and one condition, after what the card itself says of it. */
export interface Cell extends RungVerdict {
  /** What the policy alone says. */
  usual: Verdict
  /** Whose word stands: the policy’s, the card’s where it is stricter, or the card’s with a reason. */
  by: 'policy' | 'card' | 'reason'
  /** What is typed about it. */
  typed?: Typed
  /** What is typed is milder than what is known allows, and gives no reason. */
  milder?: true
  /** The reason was given for something else than what is usual now; the strictest stands. */
  stale?: true
}

/** A condition with the verdicts of every rung, from the bottom up. */
export interface Row {
  condition: Condition
  cells: Cell[]
  /** The highest rung open; null when none is. */
  open: string | null
}

export interface Judged {
  /** Rungs from the bottom up. */
  rungs: {
    id: string
    name: string
    described: boolean
    beside: boolean
    props: string[]
    /** Whether its form is known. */
    sure: boolean
  }[]
  rows: Row[]
  typed: readonly Typed[]
}

type Laddered = Pick<Card, 'ladder'>

/** Which rung a card describes: the reference, else the only one, else the highest. */
const describedAt = ({ ladder }: Laddered) => {
  const at = ladder.findIndex(({ reference }) => reference)
  return at < 0 ? ladder.length - 1 : at
}

/** What is typed on a card, with what each condition means. */
export const typedOn = (
  { cautions }: Card,
  { conditions }: Pick<School, 'conditions'>
): readonly Typed[] => typedIn(cautions, conditions)

const typedIn = rememberWith((cautions: Card['cautions'], conditions: School['conditions']) =>
  cautions.map((caution, at): Typed => ({
    caution,
    at,
    condition: caution.condition ? conditionNamed(caution.condition, { conditions }) : null,
  }))
)

/** A caution that goes against what is usual says why. */
export const isOverride = ({ reason }: Caution) => reason !== undefined && reason.trim() !== ''

/**
 * The rungs that a caution speaks of. One with a reason speaks of the rung that it names, or of
 * all; one without speaks of the form described, and a rung that it names is where one goes.
 */
function speaksOf(card: Laddered, caution: Caution): (at: number) => boolean {
  if (!isOverride(caution)) return (at) => at === describedAt(card)
  if (caution.rung === undefined) return () => true
  return (at) => card.ladder[at]!.id === caution.rung
}

/** What is usual where a caution with a reason speaks: what is kept with the reason. */
export function basisFor(card: Laddered, caution: Caution, row: readonly RungVerdict[]): string {
  const whole = withOneRung(card)
  const speaks = speaksOf(whole, caution)
  return [...new Set(row.filter((_, i) => speaks(i)).map(basisOf))].join(' | ').slice(0, 400)
}

/**
 * The usual verdict that a caution with no reason is held against: of the rung that it sends to,
 * else of the form described. What is strict only because it is not known goes against nothing
 * but plainly fine.
 */
export function heldAgainst<T extends RungVerdict>(
  card: Laddered,
  row: readonly T[],
  caution: Caution
): { at: T; verdict: Verdict } {
  const sentTo = row.find(({ rung }) => rung === caution.rung)
  const here = row[describedAt(withOneRung(card))]!
  const at = caution.verdict === 'fine' ? here : (sentTo ?? here)
  const { usual = at.verdict } = at as Partial<Cell>
  return {
    at,
    verdict:
      at.unsure && caution.verdict !== 'fine'
        ? strictest(at.rules.map(({ verdict }) => verdict))
        : usual,
  }
}

const isMilder = (card: Laddered, row: readonly RungVerdict[], i: number, caution: Caution) =>
  i === describedAt(card) && stricter(heldAgainst(card, row, caution).verdict, caution.verdict)

function withTyped(card: Laddered, row: readonly Cell[], typed: readonly Typed[]): Cell[] {
  return row.map((cell, i): Cell => {
    const mine = typed.filter(({ caution }) => speaksOf(card, caution)(i))
    // What names the rung counts before what names none.
    const own =
      mine.find(({ caution }) => isOverride(caution) && caution.rung !== undefined) ??
      mine.find(({ caution }) => isOverride(caution)) ??
      mine[0]
    if (!own) return cell
    const { caution } = own
    if (isOverride(caution)) {
      const stale = caution.over !== undefined && caution.over !== basisFor(card, caution, row)
      const verdict = stale ? strictest([caution.verdict, cell.verdict]) : caution.verdict
      return { ...cell, verdict, by: 'reason', typed: own, ...(stale ? { stale } : {}) }
    }
    if (stricter(caution.verdict, cell.verdict))
      return { ...cell, verdict: caution.verdict, by: 'card', typed: own }
    return { ...cell, typed: own, ...(isMilder(card, row, i, caution) ? { milder: true } : {}) }
  })
}

/**
 * All conditions on all rungs of a card: what the school’s policy says of what the body does,
 * and what the card itself says.
 */
export const judgedCard = (card: Card, { pace, conditions, policy }: CautionSchool): Judged =>
  judged(card, pace, conditions, policy)

const judged = rememberWith(
  (
    card: Card,
    pace: CautionSchool['pace'],
    conditions: CautionSchool['conditions'],
    policy: CautionSchool['policy']
  ) => judgedBy(card, { pace, conditions, policy })
)

/** The cells of a rung by condition, where a card says nothing. */
const usualCells = rememberOf((verdicts: readonly RungVerdict[]) =>
  verdicts.map((each): Cell => ({ ...each, usual: each.verdict, by: 'policy' }))
)

/** The verdicts of the rungs by condition, where a card says nothing. */
const usualRows = rememberWith(
  (
    lowest: readonly RungVerdict[],
    conditions: readonly Condition[],
    ...above: readonly (readonly RungVerdict[])[]
  ) => {
    const byRung = [lowest, ...above].map(usualCells)
    return conditions.map((condition, at): Row => {
      const cells = byRung.map((all) => all[at]!)
      return { condition, cells, open: highestOpen([cells]) }
    })
  }
)

/** The verdicts of the rungs by condition, with what is typed: the same as long as all of it is. */
const rowsOf = rememberWith(
  (
    typed: readonly Typed[],
    conditions: readonly Condition[],
    ladder: Card['ladder'],
    ...byRung: readonly (readonly RungVerdict[])[]
  ) =>
    usualRows(byRung[0]!, conditions, ...byRung.slice(1)).map((row): Row => {
      const mine = typed.filter((each) => each.condition?.id === row.condition.id)
      if (mine.length === 0) return row
      const cells = withTyped({ ladder }, row.cells, mine)
      return { ...row, cells, open: highestOpen([cells]) }
    })
)

function judgedBy(card: Card, school: CautionSchool): Judged {
  const whole = withOneRung(card)
  const policy: readonly PolicyRule[] = policyOf(school)
  const asked = askedOf(whole, school)
  const typed = typedOn(card, school)
  const conditions = conditionsOf(school)
  const byRung = asked.map((traits) => verdictsOf(traits, conditions, policy))
  const rows = rowsOf(typed, conditions, whole.ladder, ...byRung)
  const at = describedAt(whole)
  return {
    rungs: whole.ladder.map(({ id, name, beside, props }, i) => ({
      id,
      name,
      described: i === at,
      beside: beside ?? false,
      sure: asked[i]!.sure,
      props: props.length > 0 || i !== at ? props : card.setUp.props,
    })),
    rows,
    typed,
  }
}

/** Whether nobody with it may do any rung: asking first is a way, and staying away from all is none. */
export const isClosed = ({ cells }: Row) => cells.every(({ verdict }) => verdict === 'avoid')

/** The cell of the form that a card describes. */
export const describedCell = ({ rungs }: Judged, { cells }: Row): Cell =>
  cells[rungs.findIndex(({ described }) => described)]!

/** Where a person goes from a rung that is not open: the highest rung open beneath it, if any. */
export const openBelow = ({ cells }: Row, at: number): Cell | null =>
  cells.slice(0, at).findLast(({ verdict }) => isOpen(verdict)) ?? null
