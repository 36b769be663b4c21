import { atRung, type Card, titleOf } from '../card'
import { plainText } from '../sides'
import { rungForm } from './rungForm'

/**
 * A rung as a card of its own: its steps, cues, props, stay and form, so that it is timed, checked,
 * drawn and printed like any card. It goes by the names of both.
 * @throws RangeError when the card has no such rung
 */
export function rungCard(card: Card, rungId: string): Card {
  const done = atRung(card, rungId)
  const rung = card.ladder.find(({ id }) => id === rungId)!
  const cues = new Set(done.alignment.map(({ id }) => id))
  // What leads to another rung, or to a cue that is left out, stays as words.
  const plain = {
    ...done,
    cautions: done.cautions.map(({ rung: to, ...caution }) =>
      to === rungId ? { ...caution, rung: to } : caution
    ),
    mistakes: done.mistakes.map(({ cue, ...mistake }) =>
      cue !== undefined && cues.has(cue) ? { ...mistake, cue } : mistake
    ),
  }
  if (rung.reference) return { ...plain, ladder: [rung] }
  const { figure, sure } = rungForm(card, rungId)
  const name = plainText(rung.name, card) || rung.id
  const { cues: _, figure: __, ...rest } = rung
  // What is drawn for the card is not what a rung looks like that is not known.
  const drawn = <T extends { figure?: unknown }>(part: T): T => {
    const { figure: own, ...words } = part
    return (sure && own ? part : words) as T
  }
  return {
    ...plain,
    names: {
      ...card.names,
      common: [`${titleOf(card)}: ${name}`.slice(0, 300), ...card.names.common.slice(1)],
    },
    enter: done.enter.map(drawn),
    otherWay: done.otherWay.map(drawn),
    ladder: [
      {
        ...rest,
        reference: true,
        steps: { replace: [], add: [], omit: [] },
        ...(figure && sure ? { figure: figure as typeof rung.figure } : {}),
      },
    ],
  }
}
