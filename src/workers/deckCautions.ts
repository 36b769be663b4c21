import { type Card, type School, titleOf, type Verdict } from '@/core/card'
import {
  basisOf,
  type Cell,
  type Condition,
  conditionsOf,
  type Judged,
  judgedCard,
  propsOf,
  type Room,
  roomCard,
  type RoomCard,
  type Row,
  ruleWords,
  traitWords,
  type WayOut,
  waysOut,
  askedOf,
} from '@/core/cautions'
import { rememberOf } from '@/core/language'
import { plainText } from '@/core/sides'

/** What is asked of the deck; it is loaded once, and each answer carries the number of its question. */
export type CautionsJob = { n: number } & (
  | { ask: 'load'; cards: { card: Card }[]; school: School }
  /** Why a condition has its verdicts on a card. */
  | { ask: 'why'; card: string; condition: string }
  /** What other rules of the school would change. */
  | { ask: 'changes'; school: School }
  | { ask: 'room'; room: Room }
)

/** How a cell came about, for the eye: by the policy, by the card, against it. */
export type CellBy = 'policy' | 'card' | 'reason' | 'stale' | 'milder'

export interface SeenCell {
  verdict: Verdict
  by: CellBy
}

export interface SeenCard {
  id: string
  title: string
  base: Card['base']
  spine: Card['spine']
  rungs: { id: string; name: string; described: boolean; sure: boolean }[]
  /** By the place of the condition, then of the rung. */
  cells: SeenCell[][]
}

/** One number that a verdict follows from: what is read off, and from where on the rule counts. */
export interface Ground {
  read: string
  rule: string
  verdict: Verdict
  change: string
  say: string
  basis: string
  source: string
}

export interface SeenWhy {
  condition: Condition
  rungs: {
    id: string
    name: string
    described: boolean
    /** Whether its form is known. */
    sure: boolean
    verdict: Verdict
    usual: Verdict
    by: CellBy
    change: string[]
    reason: string[]
    grounds: Ground[]
    /** What the card says of it. */
    typed: string
    /** What is usual, as it is kept with a reason. */
    basis: string
  }[]
  /** Where else one may go; null when the deck is not looked at. */
  ways: WayOut[] | null
}

/** One verdict that other rules would change. */
export interface Change {
  card: string
  title: string
  rung: string
  condition: string
  from: Verdict
  to: Verdict
}

export type CautionsAnswer =
  | { n: number; told: 'progress'; done: number; total: number }
  | {
      n: number
      told: 'matrix'
      conditions: readonly Condition[]
      cards: SeenCard[]
      failed: string[]
    }
  | { n: number; told: 'why'; why: SeenWhy | null }
  | { n: number; told: 'changes'; changes: Change[]; cards: number; rungs: number }
  | { n: number; told: 'room'; cards: RoomCard[]; props: Record<string, number> }

const EVERY = 10
const MOST_WAYS = 8

export const byOf = (cell: Cell): CellBy =>
  cell.stale ? 'stale' : cell.milder ? 'milder' : cell.by

const nameOf = (card: Card, { id, name }: { id: string; name: string }) =>
  plainText(name, card) || titleOf(card) || id

/** Cards that ask the same share their rows. */
const seenCells = rememberOf(({ cells }: Row) =>
  cells.map((cell): SeenCell => ({ verdict: cell.verdict, by: byOf(cell) }))
)

function seenCard(card: Card, { rungs, rows }: Judged): SeenCard {
  return {
    id: card.id,
    title: titleOf(card),
    base: card.base,
    spine: card.spine,
    rungs: rungs.map((rung) => ({
      id: rung.id,
      name: nameOf(card, rung),
      described: rung.described,
      sure: rung.sure,
    })),
    cells: rows.map(seenCells),
  }
}

