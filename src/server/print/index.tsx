import { renderToBuffer } from '@react-pdf/renderer'
import { type Card, type School, titleOf } from '@/core/card'
import { sheetOf } from '@/core/print'
import { CardsPdf } from './CardPdf'
import { registerFonts } from './fonts'

export type Stock = 'A4' | 'A5' | 'A6'

/**
 * Prints cards to one PDF.
 * @param titles names of other cards by id, for the counter poses
 * @param stock paper, ISO 216, portrait; the school's when not given
 * @returns the bytes of the PDF
 */
export async function printCards(
  cards: Card[],
  school: School,
  titles: ReadonlyMap<string, string> = new Map(),
  stock: Stock = school.paper
): Promise<Buffer> {
  registerFonts()
  const sheets = cards.map((card) => sheetOf(card, school, titles))
  const title = cards.map(titleOf).join(', ').slice(0, 200)
  return renderToBuffer(<CardsPdf sheets={sheets} size={stock} title={title} />)
}

export { FONT_FILES, fontFile } from './fonts'
