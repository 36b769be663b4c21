import { z } from 'zod'
import type { Card } from '../card'
import {
  ANGLES,
  anglesOf,
  BLOCK_HEIGHTS,
  contactGaps,
  type Figure,
  heelPad,
  indexOf,
  type Limits,
  loadShares,
  PROP_HEIGHT,
  solve,
  solved,
  type Solved,
} from '../figure'
import { LADDER } from '../language'
import { HAND } from './demand'
import { mostOf, motionsOf, NORMS } from './motions'
import { rungForm } from './rungForm'

const degrees = (most: number, usual: number) =>
  z
    .number({ error: 'should be a number of degrees' })
    .min(-20, { error: 'should not be less than -20 degrees' })
    .max(most, { error: `should not be more than ${most} degrees` })
    .default(usual)
const proportion = z
  .number({ error: 'should be a part of the usual length, such as 1.05' })
  .min(0.8, { error: 'should not be less than 0.8' })
  .max(1.2, { error: 'should not be more than 1.2' })
  .default(1)

/**
 * What a person can do: how far joints go, in degrees, with weight on them where the pose has it.
 * What is not told is the usual: normal ranges as in `NORMAL_RANGES`, but what a wrist bends
 * under weight, 90 (common practice, no source: nobody kneels on all fours with less).
 */
export const Person = z.strictObject({
  name: z.string().max(80).default(''),
  /** In cm. */
  stature: z
    .number({ error: 'should be a number of cm' })
    .min(100, { error: 'should not be less than 100 cm' })
    .max(230, { error: 'should not be more than 230 cm' })
    .default(170),
  /** Lengths against the usual ones. */
  legs: proportion,
  arms: proportion,
  trunk: proportion,
  /** How far a straight leg is raised against the pelvis. */
  straightLegRaise: degrees(150, NORMS['straight-leg raise'].normal),
  /** How far the thigh goes out from the middle. */
  hipOpening: degrees(95, NORMS['hip opening'].normal),
  /** How far an arm is raised against the trunk. */
  shoulderReach: degrees(180, NORMS['shoulder reach'].normal),
  /** How far the foot comes up to the shin. */
  ankleBend: degrees(45, NORMS['ankle bend'].normal),
  /** How far the hand bends back under weight. */
  wristBend: degrees(100, 90),
  neckTurn: degrees(90, NORMS['neck turn'].normal),
  /** Whether the hands may carry weight. */
  weightOnHands: z.boolean({ error: 'should be true or false' }).default(true),
})
export type Person = z.infer<typeof Person>
export type Need = Exclude<keyof typeof LADDER.person.needs, 'weightOnHands'>

export const USUAL_PERSON: Person = Person.parse({})

/** Four ready bodies that differ plainly. Our own. */
export const READY_BODIES: readonly { id: keyof typeof LADDER.person.ready; person: Person }[] = [
  {
    id: 'stiff',
    person: Person.parse({
      straightLegRaise: 60,
      hipOpening: 28,
      shoulderReach: 150,
      ankleBend: 10,
      wristBend: 75,
      neckTurn: 60,
    }),
  },
  {
    id: 'supple',
    person: Person.parse({
      stature: 158,
      straightLegRaise: 120,
      hipOpening: 65,
      shoulderReach: 180,
      ankleBend: 30,
      wristBend: 95,
    }),
  },
  {
    id: 'tall',
    person: Person.parse({
      stature: 192,
      legs: 1.06,
      arms: 0.97,
      straightLegRaise: 75,
      hipOpening: 40,
      shoulderReach: 135,
      ankleBend: 18,
      wristBend: 85,
    }),
  },
  { id: 'wrists', person: Person.parse({ stature: 165, wristBend: 40, weightOnHands: false }) },
]

/** Names of the fields as people write them: `straight-leg raise`, `hip_opening`. */
const FIELD = new Map(Object.keys(Person.shape).map((key) => [key.toLowerCase(), key] as const))
const fieldOf = (written: string) =>
  FIELD.get(written.toLowerCase().replace(/[^a-z]/g, '')) ?? written

