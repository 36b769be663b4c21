import { type CueMark, otherSide, type Region, type Side } from '../../card'
import type { MeasureContext } from '../landmarks'
import type { Mark } from '../marks'
import { touchPoints } from '../parts'
import { mirroredSolved, type Solved } from '../solve'
import { mirroredPose, pointIn, type Segment } from '../skeleton'
import { rampUnder } from '../constraints'
import { type Figure, mirroredFigure, RAMP } from '../spec'
import { dot, mid, norm, sub, type Vec } from '../vec'
import { lens, type Seen, type View } from '../view'
import { viewOf } from './chosenView'
import { edgesOf, isSeen, lengthOf } from './edges'
import { faceLines } from './face'
import { boxOf, type FlatPart, flatten, type Grid, gridOf, type Point } from './fields'
import { fleshOf, type FleshPart } from './flesh'
import { handForms } from './handForms'
import { lettersOf, partLetters } from './letters'
import { closed, linePath, mirroredPath, ringPath, strokePath, UNIT } from './paths'
import { FROM_ABOVE, matUnder, propPlacements } from './propPlaces'
import { propSolids, rampSolids } from './props'
import { viewerOf } from './solids'
import {
  bodyField,
  evenRings,
  plainRings,
  type Regions,
  seenOf,
  type Share,
  shareOf,
} from './regions'
import { creaseSeams, trunkSeams } from './seams'
import { mirroredMark, MOST_MARKS, regionPlaces, teachShapes, type TeachShape } from './teaching'
import { type Kind, KINDS, type Letter, type Shape } from './shapes'

export interface Drawing {
  view: View
  /** left, top, width, height: in hundredths of a stature. */
  box: [number, number, number, number]
  shapes: Shape[]
  letters: Letter[]
  /** How heavy its lines are; 1 but for what is enlarged. */
  weight?: number
}

export interface DrawOptions {
  view?: View
  /** Size of the grid in statures; coarser is faster, and its curves are not fitted. */
  cell?: number
  letters?: boolean
  /** Another solved figure, drawn as an outline behind. */
  ghost?: Solved
  /** Lines in space that show what is measured. */
  marks?: readonly Mark[]
  /** What is to be shown of cues: at most three, and none over the face. */
  teach?: readonly CueMark[]
  /** Which side leads, for words like front and back in the marks. */
  context?: MeasureContext
  /** The form is a wrong one: in dashed outline, with a ring around where it is seen, in space. */
  fault?: Vec
  /** Only a region, enlarged. */
  closeUp?: { region: Region; side: Side | null }
}

type See = (p: Vec) => Seen

/** Size of the grid of a drawing that is kept, in statures. */
const FINE = 0.006
/** Widths of strokes, in statures. */
const WIDE = { edge: 0.0075, gap: 0.0085, seam: 0.0055, crease: 0.0065, face: 0.0052 }

/**
 * Draws a solved figure in two tones: cloth dark, skin light in an outline of ink. What is nearer
 * covers what is farther, by place and not by part.
 */
export function draw(figure: Figure, solved: Solved, options: DrawOptions = {}): Drawing {
  const view = options.view ?? viewOf(figure, solved)
  // Of a figure and its mirror always the same one is drawn, so that both are exactly alike.
  if (options.cell !== undefined || !isOther(view, solved))
    return drawAsItIs(figure, solved, view, options)
  const across = (p: Vec): Vec => [-p[0], p[1], p[2]]
  const { ghost, marks, teach, context, closeUp } = options
  return mirroredDrawing(
    drawAsItIs(
      mirroredFigure(figure),
      mirroredSolved(solved),
      { ...view, turn: -view.turn },
      {
        ...options,
        ...(ghost ? { ghost: mirroredSolved(ghost) } : {}),
        ...(marks ? { marks: marks.map((line) => line.map(across)) } : {}),
        ...(teach ? { teach: teach.map(mirroredMark) } : {}),
        ...(context ? { context: { ...context, lead: otherSide(context.lead) } } : {}),
        ...(options.fault ? { fault: across(options.fault) } : {}),
        ...(closeUp?.side ? { closeUp: { ...closeUp, side: otherSide(closeUp.side) } } : {}),
      }
    ),
    view
  )
}

/** Whether the mirror of a figure is the one that is drawn: seen from its right, or turned there. */
function isOther({ turn }: View, { pose }: Solved): boolean {
  const side = Math.sin((turn * Math.PI) / 180)
  if (Math.abs(side) > 1e-9) return side < 0
  const mirrored = mirroredPose(pose).angles
  const first = pose.angles.findIndex((angle, i) => Math.abs(angle - mirrored[i]!) > 1e-6)
  return first >= 0 && pose.angles[first]! < mirrored[first]!
}

