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

const FACES: { family: string; font: keyof typeof FONT_FILES; weight: number }[] = [
  { family: 'Andika', font: 'text', weight: 400 },
  { family: 'Andika', font: 'textBold', weight: 700 },
  { family: 'Gentium', font: 'title', weight: 400 },
  { family: 'NotoDevanagari', font: 'devanagari', weight: 400 },
  { family: 'NotoHebrew', font: 'hebrew', weight: 400 },
  { family: 'NotoArabic', font: 'arabic', weight: 400 },
]

let known: Promise<unknown> | null = null

/** Makes the fonts known to the PDF writer, once. */
export const knowFonts = (): Promise<unknown> => (known ??= register())

async function register(): Promise<void> {
  for (const { family, font, weight } of FACES)
    Font.register({ family, src: fontFile(font), fontWeight: weight })
  // Words are never hyphenated; one longer than the line is broken between letters.
  Font.registerHyphenationCallback((word) => {
    if (word.length <= 24) return [word]
    const letters = [...new Intl.Segmenter('en').segment(word)].map((each) => each.segment)
    return letters
  })
  for (const { family, font, weight } of FACES) {
    const face = { fontFamily: family, fontWeight: weight }
    await Font.load(face)
    // At each run of letters the writer spells out all that two fonts tell of themselves, the
    // whole licence too, to see that they are the same: its file tells them apart as well.
    const { name } = Font.getFont(face).data as unknown as { name: { records: object } }
    Object.defineProperty(name.records, 'toJSON', { value: () => font })
  }
}
