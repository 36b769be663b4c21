import {
  atRung,
  type Breath,
  type Card,
  type Pace,
  type School,
  type Step,
  stepsIn,
  type StepList,
  stepLists,
} from '../card'
import { rememberWith } from '../language'
import {
  breathsOnce,
  breathSeconds,
  repeatsOf,
  repeatsOfStep,
  secondsOfBreaths,
  staySeconds,
  staySecondsOnce,
  tidySeconds,
} from './dose'
import { paceOf, phaseSeconds } from './phase'

/** A stretch of one pass through the pose. */
export interface Passage {
  part: StepList | 'stay'
  /** Path of the step on the card; `stay` for the stay. */
  where: string
  /** The phase; a stay that is counted in seconds has none of its own. */
  breath: Breath | 'breaths'
  /** When it begins, counted from the first step, in seconds. */
  at: number
  /** How long it lasts, all its repeats included. */
  seconds: number
  /** How often it is done. */
  times: number
  /** Part of what a moving card repeats. */
  cycle: boolean
}

/** How long a card takes, in seconds. */
export interface CardTime {
  /** One pass led from the left; null for an even card. */
  left: number | null
  /** One pass led from the right; the only pass of an even card. */
  right: number
  /** Between the two sides; 0 for an even card. */
  between: number
  total: number
  /** The total in breaths at the card's pace. */
  breaths: number
}

/** How often a step of the card is done: as often as it says, and with the cycle it is in. */
export function timesOf(card: Pick<Card, 'manner' | 'stay'>, step: Step): number {
  const rounds = card.manner === 'moving' && step.cycle ? repeatsOf(card.stay) : 1
  return repeatsOfStep(step) * rounds
}

/**
 * One pass through the pose, from the first step to the last: what is done when. The set-up
 * is not counted. Steps of a cycle are told once, with the time of all their rounds.
 */
export const timelineOf = (card: Card, school: Pick<School, 'pace'>): readonly Passage[] =>
  atPace(card, paceOf(card, school))

const atPace = rememberWith((card: Card, pace: Pace): readonly Passage[] => {
  const passages: Passage[] = []
  let at = 0
  const add = (passage: Passage) => {
    passages.push(passage)
    at = tidySeconds(at + passage.seconds)
  }
  const stay = () => {
    const seconds = staySeconds(card.stay, pace)
    if (seconds === 0) return
    add({
      part: 'stay',
      where: 'stay',
      breath: card.stay.breaths === undefined ? 'free' : 'breaths',
      at,
      seconds,
      times: repeatsOf(card.stay),
      cycle: false,
    })
  }
  for (const { list, stays } of stepLists()) {
    for (const { step, path } of stepsIn(card, list)) {
      const times = timesOf(card, step)
      add({
        part: list,
        where: path,
        breath: step.breath,
        at,
        seconds: tidySeconds(phaseSeconds(step, pace) * times),
        times,
        cycle: card.manner === 'moving' && step.cycle === true,
      })
    }
    // The stay follows the way in; another way in, when there is one, has a stay of its own.
    if (stays && (list === 'enter' || card[list].length > 0)) stay()
  }
  return passages
})

/** How long one pass lasts, in seconds. */
export function passSeconds(card: Card, school: Pick<School, 'pace'>): number {
  const last = timelineOf(card, school).at(-1)
  return last ? tidySeconds(last.at + last.seconds) : 0
}

/** Breaths between the sides when the card gives none. */
export const BREATHS_BETWEEN = 1

/** Seconds between the two sides; 0 for an even card. */
export function betweenSeconds(card: Card, school: Pick<School, 'pace'>): number {
  if (card.sides === 'even') return 0
  return secondsOfBreaths(card.betweenSides.breaths ?? BREATHS_BETWEEN, paceOf(card, school))
}

/**
 * How long a card takes.
 * @param rung the form; the one that the steps describe when it is left out
 * @throws RangeError when the card has no such rung
 */
export function timeOf(card: Card, school: Pick<School, 'pace'>, rung?: string): CardTime {
  const done = rung === undefined ? card : atRung(card, rung)
  const right = passSeconds(done, school)
  const sided = done.sides === 'sided'
  const between = betweenSeconds(done, school)
  const total = tidySeconds(sided ? right * 2 + between : right)
  return {
    left: sided ? right : null,
    right,
    between,
    total,
    breaths: tidySeconds(total / breathSeconds(paceOf(done, school))),
  }
}

/** A stretch of the ribbon as it is drawn: one phase, or a loose wave. */
export interface RibbonStretch {
  where: string
  part: Passage['part']
  breath: Breath
  at: number
  seconds: number
}

