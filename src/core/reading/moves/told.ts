import type { Instruction, Place, Way } from '../../language'

/** What an instruction tells of the way, the place and the amount, as the moves ask for it. */

export const has = (n: Instruction, ...ways: Way[]): boolean =>
  ways.some((way) => n.ways.includes(way))

/** The place of an instruction that is one of these things. */
export const thingIn = (n: Instruction, ...things: string[]): Place | undefined =>
  n.places.find(({ thing }) => thing !== undefined && things.includes(thing))

/** The place of an instruction that is one of these parts of the body. */
export const partIn = (n: Instruction, ...parts: string[]): Place | undefined =>
  n.places.find(({ part }) => part !== undefined && parts.includes(part))

/** How much of a whole movement is asked for: a little, half, all of it. */
export const shareOf = (n: Instruction): number =>
  n.amount?.unit === 'part of the way' ? n.amount.value! : 1

/** The degrees that are asked for; a share of the usual ones when none are told. */
export const degreesOf = (n: Instruction, usual: number): number =>
  n.amount?.unit === 'deg' ? n.amount.value! : usual * shareOf(n)
