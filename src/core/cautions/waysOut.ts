import { type Base, type Card, type Spine, titleOf, type Verdict } from '../card'
import { type CautionSchool, judgedCard, typedOn } from './judged'
import { ASK_ANYWAY } from './policy'
import { isOpen, strictest, STRICTNESS } from './verdicts'

/** Another card where somebody may go, and the rung that is open there. */
export interface WayOut {
  card: string
  title: string
  /** The highest that is open up to the form described, else the lowest above it. */
  rung: string
  /** Its name; empty for the one form of a card. */
  name: string
  /** What it has in common with the card that is closed. */
  shares: 'spine and base' | 'spine' | 'base' | 'nothing'
  /** What holds there: fine, or fine with a change. */
  verdict: Verdict
}

const SHARES: readonly WayOut['shares'][] = ['spine and base', 'spine', 'base', 'nothing']

const shared = (
  a: { base: Base; spine: Spine },
  b: { base: Base; spine: Spine }
): WayOut['shares'] | null =>
  a.spine === b.spine
    ? a.base === b.base
      ? 'spine and base'
      : 'spine'
    : a.base === b.base
      ? 'base'
      : null

/**
 * Whether somebody may go there: the rung is open, or a clinician is asked first as with every
 * form, and who asks whatever the form is never told more than that.
 */
export const letsIn = (condition: string, verdict: Verdict) =>
  isOpen(verdict) || (ASK_ANYWAY.has(condition) && verdict === 'ask-first')

/** The rung of another card where those with all of these conditions come to; null when none lets them in. */
function wayTo(
  other: Card,
  conditions: readonly string[],
  school: CautionSchool
): Omit<WayOut, 'shares'> | null {
  const { rows, rungs } = judgedCard(other, school)
  const asked = rows.filter(({ condition }) => conditions.includes(condition.id))
  const opens = rungs.map((_, i) =>
    asked.every(({ condition, cells }) => letsIn(condition.id, cells[i]!.verdict))
  )
  // One comes to the form described or to what leads to it, and goes on from there.
  const top = rungs.findIndex(({ described }) => described)
  const below = opens.slice(0, top + 1).lastIndexOf(true)
  const at = below >= 0 ? below : opens.indexOf(true)
  if (at < 0) return null
  return {
    card: other.id,
    title: titleOf(other),
    rung: rungs[at]!.id,
    name: rungs[at]!.name,
    verdict: strictest(asked.map(({ cells }) => cells[at]!.verdict)),
  }
}

/**
 * Cards that serve the same direction of the spine or stand on the same base, and have a rung that
 * all of these conditions leave open; the one that the card itself names comes first, whatever it
 * shares, then those that share both.
 * @param conditions ids of conditions
 */
export function waysOut(
  card: Card,
  conditions: readonly string[],
  deck: readonly Card[],
  school: CautionSchool
): WayOut[] {
  const named = new Set(
    typedOn(card, school).flatMap(({ caution, condition }) =>
      condition && caution.instead && conditions.includes(condition.id) ? [caution.instead] : []
    )
  )
  const first = (way: WayOut) => (named.has(way.card) ? 0 : 1)
  return deck
    .flatMap((other): WayOut[] => {
      const shares = shared(card, other)
      if (other.id === card.id || (!shares && !named.has(other.id))) return []
      const way = wayTo(other, conditions, school)
      return way ? [{ ...way, shares: shares ?? 'nothing' }] : []
    })
    .sort(
      (a, b) =>
        first(a) - first(b) ||
        SHARES.indexOf(a.shares) - SHARES.indexOf(b.shares) ||
        STRICTNESS.indexOf(b.verdict) - STRICTNESS.indexOf(a.verdict) ||
        a.title.localeCompare(b.title)
    )
}
