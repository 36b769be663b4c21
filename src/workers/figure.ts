import type { Side } from '@/core/card'
import type { SideRole } from '@/core/language'
import {
  fallWords,
  type Solved,
  allMeasures,
  atLimit,
  contactPlaces,
  type Drawing,
  draw,
  type Figure,
  handleAt,
  HANDLES,
  jointMoments,
  lens,
  loadShares,
  marksOf,
  pointIn,
  type Pose,
  pulledFigure,
  segmentOf,
  solve,
  type Unmet,
  USUAL_STATURE,
  type Vec,
  type View,
  solved as solvedOnce,
  viewOf,
  viewsOf,
} from '@/core/figure'

/** What the figure bench asks for. */
export interface FigureJob {
  seq: number
  figure: Figure
  side: Side
  /** What the leading limb is called; null where it is not told. */
  namedBy: SideRole | null
  /** A handle that is dragged: by how much, on the drawing, in hundredths of a stature. */
  drag?: { handle: string; from: Pose; dx: number; dy: number }
  /** Another form, drawn as an outline behind. */
  ghost?: Figure
  /** The final form of the card: this one is seen as that one is, when it has no view of its own. */
  like?: Figure
  /** The side that leads on a card with two; it is to be nearer. */
  lead?: Side | null
  /** From where it is seen while a part is pulled. */
  seen?: View
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
  /** Null while a part is pulled: it takes longer than a frame. */
  carried: {
    loads: { part: string; share: number }[]
    /** Moments that the joints hold, as parts of body weight times stature. */
    moments: { joint: string; moment: number }[]
    /** What is told of a body that falls. */
    falls: string | null
  } | null
}

const carriedIn = (solved: Solved, stature: number): FigureAnswer['carried'] => ({
  loads: loadShares(solved),
  moments: jointMoments(solved),
  falls: fallWords(solved, stature),
})

const UNIT = 100
/** While a part is dragged the outline may be a little coarser. */
const COARSE = 0.026

/** Solves and draws a figure, as it is or with one part pulled. */
export function workFigure(job: FigureJob): FigureAnswer {
  const {
    seq,
    side,
    namedBy,
    drag,
    ghost,
    show,
    seen,
    like,
    lead = null,
    stature = USUAL_STATURE,
  } = job
  const figure = drag && seen && !job.figure.view ? { ...job.figure, view: seen } : job.figure
  const context = { lead: side, namedBy, stature }
  const { solved, view } = drag
    ? pulledFigure(figure, { ...drag, right: drag.dx / UNIT, up: -drag.dy / UNIT }, stature)
    : asAsked(figure, stature, lead, like)
  const see = lens(view)
  const onDrawing = (p: Vec) => {
    const [x, y] = see(p)
    return { x: x * UNIT, y: -y * UNIT }
  }
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
    handles: HANDLES.map((handle) => ({ handle, ...onDrawing(handleAt(solved, handle)) })),
    limits: atLimit(solved.pose).map((each) => ({
      ...each,
      ...onDrawing(pointIn(solved.placed, segmentOf(each.joint), [0, 0, 0])),
    })),
    places: contactPlaces(figure, solved),
    measures: allMeasures(solved, context),
    carried: drag ? null : carriedIn(solved, stature),
  }
}

function asAsked(figure: Figure, stature: number, lead: Side | null, like?: Figure) {
  const pose = solve(figure, { stature })
  const [view] = like
    ? viewsOf([{ figure, standing: pose }], { figure: like, standing: solvedOnce(like) }, lead)
    : [viewOf(figure, pose)]
  return { solved: pose, view: view! }
}
