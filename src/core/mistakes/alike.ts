import { stemmer } from 'stemmer'
import { type Card, type Found, titleOf } from '../card'
import { keeping, mistakeWordsOf, readerOf, remember, rememberOf } from '../language'
import { partsIn } from '../reading'
import { plainText } from '../sides'

/** What a mistake is about, read from its words. */
interface Read {
  card: Card
  at: number
  seen: string
  parts: Set<string>
  /** Stems of what it says of them, each under one word for what is alike. */
  fault: Set<string>
  /** Every stem but those of little words. */
  all: Set<string>
  front: 'front' | 'back' | null
  /** Its words as they are compared: two with one key are worded alike. */
  key: string
  /** Whether it tells of two things at once. */
  joined: boolean
}

const level = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}’' -]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim()

/** A deck has few words, and they come again. */
const stemOf = remember((word) => stemmer(word))

/** The first of the words that say one thing, by each of them and by their stems. */
const underOf = rememberOf(
  (alike: readonly (readonly string[])[]): Map<string, string> =>
    new Map(
      alike.flatMap((group) =>
        group.flatMap((word): [string, string][] => [
          [stemmer(word), group[0]!],
          [word, group[0]!],
        ])
      )
    )
)

/** Whether a word by itself names a part of the body; a deck has few words, and they come again. */
const partWords = keeping<string, boolean>(20_000)
function namesPart(word: string, language: string): boolean {
  const key = `${language} ${word}`
  return (
    partWords.get(key) ??
    partWords.set(
      key,
      [word, `the ${word}`].some((each) => partsIn(each, language).length > 0)
    )
  )
}

function read(card: Card, at: number): Read | null {
  const words = mistakeWordsOf(card.language)
  const seen = card.mistakes[at]!.seen
  if (!words || !readerOf(card.language) || !seen) return null
  const plain = level(plainText(seen, card))
  const parts = new Set<string>(partsIn(plain, card.language))
  const front = words.front(plain)
  const own = plain
    .split(/[ -]/)
    .filter((word) => word && !words.functionWords.has(word) && !words.sided(word))
  const meant = underOf(words.alike)
  const meantBy = (word: string) => meant.get(word) ?? meant.get(stemOf(word)) ?? stemOf(word)
  // The same words, whatever the side and the number.
  const key = own.map(stemOf).join(' ')
  const meanings = own.map(meantBy)
  const places = new Set((plain.match(words.places) ?? []).flatMap((place) => place.split(/[ -]/)))
  const isPart = (word: string) => namesPart(word, card.language)
  const tells = (word: string) => !isPart(word) && !words.legWords.has(word) && !places.has(word)
  const fault = new Set(meanings.filter((_, i) => tells(own[i]!)))
  const joined = words.joins(plain)
  const all = new Set(meanings)
  return { card, at, seen: plainText(seen, card), parts, fault, all, front, joined, key }
}

/** The mistakes of a card that name a part, worked out once. */
const readsOf = rememberOf((card: Card): readonly Read[] =>
  card.mistakes.flatMap((_, at) => {
    const one = read(card, at)
    return one && one.parts.size > 0 ? one : []
  })
)

function shares(a: ReadonlySet<string>, b: ReadonlySet<string>): number {
  let both = 0
  for (const each of a) if (b.has(each)) both += 1
  return both
}

/** Whether two lines of one family, which tell of the same parts, tell the same mistake of them. */
function alike(a: Read, b: Read, opposites: readonly (readonly [string, string])[]): boolean {
  const fault = shares(a.fault, b.fault)
  // Two parts alone tell it (“shoulders to ears”); one alone does not.
  const same =
    a.fault.size === 0 || b.fault.size === 0
      ? a.parts.size >= 2
      : fault / (a.fault.size + b.fault.size - fault) > 0.5
  const against = ([one, other]: readonly [string, string]) =>
    (a.all.has(one) && b.all.has(other)) || (a.all.has(other) && b.all.has(one))
  return same && !opposites.some(against)
}

