/**
 * Finds the cards whose chain of counter poses leads back to themselves.
 * @param counters the counter poses of each card, by id
 * @returns for each such card one loop, starting with it
 */
export function loopsOf(counters: ReadonlyMap<string, readonly string[]>): Map<string, string[]> {
  const loops = new Map<string, string[]>()
  for (const start of counters.keys()) {
    const loop = wayBack(start, counters)
    if (loop) loops.set(start, loop)
  }
  return loops
}

/** The shortest way from a card back to itself, by breadth. */
function wayBack(
  start: string,
  counters: ReadonlyMap<string, readonly string[]>
): string[] | undefined {
  const from = new Map<string, string>()
  let edge = [start]
  while (edge.length > 0) {
    const next: string[] = []
    for (const id of edge)
      for (const to of counters.get(id) ?? []) {
        if (to === start) {
          const way = [id]
          while (way[0] !== start) way.unshift(from.get(way[0]!)!)
          return way
        }
        if (!from.has(to) && counters.has(to)) {
          from.set(to, id)
          next.push(to)
        }
      }
    edge = next
  }
  return undefined
}