/** More breaths in one stay than this are drawn as one wave. */
const MOST_DRAWN = 24

function breathsDrawn(
  stay: Card['stay'],
  pace: Pace,
  { where, part, at: from }: Passage
): RibbonStretch[] {
  const phases: [Breath, number | undefined][] = [
    ['in', pace.in],
    ['hold-in', pace.holdIn],
    ['out', pace.out],
    ['hold-out', pace.holdOut],
  ]
  const drawn: RibbonStretch[] = []
  let at = from
  const add = (breath: Breath, seconds: number) => {
    drawn.push({ where, part, breath, at, seconds })
    at = tidySeconds(at + seconds)
  }
  const rest = stay.restBetween ? secondsOfBreaths(stay.restBetween.breaths, pace) : 0
  const repeats = repeatsOf(stay)
  for (let repeat = 0; repeat < Math.floor(repeats); repeat += 1) {
    if (repeat > 0 && rest > 0) add('free', rest)
    const whole = Math.floor(breathsOnce(stay)!)
    for (let i = 0; i < whole; i += 1)
      for (const [breath, seconds] of phases) if (seconds) add(breath, seconds)
    const part = tidySeconds(staySecondsOnce(stay, pace) - whole * breathSeconds(pace))
    if (part > 0) add('free', part)
  }
  // Half a repeat, of a range with an odd middle.
  const left = tidySeconds(from + staySeconds(stay, pace) - at)
  if (left > 0) add('free', left)
  return drawn
}

/** Passages of the cycle that follow each other, as they are gone through: round by round. */
function rounds(cycle: readonly Passage[], many: number): RibbonStretch[] {
  const { at: from, where, part } = cycle[0]!
  const whole = cycle.reduce((sum, { seconds }) => sum + seconds, 0)
  if (many > MOST_DRAWN) return [{ where, part, breath: 'free', at: from, seconds: whole }]
  const drawn: RibbonStretch[] = []
  let at = from
  const count = Math.max(1, Math.round(many))
  for (let round = 0; round < count; round += 1)
    for (const passage of cycle) {
      const each = Math.max(1, Math.round(passage.times / many))
      const seconds = tidySeconds(passage.seconds / count / each)
      for (let i = 0; i < each; i += 1) {
        drawn.push({
          where: passage.where,
          part: passage.part,
          breath: passage.breath as Breath,
          at,
          seconds,
        })
        at = tidySeconds(at + seconds)
      }
    }
  return drawn
}

/**
 * One pass as it is drawn to scale: each phase apart, the cycle of a moving card round by round,
 * a stay breath by breath as long as it has no more than 24 of them.
 */
export function ribbonOf(card: Card, school: Pick<School, 'pace'>): RibbonStretch[] {
  const pace = paceOf(card, school)
  const repeats = repeatsOf(card.stay)
  const drawn: RibbonStretch[] = []
  let cycle: Passage[] = []
  const close = () => {
    if (cycle.length > 0) drawn.push(...rounds(cycle, repeats))
    cycle = []
  }
  for (const passage of timelineOf(card, school)) {
    const { where, part, at, seconds, times } = passage
    if (passage.cycle) {
      if (cycle.length > 0 && cycle[0]!.part !== part) close()
      cycle.push(passage)
      continue
    }
    close()
    if (passage.breath === 'breaths') {
      if (breathsOnce(card.stay)! * repeats > MOST_DRAWN)
        drawn.push({ where, part, breath: 'free', at, seconds })
      else drawn.push(...breathsDrawn(card.stay, pace, passage))
      continue
    }
    const { breath } = passage
    const whole = part === 'stay' || times > MOST_DRAWN ? 1 : Math.max(1, Math.round(times))
    const once = seconds / whole
    for (let i = 0; i < whole; i += 1)
      drawn.push({
        where,
        part,
        breath,
        at: tidySeconds(at + i * once),
        seconds: tidySeconds(once),
      })
  }
  close()
  return drawn
}

/**
 * What the count of a moving card multiplies: the steps of its cycle, and its stay when it has
 * one. Null where there is nothing to tell.
 */
export function multiplied(card: Card): { rounds: number; steps: number[]; stay: boolean } | null {
  if (card.manner !== 'moving' || repeatsOf(card.stay) <= 1) return null
  const steps = card.enter.flatMap((step, i) => (step.cycle ? [i + 1] : []))
  if (steps.length === 0) return null
  const stay = card.stay.breaths !== undefined || card.stay.seconds !== undefined
  return { rounds: card.stay.repeats, steps, stay }
}
