import type { Side } from '../card'
import { FIGURE, type PoseFacts } from '../language'
import { HARDLY_SHOWN } from './drawing/chosenView'
import { fleshOf } from './drawing/flesh'
import { shownShares } from './drawing/shown'
import { indexOf, jointOf, pointIn } from './skeleton'
import type { Solved } from './solve'
import type { Figure } from './spec'
import { deg, unit, sub } from './vec'
import { lens, type View } from './view'

/** Joints bent by less are told as straight, in degrees. */
const BENT = 25
const HINGES = { knee: 'Knee', elbow: 'Elbow', hip: 'Hip' } as const

const angleIn = ({ pose }: Solved, joint: string, name: string) =>
  pose.angles[indexOf(joint, name)]!

/** Bend and turn within the spine, in whole degrees; above 0 forward, and to the left. */
export function spineOf(solved: Solved): PoseFacts['spine'] {
  const of = (name: string) =>
    Math.round(angleIn(solved, 'lowBack', name) + angleIn(solved, 'ribs', name))
  return { bend: of('flexion'), side: of('lateralFlexion'), turn: of('rotation') }
}

/** Which way the trunk points, from the pelvis to the neck. */
const upOf = ({ placed }: Solved) =>
  unit(sub(placed.origins[jointOf('neck')]!, placed.origins[jointOf('pelvis')]!))

/** How far the trunk is tipped from upright, in degrees. */
export const tippedOf = (solved: Solved): number =>
  deg(Math.acos(Math.max(-1, Math.min(1, upOf(solved)[1]))))

export function poseFacts(figure: Figure, solved: Solved, view: View): PoseFacts {
  const { body, placed } = solved
  const angle = (joint: string, name: string) => angleIn(solved, joint, name)
  const byPlace = new Map<string, string[]>()
  for (const { part, on } of figure.contacts) byPlace.set(on, [...(byPlace.get(on) ?? []), part])
  const bent = (Object.keys(HINGES) as (keyof typeof HINGES)[]).map((joint) => {
    const of = (side: Side) => {
      const value = Math.round(angle(`${side}${HINGES[joint]}`, 'flexion'))
      return value >= BENT ? value : null
    }
    return { joint, left: of('left'), right: of('right') }
  })
  const up = upOf(solved)
  const rotation = placed.rotations[jointOf('pelvis')]!
  // The leftward and frontward ways of the pelvis, in space.
  const tipped = tippedOf(solved)
  const ahead = [rotation[2]!, rotation[5]!, rotation[8]!]
  const front = Math.hypot(ahead[0]!, ahead[2]!)
  const along = front > 0.2 ? (up[0] * ahead[0]! + up[2] * ahead[2]!) / front : 0
  const across = front > 0.2 ? (up[0] * ahead[2]! - up[2] * ahead[0]!) / front : 0
  const facing = ahead[1]!
  const way = (): PoseFacts['trunk']['way'] => {
    if (tipped < 20) return 'upright'
    if (tipped > 140) return 'upside-down'
    if (Math.abs(facing) > 0.6) return facing > 0 ? 'back' : 'forward'
    return Math.abs(across) > Math.abs(along)
      ? across > 0
        ? 'left'
        : 'right'
      : along > 0
        ? 'forward'
        : 'back'
  }
  const crown = pointIn(placed, 'head', [0, body.headUp, 0])[1]
  const shoulder = (side: Side) => placed.origins[jointOf(`${side}UpperArm`)]![1]
  const hand = (side: Side) => {
    const high = pointIn(placed, `${side}Hand`, [0, -body.hand / 2, 0])[1]
    if (high > Math.max(crown, shoulder(side) + 0.12)) return 'up'
    return Math.abs(high - shoulder(side)) < 0.1 ? 'level' : 'down'
  }
  const turned = (((view.turn % 360) + 540) % 360) - 180
  const shares = shownShares(fleshOf(body, placed), lens(view))
  return {
    contacts: [...byPlace].map(([on, parts]) => ({ on, parts })),
    bent: bent.filter(({ left, right }) => left !== null || right !== null),
    trunk: { lean: Math.round(tipped), way: way() },
    spine: spineOf(solved),
    hands: { left: hand('left'), right: hand('right') },
    head: Math.round(angle('neck', 'rotation')),
    view:
      Math.abs(turned) <= 45
        ? 'front'
        : Math.abs(turned) >= 135
          ? 'back'
          : turned > 0
            ? 'left'
            : 'right',
    hidden: [...shares].filter(([, share]) => share < HARDLY_SHOWN).map(([name]) => name),
  }
}

/** A pose in words, for who does not see its drawing. */
export const poseWords = (figure: Figure, solved: Solved, view: View): string =>
  FIGURE.pose(poseFacts(figure, solved, view))
