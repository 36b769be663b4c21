import type { Card, Cue, On, Region, Side } from '../card'

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

/** Where a line stands on the card, as far as it tells how a side word is meant. */
export interface LineContext {
  place: 'enter' | 'exit' | 'between' | 'caution' | 'other'
  /** Of a caution. */
  condition?: string
}

/** A side word that is probably fixed, and why. */
export interface Suspect {
  word: SideWord
  why: string
}

/** Something that changes with the side without a side word. */
export interface SilentSwap {
  /** The words that tell it. */
  words: string
  /** What to say for the second side. */
  say: string
  region: Region
}

/** Words that name a limb by its place or by another limb, not by its side. */
export type RelativeKind = 'front-back' | 'top-bottom' | 'other'
export interface Relative {
  kind: RelativeKind
  words: string
  at: number
}

/** What a line says about the side that leads. */
export interface LeadHint {
  /** The side that would lead if the line is right. */
  leads: Side
  /** The side word that tells it. */
  word: SideWord
}

/** What one side of the body does in a pose, the other does not. */
export const SIDE_ROLES = [
  'front',
  'back',
  'hip-forward',
  'hip-back',
  'bent',
  'straight',
  'out',
  'lifted',
  'standing',
  'kneeling',
  'sole',
  'up',
  'low',
  'behind',
  'across',
  'turn',
  'bend',
  'open-ribs',
  'lies',
  'moves',
] as const
export type SideRole = (typeof SIDE_ROLES)[number]

/** A line gives a role to a side: `bend the right knee`. */
export interface SideClaim {
  role: SideRole
  word: SideWord
  side: Side
  /** Of `moves`: what is moved. */
  limb?: string
}

/** What a pose is, as far as two limbs depend on it. */
export type Pose = Pick<Card, 'base' | 'spine'>

/** Two side words of a line that must differ, or be the same: `right foot on the left shin`. */
export interface SidePair {
  must: 'differ' | 'same'
  words: [SideWord, SideWord]
  /** The words of the line that tell it. */
  told: string
}

/** Words that bind a line to one pass only. */
export interface OnlyHint {
  words: string
  on: Exclude<On, 'both'>
}

/** The side words of one language, and its habits of speaking about sides. */
export interface Lexicon {
  /** Finds every side word of a line, in order, without overlaps. */
  find: (text: string, options?: SideOptions) => readonly SideWord[]
  /** Side words that swap, though they are probably meant as fixed. */
  suspects: (text: string, context: LineContext) => Suspect[]
  /** What changes silently on the second side; null when nothing does. */
  silentSwap: (text: string) => SilentSwap | null
  /** Whether a line tells how something changes for the second side. */
  tellsSwap: (text: string) => boolean
  /** Whether a line goes on with the other side, in whatever words. */
  tellsOther: (text: string) => boolean
  /** Relative words of a line that need something before them. */
  relatives: (text: string) => Relative[]
  /** Which relative words make sense after a line. */
  sets: (text: string) => ReadonlySet<RelativeKind>
  /** Kinds that are settled by what a side is named by: `front leg`. */
  named: (sideNamedBy: string) => ReadonlySet<RelativeKind>
  /** What a line says about the lead of a pose whose side is named by `namedBy`. */
  leadHints: (text: string, namedBy: string) => LeadHint[]
  /** Which roles a line gives to which side. */
  claims: (text: string, context: Pick<LineContext, 'place'>) => SideClaim[]
  /** Pairs of side words in a line that depend on one another. */
  pairs: (text: string, pose: Pose) => SidePair[]
  /** The limbs that a line names with their side, each by its plain name and by where it is. */
  limbs: (text: string) => { word: SideWord; limb: string; place: string }[]
  /** The role that the side of a pose is named by; null when it is none of these. */
  namedRole: (namedBy: string) => SideRole | null
  /** Words that keep a line to one side; null when it is said for both. */
  onlyOneSide: (text: string) => OnlyHint | null
  /** Counts that differ between the sides, in words; null when there are none. */
  unequalCounts: (text: string) => string | null
  /** Side words that change with the direction of a turn while the legs stay. */
  turnWords: (text: string) => SideWord[]
  /** Whether a line speaks of turning. */
  turns: (text: string) => boolean
  /** The way back from one direction of a turn, before the other. */
  unwind: string
  uneven: UnevenWords
}

/** How the hand of the hollow side is placed, for a rib-cage curve. */
export const HAND_WORK = ['forward', 'cupped', 'pad', 'block'] as const
/** How the leg of the hollow side is placed, for a low-back curve. */
export const LEG_WORK = ['foot back', 'hip higher'] as const
export type HandWork = (typeof HAND_WORK)[number]
export type LegWork = (typeof LEG_WORK)[number]

/** Cues of one side for a side-bent spine; each is told for the side word that it is given. */
export interface UnevenWords {
  hand: Record<HandWork, (side: string) => string>
  leg: Record<LegWork, (side: string) => string[]>
  lowBack: (side: string) => string
  hollowRibs: (side: string) => string
  fullRibs: (side: string) => string
  /** Said of both sides. */
  compare: Cue['text']
  condition: string
  /** Who must be asked first. */
  ask: string
}

const nothing = () => []
const same = (side: string) => side

/** Of a language that has no pack: it has no side words, and nothing is said in it. */
export const NO_SIDES: Lexicon = {
  find: nothing,
  suspects: nothing,
  silentSwap: () => null,
  tellsSwap: () => false,
  tellsOther: () => false,
  relatives: nothing,
  sets: () => new Set(),
  named: () => new Set(),
  leadHints: nothing,
  claims: nothing,
  pairs: nothing,
  limbs: nothing,
  namedRole: () => null,
  onlyOneSide: () => null,
  unequalCounts: () => null,
  turnWords: nothing,
  turns: () => false,
  unwind: '',
  uneven: {
    hand: { forward: same, cupped: same, pad: same, block: same },
    leg: { 'foot back': (side) => [side], 'hip higher': (side) => [side] },
    lowBack: same,
    hollowRibs: same,
    fullRibs: same,
    compare: '',
    condition: '',
    ask: '',
  },
}
