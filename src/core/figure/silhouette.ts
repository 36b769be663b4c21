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

/** Signed distance to one cone; below 0 inside. */
function coneDistance(c: FlatCone, x: number, y: number): number {
  const px = x - c.ax
  const py = y - c.ay
  if (c.h < 1e-9 || Math.abs(c.slope) >= 1) {
    const atB = Math.hypot(x - c.bx, y - c.by) - c.rb
    return Math.min(Math.hypot(px, py) - c.ra, atB)
  }
  const qx = Math.abs(px * c.dy - py * c.dx)
  const qy = px * c.dx + py * c.dy
  const k = -c.slope * qx + c.side * qy
  if (k < 0) return Math.hypot(qx, qy) - c.ra
  if (k > c.side * c.h) return Math.hypot(qx, qy - c.h) - c.rb
  return qx * c.side + qy * c.slope - c.ra
}

/** Smooth minimum of two distances: round within k of each other. */
const smooth = (a: number, b: number, k: number): number => {
  if (k <= 0) return Math.min(a, b)
  const h = Math.max(k - Math.abs(a - b), 0) / k
  return Math.min(a, b) - (h * h * k) / 4
}

const INSIDE_PART = 0.016

function partDistance(part: FlatPart, x: number, y: number): number {
  let distance = Infinity
  for (const cone of part.cones) {
    const d = coneDistance(cone, x, y)
    distance = distance === Infinity ? d : smooth(distance, d, INSIDE_PART)
  }
  return distance
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

function boxOf(parts: readonly FlatPart[], margin: number): Box {
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

const FAR = 1

/**
 * The outline of parts that belong together: limbs grow out of what carries them without a
 * seam, and touch other parts without webs.
 * @param cell size of the grid, in statures
 */
export function outline(parts: readonly FlatPart[], cell: number): Point[][] {
  if (parts.length === 0) return []
  const box = boxOf(parts, cell * 3)
  const w = Math.ceil((box.x1 - box.x0) / cell) + 1
  const h = Math.ceil((box.y1 - box.y0) / cell) + 1
  const fields = parts.map((part) => fieldOf(part, box, w, h, cell))
  const byName = new Map(parts.map((part, i) => [part.part.name, i]))
  const whole = new Float64Array(w * h).fill(FAR)
  const joined = new Set<number>()
  parts.forEach((part, i) => {
    const field = fields[i]!
    for (let n = 0; n < whole.length; n += 1) if (field[n]! < whole[n]!) whole[n] = field[n]!
    const parent = part.part.parent === null ? undefined : byName.get(part.part.parent)
    if (parent !== undefined) joined.add(i)
  })
  // Around its root each part melts into what carries it.
  for (const i of joined) {
    const part = parts[i]!
    const other = fields[byName.get(part.part.parent!)!]!
    const field = fields[i]!
    const [rx, ry] = part.root
    const c0 = Math.max(0, Math.floor((rx - JOIN_REACH - box.x0) / cell))
    const c1 = Math.min(w - 1, Math.ceil((rx + JOIN_REACH - box.x0) / cell))
    const r0 = Math.max(0, Math.floor((ry - JOIN_REACH - box.y0) / cell))
    const r1 = Math.min(h - 1, Math.ceil((ry + JOIN_REACH - box.y0) / cell))
    for (let r = r0; r <= r1; r += 1)
      for (let c = c0; c <= c1; c += 1) {
        const n = r * w + c
        const away = Math.hypot(box.x0 + c * cell - rx, box.y0 + r * cell - ry)
        const k = JOIN * Math.max(0, 1 - away / JOIN_REACH)
        if (k <= 0 || field[n]! >= FAR || other[n]! >= FAR) continue
        const value = smooth(field[n]!, other[n]!, k)
        if (value < whole[n]!) whole[n] = value
      }
  }
  for (let n = 0; n < whole.length; n += 1) whole[n] = -whole[n]!
  const found = contours().size([w, h]).smooth(true).contour(Array.from(whole), 0)
  return found.coordinates.flatMap((polygon) =>
    polygon.map((ring) =>
      ring.map(([x, y]): Point => [box.x0 + (x! - 0.5) * cell, box.y0 + (y! - 0.5) * cell])
    )
  )
}

/** Distances to one part on the grid; FAR where it is out of reach. */
function fieldOf(part: FlatPart, box: Box, w: number, h: number, cell: number): Float64Array {
  const field = new Float64Array(w * h).fill(FAR)
  const reach = JOIN + cell * 2
  for (const c of part.cones) {
    const x0 = Math.min(c.ax - c.ra, c.bx - c.rb) - reach
    const x1 = Math.max(c.ax + c.ra, c.bx + c.rb) + reach
    const y0 = Math.min(c.ay - c.ra, c.by - c.rb) - reach
    const y1 = Math.max(c.ay + c.ra, c.by + c.rb) + reach
    const c0 = Math.max(0, Math.floor((x0 - box.x0) / cell))
    const c1 = Math.min(w - 1, Math.ceil((x1 - box.x0) / cell))
    const r0 = Math.max(0, Math.floor((y0 - box.y0) / cell))
    const r1 = Math.min(h - 1, Math.ceil((y1 - box.y0) / cell))
    for (let r = r0; r <= r1; r += 1)
      for (let col = c0; col <= c1; col += 1) {
        const n = r * w + col
        const d = coneDistance(c, box.x0 + col * cell, box.y0 + r * cell)
        field[n] = field[n]! >= FAR ? d : smooth(field[n]!, d, INSIDE_PART)
      }
  }
  return field
}

const SAMPLE = 0.007

function boundaryOf(c: FlatCone): Point[] {
  const points: Point[] = []
  if (c.h < 1e-9 || Math.abs(c.slope) >= 1) {
    const big = c.ra >= c.rb
    const [x, y, r] = big ? [c.ax, c.ay, c.ra] : [c.bx, c.by, c.rb]
    const n = Math.max(8, Math.ceil((2 * Math.PI * r) / SAMPLE))
    for (let i = 0; i <= n; i += 1) {
      const t = (i / n) * 2 * Math.PI
      points.push([x + r * Math.cos(t), y + r * Math.sin(t)])
    }
    return points
  }
  const angle = Math.atan2(c.dy, c.dx)
  const touch = Math.acos(c.slope)
  const arc = (x: number, y: number, r: number, from: number, to: number) => {
    const n = Math.max(2, Math.ceil((Math.abs(to - from) * r) / SAMPLE))
    for (let i = 0; i <= n; i += 1) {
      const t = from + ((to - from) * i) / n
      points.push([x + r * Math.cos(t), y + r * Math.sin(t)])
    }
  }
  const straight = (to: Point) => {
    const [x, y] = points.at(-1)!
    const n = Math.ceil(Math.hypot(to[0] - x, to[1] - y) / SAMPLE)
    for (let i = 1; i < n; i += 1)
      points.push([x + ((to[0] - x) * i) / n, y + ((to[1] - y) * i) / n])
  }
  // Round the far end, back along one side, round the near end, and forth along the other.
  arc(c.bx, c.by, c.rb, angle - touch, angle + touch)
  straight([c.ax + c.ra * Math.cos(angle + touch), c.ay + c.ra * Math.sin(angle + touch)])
  arc(c.ax, c.ay, c.ra, angle + touch, angle + 2 * Math.PI - touch)
  straight(points[0]!)
  points.push(points[0]!)
  return points
}

/** A joint this many radii wide is left without a crease, so that the limb grows out of it. */
const ROOT_CLEAR = 2.1
/** By how much a part must be nearer to be seen to cross, and the shortest crease that is drawn. */
const CROSSES = 0.004
const SHORTEST = 0.045

const lengthOf = (line: readonly Point[]) =>
  line.reduce(
    (sum, [x, y], i) => (i ? sum + Math.hypot(x - line[i - 1]![0], y - line[i - 1]![1]) : 0),
    0
  )

/** Whether a place is around the joint of two parts, of which one grows out of the other. */
function nearJoint(one: FlatPart, other: FlatPart, x: number, y: number): boolean {
  const child = one.part.parent === other.part.name ? one : other
  const [rx, ry] = child.root
  return Math.hypot(x - rx, y - ry) < child.cones[0]!.ra * ROOT_CLEAR
}

/** Lines along which a nearer part crosses a farther one. */
export function creases(parts: readonly FlatPart[]): Point[][] {
  const lines: Point[][] = []
  const boxes = parts.map((part) => boxOf([part], 0.002))
  parts.forEach((part, i) => {
    const joinedTo = parts.filter(
      (each) => each.part.parent === part.part.name || each.part.name === part.part.parent
    )
    for (const cone of part.cones) {
      let line: Point[] = []
      const end = () => {
        if (lengthOf(line) > SHORTEST) lines.push(line)
        line = []
      }
      for (const point of boundaryOf(cone)) {
        const [x, y] = point
        // Only where the cone's edge is the part's edge.
        if (partDistance(part, x, y) < -0.0035) {
          end()
          continue
        }
        // Nor where it lies inside the part that it is joined to: the limb has no edge there.
        if (
          joinedTo.some(
            (other) => partDistance(other, x, y) < -0.0035 && nearJoint(part, other, x, y)
          )
        ) {
          end()
          continue
        }
        const mine = cone.az + (cone.bz - cone.az) * along(cone, x, y)
        let over = false
        let hidden = false
        parts.forEach((other, j) => {
          if (i === j || hidden) return
          const box = boxes[j]!
          if (x < box.x0 || x > box.x1 || y < box.y0 || y > box.y1) return
          if (partDistance(other, x, y) > -0.003) return
          const surface = nearAt(other, x, y)
          if (surface > mine) hidden = true
          else if (mine - surface > CROSSES) over = true
        })
        if (over && !hidden) line.push(point)
        else end()
      }
      end()
    }
  })
  return lines
}

function along(c: FlatCone, x: number, y: number): number {
  return c.h > 1e-9 ? Math.max(0, Math.min(1, ((x - c.ax) * c.dx + (y - c.ay) * c.dy) / c.h)) : 0
}