function mirroredDrawing(drawing: Drawing, view: View): Drawing {
  const { box, shapes, letters } = drawing
  const [left, top, width, height] = box
  return {
    ...drawing,
    view,
    box: [-(left + width), top, width, height],
    shapes: shapes.map(({ kind, path }) => ({ kind, path: mirroredPath(path) })),
    letters: letters.map(({ text, x, y }) => ({ text: text === 'L' ? 'R' : 'L', x: -x, y })),
  }
}

function drawAsItIs(figure: Figure, solved: Solved, view: View, options: DrawOptions): Drawing {
  const cell = options.cell ?? FINE
  const fine = options.cell === undefined
  const see = lens(view)
  const flesh = fleshOf(solved.body, solved.placed, handForms(figure, solved), fine)
  const flat = flatten(flesh, see)
  const lies = figure.contacts.some(({ on }) => on === RAMP)
  const solids = propPlacements(figure, solved)
    .flatMap(({ kind, place }) => propSolids(kind, place, see))
    .concat(lies ? rampSolids(rampUnder(solved.body, solved.placed), see) : [])
    .sort((a, b) => a.near - b.near)
  const grid = gridOf(flat, cell, solids)
  const regions = seenOf(grid)
  const weight = options.closeUp ? ENLARGED : 1
  const shapes: Shape[] = []
  const add = (kind: Kind, path: string) => path && shapes.push({ kind, path })

  if (options.ghost) add('ghost', ghostPath(options.ghost, see, cell * 1.5))
  for (const solid of solids) add('prop', closed(solid.outline))
  for (const kind of ['body', 'cloth', 'hair'] as const)
    add(
      kind === 'hair' && solved.body.hair === 'light' ? 'lightHair' : kind,
      regionPath(grid, regions[kind], shareOf(grid, HAS[kind]), fine)
    )
  for (const { line, ink } of edgesOf(grid, regions, fine))
    add(
      ink === 'paper' ? 'gap' : 'edge',
      strokePath(line, WIDE[ink === 'paper' ? 'gap' : 'edge'] * weight, fine)
    )
  for (const { kind, line } of surfaceLines(grid, regions, flesh, solved, see, fine))
    add(kind, strokePath(line, WIDE[kind] * weight, fine, kind === 'seam' ? 0.012 : undefined))
  for (const solid of solids)
    for (const line of solid.lines)
      for (const part of seenStretches(dense(line), grid, regions, see, 0.012))
        add('propLine', linePath(part))
  for (const path of strapPaths(figure, solved, grid, regions, see)) {
    add('strapEdge', path)
    add('strap', path)
  }

  const measured = (options.marks ?? []).map((line) => line.map((p) => onPlane(see(p))))
  for (const kind of ['measureGap', 'measure'] as const)
    for (const line of measured) add(kind, linePath(line))

  const context = options.context ?? { lead: 'right' }
  const teaching = { figure, solved, context, see, edge: edgeOf(grid, regions.body) }
  const taught = (options.teach ?? []).slice(0, MOST_MARKS).flatMap((mark) => {
    const lines = teachShapes(mark, teaching)
    return lines && !overFace(lines, solved, see) ? lines : []
  })
  for (const { kind, line } of taught) {
    if (kind !== 'teachHead') add('teachGap', linePath(line))
    add(kind, kind === 'teachHead' ? closed(line) : linePath(line))
  }

  const frame = frameOf(figure, solved, grid, view, see)
  for (const points of measured) frame.hold(points)
  for (const { line } of taught) frame.hold(line, 0.01)
  for (const path of frame.floor) add('floor', path)
  const letters = options.letters
    ? lettersOf(
        solved,
        flat,
        see,
        frame.ground,
        taught.flatMap(({ line }) => line)
      )
    : []
  partLetters(letters)
  for (const { x, y } of letters) frame.hold([[x / UNIT, -y / UNIT]], 0.02)
  shapes.sort((a, b) => KINDS.indexOf(a.kind) - KINDS.indexOf(b.kind))
  const { closeUp, fault } = options
  if (fault) frame.hold(ringAround(onPlane(see(fault))))
  const box = closeUp
    ? boxAround(regionPlaces(closeUp.region, teaching, closeUp.side), taught)
    : frame.box()
  const shown = fault ? asFault(shapes, onPlane(see(fault))) : shapes
  return { view, box, shapes: shown, letters, ...(closeUp ? { weight: ENLARGED } : {}) }
}

