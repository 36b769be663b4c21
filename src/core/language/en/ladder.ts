import type { Demanded, Side } from '../../card'

/** English: what rungs ask, how they are changed, and what is wrong with their order. */

const demanded: Record<Demanded, string> = {
  range: 'range',
  strength: 'strength',
  balance: 'balance',
  hands: 'hands',
  head: 'head and neck',
  time: 'time',
}

const demandedMeans: Record<Demanded, string> = {
  range: 'joint angles against their normal ranges',
  strength: 'the largest joint moments against what joints can hold',
  balance: 'how near the weight is to the edge of what carries it',
  hands: 'weight on bent-back wrists',
  head: 'weight on head and neck, and the head below the heart',
  time: 'how long it is held, and how hard it works',
}

const percent = (share: number) => `${Math.round(share * 100)} %`
const of = (side: Side | undefined, words: string) => (side ? `${side} ${words}` : words)
const whole = (value: number) => String(Math.round(value))

/** How a number was worked out. */
const origin = {
  motion: (motion: string, side: Side | undefined, degrees: number, normal: number) =>
    `${of(side, motion)} ${whole(degrees)}° of ${normal}°`,
  joint: (joint: string, share: number) => `${joint} holds ${percent(share)} of what it can`,
  balance: (margin: number, size: number, height: number, degrees: number) =>
    `weight ${margin} cm inside a support ${size} cm across, ${height} cm up: ${degrees}° from tipping`,
  wall: 'a wall is touched',
  eyes: 'eyes closed',
  falls: 'nothing holds it as it is drawn',
  hand: (part: string, share: number, degrees: number) =>
    `${part} ${percent(share)}, wrist bent back ${whole(degrees)}°`,
  headWeight: (share: number) => `${percent(share)} of the weight on the head`,
  bentNeck: (share: number, degrees: number) =>
    `neck bent ${whole(degrees)}° under ${percent(share)} of the weight`,
  headLow: (cm: number) => `head ${whole(cm)} cm below the heart`,
  stay: (seconds: number, effort: number) =>
    `${whole(seconds)} s at ${percent(effort)} of full work`,
  none: 'nothing to speak of',
}

/** Where the form of a rung comes from. */
const from = {
  kept: 'drawn for this rung',
  words: 'worked out from the words of the rung',
  described: 'the form of the card: the rung says nothing else',
  none: 'not drawn, and no words tell its form',
}
const unsure =
  'not sure: the rung is not drawn, and what it changes is not understood; the form of the card stands in for it'

/** What is asked of what a person can do. */
const needs = {
  straightLegRaise: 'straight-leg raise',
  hipOpening: 'hip opening',
  shoulderReach: 'shoulder reach',
  ankleBend: 'ankle bend',
  wristBend: 'wrist bend',
  neckTurn: 'neck turn',
  weightOnHands: 'weight on the hands',
}
type NeedName = keyof typeof needs

const person = {
  needs,
  usual: 'Usual',
  ready: {
    stiff: 'Stiff from sitting',
    supple: 'Supple, small',
    tall: 'Tall, tight shoulders',
    wrists: 'No hand weight',
  },
  missing: (need: NeedName, degrees: number) => `${needs[need]}: ${whole(degrees)}° short`,
  noWeight: (share: number) => `${percent(share)} of the weight on the hands`,
  short: (part: string, on: string, cm: number) => `${part} stays ${whole(cm)} cm from the ${on}`,
  raise: (part: string, prop: string, cm: number) =>
    `raise the floor ${whole(cm)} cm under the ${part}: ${prop}`,
  pad: (cm: number) => `a pad of ${whole(cm)} cm under the heel`,
  wedge: (cm: number) =>
    `a wedge of ${whole(cm)} cm under the heel of the hand, fists, or forearms`,
  noObject: 'a body should be an object such as {"straightLegRaise": 60}',
  unknown: (keys: readonly string[], known: readonly string[]) =>
    `“${keys.join('”, “')}” is not known; a body has ${known.join(', ')}`,
  open: 'open',
  closed: 'not open',
  unsure: 'can’t tell: not drawn',
  first: (name: string) => `First open rung: ${name}`,
  none: 'No rung is open: build one that asks less.',
  opensTo: (names: string[]) => `Opens the pose to: ${names.join(', ')}`,
}

