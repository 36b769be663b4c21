import { otherSide, type Side } from '../../card'
import type { Instruction } from '../../language'
import { onShoulders } from './legs'
import {
  ANY_ARM,
  carrying,
  curve,
  drop,
  freeArm,
  get,
  hang,
  legOf,
  postureOf,
  put,
  set,
  setOn,
  SIDES,
  type Stance,
  takeStart,
  tipTo,
  touches,
} from './stance'
import { degreesOf, has, shareOf, thingIn } from './told'

/** How far each movement of the trunk goes when the words do not say: common practice, no source. */

const signOf = (n: Instruction): number => (has(n, 'left') ? 1 : has(n, 'right') ? -1 : 0)

/** Turns the ribs towards a side, the low back and the neck with them. */
export function turnTrunk(s: Stance, side: Side, share: number, head = true): void {
  const sign = side === 'left' ? 1 : -1
  set(s, 'lowBack', { rotation: 11 * share * sign })
  set(s, 'ribs', { rotation: 37 * share * sign })
  if (head) set(s, 'neck', { rotation: 35 * share * sign })
}

export function twist(s: Stance, n: Instruction): boolean {
  if (has(n, 'middle')) return unwind(s)
  const [own] = SIDES.filter((side) => side === n.side)
  // The left ribs turn to the right thigh, and forward: away from their own side.
  const to = n.places.find(({ side }) => side === 'left' || side === 'right')?.side
  const turned =
    own && (has(n, 'back') ? own : has(n, 'forward') ? otherSide(own) : to === own ? undefined : to)
  const sign = signOf(n) || (turned === 'left' ? 1 : turned === 'right' ? -1 : 0)
  if (own && sign === 0) return true
  // More of the turn that there is already.
  if (sign === 0) return get(s, 'ribs', 'rotation') !== 0
  turnTrunk(s, sign > 0 ? 'left' : 'right', degreesOf(n, 48) / 48)
  return true
}

export function unwind(s: Stance): boolean {
  for (const joint of ['lowBack', 'ribs', 'neck']) set(s, joint, { rotation: 0 })
  for (const joint of ['lowBack', 'ribs', 'neck']) set(s, joint, { lateralFlexion: 0 })
  // What held the turn lets go.
  drop(s, ANY_ARM, /thigh|shin|foot|upper arm|forearm/)
  return true
}

/** How far a fold goes, by what carries the body: tip of the pelvis, low back, ribs, neck. */
const FOLDS: Partial<
  Record<ReturnType<typeof postureOf>, [tilt: number, lowBack: number, ribs: number, neck: number]>
> = {
  standing: [95, 25, 25, 10],
  kneeling: [70, 18, 18, 8],
  pigeon: [70, 20, 20, 10],
  seated: [38, 22, 24, 14],
  'heel seat': [62, 30, 24, 12],
}

export function fold(s: Stance, n: Instruction): boolean {
  const posture = postureOf(s)
  const whole = FOLDS[posture]
  if (!whole) return false
  const share = n.amount?.unit === 'deg' ? Math.min(1, n.amount.value! / 90) : shareOf(n)
  const [tilt, lowBack, ribs, neck] = whole
  if (posture === 'heel seat') return foldOnHeels(s, n)
  if (posture === 'pigeon') return foldOverShin(s)
  if (posture === 'standing' && touches(s, /palm$/, /^wall$/)) {
    // Hands on a wall: the back comes level between them and the hips.
    tipTo(s, 84)
    curve(s, 0, 0, 6)
    for (const side of SIDES)
      setOn(s, side, 'Shoulder', { flexion: 172, abduction: 0, rotation: 0 })
    s.wall = 0.76
    return true
  }
  const flat = has(n, 'long', 'straight', 'level')
  tipTo(s, tilt * (share < 1 ? Math.max(share, 0.3) : 1))
  const round = flat || share < 1 ? 0.2 : 1
  curve(s, lowBack * round, ribs * round, neck * round)
  for (const side of SIDES) {
    if (touches(s, new RegExp(`^${side} (?:palm|hand|fingertips|forearm|elbow)$`))) continue
    // Hands on the hips or behind the back stay there.
    const behind = get(s, `${side}Shoulder`, 'flexion') < -4
    if (behind && (posture === 'standing' || get(s, `${side}Elbow`, 'flexion') > 60)) continue
    // Arms that hang go on hanging; seated they reach for the feet.
    if (get(s, `${side}Shoulder`, 'flexion') > 120 && posture === 'standing') continue
    setOn(s, side, 'Shoulder', {
      flexion: posture === 'seated' ? 120 : Math.min(140, tilt * share + 45),
      abduction: 4,
      rotation: 0,
    })
    setOn(s, side, 'Elbow', { flexion: posture === 'seated' ? 20 : 5 })
  }
  return true
}

