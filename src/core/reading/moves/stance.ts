import type { Side } from '../../card'
import {
  add,
  ANGLES,
  anglesOf,
  apply,
  askedAngles,
  type Body,
  bodyOf,
  type Contact,
  cross,
  deg,
  dot,
  Figure,
  indexOf,
  jointOf,
  norm,
  place,
  type Placed,
  pointIn,
  rotBy,
  type Segment,
  startOf,
  type Strap,
  sub,
  transpose,
  unit,
  type Vec,
} from '../../figure'

/** A body as the words have moved it so far: angles, what touches what, and the mat about it. */
export interface Stance {
  angles: number[]
  contacts: Contact[]
  straps: Strap[]
  wall?: number
  body: Body
  kept: Pick<Figure, 'body'>
  /** The side that leads; null on an even card. */
  lead: Side | null
  /** Whether the long edge of the mat is ahead: then a step back goes out to the side. */
  acrossMat: boolean
}

export const SIDES: readonly Side[] = ['left', 'right']

const seg = (side: Side, name: string) => `${side}${name}` as Segment

export function stanceOf(whole: Figure, lead: Side | null): Stance {
  return {
    angles: askedAngles(whole),
    contacts: [...whole.contacts],
    straps: [...whole.straps],
    ...(whole.wall === undefined ? {} : { wall: whole.wall }),
    body: bodyOf(whole.body),
    kept: whole.body ? { body: whole.body } : {},
    lead,
    acrossMat: false,
  }
}

/** The stance as a figure: angles to a tenth of a degree. */
export function figureOf({ angles, contacts, straps, wall, kept }: Stance): Figure {
  return {
    angles: anglesOf({ root: [0, 0, 0], angles }),
    contacts,
    straps,
    ...(wall === undefined ? {} : { wall }),
    ...kept,
  }
}

export const get = (s: Stance, joint: string, angle: string): number =>
  s.angles[indexOf(joint, angle)]!

/** Sets angles of a joint; each stays within its limits. */
export function set(s: Stance, joint: string, angles: Record<string, number>): void {
  for (const [name, value] of Object.entries(angles)) {
    const i = indexOf(joint, name)
    s.angles[i] = Math.min(ANGLES[i]!.max, Math.max(ANGLES[i]!.min, value))
  }
}

/** Sets angles of a joint on one side: `Hip`, `Knee`. */
export const setOn = (s: Stance, side: Side, joint: string, angles: Record<string, number>): void =>
  set(s, `${side}${joint}`, angles)

export const placedOf = (s: Stance): Placed => place(s.body, { root: [0, 0, 0], angles: s.angles })

/** Where a joint is, in statures, from the middle of the hips. */
export const at = (placed: Placed, segment: Segment): Vec => placed.origins[jointOf(segment)]!

// What touches what

export const touches = (s: Stance, part: RegExp, on?: RegExp): boolean =>
  s.contacts.some((each) => part.test(each.part) && (on?.test(each.on) ?? true))

export function drop(s: Stance, part: RegExp, on?: RegExp): void {
  s.contacts = s.contacts.filter((each) => !(part.test(each.part) && (on?.test(each.on) ?? true)))
}

export function put(s: Stance, part: string, on: string, along?: number): void {
  s.contacts = s.contacts.filter((each) => !(each.part === part && each.on === on))
  s.contacts.push({ part, on, ...(along === undefined ? {} : { along }) })
}

/** Parts of one leg, and of one arm, that can carry weight. */
const LEG_PARTS = 'sole|toes|heel|top of foot|outer foot|knee|shin|calf|leg|thigh'
const ARM_PARTS = 'palm|hand|back of hand|fist|fingertips|forearm|elbow'
export const legOf = (side: Side) => new RegExp(`^${side} (?:${LEG_PARTS})$`)
export const armOf = (side: Side) => new RegExp(`^${side} (?:${ARM_PARTS})$`)
export const ANY_ARM = new RegExp(`^(?:left|right) (?:${ARM_PARTS})$`)
export const FLOOR = /^floor$/

/** A leg leaves what it stands or lies on; what rests on it leaves it too. */
export function freeLeg(s: Stance, side: Side): void {
  drop(s, legOf(side))
  setOn(s, side, 'Toes', { extension: 0 })
}
export function freeArm(s: Stance, side: Side): void {
  drop(s, armOf(side))
  s.straps = s.straps.filter((strap) => !strap.some((end) => end === `${side} hand`))
}

