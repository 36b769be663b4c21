import { toCardinal as numberWords } from 'n2words/en-GB'
import { syllable } from 'syllable'
import type { SpeechWords } from '../breathWords'
import { wordSet } from './worded'

/** English said aloud. */

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

/** Whether a line may have any of them, or a number; told sooner than by each of them. */
const TO_SPELL = /[°%&\d_]|\b[lr]\b/i

const WORD = /[\p{L}\p{M}]+(?:[-'’][\p{L}\p{M}]+)*/gu
/** The same in a line without letters that are marked; it is found sooner. */
const PLAIN_WORD = /[a-z]+(?:[-'][a-z]+)*/g
const MARKED = /[^\u0000-\u007f]/

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
function spokenWords(text: string): string[] {
  let said = text.normalize('NFC')
  if (TO_SPELL.test(said)) {
    for (const [sign, word] of SIGNS) said = said.replace(sign, word)
    said = said.replace(/\d+(?:\.\d+)?/g, (digits) => ` ${inWords(digits)} `)
  }
  said = said.toLowerCase()
  return said.match(MARKED.test(said) ? WORD : PLAIN_WORD) ?? []
}

/**
 * Syllables of one word as it is spoken. A word in IAST has one to each vowel; an English one
 * is counted by its spelling.
 * @example syllablesOf('pārśvakoṇāsana') // 6
 */
function syllablesOf(word: string): number {
  if (IAST.test(word) || SANSKRIT_END.test(word)) return word.match(VOWELS)?.length ?? 1
  return Math.max(1, syllable(word))
}

const CLAUSE =
  /\s*[,;:–—]\s+(?:and\s+|then\s+|but\s+)?|\s+(?=(?:and|then|while|(?<!\bas\s+\w+\s+)as(?!\s+\w+\s+as\b)|until|so|without|before|after|with)\s)/giu

/** Words of manner and pace. A clause with any other word tells something to do, or not to do. */
const HOW = wordSet(
  `slowly gently softly calmly easily evenly steadily smoothly lightly quietly carefully fully deeply
  with the a an your breath ease care control calm patience awareness attention kindness as you breathe
  breathing inhale exhale inhaling exhaling in out while and then now again slow steady even smooth soft
  easy so that it this is feels feel good nice comfortable comfortably little by bit once more own time at
  pace of natural naturally rhythm here simply just really very quite if like`
)
const canGo = (clause: string): boolean => {
  const words = clause.toLowerCase().match(/[\p{L}\p{M}\p{N}'’-]+/gu) ?? []
  return words.length > 0 && words.every((word) => HOW.has(word))
}

export const englishSpeech: SpeechWords = {
  words: spokenWords,
  syllables: syllablesOf,
  syllablesAWord: 2,
  clauses: CLAUSE,
  leads: /(?:[\s,;:–—]|\b(?:and|then|while|as|you)\b)+$/i,
  canGo,
}
