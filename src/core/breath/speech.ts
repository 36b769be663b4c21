import { toCardinal as numberWords } from 'n2words/en-GB'
import { syllable } from 'syllable'
import { remember } from '../card'
import { plainText } from '../sides'

/** A line as it is said aloud. */
export interface Spoken {
  words: number
  syllables: number
}

/** Syllables that one spoken word of calm instruction has at most, on average over a line. */
const SYLLABLES_A_WORD = 2

const IAST = /[āīūṛṝḷḹṃṁḥñṅṭḍṇśṣ]/u
const SANSKRIT_END = /(?:āsana|asana|mudrā|mudra|namaskāra|namaskara)$/u
const VOWELS = /ai|au|[aāiīuūeoṛṝḷḹ]/gu

const SIGNS: [RegExp, string][] = [
  [/°/g, ' degrees '],
  [/%/g, ' percent '],
  [/(?<=\d\s*)cm\b/g, ' centimetres '],
  [/(\d)\s*[-–—]\s*(?=\d)/g, '$1 to '],
  [/(?<![\p{L}\p{M}])[Ll](?![\p{L}\p{M}])/gu, ' left '],
  [/(?<![\p{L}\p{M}])[Rr](?![\p{L}\p{M}])/gu, ' right '],
  [/&/g, ' and '],
]

/** A number in words; what is too long to be a number is told digit by digit. */
function inWords(digits: string): string {
  if (digits.length > 9) return [...digits].map((digit) => numberWords(digit)).join(' ')
  return numberWords(digits)
}

/**
 * The words of a line as they are said: numbers in words, signs spelt out. A compound with a
 * hyphen is one word.
 * @example spokenWords('Hold 12 s at 90°.') // ['hold', 'twelve', 's', 'at', 'ninety', 'degrees']
 */
export function spokenWords(text: string): string[] {
  let said = plainText(text).normalize('NFC')
  for (const [sign, word] of SIGNS) said = said.replace(sign, word)
  said = said.replace(/\d+(?:\.\d+)?/g, (digits) => ` ${inWords(digits)} `)
  return said.toLowerCase().match(/[\p{L}\p{M}]+(?:[-'’][\p{L}\p{M}]+)*/gu) ?? []
}

/**
 * Syllables of one word as it is spoken. A word in IAST has one to each vowel; an English one
 * is counted by its spelling.
 * @example syllablesOf('pārśvakoṇāsana') // 6
 */
export const syllablesOf = remember((word: string): number => {
  if (IAST.test(word) || SANSKRIT_END.test(word)) return word.match(VOWELS)?.length ?? 1
  return Math.max(1, syllable(word))
})

/** How much there is to say in a line. */
export const spoken = remember((text: string): Spoken => {
  const words = spokenWords(text)
  return {
    words: words.length,
    syllables: words.reduce((sum, word) => sum + syllablesOf(word), 0),
  }
})

/**
 * How long a line takes to say, in seconds. Long words take longer: a line is no faster than
 * its syllables at two to a word of the rate.
 * @param rate words a minute
 * @example speechSeconds('Press the left foot down.', 120) // 2.5
 */
export function speechSeconds(text: string, rate: number): number {
  const { words, syllables } = spoken(text)
  return (Math.max(words, syllables / SYLLABLES_A_WORD) * 60) / rate
}

/** A part of a line that can be left out, with what is left of the line then. */
export interface Cut {
  clause: string
  left: string
}

/** How a line fits into the time it belongs to. */
export interface Fit extends Spoken {
  /** What saying it takes. */
  seconds: number
  /** By how much it is over, in seconds; 0 when it fits. */
  over: number
  /** By how many words it is over, rounded up; 0 when it fits. */
  overWords: number
  /** What to leave out; null when it fits, or when it has nothing that can go. */
  cut: Cut | null
}

const CLAUSE =
  /\s*[,;:–—]\s+(?:and\s+|then\s+|but\s+)?|\s+(?=(?:and|then|while|(?<!\bas\s+\w+\s+)as(?!\s+\w+\s+as\b)|until|so|without|before|after|with)\s)/giu

/** The line cut where one could stop speaking: the first part and what follows it. */
function clausesOf(text: string): { start: number; end: number }[] {
  const starts = [...text.matchAll(CLAUSE)].map((match) => match.index).filter((at) => at > 0)
  return starts.map((start, i) => ({ start, end: starts[i + 1] ?? text.length }))
}

function cutFrom(text: string, fits: (text: string) => boolean): Cut | null {
  const end = /[.!?…]*$/.exec(text)![0]
  const body = text.slice(0, text.length - end.length)
  const clauses = clausesOf(body)
  const without = (start: number, stop: number): Cut => ({
    clause: body
      .slice(start, stop)
      .replace(/^[\s,;:–—]+/u, '')
      .trim(),
    left: body.slice(0, start) + body.slice(stop) + end,
  })
  const single = clauses
    .map(({ start, end: stop }) => without(start, stop))
    .filter((cut) => fits(cut.left))
    .sort((a, b) => a.clause.length - b.clause.length)
  if (single[0]) return single[0]
  for (const { start } of clauses.toReversed()) {
    const cut = without(start, body.length)
    if (fits(cut.left)) return cut
  }
  return null
}

/**
 * Measures a line against the time it must be said in.
 * @param seconds that the phase lasts
 * @param rate words a minute
 * @example fitOf('Press down.', 4, 120).over // 0
 */
export function fitOf(text: string, seconds: number, rate: number): Fit {
  const takes = speechSeconds(text, rate)
  const fits = (line: string) => speechSeconds(line, rate) <= seconds + 1e-9
  if (fits(text)) return { ...spoken(text), seconds: takes, over: 0, overWords: 0, cut: null }
  const over = takes - seconds
  return {
    ...spoken(text),
    seconds: takes,
    over,
    overWords: Math.ceil((over * rate) / 60 - 1e-9),
    cut: cutFrom(text, fits),
  }
}

/**
 * How many of the cues, in their order, can be said within a stay.
 * @param seconds that the stay lasts
 */
export function cuesWithin(cues: readonly string[], seconds: number, rate: number): number {
  let used = 0
  let count = 0
  for (const cue of cues) {
    used += speechSeconds(cue, rate)
    if (used > seconds + 1e-9) break
    count += 1
  }
  return count
}
