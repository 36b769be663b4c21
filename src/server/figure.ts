import sharp from 'sharp'

const PNG_WIDTH = 1200

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
