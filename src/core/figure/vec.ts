/**
 * Vectors and rotations. x points to the person's left, y up, z to the front; a rotation is a
 * 3 x 3 matrix, row by row.
 */
export type Vec = readonly [x: number, y: number, z: number]
export type Mat = readonly number[]

export const IDENTITY: Mat = [1, 0, 0, 0, 1, 0, 0, 0, 1]
export const rad = (degrees: number) => (degrees * Math.PI) / 180
export const deg = (radians: number) => (radians * 180) / Math.PI

export const add = (a: Vec, b: Vec): Vec => [a[0] + b[0], a[1] + b[1], a[2] + b[2]]
export const sub = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
export const scale = (a: Vec, k: number): Vec => [a[0] * k, a[1] * k, a[2] * k]
export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
export const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]
export const norm = (a: Vec): number => Math.sqrt(dot(a, a))
export const unit = (a: Vec): Vec => {
  const n = norm(a)
  return n < 1e-12 ? [0, 0, 0] : scale(a, 1 / n)
}
export const mid = (a: Vec, b: Vec, t = 0.5): Vec => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
]
/** Angle between two directions, in degrees, 0 to 180. */
export const between = (a: Vec, b: Vec): number => deg(Math.atan2(norm(cross(a, b)), dot(a, b)))

export function times(a: Mat, b: Mat): Mat {
  const out = new Array<number>(9)
  for (let r = 0; r < 3; r += 1)
    for (let c = 0; c < 3; c += 1)
      out[r * 3 + c] = a[r * 3]! * b[c]! + a[r * 3 + 1]! * b[3 + c]! + a[r * 3 + 2]! * b[6 + c]!
  return out
}
export const apply = (m: Mat, v: Vec): Vec => [
  m[0]! * v[0] + m[1]! * v[1] + m[2]! * v[2],
  m[3]! * v[0] + m[4]! * v[1] + m[5]! * v[2],
  m[6]! * v[0] + m[7]! * v[1] + m[8]! * v[2],
]
export const transpose = (m: Mat): Mat => [
  m[0]!,
  m[3]!,
  m[6]!,
  m[1]!,
  m[4]!,
  m[7]!,
  m[2]!,
  m[5]!,
  m[8]!,
]

/** Rotation about x: turns y towards z. Degrees. */
export function rotX(degrees: number): Mat {
  const a = rad(degrees)
  const [c, s] = [Math.cos(a), Math.sin(a)]
  return [1, 0, 0, 0, c, -s, 0, s, c]
}
/** Rotation about y: turns z towards x. Degrees. */
export function rotY(degrees: number): Mat {
  const a = rad(degrees)
  const [c, s] = [Math.cos(a), Math.sin(a)]
  return [c, 0, s, 0, 1, 0, -s, 0, c]
}
/** Rotation about z: turns x towards y. Degrees. */
export function rotZ(degrees: number): Mat {
  const a = rad(degrees)
  const [c, s] = [Math.cos(a), Math.sin(a)]
  return [c, -s, 0, s, c, 0, 0, 0, 1]
}
/** Rotation by a vector: its direction is the axis, its length the angle in degrees. */
export function rotBy(v: Vec): Mat {
  const angle = norm(v)
  if (angle < 1e-9)
    return [1, -rad(v[2]), rad(v[1]), rad(v[2]), 1, -rad(v[0]), -rad(v[1]), rad(v[0]), 1]
  const [x, y, z] = scale(v, 1 / angle)
  const a = rad(angle)
  const [c, s] = [Math.cos(a), Math.sin(a)]
  const t = 1 - c
  return [
    t * x * x + c,
    t * x * y - s * z,
    t * x * z + s * y,
    t * x * y + s * z,
    t * y * y + c,
    t * y * z - s * x,
    t * x * z - s * y,
    t * y * z + s * x,
    t * z * z + c,
  ]
}

/**
 * How a rotation by a vector turns when the vector grows: its columns are the axes, in radians
 * for each radian more along x, y and z (the left Jacobian of a rotation vector, as textbooks
 * of robotics give it).
 */
export function turnsBy(v: Vec): Mat {
  const angle = rad(norm(v))
  if (angle < 1e-6) return IDENTITY
  const [x, y, z] = scale(v, rad(1))
  const a = (1 - Math.cos(angle)) / angle ** 2
  const b = (angle - Math.sin(angle)) / angle ** 3
  return [
    1 - b * (y * y + z * z),
    b * x * y - a * z,
    b * x * z + a * y,
    b * x * y + a * z,
    1 - b * (x * x + z * z),
    b * y * z - a * x,
    b * x * z - a * y,
    b * y * z + a * x,
    1 - b * (x * x + y * y),
  ]
}
