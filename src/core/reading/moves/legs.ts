import { otherSide, type Side } from '../../card'
import type { Instruction } from '../../language'
import { sub, type Vec } from '../../figure'
import {
  ahead,
  aimLeg,
  at,
  drop,
  freeLeg,
  get,
  hang,
  legOf,
  placedOf,
  postureOf,
  put,
  set,
  setOn,
  SIDES,
  type Stance,
  startFigure,
  takeStart,
  tipTo,
  touches,
} from './stance'
import { degreesOf, has, partIn, shareOf, thingIn } from './told'

/** How far each movement of a leg goes when the words do not say: common practice, no source. */

/** A foot that stands flat on the floor. */
export function stand(s: Stance, side: Side, part = 'sole', on = 'floor'): void {
  freeLeg(s, side)
  put(s, `${side} ${part}`, on)
  if (part === 'sole') setOn(s, side, 'Toes', { extension: 0 })
}

/** A leg behind with its heel up, or its knee down. */
function behind(s: Stance, side: Side): void {
  freeLeg(s, side)
  put(s, `${side} toes`, 'floor')
  setOn(s, side, 'Ankle', { dorsiflexion: 15 })
  setOn(s, side, 'Toes', { extension: 50 })
}

/** From all fours: a leg goes out long behind, its toes on the floor. */
function longBehind(s: Stance, side: Side): void {
  behind(s, side)
  setOn(s, side, 'Hip', { flexion: get(s, 'pelvis', 'tilt') - 90 + 14, abduction: 0 })
  setOn(s, side, 'Knee', { flexion: 0 })
}

/** The hips of a stride, in degrees, and how long it is then, in leg lengths. */
const STRIDE = { front: 38, back: -22, long: 0.79 }

/** Legs apart to both sides, as long as one leg or less. */
function astride(s: Stance, by = 27): void {
  for (const side of SIDES) {
    stand(s, side)
    setOn(s, side, 'Hip', {
      flexion: get(s, 'pelvis', 'tilt'),
      abduction: by,
      rotation: Math.max(0, get(s, `${side}Hip`, 'rotation')),
    })
    setOn(s, side, 'Knee', { flexion: 0 })
  }
}

/** Legs under the hips again. */
function together(s: Stance): void {
  for (const side of SIDES) {
    stand(s, side)
    setOn(s, side, 'Hip', { flexion: get(s, 'pelvis', 'tilt'), abduction: 0, rotation: 0 })
    setOn(s, side, 'Knee', { flexion: 0 })
    setOn(s, side, 'Ankle', { dorsiflexion: 0, eversion: 0 })
  }
}

export function step(s: Stance, n: Instruction, side: Side | null): boolean {
  const posture = postureOf(s)
  if (n.side === 'both') {
    if (has(n, 'together')) {
      if (posture !== 'standing') return false
      together(s)
      return true
    }
    if (has(n, 'apart', 'out')) {
      astride(s, n.amount?.unit === 'leg lengths' || has(n, 'out') || !n.amount ? 27 : 5)
      return true
    }
    if (has(n, 'back') && (posture === 'fours' || posture === 'standing')) {
      takeStart(s, 'plank')
      return true
    }
    if (has(n, 'forward') && posture === 'hands and feet') {
      takeStart(s, 'standing-fold')
      return true
    }
    return false
  }
  if (!side) return false
  const other = otherSide(side)
  const onHands = posture === 'fours' || posture === 'hands and feet'
  if (
    has(n, 'together') ||
    n.places.some(
      (place) =>
        place.part === 'foot' && place.side === other && ['to', 'beside'].includes(place.relation)
    )
  ) {
    if (posture !== 'standing') return false
    together(s)
    return true
  }
  if (onHands) {
    if (!has(n, 'forward') && !partIn(n, 'hand')) {
      if (!has(n, 'back')) return false
      longBehind(s, side)
      return true
    }
    // Forward between the hands: the trunk comes down over the thigh.
    const thigh = get(s, `${other}Hip`, 'flexion') - get(s, 'pelvis', 'tilt')
    set(s, 'pelvis', { tilt: 62 })
    const shin = touches(s, new RegExp(`^${other} shin$`))
    setOn(s, other, 'Hip', { flexion: shin ? 40 : 62 + thigh - 20 })
    if (!shin) behind(s, other)
    stand(s, side)
    setOn(s, side, 'Hip', { flexion: 122, abduction: 2, rotation: 0 })
    setOn(s, side, 'Knee', { flexion: 92 })
    for (const each of SIDES) setOn(s, each, 'Shoulder', { flexion: 62 })
    return true
  }
  const tilt = get(s, 'pelvis', 'tilt')
  if (posture === 'kneeling' || posture === 'heel seat') {
    if (posture === 'heel seat') {
      takeStart(s, 'kneeling')
    }
    stand(s, side)
    if (has(n, 'out') || thingIn(n, 'side')) {
      setOn(s, side, 'Hip', { flexion: 0, abduction: 50, rotation: 40 })
      setOn(s, side, 'Knee', { flexion: 0 })
      setOn(s, side, 'Ankle', { dorsiflexion: -30 })
    } else {
      setOn(s, side, 'Hip', { flexion: 88, abduction: 2, rotation: 0 })
      setOn(s, side, 'Knee', { flexion: 90 })
      setOn(s, side, 'Ankle', { dorsiflexion: 0 })
    }
    return true
  }
  if (posture !== 'standing') return false
  if (s.acrossMat || has(n, 'out', 'apart') || thingIn(n, 'side')) {
    astride(s)
    return true
  }
  const back = has(n, 'back')
  if (!back && !has(n, 'forward')) return false
  const share = n.amount?.unit === 'leg lengths' ? n.amount.value! / STRIDE.long : shareOf(n)
  const [front, rear] = back ? [other, side] : [side, other]
  stand(s, front)
  behind(s, rear)
  setOn(s, front, 'Hip', { flexion: tilt + STRIDE.front * share, abduction: 0, rotation: 0 })
  setOn(s, front, 'Knee', { flexion: 22 * share })
  setOn(s, rear, 'Hip', { flexion: tilt + STRIDE.back * share, abduction: 0, rotation: 0 })
  setOn(s, rear, 'Knee', { flexion: 4 })
  return true
}

/** Whether the legs stand apart from front to back, and which is in front. */
export function frontLeg(s: Stance): Side | null {
  const placed = placedOf(s)
  const way = ahead(placed)
  const gap = (a: Vec, b: Vec) => {
    const [x, , z] = sub(a, b)
    return x * way[0] + z * way[2]
  }
  const apart = gap(at(placed, 'leftFoot'), at(placed, 'rightFoot'))
  return Math.abs(apart) < 0.18 ? null : apart > 0 ? 'left' : 'right'
}

