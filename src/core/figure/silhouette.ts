import { contours } from 'd3-contour'
import type { FleshPart } from './flesh'
import type { Seen } from './view'
import type { Vec } from './vec'

/** The outlines of a body as it is seen: smooth unions of round cones, and the creases in them. */

interface FlatCone {
  ax: number
  ay: number
  ra: number
  az: number
  bx: number
  by: number
  rb: number
  bz: number
  /** Length on the drawing, unit direction, and the slope of its sides. */
  h: number
  dx: number
  dy: number
  slope: number
  side: number
}

export interface FlatPart {
  part: FleshPart
  cones: FlatCone[]
  root: Seen
  near: number
}

export type Point = readonly [number, number]

export function flatten(parts: readonly FleshPart[], see: (p: Vec) => Seen): FlatPart[] {
  return parts.map((part) => {
    const cones = part.cones.map(({ a, ra, b, rb }): FlatCone => {
      const [ax, ay, az] = see(a)
      const [bx, by, bz] = see(b)
      const h = Math.hypot(bx - ax, by - ay)
      const slope = h > 1e-9 ? Math.max(-1, Math.min(1, (ra - rb) / h)) : 1
      return {
        ax,
        ay,
        ra,
        az,
        bx,
        by,
        rb,
        bz,
        h,
        dx: h > 1e-9 ? (bx - ax) / h : 0,
        dy: h > 1e-9 ? (by - ay) / h : 1,
        slope,
        side: Math.sqrt(Math.max(0, 1 - slope * slope)),
      }
    })
    const near = cones.reduce((sum, cone) => sum + cone.az + cone.bz, 0) / (cones.length * 2)
    return { part, cones, root: see(part.root), near }
  })
}

/** Signed distance to one cone, below 0 inside, and the way outward from it. */
interface Reading {
  d: number
  gx: number
  gy: number
}

function readBall(x: number, y: number, r: number, into: Reading) {
  const away = Math.sqrt(x * x + y * y)
  into.d = away - r
  into.gx = away > 1e-12 ? x / away : 0
  into.gy = away > 1e-12 ? y / away : 1
}

function readCone(c: FlatCone, x: number, y: number, into: Reading) {
  const px = x - c.ax
  const py = y - c.ay
  if (c.h < 1e-9 || Math.abs(c.slope) >= 1) {
    if (Math.hypot(x - c.bx, y - c.by) - c.rb < Math.hypot(px, py) - c.ra)
      readBall(x - c.bx, y - c.by, c.rb, into)
    else readBall(px, py, c.ra, into)
    return
  }
  const across = px * c.dy - py * c.dx
  const qx = Math.abs(across)
  const qy = px * c.dx + py * c.dy
  const k = -c.slope * qx + c.side * qy
  if (k < 0) readBall(px, py, c.ra, into)
  else if (k > c.side * c.h) readBall(x - c.bx, y - c.by, c.rb, into)
  else {
    const sign = across < 0 ? -c.side : c.side
    into.d = qx * c.side + qy * c.slope - c.ra
    into.gx = c.dy * sign + c.dx * c.slope
    into.gy = -c.dx * sign + c.dy * c.slope
  }
}

const reading: Reading = { d: 0, gx: 0, gy: 0 }

function coneDistance(c: FlatCone, x: number, y: number): number {
  readCone(c, x, y, reading)
  return reading.d
}

/** Smooth minimum of two distances: round within k of each other. */
const smooth = (a: number, b: number, k: number): number => {
  if (k <= 0) return Math.min(a, b)
  const h = Math.max(k - Math.abs(a - b), 0) / k
  return Math.min(a, b) - (h * h * k) / 4
}

/**
 * How much two surfaces melt into each other where they meet: not at all where one goes on as
 * the other, which would swell every joint, and wholly where they meet in a hollow.
 */
const melt = (ax: number, ay: number, bx: number, by: number, k: number) =>
  k * Math.min(1, Math.max(0, 1 - (ax * bx + ay * by)))

const INSIDE_PART = 0.03

/** Signed distance to the outline of a part as it is seen; below 0 inside. */
export function partDistance(part: FlatPart, x: number, y: number): number {
  let [d, gx, gy] = [Infinity, 0, 0]
  for (const cone of part.cones) {
    readCone(cone, x, y, reading)
    const nearer = reading.d < d
    const value =
      d === Infinity
        ? reading.d
        : smooth(d, reading.d, melt(gx, gy, reading.gx, reading.gy, INSIDE_PART))
    if (nearer) [gx, gy] = [reading.gx, reading.gy]
    d = value
  }
  return d
}

