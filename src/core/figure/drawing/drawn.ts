import type { Card, Cue, CueMark, Region, Side } from '../../card'
import { keeping, namedRole } from '../../language'
import { type Drawing, draw } from './draw'
import { poseWords } from '../poseWords'
import { solved } from '../solved'
import type { MeasureContext } from '../landmarks'
import { marksOf } from '../marks'
import type { Figure } from '../spec'
import type { Vec } from '../vec'
import { mirroredMark } from './teaching'

/** A drawing that is kept, and what it shows in words. */
export interface KeptDrawing extends Drawing {
  words: string
}

const known = keeping<string, KeptDrawing>(400)

/** Measures that are shown on a drawing, and whose they are. */
export interface ShownMeasures extends MeasureContext {
  names: readonly string[]
  /** Teaching marks, as they are when this side leads. */
  marks?: readonly CueMark[]
  closeUp?: { region: Region; side: Side | null }
  /** The figure is a wrong form; where on it that is seen. */
  fault?: Vec
}

/** What the cues of a card show on its final form, on the side that leads: their marks, else their measures. */
export function shownMeasures(card: Card, lead: Side): ShownMeasures {
  const marks = card.alignment.flatMap(({ mark }) => mark ?? [])
  return {
    names: card.alignment.flatMap((cue) => (cue.mark ? [] : (cue.measure?.name ?? []))),
    lead,
    namedBy: namedRole(card),
    ...(marks.length ? { marks: lead === card.writtenFor ? marks : marks.map(mirroredMark) } : {}),
  }
}

/** One cue as a close-up: its region enlarged, with its mark or measure. */
export function cueCloseUp(card: Card, cue: Cue, lead: Side): ShownMeasures {
  const mark = cue.mark && (lead === card.writtenFor ? cue.mark : mirroredMark(cue.mark))
  const word = /^(left|right|front|back|lead|other|top|bottom) /.exec(mark?.part ?? '')?.[1]
  return {
    names: mark || !cue.measure ? [] : [cue.measure.name],
    lead,
    namedBy: namedRole(card),
    ...(mark ? { marks: [mark] } : {}),
    closeUp: { region: cue.region, side: word === 'left' || word === 'right' ? word : null },
  }
}

/** The drawing of a figure, made once and kept: shelf, bench, card and paper show the same. */
export function drawnFigure(figure: Figure, letters: boolean, shown?: ShownMeasures): KeptDrawing {
  const key = `${letters ? 'L' : ''}${JSON.stringify([figure, shown])}`
  const before = known.get(key)
  if (before) return before
  const body = solved(figure)
  const marks = shown?.names.flatMap((name) => marksOf(body, name, shown))
  const drawing = draw(figure, body, {
    letters,
    marks,
    ...(shown?.marks ? { teach: shown.marks } : {}),
    ...(shown?.fault ? { fault: shown.fault } : {}),
    ...(shown?.closeUp ? { closeUp: shown.closeUp } : {}),
    ...(shown ? { context: shown } : {}),
  })
  return known.set(key, { ...drawing, words: poseWords(figure, body, drawing.view) })
}
