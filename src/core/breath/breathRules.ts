import { LABELS, RULE_WORDS, SAY } from '../language'
import {
  type Breath,
  type Card,
  type Found,
  isSpoken,
  type Pace,
  type Part,
  partsOf,
  type Rule,
  type School,
  stepLists,
  type StepPlace,
  stepsIn,
  stepsOf,
  valueAt,
  type Want,
} from '../card'
import { type BreathWords, inEach, packOf, remember, rememberOf, speechIn } from '../language'
import { readLine, splitStep } from '../reading'
import { repeatsOfStep } from './dose'
import { paceOf, phaseSeconds } from './phase'
import { fitOf } from './speech'
import { type SpokenLine, spokenLines } from './spokenLines'
import { timesOf } from './timeline'

/** What the words of a language say of breath; movements are asked for by several rules. */
const quick = rememberOf((words: BreathWords): BreathWords => ({
  ...words,
  movements: remember(words.movements),
}))
function wordsOf(card: Card): BreathWords | null {
  const words = packOf(card.language)?.breath
  return words ? quick(words) : null
}

/** A rule that reads the words of a card: it says nothing in a language that has none. */
const inWords =
  (check: (card: Card, words: BreathWords) => readonly Found[]): Rule['check'] =>
  (card) => {
    const words = wordsOf(card)
    return words ? check(card, words) : []
  }

type Place = StepPlace

const across = (breath: 'in' | 'out'): 'in' | 'out' => (breath === 'in' ? 'out' : 'in')
const phase = (breath: Breath): 'in' | 'out' | null =>
  breath === 'in' || breath === 'out' ? breath : null

function equalTold(
  before: Place,
  { step, path }: Place,
  words: BreathWords | null,
  message: string
): Found {
  const own = new Set(words?.movements(step.text).map((movement) => movement.phase))
  const other = across(step.breath as 'in' | 'out')
  // Only what the words allow is offered.
  const fits = own.size === 0 || (own.size === 1 && own.has(other))
  return {
    where: `${path}.breath`,
    message,
    ...(fits && before.path !== path
      ? {
          fix: {
            label: SAY.breath.makeIt(LABELS.breath[other]),
            patches: [{ path: `${path}.breath`, value: other }],
          },
        }
      : {}),
  }
}

/** A step that is done with the same breath as the one before it. */
function equalIn(after: Place, before: Place, words: BreathWords | null): readonly Found[] {
  const breath = phase(after.step.breath)
  if (!breath || before.step.breath !== breath) return []
  const message = SAY.breath.equal(before.index + 1, after.index + 1, breath, across(breath))
  return [equalTold(before, after, words, message)]
}

function equalPhases(card: Card): Found[] {
  const words = wordsOf(card)
  return stepLists().flatMap(({ list: name }) => {
    const list = stepsIn(card, name)
    const found = list.flatMap((after, i) => (i === 0 ? [] : equalIn(after, list[i - 1]!, words)))
    // A cycle goes from its last step to its first.
    const cycle = list.filter(({ step }) => step.cycle)
    const [first, last] = [cycle[0], cycle.at(-1)]
    if (
      card.manner === 'moving' &&
      card.stay.repeats > 1 &&
      first &&
      last &&
      first !== last &&
      phase(last.step.breath) &&
      first.step.breath === last.step.breath
    )
      found.push(equalTold(last, first, words, SAY.breath.cycleEqual(first.step.breath)))
    return found
  })
}

const foldsIn = inEach(
  (words: BreathWords) =>
    ({ where, text, breath, breathAt }: SpokenLine): readonly Found[] => {
      if (breath !== 'in' && breath !== 'hold-in') return []
      const fold = words
        .movements(text)
        .find((movement) => movement.kind === 'fold' && words.folds(movement.word))
      if (!fold) return []
      return [
        {
          where,
          message: SAY.breath.fold(fold.word, LABELS.breath[breath]),
          fix: { label: SAY.breath.makeOut, patches: [{ path: breathAt, value: 'out' }] },
        },
      ]
    }
)

const foldOnIn = (card: Card, words: BreathWords) => foldsIn(spokenLines(card), words)

const twistsIn = inEach(
  (words: BreathWords) => (place: Place) => (words.twists(place.step.text) ? [place] : [])
)
const turnsIn = inEach(
  (words: BreathWords) => (place: Place) => (words.turnsTrunk(place.step.text) ? [place] : [])
)

