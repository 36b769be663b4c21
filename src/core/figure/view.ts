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
