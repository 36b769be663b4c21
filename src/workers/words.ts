import type { Card, School, Side } from '@/core/card'
import { draw, type Drawing, type Figure, figureShown, solved } from '@/core/figure'
import { keeping } from '@/core/language'
import { draftsOf, readCard, toWords } from '@/core/reading'
import { writeFor } from '@/core/sides'

/** What the bench asks for: what its words draw, with these fields as they are now. */
export interface WordsJob {
  /** The fields that changed since it asked before; all of them at first. */
  changed: Partial<Card>
  school: Pick<School, 'builds' | 'buildsBy'>
}

/** What was understood of one line. */
export interface LineUnderstood {
  /** Path of the line. */
  where: string
  /** The side that leads as it is worded here. */
  side: Side
  text: string
  /** In words, with the characters that each was read from. */
  asks: { words: string; from: number; until: number }[]
  notUnderstood: [from: number, until: number][]
}

/** A form beside the line that leads to it. */
export interface FormDrawn {
  /** Path of the line. */
  where: string
  /** As the form is called on the card. */
  id: string
  figure: Figure
  kept: boolean
  /** Led from the side that the card is written for; the other side is its mirror. */
  drawing: Drawing
}

export interface WordsAnswer {
  lines: LineUnderstood[]
  forms: FormDrawn[]
}

/** Small drawings may be coarser than those that are looked at. */
const COARSE = 0.02

const drawings = keeping<string, Drawing>(400)

/** A form drawn small, once. */
function small(card: Card, figure: Figure, school: WordsJob['school']): Drawing {
  const shown = figureShown(card, figure, card.writtenFor, school)
  const key = JSON.stringify(shown)
  return drawings.get(key) ?? drawings.set(key, draw(shown, solved(shown), { cell: COARSE }))
}

/** Follows one card: each job tells what changed, and what its words mean is told. */
export function followWords(): (job: WordsJob) => WordsAnswer {
  let card = {} as Card
  return ({ changed, school }) => {
    card = { ...card, ...changed }
    const sides: Side[] = card.sides === 'sided' ? ['left', 'right'] : [card.writtenFor]
    const lines = sides.flatMap((side) =>
      readCard(writeFor(card, side)).map(({ where, text, instructions, notUnderstood }) => ({
        where,
        side,
        text,
        notUnderstood,
        asks: instructions.map((n) => ({
          from: n.from,
          until: n.until,
          words: [n.action, n.side === null ? '' : n.side, n.part, toWords(n) && `→ ${toWords(n)}`]
            .filter(Boolean)
            .join(' '),
        })),
      }))
    )
    const forms = draftsOf(card)
      .filter(({ sure, kept }) => sure || kept)
      .map(({ where, id, figure, kept }) => ({
        where,
        id,
        figure,
        kept,
        drawing: small(card, figure, school),
      }))
    return { lines, forms }
  }
}
