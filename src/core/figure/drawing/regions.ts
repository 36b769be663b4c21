import { contours } from 'd3-contour'
import { melt, smooth } from './cones'
import { beyondHem, FAR, type Field, type FlatPart, type Grid, indexIn, type Point } from './fields'
import type { Tone } from './flesh'

/** What is seen of the body, tone by tone: by place, the nearest surface has it. */

const JOIN = 0.05
const JOIN_REACH = 0.13

/**
 * The body as one shape: above 0 inside. Limbs grow out of what carries them without a seam, and
 * touch other parts without webs.
 */
export function bodyField(grid: Grid): Float64Array {
  const { w, h, parts, fields, box, cell } = grid
  const whole = new Float64Array(w * h).fill(-FAR)
  for (const field of fields)
    for (let r = 0; r < field.h; r += 1) {
      const row = (field.r0 + r) * w + field.c0
      const from = r * field.w
      for (let c = 0; c < field.w; c += 1) {
        const value = -field.d[from + c]!
        if (value > whole[row + c]!) whole[row + c] = value
      }
    }
  // Around its root each part melts into what carries it.
  parts.forEach(({ part, root: [rx, ry] }, i) => {
    const parent = part.parent === null ? undefined : grid.at.get(part.parent)
    if (parent === undefined || part.limb === 'core') return
    const [a, b] = [fields[i]!, fields[parent]!]
    const left = Math.max(a.c0, b.c0, Math.floor((rx - JOIN_REACH - box.x0) / cell))
    const right = Math.min(a.c0 + a.w, b.c0 + b.w, Math.ceil((rx + JOIN_REACH - box.x0) / cell) + 1)
    const low = Math.max(a.r0, b.r0, Math.floor((ry - JOIN_REACH - box.y0) / cell))
    const high = Math.min(a.r0 + a.h, b.r0 + b.h, Math.ceil((ry + JOIN_REACH - box.y0) / cell) + 1)
    for (let r = low; r < high; r += 1)
      for (let c = left; c < right; c += 1) {
        const m = (r - a.r0) * a.w + c - a.c0
        const n = (r - b.r0) * b.w + c - b.c0
        const [da, db] = [a.d[m]!, b.d[n]!]
        if (Math.abs(da - db) >= JOIN || Math.min(da, db) > JOIN) continue
        const away = Math.hypot(box.x0 + c * cell - rx, box.y0 + r * cell - ry)
        if (away >= JOIN_REACH) continue
        const k = JOIN * Math.min(1, 1.6 * (1 - away / JOIN_REACH))
        const value = -smooth(da, db, melt(a.gx[m]!, a.gy[m]!, b.gx[n]!, b.gy[n]!, k))
        const at = r * w + c
        if (value > whole[at]!) whole[at] = value
      }
  })
  return whole
}

/** Parts that count at a cell: inside, or nearer to it than this many cells. */
const BESIDE = 2

/** What is seen of the body, and of its cloth and hair: above 0 inside, on the whole grid. */
export interface Regions {
  body: Float64Array
  cloth: Float64Array
  hair: Float64Array
  /** How near the nearest surface is; -Infinity where there is none. */
  near: Float32Array
}

interface Here {
  /** How far inside, and how far inside of its cloth. */
  inside: number
  beyond: number
  z: number
  tone: Tone
}

/** Reads what is seen from the depth field. */
export function seenOf(grid: Grid): Regions {
  const { w, h, parts, fields, solidFields, box, cell } = grid
  const body = bodyField(grid)
  const cloth = new Float64Array(w * h).fill(-FAR)
  const hair = new Float64Array(w * h).fill(-FAR)
  const near = new Float32Array(w * h).fill(-Infinity)
  const beside = -BESIDE * cell
  const here: Here[] = parts.map(() => ({ inside: 0, beyond: 0, z: 0, tone: 'skin' }))
  const byRow = rowsOf(fields, h)
  for (let r = 0; r < h; r += 1) {
    const row = byRow[r]!
    if (row.length === 0) continue
    for (let c = 0; c < w; c += 1) {
      const at = r * w + c
      if (body[at]! < beside) continue
      const [x, y] = [box.x0 + c * cell, box.y0 + r * cell]
      let many = 0
      let most = -FAR
      for (const i of row) {
        const field = fields[i]!
        const n = indexIn(field, c, r)
        if (n < 0) continue
        const inside = -field.d[n]!
        if (inside < beside) continue
        const one = here[many]!
        many += 1
        const z = field.z[n]!
        one.inside = inside
        one.z = z
        one.tone = parts[i]!.part.tone
        one.beyond = beyondHem(parts[i]!, x, y, z)
        if (inside > most) most = inside
        if (inside > 0 && z > near[at]!) near[at] = z
      }
      // What melting added belongs to the part that is nearest.
      const added = Math.max(0, body[at]! - most)
      if (added > 0 && near[at] === -Infinity)
        for (let i = 0; i < many; i += 1) if (here[i]!.inside === most) near[at] = here[i]!.z
      cloth[at] = toneField(here, many, 'cloth', added)
      hair[at] = toneField(here, many, 'hair', added)
    }
  }
  for (const field of solidFields) cover(field, w, near, [body, cloth, hair])
  return { body, cloth, hair, near }
}

