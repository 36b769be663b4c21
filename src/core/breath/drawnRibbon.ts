import type { BreathShape } from './shape'
import { breathShape } from './shape'
import type { Passage, RibbonStretch } from './timeline'

/** One phase of the ribbon, placed along it. */
export interface DrawnStretch extends BreathShape {
  where: string
  /** Distance of its beginning from the beginning of the ribbon. */
  from: number
  length: number
}

/** A part of the pass, bracketed beside the ribbon. */
export interface DrawnPart {
  part: Passage['part']
  from: number
  length: number
  /** Seconds that the part lasts. */
  seconds: number
}

export interface DrawnRibbon {
  length: number
  stretches: DrawnStretch[]
  parts: DrawnPart[]
}

/** A path with its two axes changed: what went down goes to the right. */
function lying(path: string): string {
  const other: Record<string, string> = { H: 'V', V: 'H' }
  return path.replace(/([MLQHVZ])([^MLQHVZ]*)/g, (_, command: string, rest: string) => {
    const numbers = rest.match(/-?\d+(?:\.\d+)?/g) ?? []
    if (other[command]) return other[command] + numbers.join(' ')
    const pairs: string[] = []
    for (let i = 0; i < numbers.length; i += 2) pairs.push(`${numbers[i + 1]} ${numbers[i]}`)
    return command + pairs.join(' ')
  })
}

/**
 * Draws one pass to scale: as many units for each second, whatever the phase.
 * @param size length of the whole and breadth of the ribbon, in any unit
 * @param lies whether it runs to the right in place of down
 */
export function drawnRibbon(
  ribbon: readonly RibbonStretch[],
  size: { length: number; breadth: number },
  lies = false
): DrawnRibbon {
  const last = ribbon.at(-1)
  const whole = last ? last.at + last.seconds : 0
  if (whole === 0) return { length: 0, stretches: [], parts: [] }
  const scale = size.length / whole
  const parts: DrawnPart[] = []
  const stretches = ribbon.map(({ where, part, breath, at, seconds }): DrawnStretch => {
    const before = parts.at(-1)
    if (before?.part === part && (part !== 'stay' || where === 'stay')) {
      before.seconds += seconds
      before.length += seconds * scale
    } else parts.push({ part, from: at * scale, length: seconds * scale, seconds })
    const shape = breathShape(breath, size.breadth, seconds * scale)
    return {
      ...shape,
      path: lies ? lying(shape.path) : shape.path,
      where,
      from: at * scale,
      length: seconds * scale,
    }
  })
  return { length: size.length, stretches, parts }
}
