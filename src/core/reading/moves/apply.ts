import { otherSide, type Side } from '../../card'
import { type BodyPart, type Instruction, IN_THE_MIDDLE } from '../../language'
import { limbOf } from '../settle'
import * as arms from './arms'
import * as legs from './legs'
import {
  drop,
  freeLeg,
  get,
  postureOf,
  put,
  set,
  setOn,
  SIDES,
  type Stance,
  takeStart,
} from './stance'
import * as trunk from './trunk'

/** What an instruction did: it moved the body, it holds or prepares, or what it does is not known. */
export type Done = 'moved' | 'holds' | 'unsure'

/** Words that ask for no movement: how one stands, presses, breathes. */
const HOLDING = new Set(['stay', 'press', 'soften', 'breathe', 'spread'])

type Limb = (s: Stance, n: Instruction, side: Side | null) => boolean
type Trunk = (s: Stance, n: Instruction) => boolean

const ARM: Partial<Record<Instruction['action'], Limb>> = {
  lift: arms.liftArm,
  lower: arms.lowerArm,
  reach: arms.reachArm,
  place: arms.placeArm,
  step: arms.placeArm,
  slide: arms.placeArm,
  hold: arms.hold,
  bend: arms.bendElbow,
  straighten: arms.straightenArm,
  open: arms.openArm,
  rotate: arms.turnPalm,
  'turn-out': (_, __, side) => side !== null,
  'turn-in': (_, __, side) => side !== null,
  shift: (s, n, side) => arms.placeArm(s, n, side) || side !== null,
  release: (s, n, side) => arms.lowerArm(s, { ...n, places: [] }, side),
  point: (_, __, side) => side !== null,
  flex: (_, __, side) => side !== null,
  tuck: (_, __, side) => side !== null,
}

const LEG: Partial<Record<Instruction['action'], Limb>> = {
  step: legs.step,
  bend: legs.bend,
  straighten: legs.straighten,
  lift: legs.lift,
  lower: legs.lower,
  place: (s, n, side) => legs.heelToSeat(s, n, side) || legs.placeLeg(s, n, side),
  'turn-out': (s, n, side) => legs.turnLeg(s, n, side, true),
  'turn-in': (s, n, side) => legs.turnLeg(s, n, side, false),
  rotate: legs.rotateLeg,
  cross: legs.cross,
  close: legs.close,
  open: legs.open,
  slide: legs.slideLeg,
  reach: (s, n, side) =>
    n.part === 'heel' || n.part === 'foot' ? side !== null : legs.lift(s, n, side),
  point: (s, n, side) => legs.ankle(s, n, side, -45),
  flex: (s, n, side) => legs.ankle(s, n, side, 12),
  tuck: (s, _, side) => legs.tuckToes(s, side),
  release: (s, n, side) => (n.part === 'toes' ? side !== null : legs.lower(s, n, side)),
  shift: (s, n, side) => {
    if (!side) return false
    if (
      n.places.some(
        ({ part }) => part && ['chest', 'shoulder', 'ribs', 'arm', 'elbow'].includes(part)
      )
    )
      return legs.toChest(s, n, side)
    if (n.ways.includes('up')) return legs.lift(s, n, side)
    if (legs.heelToSeat(s, n, side)) return true
    if (n.part === 'heel' || n.part === 'foot') return legs.bend(s, { ...n, action: 'bend' }, side)
    return true
  },
}

const TRUNK: Partial<Record<Instruction['action'], Trunk>> = {
  fold: trunk.fold,
  arch: trunk.arch,
  round: trunk.round,
  roll: (s, n) =>
    n.ways.includes('up') ? trunk.rise(s, n) : trunk.round(s, { ...n, ways: ['down'] }),
  'side-bend': trunk.sideBend,
  twist: trunk.twist,
  lengthen: trunk.lengthen,
  lean: trunk.lean,
  lift: (s, n) =>
    n.part === 'pelvis'
      ? trunk.liftPelvis(s)
      : n.part === 'chest' || n.part === 'ribs' || n.part === 'low back'
        ? postureOf(s) === 'prone'
          ? trunk.rise(s, n)
          : postureOf(s) === 'supine' && n.part === 'chest'
            ? trunk.chestOffBack(s, n)
            : true
        : trunk.rise(s, n),
  lower: trunk.lowerTrunk,
  rotate: trunk.tipPelvis,
  shift: trunk.shiftTrunk,
  release: (s, n) => (n.ways.includes('middle') || n.part === 'spine' ? trunk.unwind(s) : true),
  tuck: (s, n) => trunk.tipPelvis(s, { ...n, ways: ['under'] }),
  open: () => true,
  close: () => true,
  reach: () => true,
  place: (s, n) => {
    if (n.part === 'spine') return lieOn(s, n)
    return n.part === 'pelvis' || n.places.length > 0
  },
}

