import type { Side } from '../card'
import { apply, indexOf, jointOf, NORMAL_RANGES as N, type Solved, transpose } from '../figure'
import type { MotionName } from './words'

/** What the norm of a motion is, and how much a form is harder for it. */
interface Norm {
  /** The normal range, in degrees. */
  normal: number
  /** 1 for the large joints; less where the end of the range is easily come by. */
  counts: number
}

/**
 * Normal ranges: AAOS 1965 (from memory), as `NORMAL_RANGES`; a straight leg is raised to 80 on
 * average (published: texts on physical examination, 70 to 90; from memory). How much each
 * counts is our own, set by trying.
 */
export const NORMS: Readonly<Record<MotionName, Norm>> = {
  'straight-leg raise': { normal: 80, counts: 1 },
  'hip flexion': { normal: N.hipFlexion, counts: 1 },
  'hip extension': { normal: N.hipExtension, counts: 0.9 },
  'hip opening': { normal: N.hipAbduction, counts: 1 },
  'hip closing': { normal: N.hipAdduction, counts: 0.8 },
  'hip turn out': { normal: N.hipRotation, counts: 0.5 },
  'hip turn in': { normal: N.hipRotation, counts: 0.5 },
  'knee flexion': { normal: N.kneeFlexion, counts: 0.7 },
  'ankle bend': { normal: N.ankleUp, counts: 0.4 },
  'ankle stretch': { normal: N.ankleDown, counts: 0.25 },
  'shoulder reach': { normal: N.shoulderFlexion, counts: 0.9 },
  'shoulder extension': { normal: N.shoulderExtension, counts: 0.9 },
  'shoulder turn out': { normal: N.shoulderRotationOut, counts: 0.4 },
  'shoulder turn in': { normal: N.shoulderRotationIn, counts: 0.4 },
  'forward bend': { normal: N.trunkFlexion, counts: 0.8 },
  'back bend': { normal: N.trunkExtension, counts: 0.7 },
  'side bend': { normal: N.trunkSide, counts: 0.9 },
  twist: { normal: N.trunkTurn, counts: 0.9 },
  'neck flexion': { normal: N.neckFlexion, counts: 0.5 },
  'neck extension': { normal: N.neckExtension, counts: 0.5 },
  'neck side bend': { normal: N.neckSide, counts: 0.4 },
  'neck turn': { normal: N.neckTurn, counts: 0.4 },
}

/** One motion as a form asks for it. */
export interface Motion {
  motion: MotionName
  /** Of a limb; the trunk and the neck have none. */
  side?: Side
  /** How far, in degrees; never less than 0. */
  degrees: number
}

/** How far the thigh stands out from the middle, in degrees; less than 0 across the middle. */
function openingOf({ placed }: Solved, side: Side): number {
  const pelvis = transpose(placed.rotations[0]!)
  const thigh = apply(
    placed.rotations[jointOf(side === 'left' ? 'leftThigh' : 'rightThigh')]!,
    [0, -1, 0]
  )
  const [x] = apply(pelvis, thigh)
  return (Math.asin(Math.max(-1, Math.min(1, side === 'left' ? x : -x))) * 180) / Math.PI
}

/** Every motion that a form asks for, both limbs apart. */
export function motionsOf(solved: Solved): Motion[] {
  const angle = (joint: string, name: string) => solved.pose.angles[indexOf(joint, name)]!
  const found: Motion[] = []
  const tell = (motion: MotionName, degrees: number, side?: Side) => {
    if (degrees > 0) found.push({ motion, degrees, ...(side ? { side } : {}) })
  }
  for (const side of ['left', 'right'] as const) {
    const limb = (joint: string, name: string) => angle(`${side}${joint}`, name)
    const hip = limb('Hip', 'flexion')
    const knee = Math.max(0, limb('Knee', 'flexion'))
    // The back of the thigh gives by as much as the knee bends.
    tell('straight-leg raise', hip - knee, side)
    tell('hip flexion', hip, side)
    tell('hip extension', -hip, side)
    const opening = openingOf(solved, side)
    tell('hip opening', opening, side)
    tell('hip closing', -opening, side)
    tell('hip turn out', limb('Hip', 'rotation'), side)
    tell('hip turn in', -limb('Hip', 'rotation'), side)
    tell('knee flexion', knee, side)
    tell('ankle bend', limb('Ankle', 'dorsiflexion'), side)
    tell('ankle stretch', -limb('Ankle', 'dorsiflexion'), side)
    const [up, out] = [limb('Shoulder', 'flexion'), limb('Shoulder', 'abduction')]
    tell('shoulder reach', up < 0 && Math.abs(out) < 30 ? 0 : Math.hypot(up, out), side)
    tell('shoulder extension', -up, side)
    tell('shoulder turn out', limb('Shoulder', 'rotation'), side)
    tell('shoulder turn in', -limb('Shoulder', 'rotation'), side)
  }
  const trunk = (name: string) => angle('lowBack', name) + angle('ribs', name)
  const neck = angle('neck', 'flexion') + angle('head', 'flexion')
  tell('forward bend', trunk('flexion'))
  tell('back bend', -trunk('flexion'))
  tell('side bend', Math.abs(trunk('lateralFlexion')))
  tell('twist', Math.abs(trunk('rotation')))
  tell('neck flexion', neck)
  tell('neck extension', -neck)
  tell('neck side bend', Math.abs(angle('neck', 'lateralFlexion')))
  tell('neck turn', Math.abs(angle('neck', 'rotation')))
  return found
}

/** The most that a form asks of one motion, of either limb; 0 when it asks for none. */
export const mostOf = (motions: readonly Motion[], motion: MotionName): Motion =>
  motions
    .filter((each) => each.motion === motion)
    .reduce((most, each) => (each.degrees > most.degrees ? each : most), { motion, degrees: 0 })
