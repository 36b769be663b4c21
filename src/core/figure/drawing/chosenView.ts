import { otherSide, type Side } from '../../card'
import { keeping } from '../../language'
import type { Body } from '../body'
import { type Placed, pointIn } from '../skeleton'
import type { Standing } from '../solve'
import type { Figure } from '../spec'
import type { Vec } from '../vec'
import { lens, type View } from '../view'
import { fleshOf } from './flesh'
import { shownShares } from './shown'

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

/** What a face turned away, a hidden limb and the lead side nearer count beside the joints’ distances. */
const [AWAY, HIDES, LEADS] = [1.5, 2.4, 0.12]
/** A part of which this much is seen needs no better view; and less is hardly seen. */
const WELL_SHOWN = 0.5
export const HARDLY_SHOWN = 0.2

/** Views that were chosen, by where the joints are: a part that is pulled asks again each frame. */
const known = keeping<string, View>(500)
const nameOf = ({ origins }: Placed, lead: Side | null) =>
  `${lead} ${origins.flatMap((p) => p.map((v) => Math.round(v * 1e5))).join()}`

/**
 * The view that shows a pose best: the one in which its joints lie farthest apart from each
 * other, near pairs counting most, and no limb hides behind another.
 * @param lead the side that should be nearer, when all else is alike
 */
export function chosenView(body: Body, placed: Placed, lead: Side | null = null): View {
  const name = nameOf(placed, lead)
  const before = known.get(name)
  if (before) return before
  const flesh = fleshOf(body, placed, undefined, false)
  const sideOf = (side: Side) => pointIn(placed, `${side}Thigh`, [0, 0, 0])
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
    // A face that is turned away is read less well, and so is a limb that hides.
    const face =
      see(pointIn(placed, 'head', [0, 0, 1]))[2] - see(pointIn(placed, 'head', [0, 0, 0]))[2]
    if (face < -0.2) score -= AWAY
    for (const share of shownShares(flesh, see).values())
      if (share < WELL_SHOWN) score -= (WELL_SHOWN - share) * HIDES
    if (lead) score += LEADS * Math.sign(see(sideOf(lead))[2] - see(sideOf(otherSide(lead)))[2])
    if (score > most + 1e-6) {
      most = score
      best = view
    }
  }
  return known.set(name, best)
}

/** A form that is looked at: what it says of its view, and how it stands. */
interface Seen {
  figure: Pick<Figure, 'view'>
  standing: Standing
}

/**
 * The views of all forms of a card: the one of its final form, and another only for a form of
 * which it hides a limb that can be seen.
 */
export function viewsOf(forms: readonly Seen[], final: Seen, lead: Side | null): View[] {
  const shared = final.figure.view
    ? viewOf(final.figure, final.standing)
    : chosenView(final.standing.body, final.standing.placed, lead)
  return forms.map(({ figure, standing: { body, placed } }) => {
    if (figure.view) return viewOf(figure, { body, placed })
    const own = chosenView(body, placed, lead)
    const same: View = { turn: shared.turn, tilt: own.tilt }
    const flesh = fleshOf(body, placed)
    const least = (view: View) => Math.min(...shownShares(flesh, lens(view)).values())
    return least(same) >= Math.min(HARDLY_SHOWN, least(own)) ? same : own
  })
}
