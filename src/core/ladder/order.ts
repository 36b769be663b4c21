import {
  type Card,
  DEMANDED,
  type Demanded,
  type Found,
  freshId,
  type Rule,
  type Rung,
  type School,
} from '../card'
import {
  type Figure,
  finalFigure,
  differenceFrom,
  measureWords,
  mirroredSolved,
  solved,
} from '../figure'
import { LADDER, rememberOf, rememberWith, RULE_WORDS } from '../language'
import { apart } from '../reading'
import { plainText } from '../sides'
import { type Demand, demandOf, demandsOf, heldSeconds, type RungDemand } from './demand'
import { asksLess, LESS, moved } from './place'
import { halfway } from './proposals'
import { rungForm } from './rungForm'
import { signRead } from './signs'

/**
 * Whether a ladder climbs. Only rungs whose form is known are compared: what cannot be told is
 * never called wrong.
 */

/** A step this high, of one part or in all, wants a rung between. Our own, set by trying. */
export const LEAP = 50
export const LEAP_TOTAL = 18
/** Rungs whose parts are all nearer than this, and whose joints are nearer than this, are the same. */
export const SAME = 3
export const SAME_CM = 2.5
/** A part has to be this much less for a rung to take it away. */
export const TAKES = 5

interface Rated extends RungDemand {
  index: number
  rung: Rung
  /** Its name in plain words. */
  name: string
}

/** The rungs of the climb, from the bottom up; what stands beside it is left out. */
const climb = rememberWith((card: Card, school: School): Rated[] => {
  const options = { language: card.language }
  return demandsOf(card, school).flatMap((each, index): Rated[] => {
    const rung = card.ladder[index]!
    if (rung.beside) return []
    return [{ ...each, index, rung, name: plainText(rung.name, options) || rung.id }]
  })
})

const known = (rungs: readonly Rated[]): (Rated & { demand: Demand })[] =>
  rungs.filter((each): each is Rated & { demand: Demand } => each.sure && each.demand !== null)

const round = (value: number) => Math.round(value)
const value = ({ demand }: { demand: Demand }, part: Demanded) => demand.parts[part].value
const figureOf = (card: Card, { id }: { id: string }): Figure | null => rungForm(card, id).figure

/** A prop on a lower rung that the rung above does without. */
const ownProps = (lower: Rated, upper: Rated, card: Card): string[] => {
  const of = ({ rung }: Rated) => (rung.props.length ? rung.props : card.setUp.props)
  return of(lower).filter((prop) => !of(upper).includes(prop))
}

/** Whether a lower rung goes further than the one above it by a prop that it should lean on. */
function deepensBy(
  lower: Rated & { demand: Demand },
  upper: Rated & { demand: Demand },
  card: Card
) {
  const [prop] = ownProps(lower, upper, card)
  if (prop === undefined) return null
  return value(lower, 'range') > value(upper, 'range') + TAKES ? prop : null
}

function climbs(card: Card, school: School): Found[] {
  const rungs = known(climb(card, school))
  // Against the most asking of those below: one finding for one rung in a wrong place.
  const wrong = asksLess(rungs.map(({ id, demand }) => ({ id, total: demand.total })))
  return wrong.flatMap(({ id, below }): Found[] => {
    const [upper, lower] = [id, below].map((each) => rungs.find((rung) => rung.id === each)!)
    if (!upper || !lower) return []
    if (deepensBy(lower, upper, card)) return []
    const less = DEMANDED.filter((part) => value(upper, part) < value(lower, part) - 1)
      .sort((a, b) => value(upper, a) - value(lower, a) - (value(upper, b) - value(lower, b)))
      .map((part) => LADDER.order.jump(part, round(value(lower, part)), round(value(upper, part))))
      .join(', ')
    const place = rungs.find((each) => each.demand.total > upper.demand.total + LESS)!
    return [
      {
        where: `ladder[${upper.index}]`,
        message: LADDER.order.climbs(
          upper.name,
          lower.name,
          round(upper.demand.total),
          round(lower.demand.total),
          less
        ),
        fix: {
          label: LADDER.order.move(upper.name, place.name),
          patches: [{ path: 'ladder', value: moved(card.ladder, upper.index, place.index) }],
        },
      },
    ]
  })
}

