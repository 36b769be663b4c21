import { inverseOf, rootOf } from './cholesky'

/** A linear limit: what a unit of each number gives, in all at least so much. */
export interface AtLeast {
  gives: ArrayLike<number>
  has: number
}

/** Less than this is nothing. */
const TINY = 1e-13
/** A dual step beside the numbers of a problem; more of them than this is going in circles. */
const STEPS = 50

/**
 * The numbers, none below 0, that make ½ xᵀGx − aᵀx least within linear limits: the dual method
 * of Goldfarb & Idnani 1983. It begins without limits and takes in the one that is missed most,
 * until none is; most of ours say only that a push is a push, and cost a row each.
 * @param g symmetric and positive definite
 * @returns null when no numbers meet the limits
 */
export function leastWithin(
  g: readonly Float64Array[],
  a: Float64Array,
  limits: readonly AtLeast[]
): Float64Array | null {
  const n = a.length
  const root = rootOf(g)
  if (!root) return null
  const columns = inverseOf(root, n)
  const x = new Float64Array(n)
  for (let j = 0; j < n; j += 1) {
    const along = product(columns, j * n, a, n)
    addTo(x, columns, j * n, along)
  }
  const rows = limits.map(({ gives }) => Float64Array.from(gives))
  const sizes = rows.map((row) => Math.sqrt(product(row, 0, row, n)))
  const missed = (c: number) =>
    c < n ? x[c]! : product(rows[c - n]!, 0, x, n) - limits[c - n]!.has

  const active: number[] = []
  const held = new Uint8Array(n + limits.length)
  // How hard each active limit pushes back, and the triangle of the active ones, by columns.
  const force = new Float64Array(n + 1)
  const triangle = new Float64Array(n * n)
  const d = new Float64Array(n)
  const z = new Float64Array(n)
  const r = new Float64Array(n)

  /** Takes the active limit at a place out, and makes the rest a triangle again. */
  const release = (at: number) => {
    held[active[at]!] = 0
    const last = active.length - 1
    for (let k = at; k < last; k += 1) {
      active[k] = active[k + 1]!
      force[k] = force[k + 1]!
      for (let i = 0; i <= k + 1; i += 1) triangle[k * n + i] = triangle[(k + 1) * n + i]!
    }
    force[last] = force[last + 1]!
    force[last + 1] = 0
    active.pop()
    for (let j = at; j < last; j += 1) {
      const turn = turning(triangle[j * n + j]!, triangle[j * n + j + 1]!)
      if (!turn) continue
      triangle[j * n + j] = turn.long
      triangle[j * n + j + 1] = 0
      for (let k = j + 1; k < last; k += 1)
        turned(triangle, k * n + j, triangle, k * n + j + 1, 1, turn)
      turned(columns, j * n, columns, (j + 1) * n, n, turn)
    }
  }

  for (let steps = STEPS * (n + rows.length); steps > 0; steps -= 1) {
    let worst = -1
    let most = -TINY
    for (let c = 0; c < n + rows.length; c += 1) {
      if (held[c]) continue
      const by = missed(c) / (c < n ? 1 : sizes[c - n]! || 1)
      if (by < most) [worst, most] = [c, by]
    }
    if (worst < 0) return x
    for (let taken = false; !taken; steps -= 1) {
      if (steps <= 0) return null
      const q = active.length
      for (let j = 0; j < n; j += 1)
        d[j] = worst < n ? columns[j * n + worst]! : product(columns, j * n, rows[worst - n]!, n)
      z.fill(0)
      for (let j = q; j < n; j += 1) addTo(z, columns, j * n, d[j]!)
      for (let k = q - 1; k >= 0; k -= 1) {
        let left = d[k]!
        for (let j = k + 1; j < q; j += 1) left -= triangle[j * n + k]! * r[j]!
        r[k] = left / triangle[k * n + k]!
      }
      // How far until an active limit pushes no more, and until the missed one is met.
      let [dual, first] = [Infinity, -1]
      for (let k = 0; k < q; k += 1)
        if (r[k]! > 0 && force[k]! / r[k]! < dual) [dual, first] = [force[k]! / r[k]!, k]
      const moves = product(z, 0, z, n) > TINY
      const slope = worst < n ? z[worst]! : product(rows[worst - n]!, 0, z, n)
      const primal = moves ? -missed(worst) / slope : Infinity
      const far = Math.min(dual, primal)
      if (far === Infinity) return null
      if (moves) for (let i = 0; i < n; i += 1) x[i]! += far * z[i]!
      for (let k = 0; k < q; k += 1) force[k]! -= far * r[k]!
      force[q]! += far
      taken = moves && primal <= dual
      if (!taken) {
        release(first)
        continue
      }
      for (let j = n - 1; j > q; j -= 1) {
        const turn = turning(d[j - 1]!, d[j]!)
        if (!turn) continue
        d[j - 1] = turn.long
        d[j] = 0
        turned(columns, (j - 1) * n, columns, j * n, n, turn)
      }
      for (let i = 0; i <= q; i += 1) triangle[q * n + i] = d[i]!
      active.push(worst)
      held[worst] = 1
      force[q + 1] = 0
    }
  }
  return null
}

function product(a: Float64Array, from: number, b: ArrayLike<number>, n: number): number {
  let sum = 0
  for (let i = 0; i < n; i += 1) sum += a[from + i]! * b[i]!
  return sum
}

function addTo(to: Float64Array, a: Float64Array, from: number, times: number) {
  for (let i = 0; i < to.length; i += 1) to[i]! += a[from + i]! * times
}

interface Turn {
  c: number
  s: number
  long: number
}

/** The rotation that turns two numbers into one; null when the second is 0 already. */
function turning(a: number, b: number): Turn | null {
  if (b === 0) return null
  const long = Math.sqrt(a * a + b * b)
  const sign = a < 0 ? -1 : 1
  return { c: (sign * a) / long, s: (sign * b) / long, long: sign * long }
}

/** Two stretches of numbers turned into each other. */
function turned(
  a: Float64Array,
  fromA: number,
  b: Float64Array,
  fromB: number,
  many: number,
  { c, s }: Turn
) {
  for (let i = 0; i < many; i += 1) {
    const one = a[fromA + i]!
    const two = b[fromB + i]!
    a[fromA + i] = one * c + two * s
    b[fromB + i] = one * s - two * c
  }
}
