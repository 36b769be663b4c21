import type { FlatPart, Grid, Point } from './fields'
import { middleOf, readCone, type Reading } from './cones'
import { type Field, indexIn, nearOnGrid, onGrid, toneAt } from './fields'
import { partRings, type Regions, ringsOf } from './regions'

/** Lines along which a nearer part is seen to cross a farther one. */
export interface Edge {
  line: Point[]
  /** Dark over dark has a line of paper; all else a line of ink. */
  ink: 'line' | 'paper'
}

/** A joint this many radii wide is left without a line, so that the limb grows out of it. */
const ROOT_CLEAR = 1.45
/** By how much a part must be nearer to begin to be seen to cross, and to go on. */
const BEGINS = 0.006
const GOES_ON = -0.01
/** The shortest line that is drawn, and the longest break in one that is closed. */
const SHORTEST = { line: 0.026, paper: 0.045 }
const BREAK = 0.02
/** How far inside another part an edge must lie. */
const INSIDE = 0.003
/** What is nearer by more than this hides a place where two parts meet. */
const HIDDEN = 0.012
/** Two parts side by side touch when they are as near as this, and one is hardly behind the other. */
const TOUCHING = 0.004
const BESIDE = 0.03
/** Parts whose edges are not missed while a part is pulled. */
const SMALL = /hand|foot|head|trunk/
/** Parts that are drawn whole by their own tone. */
const UNLINED = new Set(['hair', 'left ear', 'right ear', 'neck'])

const step = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1])
export const lengthOf = (line: readonly Point[]) =>
  line.reduce((sum, point, i) => (i ? sum + step(point, line[i - 1]!) : 0), 0)

const nearRoot = (part: FlatPart, x: number, y: number) =>
  Math.hypot(x - part.root[0], y - part.root[1]) < part.cones[0]!.ra * ROOT_CLEAR

const reading: Reading = { d: 0, gx: 0, gy: 0 }

/** How near the edge of a part is at a place on it: as near as its middle there. */
function edgeNear(part: FlatPart, x: number, y: number): number {
  let [least, near] = [Infinity, -Infinity]
  for (const c of part.cones) {
    readCone(c, x, y, reading)
    if (reading.d >= least) continue
    least = reading.d
    near = middleOf(c, x, y)
  }
  return near
}

type Crossing = 'line' | 'paper' | 'maybe' | 'no'

/**
 * All lines of a drawing: where something nearer crosses something farther, and where two parts
 * that touch meet.
 * @param fine also those of hands, feet and head
 */
export function edgesOf(grid: Grid, regions: Pick<Regions, 'near'>, fine = true): Edge[] {
  const lined = grid.parts.filter(
    ({ part }) => !UNLINED.has(part.name) && (fine || !SMALL.test(part.name))
  )
  return [
    ...lined.flatMap((part) => crossings(part, grid)),
    ...(fine
      ? lined.flatMap((a, i) => lined.slice(i + 1).flatMap((b) => meetings(a, b, grid, regions)))
      : []),
  ]
}

/** Dark beside dark has a line of paper. */
const inkBetween = (a: FlatPart, b: FlatPart, x: number, y: number, za: number, zb: number) =>
  toneAt(a, x, y, za) !== 'skin' && toneAt(b, x, y, zb) !== 'skin' ? 'paper' : 'line'

const related = (a: FlatPart, b: FlatPart) =>
  a.part.parent === b.part.name || b.part.parent === a.part.name

/** Lines along which the surfaces of two parts go into each other: a foot pressed to a thigh. */
function meetings(a: FlatPart, b: FlatPart, grid: Grid, { near }: Pick<Regions, 'near'>): Edge[] {
  const [f, g] = [a, b].map(({ part }) => grid.fields[grid.at.get(part.name)!]!) as [Field, Field]
  if (related(a, b) || !overlap(f, g)) return []
  const [c0, c1] = [Math.max(f.c0, g.c0), Math.min(f.c0 + f.w, g.c0 + g.w)]
  const [r0, r1] = [Math.max(f.r0, g.r0), Math.min(f.r0 + f.h, g.r0 + g.h)]
  if (c1 - c0 < 3 || r1 - r0 < 3) return []
  const [w, h] = [c1 - c0, r1 - r0]
  const ahead = new Float64Array(w * h)
  let [before, behind] = [false, false]
  for (let r = r0; r < r1; r += 1)
    for (let c = c0; c < c1; c += 1) {
      const [m, n] = [indexIn(f, c, r), indexIn(g, c, r)]
      const apart = f.z[m]! - g.z[n]!
      const both = f.d[m]! < -INSIDE && g.d[n]! < -INSIDE
      if (both && apart > 0) before = true
      if (both && apart < 0) behind = true
      // The part of it that is seen: inside, and not behind the other.
      ahead[(r - r0) * w + c - c0] = Math.min(-f.d[m]!, Math.max(g.d[n]!, apart))
    }
  if (!before || !behind) return []
  const { cell, box } = grid
  const place = { ...box, x0: box.x0 + c0 * cell, y0: box.y0 + r0 * cell }
  const reader = (point: Point): Crossing => {
    const [x, y] = point
    if (onGrid(grid, f, x, y) > -INSIDE * 1.3 || onGrid(grid, g, x, y) > -INSIDE * 1.3) return 'no'
    const z = nearOnGrid(grid, f, x, y)
    const c = Math.round((x - box.x0) / cell)
    const r = Math.round((y - box.y0) / cell)
    if (near[r * grid.w + c]! > z + HIDDEN) return 'no'
    return inkBetween(a, b, x, y, z, z)
  }
  return ringsOf(ahead, { w, h, cell, box: place }).flatMap((ring) => stretches(ring, reader))
}