/** Whether a form asks for something between two others, so that it shortens the step. */
const between = (a: Demand, middle: Demand, b: Demand) =>
  middle.total > a.total + 0.5 && middle.total < b.total - 0.5

/** A draft rung halfway between two, when a body can stand there and it asks for what lies between. */
function halfwayRung(
  card: Card,
  school: School,
  lower: Rated & { demand: Demand },
  upper: Rated & { demand: Demand }
): Rung | null {
  const [from, to] = [figureOf(card, lower), figureOf(card, upper)]
  const form = from && to && halfway(from, to)
  if (!form) return null
  const demand = demandOf(form, heldSeconds(card, school), { weights: school.weights })
  if (!between(lower.demand, demand, upper.demand)) return null
  const described = card.ladder.find((rung) => rung.reference)
  const reference = described?.figure ? figureOf(card, described) : null
  return {
    // What the rung below says is nearest to it; the trainer goes on from there.
    ...lower.rung,
    reference: undefined,
    id: freshId(
      'r',
      card.ladder.map(({ id }) => id)
    ),
    name: LADDER.order.between(lower.name, upper.name).slice(0, 200),
    steps: { ...lower.rung.steps, add: [] },
    cues: undefined,
    figure: (reference ? differenceFrom(reference, form) : form) as Rung['figure'],
    upWhen: [],
    downWhen: [],
  }
}

function leaps(card: Card, school: School): Found[] {
  const rungs = climb(card, school)
  return rungs.flatMap((each, i): Found[] => {
    const below = rungs[i - 1]
    if (!below?.demand || !each.demand || !below.sure || !each.sure) return []
    const [lower, upper] = [below, each] as (Rated & { demand: Demand })[]
    const jumps = DEMANDED.filter((part) => part !== 'time')
      .filter((part) => value(upper!, part) - value(lower!, part) > LEAP)
      .sort((a, b) => value(upper!, b) - value(lower!, b) - (value(upper!, a) - value(lower!, a)))
    const whole = upper!.demand.total - lower!.demand.total > LEAP_TOTAL
    if (jumps.length === 0 && !whole) return []
    const what = [
      ...jumps.map((part) =>
        LADDER.order.jump(part, round(value(lower!, part)), round(value(upper!, part)))
      ),
      ...(whole
        ? [LADDER.order.jumpTotal(round(lower!.demand.total), round(upper!.demand.total))]
        : []),
    ].join(', ')
    const parts = jumps.length
      ? jumps
      : [...DEMANDED]
          .sort(
            (a, b) => value(upper!, b) - value(lower!, b) - (value(upper!, a) - value(lower!, a))
          )
          .slice(0, 1)
    const draft = halfwayRung(card, school, lower!, upper!)
    return [
      {
        where: `ladder[${upper!.index}]`,
        message: LADDER.order.leap(
          lower!.name,
          upper!.name,
          what,
          [
            ...(draft ? [LADDER.order.halfway] : []),
            ...parts.map((part) => LADDER.bridges[part]),
          ].join('; ')
        ),
        ...(draft
          ? {
              fix: {
                label: LADDER.order.insert(draft.name),
                patches: [{ path: 'ladder', value: card.ladder.toSpliced(upper!.index, 0, draft) }],
              },
            }
          : {}),
      },
    ]
  })
}

const near = (a: Demand, b: Demand) =>
  DEMANDED.every((part) => Math.abs(a.parts[part].value - b.parts[part].value) < SAME)

function twins(card: Card, school: School): Found[] {
  // A form that words move is not exact enough to be called the same.
  const rungs = known(climb(card, school)).filter(({ from }) => from !== 'words')
  return rungs.flatMap((upper, i): Found[] => {
    const lower = rungs
      .slice(0, i)
      .find((each) => near(each.demand, upper.demand) && sameForm(card, each, upper))
    if (!lower) return []
    return [{ where: `ladder[${upper.index}]`, message: LADDER.order.same(lower.name, upper.name) }]
  })
}

