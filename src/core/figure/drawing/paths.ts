import type { Point } from './fields'

/** Curves of a drawing as SVG paths, in hundredths of a stature, y down. */

export const UNIT = 100
export const hundredths = (value: number) => String(Math.round(value * UNIT * 100) / 100)
const xy = ([x, y]: Point) => `${hundredths(x)} ${hundredths(-y)}`

/** How far a curve may be from its points, in statures; of the sides of a stroke. */
const OFF = 0.0011
const OFF_STROKE = 0.0006

const tenth = (value: number) => Math.round(value * 10)

/** Writes numbers as short as they can be, in tenths. */
function numbers(values: readonly number[]): string {
  let text = ''
  for (const value of values) {
    const word = String(value / 10).replace(/^(-?)0\./, '$1.')
    text += text && !word.startsWith('-') ? ` ${word}` : word
  }
  return text
}

/** The most points that one curve goes over. */
const MOST = 64
const SAMPLES = 6

/**
 * Points as few cubic curves, each as long as it stays near its points. A curve has the direction
 * of its points at both ends, and a third of its length as handles.
 */
function curves(points: readonly Point[], closed: boolean, off: number): string {
  const n = points.length
  const last = n - 1
  const far = [0]
  for (let i = 1; i < n; i += 1)
    far.push(
      far[i - 1]! + Math.hypot(points[i]![0] - points[i - 1]![0], points[i]![1] - points[i - 1]![1])
    )
  const around = (i: number) =>
    closed ? points[((i % last) + last) % last]! : points[Math.max(0, Math.min(last, i))]!
  const ways = points.map((_, i): Point => {
    const [a, b] = [around(i - 1), around(i + 1)]
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1
    return [(b[0] - a[0]) / long, (b[1] - a[1]) / long]
  })
  const handles = (i: number, j: number): [Point, Point] => {
    const third = (far[j]! - far[i]!) / 3
    const [p, q, v, w] = [points[i]!, points[j]!, ways[i]!, ways[j]!]
    return [
      [p[0] + v[0] * third, p[1] + v[1] * third],
      [q[0] - w[0] * third, q[1] - w[1] * third],
    ]
  }
  const near = (i: number, j: number): boolean => {
    const [p, q] = [points[i]!, points[j]!]
    const [b, c] = handles(i, j)
    for (let k = 1; k < SAMPLES; k += 1) {
      const m = i + Math.round(((j - i) * k) / SAMPLES)
      const t = (far[m]! - far[i]!) / (far[j]! - far[i]! || 1)
      const u = 1 - t
      const [f0, f1, f2, f3] = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t]
      const x = f0 * p[0] + f1 * b[0] + f2 * c[0] + f3 * q[0] - points[m]![0]
      const y = f0 * p[1] + f1 * b[1] + f2 * c[1] + f3 * q[1] - points[m]![1]
      if (x * x + y * y > off * off) return false
    }
    return true
  }
  let [px, py] = onPage(points[0]!)
  let path = `M${numbers([px, py])}`
  for (let i = 0; i < last;) {
    let step = 2
    while (step < MOST && i + step * 2 <= last && near(i, i + step * 2)) step *= 2
    let [good, bad] = [Math.min(step, last - i), Math.min(step * 2, last - i + 1, MOST + 1)]
    while (bad - good > 1) {
      const half = (good + bad) >> 1
      if (near(i, i + half)) good = half
      else bad = half
    }
    const [b, c] = handles(i, i + good)
    const to = [b, c, points[i + good]!].map(onPage)
    path += `c${numbers(to.flatMap(([x, y]) => [x! - px, y! - py]))}`
    ;[px, py] = to[2] as [number, number]
    i += good
  }
  return path
}

/** In tenths of a hundredth, as it is written. */
const onPage = ([x, y]: Point): [number, number] => [tenth(x * UNIT), tenth(-y * UNIT)]