/** Everything that is behind the verdicts of one condition on one card. */
export function whyOf(
  card: Card,
  condition: string,
  deck: readonly Card[] | null,
  school: School
): SeenWhy | null {
  const { rungs, rows } = judgedCard(card, school)
  const row = rows.find((each) => each.condition.id === condition)
  if (!row) return null
  const asked = askedOf(card, school)
  return {
    condition: row.condition,
    rungs: row.cells.map((cell, i) => ({
      id: cell.rung,
      name: nameOf(card, rungs[i]!),
      described: rungs[i]!.described,
      sure: rungs[i]!.sure,
      verdict: cell.verdict,
      usual: cell.usual,
      by: byOf(cell),
      change: cell.change,
      reason: cell.reason,
      grounds: cell.rules.map((rule) => ({
        read: traitWords(rule.trait, asked[i]!.traits[rule.trait]),
        rule: ruleWords(rule),
        verdict: rule.verdict,
        change: rule.change,
        say: rule.say ?? '',
        basis: rule.basis,
        source: rule.source ?? '',
      })),
      basis: basisOf({ ...cell, verdict: cell.usual }),
      typed: cell.typed
        ? [cell.typed.caution.say, cell.typed.caution.reason].filter(Boolean).join(' · ')
        : '',
    })),
    ways: deck && waysOut(card, [condition], deck, school).slice(0, MOST_WAYS),
  }
}

/** The verdicts that differ under other rules; conditions that only one of them knows are left out. */
export function changesOf(cards: readonly Card[], from: School, to: School): Change[] {
  return cards.flatMap((card) => {
    const before = new Map(judgedCard(card, from).rows.map((row) => [row.condition.id, row]))
    // The memory of the card holds one school: the first is asked for before the second.
    const { rows, rungs } = judgedCard(card, to)
    return rows.flatMap((row) => {
      const was = before.get(row.condition.id)
      if (!was) return []
      return row.cells.flatMap((cell, i): Change[] =>
        cell.verdict === was.cells[i]!.verdict
          ? []
          : [
              {
                card: card.id,
                title: titleOf(card),
                rung: nameOf(card, rungs[i]!),
                condition: row.condition.name,
                from: was.cells[i]!.verdict,
                to: cell.verdict,
              },
            ]
      )
    })
  })
}

/** Follows one deck: it is loaded once, then asked. A card that cannot be worked out is told, and the others go on. */
export function followDeck(): (job: CautionsJob, tell: (answer: CautionsAnswer) => void) => void {
  let cards: Card[] = []
  let school: School
  const byId = () => new Map(cards.map((card) => [card.id, card]))
  return (job, tell) => {
    const { n } = job
    switch (job.ask) {
      case 'load': {
        school = job.school
        const failed: string[] = []
        const kept: Card[] = []
        const seen = job.cards.flatMap(({ card }, i): SeenCard[] => {
          if ((i + 1) % EVERY === 0)
            tell({ n, told: 'progress', done: i + 1, total: job.cards.length })
          try {
            const one = seenCard(card, judgedCard(card, school))
            kept.push(card)
            return [one]
          } catch {
            failed.push(card.id)
            return []
          }
        })
        cards = kept
        tell({ n, told: 'matrix', conditions: conditionsOf(school), cards: seen, failed })
        return
      }
      case 'why': {
        const card = byId().get(job.card)
        const why = card ? whyOf(card, job.condition, cards, school) : null
        tell({ n, told: 'why', why })
        return
      }
      case 'changes': {
        const changes = changesOf(cards, school, job.school)
        tell({
          n,
          told: 'changes',
          changes,
          cards: new Set(changes.map(({ card }) => card)).size,
          rungs: new Set(changes.map(({ card, rung }) => `${card} ${rung}`)).size,
        })
        return
      }
      case 'room': {
        const known = byId()
        const all = job.room.cards.flatMap((id) => known.get(id) ?? [])
        const told = all.map((card) => roomCard(card, job.room, cards, school))
        tell({ n, told: 'room', cards: told, props: propsOf(told) })
      }
    }
  }
}
