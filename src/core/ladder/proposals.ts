import { type Card, freshId, type Rung, type School, type Step, stepIds } from '../card'
import {
  ANGLES,
  askedAngles,
  clashesIn,
  differenceFrom,
  fallOf,
  type Figure,
  finalFigure,
  mirroredFigure,
  pastHamstring,
  pastLimits,
  solved,
  USUAL_STATURE,
} from '../figure'
import { readCard } from '../reading'
import { type Demand, demandOf, heldSeconds } from './demand'
import { type Moved, type MoveName, MOVES, type Way } from './moves'

/** A rung that is offered: a draft that stands, with what it asks. */
export interface Proposal {
  move: MoveName
  way: Way
  rung: Rung
  figure: Figure
  demand: Demand
}

/** A contact may miss what it touches by this much, in cm: a hair that nobody sees. */
const NEAR = 1.5

/** Whether a form can be stood in: met, carried, within its ranges, no limb in another. */
export function stands(figure: Figure, stature = USUAL_STATURE): boolean {
  const f = solved(figure, stature)
  return (
    f.unmet.every(({ cm }) => cm <= NEAR) &&
    fallOf(f) === null &&
    pastLimits(figure).length === 0 &&
    pastHamstring(f).length === 0 &&
    clashesIn(f).length === 0
  )
}

/** What tells two forms apart. */
const told = (figure: Figure) =>
  JSON.stringify([
    askedAngles(figure),
    figure.contacts.map(({ part, on }) => `${part} ${on}`).sort(),
  ])

/** How far a body that stands is tilted about its ankles to find its balance, in degrees. */
const TILTS = [0, 3, -3, 6, -6, 9, -9, 12, -12, 16, -16]

/**
 * The form as it is, or tilted about the ankles until its weight is over the feet.
 * @returns null when no body stands in it
 */
function steadied(figure: Figure): Figure | null {
  const soles = (['left', 'right'] as const).filter((side) =>
    figure.contacts.some(({ part, on }) => part === `${side} sole` && on === 'floor')
  )
  for (const by of soles.length > 0 ? TILTS : [0]) {
    const angles = { ...figure.angles }
    const add = (joint: string, name: string, more: number) => {
      angles[joint] = { ...angles[joint], [name]: (angles[joint]?.[name] ?? 0) + more }
    }
    if (by !== 0 && soles.length === 2) {
      add('pelvis', 'tilt', by)
      for (const side of soles) add(`${side}Ankle`, 'dorsiflexion', by)
    }
    // On one foot the hips are brought over it.
    if (by !== 0 && soles.length === 1) add(`${soles[0]!}Hip`, 'abduction', -by)
    const tilted = { ...figure, angles }
    if (stands(tilted)) return tilted
  }
  return null
}

/** The angles that a body takes, as a figure: what stands is what is kept. */
export function settled(figure: Figure): Figure {
  const { pose } = solved(figure)
  const angles: Figure['angles'] = {}
  ANGLES.forEach(({ joint, angle }, i) => {
    const value = Math.round(pose.angles[i]!)
    if (Math.abs(value) >= 1) angles[joint] = { ...angles[joint], [angle]: value }
  })
  return { ...figure, angles }
}

/** The last step in that places a limb: what a rung says of that limb stands in its place. */
function stepOf(card: Card, limb: Moved['limb']): string | null {
  if (!limb) return null
  const arm = /^(?:hand|fingers|arm|forearm|elbow|wrist|shoulder)$/
  const leg = /^(?:foot|toes|heel|ankle|shin|knee|thigh|leg)$/
  const placing = readCard(card).filter(({ where, instructions }) => {
    if (!/^enter\[\d+\]\.text$/.test(where)) return false
    return (
      instructions.length === 1 &&
      instructions.every(
        ({ part, side }) =>
          (limb.part === 'arm' ? arm : leg).test(part) &&
          (limb.side === 'both' || side === limb.side || side === 'both')
      )
    )
  })
  const last = placing.at(-1)
  return last ? card.enter[Number(/\d+/.exec(last.where)![0])]!.id : null
}

