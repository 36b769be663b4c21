import { type Build, type Card, type Side, titleOf } from '@/core/card'
import {
  bvhOf,
  drawnFigure,
  figureLedFrom,
  figureShown,
  finalFigure,
  keyframesOf,
  type Manner,
  svgOf,
} from '@/core/figure'

/** The figure of one form of a card as SVG; null when it is not drawn. */
export function cardFigureSvg(
  card: Card,
  side: Side,
  frameId?: string,
  build?: Build,
  manner?: Manner
): string | null {
  const frame = frameId
    ? keyframesOf(card).frames.find((each) => each.id === frameId)
    : finalFigure(card)
  if (!frame) return null
  const figure = figureShown(
    card,
    frame.figure,
    side,
    build && { builds: [build], buildsBy: 'card' }
  )
  const drawing = drawnFigure(figure, card.sides === 'sided')
  return svgOf(drawing, { title: titleOf(card), description: drawing.words, manner })
}

/** Every figure of a card as the frames of a BVH file; null when none is drawn. */
export function cardFiguresBvh(card: Card, side: Side): string | null {
  const { frames } = keyframesOf(card)
  return frames.length ? bvhOf(frames.map((each) => figureLedFrom(card, each.figure, side))) : null
}
