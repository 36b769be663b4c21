/**
 * Tells whether "left" or "right" at one place of an English line names a side.
 *
 * The patterns look at the words around. Wherever they meet another side word they take
 * left and right alike, so that a line and its mirrored line are always read alike.
 */

const SIDE = '(?:left|right)\\b'

const BODY =
  'foot|feet|leg|legs|knee|knees|hand|hands|arm|arms|hip|hips|heel|heels|toe|toes|thigh|thighs|shin|shins|calf|calves|ankle|ankles|shoulder|shoulders|elbow|elbows|wrist|wrists|palm|palms|finger|fingers|fingertips?|thumb|thumbs|ear|ears|eye|eyes|cheek|temple|jaw|rib|ribs|ribcage|waist|waistline|flank|buttock|buttocks|glute|glutes|sit|sitting|nostril|nostrils|lung|kidney|armpit|collarbone|forearm|forearms|fist|fists|groin|hamstring|hamstrings|quad|quads|knuckles?|sole|soles|arch|instep|kneecap|shoulder-?blade|big|little|ring|index|middle|inner|outer|upper|lower|front|lead|bent|straight|standing|lifted'

const at = (pattern: string) => new RegExp(pattern, 'iy')

const CLAUSE_END = '\\s*(?:[.,;:!?)\\]"”…—–]|$)'

/** Before: words after which a side is meant whatever follows. */
const AFTER_DETERMINER = at(
  '(?<=\\b(?:the|your|their|his|her|its|my|our|a|this|that|each|other|outer|inner|upper|lower|top|bottom|front|back|far|near)\\s+|\\b(?:to|from|towards?|on|of|onto|with|and|or|facing|then|slightly|further|away)\\s+)'
)
/** Before: movements that take a direction. */
const AFTER_TURN = at(
  '(?<=\\b(?:turn|turns|turning|turned|twist|twists|twisting|step|steps|stepping|look|looks|looking|gaze|lean|leans|leaning|roll|rolls|rolling|face|faces|shift|shifts|shifting|rotate|rotates|rotating|tilt|tilts|pivot|pivots|swing|swings|sway|sways|slide|slides|glance|bend|bends|bending|revolve|revolves|spin|point|points|drift|drifts|move|moves|moving|walk|walks)\\s+)'
)
/** "Turn right now" takes a direction; "right now" alone does not. */
const NOW = at('\\s+now\\b')
/** "Left knee in, right out.": the second half of a pair. */
const LONE_ADVERB = at(`\\s+(?:in|out|back|up|down|over|under|away)\\b(?=${CLAUSE_END})`)
const AFTER_PAIR_COMMA = at(`(?<=\\b${SIDE}[^.!?]*[,;–—]\\s+)`)
const SIDE_EARLIER = at(`(?<=\\b${SIDE}[^.!?]*)`)
const BODY_NEXT = at(`[\\s-]+(?:${BODY})\\b`)
const SIDE_NEXT = at('[\\s-]+side\\b(?!\\s+up\\b)')
const SIDE_UP = at('[\\s-]+side[\\s-]+up\\b')
/** "right over left", "right to left", "left and right". */
const PAIRED = at(
  `\\s+(?:over|under|underneath|on|onto|on\\s+top\\s+of|in\\s+front\\s+of|behind|above|below|across|to|into|against|and|or|then|beside|before|after|than|from)\\s+(?:the\\s+|your\\s+)?${SIDE}`
)

// The word "right" that is no side.

