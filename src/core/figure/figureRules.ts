import { FIGURE, namedRole, rememberOf, rememberWith, RULE_WORDS, SAY } from '../language'
import type { Card, CueMark, Found, Rule } from '../card'
import { markShown } from './drawing/draw'
import { markParts, MOST_MARKS } from './drawing/teaching'
import { measure, measureWords, MEASURES, unitNamed } from './measures'
import { USUAL_STATURE } from './body'
import { clashesIn } from './collide'
import { floorTurn, type MeasureContext, pelvisWay } from './landmarks'
import { fallOf } from './loads'
import { figureLedFrom, finalFigure, keyframesOf } from './ofCard'
import { pastHamstring, pastLimits } from './ranges'
import type { Solved } from './solve'
import { solved } from './solved'
import type { Figure } from './spec'

/** What a cue’s measure reads on the final form; null when there is no figure or no such measure. */
export function measuredCue(
  card: Card,
  index: number
): { value: number; unit: string; off: number } | null {
  const asked = card.alignment[index]?.measure
  const frame = asked && finalFigure(card)
  if (!asked || !frame) return null
  const { writtenFor: lead } = card
  return readOff(asked, figureLedFrom(card, frame.figure, lead), lead, namedRole(card))
}

const readOff = rememberWith(
  (
    { name, target, tolerance }: NonNullable<Card['alignment'][number]['measure']>,
    figure: Figure,
    lead: MeasureContext['lead'],
    namedBy: MeasureContext['namedBy']
  ) => {
    const found = measure(solved(figure), name, { lead, namedBy })
    return found && { ...found, off: Math.max(0, Math.abs(found.value - target) - tolerance) }
  }
)

function brokenCues(card: Card): Found[] {
  if (!card.alignment.some((cue) => cue.measure)) return []
  return card.alignment.flatMap((cue, i): Found[] => {
    if (!cue.measure) return []
    const { name, target, tolerance, unit } = cue.measure
    if (!finalFigure(card)) return []
    const found = measuredCue(card, i)
    if (!found)
      return [
        {
          where: `alignment[${i}].measure`,
          message: SAY.figure.noMeasure(name, MEASURES.map((each) => each.name).join(', ')),
        },
      ]
    if (unitNamed(unit) !== found.unit)
      return [
        {
          where: `alignment[${i}].measure`,
          message: SAY.figure.unit(name, found.unit, unit),
        },
      ]
    if (found.off === 0) return []
    return [
      {
        where: `alignment[${i}]`,
        message: SAY.figure.breaks(
          name,
          measureWords(found.value, found.unit),
          measureWords(target, unit),
          tolerance
        ),
      },
    ]
  })
}

function unmetContacts(card: Card): Found[] {
  return keyframesOf(card).frames.flatMap(({ where, id, figure }) =>
    solved(figure).unmet.map((unmet) => ({ where, message: SAY.figure.of(id, unmet.message) }))
  )
}

/** Where a direction on the floor points, for the person: `front`, `left` … */
function towards(
  f: Solved,
  [x, z]: readonly [number, number]
): 'front' | 'back' | 'left' | 'right' {
  const turn = floorTurn(pelvisWay(f), [x, 0, z])
  if (Math.abs(turn) <= 45) return 'front'
  if (Math.abs(turn) >= 135) return 'back'
  return turn > 0 ? 'left' : 'right'
}

/** Drawn forms that nothing can hold: what is told of a fall, or null. */
export function fallWords(f: Solved, stature = USUAL_STATURE): string | null {
  const fall = fallOf(f)
  if (!fall) return null
  if (fall.by === null) return SAY.figure.noSupport
  return SAY.figure.falls(Math.max(0.1, fall.by * stature), towards(f, fall.way))
}

/** Every drawn form, and what can be told of how it stands: worked out once for each. */
function onFrames(tell: (figure: Figure) => string[]): Rule['check'] {
  const told = rememberOf(tell)
  return (card) =>
    keyframesOf(card).frames.flatMap(({ figure, where, id }) =>
      told(figure).map((words) => ({ where, message: SAY.figure.of(id, words) }))
    )
}

