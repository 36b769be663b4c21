import type { Body } from './body'
import { type Placed, pointIn } from './skeleton'
import type { Figure } from './spec'
import { dot, rad, type Vec } from './vec'

/** From where a figure is seen: turned to its left by degrees, and tipped up. */
export interface View {
  turn: number
  tilt: number
}

/** A place on the drawing: to the right, up, and towards the viewer. */
export type Seen = readonly [right: number, up: number, near: number]

/** Orthographic: no thing is smaller because it is far. */
export function lens({ turn, tilt }: View): (p: Vec) => Seen {
  const [st, ct] = [Math.sin(rad(turn)), Math.cos(rad(turn))]
  const [sv, cv] = [Math.sin(rad(tilt)), Math.cos(rad(tilt))]
  const right: Vec = [ct, 0, -st]
  const up: Vec = [-st * sv, cv, -ct * sv]
  const near: Vec = [st * cv, sv, ct * cv]
  return (p) => [dot(p, right), dot(p, up), dot(p, near)]
}

/** A step on the drawing, to the right and up, as a step in space at the same depth. */
export function unseen({ turn, tilt }: View, right: number, up: number): Vec {
  const [st, ct] = [Math.sin(rad(turn)), Math.cos(rad(turn))]
  const [sv, cv] = [Math.sin(rad(tilt)), Math.cos(rad(tilt))]
  return [ct * right - st * sv * up, cv * up, -st * right - ct * sv * up]
}

export const NAMED_VIEWS = {
  front: { turn: 0, tilt: 0 },
  back: { turn: 180, tilt: 0 },
  left: { turn: 90, tilt: 0 },
  right: { turn: -90, tilt: 0 },
  above: { turn: 0, tilt: 80 },
} as const

/** Turns that are tried: 15 to 25 degrees off straight reads best. */
const TURNS = [20, -20, 70, -70, 110, -110]

interface KeyPoint {
  at: Vec
  side: 'left' | 'right' | null
}

function keyPoints(body: Body, placed: Placed): KeyPoint[] {
  const at = (segment: Parameters<typeof pointIn>[1], y = 0) => pointIn(placed, segment, [0, y, 0])
  const middle = [at('head', body.headUp), at('pelvis'), at('ribs', body.shoulderUp)]
  return [
    ...middle.map((p): KeyPoint => ({ at: p, side: null })),
    ...(['left', 'right'] as const).flatMap((side) =>
      [
        at(`${side}Forearm`),
        at(`${side}Hand`, -body.hand),
        at(`${side}Shank`),
        at(`${side}Foot`),
        at(`${side}Toes`),
      ].map((p): KeyPoint => ({ at: p, side }))
    ),
  ]
}

/** What lies is lower than this, in statures. */
const LIES = 0.27
/** Left and right of a body lie apart by themselves: their distances say less of its shape. */
const ACROSS = 0.35

/** From where a figure is seen: as it says, else as shows it best. */
export const viewOf = (
  { view }: Pick<Figure, 'view'>,
  { body, placed }: { body: Body; placed: Placed }
): View => (view ? { turn: view.turn, tilt: view.tilt ?? 0 } : chosenView(body, placed))

/**
 * The view that shows a pose best: the one in which its joints lie farthest apart from each
 * other, near pairs counting most.
 */
export function chosenView(body: Body, placed: Placed): View {
  const points = keyPoints(body, placed)
  // What lies is seen a little from above.
  const tilt = Math.max(...points.map((p) => p.at[1])) < LIES ? 22 : 0
  let best: View = { turn: TURNS[0]!, tilt }
  let most = -Infinity
  for (const turn of TURNS) {
    const view = { turn, tilt }
    const see = lens(view)
    const seen = points.map((p) => see(p.at))
    let score = 0
    for (let i = 0; i < seen.length; i += 1)
      for (let j = i + 1; j < seen.length; j += 1) {
        const apart = Math.hypot(seen[i]![0] - seen[j]![0], seen[i]![1] - seen[j]![1])
        const [a, b] = [points[i]!.side, points[j]!.side]
        score += Math.sqrt(Math.min(apart, 0.5)) * (a && b && a !== b ? ACROSS : 1)
      }
    // A face that is turned away is read less well.
    const face =
      see(pointIn(placed, 'head', [0, 0, 1]))[2] - see(pointIn(placed, 'head', [0, 0, 0]))[2]
    if (face < -0.2) score -= 1.5
    if (score > most + 1e-6) {
      most = score
      best = view
    }
  }
  return best
}
