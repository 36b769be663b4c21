import { otherSide, type Side } from '../../card'
import type { Instruction, Place } from '../../language'
import { add, apply, jointOf, norm, type Segment, sub, transpose, type Vec } from '../../figure'
import { surfaceOf } from './legs'
import {
  ahead,
  aimArm,
  ANY_ARM,
  at,
  curve,
  drop,
  flatHand,
  FLOOR,
  freeArm,
  freeLeg,
  get,
  hang,
  onLimb,
  outward,
  placedOf,
  postureOf,
  put,
  reachFor,
  set,
  setOn,
  SIDES,
  type Stance,
  touches,
} from './stance'
import { has, partIn, shareOf, thingIn } from './told'
import { turnTrunk } from './trunk'

/** How far each movement of an arm goes when the words do not say: common practice, no source. */

/** Beside the ears, in line with the trunk. */
function overhead(s: Stance, side: Side, single: boolean): void {
  setOn(s, side, 'Girdle', { elevation: 12 })
  setOn(
    s,
    side,
    'Shoulder',
    single
      ? { flexion: 25, abduction: 162, rotation: 0 }
      : { flexion: 170, abduction: 2, rotation: 0 }
  )
  setOn(s, side, 'Elbow', { flexion: 3 })
  setOn(s, side, 'Forearm', { pronation: 80 })
  setOn(s, side, 'Wrist', { flexion: 0 })
}

function straightArm(s: Stance, side: Side): void {
  setOn(s, side, 'Elbow', { flexion: 3 })
  setOn(s, side, 'Wrist', { flexion: 0 })
  setOn(s, side, 'Girdle', { elevation: 4 })
}

/** Whether the trunk stands more than it lies. */
const upright = (s: Stance) => apply(placedOf(s).rotations[jointOf('ribs')]!, [0, 1, 0])[1] > 0.55

export function liftArm(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side) return false
  const shoulder = n.places.find(({ part, relation }) => part === 'shoulder' && relation === 'to')
  if (shoulder && (n.part === 'hand' || n.part === 'fingers')) return onTrunk(s, n, side, shoulder)
  freeArm(s, side)
  const single = n.side !== 'both'
  // Half of the way up is as high as the shoulders.
  const half = n.amount?.unit === 'part of the way' && shareOf(n) < 1
  const level =
    half ||
    has(n, 'level') ||
    n.places.some(
      ({ relation, part, thing }) =>
        ['level with', 'parallel to'].includes(relation) &&
        (part === 'shoulder' || thing === 'floor')
    )
  const placed = placedOf(s)
  const sideways = get(s, 'ribs', 'lateralFlexion') !== 0 || get(s, 'pelvis', 'lean') !== 0
  const past = n.places.some(
    ({ relation, part }) =>
      ['past', 'over', 'beside', 'along'].includes(relation) && part === 'head'
  )
  if ((has(n, 'forward') || thingIn(n, 'front of the mat')) && (half || !has(n, 'up'))) {
    straightArm(s, side)
    setOn(s, side, 'Forearm', { pronation: 80 })
    // Level, however far the trunk leans.
    const [x, , z] = apply(placed.rotations[jointOf('ribs')]!, [0, 0, 1])
    if (upright(s)) aimArm(s, side, [x, 0, z])
    else aimArm(s, side, apply(placed.rotations[jointOf('ribs')]!, [0, 1, 0]))
    return true
  }
  if (has(n, 'back') && !has(n, 'up')) {
    straightArm(s, side)
    setOn(s, side, 'Shoulder', { flexion: -45, abduction: 8, rotation: 0 })
    return true
  }
  if ((has(n, 'out') && !has(n, 'up')) || thingIn(n, 'side') || level) {
    straightArm(s, side)
    setOn(s, side, 'Forearm', { pronation: 80 })
    aimArm(s, side, outward(placed, side))
    return true
  }
  if (thingIn(n, 'ceiling') || (has(n, 'up') && !past && !upright(s) && postureOf(s) !== 'prone')) {
    straightArm(s, side)
    setOn(s, side, 'Forearm', { pronation: 60 })
    const fours = postureOf(s) === 'fours' || get(s, 'pelvis', 'tilt') > 60
    if (fours && single) turnTrunk(s, side, 0.8)
    if (upright(s) && !sideways) overhead(s, side, single && n.part !== 'arm')
    else aimArm(s, side, [0, 1, 0])
    return true
  }
  overhead(s, side, single && (sideways || past))
  return true
}