/** Around where a fault is seen, in statures. */
const RING = 0.095

const ringAround = ([x, y]: Point): Point[] =>
  Array.from({ length: 25 }, (_, i): Point => {
    const angle = (i / 24) * 2 * Math.PI
    return [x + RING * Math.cos(angle), y + RING * Math.sin(angle)]
  })

/** Without tones, its outline broken, and ringed where it is wrong. */
function asFault(shapes: readonly Shape[], at: Point): Shape[] {
  const lines = shapes.flatMap((shape): Shape[] => {
    if (shape.kind === 'cloth' || shape.kind === 'gap') return []
    const outline = /^(?:body|hair|lightHair)$/.test(shape.kind)
    return [
      outline
        ? { ...shape, kind: 'ghost' }
        : shape.kind === 'seam'
          ? { ...shape, kind: 'crease' }
          : shape,
    ]
  })
  return [...lines, { kind: 'ring', path: linePath(ringAround(at)) }]
}

/** How far the body reaches from a place on the drawing, that way. */
const edgeOf =
  ({ box, cell, w, h }: Grid, body: Float64Array) =>
  ([x, y]: Point, [dx, dy]: Point): number => {
    let last = 0
    for (let by = 0; by < 0.4; by += cell / 2) {
      const c = Math.round((x + dx * by - box.x0) / cell)
      const r = Math.round((y + dy * by - box.y0) / cell)
      if (c < 0 || r < 0 || c >= w || r >= h) break
      if (body[r * w + c]! > 0) last = by
    }
    return last
  }

/** Of a face that is seen, how far around the eyes nothing else is drawn, in statures. */
const FACE = 0.042

function overFace(lines: readonly TeachShape[], { placed, body }: Solved, see: See): boolean {
  const up = body.headUp / 0.125
  const [fx, fy, fz] = see(pointIn(placed, 'head', [0, 0.05 * up, 0.045 * up]))
  if (fz < see(pointIn(placed, 'head', [0, 0.05 * up, 0]))[2] + 0.004) return false
  return lines.some(({ line }) =>
    line.some(([x, y], i) => {
      const next = line[i + 1] ?? line[i]!
      return [0, 0.5].some(
        (t) => Math.hypot(x + (next[0] - x) * t - fx, y + (next[1] - y) * t - fy) < FACE
      )
    })
  )
}

/** Whether a mark is drawn on a figure, and if not, why. */
export function markShown(
  mark: CueMark,
  figure: Figure,
  solved: Solved,
  context: MeasureContext
): 'drawn' | 'no part' | 'over the face' {
  const see = lens(viewOf(figure, solved))
  const lines = teachShapes(mark, { figure, solved, context, see, edge: () => 0.06 })
  if (!lines) return 'no part'
  return overFace(lines, solved, see) ? 'over the face' : 'drawn'
}

/** How heavy the lines of a close-up are beside those of a whole figure. */
const ENLARGED = 0.55
/** Around what a close-up shows, in statures. */
const CLOSE = 0.13

function boxAround(places: readonly Point[], taught: readonly TeachShape[]): Drawing['box'] {
  const near = taught.flatMap(({ line }) => line)
  const edge = (k: 0 | 1, of: (...values: number[]) => number, sign: number) => {
    const own = of(...places.map((p) => p[k])) + sign * CLOSE
    // A mark that reaches a little further is kept whole.
    return of(own, ...near.map((p) => p[k] + sign * 0.015).filter((v) => Math.abs(v - own) < 0.12))
  }
  const [x0, x1, y0, y1] = [
    edge(0, Math.min, -1),
    edge(0, Math.max, 1),
    edge(1, Math.min, -1),
    edge(1, Math.max, 1),
  ]
  return [x0 * UNIT, -y1 * UNIT, (x1 - x0) * UNIT, (y1 - y0) * UNIT]
}

const onPlane = ([x, y]: Seen): Point => [x, y]

/** The parts that have something of a tone. */
const HAS = {
  body: () => true,
  cloth: ({ part }: FlatPart) => part.tone === 'cloth',
  hair: ({ part }: FlatPart) => part.tone === 'hair',
}

/** A ring shorter than this is a speck, in statures. */
const SPECK = 0.05

/** What is seen of a tone, as one path; specks are left out. */
const regionPath = (grid: Grid, field: Float64Array, share: Share, fine: boolean): string =>
  (fine ? evenRings : plainRings)(field, grid, share)
    .filter((ring) => lengthOf(ring) > SPECK)
    .map((ring) => ringPath(ring, fine))
    .join('')

