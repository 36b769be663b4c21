import { ANGLES, type Pose } from './skeleton'
import { touchPoints } from './parts'
import type { Standing } from './solve'
import type { Figure } from './spec'
import type { Vec } from './vec'

/** Parts by which a figure is pulled into shape. */
export const HANDLES = [
  'head',
  'pelvis',
  'chest',
  ...(['left', 'right'] as const).flatMap((side) =>
    ['hand', 'elbow', 'knee', 'heel'].map((name) => `${side} ${name}`)
  ),
] as const

/** Where a handle is, in statures. */
export const handleAt = (solved: Standing, handle: string): Vec =>
  touchPoints(handle, solved)[0]!.at

const tenth = (value: number) => Math.round(value * 10) / 10 + 0

/** The angles of a pose as a figure keeps them: to a tenth of a degree, without the zeros. */
export function anglesOf(pose: Pose): Figure['angles'] {
  const angles: Figure['angles'] = {}
  ANGLES.forEach(({ joint, angle }, i) => {
    const value = tenth(pose.angles[i]!)
    if (value !== 0) angles[joint] = { ...angles[joint], [angle]: value }
  })
  return angles
}

/** Angles of a pose that stand at the end of their range. */
export function atLimit(pose: Pose): { joint: string; angle: string; value: number }[] {
  return ANGLES.flatMap(({ joint, angle, min, max }, i) => {
    const value = pose.angles[i]!
    return value <= min + 0.05 || value >= max - 0.05 ? [{ joint, angle, value: tenth(value) }] : []
  })
}
