import { type Card, stepLists } from '../card'
import {
  type BodyPart,
  type Instruction,
  type LineRead,
  type Place,
  readerOf,
  rememberIn,
  rememberOf,
  rememberWith,
} from '../language'
import { type SidedLine, sidedLines } from '../sides'
import { type Known, knownOf, NOTHING_KNOWN, settledAfter } from './settle'

const NOT_READ: LineRead = { instructions: [], notUnderstood: [] }

/** A line as its language reads it, worked out once. */
const read = rememberIn((text, language): LineRead => {
  const reader = readerOf(language)
  return reader ? reader.read(text) : { ...NOT_READ, notUnderstood: text ? [[0, text.length]] : [] }
})

/** What a line asks for by itself. A language that cannot be read yet understands nothing. */
export function readLine(text: string, language = 'en'): LineRead {
  const { instructions, ...rest } = read(text, language)
  return { ...rest, instructions: settledAfter(NOTHING_KNOWN)(instructions).settled }
}

/** The parts of the body that a line names, worked out once; none in a language that is not read. */
export const partsIn = rememberIn(
  (text, language): readonly BodyPart[] => readerOf(language)?.parts(text) ?? []
)

/** The props that a line names, worked out once; none in a language that is not read. */
export const propsIn = rememberIn(
  (text, language): readonly string[] => readerOf(language)?.props(text) ?? []
)

/** The position that a set-up line begins in, worked out once. */
export const startIn = rememberIn((text, language) => readerOf(language)?.start(text) ?? null)

/** A line of a card with what was read in it. */
export interface ReadLine extends LineRead {
  /** Path of its text on the card. */
  where: string
  text: string
  field: string
  /** Id of the step or the cue whose text it is. */
  id?: string
}

/** Whether a line is that of a step. */
export const isStep = ({ field }: ReadLine): boolean => STEP_FIELDS.has(field)
const STEP_FIELDS: ReadonlySet<string> = new Set(stepLists().map(({ list }) => list))

/** Where the lines that are read stand, in the order of the work. */
const PLACES = ['setUp.place', 'setUp.note', 'enter', 'alignment', 'otherWay', 'exit']
/** Which of them a line stands at; -1 for one that is not read. */
const placeOf = ({ where, field }: SidedLine) => PLACES.indexOf(field === 'setUp' ? where : field)

/** A line with what it means after what is known before it, and what is known after it. */
const readAfter = rememberWith(
  ({ where, text, field, owner }: SidedLine, known: Known, language: string) => {
    const { instructions, ...rest } = read(text, language)
    const { id } = owner.value as { id?: string }
    const now = settledAfter(known)(instructions)
    const line: ReadLine = { where, text, field, id, ...rest, instructions: now.settled }
    return { read: line, after: field === 'alignment' ? now.afterCue() : now.after }
  }
)

/**
 * The set-up, the steps and the cues of a card, read in order: relative words are settled by
 * what the side is named by and by the lines before.
 */
export const readCard = rememberOf((card: Card): readonly ReadLine[] => {
  let known = knownOf(card)
  const byPlace = PLACES.map((): SidedLine[] => [])
  for (const line of sidedLines(card)) {
    const place = placeOf(line)
    if (place >= 0) byPlace[place]!.push(line)
  }
  return byPlace.flat().map((line) => {
    const { read, after } = readAfter(line, known, card.language)
    known = after
    return read
  })
})

/** The lines of a card by their paths. */
export const lineAt = rememberOf(
  (card: Card): ReadonlyMap<string, ReadLine> =>
    new Map(readCard(card).map((line) => [line.where, line]))
)

/** The lines of the steps of a card, in the order of the work. */
export const stepLines = rememberOf((card: Card) => readCard(card).filter(isStep))

/** How a relative word is said. */
const CALLED: Record<string, string> = { up: 'top', low: 'bottom' }

const placeWords = ({ relation, part, thing, side, role }: Place): string =>
  [
    relation === 'to' ? '' : relation,
    part && side ? side : role ? (CALLED[role] ?? role) : '',
    thing === 'you' ? 'you' : (part ?? thing ?? ''),
  ]
    .filter(Boolean)
    .join(' ')

/** How a part goes only where it goes to a place as well. */
const BESIDE_A_PLACE = new Set([
  'level',
  'straight',
  'still',
  'soft',
  'long',
  'high',
  'low',
  'bent',
])

/** Where an instruction leads, in words: `back`, `up and back`, `over right ankle`; null when it tells none. */
export function toWords({ ways, places }: Instruction): string | null {
  const said = new Set(places.map(({ thing }) => thing))
  const kept = ways.filter(
    (way) =>
      places.length === 0 ||
      !(
        BESIDE_A_PLACE.has(way) ||
        (way === 'up' &&
          (said.has('ceiling') || places.some(({ relation }) => relation === 'level with'))) ||
        (way === 'down' && (said.has('floor') || said.has('mat'))) ||
        (way === 'out' && places.some(({ relation }) => relation === 'in front of'))
      )
  )
  const words = [kept.join(' and '), ...places.map(placeWords)].filter(Boolean).join(' ')
  return words || null
}