/**
 * The same mistake, worded otherwise on other cards. The wording that most cards use is offered;
 * of equal ones the shortest.
 * @returns what is found, by the id of the card
 */
export function oneWording(cards: readonly Card[]): Map<string, Found[]> {
  const found = new Map<string, Found[]>()
  for (const family of familiesOf(cards)) {
    const wordings = [...family.values()]
    const near = nearOf(wordings)
    for (const [i, mine] of wordings.entries())
      for (const each of mine) {
        let best = mine
        for (const reads of near[i]!) {
          const others = elsewhere(reads, each.card)
          if (others.length > 0 && before(others, best)) best = others
        }
        if (best !== mine)
          found.set(each.card.id, [...(found.get(each.card.id) ?? []), told(each, best)])
      }
  }
  return found
}

/** The reads that are of other cards. */
const elsewhere = (reads: Read[], { id }: Card): Read[] =>
  reads.some(({ card }) => card.id === id) ? reads.filter(({ card }) => card.id !== id) : reads

/** Reads of one wording, by the wording. */
type Family = Map<string, Read[]>

/** Only what tells of the same parts in one language is compared. */
function familiesOf(cards: readonly Card[]): Family[] {
  const families = new Map<string, Family>()
  for (const card of cards)
    for (const one of readsOf(card)) {
      const of = JSON.stringify([card.language, [...one.parts].sort(), one.front, one.joined])
      const family = families.get(of) ?? new Map<string, Read[]>()
      families.set(of, family)
      const same = family.get(one.key)
      if (same) same.push(one)
      else family.set(one.key, [one])
    }
  return [...families.values()]
}

/** For each wording those that tell the same mistake; those that share no word are not looked at. */
function nearOf(wordings: readonly Read[][]): Read[][][] {
  const byWord = new Map<string, number[]>()
  const wordless: number[] = []
  for (const [i, [one]] of wordings.entries()) {
    if (one!.fault.size === 0) wordless.push(i)
    for (const word of one!.fault) {
      const those = byWord.get(word)
      if (those) those.push(i)
      else byWord.set(word, [i])
    }
  }
  const all = wordings.map((_, i) => i)
  const asked = new Int32Array(wordings.length).fill(-1)
  return wordings.map(([one], i) => {
    const { opposites } = mistakeWordsOf(one!.card.language)!
    const near: Read[][] = []
    asked[i] = i
    const ask = (others: readonly number[]) => {
      for (const k of others) {
        if (asked[k] === i) continue
        asked[k] = i
        if (alike(one!, wordings[k]![0]!, opposites)) near.push(wordings[k]!)
      }
    }
    ask(one!.fault.size === 0 ? all : wordless)
    for (const word of one!.fault) ask(byWord.get(word)!)
    return near
  })
}

/** Whether one wording is offered before another: more cards use it, or it is shorter. */
function before(a: Read[], b: Read[]): boolean {
  const [one, other] = [a[0]!, b[0]!]
  if (a.length !== b.length) return a.length > b.length
  if (one.seen.length !== other.seen.length) return one.seen.length < other.seen.length
  return one.seen < other.seen
}

function told(each: Read, best: Read[]): Found {
  const words = mistakeWordsOf(each.card.language)!
  const offered = best[0]!
  const own = each.card.mistakes[each.at]!.seen
  const other = offered.card.mistakes[offered.at]!.seen
  const path = `mistakes[${each.at}].seen`
  return {
    where: path,
    message: words.sameElsewhere(
      each.seen,
      offered.seen,
      best.map(({ card }) => titleOf(card))
    ),
    // Words with a side belong to the side that their own card is written for.
    ...(words.sided(own) || words.sided(other)
      ? {}
      : { fix: { label: words.wordIt(offered.seen), patches: [{ path, value: other }] } }),
  }
}