/** How near a part is to the viewer at a place that it covers. */
function nearAt(part: FlatPart, x: number, y: number): number {
  let best = -Infinity
  for (const c of part.cones) {
    const d = coneDistance(c, x, y)
    if (d > 0.004) continue
    const t =
      c.h > 1e-9 ? Math.max(0, Math.min(1, ((x - c.ax) * c.dx + (y - c.ay) * c.dy) / c.h)) : 0
    const r = c.ra + (c.rb - c.ra) * t
    const into = Math.max(0, r + Math.min(0, d)) > 0 ? Math.max(0, -d) : 0
    // The surface bulges towards the viewer by what is left of the radius.
    const bulge = Math.sqrt(Math.max(0, r * r - (r - into) * (r - into)))
    best = Math.max(best, c.az + (c.bz - c.az) * t + bulge)
  }
  return best
}

const JOIN = 0.05
const JOIN_REACH = 0.13

interface Box {
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

/** Distances to one part, and the ways outward, on its share of the grid. */
interface Field {
  c0: number
  r0: number
  w: number
  h: number
  d: Float64Array
  gx: Float32Array
  gy: Float32Array
}

/** The parts of a body on one grid, measured once for its outline and its creases. */
export interface Grid {
  parts: readonly FlatPart[]
  box: Box
  w: number
  h: number
  cell: number
  fields: ReadonlyMap<FlatPart, Field>
}

/** @param cell size of the grid, in statures */
export function gridOf(parts: readonly FlatPart[], cell: number): Grid {
  const box = boxOf(parts, REACH + cell * 2)
  const w = Math.ceil((box.x1 - box.x0) / cell) + 1
  const h = Math.ceil((box.y1 - box.y0) / cell) + 1
  const fields = new Map(parts.map((part) => [part, fieldOf(part, box, w, h, cell)]))
  return { parts, box, w, h, cell, fields }
}

const FAR = 1
/** How far around a part its distances are of use: beyond, what melts is too little to be seen. */
const REACH = 0.04

/**
 * The outline of parts that belong together: limbs grow out of what carries them without a
 * seam, and touch other parts without webs.
 */
export function outline({ box, cell, fields }: Grid, parts: readonly FlatPart[]): Point[][] {
  if (parts.length === 0) return []
  const own = parts.map((part) => fields.get(part)!)
  const c0 = Math.min(...own.map((f) => f.c0))
  const r0 = Math.min(...own.map((f) => f.r0))
  const w = Math.max(...own.map((f) => f.c0 + f.w)) - c0
  const h = Math.max(...own.map((f) => f.r0 + f.h)) - r0
  // Inside is above 0, as the contour wants it.
  const whole = new Float64Array(w * h).fill(-FAR)
  for (const field of own)
    for (let r = 0; r < field.h; r += 1) {
      const row = (field.r0 + r - r0) * w + field.c0 - c0
      const from = r * field.w
      for (let c = 0; c < field.w; c += 1) {
        const value = -field.d[from + c]!
        if (value > whole[row + c]!) whole[row + c] = value
      }
    }
  const byName = new Map(parts.map((part) => [part.part.name, part]))
  // Around its root each part melts into what carries it.
  for (const part of parts) {
    const parent = part.part.parent === null ? undefined : byName.get(part.part.parent)
    if (!parent) continue
    const [a, b] = [fields.get(part)!, fields.get(parent)!]
    const [rx, ry] = part.root
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
        const at = (r - r0) * w + c - c0
        if (value > whole[at]!) whole[at] = value
      }
  }
  const found = contours()
    .size([w, h])
    .smooth(true)
    .contour(evened(whole, w, h) as unknown as number[], 0)
  const [x0, y0] = [box.x0 + (c0 - 0.5) * cell, box.y0 + (r0 - 0.5) * cell]
  return found.coordinates.flatMap((polygon) =>
    polygon.map((ring) => ring.map(([x, y]): Point => [x0 + x! * cell, y0 + y! * cell]))
  )
}

