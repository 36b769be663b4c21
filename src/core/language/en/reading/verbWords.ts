import type { Action, BodyPart, Place, Way } from '../../instruction'
import { wordSet } from '../worded'

/** English verbs of movement, and what each asks for. Common practice, no source. */

/** What stands around a verb, as far as it settles what the verb means. */
export interface Around {
  part: BodyPart | null
  ways: readonly Way[]
  places: readonly Place[]
}

/** What a verb asks for; of several the first that holds. */
export interface Sense {
  action: Action
  holds?: (around: Around) => boolean
  /** The part that is meant when none is told. */
  part?: BodyPart
  /** Both of it, when no side is told. */
  both?: true
  /** The way that is meant when none is told. */
  way?: Way
}

const ARMS: readonly BodyPart[] = ['arm', 'elbow', 'forearm', 'wrist', 'hand', 'fingers']
const FEET: readonly BodyPart[] = ['foot', 'toes', 'heel', 'ankle']
const LEGS: readonly BodyPart[] = [...FEET, 'shin', 'knee', 'thigh', 'leg']
const TRUNK: readonly BodyPart[] = ['low back', 'ribs', 'chest', 'spine', 'whole body']
const HEAD: readonly BodyPart[] = ['neck', 'head', 'chin']

type Holds = NonNullable<Sense['holds']>
const of =
  (...parts: readonly BodyPart[]): Holds =>
  ({ part }) =>
    part !== null && parts.includes(part)
const going =
  (...wanted: Way[]): Holds =>
  ({ ways }) =>
    wanted.some((way) => ways.includes(way))
const alone: Holds = ({ part }) => part === null
const all =
  (...each: Holds[]): Holds =>
  (around) =>
    each.every((holds) => holds(around))
const not =
  (holds: Holds): Holds =>
  (around) =>
    !holds(around)
const some =
  (...each: Holds[]): Holds =>
  (around) =>
    each.some((holds) => holds(around))
const goingTo =
  (...things: string[]): Holds =>
  ({ places }) =>
    places.some(({ thing }) => thing !== undefined && things.includes(thing))
const related =
  (...relations: string[]): Holds =>
  ({ places }) =>
    places.some(({ relation }) => relations.includes(relation))
const placed: Holds = ({ places }) => places.length > 0
const onThing: Holds = ({ places }) =>
  places.some(
    ({ thing, part, relation }) =>
      (thing !== undefined && thing !== 'ceiling' && thing !== 'side') ||
      (part !== undefined && relation === 'on')
  )
const onPart =
  (...parts: readonly BodyPart[]): Holds =>
  ({ places }) =>
    places.some(({ part, relation }) => relation === 'on' && part && parts.includes(part))
const SIDEWAYS = going('left', 'right', 'out')

const S = (action: Action, holds?: Holds, more: Omit<Sense, 'action' | 'holds'> = {}): Sense => ({
  action,
  ...(holds ? { holds } : {}),
  ...more,
})

const PLACING: Sense[] = [
  S('close', going('together')),
  S('lift', all(of(...ARMS), some(going('up', 'high'), all(related('level with'), not(onThing))))),
  S('step', all(of('foot', 'leg'), going('forward', 'back', 'out'))),
  S('lift', all(of(...LEGS), going('up', 'high'))),
  S(
    'lower',
    all(of('head', 'chest', 'hip', 'pelvis', 'ribs', ...HEAD), some(going('down'), onThing))
  ),
  S('lower', all(going('down'), not(of('hand', 'foot', 'sole' as BodyPart, 'knee', 'forearm')))),
  S('place', (around) => around.part !== null),
]

