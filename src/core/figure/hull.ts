type Flat = readonly [number, number]

/** The least convex shape around points, its corners in order around it. */
export function hull(points: readonly Flat[]): Flat[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1])
  const half = (list: readonly Flat[]) => {
    const out: Flat[] = []
    for (const p of list) {
      while (out.length > 1) {
        const [a, b] = [out[out.length - 2]!, out[out.length - 1]!]
        if ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 0) break
        out.pop()
      }
      out.push(p)
    }
    return out.slice(0, -1)
  }
  return [...half(sorted), ...half(sorted.toReversed())]
}
