import { renderToBuffer } from '@react-pdf/renderer'
import { PDFDocument, StandardFonts, rgb } from 'pdf-lib'
import { type Card, type School, titleOf } from '@/core/card'
import { sheetOf } from '@/core/print'
import { CardPdf } from './CardPdf'
import { WallPdf } from './WallPdf'
import { knowFonts } from './fonts'
import type { Stock } from './style'

export type { Stock } from './style'
export { FONT_FILES, fontFile } from './fonts'

const GREY = rgb(0.33, 0.38, 0.37)
const EDGE = 26
const FOOT = 16
const NUMBER_SIZE = 7

/**
 * Prints cards to one PDF, each card starting on a page of its own.
 * @param titles names of other cards by id, for the counter poses
 * @param stock paper, ISO 216, portrait; the school's when not given
 * @returns the bytes of the PDF
 */
export async function printCards(
  cards: Card[],
  school: School,
  titles: ReadonlyMap<string, string> = new Map(),
  stock: Stock = school.paper
): Promise<Uint8Array> {
  await knowFonts()
  const whole = await PDFDocument.create()
  whole.setTitle(cards.map(titleOf).join(', ').slice(0, 200))
  whole.setCreator('Notula')
  const digits = await whole.embedFont(StandardFonts.Helvetica)
  for (const card of cards) {
    const sheet = sheetOf(card, school, titles)
    const one = await PDFDocument.load(await renderToBuffer(<CardPdf sheet={sheet} size={stock} />))
    const pages = await whole.copyPages(one, one.getPageIndices())
    pages.forEach((page, i) => {
      const number = `${i + 1} of ${pages.length}`
      page.drawText(number, {
        x: page.getWidth() - EDGE - digits.widthOfTextAtSize(number, NUMBER_SIZE),
        y: FOOT,
        size: NUMBER_SIZE,
        font: digits,
        color: GREY,
      })
      whole.addPage(page)
    })
  }
  return whole.save()
}

/** The verdicts of a deck on sheets for the wall, A4 across. */
export async function printWall(cards: readonly Card[], school: School): Promise<Uint8Array> {
  await knowFonts()
  return renderToBuffer(<WallPdf cards={cards} school={school} />)
}