const wide = (s: Stance) =>
  SIDES.every(
    (side) => get(s, `${side}Hip`, 'abduction') > 18 && touches(s, new RegExp(`^${side} sole$`))
  )

/** A heel drawn up behind: of somebody who stands, or who lies on the belly. */
export function heelToSeat(s: Stance, n: Instruction, side: Side | null): boolean {
  const posture = postureOf(s)
  const there = n.places.some(
    ({ part, relation }) => relation === 'to' && (part === 'hip' || part === 'pelvis')
  )
  if (!side || n.side === 'both' || !['heel', 'foot'].includes(n.part) || !there) return false
  if (posture !== 'prone' && posture !== 'standing') return false
  if (posture === 'standing') {
    freeLeg(s, side)
    setOn(s, side, 'Hip', { flexion: -5, abduction: 0, rotation: 0 })
  } else drop(s, new RegExp(`^${side} (?:top of foot|toes)$`))
  setOn(s, side, 'Knee', { flexion: 120 })
  setOn(s, side, 'Ankle', { dorsiflexion: -30 })
  return true
}

const overAnkle = ({ places }: Instruction, side: Side): boolean =>
  places.some((place) =>
    place.part === 'foot' || place.part === 'ankle'
      ? place.side === side && place.relation === 'over'
      : false
  )

/**
 * How far the knee is bent that stands right over its ankle in a wide stance, the other leg long
 * and both feet down, in degrees; null where the feet are too close, or too far apart, for that.
 */
function kneeOver(s: Stance): number | null {
  const placed = placedOf(s)
  const [x, , z] = sub(at(placed, 'leftFoot'), at(placed, 'rightFoot'))
  const { thigh, shank, hipOut } = s.body
  // The hips stand beside each other on the line of the feet.
  const apart = Math.hypot(x, z) - 2 * hipOut
  const leg = thigh + shank
  // The hip lies on the circle of the long leg round its foot, and on that of the thigh round the knee.
  const knee = [apart, shank] as const
  const away = Math.hypot(...knee)
  if (away >= leg + thigh || away <= leg - thigh) return null
  const along = (leg ** 2 - thigh ** 2 + away ** 2) / (2 * away)
  const off = Math.sqrt(Math.max(0, leg ** 2 - along ** 2))
  const [ux, uy] = [knee[0] / away, knee[1] / away]
  // Of the two places the higher one.
  const hip = [along * ux - off * uy, along * uy + off * ux] as const
  const bent = (Math.atan2(knee[0] - hip[0], hip[1] - knee[1]) * 180) / Math.PI
  return bent > 5 && bent < 110 ? bent : null
}

export function bend(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side) return false
  const posture = postureOf(s)
  if (
    n.part === 'heel' ||
    n.part === 'foot' ||
    ((n.part === 'leg' || n.part === 'knee') && (has(n, 'in') || partIn(n, 'hip')))
  )
    return foldLeg(s, n, side)
  if (!['knee', 'leg', 'hip'].includes(n.part)) return false
  const soft = has(n, 'soft') || (n.amount?.unit === 'part of the way' && n.amount.value! < 0.5)
  const both = n.side === 'both'
  if (thingIn(n, 'floor', 'mat')) return kneeDown(s, side)
  if (partIn(n, 'chest', 'shoulder')) return toChest(s, n, side)
  if (posture === 'supine' || posture === 'bridge') {
    const up = !touches(s, legOf(side))
    if (up) {
      setOn(s, side, 'Knee', { flexion: degreesOf(n, 90) })
      return true
    }
    stand(s, side)
    setOn(s, side, 'Hip', { flexion: 48, abduction: 2, rotation: 0 })
    setOn(s, side, 'Knee', { flexion: 98 })
    setOn(s, side, 'Ankle', { dorsiflexion: 0 })
    return true
  }
  if (posture === 'prone') {
    drop(s, new RegExp(`^${side} (?:top of foot|toes)$`))
    setOn(s, side, 'Knee', { flexion: degreesOf(n, 95) })
    return true
  }
  if (posture === 'seated') {
    stand(s, side)
    setOn(s, side, 'Hip', { flexion: 100 + get(s, 'pelvis', 'tilt'), abduction: 2, rotation: 0 })
    setOn(s, side, 'Knee', { flexion: 105 })
    return true
  }
  if (posture === 'side-lying') {
    setOn(s, side, 'Hip', { flexion: 70 })
    setOn(s, side, 'Knee', { flexion: 80 })
    return true
  }
  const lifted = !touches(s, legOf(side))
  if (lifted) {
    setOn(s, side, 'Knee', { flexion: degreesOf(n, 90) })
    return true
  }
  if (posture === 'hands and feet') {
    const by = soft ? 15 : 35
    setOn(s, side, 'Knee', { flexion: by })
    setOn(s, side, 'Hip', { flexion: get(s, `${side}Hip`, 'flexion') + by * 0.4 })
    return true
  }
  if (soft) {
    setOn(s, side, 'Knee', { flexion: 14 })
    return true
  }
  const front = frontLeg(s)
  const stacked = !both && wide(s) && overAnkle(n, side) ? kneeOver(s) : null
  const knee = degreesOf(n, stacked ?? (both ? 55 : 88))
  if (both) {
    // Both knees: the hips sink back, the trunk leans a little.
    const tilt = Math.max(get(s, 'pelvis', 'tilt'), knee > 40 ? 28 : 12)
    set(s, 'pelvis', { tilt })
    setOn(s, side, 'Knee', { flexion: knee })
    setOn(s, side, 'Hip', { flexion: tilt + knee * 0.55 })
    setOn(s, side, 'Ankle', { dorsiflexion: knee * 0.4 })
    return true
  }
  if (wide(s)) {
    // In a wide stance the thigh goes out over the foot.
    const thigh = stacked === null ? 1 : knee / 80
    setOn(s, side, 'Hip', { flexion: 25 * thigh, abduction: 62 * thigh, rotation: 78 })
    setOn(s, side, 'Knee', { flexion: Math.min(knee, 80) })
    setOn(s, otherSide(side), 'Hip', { abduction: 32 })
    return true
  }
  if (front === side) {
    setOn(s, side, 'Hip', { flexion: get(s, 'pelvis', 'tilt') + knee, abduction: 2, rotation: 0 })
    setOn(s, side, 'Knee', { flexion: knee })
    setOn(s, otherSide(side), 'Hip', { flexion: get(s, 'pelvis', 'tilt') - 28 })
    return true
  }
  if (front !== null) {
    setOn(s, side, 'Knee', { flexion: Math.min(knee, 45) })
    return true
  }
  // One knee, feet side by side: it bends a little under the weight.
  setOn(s, side, 'Knee', { flexion: Math.min(knee, 35) })
  setOn(s, side, 'Hip', { flexion: get(s, 'pelvis', 'tilt') + Math.min(knee, 35) * 0.5 })
  return true
}

