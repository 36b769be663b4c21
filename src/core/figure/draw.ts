import { USUAL_STATURE } from './body'
import { fleshOf } from './flesh'
import { lettersOf, partLetters } from './letters'
import type { Mark } from './marks'
import { touchPoints } from './parts'
import {
  closed,
  type Letter,
  linePath,
  ringPath,
  type Shape,
  strokePath,
  thinned,
  UNIT,
  xy,
} from './paths'
import {
  boxCorners,
  CHAIR_BACK,
  FROM_ABOVE,
  matUnder,
  propPlacements,
  propShapes,
  SIZE,
} from './propShapes'
import { creases, flatten, gridOf, outline, type Point } from './silhouette'
import { pointIn } from './skeleton'
import type { Solved } from './solve'
import { type Figure, PROP_HEIGHT } from './spec'
import type { Vec } from './vec'
import { lens, type View, viewOf } from './view'

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
