import sharp from 'sharp'
import { type Card, type Side, titleOf } from '@/core/card'
import { bvhOf, drawnFigure, figureLedFrom, finalFigure, keyframesOf, svgOf } from '@/core/figure'

const PNG_WIDTH = 1200

/** The figure of one form of a card as SVG; null when it is not drawn. */
export function cardFigureSvg(card: Card, side: Side, frameId?: string): string | null {
  const frame = frameId
    ? keyframesOf(card).frames.find((each) => each.id === frameId)
    : finalFigure(card)
  if (!frame) return null
  const led = figureLedFrom(card, frame.figure, side)
  return svgOf(drawnFigure(led, card.sides === 'sided'), titleOf(card))
}

/** Every figure of a card as the frames of a BVH file; null when none is drawn. */
export function cardFiguresBvh(card: Card, side: Side): string | null {
  const { frames } = keyframesOf(card)
  return frames.length ? bvhOf(frames.map((each) => figureLedFrom(card, each.figure, side))) : null
}

/** An SVG as a PNG on paper. */
export function pngOf(svg: string): Promise<Buffer> {
  return sharp(Buffer.from(svg), { density: 300 })
    .resize({ width: PNG_WIDTH, height: PNG_WIDTH, fit: 'inside' })
    .flatten({ background: '#fbfaf6' })
    .png()
    .toBuffer()
}

const holder = globalThis as { notulaFigures?: Map<string, string> }
const MOST_KEPT = 2000

/** Keeps what was drawn for one version of a card. */
export async function keptFigure(
  key: string,
  make: () => Promise<string | null>
): Promise<string | null> {
  const kept = (holder.notulaFigures ??= new Map())
  const before = kept.get(key)
  if (before !== undefined) return before
  const svg = await make()
  if (svg === null) return null
  if (kept.size >= MOST_KEPT) kept.clear()
  kept.set(key, svg)
  return svg
}
