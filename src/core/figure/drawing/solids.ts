import { hull } from '../hull'
import type { Seen } from '../view'
import { cross, dot, scale, sub, unit, type Vec } from '../vec'
import { depthOf, flatCone, readCone, type Reading } from './cones'
import type { Box, Point } from './fields'

/** What stands beside a body and has its place in depth: props, as they are seen. */
export interface Solid {
  kind: string
  box: Box
  /** Signed distance to its outline; below 0 inside. */
  distance: (x: number, y: number) => number
  /** How near its surface is. */
  depth: (x: number, y: number) => number
  outline: Point[]
  /** Lines on its surface, in space. */
  lines: Vec[][]
  /** How near its middle is. */
  near: number
}

type See = (p: Vec) => Seen

const boxAround = (points: readonly Point[]): Box => ({
  x0: Math.min(...points.map((p) => p[0])),
  y0: Math.min(...points.map((p) => p[1])),
  x1: Math.max(...points.map((p) => p[0])),
  y1: Math.max(...points.map((p) => p[1])),
})

/** Faces of a box by its corners, which run along, across, up. */
const FACES = [
  [0, 1, 3, 2],
  [4, 6, 7, 5],
  [0, 4, 5, 1],
  [2, 3, 7, 6],
  [1, 5, 7, 3],
  [0, 2, 6, 4],
]

/** @param corners eight of them: the last varies up, the one before across, the first along */
export function boxSolid(kind: string, corners: readonly Vec[], see: See): Solid {
  const outline = hull(corners.map((p): Point => [see(p)[0], see(p)[1]]))
  const middle = scale(
    corners.reduce<Vec>((sum, p) => [sum[0] + p[0], sum[1] + p[1], sum[2] + p[2]], [0, 0, 0]),
    1 / 8
  )
  const toViewer = viewerOf(see)
  const faces = FACES.map((face) => {
    const [a, b, c] = face.map((i) => corners[i]!) as [Vec, Vec, Vec]
    const raw = unit(cross(sub(b, a), sub(c, a)))
    const way = dot(raw, sub(a, middle)) < 0 ? scale(raw, -1) : raw
    return { face, way, ahead: dot(way, toViewer) }
  })
  const front = faces.filter(({ ahead }) => ahead > 0.02)
  const planes = front.map(({ face }) => {
    const [a, b, c] = face.map((i) => see(corners[i]!)) as [Seen, Seen, Seen]
    const n = cross(sub(b, a), sub(c, a))
    return { a, n }
  })
  const shown = new Map<string, number>()
  for (const { face } of front)
    face.forEach((from, i) => {
      const key = [from, face[(i + 1) % 4]!].sort((p, q) => p - q).join()
      shown.set(key, (shown.get(key) ?? 0) + 1)
    })
  return {
    kind,
    box: boxAround(outline),
    outline,
    distance: (x, y) => polygonDistance(outline, x, y),
    depth: (x, y) =>
      planes.reduce(
        (least, { a, n }) => Math.min(least, a[2] - (n[0] * (x - a[0]) + n[1] * (y - a[1])) / n[2]),
        Infinity
      ),
    lines: [...shown]
      .filter(([, count]) => count > 1)
      .map(([key]) => key.split(',').map((i) => corners[Number(i)]!)),
    near: see(middle)[2],
  }
}

/** The direction to the viewer, in space. */
export function viewerOf(see: See): Vec {
  const o = see([0, 0, 0])[2]
  return [see([1, 0, 0])[2] - o, see([0, 1, 0])[2] - o, see([0, 0, 1])[2] - o]
}

/** Signed distance to a hull, whichever way it runs; exact inside and beside its sides. */
function polygonDistance(ring: readonly Point[], x: number, y: number): number {
  let area = 0
  for (let i = 0; i < ring.length; i += 1) {
    const [a, b] = [ring[i]!, ring[(i + 1) % ring.length]!]
    area += a[0] * b[1] - a[1] * b[0]
  }
  const sense = area > 0 ? 1 : -1
  let most = -Infinity
  for (let i = 0; i < ring.length; i += 1) {
    const [a, b] = [ring[i]!, ring[(i + 1) % ring.length]!]
    const long = Math.hypot(b[0] - a[0], b[1] - a[1])
    if (long < 1e-9) continue
    const d = (sense * ((b[1] - a[1]) * (x - a[0]) - (b[0] - a[0]) * (y - a[1]))) / long
    if (d > most) most = d
  }
  return most
}

const ROUND = 20

/** A roll: round all along, flat at its ends. */
export function rollSolid(kind: string, from: Vec, to: Vec, radius: number, see: See): Solid {
  const way = unit(sub(to, from))
  const inset = (p: Vec, by: number): Vec => [
    p[0] + way[0] * by,
    p[1] + way[1] * by,
    p[2] + way[2] * by,
  ]
  const edge = radius * 0.35
  const cone = flatCone(see(inset(from, edge)), radius, see(inset(to, -edge)), radius)
  const side = unit(cross(way, Math.abs(way[1]) > 0.9 ? [1, 0, 0] : [0, 1, 0]))
  const up = cross(side, way)
  const ring = (p: Vec): Vec[] =>
    Array.from({ length: ROUND + 1 }, (_, i) => {
      const [c, s] = [Math.cos((i / ROUND) * 2 * Math.PI), Math.sin((i / ROUND) * 2 * Math.PI)]
      return [0, 1, 2].map((k) => p[k]! + radius * (c * side[k]! + s * up[k]!)) as unknown as Vec
    })
  const flat = (points: Vec[]) => points.map((p): Point => [see(p)[0], see(p)[1]])
  const outline = hull([...flat(ring(from)), ...flat(ring(to))])
  const reading: Reading = { d: 0, gx: 0, gy: 0 }
  return {
    kind,
    box: boxAround(outline),
    outline,
    distance: (x, y) => {
      readCone(cone, x, y, reading)
      return Math.min(reading.d, polygonDistance(outline, x, y))
    },
    depth: (x, y) => depthOf(cone, x, y),
    // Seams a little in from both ends.
    lines: [ring(inset(from, edge * 0.6)), ring(inset(to, -edge * 0.6))].map((points) =>
      points.filter((p) => see(p)[2] >= see(inset(from, 0))[2] - 10)
    ),
    near: (see(from)[2] + see(to)[2]) / 2,
  }
}
