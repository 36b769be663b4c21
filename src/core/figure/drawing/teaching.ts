import { type CueMark, otherSide, type Region, type Side } from '../../card'
import { flat, joint, type MeasureContext, seg, sideMeant } from '../landmarks'
import { marksOf } from '../marks'
import { pointsOf, touchPoints } from '../parts'
import { pointIn, type Segment } from '../skeleton'
import type { Solved } from '../solve'
import { acrossWords, type Figure } from '../spec'
import { add, apply, mid, norm, scale, sub, unit, type Vec } from '../vec'
import type { Seen } from '../view'
import { jointOf } from '../skeleton'
import type { Point } from './fields'
import type { Kind } from './shapes'

/**
 * Teaching marks: what a cue asks for, drawn on the figure. Each has one form, told by its shape
 * alone: an arrow into what is pressed, an arrow from what reaches, two arrows that meet, an arrow
 * around what turns, dots from the eyes, a hanging line, an arc, a level line, a fan of ticks.
 */

/** At most so many are drawn at once. */
export const MOST_MARKS = 3

export interface TeachShape {
  kind: Extract<Kind, 'teach' | 'teachDots' | 'teachHead'>
  line: Point[]
}

type See = (p: Vec) => Seen

/** What a mark is drawn with: the solved figure, how it is seen, and how far its flesh reaches. */
export interface Teaching {
  figure: Figure
  solved: Solved
  context: MeasureContext
  see: See
  /** How far it is from a place on the drawing to the outline of the body, that way. */
  edge: (from: Point, way: Point) => number
}

const LONG = 0.085
const HEAD = 0.026

const plane = ([x, y]: Seen): Point => [x, y]
const along = (p: Point, way: Point, by: number): Point => [p[0] + way[0] * by, p[1] + way[1] * by]
const unit2 = ([x, y]: Point): Point => {
  const n = Math.hypot(x, y)
  return n < 1e-9 ? [0, -1] : [x / n, y / n]
}

/** A shaft and its head. */
function arrow(from: Point, to: Point): TeachShape[] {
  const way = unit2([to[0] - from[0], to[1] - from[1]])
  const neck = along(to, way, -HEAD)
  const across: Point = [-way[1], way[0]]
  return [
    { kind: 'teach', line: [from, along(to, way, -HEAD * 0.7)] },
    {
      kind: 'teachHead',
      line: [to, along(neck, across, HEAD * 0.52), along(neck, across, -HEAD * 0.52)],
    },
  ]
}

/** The side and the part that a mark names, as `front knee`. */
function named(of: Teaching, part: string): { side: Side | null; what: string } {
  const [, word = '', rest = ''] = /^(\w+) (.+)$/.exec(part) ?? []
  const side = sideMeant(word, of.solved, of.context)
  return side ? { side, what: rest } : { side: null, what: part }
}

/** What of a foot or a hand may be what touches, the usual first. */
const PRESSED: Record<string, readonly string[]> = {
  foot: ['sole', 'toes', 'heel', 'outer foot', 'top of foot'],
  hand: ['palm', 'fingertips', 'fist', 'forearm', 'hand', 'back of hand'],
}
const BOTH: Record<string, string> = { feet: 'foot', hands: 'hand' }

function press(of: Teaching, part: string): TeachShape[] | null {
  if (BOTH[part]) {
    const both = (['left', 'right'] as const).map((side) => press(of, `${side} ${BOTH[part]}`))
    return both.every((each) => each) ? both.flatMap((each) => each!) : null
  }
  const { side, what } = named(of, part)
  const { contacts } = of.figure
  const touching = PRESSED[what]?.find((each) =>
    contacts.some((contact) => contact.part === `${side} ${each}`)
  )
  const name = side ? `${side} ${touching ?? PRESSED[what]?.[0] ?? what}` : what
  if (!pointsOf(name, of.solved.body)) return null
  const points = touchPoints(name, of.solved)
  const middle = points.reduce<Vec>(
    (sum, { at }) => add(sum, scale(at, 1 / points.length)),
    [0, 0, 0]
  )
  const on = contacts.find((contact) => contact.part === name)?.on
  const wall: Vec = [0, 0, Math.sign((of.figure.wall ?? 0) - of.solved.pose.root[2]) || -1]
  const into: Vec = on === 'wall' ? wall : [0, -1, 0]
  const low = Math.max(...points.map(({ radius }) => radius))
  const from = plane(of.see(add(middle, scale(into, low + 0.018))))
  const way = unit2(
    plane(of.see(into)).map((v, k) => v - of.see([0, 0, 0])[k]!) as unknown as Point
  )
  return arrow(from, along(from, way, LONG * 0.8))
}