/** By verb; forms of a verb are told from its base form. */
export const VERBS: Record<string, Sense[]> = {
  step: [S('step', undefined, { part: 'foot' })],
  hop: [S('step', undefined, { part: 'foot', both: true })],
  jump: [S('step', undefined, { part: 'foot', both: true })],
  lunge: [S('bend', of('knee')), S('step', undefined, { part: 'foot' })],
  stride: [S('step', undefined, { part: 'foot' })],
  walk: [S('walk', undefined, { part: 'foot', both: true })],
  crawl: [S('walk', undefined, { part: 'hand', both: true })],
  creep: [S('walk', undefined, { part: 'hand', both: true })],
  tiptoe: [S('walk', undefined, { part: 'foot', both: true })],
  bring: PLACING,
  place: PLACING,
  set: PLACING,
  put: PLACING,
  lay: PLACING,
  plant: PLACING,
  position: PLACING,
  ground: [S('press', undefined, { way: 'down', part: 'foot', both: true })],
  land: PLACING,
  rest: [
    S(
      'place',
      all((a) => a.part !== null, placed)
    ),
    S('soften', (a) => a.part !== null),
    S('stay', undefined, { part: 'whole body' }),
  ],
  take: PLACING,
  carry: PLACING,
  return: [S('place', (a) => a.part !== null), S('release', undefined, { part: 'whole body' })],
  lift: [S('lift', undefined, { way: 'up', part: 'whole body' })],
  raise: [S('lift', undefined, { way: 'up' })],
  float: [
    S('lower', going('down')),
    S('step', all(of('foot'), going('forward', 'back'))),
    S('lift', undefined, { way: 'up' }),
  ],
  hover: [S('lift', undefined, { way: 'up' })],
  elevate: [S('lift', undefined, { way: 'up' })],
  heave: [S('lift', undefined, { way: 'up' })],
  sweep: [
    S('lower', going('down')),
    S('lift', all(of(...ARMS), some(going('up', 'out'), related('past'), goingTo('ceiling')))),
    S('reach', of(...ARMS)),
    S('step', of(...LEGS)),
  ],
  swing: [
    S('step', all(of(...LEGS), going('forward', 'back'))),
    S('lift', undefined, { way: 'up' }),
  ],
  kick: [S('lift', of(...LEGS), { way: 'up' })],
  circle: [
    S('lift', all(of(...ARMS), going('up'))),
    S('lower', all(of(...ARMS), going('down'))),
    S('rotate', (a) => a.part !== null),
  ],
  lower: [S('lower', undefined, { way: 'down', part: 'whole body' })],
  drop: [S('lower', (a) => a.part !== null, { way: 'down' })],
  sink: [S('lower', undefined, { way: 'down', part: 'hip', both: true })],
  descend: [S('lower', undefined, { way: 'down', part: 'whole body' })],
  settle: [S('lower', undefined, { way: 'down', part: 'whole body' })],
  squat: [S('bend', undefined, { part: 'knee', both: true })],
  crouch: [S('bend', undefined, { part: 'knee', both: true })],
  hang: [S('lower', undefined, { way: 'down', part: 'spine' })],
  dangle: [S('lower', (a) => a.part !== null, { way: 'down' })],
  rise: [
    S('lift', (a) => a.part !== null, { way: 'up' }),
    S('kneel', all(alone, onPart('knee', 'shin')), { part: 'whole body' }),
    S('lift', all(alone, onThing), { way: 'up', part: 'heel', both: true }),
    S('lift', undefined, { way: 'up', part: 'spine' }),
  ],
  bend: [
    S('bend', of('knee', 'elbow', 'leg', 'arm', 'wrist', 'ankle', 'fingers', 'toes', 'hip')),
    S('side-bend', all(some(alone, of(...TRUNK)), SIDEWAYS), { part: 'spine' }),
    S('arch', all(some(alone, of(...TRUNK)), going('back')), { part: 'spine' }),
    S(
      'fold',
      all(some(alone, of(...TRUNK)), some(going('forward', 'down'), related('over', 'from'))),
      { part: 'spine', way: 'forward' }
    ),
    S('side-bend', all(some(alone, of(...TRUNK)), goingTo('side')), { part: 'spine' }),
    S('rotate', of(...HEAD)),
  ],
  straighten: [
    S('lift', all(alone, going('up')), { part: 'spine' }),
    S('straighten', of(...ARMS, ...LEGS)),
    S('lengthen', of(...TRUNK, ...HEAD)),
  ],
  extend: [
    S('straighten', all(of(...LEGS), not(going('up', 'back', 'forward', 'out')))),
    S('reach', of(...ARMS, ...LEGS)),
    S('lengthen', of(...TRUNK, ...HEAD, 'pelvis')),
    S('lengthen', alone, { part: 'spine', way: 'long' }),
  ],
  stretch: [
    S('straighten', all(of(...LEGS), not(going('up', 'back', 'forward')))),
    S('reach', of(...ARMS, ...LEGS)),
    S('lengthen', of(...TRUNK, ...HEAD)),
    S('reach', all(alone, going('up', 'forward')), { part: 'arm', both: true }),
  ],
  unfold: [
    S('straighten', of(...ARMS, ...LEGS)),
    S('lift', undefined, { part: 'spine', way: 'up' }),
  ],
  lengthen: [
    S('straighten', of('leg', 'knee', 'elbow')),
    S('reach', of(...ARMS)),
    S('lengthen', undefined, { part: 'spine', way: 'long' }),
  ],
  elongate: [S('lengthen', undefined, { part: 'spine', way: 'long' })],
  grow: [S('lengthen', undefined, { part: 'spine', way: 'long' })],
  're-lengthen': [S('lengthen', undefined, { part: 'spine', way: 'long' })],
  relengthen: [S('lengthen', undefined, { part: 'spine', way: 'long' })],
  turn: [
    S('turn-out', all(of(...LEGS, 'hip'), going('out'))),
    S('turn-in', all(of(...LEGS, 'hip'), going('in'))),
    S('turn-out', all(of('arm', 'elbow'), going('out'))),
    S('turn-in', all(of('arm', 'elbow'), going('in'))),
    S('rotate', of(...LEGS, ...ARMS, ...HEAD, 'hip', 'pelvis', 'shoulder', 'gaze')),
    S('twist', all(of(...TRUNK), not(of('whole body')))),
    S('roll', all(alone, related('on'))),
    S('twist', all(alone, some(SIDEWAYS, going('middle', 'back'), related('to', 'from', 'past'))), {
      part: 'spine',
    }),
    S('twist', alone, { part: 'spine' }),
    S('rotate', of('whole body')),
  ],
  twist: [S('twist', some(alone, of(...TRUNK, 'pelvis')), { part: 'spine' }), S('rotate')],
  revolve: [S('twist', some(alone, of(...TRUNK)), { part: 'spine' }), S('rotate')],
  wring: [S('twist', some(alone, of(...TRUNK)), { part: 'spine' })],
  rotate: [
    S('turn-out', all(of(...LEGS, 'hip', 'arm', 'shoulder'), going('out'))),
    S('turn-in', all(of(...LEGS, 'hip', 'arm', 'shoulder'), going('in'))),
    S('twist', some(alone, of(...TRUNK)), { part: 'spine' }),
    S('rotate'),
  ],
  spiral: [
    S('turn-out', all(of(...LEGS, 'arm'), going('out'))),
    S('turn-in', all(of(...LEGS, 'arm'), going('in'))),
    S('twist', some(alone, of(...TRUNK)), { part: 'spine' }),
    S('rotate'),
  ],
  pivot: [S('rotate', (a) => a.part !== null)],
  spin: [S('rotate', (a) => a.part !== null)],
  unwind: [S('release', undefined, { part: 'spine', way: 'middle' })],
  untwist: [S('release', undefined, { part: 'spine', way: 'middle' })],
  fold: [
    S('bend', of(...LEGS)),
    S('cross', of('arm', 'forearm', 'hand')),
    S('bend', of('elbow')),
    S('fold', some(alone, of(...TRUNK, 'hip', 'pelvis', ...HEAD)), {
      part: 'spine',
      way: 'forward',
    }),
  ],
  hinge: [S('fold', some(alone, of(...TRUNK, 'hip', 'pelvis')), { part: 'spine', way: 'forward' })],
  bow: [
    S('fold', alone, { part: 'spine', way: 'forward' }),
    S('lower', of(...HEAD, 'chest'), { way: 'down' }),
  ],
  dive: [S('fold', undefined, { part: 'spine', way: 'forward' })],
  curl: [
    S('tuck', of('toes', 'chin', 'pelvis', 'foot')),
    S('round', some(alone, of(...TRUNK, ...HEAD)), { part: 'spine' }),
    S('bend', of('fingers', ...LEGS, ...ARMS)),
  ],
  round: [S('round', some(alone, of(...TRUNK, 'shoulder')), { part: 'spine' })],
  arch: [S('arch', some(alone, of(...TRUNK, ...HEAD)), { part: 'spine', way: 'back' })],
  backbend: [S('arch', undefined, { part: 'spine', way: 'back' })],
  lean: [S('lean', undefined, { part: 'spine' })],
  incline: [S('lean', undefined, { part: 'spine' })],
  tip: [
    S('lower', all(of('head', 'chin'), going('down'))),
    S('rotate', of('pelvis', 'hip', ...HEAD)),
    S('lean', undefined, { part: 'spine' }),
  ],
  tilt: [
    S('rotate', of('pelvis', 'hip', ...HEAD, 'low back')),
    S('lean', undefined, { part: 'spine' }),
  ],
  reach: [S('reach', (a) => a.part !== null), S('reach', undefined, { part: 'arm', both: true })],
  press: [
    S('press', going('together')),
    S('lift', all(of('hip', 'pelvis', 'chest'), goingTo('ceiling'))),
    S('lift', all(alone, going('up')), { part: 'whole body' }),
    S('lift', all(of(...TRUNK, 'hip', 'pelvis'), going('up'))),
    S('shift', all(alone, going('back')), { part: 'hip', both: true }),
    S('shift', all(of('hip', 'pelvis'), going('back', 'forward'))),
    S('press', (a) => a.part !== null, {}),
  ],
  push: [
    S('lift', all(of('hip', 'pelvis', 'chest'), goingTo('ceiling'))),
    S('lift', all(some(alone, of(...TRUNK)), going('up')), { part: 'whole body' }),
    S('shift', all(alone, going('back')), { part: 'hip', both: true }),
    S('shift', all(of('hip', 'pelvis'), going('back', 'forward'))),
    S('press', (a) => a.part !== null, {}),
  ],
  root: [S('press', undefined, { way: 'down', part: 'foot', both: true })],
  weigh: [S('press', (a) => a.part !== null, { way: 'down' })],
  dig: [S('press', (a) => a.part !== null, { way: 'down' })],
  stamp: [S('press', (a) => a.part !== null, { way: 'down' })],
  anchor: [S('press', (a) => a.part !== null, { way: 'down' })],
  drive: [S('press', (a) => a.part !== null, {})],
  squeeze: [S('close', going('together')), S('press', (a) => a.part !== null)],
  kneel: [S('kneel', undefined, { part: 'whole body' })],
  sit: [S('sit', undefined, { part: 'whole body' })],
  lie: [
    S('lie', some(alone, of('whole body')), { part: 'whole body' }),
    S(
      'open',
      all((a) => a.part !== null, going('out'))
    ),
    S(
      'place',
      all((a) => a.part !== null, placed)
    ),
  ],
  recline: [S('lie', undefined, { part: 'whole body', way: 'back' })],
  roll: [
    S('turn-out', all(of(...LEGS, 'hip', 'arm'), going('out'))),
    S('turn-in', all(of(...LEGS, 'hip', 'arm'), going('in'))),
    S('rotate', of('shoulder', ...HEAD, 'hip', 'pelvis', ...LEGS, ...ARMS)),
    S('lift', all(some(alone, of('spine')), going('up')), { part: 'spine' }),
    S('round', all(some(alone, of('spine')), going('down')), { part: 'spine' }),
    S('rotate', of('ribs', 'chest')),
    S('roll', undefined, { part: 'whole body' }),
  ],
  cross: [S('cross', (a) => a.part !== null)],
  uncross: [S('release', (a) => a.part !== null)],
  clasp: [S('clasp', undefined, { part: 'hand', both: true })],
  interlace: [S('clasp', undefined, { part: 'fingers', both: true })],
  interlock: [S('clasp', undefined, { part: 'fingers', both: true })],
  bind: [S('clasp', undefined, { part: 'hand', both: true })],
  wrap: [
    S('place', all(alone, placed)),
    S('cross', all(of(...LEGS, ...ARMS), some(placed, going('round')))),
    S('turn-in', all(of('shoulder', 'ribs', ...ARMS))),
  ],
  hook: [S('place', (a) => a.part !== null)],
  loop: [S('place', (a) => a.part !== null)],
  thread: [S('reach', (a) => a.part !== null)],
  slip: [S('slide', (a) => a.part !== null)],
  hold: [S('stay', alone, { part: 'whole body' }), S('hold', undefined, { part: 'hand' })],
  grip: [S('hold', undefined, { part: 'hand' })],
  catch: [S('hold', undefined, { part: 'hand' })],
  grab: [S('hold', undefined, { part: 'hand' })],
  grasp: [S('hold', undefined, { part: 'hand' })],
  clutch: [S('hold', undefined, { part: 'hand' })],
  tuck: [S('tuck', (a) => a.part !== null)],
  point: [
    S('point', some(of('toes', 'foot'))),
    S(
      'rotate',
      of('knee', 'fingers', 'elbow', 'hand', 'heel', 'pelvis', 'chin', 'shin', 'thigh', 'arm')
    ),
    S('point', undefined, { part: 'toes', both: true }),
  ],
  flex: [
    S('flex', some(of('foot', 'toes', 'ankle'))),
    S('flex', of('wrist', 'hand')),
    S('bend', of('knee', 'elbow', 'hip')),
  ],
  spread: [S('spread', (a) => a.part !== null)],
  fan: [S('spread', (a) => a.part !== null)],
  splay: [S('spread', (a) => a.part !== null)],
  hug: [S('close', (a) => a.part !== null, { way: 'in' })],
  draw: [
    S('close', going('together')),
    S('lift', all(of(...LEGS, 'chest', 'ribs', 'pelvis', 'shoulder'), going('up'))),
    S('lower', all(of('shoulder', ...HEAD, 'ribs'), going('down'))),
    S('shift', (a) => a.part !== null),
  ],
  pull: [
    S('close', going('together')),
    S('lift', all(of(...LEGS, 'chest', 'ribs', 'pelvis'), going('up'))),
    S('lower', all(of('shoulder'), going('down'))),
    S('shift', (a) => a.part !== null),
  ],
  slide: [S('slide', (a) => a.part !== null)],
  glide: [S('slide', (a) => a.part !== null)],
  skim: [S('slide', (a) => a.part !== null)],
  shift: [S('shift', undefined, { part: 'whole body' })],
  transfer: [S('shift', undefined, { part: 'whole body' })],
  move: [S('shift', (a) => a.part !== null)],
  send: [
    S(
      'lift',
      all((a) => a.part !== null, going('up'))
    ),
    S('shift', (a) => a.part !== null),
  ],
  rock: [S('shift', undefined, { part: 'whole body' })],
  sway: [S('shift', undefined, { part: 'whole body' })],
  look: [S('look', undefined, { part: 'gaze' })],
  gaze: [S('look', undefined, { part: 'gaze' })],
  focus: [S('look', undefined, { part: 'gaze' })],
  peek: [S('look', undefined, { part: 'gaze' })],
  open: [S('lift', all(of(...ARMS), going('up'))), S('open', (a) => a.part !== null)],
  widen: [
    S('spread', of('foot', 'leg', 'fingers', 'toes', 'knee')),
    S('open', (a) => a.part !== null, { way: 'out' }),
  ],
  broaden: [S('open', (a) => a.part !== null, { way: 'out' })],
  expand: [S('open', (a) => a.part !== null)],
  close: [S('close', (a) => a.part !== null)],
  shut: [S('close', (a) => a.part !== null)],
  join: [S('close', (a) => a.part !== null, { way: 'together' })],
  separate: [S('spread', (a) => a.part !== null, { way: 'apart' })],
  part: [S('spread', of('foot', 'leg', 'knee', 'hand'), { way: 'apart' })],
  touch: [
    S(
      'place',
      all((a) => a.part !== null, some(placed, going('together')))
    ),
  ],
  tap: [S('place', (a) => a.part !== null)],
  release: [
    S(
      'lower',
      all(of(...ARMS, ...LEGS, 'hip', 'chest', ...HEAD), some(going('down'), goingTo('floor')))
    ),
    S('release', undefined, { part: 'whole body' }),
  ],
  unclasp: [S('release', undefined, { part: 'hand', both: true })],
  undo: [S('release', (a) => a.part !== null)],
  relax: [S('soften', undefined, { part: 'whole body' })],
  soften: [S('soften', undefined, { part: 'whole body' })],
  melt: [
    S(
      'lower',
      all((a) => a.part !== null, some(going('down'), placed)),
      { way: 'down' }
    ),
    S('soften', (a) => a.part !== null),
  ],
  loosen: [S('soften', (a) => a.part !== null)],
  unlock: [S('soften', (a) => a.part !== null)],
  stay: [S('stay', undefined, { part: 'whole body' })],
  pause: [S('stay', undefined, { part: 'whole body' })],
  wait: [S('stay', undefined, { part: 'whole body' })],
  remain: [S('stay', undefined, { part: 'whole body' })],
  linger: [S('stay', undefined, { part: 'whole body' })],
  breathe: [S('breathe', undefined, { part: 'whole body' })],
  inhale: [S('breathe', undefined, { part: 'whole body' })],
  exhale: [S('breathe', undefined, { part: 'whole body' })],
  stand: [
    S(
      'place',
      all((a) => a.part !== null, of(...LEGS), placed)
    ),
    S(
      'place',
      all((a) => a.part !== null, of(...LEGS), going('apart', 'together'))
    ),
    S('stand', undefined, { part: 'whole body' }),
  ],
  stack: [
    S(
      'place',
      all((a) => a.part !== null, some(placed, going('up')))
    ),
  ],
  align: [
    S(
      'place',
      all((a) => a.part !== null, placed)
    ),
  ],
  line: [
    S(
      'place',
      all((a) => a.part !== null, placed)
    ),
  ],
  level: [S('rotate', (a) => a.part !== null, { way: 'level' })],
  square: [S('rotate', (a) => a.part !== null, { way: 'forward' })],
  balance: [
    S('stay', all(alone, placed), { part: 'whole body' }),
    S(
      'place',
      all((a) => a.part !== null, placed)
    ),
  ],
  fall: [
    S('open', all(of('knee', 'foot', 'leg', 'thigh', 'toes'), going('out', 'apart'))),
    S('close', all(of('knee'), going('in'))),
    S('lower', (a) => a.part !== null, { way: 'down' }),
  ],
  tighten: [S('press', (a) => a.part !== null)],
  engage: [S('press', (a) => a.part !== null)],
  firm: [S('press', (a) => a.part !== null)],
  face: [
    S('rotate', (a) => a.part !== null && a.part !== 'whole body'),
    S('rotate', all(alone, placed), { part: 'whole body' }),
  ],
  flip: [S('rotate', of(...ARMS, ...LEGS, 'hip'))],
  nod: [S('lower', of(...HEAD), { way: 'down' })],
  nestle: PLACING,
  climb: [S('walk', of(...ARMS, ...LEGS))],
  scoop: [S('tuck', of('pelvis')), S('shift', (a) => a.part !== null)],
  clench: [S('close', of('hand'))],
  shrug: [S('lift', of('shoulder'), { way: 'up' })],
  brush: [S('slide', (a) => a.part !== null)],
  shine: [S('lift', of('chest'), { way: 'up' })],
  puff: [S('lift', of('chest'), { way: 'up' })],
  untuck: [S('release', (a) => a.part !== null)],
  uncurl: [
    S('release', of('toes', 'foot', 'fingers')),
    S('lift', undefined, { part: 'spine', way: 'up' }),
  ],
  peel: [
    S('lift', all(of(...TRUNK, 'hip', 'pelvis', 'heel', ...HEAD), not(going('down'))), {
      way: 'up',
    }),
  ],
  guide: PLACING,
  ease: [
    S('soften', (a) => a.part !== null && a.ways.length === 0 && a.places.length === 0),
    S('shift', (a) => a.part !== null),
  ],
  tent: [S('place', all(of('fingers', 'hand'), placed))],
  cup: [S('place', all(of('fingers', 'hand'), placed))],
  flatten: [S('press', of('low back'), { way: 'down' }), S('lengthen', of('spine'))],
  make: [S('close', of('hand'), { way: 'in' })],
  'micro-bend': [S('bend', of('knee', 'elbow'))],
  prop: [
    S(
      'place',
      all((a) => a.part !== null, placed)
    ),
  ],
  cradle: [S('hold', undefined, { part: 'hand', both: true })],
  pop: [S('lift', of('heel', 'hip'), { way: 'up' })],
  tread: [S('press', of('foot', 'heel'))],
}

const DOUBLED = wordSet(
  'step hop dig grip hug tip set put sit tap flip slip drop wrap nod prop grab let shut scan'
)
const IRREGULAR: Record<string, string> = {
  lie: 'lying',
  bring: 'bringing',
}

/** The forms in which a verb is read: as it is told, told of a part, and going on. */
export function formsOf(verb: string): string[] {
  const stem = verb.endsWith('e') && !verb.endsWith('ee') ? verb.slice(0, -1) : verb
  const third = /(?:s|x|sh|ch)$/.test(verb)
    ? `${verb}es`
    : verb.endsWith('ry')
      ? `${verb.slice(0, -1)}ies`
      : `${verb}s`
  const last = verb.at(-1)!
  const going = IRREGULAR[verb] ?? (DOUBLED.has(verb) ? `${verb}${last}ing` : `${stem}ing`)
  return [verb, third, going]
}
