import { type Breath, type Card, type Part, partsOf, type Step, stepsOf, type Want } from '../card'
import { rememberOf, rememberWith } from '../language'
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
export const spokenLines = rememberOf((card: Card): readonly SpokenLine[] => {
  const steps = new Map(stepsOf(card).map(({ step }) => [step.id, step]))
  return partsOf(card, inBreath).map((part) => {
    const { step = '' } = part.owners[0]!.value as { step?: string }
    return lineOf(part, steps.get(step))
  })
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