/** Forward over a shin that lies before the body, on the forearms. */
function foldOverShin(s: Stance): boolean {
  tipTo(s, 62)
  curve(s, 18, 18, 10)
  for (const side of SIDES) {
    freeArm(s, side)
    put(s, `${side} forearm`, 'floor')
    setOn(s, side, 'Shoulder', { flexion: 110, abduction: 8, rotation: 0 })
    setOn(s, side, 'Elbow', { flexion: 70 })
    setOn(s, side, 'Forearm', { pronation: 160 })
    setOn(s, side, 'Wrist', { flexion: 0 })
  }
  return true
}

/** Forward over the thighs, from the heels: to the floor, or over a bolster. */
function foldOnHeels(s: Stance, n: Instruction): boolean {
  const prop = thingIn(n, 'bolster', 'blanket', 'chair', 'block')?.thing
  for (const side of SIDES) freeArm(s, side)
  if (prop === 'bolster') {
    tipTo(s, 55)
    curve(s, 14, 14, 4)
    put(s, 'chest', 'bolster')
    put(s, 'head', 'bolster')
    for (const side of SIDES) {
      setOn(s, side, 'Hip', { abduction: 24, flexion: 118 })
      setOn(s, side, 'Knee', { flexion: 150 })
      setOn(s, side, 'Ankle', { dorsiflexion: -62 })
      put(s, `${side} forearm`, 'floor')
      setOn(s, side, 'Shoulder', { flexion: 120, abduction: 18, rotation: 0 })
      setOn(s, side, 'Elbow', { flexion: 50 })
      setOn(s, side, 'Forearm', { pronation: 150 })
    }
    return true
  }
  tipTo(s, 62)
  curve(s, 30, 24, 12)
  put(s, 'forehead', 'floor')
  for (const side of SIDES) {
    setOn(s, side, 'Hip', { flexion: 128 })
    put(s, `${side} palm`, 'floor')
    setOn(s, side, 'Shoulder', { flexion: 165, abduction: 8, rotation: 0 })
    setOn(s, side, 'Elbow', { flexion: 3 })
    setOn(s, side, 'Forearm', { pronation: 150 })
    setOn(s, side, 'Wrist', { flexion: 0 })
  }
  return true
}

/** More of what the trunk does already: a fold goes down, a turn goes on, an arch opens. */
export function deeper(s: Stance, n: Instruction): boolean {
  const turned = get(s, 'ribs', 'rotation')
  if (Math.abs(turned) > 5) {
    turnTrunk(s, turned > 0 ? 'left' : 'right', 1, false)
    return true
  }
  if (get(s, 'pelvis', 'tilt') > 12) return fold(s, { ...n, ways: [], amount: null })
  if (get(s, 'ribs', 'flexion') < -5) return arch(s, { ...n, amount: null })
  return false
}

