import type { Side } from '../../card'
import { claimWords } from './sideClaims'
import { leadHintsOf } from './sideLeads'
import type { Lexicon, Relative, RelativeKind, SideWord, SilentSwap } from '../lexicon'

/** How English instruction speaks about sides without, or beside, the plain side words. */

const LEG = '(?:foot|feet|leg|knee|heel|toes?|thigh|shin|ankle|calf|sole|kneecap|hip)'
const ARM = '(?:arm|hand|elbow|forearm|palm|wrist|fingers?|fingertips|thumb|shoulder)'
const LIMB = `(?:${LEG}|${ARM}|ribs|side|buttock|ear|cheek)`

// Side words that are probably fixed.

const RISING =
  /\b(?:sit|come|get|push|press|rise|roll|help\s+yourself)\s+(?:\w+\s+){0,2}?up\b|\bto\s+(?:sit|standing|seated)\b|\brest\b|\bpause\b/i
const ROLLING = /\broll(?:s|ing)?\b[^.;]*$/i
const ROLLED_LIMB =
  /^\s+(?:ribs?|hip|thigh|shoulder|knee|leg|arm|foot|toes?|heel|wrist|hand(?!-?\s*side))\b/i
const PREGNANT = /\b(?:pregnan\w*|trimester|late\s+in\s+pregnancy|bump|placenta)\b/i
const LYING = /\b(?:lie|lies|lying|rest|recline|reclining|sleep|turn|roll)\b[^.;]*$/i
const NOSTRIL_AFTER = /^\s+nostril/i
const ONES_OWN =
  /\b(?:stiff(?:er)?|injured|sore|operated|weak(?:er)?|short(?:er)?|tight(?:er)?|frozen|replaced|painful|own)\s+(?:and\s+\w+\s+)?$/i
