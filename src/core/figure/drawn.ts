import { type Drawing, draw } from './draw'
import { solved } from './figureRules'
import type { Figure } from './spec'

const known = new Map<string, Drawing>()
const MOST_KEPT = 400

/** The drawing of a figure, made once and kept: shelf, bench, card and paper show the same. */
export function drawnFigure(figure: Figure, letters: boolean): Drawing {
  const key = `${letters ? 'L' : ''}${JSON.stringify(figure)}`
  const before = known.get(key)
  if (before) return before
  if (known.size >= MOST_KEPT) known.clear()
  const now = draw(figure, solved(figure), { letters })
  known.set(key, now)
  return now
}
