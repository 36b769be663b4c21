import {
  BREATH_WORDS,
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
import { movementsIn } from './movement'
import { paceOf, phaseSeconds } from './phase'
import { fitOf } from './speech'
import { spokenLines } from './spokenLines'
import { timesOf } from './timeline'

/** Movements of a line, kept from one key press to the next. */
const movements = remember(movementsIn)

type Place = ReturnType<typeof stepsOf>[number]

const listsOf = (card: Card): Place[][] => {
  const all = stepsOf(card)
  return stepLists().map(({ list }) => all.filter((place) => place.list === list))
}

const across = (breath: 'in' | 'out'): 'in' | 'out' => (breath === 'in' ? 'out' : 'in')
const phase = (breath: Breath): 'in' | 'out' | null =>
  breath === 'in' || breath === 'out' ? breath : null

function equalPhases(card: Card): Found[] {
  return listsOf(card).flatMap((list) => {
    const found: Found[] = []
    const tell = (before: Place, after: Place, message: string) => {
      const own = new Set(movements(after.step.text).map((movement) => movement.phase))
      const other = across(after.step.breath as 'in' | 'out')
      // Only what the words allow is offered.
      const fits = own.size === 0 || (own.size === 1 && own.has(other))
      found.push({
        where: `${after.path}.breath`,
        message,
        ...(fits && before !== after
          ? {
              fix: {
                label: `Make it ${BREATH_WORDS[other]}`,
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

const FOLD_WORD = /\b(?:fold|bow|round|bend(?:ing)?\s+forward|curl|hinge)/i

function foldOnIn(card: Card): Found[] {
  return spokenLines(card).flatMap(({ where, text, breath, breathAt }) => {
    if (breath !== 'in' && breath !== 'hold-in') return []
    const fold = movements(text).find(
      (movement) => movement.kind === 'fold' && FOLD_WORD.test(movement.word)
    )
    if (!fold) return []
    return [
      {
        where,
        message: `“${fold.word}” folds the body on ${BREATH_WORDS[breath]}: the lungs fill against it. A fold goes with an out.`,
        fix: { label: 'Make it out', patches: [{ path: breathAt, value: 'out' }] },
      },
    ]
  })
}

/** A line that turns the trunk, not a limb or the head. */
const TRUNK_TURN =
  /\b(?:twist|revolve)(?:s|ing)?\b|\b(?:turn|rotate)(?:s|ing)?\s+(?:(?:further|deeper|more|again|slowly|gently|and\s+\w+|a\s+little(?:\s+\w+)?|the\s+whole)\s+)*(?:(?:to\s+the\s+)?\{?(?:left|right)\b\}?(?!\s+(?:toes?|foot|feet|heel|knee|leg|thigh|shin|hand|palm|arm|elbow|forearm|fingers?|thumb|cheek|ear|hip))|(?:the\s+|your\s+)?(?:\{?(?:left|right)\}?\s+)?(?:chest|ribs?|ribcage|trunk|torso|spine|body|belly|navel|shoulders|upper\s+back|upper\s+body|heart|breastbone)\b|from\s+the\s+(?:ribs|belly|waist|base|navel))/i
const TURNS_BACK = /\b(?:unwind|back\s+to\s+(?:the\s+)?(?:cent(?:er|re)|middle)|forward)\b/i
const LENGTHENS =
  /\b(?:lengthen|elongate|long|longer|tall|taller|lift|lifts|rise|rises|raise|raises|grow|grows|reach|reaches|stretch|stretches|up|upward|extend|extends|draw\s+up|float|arms?\s+overhead)\b/i

function turnWithoutLength(card: Card): Found[] {
  if (card.spine !== 'twist' && !stepsOf(card).some(({ step }) => /\btwist/i.test(step.text)))
    return []
  return listsOf(card).flatMap((list) =>
    list.flatMap(({ step, index, path: where }): Found[] => {
      if (list[0]!.list === 'exit') return []
      if (!TRUNK_TURN.test(step.text) || TURNS_BACK.test(step.text)) return []
      // The last in before the turn; a step that is neither in nor out does not part them.
      const before = list
        .slice(0, index)
        .toReversed()
        .find((each) => each.step.breath === 'in' || each.step.breath === 'out')
      if (before?.step.breath === 'in' && LENGTHENS.test(before.step.text)) return []
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

const THEN = /(?:,|;)?\s+(?:and\s+)?then\s+/i

function twoMovements(card: Card): Found[] {
  return spokenLines(card).flatMap(({ where, text, breath }) => {
    if (breath !== 'in' && breath !== 'out') return []
    const all = movements(text)
    const then = THEN.exec(text)
    const [first] = all
    const other =
      all.find((movement) => movement.phase !== first?.phase) ??
      (then && all.some((each) => each.at < then.index) && all.some((each) => each.at > then.index)
        ? all.find((each) => each.at > then.index)
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

const NUMBER =
  '(?:\\d+(?:\\s*(?:to|-|–)\\s*\\d+)?|two|three|four|five|six|seven|eight|nine|ten|twelve|fifteen|twenty|thirty|sixty)'
const UNIT =
  '(?:(?:or|to)\\s+\\w+\\s+)?(?:(?:more|slow|long|full|deep|even|calm|steady|easy|quiet|complete|whole|free|soft|gentle|natural|smooth|deep,\\s+slow|of\\s+your|of\\s+their|in|out)[\\s-]+)*(?:breath(?:s|ing)?|seconds?|secs?|s\\b|minutes?|mins?|min\\b|inhal\\w*|exhal\\w*|in-?breaths?|out-?breaths?|in(?:s)?\\s+and\\s+outs?|hours?|times|rounds?|repeats?|repetitions?|cycles?)'
const COUNTS = new RegExp(
  `\\b(?:hold|stay|remain|keep(?:\\s+it)?|pause|wait|rest|linger|count(?:ing)?|stop)\\b[^.;!?]*?\\b(?:for|to|from|of|down|until|up)\\s+(?:a\\s+|the\\s+)?(?:slow\\s+|long\\s+)?(?:count\\s+of\\s+)?(${NUMBER})(?![\\w°])(?!\\s+${UNIT})(?![^.;!?]*\\b(?:breaths?|seconds?|minutes?)\\b)`,
  'i'
)
const BARE_COUNT = new RegExp(
  `\\b(?:count\\s+of\\s+(${NUMBER})|(${NUMBER})\\s+counts?|hold\\s+(${NUMBER}))(?![\\w°])(?!\\s+${UNIT})(?![^.;!?]*\\b(?:breaths?|seconds?|minutes?)\\b)`,
  'i'
)
const COUNTED_DOWN = /\b(?:five|5)\s*(?:[,…]|\.{2,3})\s*(?:(?:four|4)\b|.*\b(?:one|1)\b)/i

const countIn = remember((text: string): string => {
  const match = COUNTS.exec(text) ?? BARE_COUNT.exec(text)
  if (match) return match.slice(1).find(Boolean) ?? ''
  return COUNTED_DOWN.test(text) && !/\b(?:breaths?|seconds?)\b/i.test(text)
    ? COUNTED_DOWN.exec(text)![0]
    : ''
})

function countsWithoutUnit(card: Card): Found[] {
  return partsOf(card, isSpoken).flatMap(({ path: where, value }) => {
    const text = value as string
    const count = countIn(text)
    if (!count) return []
    const at = text.indexOf(count) + count.length
    const put = (unit: string) => `${text.slice(0, at)} ${unit}${text.slice(at)}`
    return [
      {
        where,
        message: `“${count}” is a count of breaths or of seconds; say which.`,
        ...(/\d|^\w+$/.test(count)
          ? { fix: { label: 'Say breaths', patches: [{ path: where, value: put('breaths') }] } }
          : {}),
      },
    ]
  })
}

const seconds = (value: number) => `${Math.round(value * 10) / 10} s`

function tooLong(card: Card, school: School): Found[] {
  return spokenLines(card).flatMap(({ where, text, breath, given, repeat }) => {
    if (!text) return []
    const pace = paceOf(card, school)
    const lasts = phaseSeconds({ breath, seconds: given }, pace) * (phase(breath) ? 1 : repeat)
    const fit = fitOf(text, lasts, school.speechRate)
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
    check: foldOnIn,
  },
  {
    id: 'breath/lengthen-before-turn',
    looksAt: 'Turns of the trunk that no lengthening in-breath comes before.',
    why: 'In every twist an in-breath that lengthens comes before the out-breath that turns.',
    source: 'common practice',
    severity: 'mend',
    check: turnWithoutLength,
  },
  {
    id: 'breath/one-movement-a-phase',
    looksAt: 'Steps that put two movements on one breath.',
    why: 'One breath phase carries one movement; the second one is done without breath.',
    source: 'common practice',
    severity: 'mend',
    check: twoMovements,
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
    check: countsWithoutUnit,
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