/** A prop that is nearer takes its place from the body. */
function cover(field: Field, w: number, near: Float32Array, shapes: Float64Array[]) {
  for (let r = 0; r < field.h; r += 1)
    for (let c = 0; c < field.w; c += 1) {
      const n = r * field.w + c
      const at = (field.r0 + r) * w + field.c0 + c
      const before = near[at]!
      if (before === -Infinity) continue
      const keeps = Math.max(field.d[n]!, before - field.z[n]!)
      for (const shape of shapes) if (keeps < shape[at]!) shape[at] = keeps
    }
}

function rowsOf(fields: readonly Field[], h: number): number[][] {
  const rows: number[][] = Array.from({ length: h }, () => [])
  fields.forEach((field, i) => {
    for (let r = field.r0; r < field.r0 + field.h; r += 1) rows[r]!.push(i)
  })
  return rows
}

/** How far inside what is seen of a tone a cell is. */
function toneField(here: readonly Here[], many: number, tone: Tone, added: number): number {
  let best = -FAR
  for (let i = 0; i < many; i += 1) {
    const own = here[i]!
    if (own.tone !== tone) continue
    let value = Math.min(own.inside + added, -own.beyond)
    for (let j = 0; j < many && value > best; j += 1) {
      if (j === i) continue
      const other = here[j]!
      // Of a part with a hem what is beyond it is skin, and the rest has its tone.
      const covers = other.tone === tone ? Math.min(other.inside, other.beyond) : other.inside
      value = Math.min(value, Math.max(-covers, own.z - other.z))
    }
    if (value > best) best = value
  }
  return best
}

/** A share of a grid: columns and rows from the first on. */
export type Share = Pick<Field, 'c0' | 'r0' | 'w' | 'h'>

/** The share of a grid that some parts have. */
export function shareOf({ parts, fields }: Grid, which: (part: FlatPart) => boolean): Share {
  const own = fields.filter((_, i) => which(parts[i]!))
  const [c0, r0] = [Math.min(...own.map((f) => f.c0)), Math.min(...own.map((f) => f.r0))]
  return {
    c0,
    r0,
    w: Math.max(...own.map((f) => f.c0 + f.w)) - c0,
    h: Math.max(...own.map((f) => f.r0 + f.h)) - r0,
  }
}

/** The rings of a share of a field as it is. */
export function plainRings(field: Float64Array, grid: Grid, share: Share): Point[][] {
  const { c0, r0, w, h } = share
  const own = new Float64Array(w * h)
  for (let r = 0; r < h; r += 1) {
    const from = (r0 + r) * grid.w + c0
    own.set(field.subarray(from, from + w), r * w)
  }
  return ringsOf(own, { w, h, cell: grid.cell, box: placeOf(grid, share) })
}

/** The rings of a share of a field, evened out over its neighbours, so that no seam leaves a nick. */
export function evenRings(field: Float64Array, grid: Grid, share: Share): Point[][] {
  const { c0, r0, w, h } = share
  const across = new Float64Array(w * h)
  for (let r = 0; r < h; r += 1) {
    const from = (r0 + r) * grid.w + c0
    for (let c = 0; c < w; c += 1) {
      const n = from + c
      across[r * w + c] =
        c === 0 || c === w - 1 ? field[n]! : (field[n - 1]! + 2 * field[n]! + field[n + 1]!) / 4
    }
  }
  const even = new Float64Array(across)
  for (let n = w, end = w * (h - 1); n < end; n += 1)
    even[n] = (across[n - w]! + 2 * across[n]! + across[n + w]!) / 4
  return ringsOf(even, { w, h, cell: grid.cell, box: placeOf(grid, share) })
}

/** Where a share of a grid begins. */
const placeOf = ({ box, cell }: Grid, { c0, r0 }: Share) => ({
  ...box,
  x0: box.x0 + c0 * cell,
  y0: box.y0 + r0 * cell,
})

/** The rings around where a field is above 0. */
export function ringsOf(
  field: Float64Array,
  { w, h, cell, box }: Pick<Grid, 'w' | 'h' | 'cell' | 'box'>
): Point[][] {
  const found = contours()
    .size([w, h])
    .smooth(true)
    .contour(field as unknown as number[], 0)
  const [x0, y0] = [box.x0 - 0.5 * cell, box.y0 - 0.5 * cell]
  return found.coordinates.flatMap((polygon) =>
    polygon.map((ring) => ring.map(([x, y]): Point => [x0 + x! * cell, y0 + y! * cell]))
  )
}

/** The outline of one part alone. */
export function partRings(grid: Grid, part: FlatPart): Point[][] {
  const field = grid.fields[grid.at.get(part.part.name)!]!
  const inside = new Float64Array(field.d.length)
  for (let n = 0; n < inside.length; n += 1) inside[n] = -field.d[n]!
  return ringsOf(inside, { w: field.w, h: field.h, cell: grid.cell, box: placeOf(grid, field) })
}
