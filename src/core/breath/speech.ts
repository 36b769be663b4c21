import { keeping, remember, speechIn, type SpeechWords } from '../language'
import { plainText } from '../sides'

/** A line as it is said aloud. */
export interface Spoken {
  words: number
  syllables: number
}

/** How a language is said, each word and each line counted once. */
const quick = new Map<string, (SpeechWords & { spoken: (text: string) => Spoken }) | null>()
function speechOf(language: string) {
  const known = quick.get(language)
  if (known !== undefined) return known
  const speech = speechIn(language)
  const syllables = speech && remember(speech.syllables)
  const made = speech
    ? {
        ...speech,
        spoken: remember((text: string): Spoken => {
          const words = speech.words(plainText(text, { language }))
          return {
            words: words.length,
            syllables: words.reduce((sum, word) => sum + syllables!(word), 0),
          }
        }),
      }
    : null
  quick.set(language, made)
  return made
}

/** How much there is to say in a line; nothing is known of a language that has no pack. */
export const spoken = (text: string, language: string): Spoken =>
  speechOf(language)?.spoken(text) ?? { words: 0, syllables: 0 }

/**
 * How long a line takes to say, in seconds. Long words take longer: a line is no faster than
 * its syllables at two to a word of the rate.
 * @param rate words a minute
 * @example speechSeconds('Press the left foot down.', 120, 'en') // 2.5
 */
export function speechSeconds(text: string, rate: number, language: string): number {
  const speech = speechOf(language)
  if (!speech) return 0
  const { words, syllables } = speech.spoken(text)
  return (Math.max(words, syllables / speech.syllablesAWord) * 60) / rate
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
  /** What to leave out; null when it fits, or when all of it tells something to do. */
  cut: Cut | null
}

/** The line cut where one could stop speaking: the first part and what follows it. */
function clausesOf(text: string, clauses: RegExp): { start: number; end: number }[] {
  const starts = [...text.matchAll(clauses)].map((match) => match.index).filter((at) => at > 0)
  return starts.map((start, i) => ({ start, end: starts[i + 1] ?? text.length }))
}

/** A line of more clauses is no line to say; each of them would be tried with each other. */
const MOST_CLAUSES = 30

function cutFrom(text: string, language: string, fits: (text: string) => boolean): Cut | null {
  const speech = speechOf(language)
  if (!speech) return null
  const end = /[.!?…]*$/.exec(text)![0]
  const body = text.slice(0, text.length - end.length)
  const clauses = clausesOf(body, speech.clauses)
  if (clauses.length > MOST_CLAUSES) return null
  const without = (start: number, stop: number): Cut => ({
    clause: body
      .slice(start, stop)
      .replace(/^[\s,;:–—]+/u, '')
      .trim(),
    left: body.slice(0, start) + body.slice(stop) + end,
  })
  const single = clauses
    .map(({ start, end: stop }) => without(start, stop))
    .filter((cut) => speech.canGo(cut.clause) && fits(cut.left))
    .sort((a, b) => a.clause.length - b.clause.length)
  if (single[0]) return single[0]
  for (const { start } of clauses.toReversed()) {
    const cut = without(start, body.length)
    if (speech.canGo(cut.clause) && fits(cut.left)) return cut
  }
  return null
}

/**
 * Measures a line against the time it must be said in.
 * @param seconds that the phase lasts
 * @param rate words a minute
 * @example fitOf('Press down.', 4, 120, 'en').over // 0
 */
export function fitOf(text: string, seconds: number, rate: number, language: string): Fit {
  const against = `${seconds} ${rate} ${language}`
  const known =
    measured.get(against) ??
    measured.set(
      against,
      remember((line) => fitAnew(line, seconds, rate, language))
    )
  return known(text)
}

/** Lines that were measured, by what they were measured against. */
const measured = keeping<string, (text: string) => Fit>(100)

function fitAnew(text: string, seconds: number, rate: number, language: string): Fit {
  const { words, syllables } = spoken(text, language)
  const takes = speechSeconds(text, rate, language)
  const fits = (line: string) => speechSeconds(line, rate, language) <= seconds + 1e-9
  if (fits(text)) return { words, syllables, seconds: takes, over: 0, overWords: 0, cut: null }
  const over = takes - seconds
  return {
    words,
    syllables,
    seconds: takes,
    over,
    overWords: Math.ceil((over * rate) / 60 - 1e-9),
    cut: cutFrom(text, language, fits),
  }
}

/**
 * How many of the cues, in their order, can be said within a stay.
 * @param seconds that the stay lasts
 */
export function cuesWithin(
  cues: readonly string[],
  seconds: number,
  rate: number,
  language: string
): number {
  let used = 0
  let count = 0
  for (const cue of cues) {
    used += speechSeconds(cue, rate, language)
    if (used > seconds + 1e-9) break
    count += 1
  }
  return count
}
