import { remember } from '../card'
import type { Lexicon, LineContext, Pose } from '../language'

const cached = new WeakMap<Lexicon, Lexicon>()

/** The lexicon, with what it said about a line kept: of a card one line changes at a time. */
export function quick(lexicon: Lexicon): Lexicon {
  const known = cached.get(lexicon)
  if (known) return known
  const byContext = <T>(work: (text: string, second: string) => T) => {
    const inner = remember((both: string) => {
      const at = both.indexOf('\n')
      return work(both.slice(at + 1), both.slice(0, at))
    })
    return (text: string, second: string) => inner(`${second}\n${text}`)
  }
  const hints = byContext(lexicon.leadHints)
  const suspect = byContext((text, context) => lexicon.suspects(text, JSON.parse(context)))
  const swap = remember((text: string) => ({ found: lexicon.silentSwap(text) }))
  const only = remember((text: string) => ({ found: lexicon.onlyOneSide(text) }))
  const counts = remember((text: string) => ({ found: lexicon.unequalCounts(text) }))
  const claims = byContext((text, context) =>
    lexicon.claims(text, JSON.parse(context) as Pick<LineContext, 'place'>)
  )
  const pairs = byContext((text, pose) => lexicon.pairs(text, JSON.parse(pose) as Pose))
  const made: Lexicon = {
    ...lexicon,
    find: remember((text) => lexicon.find(text)),
    suspects: (text, context) => suspect(text, JSON.stringify(context)),
    silentSwap: (text) => swap(text).found,
    tellsSwap: remember(lexicon.tellsSwap),
    tellsOther: remember(lexicon.tellsOther),
    relatives: remember(lexicon.relatives),
    limbs: remember(lexicon.limbs),
    sets: remember(lexicon.sets),
    leadHints: hints,
    claims: (text, { place }) => claims(text, JSON.stringify({ place })),
    pairs: (text, { base, spine }) => pairs(text, JSON.stringify({ base, spine })),
    onlyOneSide: (text) => only(text).found,
    unequalCounts: (text) => counts(text).found,
  }
  cached.set(lexicon, made)
  return made
}
