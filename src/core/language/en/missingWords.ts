/** English: what a card still lacks. */
export const englishMissing = {
  commonName: 'Give the pose a common name.',
  sanskrit: 'Give the Sanskrit name, with its marks.',
  namedBy: 'Say what the side is named by, such as the front leg.',
  when: 'Say when it is practised: the hours after a meal, or the time of day.',
  place: 'Say where the student starts, and how.',
  enter: 'Write the steps into the pose.',
  alignment: 'Write the alignment cues, from the ground up.',
  repeats: 'Say how many times it is repeated.',
  stay: 'Say how long the stay is, in breaths or in seconds.',
  mistakes: 'Write at least one thing that goes wrong.',
  mistake: (n: number, what: string) => `Mistake ${n} does not say ${what}.`,
  cautions: 'Say who must not, or must ask first.',
  ladder: 'Give at least two rungs: the form described here and an easier one.',
  reference: 'Say which rung the main steps describe.',
  exit: 'Write the way out, as carefully as the way in.',
  counter: 'Name a pose that follows or balances this one.',
  between: 'Say what happens between the sides.',
  noWords: {
    name: (n: number) => `Rung ${n} has no name yet.`,
    words: (what: string, n: number, of: string) => `${what} ${n}${of} has no words yet.`,
    otherWay: ' of the other way',
    rung: (name: string) => ` of ${name.trim() ? `“${name}”` : 'a rung'}`,
    what: {
      step: 'Step',
      cue: 'Cue',
      instead: 'Changed step',
      insteadCue: 'Changed cue',
      claim: 'Claim',
      assist: 'Touch',
    },
    added: { step: 'Added step', cue: 'Added cue' } as Record<string, string>,
  },
  parts: { seen: 'what is seen', why: 'why it matters', say: 'what to say' },
  caution: (n: number, named: boolean) =>
    `Caution ${n} lacks ${named ? 'what to say' : 'its condition'}.`,
  /** Nothing can be said of it at all. */
  unchecked: (why: string) =>
    `This card could not be checked (${why}). What you wrote is safe; nothing is said of it until it can be.`,
}
