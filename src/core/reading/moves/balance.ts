import { otherSide, type Side } from '../../card'
import {
  add,
  apply,
  centreOfMass,
  type Flat,
  fromEdge,
  hull,
  isInside,
  jointOf,
  type Placed,
  scale,
  type Segment,
  solved,
  sub,
  transpose,
  unit,
  type Vec,
} from '../../figure'
import { at, figureOf, get, placedOf, setOn, SIDES, type Stance, swing } from './stance'

/** How far a standing leg leans to bring the weight over its foot, in degrees. Common practice, no source. */
const LEANS = 12
/** The legs take part of the weight along: it is looked again. */
const ROUNDS = 3
/** How far inside its feet a body stands at least, in statures. */
const WELL_IN = 0.012
/** Where a sole ends and where its ball is, from the ankle on, as parts of the foot. */
const FOOT = { heel: -0.24, ball: 0.5, toes: 0.7 }
/** Half of how wide a foot is, in statures. */
const HALF_WIDE = 0.02

/** A foot that carries: the whole sole, or the toes alone. */
interface Foot {
  side: Side
  from: number
  until: number
}

/** The feet that a stance stands on, where nothing else carries it; none when more does. */
function feetAlone({ contacts }: Stance): Foot[] {
  const carrying = contacts.filter(({ on }) => !/^(?:left|right) /.test(on))
  const feet = SIDES.flatMap((side): Foot[] => {
    const has = (part: string) =>
      carrying.some((each) => each.part === `${side} ${part}` && each.on === 'floor')
    if (has('sole')) return [{ side, from: FOOT.heel, until: FOOT.toes }]
    return has('toes') ? [{ side, from: FOOT.ball, until: FOOT.toes }] : []
  })
  return feet.length === carrying.length ? feet : []
}

/** The body of a stance; where a limb leans on another one, as that brings it. */
const bodyIn = (s: Stance): Placed =>
  s.contacts.some(({ on }) => /^(?:left|right) /.test(on))
    ? solved(figureOf(s)).placed
    : placedOf(s)

const segment = (side: Side, name: string) => `${side}${name}` as Segment

/** A place on a foot over the floor: so far ahead of its ankle, and so far out to the side. */
function onFoot(s: Stance, placed: Placed, side: Side, part: number, out = 0): Flat {
  const foot = segment(side, 'Foot')
  const [x, , z] = apply(placed.rotations[jointOf(foot)]!, [0, 0, 1])
  const [ux, , uz] = unit([x, 0, z])
  const [ax, , az] = at(placed, foot)
  const long = s.body.foot * part
  return [ax + ux * long + uz * out, az + uz * long - ux * out]
}

/** How far, and which way, the weight is off from where the feet carry it. */
function offFrom(s: Stance, placed: Placed, feet: readonly Foot[]): Flat {
  const [x, , z] = centreOfMass(s.body, placed)
  const [one, other] = feet
  if (!other) {
    const [mx, mz] = onFoot(s, placed, one!.side, (one!.from + one!.until) / 2)
    return [x - mx, z - mz]
  }
  const corners = hull(
    feet.flatMap(({ side, from, until }) =>
      [from, until].flatMap((part) =>
        [-HALF_WIDE, HALF_WIDE].map((out) => onFoot(s, placed, side, part, out))
      )
    )
  )
  const [wx, wz] = isInside(corners, [x, z]) ? [0, 0] : fromEdge(corners, [x, z])
  const far = Math.hypot(wx, wz)
  return far < 0.002 ? [0, 0] : [wx * (1 + WELL_IN / far), wz * (1 + WELL_IN / far)]
}

/**
 * A stance on its feet alone as a body stands in it: the legs lean until the weight is over the
 * middle of the one foot, or between both, or as far as legs lean. All others as they are.
 */
export function overTheFeet(from: Stance): Stance {
  const feet = feetAlone(from)
  if (feet.length === 0) return from
  const s = { ...from, angles: [...from.angles] }
  for (let round = 0; round < ROUNDS; round += 1) {
    const placed = bodyIn(s)
    const off = offFrom(s, placed, feet)
    if (Math.hypot(...off) < 0.002) break
    for (const { side } of feet) leanLeg(s, from, placed, side, off)
  }
  return s
}

/** Leans a leg so that its foot goes by so much, the whole leg about the hip. */
function leanLeg(s: Stance, from: Stance, placed: Placed, side: Side, off: Flat): void {
  const hip = at(placed, segment(side, 'Thigh'))
  const thigh = sub(at(placed, segment(side, 'Shank')), hip)
  const down = hip[1] - at(placed, segment(side, 'Foot'))[1]
  const inHips = (way: Vec) => swing(apply(transpose(placed.rotations[0]!), unit(way)), side)
  const [is, wanted] = [
    inHips(thigh),
    inHips(add(thigh, scale([off[0], 0, off[1]], -thigh[1] / down))),
  ]
  const within = (name: 'flexion' | 'abduction', about: number) => {
    const asked = get(s, `${side}Hip`, name) + wanted[name] - is[name]
    return Math.min(about + LEANS, Math.max(about - LEANS, asked))
  }
  const begun = get(from, `${side}Hip`, 'abduction')
  // A leg of a wide stance comes in under the body when the other one leaves the floor.
  const comesIn =
    !feetAlone(from).some((each) => each.side === otherSide(side)) &&
    Math.abs(get(from, 'pelvis', 'lean')) < LEANS
  setOn(s, side, 'Hip', {
    flexion: within('flexion', get(from, `${side}Hip`, 'flexion')),
    abduction: within('abduction', comesIn ? Math.min(begun, 0) : begun),
  })
}