/** A leg folded in beside the hip, or to the groin. */
function foldLeg(s: Stance, n: Instruction, side: Side): boolean {
  const posture = postureOf(s)
  if (posture !== 'seated') return false
  freeLeg(s, side)
  put(s, `${side} outer foot`, 'floor')
  const crossing = partIn(n, 'hip')?.side === otherSide(side)
  setOn(
    s,
    side,
    'Hip',
    crossing
      ? { flexion: 66, abduction: 42, rotation: 84 }
      : { flexion: 58, abduction: 58, rotation: 86 }
  )
  setOn(s, side, 'Knee', { flexion: 130 })
  setOn(s, side, 'Ankle', { dorsiflexion: -30 })
  return true
}

/** A knee goes down: the shin lies on the floor. */
export function kneeDown(s: Stance, side: Side): boolean {
  const posture = postureOf(s)
  if (posture === 'supine' || posture === 'seated' || posture === 'side-lying') {
    // It falls out, or across.
    setOn(s, side, 'Hip', { abduction: 48, rotation: 62 })
    return true
  }
  const tilt = get(s, 'pelvis', 'tilt')
  const front = frontLeg(s)
  freeLeg(s, side)
  put(s, `${side} shin`, 'floor')
  setOn(s, side, 'Toes', { extension: 0 })
  setOn(s, side, 'Ankle', { dorsiflexion: -50 })
  if (posture === 'hands and feet') {
    if (SIDES.every((each) => touches(s, new RegExp(`^${each} shin$`))))
      takeStart(s, 'hands-and-knees')
    else {
      setOn(s, side, 'Hip', { flexion: tilt - 10 })
      setOn(s, side, 'Knee', { flexion: 70 })
    }
    return true
  }
  if (front && front !== side) {
    setOn(s, side, 'Hip', { flexion: tilt - 18 })
    setOn(s, side, 'Knee', { flexion: 72 })
  } else {
    setOn(s, side, 'Hip', { flexion: tilt })
    setOn(s, side, 'Knee', { flexion: 90 })
  }
  return true
}

/**
 * What both legs do together and one by one could not: go over the head, fall to one side, stand
 * up from the shoulders. Null when it is nothing of that kind.
 */
export function bothLegs(s: Stance, n: Instruction): boolean | null {
  const posture = postureOf(s)
  const way = n.ways.find((each) => each === 'left' || each === 'right')
  const lying = posture === 'supine' || posture === 'bridge'
  const overHead = n.places.some(
    ({ part, relation }) => part === 'head' && ['over', 'behind', 'past'].includes(relation)
  )
  if (lying && overHead) {
    overTheHead(s)
    return true
  }
  if (posture === 'bridge' && touches(s, /^(?:left|right) toes$/) && n.action === 'lower')
    return true
  if (
    posture === 'bridge' &&
    !touches(s, /sole$/) &&
    ['lift', 'straighten', 'reach'].includes(n.action)
  ) {
    onShoulders(s)
    for (const side of SIDES) freeLeg(s, side)
    return true
  }
  if (
    posture === 'supine' &&
    way &&
    ['lower', 'place', 'shift', 'roll', 'open'].includes(n.action)
  ) {
    acrossTheFloor(s, way)
    return true
  }
  if (posture === 'prone' && n.action === 'lift' && n.part === 'thigh' && touches(s, /palm$/)) {
    // Off the thighs, on hands and feet alone.
    drop(s, /^(?:belly|chest|forehead|left knee|right knee)$/)
    for (const side of SIDES) {
      put(s, `${side} top of foot`, 'floor')
      setOn(s, side, 'Hip', { flexion: -12 })
      setOn(s, side, 'Knee', { flexion: 0 })
    }
    return true
  }
  if (n.action === 'close' && partIn(n, 'chest')) {
    for (const side of SIDES) {
      toChest(s, n, side)
      put(s, `${side} hand`, `${side} shin`, 0.35)
      setOn(s, side, 'Shoulder', { flexion: 50, abduction: 6 })
      setOn(s, side, 'Elbow', { flexion: 55 })
      setOn(s, side, 'Forearm', { pronation: 80 })
    }
    return true
  }
  return null
}

/** Lying on the shoulders, the arms long on the floor, the toes beyond the head. */
function overTheHead(s: Stance): void {
  takeStart(s, 'supine')
  s.contacts = []
  for (const part of ['shoulders', 'head', 'left toes', 'right toes', 'left palm', 'right palm'])
    put(s, part, 'floor')
  set(s, 'pelvis', { tilt: -205 })
  set(s, 'lowBack', { flexion: 35 })
  set(s, 'ribs', { flexion: 40 })
  set(s, 'neck', { flexion: 50 })
  set(s, 'head', { flexion: 20 })
  for (const side of SIDES) {
    setOn(s, side, 'Hip', { flexion: 118, abduction: 0, rotation: 0 })
    setOn(s, side, 'Knee', { flexion: 0 })
    setOn(s, side, 'Ankle', { dorsiflexion: 10 })
    setOn(s, side, 'Toes', { extension: 50 })
    setOn(s, side, 'Shoulder', { flexion: -55, abduction: 0, rotation: 0 })
    setOn(s, side, 'Elbow', { flexion: 0 })
    setOn(s, side, 'Forearm', { pronation: 70 })
  }
}

/** Standing on the shoulders, the hands on the back. */
export function onShoulders(s: Stance): void {
  const knees = SIDES.map((side) => get(s, `${side}Knee`, 'flexion'))
  takeStart(s, 'supine')
  s.contacts = []
  for (const part of ['shoulders', 'head', 'left elbow', 'right elbow']) put(s, part, 'floor')
  set(s, 'pelvis', { tilt: -172 })
  set(s, 'lowBack', { flexion: 8 })
  set(s, 'ribs', { flexion: 32 })
  set(s, 'neck', { flexion: 50 })
  set(s, 'head', { flexion: 20 })
  SIDES.forEach((side, i) => {
    setOn(s, side, 'Hip', { flexion: 8, abduction: 0, rotation: 0 })
    setOn(s, side, 'Knee', { flexion: Math.min(knees[i]!, 100) > 40 ? 60 : 0 })
    setOn(s, side, 'Ankle', { dorsiflexion: -20 })
    setOn(s, side, 'Shoulder', { flexion: -58, abduction: 4, rotation: 0 })
    setOn(s, side, 'Elbow', { flexion: 105 })
    setOn(s, side, 'Forearm', { pronation: 90 })
  })
}

