import {
  type Lexicon,
  type LineContext,
  type Pose,
  remember,
  rememberIn,
  rememberOf,
} from '../language'

/** The lexicon, with what it said about a line kept: of a card one line changes at a time. */
export const quick = rememberOf((lexicon: Lexicon): Lexicon => {
  // A condition is written by hand; no other part of where a line stands holds a line break.
  const suspects = rememberIn((text, within) => {
    const [place, condition] = within.split('\n') as [LineContext['place'], string?]
    return lexicon.suspects(text, { place, ...(condition === undefined ? {} : { condition }) })
  })
  const claims = rememberIn((text, place) =>
    lexicon.claims(text, { place: place as LineContext['place'] })
  )
  const pairs = rememberIn((text, pose) => {
    const [base, spine] = pose.split(' ') as [Pose['base'], Pose['spine']]
    return lexicon.pairs(text, { base, spine })
  })
  return {
    ...lexicon,
    suspects: (text, { place, condition }) =>
      suspects(text, condition === undefined ? place : `${place}\n${condition}`),
    silentSwap: remember(lexicon.silentSwap),
    tellsSwap: remember(lexicon.tellsSwap),
    tellsOther: remember(lexicon.tellsOther),
    relatives: remember(lexicon.relatives),
    limbs: remember(lexicon.limbs),
    sets: remember(lexicon.sets),
    leadHints: rememberIn(lexicon.leadHints),
    claims: (text, { place }) => claims(text, place),
    pairs: (text, { base, spine }) => pairs(text, `${base} ${spine}`),
    onlyOneSide: remember(lexicon.onlyOneSide),
    unequalCounts: remember(lexicon.unequalCounts),
  }
})
