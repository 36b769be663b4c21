import path from 'node:path'
import { Font } from '@react-pdf/renderer'

/** The fonts that screen and paper share, as registry packages ship them. */

/** The font packages, below the folder that the app runs in. */
const fontHome = () =>
  path.join(/*turbopackIgnore: true*/ process.cwd(), 'node_modules', '@expo-google-fonts')

export const FONT_FILES = {
  text: 'andika/Andika_400Regular.ttf',
  textBold: 'andika/Andika_700Bold.ttf',
  title: 'gentium-book-plus/700Bold/GentiumBookPlus_700Bold.ttf',
  devanagari: 'noto-sans-devanagari/400Regular/NotoSansDevanagari_400Regular.ttf',
  hebrew: 'noto-sans-hebrew/400Regular/NotoSansHebrew_400Regular.ttf',
  arabic: 'noto-sans-arabic/400Regular/NotoSansArabic_400Regular.ttf',
} as const

export const fontFile = (font: keyof typeof FONT_FILES): string =>
  path.join(fontHome(), FONT_FILES[font])

/** Families by name; a glyph that the first lacks is looked for in the next. */
export const TEXT_FONTS = ['Andika', 'NotoDevanagari', 'NotoHebrew', 'NotoArabic']
export const TITLE_FONTS = ['Gentium', ...TEXT_FONTS]

let registered = false

/** Makes the fonts known to the PDF writer, once. */
export function registerFonts(): void {
  if (registered) return
  registered = true
  Font.register({
    family: 'Andika',
    fonts: [{ src: fontFile('text') }, { src: fontFile('textBold'), fontWeight: 700 }],
  })
  Font.register({ family: 'Gentium', fonts: [{ src: fontFile('title') }] })
  Font.register({ family: 'NotoDevanagari', fonts: [{ src: fontFile('devanagari') }] })
  Font.register({ family: 'NotoHebrew', fonts: [{ src: fontFile('hebrew') }] })
  Font.register({ family: 'NotoArabic', fonts: [{ src: fontFile('arabic') }] })
  // Words are never hyphenated; one longer than the line is broken between letters.
  Font.registerHyphenationCallback((word) => {
    if (word.length <= 24) return [word]
    const letters = [...new Intl.Segmenter('en').segment(word)].map((each) => each.segment)
    return letters
  })
}
