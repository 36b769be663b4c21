import { type Base, type Card, type Demanded, type School, type Spine, titleOf } from '../card'
import { plainText } from '../sides'
import { demandsOf } from './demand'
import { demandNumbers, type DemandNumbers } from './report'

/** One rung of a deck, as high as what it asks. */
export interface Level {
  card: string
  title: string
  rung: string
  name: string
  reference: boolean
  beside: boolean
  demand: DemandNumbers
}

/** A card with its rungs; those whose form is not known are counted, and not placed. */
export interface CardLevels {
  id: string
  title: string
  base: Base
  spine: Spine
  levels: Level[]
  unknown: number
}

/** Where each card and each of its rungs stands. */
export function levelsOf(card: Card, school: Pick<School, 'pace' | 'weights'>): CardLevels {
  const title = titleOf(card)
  const rated = demandsOf(card, school)
  return {
    id: card.id,
    title,
    base: card.base,
    spine: card.spine,
    unknown: rated.filter(({ sure }) => !sure).length,
    levels: rated.flatMap(({ id, demand, sure }, i): Level[] => {
      const rung = card.ladder[i]!
      if (!demand || !sure) return []
      return [
        {
          card: card.id,
          title,
          rung: id,
          name: plainText(rung.name, card) || id,
          reference: rung.reference ?? false,
          beside: rung.beside ?? false,
          demand: demandNumbers(demand),
        },
      ]
    }),
  }
}

/** A stretch with no rung in it, between two that are next to each other in a family. */
export interface Gap {
  family: string
  from: Level
  to: Level
  /** Points of the demand. */
  by: number
}

/** A stretch this long is a gap: about one rung of a usual ladder. Our own, set by trying. */
export const GAP = 7

/**
 * Gaps between the levels of each family, the widest first.
 * @param family what cards belong together by
 * @param of the part that is looked at, or the total
 */
export function gapsIn(
  cards: readonly CardLevels[],
  family: 'base' | 'spine',
  of: Demanded | 'total' = 'total',
  least = of === 'total' ? GAP : 2 * GAP
): Gap[] {
  const families = new Map<string, Level[]>()
  for (const card of cards)
    for (const level of card.levels)
      if (!level.beside) families.set(card[family], [...(families.get(card[family]) ?? []), level])
  return [...families]
    .flatMap(([name, levels]) => {
      const sorted = levels.toSorted((a, b) => a.demand[of] - b.demand[of])
      return sorted.slice(1).flatMap((to, i): Gap[] => {
        const from = sorted[i]!
        const by = to.demand[of] - from.demand[of]
        return by >= least ? [{ family: name, from, to, by }] : []
      })
    })
    .sort((a, b) => b.by - a.by)
}
