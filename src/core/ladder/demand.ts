import { paceOf, passSeconds, phaseSeconds, staySeconds, timesOf } from '../breath'
import {
  atRung,
  type Card,
  DEFAULT_SCHOOL,
  type Demanded,
  DEMANDED,
  type School,
  type Step,
} from '../card'
import {
  balanceMargin,
  carriedNearly,
  centreOfMass,
  type Figure,
  indexOf,
  jointEfforts,
  loadShares,
  measure,
  solved,
  type Solved,
  supportCorners,
  USUAL_STATURE,
} from '../figure'
import { inEach } from '../language'
import { partsIn, readLine } from '../reading'
import { type Motion, motionsOf, NORMS } from './motions'
import { rungForm } from './rungForm'
import type { MotionName } from './words'

/**
 * What a rung asks of the body. Every part goes from 0 to 100 by the same bend: an ask of 1 is
 * 50, of 2 is 75, and no ask ever reaches 100. What an ask of 1 is, each part says.
 */

/** What a number was worked out from, as plain data: the screen puts it in words. */
export type Origin =
  | { of: 'motion'; motion: MotionName; side?: 'left' | 'right'; degrees: number; normal: number }
  | { of: 'joint'; joint: string; share: number }
  | { of: 'balance'; margin: number; size: number; height: number; degrees: number }
  | { of: 'wall' }
  | { of: 'eyes' }
  | { of: 'falls' }
  | { of: 'hand'; part: string; share: number; degrees: number }
  | { of: 'head weight'; share: number }
  | { of: 'bent neck'; share: number; degrees: number }
  | { of: 'head low'; cm: number }
  | { of: 'stay'; seconds: number; effort: number }

export interface PartOfDemand {
  /** 0 to 100. */
  value: number
  from: Origin[]
}

export interface Demand {
  parts: Record<Demanded, PartOfDemand>
  /** Weighted by the school, 0 to 100. */
  total: number
}

/** How much each part counts in the total, when a school does not say. Our own. */
export const DEMAND_WEIGHTS: Readonly<Record<Demanded, number>> = {
  range: 3,
  strength: 3,
  balance: 2,
  hands: 2,
  head: 2,
  time: 1,
}

/** From an ask to a demand: 1 is 50, 2 is 75. */
export const bent = (ask: number): number => 100 * (1 - 2 ** -Math.max(0, ask))

/** Several asks as one: the largest leads, the others add a little. */
const together = (asks: readonly number[], power: number): number =>
  asks.reduce((sum, ask) => sum + ask ** power, 0) ** (1 / power)

/** An angle is counted up to this part of its normal range, and from this part on: less is easy. */
export const MOST_OF_NORM = 1.5
export const EASY = 0.35
/** Asks below this are not told as origins. */
const WORTH_TELLING = 0.1

const rounded = (value: number, to = 1) => Math.round(value * to) / to

/** An ask of 1: one large joint at the end of its normal range. */
function rangeOf(motions: readonly Motion[]): PartOfDemand {
  const most = new Map<MotionName, Motion & { ask: number }>()
  for (const each of motions) {
    const { normal, counts } = NORMS[each.motion]
    const part = Math.min(MOST_OF_NORM, each.degrees / normal)
    const ask = counts * (Math.max(0, part - EASY) / (1 - EASY)) ** 2
    if (ask > (most.get(each.motion)?.ask ?? 0)) most.set(each.motion, { ...each, ask })
  }
  const asks = [...most.values()].sort((a, b) => b.ask - a.ask)
  return {
    value: bent(
      together(
        asks.map(({ ask }) => ask),
        3
      )
    ),
    from: asks
      .filter(({ ask }) => ask >= WORTH_TELLING)
      .slice(0, 4)
      .map(({ motion, side, degrees }): Origin => ({
        of: 'motion',
        motion,
        ...(side ? { side } : {}),
        degrees: rounded(degrees),
        normal: NORMS[motion].normal,
      })),
  }
}

/** An ask of 1: a joint that holds half of what it can. */
export const HALF_STRENGTH = 0.5

/** A body is carried at more places than a figure touches: what is below this part is rest. */
export const REST = 0.05
/** Of what a joint at the end of its range hangs in, this is left for the muscles. Our own. */
export const HANGS = 0.3