/** The trunk comes up, the way it went down. */
export function rise(s: Stance, n: Instruction): boolean {
  const posture = postureOf(s)
  if (posture === 'prone') return chestUp(s, n)
  if (posture === 'bridge' && n.places.some(({ part }) => part === 'shoulder')) return true
  if (posture === 'supine' || posture === 'side-lying' || posture === 'bridge') {
    takeStart(s, 'cross-legged')
    return true
  }
  if (posture === 'fours' || posture === 'hands and feet') {
    const bent = get(s, 'leftKnee', 'flexion') + get(s, 'rightKnee', 'flexion') > 150
    if (posture === 'fours' && bent) {
      const halfKneeling = SIDES.find((side) => touches(s, new RegExp(`^${side} sole$`)))
      if (!halfKneeling) {
        takeStart(s, 'kneeling')
        return true
      }
    }
    tipTo(s, 4)
    for (const side of SIDES) {
      freeArm(s, side)
      hang(s, side)
    }
    curve(s, 0, 0, 0)
    return true
  }
  const bentDown = get(s, 'pelvis', 'tilt') > 15 || get(s, 'ribs', 'flexion') > 10
  tipTo(s, 0)
  const leaning = Math.abs(get(s, 'pelvis', 'lean')) > 1
  if (leaning)
    for (const side of SIDES)
      if (get(s, `${side}Hip`, 'abduction') > 40 && get(s, `${side}Knee`, 'flexion') > 30)
        setOn(s, side, 'Hip', { flexion: 25, abduction: 62, rotation: 78 })
      else if (posture === 'standing')
        setOn(s, side, 'Hip', {
          abduction: Math.max(27, get(s, `${side}Hip`, 'abduction')),
          flexion: 0,
        })
  set(s, 'pelvis', { lean: 0 })
  for (const joint of ['lowBack', 'ribs', 'neck']) set(s, joint, { flexion: 0, lateralFlexion: 0 })
  set(s, 'head', { flexion: 0 })
  drop(s, /^(?:forehead|head|chest|crown|chin)$/)
  for (const side of SIDES) {
    const down = touches(s, new RegExp(`^${side} (?:palm|hand|fingertips|forearm|elbow|fist)$`))
    if (down || (bentDown && get(s, `${side}Shoulder`, 'flexion') < 155)) {
      freeArm(s, side)
      if (leaning) setOn(s, side, 'Shoulder', { flexion: 0, abduction: 90, rotation: 0 })
      else hang(s, side)
      if (leaning) setOn(s, side, 'Elbow', { flexion: 3 })
    }
  }
  return true
}

/** The chest comes up from the floor, lying on the front. */
function chestUp(s: Stance, n: Instruction): boolean {
  drop(s, /^(?:chest|forehead|chin|head|left ear|right ear)$/)
  const share = shareOf(n)
  set(s, 'pelvis', { tilt: 86 })
  curve(s, -22 * share, -20 * share, -8)
  for (const side of SIDES) {
    setOn(s, side, 'Hip', { flexion: -4 })
    if (touches(s, new RegExp(`^${side} palm$`))) {
      setOn(s, side, 'Shoulder', { flexion: 20, abduction: 16, rotation: -10 })
      setOn(s, side, 'Elbow', { flexion: 95 })
    } else if (
      !touches(s, new RegExp(`^${side} forearm$`)) &&
      get(s, `${side}Shoulder`, 'flexion') < 60
    ) {
      setOn(s, side, 'Shoulder', { flexion: -28, abduction: 14, rotation: 0 })
      setOn(s, side, 'Elbow', { flexion: 2 })
    }
  }
  return true
}

/** The chest comes up from the back, on the forearms; the head tips back. */
export function chestOffBack(s: Stance, n: Instruction): boolean {
  // Lifted within itself, the breastbone moves nothing.
  if (
    n.spot === 'breastbone' ||
    s.straps.length > 0 ||
    SIDES.some((side) => !touches(s, legOf(side)))
  )
    return true
  drop(s, /^(?:back|shoulders)$/)
  put(s, 'pelvis', 'floor')
  put(s, 'head', 'floor')
  curve(s, -20, -25, -42)
  for (const side of SIDES) {
    freeArm(s, side)
    put(s, `${side} forearm`, 'floor')
    setOn(s, side, 'Shoulder', { flexion: -38, abduction: 8, rotation: 0 })
    setOn(s, side, 'Elbow', { flexion: 62 })
    setOn(s, side, 'Forearm', { pronation: 150 })
  }
  return true
}