/** Where a limb that reaches ends, and from where. */
const REACHES: Record<string, (f: Solved, side: Side) => [from: Vec, tip: Vec]> = {
  hand: (f, s) => [
    joint(f, seg(s, 'Forearm')),
    pointIn(f.placed, seg(s, 'Hand'), [0, -f.body.hand, 0]),
  ],
  elbow: (f, s) => [joint(f, seg(s, 'UpperArm')), joint(f, seg(s, 'Forearm'))],
  knee: (f, s) => [joint(f, seg(s, 'Thigh')), joint(f, seg(s, 'Shank'))],
  heel: (f, s) => [joint(f, seg(s, 'Shank')), touchPoints(`${s} heel`, f)[0]!.at],
  foot: (f, s) => [joint(f, seg(s, 'Shank')), pointIn(f.placed, seg(s, 'Toes'), [0, 0, 0.037])],
  hip: (f, s) => [joint(f, seg(otherSide(s), 'Thigh')), joint(f, seg(s, 'Thigh'))],
  shoulder: (f, s) => [joint(f, 'ribs'), joint(f, seg(s, 'UpperArm'))],
}
const MIDDLE_REACHES: Record<string, (f: Solved) => [Vec, Vec]> = {
  crown: (f) => [joint(f, 'neck'), pointIn(f.placed, 'head', [0, f.body.headUp, 0])],
  chest: (f) => [joint(f, 'ribs'), pointIn(f.placed, 'ribs', [0, f.body.shoulderUp * 0.7, 0.06])],
  tailbone: (f) => [joint(f, 'lowBack'), pointIn(f.placed, 'pelvis', [0, -0.06, -0.03])],
}

function reach(of: Teaching, part: string): TeachShape[] | null {
  const { side, what } = named(of, part)
  const ends = side ? REACHES[what]?.(of.solved, side) : MIDDLE_REACHES[part]?.(of.solved)
  if (!ends) return null
  const [from, tip] = ends.map((p) => plane(of.see(p))) as [Point, Point]
  const way = unit2([tip[0] - from[0], tip[1] - from[1]])
  const clear = along(tip, way, of.edge(tip, way) + 0.018)
  return arrow(clear, along(clear, way, LONG))
}

/** Where something is drawn in, and along which way the body lies there. */
const DRAWN_IN: Record<string, (f: Solved) => [at: Vec, axis: Vec]> = {
  navel: (f) => [joint(f, 'lowBack'), sub(joint(f, 'ribs'), f.pose.root)],
  ribs: (f) => [
    pointIn(f.placed, 'ribs', [0, f.body.shoulderUp * 0.25, 0]),
    sub(joint(f, 'neck'), joint(f, 'ribs')),
  ],
  'shoulder blades': (f) => [
    pointIn(f.placed, 'ribs', [0, f.body.shoulderUp * 0.65, -0.03]),
    sub(joint(f, 'neck'), joint(f, 'ribs')),
  ],
  hips: (f) => [f.pose.root, sub(joint(f, 'ribs'), f.pose.root)],
}

function drawIn(of: Teaching, part: string): TeachShape[] | null {
  const place = DRAWN_IN[part]?.(of.solved)
  if (!place) return null
  const [at, axis] = place
  const centre = plane(of.see(at))
  const o = of.see([0, 0, 0])
  const line = unit2(plane(of.see(axis)).map((v, k) => v - o[k]!) as unknown as Point)
  const across: Point = [-line[1], line[0]]
  return [1, -1].flatMap((sign) => {
    const way: Point = [across[0] * sign, across[1] * sign]
    const edge = along(centre, way, of.edge(centre, way) + 0.012)
    return arrow(along(edge, way, LONG * 0.75), edge)
  })
}

