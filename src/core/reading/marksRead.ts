import type { CueMark } from '../card'
import { markParts } from '../figure'
import type { Instruction } from '../language'

/** Kinds of mark that an action is shown by. */
const SHOWN_BY: Partial<Record<Instruction['action'], CueMark['kind']>> = {
  press: 'press',
  reach: 'reach',
  lengthen: 'reach',
  twist: 'turn',
  rotate: 'turn',
  'turn-out': 'turn',
  'turn-in': 'turn',
  look: 'look',
  spread: 'spread',
}

/** What a mark calls a part of the body, where it calls it otherwise. */
const CALLED: Record<string, readonly string[]> = {
  spine: ['crown', 'ribs'],
  head: ['head', 'crown'],
  chest: ['ribs', 'breastbone'],
  leg: ['thigh'],
  knee: ['thigh', 'knee'],
  foot: ['thigh', 'foot'],
  arm: ['upper arm', 'hand', 'fingertips'],
  fingers: ['fingertips', 'hand'],
  hip: ['sit bones', 'pelvis', 'hips'],
  'low back': ['back'],
  gaze: ['ahead', 'up', 'down'],
}

/**
 * The teaching mark that shows what an understood cue asks for.
 * @returns null when no mark shows it
 */
export function markRead(n: Instruction): CueMark | null {
  const kind = SHOWN_BY[n.action] ?? (n.ways.includes('level') ? 'level' : null)
  if (!kind) return null
  const { sided, middle } = markParts(kind)
  const names = [...(CALLED[n.part] ?? []), n.part, `${n.part}s`]
  const turn = n.ways.find((way) => way === 'left' || way === 'right')
  const way =
    kind !== 'turn'
      ? undefined
      : n.action === 'turn-in'
        ? 'in'
        : n.action === 'turn-out'
          ? 'out'
          : turn
  if (kind === 'turn' && !way) return null
  if (kind === 'look') {
    const ways: readonly string[] = n.ways
    const at = middle.find((part) => ways.some((each) => part.includes(each)))
    return at ? { kind, part: at } : null
  }
  const ends = way && (way === 'in' || way === 'out')
  if (n.side === 'left' || n.side === 'right') {
    const part = names.find((name) => sided.includes(name))
    if (part) return { kind, part: `${n.side} ${part}`, ...(way ? { way } : {}) }
  }
  if (ends) return null
  const plural = n.side === 'both' ? [n.part === 'foot' ? 'feet' : `${n.part}s`] : []
  const part = [...plural, ...names].find((name) => middle.includes(name))
  return part ? { kind, part, ...(way ? { way } : {}) } : null
}

/** The mark of the first thing that a cue asks for and that a mark can show. */
export const markOfWords = (instructions: readonly Instruction[]): CueMark | null =>
  instructions.map(markRead).find((mark) => mark !== null) ?? null
