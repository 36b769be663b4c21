import type { BreathWords, Movement, MovementKind } from '../breathWords'

/**
 * Which breath a movement asks for, read from the words of a line (English).
 * Lengthen, lift, open, reach, arch: in. Fold, lower, twist, bend sideways, soften: out.
 * Common practice, no source.
 */

const LIMB =
  '(?:toes?|foot|feet|heels?|knees?|legs?|thighs?|shins?|hands?|palms?|arms?|elbows?|forearms?|wrists?|fingers?|thumbs?|fingertips?|head|chin|neck|eyes|gaze|face|hips?|kneecaps?)'
const MINE =
  '(?:(?:the|your|both|one|left|right|\\{left\\}|\\{right\\}|front|back|top|bottom)\\s+)*'

/** What is folded, bowed or rounded without folding the trunk: a limb, the head, a thing. */
const NO_TRUNK = `(?!\\s+${MINE}(?:a\\s+|an\\s+)?(?:\\w+\\s+)?(?:${LIMB}|blankets?|towels?|mats?|straps?|cloths?|pads?|bolsters?|sheets?|corners?|edges?|ends?|lips|tongue|brow)\\b)`

/** Forms of the verbs, with the movement each names. The first that fits at a place counts. */
const VERBS: [kind: MovementKind, phase: 'in' | 'out', pattern: string][] = [
  ['fold', 'out', `fold(?:s|ing)?(?!ed)\\b(?!\\s+(?:mat|blanket))${NO_TRUNK}`],
  ['fold', 'out', `(?:bow|round|curl|hinge|dive)(?:s|ing)?\\b(?!\\s+up)${NO_TRUNK}`],
  ['fold', 'out', '(?:bend|lean|tip|hang)(?:s|ing)?\\s+(?:forward|over|down)\\b'],
  ['turn', 'out', '(?:twist|revolve|rotate)(?:s|ing)?\\b'],
  ['turn', 'out', `turn(?:s|ing)?\\b(?!\\s+${MINE}${LIMB}\\b)`],
  ['fold', 'out', `bend(?:s|ing)?\\b(?!\\s+back)`],
  [
    'lower',
    'out',
    '(?:lower|sink|drop|descend|squat)(?:s|ing)?\\b|(?:come|step|slide|roll|lie|sit|walk|set|bring|reach)(?:s|ing)?\\s+(?:all\\s+the\\s+way\\s+)?(?:down|back\\s+on)\\b',
  ],
  ['soften', 'out', '(?:soften|release|relax|melt|settle|empty|let\\s+go|rest)(?:s|ing)?\\b'],
  [
    'lengthen',
    'in',
    '(?:lengthen|elongate)(?:s|ing)?\\b|(?:grow|growing|stand|sit|rise|stay)\\s+(?:up\\s+)?(?:tall|long)\\b|(?:make|keep)\\s+(?:the|your)\\s+spine\\s+long\\b|re-?lengthen\\b',
  ],
  [
    'lift',
    'in',
    `(?:lift|raise|float|hover)(?:s|ing)?\\b|ris(?:e|es|ing)\\b|(?:come|stand|press|push|roll|look|sweep|reach|swing|circle)(?:s|ing)?\\s+(?:all\\s+the\\s+way\\s+|back\\s+)?up\\b|(?:sweep|swing|stretch|reach)(?:s|ing)?\\s+${MINE}arms?\\b`,
  ],
  ['open', 'in', '(?:open|widen|spread|expand|broaden|arch|unfold|inflate)(?:s|ing|es)?\\b'],
  ['lengthen', 'in', '(?:reach|stretch|extend)(?:s|ing|es)?\\b(?!\\s+(?:down|forward|for))'],
]

const ALL = VERBS.map(([kind, phase, pattern]) => ({
  kind,
  phase,
  pattern: new RegExp(`\\b(?:${pattern})`, 'gi'),
}))

