import type { Vec } from '../vec'
import type { Seen } from '../view'

/** Round cones: two balls and what lies between them, in space and as they are seen. */

export interface Cone {
  a: Vec
  ra: number
  b: Vec
  rb: number
}

export const cone = (a: Vec, ra: number, b: Vec, rb: number): Cone => ({ a, ra, b, rb })

export interface FlatCone {
  ax: number
  ay: number
  az: number
  ra: number
  bx: number
  by: number
  bz: number
  rb: number
  /** Length on the drawing, unit direction, and the slope of its sides. */
  h: number
  dx: number
  dy: number
  slope: number
  side: number
  /** How much nearer its second end is, and what its depth is worked out with. */
  rise: number
  bend: number
}

export function flatCone([ax, ay, az]: Seen, ra: number, [bx, by, bz]: Seen, rb: number): FlatCone {
  const h = Math.hypot(bx - ax, by - ay)
  const slope = h > 1e-9 ? Math.max(-1, Math.min(1, (ra - rb) / h)) : 1
  return {
    ax,
    ay,
    az,
    ra,
    bx,
    by,
    bz,
    rb,
    h,
    dx: h > 1e-9 ? (bx - ax) / h : 0,
    dy: h > 1e-9 ? (by - ay) / h : 1,
    slope,
    side: Math.sqrt(Math.max(0, 1 - slope * slope)),
    rise: bz - az,
    bend: h * h - (ra - rb) * (ra - rb),
  }
}

/** Signed distance to an outline, below 0 inside, and the way outward from it. */
export interface Reading {
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

/** How far a place of the drawing is from the outline of a cone. */
export function readCone(c: FlatCone, x: number, y: number, into: Reading) {
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

const ballDepth = (x: number, y: number, z: number, r: number) =>
  z + Math.sqrt(Math.max(0, r * r - x * x - y * y))

/**
 * How near the surface of a cone is along the line of sight through a place of the drawing; beside
 * the cone as near as its middle. Of all balls between its ends the one that comes nearest is
 * found in closed form.
 */
export function depthOf(c: FlatCone, x: number, y: number): number {
  const px = x - c.ax
  const py = y - c.ay
  if (c.bend <= 1e-9)
    return Math.max(ballDepth(px, py, c.az, c.ra), ballDepth(x - c.bx, y - c.by, c.bz, c.rb))
  const along = (px * c.dx + py * c.dy) * c.h - c.ra * (c.ra - c.rb)
  const middle = along / c.bend
  const left = Math.max(0, c.ra * c.ra - px * px - py * py + along * middle)
  const at = middle + c.rise * Math.sqrt(left / (c.bend * (c.bend + c.rise * c.rise)))
  const t = at < 0 ? 0 : at > 1 ? 1 : at
  const r = c.ra + (c.rb - c.ra) * t
  return ballDepth(px - c.dx * c.h * t, py - c.dy * c.h * t, c.az + c.rise * t, r)
}

/** How near the middle of a cone is, beside a place of the drawing. */
export function middleOf(c: FlatCone, x: number, y: number): number {
  const t = c.h > 1e-9 ? Math.max(0, Math.min(1, ((x - c.ax) * c.dx + (y - c.ay) * c.dy) / c.h)) : 0
  return c.az + c.rise * t
}

/** Smooth minimum of two distances: round within k of each other. */
export const smooth = (a: number, b: number, k: number): number => {
  if (k <= 0) return Math.min(a, b)
  const h = Math.max(k - Math.abs(a - b), 0) / k
  return Math.min(a, b) - (h * h * k) / 4
}

/**
 * How much two surfaces melt into each other where they meet: not at all where one goes on as
 * the other, which would swell every joint, and wholly where they meet in a hollow.
 */
export const melt = (ax: number, ay: number, bx: number, by: number, k: number) =>
  k * Math.min(1, Math.max(0, 1 - (ax * bx + ay * by)))
