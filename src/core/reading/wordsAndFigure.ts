import { type Card, type Found, otherSide, type Side } from '../card'
import { type Figure, finalPlace, jointOf, keyframesOf, norm, type Segment, sub } from '../figure'
import { type BodyPart, inEach, type Instruction, rememberOf, SAY } from '../language'
import { bothForms, finalDraft } from './draft'
import { SIDES } from './moves/stance'
import { isStep, readCard } from './readLine'
import { limbOf, oneSide } from './settle'
import {
  angle,
  ARM_ON,
  atKnee,
  CLEARLY,
  LEG_ON,
  onFloor,
  placedIn,
  raised,
  restsOn,
} from './shownLimbs'

const TURNED = 8
const BENT = 40
const STRAIGHT = 15
const FAR_DEGREES = 25

/** Where a part of a limb is, as far as one may say that another is beside it. */
const AT: Partial<Record<BodyPart, string>> = {
  foot: 'Foot',
  heel: 'Foot',
  ankle: 'Foot',
  toes: 'Foot',
  knee: 'Shank',
  hip: 'Thigh',
  shoulder: 'UpperArm',
  elbow: 'Forearm',
  wrist: 'Hand',
  hand: 'Hand',
  fingers: 'Hand',
}
/** In statures: what is further away is not beside, and what is as near as that is. */
const FAR = 0.2
const BESIDE = 0.17

/** Instructions that bring a part to one that the figure has it away from, with what is told of it. */
const apartIn = rememberOf((kept: Figure) => {
  const { sided, figure: say } = SAY.sense
  const { origins } = placedIn(kept)
  const at = (side: Side, name: string) => origins[jointOf(`${side}${name}` as Segment)]!
  const away = (a: Side, one: string, b: Side, two: string) => norm(sub(at(a, one), at(b, two)))
  return inEach(() => (n: Instruction, i) => {
    const { side, part } = n
    const one = AT[part]
    if (n.places.length === 0 || !one || !oneSide(side) || n.keeps) return []
    const apart = n.places.flatMap((place) => {
      const two = place.part && AT[place.part]
      const of = place.side
      if (!two || !oneSide(of) || (two === one && of === side)) return []
      const own = away(side, one, of, two)
      if (own < FAR) return []
      const [limb, goal] = [otherSide(side), otherSide(of)]
      if (away(limb, one, of, two) < BESIDE)
        return say.beside(sided(side, n.word), sided(of, place.word), sided(limb, n.word))
      if (away(side, one, goal, two) < BESIDE)
        return say.besideOther(sided(side, n.word), sided(of, place.word), sided(goal, place.word))
      return []
    })
    return apart.map((message) => ({ n, i, message }))
  })
})

/** Parts that the words bring together, and the figure brings to one of the other side. */
const apartFrom = (told: readonly Instruction[], kept: Figure): string[] =>
  apartIn(kept)(told)
    // What is moved again by a later step is elsewhere by then.
    .filter(
      ({ n, i }) =>
        !told.some(
          ({ part, side }, at) =>
            at > i && limbOf(part) === limbOf(n.part) && side !== otherSide(n.side as Side)
        )
    )
    .map(({ message }) => message)

