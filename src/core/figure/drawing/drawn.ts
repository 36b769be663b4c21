import type { Card, Side } from '../../card'
import { type Drawing, draw } from './draw'
import { poseWords } from '../poseWords'
import { solved } from '../solved'
import type { MeasureContext } from '../landmarks'
import { marksOf } from '../marks'
import type { Figure } from '../spec'

/** A drawing that is kept, and what it shows in words. */
export interface KeptDrawing extends Drawing {
  words: string
}

const known = new Map<string, KeptDrawing>()
const MOST_KEPT = 400

/** Measures that are shown on a drawing, and whose they are. */
export interface ShownMeasures extends MeasureContext {
  names: readonly string[]
}

/** The measures that the cues of a card name, on the side that leads. */
export const shownMeasures = (card: Card, lead: Side): ShownMeasures => ({
  names: card.alignment.flatMap((cue) => cue.measure?.name ?? []),
  lead,
  namedBy: card.sideNamedBy,
})

/** The drawing of a figure, made once and kept: shelf, bench, card and paper show the same. */
export function drawnFigure(figure: Figure, letters: boolean, shown?: ShownMeasures): KeptDrawing {
  const key = `${letters ? 'L' : ''}${JSON.stringify([figure, shown])}`
  const before = known.get(key)
  if (before) return before
  if (known.size >= MOST_KEPT) known.clear()
  const body = solved(figure)
  const marks = shown?.names.flatMap((name) => marksOf(body, name, shown))
  const drawing = draw(figure, body, { letters, marks })
  const now = { ...drawing, words: poseWords(figure, body, drawing.view) }
  known.set(key, now)
  return now
}
