import { LABELS } from '../language'
import { legLength, USUAL_STATURE } from './body'
import { joint, seg } from './landmarks'
import { measure } from './measures'
import { touchPoints } from './parts'
import { indexOf, NORMAL_RANGES } from './skeleton'
import { type Solved } from './solve'
import { solved } from './solved'
import { BLOCK_HEIGHTS, type Figure, PROP_HEIGHT } from './spec'
import { rad } from './vec'

const WORDS = LABELS.sizes

/** Statures that sizes are told for, in cm. */
export const STATURES = [150, 160, 170, 180, 190] as const

/** What one thing should measure for each of the statures. */
export interface SizeRow {
  what: string
  unit: 'cm' | 'deg'
  values: number[]
  /** In words, where the number alone leaves the hands empty: `low block`. */
  told?: string[]
}

/** A size in words: whole, but a small one to half a centimetre. */
export const sizeWords = (value: number, unit: SizeRow['unit']): string =>
  unit === 'deg'
    ? `${Math.round(value)}°`
    : `${value < 10 ? Math.round(value * 2) / 2 : Math.round(value)} cm`

/**
 * Angle of a bolster that lies on two blocks, in degrees.
 * @param low @param high heights of the blocks, in cm
 * @param apart from one block’s place to the other’s, along the floor, in cm
 */
export function rampAngle(low: number, high: number, apart: number): number {
  return (Math.atan2(high - low, apart) * 180) / Math.PI
}

/**
 * Height of a pad under the heel that lets a foot stand flat, in cm.
 * @param up how far the ankle would have to bend, in degrees
 * @param most how far it does
 * @param long from heel to ball, in cm
 */
export function heelPad(up: number, most: number, long: number): number {
  return up <= most ? 0 : long * Math.sin(rad(up - most))
}

/** The block that comes nearest to a height, in words. */
export function nearestBlock(cm: number): string {
  const heights = BLOCK_HEIGHTS.map((name) => ({ name, at: PROP_HEIGHT[`block ${name}`]! }))
  if (cm < heights[0]!.at / 2) return WORDS.floor
  const highest = heights.at(-1)!
  if (cm > highest.at * 1.35) return WORDS.chair
  const best = heights.reduce((a, b) => (Math.abs(b.at - cm) < Math.abs(a.at - cm) ? b : a))
  return WORDS.block(best.name)
}

const HANDS = ['palm', 'hand', 'fist', 'fingertips']
const SIDES = ['left', 'right'] as const
/** A stance or a reach below this, in leg lengths, needs no number. */
const WORTH_TELLING = 0.35

const alike = (values: number[]) => values.every((value) => Math.round(value) === 0)

function handRows(figure: Figure, atUsual: Solved): SizeRow[] {
  return SIDES.flatMap((side): SizeRow[] => {
    const contact = figure.contacts.find((each) =>
      HANDS.some((name) => each.part === `${side} ${name}`)
    )
    const onBlock = contact?.on.startsWith('block')
    if (contact && !onBlock) return []
    const part = contact?.part ?? `${side} fingertips`
    const lowest = Math.min(...touchPoints(part, atUsual).map(({ at, radius }) => at[1] - radius))
    const [shoulder, elbow, hand] = ['UpperArm', 'Forearm', 'Hand'].map((name) =>
      joint(atUsual, seg(side, name))
    )
    const hangs = shoulder![1] > elbow![1] && elbow![1] > hand![1]
    const cm = lowest * USUAL_STATURE
    // A hand that hangs a little above the floor wants the floor raised to it.
    if (!onBlock && !(hangs && cm > 4 && cm < 28 && shoulder![1] - hand![1] > 0.25)) return []
    const values = STATURES.map((stature) => lowest * stature)
    return [{ what: WORDS.underHand(side), unit: 'cm', values, told: values.map(nearestBlock) }]
  })
}

/** What brings the floor to a hand, alone: for a rung beside the form described. */
export const handSizesOf = (figure: Figure): SizeRow[] => handRows(figure, solved(figure))

/**
 * What scales with the person, for a figure and the props of its card: stance, hands to feet,
 * what brings the floor to the hand, the ramp of a bolster on two blocks, a pad under the heel.
 * Lengths follow the published table of the body (`LENGTHS`); props keep their size.
 */
export function sizesOf(figure: Figure, props: readonly string[], lead: 'left' | 'right') {
  const solvedFor = STATURES.map((stature) => ({ stature, at: solved(figure, stature) }))
  const atUsual = solvedFor.find((each) => each.stature === USUAL_STATURE)!.at
  const touches = (side: string, ...names: string[]) =>
    figure.contacts.some(
      (each) => names.some((name) => each.part === `${side} ${name}`) && each.on !== 'wall'
    )
  const rows: SizeRow[] = []
  const feet = SIDES.every((side) => touches(side, 'sole', 'toes', 'heel'))
  const stance = measure(atUsual, 'stance length', { lead })!.value
  if (feet && stance > WORTH_TELLING)
    rows.push({
      what: WORDS.ankles,
      unit: 'cm',
      values: solvedFor.map(({ stature, at }) => measure(at, 'stance', { lead, stature })!.value),
    })
  const hands = SIDES.every((side) => touches(side, 'palm', 'fist', 'fingertips'))
  const reach = (solved: Solved) => {
    const [hand, foot] = (['Hand', 'Foot'] as const).map((name) =>
      [0, 2].map((k) => (joint(solved, `left${name}`)[k]! + joint(solved, `right${name}`)[k]!) / 2)
    )
    return Math.hypot(hand![0]! - foot![0]!, hand![1]! - foot![1]!)
  }
  if (feet && hands && reach(atUsual) > WORTH_TELLING * legLength(atUsual.body))
    rows.push({
      what: WORDS.handsToFeet,
      unit: 'cm',
      values: solvedFor.map(({ stature, at }) => reach(at) * stature),
    })
  rows.push(...handRows(figure, atUsual))
  if (WORDS.makesRamp(props.join(', '))) {
    const { lowBackUp, shoulderUp } = atUsual.body
    const [low, high] = [PROP_HEIGHT['block low']!, PROP_HEIGHT['block high']!]
    rows.push({
      what: WORDS.ramp,
      unit: 'deg',
      values: STATURES.map((stature) => rampAngle(low, high, (lowBackUp + shoulderUp) * stature)),
    })
  }
  const pads = STATURES.map((stature) =>
    Math.max(
      ...SIDES.map((side) => {
        if (!touches(side, 'sole')) return 0
        const up = atUsual.pose.angles[indexOf(`${side}Ankle`, 'dorsiflexion')]!
        return heelPad(up, NORMAL_RANGES.ankleUp, (atUsual.body.foot * 0.5 + 0.036) * stature)
      })
    )
  )
  if (!alike(pads)) rows.push({ what: WORDS.heelPad, unit: 'cm', values: pads })
  return rows
}