/** What turns: about which axis through which place, how wide the arrow goes round it, and its front. */
function turning(f: Solved, part: string, side: Side | null) {
  const own = (segment: Segment, at: Vec, radius: number) => ({
    centre: pointIn(f.placed, segment, at),
    axis: apply(f.placed.rotations[jointOf(segment)]!, [0, 1, 0]),
    radius,
  })
  const { body } = f
  if (side && part === 'thigh') return own(seg(side, 'Thigh'), [0, -body.thigh * 0.45, 0], 0.07)
  if (side && part === 'upper arm')
    return own(seg(side, 'UpperArm'), [0, -body.upperArm * 0.5, 0], 0.05)
  if (part === 'ribs' || part === 'chest') return own('ribs', [0, body.shoulderUp * 0.35, 0], 0.125)
  if (part === 'pelvis') return own('pelvis', [0, 0, 0], 0.125)
  return part === 'head' ? own('head', [0, body.headUp * 1.08, 0], 0.075) : null
}

const ROUND = 20

function turn(of: Teaching, part: string, way: string): TeachShape[] | null {
  const { side, what } = named(of, part)
  const about = turning(of.solved, what, side)
  const asked = sideMeant(way, of.solved, of.context)
  // Outward is to its own side.
  const to: Side | null =
    side && way === 'out'
      ? side
      : side && way === 'in'
        ? side === 'left'
          ? 'right'
          : 'left'
        : asked
  if (!about || !to) return null
  const { centre, axis, radius } = about
  const o = of.see([0, 0, 0])
  const viewer: Vec = [
    of.see([1, 0, 0])[2] - o[2],
    of.see([0, 1, 0])[2] - o[2],
    of.see([0, 0, 1])[2] - o[2],
  ]
  const inPlane = sub(
    viewer,
    scale(axis, viewer[0] * axis[0] + viewer[1] * axis[1] + viewer[2] * axis[2])
  )
  const front =
    norm(inPlane) > 0.15 ? unit(inPlane) : unit(Math.abs(axis[0]) > 0.8 ? [0, 1, 0] : [1, 0, 0])
  const beside: Vec = [
    axis[1] * front[2] - axis[2] * front[1],
    axis[2] * front[0] - axis[0] * front[2],
    axis[0] * front[1] - axis[1] * front[0],
  ]
  // About an upward axis the front goes to the person’s left when the angle grows.
  const sense = to === 'left' ? 1 : -1
  const reach = (norm(inPlane) > 0.4 ? 78 : 130) * (Math.PI / 180)
  const line = Array.from({ length: ROUND + 1 }, (_, i): Point => {
    const angle = sense * reach * ((2 * i) / ROUND - 1)
    const out = add(scale(front, Math.cos(angle)), scale(beside, Math.sin(angle)))
    return plane(of.see(add(centre, scale(out, radius))))
  })
  const [before, tip] = [line.at(-3)!, line.at(-1)!]
  const [, head] = arrow(
    before,
    along(tip, unit2([tip[0] - before[0], tip[1] - before[1]]), HEAD * 0.6)
  )
  return [{ kind: 'teach', line }, head!]
}

const LOOKS: Record<string, Vec> = {
  ahead: [0, 0, 1],
  up: [0, 0.8, 0.6],
  down: [0, -0.8, 0.6],
  left: [0.9, 0, 0.4],
  right: [-0.9, 0, 0.4],
}

function look(of: Teaching, way: string): TeachShape[] | null {
  const head = of.solved.placed.rotations[jointOf('head')]!
  const eyes = pointIn(of.solved.placed, 'head', [0, 0.062, 0.055])
  const { side, what } = named(of, way)
  const seenAt =
    side && what === 'hand' ? pointIn(of.solved.placed, seg(side, 'Hand'), [0, -0.05, 0]) : null
  const local = LOOKS[way]
  if (!seenAt && !local) return null
  const ahead = seenAt ? unit(sub(seenAt, eyes)) : apply(head, local!)
  const far = seenAt ? Math.max(0.12, norm(sub(seenAt, eyes)) - 0.07) : 0.26
  const line = [0.05, far].map((by) => plane(of.see(add(eyes, scale(ahead, by)))))
  const [from, to] = line as [Point, Point]
  const [, tip] = arrow(from, to)
  return [{ kind: 'teachDots', line }, tip!]
}

/** What a line hangs from. */
const HANGS: Record<string, string> = {
  knee: 'Shank',
  hip: 'Thigh',
  shoulder: 'UpperArm',
  ankle: 'Foot',
  elbow: 'Forearm',
  wrist: 'Hand',
}