/** Both knees go over to one side, the shoulders stay. */
function acrossTheFloor(s: Stance, way: 'left' | 'right'): void {
  const sign = way === 'left' ? 1 : -1
  s.contacts = []
  for (const part of [`${way} hip`, 'shoulders', 'head', `${way} knee`]) put(s, part, 'floor')
  set(s, 'pelvis', { tilt: 0, lean: 0, turn: 0 })
  set(s, 'pelvis', { lean: 90 * sign, tilt: -42 })
  set(s, 'lowBack', { rotation: -12 * sign, flexion: 0 })
  set(s, 'ribs', { rotation: -40 * sign, flexion: 0 })
  set(s, 'neck', { rotation: -20 * sign, flexion: 0 })
  for (const side of SIDES) {
    setOn(s, side, 'Hip', { flexion: 78, abduction: 0, rotation: 0 })
    setOn(s, side, 'Knee', { flexion: 85 })
    setOn(s, side, 'Shoulder', { flexion: 0, abduction: 85, rotation: 0 })
    setOn(s, side, 'Elbow', { flexion: 0 })
  }
}

export function straighten(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side) return false
  const posture = postureOf(s)
  setOn(s, side, 'Knee', { flexion: 2 })
  if (thingIn(n, 'ceiling') || has(n, 'up')) return lift(s, { ...n, part: 'leg' }, side)
  if (
    posture === 'seated' &&
    !touches(s, legOf(side)) &&
    !has(n, 'down', 'out', 'forward', 'long') &&
    n.places.length === 0
  ) {
    setOn(s, side, 'Hip', {
      flexion: 92 + Math.min(0, get(s, 'pelvis', 'tilt') + 32),
      abduction: 0,
      rotation: 0,
    })
    return true
  }
  if (posture === 'seated') {
    freeLeg(s, side)
    put(s, `${side} heel`, 'floor')
    const abduction = has(n, 'out') || thingIn(n, 'side') ? 38 : 0
    setOn(s, side, 'Hip', { flexion: 88 + get(s, 'pelvis', 'tilt'), abduction, rotation: 0 })
    setOn(s, side, 'Ankle', { dorsiflexion: 5 })
    return true
  }
  const lifted = !touches(s, legOf(side))
  if (posture === 'supine') {
    if (!lifted || has(n, 'down') || thingIn(n, 'floor', 'mat')) longOnFloor(s, side)
    return true
  }
  if (posture === 'hands and feet') {
    stand(s, side)
    setOn(s, side, 'Hip', { flexion: get(s, 'pelvis', 'tilt') - 34 })
    setOn(s, side, 'Ankle', { dorsiflexion: 22 })
    return true
  }
  if (posture === 'fours') {
    if (lifted) setOn(s, side, 'Hip', { flexion: get(s, 'pelvis', 'tilt') - 90 })
    else longBehind(s, side)
    return true
  }
  if (posture === 'kneeling' && touches(s, new RegExp(`^${side} shin$`))) {
    // A shin that lies on the floor first comes off it.
    if (has(n, 'out') || thingIn(n, 'side')) return step(s, { ...n, ways: ['out'] }, side)
    if (!has(n, 'forward') || !step(s, n, side)) return false
    setOn(s, side, 'Hip', { flexion: get(s, 'pelvis', 'tilt') + 45 })
    setOn(s, side, 'Knee', { flexion: 2 })
    return true
  }
  if (posture === 'standing' && !lifted) {
    const front = frontLeg(s)
    const tilt = get(s, 'pelvis', 'tilt')
    if (wide(s) || get(s, `${side}Hip`, 'abduction') > 40) {
      setOn(s, side, 'Hip', { flexion: tilt * 0.9, abduction: 27 })
      setOn(s, otherSide(side), 'Hip', { abduction: 27 })
    } else if (front === side) setOn(s, side, 'Hip', { flexion: tilt + 32 })
    else if (front) setOn(s, side, 'Hip', { flexion: tilt - 26 })
    else setOn(s, side, 'Hip', { flexion: tilt })
  }
  return true
}

/** A leg long on the floor, lying on the back. */
export function longOnFloor(s: Stance, side: Side): void {
  freeLeg(s, side)
  put(s, `${side} heel`, 'floor')
  setOn(s, side, 'Hip', { flexion: 0, abduction: 3, rotation: 0 })
  setOn(s, side, 'Knee', { flexion: 0 })
  setOn(s, side, 'Ankle', { dorsiflexion: 5 })
}

