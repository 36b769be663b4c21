import { stemmer } from 'stemmer'
import { type Card, type Found, titleOf } from '../card'
import { mistakeWordsOf, readerOf } from '../language'
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

const unders = new WeakMap<object, Map<string, string>>()

/** The first of the words that say one thing, by each of them and by their stems. */
function underOf(alike: readonly (readonly string[])[]): Map<string, string> {
  const under =
    unders.get(alike) ??
    new Map(
      alike.flatMap((group) =>
        group.flatMap((word): [string, string][] => [
          [stemmer(word), group[0]!],
          [word, group[0]!],
        ])
      )
    )
  unders.set(alike, under)
  return under
}

function read(card: Card, at: number): Read | null {
  const words = mistakeWordsOf(card.language)
  const seen = card.mistakes[at]!.seen
  if (!words || !readerOf(card.language) || !seen) return null
  const plain = level(plainText(seen, card))
  const parts = new Set<string>(partsIn(plain, card.language))
  const front = /\bfront (?:knee|foot|leg|hip|heel|thigh)/.test(plain)
    ? 'front'
    : /\bback (?:knee|foot|leg|hip|heel|thigh)/.test(plain)
      ? 'back'
      : null
  const own = plain
    .split(/[ -]/)
    .filter((word) => word && !words.functionWords.has(word) && !/^(?:left|right)$/.test(word))
  const meant = underOf(words.alike)
  const meantBy = (word: string) => meant.get(word) ?? meant.get(stemmer(word)) ?? stemmer(word)
  // The same words, whatever the side and the number.
  const key = own.map((word) => stemmer(word)).join(' ')
  const all = new Set(own.map(meantBy))
  const places = new Set((plain.match(words.places) ?? []).flatMap((place) => place.split(/[ -]/)))
  const isPart = (word: string) =>
    partsIn(word, card.language).length > 0 || partsIn(`the ${word}`, card.language).length > 0
  const fault = new Set(
    own.filter((word) => !isPart(word) && word !== 'front' && !places.has(word)).map(meantBy)
  )
  const joined = words.joins(plain)
  return { card, at, seen: plainText(seen, card), parts, fault, all, front, joined, key }
}

const shares = (a: ReadonlySet<string>, b: ReadonlySet<string>) =>
  [...a].filter((each) => b.has(each)).length

/** Whether two lines tell the same mistake of the same part. */
function alike(a: Read, b: Read, opposites: readonly (readonly [string, string])[]): boolean {
  if (a.front !== b.front && (a.front !== null || b.front !== null)) return false
  if (a.parts.size === 0 || b.parts.size === 0) return false
  const against = ([one, other]: readonly [string, string]) =>
    (a.all.has(one) && b.all.has(other)) || (a.all.has(other) && b.all.has(one))
  if (opposites.some(against)) return false
  if (a.joined !== b.joined) return false
  // Who tells of one part more tells of something more.
  if (shares(a.parts, b.parts) < Math.max(a.parts.size, b.parts.size)) return false
  // Two parts alone tell it (“shoulders to ears”); one alone does not.
  if (a.fault.size === 0 || b.fault.size === 0) return a.parts.size >= 2
  const fault = shares(a.fault, b.fault)
  return fault / (a.fault.size + b.fault.size - fault) > 0.5
}

/**
 * The same mistake, worded otherwise on other cards. The wording that most cards use is offered;
 * of equal ones the shortest.
 * @returns what is found, by the id of the card
 */
export function oneWording(cards: readonly Card[]): Map<string, Found[]> {
  const found = new Map<string, Found[]>()
  const reads = cards.flatMap((card) =>
    card.mistakes.flatMap((_, at) => {
      const one = read(card, at)
      return one ? [one] : []
    })
  )
  // Only what shares a part is compared.
  const byPart = new Map<string, Read[]>()
  for (const each of reads)
    for (const part of each.parts) byPart.set(part, [...(byPart.get(part) ?? []), each])
  for (const each of reads) {
    const words = mistakeWordsOf(each.card.language)!
    const near = new Set([...each.parts].flatMap((part) => byPart.get(part)!))
    const group = [...near].filter(
      (other) =>
        other === each ||
        (other.card.id !== each.card.id &&
          other.card.language === each.card.language &&
          alike(each, other, words.opposites))
    )
    const uses = new Map<string, Read[]>()
    for (const other of group) {
      const key = other.key
      uses.set(key, [...(uses.get(key) ?? []), other])
    }
    if (uses.size < 2) continue
    const [best] = [...uses.values()].sort(
      (a, b) =>
        b.length - a.length ||
        a[0]!.seen.length - b[0]!.seen.length ||
        a[0]!.seen.localeCompare(b[0]!.seen)
    )
    const offered = best![0]!
    if (offered.key === each.key) continue
    const own = each.card.mistakes[each.at]!
    const other = offered.card.mistakes[offered.at]!
    const sided = /\b(?:left|right)\b/i
    const path = `mistakes[${each.at}].seen`
    found.set(each.card.id, [
      ...(found.get(each.card.id) ?? []),
      {
        where: path,
        message: words.sameElsewhere(
          each.seen,
          offered.seen,
          best!.map(({ card }) => titleOf(card))
        ),
        // Words with a side belong to the side that their own card is written for.
        ...(sided.test(own.seen) || sided.test(other.seen)
          ? {}
          : {
              fix: {
                label: words.wordIt(offered.seen),
                patches: [{ path, value: other.seen }],
              },
            }),
      },
    ])
  }
  return found
}
