import type { Side } from '../card'
import { fleshOf } from './flesh'
import { hull } from './hull'
import type { Mark } from './marks'
import { touchPoints } from './parts'
import {
  boxOf,
  creases,
  type FlatPart,
  flatten,
  gridOf,
  outline,
  partDistance,
  type Point,
} from './silhouette'
import { pointIn, type Segment } from './skeleton'
import { PROP_HEIGHT } from './spec'
import type { Figure } from './spec'
import { type Solved, USUAL_STATURE } from './solve'
import { type Vec, add, apply, mid, scale, unit, sub } from './vec'
import { lens, type View, viewOf } from './view'

/** One shape of a drawing; its path is in hundredths of a stature, y down. */
export interface Shape {
  kind:
    | 'far'
    | 'body'
    | 'crease'
    | 'prop'
    | 'propLine'
    | 'strap'
    | 'floor'
    | 'mark'
    | 'ghost'
    | 'measureGap'
    | 'measure'
  path: string
}

export interface Letter {
  text: 'L' | 'R'
  x: number
  y: number
}

export interface Drawing {
  view: View
  /** left, top, width, height: in hundredths of a stature. */
  box: [number, number, number, number]
  shapes: Shape[]
  letters: Letter[]
}

export interface DrawOptions {
  view?: View
  /** Size of the grid in statures; coarser is faster. */
  cell?: number
  letters?: boolean
  /** Another solved figure, drawn as an outline behind. */
  ghost?: Solved
  /** Lines in space that show what is measured. */
  marks?: readonly Mark[]
}

const UNIT = 100
const number = (value: number) => String(Math.round(value * UNIT * 100) / 100)
const xy = ([x, y]: Point) => `${number(x)} ${number(-y)}`

/** A closed ring as a smooth curve through the middles of its sides. */
function ringPath(ring: readonly Point[]): string {
  const points = ring.slice(0, -1)
  if (points.length < 3) return ''
  const half = (i: number): Point => {
    const a = points[i % points.length]!
    const b = points[(i + 1) % points.length]!
    return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
  }
  let path = `M${xy(half(0))}`
  for (let i = 1; i <= points.length; i += 1)
    path += `Q${xy(points[i % points.length]!)} ${xy(half(i))}`
  return `${path}Z`
}

/** Every second point is enough where the line is even. */
const thinned = (ring: readonly Point[]): Point[] =>
  ring.filter((_, i) => i % 2 === 0 || i === ring.length - 1)

const CREASE = 0.008
/** Length over which a crease runs out at its ends. */
const RUNS_OUT = 0.05

/** A line as a stroke of a pen: thin at both ends. */
function strokePath(line: readonly Point[]): string {
  const far = [0]
  for (let i = 1; i < line.length; i += 1)
    far.push(far[i - 1]! + Math.hypot(line[i]![0] - line[i - 1]![0], line[i]![1] - line[i - 1]![1]))
  const long = far.at(-1)!
  const side = (sign: 1 | -1) =>
    line.map((point, i): Point => {
      const a = line[Math.max(0, i - 2)]!
      const b = line[Math.min(line.length - 1, i + 2)]!
      const turn = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1
      const open = Math.min(1, far[i]! / RUNS_OUT, (long - far[i]!) / RUNS_OUT)
      const half = (CREASE / 2) * Math.sqrt(open) * sign
      return [point[0] - ((b[1] - a[1]) / turn) * half, point[1] + ((b[0] - a[0]) / turn) * half]
    })
  return closed([...side(1), ...side(-1).reverse()])
}

const linePath = (line: readonly Point[]) => `M${line.map(xy).join('L')}`

const closed = (points: readonly Point[]) => `M${points.map(xy).join('L')}Z`

interface Placement {
  at: Vec
  /** Direction along the floor in which it lies. */
  along: Vec
}

function boxCorners(
  centre: Vec,
  along: Vec,
  long: number,
  wide: number,
  low: number,
  high: number
): Vec[] {
  const across: Vec = [along[2], 0, -along[0]]
  return [-1, 1].flatMap((a) =>
    [-1, 1].flatMap((b) =>
      [low, high].map((y): Vec => {
        const p = add(centre, add(scale(along, (a * long) / 2), scale(across, (b * wide) / 2)))
        return [p[0], y, p[2]]
      })
    )
  )
}

