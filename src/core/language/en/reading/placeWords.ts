import type { Side } from '../../../card'
import type { Thing } from '../../instruction'
import type { StartTold } from '../../instruction'
import { remember } from '../../remember'
import { THING_WORDS } from './bodyWords'
import { wordsOf } from './phrases'

/** English words for starting positions, and for props. Common practice, no source. */

const LEGS_LONG =
  /\blegs? (?:are |is )?(?:both )?(?:long|straight|extended|stretched|outstretched|out|forward|in front)|\b(?:straight|long|outstretched|extended) legs|\bstaff\b|\bknees (?:are )?straight|\blegs (?:stretched |extended |straight |long )?(?:out )?(?:in front|forward)|\bextend (?:the|your|both) legs|\bstretch (?:the|your|both) legs/
const CROSSED =
  /\bcross(?:ed)?[- ]?legg?ed|\b(?:legs|shins|ankles) crossed|\bcrossed (?:legs|shins)|\beasy seat|\bcross (?:the|your) (?:legs|shins)|\bshin in front|\btailor/
const KNEES_BENT =
  /\bknees? (?:are )?bent|\bbent knees|\bbend (?:the|your|both) knees|\bfeet (?:are )?(?:flat |planted |placed )?(?:hip[- ]?\w+ )?(?:on|to) the (?:floor|ground|mat)|\bsoles (?:flat )?on the (?:floor|ground|mat)|\bfeet under the knees|\bfeet flat|\bfeet close to|\bfeet near|\bknees up\b|\bfeet planted/