/**
 * Reads a body from data: its fields, or fields in `limits` and `proportions`; their names may
 * be written with blanks, hyphens or underscores.
 * @returns the body, or what is wrong with the data and where
 */
export function readPerson(
  data: unknown
): { person: Person; problem: null } | { person: null; problem: string } {
  if (typeof data !== 'object' || data === null || Array.isArray(data))
    return { person: null, problem: LADDER.person.noObject }
  const flat: Record<string, unknown> = {}
  for (const [key, value] of Object.entries(data)) {
    const inner = /^(?:limits|proportions)$/i.test(key) && typeof value === 'object' && value
    for (const [name, each] of inner ? Object.entries(value) : [[key, value] as const])
      flat[fieldOf(name)] = each
  }
  const read = Person.safeParse(flat)
  if (read.success) return { person: read.data, problem: null }
  const issue = read.error.issues[0]!
  const where = issue.path.join('.')
  return {
    person: null,
    problem:
      issue.code === 'unrecognized_keys'
        ? LADDER.person.unknown(issue.keys, Object.keys(Person.shape))
        : `${where}: ${issue.message}`,
  }
}

/** What of a rung a person does not meet. */
export type Missing =
  | { of: 'degrees'; need: Need; asked: number; can: number; short: number }
  | { of: 'weight'; share: number }
  | { of: 'contact'; part: string; on: string; cm: number }

/** What would close the gap. */
export type Closes =
  | { of: 'prop'; part: string; prop: string; cm: number }
  | { of: 'heel pad'; cm: number }
  | { of: 'wedge'; cm: number }

export interface Opening {
  id: string
  /** The form as the person can do it: on their proportions, and inside their ranges. */
  form: Figure | null
  /** Null when the form of the rung is not known. */
  open: boolean | null
  missing: Missing[]
  closes: Closes[]
  /** What the form asks of each range, and what the person can, in degrees. */
  needs: { need: Need; asked: number; can: number }[]
}

/** A range may be short by this many degrees, a contact by this many cm: nobody sees it. */
const NEAR_DEGREES = 2
const NEAR_CM = 2
/** Fingertips that steady carry less than this part of the weight. */
const STEADIES = 0.06

const LOADED = /^(left|right) (?:palm|hand|back of hand)$/

/** The figure on the person’s proportions. */
const onBody = (figure: Figure, { legs, arms, trunk }: Person): Figure => ({
  ...figure,
  body: { ...figure.body, legs, arms, trunk },
})

function needsOf(f: Solved, person: Person): Opening['needs'] {
  const motions = motionsOf(f)
  const most = (motion: Parameters<typeof mostOf>[1]) => mostOf(motions, motion).degrees
  const wrist = f.contacts.reduce((deepest, { part }) => {
    const side = LOADED.exec(part)?.[1]
    if (!side) return deepest
    return Math.max(deepest, -f.pose.angles[indexOf(`${side}Wrist`, 'flexion')]!)
  }, 0)
  const asked: Record<Need, number> = {
    straightLegRaise: most('straight-leg raise'),
    hipOpening: most('hip opening'),
    shoulderReach: most('shoulder reach'),
    ankleBend: most('ankle bend'),
    wristBend: wrist,
    neckTurn: most('neck turn'),
  }
  return (Object.keys(asked) as Need[]).map((need) => ({
    need,
    asked: asked[need],
    can: person[need],
  }))
}

