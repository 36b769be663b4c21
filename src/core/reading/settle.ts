import { type Card, otherSide, type Side } from '../card'
import {
  type BodyPart,
  IN_THE_MIDDLE,
  type Instruction,
  keeping,
  namedRole,
  type Place,
  rememberOf,
  type SideRole,
  type SideTold,
} from '../language'

/**
 * What is known of sides by what came before: which limb is in front, which one was moved last.
 * Never changed once it is given out.
 */
export interface Known {
  roles: Map<SideRole, Side>
  /** Of the limb that was moved last, by kind. */
  limbs: Map<Limb, SideTold>
  /** Of the parts that the line before named, by part. */
  parts: Map<BodyPart, SideTold>
}
type Limb = 'arm' | 'leg'

const ARM: ReadonlySet<BodyPart> = new Set<BodyPart>([
  'shoulder',
  'arm',
  'elbow',
  'forearm',
  'wrist',
  'hand',
  'fingers',
])
const LEG: ReadonlySet<BodyPart> = new Set<BodyPart>([
  'foot',
  'toes',
  'heel',
  'ankle',
  'shin',
  'knee',
  'thigh',
  'leg',
  'hip',
])

/** The limb that a part belongs to; null for the trunk and the head. */
export const limbOf = (part: BodyPart): Limb | null =>
  ARM.has(part) ? 'arm' : LEG.has(part) ? 'leg' : null

/** Roles that the other side has when one side has one. */
const ACROSS: [SideRole, SideRole][] = [
  ['front', 'back'],
  ['bent', 'straight'],
  ['lifted', 'standing'],
  ['up', 'low'],
  ['standing', 'kneeling'],
]

const states = keeping<string, Known>(1000)

/** All that is known as one text. Built by hand: it is asked for twice a line. */
function spelledOut({ roles, limbs, parts }: Known): string {
  let spelled = ''
  const put = (side: SideTold, of: string) => {
    spelled += `${of} ${side},`
  }
  roles.forEach(put)
  spelled += ';'
  limbs.forEach(put)
  spelled += ';'
  parts.forEach(put)
  return spelled
}

/** One state for all that is known alike, so that what was settled after it serves again. */
function oneOf(known: Known): Known {
  const spelled = spelledOut(known)
  return states.get(spelled) ?? states.set(spelled, known)
}

const nothing = (): Known => ({ roles: new Map(), limbs: new Map(), parts: new Map() })

export const NOTHING_KNOWN = oneOf(nothing())

/** What a card says of its sides before its first line. */
export function knownOf(
  card: Pick<Card, 'sides' | 'sideNamedBy' | 'writtenFor' | 'language'>
): Known {
  if (card.sides === 'even') return NOTHING_KNOWN
  const known = nothing()
  const role = namedRole(card)
  if (role === 'bend') learn(known, 'low', card.writtenFor)
  else if (role) learn(known, role, card.writtenFor)
  return oneOf(known)
}

/**
 * The instructions of a line after what came before it, and what is known after the line: after
 * a step, and after a cue, which is no step: what a step means by the arm was named by the step
 * before. Worked out once.
 */
export const settledAfter = rememberOf((before: Known) =>
  rememberOf((instructions: readonly Instruction[]) => {
    const { parts } = before
    const known = { roles: new Map(before.roles), limbs: new Map(before.limbs), parts }
    const settled = settle(instructions, known)
    let afterCue: Known | null = null
    return {
      settled,
      after: oneOf(known),
      afterCue: () => (afterCue ??= oneOf({ ...known, parts })),
    }
  })
)

function learn({ roles }: Known, role: SideRole, side: Side) {
  roles.set(role, side)
  for (const [one, other] of ACROSS) {
    if (one === role && other !== 'kneeling') roles.set(other, otherSide(side))
    if (other === role && role !== 'kneeling') roles.set(one, otherSide(side))
  }
}

/** Whether a part is told to be of one side. */
export const oneSide = (side: SideTold | undefined): side is Side =>
  side === 'left' || side === 'right'

function sideOf(
  role: NonNullable<Instruction['role']>,
  limb: Limb | null,
  own: SideTold | undefined,
  known: Known
): SideTold {
  if (role === 'same' || role === 'opposite' || role === 'other') {
    const before = oneSide(own) ? own : limb ? known.limbs.get(limb) : undefined
    if (!oneSide(before)) return null
    return role === 'same' ? before : otherSide(before)
  }
  return known.roles.get(role) ?? null
}

