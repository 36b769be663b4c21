import { USUAL_STATURE } from '../body'
import type { Seen } from '../view'
import type { Ramp } from '../constraints'
import { add, scale, type Vec } from '../vec'
import { boxCorners, CHAIR_BACK, type Placement, SIZE } from './propPlaces'
import { boxSolid, rollSolid, type Solid } from './solids'
import { PROP_HEIGHT } from '../spec'

/** Props with their thickness, as they are seen. */

type See = (p: Vec) => Seen
const CM = 1 / USUAL_STATURE

/** The solids that one prop is made of. */
export function propSolids(kind: string, { at, along }: Placement, see: See): Solid[] {
  const height = PROP_HEIGHT[kind]! * CM
  const [long, wide] = SIZE[kind]!.map((cm) => cm * CM) as [number, number]
  if (kind === 'bolster') {
    const end = (sign: number): Vec => {
      const p = add(at, scale(along, (sign * long) / 2))
      return [p[0], height / 2, p[2]]
    }
    return [rollSolid(kind, end(-1), end(1), height / 2, see)]
  }
  if (kind === 'chair') return chairSolids(at, along, long, wide, height, see)
  const solid = boxSolid(kind, boxCorners(at, along, long, wide, 0, height), see)
  if (kind !== 'blanket') return [solid]
  // Folds along its sides.
  const fold = (y: number): Vec[] => {
    const c = boxCorners(at, along, long, wide, y, y)
    return [c[0]!, c[4]!, c[6]!, c[2]!, c[0]!]
  }
  return [{ ...solid, lines: [...solid.lines, fold(height / 3), fold((height * 2) / 3)] }]
}

/** Thickness of what a chair is made of, in cm. */
const WOOD = 3

function chairSolids(
  at: Vec,
  along: Vec,
  long: number,
  wide: number,
  height: number,
  see: See
): Solid[] {
  const wood = WOOD * CM
  const corners = (p: Vec, l: number, w: number, low: number, high: number) =>
    boxSolid('chair', boxCorners(p, along, l, w, low, high), see)
  const across: Vec = [along[2], 0, -along[0]]
  const [front, side] = [(long - wood) / 2, (wide - wood) / 2]
  const post = (a: number, b: number) =>
    add(at, add(scale(along, a * front), scale(across, b * side)))
  const legs = [-1, 1].flatMap((a) =>
    [-1, 1].map((b) =>
      corners(post(a, b), wood, wood, 0, a > 0 ? CHAIR_BACK[1] * CM : height - wood)
    )
  )
  const back = add(at, scale(along, front))
  return [
    ...legs,
    corners(back, wood * 0.7, wide - wood, CHAIR_BACK[0] * CM, CHAIR_BACK[1] * CM),
    corners(at, long, wide, height - wood, height),
  ]
}

/** How thick the bolster of a ramp is, in cm. */
const THICK = 14

/** A bolster on a low and a high block, under a body that lies on it. */
export function rampSolids({ from, way, low, rise, long }: Ramp, see: See): Solid[] {
  const thick = THICK * CM
  const tilt = Math.atan(rise)
  const at = (along: number, below: number): Vec => [
    from[0] + way[0] * along,
    low + rise * along - below,
    from[2] + way[2] * along,
  ]
  const half = thick / 2 / Math.cos(tilt)
  const block = (kind: string, along: number): Solid => {
    const top = low + rise * along - thick / Math.cos(tilt)
    const centre = at(along, 0)
    return boxSolid(
      kind,
      boxCorners([centre[0], 0, centre[2]], way, 10 * CM, 23 * CM, 0, Math.max(0.01, top)),
      see
    )
  }
  return [
    block('block low', 0.05),
    block('block high', long - 0.12),
    rollSolid('bolster', at(0, half), at(long * Math.cos(tilt), half), thick / 2, see),
  ]
}