function crossings(part: FlatPart, grid: Grid): Edge[] {
  const { parts, fields, solidFields } = grid
  const own = parts.indexOf(part)
  const field = fields[own]!
  const beside = parts.flatMap((_, j) => (j !== own && overlap(field, fields[j]!) ? [j] : []))
  const props = solidFields.filter((solid) => overlap(field, solid))
  if (beside.length === 0) return []
  const reader = (point: Point): Crossing => {
    const [x, y] = point
    let found: Crossing = 'no'
    let mine: number | undefined
    let behind = -Infinity
    for (const field of props) {
      if (onGrid(grid, field, x, y) > -INSIDE) continue
      mine ??= edgeNear(part, x, y)
      if (nearOnGrid(grid, field, x, y) > mine + 0.01) return 'no'
    }
    for (const j of beside) {
      const other = parts[j]!
      const d = onGrid(grid, fields[j]!, x, y)
      if (d > TOUCHING) continue
      mine ??= edgeNear(part, x, y)
      const z = nearOnGrid(grid, fields[j]!, x, y)
      if (d > -INSIDE) {
        // Side by side: the line between them is that of the first.
        if (j > own && !related(part, other) && found === 'no' && Math.abs(mine - z) < BESIDE)
          found = inkBetween(part, other, x, y, mine, z)
        continue
      }
      const ahead = mine - z
      if (ahead < GOES_ON) {
        // Hidden; or where one grows out of the other there is no edge.
        return 'no'
      }
      if (other.part.parent === part.part.name && nearRoot(other, x, y)) return 'no'
      if (part.part.parent === other.part.name && nearRoot(part, x, y)) return 'no'
      if (ahead > BEGINS && z > behind) {
        behind = z
        found = inkBetween(part, other, x, y, mine, z)
      } else if (found === 'no') found = 'maybe'
    }
    return found
  }
  return partRings(grid, part).flatMap((closedRing) => stretches(closedRing, reader))
}

const overlap = (a: Field, b: Field) =>
  a.c0 < b.c0 + b.w && b.c0 < a.c0 + a.w && a.r0 < b.r0 + b.h && b.r0 < a.r0 + a.h

/** Stretches of a ring that are edges, with short breaks closed. */
function stretches(closedRing: Point[], read: (point: Point) => Crossing): Edge[] {
  const ring = closedRing.slice(0, -1)
  const states = ring.map(read)
  const inkOf = (kinds: Crossing[]): Edge['ink'] =>
    kinds.filter((kind) => kind === 'paper').length * 2 >
    kinds.filter((kind) => kind === 'line' || kind === 'paper').length
      ? 'paper'
      : 'line'
  // A ring is read from a place where nothing crosses.
  const from = states.indexOf('no')
  if (from < 0)
    return states.some((state) => state !== 'maybe')
      ? [{ line: closedRing, ink: inkOf(states) }]
      : []
  const edges: Edge[] = []
  let line: Point[] = []
  let kinds: Crossing[] = []
  let broken: Point[] = []
  const end = () => {
    const ink = inkOf(kinds)
    if (kinds.some((kind) => kind !== 'maybe') && lengthOf(line) > SHORTEST[ink])
      edges.push({ line, ink })
    line = []
    kinds = []
    broken = []
  }
  for (let i = 0; i < ring.length; i += 1) {
    const n = (from + i) % ring.length
    const [point, state] = [ring[n]!, states[n]!]
    if (state === 'no') {
      broken.push(point)
      if (line.length && lengthOf([line.at(-1)!, ...broken]) > BREAK) end()
      continue
    }
    // The tone changes: one line ends and another begins.
    const before = kinds.findLast((kind) => kind !== 'maybe')
    if (state !== 'maybe' && before && before !== state && kinds.length > 3) end()
    if (line.length) line.push(...broken)
    broken = []
    line.push(point)
    kinds.push(state)
  }
  end()
  return edges
}

/** Whether a place on or near a surface is seen, as the depths of a grid say. */
export function isSeen(
  grid: Grid,
  near: Float32Array,
  [x, y, z]: readonly [number, number, number],
  give: number
): boolean {
  const c = Math.round((x - grid.box.x0) / grid.cell)
  const r = Math.round((y - grid.box.y0) / grid.cell)
  if (c < 0 || r < 0 || c >= grid.w || r >= grid.h) return true
  for (const field of grid.solidFields) {
    const n = indexIn(field, c, r)
    if (n >= 0 && field.d[n]! < -0.004 && field.z[n]! > z + give) return false
  }
  return near[r * grid.w + c]! <= z + give
}
