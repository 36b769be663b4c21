import type { Drawing } from './draw'
import type { Shape } from './paths'

/** Inks of a drawing. */
export interface Palette {
  body: string
  far: string
  paper: string
  line: string
  /** Of the lines that show a measure. */
  measure: string
}

export const PAPER_PALETTE: Palette = {
  body: '#3b4e53',
  far: '#a8b3ae',
  paper: '#fbfaf6',
  line: '#1f2a2e',
  measure: '#c98a1b',
}

/** How a shape is inked; widths in hundredths of a stature. */
export function inkOf(
  kind: Shape['kind'],
  p: Palette
): { fill: string; stroke: string; width: number } {
  switch (kind) {
    case 'body':
      return { fill: p.body, stroke: p.paper, width: 1.5 }
    case 'far':
      return { fill: p.far, stroke: p.paper, width: 1.2 }
    case 'crease':
      return { fill: p.paper, stroke: 'none', width: 0 }
    case 'mark':
      return { fill: 'none', stroke: p.paper, width: 0.6 }
    case 'prop':
      return { fill: p.paper, stroke: p.line, width: 0.6 }
    case 'propLine':
    case 'floor':
      return { fill: 'none', stroke: p.line, width: 0.6 }
    case 'strap':
      return { fill: 'none', stroke: p.line, width: 1 }
    case 'measureGap':
      return { fill: 'none', stroke: p.paper, width: 2 }
    case 'measure':
      return { fill: 'none', stroke: p.measure, width: 0.9 }
    case 'ghost':
      return { fill: 'none', stroke: p.line, width: 0.5 }
  }
}

const short = (value: number) => String(Math.round(value * 100) / 100)

/** The frame of a drawing as the `viewBox` of an SVG. */
export const viewBoxOf = (box: Drawing['box']): string => box.map(short).join(' ')

/** Body and far limbs have their line under the fill, so that only its outer half shows. */
const under = (kind: Shape['kind']) => kind === 'body' || kind === 'far'

/** A drawing as an SVG file. */
export function svgOf(drawing: Drawing, title: string, palette: Palette = PAPER_PALETTE): string {
  const escaped = title.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`)
  const shapes = drawing.shapes.map(({ kind, path }) => {
    const { fill, stroke, width } = inkOf(kind, palette)
    const order = under(kind) ? ' paint-order="stroke"' : ''
    const dash = kind === 'ghost' ? ' stroke-dasharray="2 1.5"' : ''
    return `<path d="${path}" fill="${fill}" stroke="${stroke}" stroke-width="${width}" stroke-linejoin="round" stroke-linecap="round"${order}${dash}/>`
  })
  const letters = drawing.letters.map(
    ({ text, x, y }) =>
      `<text x="${short(x)}" y="${short(y)}" font-family="Andika, sans-serif" font-size="6" text-anchor="middle" dominant-baseline="central" fill="${palette.line}">${text}</text>`
  )
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${viewBoxOf(drawing.box)}" role="img" aria-label="${escaped}">`,
    `<title>${escaped}</title>`,
    ...shapes,
    ...letters,
    '</svg>',
    '',
  ].join('\n')
}
