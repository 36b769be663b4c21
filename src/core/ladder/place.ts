/** A rung by what it asks in all; null when that is not known. */
export interface Standing {
  id: string
  total: number | null
  /** It stands beside the ladder, and is no step of the climb. */
  beside?: boolean
}

/** A rung has to ask this much less in all than one below it to be told. Our own, set by trying. */
export const LESS = 1.5

/** Rungs, from the bottom up, that ask plainly less than one below them, each with the most asking of those. */
export function asksLess(rungs: readonly Standing[]): { id: string; below: string }[] {
  const climb = rungs.filter(
    (each): each is Standing & { total: number } => each.total !== null && !each.beside
  )
  return climb.flatMap(({ id, total }, i) => {
    const below = climb.slice(0, i).toSorted((a, b) => b.total - a.total)[0]
    return below && total < below.total - LESS ? [{ id, below: below.id }] : []
  })
}

/** Where a rung that asks so much belongs among others: below the first that is known to ask more. */
export function placeFor(rungs: readonly Standing[], total: number): number {
  const above = rungs.findIndex((each) => !each.beside && each.total !== null && each.total > total)
  return above < 0 ? rungs.length : above
}

/** A list with the one at `from` put where the one at `to` is. */
export const moved = <T>(list: readonly T[], from: number, to: number): T[] =>
  list.toSpliced(from, 1).toSpliced(to, 0, list[from]!)
