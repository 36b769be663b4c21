import { type Card, partsOf, type Side, withValue } from '../card'
import { writeFor } from '../sides'
import { keyframesOf, withFigure } from './ofCard'
import { acrossWords, mirroredFigure } from './spec'

const NAMES_A_SIDE = /\.(?:measure\.name|mark\.(?:part|way))$/

/**
 * The same card kept for `side`: its wording, and with it its figures, measures and marks, as
 * they are when that side leads. Nothing it says or shows changes. A figure that cannot be read
 * stays as it is.
 */
export function keptFor(card: Card, side: Side): Card {
  const written = writeFor(card, side)
  if (written === card) return card
  const marked = partsOf(written, () => true)
    .filter(({ path }) => NAMES_A_SIDE.test(path))
    .reduce((now, { path, value }) => withValue(now, path, acrossWords(value as string)), written)
  const { frames } = keyframesOf(card)
  const ofReference = (where: string) =>
    card.ladder.findIndex(({ reference }) => reference) ===
    Number(/^ladder\[(\d+)/.exec(where)?.[1])
  // The reference first: the other rungs are told against it.
  return [...frames]
    .sort((a, b) => Number(ofReference(b.where)) - Number(ofReference(a.where)))
    .reduce((now, { where, figure }) => withFigure(now, where, mirroredFigure(figure)), marked)
}