export function reachArm(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side) return false
  // A hand that reaches for a part or a prop comes to lie there.
  if (n.places.some((place) => targetOf(s, n, place, side) !== null) && !thingIn(n, 'ceiling')) {
    const through = n.places.find(({ relation }) => relation === 'under' || relation === 'between')
    if (through) return threadArm(s, n, side)
    return placeArm(s, { ...n, part: 'hand' }, side)
  }
  if (
    n.places.some(({ relation, part }) => (relation === 'under' || relation === 'between') && part)
  )
    return threadArm(s, n, side)
  const way = n.ways.find((each) => each === 'left' || each === 'right')
  if (way && !has(n, 'up')) {
    const past = n.places.some(({ part }) => part === 'head')
    if (way !== side && past) return liftArm(s, { ...n, ways: ['up'] }, side)
    straightArm(s, side)
    freeArm(s, side)
    aimArm(s, side, outward(placedOf(s), way))
    return true
  }
  if (has(n, 'down')) return lowerArm(s, n, side)
  if (has(n, 'long') && n.ways.length === 1) {
    if (touches(s, new RegExp(`^${side} (?:palm|forearm)$`))) return true
    setOn(s, side, 'Elbow', { flexion: 2 })
    return true
  }
  if (n.ways.length === 0 && n.places.length === 0) {
    setOn(s, side, 'Elbow', { flexion: 3 })
    return true
  }
  return liftArm(s, n, side)
}

/** An arm goes under the body, its shoulder and cheek to the floor. */
function threadArm(s: Stance, n: Instruction, side: Side): boolean {
  if (postureOf(s) !== 'fours') return false
  freeArm(s, side)
  put(s, `${side} shoulder`, 'floor')
  put(s, `${side} ear`, 'floor')
  const other = otherSide(side)
  set(s, 'pelvis', { tilt: 108 })
  for (const each of SIDES) setOn(s, each, 'Hip', { flexion: 105 })
  const sign = side === 'right' ? 1 : -1
  set(s, 'lowBack', { flexion: 4, rotation: 8 * sign })
  set(s, 'ribs', { flexion: 8, rotation: 32 * sign })
  set(s, 'neck', { flexion: 0, lateralFlexion: -8 * sign, rotation: 20 * sign })
  setOn(s, side, 'Shoulder', { flexion: 70, abduction: -40, rotation: -20 })
  setOn(s, side, 'Elbow', { flexion: 0 })
  setOn(s, side, 'Forearm', { pronation: 40 })
  setOn(s, side, 'Wrist', { flexion: 0 })
  setOn(s, other, 'Shoulder', { flexion: 130, abduction: 0, rotation: 0 })
  setOn(s, other, 'Elbow', { flexion: 60 })
  setOn(s, other, 'Wrist', { flexion: -50 })
  return true
}

export function lowerArm(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side) return false
  if (
    thingIn(n, 'floor', 'mat') ||
    n.places.some(
      ({ part }) => part && ['foot', 'ankle', 'shin', 'knee', 'thigh', 'leg'].includes(part)
    )
  )
    return placeArm(s, { ...n, part: n.part === 'forearm' ? 'forearm' : 'hand' }, side)
  freeArm(s, side)
  const posture = postureOf(s)
  if (posture === 'supine') {
    setOn(s, side, 'Girdle', { elevation: 0 })
    setOn(s, side, 'Shoulder', { flexion: 0, abduction: 18, rotation: 0 })
    setOn(s, side, 'Elbow', { flexion: 0 })
    setOn(s, side, 'Forearm', { pronation: 140 })
    return true
  }
  if (shareOf(n) < 1 || has(n, 'level')) {
    aimArm(s, side, outward(placedOf(s), side))
    return true
  }
  if (get(s, 'pelvis', 'tilt') > 40) {
    straightArm(s, side)
    aimArm(s, side, [0, -1, 0.05])
    return true
  }
  hang(s, side)
  return true
}