/** In order: the first that fits. */
const STARTS: [start: string, fits: RegExp, not?: RegExp][] = [
  [
    'hands-and-knees',
    /\bforearms? (?:and (?:the )?knees|on the (?:floor|mat|ground).*\bknees (?:are )?(?:directly )?(?:under|below) )|\bhands and (?:the |your )?knees\b|\bknees and (?:the |your )?hands\b|\ball[- ]fours\b|\btable[- ]?top\b|\bhands (?:are )?(?:placed )?(?:directly )?(?:under|below|beneath) (?:the |your )?shoulders?.*\bknees (?:are )?(?:directly )?(?:under|below|beneath) (?:the |your )?hips|\bknees (?:directly )?(?:under|below) (?:the |your )?hips.*\bhands (?:directly )?(?:under|below) (?:the |your )?shoulders/,
  ],
  ['dog', /\b(?:downward|down)[- ]?(?:facing)?[- ]dog\b|\bdog pose\b|^dog\b|\bin dog\b/],
  ['plank', /\bplank\b|\bpush-?up position/],
  ['squat', /\bsquat\b|\bcrouch/],
  [
    'heel-seat',
    /\b(?:sit|seated|sitting|rest|kneel|kneeling)\b.*\bon (?:top of )?(?:the|your|both) (?:heels|feet|calves|shins)\b|\bheel seat\b|\bsit(?:ting)? back (?:on|onto|to) (?:the|your) heels|\bkneeling seat\b|\bsit between the heels/,
  ],
  [
    'chair',
    /\b(?:sit|seated|sitting|perch)\b.*\b(?:on|at) (?:the|a|your) (?:\w+ )*(?:chair|stool|bench)\b|\b(?:sit|seated|sitting)\b[^.]*\bchair\b|\bin a chair\b/,
    /\bhands? on (?:the|a) chair|\bface the chair|\bfacing (?:the|a) chair|\bcalves on/,
  ],
  [
    'cross-legged',
    new RegExp(`\\b(?:sit|seat|seated|sitting)\\b.*(?:${CROSSED.source})|^(?:${CROSSED.source})`),
  ],
  [
    'long-seat',
    new RegExp(
      `\\b(?:sit|seat|seated|sitting)\\b.*(?:${LEGS_LONG.source})|^(?:${LEGS_LONG.source})`
    ),
  ],
  [
    'bound-seat',
    /\b(?:sit|seat|seated|sitting)\b.*\bsoles (?:of the feet |of your feet )?together/,
  ],
  ['seat-knees-bent', new RegExp(`\\b(?:sit|seat|seated|sitting)\\b.*(?:${KNEES_BENT.source})`)],
  ['seat', /\b(?:sit|seated|sitting)\b/],
  [
    'side-lying',
    /\b(?:lie|lying|lay|roll|rest|recline)\b.*\bon(?:to)? (?:the|your|one|a) (?:\{?(?:left|right)\}? )?side\b|\bside-?lying\b|^on (?:the|your) \{?(?:left|right)\}? side/,
  ],
  [
    'prone',
    /\b(?:lie|lying|lay|rest)\b.*\b(?:front|belly|stomach|tummy|abdomen)\b|\bprone\b|\bface[- ]down\b|\bfacing down\b|^on (?:the|your) (?:front|belly|stomach|tummy)/,
  ],
  [
    'supine-knees-bent',
    new RegExp(
      `(?:\\b(?:lie|lying|lay|recline)\\b|\\bsupine\\b|^on (?:the|your) back).*(?:${KNEES_BENT.source})`
    ),
    /\bcalves on|\blegs (?:on|up)/,
  ],
  [
    'supine',
    /\b(?:lie|lying|lay|rest|recline)\b.*\b(?:back|spine)\b|\bsupine\b|\bface[- ]up\b|^on (?:the|your) back\b|\blie down\b|^lie\b/,
  ],
  ['kneeling', /\bkneel(?:ing)?\b|\bon (?:the|your|both) (?:knees|shins)\b/],
  [
    'wide',
    /\b(?:stand|standing)\b.*(?:\b(?:feet|legs)\b[^,.;]*\b(?:wide|leg[- ]?length|leg's length|apart wide|astride|three feet|four feet|one leg|far apart)|\bwide (?:stance|stand|legs|feet)\b|\blegs apart\b)|\bwide (?:stance|stand|standing)\b|\bstraddle stand|^(?:feet|legs) (?:wide|a leg[- ]length|far) apart/,
  ],
  ['standing', /\bstand(?:ing)?\b|\bmountain\b|^feet\b/],
]

/** Where a line of a set-up begins. */
export function startOfLine(line: string): StartTold | null {
  const text = line.toLowerCase().replace(/[’‘]/g, "'").trim()
  const start = STARTS.find(([, fits, not]) => fits.test(text) && !not?.test(text))
  if (!start) return null
  const side =
    start[0] === 'side-lying' ? (wordsOf(line).find((word) => word.side)?.side ?? null) : null
  return { start: start[0], side }
}

const PROPS: Thing[] = ['block', 'strap', 'bolster', 'blanket', 'chair', 'wall']
const wordsFor = (thing: Thing) => THING_WORDS[thing].split(', ').join('|')
const NAMED = PROPS.map((prop): [Thing, RegExp] => [
  prop,
  // What lies on the eyes carries nothing.
  new RegExp(`(?<!\\beye[ -])\\b(?:${wordsFor(prop)})s?\\b`, 'i'),
])

/** The props that a line names. */
export const propsIn = (line: string): Thing[] =>
  NAMED.filter(([, named]) => named.test(line)).map(([prop]) => prop)

/** @example namesProp('Slide the straps up.', 'two long straps') // true */
export const namesProp = (text: string, prop: string): boolean => lastWord(prop).test(text)
const lastWord = remember((prop) => {
  const last = prop
    .trim()
    .split(/\s+/)
    .at(-1)!
    .replace(/[^\p{L}\p{N}-]/gu, '')
  return new RegExp(`\\b${last}s?\\b`, 'iu')
})

/** Not of a measure: two blocks, and not a pad of 2 cm. */
const A_PAIR = /\b(?:two|2|pair)\b(?![.,]\d|[ -]?(?:cm|mm|in|inch|inches|m|kg)\b)/i

/** @example several('2 bricks', 'block') // true */
export const several = (prop: string, thing: Thing) =>
  new RegExp(`\\b(?:${wordsFor(thing)})s\\b`, 'i').test(prop) || A_PAIR.test(prop)

export const SPEAKS_OF = {
  arm: /\b(?:arms?|hands?)\b/i,
  armOrElbow: /\b(?:arms?|hands?|elbows?)\b/i,
  foot: /\b(?:foot|feet|toes)\b/i,
  leg: /\b(?:foot|feet|legs?|knees?)\b/i,
  turning: /\bfeet\b|\bturn\b/i,
}

export const ANY_SIDE = /\b(?:a|one|each|either|any|every)\b/i

/** @example withSide('lift the knee', 'knee', 'left') // 'lift the left knee' */
export function withSide(words: string, part: string, side: Side): string | null {
  const at = new RegExp(`\\b(?:the|your) (?=${part.split(' ')[0]}\\b)`, 'i').exec(words)
  if (!at) return null
  const after = at.index + at[0].length
  return `${words.slice(0, after)}${side} ${words.slice(after)}`
}

const one = (word: string) => word.replace(/feet$/, 'foot').replace(/s$/, '')

/** @example sameThing('feet', 'foot') // true */
export const sameThing = (word: string, other: string) => one(word) === one(other)

/** @example hops('Jump the feet back.') // true */
export const hops = (text: string) =>
  /^(?:lightly |softly |gently )?(?:hop(?:ping)?|jump(?:ing)?|spring(?:ing)?|leap(?:ing)?)\b/i.test(
    text
  )