/** Sizes of props in cm: long, wide. */
const SIZE: Record<string, [number, number]> = {
  'block low': [23, 15],
  'block middle': [23, 10],
  'block high': [15, 10],
  bolster: [65, 24],
  blanket: [70, 55],
  chair: [40, 40],
}

/** From where to where the back of a chair reaches, in cm. */
const CHAIR_BACK = [66, 84] as const

function propShapes(
  kind: string,
  { at, along }: Placement,
  see: (p: Vec) => readonly number[]
): Shape[] {
  const cm = 1 / USUAL_STATURE
  const height = PROP_HEIGHT[kind]! * cm
  const [long, wide] = SIZE[kind]!
  const flat = (p: Vec): Point => [see(p)[0]!, see(p)[1]!]
  const solid = (corners: Vec[]): Shape => ({ kind: 'prop', path: closed(hull(corners.map(flat))) })
  if (kind !== 'chair') return [solid(boxCorners(at, along, long * cm, wide * cm, 0, height))]
  const seat = boxCorners(at, along, long * cm, wide * cm, height - 0.015, height)
  const feet = boxCorners(at, along, long * cm * 0.92, wide * cm * 0.92, 0, height)
  const legs = [0, 2, 4, 6].map((i): Shape => ({
    kind: 'propLine',
    path: linePath([flat(feet[i]!), flat(feet[i + 1]!)]),
  }))
  // Its back stands where it lies towards.
  const back = add(at, scale(along, (long * cm * 0.92) / 2))
  const rest = boxCorners(
    back,
    along,
    0.012,
    wide * cm * 0.92,
    CHAIR_BACK[0] * cm,
    CHAIR_BACK[1] * cm
  )
  const uprights = [0, 1].map((i): Shape => {
    const [foot, top] = [feet[4 + i * 2]!, rest[i * 2 + 1]!]
    return { kind: 'propLine', path: linePath([flat([foot[0], height, foot[2]]), flat(top)]) }
  })
  return [...legs, ...uprights, solid(rest), solid(seat)]
}

function propPlacements(figure: Figure, solved: Solved): { kind: string; place: Placement }[] {
  const byKind = new Map<string, { points: Vec[]; kind: string }>()
  for (const contact of figure.contacts) {
    if (!(contact.on in PROP_HEIGHT)) continue
    const points = touchPoints(contact.part, solved).map(({ at }) => at)
    // Hands and feet have a block each; a bolster, a chair, a blanket carries all that rests on it.
    const key = contact.on.startsWith('block') ? `${contact.on} ${contact.part}` : contact.on
    const known = byKind.get(key)
    if (known) known.points.push(...points)
    else byKind.set(key, { points, kind: contact.on })
  }
  const spine = sub(pointIn(solved.placed, 'ribs', [0, 0.1, 0]), solved.pose.root)
  const level: Vec = [spine[0], 0, spine[2]]
  const ahead = apply(solved.placed.rotations[0]!, [0, 0, 1])
  const front: Vec =
    Math.hypot(ahead[0], ahead[2]) > 0.3 ? unit([ahead[0], 0, ahead[2]]) : [0, 0, 1]
  const along = Math.hypot(level[0], level[2]) > 0.08 ? unit(level) : front
  const sits = figure.contacts.some(({ part, on }) => on === 'chair' && part.includes('sit bone'))
  return [...byKind.values()].map(({ kind, points }) => {
    const low = (k: 0 | 2) => Math.min(...points.map((p) => p[k]))
    const high = (k: 0 | 2) => Math.max(...points.map((p) => p[k]))
    const at: Vec = [(low(0) + high(0)) / 2, 0, (low(2) + high(2)) / 2]
    if (kind !== 'chair') return { kind, place: { at, along } }
    // Who sits has its back behind; who leans on it stands at its front.
    const away: Vec = [at[0] - solved.pose.root[0], 0, at[2] - solved.pose.root[2]]
    const back = sits || Math.hypot(away[0], away[2]) < 0.05 ? scale(front, -1) : unit(away)
    return { kind, place: { at, along: back } }
  })
}

/** A view tipped by more than this shows the mat in place of the line of the floor. */
const FROM_ABOVE = 8
/** Length and width of a mat, in statures. */
const MAT = [1.08, 0.4] as const

