import { paceOf, phaseSeconds } from '../breath'
import {
  atRung,
  type Card,
  DEFAULT_SCHOOL,
  type Rung,
  type School,
  type Trait,
  TRAIT_NAMES,
  TRAITS,
} from '../card'
import {
  carriedNearly,
  type Figure,
  indexOf,
  jointEfforts,
  jointOf,
  loadShares,
  measure,
  pointIn,
  solved,
  type Solved,
  USUAL_STATURE,
} from '../figure'
import { rememberWith } from '../language'
import { demandOf, heldSeconds, motionsOf, mostOf, rungForm } from '../ladder'

/** What a form asks of the body, by trait; a trait that is not there is 0. */
export type Traits = Record<Trait, number>

const SIDES = ['left', 'right'] as const
const LEG = /^(left|right) (?:sole|toes|heel|top of foot|outer foot|knee|shin|calf|leg|thigh)$/
const HAND = /^(?:left|right) (?:palm|hand|back of hand|fist|fingertips)$/
const ARM = /^(?:left|right) (?:palm|hand|fist|fingertips|forearm|elbow)$/
const BACK = /^(?:back|shoulders)$/
const FRONT = /^(?:belly|chest)$/
const LOW = /^(?:floor|blanket|block low)$/
/** What the head weighs by itself, in % of the body. */
const HEAD_OWN = 9
/** A leg carries when this much of the weight is on it, in %. */
const CARRIES = 12

