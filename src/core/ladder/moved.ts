import type { Card, Side, Stay } from '../card'
import { ANGLES, type Contact, type Figure, indexOf, solved } from '../figure'
import { LADDER } from '../language'
import { motionsOf, NORMS } from './motions'

/** The named moves by which a form is made easier or harder. */
export type MoveName = keyof typeof LADDER.moves

export type Way = 'easier' | 'harder'

/** A form that a move makes of another one, before it is looked at. */
export interface Moved {
  move: MoveName
  way: Way
  name: string
  /** What the teacher says in place of, or after, what the card says; empty for none. */
  words: string
  /** The limb whose placing the words replace. */
  limb?: { side: Side | 'both'; part: 'arm' | 'leg' }
  figure: Figure
  props?: string[]
  stay?: Stay
  eyesClosed?: boolean
}

export const SIDES: readonly Side[] = ['left', 'right']

export const EITHER: readonly (Side | 'both')[] = ['both', 'left', 'right']

export const of = (side: Side | 'both'): readonly Side[] => (side === 'both' ? SIDES : [side])

export const get = (figure: Figure, joint: string, name: string): number =>
  figure.angles[joint]?.[name] ?? 0

/** The figure with angles set; each stays within its limits. */
export function bend(figure: Figure, angles: Record<string, Record<string, number>>): Figure {
  const next = { ...figure.angles }
  for (const [joint, values] of Object.entries(angles))
    for (const [name, value] of Object.entries(values)) {
      const { min, max } = ANGLES[indexOf(joint, name)]!
      next[joint] = { ...next[joint], [name]: Math.min(max, Math.max(min, value)) }
    }
  return { ...figure, angles: next }
}

export const ARM = /^(left|right) (?:palm|hand|back of hand|fist|fingertips|forearm|elbow)$/

export const LEG =
  /^(left|right) (?:sole|toes|heel|top of foot|outer foot|knee|shin|calf|leg|thigh)$/

export const FLOORED = /^(?:floor|block|chair|bolster|blanket)/

export const armOn = ({ contacts }: Figure, side: Side): Contact | undefined =>
  contacts.find(({ part }) => ARM.exec(part)?.[1] === side)

export const standsOn = ({ contacts }: Figure, side: Side): Contact | undefined =>
  contacts.find(({ part, on }) => LEG.exec(part)?.[1] === side && FLOORED.test(on))

export const without = (figure: Figure, which: (contact: Contact) => boolean): Figure => ({
  ...figure,
  contacts: figure.contacts.filter((contact) => !which(contact)),
})

export const plus = (figure: Figure, ...contacts: Contact[]): Figure => ({
  ...figure,
  contacts: [...figure.contacts, ...contacts],
})

const TRUNK = ['lowBack', 'ribs'] as const

/** Angles that are told from straight, and how much of them is kept. */
export function scaled(figure: Figure, by: number): Figure {
  const part: Record<string, Record<string, number>> = {}
  const set = (joint: string, name: string, from = 0) => {
    const value = get(figure, joint, name)
    if (Math.abs(value - from) > 4)
      part[joint] = { ...part[joint], [name]: from + (value - from) * by }
  }
  for (const joint of [...TRUNK, 'neck'])
    for (const name of ['flexion', 'lateralFlexion', 'rotation']) set(joint, name)
  const motions = motionsOf(solved(figure))
  for (const side of SIDES) {
    const deep = (motion: keyof typeof NORMS) =>
      motions.some(
        (each) =>
          each.motion === motion && each.side === side && each.degrees > 0.5 * NORMS[motion].normal
      )
    // A leg that stands or kneels keeps its bend: it carries.
    const stands = standsOn(figure, side)
    if (deep('straight-leg raise') && get(figure, `${side}Knee`, 'flexion') < 25)
      set(`${side}Hip`, 'flexion', stands ? 20 : 0)
    if (deep('hip extension')) set(`${side}Hip`, 'flexion')
    if (deep('hip opening') && !stands) set(`${side}Hip`, 'abduction')
    if (deep('shoulder extension')) set(`${side}Shoulder`, 'flexion')
  }
  // A trunk that hinged over the legs rises with the hips.
  const hip = Math.max(...SIDES.map((side) => Math.abs(part[`${side}Hip`]?.flexion ?? NaN) || 0))
  const tilt = get(figure, 'pelvis', 'tilt')
  if (hip > 0 && Math.abs(tilt) > 30 && figure.contacts.every(({ part: name }) => !ARM.test(name)))
    part.pelvis = { tilt: tilt * (0.3 + 0.7 * by) }
  return bend(figure, part)
}

export const twoFeet = (figure: Figure) =>
  SIDES.every((side) =>
    figure.contacts.some(({ part, on }) => part === `${side} sole` && on === 'floor')
  )

export function stance(figure: Figure, by: (abduction: number) => number): Figure {
  return bend(
    figure,
    Object.fromEntries(
      SIDES.map((side) => [`${side}Hip`, { abduction: by(get(figure, `${side}Hip`, 'abduction')) }])
    )
  )
}

export const standing = (figure: Figure) =>
  figure.contacts.some(({ part, on }) => /(?:sole|toes|heel)$/.test(part) && on === 'floor') &&
  Math.abs(get(figure, 'pelvis', 'tilt')) < 35

/** What a move makes of a form; nothing where it does not fit. */
export type Move = (figure: Figure, card: Card) => Moved[]

/** Both knees or one brought to an angle, where the hips are folded and the knees as they must be. */
export const knees =
  (
    move: 'bend-knee' | 'straighten-knee',
    way: Way,
    flexion: number,
    fits: (bent: number) => boolean
  ): Move =>
  (figure) =>
    EITHER.filter((side) =>
      of(side).every(
        (each) =>
          fits(get(figure, `${each}Knee`, 'flexion')) && get(figure, `${each}Hip`, 'flexion') > 40
      )
    ).map((side) => ({
      move,
      way,
      ...LADDER.moves[move](side),
      limb: { side, part: 'leg' },
      figure: bend(
        figure,
        Object.fromEntries(of(side).map((each) => [`${each}Knee`, { flexion }]))
      ),
    }))
