/**
 * Finds the cards whose chain of counter poses leads back to themselves by two other cards or
 * more. Two cards that counter each other are as it should be.
 * @param counters the counter poses of each card, by id
 * @returns for each such card its shortest circle, starting with it
 */
export function loopsOf(counters: ReadonlyMap<string, readonly string[]>): Map<string, string[]> {
  const before = new Map<string, string[]>()
  for (const [id, list] of counters)
    for (const to of list) before.set(to, [...(before.get(to) ?? []), id])
  const loops = new Map<string, string[]>()
  for (const start of counters.keys()) {
    if (counters.get(start)!.includes(start)) loops.set(start, [start])
    const ways = (before.get(start) ?? []).flatMap((last) => wayTo(last, start, counters) ?? [])
    const shortest = ways.sort((a, b) => a.length - b.length)[0]
    if (shortest) loops.set(start, shortest)
  }
  return loops
}

/** The shortest way to a card by at least one other, by breadth; by a wrapper for `flatMap`. */
function wayTo(
  last: string,
  start: string,
  counters: ReadonlyMap<string, readonly string[]>
): [string[]] | null {
  const from = new Map<string, string>()
  let edge = [start]
  while (edge.length > 0) {
    const next: string[] = []
    for (const id of edge)
      for (const to of counters.get(id) ?? []) {
        // The straight way would be two cards that counter each other.
        if (from.has(to) || to === start || (id === start && to === last) || !counters.has(to))
          continue
        from.set(to, id)
        if (to !== last) {
          next.push(to)
          continue
        }
        const way = [to]
        while (way[0] !== start) way.unshift(from.get(way[0]!)!)
        return [way]
      }
    edge = next
  }
  return null
}
