import { USUAL_STATURE } from './body'
import type { Side } from '../card'
import type { SideRole } from '../language'
import { fallWords } from './figureRules'
import { balanceMargin, centreOfMass, fallOf, jointMoments, loadShares } from './loads'
import { allMeasures } from './measures'
import { touchPoints } from './parts'
import { ANGLES, JOINTS } from './skeleton'
import { solve, type Solved } from './solve'
import { contactGaps } from './unmet'
import type { Figure } from './spec'

const thousandth = (value: number) => Math.round(value * 1000) / 1000 + 0

const fallIn = (solved: Solved, stature: number) => {
  const fall = fallOf(solved)
  return (
    fall && {
      cm: fall.by === null ? null : thousandth(fall.by * stature),
      words: fallWords(solved, stature),
    }
  )
}

/**
 * A figure in numbers: where its joints are in cm (to its left, up, to the front), its angles,
 * contacts, measures, centre of mass, loads and what cannot be met.
 */
export function figureReport(
  figure: Figure,
  side: Side,
  namedBy: SideRole | null = null,
  stature = USUAL_STATURE
) {
  const solved = solve(figure, { stature })
  const { body, placed, pose } = solved
  const cm = (v: readonly number[]) => v.map((value) => thousandth(value * stature))
  const gaps = contactGaps(figure, solved, stature)
  const angles: Record<string, Record<string, number>> = {}
  ANGLES.forEach(({ joint, angle }, i) => {
    angles[joint] = { ...angles[joint], [angle]: thousandth(pose.angles[i]!) }
  })
  return {
    side,
    stature,
    unit: 'cm',
    joints: Object.fromEntries(JOINTS.map(({ segment }, i) => [segment, cm(placed.origins[i]!)])),
    angles,
    contacts: solved.contacts.map((contact, i) => ({
      ...contact,
      gap: thousandth(gaps[i]!),
      points: touchPoints(contact.part, solved).map(({ at: [x, y, z], radius }) =>
        cm([x, y - (contact.on === 'wall' ? 0 : radius), z])
      ),
    })),
    measures: Object.fromEntries(
      Object.entries(allMeasures(solved, { lead: side, namedBy, stature })).map(
        ([name, { value, unit }]) => [name, { value: thousandth(value), unit }]
      )
    ),
    centreOfMass: cm(centreOfMass(body, placed)),
    balanceMargin: thousandth(balanceMargin(solved) * stature),
    falls: fallIn(solved, stature),
    loadShare: Object.fromEntries(
      loadShares(solved).map(({ part, share }) => [part, thousandth(share)])
    ),
    jointMoments: Object.fromEntries(
      jointMoments(solved).map(({ joint, moment }) => [joint, thousandth(moment)])
    ),
    unmet: solved.unmet.map(({ part, on, cm: away, message }) => ({
      part,
      on,
      cm: thousandth(away),
      message,
    })),
  }
}