function turnWithoutLength(card: Card, words: BreathWords): Found[] {
  const steps = stepsOf(card)
  if (card.spine !== 'twist' && twistsIn(steps, words).length === 0) return []
  return turnsIn(steps, words).flatMap(({ list, index, path: where }): Found[] => {
    if (list === 'exit') return []
    // The last in before the turn; a step that is neither in nor out does not part them.
    const before = stepsIn(card, list)
      .slice(0, index)
      .findLast(({ step }) => phase(step.breath))
    if (before?.step.breath === 'in' && words.lengthens(before.step.text)) return []
    return [{ where, message: before ? SAY.breath.turnBefore : SAY.breath.turnFirst }]
  })
}

/** Two things that are said with one phase. */
const twosIn = inEach((words: BreathWords) => ({ where, text, breath }: SpokenLine) => {
  if (breath !== 'in' && breath !== 'out') return []
  const all = words.movements(text)
  const then = words.thenAt(text)
  const [first] = all
  const other =
    all.find((movement) => movement.phase !== first?.phase) ??
    (then !== null && all.some((each) => each.at < then) && all.some((each) => each.at > then)
      ? all.find((each) => each.at > then)
      : undefined)
  const two = first && other ? [first.word, other.word] : words.twoLimbs(text)
  return two ? [{ where, message: SAY.breath.two(breath, two[0]!, two[1]!) }] : []
})

const twoMovements = (card: Card, words: BreathWords): Found[] =>
  twosIn(spokenLines(card), words).map(({ where, message }) => ({
    where,
    message: message + rungsOf(card, where),
    ...ownStep(card, where),
  }))

/** Gives the second thing of a step a step of its own, where it is understood where that begins. */
function ownStep(card: Card, where: string): Pick<Found, 'fix'> {
  const split = splitStep(card, where)
  return split ? { fix: { label: SAY.breath.split(split.second), patches: split.patches } } : {}
}

/** What becomes of the rungs that say something else in place of a step. */
function rungsOf(card: Card, where: string): string {
  const rungs = splitStep(card, where)?.rungs ?? []
  return rungs.length > 0 ? SAY.breath.splitRungs(rungs) : ''
}

const isHold: Want = ({ key }) => key === 'holdIn' || key === 'holdOut'

const heldIn = inEach(
  () =>
    ({ breath, breathAt }: SpokenLine) =>
      breath === 'hold-in' || breath === 'hold-out'
        ? [
            {
              where: breathAt,
              message: SAY.breath.held,
              fix: { label: SAY.breath.makeFree, patches: [{ path: breathAt, value: 'free' }] },
            },
          ]
        : []
)

/** Where a line says that the breath is held. */
const saidIn = inEach((words: BreathWords) => ({ path, value }: Part) => {
  const told = words.holdsBreath(value as string)
  return told ? [{ where: path, told }] : []
})

function holds(card: Card, school: School): Found[] {
  if (school.retention) return []
  const steps = heldIn(spokenLines(card))
  const words = wordsOf(card)
  const held = new Set(steps.map(({ where }) => where))
  const isHeld = (where: string) => {
    const line = spokenLines(card).find((each) => each.where === where)
    return line !== undefined && held.has(line.breathAt)
  }
  const said = (words ? saidIn(partsOf(card, isSpoken), words) : [])
    .filter(({ where }) => !isHeld(where))
    .map(({ where, told }) => ({ where, message: SAY.breath.saidHeld(told) }))
  const within = partsOf(card, isHold).map(({ path }) => path.replace(/\.[^.]+$/, ''))
  const paces = [...new Set(within)].map((where) => [where, valueAt(card, where) as Pace] as const)
  return [
    ...steps,
    ...said,
    ...paces.map(([where, { in: inward, out }]) => ({
      where,
      message: SAY.breath.paceHeld,
      fix: { label: SAY.breath.takeHolds, patches: [{ path: where, value: { in: inward, out } }] },
    })),
  ]
}

const countsWithoutUnit = (card: Card, words: BreathWords) =>
  countsIn(partsOf(card, isSpoken), words)

const countsIn = inEach(
  (words: BreathWords) =>
    ({ path: where, value }: Part): readonly Found[] => {
      const text = value as string
      const count = words.countIn(text)
      if (!count) return []
      const at = text.indexOf(count) + count.length
      const put = (unit: string) => `${text.slice(0, at)} ${unit}${text.slice(at)}`
      return [
        {
          where,
          message: SAY.breath.count(count),
          ...(/\d|^\w+$/.test(count)
            ? {
                fix: {
                  label: SAY.breath.sayUnit,
                  patches: [{ path: where, value: put(words.unitAfter) }],
                },
              }
            : {}),
        },
      ]
    }
)

