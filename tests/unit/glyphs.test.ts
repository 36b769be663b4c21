import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import * as fontkit from 'fontkit'
import { devanagari } from '@/core/names'
import { readCard } from '@/core/formats'
import { type FONT_FILES, fontFile } from '@/server/print/fonts'

jest.mock('@react-pdf/renderer', () => ({ Font: {} }))

const open = (font: keyof typeof FONT_FILES) =>
  fontkit.create(readFileSync(fontFile(font))) as fontkit.Font

/** Characters of a text that a font has no glyph for. */
function lacking(font: fontkit.Font, text: string): string[] {
  return [...new Set(text)].filter(
    (char) => char > ' ' && !font.hasGlyphForCodePoint(char.codePointAt(0)!)
  )
}

function* files(dir: string): Generator<string> {
  for (const entry of readdirSync(dir, { withFileTypes: true })) {
    const at = path.join(dir, entry.name)
    if (entry.isDirectory()) yield* files(at)
    else if (/\.tsx?$/.test(entry.name) && !entry.name.includes('.test.')) yield at
  }
}

/** Everything that can be said on a screen: the texts of the demo and of the interface's source. */
const IAST = 'aāiīuūṛṝḷḹeoṃḥkgṅcjñṭḍṇtdnpbmyrlvśṣshĀĪŪṚṜḶṄÑṬḌṆŚṢ'
const demo = readdirSync('demo').map((name) => readFileSync(`demo/${name}`, 'utf8'))
const screens = [...files('src/ui'), ...files('src/core/card'), ...files('src/server/print')].map(
  (name) => readFileSync(name, 'utf8')
)
const spoken = (text: string) => text.replace(/[\p{Emoji_Presentation}]/gu, '')

test('the text font has every letter that the demo and the screens use, and all of IAST', () => {
  const andika = open('text')
  expect(lacking(andika, spoken(demo.join(''))).concat(lacking(andika, IAST))).toEqual([])
  expect(lacking(open('textBold'), spoken(screens.join('')).normalize('NFC'))).toEqual([])
})

test('the title font has every letter of the names', () => {
  const names = demo
    .map((text) => readCard(text).names)
    .flatMap((each) => [...each.common, each.sanskrit])
  expect(lacking(open('title'), names.join('') + IAST)).toEqual([])
})

test('the script font has every letter of the Sanskrit names', () => {
  const names = demo.map((text) => devanagari(readCard(text).names.sanskrit)).join('')
  expect(names.length).toBeGreaterThan(50)
  expect(lacking(open('devanagari'), names)).toEqual([])
})
