import { betweenSeconds, ribbonOf, type RibbonStretch } from '../breath'
import {
  type Breath,
  type Card,
  firstSideOf,
  otherSide,
  type School,
  type Side,
  valueAt,
} from '../card'
import {
  add,
  ANGLES,
  type Body,
  bodyOf,
  type Contact,
  deg,
  type Figure,
  figureShown,
  indexOf,
  keptFor,
  place,
  type Pose,
  solve,
  surfaceHeight,
  type Solved,
  SURFACES,
  touchPoints,
  type Vec,
  type View,
  viewOf,
} from '../figure'
import { packOf } from '../language'
import { draftsOf, finalDraft } from '../reading'

/** One stretch of time in which the body goes from one form to the next, or stays. */
export interface Moment extends Omit<RibbonStretch, 'part'> {
  part: RibbonStretch['part'] | 'between'
  /** The side that leads; null on an even card. */
  side: Side | null
  /** What is said now. */
  text: string
  /** The forms it goes between, by their places in the list of forms. */
  from: number
  to: number
  /** Whether the words of the step were not all understood: the body waits. */
  unsure: boolean
}

/** A form that is gone through, where it stands on the mat. */
export interface PlayForm {
  figure: Figure
  pose: Pose
  /** What touches the floor or a prop, with its place. */
  held: Contact[]
}

/** A card that moves: its forms, and when it goes between them. */
export interface Play {
  moments: Moment[]
  /** How long it all lasts, in seconds. */
  seconds: number
  forms: PlayForm[]
  /** From where each side is seen. */
  views: View[]
}

/** How near a part has to come back to its place to have stayed there, in statures. */
const STAYED = 0.06

const floorPlace = (contact: Contact, solved: Solved): Vec =>
  touchPoints(contact.part, solved)[0]!.at

const carried = ({ part, on }: Contact) => on !== 'wall' && SURFACES.includes(on) && part !== 'head'

const moved = (pose: Pose, by: Vec): Pose => ({ ...pose, root: add(pose.root, by) })

const TURN = indexOf('pelvis', 'turn')

/** Where the trunk points along the floor, when it lies. */
function lies({ placed }: Solved): number | null {
  const [hips, neck] = [placed.origins[0]!, placed.origins[3]!]
  const [x, z] = [neck[0] - hips[0], neck[2] - hips[2]]
  return Math.hypot(x, z) > 0.2 ? deg(Math.atan2(x, z)) : null
}

const turnedBy = (figure: Figure, degrees: number): Figure => ({
  ...figure,
  angles: {
    ...figure.angles,
    pelvis: { ...figure.angles.pelvis, turn: (figure.angles.pelvis?.turn ?? 0) + degrees },
  },
})

/**
 * A form where it stands on the mat after another one: what touched the same before and after
 * keeps its place, as far as the form allows it.
 */
function standingAfter(before: PlayForm & { solved: Solved }, figure: Figure, own: Solved) {
  const [was, is] = [lies(before.solved), lies(own)]
  const turn = was !== null && is !== null ? ((was - is + 540) % 360) - 180 : 0
  const turned = Math.abs(turn) > 20 ? turnedBy(figure, turn) : figure
  const solved = turned === figure ? own : solve(turned)
  const pairs = turned.contacts.flatMap((contact) => {
    const held = before.held.find(({ part, on }) => part === contact.part && on === contact.on)
    return held?.at ? [{ contact, at: held.at, now: floorPlace(contact, solved) }] : []
  })
  // The shift that lets most of them stay where they are.
  let shift: Vec = [
    before.pose.root[0] - solved.pose.root[0],
    0,
    before.pose.root[2] - solved.pose.root[2],
  ]
  let most = 0
  const stays = ({ at, now }: (typeof pairs)[number], by: Vec) =>
    Math.hypot(now[0] + by[0] - at[0], now[2] + by[2] - at[1]) < STAYED
  for (const { at, now } of pairs) {
    const by: Vec = [at[0] - now[0], 0, at[1] - now[2]]
    const count = pairs.filter((pair) => stays(pair, by)).length
    if (count > most) [most, shift] = [count, by]
  }
  const held = pairs
    .filter((pair) => stays(pair, shift))
    .map(({ contact, at }) => ({ ...contact, at }))
  const contacts = turned.contacts.map(
    (contact) => held.find(({ part, on }) => part === contact.part && on === contact.on) ?? contact
  )
  const pinned =
    held.length > 0
      ? solve({ ...turned, contacts }, { from: moved(solved.pose, shift), rounds: 24 })
      : null
  const good = pinned !== null && pinned.unmet.length === 0
  return standing(turned, good ? pinned : placedBy(solved, shift))
}

