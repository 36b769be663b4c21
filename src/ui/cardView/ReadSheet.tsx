import type { Card, School } from '@/core/card'
import { sheetOf } from '@/core/print'
import { CardSheet } from './CardSheet'
import { OneSide } from './OneSide'

export interface ReadSheetProps {
  card: Card
  school: School
  /** Names of the other cards, by id. */
  titles: ReadonlyMap<string, string>
}

/** A card as it is read: its sheet, laid out and drawn. */
export function ReadSheet({ card, school, titles }: ReadSheetProps) {
  const sheet = sheetOf(card, school, titles)
  const drawn = <CardSheet sheet={sheet} />
  return sheet.sided ? <OneSide first={sheet.firstSide}>{drawn}</OneSide> : drawn
}