const RIGHT_ANGLE = at('[\\s-]+angle[sd]?\\b')
const RIGHT_TOWARDS = at('\\s+away\\s+from\\b')
/** Directly, at once, all the way: never after a determiner, whatever the verb. */
const RIGHT_DIRECTLY = at(
  '\\s+(?:away|now|here|there|through|along|down|up|back|out|off|in|into|onto|under|underneath|beneath|below|above|over|behind|beside|between|next\\s+to|against|around|across|by|near|where|on\\s+top|inside|outside|alongside|over\\s+the\\s+top)\\b'
)
/** Directly, unless the verb before takes a direction: "turn right as you breathe out". */
const RIGHT_AT_ONCE = at(
  '\\s+(?:at|on|to\\s+the|from|before|after|when|as|until|till|then|while)\\b'
)
const RIGHT_CORRECT = at(
  '\\s+(?:way|ways|place|places|spot|amount|amounts|length|distance|height|time|moment|word|words|order|size|track|direction|thing|choice|answer|kind|sort|number|pace|balance|level|tension|effort|intensity|depth|position|conditions|mix|combination|idea|question|support|dose|feeling|alignment)\\b'
)
const RIGHT_FOR = at(
  `\\s+(?:for\\s+(?:you|your|them|him|her|us|me|this|that|everyone|everybody|each|most|many|beginners|students|now|today)\\b|(?:or|and|from)\\s+wrong\\b|enough\\b|of\\s+way\\b)`
)
const RIGHT_ITSELF = at(
  '\\s+(?:yourself|yourselves|itself|themselves|oneself|himself|herself|myself)\\b'
)
const TO_RIGHT_THE = at('(?<=\\bto\\s+)')
const RIGHT_THE = at('\\s+(?:the|your)\\s+(?:body|torso|trunk|spine|pelvis)\\b')
const ALL_RIGHT = at('(?<=\\b(?:all|just|quite|exactly|about|almost|nearly|not\\s+quite)\\s+)')
const OF_NEXT = at('\\s+of\\b')
const FEELS_RIGHT = at(
  "(?<=\\b(?:feel|feels|felt|sounds?|seems?|seemed|that[’']s|it[’']s|is|isn[’']t|was|are|be|it|this|them|things|put|set|come|comes|you[’']re|what[’']s)\\s+)"
)
const WHOLE_CLAUSE = at(CLAUSE_END)

// The word "left" that is no side.

const LEFT_OVER = at('[\\s-]+over\\b')
const LEFT_OFF = at('\\s+(?:off|alone|behind|unsaid|undone|out)\\b')
const LEFT_THE_FLOOR = at('\\s+(?:the|your)\\s+(?:floor|mat|ground|wall|block|chair|room|earth)\\b')
const HAS_LEFT = at(
  "(?<=\\b(?:has|have|had|having|[’']ve|never|just|already|hasn[’']t|haven[’']t)\\s+)"
)
const HAS_LEFT_WHAT = at(
  '\\s+(?:the|your|a|it|its|off|behind|out|over|them|you|enough|some|room|space)\\b'
)
const WHAT_IS_LEFT = at(
  "(?<=\\b(?:what|whatever|all|all\\s+that|that|who|which|nothing|anything|something|everything|little|none|any|much|more|some|few|enough|breath|there)(?:[’']s|\\s+(?:is|are|was|were|be|remains|you\\s+have|you\\s+still\\s+have|has\\s+been))\\s+)"
)
const NOTHING_LEFT = at(
  '(?<=\\b(?:nothing|anything|something|everything|little|none|much|more|enough|still)\\s+)'
)
/** Something that is counted or used up: "two breaths left". */
const COUNTED_LEFT = at(
  '(?<=\\b(?:breaths?|exhales?|inhales?|seconds?|minutes?|counts?|rounds?|repeats?|repetitions?|times?|room|space|air|energy|effort|strength|steps?|poses?|cards?|have|had|one|two|three|four|five|six|seven|eight|nine|ten|\\d+)\\s+)'
)
const COUNTED_END = at(
  `(?:${CLAUSE_END}|\\s+(?:to|in|before|for|when|here|at|until|between|and)\\b)(?![^.!?]*\\b${SIDE})`
)
const BE_LEFT = at(
  "(?<=\\b(?:be|been|being|is|are|was|were|gets?|[’']s|[’']re|can\\s+be|may\\s+be)\\s+)"
)
const LEFT_AS = at(
  '\\s+(?:free|loose|soft|open|bent|long|straight|hanging|alone|with|out|behind|in\\s+place|as|where|slack|heavy|relaxed|resting|to\\s+(?:hang|rest|drop|soften|be|fall)|on\\s+the\\s+(?:floor|mat|block))\\b'
)

function rightNamesSide(text: string, start: number, end: number): boolean {
  const before = (pattern: RegExp) => matches(pattern, text, start)
  const after = (pattern: RegExp) => matches(pattern, text, end)
  if (after(RIGHT_ANGLE)) return false
  if (after(BODY_NEXT) || after(SIDE_NEXT)) return true
  if (after(RIGHT_ITSELF)) return false
  if (after(PAIRED)) return true
  if (after(RIGHT_FOR)) return false
  if (after(RIGHT_CORRECT)) return false
  if (before(TO_RIGHT_THE) && after(RIGHT_THE)) return false
  if (before(ALL_RIGHT)) return after(OF_NEXT)
  if (before(FEELS_RIGHT) && after(WHOLE_CLAUSE)) return false
  if (before(AFTER_DETERMINER)) return true
  if (after(SIDE_UP)) return false
  if (before(AFTER_TURN) && [RIGHT_TOWARDS, RIGHT_AT_ONCE, NOW].some(after)) return true
  if (after(LONE_ADVERB) && before(AFTER_PAIR_COMMA)) return true
  return !(after(RIGHT_DIRECTLY) || after(RIGHT_AT_ONCE))
}

