import { type Base, type Card, type Spine, titleOf } from '../card'
import { type CautionSchool, judgedCard } from './judged'
import { highestOpen } from './verdicts'

/** Another card where somebody may go, and the rung that is open there. */
export interface WayOut {
  card: string
  title: string
  rung: string
  /** Its name; empty for the one form of a card. */
  name: string
  /** What it has in common with the card that is closed. */
  shares: 'spine and base' | 'spine' | 'base'
}

const SHARES: readonly WayOut['shares'][] = ['spine and base', 'spine', 'base']

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
 * Cards that serve the same direction of the spine or stand on the same base, and have a rung that
 * all of these conditions leave open. Those that share both come first.
 * @param conditions ids of conditions
 */
export function waysOut(
  card: Pick<Card, 'id' | 'base' | 'spine'>,
  conditions: readonly string[],
  deck: readonly Card[],
  school: CautionSchool
): WayOut[] {
  return deck
    .flatMap((other): WayOut[] => {
      const shares = other.id === card.id ? null : shared(card, other)
      if (!shares) return []
      const { rows, rungs } = judgedCard(other, school)
      const open = highestOpen(
        rows.filter(({ condition }) => conditions.includes(condition.id)).map(({ cells }) => cells)
      )
      if (open === null) return []
      const name = rungs.find(({ id }) => id === open)!.name
      return [{ card: other.id, title: titleOf(other), rung: open, name, shares }]
    })
    .sort(
      (a, b) =>
        SHARES.indexOf(a.shares) - SHARES.indexOf(b.shares) || a.title.localeCompare(b.title)
    )
}