function ghostPath(ghost: Solved, see: See, cell: number): string {
  const grid = gridOf(flatten(fleshOf(ghost.body, ghost.placed), see), cell)
  return regionPath(grid, bodyField(grid), shareOf(grid, HAS.body), true)
}

interface SurfaceLine {
  kind: 'seam' | 'crease' | 'face'
  line: Point[]
}

/** The shortest stretch of a line that is drawn, in statures. */
const LEAST = { seam: 0.04, crease: 0.016, face: 0.004 }

/** The lines that lie on the body, where they are seen. */
function surfaceLines(
  grid: Grid,
  regions: Regions,
  flesh: readonly FleshPart[],
  solved: Solved,
  see: See,
  fine: boolean
): SurfaceLine[] {
  const trunk = flesh.find(({ name }) => name === 'trunk')!.cones
  const toViewer = viewerOf(see)
  const seams = trunkSeams(solved.body, solved.placed, trunk, fine).flatMap(({ points, ways }) =>
    facing(points, ways!, toViewer)
      .flatMap((run) => seenStretches(run, grid, regions, see, 0.03))
      .map((line) => ({
        kind: 'seam' as const,
        line,
      }))
  )
  const creases = creaseSeams(solved.placed, flesh).flatMap(({ name, points }) => {
    const line = points.map(see)
    const [from, to] = [line[0]!, line.at(-1)!]
    // Inside the flesh: drawn where the hollow opens to the side of the drawing.
    if (Math.abs(from[2] - to[2]) > Math.hypot(from[0] - to[0], from[1] - to[1])) return []
    return seenStretches(dense(points), grid, regions, see, 0.06)
      .map((run) => run.filter((p) => insideBody(grid, regions, p)))
      .map((line): SurfaceLine => ({ kind: name === 'groin' ? 'seam' : 'crease', line }))
  })
  const face = (fine ? faceLines(solved, see) : []).flatMap((points) =>
    seenStretches(dense(points), grid, regions, see, 0.012).map((line) => ({
      kind: 'face' as const,
      line,
    }))
  )
  return [...seams, ...creases, ...face].filter(({ kind, line }) => lengthOf(line) > LEAST[kind])
}

/** The stretches of a line on a surface that look to the viewer, with enough points to be cut. */
function facing(points: readonly Vec[], ways: readonly Vec[], toViewer: Vec): Vec[][] {
  const runs: Vec[][] = [[]]
  points.forEach((p, i) => {
    const q = points[i + 1]
    if (!q) return
    for (let k = 0; k < 6; k += 1) {
      const t = k / 6
      if (dot(mid(ways[i]!, ways[i + 1]!, t), toViewer) > 0.08) runs.at(-1)!.push(mid(p, q, t))
      else if (runs.at(-1)!.length) runs.push([])
    }
  })
  // A ring begins anywhere: its last stretch goes on as its first.
  const ring = points.length > 2 && norm(sub(points[0]!, points.at(-1)!)) < 1e-6
  if (ring && runs.length > 1 && dot(ways[0]!, toViewer) > 0.08)
    runs[0] = [...runs.pop()!, ...runs[0]!]
  return runs.filter((run) => run.length > 1)
}

function insideBody({ box, cell, w, h }: Grid, { body }: Regions, [x, y]: Point): boolean {
  const [c, r] = [Math.round((x - box.x0) / cell), Math.round((y - box.y0) / cell)]
  return c >= 0 && r >= 0 && c < w && r < h && body[r * w + c]! > 0
}

/** A line in space with enough points to be cut where it is hidden. */
function dense(points: readonly Vec[]): Vec[] {
  return points.flatMap((p, i) => {
    const q = points[i + 1]
    if (!q) return [p]
    const many = Math.max(1, Math.ceil(Math.hypot(q[0] - p[0], q[1] - p[1], q[2] - p[2]) / 0.008))
    return Array.from({ length: many }, (_, k): Vec => {
      const t = k / many
      return [p[0] + (q[0] - p[0]) * t, p[1] + (q[1] - p[1]) * t, p[2] + (q[2] - p[2]) * t]
    })
  })
}

function seenStretches(
  points: readonly Vec[],
  grid: Grid,
  regions: Regions,
  see: See,
  give: number
): Point[][] {
  const stretches: Point[][] = []
  let now: Point[] = []
  for (const p of points) {
    const at = see(p)
    if (isSeen(grid, regions.near, at, give)) now.push(onPlane(at))
    else if (now.length) {
      stretches.push(now)
      now = []
    }
  }
  if (now.length) stretches.push(now)
  return stretches.filter((line) => line.length > 1)
}