/** Palms together before the breastbone. */
export function palmsTogether(s: Stance, n: Instruction): boolean {
  for (const side of SIDES) {
    if (touches(s, new RegExp(`^${side} (?:palm|forearm|fingertips)$`), FLOOR)) return false
    freeArm(s, side)
    if (n.places.some(({ relation }) => relation === 'behind')) {
      // Fingers up between the shoulder blades.
      setOn(s, side, 'Shoulder', { flexion: -40, abduction: 22, rotation: -75 })
      setOn(s, side, 'Elbow', { flexion: 112 })
      continue
    }
    const up = get(s, `${side}Shoulder`, 'flexion') > 140
    if (up && !n.places.some(({ part }) => part === 'chest')) {
      setOn(s, side, 'Shoulder', { flexion: 172, abduction: -4 })
      continue
    }
    setOn(s, side, 'Girdle', { elevation: 0 })
    setOn(s, side, 'Shoulder', { flexion: 42, abduction: 14, rotation: -52 })
    setOn(s, side, 'Elbow', { flexion: 118 })
    setOn(s, side, 'Forearm', { pronation: 85 })
    setOn(s, side, 'Wrist', { flexion: -55 })
  }
  return true
}

const LIMB_OF: Record<
  string,
  [limb: 'thigh' | 'shin' | 'foot', segment: 'Thigh' | 'Shank' | 'Foot', along: number]
> = {
  thigh: ['thigh', 'Thigh', 0.6],
  knee: ['thigh', 'Thigh', 0.85],
  leg: ['shin', 'Shank', 0.35],
  shin: ['shin', 'Shank', 0.35],
  ankle: ['shin', 'Shank', 0.92],
  foot: ['foot', 'Foot', 0.5],
  toes: ['foot', 'Foot', 0.5],
  heel: ['foot', 'Foot', 0.5],
}

interface Target {
  on: string
  along?: number
  place?: Vec
}

/** The side of a leg that a hand comes to when the line does not tell it: the one that leads, if it is near. */
function legMeant(s: Stance, place: Place, side: Side, n: Instruction): Side {
  if (place.side === 'left' || place.side === 'right') return place.side
  if (n.side === 'both' || place.side === 'both') return side
  return s.lead ?? side
}

const HANDS_TO = ['on', 'to', 'around', 'against', 'along', 'outside', 'inside', 'with', 'beside']

/** What a hand or forearm can come to lie on at a place; null when it is none. */
function targetOf(s: Stance, n: Instruction, place: Place, side: Side): Target | null {
  const { relation, part, thing } = place
  if (part && LIMB_OF[part] && HANDS_TO.includes(relation)) {
    const leg = legMeant(s, place, side, n)
    const posture = postureOf(s)
    // Beside a foot that stands is the floor.
    const stands = touches(s, new RegExp(`^${leg} (?:sole|toes)$`), FLOOR)
    if (
      ['beside', 'outside', 'inside'].includes(relation) &&
      stands &&
      ['foot', 'ankle', 'heel', 'toes'].includes(part)
    )
      return { on: 'floor', place: floorBeside(s, leg, side, relation) }
    if (relation === 'beside') return null
    if (n.action === 'reach' && relation === 'along') return null
    if (posture === 'prone' && part === 'foot') return null
    const [limb, segment, along] = LIMB_OF[part]
    const around = relation === 'around' && part === 'knee'
    return around
      ? { on: `${leg} shin`, along: 0.12, place: onLimb(s, leg, 'Shank', 0.12) }
      : { on: `${leg} ${limb}`, along, place: onLimb(s, leg, segment, along) }
  }
  if (thing === 'floor' || thing === 'mat') return { on: 'floor' }
  if (
    thing &&
    ['block', 'chair', 'bolster', 'blanket'].includes(thing) &&
    ['on', 'to'].includes(relation)
  )
    return { on: surfaceOf(thing) }
  if (thing === 'wall' && relation !== 'from') return { on: 'wall' }
  return null
}

function floorBeside(s: Stance, leg: Side, hand: Side, relation: string): Vec {
  const placed = placedOf(s)
  const foot = at(placed, `${leg}Foot`)
  const out = outward(placed, relation === 'inside' ? otherSide(leg) : leg, 'pelvis')
  return [foot[0] + out[0] * 0.07, foot[1] - s.body.ankleHeight, foot[2] + out[2] * 0.07]
}

