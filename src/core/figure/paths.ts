import type { Point } from './silhouette'

/** One shape of a drawing; its path is in hundredths of a stature, y down. */
export interface Shape {
  kind:
    | 'far'
    | 'body'
    | 'crease'
    | 'prop'
    | 'propLine'
    | 'strap'
    | 'floor'
    | 'mark'
    | 'ghost'
    | 'measureGap'
    | 'measure'
  path: string
}

export interface Letter {
  text: 'L' | 'R'
  x: number
  y: number
}

export const UNIT = 100
export const hundredths = (value: number) => String(Math.round(value * UNIT * 100) / 100)
export const xy = ([x, y]: Point) => `${hundredths(x)} ${hundredths(-y)}`

/** A closed ring as a smooth curve through the middles of its sides. */
export function ringPath(ring: readonly Point[]): string {
  const points = ring.slice(0, -1)
  if (points.length < 3) return ''
  const half = (i: number): Point => {
    const a = points[i % points.length]!
    const b = points[(i + 1) % points.length]!
    return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
  }
  let path = `M${xy(half(0))}`
  for (let i = 1; i <= points.length; i += 1)
    path += `Q${xy(points[i % points.length]!)} ${xy(half(i))}`
  return `${path}Z`
}

/** Every second point is enough where the line is even. */
export const thinned = (ring: readonly Point[]): Point[] =>
  ring.filter((_, i) => i % 2 === 0 || i === ring.length - 1)

const CREASE = 0.008
/** Length over which a crease runs out at its ends. */
const RUNS_OUT = 0.05

/** A line as a stroke of a pen: thin at both ends. */
export function strokePath(line: readonly Point[]): string {
  const far = [0]
  for (let i = 1; i < line.length; i += 1)
    far.push(far[i - 1]! + Math.hypot(line[i]![0] - line[i - 1]![0], line[i]![1] - line[i - 1]![1]))
  const long = far.at(-1)!
  const side = (sign: 1 | -1) =>
    line.map((point, i): Point => {
      const a = line[Math.max(0, i - 2)]!
      const b = line[Math.min(line.length - 1, i + 2)]!
      const turn = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1
      const open = Math.min(1, far[i]! / RUNS_OUT, (long - far[i]!) / RUNS_OUT)
      const half = (CREASE / 2) * Math.sqrt(open) * sign
      return [point[0] - ((b[1] - a[1]) / turn) * half, point[1] + ((b[0] - a[0]) / turn) * half]
    })
  return closed([...side(1), ...side(-1).reverse()])
}

export const linePath = (line: readonly Point[]) => `M${line.map(xy).join('L')}`

export const closed = (points: readonly Point[]) => `M${points.map(xy).join('L')}Z`
