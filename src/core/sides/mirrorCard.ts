import { type Card, isSided, type On, rewriteParts, type Side } from '../card'
import { packOf, rememberIn, type SideOptions, type Turning } from '../language'
import { mirrorText } from './mirrorText'

/** Rewrites every wording of a card that can hold side words; names and notes stay. */
export const rewriteSided = (card: Card, rewrite: (text: string) => string): Card =>
  rewriteParts(card, isSided, rewrite)

/** Who mirrors lines of a language: one for each, so that a line that was mirrored serves again. */
const mirrorIn = rememberIn((turning, language) => {
  const options = turning ? { language, turning: turning as Turning } : { language }
  return (text: string) => mirrorText(text, options)
})

/**
 * The same card with its wording written for `side`: nothing it says changes.
 * An even card, and one in a language with no pack, is given back as it is.
 */
export function writeFor(card: Card, side: Side, options?: SideOptions): Card {
  if (card.sides === 'even' || card.writtenFor === side || !packOf(card.language)) return card
  const mirror = mirrorIn(options?.turning ?? '', card.language)
  return { ...rewriteSided(card, mirror), writtenFor: side }
}

/** Whether a part marked `on` belongs to the pass led from `side`. */
export function belongsTo(on: On, side: Side, firstSide: Side): boolean {
  switch (on) {
    case 'both':
      return true
    case 'left-only':
      return side === 'left'
    case 'right-only':
      return side === 'right'
    case 'first-only':
      return side === firstSide
    case 'second-only':
      return side !== firstSide
  }
}

/**
 * What is said and looked at when the pose is led from `side`: wording written for that
 * side, parts that belong to the other side only left out.
 * @param firstSide the side that is led first, from the card or the school
 */
export function cardLedFrom(card: Card, side: Side, firstSide: Side, options?: SideOptions): Card {
  const written = writeFor(card, side, options)
  const here = (part: { on: On }) => belongsTo(part.on, side, firstSide)
  return {
    ...written,
    alignment: written.alignment.filter(here),
    mistakes: written.mistakes.filter(here),
    assists: written.assists.filter(here),
  }
}
