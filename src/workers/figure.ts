import type { Side } from '@/core/card'
import {
  allMeasures,
  atLimit,
  bodyOf,
  chosenView,
  type Drawing,
  draw,
  type Figure,
  handleAt,
  HANDLES,
  jointMoments,
  lens,
  loadShares,
  marksOf,
  place,
  pointIn,
  pointsOf,
  type Pose,
  solve,
  type Solved,
  segmentOf,
  SURFACES,
  unseen,
  USUAL_STATURE,
  type Unmet,
  type View,
} from '@/core/figure'

/** What the figure bench asks for. */
export interface FigureJob {
  seq: number
  figure: Figure
  side: Side
  namedBy: string
  /** A handle that is dragged: by how much, on the drawing, in hundredths of a stature. */
  drag?: { handle: string; from: Pose; dx: number; dy: number }
  /** Another form, drawn as an outline behind. */
  ghost?: Figure
  /** A measure that is shown on the drawing. */
  show?: string
  /** Of the person, in cm; props keep their size. */
  stature?: number
}

export interface FigureAnswer {
  seq: number
  drawing: Drawing
  view: View
  pose: Pose
  unmet: Unmet[]
  handles: { handle: string; x: number; y: number }[]
  /** Angles at the end of their range, and where their joints are on the drawing. */
  limits: (ReturnType<typeof atLimit>[number] & { x: number; y: number })[]
  /** Where each contact is on the floor, in statures. */
  places: [number, number][]
  measures: Record<string, { value: number; unit: string }>
  loads: { part: string; share: number }[]
  /** Moments that the joints hold, as parts of body weight times stature. */
  moments: { joint: string; moment: number }[]
}

const HUNDREDTH = 1 / 100
/** While a part is dragged the outline may be a little coarser. */
const COARSE = 0.018

/** Solves and draws a figure, as it is or with one part pulled. */
export function workFigure(job: FigureJob): FigureAnswer {
  const { seq, figure, side, namedBy, drag, ghost, show, stature = USUAL_STATURE } = job
  const context = { lead: side, namedBy, stature }
  const before = drag ? asItStands(figure, drag.from) : null
  const view: View = figure.view
    ? { turn: figure.view.turn, tilt: figure.view.tilt ?? 0 }
    : before
      ? chosenView(before.body, before.placed)
      : chosenViewOf(figure)
  let solved
  if (drag && before) {
    const at = handleAt(before, drag.handle)
    const by = unseen(view, drag.dx * HUNDREDTH, -drag.dy * HUNDREDTH)
    solved = solve(heldStill(figure, before, drag.handle), {
      stature,
      from: drag.from,
      pull: { part: drag.handle, to: [at[0] + by[0], at[1] + by[1], at[2] + by[2]] },
      rounds: 4,
    })
  } else solved = solve(figure, { stature })
  const see = lens(view)
  return {
    seq,
    view,
    drawing: draw(figure, solved, {
      view,
      letters: true,
      ...(drag ? { cell: COARSE } : {}),
      ...(ghost && !drag ? { ghost: solve(ghost, { stature }) } : {}),
      ...(show ? { marks: marksOf(solved, show, context) } : {}),
    }),
    pose: solved.pose,
    unmet: solved.unmet,
    handles: HANDLES.map((handle) => {
      const [x, y] = see(handleAt(solved, handle))
      return { handle, x: x * 100, y: -y * 100 }
    }),
    limits: atLimit(solved.pose).map((each) => {
      const [x, y] = see(pointIn(solved.placed, segmentOf(each.joint), [0, 0, 0]))
      return { ...each, x: x * 100, y: -y * 100 }
    }),
    places: figure.contacts.map((contact) => placeOf(contact.part, solved)),
    measures: allMeasures(solved, context),
    loads: loadShares(solved),
    moments: jointMoments(solved),
  }
}

type Standing = Pick<Solved, 'body' | 'placed'>

function asItStands(figure: Figure, pose: Pose): Standing {
  const body = bodyOf(figure.body)
  return { body, placed: place(body, pose) }
}

function placeOf(part: string, { body, placed }: Standing): [number, number] {
  const { segment, at } = pointsOf(part, body)![0]!
  const [x, , z] = pointIn(placed, segment, at)
  return [x, z]
}

/** While a part is pulled, what touches the floor or a prop stays on its place; the part's own end may slide. */
function heldStill(figure: Figure, before: Standing, handle: string): Figure {
  const [side] = handle.split(' ')
  const limb = /heel|knee/.test(handle)
    ? /sole|toes|heel|foot|knee|shin/
    : /hand|elbow/.test(handle)
      ? /palm|hand|fist|fingertips|forearm|elbow/
      : null
  return {
    ...figure,
    contacts: figure.contacts.map((contact) => {
      if (
        contact.at ||
        contact.on === 'wall' ||
        !(SURFACES as readonly string[]).includes(contact.on)
      )
        return contact
      if (limb && contact.part.startsWith(side!) && limb.test(contact.part)) return contact
      return { ...contact, at: placeOf(contact.part, before) }
    }),
  }
}

function chosenViewOf(figure: Figure): View {
  const { body, placed } = solve(figure)
  return chosenView(body, placed)
}