/** The pelvis comes up: a bridge, a dog, or back from a seat. */
export function liftPelvis(s: Stance): boolean {
  const posture = postureOf(s)
  if (posture === 'supine' && SIDES.every((side) => !touches(s, legOf(side)))) {
    onShoulders(s)
    return true
  }
  if (posture === 'supine') {
    if (!SIDES.some((side) => touches(s, new RegExp(`^${side} sole$`)))) return false
    drop(s, /^back$/)
    put(s, 'shoulders', 'floor')
    put(s, 'head', 'floor')
    for (const side of SIDES) {
      put(s, `${side} hand`, 'floor')
      if (touches(s, new RegExp(`^${side} sole$`))) {
        setOn(s, side, 'Hip', { flexion: -4, abduction: 0, rotation: 0 })
        setOn(s, side, 'Knee', { flexion: 92 })
      }
      setOn(s, side, 'Shoulder', { flexion: -10, abduction: 16, rotation: 0 })
      setOn(s, side, 'Elbow', { flexion: 0 })
      setOn(s, side, 'Forearm', { pronation: 140 })
    }
    set(s, 'pelvis', { tilt: -128 })
    set(s, 'neck', { flexion: 42 })
    set(s, 'head', { flexion: 15 })
    curve(s, 4, 10)
    return true
  }
  const onHands = posture === 'fours' || posture === 'hands and feet'
  if (onHands) {
    const bent = SIDES.map((side) => get(s, `${side}Knee`, 'flexion') > 30)
    const forearms = touches(s, /forearm$/)
    takeStart(s, 'dog')
    SIDES.forEach((side, i) => {
      if (forearms) {
        drop(s, new RegExp(`^${side} palm$`))
        put(s, `${side} forearm`, 'floor')
        setOn(s, side, 'Elbow', { flexion: 80 })
      }
      // Knees that were bent stay bent until they are straightened.
      if (bent[i]) {
        setOn(s, side, 'Knee', { flexion: 30 })
        setOn(s, side, 'Hip', { flexion: 108 })
        setOn(s, side, 'Ankle', { dorsiflexion: 20 })
      }
    })
    return true
  }
  if (posture === 'heel seat') {
    takeStart(s, 'kneeling')
    return true
  }
  if (posture === 'seated' && touches(s, /palm$/)) {
    drop(s, /sit bone/)
    for (const side of SIDES) setOn(s, side, 'Hip', { flexion: 0 })
    set(s, 'pelvis', { tilt: -60 })
    return true
  }
  return posture === 'standing' || posture === 'kneeling' || posture === 'bridge'
}

/** The hips go back and down: onto the heels, or as if to a seat. */
export function hipsBack(s: Stance, n: Instruction): boolean {
  const posture = postureOf(s)
  if (posture === 'fours' || posture === 'heel seat' || posture === 'kneeling') {
    if (posture === 'kneeling') {
      takeStart(s, 'heel-seat')
      return true
    }
    takeStart(s, 'heel-seat')
    return foldOnHeels(s, { ...n, places: [] })
  }
  if (posture === 'hands and feet') return has(n, 'back', 'up') ? liftPelvis(s) : false
  if (posture === 'standing') {
    if (get(s, 'pelvis', 'tilt') > 50) return true
    const deep = degreesOf(n, 1)
    set(s, 'pelvis', { tilt: 32 })
    for (const side of SIDES) {
      setOn(s, side, 'Hip', { flexion: 66 * deep })
      setOn(s, side, 'Knee', { flexion: 62 * deep })
      setOn(s, side, 'Ankle', { dorsiflexion: 22 * deep })
    }
    return true
  }
  return false
}

