import type { Lexicon, SideOptions, SideWord, Turning } from '../lexicon'
import { remember } from '../remember'
import { englishHabits } from './sideHabits'
import {
  letterNamesSide,
  plainlyNamesSide,
  readAlone,
  readTogether,
  shortNamesSide,
  type SideRead,
} from './sideReading'

const HOURS = 'one two three four five six seven eight nine ten eleven twelve'.split(' ')

const anyCase = (word: string) => word.replace(/[a-z]/g, (c) => `[${c.toUpperCase()}${c}]`)

/** Everything in a line that could be a side word, or a span that braces fix. */
const CANDIDATE =
  /\{[^{}]*\}|(?:[Cc][Oo][Uu][Nn][Tt][Ee][Rr][\s-]?|[Aa][Nn][Tt][Ii][\s-]?)?[Cc][Ll][Oo][Cc][Kk][Ww][Ii][Ss][Ee]|[Ll][Ee][Ff][Tt]|[Rr][Ii][Gg][Hh][Tt]|\b[LRlr](?:HS|H|F|[Tt])?\b/g

/** The same in a line that may speak of the clock; it takes longer to look for the hours. */
const OR_HOUR = new RegExp(
  `${CANDIDATE.source}|\\b(?:1[0-2]|[1-9]|${HOURS.map(anyCase).join('|')})(?=\\s?[Oo]['’]?\\s?${anyCase('clock')}\\b)`,
  'g'
)
const OF_CLOCK = /clock/i
/** A time of day is no direction. */
const OF_A_DAY =
  /\b(?:morning|evening|afternoon|noon|midnight|night|tonight|today|tomorrow|class(?:es)?|lesson|practi[cs]e|meals?|eat|eaten|breakfast|lunch|supper|dinner|sleep|bed|wake|sharp|[ap]\.?m\b|begins?|ends?|starts? at|before|after|until|till|by|since)/i

/** Endings that make compounds of left and right: rightward, left-handed is two words. */
const ENDING = /(?:wards?|most|hand(?:ed|ers?)?|side[ds]?|foot(?:ed)?)?(?![\p{L}\p{M}\p{N}_])/iuy
const WORD_BEFORE = /[\p{L}\p{M}\p{N}_]$/u
const COUNTER_BEFORE = /(?:counter|anti)[\s-]?$/i

/** Whether the character at an index, if there is one, is ASCII and no part of a word. */
function breaksWord(text: string, index: number): boolean {
  if (index < 0 || index >= text.length) return true
  const code = text.charCodeAt(index)
  if (code < 48) return true
  if (code > 122) return code < 128
  return (code > 57 && code < 65) || (code > 90 && code < 97 && code !== 95)
}

function cased(letters: string, like: string): string {
  let word = ''
  for (let i = 0; i < letters.length; i += 1) {
    const from = like[Math.min(i, like.length - 1)]!
    word += from === from.toUpperCase() ? letters[i]!.toUpperCase() : letters[i]!
  }
  return word
}

/** left ↔ right in any mixture of cases that has one answer in both directions, else null. */
function otherSideWord(word: string): string | null {
  if (word === 'left') return 'right'
  if (word === 'right') return 'left'
  if (word.length === 4) return cased('right', word)
  const h = word[3]!
  const t = word[4]!
  if ((h === h.toUpperCase()) !== (t === t.toUpperCase())) return null
  return cased('left', word)
}

function caseOf(word: string): 'lower' | 'title' | 'upper' | 'mixed' {
  if (word === word.toLowerCase()) return 'lower'
  if (word === word.toUpperCase()) return 'upper'
  return word.slice(1) === word.slice(1).toLowerCase() ? 'title' : 'mixed'
}

function otherTurn(word: string, turning: Turning): string | null {
  const against = /^(?:counter|anti)/i.test(word)
  const plain = against ? 'clockwise' : turning
  return inCase(plain, caseOf(against ? word.replace(/[\s-]+c/i, 'c') : word))
}

/** A word in a case; null where the case has no answer in both directions. */
function inCase(word: string, as: ReturnType<typeof caseOf>): string | null {
  switch (as) {
    case 'lower':
      return word
    case 'upper':
      return word.toUpperCase()
    case 'title':
      return word[0]!.toUpperCase() + word.slice(1)
    case 'mixed':
      return null
  }
}

const OTHER_LETTER: Record<string, string> = { L: 'R', R: 'L', l: 'r', r: 'l' }

function endingAt(text: string, index: number): string | null {
  ENDING.lastIndex = index
  return ENDING.exec(text)?.[0] ?? null
}

