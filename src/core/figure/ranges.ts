import { ANGLES, indexOf, NORMAL_RANGES } from './skeleton'
import type { Figure } from './spec'
import type { Solved } from './solve'

const N = NORMAL_RANGES

/** The published normal range of an angle, least and most, in degrees; told for a limb without its side. */
export const TYPICAL: Readonly<Record<string, readonly [number, number]>> = {
  'Shoulder.flexion': [-N.shoulderExtension, N.shoulderFlexion],
  'Shoulder.abduction': [0, N.shoulderAbduction],
  'Shoulder.rotation': [-N.shoulderRotationIn, N.shoulderRotationOut],
  'Elbow.flexion': [0, N.elbowFlexion],
  'Wrist.flexion': [-N.wristExtension, N.wristFlexion],
  'Hip.flexion': [-N.hipExtension, N.hipFlexion],
  'Hip.abduction': [-N.hipAdduction, N.hipAbduction],
  'Hip.rotation': [-N.hipRotation, N.hipRotation],
  'Knee.flexion': [0, N.kneeFlexion],
  'Ankle.dorsiflexion': [-N.ankleDown, N.ankleUp],
  'neck.flexion': [-N.neckExtension, N.neckFlexion],
  'neck.lateralFlexion': [-N.neckSide, N.neckSide],
  'neck.rotation': [-N.neckTurn, N.neckTurn],
}

/** @returns null for an angle that the published table does not have */
export const typicalRange = (joint: string, angle: string): readonly [number, number] | null =>
  TYPICAL[`${joint.replace(/^(?:left|right)/, '')}.${angle}`] ?? null

/** An angle that was typed and that the joint does not reach. */
export interface PastLimit {
  joint: string
  angle: string
  asked: number
  /** The end of the range, where the figure stands. */
  limit: number
  typical: readonly [number, number] | null
}

/** Angles of a figure past the end of their joint’s range; the figure stands at the end. */
export function pastLimits({ angles }: Figure): PastLimit[] {
  return ANGLES.flatMap(({ joint, angle, min, max }): PastLimit[] => {
    const asked = angles[joint]?.[angle]
    if (asked === undefined || joint === 'pelvis' || (asked >= min && asked <= max)) return []
    return [
      {
        joint,
        angle,
        asked,
        limit: asked < min ? min : max,
        typical: typicalRange(joint, angle),
      },
    ]
  })
}

/**
 * The most that a hip bends over a straight knee, in degrees: the back of the thigh is at its
 * length. A knee that bends gives as much again. Common practice, no source: very supple people.
 */
const HAMSTRING = 125
const STRAIGHT = 20

/** Hips bent over a straight knee further than the back of the thigh is long. */
export function pastHamstring({
  pose,
}: Solved): { side: 'left' | 'right'; hip: number; most: number }[] {
  return (['left', 'right'] as const).flatMap((side) => {
    const hip = pose.angles[indexOf(`${side}Hip`, 'flexion')]!
    const knee = pose.angles[indexOf(`${side}Knee`, 'flexion')]!
    const most = HAMSTRING + Math.max(0, knee)
    return knee < STRAIGHT && hip > most + 0.5 ? [{ side, hip, most }] : []
  })
}