export function lift(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side) return false
  const posture = postureOf(s)
  const apart = wide(s)
  if (n.part === 'toes') return true
  if (heelToSeat(s, n, side)) return true
  if (n.part === 'heel') {
    if (!touches(s, new RegExp(`^${side} (?:sole|heel)$`))) return false
    freeLeg(s, side)
    put(s, `${side} toes`, 'floor')
    // Under an upright leg the foot is as steep as its toes are bent.
    const upright =
      [get(s, `${side}Hip`, 'flexion'), get(s, `${side}Knee`, 'flexion')].every(
        (angle) => Math.abs(angle) < 12
      ) && Math.abs(get(s, 'pelvis', 'tilt')) < 12
    setOn(s, side, 'Ankle', { dorsiflexion: upright ? -30 : -18 })
    setOn(s, side, 'Toes', { extension: upright ? 30 : 40 })
    return true
  }
  if (posture === 'fours' && n.part === 'knee' && n.side === 'both') {
    // The knees hover over tucked toes.
    for (const each of SIDES) {
      freeLeg(s, each)
      put(s, `${each} toes`, 'floor')
      setOn(s, each, 'Ankle', { dorsiflexion: 15 })
      setOn(s, each, 'Toes', { extension: 65 })
      setOn(s, each, 'Knee', { flexion: 78 })
      setOn(s, each, 'Hip', { flexion: 84 })
    }
    return true
  }
  const wall = n.places.find(({ thing }) => thing === 'wall')
  if (wall) return upTheWall(s)
  freeLeg(s, side)
  const knee = n.part === 'knee' || n.part === 'thigh'
  if (posture === 'supine' || posture === 'bridge') {
    const bent = knee && !has(n, 'straight')
    setOn(s, side, 'Hip', { flexion: degreesOf(n, 88), abduction: 0, rotation: 0 })
    setOn(s, side, 'Knee', {
      flexion: bent ? 90 : n.part === 'foot' ? get(s, `${side}Knee`, 'flexion') : 3,
    })
    setOn(s, side, 'Ankle', { dorsiflexion: 6 })
    return true
  }
  if (posture === 'prone') {
    setOn(s, side, 'Hip', { flexion: -18 * shareOf(n) })
    if (!knee) setOn(s, side, 'Knee', { flexion: 3 })
    return true
  }
  if (posture === 'side-lying') {
    setOn(s, side, 'Hip', { flexion: 0, abduction: degreesOf(n, 40) })
    setOn(s, side, 'Knee', { flexion: 2 })
    return true
  }
  const placed = placedOf(s)
  const way = ahead(placed)
  if (posture === 'fours' || posture === 'hands and feet') {
    // Back and level, or on in the line of the trunk.
    const high = posture === 'hands and feet' && !(s.angles && get(s, 'pelvis', 'tilt') < 100)
    setOn(s, side, 'Knee', { flexion: knee ? 90 : 2 })
    setOn(s, side, 'Ankle', { dorsiflexion: -20 })
    if (high) setOn(s, side, 'Hip', { flexion: -8, abduction: 0 })
    else if (has(n, 'out')) setOn(s, side, 'Hip', { flexion: 70, abduction: 50 })
    else aimLeg(s, side, [-way[0], 0.02, -way[2]])
    return true
  }
  if (posture === 'seated') {
    const tilt = get(s, 'pelvis', 'tilt')
    // Bent, the feet come off the floor only when the thighs are steeper.
    const bent = n.part !== 'leg' && get(s, `${side}Knee`, 'flexion') > 45
    if (n.side === 'both') {
      set(s, 'pelvis', { tilt: -32 })
      setOn(s, side, 'Hip', { flexion: bent ? 104 : 78 })
      if (bent) setOn(s, side, 'Knee', { flexion: 88 })
    } else setOn(s, side, 'Hip', { flexion: 104 + tilt })
    if (knee) setOn(s, side, 'Knee', { flexion: 90 })
    else if (n.part === 'leg') setOn(s, side, 'Knee', { flexion: 3 })
    return true
  }
  const tilt = get(s, 'pelvis', 'tilt')
  if (
    Math.abs(get(s, 'pelvis', 'lean')) > 12 ||
    (apart && !knee && level(n) && !has(n, 'forward', 'back'))
  ) {
    // Leaning out over one leg: the other goes up in line with the trunk.
    const foot = otherSide(side)
    const sign = foot === 'left' ? 1 : -1
    set(s, 'pelvis', { lean: 78 * sign, tilt: 0 })
    set(s, 'lowBack', { lateralFlexion: 2 * sign })
    set(s, 'ribs', { lateralFlexion: 2 * sign })
    stand(s, foot)
    setOn(s, foot, 'Hip', { flexion: 0, abduction: 72, rotation: 60 })
    setOn(s, foot, 'Knee', { flexion: 12 })
    setOn(s, side, 'Hip', { flexion: 0, abduction: 14, rotation: 0 })
    setOn(s, side, 'Knee', { flexion: 0 })
    return true
  }
  if (
    has(n, 'back') ||
    n.places.some(({ relation, thing }) => relation === 'behind' && thing === 'you') ||
    frontLeg(s) === otherSide(side)
  ) {
    // The trunk tips forward as far as the leg goes up behind.
    if (level(n) || tilt > 40) {
      const front = otherSide(side)
      set(s, 'pelvis', { tilt: 84 })
      setOn(s, front, 'Hip', { flexion: 84 })
      setOn(s, front, 'Knee', { flexion: 4 })
      stand(s, front)
      setOn(s, side, 'Hip', { flexion: -4, abduction: 0, rotation: 0 })
    } else setOn(s, side, 'Hip', { flexion: -25 })
    setOn(s, side, 'Knee', { flexion: knee ? 70 : 2 })
    return true
  }
  if (has(n, 'out') || thingIn(n, 'side')) {
    setOn(s, side, 'Hip', { flexion: 0, abduction: degreesOf(n, 42) })
    setOn(s, side, 'Knee', { flexion: 2 })
    return true
  }
  setOn(s, side, 'Hip', {
    flexion: tilt + degreesOf(n, level(n) || knee ? 90 : 45),
    abduction: 0,
    rotation: 0,
  })
  setOn(s, side, 'Knee', { flexion: knee ? 92 : n.part === 'foot' ? 50 : 2 })
  return true
}

/** Lying on the back, legs up a wall. */
export function upTheWall(s: Stance): boolean {
  takeStart(s, 'supine')
  for (const side of SIDES) {
    freeLeg(s, side)
    put(s, `${side} heel`, 'wall')
    setOn(s, side, 'Hip', { flexion: 90, abduction: 0, rotation: 0 })
    setOn(s, side, 'Knee', { flexion: 2 })
    setOn(s, side, 'Ankle', { dorsiflexion: 0 })
    setOn(s, side, 'Shoulder', { flexion: 0, abduction: 45 })
  }
  s.wall = 0.09
  return true
}

/** Whether a part comes level with the floor, or with another one. */
const level = (n: Instruction) =>
  has(n, 'level') ||
  n.places.some(({ relation }) => relation === 'level with' || relation === 'parallel to')

export function lower(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side) return false
  const posture = postureOf(s)
  if (n.part === 'knee') return kneeDown(s, side)
  if (n.part === 'toes') return true
  if (n.part === 'heel') {
    if (touches(s, new RegExp(`^${side} toes$`))) {
      stand(s, side)
      setOn(s, side, 'Ankle', { dorsiflexion: 12 })
    }
    return true
  }
  if (n.part === 'thigh') return true
  if (posture === 'supine') {
    if (n.part === 'foot' && get(s, `${side}Knee`, 'flexion') > 45) {
      stand(s, side)
      setOn(s, side, 'Hip', { flexion: 48 })
      setOn(s, side, 'Knee', { flexion: 98 })
    } else if (shareOf(n) < 1 || n.amount?.unit === 'deg')
      setOn(s, side, 'Hip', { flexion: n.amount?.unit === 'deg' ? n.amount.value! : 45 })
    else longOnFloor(s, side)
    return true
  }
  if (posture === 'prone') {
    put(s, `${side} knee`, 'floor')
    put(s, `${side} top of foot`, 'floor')
    setOn(s, side, 'Hip', { flexion: 0 })
    setOn(s, side, 'Knee', { flexion: 0 })
    return true
  }
  if (posture === 'fours') {
    put(s, `${side} shin`, 'floor')
    setOn(s, side, 'Hip', { flexion: get(s, 'pelvis', 'tilt'), abduction: 0 })
    setOn(s, side, 'Knee', { flexion: 90 })
    return true
  }
  if (posture === 'seated') return straighten(s, n, side)
  return setDown(s, side)
}

/** A foot comes down beside the other, its leg long. */
export function setDown(s: Stance, side: Side): boolean {
  stand(s, side)
  setOn(s, side, 'Hip', { flexion: get(s, 'pelvis', 'tilt'), abduction: 0, rotation: 0 })
  setOn(s, side, 'Knee', { flexion: 0 })
  setOn(s, side, 'Ankle', { dorsiflexion: 0, eversion: 0 })
  return true
}

