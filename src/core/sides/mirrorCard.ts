import type { Card, On, Rung, Side, Step } from '../card'
import { lexiconOf } from './lexicons'
import { mirrorText, type MirrorOptions } from './mirrorText'

/** The side across. */
export const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left')

type Rewrite = (text: string) => string

const rewriteSteps = (steps: Step[], rewrite: Rewrite): Step[] =>
  steps.map((step) => ({ ...step, text: rewrite(step.text) }))

const rewriteRung = (rung: Rung, rewrite: Rewrite): Rung => ({
  ...rung,
  name: rewrite(rung.name),
  steps: {
    replace: rung.steps.replace.map((each) => ({ ...each, text: rewrite(each.text) })),
    add: rung.steps.add.map((each) => ({
      ...each,
      step: { ...each.step, text: rewrite(each.step.text) },
    })),
    omit: rung.steps.omit,
  },
  upWhen: rung.upWhen.map(rewrite),
  downWhen: rung.downWhen.map(rewrite),
})

/** Rewrites every wording of a card that can hold side words; names and notes stay. */
export function rewriteSided(card: Card, rewrite: Rewrite): Card {
  return {
    ...card,
    setUp: { ...card.setUp, place: rewrite(card.setUp.place), note: rewrite(card.setUp.note) },
    enter: rewriteSteps(card.enter, rewrite),
    alignment: card.alignment.map((cue) => ({ ...cue, text: rewrite(cue.text) })),
    otherWay: rewriteSteps(card.otherWay, rewrite),
    exit: rewriteSteps(card.exit, rewrite),
    betweenSides: { ...card.betweenSides, text: rewrite(card.betweenSides.text) },
    mistakes: card.mistakes.map((each) => ({
      ...each,
      seen: rewrite(each.seen),
      why: rewrite(each.why),
      say: rewrite(each.say),
    })),
    cautions: card.cautions.map((each) => ({ ...each, say: rewrite(each.say) })),
    ladder: card.ladder.map((rung) => rewriteRung(rung, rewrite)),
    assists: card.assists.map((each) => ({ ...each, text: rewrite(each.text) })),
  }
}

/**
 * The same card with its wording written for `side`: nothing it says changes.
 * An even card is given back as it is.
 */
export function writeFor(card: Card, side: Side, options?: MirrorOptions): Card {
  if (card.sides === 'even' || card.writtenFor === side) return card
  const all = { lexicon: lexiconOf(card.language), ...options }
  return { ...rewriteSided(card, (text) => mirrorText(text, all)), writtenFor: side }
}

/** Whether a part marked `on` belongs to the pass led from `side`. */
export function belongsTo(on: On, side: Side, firstSide: Side): boolean {
  switch (on) {
    case 'both':
      return true
    case 'left-only':
      return side === 'left'
    case 'right-only':
      return side === 'right'
    case 'first-only':
      return side === firstSide
    case 'second-only':
      return side !== firstSide
  }
}

/**
 * What is said and looked at when the pose is led from `side`: wording written for that
 * side, parts that belong to the other side only left out.
 * @param firstSide the side that is led first, from the card or the school
 */
export function cardLedFrom(
  card: Card,
  side: Side,
  firstSide: Side,
  options?: MirrorOptions
): Card {
  const written = writeFor(card, side, options)
  const here = (part: { on: On }) => belongsTo(part.on, side, firstSide)
  return {
    ...written,
    alignment: written.alignment.filter(here),
    mistakes: written.mistakes.filter(here),
    assists: written.assists.filter(here),
  }
}