/** Corners of a mat that lies under what touches the floor. */
function matUnder(figure: Figure, solved: Solved): Vec[] {
  const touching = figure.contacts
    .filter((contact) => contact.on === 'floor')
    .flatMap((contact) => touchPoints(contact.part, solved).map(({ at }) => at))
  const [head, root] = [pointIn(solved.placed, 'head', [0, 0, 0]), solved.pose.root]
  const feet = (['Foot', 'Shank'] as const).map((name) => {
    const of = (side: Side) => pointIn(solved.placed, `${side}${name}`, [0, 0, 0])
    return mid(of('left'), of('right'))
  })
  const far = feet.reduce((best, p) =>
    Math.hypot(p[0] - head[0], p[2] - head[2]) > Math.hypot(best[0] - head[0], best[2] - head[2])
      ? p
      : best
  )
  const line: Vec = [head[0] - far[0], 0, head[2] - far[2]]
  const ahead = apply(solved.placed.rotations[0]!, [0, 0, 1])
  const along = unit(Math.hypot(line[0], line[2]) > 0.25 ? line : [ahead[0], 0, ahead[2] || 1])
  const across: Vec = [along[2], 0, -along[0]]
  const middle = (way: Vec) => {
    const on = touching.map((p) => p[0] * way[0] + p[2] * way[2])
    return on.length ? (Math.min(...on) + Math.max(...on)) / 2 : root[0] * way[0] + root[2] * way[2]
  }
  const [m, n] = [middle(along), root[0] * across[0] + root[2] * across[2]]
  const corner = (a: number, b: number): Vec => {
    const p = add(scale(along, m + (a * MAT[0]) / 2), scale(across, n + (b * MAT[1]) / 2))
    return [p[0], 0, p[2]]
  }
  return [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)]
}

/** Limbs whose middle lies behind the trunk by more than this are drawn pale. */
const BEHIND = { aside: 0.035, ahead: 0.14 }

/**
 * Draws a solved figure: far limbs pale, the body smooth, paper-coloured lines where a nearer
 * part crosses a farther one.
 */
