import type { Seen } from '../view'
import type { Vec } from '../vec'
import { depthOf, type FlatCone, flatCone, melt, readCone, type Reading, smooth } from './cones'
import type { FleshPart, Tone } from './flesh'
import type { Solid } from './solids'

/**
 * The depth field of a drawing: on a grid, how far each part is from covering a place, and how
 * near its surface is there. All that is drawn of the body is read from it.
 */

export type Point = readonly [number, number]

export interface FlatPart {
  part: FleshPart
  cones: FlatCone[]
  root: Seen
  /** A place of the hem and the way over it, as they are seen. */
  hem?: { at: Seen; way: Seen }
}

export function flatten(parts: readonly FleshPart[], see: (p: Vec) => Seen): FlatPart[] {
  return parts.map((part) => ({
    part,
    cones: part.cones.map(({ a, ra, b, rb }) => flatCone(see(a), ra, see(b), rb)),
    root: see(part.root),
    ...(part.hem ? { hem: { at: see(part.hem.at), way: unit(see(part.hem.way)) } } : {}),
  }))
}

function unit([x, y, z]: Seen): Seen {
  const n = Math.hypot(x, y, z) || 1
  return [x / n, y / n, z / n]
}

/** How far beyond its hem a place of a part is; below 0 in its cloth. */
export const beyondHem = ({ hem }: FlatPart, x: number, y: number, z: number): number =>
  hem
    ? (x - hem.at[0]) * hem.way[0] + (y - hem.at[1]) * hem.way[1] + (z - hem.at[2]) * hem.way[2]
    : -1

export interface Box {
  x0: number
  y0: number
  x1: number
  y1: number
}

/** The box around parts as they are seen, with a margin. */
export function boxOf(parts: readonly FlatPart[], margin: number): Box {
  const box = { x0: Infinity, y0: Infinity, x1: -Infinity, y1: -Infinity }
  for (const { cones } of parts)
    for (const c of cones) {
      box.x0 = Math.min(box.x0, c.ax - c.ra, c.bx - c.rb)
      box.y0 = Math.min(box.y0, c.ay - c.ra, c.by - c.rb)
      box.x1 = Math.max(box.x1, c.ax + c.ra, c.bx + c.rb)
      box.y1 = Math.max(box.y1, c.ay + c.ra, c.by + c.rb)
    }
  return { x0: box.x0 - margin, y0: box.y0 - margin, x1: box.x1 + margin, y1: box.y1 + margin }
}

const reading: Reading = { d: 0, gx: 0, gy: 0 }

/** Signed distance to the outline of a part as it is seen; below 0 inside. */
export function partDistance({ cones, part }: FlatPart, x: number, y: number): number {
  let [d, gx, gy] = [Infinity, 0, 0]
  for (const c of cones) {
    readCone(c, x, y, reading)
    const nearer = reading.d < d
    const value =
      d === Infinity
        ? reading.d
        : smooth(d, reading.d, melt(gx, gy, reading.gx, reading.gy, part.melt))
    if (nearer) [gx, gy] = [reading.gx, reading.gy]
    d = value
  }
  return d
}

/** What one part, or one prop, has on its share of the grid. */
export interface Field {
  c0: number
  r0: number
  w: number
  h: number
  /** Signed distance to its outline; below 0 inside. */
  d: Float32Array
  gx: Float32Array
  gy: Float32Array
  /** How near its surface is. */
  z: Float32Array
}

export interface Grid {
  parts: readonly FlatPart[]
  solids: readonly Solid[]
  box: Box
  w: number
  h: number
  cell: number
  fields: readonly Field[]
  /** Of the props, in their order. */
  solidFields: readonly Field[]
  /** Each part's place in the list. */
  at: ReadonlyMap<string, number>
}

/** Beyond this distance nothing is known of a part. */
export const FAR = 1
/** How far around a part its distances are of use: beyond, what melts is too little to be seen. */
const REACH = 0.034

/** @param cell size of the grid, in statures */
export function gridOf(
  parts: readonly FlatPart[],
  cell: number,
  solids: readonly Solid[] = []
): Grid {
  const body = boxOf(parts, REACH + cell * 2)
  const whole = solids.reduce<Box>(
    (all, { box: one }) => ({
      x0: Math.min(all.x0, one.x0 - cell * 3),
      y0: Math.min(all.y0, one.y0 - cell * 3),
      x1: Math.max(all.x1, one.x1 + cell * 3),
      y1: Math.max(all.y1, one.y1 + cell * 3),
    }),
    body
  )
  // The grid lies the same way round the middle line, so that a mirrored figure meets it mirrored.
  const snap = (value: number, to: (value: number) => number) => to(value / cell) * cell
  const box: Box = {
    x0: snap(whole.x0, Math.floor),
    y0: snap(whole.y0, Math.floor),
    x1: snap(whole.x1, Math.ceil),
    y1: snap(whole.y1, Math.ceil),
  }
  const w = Math.round((box.x1 - box.x0) / cell) + 1
  const h = Math.round((box.y1 - box.y0) / cell) + 1
  return {
    parts,
    solids,
    box,
    w,
    h,
    cell,
    fields: parts.map((part) => fieldOf(part, box, w, h, cell)),
    solidFields: solids.map((solid) => solidField(solid, box, w, h, cell)),
    at: new Map(parts.map(({ part }, i) => [part.name, i])),
  }
}