/** Distance to a part as the grid has it; FAR where it is out of reach. */
function onGrid({ box, cell }: Grid, field: Field, x: number, y: number): number {
  const c = Math.round((x - box.x0) / cell) - field.c0
  const r = Math.round((y - box.y0) / cell) - field.r0
  if (c < 0 || r < 0 || c >= field.w || r >= field.h) return FAR
  const n = r * field.w + c
  // From the middle of the cell on along the way outward.
  const dx = x - box.x0 - (c + field.c0) * cell
  const dy = y - box.y0 - (r + field.r0) * cell
  return field.d[n]! + dx * field.gx[n]! + dy * field.gy[n]!
}

/** Evens out a field over its neighbours, so that no seam of two parts leaves a nick. */
function evened(field: Float64Array, w: number, h: number): Float64Array {
  const across = new Float64Array(field)
  for (let r = 0; r < h; r += 1)
    for (let n = r * w + 1, end = r * w + w - 1; n < end; n += 1)
      across[n] = (field[n - 1]! + 2 * field[n]! + field[n + 1]!) / 4
  const out = new Float64Array(across)
  for (let n = w, end = w * (h - 1); n < end; n += 1)
    out[n] = (across[n - w]! + 2 * across[n]! + across[n + w]!) / 4
  return out
}

function fieldOf(part: FlatPart, box: Box, w: number, h: number, cell: number): Field {
  const reach = REACH
  const span = (b: Box) => ({
    c0: Math.max(0, Math.floor((b.x0 - box.x0) / cell)),
    c1: Math.min(w - 1, Math.ceil((b.x1 - box.x0) / cell)),
    r0: Math.max(0, Math.floor((b.y0 - box.y0) / cell)),
    r1: Math.min(h - 1, Math.ceil((b.y1 - box.y0) / cell)),
  })
  const all = span(boxOf([part], reach))
  const size = [all.c1 - all.c0 + 1, all.r1 - all.r0 + 1] as const
  const field: Field = {
    c0: all.c0,
    r0: all.r0,
    w: size[0],
    h: size[1],
    d: new Float64Array(size[0] * size[1]).fill(FAR),
    gx: new Float32Array(size[0] * size[1]),
    gy: new Float32Array(size[0] * size[1]),
  }
  for (const c of part.cones) {
    const own = span({
      x0: Math.min(c.ax - c.ra, c.bx - c.rb) - reach,
      x1: Math.max(c.ax + c.ra, c.bx + c.rb) + reach,
      y0: Math.min(c.ay - c.ra, c.by - c.rb) - reach,
      y1: Math.max(c.ay + c.ra, c.by + c.rb) + reach,
    })
    for (let r = own.r0; r <= own.r1; r += 1)
      for (let col = own.c0; col <= own.c1; col += 1) {
        const n = (r - all.r0) * field.w + col - all.c0
        readCone(c, box.x0 + col * cell, box.y0 + r * cell, reading)
        const before = field.d[n]!
        if (before >= FAR) {
          field.d[n] = reading.d
          field.gx[n] = reading.gx
          field.gy[n] = reading.gy
          continue
        }
        const k = melt(field.gx[n]!, field.gy[n]!, reading.gx, reading.gy, INSIDE_PART)
        field.d[n] = smooth(before, reading.d, k)
        if (reading.d < before) {
          field.gx[n] = reading.gx
          field.gy[n] = reading.gy
        }
      }
  }
  return field
}

/** A joint this many radii wide is left without a crease, so that the limb grows out of it. */
const ROOT_CLEAR = 1.7
/** By how much a part must be nearer to begin to be seen to cross, and to go on. */
const BEGINS = 0.004
const GOES_ON = -0.012
/** The shortest crease that is drawn, and the longest break in one that is closed. */
const SHORTEST = 0.04
const BREAK = 0.02
/** How far inside another part an edge must lie. */
const INSIDE = 0.003

const step = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1])
const lengthOf = (line: readonly Point[]) =>
  line.reduce((sum, point, i) => (i ? sum + step(point, line[i - 1]!) : 0), 0)

/** Whether a place is around the joint by which a part grows out of another. */
const nearRoot = (part: FlatPart, x: number, y: number) =>
  Math.hypot(x - part.root[0], y - part.root[1]) < part.cones[0]!.ra * ROOT_CLEAR

function along(c: FlatCone, x: number, y: number): number {
  return c.h > 1e-9 ? Math.max(0, Math.min(1, ((x - c.ax) * c.dx + (y - c.ay) * c.dy) / c.h)) : 0
}