export function placeArm(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side) return false
  const posture = postureOf(s)
  if (
    n.part === 'arm' &&
    n.places.some(
      ({ thing, relation }) => thing && ['you', 'side'].includes(thing) && relation === 'beside'
    )
  )
    return lowerArm(s, { ...n, places: [] }, side)
  if (n.part === 'arm' && has(n, 'back') && posture === 'side-lying') return armBackAcross(s, side)
  const onChest = partIn(
    n,
    'chest',
    'head',
    'low back',
    'pelvis',
    'hip',
    'spine',
    'shoulder',
    'ribs'
  )
  const upperTarget = n.places
    .map((place) => ({ place, target: targetOf(s, n, place, side) }))
    .find(({ target }) => target)
  if (onChest && !upperTarget) return onTrunk(s, n, side, onChest)
  const behindYou = n.places.some(
    ({ relation, thing }) => relation === 'behind' && (thing === 'you' || !thing)
  )
  const forearm = n.part === 'forearm' || n.part === 'elbow'
  if (behindYou || (has(n, 'back') && posture === 'seated' && n.places.length === 0)) {
    if (posture !== 'seated' && posture !== 'heel seat') return false
    freeArm(s, side)
    const single = n.side !== 'both'
    put(s, `${side} ${single ? 'fingertips' : 'palm'}`, 'floor')
    setOn(s, side, 'Shoulder', { flexion: -28, abduction: 27, rotation: 0 })
    setOn(s, side, 'Elbow', { flexion: 6 })
    setOn(s, side, 'Forearm', { pronation: 100 })
    setOn(s, side, 'Wrist', { flexion: single ? 0 : -70 })
    return true
  }
  const { target, place } = upperTarget ?? { target: null, place: undefined }
  if (target && target.on !== 'floor' && target.along !== undefined) {
    freeArm(s, side)
    const elbow = n.part === 'elbow' || (n.part === 'forearm' && target.on.endsWith('thigh'))
    const onTo = target.place ?? [0, 0, 0]
    if (elbow || n.part === 'forearm' || (n.part === 'arm' && place?.relation === 'around')) {
      put(
        s,
        `${side} ${elbow ? 'elbow' : 'forearm'}`,
        target.on,
        elbow && n.part === 'forearm' ? 0.85 : target.along
      )
      if (postureOf(s) === 'standing') {
        setOn(s, side, 'Shoulder', { flexion: 35, abduction: 35, rotation: 0 })
        setOn(s, side, 'Forearm', { pronation: 90 })
      } else reachFor(s, side, onTo)
      setOn(s, side, 'Elbow', { flexion: Math.max(80, get(s, `${side}Elbow`, 'flexion')) })
      if (postureOf(s) === 'standing') leanTo(s, side)
      return true
    }
    put(s, `${side} hand`, target.on, target.along)
    bendTo(s, side, onTo)
    reachFor(s, side, onTo)
    return true
  }
  const toFloor =
    target?.on === 'floor' ||
    n.places.some(
      ({ part, relation }) =>
        (part === 'shoulder' && relation === 'under') ||
        (['ribs', 'chest', 'hip', 'head', 'shoulder'].includes(part ?? '') &&
          ['beside', 'under'].includes(relation))
    ) ||
    (has(n, 'down', 'level') && !target)
  if (toFloor || (target && target.along === undefined)) {
    const on = target?.on ?? 'floor'
    if (
      !['prone', 'fours', 'hands and feet'].includes(posture) &&
      on === 'floor' &&
      !target &&
      posture !== 'seated' &&
      posture !== 'heel seat' &&
      get(s, 'pelvis', 'tilt') < 40
    ) {
      if (n.part !== 'hand' && !forearm) return false
    }
    freeArm(s, side)
    if (on === 'wall') {
      put(s, `${side} palm`, 'wall')
      s.wall = s.wall ?? 0.32
      setOn(s, side, 'Shoulder', { flexion: 85, abduction: 4, rotation: 0 })
      setOn(s, side, 'Wrist', { flexion: -70 })
      return true
    }
    if (posture === 'supine') {
      put(s, `${side} hand`, on)
      setOn(s, side, 'Shoulder', { flexion: 0, abduction: 18 })
      setOn(s, side, 'Forearm', { pronation: 140 })
      return true
    }
    const tips = n.spot === 'fingers'
    put(s, `${side} ${forearm ? 'forearm' : tips ? 'fingertips' : 'palm'}`, on)
    if (get(s, `${side}Elbow`, 'flexion') > 60 && get(s, `${side}Shoulder`, 'flexion') < 0) {
      // From the hips or from behind the back it first hangs.
      straightArm(s, side)
      aimArm(s, side, [0, -1, 0.05])
    }
    if (posture === 'prone') {
      const under = n.places.some(
        ({ part, relation }) => part === 'shoulder' && relation === 'under'
      )
      if (forearm) {
        drop(s, /^(?:chest|forehead|chin|head)$/)
        curve(s, -18, -18, -6)
        set(s, 'pelvis', { tilt: 86 })
        setOn(s, side, 'Shoulder', { flexion: 70, abduction: 6, rotation: 0 })
        setOn(s, side, 'Elbow', { flexion: 90 })
        setOn(s, side, 'Forearm', { pronation: 165 })
        setOn(s, side, 'Wrist', { flexion: 0 })
        return true
      }
      setOn(s, side, 'Shoulder', { flexion: under ? 30 : 14, abduction: 16, rotation: -10 })
      setOn(s, side, 'Elbow', { flexion: under ? 112 : 118 })
      setOn(s, side, 'Forearm', { pronation: 165 })
      setOn(s, side, 'Wrist', { flexion: -70 })
      return true
    }
    if (posture === 'heel seat' && get(s, 'pelvis', 'tilt') > 40) {
      setOn(s, side, 'Shoulder', { flexion: 160, abduction: 8 })
      return true
    }
    const beside = target?.place
    if (beside) {
      bendTo(s, side, beside)
      reachFor(s, side, beside)
      if (!tips) setOn(s, side, 'Wrist', { flexion: -40 })
      return true
    }
    if (forearm) {
      setOn(s, side, 'Shoulder', { flexion: 88, rotation: 0, abduction: 0 })
      setOn(s, side, 'Elbow', { flexion: 90 })
      setOn(s, side, 'Forearm', { pronation: 165 })
      setOn(s, side, 'Wrist', { flexion: 0 })
      return true
    }
    if (posture === 'fours' || posture === 'hands and feet') {
      flatHand(s, side)
      return true
    }
    // From standing or sitting: the trunk comes down to it.
    bendDown(s, side, n.side === 'both')
    return true
  }
  if (has(n, 'up', 'forward', 'out')) return liftArm(s, n, side)
  return false
}

