import type { Drawing } from './draw'
import type { Kind, Shape } from './shapes'

/** Inks of a drawing. */
export interface Palette {
  /** Clothed parts, hair, and skin, which is as light as paper. */
  cloth: string
  hair: string
  lightHair: string
  skin: string
  /** Around the figure, and of the lines over what is dark. */
  paper: string
  /** Of the lines of the body, and of the floor and letters beside it. */
  line: string
  beside: string
  /** Of the lines that show a measure. */
  measure: string
}

export const PAPER_PALETTE: Palette = {
  cloth: '#4a6066',
  hair: '#1f2a2e',
  lightHair: '#c3c8c4',
  skin: '#fffdf8',
  paper: '#fbfaf6',
  line: '#1f2a2e',
  beside: '#1f2a2e',
  measure: '#c98a1b',
}

/** In two tones, or as lines alone, for what is copied or coloured in. */
export const MANNERS = ['tones', 'lines'] as const
export type Manner = (typeof MANNERS)[number]

export interface Ink {
  fill: string
  stroke: string
  width: number
}

/** How a shape is inked; widths in hundredths of a stature. */
export function inkOf(kind: Kind, p: Palette, manner: Manner = 'tones'): Ink {
  const filled = (fill: string): Ink => ({ fill, stroke: 'none', width: 0 })
  const drawn = (stroke: string, width: number): Ink => ({ fill: 'none', stroke, width })
  switch (kind) {
    case 'body':
      return { fill: manner === 'tones' ? p.skin : p.paper, stroke: p.line, width: 0.9 }
    case 'cloth':
    case 'hair':
      return manner === 'tones' ? filled(p[kind]) : drawn(p.line, kind === 'hair' ? 0.7 : 0.45)
    case 'lightHair':
      return manner === 'tones'
        ? { fill: p.lightHair, stroke: p.line, width: 0.5 }
        : drawn(p.line, 0.7)
    case 'edge':
    case 'face':
    case 'crease':
      return filled(p.line)
    case 'gap':
    case 'seam':
      return filled(manner === 'tones' ? p.paper : p.line)
    case 'prop':
      return { fill: p.paper, stroke: p.beside, width: 0.8 }
    case 'propLine':
    case 'floor':
      return drawn(p.beside, 0.6)
    case 'strapEdge':
      return drawn(p.beside, 2.2)
    case 'strap':
      return drawn(p.paper, 1.1)
    case 'teachGap':
      return drawn(p.paper, 2.1)
    case 'teach':
    case 'teachDots':
      return drawn(p.beside, 1.15)
    case 'teachHead':
      return { fill: p.beside, stroke: p.paper, width: 0.5 }
    case 'ring':
      return drawn(p.beside, 0.9)
    case 'measureGap':
      return drawn(p.paper, 2)
    case 'measure':
      return drawn(p.measure, 0.9)
    case 'ghost':
      return drawn(p.beside, 0.5)
  }
}

/** Kinds whose lines are broken. */
export const DASHES: Partial<Record<Kind, string>> = { ghost: '2 1.5', teachDots: '0.1 2.2' }

/** Shapes of one kind that follow each other, and so are one group. */
export function groupsOf(shapes: readonly Shape[]): { kind: Kind; paths: string[] }[] {
  const groups: { kind: Kind; paths: string[] }[] = []
  for (const { kind, path } of shapes) {
    const last = groups.at(-1)
    // What is painted over each other stays apart.
    if (last?.kind === kind) last.paths.push(path)
    else groups.push({ kind, paths: [path] })
  }
  return groups
}

const short = (value: number) => String(Math.round(value * 100) / 100)

/** The frame of a drawing as the `viewBox` of an SVG. */
export const viewBoxOf = (box: Drawing['box']): string => box.map(short).join(' ')

export interface SvgOptions {
  title: string
  /** The pose in words. */
  description?: string
  palette?: Palette
  manner?: Manner
}

/** A drawing as an SVG file: a group for each kind of shape, named by it. */
export function svgOf(drawing: Drawing, options: SvgOptions): string {
  const { title, description, palette = PAPER_PALETTE, manner } = options
  const escaped = (text: string) => text.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`)
  const groups = groupsOf(drawing.shapes).map(({ kind, paths }) => {
    const { fill, stroke, width } = inkOf(kind, palette, manner)
    const line =
      stroke === 'none'
        ? ''
        : ` stroke="${stroke}" stroke-width="${short(width * (drawing.weight ?? 1))}" stroke-linejoin="round" stroke-linecap="round"`
    const dashes = DASHES[kind]
    const dash = dashes ? ` stroke-dasharray="${dashes}"` : ''
    const inside = paths.map((path) => `<path d="${path}"/>`).join('')
    return `<g id="${kind}" fill="${fill}"${line}${dash}>${inside}</g>`
  })
  const letters = drawing.letters.map(
    ({ text, x, y }) =>
      `<text x="${short(x)}" y="${short(y)}" font-family="Andika, sans-serif" font-size="6" text-anchor="middle" dominant-baseline="central" fill="${palette.beside}">${text}</text>`
  )
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${viewBoxOf(drawing.box)}" role="img" aria-labelledby="title${description ? ' desc' : ''}">`,
    `<title id="title">${escaped(title)}</title>`,
    ...(description ? [`<desc id="desc">${escaped(description)}</desc>`] : []),
    ...groups,
    ...(letters.length ? [`<g id="sides">${letters.join('')}</g>`] : []),
    '</svg>',
    '',
  ].join('\n')
}
