import type { Side } from '@/core/card'
import {
  allMeasures,
  atLimit,
  chosenView,
  type Drawing,
  draw,
  type Figure,
  handleAt,
  HANDLES,
  lens,
  loadShares,
  type Pose,
  solve,
  unseen,
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
}

export interface FigureAnswer {
  seq: number
  drawing: Drawing
  view: View
  pose: Pose
  unmet: Unmet[]
  handles: { handle: string; x: number; y: number }[]
  limits: ReturnType<typeof atLimit>
  measures: Record<string, { value: number; unit: string }>
  loads: { part: string; share: number }[]
}

const HUNDREDTH = 1 / 100
/** While a part is dragged the outline may be a little coarser. */
const COARSE = 0.013

/** Solves and draws a figure, as it is or with one part pulled. */
export function workFigure({ seq, figure, side, namedBy, drag }: FigureJob): FigureAnswer {
  const before = drag ? solve(figure, { from: drag.from, rounds: 1 }) : null
  const view: View = figure.view
    ? { turn: figure.view.turn, tilt: figure.view.tilt ?? 0 }
    : before
      ? chosenView(before.body, before.placed)
      : chosenViewOf(figure)
  let solved
  if (drag && before) {
    const at = handleAt(before, drag.handle)
    const by = unseen(view, drag.dx * HUNDREDTH, -drag.dy * HUNDREDTH)
    solved = solve(figure, {
      from: drag.from,
      pull: { part: drag.handle, to: [at[0] + by[0], at[1] + by[1], at[2] + by[2]] },
      rounds: 7,
    })
  } else solved = solve(figure)
  const see = lens(view)
  return {
    seq,
    view,
    drawing: draw(figure, solved, { view, letters: true, ...(drag ? { cell: COARSE } : {}) }),
    pose: solved.pose,
    unmet: solved.unmet,
    handles: HANDLES.map((handle) => {
      const [x, y] = see(handleAt(solved, handle))
      return { handle, x: x * 100, y: -y * 100 }
    }),
    limits: atLimit(solved.pose),
    measures: allMeasures(solved, { lead: side, namedBy }),
    loads: loadShares(solved),
  }
}

function chosenViewOf(figure: Figure): View {
  const { body, placed } = solve(figure)
  return chosenView(body, placed)
}
