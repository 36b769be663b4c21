import { LABELS } from '../language'
import {
  type Breath,
  type Card,
  type Found,
  isSpoken,
  type Pace,
  partsOf,
  remember,
  type Rule,
  type School,
  stepLists,
  stepsOf,
  valueAt,
  type Want,
} from '../card'
import { type BreathWords, packOf } from '../language'
import { paceOf, phaseSeconds } from './phase'
import { fitOf } from './speech'
import { spokenLines } from './spokenLines'
import { timesOf } from './timeline'

/** What the words of a card’s language say of breath, kept from one key press to the next. */
const quick = new WeakMap<BreathWords, BreathWords>()
function wordsOf(card: Card): BreathWords | null {
  const words = packOf(card.language)?.breath
  if (!words) return null
  const known = quick.get(words) ?? {
    ...words,
    movements: remember(words.movements),
    countIn: remember(words.countIn),
  }
  quick.set(words, known)
  return known
}

/** A rule that reads the words of a card: it says nothing in a language that has none. */
const inWords =
  (check: (card: Card, words: BreathWords) => Found[]): Rule['check'] =>
  (card) => {
    const words = wordsOf(card)
    return words ? check(card, words) : []
  }

type Place = ReturnType<typeof stepsOf>[number]

const listsOf = (card: Card): Place[][] => {
  const all = stepsOf(card)
  return stepLists().map(({ list }) => all.filter((place) => place.list === list))
}

const across = (breath: 'in' | 'out'): 'in' | 'out' => (breath === 'in' ? 'out' : 'in')
const phase = (breath: Breath): 'in' | 'out' | null =>
  breath === 'in' || breath === 'out' ? breath : null

function equalPhases(card: Card): Found[] {
  const words = wordsOf(card)
  return listsOf(card).flatMap((list) => {
    const found: Found[] = []
    const tell = (before: Place, after: Place, message: string) => {
      const own = new Set(words?.movements(after.step.text).map((movement) => movement.phase))
      const other = across(after.step.breath as 'in' | 'out')
      // Only what the words allow is offered.
      const fits = own.size === 0 || (own.size === 1 && own.has(other))
      found.push({
        where: `${after.path}.breath`,
        message,
        ...(fits && before !== after
          ? {
              fix: {
                label: `Make it ${LABELS.breath[other]}`,
                patches: [{ path: `${after.path}.breath`, value: other }],
              },
            }
          : {}),
      })
    }
    list.forEach((after, i) => {
      const before = list[i - 1]
      if (!before || !phase(after.step.breath) || before.step.breath !== after.step.breath) return
      tell(
        before,
        after,
        `Steps ${before.index + 1} and ${after.index + 1} are both on ${after.step.breath}; an ${across(after.step.breath as 'in' | 'out')} is missing between them.`
      )
    })
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
      tell(
        last,
        first,
        `The cycle ends and begins on ${first.step.breath}: going round, two of them follow each other.`
      )
    return found
  })
}

function foldOnIn(card: Card, words: BreathWords): Found[] {
  return spokenLines(card).flatMap(({ where, text, breath, breathAt }) => {
    if (breath !== 'in' && breath !== 'hold-in') return []
    const fold = words
      .movements(text)
      .find((movement) => movement.kind === 'fold' && words.folds(movement.word))
    if (!fold) return []
    return [
      {
        where,
        message: `“${fold.word}” folds the body on ${LABELS.breath[breath]}: the lungs fill against it. A fold goes with an out.`,
        fix: { label: 'Make it out', patches: [{ path: breathAt, value: 'out' }] },
      },
    ]
  })
}