/** Whether two rungs have one form: nothing that touches, and no joint, is elsewhere. */
function sameForm(card: Card, a: Rated, b: Rated): boolean {
  const [one, two] = [figureOf(card, a), figureOf(card, b)]
  if (!one || !two) return false
  const touch = ({ contacts, straps }: Figure) =>
    JSON.stringify([contacts.map(({ part, on }) => `${part} ${on}`).sort(), straps])
  return touch(one) === touch(two) && apart(solved(one), solved(two)) < SAME_CM
}

/** What a rung says in words: its name, and what it does in place of and besides the steps. */
const wordsOf = ({ name, rung }: Rated): string[] => [
  name,
  ...rung.steps.replace.map(({ text }) => text),
  ...rung.steps.add.map(({ step }) => step.text),
]

function props(card: Card, school: School): Found[] {
  const rungs = climb(card, school)
  const sure = known(rungs)
  const described = rungs.findIndex(({ rung }) => rung.reference)
  return rungs.flatMap((lower, i): Found[] => {
    const where = `ladder[${lower.index}]`
    const upper = sure.find(({ index }) => index > lower.index)
    const mine = sure.find(({ index }) => index === lower.index)
    const prop = mine && upper ? deepensBy(mine, upper, card) : null
    if (prop && upper)
      return [{ where, message: LADDER.order.deepens(lower.name, upper.name, prop) }]
    // Without a drawing only the words tell, and only of a rung that is to be easier.
    if (lower.from === 'kept' || i >= described || lower.rung.props.length === 0) return []
    return wordsOf(lower).some((words) => LADDER.deepens(words))
      ? [{ where, message: LADDER.order.deepensByWords(lower.name) }]
      : []
  })
}

/** Parts that a rung can take away, each by a way of its own. */
const TAKEN: readonly Demanded[] = ['range', 'strength', 'balance', 'hands', 'head']

function easier(card: Card, school: School): Found[] {
  const rungs = climb(card, school)
  const at = rungs.findIndex(({ rung }) => rung.reference)
  const described = rungs[at]
  if (!described || rungs.length < 2) return []
  const where = `ladder[${described.index}]`
  const below = rungs.slice(0, at)
  if (below.length === 0) return [{ where, message: LADDER.order.nothingBelow(described.name) }]
  if (!described.demand || !described.sure || below.some(({ sure }) => !sure)) return []
  const mine = described as Rated & { demand: Demand }
  const takes = known(below).some((each) =>
    TAKEN.some((part) => value(each, part) <= value(mine, part) - TAKES)
  )
  // A form that asks hardly anything has nothing to be taken away.
  const asks = TAKEN.some((part) => value(mine, part) >= 2 * TAKES)
  return takes || !asks ? [] : [{ where, message: LADDER.order.noEasier(described.name) }]
}

function signs(card: Card, school: School): Found[] {
  const rungs = climb(card, school)
  if (rungs.length < 2) return []
  return rungs.flatMap(({ rung, name, index }, i): Found[] => [
    ...(i < rungs.length - 1 && !rung.upWhen.some((sign) => sign.trim())
      ? [{ where: `ladder[${index}].upWhen`, message: LADDER.order.noUp(name) }]
      : []),
    ...(i > 0 && !rung.downWhen.some((sign) => sign.trim())
      ? [{ where: `ladder[${index}].downWhen`, message: LADDER.order.noDown(name) }]
      : []),
  ])
}

/** An up-sign that is tied to a measure, and that the rung’s own figure does not meet. */
function signsMet(card: Card): Found[] {
  return card.ladder.flatMap((rung, i) =>
    rung.upWhen.flatMap((sign, k): Found[] => {
      const read = signRead(card, rung.id, sign)
      if (!read || read.off === 0 || !read.sure) return []
      return [
        {
          where: `ladder[${i}].upWhen[${k}]`,
          message: LADDER.order.signOff(
            plainText(rung.name, { language: card.language }) || rung.id,
            sign,
            measureWords(read.value, read.unit)
          ),
        },
      ]
    })
  )
}

/** Two drawn forms are one and the same within this many centimetres. */
const ONE_FORM_CM = 3

const mirrored = rememberOf(mirroredSolved)