/** Whether a joint stands at the end of its range and is pushed on that way: then it hangs there. */
function hangs(f: Solved, joint: string, bends: number): boolean {
  const angle = (of: string) => f.pose.angles[indexOf(of, 'flexion')]!
  const [, side, limb] = /^(left|right) (\w+)$/.exec(joint) ?? []
  if (joint === 'low back') return Math.abs(angle('lowBack')) > 25 && angle('lowBack') * bends > 0
  if (joint === 'ribs') return Math.abs(angle('ribs')) > 25 && angle('ribs') * bends > 0
  if (limb === 'knee') {
    const knee = angle(`${side}Knee`)
    return bends > 0 ? knee > 125 : knee < 6
  }
  if (limb === 'hip') {
    const [hip, knee] = [angle(`${side}Hip`), angle(`${side}Knee`)]
    const raised = hip - Math.max(0, knee) > 0.85 * NORMS['straight-leg raise'].normal
    return bends > 0 ? raised || hip > 0.9 * NORMS['hip flexion'].normal : hip < -20
  }
  return false
}

function strengthOf(f: Solved): PartOfDemand {
  const efforts = jointEfforts(f, carriedNearly(f))
    // What the neck carries and what the wrist bears are told by themselves.
    .filter(({ joint }) => !/neck|wrist/.test(joint))
    .map(({ joint, moment, strength, bends }) => ({
      joint,
      share: Math.max(0, moment / strength - REST) * (hangs(f, joint, bends) ? HANGS : 1),
    }))
    // Both limbs hold alike in an even form, but for the last digits: then the first one is told.
    .sort((a, b) => rounded(b.share, 1e6) - rounded(a.share, 1e6))
  // Of two that do not, the one that holds more.
  const largest = efforts.filter(
    ({ joint }, i) => efforts.findIndex((each) => limbless(each.joint) === limbless(joint)) === i
  )
  return {
    value: bent(
      together(
        largest.map(({ share }) => share),
        4
      ) / HALF_STRENGTH
    ),
    from: largest
      .filter(({ share }) => share >= WORTH_TELLING)
      .slice(0, 3)
      .map(({ joint, share }): Origin => ({ of: 'joint', joint, share: rounded(share, 100) })),
  }
}
const limbless = (joint: string) => joint.replace(/^(?:left|right) /, '')

/** Tipping this far, in degrees, takes the weight to the edge: 50. Our own: a quiet stand on one foot. */
export const HALF_TIP = 2.5
/** A person sways the weight to the middle: the support counts this much, where it is drawn the rest. */
export const IN_THE_MIDDLE = 0.7
/** What a wall that is touched leaves of it, and what closed eyes make of it. Our own. */
export const BY_WALL = 0.35
export const EYES_CLOSED = 2

/** How far the support is across where it is narrowest, in statures: the widest circle would be this wide. */
function supportSize(corners: readonly (readonly [number, number])[]): number {
  if (corners.length < 3) return 0
  const widths = corners.map(([ax, az], i) => {
    const [bx, bz] = corners[(i + 1) % corners.length]!
    const long = Math.hypot(bx - ax, bz - az) || 1
    const away = corners.map(([x, z]) => ((bx - ax) * (z - az) - (bz - az) * (x - ax)) / long)
    return Math.max(...away)
  })
  return Math.min(...widths)
}

function balanceOf(f: Solved, eyesClosed: boolean, stature: number): PartOfDemand {
  const corners = supportCorners(f)
  const [margin, size] = [balanceMargin(f), supportSize(corners)]
  const [, height] = centreOfMass(f.body, f.placed)
  const walled = f.contacts.some(({ on }) => on === 'wall')
  if (!carriedNearly(f)) return { value: bent(4), from: [{ of: 'falls' }] }
  const way = IN_THE_MIDDLE * (size / 2) + (1 - IN_THE_MIDDLE) * Math.max(0, Math.min(margin, size))
  const tip = (Math.atan2(way, height) * 180) / Math.PI
  const steady = tip / HALF_TIP / (eyesClosed ? EYES_CLOSED : 1)
  return {
    value: 100 * 2 ** -steady * (walled ? BY_WALL : 1),
    from: [
      {
        of: 'balance',
        margin: rounded(Math.max(-9, Math.min(margin, 9)) * stature, 10),
        size: rounded(size * stature, 10),
        height: rounded(height * stature),
        degrees: rounded(tip, 10),
      },
      ...(walled ? [{ of: 'wall' } as const] : []),
      ...(eyesClosed ? [{ of: 'eyes' } as const] : []),
    ],
  }
}