/** The hips, the chest, the head or all of the body come down. */
export function lowerTrunk(s: Stance, n: Instruction): boolean {
  const posture = postureOf(s)
  if (posture === 'fours' && n.part === 'low back') return arch(s, n)
  if (['hip', 'pelvis'].includes(n.part)) {
    if (
      n.places.some(({ part }) => part === 'heel') &&
      ['fours', 'kneeling', 'heel seat', 'hands and feet'].includes(posture)
    ) {
      if (posture === 'heel seat') return true
      takeStart(s, 'heel-seat')
      if (posture === 'fours') foldOnHeels(s, n)
      return true
    }
    if (posture === 'bridge') {
      takeStart(s, 'supine-knees-bent')
      return true
    }
    if (posture === 'hands and feet') {
      if (get(s, 'pelvis', 'tilt') > 100) {
        takeStart(s, 'plank')
        return true
      }
      return toFront(s)
    }
    if (posture === 'standing') {
      const bent = SIDES.filter((side) => get(s, `${side}Knee`, 'flexion') > 30)
      if (bent.length === 0) return hipsBack(s, n)
      for (const side of bent) {
        const knee = Math.min(110, get(s, `${side}Knee`, 'flexion') + 22)
        setOn(s, side, 'Knee', { flexion: knee })
        setOn(s, side, 'Hip', { flexion: get(s, `${side}Hip`, 'flexion') + 16 })
      }
      return true
    }
    return ['kneeling', 'seated', 'supine', 'pigeon'].includes(posture)
  }
  if (posture === 'bridge') {
    takeStart(s, 'supine-knees-bent')
    return true
  }
  if (posture === 'prone' || (posture === 'hands and feet' && get(s, 'pelvis', 'tilt') < 105)) {
    if (posture === 'hands and feet' && shareOf(n) < 1) {
      for (const side of SIDES) {
        setOn(s, side, 'Elbow', { flexion: 88 })
        setOn(s, side, 'Shoulder', { flexion: 20 })
      }
      set(s, 'pelvis', { tilt: 84 })
      return true
    }
    return toFront(s)
  }
  if (['low back', 'chest', 'ribs', 'spine', 'whole body'].includes(n.part)) {
    if (
      posture === 'standing' ||
      posture === 'seated' ||
      posture === 'kneeling' ||
      posture === 'heel seat'
    ) {
      if (thingIn(n, 'floor') && n.part === 'whole body') return false
      return fold(s, { ...n, ways: ['forward'] })
    }
    if (posture === 'fours') {
      set(s, 'pelvis', { tilt: 112 })
      for (const side of SIDES) {
        setOn(s, side, 'Hip', { flexion: 108 })
        setOn(s, side, 'Shoulder', { flexion: 150 })
      }
      return true
    }
  }
  return false
}

/** Flat on the front; hands that are set stay set. */
function toFront(s: Stance): boolean {
  const hands = s.contacts.filter(({ part, on }) => /palm|forearm/.test(part) && on === 'floor')
  takeStart(s, 'prone')
  for (const { part, on } of hands) {
    const side = part.startsWith('left') ? 'left' : 'right'
    put(s, part, on)
    if (/palm/.test(part)) {
      setOn(s, side, 'Shoulder', { flexion: 14, abduction: 16, rotation: -10 })
      setOn(s, side, 'Elbow', { flexion: 118 })
      setOn(s, side, 'Forearm', { pronation: 165 })
      setOn(s, side, 'Wrist', { flexion: -70 })
    }
  }
  return true
}

export function arch(s: Stance, n: Instruction): boolean {
  const posture = postureOf(s)
  if (posture === 'prone') return chestUp(s, n)
  if (posture === 'fours') {
    tipHips(s, 108)
    curve(s, -28, -22, -36)
    return true
  }
  const share = shareOf(n)
  if (posture === 'kneeling') {
    set(s, 'pelvis', { tilt: -8 })
    for (const side of SIDES) setOn(s, side, 'Hip', { flexion: -18 })
    curve(s, -26 * share, -24 * share, -24 * share)
    return true
  }
  curve(s, -12 * share, -18 * share, -14 * share)
  return true
}

/** Tips the pelvis over thighs that stand still. */
function tipHips(s: Stance, tilt: number): void {
  const by = tilt - get(s, 'pelvis', 'tilt')
  set(s, 'pelvis', { tilt })
  for (const side of SIDES) setOn(s, side, 'Hip', { flexion: get(s, `${side}Hip`, 'flexion') + by })
}

export function round(s: Stance, n: Instruction): boolean {
  const posture = postureOf(s)
  if (n.part === 'shoulder') return true
  if (posture === 'fours') {
    set(s, 'pelvis', { tilt: 62 })
    for (const side of SIDES) setOn(s, side, 'Hip', { flexion: 64 })
    curve(s, 32, 34, 32)
    return true
  }
  if (has(n, 'down')) {
    if (posture === 'bridge') {
      takeStart(s, 'supine-knees-bent')
      return true
    }
    if (posture === 'seated' || n.places.some(({ part }) => part === 'spine')) {
      takeStart(s, 'supine')
      return true
    }
    if (posture === 'standing') return fold(s, { ...n, ways: [] })
    return false
  }
  const share = shareOf(n)
  curve(s, 28 * share, 30 * share, 25 * share)
  return true
}

