import Sanscript from '@indic-transliteration/sanscript'

const ROMAN: Record<string, string> = { i: '1', ii: '2', iii: '3', iv: '4', v: '5', vi: '6' }
const WORD = /^[a-zāīūṛṝḷḹṃṁḥṅñṭḍṇśṣḻ'’-]+$/

/**
 * Writes a Sanskrit name from IAST in Devanagari.
 * A name that holds anything but IAST letters and a number gives an empty text.
 * @example devanagari('Vṛkṣāsana') // 'वृक्षासन'
 */
export function devanagari(iast: string): string {
  const words = iast.normalize('NFC').toLowerCase().split(/\s+/).filter(Boolean)
  const written = words.map((word, i) => {
    const number = i > 0 ? (ROMAN[word] ?? (/^\d+$/.test(word) ? word : undefined)) : undefined
    if (number) return Sanscript.t(number, 'iast', 'devanagari')
    return WORD.test(word) ? Sanscript.t(word.replace(/['’-]/g, ''), 'iast', 'devanagari') : ''
  })
  return written.every(Boolean) ? written.join(' ') : ''
}