const placedBy = (solved: Solved, by: Vec): Solved => ({
  ...solved,
  pose: moved(solved.pose, by),
  placed: { ...solved.placed, origins: solved.placed.origins.map((each) => add(each, by)) },
})

/** A form with the places of what it touches. */
function standing(figure: Figure, solved: Solved): PlayForm & { solved: Solved } {
  const held = figure.contacts.filter(carried).map((contact): Contact => {
    const [x, , z] = floorPlace(contact, solved)
    return { ...contact, at: [x, z] }
  })
  return { figure, pose: solved.pose, held, solved }
}

/** Whether two forms are one, in the same place. */
const same = (a: PlayForm, b: PlayForm): boolean =>
  Math.hypot(...a.pose.root.map((value, k) => value - b.pose.root[k]!)) < 0.004 &&
  a.pose.angles.every((angle, i) => Math.abs(angle - b.pose.angles[i]!) < 0.5) &&
  a.held.map(({ part, on }) => part + on).join() === b.held.map(({ part, on }) => part + on).join()

/**
 * How a card goes from form to form, on its breath and in its own time: both sides of a card that
 * has two. What the words do not tell does not move.
 */
export function playOf(card: Card, school: School): Play {
  const sides: (Side | null)[] =
    card.sides === 'even'
      ? [null]
      : [firstSideOf(card, school), otherSide(firstSideOf(card, school))]
  const forms: (PlayForm & { solved: Solved })[] = []
  const moments: Moment[] = []
  const views: View[] = []
  let at = 0
  let now = 0
  const push = (figure: Figure, solved: Solved) => {
    const last = forms[now]
    const form = last ? standingAfter(last, figure, solved) : standing(figure, solved)
    // Round by round it comes to the same places.
    const before = forms.findLastIndex((each) => same(each, form))
    if (before >= 0) return before
    forms.push(form)
    return forms.length - 1
  }
  sides.forEach((side, pass) => {
    const led = side === null ? card : keptFor(card, side)
    const drafts = draftsOf(led)
    const byLine = new Map(drafts.map((draft) => [draft.where, draft]))
    const final = finalDraft(led, drafts)
    const shown = figureShown(led, final.figure, side ?? led.writtenFor)
    views.push(viewOf(shown, final.solved))
    const start = drafts[0]!
    if (pass === 0) now = push(start.figure, start.solved)
    else {
      const before = now
      const seconds = betweenSeconds(card, school)
      now = push(start.figure, start.solved)
      moments.push({
        where: 'betweenSides',
        part: 'between',
        breath: 'free',
        at,
        seconds,
        side,
        text: led.betweenSides.text,
        from: before,
        to: now,
        unsure: false,
      })
      at += seconds
    }
    const begins = at
    for (const stretch of ribbonOf(led, school)) {
      const draft = byLine.get(`${stretch.where}.text`)
      const from = now
      const moves = draft !== undefined && (draft.sure || draft.kept)
      if (moves) now = push(draft.figure, draft.solved)
      moments.push({
        ...stretch,
        at: begins + stretch.at,
        side,
        text: draft
          ? String(valueAt(led, `${stretch.where}.text`) ?? '')
          : (packOf(card.language)?.labels.stay(card.stay) ?? ''),
        from,
        to: now,
        unsure: draft !== undefined && !moves,
      })
      at = begins + stretch.at + stretch.seconds
    }
  })
  return { moments, seconds: at, forms: forms.map(({ solved: _, ...form }) => form), views }
}

/** Slow at both ends of a phase. */
const eased = (share: number) => share * share * (3 - 2 * share)

const between = (a: number, b: number, share: number) => a + (b - a) * share

/** A turn goes the shorter way round. */
const turned = (a: number, b: number, share: number) =>
  a + (((((b - a) % 360) + 540) % 360) - 180) * share

/** Poses on the way from one form to the next, and rounds of finding each. */
const [STEPS, ROUNDS] = [7, 26]

const mixed = (a: Pose, b: Pose, by: number): Pose => ({
  root: [0, 1, 2].map((k) => between(a.root[k]!, b.root[k]!, by)) as unknown as Vec,
  angles: a.angles.map((angle, i) =>
    i === TURN ? turned(angle, b.angles[i]!, by) : between(angle, b.angles[i]!, by)
  ),
})

