export type MovementKind = 'lengthen' | 'lift' | 'open' | 'fold' | 'lower' | 'turn' | 'soften'

/** A movement that a line names, and the breath that it goes with. */
export interface Movement {
  word: string
  /** Index of its first letter. */
  at: number
  phase: 'in' | 'out'
  kind: MovementKind
}

/** What a language says of breath, movement and counts. */
export interface BreathWords {
  /** The movements that a line names, in order. */
  movements: (text: string) => Movement[]
  /** The breath that a line names itself. */
  named: (text: string) => 'in' | 'out' | 'both' | null
  /** Whether the word of a folding movement folds the trunk. */
  folds: (word: string) => boolean
  twists: (text: string) => boolean
  /** Whether a line turns the trunk away from the middle, not a limb or the head. */
  turnsTrunk: (text: string) => boolean
  lengthens: (text: string) => boolean
  /** Where a line goes on to a second thing to do. */
  thenAt: (text: string) => number | null
  /** Two movements of different limbs, one after the other; null when there are not two. */
  twoLimbs: (text: string) => [first: string, second: string] | null
  /** The words by which a line holds the breath, whatever its own breath is; empty when it does not. */
  holdsBreath: (text: string) => string
  /** A count that does not say what is counted; empty when there is none. */
  countIn: (text: string) => string
  /** The unit that is offered for such a count. */
  unitAfter: string
}

/** How a language is said aloud. */
export interface SpeechWords {
  /** The words of a line as they are said: numbers in words, signs spelt out. */
  words: (text: string) => string[]
  syllables: (word: string) => number
  /** Syllables that one word of calm instruction has at most, on average over a line. */
  syllablesAWord: number
  /** Where one could stop speaking. */
  clauses: RegExp
  /** Words at the end of a clause that only lead to the next one. */
  leads: RegExp
  /** Whether a clause only says how: it can be left unsaid, and nothing that is done is lost. */
  canGo: (clause: string) => boolean
}
