import type { Step } from './card'

/** How often a step is done by itself: `8`, or a range, `8-10`. */
export type Repeats = Pick<Step, 'repeat' | 'repeatMost'>

/**
 * Reads how often a step is done.
 * @returns nothing in it for once; null for what is no count
 * @example readRepeats('8 to 10') // { repeat: 8, repeatMost: 10 }
 */
export function readRepeats(text: string): Repeats | null {
  const read = /^(\d{1,4})(?:\s*(?:-|–|to)\s*(\d{1,4}))?$/.exec(text.trim())
  if (!read) return text.trim() === '' ? {} : null
  const [least, most] = [Number(read[1]), read[2] === undefined ? undefined : Number(read[2])]
  if (most !== undefined) return { repeat: least, repeatMost: most }
  return { repeat: least }
}

/** As it is read again; empty for once. */
export const writeRepeats = ({ repeat, repeatMost }: Repeats): string =>
  repeatMost === undefined ? `${repeat ?? ''}` : `${repeat}-${repeatMost}`
