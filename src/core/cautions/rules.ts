import {
  type Card,
  type Caution,
  type Found,
  type Rule,
  type School,
  titleOf,
  usualRule,
  type Verdict,
} from '../card'
import { LABELS, SAY_CAUTIONS } from '../language'
import { plainText } from '../sides'
import { nearestConditions } from './conditions'
import {
  basisFor,
  describedCell,
  heldAgainst,
  isClosed,
  isOverride,
  type Judged,
  judgedCard,
  openBelow,
  type Row,
  typedOn,
} from './judged'
import { letsIn, waysOut } from './waysOut'
import { isOpen, stricter } from './verdicts'

const said = (verdict: Verdict) => LABELS.verdict[verdict]

const rungName = (card: Card, { rungs }: Judged, id: string) => {
  const name = rungs.find((each) => each.id === id)?.name
  return name ? plainText(name, card) : id
}

/** Rows of what is typed, with where it stands. */
function typedRows(card: Card, school: School): { caution: Caution; at: number; row: Row }[] {
  const { rows, typed } = judgedCard(card, school)
  return typed.flatMap(({ caution, at, condition }) => {
    const row = condition && rows.find((each) => each.condition.id === condition.id)
    return row ? [{ caution, at, row }] : []
  })
}

/** A typed verdict that is milder than what the body does there allows. */
function contradicts(card: Card, school: School): Found[] {
  const all = judgedCard(card, school)
  return typedRows(card, school).flatMap(({ caution, at, row }): Found[] => {
    if (isOverride(caution)) return []
    const { at: usual, verdict: known } = heldAgainst(card, row.cells, caution)
    if (!stricter(known, caution.verdict)) return []
    const sent = usual.rung !== describedCell(all, row).rung
    const below = openBelow(row, all.rungs.length)
    const offered = below && caution.rung !== below.rung && isOpen(caution.verdict) ? below : null
    const path = `cautions[${at}]`
    return [
      {
        where: `${path}.verdict`,
        message: SAY_CAUTIONS.contradicts(
          caution.condition,
          said(caution.verdict),
          said(known),
          usual.reason,
          sent ? rungName(card, all, usual.rung) : null,
          offered ? rungName(card, all, offered.rung) : null
        ),
        fix: {
          label: SAY_CAUTIONS.makeIt(said(known)),
          patches: [{ path: `${path}.verdict`, value: known }],
        },
      },
    ]
  })
}

/** A rung that people are sent to, above the form described, where no less is asked of them. */
function sentUp(card: Card, school: School): Found[] {
  const all = judgedCard(card, school)
  const described = all.rungs.findIndex((each) => each.described)
  return typedRows(card, school).flatMap(({ caution, at, row }): Found[] => {
    const to = all.rungs.findIndex(({ id }) => id === caution.rung)
    const [here, there] = [row.cells[described], row.cells[to]]
    if (!here || !there || to <= described || stricter(here.usual, there.usual)) return []
    const below = openBelow(row, described)
    return [
      {
        where: `cautions[${at}].rung`,
        message: SAY_CAUTIONS.sentUp(
          caution.condition,
          rungName(card, all, there.rung),
          said(there.usual),
          below ? rungName(card, all, below.rung) : null
        ),
        ...(below
          ? {
              fix: {
                label: SAY_CAUTIONS.sendTo(rungName(card, all, below.rung)),
                patches: [{ path: `cautions[${at}].rung`, value: below.rung }],
              },
            }
          : {}),
      },
    ]
  })
}

/** A typed verdict that keeps people away where nothing that is known asks for it. */
function stricterThanUsual(card: Card, school: School): Found[] {
  const all = judgedCard(card, school)
  return typedRows(card, school).flatMap(({ caution, at, row }): Found[] => {
    const here = describedCell(all, row)
    if (isOverride(caution) || here.usual !== 'fine' || caution.verdict !== 'avoid') return []
    return [
      {
        where: `cautions[${at}].reason`,
        message: SAY_CAUTIONS.noGround(caution.condition, said(caution.verdict)),
      },
    ]
  })
}

/** A reason that was given for something else than what is usual now. */
function staleReasons(card: Card, school: School): Found[] {
  return typedRows(card, school).flatMap(({ caution, at, row }): Found[] => {
    if (!isOverride(caution)) return []
    const now = basisFor(
      card,
      caution,
      row.cells.map((cell) => ({ ...cell, verdict: cell.usual }))
    )
    if (caution.over === now) return []
    const path = `cautions[${at}]`
    return [
      {
        where: `${path}.reason`,
        message:
          caution.over === undefined
            ? SAY_CAUTIONS.unrecorded(caution.condition, now)
            : SAY_CAUTIONS.stale(caution.condition, caution.over, now),
        fix: {
          label: SAY_CAUTIONS.stillHolds,
          patches: [{ path: `${path}.over`, value: now }],
        },
      },
    ]
  })
}