/** Traits of a solved form; those of breath and stay are not of the form. */
function ofForm(figure: Figure): Omit<Traits, 'breath held' | 'stay'> {
  const f: Solved = solved(figure)
  const angle = (joint: string, name: string) => f.pose.angles[indexOf(joint, name)]!
  const carried = carriedNearly(f)
  const loads = loadShares(f, carried)
  const on = (which: RegExp) =>
    loads.reduce((sum, { part, share }) => sum + (which.test(part) ? share * 100 : 0), 0)
  const motions = motionsOf(f)
  const most = (motion: Parameters<typeof mostOf>[1]) => mostOf(motions, motion).degrees
  const efforts = new Map(jointEfforts(f, carried).map((each) => [each.joint, each]))
  const back = efforts.get('low back')
  const held = back ? back.moment / back.strength : 0
  const tilt = angle('pelvis', 'tilt')
  const at = (segment: Parameters<typeof jointOf>[0]) => f.placed.origins[jointOf(segment)]!
  const hips = at('pelvis')[1]
  const heart = pointIn(f.placed, 'ribs', [0, f.body.shoulderUp * 0.6, 0.01])[1]
  const turnedOver = SIDES.every((side) => at(`${side}Foot`)[1] > hips - 0.02)
  const headTop = at('head')[1]
  const trunk = Math.max(0, angle('lowBack', 'flexion') + angle('ribs', 'flexion'))
  const neck = angle('neck', 'flexion') + angle('head', 'flexion')
  const lowHead =
    measure(f, 'head against heart', { lead: 'right', stature: USUAL_STATURE })?.value ?? 0
  // A chair, the back or a side that carries takes the weight off the legs.
  const lies = on(/^(?:left|right) (?:hip|shoulder|ear)$/) > 30
  const sits =
    lies || on(/^(?:sit bones|(?:left|right) sit bone|back|shoulders|pelvis|belly)$/) > 35
  const leg = (side: 'left' | 'right') =>
    lies
      ? 0
      : on(
          new RegExp(
            `^${side} (?:knee|shin|top of foot${sits ? '' : '|sole|toes|heel|outer foot'})$`
          )
        )
  const knees = SIDES.map((side) => angle(`${side}Knee`, 'flexion'))
  const wrist = loads.reduce((sum, { part, share }) => {
    if (!HAND.test(part)) return sum
    const bent = Math.max(0, -angle(`${part.split(' ')[0]!}Wrist`, 'flexion'))
    return sum + share * 100 * Math.min(1, bent / 70)
  }, 0)
  const touches = (part: RegExp, surface = /./) =>
    f.contacts.some((each) => part.test(each.part) && surface.test(each.on))
  const onBack = touches(BACK) && tilt < -55 && hips < heart + 0.2
  const onFront = touches(FRONT) && tilt > 40
  const standing = SIDES.filter((side) =>
    f.contacts.some(({ part, on: surface }) => part === `${side} sole` && LOW.test(surface))
  )
  const others = f.contacts.some(
    ({ part, on: surface }) =>
      (LEG.exec(part) ? LEG.exec(part)![1] !== standing[0] : true) &&
      !/^(?:left|right) /.test(surface) &&
      surface !== 'wall'
  )
  const oneLeg = standing.length === 1 && !others && !sits
  const balance = demandOf(figure, 1).parts.balance.value
  // On hands and knees the trunk hangs between them, and is not folded at the hips.
  const allFours =
    on(/^(?:left|right) (?:knee|shin)$/) > 25 && on(ARM) > 12 && Math.max(...knees) < 112
  // A deep fold over thighs that are not apart presses the belly, too.
  const onThighs =
    !onBack &&
    !allFours &&
    SIDES.every((side) => angle(`${side}Hip`, 'flexion') > 108) &&
    most('hip opening') < 22
  const turn = angle('lowBack', 'rotation') + angle('ribs', 'rotation')
  // Turned towards a thigh that is drawn up: the belly is pressed from the side.
  const drawnUp = SIDES.filter((side) => angle(`${side}Hip`, 'flexion') > 80)
  const closed = drawnUp.some((side) => (side === 'right' ? turn < -18 : turn > 18))
  const upright = Math.abs(tilt) < 50
  const overhead = SIDES.map((side) => {
    const reach = Math.hypot(
      angle(`${side}Shoulder`, 'flexion'),
      angle(`${side}Shoulder`, 'abduction')
    )
    return upright && at(`${side}Hand`)[1] > headTop + 0.05 ? reach : 0
  })
  return {
    'head below heart': Math.max(0, -lowHead),
    'weight on head': Math.max(0, on(/^(?:head|crown|forehead)$/) - HEAD_OWN),
    // Turned over onto the shoulders the neck carries, however the arms help.
    'loaded neck':
      Math.min(1, Math.abs(neck) / 45) *
      Math.max(
        0,
        on(/^(?:shoulders|head|crown|forehead)$/) - HEAD_OWN,
        turnedOver && touches(/^(?:shoulders|head|crown)$/) && hips > heart + 0.1 ? 100 : 0,
        // Thrown back onto its crown it carries, too, whatever the elbows take.
        neck < -35 && touches(/^crown$/) ? 80 : 0
      ),
    'neck back': Math.max(0, -neck),
    // Of a form that is turned over, the feet above the hips, or that stands on its shoulders.
    'hips above heart':
      turnedOver || touches(/^shoulders$/) ? Math.max(0, (hips - heart) * USUAL_STATURE) : 0,
    'loaded rounding': back && back.bends > 0 && held > 0.12 ? trunk : 0,
    'forward bend': Math.max(
      trunk,
      upright || onBack || onFront || allFours
        ? 0
        : Math.min(angle('leftHip', 'flexion'), angle('rightHip', 'flexion'), tilt > 0 ? tilt : 0)
    ),
    'back bend': most('back bend'),
    'side bend': most('side bend'),
    turn: most('twist'),
    'closed twist': closed ? Math.abs(turn) : 0,
    'arms overhead': Math.max(...overhead),
    'knee bend': Math.max(0, ...knees),
    'loaded knee bend': Math.max(
      0,
      ...SIDES.map((side, i) => (leg(side) >= CARRIES ? knees[i]! : 0))
    ),
    'weight on knees': lies ? 0 : on(/^(?:left|right) (?:knee|shin)$/),
    'hip opening': most('hip opening'),
    'wide legs':
      standing.length === 2
        ? motions.reduce((sum, each) => sum + (each.motion === 'hip opening' ? each.degrees : 0), 0)
        : 0,
    'deep hip bend': most('hip flexion'),
    'straight-leg raise': most('straight-leg raise'),
    'ankle bend': most('ankle bend'),
    'weight on wrists': wrist,
    'weight on shoulders': on(ARM),
    'belly pressed': onFront || onThighs ? Math.max(1, on(FRONT)) : 0,
    'lying on the back': onBack && touches(BACK, LOW) ? Math.max(1, on(BACK)) : 0,
    'lying on the front': onFront ? Math.max(1, on(FRONT)) : 0,
    'one-leg balance': oneLeg ? balance : 0,
    balance,
    'belly work': back && back.bends < 0 ? held * 100 : 0,
  }
}