const ALONG: Record<string, [limb: string, along: number]> = {
  ankle: ['shin', 0.94],
  shin: ['shin', 0.4],
  knee: ['thigh', 0.92],
  thigh: ['thigh', 0.62],
  foot: ['foot', 0.5],
  hip: ['thigh', 0.2],
}

export function placeLeg(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side) return false
  const posture = postureOf(s)
  const other = otherSide(side)
  const on = n.places.find(
    ({ part, side: of, relation }) =>
      part !== undefined &&
      ALONG[part] !== undefined &&
      of === other &&
      ['on', 'to', 'against', 'inside', 'over'].includes(relation)
  )
  const foot = ['foot', 'heel', 'ankle', 'toes', 'shin', 'leg'].includes(n.part)
  if (on && foot) {
    const [limb, along] = ALONG[on.part!]!
    if (posture === 'standing') {
      freeLeg(s, side)
      setOn(s, other, 'Hip', { flexion: get(s, 'pelvis', 'tilt'), abduction: -4, rotation: 0 })
      if (n.part === 'ankle') {
        put(s, `${side} outer foot`, `${other} ${limb}`, along)
        setOn(s, side, 'Hip', { flexion: 80, abduction: 40, rotation: 70 })
        setOn(s, side, 'Knee', { flexion: 95 })
        return true
      }
      put(s, `${side} sole`, `${other} ${limb}`, along)
      const high = limb === 'thigh'
      setOn(s, side, 'Hip', { flexion: high ? 38 : 28, abduction: high ? 62 : 42, rotation: 62 })
      setOn(s, side, 'Knee', { flexion: high ? 128 : 78 })
      setOn(s, side, 'Ankle', { dorsiflexion: -25 })
      return true
    }
    if (posture === 'seated' && on.relation === 'inside') return foldLeg(s, n, side)
    if (posture === 'seated' || posture === 'supine') {
      freeLeg(s, side)
      put(s, `${side} outer foot`, `${other} thigh`, on.part === 'hip' ? 0.3 : 0.84)
      setOn(s, side, 'Hip', { flexion: 88, abduction: 42, rotation: 72 })
      setOn(s, side, 'Knee', { flexion: 98 })
      return true
    }
  }
  const propOn = n.places.find(
    ({ relation, thing }) => relation === 'on' && thing && !['floor', 'mat', 'wall'].includes(thing)
  )
  if (propOn && foot) {
    freeLeg(s, side)
    put(
      s,
      `${side} ${posture === 'supine' ? 'calf' : n.part === 'heel' ? 'heel' : 'sole'}`,
      surfaceOf(propOn.thing!)
    )
    if (posture === 'supine') {
      setOn(s, side, 'Hip', { flexion: propOn.thing === 'chair' ? 90 : 35 })
      setOn(s, side, 'Knee', { flexion: propOn.thing === 'chair' ? 90 : 45 })
    }
    return true
  }
  if (thingIn(n, 'wall')) {
    if (posture === 'supine' && n.part !== 'foot') return upTheWall(s)
    return false
  }
  if (n.part === 'knee' && (thingIn(n, 'floor', 'mat') || has(n, 'down'))) return kneeDown(s, side)
  if (
    n.part === 'knee' &&
    n.places.some((place) => place.part === 'knee' && place.side === other)
  ) {
    // A knee comes back beside the other.
    if (posture === 'kneeling' || posture === 'fours') {
      freeLeg(s, side)
      put(s, `${side} shin`, 'floor')
      setOn(s, side, 'Hip', {
        flexion: get(s, `${other}Hip`, 'flexion'),
        abduction: 0,
        rotation: 0,
      })
      setOn(s, side, 'Knee', { flexion: get(s, `${other}Knee`, 'flexion') })
      setOn(s, side, 'Ankle', { dorsiflexion: -55 })
      return true
    }
    return false
  }
  if (
    n.part === 'knee' &&
    (posture === 'fours' || posture === 'hands and feet') &&
    (has(n, 'forward') || partIn(n, 'wrist', 'hand'))
  ) {
    // The shin lies across the mat before the hip.
    freeLeg(s, side)
    put(s, `${side} outer foot`, 'floor')
    put(s, `${side} hip`, 'floor')
    set(s, 'pelvis', { tilt: 30 })
    setOn(s, side, 'Hip', { flexion: 105, abduction: 30, rotation: 75 })
    setOn(s, side, 'Knee', { flexion: 105 })
    setOn(s, side, 'Ankle', { dorsiflexion: -10 })
    freeLeg(s, other)
    put(s, `${other} knee`, 'floor')
    put(s, `${other} top of foot`, 'floor')
    setOn(s, other, 'Hip', { flexion: -20 })
    setOn(s, other, 'Knee', { flexion: 12 })
    setOn(s, other, 'Ankle', { dorsiflexion: -55 })
    for (const each of SIDES) setOn(s, each, 'Shoulder', { flexion: 35 })
    return true
  }
  if (n.part === 'knee' && has(n, 'forward')) {
    setOn(s, side, 'Hip', { abduction: 0, rotation: 0, flexion: 60 })
    return true
  }
  if (n.part === 'knee' && partIn(n, 'chest', 'shoulder', 'forearm', 'arm'))
    return toChest(s, n, side)
  if (!foot) return false
  if (posture === 'seated') {
    // The foot stands on the floor before the seat, or across the other leg.
    freeLeg(s, side)
    put(s, `${side} sole`, 'floor')
    const beyond = n.places.some(
      ({ relation, side: of }) => ['outside', 'over'].includes(relation) && of === other
    )
    const tilt = get(s, 'pelvis', 'tilt')
    setOn(
      s,
      side,
      'Hip',
      beyond
        ? { flexion: 112 + tilt, abduction: -8, rotation: 0 }
        : { flexion: 102 + tilt, abduction: 2, rotation: 0 }
    )
    setOn(s, side, 'Knee', { flexion: beyond ? 112 : 105 })
    setOn(s, side, 'Ankle', { dorsiflexion: 0 })
    return true
  }
  if (posture === 'supine') {
    stand(s, side)
    setOn(s, side, 'Hip', { flexion: 48, abduction: 3, rotation: 0 })
    setOn(s, side, 'Knee', { flexion: 98 })
    setOn(s, side, 'Ankle', { dorsiflexion: 0 })
    return true
  }
  if (has(n, 'forward') || n.places.some(({ part }) => part === 'hand'))
    return step(s, { ...n, ways: ['forward'] }, side)
  if (posture === 'side-lying') return true
  if (has(n, 'apart')) {
    const wideApart = n.amount?.unit === 'leg lengths'
    setOn(s, side, 'Hip', { abduction: wideApart ? 27 : 4 })
    return true
  }
  if (posture === 'standing') {
    if (touches(s, new RegExp(`^${side} sole$`)) && n.side === 'both') return true
    return setDown(s, side)
  }
  if (posture === 'kneeling') return step(s, { ...n, ways: ['forward'] }, side)
  return false
}