/** A draft rung of a form that a move made. */
function rungOf(card: Card, reference: Figure, moved: Moved): Rung {
  const ids = card.ladder.map(({ id }) => id)
  const at = moved.words ? stepOf(card, moved.limb) : null
  const last = card.enter.at(-1)
  const step: Step = { id: freshId('n', stepIds(card)), text: moved.words, breath: 'out' }
  const figure = differenceFrom(reference, moved.figure) as Rung['figure']
  return {
    id: freshId('r', ids),
    name: moved.name,
    props: moved.props ?? [],
    steps: {
      replace: at ? [{ step: at, text: moved.words }] : [],
      add: moved.words && !at ? [{ ...(last ? { after: last.id } : {}), step }] : [],
      omit: [],
    },
    ...(moved.stay ? { stay: moved.stay } : {}),
    ...(Object.keys(figure!).length > 0 ? { figure } : {}),
    upWhen: [],
    downWhen: [],
  }
}

/** A form has to ask this much less, or more, in all, to be offered. */
const TELLS = 1.5
const MOST_OFFERED = 8

/**
 * Rungs that could stand on a ladder: the form that the card describes, changed by each named
 * move, as far as a body can stand in it. Those that ask plainly less come from the least
 * asking up, then those that ask more.
 * @returns none for a card whose form is not drawn
 */
export function proposalsFor(
  card: Card,
  school: Pick<School, 'pace' | 'weights'>,
  wanted?: Way
): Proposal[] {
  const reference = finalFigure(card)?.figure
  if (!reference) return []
  const seconds = heldSeconds(card, school)
  const asked = demandOf(reference, seconds, { weights: school.weights })
  const all = MOVES.flatMap((make) => make(reference, card))
    .filter(({ way }) => !wanted || way === wanted)
    .flatMap((moved): Proposal[] => {
      const stood = moved.figure === reference ? reference : steadied(moved.figure)
      if (!stood) return []
      const figure = stood === reference ? reference : settled(stood)
      const lasts = moved.stay ? heldSeconds({ ...card, stay: moved.stay }, school) : seconds
      const demand = demandOf(figure, lasts, {
        eyesClosed: moved.eyesClosed ?? false,
        weights: school.weights,
      })
      const gain = demand.total - asked.total
      if (moved.way === 'easier' ? gain > -TELLS : gain < TELLS / 2) return []
      const { move, way } = moved
      return [{ move, way, figure, demand, rung: rungOf(card, reference, { ...moved, figure }) }]
    })
  // Of two that are each other’s mirror one is enough: a form that is even has no side.
  const even = card.sides === 'even'
  const of = (way: Way) => {
    const kept: Proposal[] = []
    for (const each of all.filter((proposal) => proposal.way === way)) {
      const mirror = even ? told(mirroredFigure(each.figure)) : ''
      const across = mirror === told(each.figure) ? '' : mirror
      if (across && kept.some(({ figure }) => told(figure) === across)) continue
      const alike = kept.some(
        ({ figure, rung }) =>
          JSON.stringify([askedAngles(figure), figure.contacts]) ===
            JSON.stringify([askedAngles(each.figure), each.figure.contacts]) &&
          JSON.stringify(rung.stay) === JSON.stringify(each.rung.stay)
      )
      if (!alike) kept.push(each)
    }
    return kept.sort((a, b) => a.demand.total - b.demand.total).slice(0, MOST_OFFERED)
  }
  return [...of('easier'), ...of('harder')]
}

/**
 * A form halfway between two, on what both touch, or else on what the lower one touches.
 * @returns null when no body stands in it
 */
export function halfway(lower: Figure, upper: Figure): Figure | null {
  const [a, b] = [askedAngles(lower), askedAngles(upper)]
  const angles: Figure['angles'] = {}
  ANGLES.forEach(({ joint, angle }, i) => {
    const value = Math.round((a[i]! + b[i]!) / 2)
    if (value !== 0) angles[joint] = { ...angles[joint], [angle]: value }
  })
  const shared = lower.contacts.filter(({ part, on }) =>
    upper.contacts.some((each) => each.part === part && each.on === on)
  )
  for (const contacts of [lower.contacts, shared, upper.contacts]) {
    const figure: Figure = { ...lower, angles, contacts }
    const stood = contacts.length > 0 && steadied(figure)
    if (stood) return settled(stood)
  }
  return null
}