/** By the solved body: two figures that are alike share it. */
const formsKnown = new WeakMap<Solved, Omit<Traits, 'breath held' | 'stay'>>()

/** Seconds of the longest hold of a card: of a step, or of each breath of the stay. */
function heldBreath(card: Card, school: Pick<School, 'pace'>): number {
  const pace = paceOf(card, school)
  const steps = [...card.enter, ...card.otherWay, ...card.exit].map((step) =>
    step.breath === 'hold-in' || step.breath === 'hold-out' ? phaseSeconds(step, pace) : 0
  )
  return Math.max(0, pace.holdIn ?? 0, pace.holdOut ?? 0, ...steps)
}

/** What a rung asks, and how much of it is known. */
export interface RungTraits {
  id: string
  traits: Traits
  /** Whether the form tells them: else breath and stay are known, and what is set by hand. */
  sure: boolean
  known: ReadonlySet<Trait>
}

/** Traits that are known without a form. */
export const WITHOUT_FORM: ReadonlySet<Trait> = new Set<Trait>(['breath held', 'stay'])
const ALL_TRAITS: ReadonlySet<Trait> = new Set(TRAIT_NAMES)

const NOTHING = Object.fromEntries(TRAIT_NAMES.map((trait) => [trait, 0])) as Traits

/**
 * The traits of one rung of a card.
 * @throws RangeError when the card has no such rung
 */
export function traitsOf(
  card: Card,
  rungId: string,
  school: Pick<School, 'pace'> = DEFAULT_SCHOOL
): RungTraits {
  const done = atRung(card, rungId)
  const { figure, sure } = rungForm(card, rungId)
  const body = figure && solved(figure)
  let form = body && formsKnown.get(body)
  if (figure && body && !form) {
    form = ofForm(figure)
    formsKnown.set(body, form)
  }
  const told = sure && figure !== null
  // What the form shows is not set by hand.
  const set = told
    ? []
    : card.traits
        .filter(({ rung }) => rung === undefined || rung === rungId)
        .toSorted((a, b) => Number(a.rung !== undefined) - Number(b.rung !== undefined))
  return traitsBy(
    card.ladder.find(({ id }) => id === rungId)!,
    form,
    told,
    heldBreath(done, school),
    heldSeconds(done, school),
    ...set
  )
}

/** All that is known of what a rung asks: the same as long as all that tells it is. */
const traitsBy = rememberWith(
  (
    { id }: Rung,
    form: Omit<Traits, 'breath held' | 'stay'> | undefined | null,
    sure: boolean,
    held: number,
    stay: number,
    ...set: Card['traits']
  ): RungTraits => {
    const byHand = Object.fromEntries(set.map(({ trait, value }) => [trait, value]))
    const known = sure
      ? ALL_TRAITS
      : set.length === 0
        ? WITHOUT_FORM
        : new Set<Trait>([...WITHOUT_FORM, ...set.map(({ trait }) => trait)])
    return {
      id,
      sure,
      known,
      traits: { ...NOTHING, ...form, ...byHand, 'breath held': held, stay },
    }
  }
)

/** A trait in words: `head below heart 23 cm`. */
export const traitWords = (trait: Trait, value: number): string => {
  const unit = TRAITS[trait]
  return `${trait} ${Math.round(value)}${unit === 'deg' ? '°' : unit === '%' ? ' %' : ` ${unit}`}`
}