/** The surface of a figure that a prop is. */
export const surfaceOf = (thing: string): string =>
  thing === 'block' ? 'block low' : thing === 'mat' ? 'floor' : thing

/** A knee drawn to the chest. */
export function toChest(s: Stance, n: Instruction, side: Side): boolean {
  const posture = postureOf(s)
  if (posture === 'fours' || posture === 'hands and feet') {
    freeLeg(s, side)
    setOn(s, side, 'Hip', { flexion: 122, abduction: 0 })
    setOn(s, side, 'Knee', { flexion: 118 })
    return true
  }
  freeLeg(s, side)
  setOn(s, side, 'Hip', { flexion: 122, abduction: n.side === 'both' ? 8 : 2, rotation: 0 })
  setOn(s, side, 'Knee', { flexion: 132 })
  return true
}

export function cross(s: Stance, n: Instruction, side: Side | null): boolean {
  const posture = postureOf(s)
  if (n.side === 'both' || !side) {
    if (posture === 'seated' && n.side === 'both') {
      // As one begins in it: the leg that leads is in front.
      const tilt = get(s, 'pelvis', 'tilt')
      const seat = startFigure('cross-legged')!.angles
      for (const side of SIDES) {
        const as = side === (s.lead ?? 'right') ? 'right' : 'left'
        freeLeg(s, side)
        put(s, `${side} outer foot`, 'floor')
        for (const joint of ['Hip', 'Knee', 'Ankle'])
          setOn(s, side, joint, seat[`${as}${joint}`] as Record<string, number>)
        setOn(s, side, 'Hip', { flexion: get(s, `${side}Hip`, 'flexion') + tilt })
      }
      return true
    }
    return false
  }
  const other = otherSide(side)
  const beyond = n.places.find(
    ({ relation, part }) =>
      relation === 'in front of' ||
      relation === 'behind' ||
      (relation === 'over' && (part === 'ankle' || part === 'foot'))
  )
  if (posture === 'standing' && beyond && ['foot', 'ankle', 'leg'].includes(n.part)) {
    // The foot comes down beyond the other one, at its outer side.
    stand(s, side)
    const way = beyond.relation === 'behind' ? -1 : 1
    const tilt = get(s, 'pelvis', 'tilt')
    setOn(s, side, 'Hip', { flexion: tilt + 12 * way, abduction: -14, rotation: 0 })
    setOn(s, other, 'Hip', { flexion: tilt - 6 * way, abduction: -6, rotation: 0 })
    setOn(s, side, 'Knee', { flexion: 2 })
    return true
  }
  if (n.part === 'ankle' || n.part === 'shin' || n.part === 'foot') {
    return placeLeg(
      s,
      {
        ...n,
        part: n.part,
        places:
          n.places.length > 0
            ? n.places.map((place) => ({
                ...place,
                relation: 'on' as const,
                side: place.side ?? other,
              }))
            : [{ relation: 'on', part: 'thigh', word: 'thigh', side: other }],
      },
      side
    )
  }
  // A thigh over the other one, standing on a bent leg.
  if (posture === 'standing') {
    freeLeg(s, side)
    setOn(s, side, 'Hip', { flexion: 62, abduction: -22, rotation: 0 })
    setOn(s, side, 'Knee', { flexion: 85 })
    setOn(s, other, 'Knee', { flexion: 40 })
    setOn(s, other, 'Hip', { flexion: 38 })
    set(s, 'pelvis', { tilt: 14 })
    return true
  }
  if (posture === 'supine' || posture === 'seated') {
    setOn(s, side, 'Hip', { abduction: -22 })
    return true
  }
  return false
}

/** Knees or feet come together, or the knees are hugged in. */
export function close(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side) return false
  const posture = postureOf(s)
  if (n.part === 'knee' && partIn(n, 'chest')) return toChest(s, n, side)
  if (n.spot === 'sole') {
    if (posture !== 'seated' && posture !== 'supine') return false
    freeLeg(s, side)
    put(s, `${side} outer foot`, 'floor')
    const tilt = posture === 'seated' ? get(s, 'pelvis', 'tilt') : 0
    setOn(
      s,
      side,
      'Hip',
      posture === 'seated'
        ? { flexion: 70 + tilt, abduction: 52, rotation: 88 }
        : { flexion: 42, abduction: 52, rotation: 70 }
    )
    setOn(s, side, 'Knee', { flexion: posture === 'seated' ? 136 : 104 })
    setOn(s, side, 'Ankle', { dorsiflexion: -10 })
    return true
  }
  if (n.part === 'toes' && posture === 'heel seat') return true
  if (n.part === 'elbow' || n.part === 'shoulder') return true
  setOn(s, side, 'Hip', { abduction: 0, rotation: Math.min(0, get(s, `${side}Hip`, 'rotation')) })
  return true
}

/** Knees fall open; legs go apart. */
export function open(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side) return false
  const posture = postureOf(s)
  const leg = n.part === 'leg' || n.part === 'foot'
  const little =
    n.amount?.narrow ||
    (has(n, 'apart') &&
      n.part === 'foot' &&
      !n.amount &&
      n.action === 'spread' &&
      posture === 'standing' &&
      !has(n, 'out'))
  if (posture === 'heel seat' || posture === 'kneeling') {
    if (n.part !== 'knee') return false
    setOn(s, side, 'Hip', { abduction: posture === 'heel seat' ? (has(n, 'apart') ? 6 : 24) : 4 })
    return true
  }
  if (posture === 'supine' || posture === 'bridge') {
    if (leg && n.part === 'leg' && !touches(s, legOf(side)))
      setOn(s, side, 'Hip', {
        abduction: n.side === 'both' ? 45 : 55,
        flexion: n.side === 'both' ? get(s, `${side}Hip`, 'flexion') : 75,
        rotation: 40,
      })
    else if (leg) setOn(s, side, 'Hip', { abduction: 12, rotation: 25 })
    else setOn(s, side, 'Hip', { abduction: 48, rotation: 62 })
    return true
  }
  if (posture === 'seated') {
    if (n.part === 'knee') setOn(s, side, 'Hip', { abduction: 54, rotation: 88 })
    else {
      freeLeg(s, side)
      put(s, `${side} heel`, 'floor')
      setOn(s, side, 'Hip', { flexion: 88 + get(s, 'pelvis', 'tilt'), abduction: 42, rotation: 0 })
      setOn(s, side, 'Knee', { flexion: 2 })
    }
    return true
  }
  if (posture === 'prone') {
    setOn(s, side, 'Hip', { abduction: has(n, 'out') ? 18 : 5 })
    return true
  }
  if (posture === 'standing' && leg) {
    const by = little ? 4 : 27
    if (Math.abs(get(s, `${side}Hip`, 'abduction') - by) > 1)
      setOn(s, side, 'Hip', { abduction: by })
    return true
  }
  if (posture === 'fours' && n.part === 'knee') {
    setOn(s, side, 'Hip', { abduction: has(n, 'apart') ? 4 : 35 })
    return true
  }
  if (posture === 'side-lying' && side) {
    setOn(s, side, 'Hip', { abduction: 35, rotation: 40 })
    return true
  }
  if (posture === 'standing' && n.part === 'knee' && !touches(s, legOf(side))) kneeOut(s, side)
  else setOn(s, side, 'Hip', { rotation: 40 })
  return true
}

