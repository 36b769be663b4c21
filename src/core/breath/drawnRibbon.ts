import type { BreathShape } from './shape'
import { breathShape, round } from './shape'
import type { Passage, RibbonStretch } from './timeline'

/** One phase of the ribbon; its path lies where it is on the ribbon. */
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

/** A path that begins so far along the ribbon; with its axes changed where the ribbon lies. */
function placed(path: string, from: number, lies: boolean): string {
  const along = (number: string) => round(Number(number) + from)
  return path.replace(/([MLQHVZ])([^MLQHVZ]*)/g, (_, command: string, rest: string) => {
    const numbers = rest.match(/-?\d+(?:\.\d+)?/g) ?? []
    if (command === 'H') return `${lies ? 'V' : 'H'}${numbers[0]}`
    if (command === 'V') return `${lies ? 'H' : 'V'}${along(numbers[0]!)}`
    const points: string[] = []
    for (let i = 0; i < numbers.length; i += 2) {
      const point = [numbers[i], along(numbers[i + 1]!)]
      points.push((lies ? point.reverse() : point).join(' '))
    }
    return command + points.join(' ')
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
      path: placed(shape.path, at * scale, lies),
      where,
      from: at * scale,
      length: seconds * scale,
    }
  })
  return { length: size.length, stretches, parts }
}