/** How near the edge of some parts is to the viewer at a place on it: as near as their middle there. */
function edgeNear(parts: readonly FlatPart[], x: number, y: number): number {
  let [least, near] = [Infinity, -Infinity]
  for (const part of parts)
    for (const c of part.cones) {
      const d = coneDistance(c, x, y)
      if (d >= least) continue
      least = d
      near = c.az + (c.bz - c.az) * along(c, x, y)
    }
  return near
}

type Crossing = 'over' | 'maybe' | 'no'

/**
 * Stretches of the edge of some parts that are seen to cross others.
 * @param clear whether the edge is no edge there, as one grows out of the other
 */
function crossings(
  unit: readonly FlatPart[],
  others: readonly FlatPart[],
  clear: (x: number, y: number) => boolean,
  grid: Grid
): Point[][] {
  if (others.length === 0) return []
  const fields = others.map((part) => grid.fields.get(part)!)
  const read = ([x, y]: Point): Crossing => {
    let found: Crossing = 'no'
    let mine: number | undefined
    for (let j = 0; j < others.length; j += 1) {
      if (onGrid(grid, fields[j]!, x, y) > -INSIDE) continue
      mine ??= edgeNear(unit, x, y)
      const ahead = mine - nearAt(others[j]!, x, y)
      if (ahead < GOES_ON) return 'no'
      if (ahead > BEGINS) found = 'over'
      else if (found === 'no') found = 'maybe'
    }
    return found !== 'no' && clear(x, y) ? 'no' : found
  }
  return outline(grid, unit).flatMap((closedRing) => {
    const ring = closedRing.slice(0, -1)
    const states = ring.map(read)
    // A ring is read from a place where nothing crosses.
    const from = states.indexOf('no')
    if (from < 0) return states.includes('over') ? [closedRing] : []
    const lines: Point[][] = []
    let line: Point[] = []
    let sure = false
    let broken: Point[] = []
    const end = () => {
      if (sure && lengthOf(line) > SHORTEST) lines.push(line)
      line = []
      broken = []
      sure = false
    }
    for (let i = 0; i < ring.length; i += 1) {
      const n = (from + i) % ring.length
      const point = ring[n]!
      if (states[n] === 'no') {
        broken.push(point)
        if (line.length && lengthOf([line.at(-1)!, ...broken]) > BREAK) end()
        continue
      }
      if (line.length) line.push(...broken)
      broken = []
      line.push(point)
      if (states[n] === 'over') sure = true
    }
    end()
    return lines
  })
}

/** Whether a part is bent back over what carries it, as it is seen. */
const folded = (part: FlatPart, parent: FlatPart) =>
  part.cones.some((c) =>
    [0.5, 1].some((t) => {
      const [x, y] = [c.ax + (c.bx - c.ax) * t, c.ay + (c.by - c.ay) * t]
      return !nearRoot(part, x, y) && partDistance(parent, x, y) < c.ra + (c.rb - c.ra) * t
    })
  )

const LIMBS = ['core', 'leftArm', 'rightArm', 'leftLeg', 'rightLeg'] as const

/**
 * Lines along which a nearer part crosses a farther one.
 * @param behind limbs that lie behind all others and cross nothing
 */
export function creases(grid: Grid, behind: readonly string[] = []): Point[][] {
  const { parts } = grid
  const byName = new Map(parts.map((part) => [part.part.name, part]))
  const parentOf = (part: FlatPart) =>
    part.part.parent === null ? undefined : byName.get(part.part.parent)
  const ofLimbs = LIMBS.filter((limb) => !behind.includes(limb)).flatMap((limb) => {
    const unit = parts.filter((part) => part.part.limb === limb)
    const others = parts.filter((part) => part.part.limb !== limb)
    const roots = (limb === 'core' ? others : unit).filter(
      (part) => parentOf(part)?.part.limb !== part.part.limb
    )
    return crossings(unit, others, (x, y) => roots.some((part) => nearRoot(part, x, y)), grid)
  })
  // A bent knee or elbow: the nearer half of the limb over the other half.
  const ofJoints = parts.flatMap((part) => {
    const parent = parentOf(part)
    if (!parent || (part.part.limb === 'core' && part.part.name !== 'head')) return []
    if (part.part.limb !== parent.part.limb) return []
    if (!folded(part, parent)) return []
    const clear = (x: number, y: number) => nearRoot(part, x, y)
    return [
      ...crossings([part], [parent], clear, grid),
      ...crossings([parent], [part], clear, grid),
    ]
  })
  return [...ofLimbs, ...ofJoints]
}