/** Straps as bands: from part to part, and round what they hold. */
function strapPaths(
  figure: Figure,
  solved: Solved,
  grid: Grid,
  regions: Regions,
  see: See
): string[] {
  return figure.straps.flatMap(([from, to]) => {
    const end = (part: string) => onPlane(see(touchPoints(part, solved)[0]!.at))
    const loops = [from, to].flatMap((part) =>
      seenStretches(dense(loopRound(part, solved)), grid, regions, see, 0.016)
    )
    return [linePath([end(from), end(to)]), ...loops.map(linePath)]
  })
}

/** How wide and how deep a foot or a hand is that a strap goes round, in statures. */
const HELD: Record<string, [segment: string, y: number, z: number, wide: number, deep: number]> = {
  sole: ['Foot', -0.02, 0.05, 0.03, 0.026],
  heel: ['Foot', -0.02, -0.01, 0.026, 0.026],
  toes: ['Toes', 0, 0.012, 0.027, 0.015],
  hand: ['Hand', -0.045, 0, 0.027, 0.016],
  palm: ['Hand', -0.045, 0, 0.027, 0.016],
}

/** A ring round a foot or a hand; nothing round other parts. */
function loopRound(part: string, { placed }: Solved): Vec[] {
  const [, side, what] = /^(left|right) (.+)$/.exec(part) ?? []
  const held = what === undefined ? undefined : HELD[what]
  if (!held) return []
  const [segment, y, z, wide, deep] = held
  return Array.from({ length: 25 }, (_, i) => {
    const [c, s] = [Math.cos((i / 24) * 2 * Math.PI), Math.sin((i / 24) * 2 * Math.PI)]
    // Across a foot up and down is its depth, across a hand back and front.
    const at: Vec = segment === 'Hand' ? [wide * c, y, z + deep * s] : [wide * c, y + deep * s, z]
    return pointIn(placed, `${side}${segment}` as Segment, at)
  })
}

/** Thickness of a wall, in statures. */
const WALL = 0.035

/** The floor, the wall and the frame of a drawing. */
function frameOf(figure: Figure, solved: Solved, grid: Grid, view: View, see: See) {
  let { x0: left, x1: right, y0: bottom, y1: top } = bounds(grid)
  const hold = (points: readonly Point[], above = 0) => {
    for (const [x, y] of points) {
      left = Math.min(left, x)
      right = Math.max(right, x)
      bottom = Math.min(bottom, y)
      top = Math.max(top, y + above)
    }
  }
  // The floor is drawn where what touches it is nearest.
  const touching = figure.contacts
    .filter((contact) => contact.on === 'floor')
    .flatMap((contact) =>
      touchPoints(contact.part, solved).map(
        ({ at: [x, y, z], radius }) => see([x, y - radius, z])[1]
      )
    )
  const ground = touching.length ? Math.min(...touching) - 0.004 : see([0, 0, 0])[1]
  const floor: string[] = []
  if (figure.wall !== undefined && Math.abs(Math.sin((view.turn * Math.PI) / 180)) > 0.5) {
    const [wx] = see([solved.pose.root[0], 0, figure.wall])
    const high = Math.max(top + 0.04, 0.6)
    // The wall has its thickness behind the face that is touched.
    const [inside] = see([
      solved.pose.root[0],
      0,
      figure.wall + Math.sign(figure.wall || -1) * WALL,
    ])
    floor.push(
      closed([
        [wx, ground],
        [wx, high],
        [inside, high],
        [inside, ground],
      ])
    )
    hold([
      [wx, high],
      [inside, high],
    ])
  }
  if (view.tilt < FROM_ABOVE) {
    bottom = Math.min(bottom, ground)
    floor.push(
      linePath([
        [left - 0.06, ground],
        [right + 0.06, ground],
      ])
    )
  } else {
    const mat = matUnder(figure, solved).map((corner) => onPlane(see(corner)))
    floor.push(closed(mat))
    hold(mat)
  }
  const pad = 0.07
  return {
    ground,
    floor,
    hold,
    box: (): Drawing['box'] => [
      (left - pad) * UNIT,
      -(top + 0.03) * UNIT,
      (right - left + 2 * pad) * UNIT,
      (top - bottom + 0.05) * UNIT,
    ],
  }
}

function bounds({ parts, solids }: Grid) {
  const all = boxOf(parts, 0)
  for (const { box } of solids) {
    all.x0 = Math.min(all.x0, box.x0)
    all.x1 = Math.max(all.x1, box.x1)
    all.y0 = Math.min(all.y0, box.y0)
    all.y1 = Math.max(all.y1, box.y1)
  }
  return all
}