const HEAD: Partial<Record<Instruction['action'], Trunk>> = {
  rotate: trunk.turnHead,
  look: trunk.turnHead,
  twist: trunk.turnHead,
  lower: trunk.lowerHead,
  tuck: trunk.tuckChin,
  place: trunk.placeHead,
  lengthen: trunk.lengthen,
  lift: (s) => {
    const lying = postureOf(s) === 'supine' || postureOf(s) === 'bridge'
    if (lying) drop(s, /^head$/)
    set(s, 'neck', { flexion: lying ? 30 : -10 })
    return true
  },
  shift: (_, n) => n.ways.length > 0 || n.places.length > 0,
  release: () => true,
  reach: () => true,
  close: () => true,
  open: () => true,
}

function lieOn(s: Stance, n: Instruction): boolean {
  const on = n.places.find(({ thing }) => thing === 'wall')
  if (!on) return false
  return true
}

/** On one hand and the edge of one foot: the body turned to its side. */
function sidePlank(s: Stance, n: Instruction): boolean {
  const told =
    n.places.find(({ side }) => side === 'left' || side === 'right')?.side ??
    n.ways.find((way) => way === 'left' || way === 'right')
  if (told !== 'left' && told !== 'right') return false
  takeStart(s, 'standing')
  s.contacts = []
  put(s, `${told} palm`, 'floor')
  put(s, `${told} outer foot`, 'floor')
  const sign = told === 'right' ? 1 : -1
  const other = otherSide(told)
  set(s, 'pelvis', { turn: 90 * sign, lean: -70 * sign })
  setOn(s, told, 'Shoulder', { flexion: 0, abduction: 80, rotation: 0 })
  setOn(s, told, 'Elbow', { flexion: 0 })
  setOn(s, told, 'Forearm', { pronation: 90 })
  setOn(s, told, 'Wrist', { flexion: -75 })
  setOn(s, other, 'Elbow', { flexion: 0 })
  for (const side of SIDES) setOn(s, side, 'Ankle', { dorsiflexion: 5 })
  return true
}

const ontoForearms = (n: Instruction): Instruction => ({
  ...n,
  part: 'forearm',
  side: 'both',
  places: [{ relation: 'on', thing: 'floor', word: 'floor' }],
})

