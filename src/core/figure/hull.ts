/** A place on the floor. */
export type Flat = readonly [number, number]

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

/** From the edge around corners to a point, the shortest way; the edge of one corner is the corner. */
export function fromEdge(corners: readonly Flat[], [x, z]: Flat): Flat {
  const ways = corners.map((a, i): Flat => {
    const b = corners[(i + 1) % corners.length]!
    const [ex, ez] = [b[0] - a[0], b[1] - a[1]]
    const long = ex * ex + ez * ez
    const along = (x - a[0]) * ex + (z - a[1]) * ez
    const t = long < 1e-18 ? 0 : Math.max(0, Math.min(1, along / long))
    return [x - a[0] - t * ex, z - a[1] - t * ez]
  })
  return ways.reduce((best, each) => (Math.hypot(...each) < Math.hypot(...best) ? each : best))
}

/** Whether a point lies within corners that stand in order around it, or on their edge. */
export const isInside = (corners: readonly Flat[], [x, z]: Flat): boolean =>
  corners.length > 2 &&
  corners.every((a, i) => {
    const b = corners[(i + 1) % corners.length]!
    return (b[0] - a[0]) * (z - a[1]) - (b[1] - a[1]) * (x - a[0]) >= 0
  })
