import type { Relation, Thing, Way } from '../../instruction'
import type { SideRole } from '../../lexicon'
import { remember } from '../../remember'
import { englishSides } from '../sides'
import { wordSet } from '../worded'
import {
  AMOUNT_WORDS,
  MANNER_WORDS,
  PART_WORDS,
  RELATION_WORDS,
  THING_WORDS,
  WAY_WORDS,
} from './bodyWords'
import { formsOf, VERBS } from './verbWords'

/** A word of a line, or a mark that ends a clause. */
export interface Word {
  text: string
  start: number
  end: number
  /** A mark: comma, or a stop. */
  mark?: 'comma' | 'stop'
  /** The side that it names, if it is a side word that swaps or is fixed. */
  side?: 'left' | 'right'
}

const WORD = /\{|\}|[\p{L}\p{N}][\p{L}\p{M}\p{N}'-]*|[°%]|[^\s]/gu
/** The same of a line without marks on its letters; it is quicker. */
const PLAIN_WORD = /\{|\}|[A-Za-z0-9][A-Za-z0-9'-]*|[°%]|[^\s]/g
const MARKED = /[^\u0020-\u007e°…–—“”]/
const STOPS = new Set(['.', ';', ':', '!', '?', '—', '–', '…', '(', ')'])

/**
 * A line in words: small letters, plain apostrophes, side words known by what they are. What reads
 * a line and what asks which parts it names ask for the same words.
 */
export const wordsOf = remember((line): readonly Word[] => {
  const sides = englishSides.find(line)
  const plain = line.replace(/[’‘]/g, "'")
  const found: Word[] = []
  const each = MARKED.test(plain) ? WORD : PLAIN_WORD
  each.lastIndex = 0
  for (let match = each.exec(plain); match; match = each.exec(plain)) {
    const [text, start] = [match[0].toLowerCase(), match.index]
    if (text === '{' || text === '}' || text === '"' || text === '“' || text === '”') continue
    const end = start + match[0].length
    const side = sides.find((one) => one.start < end && one.end > start && one.side !== null)
    const named = side && (side.role === 'swaps' || side.role === 'fixed') ? side.side : null
    const word: Word = { text, start, end }
    if (text === ',') word.mark = 'comma'
    else if (STOPS.has(text)) word.mark = 'stop'
    if (named) word.side = named
    found.push(word)
  }
  return found
}, 1000)

type Phrases<T> = Map<string, { words: string[]; value: T }[]>

function phrases<T>(entries: Iterable<[string, T]>): Phrases<T> {
  const found: Phrases<T> = new Map()
  for (const [phrase, value] of entries) {
    const words = phrase.split(' ')
    const same = found.get(words[0]!) ?? []
    same.push({ words, value })
    found.set(words[0]!, same)
  }
  for (const same of found.values()) same.sort((a, b) => b.words.length - a.words.length)
  return found
}

const listed = <T extends string>(table: Record<T, string>): [string, T][] =>
  Object.entries<string>(table).flatMap(([value, words]) =>
    words
      .split(',')
      .map((word) => word.trim())
      .filter(Boolean)
      .map((word): [string, T] => [word, value as T])
  )

/** A phrase as it stands in a line: what it means, and the index of the word after it. */
export interface Found<T> {
  value: T
  end: number
}

/** The longest phrase of a kind that begins at a word; `your` and `both` are read as `the`. */
function at<T>(kind: Phrases<T>, words: readonly Word[], i: number): Found<T> | null {
  const first = words[i]
  if (!first || first.mark) return null
  return (
    longest(kind.get(first.text), words, i) ??
    (first.text === 'your' ? longest(kind.get('the'), words, i) : null)
  )
}

function longest<T>(
  found: readonly { words: string[]; value: T }[] | undefined,
  words: readonly Word[],
  i: number
): Found<T> | null {
  if (!found) return null
  for (const { words: phrase, value } of found) {
    let k = 1
    while (k < phrase.length && follows(words[i + k], phrase[k]!)) k += 1
    if (k === phrase.length) return { value, end: i + k }
  }
  return null
}

const follows = (here: Word | undefined, word: string): boolean =>
  here !== undefined &&
  !here.mark &&
  (here.text === word || (word === 'the' && DETERMINERS.has(here.text)))

export const DETERMINERS = wordSet('the your a an this that these those their its his her my our')

const PART = phrases(PART_WORDS)
const WAY = phrases<Way>(listed(WAY_WORDS))
const RELATION = phrases<Relation>(listed(RELATION_WORDS))
const THING = phrases<Thing>(listed(THING_WORDS))
const asSaid = (list: string): [string, string][] =>
  list.split(',').map((phrase) => [phrase.trim(), phrase.trim()])
const AMOUNT = phrases(asSaid(AMOUNT_WORDS))
const MANNER = phrases(asSaid(MANNER_WORDS))

export type VerbForm = 'base' | 'third' | 'going' | 'done'
export interface VerbWord {
  verb: string
  form: VerbForm
}

const DONE: Record<string, string> = {
  bend: 'bent',
  hold: 'held',
  bring: 'brought',
  spread: 'spread',
  set: 'set',
  put: 'put',
  bind: 'bound',
  lay: 'laid',
  wind: 'wound',
}

const VERB: Map<string, VerbWord[]> = new Map()
for (const verb of Object.keys(VERBS)) {
  const [base, third, going] = formsOf(verb)
  const stem = going!.slice(0, -3)
  const done = DONE[verb] ?? (verb.endsWith('ry') ? `${verb.slice(0, -1)}ied` : `${stem}ed`)
  ;(
    [
      [base!, 'base'],
      [third!, 'third'],
      [going!, 'going'],
      [done, 'done'],
    ] as const
  ).forEach(([word, form]) => VERB.set(word, [...(VERB.get(word) ?? []), { verb, form }]))
}

export const partAt = (words: readonly Word[], i: number) => at(PART, words, i)
export const wayAt = (words: readonly Word[], i: number) => at(WAY, words, i)
export const relationAt = (words: readonly Word[], i: number) => at(RELATION, words, i)
export const thingAt = (words: readonly Word[], i: number) => at(THING, words, i)
/** Whether an amount may begin with a word; most do not. */
export const beginsAmount = (text: string) =>
  AMOUNT.has(text) || (text === 'your' && AMOUNT.has('the'))
export const amountAt = (words: readonly Word[], i: number) => at(AMOUNT, words, i)
export const mannerAt = (words: readonly Word[], i: number) => at(MANNER, words, i)
export const verbAt = (words: readonly Word[], i: number, ...forms: VerbForm[]): VerbWord | null =>
  words[i]?.mark
    ? null
    : (VERB.get(words[i]?.text ?? '')?.find(({ form }) => forms.includes(form)) ?? null)

/** Words that tell a limb by another one. */
export const ROLES: Readonly<Record<string, SideRole | 'other' | 'same' | 'opposite'>> = {
  front: 'front',
  forward: 'front',
  leading: 'front',
  back: 'back',
  rear: 'back',
  top: 'up',
  upper: 'up',
  raised: 'up',
  bottom: 'low',
  lower: 'low',
  under: 'low',
  underneath: 'low',
  standing: 'standing',
  supporting: 'standing',
  lifted: 'lifted',
  floating: 'lifted',
  bent: 'bent',
  straight: 'straight',
  extended: 'straight',
  kneeling: 'kneeling',
  free: 'lifted',
  other: 'other',
  same: 'same',
  'same-side': 'same',
  opposite: 'opposite',
  'opposite-side': 'opposite',
}
