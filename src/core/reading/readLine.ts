import { type Card, stepLists } from '../card'
import {
  type BodyPart,
  type Instruction,
  type LineRead,
  type Place,
  readerOf,
  rememberIn,
  rememberOf,
} from '../language'
import { sidedLines } from '../sides'
import { knownOf, NOTHING_KNOWN, settledAfter } from './settle'

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

/** A line of a card with what was read in it. */
export interface ReadLine extends LineRead {
  /** Path of its text on the card. */
  where: string
  text: string
  field: string
}

/** Whether a line is that of a step. */
export const isStep = ({ where }: ReadLine): boolean =>
  stepLists().some(({ list }) => where.startsWith(`${list}[`))

/** The fields whose lines move the body, in the order of the work. */
const MOVING = ['enter', 'alignment', 'otherWay', 'exit']

/**
 * The set-up, the steps and the cues of a card, read in order: relative words are settled by
 * what the side is named by and by the lines before.
 */
export const readCard = rememberOf((card: Card): readonly ReadLine[] => {
  let known = knownOf(card)
  const own = sidedLines(card).filter(
    ({ owner }) => owner.of === 'step' || owner.of === 'cue' || owner.of === 'setUp'
  )
  const of = (field: string, where: RegExp) =>
    own
      .filter((line) => line.field === field && where.test(line.where))
      .map(({ where: path, text }) => {
        const { instructions, ...rest } = read(text, card.language)
        const { settled, after, afterCue } = settledAfter(known)(instructions)
        known = field === 'alignment' ? afterCue : after
        return { where: path, text, field, ...rest, instructions: settled }
      })
  return [
    ...of('setUp', /^setUp\.place$/),
    ...of('setUp', /^setUp\.note$/),
    ...MOVING.flatMap((field) => of(field, new RegExp(`^${field}\\[\\d+\\]\\.text$`))),
  ]
})

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