/** Learns from an instruction which limb is where. */
function remember(known: Known, { action, part, side, ways, places }: Instruction) {
  const limb = limbOf(part)
  if (limb && side) known.limbs.set(limb, side)
  // Where both are up, no one of them is.
  if (limb === 'arm' && side === 'both' && action === 'lift')
    for (const role of ['up', 'low'] as const) known.roles.delete(role)
  if (action === 'side-bend' || action === 'lie') {
    const way = ways.find((each) => each === 'left' || each === 'right')
    if (way === 'left' || way === 'right') learn(known, 'low', way)
  }
  if (!oneSide(side)) return
  const has = (way: (typeof ways)[number]) => ways.includes(way)
  if (limb === 'leg') {
    if (
      (action === 'step' || action === 'slide' || action === 'place' || action === 'reach') &&
      has('back')
    )
      learn(known, 'back', side)
    else if ((action === 'step' || action === 'place') && has('forward'))
      learn(known, 'front', side)
    else if (action === 'lift' && part !== 'heel' && part !== 'toes' && part !== 'hip')
      learn(known, 'lifted', side)
    else if (action === 'bend') learn(known, 'bent', side)
    else if (action === 'straighten' && part === 'leg') learn(known, 'straight', side)
    if (
      action === 'lower' &&
      part === 'knee' &&
      places.some(({ thing }) => thing === 'floor' || thing === 'mat')
    )
      known.roles.set('kneeling', side)
  }
  if (limb === 'arm' && action === 'lift') learn(known, 'up', side)
}

/** The side of a part that the step before named: the same part, the whole limb, or a part of it. */
function meantAgain(part: BodyPart, limb: Limb, before: Known['parts']): SideTold {
  const same = before.get(part) ?? before.get(limb)
  if (same !== undefined || part !== limb) return same ?? null
  const sides = new Set(
    [...before].filter(([each]) => limbOf(each) === limb).map(([, side]) => side)
  )
  return sides.size === 1 ? [...sides][0]! : null
}

/** The one limb that is up, where the limb is brought down again: lower the arm. */
function broughtBack({ action, part }: Instruction, limb: Limb, { roles }: Known): SideTold {
  if (action !== 'lower' || !['arm', 'hand', 'leg', 'foot'].includes(part)) return null
  return roles.get(limb === 'arm' ? 'up' : 'lifted') ?? null
}

/**
 * Settles the sides of the instructions of one line: relative words by what is known, and a part
 * of a limb with no side by the limb that the same line moved before. What cannot be settled
 * keeps no side.
 */
function settle(instructions: readonly Instruction[], known: Known): Instruction[] {
  const inLine = new Map<Limb, SideTold>()
  const before = known.parts
  known.parts = new Map()
  return instructions.map((instruction) => {
    const limb = limbOf(instruction.part)
    let { side, role } = instruction
    if (side === null && role) {
      side = sideOf(role, limb, undefined, known)
      if (side) role = undefined
    } else if (side === null && limb && !IN_THE_MIDDLE.has(instruction.part)) {
      // The arm that this line moved, or the line before: lower the arm.
      const own =
        inLine.get(limb) ??
        meantAgain(instruction.part, limb, before) ??
        broughtBack(instruction, limb, known)
      if (oneSide(own)) side = own
    }
    const places = instruction.places.map((place) => settlePlace(place, side, limb, known, inLine))
    const { role: _, ...rest } = instruction
    const settled: Instruction = { ...rest, side, ...(role ? { role } : {}), places }
    if (limb && side) inLine.set(limb, side)
    if (limb && side) known.parts.set(instruction.part, side)
    for (const place of places) {
      const of = place.part && limbOf(place.part)
      if (of && of !== limb && oneSide(place.side) && !inLine.has(of)) inLine.set(of, place.side)
    }
    remember(known, settled)
    return settled
  })
}

function settlePlace(
  place: Place,
  own: SideTold,
  limb: Limb | null,
  known: Known,
  inLine: ReadonlyMap<Limb, SideTold>
): Place {
  if (!place.part || place.side) return place
  const of = limbOf(place.part)
  if (place.role) {
    const side = sideOf(place.role, of, own, known)
    if (!side) return place
    const { role: _, ...rest } = place
    return { ...rest, side }
  }
  if (!of) return place
  // The knee over the ankle: of the same limb. The hand on the shin: of the leg told before.
  const side = of === limb ? own : inLine.get(of)
  return oneSide(side) ? { ...place, side } : place
}
