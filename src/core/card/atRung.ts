import { remember, rememberOf } from '../language'
import type { Card, Cue, Rung, Step } from './card'
import { stepLists } from './parts'
import { REGIONS } from './words'

/** A step as it is on a rung; none when the rung leaves it out. */
function changed(step: Step, { steps: change }: Rung): Step[] {
  if (change.omit.includes(step.id)) return []
  const instead = change.replace.find((each) => each.step === step.id)
  if (!instead) return [step]
  const { text, breath = step.breath, seconds = step.seconds } = instead
  const { seconds: _, ...rest } = step
  return [{ ...rest, text, breath, ...(seconds === undefined ? {} : { seconds }) }]
}

/** The cues of a rung, from the ground up: one that is added stands after those of its region. */
function cuesOn(cues: Cue[], { cues: change }: Rung): Cue[] {
  if (!change) return cues
  const kept = cues
    .filter(({ id }) => !change.omit.includes(id))
    .map((cue) => {
      const instead = change.replace.find((each) => each.cue === cue.id)
      if (!instead) return cue
      // Other words ask for something else: what the card measures and draws for them is not theirs.
      const { measure: _, mark: __, ...rest } = cue
      return { ...rest, text: instead.text }
    })
  const level = ({ region }: Cue) => REGIONS.indexOf(region)
  for (const cue of change.add) {
    const at = kept.findIndex((each) => level(each) > level(cue))
    kept.splice(at < 0 ? kept.length : at, 0, cue)
  }
  return kept
}

/**
 * The card as it is done on one rung: the rung’s differences carried out on the reference.
 * A step that is added after nothing comes first; one that is added after a step comes right
 * after it, also when that step is left out.
 * @throws RangeError when the card has no such rung
 */
export function atRung(card: Card, rungId: string): Card {
  return onRungs(card)(rungId)
}

const onRungs = rememberOf((card: Card) => remember((rungId) => doneAt(card, rungId)))

function doneAt(card: Card, rungId: string): Card {
  const rung = card.ladder.find((each) => each.id === rungId)
  if (!rung)
    throw new RangeError(
      `There is no rung “${rungId}” on this card; it has ${card.ladder.map((each) => each.id).join(', ') || 'none'}.`
    )
  const onRung = (steps: Step[], first: boolean): Step[] => {
    const { replace, add, omit } = rung.steps
    if (replace.length + add.length + omit.length === 0) return steps
    const touched = new Set([
      ...omit,
      ...replace.map((each) => each.step),
      ...add.map((each) => each.after),
    ])
    if (!steps.some(({ id }) => touched.has(id)) && !(first && touched.has(undefined))) return steps
    const after = (id: string | undefined) =>
      add.filter((added) => added.after === id).map((added) => added.step)
    const done = first ? after(undefined) : []
    for (const step of steps)
      if (touched.has(step.id)) done.push(...changed(step, rung), ...after(step.id))
      else done.push(step)
    return done
  }
  const { pace, ...stay } = rung.stay ?? card.stay
  const ownPace = pace ?? card.stay.pace
  return {
    ...card,
    ...Object.fromEntries(stepLists().map(({ list }, i) => [list, onRung(card[list], i === 0)])),
    alignment: cuesOn(card.alignment, rung),
    stay: { ...stay, ...(ownPace ? { pace: ownPace } : {}) },
    setUp: { ...card.setUp, props: rung.props.length ? rung.props : card.setUp.props },
  }
}
