import { atRung, type Card, type Rung } from '../card'
import { fallOf, type Figure, finalFigure, showsProp, solved } from '../figure'
import { rememberOf } from '../language'
import { finalDraft, type Form, formsOf, propsIn } from '../reading'

/** The form of a rung, and how sure it is that it has this form. */
export interface RungForm {
  /** Null when nothing tells what it looks like. */
  figure: Figure | null
  /**
   * `kept`: the trainer drew it. `words`: worked out from what the rung says. `described`: the
   * form of the card, because the rung says nothing else, or nothing that is understood.
   */
  from: 'kept' | 'words' | 'described' | 'none'
  /** Whether the rung may have another form than this one. */
  sure: boolean
}

const saysSteps = ({ steps: { replace, add, omit } }: Rung) =>
  replace.length + add.length + omit.length > 0

/** Whether what a rung says has to look another way: other steps, or props of its own. */
function looksOther(rung: Rung, card: Card): boolean {
  const described = card.ladder.find((each) => each.reference)
  const usual = described?.props.length ? described.props : card.setUp.props
  return saysSteps(rung) || (rung.props.length > 0 && rung.props.join() !== usual.join())
}

/** A rung has only one form while neither it nor what it differs from changes. */
const known = new WeakMap<Rung, { of: unknown[]; form: RungForm }>()
const rests = (card: Card): unknown[] => [
  card.ladder.find((rung) => rung.reference),
  card.enter,
  card.otherWay,
  card.exit,
  card.setUp,
  card.base,
  card.writtenFor,
]

/**
 * The form of one rung of a card.
 * @throws RangeError when the card has no such rung
 */
export function rungForm(card: Card, rungId: string): RungForm {
  const rung = card.ladder.find((each) => each.id === rungId)
  if (!rung) throw new RangeError(`There is no rung “${rungId}” on this card.`)
  const of = rests(card)
  const before = known.get(rung)
  if (before && before.of.every((each, i) => each === of[i])) return before.form
  const form = formOf(card, rung)
  known.set(rung, { of, form })
  return form
}

/** Whether a form uses the props that its rung names; one that it cannot show is let be. */
const usesProps = (figure: Figure, { props }: Rung, language: string): boolean =>
  props.every((prop) => {
    const known = propsIn(prop, language)
    return known.length === 0 || known.some((each) => showsProp(figure, each))
  })

/** The form that the words of a card lead to, and whether what has to be understood of it was. */
function fromWords(card: Card, mustBeSure: (form: Form) => boolean): RungForm | null {
  const forms = formsOf(card)
  const last = finalDraft(card, forms)
  const way = forms.slice(0, forms.indexOf(last) + 1)
  const sure = way.every((each) => each.sure || !mustBeSure(each))
  if (last.kept || way.length < 2) return null
  const { figure } = last
  // A body is found for this form alone: those on the way are not looked at.
  const f = solved(figure)
  return { figure, from: 'words', sure: sure && f.unmet.length === 0 && fallOf(f) === null }
}

/** The form that the card describes: drawn, else as its words lead to it. */
const described = rememberOf((card: Card): RungForm => {
  const final = finalFigure(card)
  // The start is not the form, unless nothing leads away from it.
  if (final && (final.id !== 'start' || card.enter.length === 0))
    return { figure: final.figure, from: 'described', sure: true }
  // A line that is not understood may be the one that matters.
  const told = fromWords({ ...card, ladder: [] }, ({ id }) => id !== 'start')
  return told ?? { figure: final?.figure ?? null, from: final ? 'described' : 'none', sure: false }
})

function formOf(card: Card, rung: Rung): RungForm {
  const final = finalFigure(card, rung.id)
  if (final?.id === `rung ${rung.id}`) return { figure: final.figure, from: 'kept', sure: true }
  if (rung.reference || !looksOther(rung, card)) return described(card)
  if (saysSteps(rung)) {
    // What was drawn for a step that the rung words anew is no longer what it says.
    const reworded = new Set(rung.steps.replace.map(({ step }) => step))
    const plain = (steps: Card['enter']) =>
      steps.map(({ figure, ...step }) =>
        figure && !reworded.has(step.id) ? { ...step, figure } : step
      )
    const done = atRung(card, rung.id)
    const changed = new Set([...reworded, ...rung.steps.add.map(({ step }) => step.id)])
    const told = fromWords({ ...done, enter: plain(done.enter), ladder: [] }, ({ id }) =>
      changed.has(id.replace('step ', ''))
    )
    if (told?.sure && usesProps(told.figure!, rung, card.language)) return told
    if (told && !final) return { ...told, sure: false }
  }
  return { ...described(card), sure: false }
}
