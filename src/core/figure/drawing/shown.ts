import type { Vec } from '../vec'
import type { Seen } from '../view'
import { depthOf, type Reading, readCone } from './cones'
import { flatten } from './fields'
import type { FleshPart } from './flesh'

/** What is looked for along each cone of a part. */
const PLACES = [0.15, 0.5, 0.85]
/** What is nearer by more than this hides a place. */
const HIDES = 0.008
/** Parts that are too small to be missed, or belong to another. */
const SMALL = /ear|hair|neck/

const reading: Reading = { d: 0, gx: 0, gy: 0 }

/** How much of each part of a body is seen from somewhere, 0 to 1: of places along its middle. */
export function shownShares(
  flesh: readonly FleshPart[],
  see: (p: Vec) => Seen
): Map<string, number> {
  const flat = flatten(flesh, see)
  return new Map(
    flat
      .filter(({ part }) => !SMALL.test(part.name))
      .map((own) => {
        let [seen, all] = [0, 0]
        for (const c of own.cones)
          for (const t of PLACES) {
            const [x, y] = [c.ax + (c.bx - c.ax) * t, c.ay + (c.by - c.ay) * t]
            const z = depthOf(c, x, y) + HIDES
            all += 1
            const hidden = flat.some(
              (other) =>
                other !== own &&
                other.cones.some((each) => {
                  readCone(each, x, y, reading)
                  return reading.d < 0 && depthOf(each, x, y) > z
                })
            )
            if (!hidden) seen += 1
          }
        return [own.part.name, seen / all]
      })
  )
}
