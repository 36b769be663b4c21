import { betweenSeconds, type Passage, passSeconds, timelineOf } from '../breath'
import { type Card, firstSideOf, otherSide, type School, type Side, type Step } from '../card'
import { LABELS, packOf } from '../language'
import { cardLedFrom, plainText } from '../sides'

/** One thing that the teacher says, and when. */
export interface CallLine {
  /** From the first word, in seconds. */
  at: number
  /** How long it has. */
  seconds: number
  breath: Passage['breath']
  /** How often the breath is done. */
  times: number
  text: string
  /** The side that leads; null for a card with one form. */
  side: Side | null
}

/** What is said in one pass; what is watched is said while the pose is held. */
function passOf(led: Card, school: School, side: Side | null, from: number): CallLine[] {
  const labels = packOf(led.language)?.labels ?? LABELS
  const cues = led.alignment.map(({ text }) => plainText(text, led)).filter(Boolean)
  return timelineOf(led, school).flatMap(({ part, where, breath, at, seconds, times }, _, all) => {
    const line = (text: string, more: Partial<CallLine> = {}): CallLine => ({
      at: from + at,
      seconds,
      breath,
      times,
      text,
      side,
      ...more,
    })
    if (part !== 'stay') {
      const index = Number(/\d+/.exec(where)![0])
      return [line(plainText((led[part][index] as Step).text, led))]
    }
    const stay = line(labels.sheet.stays(labels.stay(led.stay), ''))
    // Of two stays the first has the cues.
    if (all.find((each) => each.part === 'stay')!.at !== at) return [stay]
    const each = seconds / (cues.length + 1)
    return [
      { ...stay, seconds: each },
      ...cues.map((text, i) =>
        line(text, { at: from + at + each * (i + 1), seconds: each, breath: 'free', times: 1 })
      ),
    ]
  })
}

/**
 * What is said for a card, line by line in its time: each side in turn, and what is said between
 * them. For a rung, give the card that it makes (`rungCard`).
 * @param side the side that leads; both in their order when it is left out
 */
export function callScript(card: Card, school: School, side: Side | 'both' = 'both'): CallLine[] {
  if (card.sides === 'even') return passOf(card, school, null, 0)
  const first = firstSideOf(card, school)
  const sides = side === 'both' ? [first, otherSide(first)] : [side]
  let from = 0
  return sides.flatMap((lead, i) => {
    const led = cardLedFrom(card, lead, first)
    const lines = passOf(led, school, lead, from)
    from += passSeconds(led, school)
    if (i + 1 === sides.length) return lines
    const seconds = betweenSeconds(led, school)
    const between: CallLine = {
      at: from,
      seconds,
      breath: 'free',
      times: 1,
      text: plainText(led.betweenSides.text, led),
      side: null,
    }
    from += seconds
    return between.text ? [...lines, between] : lines
  })
}

const two = (value: number) => String(value).padStart(2, '0')

/** A time as it is told to people: `1:04`. */
export const clock = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${two(Math.floor(seconds % 60))}`

/** A time as WebVTT wants it: `00:01:04.000`. */
const stamp = (seconds: number): string => {
  const ms = Math.round(seconds * 1000)
  const [h, m, s] = [
    Math.floor(ms / 3_600_000),
    Math.floor(ms / 60_000) % 60,
    Math.floor(ms / 1000) % 60,
  ]
  return `${two(h)}:${two(m)}:${two(s)}.${String(ms % 1000).padStart(3, '0')}`
}

/** What is said, as WebVTT: one cue a line. */
export const callVtt = (lines: readonly CallLine[]): string =>
  `WEBVTT\n\n${lines
    .map(
      ({ at, seconds, text }) =>
        // The arrow and the two signs of markup may not stand in a cue.
        `${stamp(at)} --> ${stamp(at + seconds)}\n${text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('-->', '→')}\n`
    )
    .join('\n')}`
