import type { Side } from '../../card'
import { pointIn, type Segment } from '../skeleton'
import type { Solved } from '../solve'
import type { Vec } from '../vec'
import { boxOf, type FlatPart, partDistance, type Point } from './fields'
import { UNIT } from './paths'
import type { Letter } from './shapes'

/** Hands nearer to each other than this leave the letters to the elbows. */
const TOGETHER = 0.12

/** L and R, each by its hand; by its elbow where the hands are together. */
export function lettersOf(
  solved: Solved,
  parts: readonly FlatPart[],
  see: (p: Vec) => readonly number[],
  ground: number,
  taken: readonly Point[] = []
): Letter[] {
  const flat = (segment: Segment, y: number): Point => {
    const [x, up] = see(pointIn(solved.placed, segment, [0, y, 0]))
    return [x!, up!]
  }
  const { hand } = solved.body
  const [l, r] = [flat('leftHand', -hand / 2), flat('rightHand', -hand / 2)]
  const together = Math.hypot(l[0] - r[0], l[1] - r[1]) < TOGETHER
  const chest = flat('ribs', 0.06)
  return (['left', 'right'] as const).map((side) => {
    const [from, to] = together
      ? [chest, flat(`${side}Forearm`, 0)]
      : [flat(`${side}Hand`, -hand * 0.7), flat(`${side}Hand`, -hand * 1.1)]
    const start: Point = together ? to : from
    const ahead: Point = [start[0] + to[0] - from[0], start[1] + to[1] - from[1]]
    const [x, y] = clearPlace(start, ahead, parts, ground, side, taken)
    return { text: side === 'left' ? 'L' : 'R', x: x * UNIT, y: -y * UNIT }
  })
}

/** How far apart two letters stand at least, in hundredths of a stature. */
const APART = 6

/** Moves the two letters away from each other where they would cover each other. */
export function partLetters(letters: Letter[]): void {
  const [l, r] = letters
  if (!l || !r) return
  const [dx, dy] = [l.x - r.x, l.y - r.y]
  const apart = Math.hypot(dx, dy)
  if (apart >= APART) return
  const way = apart < 0.5 ? [1, 0] : [dx / apart, dy / apart]
  const by = (APART - apart) / 2
  l.x += way[0]! * by
  l.y += way[1]! * by
  r.x -= way[0]! * by
  r.y -= way[1]! * by
}

/** Room that a letter needs, in statures. */
const LETTER = 0.034

/** A place for a letter by a hand, off the body and above the floor: ahead of the fingers if it can be. */
function clearPlace(
  hand: Point,
  tip: Point,
  parts: readonly FlatPart[],
  ground: number,
  side: Side,
  taken: readonly Point[]
): Point {
  // Both sides look for it the same way, mirrored.
  const sense = side === 'left' ? 1 : -1
  const ahead = Math.atan2(tip[1] - hand[1], tip[0] - hand[0])
  const place = (away: number, turn: number): Point => [
    hand[0] + away * Math.cos(ahead + turn),
    hand[1] + away * Math.sin(ahead + turn),
  ]
  const boxes = parts.map((part) => boxOf([part], LETTER))
  const roomAt = ([x, y]: Point) => {
    let room = Math.min(LETTER, y - ground)
    for (const [px, py] of taken) room = Math.min(room, Math.hypot(x - px, y - py) - 0.012)
    parts.forEach((part, i) => {
      const { x0, y0, x1, y1 } = boxes[i]!
      if (x > x0 && x < x1 && y > y0 && y < y1) room = Math.min(room, partDistance(part, x, y))
    })
    return room
  }
  let best = place(0.09, 0)
  let most = -Infinity
  for (const away of [0.085, 0.11, 0.14, 0.18])
    for (let k = 0; k < 12; k += 1) {
      const at = place(away, ((k % 2 ? -sense : sense) * Math.ceil(k / 2) * Math.PI) / 6)
      const room = roomAt(at)
      if (room >= LETTER) return at
      if (room > most) [best, most] = [at, room]
    }
  return best
}