function plumb(of: Teaching, part: string): TeachShape[] | null {
  const { side, what } = named(of, part)
  const at =
    side && HANGS[what]
      ? joint(of.solved, seg(side, HANGS[what]!))
      : part === 'head'
        ? joint(of.solved, 'head')
        : null
  if (!at) return null
  const [top, bottom] = [add(at, [0, 0.07, 0]), [at[0], 0.012, at[2]] as Vec].map((p) =>
    plane(of.see(p))
  ) as [Point, Point]
  const bob = 0.012
  return [
    { kind: 'teachDots', line: [top, along(bottom, [0, 1], bob * 2)] },
    {
      kind: 'teachHead',
      line: [
        [bottom[0], bottom[1] - bob * 0.6],
        [bottom[0] + bob, bottom[1] + bob],
        [bottom[0], bottom[1] + bob * 2.6],
        [bottom[0] - bob, bottom[1] + bob],
      ],
    },
  ]
}

function arc(of: Teaching, part: string): TeachShape[] | null {
  const lines = marksOf(of.solved, `${part} angle`, of.context)
  return lines.length
    ? lines.map((line) => ({ kind: 'teach', line: line.map((p) => plane(of.see(p))) }))
    : null
}

function level(of: Teaching, part: string): TeachShape[] | null {
  const name = part === 'hips' ? 'Thigh' : part === 'shoulders' ? 'UpperArm' : null
  if (!name) return null
  const [l, r] = (['left', 'right'] as const).map((side) => joint(of.solved, seg(side, name))) as [
    Vec,
    Vec,
  ]
  const middle = mid(l, r)
  const way = norm(flat(sub(l, r))) > 1e-6 ? unit(flat(sub(l, r))) : ([1, 0, 0] as Vec)
  const end = (sign: number) =>
    plane(of.see(add(middle, scale(way, sign * (norm(sub(l, r)) / 2 + 0.1)))))
  const tick = (p: Vec): TeachShape => {
    const at = plane(of.see(p))
    return { kind: 'teach', line: [along(at, [0, 1], 0.018), along(at, [0, 1], -0.018)] }
  }
  return [{ kind: 'teach', line: [end(1), end(-1)] }, tick(l), tick(r)]
}

/** Ticks of a fan. */
const TICKS = 5

function spread(of: Teaching, part: string): TeachShape[] | null {
  const side = sideMeant(part.split(' ')[0]!, of.solved, of.context)
  if (!side || !/side$/.test(part)) return null
  const spine = [
    of.solved.pose.root,
    joint(of.solved, 'lowBack'),
    joint(of.solved, 'ribs'),
    pointIn(of.solved.placed, 'ribs', [0, of.solved.body.shoulderUp * 0.75, 0]),
  ]
  const sign = side === 'left' ? 1 : -1
  return Array.from({ length: TICKS }, (_, i): TeachShape => {
    const t = ((i + 0.5) / TICKS) * (spine.length - 1)
    const k = Math.min(spine.length - 2, Math.floor(t))
    const at = mid(spine[k]!, spine[k + 1]!, t - k)
    const out = apply(
      of.solved.placed.rotations[jointOf(k === 0 ? 'pelvis' : k === 1 ? 'lowBack' : 'ribs')]!,
      [sign, 0, 0]
    )
    const [from, to] = [at, add(at, out)].map((p) => plane(of.see(p))) as [Point, Point]
    const way = unit2([to[0] - from[0], to[1] - from[1]])
    const edge = of.edge(from, way)
    return { kind: 'teach', line: [along(from, way, edge + 0.014), along(from, way, edge + 0.05)] }
  })
}

/**
 * The lines of a mark on a drawing.
 * @returns null when it names nothing that its kind can be drawn at
 */
export function teachShapes({ kind, part, way = '' }: CueMark, of: Teaching): TeachShape[] | null {
  switch (kind) {
    case 'press':
      return press(of, part)
    case 'reach':
      return reach(of, part)
    case 'draw-in':
      return drawIn(of, part)
    case 'turn':
      return turn(of, part, way)
    case 'look':
      return look(of, part)
    case 'plumb':
      return plumb(of, part)
    case 'arc':
      return arc(of, part)
    case 'level':
      return level(of, part)
    case 'spread':
      return spread(of, part)
  }
}

