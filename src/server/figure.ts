import sharp from 'sharp'
import { keeping } from '@/core/language'

const PNG_WIDTH = 1200

/** An SVG as a PNG on paper. */
export function pngOf(svg: string): Promise<Buffer> {
  return sharp(Buffer.from(svg), { density: 300 })
    .resize({ width: PNG_WIDTH, height: PNG_WIDTH, fit: 'inside' })
    .flatten({ background: '#fbfaf6' })
    .png()
    .toBuffer()
}

const holder = globalThis as { notulaFigures?: ReturnType<typeof keeping<string, string>> }

/** Keeps what was drawn for one version of a card. */
export async function keptFigure(
  key: string,
  make: () => Promise<string | null>
): Promise<string | null> {
  const kept = (holder.notulaFigures ??= keeping(2000))
  const before = kept.get(key)
  if (before !== undefined) return before
  const svg = await make()
  return svg === null ? null : kept.set(key, svg)
}