function leftNamesSide(text: string, start: number, end: number): boolean {
  const before = (pattern: RegExp) => matches(pattern, text, start)
  const after = (pattern: RegExp) => matches(pattern, text, end)
  if (after(PAIRED)) return true
  if (before(HAS_LEFT) && after(HAS_LEFT_WHAT)) return false
  if (after(BODY_NEXT) || after(SIDE_NEXT)) return true
  if (before(WHAT_IS_LEFT) || before(NOTHING_LEFT)) return false
  if (before(COUNTED_LEFT) && after(COUNTED_END) && !before(SIDE_EARLIER)) return false
  if (before(BE_LEFT) && (after(LEFT_AS) || matches(BEING, text, start))) return false
  if (before(AFTER_DETERMINER) || before(AFTER_TURN)) return true
  if (after(LONE_ADVERB) && before(AFTER_PAIR_COMMA)) return true
  if (after(LEFT_OVER) || after(LEFT_OFF)) return false
  return !after(LEFT_THE_FLOOR)
}
const BEING = at('(?<=\\b(?:be|been|being)\\s+)')

const PLAIN_BODY = new Set(
  'foot feet leg legs knee knees hand hands arm arms hip hips heel toe toes thigh shin ankle shoulder elbow wrist palm ribs fingers forearm ear big'.split(
    ' '
  )
)
const COULD_HAVE_LEFT = /(?:has|have|had|having|ve|never|just|already|hasn.?t|haven.?t)\s*$/i

/**
 * The plain case, told fast: one blank and a limb. Only "has left …" can be anything but a
 * side then.
 */
export function plainlyNamesSide(text: string, start: number, end: number): boolean {
  if (text.charCodeAt(end) !== 32) return false
  let stop = end + 1
  for (let code = text.charCodeAt(stop); code >= 97 && code <= 122; code = text.charCodeAt(stop))
    stop += 1
  const next = text.charCodeAt(stop)
  if (next > 127 || next === 39 || (next >= 48 && next <= 57) || (next >= 65 && next <= 95))
    return false
  if (!PLAIN_BODY.has(text.slice(end + 1, stop))) return false
  return !COULD_HAVE_LEFT.test(text.slice(Math.max(0, start - 10), start))
}

/** @returns whether the word `side` at `start`..`end`, if it stood there, would name a side */
export function namesSide(
  side: 'left' | 'right',
  text: string,
  start: number,
  end: number
): boolean {
  return side === 'right' ? rightNamesSide(text, start, end) : leftNamesSide(text, start, end)
}

const LETTER_SHAPE = at("(?:[\\s-]+(?:shape|shaped|sit|bracket|position)|[’']\\w)")
const LETTER_NAMED = at(
  '(?<=\\b(?:an|letter|letters|capital|size|type|vitamin|a)\\s+|[&@#]\\s*|\\d\\s*)'
)
const LETTER_PAIR = at('(?:\\s*[/&|–-]\\s*[LRlr]\\b)')
const LETTER_PAIR_BEFORE = at('(?<=\\b[LRlr]\\s*[/&|–-]\\s*)')
const LETTER_BRACKETED = at('(?<=[([])')
const LETTER_BRACKET_END = at('[)\\]]')
const LETTER_BODY = at(`\\.?\\s+(?:${BODY}|side)\\b`)
const CAPITAL_LETTER_AND = at('\\s*&\\s*(?![LR]\\b)')

/** @returns whether the single letter L or R at `start` is short for a side */
export function letterNamesSide(text: string, start: number, end: number): boolean {
  const before = (pattern: RegExp) => matches(pattern, text, start)
  const after = (pattern: RegExp) => matches(pattern, text, end)
  const bracketed = before(LETTER_BRACKETED) && after(LETTER_BRACKET_END)
  if (after(LETTER_PAIR) || before(LETTER_PAIR_BEFORE) || bracketed) return true
  const letter = text.charAt(start)
  if (letter === 'l' || letter === 'r') return after(LETTER_BODY)
  return !(after(LETTER_SHAPE) || before(LETTER_NAMED) || after(CAPITAL_LETTER_AND))
}

/** @returns whether a short form of several letters (LH, Rt) is short for a side */
export function shortNamesSide(text: string, start: number, end: number): boolean {
  const first = text.charAt(start)
  return first === 'L' || first === 'R' || matches(LETTER_BODY, text, end)
}

function matches(pattern: RegExp, text: string, index: number): boolean {
  pattern.lastIndex = index
  return pattern.test(text)
}
