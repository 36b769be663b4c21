import { type Card, otherSide, type Side } from '../card'
import { rememberOf, type SideRole } from '../language'
import { angleOf, joint, pelvisWay, seg, toeTip } from './landmarks'
import { finalFigure } from './ofCard'
import { solved } from './solved'
import type { Solved } from './solve'
import type { Figure } from './spec'
import { apply, dot, sub } from './vec'

/** The side that has a role in the drawn form of a card; a role that neither or both have is left out. */
export type SideTruths = Partial<Record<SideRole, Side>>

/** In degrees: a knee bent more than this is bent, less than that is straight. */
const BENT = 48
const STRAIGHT = 32
/** In statures. */
const CLEARLY = 0.12
const FLOOR = 0.09
/** Degrees of turn between hips and shoulders that tell a direction. */
const TURNED = 8

/** The one side for which something holds, when it does not for the other. */
const only = (holds: (side: Side) => boolean): Side | undefined => {
  const [left, right] = [holds('left'), holds('right')]
  return left === right ? undefined : left ? 'left' : 'right'
}

function truthsOf(f: Solved, contacts: readonly { part: string; on: string }[]): SideTruths {
  const knee = (side: Side) => angleOf(f, `${side}Knee`, 'flexion')
  const height = (side: Side, name: string) => joint(f, seg(side, name))[1]
  const foot = (side: Side) => Math.min(height(side, 'Foot'), toeTip(f, side)[1])
  const touches = (side: Side, parts: RegExp) =>
    contacts.some(
      ({ part, on }) => part.startsWith(`${side} `) && parts.test(part) && on !== 'wall'
    )
  const raised = (side: Side) => height(side, 'Hand') - height(side, 'UpperArm')
  const bent = only((side) => knee(side) > BENT && knee(otherSide(side)) < STRAIGHT)
  const lifted = only((side) => foot(side) - foot(otherSide(side)) > CLEARLY)
  const up = only((side) => raised(side) > CLEARLY && raised(otherSide(side)) < 0.02)
  const ahead = dot(sub(joint(f, 'leftFoot'), joint(f, 'rightFoot')), pelvisWay(f))
  const turn = angleOf(f, 'lowBack', 'rotation') + angleOf(f, 'ribs', 'rotation')
  const shoulders = height('left', 'UpperArm') - height('right', 'UpperArm')
  const kneeling = only(
    (side) => height(side, 'Shank') < FLOOR && height(otherSide(side), 'Shank') > 2 * FLOOR
  )
  const sole = only(
    (side) => touches(side, /sole/) && !touches(otherSide(side), /sole|toes|heel|ball/)
  )
  const across = apply(f.placed.rotations[0]!, [1, 0, 0])
  const aside = (side: Side) =>
    Math.abs(dot(sub(joint(f, seg(side, 'Foot')), joint(f, seg(side, 'Thigh'))), across))
  const out = only((side) => knee(side) < STRAIGHT && aside(side) > 2 * CLEARLY)
  const found: Record<string, Side | undefined> = {
    bent,
    straight: bent && otherSide(bent),
    lifted,
    standing: lifted && otherSide(lifted),
    up,
    low: up && otherSide(up),
    front: Math.abs(ahead) > 0.2 ? (ahead > 0 ? 'left' : 'right') : undefined,
    turn: Math.abs(turn) > TURNED ? (turn > 0 ? 'left' : 'right') : undefined,
    bend: Math.abs(shoulders) > 0.07 ? (shoulders > 0 ? 'right' : 'left') : undefined,
    kneeling,
    sole,
    out: out && aside(otherSide(out)) < CLEARLY ? out : undefined,
  }
  return Object.fromEntries(Object.entries(found).filter(([, side]) => side)) as SideTruths
}

/**
 * What the drawn form of a card tells about its sides, as it stands for `writtenFor`: which knee
 * is bent, which foot is off the floor, which arm is up. Nothing for a card that is not drawn.
 */
export function sideTruths(card: Card): SideTruths {
  const frame = finalFigure(card)
  return frame ? truthsIn(frame.figure) : {}
}

const truthsIn = rememberOf((figure: Figure) => truthsOf(solved(figure), figure.contacts))