export type Posture =
  | 'standing'
  | 'kneeling'
  | 'fours'
  | 'hands and feet'
  | 'seated'
  | 'heel seat'
  | 'prone'
  | 'supine'
  | 'bridge'
  | 'side-lying'
  | 'pigeon'

/** How a stance is carried, by what touches the floor. */
export function postureOf(s: Stance): Posture {
  const floor = (part: RegExp) => touches(s, part, /^(?!left|right)/)
  if (floor(/outer foot$/) && floor(/hip$/) && floor(/top of foot$/)) return 'pigeon'
  if (floor(/^(?:left|right) (?:hip|shoulder)$/) && !floor(/shin|palm/)) return 'side-lying'
  if (floor(/^(?:belly|chest)$/) && !floor(/shin$/)) return 'prone'
  if (floor(/^back$/) || (floor(/^pelvis$/) && floor(/^(?:head|crown)$/))) return 'supine'
  if (floor(/^shoulders$/)) return 'bridge'
  if (floor(/^sit bones?$|(?:left|right) sit bone$/)) return 'seated'
  const hands = floor(/palm|forearm|fist|elbow|fingertips/)
  const shins = floor(/shin$|knee$/)
  const tilt = get(s, 'pelvis', 'tilt')
  if (
    hands &&
    shins &&
    tilt > 40 &&
    get(s, 'leftKnee', 'flexion') + get(s, 'rightKnee', 'flexion') < 270
  )
    return 'fours'
  if (shins) {
    const both = SIDES.every((side) => get(s, `${side}Knee`, 'flexion') > 130)
    return both ? 'heel seat' : hands && tilt > 40 ? 'fours' : 'kneeling'
  }
  if (hands && tilt > 45) return 'hands and feet'
  return 'standing'
}

const starts = new Map<string, Figure>()

/** The figure of a starting position, read once. */
export function startFigure(id: string): Figure | undefined {
  const known = starts.get(id)
  const start = startOf(id)
  if (known || !start) return known
  const figure = Figure.parse(start.figure)
  starts.set(id, figure)
  return figure
}

/** Takes over a starting position, with the arms or without. */
export function takeStart(s: Stance, id: string, mirrored = false): void {
  const figure = startFigure(id)
  if (!figure) return
  s.angles = askedAngles(figure)
  s.contacts = [...figure.contacts]
  s.straps = []
  if (mirrored) mirror(s)
}

const swapped = (name: string) =>
  name.startsWith('left')
    ? `right${name.slice(4)}`
    : name.startsWith('right')
      ? `left${name.slice(5)}`
      : name

function mirror(s: Stance) {
  const before = [...s.angles]
  ANGLES.forEach(({ joint, angle, flips }, i) => {
    s.angles[i] = (flips ? -1 : 1) * before[indexOf(swapped(joint), angle)]!
  })
  s.contacts = s.contacts.map((each) => ({
    ...each,
    part: swapped(each.part),
    on: swapped(each.on),
  }))
}

// Directions

/** Where the body looks, along the floor; lying on its back or front: towards the head. */
export function ahead(placed: Placed): Vec {
  const turned = placed.rotations[0]!
  const side = apply(turned, [1, 0, 0])
  const way = cross(side, [0, 1, 0])
  return norm(way) > 0.2 ? unit(way) : unit(apply(turned, [0, 1, 0]))
}

/** Out to one side of the body, along the floor. */
export function outward(placed: Placed, side: Side, segment: Segment = 'ribs'): Vec {
  const s = side === 'left' ? 1 : -1
  const [x, , z] = apply(placed.rotations[jointOf(segment)]!, [s, 0, 0])
  const flat = unit([x, 0, z])
  return norm(flat) > 0.5 ? flat : [s, 0, 0]
}

/** The swing, as flexion and abduction, that takes a hanging limb to a direction of its parent. */
export function swing(d: Vec, side: Side): { flexion: number; abduction: number } {
  const s = side === 'left' ? 1 : -1
  const angle = deg(Math.acos(Math.max(-1, Math.min(1, -d[1]))))
  const long = Math.hypot(d[0], d[2])
  if (long < 1e-6) return { flexion: angle > 90 ? 178 : 0, abduction: 0 }
  return { flexion: (angle * d[2]) / long, abduction: (s * angle * d[0]) / long }
}

/** Points an arm along a direction in space. */
export function aimArm(s: Stance, side: Side, way: Vec): void {
  const placed = placedOf(s)
  const d = apply(transpose(placed.rotations[jointOf(seg(side, 'Girdle'))]!), unit(way))
  setOn(s, side, 'Shoulder', { ...swing(d, side), rotation: 0 })
}

