/** Symmetric systems of equations by Cholesky's factor; matrices lie row by row in one array. */

/**
 * The lower triangle L of a matrix that is L·Lᵀ.
 * @param g symmetric; of each row only what stands up to the diagonal is read
 * @returns null when it is not positive definite, as far as numbers can tell
 */
export function rootOf(g: readonly Float64Array[]): Float64Array | null {
  const n = g.length
  const l = new Float64Array(n * n)
  for (let j = 0; j < n; j += 1) {
    const row = g[j]!
    let squares = 0
    for (let k = 0; k < j; k += 1) {
      let sum = 0
      for (let i = 0; i < k; i += 1) sum += l[k * n + i]! * l[j * n + i]!
      const own = (row[k]! - sum) / l[k * n + k]!
      l[j * n + k] = own
      squares += own * own
    }
    const left = row[j]! - squares
    if (!(left > 0)) return null
    l[j * n + j] = Math.sqrt(left)
  }
  return l
}

/** Solves L·Lᵀx = b; x takes the place of b. */
export function solveBy(l: Float64Array, b: Float64Array): void {
  const n = b.length
  for (let k = 0; k < n; k += 1) {
    let own = b[k]!
    for (let i = 0; i < k; i += 1) own -= b[i]! * l[k * n + i]!
    b[k] = own / l[k * n + k]!
  }
  for (let k = n - 1; k >= 0; k -= 1) {
    let own = b[k]!
    for (let i = k + 1; i < n; i += 1) own -= b[i]! * l[i * n + k]!
    b[k] = own / l[k * n + k]!
  }
}

/** L⁻ᵀ, its columns one after the other: column i is row i of L⁻¹. */
export function inverseOf(l: Float64Array, n: number): Float64Array {
  const inverse = new Float64Array(n * n)
  for (let i = 0; i < n; i += 1) {
    inverse[i * n + i] = 1 / l[i * n + i]!
    for (let j = 0; j < i; j += 1) {
      let sum = 0
      for (let k = j; k < i; k += 1) sum -= l[i * n + k]! * inverse[k * n + j]!
      inverse[i * n + j] = sum / l[i * n + i]!
    }
  }
  return inverse
}