/** How well a pose keeps its contacts, and how near its hips are to where they were meant; less is better. */
function astray(figure: Figure, body: Body, pose: Pose, meant: Pose): number {
  const placed = place(body, pose)
  const slides = figure.contacts.map((contact) => {
    const [x, , z] = touchPoints(contact.part, { body, placed })[0]!.at
    return Math.hypot(x - contact.at![0], z - contact.at![1])
  })
  const off = Math.hypot(...pose.root.map((value, k) => value - meant.root[k]!))
  return Math.max(0, ...slides) + Math.max(0, off - 0.05)
}

/** A slip that is not seen, in statures. */
const UNSEEN = 0.012

/**
 * The pose nearest to the angles of a figure in which it keeps its contacts: found anew, else
 * from the pose before it; or, where both lead astray, the angles set down on their contacts.
 */
function onTheWay(figure: Figure, aim: Pose, before: Pose): Pose {
  if (figure.contacts.length === 0) return aim
  const body = bodyOf(figure.body)
  const shifts = figure.contacts.map((contact): Vec => {
    const { at, radius } = touchPoints(contact.part, { body, placed: place(body, aim) })[0]!
    const height = surfaceHeight(contact.on) + radius
    return [contact.at![0] - at[0], height - at[1], contact.at![1] - at[2]]
  })
  const mean = [0, 1, 2].map(
    (k) => shifts.reduce((sum, each) => sum + each[k]!, 0) / shifts.length
  ) as unknown as Vec
  const down = moved(aim, mean)
  let best = { pose: down, off: Infinity }
  for (const find of [
    () => solve(figure, { rounds: ROUNDS }).pose,
    () => solve(figure, { from: mixed(before, aim, 0.5), rounds: ROUNDS }).pose,
    () => down,
  ]) {
    const pose = find()
    const off = astray(figure, body, pose, down)
    if (off < best.off) best = { pose, off }
    if (best.off < UNSEEN) break
  }
  return best.pose
}

/** What a pose lacks to be another one, added to a pose by a share. */
const corrected = (pose: Pose, from: Pose, to: Pose, by: number): Pose => ({
  root: pose.root.map((value, k) => value + (to.root[k]! - from.root[k]!) * by) as unknown as Vec,
  angles: pose.angles.map((value, i) => value + (to.angles[i]! - from.angles[i]!) * by),
})

/** Whether a leg leaves what it stands on and lands elsewhere: then it goes through the air. */
function steps(side: Side, from: PlayForm, to: PlayForm): boolean {
  const of = ({ figure }: PlayForm) =>
    figure.contacts
      .filter(
        ({ part, on }) => part.startsWith(`${side} `) && LEG_PARTS.test(part) && on === 'floor'
      )
      .map(({ part }) =>
        part.replace(/(?:sole|toes|heel)$/, 'foot').replace(/(?:knee|shin)$/, 'shin')
      )
      .sort()
      .join()
  const [before, after] = [of(from), of(to)]
  return before !== after && before !== '' && after !== ''
}
const LEG_PARTS = / (?:sole|toes|heel|top of foot|outer foot|knee|shin|leg)$/
/** How far a leg that steps is lifted on its way, in degrees. */
const LIFT = { hip: 42, knee: 26 }

function lifted({ root, angles }: Pose, sides: readonly Side[], by: number): Pose {
  if (sides.length === 0) return { root, angles }
  const next = [...angles]
  for (const side of sides) {
    next[indexOf(`${side}Hip`, 'flexion')]! += LIFT.hip * by
    next[indexOf(`${side}Knee`, 'flexion')]! += LIFT.knee * by
  }
  return { root, angles: next }
}

const paths = new WeakMap<PlayForm, WeakMap<PlayForm, Pose[]>>()

/**
 * The poses on the way from one form to another, found once: each the nearest to the angles
 * between them in which what stays touched stays where it is.
 */
