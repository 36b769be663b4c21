import { pointIn } from '../skeleton'
import type { Solved } from '../solve'
import type { Seen } from '../view'
import type { Vec } from '../vec'

/** Lines of a face, told on the head: eyes at rest, the nose, the mouth. */
const LINES: readonly (readonly Vec[])[] = [
  ...[1, -1].map((s): Vec[] => [
    [s * 0.012, 0.059, 0.053],
    [s * 0.019, 0.0565, 0.051],
    [s * 0.027, 0.0595, 0.045],
  ]),
  [
    [-0.006, 0.0425, 0.062],
    [0, 0.04, 0.0655],
    [0.006, 0.0425, 0.062],
  ],
  [
    [-0.012, 0.0265, 0.053],
    [0, 0.0255, 0.0565],
    [0.012, 0.0265, 0.053],
  ],
]
/** How far ahead of the middle of the head a line must be to be drawn. */
const AHEAD = 0.012

export function faceLines(
  { body, placed }: Pick<Solved, 'body' | 'placed'>,
  see: (p: Vec) => Seen
): Vec[][] {
  const up = body.headUp / 0.125
  const at = ([x, y, z]: Vec) => pointIn(placed, 'head', [x * up, y * up, z * up])
  const middle = see(at([0, 0.06, 0]))[2]
  return LINES.map((line) => line.map(at)).filter((line) =>
    line.every((p) => see(p)[2] - middle > AHEAD)
  )
}