/** How far the joints of a person go, as far as it is known of them. */
function limitsOf(person: Person, knees: Record<'left' | 'right', number>): Limits {
  const min = ANGLES.map((angle) => angle.min)
  const max = ANGLES.map((angle) => angle.max)
  const most = (joint: string, name: string, value: number) => {
    const i = indexOf(joint, name)
    max[i] = Math.max(min[i]!, Math.min(max[i]!, value))
  }
  for (const side of ['left', 'right'] as const) {
    most(`${side}Hip`, 'flexion', person.straightLegRaise + knees[side])
    most(`${side}Hip`, 'abduction', person.hipOpening + 10)
    most(`${side}Shoulder`, 'flexion', person.shoulderReach)
    most(`${side}Shoulder`, 'abduction', person.shoulderReach)
    most(`${side}Ankle`, 'dorsiflexion', person.ankleBend)
    const wrist = indexOf(`${side}Wrist`, 'flexion')
    min[wrist] = Math.max(min[wrist]!, -person.wristBend)
  }
  most('neck', 'rotation', person.neckTurn)
  const turn = indexOf('neck', 'rotation')
  min[turn] = Math.max(min[turn]!, -person.neckTurn)
  return { min, max }
}

/** Knees bend this much at most when a hip comes to its end: a straight leg stays one. */
const STAYS_STRAIGHT = 12

/** Back and ankles may bend this much more than the form has it, in degrees. */
const ROUNDS = 4
const STANDS = /(?:sole|toes|heel|shin|knee)$/

/** The form as the person can do it: nearest to what is asked, inside what the joints give. */
function within(figure: Figure, person: Person, f: Solved): Solved {
  const knee = (side: 'left' | 'right') =>
    Math.max(0, f.pose.angles[indexOf(`${side}Knee`, 'flexion')]!)
  const knees = { left: knee('left'), right: knee('right') }
  const limits = limitsOf(person, knees)
  const max = [...limits.max]
  for (const side of ['left', 'right'] as const)
    if (knees[side] < STAYS_STRAIGHT) max[indexOf(`${side}Knee`, 'flexion')] = STAYS_STRAIGHT
  // The back does not round in place of the hips.
  for (const joint of ['lowBack', 'ribs']) {
    const i = indexOf(joint, 'flexion')
    max[i] = Math.min(max[i]!, Math.max(limits.min[i]!, f.pose.angles[i]! + ROUNDS))
  }
  // Nor does the body tip forward on its feet, or slide them apart.
  const min = [...limits.min]
  const keeps = (joint: string, name: string, by: number, both = true) => {
    const k = indexOf(joint, name)
    max[k] = Math.min(max[k]!, Math.max(min[k]!, f.pose.angles[k]! + by))
    if (both) min[k] = Math.max(min[k]!, Math.min(max[k]!, f.pose.angles[k]! - by))
  }
  for (const side of ['left', 'right'] as const) {
    if (
      !figure.contacts.some(
        ({ part, on }) => on === 'floor' && STANDS.test(part) && part.startsWith(side)
      )
    )
      continue
    keeps(`${side}Ankle`, 'dorsiflexion', ROUNDS, false)
    keeps(`${side}Hip`, 'abduction', ROUNDS)
    keeps(`${side}Hip`, 'rotation', 2 * ROUNDS)
  }
  return solve(figure, { stature: person.stature, limits: { min, max } })
}

/**
 * How far each contact stays away, in cm: on the person’s proportions, and where a range is
 * short, of what reaches for the floor, on their ranges. A base that does not come to rest there
 * tells nothing of the reach.
 */
function gapsOf(
  figure: Figure,
  person: Person,
  f: Solved,
  limited: boolean
): { gaps: number[]; there: Solved | null } {
  const whole = contactGaps(figure, f, person.stature)
  if (!limited) return { gaps: whole, there: f }
  const there = within(figure, person, f)
  const short = contactGaps(figure, there, person.stature)
  const reaches = figure.contacts.map(({ part }) => REACHES.test(part))
  const rests = short.every((cm, i) => reaches[i] || cm <= NEAR_CM)
  return {
    gaps: whole.map((cm, i) => (rests && reaches[i] ? short[i]! : cm)),
    there: rests ? there : null,
  }
}