/** What of the words, up to a line, a kept figure goes against. */
function against(card: Card, told: readonly Instruction[], words: Figure, kept: Figure): string[] {
  const say = SAY.sense.figure
  const found = apartFrom(told, kept)
  const last = (want: (n: Instruction) => boolean) => told.findLast(want)
  const turn = (figure: Figure) =>
    angle(figure, 'ribs', 'rotation') + angle(figure, 'lowBack', 'rotation')
  const leans = (figure: Figure) =>
    angle(figure, 'ribs', 'lateralFlexion') +
    angle(figure, 'lowBack', 'lateralFlexion') +
    angle(figure, 'pelvis', 'lean')
  const sideways = (action: Instruction['action'], of: (figure: Figure) => number) => {
    const n = last(
      (each) => each.action === action || (action === 'twist' && each.action === 'release')
    )
    const way = n?.action === action && n.ways.find((each) => each === 'left' || each === 'right')
    if (!way) return
    const is = of(kept)
    if (is * (way === 'left' ? 1 : -1) < -TURNED)
      found.push(action === 'twist' ? say.turns(way) : say.bends(way))
  }
  if (card.base !== 'side-lying') {
    sideways('twist', turn)
    sideways('side-bend', leans)
  }
  for (const side of SIDES) {
    const other = otherSide(side)
    const named = (parts: readonly BodyPart[]) =>
      last((n) => parts.includes(n.part) && (n.side === side || n.side === 'both') && !n.keeps)
    for (const [pattern, parts] of [
      [ARM_ON, ['hand', 'forearm', 'elbow', 'arm', 'fingers']],
      [LEG_ON, ['foot', 'heel', 'ankle']],
    ] as const) {
      const asked = restsOn(words, side, pattern)
      if (!asked || !named(parts)) continue
      const own = restsOn(kept, side, pattern)
      const swapped = restsOn(kept, other, pattern)
      if (
        own &&
        own.on !== asked.on &&
        !(atKnee(own) && atKnee(asked) && own.on.split(' ')[0] === asked.on.split(' ')[0])
      )
        found.push(say.restsOn(asked.part, asked.on, own.on))
      else if (!own && swapped && swapped.on !== asked.on && !restsOn(words, other, pattern))
        found.push(say.otherSide(asked.part, swapped.part))
    }
    const lifted = named(['leg', 'foot', 'knee'])
    if (
      lifted?.action === 'lift' &&
      lifted.side === side &&
      !onFloor(words, side) &&
      onFloor(words, other) &&
      onFloor(kept, side)
    )
      found.push(say.onFloor(side, !onFloor(kept, other)))
    const arm = named(['arm', 'hand'])
    if (
      arm &&
      ['lift', 'lower'].includes(arm.action) &&
      arm.places.every(({ part }) => !part || part === 'head')
    ) {
      const [asked, is] = [raised(words, side), raised(kept, side)]
      if (asked > CLEARLY && is < -CLEARLY) found.push(say.arm(side, 'up', 'down'))
      if (asked < -CLEARLY && is > CLEARLY) found.push(say.arm(side, 'down', 'up'))
    }
    const knee = last(
      (n) =>
        ['bend', 'straighten'].includes(n.action) &&
        ['knee', 'leg'].includes(n.part) &&
        (n.side === side || n.side === 'both')
    )
    if (!knee) continue
    const bent = angle(kept, `${side}Knee`, 'flexion')
    const asked = angle(words, `${side}Knee`, 'flexion')
    if (
      knee.action === 'bend' &&
      knee.amount?.unit === 'deg' &&
      Math.abs(knee.amount.value! - bent) > FAR_DEGREES
    )
      found.push(say.degrees(side, knee.amount.value!, Math.round(bent)))
    else if (knee.action === 'bend' && asked > BENT && bent < STRAIGHT)
      found.push(say.knee(side, 'bend', 'straight'))
    else if (knee.action === 'straighten' && asked < STRAIGHT && bent > BENT)
      found.push(say.knee(side, 'straighten', 'bent'))
  }
  return [...new Set(found)]
}

/** Where a figure that the trainer keeps does not do what the words before it say. */
export function wordsAndFigure(card: Card): Found[] {
  const { frames } = keyframesOf(card)
  if (frames.length === 0) return []
  const { words } = bothForms(card)
  const final = finalPlace(card)
  const told: Instruction[] = []
  /** How many of them are told when a line ends. */
  const until = new Map<string, number>()
  for (const line of readCard(card)) {
    if (isStep(line)) told.push(...line.instructions)
    until.set(line.where, told.length)
  }
  return frames.flatMap(({ where, figure }) => {
    const line =
      where === final
        ? finalDraft(card, words).where
        : /^(?:enter|exit|otherWay)\[/.test(where)
          ? where.replace(/figure$/, 'text')
          : null
    const form = line && words.find((each) => each.where === line)
    if (!form) return []
    const before = told.slice(0, until.get(line) ?? 0)
    return against(card, before, form.figure, figure).map((message) => ({ where, message }))
  })
}
