import { rootOf, solveBy } from './cholesky'
import type { Row } from './constraints'
import {
  ANGLES,
  axesOf,
  CARRIED,
  CHAINS,
  jointOf,
  JOINTS,
  type Placed,
  type Pose,
} from './skeleton'
import type { Limits } from './solve'
import type { Vec } from './vec'

/** A step of a pose is a list of numbers: where the hips go, then how much each angle changes. */
export const ROOT = 3
export const COLUMNS = ROOT + ANGLES.length

/**
 * How readily each angle gives way: hands and feet settle on what they touch, and the trunk
 * keeps its shape longest.
 */
const READY = Float64Array.from([
  ...new Array<number>(ROOT).fill(1),
  ...ANGLES.map(({ joint }) => {
    if (joint === 'pelvis') return 0.5
    if (joint === 'lowBack' || joint === 'ribs') return 0.15
    if (joint === 'neck' || joint === 'head') return 0.1
    if (joint.endsWith('Girdle')) return 0.2
    return /(?:Wrist|Ankle|Forearm|Toes)$/.test(joint) ? 25 : 1
  }),
])
const DAMPING = 1e-9
const MOST_DEGREES = 25
/** How often in one step angles at their limits are taken out of it. */
const PASSES = 4

/** For each joint: the joints above it, each with what it carries and the columns of its angles. */
const LEVERS = CHAINS.map((chain, own) =>
  chain.map((joint) => ({
    joint,
    carried: joint === own ? undefined : CARRIED[joint],
    angles: JOINTS[joint]!.angles,
  }))
)

/** Adds what each column does to a point of a segment, along a direction. */
function addColumns(
  out: Float64Array,
  { segment, point }: Pick<Row, 'segment' | 'point'>,
  [ax, ay, az]: Vec,
  sign: number,
  { origins }: Placed,
  axes: readonly Vec[]
) {
  out[0]! += sign * ax
  out[1]! += sign * ay
  out[2]! += sign * az
  for (const { joint, carried, angles } of LEVERS[jointOf(segment)]!) {
    const at = carried === undefined ? point : origins[carried]!
    const from = origins[joint]!
    const x = at[0] - from[0]
    const y = at[1] - from[1]
    const z = at[2] - from[2]
    const [lx, ly, lz] = [y * az - z * ay, z * ax - x * az, x * ay - y * ax]
    for (const i of angles) {
      const axis = axes[i]!
      out[ROOT + i]! += sign * (axis[0] * lx + axis[1] * ly + axis[2] * lz)
    }
  }
}

/** How much a row changes for each column, and which columns it hangs on at all. */
interface Slope {
  by: Float64Array
  columns: readonly number[]
}

const HANGS_ON = LEVERS.map((levers) => [
  ...Array.from({ length: ROOT }, (_, c) => c),
  ...levers.flatMap(({ angles }) => angles.map((i) => ROOT + i)),
])

function slopeOf(row: Row, placed: Placed, axes: readonly Vec[]): Slope {
  const by = new Float64Array(COLUMNS)
  addColumns(by, row, row.along, 1, placed, axes)
  const columns = HANGS_ON[jointOf(row.segment)]!
  if (!row.against) return { by, columns }
  addColumns(by, row.against, row.along, -1, placed, axes)
  return { by, columns: [...new Set([...columns, ...HANGS_ON[jointOf(row.against.segment)]!])] }
}

/**
 * The least change of a pose that meets its rows, beside the way back to the asked angles. An
 * angle at its limit that is pushed further stays where it is, and the others do the work.
 */
export function nextStep(
  rows: readonly Row[],
  pose: Pose,
  placed: Placed,
  asked: readonly number[],
  homing: number,
  limits: Limits
): Float64Array {
  // What the angles would do by themselves: go back to what was asked for.
  const free = new Float64Array(COLUMNS)
  asked.forEach((value, i) => {
    free[ROOT + i] = (value - pose.angles[i]!) * homing
  })
  const m = rows.length
  if (m === 0) return capped(free)
  const axes = axesOf(pose, placed)
  const slopes = rows.map((row) => slopeOf(row, placed, axes))
  const ready = Float64Array.from(READY)
  // How the rows pull on each other through the angles; an angle that is frozen leaves it.
  const eased = new Float64Array(COLUMNS)
  const pulls = slopes.map(({ by, columns }, r) => {
    for (const c of columns) eased[c] = by[c]! * ready[c]!
    const own = new Float64Array(r + 1)
    for (let q = 0; q <= r; q += 1) own[q] = along(columns, eased, slopes[q]!.by)
    return own
  })
  let step: Float64Array = free
  for (let pass = 0; pass < PASSES; pass += 1) {
    step = stepWith(rows, slopes, pulls, free, ready)
    const cap = capOf(step)
    let frozen = false
    for (let i = 0; i < ANGLES.length; i += 1) {
      const c = ROOT + i
      if (ready[c] === 0) continue
      const [min, max, now] = [limits.min[i]!, limits.max[i]!, pose.angles[i]!]
      const next = now + step[c]! * cap
      const outward =
        (next > max + 1e-9 && now >= max - 1e-9) || (next < min - 1e-9 && now <= min + 1e-9)
      if (!outward) continue
      for (let r = 0; r < m; r += 1) {
        const k = slopes[r]!.by[c]! * ready[c]!
        if (k !== 0) for (let q = 0; q <= r; q += 1) pulls[r]![q]! -= k * slopes[q]!.by[c]!
      }
      ready[c] = 0
      free[c] = 0
      frozen = true
    }
    if (!frozen) break
  }
  return capped(step)
}

/** What the columns do by themselves, and beside it the least that meets the rows. */
function stepWith(
  rows: readonly Row[],
  slopes: readonly Slope[],
  pulls: readonly Float64Array[],
  free: Float64Array,
  ready: Float64Array
): Float64Array {
  const forces = Float64Array.from(rows, ({ residual }, r) => {
    const { by, columns } = slopes[r]!
    return residual - along(columns, by, free)
  })
  const given = pulls.map((own, r) => {
    const damped = Float64Array.from(own)
    damped[r]! += DAMPING / rows[r]!.weight ** 2
    return damped
  })
  const root = rootOf(given)
  // Rows that ask for the same twice, without any give, move nothing; what is unmet is told.
  if (!root) return free
  solveBy(root, forces)
  const step = Float64Array.from(free)
  for (let r = 0; r < rows.length; r += 1) {
    const force = forces[r]!
    const { by, columns } = slopes[r]!
    for (const c of columns) step[c]! += ready[c]! * by[c]! * force
  }
  return step
}

function along(columns: readonly number[], a: Float64Array, b: Float64Array): number {
  let sum = 0
  for (const c of columns) sum += a[c]! * b[c]!
  return sum
}

function capOf(step: Float64Array): number {
  let most = 0
  for (let i = ROOT; i < COLUMNS; i += 1) most = Math.max(most, Math.abs(step[i]!))
  return most > MOST_DEGREES ? MOST_DEGREES / most : 1
}

function capped(step: Float64Array): Float64Array {
  const cap = capOf(step)
  return cap === 1 ? step : step.map((value) => value * cap)
}
