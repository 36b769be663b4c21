import type {
  Base,
  Breath,
  Card,
  Manner,
  On,
  Pace,
  Region,
  SectionId,
  Side,
  Spine,
  StepList,
  Stay,
  Verdict,
} from '../../card'
import { worded } from './worded'

/** English: what the parts of a card, of a sheet and of a finding are called. */

const count = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`
const range = (least: number, most: number | undefined, one: string) =>
  most === undefined ? count(least, one) : `${least} to ${count(most, one)}`
const tenth = (value: number) => Math.round(value * 10) / 10

const verdict: Record<Verdict, string> = {
  avoid: 'avoid',
  'ask-first': 'ask first',
  change: 'change',
  fine: 'fine',
}
const breath: Record<Breath, string> = {
  in: 'in',
  out: 'out',
  'hold-in': 'hold in',
  'hold-out': 'hold out',
  free: 'free',
}
const on: Record<On, string> = {
  both: 'both sides',
  'first-only': 'first side only',
  'second-only': 'second side only',
  'left-only': 'left side only',
  'right-only': 'right side only',
}
const base: Record<Base, string> = {
  standing: 'Standing',
  kneeling: 'Kneeling',
  seated: 'Seated',
  prone: 'Prone, on the front',
  supine: 'Supine, on the back',
  'side-lying': 'Side-lying',
  hands: 'On the hands',
  inverted: 'Inverted',
}
const spine: Record<Spine, string> = {
  lengthen: 'lengthen',
  forward: 'forward',
  back: 'back',
  side: 'side',
  twist: 'twist',
}
const manner: Record<Manner, string> = {
  held: 'held',
  moving: 'moving',
  restorative: 'restorative',
}
const region: Record<Region, string> = {
  feet: 'feet',
  ankles: 'ankles',
  knees: 'knees',
  'hips and pelvis': 'hips and pelvis',
  'low back': 'low back',
  'ribs and upper back': 'ribs and upper back',
  shoulders: 'shoulders',
  elbows: 'elbows',
  'wrists and hands': 'wrists and hands',
  'neck and head': 'neck and head',
  gaze: 'gaze',
}
const status = { draft: 'draft', review: 'in review', approved: 'approved' }

const sections: Record<SectionId, string> = {
  name: 'Name and family',
  when: 'Whom and when',
  setup: 'Set-up',
  enter: 'Coming in',
  alignment: 'Alignment',
  stay: 'The stay',
  mistakes: 'What goes wrong',
  cautions: 'Cautions',
  ladder: 'The ladder',
  exit: 'Coming out',
  rest: 'Rest and counter',
}

/** Headings of a sheet, by the field of the card that they hold, where there is one. */
const parts: Partial<Record<keyof Card | 'sizes' | 'conventions', string>> = {
  setUp: 'Set-up',
  enter: 'Coming in',
  stay: 'The stay, and the time it all takes',
  otherWay: 'The other way',
  alignment: 'Alignment',
  exit: 'Coming out',
  sizes: 'For a person’s size',
  betweenSides: 'Between the sides',
  mistakes: 'What goes wrong',
  cautions: 'Cautions',
  ladder: 'The ladder, most demanding on top',
  counter: 'Follow with',
  conventions: 'In our school',
  effects: 'Said of this pose',
  traits: 'What it asks, set by hand',
  assists: 'Touch, only with consent, asked each time',
  notes: 'Notes',
}

/** Stretches of the ribbon: one pass through the pose. */
const passes: Partial<Record<StepList | 'stay', string>> = {
  enter: 'coming in',
  stay: 'the stay',
  otherWay: 'the other way',
  exit: 'coming out',
}

const timesOf = (stay: Stay) => range(stay.repeats, stay.repeatsMost, 'time')
/** The counts of a stay that are ranges. */
const countsOf = (stay: Stay) =>
  [
    stay.breathsMost ? range(stay.breaths!, stay.breathsMost, 'breath') : '',
    stay.repeatsMost ? timesOf(stay) : '',
    !stay.breathsMost && stay.seconds && stay.seconds[0] < stay.seconds[1]
      ? `${stay.seconds[0]} to ${stay.seconds[1]} s`
      : '',
  ]
    .filter(Boolean)
    .join(' and ')

/** Of a stay: `5 breaths, 2 times`. */
function stay(stay: Stay): string {
  const told: string[] = []
  if (stay.breaths !== undefined) told.push(range(stay.breaths, stay.breathsMost, 'breath'))
  if (stay.seconds) {
    const [least, most] = stay.seconds
    const minutes = least >= 60 && least % 30 === 0 && most % 30 === 0
    const unit = minutes ? 60 : 1
    const span = least === most ? `${least / unit}` : `${least / unit} to ${most / unit}`
    told.push(
      `${span} ${minutes ? (most === 60 ? 'minute' : 'minutes') : most === 1 ? 'second' : 'seconds'}`
    )
  }
  if (stay.repeats > 1 || stay.repeatsMost) told.push(timesOf(stay))
  if (stay.restBetween) told.push(`${count(stay.restBetween.breaths, 'breath')} of rest between`)
  return told.join(', ')
}

/** A length of time, to a tenth of a second below a minute: `2 min 8 s`. */
function duration(seconds: number): string {
  if (seconds < 60) return `${tenth(seconds)} s`
  const whole = Math.round(seconds)
  const rest = whole % 60
  return rest ? `${Math.floor(whole / 60)} min ${rest} s` : `${whole / 60} min`
}

/** A pace: `4 s in, 4 s out`. */
const pace = ({ in: inward, holdIn, out, holdOut }: Pace): string =>
  [
    `${inward} s in`,
    holdIn ? `hold ${holdIn} s` : '',
    `${out} s out`,
    holdOut ? `hold ${holdOut} s` : '',
  ]
    .filter(Boolean)
    .join(', ')

/** The gap after a meal and the time of day; empty when neither is given. */
/** @param usual what the school asks for, where the card asks for something else */
function when({ mealGapHours, timeOfDay }: Card['when'], usual?: string): string {
  const gap =
    mealGapHours === undefined
      ? ''
      : mealGapHours === 0
        ? 'also straight after a meal'
        : `${count(mealGapHours, 'hour')} after a meal`
  const same = usual !== undefined && Number(/\d+(?:\.\d+)?/.exec(usual)?.[0]) === mealGapHours
  const other = gap && usual && !same ? ` (in our school: ${usual})` : ''
  return [gap + other, timeOfDay].filter(Boolean).join('; ')
}

const sheet = {
  leads: { left: 'left leads', right: 'right leads' },
  order: { first: 'first', second: 'second' },
  alike: 'both sides alike',
  centre: { breath: 'breath', where: 'where' },
  /** In the place of a line that is not said on a side. */
  notHere: 'not on this side',
  /** In the place of a half that no pack can write. */
  notWritten: (language: string) =>
    `not written for this side: Notula knows no side words of “${language}” yet`,
  also: (names: string[]) => `also ${names.join(', ')}`,
  spine: (direction: Spine) => `spine: ${spine[direction]}`,
  sides: { even: 'even', sided: 'sided' },
  namedBy: (words: string) => `side named by the ${words}`,
  first: (side: Side) => `${side} first`,
  writtenIn: (language: string) => `written in ${language}`,
  start: 'Start',
  props: 'Props',
  note: 'Note',
  paced: (of: Pace) => `breath ${pace(of)}`,
  /** The time a card takes; `side` and `between` for one with two sides. */
  time: (total: number, side?: number, between?: number) =>
    side === undefined
      ? `${duration(total)} in all`
      : `${duration(total)} in all: ${duration(side)} a side, ${duration(between!)} between`,
  oneSide: (of: { part: string; seconds: number }[]) =>
    `One side: ${of.map(({ part, seconds }) => `${part} ${duration(seconds)}`).join(', ')}.`,
  times: (n: number, most?: number) => (most === undefined ? `× ${n}` : `× ${n} to ${most}`),
  /** Where the time is that of the middle of a range. */
  middle: (stay: Stay, steps: { repeat?: number; repeatMost?: number }[]) =>
    `The time is that of the middle of ${[
      countsOf(stay),
      ...steps.map(({ repeat = 1, repeatMost }) => range(repeat, repeatMost, 'time')),
    ]
      .filter(Boolean)
      .join(' and ')}.`,
  multiplied: (of: { rounds: string; steps: number[]; stay: string }) => {
    const { steps } = of
    const run = steps.every((step, i) => i === 0 || step === steps[i - 1]! + 1)
    const told =
      steps.length === 1
        ? `Step ${steps[0]} is done`
        : run && steps.length > 2
          ? `Steps ${steps[0]} to ${steps.at(-1)} are done in turn,`
          : `Steps ${steps.join(' and ')} are done in turn,`
    return `${told} ${of.rounds}${of.stay ? `; the stay of ${of.stay} follows, ${of.rounds} as well` : ''}.`
  },
  cycle: 'cycle',
  seconds: (n: number) => `${tenth(n)} s`,
  say: ['Say: “', '”'] as const,
  breaksCue: (region: string, cue: string) => `Breaks the cue on ${region}: ${cue}`,
  reason: 'Reason:',
  /** What a card says in place of what is usual. */
  over: (usual: string) => `In place of: ${usual}.`,
  instead: (title: string) => `Instead: ${title}.`,
  usualIs: (verdict: string, why: readonly string[]) =>
    `The usual verdict is ${verdict}${why.length ? ` (${why.join(', ')})` : ''}.`,
  openOn: (rung: string) => `Open: ${rung}.`,
  setByHand: (trait: string, rung: string) => (rung ? `${trait}, on ${rung}` : trait),
  stance: 'Stand first:',
  described: 'the form described here',
  with: (props: string[]) => `With ${props.join(', ')}.`,
  stays: (words: string, at: string) => `Stay ${[words, at].filter(Boolean).join(' · ')}.`,
  inPlaceOf: (step: string) => `In place of “${step}”:`,
  add: (after: string) => (after ? `Add after “${after}”:` : 'Add first:'),
  leaveOut: (step: string) => `Leave out “${step}”`,
  moreCue: (region: string) => `Also watch, ${region}:`,
  beside: 'stands beside the ladder',
  upWhen: 'Up when',
  downWhen: 'Down when',
  onBreath: (phase: Breath) => `On ${breath[phase]}:`,
  figure: 'Figure',
  figureOf: (what: string) => `figure of ${what}`,
  theStart: 'the start',
  sizes: 'Sizes by stature',
  statures: 'stature, cm',
  usual: 'For usual proportions; look at the person, too.',
  rightForm: 'as it should be',
  wrongForm: 'what goes wrong',
  wanted: (name: string, read: string | null, target: string, tolerance: number, off: boolean) =>
    read === null
      ? `${name}: wanted ${target} ± ${tolerance}`
      : `${name}: ${read}, ${off ? 'but ' : ''}wanted ${target} ± ${tolerance}`,
}

/** Said above the cautions of every card, until a school words it otherwise. */
const cautionLead =
  'Usual cautions, no diagnosis: what the student’s own clinician says comes first, and so do local rules. Any pain, tingling, pinching or shortness of breath: come out.'

/** Said before every touch, until a school words it otherwise. */
const consent =
  'Ask each time, before any touch: “May I touch you here?” Take no for an answer, and say that it is a good one.'

/** Where schools disagree, first side, pace and held breath aside. Common practice, no source. */
const conventions: Record<string, { title: string; answers: readonly string[] }> = {
  'heel-line': { title: 'Heel line', answers: ['front heel to back arch', 'heel to heel'] },
  'hips-in-twists': {
    title: 'Hips in twists',
    answers: ['square', 'free, the turn taken in the ribs'],
  },
  'cobra-hands': { title: 'Hands in cobra', answers: ['by the chest', 'by the head'] },
  'cobra-arms': { title: 'Arms in cobra', answers: ['bent', 'straight'] },
  feet: { title: 'Feet', answers: ['together', 'hip-width'] },
  brow: { title: 'Face down', answers: ['chin down', 'forehead down'] },
  'meal-gap': {
    title: 'After a meal',
    answers: ['1.5 hours', '2 hours', '3 hours', 'an empty stomach'],
  },
  menstruation: { title: 'Menstruation', answers: ['no inversions', 'as the student likes'] },
  'legs-at-first': { title: 'Legs at first', answers: ['together', 'apart'] },
  salutation: {
    title: 'Salutation',
    answers: [
      'right leg back first, left leg back first in the second round',
      'the leg that stepped back comes forward',
      '12 positions',
    ],
  },
  names: {
    title: 'Names',
    answers: ['one name for one pose; the other names are listed as also called'],
  },
}
/** Poses that a school's answer is about, by their names. */
const poses = { cobra: /cobra|bhuja[nṅ]g/i, salutation: /salutation|namask[aā]r/i }
/** What a thing is called that should fit a person's size. */
const sizes = {
  ankles: 'from ankle to ankle',
  handsToFeet: 'from hands to feet',
  underHand: (side: Side) => `under the ${side} hand`,
  floor: 'the floor',
  block: (height: string) => `a block, ${height}`,
  chair: 'a chair or the wall',
  ramp: 'ramp of the bolster: a low block under the waist, a high one under the shoulders',
  /** Whether props, as they are listed, make a ramp: a bolster and two blocks. */
  makesRamp: (props: string) => /bolster/i.test(props) && /blocks|two block|2 block/i.test(props),
  heelPad: 'pad under a stiff heel, up to',
}

export const englishLabels = {
  worded,
  timesOf,
  conventions,
  poses,
  sizes,
  base,
  spine,
  manner,
  breath,
  verdict,
  on,
  region,
  status,
  sections,
  parts,
  passes,
  stay,
  duration,
  pace,
  when,
  sheet,
  cautionLead,
  consent,
}

export type Labels = typeof englishLabels
