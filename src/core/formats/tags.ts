import { type Breath, BREATHS, type On, ON, readRepeats, writeRepeats } from '../card'
import { SAY_FILES } from '../language'

/** What can stand in brackets before a step or a cue. */
export interface Tags {
  breath?: Breath
  seconds?: number
  repeat?: number
  repeatMost?: number
  cycle?: boolean
  on?: On
  id?: string
}

const TAGS = /^\[([^[\]]*)\](?:\s+|$)/

/**
 * Takes the bracket off the front of a line.
 * @example splitTags('[in, 6 s] Lift the arms.') // { tags: 'in, 6 s', text: 'Lift the arms.' }
 */
export function splitTags(line: string): { tags: string | null; text: string } {
  const match = TAGS.exec(line)
  return match ? { tags: match[1]!, text: line.slice(match[0].length) } : { tags: null, text: line }
}

/**
 * Reads the words in a bracket.
 * @throws Error that names the word that is none
 */
export function readTags(words: string): Tags {
  const tags: Tags = {}
  for (const word of words.split(',').map((each) => each.trim())) {
    if (!word) continue
    const phase = word.replace(/\s+/g, '-').toLowerCase()
    const seconds = /^(\d*\.?\d+(?:e[-+]?\d+)?)\s*s$/i.exec(word)
    const repeats = /^[x×]\s*\d/i.test(word) ? readRepeats(word.slice(1)) : null
    if ((BREATHS as readonly string[]).includes(phase)) tags.breath = phase as Breath
    else if ((ON as readonly string[]).includes(phase)) tags.on = phase as On
    else if (seconds) tags.seconds = Number(seconds[1])
    else if (repeats) Object.assign(tags, repeats)
    else if (phase === 'cycle') tags.cycle = true
    else if (word.startsWith('#')) tags.id = word.slice(1)
    else throw new Error(SAY_FILES.unknownTag(word, BREATHS, ON))
  }
  return tags
}

/** Writes tags as a bracket, in one fixed order; empty when there is nothing to say. */
export function writeTags(tags: Tags): string {
  const words = [
    tags.breath,
    tags.seconds === undefined ? undefined : `${tags.seconds} s`,
    tags.repeat === undefined && tags.repeatMost === undefined
      ? undefined
      : `x${writeRepeats(tags)}`,
    tags.cycle === undefined ? undefined : 'cycle',
    tags.on,
    tags.id === undefined ? undefined : `#${tags.id}`,
  ].filter((word) => word !== undefined)
  return words.length ? `[${words.join(', ')}]` : ''
}