export function pathBetween(from: PlayForm, to: PlayForm): Pose[] {
  const own = paths.get(from) ?? new WeakMap<PlayForm, Pose[]>()
  paths.set(from, own)
  const before = own.get(to)
  if (before) return before
  const found: Pose[] = [from.pose]
  const stepping = (['left', 'right'] as const).filter((side) => steps(side, from, to))
  for (let k = 1; k <= STEPS; k += 1) {
    const share = k / STEPS
    const aim = lifted(mixed(from.pose, to.pose, share), stepping, Math.sin(Math.PI * share))
    const contacts = heldBetween(from, to, share)
    const figure: Figure = {
      ...to.figure,
      angles: anglesOfPose(aim.angles),
      contacts,
    }
    found.push(onTheWay(figure, aim, found.at(-1)!))
  }
  // It ends where the next form is, whatever was found on the way.
  const end = found.at(-1)!
  const path = found.map((pose, k) => corrected(pose, end, to.pose, k / STEPS))
  own.set(to, path)
  return path
}

export interface Frame {
  moment: Moment
  /** How much of the moment is over, 0 to 1. */
  share: number
  figure: Figure
  solved: Solved
  view: View
}

/** The moment that a time lies in. */
export function momentAt({ moments }: Pick<Play, 'moments'>, seconds: number): Moment | null {
  return moments.findLast(({ at }) => at <= seconds) ?? moments[0] ?? null
}

/**
 * The body at a time: between two forms its angles are eased over the phase, and what touches the
 * same before and after stays where it is.
 * @param seconds from the beginning, 0 to the length of the play
 * @returns null of a card with no steps
 */
export function frameAt(play: Play, seconds: number): Frame | null {
  const moment = momentAt(play, seconds)
  if (!moment) return null
  const share =
    moment.seconds > 0 ? Math.min(1, Math.max(0, (seconds - moment.at) / moment.seconds)) : 1
  const [from, to] = [play.forms[moment.from]!, play.forms[moment.to]!]
  const by = eased(share)
  const pose = from === to ? to.pose : poseOn(pathBetween(from, to), by)
  const { figure } = by < 0.5 ? from : to
  const body = bodyOf(figure.body)
  const solved: Solved = {
    body,
    pose,
    placed: place(body, pose),
    contacts: figure.contacts,
    straps: figure.straps,
    unmet: [],
    rounds: 0,
  }
  const view = play.views[moment.side !== null && moment.side !== play.moments[0]!.side ? 1 : 0]!
  return { moment, share, figure, solved, view }
}

/** A pose on a path, at a share of it. */
function poseOn(path: readonly Pose[], share: number): Pose {
  const at = share * (path.length - 1)
  const k = Math.min(path.length - 2, Math.floor(at))
  return mixed(path[k]!, path[k + 1]!, at - k)
}

/** A foot that comes down from its toes, or up onto them, turns about them. */
function rolling({ part, on }: Contact, from: PlayForm, to: PlayForm, by: number): Contact[] {
  const [, side, own] = /^(left|right) (sole|toes)$/.exec(part) ?? []
  if (!side || on !== 'floor') return []
  const across = own === 'sole' ? 'toes' : 'sole'
  if (!to.held.some((each) => each.part === `${side} ${across}` && each.on === on)) return []
  const toes = `${side} toes`
  const [a, b] = [from, to].map(({ figure, pose }) => {
    const body = bodyOf(figure.body)
    return touchPoints(toes, { body, placed: place(body, pose) })[0]!.at
  }) as [Vec, Vec]
  return [{ part: toes, on, at: [between(a[0], b[0], by), between(a[2], b[2], by)] }]
}

/** What touches the same before and after, at its place, or on its way to the next. */
const heldBetween = (from: PlayForm, to: PlayForm, by: number): Contact[] =>
  from.held.flatMap((one) => {
    const other = to.held.find(({ part, on }) => part === one.part && on === one.on)
    if (!other) return rolling(one, from, to, by)
    return [
      {
        ...one,
        at: [between(one.at![0], other.at![0], by), between(one.at![1], other.at![1], by)] as [
          number,
          number,
        ],
      },
    ]
  })

const anglesOfPose = (angles: readonly number[]): Figure['angles'] => {
  const told: Figure['angles'] = {}
  ANGLES.forEach(({ joint, angle }, i) => ((told[joint] ??= {})[angle] = angles[i]!))
  return told
}

/** How full the lungs are, 0 to 1, at a share of a breath phase. */
export function fullness(breath: Breath, share: number): number {
  switch (breath) {
    case 'in':
      return eased(share)
    case 'out':
      return 1 - eased(share)
    case 'hold-in':
      return 1
    case 'hold-out':
      return 0
    case 'free':
      return 0.35
  }
}
