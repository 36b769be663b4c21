import type { Side } from '../card'
import {
  askedAngles,
  bodyOf,
  type Figure,
  indexOf,
  jointOf,
  place,
  type Placed,
  type Segment,
  solved,
} from '../figure'
import { rememberOf } from '../language'

/** What a figure shows of its limbs: where they are, how they are bent, and what they rest on. */

/** How much higher or lower is clearly so, in statures. */
export const CLEARLY = 0.12

const asked = rememberOf(askedAngles)
export const angle = (figure: Figure, joint: string, name: string): number =>
  asked(figure)[indexOf(joint, name)]!

/** How high a hand is beside its shoulder, in statures; angles alone tell it. */
export function raised(figure: Figure, side: Side): number {
  const { origins } = placedIn(figure)
  const at = (name: string) => origins[jointOf(`${side}${name}` as Segment)]![1]
  return at('Hand') - at('UpperArm')
}

export const placedIn = rememberOf(
  (figure: Figure): Placed =>
    (figure.contacts.length > 0 ? solved(figure) : standing(figure)).placed
)
const standing = (figure: Figure) => {
  const body = bodyOf(figure.body)
  return { placed: place(body, { root: [0, 0, 0], angles: askedAngles(figure) }) }
}

export const LEG_ON = /^(left|right) (?:sole|toes|heel|knee|shin|leg|outer foot|top of foot)$/
export const ARM_ON = /^(left|right) (?:palm|hand|fist|fingertips|forearm|elbow)$/

export const onFloor = ({ contacts }: Figure, side: Side) =>
  contacts.some(({ part, on }) => LEG_ON.exec(part)?.[1] === side && !/^(?:left|right)/.test(on))

/** The limb that a hand or a foot of a side rests on; thigh and shin are one beside the knee. */
export const restsOn = ({ contacts }: Figure, side: Side, parts: RegExp) =>
  contacts.find(({ part, on }) => parts.exec(part)?.[1] === side && /^(?:left|right)/.test(on))

export const atKnee = ({ on, along = 0.5 }: { on: string; along?: number }) =>
  on.endsWith('thigh') ? along > 0.7 : on.endsWith('shin') ? along < 0.3 : false
