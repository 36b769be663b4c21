import { type Card, figuresOf, formOf, type Rung, type Side, withValue } from '../card'
import { rememberOf } from '../language'
import { askedAngles } from './solve'
import {
  differenceFrom,
  type Figure,
  type FigureInput,
  mirroredFigure,
  overReference,
  readFigure,
} from './spec'

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

type Read = ReturnType<typeof readFigure>
const known = new WeakMap<object, { reference: Figure | undefined; read: Read }>()

/** Reads the data of a figure once: the same data, over the same reference, is the same figure. */
function readOnce(data: unknown, reference?: Figure): Read {
  const before = typeof data === 'object' && data !== null ? known.get(data) : undefined
  if (before && before.reference === reference) return before.read
  const own = readFigure(data)
  const read =
    own.figure && reference ? readFigure(overReference(reference, data as FigureInput)) : own
  if (typeof data === 'object' && data !== null) known.set(data, { reference, read })
  return read
}

interface Frames {
  frames: readonly Keyframe[]
  problems: readonly FigureProblem[]
}

/** Every figure of a card, with those that cannot be read told apart. Read once for each state of a card. */
export const keyframesOf = rememberOf((card: Card): Frames => {
  const frames: Keyframe[] = []
  const problems: FigureProblem[] = []
  const parts = figuresOf(card)
  const reference = parts.length > 0 ? referenceOf(card) : undefined
  for (const part of parts) {
    const rung = part.of === 'rung' ? (part.owners[0]!.value as Rung) : null
    const over = rung && !rung.reference ? reference : undefined
    const { figure, problem } = readOnce(part.value, over)
    if (figure) frames.push({ id: formOf(part), where: part.path, figure })
    else problems.push({ where: part.path, problem })
  }
  return { frames, problems }
})

/** The figure that those of the other rungs are told against; none when it is not drawn. */
function referenceOf(card: Card): Figure | undefined {
  const data = card.ladder.find((rung) => rung.reference)?.figure
  return (data === undefined ? undefined : readOnce(data).figure) ?? undefined
}

/** What is kept of a rung’s figure: of the reference all of it, of another what differs from it. */
function keptOnRung(card: Card, rung: Rung, whole: Figure): Card['setUp']['figure'] {
  const reference = rung.reference ? undefined : referenceOf(card)
  return (reference ? differenceFrom(reference, whole) : whole) as Card['setUp']['figure']
}

/**
 * A later state of a card on which every rung that is drawn has the form that it had before:
 * what is kept of each is told anew against the reference that there is now.
 */
export function withFormsOf(before: Card, later: Card): Card {
  const whole = new Map(keyframesOf(before).frames.map(({ id, figure }) => [id, figure]))
  const told = (card: Card, which: (rung: Rung) => boolean): Card => ({
    ...card,
    ladder: card.ladder.map((rung) => {
      const form = whole.get(`rung ${rung.id}`)
      if (!form || rung.figure === undefined || !which(rung)) return rung
      return { ...rung, figure: keptOnRung(card, rung, form) }
    }),
  })
  // The reference first: the others are told against it.
  return told(
    told(later, (rung) => rung.reference ?? false),
    (rung) => !rung.reference
  )
}

/** The card with another rung as its reference; every drawn form stays as it is. */
export const withReferenceRung = (card: Card, id: string): Card =>
  withFormsOf(card, {
    ...card,
    ladder: card.ladder.map(({ reference: _, ...rung }) =>
      rung.id === id ? { ...rung, reference: true as const } : rung
    ),
  })

/**
 * The card with a figure at a place, or without the one that was there. A figure of the
 * reference rung that is new or gone leaves the forms of the other rungs as they are.
 */
export function withFigure(card: Card, where: string, figure: Figure | null): Card {
  const part = figuresOf(card, true).find(({ path }) => path === where)
  const rung = part?.of === 'rung' ? (part.owners[0]!.value as Rung) : undefined
  const kept = figure && rung ? keptOnRung(card, rung, figure) : (figure ?? undefined)
  const next = withValue(card, where, kept)
  return rung?.reference && !(rung.figure && figure) ? withFormsOf(card, next) : next
}

/**
 * Where a form of one card stands on a later state of it: steps and rungs are found by their ids.
 * @returns null when it is no longer there
 */
export function sameForm(card: Card, where: string, later: Card): string | null {
  const part = figuresOf(card, true).find(({ path }) => path === where)
  const now = part && figuresOf(later, true).find((each) => formOf(each) === formOf(part))
  return now?.path ?? null
}

/** Whether two figures are the same form, seen alike, whatever the order of their data. */
export function sameFigure(a: Figure | null, b: Figure | null): boolean {
  const told = ({ contacts, straps, wall, view, body = {}, ...figure }: Figure) =>
    JSON.stringify([
      askedAngles({ ...figure, contacts, straps }),
      contacts.map(({ part, on, along, at }) => [part, on, along, at]),
      straps,
      wall,
      view && [view.turn, view.tilt ?? 0],
      [body.legs ?? 1, body.arms ?? 1, body.trunk ?? 1],
    ])
  return a && b ? told(a) === told(b) : a === b
}

/** A figure in words, for comparing two of them: what touches what, angles, from where it is seen. */
export const figureWords = ({ contacts, angles, straps, wall, view, body }: Figure): string =>
  [
    ...contacts.map(({ part, on, ...where }) => [part, on, ...Object.values(where)].join(' ')),
    ...Object.entries(angles).flatMap(([joint, each]) =>
      Object.entries(each).map(([name, value]) => `${joint} ${name} ${value}°`)
    ),
    ...straps.map((strap) => strap.join(' ')),
    ...Object.entries({ wall, ...view, ...body })
      .filter(([, value]) => value !== undefined)
      .map(([name, value]) => `${name} ${value}`),
  ].join(', ')

/** Where the figure of the final form is kept: on the reference rung, else on the last step in. */
export function finalPlace(card: Card): string {
  const reference = card.ladder.findIndex((rung) => rung.reference)
  if (reference >= 0) return `ladder[${reference}].figure`
  return card.enter.length > 0 ? `enter[${card.enter.length - 1}].figure` : 'setUp.figure'
}

/**
 * The figure of the form that the card describes, or of one rung. A rung without a figure of
 * its own has the form described: its `id` tells whose it is.
 * @returns null when none is drawn
 */
export function finalFigure(card: Card, rungId?: string): Keyframe | null {
  const { frames } = keyframesOf(card)
  const own = rungId !== undefined && frames.find((frame) => frame.id === `rung ${rungId}`)
  return own || describedFigure(card)
}

const describedFigure = rememberOf((card: Card): Keyframe | null => {
  const { frames } = keyframesOf(card)
  const place = finalPlace(card)
  const steps = frames.filter((frame) => frame.where.startsWith('enter['))
  return (
    frames.find((frame) => frame.where === place) ??
    steps.at(-1) ??
    frames.find((frame) => frame.id === 'start') ??
    null
  )
})

/** A figure of a card as it is when the pose is led from `side`. */
export function figureLedFrom(
  card: Pick<Card, 'sides' | 'writtenFor'>,
  figure: Figure,
  side: Side
): Figure {
  return card.sides === 'even' || card.writtenFor === side ? figure : mirroredFigure(figure)
}