/** The trunk comes down towards the floor, far enough for the hands. */
function bendDown(s: Stance, side: Side, both: boolean): void {
  const posture = postureOf(s)
  if (posture === 'standing' && get(s, 'pelvis', 'tilt') < 60) {
    const wideOpen = get(s, `${side}Hip`, 'abduction') > 18
    if (wideOpen && !both) {
      leanTo(s, side, 1.4)
      setOn(s, side, 'Elbow', { flexion: 3 })
      return
    }
    const tilt = 85
    const by = tilt - get(s, 'pelvis', 'tilt')
    set(s, 'pelvis', { tilt })
    for (const each of SIDES)
      setOn(s, each, 'Hip', { flexion: get(s, `${each}Hip`, 'flexion') + by })
    curve(s, 18, 18, 8)
  }
  setOn(s, side, 'Elbow', { flexion: 3 })
  aimArm(s, side, add(ahead(placedOf(s)), [0, -4, 0]))
}

/** In a wide stance the trunk leans out over a thigh. */
function leanTo(s: Stance, side: Side, by = 1): void {
  if (get(s, `${side}Hip`, 'abduction') < 18) return
  const sign = side === 'left' ? 1 : -1
  const bent = get(s, `${side}Knee`, 'flexion') > 30
  const lean = (bent ? 26 : 38) * by
  set(s, 'pelvis', { lean: lean * sign })
  set(s, 'lowBack', { lateralFlexion: 8 * sign })
  set(s, 'ribs', { lateralFlexion: 8 * sign })
  setOn(
    s,
    side,
    'Hip',
    bent ? { flexion: -5, abduction: 75, rotation: 88 } : { abduction: 27 + lean, rotation: 70 }
  )
  if (bent) setOn(s, side, 'Knee', { flexion: 62 })
  setOn(s, otherSide(side), 'Hip', { abduction: bent ? 26 : Math.max(-5, 27 - lean), flexion: -6 })
}