/** The whole body comes to another base. */
function comeTo(s: Stance, n: Instruction): boolean {
  const posture = postureOf(s)
  switch (n.action) {
    case 'kneel': {
      if (n.spot === 'hands and knees') takeStart(s, 'hands-and-knees')
      else {
        const one = n.places.find(
          ({ part, side }) => part === 'knee' && (side === 'left' || side === 'right')
        )
        takeStart(s, 'kneeling')
        if (one && (one.side === 'left' || one.side === 'right'))
          legs.step(
            s,
            { ...n, ways: ['forward'], places: [], side: otherSide(one.side) },
            otherSide(one.side)
          )
      }
      return true
    }
    case 'sit': {
      const heels = n.places.some(
        ({ part, relation }) =>
          relation !== 'between' && (part === 'heel' || part === 'foot' || part === 'shin')
      )
      const on = n.places.find(
        ({ thing }) => thing && ['chair', 'blanket', 'block', 'bolster'].includes(thing)
      )
      if (heels) {
        if (posture === 'heel seat') {
          // It sits already; it comes up tall.
          if (n.ways.includes('long') || get(s, 'pelvis', 'tilt') > 30) {
            const apart = SIDES.map((side) => get(s, `${side}Hip`, 'abduction'))
            takeStart(s, 'heel-seat')
            SIDES.forEach((side, i) => setOn(s, side, 'Hip', { abduction: apart[i]! }))
          }
          return true
        }
        takeStart(s, 'heel-seat')
        return true
      }
      const between = n.places.some(
        ({ part, relation }) => relation === 'between' && (part === 'heel' || part === 'foot')
      )
      if (between) {
        // Between the heels, on the floor.
        takeStart(s, 'heel-seat')
        put(s, 'sit bones', 'floor')
        for (const side of SIDES)
          setOn(s, side, 'Hip', { flexion: 80, abduction: 2, rotation: -20 })
        return true
      }
      if (on?.thing === 'chair') {
        takeStart(s, 'chair')
        return true
      }
      if (posture === 'seated') return true
      if (n.ways.includes('back') && ['standing'].includes(posture)) return trunk.hipsBack(s, n)
      if (n.ways.includes('back') && (posture === 'fours' || posture === 'kneeling')) {
        takeStart(s, 'heel-seat')
        return true
      }
      takeStart(
        s,
        n.ways.includes('crossed') || posture === 'side-lying' ? 'cross-legged' : 'long-seat'
      )
      return true
    }
    case 'stand':
      if (
        n.places.some(
          ({ part, side }) =>
            (part === 'leg' || part === 'foot') && (side === 'left' || side === 'right')
        )
      )
        return true
      if (
        posture !== 'standing' ||
        get(s, 'pelvis', 'tilt') > 20 ||
        n.places.some(({ part, side }) => part === 'foot' && side === 'both')
      )
        takeStart(s, 'standing')
      return true
    case 'lie':
    case 'roll': {
      if (posture === 'hands and feet') return sidePlank(s, n)
      if (n.action === 'roll' && n.places.some(({ part }) => part === 'shoulder')) {
        legs.onShoulders(s)
        return true
      }
      const way = n.ways.find((each) => each === 'left' || each === 'right')
      if (way) {
        takeStart(s, 'side-lying', way === 'right')
        return true
      }
      const on = n.places.find(({ part, thing }) => part !== undefined || thing !== undefined)
      if (on?.part === 'spine' || n.ways.includes('back')) {
        const bent = SIDES.every((side) => get(s, `${side}Knee`, 'flexion') > 60)
        takeStart(s, bent && posture === 'seated' ? 'supine-knees-bent' : 'supine')
        return true
      }
      if (on?.part === 'chest' || on?.part === 'low back') {
        takeStart(s, 'prone')
        return true
      }
      return false
    }
    case 'lift':
      return trunk.rise(s, n)
    case 'lower':
      if (n.amount?.further) return trunk.deeper(s, n)
      return n.places.some(({ part }) => part === 'elbow' || part === 'forearm')
        ? SIDES.every((side) => arms.placeArm(s, ontoForearms(n), side))
        : trunk.lowerTrunk(s, n)
    case 'shift':
      return trunk.shiftTrunk(s, n)
    case 'place':
    case 'rotate':
    case 'release':
    case 'walk':
      return true
    default:
      return false
  }
}

/** Parts that a pelvis is meant by when both are told. */
const asPelvis = (n: Instruction): boolean =>
  n.part === 'pelvis' ||
  n.part === 'whole body' ||
  (n.part === 'hip' &&
    n.side === 'both' &&
    ['lift', 'shift', 'lower', 'fold', 'rotate', 'press'].includes(n.action))

const isHead = (part: BodyPart) => ['neck', 'head', 'chin', 'gaze'].includes(part)

/** The sides that an instruction is done with; one that is not settled is done with none. */
const sidesOf = ({ side }: Instruction): (Side | null)[] =>
  side === 'both' ? [...SIDES] : side === null ? [null] : [side]

