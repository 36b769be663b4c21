import { type Breath, type Card, type Part, partsOf, type Step, stepsOf, type Want } from '../card'
import { inEach, rememberOf, rememberWith } from '../language'
import { repeatsOfStep } from './dose'

/** A line that is said with a breath: a step of the card, or one of a rung. */
export interface SpokenLine {
  /** Path of the words. */
  where: string
  /** Path of the breath. */
  breathAt: string
  text: string
  breath: Breath
  /** Seconds that the step gives itself. */
  given?: number
  /** The middle of a range. */
  repeat: number
}

const inBreath: Want = ({ spoken }) => spoken === 'breath'

/** Every line of a card that is said with a breath, those of the rungs included. */
export const spokenLines = rememberOf((card: Card): readonly SpokenLine[] =>
  linesIn(partsOf(card, inBreath)).map(({ part, instead, line }) =>
    instead === undefined
      ? line
      : lineOf(part, stepsOf(card).findLast(({ step }) => step.id === instead)?.step)
  )
)

/** The lines by themselves, with the step that one is said in place of. */
const linesIn = inEach(() => (part: Part) => {
  const { step: instead } = part.owners[0]!.value as { step?: string }
  return [{ part, instead, line: lineOf(part, undefined) }]
})

/** A line of a part; of what a rung says in place of a step, with that step. */
const lineOf = rememberWith(
  ({ path, value, owners: [owner] }: Part, step: Step | undefined): SpokenLine => {
    // It has that step's breath, until it gives one.
    const done = { ...step, ...(owner!.value as Partial<Step>) }
    const { breath = 'free', seconds } = done
    return {
      where: path,
      breathAt: `${owner!.path}.breath`,
      text: value as string,
      breath,
      given: seconds,
      repeat: repeatsOfStep(done),
    }
  }
)