function bothSides(card: Card, school: School): Found[] {
  if (card.sides === 'even') return []
  const rungs = climb(card, school)
  const found = rungs.flatMap(({ rung, name, index }): Found[] =>
    (rung.cues?.add ?? []).flatMap((cue, k): Found[] =>
      cue.on === 'both'
        ? []
        : [
            {
              where: `ladder[${index}].cues.add[${k}]`,
              message: LADDER.order.oneSide(name, plainText(cue.text, { language: card.language })),
            },
          ]
    )
  )
  const drawn = rungs.filter(({ from }) => from === 'kept')
  const reference = finalFigure(card)?.figure
  for (const [i, each] of drawn.entries()) {
    const mine = solved(figureOf(card, each)!)
    const across = mirrored(mine)
    const self = apart(across, mine) < ONE_FORM_CM
    if (self) continue
    const twin = drawn.slice(0, i).find((other) => {
      const theirs = solved(figureOf(card, other)!)
      return apart(theirs, across) < ONE_FORM_CM && apart(theirs, mine) > 2 * ONE_FORM_CM
    })
    if (twin)
      found.push({
        where: `ladder[${each.index}].figure`,
        message: LADDER.order.mirrored(twin.name, each.name),
      })
    else if (reference && !each.rung.reference) {
      const theirs = solved(reference)
      // Much nearer to the described form when it is seen in a mirror: it leads with the other side.
      if (apart(theirs, across) * 3 < apart(theirs, mine) - ONE_FORM_CM)
        found.push({
          where: `ladder[${each.index}].figure`,
          message: LADDER.order.otherLead(each.name),
        })
    }
  }
  return found
}

/**
 * What a rule tells of a ladder, worked out once for each: a letter that is typed into a step
 * changes no rung.
 */
function onLadder(check: (card: Card, school: School) => Found[]): Rule['check'] {
  const known = new WeakMap<Card['ladder'], { of: unknown[]; found: Found[] }>()
  return (card, school) => {
    const { ladder, setUp, sides, writtenFor, language, stay } = card
    const rungs = climb(card, school)
    const of = [
      ...[school, setUp, sides, writtenFor, language, stay],
      ...rungs.flatMap(({ demand, sure }) => [demand, sure]),
    ]
    const before = known.get(ladder)
    if (before?.of.length === of.length && before.of.every((each, i) => each === of[i]))
      return before.found
    const found = check(card, school)
    known.set(ladder, { of, found })
    return found
  }
}

/** The rules about the order of the rungs. */
export const ladderRules: readonly Rule[] = [
  {
    id: 'ladder/climbs',
    ...RULE_WORDS['ladder/climbs'],
    source: 'common practice',
    severity: 'mend',
    check: onLadder(climbs),
  },
  {
    id: 'ladder/no-leaps',
    ...RULE_WORDS['ladder/no-leaps'],
    source: 'common practice',
    severity: 'note',
    check: onLadder(leaps),
  },
  {
    id: 'ladder/rungs-differ',
    ...RULE_WORDS['ladder/rungs-differ'],
    source: 'common practice',
    severity: 'note',
    check: onLadder(twins),
  },
  {
    id: 'ladder/props-support',
    ...RULE_WORDS['ladder/props-support'],
    source: 'common practice',
    severity: 'mend',
    check: onLadder(props),
  },
  {
    id: 'ladder/has-an-easier-way',
    ...RULE_WORDS['ladder/has-an-easier-way'],
    source: 'common practice',
    severity: 'note',
    check: onLadder(easier),
  },
  {
    id: 'ladder/has-signs',
    ...RULE_WORDS['ladder/has-signs'],
    source: 'common practice',
    severity: 'note',
    check: signs,
  },
  {
    id: 'ladder/signs-are-met',
    ...RULE_WORDS['ladder/signs-are-met'],
    source: 'common practice',
    severity: 'note',
    check: signsMet,
  },
  {
    id: 'ladder/same-on-both-sides',
    ...RULE_WORDS['ladder/same-on-both-sides'],
    source: 'common practice',
    severity: 'mend',
    check: onLadder(bothSides),
  },
]
