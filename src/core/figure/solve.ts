import { type Body, bodyOf, USUAL_STATURE } from './body'
import { lookedAt, meetings } from './collide'
import { contactRows, HARD, type Row, strapRow, UP } from './constraints'
import { type ContactPoint, FLESH, pointsOf } from './parts'
import { ANGLES, indexOf, mirroredPose, place, type Placed, pointIn, type Pose } from './skeleton'
import { type Contact, type Figure, mirroredFigure, type Strap } from './spec'
import { COLUMNS, nextStep, ROOT } from './step'
import { unmetIn } from './unmet'
import { add, dot, sub, type Vec } from './vec'

/** A contact that cannot be met, and by how much. */
export interface Unmet {
  part: string
  on: string
  /** How far it stays away, in cm. */
  cm: number
  message: string
}

export interface Solved {
  body: Body
  pose: Pose
  placed: Placed
  contacts: Contact[]
  straps: Strap[]
  unmet: Unmet[]
  /** Rounds that it took. */
  rounds: number
}

/** A body as it stands somewhere. */
export type Standing = Pick<Solved, 'body' | 'placed'>

export interface SolveOptions {
  /** In cm; the props keep their size. */
  stature?: number
  /** A pose to start from, such as the one a moment ago. */
  from?: Pose
  /** A part that is pulled to a place, in statures. */
  pull?: { part: string; to: Vec }
  rounds?: number
  /** Whether the pose may be off by what one hardly sees: under a centimetre, as a rule. */
  rough?: boolean
  /** Narrower ranges than those of the joints, in degrees: what one person can do. */
  limits?: Limits
}

/** The least and the most of every angle, in the order of `ANGLES`. */
export interface Limits {
  min: readonly number[]
  max: readonly number[]
}

/** How hard limbs are pushed apart that are in one place, and how far apart they let go. */
const SOFTLY = 0.08
const LETS_GO = 2e-3
const JOINT_LIMITS: Limits = {
  min: ANGLES.map(({ min }) => min),
  max: ANGLES.map(({ max }) => max),
}

const clampAngle = (i: number, value: number, limits: Limits = JOINT_LIMITS) =>
  Math.min(limits.max[i]!, Math.max(limits.min[i]!, value))

/** The angles that a figure asks for; what it does not name is 0. */
export function askedAngles(figure: Figure): number[] {
  const angles = new Array<number>(ANGLES.length).fill(0)
  for (const [joint, values] of Object.entries(figure.angles))
    for (const [name, value] of Object.entries(values)) {
      const i = indexOf(joint, name)
      angles[i] = clampAngle(i, value)
    }
  return angles
}

/** How much of the way back to the asked angles is gone in one round; less while a part is held. */
const HOMING = 0.5
const HOMING_HELD = 0.02
/** When a pose is found: in how many rounds at most, and the last of them. */
interface Ends {
  rounds: number
  /** Degrees in a round below which the pose has come to rest. */
  rests: number
  /** Rounds of making it exact after that, and when it is, in statures. */
  polish: number
  met: number
}
const EXACT: Ends = { rounds: 80, rests: 0.05, polish: 12, met: 2e-7 }
/** Met to a tenth of a millimetre. */
const ROUGH: Ends = { rounds: 30, rests: 0.3, polish: 12, met: 6e-5 }
/** Degrees in a round below which nothing moves any more. */
const STILL = 1e-6

/** What tells two figures apart, whatever the order of their contacts. */
const keyOf = (figure: Figure) =>
  JSON.stringify([
    askedAngles(figure),
    sortedContacts(figure),
    sortedStraps(figure),
    figure.wall,
    figure.body,
  ])

const sortedStraps = (figure: Figure): Strap[] =>
  figure.straps
    .map(([a, b, ...long]) => (a < b ? [a, b, ...long] : [b, a, ...long]) as Strap)
    .sort((a, b) => (a.join() < b.join() ? -1 : 1))

const sortedContacts = (figure: Figure): Contact[] =>
  [...figure.contacts].sort((a, b) => (a.part + a.on < b.part + b.on ? -1 : 1))

/**
 * Finds the pose nearest to the angles of a figure, inside the limits of the joints, in which
 * its contacts are met and nothing is below the floor. The mirrored figure has the mirrored pose.
 */
export function solve(figure: Figure, options: SolveOptions = {}): Solved {
  if (options.from || options.pull) return solveAsItIs(figure, options)
  // Of a figure and its mirror always the same one is solved, so that both are exactly alike.
  const across = mirroredFigure(figure)
  const [own, other] = [keyOf(figure), keyOf(across)]
  const even = own === other
  const solved = solveAsItIs(
    {
      ...(own <= other ? figure : across),
      contacts: sortedContacts(own <= other ? figure : across),
      straps: sortedStraps(own <= other ? figure : across),
    },
    options
  )
  if (even) return inPose(figure, solved, middleOf(solved.pose, mirroredPose(solved.pose)), options)
  if (own > other) return solvedAcross(figure, solved, options)
  return { ...solved, contacts: figure.contacts, straps: figure.straps }
}

/** A figure solved, by its mirror that is: the mirrored pose. */
export const solvedAcross = (figure: Figure, mirror: Solved, options: SolveOptions = {}): Solved =>
  inPose(figure, mirror, mirroredPose(mirror.pose), options)

/** A body that stands, seen in a mirror; what touches what is still told as it was. */
export function mirroredSolved(solved: Solved): Solved {
  const pose = mirroredPose(solved.pose)
  return { ...solved, pose, placed: place(solved.body, pose) }
}

