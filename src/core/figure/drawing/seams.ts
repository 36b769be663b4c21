import { type Placed, pointIn, type Segment } from '../skeleton'
import type { Seen } from '../view'
import { add, cross, dot, norm, scale, sub, unit, type Vec } from '../vec'
import type { Body } from '../body'
import { type Cone, depthOf, flatCone, readCone, type Reading } from './cones'
import type { FleshPart } from './flesh'

/**
 * Lines on the surface of a body that show how it is turned and bent: the middle line in front and
 * the spine behind, the waist, the shoulder blades, the sit bones, the creases of bent joints.
 */
export interface Seam {
  name: 'middle' | 'spine' | 'waist' | 'blade' | 'sit bone' | 'crease' | 'groin'
  points: Vec[]
  /** The way outward at each point; none where the line lies inside the flesh. */
  ways?: Vec[]
}

const reading: Reading = { d: 0, gx: 0, gy: 0 }

/** Where the surface of round cones is, from a place inside on that way; null when it meets none. */
function surfaceAt(cones: readonly Cone[], from: Vec, way: Vec): Vec | null {
  const ahead = unit(way)
  const side = unit(cross(Math.abs(ahead[1]) > 0.9 ? [1, 0, 0] : [0, 1, 0], ahead))
  const up = cross(ahead, side)
  const seen = (p: Vec): Seen => [dot(p, side), dot(p, up), dot(p, ahead)]
  const [x, y, z] = seen(from)
  let best = -Infinity
  for (const { a, ra, b, rb } of cones) {
    const flat = flatCone(seen(a), ra, seen(b), rb)
    readCone(flat, x, y, reading)
    if (reading.d < 0) best = Math.max(best, depthOf(flat, x, y))
  }
  return best === -Infinity ? null : add(from, scale(ahead, best - z))
}

type Place = readonly [segment: Segment, x: number, y: number, z: number]

/**
 * The lines of the trunk.
 * @param fine also those across it
 */
export function trunkSeams(
  body: Body,
  placed: Placed,
  trunk: readonly Cone[],
  fine = true
): Seam[] {
  const on = ([segment, x, y, z]: Place, way: Vec): [at: Vec, way: Vec][] => {
    const from = pointIn(placed, segment, [x, y, z])
    const out = sub(pointIn(placed, segment, [x + way[0], y + way[1], z + way[2]]), from)
    const found = surfaceAt(trunk, from, out)
    return found ? [[found, out]] : []
  }
  const seam = (name: Seam['name'], on: [Vec, Vec][]): Seam => ({
    name,
    points: on.map(([at]) => at),
    ways: on.map(([, way]) => way),
  })
  const su = body.shoulderUp
  const down: Place[] = [
    ['ribs', 0, su * 0.98, 0],
    ['ribs', 0, su * 0.8, 0],
    ['ribs', 0, su * 0.6, 0],
    ['ribs', 0, su * 0.4, 0],
    ['ribs', 0, su * 0.2, 0],
    ['ribs', 0, 0, 0],
    ['lowBack', 0, body.lowBackUp * 0.7, 0],
    ['lowBack', 0, body.lowBackUp * 0.3, 0],
    ['pelvis', 0, 0.03, 0],
    ['pelvis', 0, 0.0, 0],
    ['pelvis', 0, -0.03, 0],
  ]
  const along = [
    seam(
      'middle',
      down.slice(0, 8).flatMap((place) => on(place, [0, 0, 1]))
    ),
    seam(
      'spine',
      down.slice(0, 8).flatMap((place) => on(place, [0, 0, -1]))
    ),
  ]
  if (!fine) return along
  const around = 32
  const waist = Array.from({ length: around + 1 }, (_, i) => {
    const angle = (i / around) * 2 * Math.PI
    return on(['lowBack', 0, body.lowBackUp * 0.3, 0.002], [Math.cos(angle), 0, Math.sin(angle)])
  }).flat()
  const blades = ([1, -1] as const).map((s) =>
    seam(
      'blade',
      (
        [
          [s * 0.03, su * 0.78],
          [s * 0.034, su * 0.62],
          [s * 0.044, su * 0.5],
          [s * 0.06, su * 0.48],
        ] as const
      ).flatMap(([x, y]) => on(['ribs', x, y, 0], [0, 0, -1]))
    )
  )
  // Under each sit bone, seen from behind.
  const sits = ([1, -1] as const).map((s) =>
    seam(
      'sit bone',
      ([0.01, 0.026, 0.044, 0.062] as const).flatMap((x, i) =>
        on(['pelvis', s * x, -0.044 - [0, 0.006, 0.006, 0][i]!, -0.012], [0, 0, -1])
      )
    )
  )
  return [...along, seam('waist', waist), ...blades, ...sits]
}

/** Joints that have a crease when they are bent by more than so many degrees. */
const BENDS = [
  { from: 'UpperArm', at: 'Forearm', to: 'Hand', of: 'upper arm', radius: 0.0225, least: 45 },
  { from: 'Thigh', at: 'Shank', to: 'Foot', of: 'thigh', radius: 0.033, least: 50 },
] as const

/** Bent further, the one half of the limb is seen to lie over the other. */
const MOST_BENT = 118

/** A crease from the hollow of each bent elbow, knee and hip towards its joint. */
export function creaseSeams(placed: Placed, parts: readonly FleshPart[]): Seam[] {
  const origin = (segment: Segment) => pointIn(placed, segment, [0, 0, 0])
  const crease = (
    name: 'crease' | 'groin',
    joint: Vec,
    a: Vec,
    b: Vec,
    radius: number,
    least: number
  ): Seam[] => {
    const [p, q] = [unit(sub(a, joint)), unit(sub(b, joint))]
    const bent = 180 - (Math.acos(Math.max(-1, Math.min(1, dot(p, q)))) * 180) / Math.PI
    const hollow = add(p, q)
    if (bent < least || bent > MOST_BENT || norm(hollow) < 1e-6) return []
    const way = unit(hollow)
    // Of two rods the hollow begins where their sides meet, and flesh fills it a little.
    const deep = radius / Math.sin(((180 - bent) * Math.PI) / 360)
    return [
      {
        name,
        points: [1.6, 1.2, 0.95, 0.75].map((t) => add(joint, scale(way, deep * t))),
      },
    ]
  }
  return (['left', 'right'] as const).flatMap((side) => [
    ...BENDS.flatMap(({ from, at, to, of, radius, least }) => {
      if (!parts.some(({ name }) => name === `${side} ${of}`)) return []
      const of3 = (name: string) => origin(`${side}${name}` as Segment)
      return crease('crease', of3(at), of3(from), of3(to), radius, least)
    }),
    ...crease(
      'groin',
      origin(`${side}Thigh`),
      pointIn(placed, 'lowBack', [side === 'left' ? 0.04 : -0.04, 0, 0]),
      origin(`${side}Shank`),
      0.05,
      55
    ),
  ])
}
