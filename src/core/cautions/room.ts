import { z } from 'zod'
import { type Card, LIMITS, titleOf, type Verdict } from '../card'
import { SAY_CAUTIONS } from '../language'
import { plainText } from '../sides'
import { type CautionSchool, judgedCard, type Row } from './judged'
import { STRICTNESS, together } from './verdicts'
import { letsIn, type WayOut, waysOut } from './waysOut'

/** Who is in a room: how many, and how many of them have what. Nobody is named. */
export const Room = z.strictObject({
  people: z
    .int({ error: 'should be a whole number of people' })
    .min(1, { error: 'should be 1 or more' })
    .max(500, { error: 'is more than 500 people' }),
  /** By the id of the condition. */
  counts: z
    .record(z.string().max(120), z.int().min(1).max(500))
    .refine((counts) => Object.keys(counts).length <= 200, { error: 'names too many conditions' }),
  cards: z.array(z.string().max(80)).max(LIMITS.files),
})
export type Room = z.infer<typeof Room>

/** Those in the room who have one thing, on one card. */
export interface InRoom {
  condition: string
  name: string
  people: number
  /** The highest rung for them; null when none lets them in. */
  rung: string | null
  verdict: Verdict
  change: string[]
  /** Where they go when no rung lets them in. */
  elsewhere: WayOut | null
}

/** One card for the people of a room. */
export interface RoomCard {
  id: string
  title: string
  rungs: { id: string; name: string; props: string[]; closedTo: number }[]
  who: InRoom[]
  /**
   * The rung that is offered to all at first: the highest, up to the form described, that lets
   * everyone in who is let in anywhere.
   */
  first: string
  /** Whether everyone is let in on it. */
  forAll: boolean
  /** What is said to all, so that no one is singled out. */
  say: string[]
  /** Changes that go against each other: they are told, and not said to all. */
  against: [string, string][]
  /** Props for everybody on the rung that is offered first, by name. */
  props: Record<string, number>
}

/** How many of a prop one person takes, and which: `2 blocks`, `a strap`, `blocks`. */
export function propCount(prop: string): { name: string; count: number } {
  const { count, name } = SAY_CAUTIONS.countOf(prop)
  return { name: SAY_CAUTIONS.oneOf(name), count }
}

function propsFor(props: readonly string[], people: number): Record<string, number> {
  const all: Record<string, number> = {}
  for (const prop of props) {
    const { name, count } = propCount(prop)
    // What is there already is not carried in.
    if (SAY_CAUTIONS.shared.test(name)) continue
    all[name] = (all[name] ?? 0) + count * people
  }
  return all
}

/**
 * What the people of a room do on one card. They are counted condition by condition: of one who
 * has two things the stricter holds, and who has them is for nobody to know.
 * @param deck where those go who are let in nowhere on the card
 */
export function roomCard(
  card: Card,
  room: Pick<Room, 'people' | 'counts'>,
  deck: readonly Card[],
  school: CautionSchool
): RoomCard {
  const judged = judgedCard(card, school)
  const present = judged.rows.filter(({ condition }) => (room.counts[condition.id] ?? 0) > 0)
  const lets = (row: Row, at: number) => letsIn(row.condition.id, row.cells[at]!.verdict)
  const who = present.map((row): InRoom => {
    const at = row.cells.findLastIndex((_, i) => lets(row, i))
    const cell = row.cells[Math.max(0, at)]!
    return {
      condition: row.condition.id,
      name: row.condition.name,
      people: Math.min(room.people, room.counts[row.condition.id]!),
      rung: at < 0 ? null : cell.rung,
      verdict: cell.verdict,
      change: cell.change,
      elsewhere: at < 0 ? (waysOut(card, [row.condition.id], deck, school)[0] ?? null) : null,
    }
  })
  // Whoever is let in on some rung is let in on the first one.
  const some = present.filter((row) => row.cells.some((_, i) => lets(row, i)))
  const ladder = judged.rungs.map((rung, i) => ({
    ...rung,
    i,
    shut: some.filter((row) => !lets(row, i)),
  }))
  const onLadder = ladder.filter(({ beside }) => !beside)
  const fewest = Math.min(...ladder.map(({ shut }) => shut.length))
  // The form described is where a class begins; what is above it is gone on to.
  const top = ladder.findIndex(({ described }) => described)
  const firstRung =
    onLadder.findLast(({ shut, i }) => shut.length === 0 && i <= top) ??
    onLadder.find(({ shut }) => shut.length === 0) ??
    ladder.findLast(({ shut }) => shut.length === 0) ??
    ladder.findLast(({ shut }) => shut.length === fewest)!
  const here = some.filter((row) => lets(row, firstRung.i)).map((row) => row.cells[firstRung.i]!)
  const all = here.length > 0 ? together(here) : null
  const opposed = new Set(all?.against.flat())
  const name = (rung: string) =>
    plainText(judged.rungs.find(({ id }) => id === rung)!.name, card) || titleOf(card)
  // What is said to all must be open to all; the rest is said so that nobody has to say why.
  const higher = onLadder.filter(({ i }) => i > firstRung.i)
  const shutAt = higher.findIndex(({ shut }) => shut.length > 0)
  const forAll = shutAt < 0 ? higher : higher.slice(0, shutAt)
  const forSome = shutAt < 0 ? [] : higher.slice(shutAt)
  const change = (all?.change ?? []).filter((each) => !opposed.has(each))
  return {
    id: card.id,
    title: titleOf(card),
    rungs: ladder.map(({ id, props, i }) => ({
      id,
      name: name(id),
      props,
      closedTo: present
        .filter((row) => !lets(row, i))
        .reduce((sum, { condition }) => sum + room.counts[condition.id]!, 0),
    })),
    who: who.sort(
      (a, b) =>
        Number(a.rung !== null) - Number(b.rung !== null) ||
        STRICTNESS.indexOf(a.verdict) - STRICTNESS.indexOf(b.verdict) ||
        a.name.localeCompare(b.name)
    ),
    first: firstRung.id,
    forAll: who.every(({ rung }) => rung !== null) && firstRung.shut.length === 0,
    say: [
      SAY_CAUTIONS.allBegin(name(firstRung.id)),
      ...change.map((each) => SAY_CAUTIONS.whoLikes(each)),
      ...(forAll.length > 0 ? [SAY_CAUTIONS.goOn(name(forAll.at(-1)!.id))] : []),
      ...(forSome.length > 0 ? [SAY_CAUTIONS.someGoOn(name(forSome.at(-1)!.id))] : []),
      SAY_CAUTIONS.anyPain,
    ],
    against: all?.against ?? [],
    props: propsFor(
      firstRung.props.length > 0 || !firstRung.described ? firstRung.props : card.setUp.props,
      room.people
    ),
  }
}

/** What a room needs of each prop for the card that takes the most. */
export function propsOf(cards: readonly RoomCard[]): Record<string, number> {
  const most: Record<string, number> = {}
  for (const { props } of cards)
    for (const [name, count] of Object.entries(props)) most[name] = Math.max(most[name] ?? 0, count)
  return most
}