const sides = (side: Side | 'both', one: string, two: string) =>
  side === 'both' ? `both ${two}` : `the ${side} ${one}`

/** The named moves by which a form is made to ask less, or more. */
const moves = {
  'raise-hand': (side: Side | 'both', on: string) => ({
    name: `${side === 'both' ? 'Hands' : `${side === 'left' ? 'Left' : 'Right'} hand`} on ${thing(on)}`,
    words: `Set ${sides(side, 'hand', 'hands')} on ${thing(on)}.`,
  }),
  'raise-foot': (side: Side | 'both', on: string) => ({
    name: `Foot on ${thing(on)}`,
    words: `Set ${sides(side, 'heel', 'heels')} on ${thing(on)}.`,
  }),
  'hands-to-wall': () => ({ name: 'Hands on the wall', words: 'Set both hands on the wall.' }),
  'fingers-to-wall': (side: Side | 'both') => ({
    name: 'Fingertips on the wall',
    words: `Rest ${sides(side, 'fingertips', 'fingertips')} on the wall.`.replace(
      'the both',
      'both'
    ),
  }),
  'back-to-wall': () => ({ name: 'Back to the wall', words: 'Rest the back on the wall.' }),
  'bend-knee': (side: Side | 'both') => ({
    name: side === 'both' ? 'Knees bent' : `${side === 'left' ? 'Left' : 'Right'} knee bent`,
    words: `Bend ${sides(side, 'knee', 'knees')}.`,
  }),
  'knee-down': (side: Side | 'both') => ({
    name: side === 'both' ? 'Knees down' : `${side === 'left' ? 'Left' : 'Right'} knee down`,
    words: `Lower ${sides(side, 'knee', 'knees')} to the floor.`,
  }),
  'halve-range': () => ({ name: 'Half the range', words: 'Go half as far.' }),
  'widen-stance': () => ({ name: 'Feet wider', words: 'Step the feet wider apart.' }),
  'lie-down': () => ({ name: 'Lying on the back', words: 'Lie on the back.' }),
  strap: (side: Side | 'both') => ({
    name: 'With a strap',
    words: `Loop the strap round ${sides(side, 'foot', 'feet')}.`,
  }),
  'straighten-knee': (side: Side | 'both') => ({
    name: side === 'both' ? 'Legs long' : `${side === 'left' ? 'Left' : 'Right'} leg long`,
    words: `Straighten ${sides(side, 'leg', 'legs')}.`,
  }),
  'lift-hand': (side: Side | 'both') => ({
    name: side === 'both' ? 'Hands off' : `${side === 'left' ? 'Left' : 'Right'} hand off`,
    words: `Lift ${sides(side, 'hand', 'hands')} off.`,
  }),
  'lift-foot': (side: Side | 'both') => ({
    name: `${side === 'left' ? 'Left' : 'Right'} foot lifted`,
    words: `Lift ${sides(side, 'foot', 'feet')} off the floor.`,
  }),
  'arms-up': () => ({ name: 'Arms overhead', words: 'Sweep both arms overhead.' }),
  bind: () => ({ name: 'Hands clasped behind', words: 'Clasp the hands behind the back.' }),
  'lower-hand': (side: Side | 'both') => ({
    name: `${side === 'left' ? 'Left' : 'Right'} hand to the floor`,
    words: `Lower ${sides(side, 'fingertips', 'fingertips')} to the floor.`,
  }),
  further: () => ({ name: 'Further', words: 'Go a little further.' }),
  'feet-together': () => ({ name: 'Feet together', words: 'Bring the feet together.' }),
  'longer-stay': () => ({ name: 'Long count', words: '' }),
  'eyes-closed': () => ({ name: 'Eyes closed', words: 'Close the eyes.' }),
}

function thing(on: string): string {
  const [kind, height] = on.split(' ')
  return height ? `a ${height} ${kind}` : kind === 'wall' ? 'the wall' : `a ${kind}`
}

