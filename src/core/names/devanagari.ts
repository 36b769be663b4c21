import Sanscript from '@indic-transliteration/sanscript'
import { misspellings, tidyIast } from './spelling'

const ROMAN: Record<string, string> = { i: '1', ii: '2', iii: '3', iv: '4', v: '5', vi: '6' }
const WORD = /^[a-zāīūṛṝḷḹṃḥṅñṭḍṇśṣḻ'’-]+$/

/**
 * Writes a Sanskrit name from IAST, or from ISO 15919, in Devanagari.
 * A name that holds anything but IAST letters and a number gives an empty text, and so does one
 * with a word that lacks its marks or is misspelt: its letters would be other ones.
 * @example devanagari('Vṛkṣāsana') // 'वृक्षासन'
 */
export function devanagari(iast: string): string {
  if (misspellings(iast).length > 0) return ''
  const words = tidyIast(iast).split(/\s+/).filter(Boolean)
  const written = words.map((word, i) => {
    const number = i > 0 ? (ROMAN[word] ?? (/^\d+$/.test(word) ? word : undefined)) : undefined
    if (number) return Sanscript.t(number, 'iast', 'devanagari')
    return WORD.test(word) ? Sanscript.t(word.replace(/['’-]/g, ''), 'iast', 'devanagari') : ''
  })
  return written.every(Boolean) ? written.join(' ') : ''
}
