import { unmetIn } from './unmet'
import { bodyOf, USUAL_STATURE } from './body'
import { handleAt } from './handles'
import { touchPoints } from './parts'
import { place, type Pose } from './skeleton'
import { solve, type Solved, type Standing } from './solve'
import { type Figure, SURFACES } from './spec'
import { add } from './vec'
import { unseen, type View } from './view'
import { viewOf } from './drawing/chosenView'

/** A part that is pulled on the drawing: from a pose, by so much to the right and up, in statures. */
export interface Pull {
  handle: string
  from: Pose
  right: number
  up: number
}

/** Rounds of solving in one pull: few, as it starts from a pose in which all is met. */
const ROUNDS = 4

/** The parts of a limb that may slide while the limb is pulled by its handle. */
const SLIDES: [handle: RegExp, parts: RegExp][] = [
  [/heel|knee/, /sole|toes|heel|foot|knee|shin/],
  [/hand|elbow/, /palm|hand|fist|fingertips|forearm|elbow/],
]

/** Where each contact of a figure is on the floor: to the left and to the front, in statures. */
export const contactPlaces = (figure: Figure, standing: Standing): [number, number][] =>
  figure.contacts.map(({ part }) => {
    const [x, , z] = touchPoints(part, standing)[0]!.at
    return [x, z]
  })

/** What touches the floor or a prop stays on its place; what is pulled itself may slide. */
function heldStill(figure: Figure, standing: Standing, handle: string): Figure {
  const side = handle.split(' ')[0]!
  const slides = SLIDES.find(([own]) => own.test(handle))?.[1]
  const places = contactPlaces(figure, standing)
  const held = (part: string, on: string) =>
    on !== 'wall' && SURFACES.includes(on) && !(part.startsWith(side) && slides?.test(part))
  return {
    ...figure,
    contacts: figure.contacts.map((contact, i) =>
      contact.at || !held(contact.part, contact.on) ? contact : { ...contact, at: places[i] }
    ),
  }
}

/** A figure with one part pulled, and from where it is seen meanwhile. */
export function pulledFigure(
  figure: Figure,
  { handle, from, right, up }: Pull,
  stature = USUAL_STATURE
): { solved: Solved; view: View } {
  const body = bodyOf(figure.body)
  const before: Standing = { body, placed: place(body, from) }
  const view = viewOf(figure, before)
  const to = add(handleAt(before, handle), unseen(view, right, up))
  const pull = { part: handle, to }
  const solved = solve(heldStill(figure, before, handle), { stature, from, pull, rounds: ROUNDS })
  // The places were kept for the pull alone: what is told is what the figure asks for.
  return { solved: { ...solved, unmet: unmetIn(figure, solved, stature) }, view }
}