/** Does what an instruction asks for. What it does not know, it leaves as it is. */
export function apply(s: Stance, n: Instruction): Done {
  if (n.keeps) return 'holds'
  if (
    n.prop === 'strap' ||
    (n.places[0]?.thing === 'strap' && n.part !== 'hand' && n.action === 'place')
  )
    return arms.loopStrap(s, n) ? 'moved' : 'unsure'
  if (n.prop) return propUnder(s, n)
  // A foot is held with both hands, a toe with the hand beside it, when no hand is told.
  if (n.action === 'hold' && n.side === null) {
    const [held] = n.places
    const own =
      held?.part === 'toes' && (held.side === 'left' || held.side === 'right') ? held.side : 'both'
    return held?.part && limbOf(held.part) === 'leg' ? apply(s, { ...n, side: own }) : 'unsure'
  }
  if (n.action === 'walk' && n.part !== 'whole body') return legs.walk(s, n) ? 'moved' : 'unsure'
  if (n.action === 'clasp') return arms.clasp(s, n) ? 'moved' : 'unsure'
  if (n.action === 'cross' && limbOf(n.part) === 'arm')
    return arms.crossArms(s) ? 'moved' : 'unsure'
  if (
    (n.action === 'close' || n.action === 'press') &&
    n.ways.includes('together') &&
    ['hand', 'fingers'].includes(n.part)
  )
    return arms.palmsTogether(s, n) ? 'moved' : 'unsure'
  if (n.action === 'press' && n.part === 'heel' && !n.places.some(({ part }) => part !== undefined))
    return each(n, (side) => side !== null && legs.lower(s, n, side))
  if (n.action === 'step' && n.side === 'both' && limbOf(n.part) === 'leg')
    return legs.step(s, n, null) ? 'moved' : 'unsure'
  if (n.side === 'both' && limbOf(n.part) === 'leg') {
    const together = legs.bothLegs(s, n)
    if (together !== null) return together ? 'moved' : 'unsure'
  }
  if (n.action === 'spread' && limbOf(n.part) === 'leg' && n.part !== 'toes')
    return each(n, (side) => legs.open(s, n, side))
  if (HOLDING.has(n.action)) return 'holds'
  if (isHead(n.part)) {
    const move = HEAD[n.action]
    return move ? (move(s, n) ? 'moved' : 'unsure') : 'holds'
  }
  if (n.part === 'whole body') return comeTo(s, n) ? 'moved' : 'unsure'
  if (n.action === 'sit' && n.part === 'hip' && n.side === 'both') {
    const posture = postureOf(s)
    if (posture === 'fours') return trunk.hipsBack(s, n) ? 'moved' : 'unsure'
    if (posture === 'kneeling') return comeTo(s, { ...n, part: 'whole body' }) ? 'moved' : 'unsure'
  }
  if (asPelvis(n)) {
    const own = { ...n, part: 'pelvis' as const }
    const move = TRUNK[n.action]
    return move ? (move(s, own) ? 'moved' : 'unsure') : 'holds'
  }
  if (IN_THE_MIDDLE.has(n.part) || n.part === 'ribs') {
    const move = TRUNK[n.action]
    return move && arms.keepingHips(s, () => move(s, n)) ? 'moved' : 'unsure'
  }
  if (n.part === 'shoulder') return n.side === null ? 'unsure' : 'holds'
  if (n.part === 'hip') {
    if (['turn-out', 'turn-in'].includes(n.action))
      return each(n, (side) => LEG[n.action]!(s, n, side))
    return n.side === null ? 'unsure' : 'holds'
  }
  const move = (limbOf(n.part) === 'arm' ? ARM : LEG)[n.action]
  if (!move) return 'unsure'
  return each(n, (side) => move(s, n, side))
}

function each(n: Instruction, move: (side: Side | null) => boolean): Done {
  const did = sidesOf(n).map(move)
  return did.every(Boolean) ? 'moved' : 'unsure'
}

/** A prop is set under a part. */
function propUnder(s: Stance, n: Instruction): Done {
  const surface = legs.surfaceOf(n.prop!)
  const posture = postureOf(s)
  if (n.part === 'pelvis' && (posture === 'bridge' || posture === 'supine')) {
    if (posture === 'supine') trunk.liftPelvis(s)
    put(s, 'pelvis', surface)
    set(s, 'pelvis', { tilt: -112 })
    for (const side of SIDES) setOn(s, side, 'Hip', { flexion: 20 })
    return 'moved'
  }
  if (n.part === 'hand' && (n.side === 'left' || n.side === 'right')) {
    return arms.placeArm(
      s,
      { ...n, places: [{ relation: 'on', thing: n.prop!, word: n.prop! }] },
      n.side
    )
      ? 'moved'
      : 'unsure'
  }
  if (n.part === 'head' && posture === 'supine') {
    put(s, 'head', surface)
    return 'moved'
  }
  if (n.part === 'knee' && n.side === 'both' && posture === 'supine') {
    for (const side of SIDES) {
      freeLeg(s, side)
      put(s, `${side} thigh`, surface)
      put(s, `${side} heel`, 'floor')
      setOn(s, side, 'Hip', { flexion: 28 })
      setOn(s, side, 'Knee', { flexion: 48 })
    }
    return 'moved'
  }
  return 'holds'
}