/** When a place is out of the arm's reach, the trunk comes towards it. */
function bendTo(s: Stance, side: Side, target: Vec): void {
  const placed = placedOf(s)
  const shoulder = at(placed, `${side}UpperArm`)
  const far = Math.hypot(target[0] - shoulder[0], target[1] - shoulder[1], target[2] - shoulder[2])
  const arm = s.body.upperArm + s.body.forearm + s.body.hand * 0.4
  const posture = postureOf(s)
  if (far <= arm * (posture === 'seated' ? 1.25 : 1.03)) return
  if (posture === 'standing' && get(s, `${side}Hip`, 'abduction') > 18) {
    leanTo(s, side, 1.2)
    return
  }
  if (posture === 'standing' || posture === 'seated' || posture === 'kneeling') {
    const tilt = Math.min(
      posture === 'seated' ? 36 : 90,
      get(s, 'pelvis', 'tilt') + (far - arm) * 150
    )
    const by = tilt - get(s, 'pelvis', 'tilt')
    set(s, 'pelvis', { tilt })
    for (const each of SIDES)
      setOn(s, each, 'Hip', { flexion: get(s, `${each}Hip`, 'flexion') + by })
    if (posture === 'seated') curve(s, 18, 18, 10)
  }
}

/** An arm that was opened comes back over the chest. */
export function armBackAcross(s: Stance, side: Side): boolean {
  setOn(s, side, 'Shoulder', { flexion: 88, abduction: 0, rotation: 0 })
  set(s, 'lowBack', { rotation: 0 })
  set(s, 'ribs', { rotation: 0 })
  set(s, 'neck', { rotation: 0 })
  return true
}

/** How near its hip joint a hand is that lies on the hip, in statures. */
const ON_HIP = 0.21

/** Hands that are on the hips, where they are from the middle of the hips. */
function handsOnHips(s: Stance): { side: Side; from: Vec }[] {
  const bent = SIDES.filter((side) => get(s, `${side}Elbow`, 'flexion') > 60)
  if (bent.length === 0) return []
  const placed = placedOf(s)
  return bent.flatMap((side) => {
    const from = at(placed, `${side}Hand` as Segment)
    const away = norm(sub(from, at(placed, `${side}Thigh` as Segment)))
    return away < ON_HIP ? [{ side, from: apply(transpose(placed.rotations[0]!), from) }] : []
  })
}

/** A movement of the trunk that hands on the hips stay out of: they go where the hips go. */
export function keepingHips(s: Stance, move: () => boolean): boolean {
  const hands = handsOnHips(s)
  const moved = move()
  for (const { side, from } of hands)
    if (get(s, `${side}Elbow`, 'flexion') > 60) {
      const hips = placedOf(s).rotations[0]!
      const out: Vec = [side === 'left' ? 1 : -1, 0, -0.6]
      reachFor(s, side, apply(hips, from), apply(hips, out))
    }
  return moved
}

/** Hands on the hips, at the heart, behind the head, on the belly, behind the back. */
function onTrunk(s: Stance, n: Instruction, side: Side, place: Place): boolean {
  const { part, relation, spot } = place
  if (part === 'shoulder' && relation === 'level with')
    return liftArm(s, { ...n, ways: ['level'] }, side)
  if (
    (part === 'shoulder' || part === 'ribs' || part === 'hip' || part === 'chest') &&
    (relation === 'under' || relation === 'beside') &&
    ['prone', 'fours', 'hands and feet', 'seated', 'kneeling', 'heel seat', 'supine'].includes(
      postureOf(s)
    )
  ) {
    const posture = postureOf(s)
    if (posture === 'supine' || posture === 'kneeling') return false
    return placeArm(s, { ...n, places: [{ relation: 'on', thing: 'floor', word: 'floor' }] }, side)
  }
  freeArm(s, side)
  setOn(s, side, 'Girdle', { elevation: 0 })
  const pose: Record<string, () => void> = {
    hip: () => {
      setOn(s, side, 'Shoulder', { flexion: -8, abduction: 42, rotation: -30 })
      setOn(s, side, 'Elbow', { flexion: 105 })
    },
    chest: () => {
      setOn(s, side, 'Shoulder', { flexion: 30, abduction: 18, rotation: -55 })
      setOn(s, side, 'Elbow', { flexion: 125 })
    },
    head: () => {
      setOn(s, side, 'Shoulder', { flexion: 60, abduction: 120, rotation: 40 })
      setOn(s, side, 'Elbow', { flexion: 135 })
    },
    belly: () => {
      setOn(s, side, 'Shoulder', { flexion: 12, abduction: 18, rotation: -60 })
      setOn(s, side, 'Elbow', { flexion: 92 })
    },
    shoulder: () => {
      setOn(s, side, 'Shoulder', { flexion: 32, abduction: 28, rotation: 0 })
      setOn(s, side, 'Elbow', { flexion: 146 })
    },
    spine: () => {
      setOn(s, side, 'Shoulder', { flexion: -35, abduction: 12, rotation: -60 })
      setOn(s, side, 'Elbow', { flexion: 85 })
    },
  }
  const behind = relation === 'behind' || part === 'spine' || (part === 'low back' && !spot)
  if (behind) pose[part === 'head' ? 'head' : 'spine']!()
  else if (part === 'low back') pose[spot === 'waist' ? 'hip' : 'belly']!()
  else (pose[part!] ?? pose[part === 'pelvis' ? 'hip' : 'chest'])!()
  return true
}

