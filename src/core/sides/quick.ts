import { type Lexicon, type LineContext, remember, rememberIn, rememberOf } from '../language'

/**
 * The lexicon, with what it said about a line kept: of a card one line changes at a time. What only
 * a rule asks that keeps its findings by the line is not kept a second time.
 */
export const quick = rememberOf((lexicon: Lexicon): Lexicon => {
  // A condition is written by hand; no other part of where a line stands holds a line break.
  const suspects = rememberIn((text, within) => {
    const [place, condition] = within.split('\n') as [LineContext['place'], string?]
    return lexicon.suspects(text, { place, ...(condition === undefined ? {} : { condition }) })
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
    onlyOneSide: remember(lexicon.onlyOneSide),
  }
})
