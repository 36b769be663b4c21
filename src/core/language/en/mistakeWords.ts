import { wordSet } from './worded'

/** English: what the rules about mistakes read and say. Common practice, no source. */

const LEAD = String.raw`(?:(?:and|but|so|now|please|just|then|also|instead)[ ,]+)*`
/** How a clause begins, or what stands in it, when it only forbids. */
const FORBIDS = new RegExp(
  `^${LEAD}(?:(?:do not|don['’]t|never|avoid|stop(?! (?:where|when|at|as soon|before|once|and|there|here|halfway|just)\\b)|quit|cease|refrain|beware|mind|resist|try not to|be careful not to|careful not to|make sure (?:not|that you do(?: not|n['’]t)|you do(?: not|n['’]t))|watch (?:that|out)|see that .* (?:not|n['’]t)|not|without)\\b|no (?!more than)\\w)`,
  'i'
)
const FORBIDS_WITHIN =
  /^(?:the|your|you|it|this|that|these|both|left|right|front|back|\w+[^s]s)\b.*\b(?:(?:should|must|may|can|could|does|do|will|is|are)(?: not|n['’]t)|cannot|never)\b|^let\b[^,]*\bnot\b|^keep\b.*\bfrom \w+ing\b|^prevent\b/i
/** `Knees not past the toes.` */
const WHERE_NOT =
  /^(?:the |your |both )?(?:left |right |front |back |low |upper )?\w+ not (?:past|so|too|over|beyond|in|out|up|down|to|into|onto|on|under|behind|ahead|forward|back)\b/i
const PARTS =
  /[.;:!?]+\s*|,\s*(?=(?:and|but|instead|then)\b)|\s+(?:but|instead)\s+|,\s+(?!not\b|never\b|without\b|no\b)/i
/** Said after what is to be done, it forbids nothing by itself. */
const TAIL = /^(?:not|never|without|no)\b/i

const FUNCTION_WORDS = wordSet(
  'a an the of to on at is are be been being it its their his her them they your you and or as so too very much more than that this these those with for while when by not'
)
/** Words that say one thing of a body that goes wrong, under the first of them. */
const ALIKE: readonly string[][] = [
  [
    'cave',
    'roll',
    'rolls',
    'fall',
    'falls',
    'drop',
    'drops',
    'collapse',
    'knock',
    'buckle',
    'sag',
    'sink',
  ],
  ['rise', 'creep', 'lift', 'hunch', 'shrug', 'climb', 'hike', 'hitch', 'raise'],
  ['in', 'inward', 'inwards', 'into'],
  ['out', 'outward', 'outwards'],
  ['past', 'beyond', 'ahead', 'over', 'front'],
  ['arch', 'sway', 'overarch', 'hollow'],
  ['round', 'hunch', 'curl', 'slump', 'slouch'],
  ['pinch', 'crunch', 'compress', 'jam', 'squeeze'],
  ['low', 'lower', 'lumbar'],
  ['poke', 'jut', 'stick', 'push'],
  ['hold', 'held', 'stop'],
  ['tilt', 'tip', 'lean'],
  ['forward', 'forwards'],
  ['back', 'backward', 'backwards'],
]
/** Directions of which only one can be meant. */
const OPPOSITES: readonly (readonly [string, string])[] = [
  ['in', 'out'],
  ['up', 'down'],
  ['forward', 'back'],
  ['wide', 'narrow'],
  ['straight', 'bend'],
  ['arch', 'round'],
  ['inner', 'outer'],
]

export const englishMistakes = {
  /**
   * Whether a line only tells what not to do. What is done “without …” or “not …” is still done.
   * @example onlyForbids('Don’t let the knee roll in.') // true
   * @example onlyForbids('Press the foot down, don’t grip.') // false
   */
  onlyForbids: (line: string): boolean => {
    const clauses = line
      .split(PARTS)
      .map((clause) => clause?.trim())
      .filter(Boolean)
    const forbids = (clause: string) =>
      FORBIDS.test(clause) || FORBIDS_WITHIN.test(clause) || WHERE_NOT.test(clause)
    return clauses.length > 0 && clauses.every((clause) => forbids(clause) || TAIL.test(clause))
  },
  /** Lines about the breath and the eyes need no part of the body. */
  needsNoPart: (line: string) => /\b(?:breathe?s?|breathing|exhale|inhale|look|gaze)\b/i.test(line),
  /** Whether a line tells of two things that go wrong together. */
  joins: (line: string) => /\b(?:and|while)\b/i.test(line),
  sided: (line: string) => /\b(?:left|right)\b/i.test(line),
  /** Words that tell which leg, and nothing that is wrong with it. */
  legWords: new Set(['front']),
  /** Of which leg a line tells, where it names it by its place. */
  front: (line: string) =>
    /\bfront (?:knee|foot|leg|hip|heel|thigh)/i.test(line)
      ? ('front' as const)
      : /\bback (?:knee|foot|leg|hip|heel|thigh)/i.test(line)
        ? ('back' as const)
        : null,
  functionWords: FUNCTION_WORDS,
  /** Words that say one thing, under the first of them. */
  alike: ALIKE,
  /** Words of places that are told by two of them. */
  places: /\b(?:low|lower|upper|middle|mid)[ -]back\b/g,
  opposites: OPPOSITES,
  onlyForbidsTold: (words: string) =>
    `“${words}” only says what not to do. Say the one thing to do instead.`,
  sayTheCue: (words: string) => `Say what to do: “${words}”`,
  tooLong: (takes: string, lasts: string) =>
    `Takes ${takes} to say, and an out-breath lasts ${lasts}. One short thing is enough.`,
  noPart: (words: string) =>
    `“${words}” names no part of the body: the student can’t know what is to move.`,
  noCue: (words: string) => `“${words}” breaks no cue. Name the cue that it breaks, or write one.`,
  cuesAlone: (cues: readonly string[]) =>
    `Nothing is told to go wrong with ${cues.map((cue) => `“${cue}”`).join(', ')}. Write what is seen when ${cues.length > 1 ? 'one of them' : 'it'} is broken.`,
  sameElsewhere: (own: string, other: string, titles: readonly string[]) =>
    `“${own}” seems to be the mistake that ${titles.slice(0, 3).join(', ')}${titles.length > 3 ? ` and ${titles.length - 3} more cards` : ''} ${titles.length > 1 ? 'call' : 'calls'} “${other}”. One wording is easier to learn.`,
  wordIt: (words: string) => `Word it “${words}”`,
}