/** Words that are still to be held against each other. */
type Pending = Map<SideWord, SideRead>

function readWord(text: string, start: number, word: string, pending: Pending): SideWord | null {
  if (!breaksWord(text, start - 1) && WORD_BEFORE.test(text.slice(Math.max(0, start - 2), start)))
    return null
  const end = start + word.length
  const ending = breaksWord(text, end) ? '' : endingAt(text, end)
  if (ending === null) return null
  const other = otherSideWord(word)
  const side = word.length === 4 ? 'left' : 'right'
  const found = { start, end, kind: 'side', side, other: other ?? word } as const
  if (other === null) return { ...found, role: 'plain' }
  if (ending || plainlyNamesSide(text, start, end)) return { ...found, role: 'swaps' }
  const open: SideWord = { ...found, role: 'unsure' }
  pending.set(open, readAlone(side, text, start, end))
  return open
}

function settle(pending: Pending): void {
  const words = [...pending.keys()]
  readTogether([...pending.values()]).forEach(([here, mirrored], index) => {
    words[index]!.role = here !== 'side' ? here : mirrored === 'side' ? 'swaps' : 'unsure'
  })
}

function readTurn(text: string, start: number, word: string, turning: Turning): SideWord | null {
  const end = start + word.length
  if (/[\p{L}\p{M}\p{N}_]/u.test(text.charAt(end))) return null
  const before = text.slice(Math.max(0, start - 8), start)
  if (WORD_BEFORE.test(before) || COUNTER_BEFORE.test(before)) return null
  const other = otherTurn(word, turning)
  const role = other === null ? 'plain' : 'swaps'
  return { start, end, kind: 'turn', side: null, other: other ?? word, role }
}

function readLetter(text: string, start: number, word: string): SideWord | null {
  const end = start + word.length
  if (WORD_BEFORE.test(text.slice(Math.max(0, start - 2), start))) return null
  if (/[\p{L}\p{M}]/u.test(text.charAt(end))) return null
  const names =
    word.length === 1 ? letterNamesSide(text, start, end) : shortNamesSide(text, start, end)
  const first = word[0]!
  return {
    start,
    end,
    kind: 'letter',
    side: first === 'L' || first === 'l' ? 'left' : 'right',
    other: OTHER_LETTER[first]! + word.slice(1),
    role: names ? 'swaps' : 'plain',
  }
}

const ofTheClock = (word: string) => /^\d/.test(word) || HOURS.includes(word.toLowerCase())

/** Nine o’clock is across from three. */
function readHour(text: string, start: number, word: string): SideWord | null {
  if (/[\d:.,]$/.test(text.slice(0, start))) return null
  const named = HOURS.indexOf(word.toLowerCase())
  const hour = named < 0 ? Number(word) : named + 1
  const across = hour === 12 ? 12 : 12 - hour
  const written = named < 0 ? String(across) : HOURS[across - 1]!
  const other = named < 0 ? written : inCase(written, caseOf(word))
  const role = other === null || across === hour || OF_A_DAY.test(text) ? 'plain' : 'swaps'
  return { start, end: start + word.length, kind: 'turn', side: null, other: other ?? word, role }
}

function findAnew(text: string, options: SideOptions): SideWord[] {
  const turning = options.turning ?? 'counterclockwise'
  const words: SideWord[] = []
  const pending: Pending = new Map()
  const candidate = OF_CLOCK.test(text) ? OR_HOUR : CANDIDATE
  candidate.lastIndex = 0
  for (let match = candidate.exec(text); match; match = candidate.exec(text)) {
    const word = match[0]
    const start = match.index
    if (word[0] === '{') {
      const resume = candidate.lastIndex
      const inside = findAnew(word.slice(1, -1), options)
      candidate.lastIndex = resume
      for (const each of inside) {
        words.push({
          ...each,
          start: each.start + start + 1,
          end: each.end + start + 1,
          role: 'fixed',
        })
      }
      continue
    }
    const found =
      candidate === OR_HOUR && ofTheClock(word)
        ? readHour(text, start, word)
        : word.length <= 3
          ? readLetter(text, start, word)
          : word.length <= 5
            ? readWord(text, start, word, pending)
            : readTurn(text, start, word, turning)
    if (found) words.push(found)
  }
  settle(pending)
  return words
}

/** Most of what is asked of a line begins with its side words. */
const known = remember((text) => findAnew(text, {}))
const find: Lexicon['find'] = (text, options = {}) =>
  options.turning ? findAnew(text, options) : known(text)

/** English: its side words, and its habits of speaking about sides. */
export const englishSides: Lexicon = { find, ...englishHabits(find) }
