import { distance } from 'fastest-levenshtein'
import { remember } from '../language'
import { searchKey } from '../search'
import { SANSKRIT_WORDS } from './sanskritWords'

/** ISO 15919 writes some letters otherwise; read as IAST. */
const ISO: [RegExp, string][] = [
  [/r̥̄/g, 'ṝ'],
  [/r̥/g, 'ṛ'],
  [/l̥/g, 'ḷ'],
  [/ṁ/g, 'ṃ'],
  [/ē/g, 'e'],
  [/ō/g, 'o'],
]

/**
 * A Sanskrit name in small letters of IAST, however its marks were written: composed or not,
 * after IAST or after ISO 15919.
 * @example tidyIast('Siṁhāsana') // 'siṃhāsana'
 */
export function tidyIast(name: string): string {
  const whole = name.normalize('NFC').toLowerCase()
  return ISO.reduce((text, [from, to]) => text.replace(from, to), whole)
}

const known = new Map<string, Set<string>>()
for (const word of SANSKRIT_WORDS) {
  const key = searchKey(word)
  known.set(key, (known.get(key) ?? new Set()).add(word))
}

/** What no word in IAST holds: English ways of writing its sounds. */
const NOT_IAST = /sh|aa|ee|oo|[wxfqz]|(?<!a|o)u[aeiou]|gy|[^\x00-\x7f]?asana$/
const MARKED = /[āīūṛṝḷḹṃḥṅñṭḍṇśṣ]/
/** A last part that wants its long first letter. */
const SEAT = /(?<=[^āa])asana$|^asana$/

export interface Misspelling {
  /** As it stands. */
  word: string
  /** Index of its first letter. */
  at: number
  /** The right form; null when it is not known. */
  offered: string | null
  /** Whether it has no marks at all, and would need some. */
  unmarked: boolean
}

const asCased = (word: string, like: string) =>
  like[0] === like[0]!.toUpperCase() && like[0] !== like[0]!.toLowerCase()
    ? word[0]!.toUpperCase() + word.slice(1)
    : word

/**
 * Words of a Sanskrit name that are not as IAST writes them: without their marks, or misspelt.
 * @example misspellings('vrksasana')[0]!.offered // 'vṛkṣāsana'
 */
export const misspellings = remember((name): readonly Misspelling[] => {
  const whole = name.normalize('NFC')
  return [...whole.matchAll(/[\p{L}\p{M}’'-]+/gu)].flatMap((match): Misspelling[] => {
    const [word] = match
    const tidy = tidyIast(word)
    const forms = known.get(searchKey(tidy))
    if (forms?.has(tidy)) return []
    const unmarked = !MARKED.test(tidy)
    const found = { word, at: match.index, unmarked }
    if (forms)
      return [{ ...found, offered: forms.size === 1 ? asCased([...forms][0]!, word) : null }]
    if (SEAT.test(tidy) && /^[\p{L}]+$/u.test(word)) {
      const offered = NOT_IAST.test(tidy.replace(SEAT, ''))
        ? null
        : asCased(tidy.replace(SEAT, 'āsana'), word)
      return [{ ...found, offered: unmarked ? null : offered }]
    }
    return NOT_IAST.test(tidy) ? [{ ...found, offered: null }] : []
  })
})

/** Words with fewer letters before their seat are often one letter apart and both right. */
const STEM = 6
const SEATED = /āsana$/

/**
 * Words of a Sanskrit name that are in no list, and one letter away from one that is: likely
 * misspelt, and not surely.
 * @example nearMisses('matsendrāsana')[0]!.offered // 'matsyendrāsana'
 */
export const nearMisses = remember((name): readonly Misspelling[] => {
  const whole = name.normalize('NFC')
  const told = new Set(misspellings(name).map(({ at }) => at))
  return [...whole.matchAll(/[\p{L}\p{M}’'-]+/gu)].flatMap((match): Misspelling[] => {
    const [word] = match
    const tidy = tidyIast(word)
    if (told.has(match.index) || known.get(searchKey(tidy))?.has(tidy)) return []
    const stem = tidy.replace(SEATED, '')
    const near = SANSKRIT_WORDS.filter(
      (each) =>
        SEATED.test(each) === SEATED.test(tidy) &&
        Math.min(stem.length, each.replace(SEATED, '').length) >= STEM &&
        distance(searchKey(tidy), searchKey(each)) === 1
    )
    return near.length === 1
      ? [{ word, at: match.index, offered: asCased(near[0]!, word), unmarked: false }]
      : []
  })
})
