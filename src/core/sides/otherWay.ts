import { type Card, freshId, type Side, type Step, stepIds } from '../card'
import { lexiconOf } from '../language'

/**
 * The line said for the other direction of a turn while the legs stay: side words swap,
 * except those of legs and hips.
 * @example otherWayText('Turn right, left hand on the right knee.') // 'Turn left, right hand on the right knee.'
 */
export function otherWayText(text: string, language: string): string {
  let written = ''
  let done = 0
  for (const word of lexiconOf(language).turnWords(text)) {
    written += text.slice(done, word.start) + word.other
    done = word.end
  }
  return written + text.slice(done)
}

/**
 * A start for the second direction of a twist: the way back to the middle, then the steps from
 * the first one that turns on, with the turn the other way and the legs as they are.
 * @returns no steps when no step of the card changes with the turn
 */
export function otherWaySteps(card: Card): Step[] {
  const lexicon = lexiconOf(card.language)
  const changed = card.enter.map((step) => ({
    step,
    text: otherWayText(step.text, card.language),
  }))
  const turns = changed.findIndex(
    ({ step, text }) => text !== step.text && lexicon.turns(step.text)
  )
  if (turns < 0) return []
  // The in-breath that lengthens before the turn belongs to it.
  const from = turns > 0 && card.enter[turns - 1]!.breath === 'in' ? turns - 1 : turns
  const ids = stepIds(card)
  const fresh = () => {
    const id = freshId('w', ids)
    ids.push(id)
    return id
  }
  const back: Step = { id: fresh(), text: lexicon.unwind, breath: 'out' }
  return [
    back,
    ...changed.slice(from).map(({ step, text }) => {
      const { seconds, repeat, repeatMost, breath } = step
      return {
        id: fresh(),
        text,
        breath,
        ...(seconds === undefined ? {} : { seconds }),
        ...(repeat === undefined ? {} : { repeat }),
        ...(repeatMost === undefined ? {} : { repeatMost }),
      }
    }),
  ]
}

/** One time through the pose: which leg leads, and which direction of a twist it is. */
export interface Pass {
  side: Side
  way: 'first' | 'other'
}

/**
 * The passes of a card in their order: one, two, or four for a twist with two directions for
 * each leg position.
 */
export function passesOf(card: Pick<Card, 'sides' | 'otherWay'>, firstSide: Side): Pass[] {
  const sides: Side[] =
    card.sides === 'even'
      ? [firstSide]
      : firstSide === 'left'
        ? ['left', 'right']
        : ['right', 'left']
  const ways: Pass['way'][] = card.otherWay.length > 0 ? ['first', 'other'] : ['first']
  return sides.flatMap((side) => ways.map((way) => ({ side, way })))
}
