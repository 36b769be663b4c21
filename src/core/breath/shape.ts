import type { Breath } from '../card'

/**
 * The mark of a breath phase: widening downward for in, narrowing for out, a straight bar
 * for a hold, a loose wave for a free breath. Shapes tell them apart without colour.
 */
export interface BreathShape {
  /** SVG path. */
  path: string
  /** A wave is drawn as a line, a held-out bar is hollow, the rest is filled. */
  paint: 'fill' | 'line' | 'hollow'
}

/** To two decimals, as a path is written. */
export const round = (value: number) => Math.round(value * 100) / 100

function wave(width: number, height: number): string {
  const turns = Math.max(1, Math.round(height / 24))
  const step = height / (turns * 2)
  const middle = width / 2
  const swing = width * 0.22
  let path = `M${round(middle)} 0`
  for (let i = 0; i < turns * 2; i += 1) {
    const bulge = middle + (i % 2 ? -swing : swing) * 1.6
    path += ` Q${round(bulge)} ${round(step * (i + 0.5))} ${round(middle)} ${round(step * (i + 1))}`
  }
  return path
}

/**
 * Draws a phase in a box, from its top to its bottom edge.
 * @param width of the box, in any unit
 * @param height of the box, in the same unit
 */
export function breathShape(breath: Breath, width: number, height: number): BreathShape {
  const w = round(width)
  const h = round(height)
  const middle = round(width / 2)
  const tip = round(width * 0.06)
  const bar = round(width * 0.28)
  switch (breath) {
    case 'in':
      return { paint: 'fill', path: `M${middle - tip} 0 H${middle + tip} L${w} ${h} H0 Z` }
    case 'out':
      return { paint: 'fill', path: `M0 0 H${w} L${middle + tip} ${h} H${middle - tip} Z` }
    case 'hold-in':
      return { paint: 'fill', path: `M${bar} 0 H${round(width - bar)} V${h} H${bar} Z` }
    case 'hold-out':
      return {
        paint: 'hollow',
        path: `M${bar} 1 H${round(width - bar)} V${round(height - 1)} H${bar} Z`,
      }
    case 'free':
      return { paint: 'line', path: wave(width, height) }
  }
}