function spanIn(box: Box, w: number, h: number, cell: number) {
  return (b: Box) => ({
    c0: Math.max(0, Math.floor((b.x0 - box.x0) / cell)),
    c1: Math.min(w - 1, Math.ceil((b.x1 - box.x0) / cell)),
    r0: Math.max(0, Math.floor((b.y0 - box.y0) / cell)),
    r1: Math.min(h - 1, Math.ceil((b.y1 - box.y0) / cell)),
  })
}

function emptyField({ c0, c1, r0, r1 }: ReturnType<ReturnType<typeof spanIn>>): Field {
  const [w, h] = [Math.max(0, c1 - c0 + 1), Math.max(0, r1 - r0 + 1)]
  return {
    c0,
    r0,
    w,
    h,
    d: new Float32Array(w * h).fill(FAR),
    gx: new Float32Array(w * h),
    gy: new Float32Array(w * h),
    z: new Float32Array(w * h).fill(-Infinity),
  }
}

function fieldOf(part: FlatPart, box: Box, w: number, h: number, cell: number): Field {
  const span = spanIn(box, w, h, cell)
  const reach = Math.max(cell * 2.5, Math.min(REACH, part.part.melt * 1.2))
  const field = emptyField(span(boxOf([part], reach)))
  for (const c of part.cones) {
    const own = span({
      x0: Math.min(c.ax - c.ra, c.bx - c.rb) - reach,
      x1: Math.max(c.ax + c.ra, c.bx + c.rb) + reach,
      y0: Math.min(c.ay - c.ra, c.by - c.rb) - reach,
      y1: Math.max(c.ay + c.ra, c.by + c.rb) + reach,
    })
    for (let r = own.r0; r <= own.r1; r += 1)
      for (let col = own.c0; col <= own.c1; col += 1) {
        const [x, y] = [box.x0 + col * cell, box.y0 + r * cell]
        readCone(c, x, y, reading)
        if (reading.d > reach) continue
        const n = (r - field.r0) * field.w + col - field.c0
        const before = field.d[n]!
        // Only a cone that covers the place says how near the surface is, if any does.
        if (reading.d < cell) {
          const z = depthOf(c, x, y)
          if (z > field.z[n]! || before >= cell) field.z[n] = z
        } else if (before > reading.d) field.z[n] = depthOf(c, x, y)
        if (before >= FAR) {
          field.d[n] = reading.d
          field.gx[n] = reading.gx
          field.gy[n] = reading.gy
          continue
        }
        const k = melt(field.gx[n]!, field.gy[n]!, reading.gx, reading.gy, part.part.melt)
        field.d[n] = smooth(before, reading.d, k)
        if (reading.d < before) {
          field.gx[n] = reading.gx
          field.gy[n] = reading.gy
        }
      }
  }
  return field
}

function solidField(solid: Solid, box: Box, w: number, h: number, cell: number): Field {
  const margin = cell * 2.5
  const { x0, y0, x1, y1 } = solid.box
  const field = emptyField(
    spanIn(box, w, h, cell)({ x0: x0 - margin, y0: y0 - margin, x1: x1 + margin, y1: y1 + margin })
  )
  for (let r = 0; r < field.h; r += 1)
    for (let c = 0; c < field.w; c += 1) {
      const [x, y] = [box.x0 + (c + field.c0) * cell, box.y0 + (r + field.r0) * cell]
      const n = r * field.w + c
      field.d[n] = solid.distance(x, y)
      field.z[n] = solid.depth(x, y)
    }
  return field
}

/** Index of a cell of the grid in the share of a field; -1 where it has none. */
export const indexIn = (field: Field, c: number, r: number): number => {
  const [x, y] = [c - field.c0, r - field.r0]
  return x < 0 || y < 0 || x >= field.w || y >= field.h ? -1 : y * field.w + x
}

/** Distance to a part as the grid has it; FAR where it is out of reach. */
export function onGrid({ box, cell }: Grid, field: Field, x: number, y: number): number {
  const c = Math.round((x - box.x0) / cell)
  const r = Math.round((y - box.y0) / cell)
  const n = indexIn(field, c, r)
  if (n < 0) return FAR
  // From the middle of the cell on along the way outward.
  return (
    field.d[n]! + (x - box.x0 - c * cell) * field.gx[n]! + (y - box.y0 - r * cell) * field.gy[n]!
  )
}

/** How near the surface of a part is at a place, as the grid has it; -Infinity where it has none. */
export function nearOnGrid({ box, cell }: Grid, field: Field, x: number, y: number): number {
  const n = indexIn(field, Math.round((x - box.x0) / cell), Math.round((y - box.y0) / cell))
  return n < 0 ? -Infinity : field.z[n]!
}

/** The tone of a part at a place, by its hem. */
export const toneAt = (part: FlatPart, x: number, y: number, z: number): Tone =>
  part.hem && beyondHem(part, x, y, z) > 0 ? 'skin' : part.part.tone
