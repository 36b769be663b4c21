import { type Card, firstSideOf, otherSide, type School, type Side, titleOf } from '../card'
import { keyframesOf } from '../figure'
import { LABELS, packOf } from '../language'
import { devanagari } from '../names'
import { cardLedFrom, writeFor } from '../sides'
import type { SheetPart } from './blocks'
import { type Laying, layouts } from './layout'

/**
 * A card as it is read: every line said for its side, nothing left to compute. The card view,
 * the printed sheet and the comparison of versions draw the same sheet.
 */
export interface Sheet {
  id: string
  language: string
  number: string
  title: string
  sanskrit: string
  devanagari: string
  also: string[]
  meaning: string
  /** Base, spine direction, manner, what the side is named by, when it is done. */
  facts: string[]
  sided: boolean
  firstSide: Side
  parts: SheetPart[]
}

function factsOf({ card, school, labels, sided, firstSide }: Laying): string[] {
  const { sheet } = labels
  const named = card.sideNamedBy && sheet.namedBy(card.sideNamedBy)
  return [
    labels.base[card.base].toLowerCase(),
    sheet.spine(card.spine),
    labels.manner[card.manner],
    sided ? named || sheet.sides.sided : sheet.sides.even,
    sided ? '' : named,
    sided || card.firstSide ? sheet.first(firstSide) : '',
    packOf(card.language) ? '' : sheet.writtenIn(card.language),
    labels.when(card.when, school.conventions['meal-gap']),
  ].filter(Boolean)
}

/**
 * Lays out a card for reading.
 * @param titles names of other cards by id, for the counter poses
 */
export function sheetOf(
  card: Card,
  school: School,
  titles: ReadonlyMap<string, string> = new Map()
): Sheet {
  const pack = packOf(card.language)
  const options = { turning: school.turning, language: card.language }
  const firstSide = firstSideOf(card, school)
  const led = (side: Side) =>
    pack || side === card.writtenFor ? cardLedFrom(card, side, firstSide, options) : null
  const of: Laying = {
    card,
    school,
    titles,
    labels: pack?.labels ?? LABELS,
    sided: card.sides === 'sided',
    firstSide,
    led: { left: led('left'), right: card.sides === 'even' ? card : led('right') },
    spoken: writeFor(card, firstSide, options),
    options,
    frames: keyframesOf(card).frames,
    title: titleOf(card),
  }
  return {
    id: card.id,
    language: card.language,
    number: card.number,
    title: of.title,
    sanskrit: card.names.sanskrit,
    devanagari: devanagari(card.names.sanskrit),
    also: [...card.names.common.slice(1), ...card.names.aliases],
    meaning: card.names.meaning,
    facts: factsOf(of),
    sided: of.sided,
    firstSide,
    parts: layouts(of.labels).flatMap(([id, lay]): SheetPart[] => {
      const blocks = lay(of)
      const title = of.labels.parts[id as keyof typeof of.labels.parts] ?? ''
      return blocks.length ? [{ id, title, blocks }] : []
    }),
  }
}

/** The order in which the halves are led. */
export const ledOrder = (firstSide: Side): [Side, Side] => [firstSide, otherSide(firstSide)]
