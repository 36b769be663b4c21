import type { Card, Side } from '../card'
import { type Figure, mirroredFigure, readFigure } from './spec'

/** One drawn form of a card, in the order of the work. */
export interface Keyframe {
  /** `start`, `step s3`, `rung forearm`. */
  id: string
  /** Path of its data on the card. */
  where: string
  figure: Figure
}

/** What a figure on a card says that cannot be used. */
export interface FigureProblem {
  where: string
  problem: string
}

/** Every figure of a card, with those that cannot be read told apart. */
export function keyframesOf(card: Card): { frames: Keyframe[]; problems: FigureProblem[] } {
  const frames: Keyframe[] = []
  const problems: FigureProblem[] = []
  const add = (id: string, where: string, data: unknown) => {
    if (data === undefined) return
    const { figure, problem } = readFigure(data)
    if (figure) frames.push({ id, where, figure })
    else problems.push({ where, problem })
  }
  add('start', 'setUp.figure', card.setUp.figure)
  for (const list of ['enter', 'otherWay', 'exit'] as const)
    card[list].forEach((step, i) => add(`step ${step.id}`, `${list}[${i}].figure`, step.figure))
  card.ladder.forEach((rung, r) => {
    add(`rung ${rung.id}`, `ladder[${r}].figure`, rung.figure)
    rung.steps.add.forEach(({ step }, i) =>
      add(`step ${step.id}`, `ladder[${r}].steps.add[${i}].step.figure`, step.figure)
    )
  })
  return { frames, problems }
}

/** Where the figure of the final form is kept: on the reference rung, else on the last step in. */
export function finalPlace(card: Card): string {
  const reference = card.ladder.findIndex((rung) => rung.reference)
  if (reference >= 0) return `ladder[${reference}].figure`
  return card.enter.length > 0 ? `enter[${card.enter.length - 1}].figure` : 'setUp.figure'
}

/**
 * The figure of the form that the card describes, or of one rung.
 * @returns null when none is drawn
 */
export function finalFigure(card: Card, rungId?: string): Keyframe | null {
  const { frames } = keyframesOf(card)
  if (rungId !== undefined) return frames.find((frame) => frame.id === `rung ${rungId}`) ?? null
  const place = finalPlace(card)
  const steps = frames.filter((frame) => frame.where.startsWith('enter['))
  return (
    frames.find((frame) => frame.where === place) ??
    steps.at(-1) ??
    frames.find((frame) => frame.id === 'start') ??
    null
  )
}

/** A figure of a card as it is when the pose is led from `side`. */
export function figureLedFrom(
  card: Pick<Card, 'sides' | 'writtenFor'>,
  figure: Figure,
  side: Side
): Figure {
  return card.sides === 'even' || card.writtenFor === side ? figure : mirroredFigure(figure)
}