export function clasp(s: Stance, n: Instruction): boolean {
  const place = partIn(
    n,
    'spine',
    'low back',
    'pelvis',
    'head',
    'chest',
    'foot',
    'knee',
    'shin',
    'thigh'
  )
  const behind = n.places.some(
    ({ relation, thing, part }) =>
      relation === 'behind' &&
      (thing === 'you' || part === 'spine' || part === 'low back' || part === 'pelvis')
  )
  const under = n.places.some(({ relation }) => relation === 'under')
  for (const side of SIDES) {
    if (place?.part && LIMB_OF[place.part]) {
      placeArm(s, { ...n, part: 'hand', side: 'both' }, side)
      continue
    }
    if (postureOf(s) === 'bridge' || postureOf(s) === 'supine') {
      if (behind || under) setOn(s, side, 'Shoulder', { flexion: -25, abduction: 2 })
      continue
    }
    if (behind) {
      freeArm(s, side)
      setOn(s, side, 'Girdle', { retraction: 18 })
      setOn(s, side, 'Shoulder', { flexion: -42, abduction: -4, rotation: 10 })
      setOn(s, side, 'Elbow', { flexion: 12 })
      continue
    }
    if (place?.part === 'head') {
      placeArm(
        s,
        { ...n, part: 'hand', side: 'both', places: [{ ...place, relation: 'behind' }] },
        side
      )
      continue
    }
    const up = get(s, `${side}Shoulder`, 'flexion') > 130
    if (up) setOn(s, side, 'Shoulder', { abduction: -3 })
    else if (touches(s, new RegExp(`^${side} (?:palm|forearm)$`))) continue
    else if (place?.part === 'chest') palmsTogether(s, n)
    else return touches(s, /hand$/)
  }
  return true
}

/** A hand holds: a foot, a big toe, a strap, the other elbow. */
export function hold(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side) return false
  const strap = n.places.find(({ thing }) => thing === 'strap')
  if (strap) {
    const foot = s.straps[0]?.find((end) => /sole|foot/.test(String(end)))
    return foot !== undefined
  }
  if (partIn(n, 'elbow', 'forearm')) {
    freeArm(s, side)
    if (n.places.some(({ relation, part }) => relation === 'behind' && part === 'spine')) {
      setOn(s, side, 'Shoulder', { flexion: -38, abduction: 14, rotation: -70 })
      setOn(s, side, 'Elbow', { flexion: 92 })
      return true
    }
    setOn(s, side, 'Shoulder', {
      flexion: get(s, 'pelvis', 'tilt') > 50 ? 150 : 60,
      abduction: 5,
      rotation: -60,
    })
    setOn(s, side, 'Elbow', { flexion: 92 })
    return true
  }
  const foot = partIn(n, 'foot', 'ankle', 'heel', 'toes', 'shin')
  const behind =
    postureOf(s) === 'standing' && foot?.side === side && get(s, `${side}Knee`, 'flexion') > 25
  if (behind && get(s, `${side}Hip`, 'flexion') < 30 && get(s, 'pelvis', 'tilt') < 40) {
    // A foot that is taken up behind.
    freeLeg(s, side)
    freeArm(s, side)
    put(
      s,
      `${side} hand`,
      `${side} ${foot!.part === 'ankle' || foot!.part === 'shin' ? 'shin' : 'foot'}`,
      foot!.part === 'shin' ? 0.6 : foot!.part === 'ankle' ? 0.92 : 0.5
    )
    setOn(s, side, 'Hip', { flexion: -10, abduction: 0, rotation: 0 })
    setOn(s, side, 'Knee', { flexion: 120 })
    setOn(s, side, 'Shoulder', { flexion: -35, abduction: 8, rotation: 0 })
    setOn(s, side, 'Elbow', { flexion: 10 })
    return true
  }
  return placeArm(s, { ...n, part: 'hand' }, side)
}