function turnWithoutLength(card: Card, words: BreathWords): Found[] {
  if (card.spine !== 'twist' && !stepsOf(card).some(({ step }) => words.twists(step.text)))
    return []
  return listsOf(card).flatMap((list) =>
    list.flatMap(({ step, index, path: where }): Found[] => {
      if (list[0]!.list === 'exit') return []
      if (!words.turnsTrunk(step.text)) return []
      // The last in before the turn; a step that is neither in nor out does not part them.
      const before = list
        .slice(0, index)
        .toReversed()
        .find((each) => each.step.breath === 'in' || each.step.breath === 'out')
      if (before?.step.breath === 'in' && words.lengthens(before.step.text)) return []
      return [
        {
          where,
          message: before
            ? 'This step turns, and no in-breath that lengthens stands right before it: a rounded spine turns from one place only. Put one before it, such as “Grow tall.”'
            : 'The first step turns at once; begin with an in-breath that lengthens, such as “Grow tall.”',
        },
      ]
    })
  )
}

function twoMovements(card: Card, words: BreathWords): Found[] {
  return spokenLines(card).flatMap(({ where, text, breath }) => {
    if (breath !== 'in' && breath !== 'out') return []
    const all = words.movements(text)
    const then = words.thenAt(text)
    const [first] = all
    const other =
      all.find((movement) => movement.phase !== first?.phase) ??
      (then !== null && all.some((each) => each.at < then) && all.some((each) => each.at > then)
        ? all.find((each) => each.at > then)
        : undefined)
    if (!first || !other) return []
    return [
      {
        where,
        message: `One ${breath}-breath carries two movements here, “${first.word}” and “${other.word}”. Give the second a step and a breath of its own.`,
      },
    ]
  })
}

const isHold: Want = ({ key }) => key === 'holdIn' || key === 'holdOut'

function holds(card: Card, school: School): Found[] {
  if (school.retention) return []
  const steps = spokenLines(card).flatMap(({ breath, breathAt }) =>
    breath === 'hold-in' || breath === 'hold-out'
      ? [
          {
            where: breathAt,
            message: 'The breath is held here, and the school holds none.',
            fix: { label: 'Make it free', patches: [{ path: breathAt, value: 'free' }] },
          },
        ]
      : []
  )
  const held = partsOf(card, isHold).map(({ path }) => path.replace(/\.[^.]+$/, ''))
  const paces = [...new Set(held)].map((where) => [where, valueAt(card, where) as Pace] as const)
  return [
    ...steps,
    ...paces.map(([where, { in: inward, out }]) => ({
      where,
      message: 'The pace of the stay holds the breath, and the school holds none.',
      fix: { label: 'Take the holds out', patches: [{ path: where, value: { in: inward, out } }] },
    })),
  ]
}

function countsWithoutUnit(card: Card, words: BreathWords): Found[] {
  return partsOf(card, isSpoken).flatMap(({ path: where, value }) => {
    const text = value as string
    const count = words.countIn(text)
    if (!count) return []
    const at = text.indexOf(count) + count.length
    const put = (unit: string) => `${text.slice(0, at)} ${unit}${text.slice(at)}`
    return [
      {
        where,
        message: `“${count}” is a count of breaths or of seconds; say which.`,
        ...(/\d|^\w+$/.test(count)
          ? {
              fix: {
                label: 'Say breaths',
                patches: [{ path: where, value: put(words.unitAfter) }],
              },
            }
          : {}),
      },
    ]
  })
}

const seconds = (value: number) => `${Math.round(value * 10) / 10} s`

function tooLong(card: Card, school: School): Found[] {
  const speech = packOf(card.language)?.speech
  if (!speech) return []
  return spokenLines(card).flatMap(({ where, text, breath, given, repeat }) => {
    if (!text) return []
    const pace = paceOf(card, school)
    const lasts = phaseSeconds({ breath, seconds: given }, pace) * (phase(breath) ? 1 : repeat)
    const fit = fitOf(text, lasts, school.speechRate, card.language)
    if (fit.over === 0) return []
    const phaseName = phase(breath) ? `the ${breath}-breath` : 'its breath'
    const cut = fit.cut
      ? `Leave out “${fit.cut.clause}”.`
      : 'Say it in fewer words, or make two steps of it.'
    return [
      {
        where,
        message: `Takes ${seconds(fit.seconds)} to say and ${phaseName} lasts ${seconds(lasts)}: ${seconds(fit.over)} over, about ${fit.overWords} ${fit.overWords === 1 ? 'word' : 'words'}. ${cut}`,
        ...(fit.cut
          ? {
              fix: {
                label: `Leave out “${fit.cut.clause}”`,
                patches: [{ path: where, value: fit.cut.left }],
              },
            }
          : {}),
      },
    ]
  })
}