export function draw(figure: Figure, solved: Solved, options: DrawOptions = {}): Drawing {
  const view = options.view ?? viewOf(figure, solved)
  const cell = options.cell ?? 0.009
  const see = lens(view)
  const flat = flatten(fleshOf(solved.body, solved.placed), see)
  const trunk = flat.find((each) => each.part.name === 'trunk')!
  const limbs = ['leftArm', 'rightArm', 'leftLeg', 'rightLeg'] as const
  // Seen from the front both sides are alike; seen from the side one is behind.
  const behind = Math.abs(Math.sin((view.turn * Math.PI) / 180)) > 0.6 ? BEHIND.aside : BEHIND.ahead
  const near = (limb: string) => {
    const parts = flat.filter((each) => each.part.limb === limb)
    return parts.reduce((sum, each) => sum + each.near, 0) / parts.length
  }
  const across = {
    leftArm: 'rightArm',
    rightArm: 'leftArm',
    leftLeg: 'rightLeg',
    rightLeg: 'leftLeg',
  }
  const far = limbs
    .filter((limb) => near(limb) < Math.min(trunk.near, near(across[limb])) - behind)
    .sort((a, b) => near(a) - near(b))
  const body = flat.filter((each) => !far.includes(each.part.limb as (typeof limbs)[number]))
  const shapes: Shape[] = []

  if (options.ghost) {
    const other = flatten(fleshOf(options.ghost.body, options.ghost.placed), see)
    shapes.push({
      kind: 'ghost',
      path: outline(gridOf(other, cell * 1.3), other)
        .map((ring) => ringPath(thinned(ring)))
        .join(''),
    })
  }
  const grid = gridOf(flat, cell)
  const props = propPlacements(figure, solved)
  for (const { kind, place } of props) shapes.push(...propShapes(kind, place, see))
  for (const limb of far) {
    const parts = flat.filter((each) => each.part.limb === limb)
    shapes.push({
      kind: 'far',
      path: outline(grid, parts)
        .map((ring) => ringPath(ring))
        .join(''),
    })
  }
  shapes.push({
    kind: 'body',
    path: outline(grid, body)
      .map((ring) => ringPath(ring))
      .join(''),
  })
  for (const line of creases(grid, far)) shapes.push({ kind: 'crease', path: strokePath(line) })
  const marks = faceMarks(solved, see)
  if (marks) shapes.push({ kind: 'mark', path: marks })
  for (const [from, to] of figure.straps) {
    const end = (part: string): Point => {
      const [x, y] = see(touchPoints(part, solved)[0]!.at)
      return [x, y]
    }
    shapes.push({ kind: 'strap', path: linePath([end(from), end(to)]) })
  }

  const measured = (options.marks ?? []).map((line) =>
    line.map((p): Point => {
      const [x, y] = see(p)
      return [x, y]
    })
  )
  for (const kind of ['measureGap', 'measure'] as const)
    for (const line of measured) shapes.push({ kind, path: linePath(line) })

  const all = flat.flatMap(({ cones }) =>
    cones.flatMap((c): Point[] => [
      [c.ax - c.ra, c.ay - c.ra],
      [c.ax + c.ra, c.ay + c.ra],
      [c.bx - c.rb, c.by - c.rb],
      [c.bx + c.rb, c.by + c.rb],
    ])
  )
  all.push(...measured.flat())
  // The floor is drawn where what touches it is nearest.
  const touching = figure.contacts
    .filter((contact) => contact.on === 'floor')
    .flatMap((contact) =>
      touchPoints(contact.part, solved).map(
        ({ at: [x, y, z], radius }) => see([x, y - radius, z])[1]
      )
    )
  const ground = touching.length ? Math.min(...touching) - 0.004 : see([0, 0, 0])[1]
  let [left, right] = [Math.min(...all.map((p) => p[0])), Math.max(...all.map((p) => p[0]))]
  let top = Math.max(...all.map((p) => p[1]))
  let bottom = Math.min(ground, ...all.map((p) => p[1]))
  for (const { kind, place } of props) {
    const corners = boxCorners(
      place.at,
      place.along,
      SIZE[kind]![0] / USUAL_STATURE,
      SIZE[kind]![1] / USUAL_STATURE,
      0,
      0
    )
    left = Math.min(left, ...corners.map((p) => see(p)[0]))
    right = Math.max(right, ...corners.map((p) => see(p)[0]))
    const high = kind === 'chair' ? CHAIR_BACK[1] : PROP_HEIGHT[kind]!
    top = Math.max(top, ...corners.map((p) => see([p[0], high / USUAL_STATURE, p[2]])[1]))
  }
  if (figure.wall !== undefined) {
    const [wx] = see([solved.pose.root[0], 0, figure.wall])
    if (Math.abs(Math.sin((view.turn * Math.PI) / 180)) > 0.5) {
      shapes.unshift({
        kind: 'floor',
        path: linePath([
          [wx, ground],
          [wx, Math.max(top + 0.04, 0.6)],
        ]),
      })
      left = Math.min(left, wx)
      right = Math.max(right, wx)
      top = Math.max(top, 0.6)
    }
  }
  if (view.tilt < FROM_ABOVE) {
    shapes.unshift({
      kind: 'floor',
      path: linePath([
        [left - 0.06, ground],
        [right + 0.06, ground],
      ]),
    })
    bottom = Math.min(bottom, ground)
  } else {
    const mat = matUnder(figure, solved).map((corner): Point => {
      const [x, y] = see(corner)
      return [x, y]
    })
    shapes.unshift({ kind: 'floor', path: closed(mat) })
    left = Math.min(left, ...mat.map((p) => p[0]))
    right = Math.max(right, ...mat.map((p) => p[0]))
    bottom = Math.min(bottom, ...mat.map((p) => p[1]))
    top = Math.max(top, ...mat.map((p) => p[1]))
  }
  const letters = options.letters ? lettersOf(solved, flat, see, ground) : []
  partLetters(letters)
  for (const { x, y } of letters) {
    left = Math.min(left, x / UNIT)
    right = Math.max(right, x / UNIT)
    top = Math.max(top, -y / UNIT + 0.02)
  }
  const pad = 0.07
  return {
    view,
    box: [
      (left - pad) * UNIT,
      -(top + 0.03) * UNIT,
      (right - left + 2 * pad) * UNIT,
      (top - bottom + 0.05) * UNIT,
    ],
    shapes,
    letters,
  }
}

/** Hands nearer to each other than this leave the letters to the elbows. */
const TOGETHER = 0.12

