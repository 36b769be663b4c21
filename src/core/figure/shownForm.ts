import { buildOf, type Card, type School, type Side } from '../card'
import { viewsOf } from './drawing/chosenView'
import { figureLedFrom, finalFigure } from './ofCard'
import { solved } from './solved'
import type { Figure } from './spec'
import type { View } from './view'

/** What of a school says which bodies are drawn. */
export type Bodies = Pick<School, 'builds' | 'buildsBy'>

const views = new WeakMap<Figure, WeakMap<Figure, View>>()

/** From where a form of a card is seen: as its final form is, unless that hides a limb of it. */
function viewIn(card: Card, figure: Figure): View {
  const final = finalFigure(card)?.figure ?? figure
  const known = views.get(final) ?? new WeakMap<Figure, View>()
  views.set(final, known)
  const before = known.get(figure)
  if (before) return before
  const lead = card.sides === 'sided' ? card.writtenFor : null
  const [view] = viewsOf(
    [{ figure, standing: solved(figure) }],
    { figure: final, standing: solved(final) },
    lead
  )
  known.set(figure, view!)
  return view!
}

/**
 * A form of a card as it is drawn: led from a side, seen as the other forms are, and with the body
 * that the school draws on this card.
 */
export function figureShown(card: Card, figure: Figure, side: Side, bodies?: Bodies): Figure {
  const build = bodies ? buildOf(card, bodies) : 'usual'
  const { turn, tilt } = viewIn(card, figure)
  return figureLedFrom(
    card,
    {
      ...figure,
      view: { turn, tilt },
      ...(build === 'usual' || figure.body?.build ? {} : { body: { ...figure.body, build } }),
    },
    side
  )
}