const unknownConditions = (card: Card, school: School): Found[] =>
  judgedCard(card, school).typed.flatMap(({ caution, at, condition }): Found[] => {
    if (condition || !caution.condition) return []
    const [near] = nearestConditions(caution.condition, school, 1)
    return [
      {
        where: `cautions[${at}].condition`,
        message: SAY_CAUTIONS.notKnown(caution.condition, near?.name),
      },
    ]
  })

/** Conditions that stand on the card twice, by whatever names. */
const twice = (card: Card, school: School): Found[] => {
  const { typed } = judgedCard(card, school)
  return typed.flatMap(({ caution, at, condition }, i): Found[] => {
    const before =
      condition && typed.slice(0, i).find((each) => each.condition?.id === condition.id)
    return before
      ? [
          {
            where: `cautions[${at}].condition`,
            message: SAY_CAUTIONS.twice(
              caution.condition,
              before.caution.condition,
              before.at + 1,
              said(before.caution.verdict),
              said(caution.verdict)
            ),
          },
        ]
      : []
  })
}

/** Conditions with which every rung is to be avoided, and no other card is named. */
function noWayOut(card: Card, school: School): Found[] {
  // A rung by itself, and a card on which nobody has been thought of yet, lead nowhere.
  if (card.ladder.length < 2 && (card.ladder.length === 1 || card.cautions.length === 0)) return []
  const { rows, typed } = judgedCard(card, school)
  const led = new Set(
    typed.flatMap(({ caution, condition }) => (condition && caution.instead ? [condition.id] : []))
  )
  const shut = rows.filter((row) => isClosed(row) && !led.has(row.condition.id))
  return shut.length === 0
    ? []
    : [
        {
          where: 'cautions',
          message: SAY_CAUTIONS.noWayOut(
            shut.map(({ condition }) => condition.name),
            [...new Set(shut.flatMap(({ cells }) => cells[0]!.reason))]
          ),
        },
      ]
}

/** Another card that is named for people who may not do it either, or that is not there. */
function insteadOpen(cards: readonly Card[], school: School): Map<string, Found[]> {
  const deck = new Map(cards.map((card) => [card.id, card]))
  return new Map(
    cards.flatMap((card): [string, Found[]][] => {
      const found = typedOn(card, school).flatMap(({ caution, at, condition }): Found[] => {
        if (caution.instead === undefined) return []
        const where = `cautions[${at}].instead`
        const other = deck.get(caution.instead)
        if (!other)
          return [{ where, message: SAY_CAUTIONS.insteadGone(caution.condition, caution.instead) }]
        const row =
          condition &&
          judgedCard(other, school).rows.find((each) => each.condition.id === condition.id)
        if (!row || row.cells.some(({ verdict }) => letsIn(row.condition.id, verdict))) return []
        const [way] = waysOut(card, [condition.id], cards, school)
        return [
          {
            where,
            message: SAY_CAUTIONS.insteadShut(
              caution.condition,
              titleOf(other),
              way?.title ?? null
            ),
            ...(way
              ? {
                  fix: {
                    label: SAY_CAUTIONS.sendTo(way.title),
                    patches: [{ path: where, value: way.card }],
                  },
                }
              : {}),
          },
        ]
      })
      return found.length ? [[card.id, found]] : []
    })
  )
}

/** What cannot be told without a figure, and is not set by hand either. */
function cannotTell(card: Card, school: School): Found[] {
  const { rows, rungs } = judgedCard(card, school)
  if (card.enter.length === 0) return []
  const unseen = rungs.filter(
    ({ sure }, i) =>
      !sure &&
      rows.some(({ cells }) => cells[i]!.reason.some((why) => why === SAY_CAUTIONS.notDrawn))
  )
  return unseen.length === 0
    ? []
    : [
        {
          where: 'traits',
          message: SAY_CAUTIONS.cannotTell(
            unseen.map(({ name }) => plainText(name, card)).filter(Boolean)
          ),
        },
      ]
}

/** The rules about what a card says of conditions, held against what the body does in it. */
export const cautionRules: readonly Rule[] = [
  usualRule('cautions/contradict', 'mend', contradicts),
  usualRule('cautions/no-ground', 'note', stricterThanUsual),
  usualRule('cautions/reason-holds', 'mend', staleReasons, { source: 'school' }),
  usualRule('cautions/condition-known', 'note', unknownConditions),
  usualRule('cautions/rung-asks-less', 'mend', sentUp),
  usualRule('cautions/condition-once', 'mend', twice),
  usualRule('cautions/way-out', 'mend', noWayOut),
  usualRule('cautions/instead-open', 'mend', () => [], { deck: insteadOpen }),
  usualRule('cautions/can-tell', 'note', cannotTell, { whenAsked: true }),
]

/** What is kept with a reason that is given now. */
export function overNow(card: Card, caution: Caution, school: School): string | undefined {
  const { rows, typed } = judgedCard({ ...card, cautions: [caution] }, school)
  const condition = typed[0]?.condition
  const row = condition && rows.find((each) => each.condition.id === condition.id)
  if (!row) return undefined
  return basisFor(
    card,
    caution,
    row.cells.map((cell) => ({ ...cell, verdict: cell.usual }))
  )
}