const falls = onFrames((figure) => {
  const f = solved(figure)
  // What is not reached may be what holds it: that is told by itself.
  const words = f.unmet.length > 0 ? null : fallWords(f)
  return words ? [words] : []
})

const outOfRange = onFrames((figure) => [
  ...pastLimits(figure).map((past) => SAY.figure.pastLimit(past)),
  ...pastHamstring(solved(figure)).map(({ side, hip, most }) =>
    SAY.figure.hamstring(side, Math.round(hip), Math.round(most))
  ),
])

const clashes = onFrames((figure) =>
  clashesIn(solved(figure)).map(({ parts: [a, b], deep }) =>
    SAY.figure.clash(a, b, deep * USUAL_STATURE)
  )
)

const shownMarks = new WeakMap<object, Map<string, ReturnType<typeof markShown>>>()

/** Whether a mark is drawn on a form, worked out once. */
function shownOn(figure: Figure, mark: CueMark, context: MeasureContext) {
  const known = shownMarks.get(figure) ?? new Map<string, ReturnType<typeof markShown>>()
  shownMarks.set(figure, known)
  const key = [mark.kind, mark.part, mark.way, context.lead, context.namedBy].join()
  const shown = known.get(key) ?? markShown(mark, figure, solved(figure), context)
  known.set(key, shown)
  return shown
}

/** Why a mark cannot be drawn on the final form; null when it can. */
export function markProblem(card: Card, mark: CueMark): string | null {
  const final = finalFigure(card)?.figure
  if (!final) return null
  const { sided, middle } = markParts(mark.kind)
  const context = { lead: card.writtenFor, namedBy: namedRole(card) }
  const shown = shownOn(final, mark, context)
  if (shown === 'drawn') return null
  return shown === 'no part'
    ? SAY.figure.noMark(
        FIGURE.markWords(mark),
        [...middle, ...sided.map((part) => `left ${part}`)].join(', ')
      )
    : SAY.figure.overFace(FIGURE.markWords(mark))
}

function marks(card: Card): Found[] {
  let drawn = 0
  return card.alignment.flatMap(({ mark }, i): Found[] => {
    if (!mark) return []
    const problem = markProblem(card, mark)
    const where = `alignment[${i}].mark`
    if (problem) return [{ where, message: problem }]
    drawn += 1
    return drawn > MOST_MARKS ? [{ where, message: SAY.figure.manyMarks(MOST_MARKS) }] : []
  })
}

/** The rules about figures. */
export const figureRules: readonly Rule[] = [
  {
    id: 'figure/can-be-read',
    ...RULE_WORDS['figure/can-be-read'],
    source: 'format',
    severity: 'stop',
    check: (card) =>
      keyframesOf(card).problems.map(({ where, problem }) => ({
        where,
        message: SAY.figure.unread(problem),
      })),
  },
  {
    id: 'figure/contacts-are-met',
    ...RULE_WORDS['figure/contacts-are-met'],
    source: 'common practice',
    severity: 'note',
    check: unmetContacts,
  },
  {
    id: 'figure/keeps-the-cues',
    ...RULE_WORDS['figure/keeps-the-cues'],
    source: 'common practice',
    severity: 'mend',
    check: brokenCues,
  },
  {
    id: 'figure/does-not-fall',
    ...RULE_WORDS['figure/does-not-fall'],
    source: 'common practice',
    severity: 'mend',
    check: falls,
  },
  {
    id: 'figure/within-its-ranges',
    ...RULE_WORDS['figure/within-its-ranges'],
    source: 'published',
    severity: 'mend',
    check: outOfRange,
  },
  {
    id: 'figure/limbs-apart',
    ...RULE_WORDS['figure/limbs-apart'],
    source: 'common practice',
    severity: 'mend',
    check: clashes,
  },
  {
    id: 'figure/marks-are-drawn',
    ...RULE_WORDS['figure/marks-are-drawn'],
    source: 'common practice',
    severity: 'note',
    check: marks,
  },
]