/** A knee that is up goes out to its side, the foot beneath it. */
function kneeOut(s: Stance, side: Side): void {
  setOn(s, side, 'Hip', { abduction: 50, rotation: 20 })
}

/** A leg turns in its hip: the foot out, the knee in. */
export function turnLeg(s: Stance, n: Instruction, side: Side | null, out: boolean): boolean {
  if (!side) return false
  const posture = postureOf(s)
  const lifted = posture === 'standing' && !touches(s, legOf(side))
  const both = n.side === 'both'
  const usual = !out ? -15 : n.part === 'knee' && !wide(s) ? 50 : both ? 25 : wide(s) ? 85 : 40
  const amount =
    n.amount?.unit === 'deg' ? n.amount.value! * (out ? 1 : -1) : usual * (shareOf(n) < 1 ? 0.4 : 1)
  setOn(s, side, 'Hip', { rotation: amount })
  if (out && n.part === 'knee' && lifted) {
    kneeOut(s, side)
    return true
  }
  if (out && n.part === 'knee' && posture === 'standing' && !lifted && !wide(s)) {
    // The knee goes out with the heel off the floor: the weight is on the other leg.
    freeLeg(s, side)
    put(s, `${side} toes`, 'floor')
    setOn(s, side, 'Hip', { flexion: 25, abduction: 30, rotation: 50 })
    setOn(s, side, 'Knee', { flexion: 55 })
    setOn(s, side, 'Toes', { extension: 40 })
    return true
  }
  // A back foot that turns comes down flat.
  if (!out || n.part === 'foot' || n.part === 'toes')
    if (posture === 'standing' && touches(s, new RegExp(`^${side} toes$`)) && !has(n, 'up'))
      stand(s, side)
  return true
}

export function rotateLeg(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side) return false
  if (thingIn(n, 'short edge', 'front of the mat')) return turnLeg(s, n, side, true)
  if (has(n, 'forward')) {
    setOn(s, side, 'Hip', { rotation: 0 })
    return true
  }
  const way = n.ways.find((each) => each === 'left' || each === 'right')
  if (way) return turnLeg(s, n, side, way === side)
  return has(n, 'out', 'up', 'in', 'level', 'down') || n.places.length > 0
}

export function ankle(s: Stance, n: Instruction, side: Side | null, dorsiflexion: number): boolean {
  if (!side) return false
  if (!touches(s, new RegExp(`^${side} (?:sole|toes)$`))) setOn(s, side, 'Ankle', { dorsiflexion })
  return true
}

export function tuckToes(s: Stance, side: Side | null): boolean {
  if (!side) return false
  if (touches(s, new RegExp(`^${side} top of foot$`))) {
    drop(s, new RegExp(`^${side} top of foot$`))
    put(s, `${side} toes`, 'floor')
    setOn(s, side, 'Ankle', { dorsiflexion: 15 })
    setOn(s, side, 'Toes', { extension: 60 })
  }
  return true
}

export function slideLeg(s: Stance, n: Instruction, side: Side | null): boolean {
  if (!side) return false
  const posture = postureOf(s)
  if (posture === 'supine') {
    if (has(n, 'up', 'in') || partIn(n, 'hip'))
      return bend(s, { ...n, action: 'bend', part: 'knee', ways: [], places: [] }, side)
    longOnFloor(s, side)
    return true
  }
  if (posture === 'pigeon') return true
  if (posture === 'seated') return straighten(s, n, side)
  if (posture === 'fours' || posture === 'kneeling') {
    if (!has(n, 'back', 'long')) return false
    setOn(s, side, 'Hip', { flexion: get(s, 'pelvis', 'tilt') - 70 })
    setOn(s, side, 'Knee', { flexion: 20 })
    return true
  }
  if (posture === 'standing') return step(s, { ...n, action: 'step' }, side)
  return false
}

export function walk(s: Stance, n: Instruction): boolean {
  const posture = postureOf(s)
  if (['hand', 'fingers', 'arm'].includes(n.part)) {
    if (has(n, 'back') || partIn(n, 'foot', 'knee', 'leg')) {
      if (posture === 'fours') {
        takeStart(s, 'heel-seat')
        return true
      }
      if (posture === 'hands and feet') {
        takeStart(s, 'standing-fold')
        return true
      }
      if (posture === 'seated') {
        tipTo(s, 0)
        for (const side of SIDES) hang(s, side)
        return true
      }
    }
    if (has(n, 'forward')) {
      if (posture === 'fours' || posture === 'heel seat') {
        for (const side of SIDES) {
          put(s, `${side} palm`, 'floor')
          setOn(s, side, 'Shoulder', { flexion: 160, rotation: 0 })
        }
        set(s, 'pelvis', { tilt: 112 })
        for (const side of SIDES) setOn(s, side, 'Hip', { flexion: 110 })
        return true
      }
      if (posture === 'standing' && get(s, 'pelvis', 'tilt') > 50) {
        takeStart(s, 'dog')
        return true
      }
      if (posture === 'seated') {
        tipTo(s, 40)
        for (const side of SIDES) setOn(s, side, 'Shoulder', { flexion: 130 })
        return true
      }
    }
    return false
  }
  if (has(n, 'together') && posture === 'standing') {
    together(s)
    return true
  }
  if (has(n, 'apart', 'out') && posture === 'standing') {
    astride(s)
    return true
  }
  if (posture === 'hands and feet' && (has(n, 'forward', 'in') || partIn(n, 'hand'))) {
    if (partIn(n, 'hand')) takeStart(s, 'standing-fold')
    return true
  }
  if (posture === 'standing' && has(n, 'back') && touches(s, /palm$/, /^(?:wall|chair)$/))
    return true
  if (posture === 'standing' && has(n, 'back') && get(s, 'pelvis', 'tilt') > 50) {
    takeStart(s, 'plank')
    return true
  }
  return false
}