/** A closed ring as few curves. */
export function ringPath(ring: readonly Point[], fine = true): string {
  if (ring.length < 6) return ring.length < 4 ? '' : closed(ring.slice(0, -1))
  return fine ? `${curves(ring, true, OFF)}Z` : softPath(ring.slice(0, -1))
}

/** A closed ring as a smooth curve through the middles of its sides. */
function softPath(points: readonly Point[]): string {
  let [ax, ay] = [tenth(points[0]![0] * UNIT), tenth(-points[0]![1] * UNIT)]
  let path = ''
  for (let i = 1; i <= points.length + 1; i += 1) {
    const point = points[i % points.length]!
    const [bx, by] = [tenth(point[0] * UNIT), tenth(-point[1] * UNIT)]
    const [mx, my] = [(ax + bx) / 20, (ay + by) / 20]
    path += path ? `Q${ax / 10} ${ay / 10} ${mx} ${my}` : `M${mx} ${my}`
    ;[ax, ay] = [bx, by]
  }
  return `${path}Z`
}

/** Length over which a stroke runs out at its ends. */
const RUNS_OUT = 0.04

/**
 * A line as a stroke of a pen: it begins and ends thin.
 * @param wide at its widest, in statures
 * @param runsOut length over which it does so
 */
export function strokePath(
  line: readonly Point[],
  wide: number,
  fine = true,
  runsOut = RUNS_OUT
): string {
  const even = evenLine(line)
  const far = [0]
  for (let i = 1; i < even.length; i += 1)
    far.push(far[i - 1]! + Math.hypot(even[i]![0] - even[i - 1]![0], even[i]![1] - even[i - 1]![1]))
  const long = far.at(-1)!
  const runs = Math.min(runsOut, long / 2.2)
  const side = (sign: 1 | -1) =>
    even.map((point, i): Point => {
      const a = even[Math.max(0, i - 1)]!
      const b = even[Math.min(even.length - 1, i + 1)]!
      const turn = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1
      const open = Math.min(1, far[i]! / runs, (long - far[i]!) / runs)
      const half = (wide / 2) * Math.sqrt(Math.max(0, open)) * sign
      return [point[0] - ((b[1] - a[1]) / turn) * half, point[1] + ((b[0] - a[0]) / turn) * half]
    })
  const [there, back] = [side(1), side(-1).reverse()]
  if (!fine || even.length < 4) return closed([...there, ...back])
  const out = curves(there, false, OFF_STROKE)
  const home = curves([there.at(-1)!, ...back], false, OFF_STROKE)
  return `${out}${home.slice(home.indexOf('c'))}Z`
}

/** A line with its jitter taken out: each point between its neighbours. */
function evenLine(line: readonly Point[]): Point[] {
  let now = [...line]
  for (let round = 0; round < 2; round += 1)
    now = now.map((p, i) => {
      const [a, b] = [now[i - 1], now[i + 1]]
      return a && b ? [(a[0] + 2 * p[0] + b[0]) / 4, (a[1] + 2 * p[1] + b[1]) / 4] : p
    })
  return now
}

export const linePath = (line: readonly Point[]) => `M${line.map(xy).join('L')}`

export const closed = (points: readonly Point[]) => `M${points.map(xy).join('L')}Z`

/** A path seen in a mirror: each second number is an x, and changes its sign. */
export const mirroredPath = (path: string): string =>
  path.replace(/([McLQ])([^McLQZ]*)/g, (_, command: string, told: string) => {
    const values = told.match(/-?(?:\d+\.?\d*|\.\d+)/g) ?? []
    const other = values.map((value, i) =>
      i % 2
        ? value
        : value.startsWith('-')
          ? value.slice(1)
          : Number(value) === 0
            ? value
            : `-${value}`
    )
    return (
      command +
      other.map((value, i) => (i && !value.startsWith('-') ? ` ${value}` : value)).join('')
    )
  })