/** Words that say a prop deepens the form, and does not support it. Common practice, no source. */
const DEEPENS =
  /\b(?:block|blocks|blanket|bolster|brick|book|step|platform)s?\b[^.]*\b(?:under|beneath|below)\b[^.]*\b(?:(?:front|back|both|lifted|top)\s+(?:foot|feet)|the\s+feet|the\s+(?:left|right)\s+foot|the\s+(?:front|lifted)\s+heel|belly|navel|chest\s+to\s+arch)\b|\b(?:stand|feet|foot)\b[^.]*\bon\s+(?:a|the|two|both)\s+(?:low\s+|middle\s+|high\s+)?(?:block|step|platform)|\b(?:block|strap)\b[^.]*\b(?:beyond|past)\b[^.]*\b(?:feet|foot|toes|soles)\b/i

const phrases = {
  up: [
    'the breath stays even for five breaths',
    'the back keeps its length',
    'both sides feel alike',
    'the stand is quiet',
    'nothing pinches on the way in and out',
    'the hands stay light',
  ],
  down: [
    'the breath catches',
    'something shakes',
    'something pinches or tingles',
    'the shape collapses',
    'the back rounds',
    'the shoulders creep up',
  ],
  /** A sign that is tied to a measure; what stands in the parentheses is read again. */
  tied: (words: string, measure: string, target: string, tolerance: number) =>
    `${words} (${measure} ${target} ± ${tolerance})`,
}

const order = {
  climbs: (name: string, below: string, mine: number, its: number, less: string) =>
    `“${name}” asks less than “${below}” below it: ${mine} against ${its}. Less ${less}.`,
  move: (name: string, below: string) => `Put “${name}” below “${below}”`,
  leap: (below: string, name: string, what: string, between: string) =>
    `From “${below}” to “${name}” is a leap: ${what}. Something could stand between them${between ? `: ${between}` : ''}.`,
  jump: (part: Demanded, from: number, to: number) => `${demanded[part]} ${from} to ${to}`,
  jumpTotal: (from: number, to: number) => `${from} to ${to} in all`,
  halfway: 'a form halfway',
  insert: (name: string) => `Open “${name}” as a draft rung between them`,
  between: (below: string, name: string) => `Between ${below} and ${name}`,
  same: (a: string, b: string) =>
    `“${a}” and “${b}” ask the same: the same form, as long. One of them is not needed, or does not say what differs.`,
  deepens: (name: string, above: string, prop: string) =>
    `On “${name}” the ${prop} takes the form further than “${above}” above it: it deepens, and does not support.`,
  deepensByWords: (name: string) =>
    `On “${name}” the prop is placed so that it deepens the form; as an easier rung it should support.`,
  noEasier: (name: string) =>
    `No rung takes weight, range or balance away from “${name}”: whoever cannot do it has nowhere to go.`,
  nothingBelow: (name: string) =>
    `“${name}” is the lowest rung: nothing below it takes weight, range or balance away.`,
  noUp: (name: string) => `“${name}” does not say what must be true to go up from it.`,
  noDown: (name: string) => `“${name}” does not say what tells one to come down from it.`,
  oneSide: (name: string, cue: string) =>
    `On “${name}” the cue “${cue}” is for one side only: both sides climb the same rungs.`,
  mirrored: (a: string, b: string) =>
    `“${a}” and “${b}” are one form on its two sides: both sides climb the same rungs.`,
  otherLead: (name: string) =>
    `“${name}” is drawn led from the other side than the card is written for.`,
  signOff: (name: string, sign: string, read: string) =>
    `On “${name}” the sign “${sign}” is not met by its own figure, which reads ${read}.`,
}

/** What is missing where a part takes a leap: what could stand between. */
const bridges: Record<Demanded, string> = {
  range: 'half the range, a bent knee, a block under the hand',
  strength: 'a knee down, the hands higher, a shorter lever',
  balance: 'fingertips on a wall, a wider stance',
  hands: 'hands on a chair or a wall, forearms down',
  head: 'the head held level on a prop',
  time: 'a shorter count',
}

export const englishLadder = {
  demanded,
  demandedMeans,
  inAll: 'in all',
  asks: 'asks',
  outOf: 'of 100',
  beside: 'beside the ladder',
  asksLess: (name: string, below: string) => `“${name}” asks less than “${below}” below it.`,
  climbsSo: 'In this order the ladder climbs.',
  origin,
  from,
  unsure,
  person,
  moves,
  phrases,
  order,
  bridges,
  deepens: (text: string): boolean => DEEPENS.test(text),
}
export type LadderWords = typeof englishLadder