/** Where an instruction begins: at the start, after a stop, and after words that lead to one. */
const BEGINS =
  /(?:^|[.,;:!?–—(“"]|\b(?:and|then|to|slowly|gently|softly|now|again|you|in|out|inhale|exhale|inhaling|exhaling|breath|or|first|next|simply|just|both))\s*$/i
const ONLY_NOUN_AFTER =
  /\b(?:the|a|an|your|not|never|don['’]t|do\s+not|before\s+you|after\s+you|until\s+you|when\s+you|once\s+you|as\s+you)\s*$/i

function isInstruction(text: string, at: number): boolean {
  const before = text.slice(Math.max(0, at - 24), at)
  return BEGINS.test(before) && !ONLY_NOUN_AFTER.test(before)
}

function movementsIn(text: string): Movement[] {
  const found: Movement[] = []
  for (const { kind, phase, pattern } of ALL) {
    pattern.lastIndex = 0
    for (let match = pattern.exec(text); match; match = pattern.exec(text)) {
      const at = match.index
      const end = at + match[0].length
      if (found.some((each) => at < each.at + each.word.length && each.at < end)) continue
      if (!isInstruction(text, at)) continue
      found.push({ word: match[0], at, phase, kind })
    }
  }
  return found.sort((a, b) => a.at - b.at)
}

const PARTS_OF = {
  arms: 'arms?|hands?|elbows?|forearms?|palms?|fingers|fingertips|wrists?|thumbs?|shoulders?',
  legs: 'legs?|knees?|foot|feet|heels?|toes?|shins?|thighs?|ankles?|soles?',
  head: 'head|chin|gaze|eyes|face|neck',
}
const MOVES =
  '(?:step|lift|raise|lower|bend|straighten|reach|sweep|float|stretch|extend|turn|roll|slide|swing|bring|place|set|draw|drop|cross|open|close|spread|hug|clasp|point|tuck|circle|hook|wrap|thread|walk|take|move|push|pull|tip|tilt|release|interlace|rotate|lengthen|unfold|tap|shift|hold|catch)'
const OF_LIMB = (parts: string) =>
  new RegExp(`\\b${MOVES}\\s+(?:\\w+\\s+){0,3}?(?:${parts})\\b`, 'i')
const LIMBS = Object.entries(PARTS_OF).map(([kind, parts]) => ({ kind, moves: OF_LIMB(parts) }))
const AND_MOVES = new RegExp(
  `\\s(?:and|while\\s+you|as\\s+you)\\s+(?=(?:then\\s+|slowly\\s+|gently\\s+)?(${MOVES})\\b)`,
  'gi'
)

/** The limb that an instruction moves first, with its words. */
function limbMoved(text: string): { kind: string; words: string } | null {
  const found = LIMBS.flatMap(({ kind, moves }) => {
    const match = moves.exec(text)
    return match
      ? [{ kind, words: match[0], at: match.index, end: match.index + match[0].length }]
      : []
  })
  return found.sort((a, b) => a.end - b.end)[0] ?? null
}

function twoLimbs(text: string): [string, string] | null {
  for (const match of text.matchAll(AND_MOVES)) {
    const first = limbMoved(text.slice(0, match.index))
    const rest = text
      .slice(match.index + match[0].length)
      .split(/[.;:!?]/)[0]!
      .replace(/^(?:(?:then|slowly|gently)\s+)+/i, '')
    const second = limbMoved(rest)
    // "Lift the arms and bring the palms together" goes on with the same limb.
    if (first && second && first.kind !== second.kind && rest.startsWith(second.words))
      return [first.words, second.words]
  }
  return null
}

const HOLDS_BREATH =
  /\b(?:hold|holding|holds|keep|keeping|retain|retaining|suspend|suspending|stop|stopping|pause|pausing|trap|lock|locking)\s+(?:on\s+to\s+)?(?:the|your|that|this|a|each|every)\s+(?:full\s+|empty\s+|in-?\s?|out-?\s?|whole\s+|last\s+)?(?:breath|inhale|exhale|inhalation|exhalation|air)\b(?!\s+(?:even|steady|smooth|long|slow|soft|calm|moving|flowing|free|quiet|easy|going|deep|low|light|regular|natural|in\s+(?:your\s+|the\s+)?mind|at\s+ease|count))|\bhold\s+(?:it\s+)?(?:in|out)\s+for\b|\bbreath\s+(?:is\s+|stays\s+|remains\s+|being\s+)?held\b|\bbreath\s+retention\b|\bretention\b|\bstay\s+(?:full|empty)\b|\bhold\s+(?:full|empty)\b|\b(?:lungs?|chest)\s+(?:held\s+)?(?:full|empty)\s+for\b/i
const NOT_HELD =
  /\b(?:not|never|don['’]t|without|instead\s+of|rather\s+than|no|avoid|stop|stops|if\s+you|when\s+you|do\s+you|people|tends?\s+to|catches|is)\s+(?:\w+\s+){0,2}?$/i

function holdsBreath(text: string): string {
  const match = HOLDS_BREATH.exec(text)
  if (!match) return ''
  // "Stop holding the breath", "without holding the breath".
  return NOT_HELD.test(text.slice(0, match.index)) ? '' : match[0]
}

const SPOKEN_IN = /\b(?:breathe|breathing|breath)\s+in\b|\binhal(?:e|es|ing|ation)\b|\bin-breath\b/i
const SPOKEN_OUT =
  /\b(?:breathe|breathing|breath)\s+out\b|\bexhal(?:e|es|ing|ation)\b|\bout-breath\b/i

const FOLD_WORD = /\b(?:fold|bow|round|bend(?:ing)?\s+forward|curl|hinge)/i

/** A line that turns the trunk, not a limb or the head. */
const TRUNK_TURN =
  /\b(?:twist|revolve)(?:s|ing)?\b|\b(?:turn|rotate)(?:s|ing)?\s+(?:(?:further|deeper|more|again|slowly|gently|and\s+\w+|a\s+little(?:\s+\w+)?|the\s+whole)\s+)*(?:(?:to\s+the\s+)?\{?(?:left|right)\b\}?(?!\s+(?:toes?|foot|feet|heel|knee|leg|thigh|shin|hand|palm|arm|elbow|forearm|fingers?|thumb|cheek|ear|hip))|(?:the\s+|your\s+)?(?:\{?(?:left|right)\}?\s+)?(?:chest|ribs?|ribcage|trunk|torso|spine|body|belly|navel|shoulders|upper\s+back|upper\s+body|heart|breastbone)\b|from\s+the\s+(?:ribs|belly|waist|base|navel))/i
const TURNS_BACK = /\b(?:unwind|back\s+to\s+(?:the\s+)?(?:cent(?:er|re)|middle)|forward)\b/i
const LENGTHENS =
  /\b(?:lengthen|elongate|long|longer|tall|taller|lift|lifts|rise|rises|raise|raises|grow|grows|reach|reaches|stretch|stretches|up|upward|extend|extends|draw\s+up|float|arms?\s+overhead)\b/i

const THEN = /(?:,|;)?\s+(?:and\s+)?then\s+/i

const NUMBER =
  '(?:\\d+(?:\\s*(?:to|-|–)\\s*\\d+)?|two|three|four|five|six|seven|eight|nine|ten|twelve|fifteen|twenty|thirty|sixty)'
const UNIT =
  '(?:(?:or|to)\\s+\\w+\\s+)?(?:(?:more|slow|long|full|deep|even|calm|steady|easy|quiet|complete|whole|free|soft|gentle|natural|smooth|deep,\\s+slow|of\\s+your|of\\s+their|in|out)[\\s-]+)*(?:breath(?:s|ing)?|seconds?|secs?|s\\b|minutes?|mins?|min\\b|inhal\\w*|exhal\\w*|in-?breaths?|out-?breaths?|in(?:s)?\\s+and\\s+outs?|hours?|times|rounds?|repeats?|repetitions?|cycles?)'
const COUNTS = new RegExp(
  `\\b(?:hold|stay|remain|keep(?:\\s+it)?|pause|wait|rest|linger|count(?:ing)?|stop)\\b[^.;!?]*?\\b(?:for|to|from|of|down|until|up)\\s+(?:a\\s+|the\\s+)?(?:slow\\s+|long\\s+)?(?:count\\s+of\\s+)?(${NUMBER})(?![\\w°])(?!\\s+${UNIT})(?![^.;!?]*\\b(?:breaths?|seconds?|minutes?)\\b)`,
  'i'
)
const BARE_COUNT = new RegExp(
  `\\b(?:count\\s+of\\s+(${NUMBER})|(${NUMBER})\\s+counts?|hold\\s+(${NUMBER}))(?![\\w°])(?!\\s+${UNIT})(?![^.;!?]*\\b(?:breaths?|seconds?|minutes?)\\b)`,
  'i'
)
/** "Go deeper for ten.": whatever is done, a number that ends its clause counts something. */
const FOR_SO_MANY = new RegExp(
  `\\bfor\\s+(?:another\\s+|a\\s+(?:slow|long)\\s+)?(?!one\\b)(${NUMBER})(?=\\s*(?:[.;:!?,–—]|$))(?![^.;!?]*\\b(?:breaths?|seconds?|minutes?)\\b)`,
  'i'
)
const COUNTED_DOWN = /\b(?:five|5)\s*(?:[,…]|\.{2,3})\s*(?:(?:four|4)\b|.*\b(?:one|1)\b)/i

function countIn(text: string): string {
  const match = COUNTS.exec(text) ?? BARE_COUNT.exec(text) ?? FOR_SO_MANY.exec(text)
  if (match) return match.slice(1).find(Boolean) ?? ''
  return COUNTED_DOWN.test(text) && !/\b(?:breaths?|seconds?)\b/i.test(text)
    ? COUNTED_DOWN.exec(text)![0]
    : ''
}

/** Which breath English words ask for, and how English counts. */
export const englishBreath: BreathWords = {
  movements: movementsIn,
  named: (spoken) => {
    const held = HOLDS_BREATH.exec(spoken)
    const text = held
      ? spoken.replace(
          /\b(?:hold\w*|keep\w*|retain\w*)\s+(?:the|your)\s+breath\s+(?:in|out)\b/i,
          ''
        )
      : spoken
    const [inward, out] = [SPOKEN_IN.test(text), SPOKEN_OUT.test(text)]
    return inward && out ? 'both' : inward ? 'in' : out ? 'out' : null
  },
  folds: (word) => FOLD_WORD.test(word),
  twists: (text) => /\btwist/i.test(text),
  turnsTrunk: (text) => TRUNK_TURN.test(text) && !TURNS_BACK.test(text),
  lengthens: (text) => LENGTHENS.test(text),
  thenAt: (text) => THEN.exec(text)?.index ?? null,
  twoLimbs,
  holdsBreath,
  countIn,
  unitAfter: 'breaths',
}