const SIDED_PARTS: Record<CueMark['kind'], readonly string[]> = {
  press: [
    'foot',
    'hand',
    'heel',
    'toes',
    'knee',
    'shin',
    'forearm',
    'fingertips',
    'elbow',
    'outer foot',
  ],
  reach: Object.keys(REACHES),
  'draw-in': [],
  turn: ['thigh', 'upper arm'],
  look: ['hand'],
  plumb: Object.keys(HANGS),
  arc: ['knee', 'elbow', 'hip'],
  level: [],
  spread: ['side'],
}
const MIDDLE_PARTS: Record<CueMark['kind'], readonly string[]> = {
  press: ['feet', 'hands', 'sit bones', 'pelvis', 'back', 'shoulders', 'crown', 'forehead'],
  reach: Object.keys(MIDDLE_REACHES),
  'draw-in': Object.keys(DRAWN_IN),
  turn: ['ribs', 'pelvis', 'head'],
  look: Object.keys(LOOKS),
  plumb: ['head'],
  arc: [],
  level: ['hips', 'shoulders'],
  spread: [],
}

/** What each kind of mark can be drawn at: parts on one side, and those that have none. */
export const markParts = (
  kind: CueMark['kind']
): { sided: readonly string[]; middle: readonly string[] } => ({
  sided: SIDED_PARTS[kind],
  middle: MIDDLE_PARTS[kind],
})

/** Measures, and the mark that shows what each asks for. */
const OF_MEASURE: [RegExp, (side: string) => CueMark][] = [
  [/^(\w+) knee (?:over ankle|past toes)$/, (side) => ({ kind: 'plumb', part: `${side} knee` })],
  [/^(\w+) hip over knee$/, (side) => ({ kind: 'plumb', part: `${side} hip` })],
  [/^(\w+) shoulder over wrist$/, (side) => ({ kind: 'plumb', part: `${side} shoulder` })],
  [
    /^(\w+) (?:knee tracking|foot turn)$/,
    (side) => ({ kind: 'turn', part: `${side} thigh`, way: 'out' }),
  ],
  [/^(\w+) knee angle$/, (side) => ({ kind: 'arc', part: `${side} knee` })],
  [/^(\w+) elbow angle$/, (side) => ({ kind: 'arc', part: `${side} elbow` })],
  [/^(\w+) hip angle$/, (side) => ({ kind: 'arc', part: `${side} hip` })],
  [/^(\w+) hand height$/, (side) => ({ kind: 'reach', part: `${side} hand` })],
  [/^hips level$/, () => ({ kind: 'level', part: 'hips' })],
  [/^shoulders level$/, () => ({ kind: 'level', part: 'shoulders' })],
  [/^(?:side arc|arc evenness|side bend plane)$/, () => ({ kind: 'spread', part: 'other side' })],
  [
    /^(?:spine arc|low back arc|ribs arc|neck arc|shoulders over hips)$/,
    () => ({ kind: 'reach', part: 'crown' }),
  ],
  [/^turn$/, () => ({ kind: 'turn', part: 'ribs', way: 'lead' })],
  [/^stance(?: length)?$/, () => ({ kind: 'press', part: 'feet' })],
]

/** The mark that fits what a cue measures; null when none does. */
export function markOffered(measure: string): CueMark | null {
  for (const [pattern, mark] of OF_MEASURE) {
    const found = pattern.exec(measure)
    if (found) return mark(found[1] ?? '')
  }
  return null
}

/** A mark as it is when the other side leads. */
export const mirroredMark = (mark: CueMark): CueMark => ({
  ...mark,
  part: acrossWords(mark.part),
  ...(mark.way ? { way: acrossWords(mark.way) } : {}),
})

/** Segments of each region, for a close-up of it. */
const REGION_SEGMENTS: Record<Region, readonly string[]> = {
  feet: ['Foot', 'Toes'],
  ankles: ['Foot', 'Toes'],
  knees: ['Shank'],
  'hips and pelvis': ['pelvis', 'Thigh'],
  'low back': ['pelvis', 'lowBack', 'ribs'],
  'ribs and upper back': ['ribs', 'neck', 'lowBack'],
  shoulders: ['UpperArm', 'neck'],
  elbows: ['Forearm'],
  'wrists and hands': ['Hand'],
  'neck and head': ['neck', 'head'],
  gaze: ['head'],
}

/** The places of a region on the drawing; of one side of it, where a mark names that. */
export function regionPlaces(
  region: Region,
  { solved, see }: Pick<Teaching, 'solved' | 'see'>,
  side: Side | null
): Point[] {
  const sides = side ? [side] : (['left', 'right'] as const)
  return REGION_SEGMENTS[region].flatMap((name) =>
    /^[A-Z]/.test(name)
      ? sides.map((each) => plane(see(joint(solved, seg(each, name)))))
      : [plane(see(joint(solved, name as Segment)))]
  )
}