/** A strap round a foot, both hands at its ends. */
export function loopStrap(s: Stance, n: Instruction): boolean {
  const feet = n.side === 'both' ? SIDES : n.side === 'left' || n.side === 'right' ? [n.side] : []
  if (feet.length === 0) return false
  for (const side of SIDES) freeArm(s, side)
  const sides: Side[] = ['right', 'left']
  for (const foot of feet)
    for (const hand of sides)
      if (feet.length === 1 || hand === foot)
        s.straps = [...s.straps, [`${foot} sole`, `${hand} hand`]]
  const supine = postureOf(s) === 'supine'
  for (const side of SIDES) {
    setOn(s, side, 'Shoulder', { flexion: supine ? 62 : 55, abduction: 4, rotation: 0 })
    setOn(s, side, 'Elbow', { flexion: 35 })
    setOn(s, side, 'Forearm', { pronation: 60 })
  }
  return true
}

export function crossArms(s: Stance): boolean {
  // Hands that carry do not cross.
  if (touches(s, ANY_ARM, FLOOR)) return false
  for (const side of SIDES) {
    freeArm(s, side)
    setOn(s, side, 'Shoulder', { flexion: 72, abduction: -32, rotation: -20 })
    setOn(s, side, 'Elbow', { flexion: 100 })
    setOn(s, side, 'Forearm', { pronation: 90 })
  }
  return true
}

export function turnPalm(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side || touches(s, new RegExp(`^${side} palm$`))) return side !== null
  const up =
    get(s, `${side}Shoulder`, 'abduction') > 60 || get(s, `${side}Shoulder`, 'flexion') > 60
  const pronation = has(n, 'up')
    ? up
      ? 10
      : 10
    : has(n, 'down')
      ? 150
      : has(n, 'forward')
        ? 10
        : 80
  setOn(s, side, 'Forearm', { pronation })
  return true
}

export function bendElbow(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side) return false
  const posture = postureOf(s)
  const amount = n.amount?.unit === 'deg' ? n.amount.value! : 90 * shareOf(n)
  setOn(s, side, 'Elbow', { flexion: amount })
  if (touches(s, new RegExp(`^${side} palm$`)) && posture === 'hands and feet') {
    // A lowered plank: the arms bend beside the ribs.
    setOn(s, side, 'Shoulder', { flexion: 20 })
    set(s, 'pelvis', { tilt: 84 })
  }
  return true
}

export function straightenArm(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side) return false
  setOn(s, side, 'Elbow', { flexion: 2 })
  if (n.ways.some((way) => ['up', 'forward', 'out', 'back'].includes(way)) || thingIn(n, 'ceiling'))
    return liftArm(s, n, side)
  if (postureOf(s) === 'prone' && touches(s, /palm$/)) {
    // The chest comes up with the arms.
    drop(s, /^(?:chest|forehead|chin|head)$/)
    curve(s, -28, -25, -12)
    setOn(s, side, 'Shoulder', { flexion: 48, rotation: 0 })
    setOn(s, side, 'Wrist', { flexion: -85 })
  }
  return true
}

export function openArm(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side) return false
  if (['hand', 'palm'].includes(n.part)) return true
  if (postureOf(s) === 'side-lying') {
    straightArm(s, side)
    setOn(s, side, 'Shoulder', { flexion: 0, abduction: 92, rotation: 0 })
    turnTrunk(s, side, 1)
    return true
  }
  if (n.part === 'elbow' || n.part === 'shoulder') return true
  return liftArm(s, { ...n, ways: ['out'], places: [] }, side)
}