const OF_A_PERSON = /\b[A-Z][\p{L}]+['’]s\s+$/u
const AFTER_LIMB_OWN =
  /^\s+\w+(?:\s+\w+)?\s+(?:is|was|has\s+been|stays)\s+(?:stiff|injured|sore|operated|weak|frozen|painful)/i
const COLON = /\bcolon\b/i

const suspects =
  (find: Lexicon['find']): Lexicon['suspects'] =>
  (text, context) => {
    const wholly = (why: string) => ({ why })
    const reason = (word: SideWord): { why: string } | null => {
      const before = text.slice(0, word.start)
      const after = text.slice(word.end)
      if (NOSTRIL_AFTER.test(after)) return wholly('a nostril is closed by itself, not by the pose')
      if (OF_A_PERSON.test(before) || ONES_OWN.test(before) || AFTER_LIMB_OWN.test(after))
        return wholly('it is one person’s own side')
      if (COLON.test(text)) return wholly('the colon runs the same way in everyone')
      const pregnancy = PREGNANT.test(text) || PREGNANT.test(context.condition ?? '')
      if (pregnancy && LYING.test(before))
        return wholly('late in pregnancy one lies on a chosen side')
      const late = context.place === 'exit' || context.place === 'between'
      if (ROLLING.test(before) && (late || RISING.test(after)) && !ROLLED_LIMB.test(after))
        return wholly('one rolls to a chosen side to get up')
      return null
    }
    return find(text).flatMap((word) => {
      if (word.role !== 'swaps') return []
      const found = reason(word)
      return found ? [{ word, why: found.why }] : []
    })
  }

// What changes without a side word.

const SILENT: [RegExp, Omit<SilentSwap, 'words'>][] = [
  [
    /\b(?:interlace|interlock|lace|weave|clasp)\b(?:\s+\w+){0,2}\s+(?:fingers|hands|thumbs)\b/i,
    { say: 'Interlace the fingers the other way.', region: 'wrists and hands' },
  ],
  [
    /\bcross(?:ing|ed)?\b(?:\s+\w+){0,2}\s+(?:shins?|ankles?|legs?|knees)\b|\bcross-legged\b/i,
    { say: 'Put the other shin in front.', region: 'knees' },
  ],
  [
    /\b(?:cross|fold|wrap)(?:ing)?\b(?:\s+(?:the|your|both))*\s+(?:arms|wrists|thumbs|forearms|elbows)\b/i,
    { say: 'Cross the arms the other way.', region: 'elbows' },
  ],
  [
    /\bstrap\b[^.;]*\bin\s+(?:one|the\s+same|your)\s+hand\b/i,
    { say: 'Take the strap in the other hand.', region: 'wrists and hands' },
  ],
]
const TELLS_SWAP =
  /\bother\s+way\b|\b(?:change|swap|switch|reverse)\s+(?:\w+\s+){0,3}(?:cross|clasp|grip|hands?|shins?|ankles?|legs|thumbs?|fingers|arms|strap)|\bother\s+(?:shin|ankle|thumb|leg|finger|arm|hand)\b/i

function silentSwap(find: Lexicon['find'], text: string): SilentSwap | null {
  for (const [pattern, swap] of SILENT) {
    const match = pattern.exec(text)
    if (match && find(text).every((word) => word.role !== 'swaps'))
      return { ...swap, words: match[0] }
  }
  return null
}

// Relative words.

const RELATIVES: [RelativeKind, RegExp][] = [
  ['front-back', new RegExp(`\\b(?:front|back|forward|rear)\\s+(?:${LIMB})\\b`, 'gi')],
  [
    'top-bottom',
    // An upper arm and a lower leg, lower ribs and an upper thigh are parts of the body.
    /\b(?:(?:top|bottom|under)\s+(?:arm|hand|leg|knee|foot|hip|shoulder|ribs|elbow|side|thigh|ankle)|(?:upper|lower)\s+(?:hand|knee|foot|hip|shoulder|elbow))\b/gi,
  ],
  [
    'other',
    new RegExp(
      `\\b(?:other|opposite)\\s+(?:inner\\s+|outer\\s+)?${LIMB}\\b(?!s)|\\b(?:same|opposite)-?\\s?side\\s+${LIMB}\\b|\\bsame\\s+(?:arm|hand|leg|foot|knee|elbow)\\b`,
      'gi'
    ),
  ],
]
const ANATOMY =
  /\bupper\s+arms\b|\bupper\s+(?:arm\s+bones?)\b|\blower\s+leg\s+bones?\b|\bunder\s+the\b/i
/** "one hand on the other hand": the line says itself what the other is. */
const ONE = /\b(?:one|each|either|a|this)\b/i
const OTHER_SIDE_ITSELF = /\b(?:other|opposite)\s+side\b/i

function relatives(find: Lexicon['find'], text: string): Relative[] {
  const found: Relative[] = []
  for (const [kind, pattern] of RELATIVES) {
    pattern.lastIndex = 0
    for (let match = pattern.exec(text); match; match = pattern.exec(text)) {
      const at = match.index
      const before = text.slice(0, at)
      if (ANATOMY.test(match[0])) continue
      if (kind === 'other') {
        if (OTHER_SIDE_ITSELF.test(match[0])) continue
        if (ONE.test(before) || find(before).length > 0) continue
      }
      // "Turn the right (front) foot", "the left top arm": set by the word beside it.
      if (kind !== 'other' && /(?:left|right)\}?\s*[,(]?\s*$/i.test(before)) continue
      if (
        kind !== 'other' &&
        /^\s*,?\s*\(?the\s+\{?(?:left|right)/i.test(text.slice(at + match[0].length))
      )
        continue
      found.push({ kind, words: match[0], at })
    }
  }
  return found.sort((a, b) => a.at - b.at)
}

const SIDED_LEG = new RegExp(`\\b(?:left|right)\\b\\}?\\s+(?:\\w+\\s+)?${LEG}\\b`, 'i')
const SIDED_ARM = new RegExp(
  `\\b(?:left|right)\\b\\}?\\s+(?:\\w+\\s+)?(?:${ARM}|ribs|side|hip)\\b`,
  'i'
)
const STRIDE =
  /\b(?:lunge|stride|long\s+stance|split\s+stance|one\s+(?:foot|leg|knee)\b[^.;]*\b(?:forward|back|in\s+front|behind|ahead)|(?:foot|leg|knee)\b[^.;]*\b(?:forward|back|in\s+front|behind|ahead|between\s+the\s+hands))\b/i
const STACKED =
  /\b(?:stack(?:ed|s|ing)?|side-?lying|on\s+(?:the|your|one|a|\{?left\}?|\{?right\}?)(?:\s+(?:left|right))?\s+side\b|on\s+top|one\s+\w+\s+(?:on|over|above|under|up)|above|overhead|arm\b[^.;]*\bup)\b/i

function sets(text: string): ReadonlySet<RelativeKind> {
  const set = new Set<RelativeKind>()
  if (/\b(?:left|right|first|one|each|either)\b/i.test(text)) set.add('other')
  const leg = SIDED_LEG.test(text)
  if (leg || STRIDE.test(text)) set.add('front-back')
  if (leg || SIDED_ARM.test(text) || STACKED.test(text)) set.add('top-bottom')
  return set
}

// Lines for one side only.

const ONLY =
  /\b(?:only|just)\s+(?:on|for|to|with)?\s*(?:the\s+)?(left|right|first|second)\s+side\b|\b(?:on\s+|for\s+)?(?:the\s+)?(left|right|first|second)\s+side\s+only\b|\b(?:skip|leave\s+out|leave\s+off|omit|do\s+not\s+do|not)\s+(?:this\s+|it\s+)?(?:on|for)\s+the\s+(left|right|first|second|other)\s+side\b|\bonly\s+(?:when|if)\s+(?:the\s+)?(left|right)\s+(?:side\s+|leg\s+|foot\s+)?leads\b|\bon\s+the\s+(left|right|first|second)\s+only\b/i
const SKIPS = /\b(?:skip|leave|omit|not)\b/i

const onlyOneSide: Lexicon['onlyOneSide'] = (text) => {
  const match = ONLY.exec(text)
  if (!match) return null
  const named = match.slice(1).find(Boolean)!.toLowerCase()
  const across: Record<string, string> = {
    left: 'right',
    right: 'left',
    first: 'second',
    second: 'first',
    other: 'first',
  }
  const side = SKIPS.test(match[0]) ? across[named]! : named
  return { words: match[0], on: `${side}-only` as `${Side}-only` }
}

const NUMBERS: Record<string, number> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  twelve: 12,
}
const NUMBER = `\\d+|${Object.keys(NUMBERS).join('|')}`
const ON_SIDE = '(?:on|to|for)\\s+(?:the\\s+)?(?:left|right|first|second|other)(?:\\s+side)?'
const COUNTS = new RegExp(
  `\\b(${NUMBER})\\s+(?:\\w+\\s+)?${ON_SIDE}\\b[^.]*?\\b(${NUMBER})\\s+(?:\\w+\\s+)?${ON_SIDE}\\b`,
  'i'
)
const LONGER_ON =
  /\b(?:longer|fewer|more|extra|additional|twice)\b[^.;]*\bon\s+the\s+(?:left|right|first|second|other|stiff\w*|tight\w*|short\w*)(?:\s+side)?\b/i

const unequalCounts: Lexicon['unequalCounts'] = (text) => {
  const match = COUNTS.exec(text)
  const value = (word: string) => NUMBERS[word.toLowerCase()] ?? Number(word)
  if (match && value(match[1]!) !== value(match[2]!)) return match[0]
  return LONGER_ON.exec(text)?.[0] ?? null
}

// The other direction of a turn.

const OF_LEGS = new RegExp(
  `^\\}?\\s+(?:(?:front|back|inner|outer|big|bent|straight)\\s+)?(?:${LEG}|sit\\s+bone|groin)\\b`,
  'i'
)

const turnWords =
  (find: Lexicon['find']): Lexicon['turnWords'] =>
  (text) =>
    find(text).filter((word) => word.role === 'swaps' && !OF_LEGS.test(text.slice(word.end)))

const TURNS = /\b(?:turn|twist|rotate|revolve)/i

/** What is said where the two sides are placed unevenly on purpose. */
const uneven: Lexicon['uneven'] = {
  hand: {
    forward: (side) => `Set the ${side} hand a little out and further forward.`,
    cupped: (side) => `Raise the ${side} palm on cupped fingers.`,
    pad: (side) => `Raise the ${side} hand on a folded pad.`,
    block: (side) => `Raise the ${side} hand on a flat block.`,
  },
  leg: {
    'foot back': (side) => [`Set the ${side} foot a little further back.`],
    'hip higher': (side) => [
      `Bend both knees and lift the ${side} hip higher.`,
      `Keep the ${side} hip high while the knees straighten.`,
    ],
  },
  lowBack: (side) => `Breathe into the ${side} low back, where it is short.`,
  hollowRibs: (side) => `Breathe into the ${side} ribs, where they are hollow.`,
  fullRibs: (side) => `Let the ${side} ribs be quiet.`,
  compare: 'Start small, then compare both sides: more even than before is enough.',
  condition: 'scoliosis',
  ask: 'Ask your clinician first whether to work unevenly at all, and on which side.',
}

export const englishHabits = (find: Lexicon['find']): Omit<Lexicon, 'find'> => ({
  suspects: suspects(find),
  silentSwap: (text) => silentSwap(find, text),
  tellsSwap: (text) => TELLS_SWAP.test(text),
  tellsOther: (text) =>
    /\b(?:other|opposite|alternat\w*|each|either|both\s+sides|same\s+again|one\s+at\s+a\s+time|one\s+by\s+one|change\s+(?:sides|legs|arms)|repeat)\b/i.test(
      text
    ),
  relatives: (text) => relatives(find, text),
  sets,
  named: (text) => new Set(/\b(?:front|forward|back)\b/i.test(text) ? ['front-back' as const] : []),
  leadHints: leadHintsOf(find),
  ...claimWords(find),
  onlyOneSide,
  unequalCounts,
  turnWords: turnWords(find),
  turns: (text) => TURNS.test(text),
  unwind: 'Unwind to the middle.',
  uneven,
})