/** An ask of 1: half of the body’s weight on wrists at the end of their normal bend. */
export const HALF_WRIST = 0.5
const WRIST_NORM = 70
/** Weight on a hand whose wrist is straight still counts this much: fists, fingertips. */
export const STRAIGHT_WRIST = 0.15

export const HAND = /^(left|right) (?:palm|hand|back of hand|fist|fingertips)$/

function handsOf(f: Solved): PartOfDemand {
  let ask = 0
  const from: Origin[] = []
  for (const { part, share } of loadShares(f, carriedNearly(f))) {
    const side = HAND.exec(part)?.[1]
    if (!side || share <= 0.005) continue
    const degrees = Math.max(0, -f.pose.angles[indexOf(`${side}Wrist`, 'flexion')]!)
    ask += share * Math.max(STRAIGHT_WRIST, degrees / WRIST_NORM)
    from.push({ of: 'hand', part, share: rounded(share, 100), degrees: rounded(degrees) })
  }
  return { value: bent(ask / HALF_WRIST), from }
}

/** An ask of 1: 15 % of the weight on the head beyond its own; or the head 45 cm below the heart. */
export const HEAD_OWN = 0.09
export const HALF_HEAD = 0.15
export const HALF_LOW_CM = 45
const HALF_LOW = HALF_LOW_CM / USUAL_STATURE
/** An ask of 1: half of the weight above a neck that is bent as far as it normally goes. */
export const HALF_NECK = 0.5
const NECK_NORM = 45
const ON_HEAD = /^(?:head|crown|forehead|chin|(?:left|right) ear)$/
const ABOVE_NECK = /^(?:shoulders|head|crown)$/

function headOf(f: Solved, stature: number): PartOfDemand {
  const shares = loadShares(f, carriedNearly(f))
  const on = (which: RegExp) =>
    shares.reduce((sum, { part, share }) => sum + (which.test(part) ? share : 0), 0)
  const weight = Math.max(0, on(ON_HEAD) - HEAD_OWN)
  const neck =
    f.pose.angles[indexOf('neck', 'flexion')]! + f.pose.angles[indexOf('head', 'flexion')]!
  // A head that lies on the floor with its own weight is no loaded neck.
  const above = Math.max(0, on(ABOVE_NECK) - HEAD_OWN - 0.35)
  const bend = Math.max(0, Math.abs(neck) / NECK_NORM - 0.5)
  const told = measure(f, 'head against heart', { lead: 'right', stature })?.value ?? 0
  const low = Math.max(0, -told)
  const asks = {
    weight: weight / HALF_HEAD,
    neck: (above * bend) / HALF_NECK,
    low: low / stature / HALF_LOW,
  }
  return {
    value: bent(together(Object.values(asks), 2)),
    from: [
      ...(asks.weight > WORTH_TELLING
        ? [{ of: 'head weight', share: rounded(weight + HEAD_OWN, 100) } as const]
        : []),
      ...(asks.neck > WORTH_TELLING
        ? [
            {
              of: 'bent neck',
              share: rounded(above, 100),
              degrees: rounded(Math.abs(neck)),
            } as const,
          ]
        : []),
      ...(asks.low > WORTH_TELLING ? [{ of: 'head low', cm: rounded(low) } as const] : []),
    ],
  }
}

/** An ask of 1: a minute of work; of rest, which tires little, several. */
export const HALF_SECONDS = 60
export const OF_REST = 0.15
const FULL_EFFORT = 50

/** How long the form itself is held or moved, in seconds; of a card that says nothing, one pass. */
export function heldSeconds(card: Card, school: Pick<School, 'pace'>): number {
  const pace = paceOf(card, school)
  const cycle =
    card.manner === 'moving' ? [...card.enter, ...card.otherWay].filter((step) => step.cycle) : []
  const moved = cycle.reduce((sum, step) => sum + phaseSeconds(step, pace) * timesOf(card, step), 0)
  // The other way has a stay of its own.
  const stays = staySeconds(card.stay, pace) * (card.otherWay.length > 0 ? 2 : 1)
  return moved + stays || passSeconds(card, school)
}