/** Points a thigh along a direction in space. */
export function aimLeg(s: Stance, side: Side, way: Vec): void {
  const placed = placedOf(s)
  const d = apply(transpose(placed.rotations[0]!), unit(way))
  setOn(s, side, 'Hip', { ...swing(d, side), rotation: get(s, `${side}Hip`, 'rotation') })
}

/** Bends an arm so that its hand comes to a place, the elbow towards a pole. */
export function reachFor(s: Stance, side: Side, target: Vec, pole: Vec = [0, -1, -0.4]): void {
  const placed = placedOf(s)
  const shoulder = at(placed, seg(side, 'UpperArm'))
  const girdle = transpose(placed.rotations[jointOf(seg(side, 'Girdle'))]!)
  const { upperArm: a } = s.body
  const b = s.body.forearm + s.body.hand * 0.4
  const away = sub(target, shoulder)
  const d = Math.max(Math.abs(a - b) + 0.01, Math.min(a + b - 0.002, norm(away)))
  const way = unit(away)
  const inner = Math.acos((a * a + b * b - d * d) / (2 * a * b))
  const lift = Math.acos((a * a + d * d - b * b) / (2 * a * d))
  const [x, y, z] = sub(pole, [
    way[0] * dot(pole, way),
    way[1] * dot(pole, way),
    way[2] * dot(pole, way),
  ])
  const off = unit([x, y, z])
  const upper = add(
    [way[0] * Math.cos(lift), way[1] * Math.cos(lift), way[2] * Math.cos(lift)],
    [off[0] * Math.sin(lift), off[1] * Math.sin(lift), off[2] * Math.sin(lift)]
  )
  const local = apply(girdle, unit(upper))
  const { flexion, abduction } = swing(local, side)
  const sign = side === 'left' ? 1 : -1
  // The forearm bends towards the front of the upper arm: it is turned to where the hand is to be.
  const swung = rotBy([-flexion, 0, sign * abduction])
  const towards = apply(transpose(swung), apply(girdle, sub(way, upper)))
  const turn = deg(Math.atan2(towards[0], towards[2]))
  setOn(s, side, 'Shoulder', {
    flexion,
    abduction,
    rotation: d > a + b - 0.01 ? 0 : sign * turn,
  })
  setOn(s, side, 'Elbow', { flexion: 180 - deg(inner) })
}

/** A place on a limb, from its first joint (0) to its second (1). */
export function onLimb(
  s: Stance,
  side: Side,
  limb: 'Thigh' | 'Shank' | 'Foot',
  along: number
): Vec {
  const long =
    limb === 'Thigh' ? s.body.thigh : limb === 'Shank' ? s.body.shank : s.body.ankleHeight
  return pointIn(placedOf(s), seg(side, limb), [0, -long * along, 0.02])
}

// The trunk

/** The legs that carry the trunk: their thighs stay where they are while it tips. */
export const carrying = (s: Stance): Side[] =>
  SIDES.filter((side) => touches(s, legOf(side)) || touches(s, /^sit bones$/))

/** Tips the trunk forward (above 0) or back about the hips, to so many degrees from upright. */
export function tipTo(s: Stance, tilt: number): void {
  const by = tilt - get(s, 'pelvis', 'tilt')
  set(s, 'pelvis', { tilt })
  for (const side of SIDES)
    if (touches(s, legOf(side)) || touches(s, /^sit bones$/))
      setOn(s, side, 'Hip', { flexion: get(s, `${side}Hip`, 'flexion') + by })
}

/** Bend of the spine, in degrees: low back, ribs, neck; above 0 forward. */
export function curve(s: Stance, lowBack: number, ribs: number, neck?: number): void {
  set(s, 'lowBack', { flexion: lowBack })
  set(s, 'ribs', { flexion: ribs })
  if (neck !== undefined) set(s, 'neck', { flexion: neck })
}

/** Arms by the sides. */
export function hang(s: Stance, side: Side): void {
  setOn(s, side, 'Girdle', { elevation: 0, retraction: 0 })
  setOn(s, side, 'Shoulder', { flexion: 0, abduction: 9, rotation: 0 })
  setOn(s, side, 'Elbow', { flexion: 8 })
  setOn(s, side, 'Forearm', { pronation: 70 })
  setOn(s, side, 'Wrist', { flexion: 0, radialDeviation: 0 })
}

/** A flat hand: the wrist bent back. */
export function flatHand(s: Stance, side: Side): void {
  setOn(s, side, 'Forearm', { pronation: 160 })
  setOn(s, side, 'Wrist', { flexion: -75, radialDeviation: 0 })
}