export function sideBend(s: Stance, n: Instruction): boolean {
  const sign = signOf(n)
  if (sign === 0) return false
  const posture = postureOf(s)
  const share = degreesOf(n, 42) / 42
  const side: Side = sign > 0 ? 'left' : 'right'
  const open = posture === 'standing' && get(s, `${side}Hip`, 'abduction') > 18
  set(s, 'lowBack', { lateralFlexion: (open ? 8 : 16) * sign * share })
  set(s, 'ribs', { lateralFlexion: (open ? 8 : 23) * sign * share })
  set(s, 'neck', { lateralFlexion: 8 * sign * share })
  if (open) {
    const bent = get(s, `${side}Knee`, 'flexion') > 30
    const lean = bent ? 26 : 42
    set(s, 'pelvis', { lean: lean * sign })
    setOn(
      s,
      side,
      'Hip',
      bent ? { flexion: -5, abduction: 75, rotation: 88 } : { abduction: 27 + lean, rotation: 70 }
    )
    setOn(s, otherSide(side), 'Hip', {
      abduction: bent ? 26 : Math.max(-5, 27 - lean),
    })
  } else if (posture === 'standing' || posture === 'kneeling') {
    set(s, 'pelvis', { lean: 7 * sign * share })
    for (const each of carrying(s)) {
      const own = get(s, `${each}Hip`, 'abduction')
      setOn(s, each, 'Hip', { abduction: own + (each === side ? 7 : -7) * share })
    }
  }
  return true
}

export function lean(s: Stance, n: Instruction): boolean {
  const sign = signOf(n)
  if (sign !== 0) return sideBend(s, n)
  const posture = postureOf(s)
  if (posture === 'seated') {
    tipTo(s, get(s, 'pelvis', 'tilt') + (has(n, 'back') ? -28 : 22))
    return true
  }
  if (posture === 'kneeling') {
    set(s, 'pelvis', { tilt: has(n, 'back') ? -14 : 20 })
    if (has(n, 'back')) curve(s, -22, -22, -18)
    return true
  }
  if (posture === 'standing') {
    tipTo(s, has(n, 'back') ? -4 : 24)
    return true
  }
  return false
}

/** The spine grows long: it bends less, wherever it is. */
export function lengthen(s: Stance, n: Instruction): boolean {
  if (n.part === 'neck' || n.part === 'head') {
    set(s, 'neck', { flexion: get(s, 'neck', 'flexion') * 0.5 })
    return true
  }
  const half = n.amount?.unit === 'part of the way'
  const posture = postureOf(s)
  if (half && posture === 'standing' && get(s, 'pelvis', 'tilt') > 60) {
    tipTo(s, 82)
    curve(s, 2, 2, 0)
    return true
  }
  // In a back bend the length is kept; a rounded back becomes less round.
  for (const joint of ['lowBack', 'ribs']) {
    const now = get(s, joint, 'flexion')
    if (now > 0 && posture !== 'bridge') set(s, joint, { flexion: now * 0.45 })
  }
  return true
}

export function tipPelvis(s: Stance, n: Instruction): boolean {
  const posture = postureOf(s)
  if (!has(n, 'forward', 'back', 'up', 'under', 'down') && !thingIn(n, 'ceiling'))
    return n.places.length > 0
  if (posture === 'seated') {
    if (has(n, 'forward')) tipTo(s, get(s, 'pelvis', 'tilt') + 20)
    else if (has(n, 'back')) tipTo(s, get(s, 'pelvis', 'tilt') - 15)
    return true
  }
  if (posture === 'fours') {
    if (has(n, 'forward', 'up')) tipHips(s, 100)
    else tipHips(s, 74)
    return true
  }
  return true
}

/** A part of the trunk goes on: the breastbone forward, the tailbone back, the navel in. */
export function shiftTrunk(s: Stance, n: Instruction): boolean {
  const posture = postureOf(s)
  if (n.part === 'hip' || n.part === 'pelvis') {
    if (n.part === 'hip' && (n.side === 'left' || n.side === 'right')) return true
    if (posture === 'fours' && n.part === 'pelvis' && has(n, 'back', 'up')) {
      tipHips(s, 108)
      set(s, 'lowBack', { flexion: -28 })
      return true
    }
    if (has(n, 'back')) return hipsBack(s, n)
    if (has(n, 'forward')) {
      if (posture === 'kneeling') set(s, 'pelvis', { tilt: -8 })
      return posture === 'kneeling' || posture === 'standing'
    }
    return has(n, 'in', 'under', 'up') || n.places.length > 0
  }
  if (n.part === 'chest' && posture === 'fours' && has(n, 'forward')) {
    curve(s, -20, -22, -36)
    return true
  }
  if (n.part === 'chest' && posture === 'prone') return true
  if (n.part === 'whole body') {
    if (has(n, 'forward') && (posture === 'fours' || posture === 'hands and feet')) {
      if (posture === 'hands and feet') takeStart(s, 'plank')
      return true
    }
    if (has(n, 'down', 'back')) {
      if (posture === 'bridge') {
        takeStart(s, 'supine-knees-bent')
        return true
      }
      return hipsBack(s, n)
    }
    return true
  }
  return true
}