/** L and R, each by its hand; by its elbow where the hands are together. */
function lettersOf(
  solved: Solved,
  parts: readonly FlatPart[],
  see: (p: Vec) => readonly number[],
  ground: number
): Letter[] {
  const flat = (segment: Segment, y: number): Point => {
    const [x, up] = see(pointIn(solved.placed, segment, [0, y, 0]))
    return [x!, up!]
  }
  const { hand } = solved.body
  const [l, r] = [flat('leftHand', -hand / 2), flat('rightHand', -hand / 2)]
  const together = Math.hypot(l[0] - r[0], l[1] - r[1]) < TOGETHER
  const chest = flat('ribs', 0.06)
  return (['left', 'right'] as const).map((side) => {
    const [from, to] = together
      ? [chest, flat(`${side}Forearm`, 0)]
      : [flat(`${side}Hand`, -hand * 0.7), flat(`${side}Hand`, -hand * 1.1)]
    const start: Point = together ? to : from
    const ahead: Point = [start[0] + to[0] - from[0], start[1] + to[1] - from[1]]
    const [x, y] = clearPlace(start, ahead, parts, ground, side)
    return { text: side === 'left' ? 'L' : 'R', x: x * UNIT, y: -y * UNIT }
  })
}

/** How far apart two letters stand at least, in hundredths of a stature. */
const APART = 6

/** Moves the two letters away from each other where they would cover each other. */
function partLetters(letters: Letter[]): void {
  const [l, r] = letters
  if (!l || !r) return
  const [dx, dy] = [l.x - r.x, l.y - r.y]
  const apart = Math.hypot(dx, dy)
  if (apart >= APART) return
  const way = apart < 0.5 ? [1, 0] : [dx / apart, dy / apart]
  const by = (APART - apart) / 2
  l.x += way[0]! * by
  l.y += way[1]! * by
  r.x -= way[0]! * by
  r.y -= way[1]! * by
}

/** Room that a letter needs, in statures. */
const LETTER = 0.034

/** A place for a letter by a hand, off the body and above the floor: ahead of the fingers if it can be. */
function clearPlace(
  hand: Point,
  tip: Point,
  parts: readonly FlatPart[],
  ground: number,
  side: Side
): Point {
  // Both sides look for it the same way, mirrored.
  const sense = side === 'left' ? 1 : -1
  const ahead = Math.atan2(tip[1] - hand[1], tip[0] - hand[0])
  const place = (away: number, turn: number): Point => [
    hand[0] + away * Math.cos(ahead + turn),
    hand[1] + away * Math.sin(ahead + turn),
  ]
  const boxes = parts.map((part) => boxOf([part], LETTER))
  const roomAt = ([x, y]: Point) => {
    let room = Math.min(LETTER, y - ground)
    parts.forEach((part, i) => {
      const { x0, y0, x1, y1 } = boxes[i]!
      if (x > x0 && x < x1 && y > y0 && y < y1) room = Math.min(room, partDistance(part, x, y))
    })
    return room
  }
  let best = place(0.09, 0)
  let most = -Infinity
  for (const away of [0.085, 0.11, 0.14])
    for (let k = 0; k < 12; k += 1) {
      const at = place(away, ((k % 2 ? -sense : sense) * Math.ceil(k / 2) * Math.PI) / 6)
      const room = roomAt(at)
      if (room >= LETTER) return at
      if (room > most) [best, most] = [at, room]
    }
  return best
}

/** Lines for an ear and the nose where they are seen, so that the head shows its turn. */
function faceMarks(solved: Solved, see: (p: Vec) => readonly number[]): string {
  const at = (x: number, y: number, z: number) => see(pointIn(solved.placed, 'head', [x, y, z]))
  const point = (p: readonly number[]): string => xy([p[0]!, p[1]!])
  const centre = at(0, 0.06, 0)[2]!
  const ears = [1, -1].flatMap((s) => {
    if (at(s * 0.05, 0.056, -0.006)[2]! - centre < 0.022) return []
    const [a, b, c] = [
      at(s * 0.05, 0.068, -0.004),
      at(s * 0.052, 0.058, -0.016),
      at(s * 0.048, 0.046, -0.006),
    ]
    return [`M${point(a)}Q${point(b)} ${point(c)}`]
  })
  const ahead = at(0, 0.05, 0.06)[2]! - centre
  const nose = ahead > 0.045 ? [`M${point(at(0, 0.064, 0.05))}L${point(at(0, 0.046, 0.058))}`] : []
  return [...ears, ...nose].join('')
}
