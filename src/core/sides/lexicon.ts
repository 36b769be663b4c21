import type { Side } from '../card'

/** What kind of word tells the side. */
export type SideWordKind = 'side' | 'letter' | 'turn'

/** A word in a line that tells, or might tell, a side. */
export interface SideWord {
  /** Index of the first character in the line. */
  start: number
  /** Index after the last character. */
  end: number
  kind: SideWordKind
  /** The side that is named; null for a turning sense. */
  side: Side | null
  /** What stands here when the line is written for the other side. */
  other: string
  /**
   * `swaps`: changes with the side. `fixed`: the trainer fixed it with braces.
   * `plain`: the same letters, but no side (a right angle). `unsure`: reads as a side,
   * but its mirror word would not, so it is left as it is.
   */
  role: 'swaps' | 'fixed' | 'plain' | 'unsure'
}

/** How the turning sense against the clock is spelt. */
export type Turning = 'counterclockwise' | 'anticlockwise'

export interface SideOptions {
  /** Default `counterclockwise`; both are always read. */
  turning?: Turning
}

/** The side words of one language. */
export interface Lexicon {
  /** BCP 47 language code. */
  language: string
  /** Finds every side word of a line, in order, without overlaps. */
  find: (text: string, options?: SideOptions) => SideWord[]
}