function timeOf(seconds: number, work: number): PartOfDemand {
  const effort = Math.min(1, OF_REST + work / FULL_EFFORT)
  return {
    value: bent((seconds * effort) / HALF_SECONDS),
    from: [{ of: 'stay', seconds: rounded(seconds), effort: rounded(effort, 100) }],
  }
}

const bodies = new WeakMap<Solved, Map<string, Record<Exclude<Demanded, 'time'>, PartOfDemand>>>()

/** What a form asks apart from how long it lasts, worked out once. */
function ofForm(f: Solved, eyesClosed: boolean, stature: number) {
  const mine = bodies.get(f) ?? new Map<string, Record<Exclude<Demanded, 'time'>, PartOfDemand>>()
  bodies.set(f, mine)
  const key = `${eyesClosed} ${stature}`
  const before = mine.get(key)
  if (before) return before
  const now = {
    range: rangeOf(motionsOf(f)),
    strength: strengthOf(f),
    balance: balanceOf(f, eyesClosed, stature),
    hands: handsOf(f),
    head: headOf(f, stature),
  }
  mine.set(key, now)
  return now
}

/** The parts as one number, by what each counts. */
export function totalOf(
  parts: Readonly<Record<Demanded, { value: number }>>,
  weights: Partial<Record<Demanded, number>> = {}
): number {
  const all = { ...DEMAND_WEIGHTS, ...weights }
  const sum = DEMANDED.reduce((whole, part) => whole + all[part], 0)
  if (sum <= 0) return 0
  return DEMANDED.reduce((whole, part) => whole + parts[part].value * all[part], 0) / sum
}

/**
 * What a form asks that is held for some seconds.
 * @param seconds that it is held or moved
 */
export function demandOf(
  figure: Figure,
  seconds: number,
  {
    eyesClosed = false,
    stature = USUAL_STATURE,
    weights,
  }: { eyesClosed?: boolean; stature?: number; weights?: Partial<Record<Demanded, number>> } = {}
): Demand {
  const mine = known.get(figure) ?? new Map<string, Demand>()
  known.set(figure, mine)
  const key = `${seconds} ${eyesClosed} ${stature} ${weights ? JSON.stringify(weights) : ''}`
  const before = mine.get(key)
  if (before) return before
  const now = worked(figure, seconds, eyesClosed, stature, weights)
  mine.set(key, now)
  return now
}

/** The same form that is held as long asks the same, and is one object. */
const known = new WeakMap<Figure, Map<string, Demand>>()

function worked(
  figure: Figure,
  seconds: number,
  eyesClosed: boolean,
  stature: number,
  weights?: Partial<Record<Demanded, number>>
): Demand {
  const form = ofForm(solved(figure, stature), eyesClosed, stature)
  const work = Math.max(
    form.strength.value,
    form.balance.value,
    form.hands.value,
    form.range.value / 2
  )
  const parts = { ...form, time: timeOf(seconds, work) }
  return { parts, total: totalOf(parts, weights) }
}

/** Whether the steps of a card close the eyes. */
const closesEyes = ({ enter, language }: Card): boolean => closing(enter, language).length > 0
const closing = inEach((language: string) => (step: Step) => {
  // To name parts is sooner done than to read, and few lines name the eyes.
  const closes =
    partsIn(step.text, language).includes('gaze') &&
    readLine(step.text, language).instructions.some(
      ({ part, action }) => part === 'gaze' && action === 'close'
    )
  return closes ? [step] : []
})

/** A rung with what it asks; null when nothing tells its form. */
export interface RungDemand {
  id: string
  demand: Demand | null
  /** Whether the form is known: drawn, or told by words that are understood. */
  sure: boolean
  from: 'kept' | 'words' | 'described' | 'none'
}

/** What each rung of a card asks, from the bottom up. */
export function demandsOf(
  card: Card,
  school: Pick<School, 'pace' | 'weights'> = DEFAULT_SCHOOL,
  stature = USUAL_STATURE
): RungDemand[] {
  return card.ladder.map(({ id }) => {
    const { figure, from, sure } = rungForm(card, id)
    const done = atRung(card, id)
    const demand =
      figure &&
      demandOf(figure, heldSeconds(done, school), {
        eyesClosed: closesEyes(done),
        stature,
        weights: school.weights,
      })
    // A form that nothing holds asks for what cannot be told.
    const falls = demand?.parts.balance.from.some((each) => each.of === 'falls') ?? true
    return { id, demand, sure: sure && !falls, from }
  })
}