function cycleNotMarked(card: Card): Found[] {
  if (card.manner !== 'moving' || card.stay.repeats < 2) return []
  const steps = stepsOf(card)
  if (steps.length === 0 || steps.some(({ step }) => step.cycle || (step.repeat ?? 1) > 1))
    return []
  if (card.stay.breaths !== undefined || card.stay.seconds) return []
  return [
    {
      where: 'enter',
      message: `The card is done ${card.stay.repeats} times, and no step is marked as part of what is repeated.`,
    },
  ]
}

function cycleTwice(card: Card): Found[] {
  return stepsOf(card).flatMap(({ step, path: where }) =>
    card.manner === 'moving' && step.cycle && (step.repeat ?? 1) > 1 && card.stay.repeats > 1
      ? [
          {
            where,
            message: `This step is part of the cycle, done ${card.stay.repeats} times, and repeats ${step.repeat} times in each: ${timesOf(card, step)} in all.`,
          },
        ]
      : []
  )
}

/** The rules about breath, time and what can be said in it. */
export const breathRules: readonly Rule[] = [
  {
    id: 'breath/in-and-out-take-turns',
    looksAt: 'Two ins or two outs that follow each other.',
    why: 'Linked movement alternates in and out; two ins running hide a missing out.',
    source: 'common practice',
    severity: 'mend',
    check: equalPhases,
  },
  {
    id: 'breath/fold-on-out',
    looksAt: 'Steps that fold forward on an in-breath.',
    why: 'A fold closes the front of the body, which an in-breath opens.',
    source: 'common practice',
    severity: 'mend',
    check: inWords(foldOnIn),
  },
  {
    id: 'breath/lengthen-before-turn',
    looksAt: 'Turns of the trunk that no lengthening in-breath comes before.',
    why: 'In every twist an in-breath that lengthens comes before the out-breath that turns.',
    source: 'common practice',
    severity: 'mend',
    check: inWords(turnWithoutLength),
  },
  {
    id: 'breath/one-movement-a-phase',
    looksAt: 'Steps that put two movements on one breath.',
    why: 'One breath phase carries one movement; the second one is done without breath.',
    source: 'common practice',
    severity: 'mend',
    check: inWords(twoMovements),
  },
  {
    id: 'breath/no-hold',
    looksAt: 'Held breath where the school holds none.',
    why: 'Holding is left out for pregnancy, high blood pressure, heart and eye-pressure conditions, and some schools never do it.',
    source: 'school',
    severity: 'mend',
    check: holds,
  },
  {
    id: 'breath/count-of-what',
    looksAt: 'Counts that do not say whether breaths or seconds are counted.',
    why: '“Hold for five” is 5 seconds to one teacher and 40 to another.',
    source: 'common practice',
    severity: 'mend',
    check: inWords(countsWithoutUnit),
  },
  {
    id: 'breath/said-within-the-breath',
    looksAt: 'How long each step takes to say, at the school’s rate of speech, against its breath.',
    why: 'A cue that cannot be said within the breath it belongs to is a bad cue, however true.',
    source: 'common practice',
    reference: 'calm instruction runs about 110 to 130 words a minute',
    severity: 'mend',
    check: tooLong,
  },
  {
    id: 'breath/cycle-is-marked',
    looksAt: 'Moving cards that say how often, but not which steps.',
    why: 'Without the cycle nobody can tell how long the card takes.',
    source: 'common practice',
    severity: 'note',
    check: cycleNotMarked,
  },
  {
    id: 'breath/cycle-counts-once',
    looksAt: 'Steps of a cycle that repeat by themselves, too.',
    why: 'Both counts multiply, which is seldom meant.',
    source: 'common practice',
    severity: 'note',
    check: cycleTwice,
  },
]