function inPose(
  figure: Figure,
  { body, ...solved }: Solved,
  pose: Pose,
  { stature = USUAL_STATURE }: SolveOptions
): Solved {
  const { contacts, straps } = figure
  const placed = place(body, pose)
  const unmet = unmetIn(figure, { body, placed }, stature)
  return { ...solved, body, contacts, straps, pose, placed, unmet }
}

const middleOf = (a: Pose, b: Pose): Pose => ({
  root: a.root.map((value, i) => (value + b.root[i]!) / 2) as unknown as Vec,
  angles: a.angles.map((value, i) => (value + b.angles[i]!) / 2),
})

/**
 * Finds the pose nearest to the angles of a figure, inside the limits of the joints, in which
 * its contacts are met and nothing is below the floor: Newton's steps on the contacts, each
 * the least change of the angles, drawn back towards the angles that were asked for.
 */
function solveAsItIs(figure: Figure, options: SolveOptions): Solved {
  const { stature = USUAL_STATURE, pull, limits = JOINT_LIMITS, rough = false } = options
  const ends = rough ? ROUGH : EXACT
  const { rounds, rests, polish, met } = { ...ends, rounds: options.rounds ?? ends.rounds }
  const body = bodyOf(figure.body)
  const asked = askedAngles(figure).map((value, i) => clampAngle(i, value, limits))
  const contacts = figure.contacts.map((contact) => ({
    contact,
    points: pointsOf(contact.part, body)!,
  }))
  const flesh = FLESH.filter(
    (part) => !figure.contacts.some((contact) => contact.part === part && contact.on !== 'wall')
  ).flatMap((part) => pointsOf(part, body)!)
  const pulled = pull && pointsOf(pull.part, body)?.[0]
  let pose: Pose = options.from
    ? { root: options.from.root, angles: [...options.from.angles] }
    : { root: [0, 0.53, 0], angles: [...asked] }
  if (!options.from)
    pose = {
      ...pose,
      root: [0, standOn(body, pose, contacts.map((each) => each.points).flat()), 0],
    }
  const wall = figure.wall ?? 0
  const below = new Set<number>()
  const pairs = lookedAt(figure.contacts)
  const inside = new Set<string>()
  let placed = place(body, pose)
  let round = 0
  let settled: number | null = null
  for (; round < rounds; round += 1) {
    const rows: Row[] = contacts.flatMap(({ contact, points }, i) =>
      contactRows(contact, i, points, placed, body, wall, stature)
    )
    figure.straps.forEach((strap) => {
      const row = strapRow(strap, placed, body, stature)
      if (row) rows.push(row)
    })
    flesh.forEach(({ segment, at, radius }, i) => {
      const point = pointIn(placed, segment, at)
      const residual = radius - point[1]
      if (residual > 1e-4) below.add(i)
      else if (residual < -2e-3) below.delete(i)
      if (below.has(i)) rows.push({ segment, point, along: UP, residual, weight: HARD })
    })
    // Limbs that went through each other are pushed apart, softly: a contact comes first.
    const near = meetings({ body, placed }, pairs, LETS_GO)
    for (const { parts, deep, segments, at, away } of near) {
      const key = parts.join()
      if (deep > 1e-4) inside.add(key)
      if (inside.has(key))
        rows.push({
          segment: segments[0],
          point: at[0],
          along: away,
          residual: deep,
          against: { segment: segments[1], point: at[1] },
          weight: SOFTLY,
        })
    }
    if (pull && pulled) {
      const point = pointIn(placed, pulled.segment, pulled.at)
      const away = sub(pull.to, point)
      ;(
        [
          [1, 0, 0],
          [0, 1, 0],
          [0, 0, 1],
        ] as Vec[]
      ).forEach((along) =>
        rows.push({
          segment: pulled.segment,
          point,
          along,
          residual: dot(away, along),
          weight: 0.05,
        })
      )
    }
    const homing = settled !== null ? 0 : pull ? HOMING_HELD : HOMING
    const step = nextStep(rows, pose, placed, asked, homing, limits)
    const worst = rows.reduce(
      (most, row) => Math.max(most, row.weight === HARD ? Math.abs(row.residual) : 0),
      0
    )
    pose = {
      root: add(pose.root, [step[0]!, step[1]!, step[2]!]),
      angles: pose.angles.map((value, i) => clampAngle(i, value + step[ROOT + i]!, limits)),
    }
    placed = place(body, pose)
    let moved = 0
    for (let i = 0; i < COLUMNS; i += 1)
      moved = Math.max(moved, Math.abs(step[i]!) * (i < ROOT ? 100 : 1))
    // Once the pose has come to rest between what is asked and what is met, it is made exact.
    const exact = settled !== null
    if (!exact && (moved < rests || round > Math.max(0, rounds - polish))) settled = round
    if (settled === null || (!exact && !rough)) continue
    // What still asks for something, and moves nothing, is at odds with itself.
    if (worst < met || moved < STILL || round - settled > polish) break
  }
  return {
    body,
    pose,
    placed,
    contacts: figure.contacts,
    straps: figure.straps,
    unmet: unmetIn(figure, { body, placed }, stature),
    rounds: round,
  }
}

/** Height of the hips at which the lowest contact touches the floor, before anything moves. */
function standOn(body: Body, pose: Pose, points: ContactPoint[]): number {
  const placed = place(body, { ...pose, root: [0, 0, 0] })
  const lowest = points.map(({ segment, at, radius }) => pointIn(placed, segment, at)[1] - radius)
  return lowest.length ? -Math.min(...lowest) : 0.53
}