/** The lines that take longer than what they belong to. */
const overIn = inEach((pace: Pace, rate: number, language: string) => (line: SpokenLine) => {
  const { where, text, breath, given, repeat } = line
  if (!text) return []
  const lasts = phaseSeconds({ breath, seconds: given }, pace) * (phase(breath) ? 1 : repeat)
  const fit = fitOf(text, lasts, rate, language)
  return fit.over === 0 ? [] : [{ where, breath, fit, lasts }]
})

function tooLong(card: Card, school: School): Found[] {
  const speech = speechIn(card.language)
  if (!speech) return []
  const over = overIn(spokenLines(card), paceOf(card, school), school.speechRate, card.language)
  return over.map(({ where, breath, fit, lasts }) => {
    const phaseName = phase(breath) ? SAY.breath.phaseName(breath) : SAY.breath.itsBreath
    const split = splitStep(card, where) !== null
    const cut = fit.cut ? SAY.breath.leaveOutCut(fit.cut.clause) : SAY.breath.fewer
    return {
      where,
      message:
        SAY.breath.tooLong(
          LABELS.sheet.seconds(fit.seconds),
          phaseName,
          LABELS.sheet.seconds(lasts),
          LABELS.sheet.seconds(fit.over),
          fit.overWords,
          split ? '' : cut
        ) + rungsOf(card, where),
      // What it says is kept: only words that ask for nothing may be left out.
      ...ownStep(card, where),
      ...(fit.cut && !split && readLine(fit.cut.clause, card.language).instructions.length === 0
        ? {
            fix: {
              label: SAY.breath.leaveOut(fit.cut.clause),
              patches: [{ path: where, value: fit.cut.left }],
            },
          }
        : {}),
    }
  })
}

function cycleNotMarked(card: Card): Found[] {
  if (card.manner !== 'moving' || card.stay.repeats < 2) return []
  const steps = stepsOf(card)
  if (steps.length === 0 || steps.some(({ step }) => step.cycle || repeatsOfStep(step) > 1))
    return []
  if (card.stay.breaths !== undefined || card.stay.seconds) return []
  return [
    {
      where: 'enter',
      message: SAY.breath.noCycle(card.stay.repeats),
    },
  ]
}

function cycleTwice(card: Card): Found[] {
  return stepsOf(card).flatMap(({ step, path: where }) =>
    card.manner === 'moving' && step.cycle && repeatsOfStep(step) > 1 && card.stay.repeats > 1
      ? [
          {
            where,
            message: SAY.breath.cycleTwice(
              card.stay.repeats,
              repeatsOfStep(step),
              timesOf(card, step)
            ),
          },
        ]
      : []
  )
}

/** The rules about breath, time and what can be said in it. */
export const breathRules: readonly Rule[] = [
  {
    id: 'breath/in-and-out-take-turns',
    ...RULE_WORDS['breath/in-and-out-take-turns'],
    source: 'common practice',
    severity: 'mend',
    check: equalPhases,
  },
  {
    id: 'breath/fold-on-out',
    ...RULE_WORDS['breath/fold-on-out'],
    source: 'common practice',
    severity: 'mend',
    check: inWords(foldOnIn),
  },
  {
    id: 'breath/lengthen-before-turn',
    ...RULE_WORDS['breath/lengthen-before-turn'],
    source: 'common practice',
    severity: 'mend',
    check: inWords(turnWithoutLength),
  },
  {
    id: 'breath/one-movement-a-phase',
    ...RULE_WORDS['breath/one-movement-a-phase'],
    source: 'common practice',
    severity: 'mend',
    check: inWords(twoMovements),
  },
  {
    id: 'breath/no-hold',
    ...RULE_WORDS['breath/no-hold'],
    source: 'school',
    severity: 'mend',
    check: holds,
  },
  {
    id: 'breath/count-of-what',
    ...RULE_WORDS['breath/count-of-what'],
    source: 'common practice',
    severity: 'mend',
    check: inWords(countsWithoutUnit),
  },
  {
    id: 'breath/said-within-the-breath',
    ...RULE_WORDS['breath/said-within-the-breath'],
    source: 'common practice',
    severity: 'mend',
    check: tooLong,
  },
  {
    id: 'breath/cycle-is-marked',
    ...RULE_WORDS['breath/cycle-is-marked'],
    source: 'common practice',
    severity: 'note',
    check: cycleNotMarked,
  },
  {
    id: 'breath/cycle-counts-once',
    ...RULE_WORDS['breath/cycle-counts-once'],
    source: 'common practice',
    severity: 'note',
    check: cycleTwice,
  },
]