/** What stands, as a figure that is drawn as it stands: what it did not reach it does not touch. */
function asItStands(figure: Figure, { pose }: Solved, gaps: readonly number[]): Figure {
  return {
    ...figure,
    angles: anglesOf(pose),
    contacts: figure.contacts.filter((_, i) => gaps[i]! <= NEAR_CM),
    straps: [],
  }
}

/** Props that raise the floor, from the lowest. */
const RAISES = ['blanket', ...BLOCK_HEIGHTS.map((height) => `block ${height}`), 'chair']
const REACHES =
  /^(?:(?:left|right) (?:palm|hand|fist|fingertips|forearm|elbow)|head|forehead|chest)$/

/** What brings the floor to what does not reach it: the lowest prop that does, and by how much. */
function raised(figure: Figure, person: Person, f: Solved, parts: readonly string[]): Closes[] {
  if (parts.length === 0) return []
  for (const prop of RAISES) {
    const raisedBy: Figure = {
      ...figure,
      contacts: figure.contacts.map(({ at: _, ...contact }) =>
        parts.includes(contact.part) ? { part: contact.part, on: prop } : contact
      ),
    }
    const there = within(raisedBy, person, f)
    const gaps = contactGaps(raisedBy, there, person.stature)
    if (gaps.every((gap) => gap <= NEAR_CM + 1))
      return parts.map((part) => ({ of: 'prop', part, prop, cm: PROP_HEIGHT[prop]! }))
  }
  return []
}

/**
 * Whether one person can do one form, what is missing, and what would close the gap.
 * @param id of the rung
 */
export function openingOf(id: string, drawn: Figure, person: Person): Opening {
  const figure = onBody(drawn, person)
  const f = solved(figure, person.stature)
  const needs = needsOf(f, person)
  const missing: Missing[] = needs.flatMap(({ need, asked, can }): Missing[] =>
    asked > can + NEAR_DEGREES ? [{ of: 'degrees', need, asked, can, short: asked - can }] : []
  )
  const onHands = loadShares(f)
    .filter(({ part }) => HAND.test(part))
    .reduce((sum, { share }) => sum + share, 0)
  if (!person.weightOnHands && onHands > STEADIES) missing.push({ of: 'weight', share: onHands })
  const closes: Closes[] = []
  const { gaps, there } = gapsOf(figure, person, f, missing.length > 0)
  figure.contacts.forEach(({ part, on }, i) => {
    if (gaps[i]! > NEAR_CM) missing.push({ of: 'contact', part, on, cm: gaps[i]! })
  })
  const away = missing.flatMap((each) =>
    each.of === 'contact' && each.on === 'floor' && REACHES.test(each.part) ? [each.part] : []
  )
  closes.push(...raised(figure, person, f, away))
  for (const each of missing) {
    if (each.of !== 'degrees') continue
    if (each.need === 'ankleBend') {
      const cm = heelPad(each.asked, each.can, (f.body.foot * 0.5 + 0.036) * person.stature)
      if (cm > 0.5) closes.push({ of: 'heel pad', cm })
    }
    if (each.need === 'wristBend')
      closes.push({
        of: 'wedge',
        cm:
          Math.sin((Math.min(60, each.short) * Math.PI) / 180) * f.body.hand * person.stature * 0.8,
      })
  }
  const form = there && (there === f ? figure : asItStands(figure, there, gaps))
  return { id, open: missing.length === 0, missing, closes, needs, form }
}

/** For every rung of a card, from the bottom up, whether it is open to a person. */
export function openingsFor(card: Card, person: Person): Opening[] {
  return card.ladder.map(({ id }) => {
    const { figure, sure } = rungForm(card, id)
    if (!figure || !sure) return { id, open: null, missing: [], closes: [], needs: [], form: null }
    return openingOf(id, figure, person)
  })
}

/** The first rung, from the bottom, that is open; null when none is. */
export const firstOpen = (openings: readonly Opening[]): string | null =>
  openings.find(({ open }) => open)?.id ?? null