// The head

export function turnHead(s: Stance, n: Instruction): boolean {
  const sign = signOf(n)
  const shoulder = n.places.find(
    ({ part }) => part === 'shoulder' || part === 'hand' || part === 'fingers' || part === 'arm'
  )
  const to = shoulder?.side === 'left' ? 1 : shoulder?.side === 'right' ? -1 : 0
  // An ear goes to its shoulder sideways, a chin by turning.
  if (n.spot === 'ear' && to !== 0) return placeHead(s, n)
  const way = sign || to
  if (way !== 0) {
    set(s, 'neck', { rotation: degreesOf(n, 52) * way })
    return true
  }
  if (has(n, 'up') || thingIn(n, 'ceiling')) {
    set(s, 'neck', { flexion: -24 })
    return true
  }
  if (
    has(n, 'down') ||
    thingIn(n, 'floor', 'mat') ||
    n.places.some(({ part }) => ['toes', 'foot', 'low back'].includes(part ?? ''))
  ) {
    set(s, 'neck', { flexion: 16 })
    return true
  }
  if (has(n, 'forward', 'level', 'middle')) {
    set(s, 'neck', { rotation: 0 })
    if (has(n, 'forward') && get(s, 'pelvis', 'tilt') > 50) set(s, 'neck', { flexion: -18 })
    return true
  }
  return n.part === 'gaze' || n.places.length > 0
}

export function tuckChin(s: Stance): boolean {
  set(s, 'neck', { flexion: Math.max(22, get(s, 'neck', 'flexion')) })
  set(s, 'head', { flexion: 10 })
  return true
}

export function lowerHead(s: Stance, n: Instruction): boolean {
  if (n.spot === 'ear' && n.places.some(({ part }) => part === 'shoulder')) return placeHead(s, n)
  const on = thingIn(n, 'floor', 'mat', 'bolster', 'blanket', 'block', 'chair')
  const posture = postureOf(s)
  if (on) {
    const surface = on.thing === 'mat' ? 'floor' : on.thing === 'block' ? 'block low' : on.thing!
    const { spot } = n
    const part = spot === 'chin' || spot === 'crown' || spot === 'forehead' ? spot : 'head'
    // A shoulder that lies there has brought its ear along.
    if (touches(s, /ear$/) && part === 'head') return true
    if (posture === 'standing' && get(s, 'pelvis', 'tilt') < 60) return false
    if (posture === 'supine' && surface === 'floor') {
      if (part === 'crown' && touches(s, /^head$/)) {
        drop(s, /^head$/)
        put(s, 'crown', 'floor')
      }
      return true
    }
    drop(s, /^(?:forehead|head|chin|crown)$/)
    put(s, part, surface)
    return true
  }
  if (posture === 'prone' && n.spot === 'forehead') return true
  if (has(n, 'back')) set(s, 'neck', { flexion: -28 })
  else
    set(s, 'neck', {
      flexion: Math.max(get(s, 'neck', 'flexion'), get(s, 'pelvis', 'tilt') > 50 ? 8 : 25),
    })
  return true
}

export function placeHead(s: Stance, n: Instruction): boolean {
  const sides = n.places.find(({ part }) => part === 'shoulder')
  if (sides) {
    const sign = sides.side === 'left' ? 1 : sides.side === 'right' ? -1 : 0
    set(s, 'neck', { lateralFlexion: 32 * sign })
    return sign !== 0
  }
  if (n.places.some(({ part }) => part === 'chest')) return tuckChin(s)
  return lowerHead(s, n)
}
