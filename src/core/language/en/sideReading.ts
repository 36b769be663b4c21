import type { Side } from '../../card'
import {
  AMOUNTS,
  BODY,
  BODY_ADJECTIVES,
  CORRECT_THINGS,
  DETERMINERS,
  MEASURED,
  PLACERS,
  PRONOUNS,
  RESOURCES,
  ROAMERS,
  SELVES,
  SPACE_WORDS,
  SUBJECTS,
  TURNERS,
  WHEN_WORDS,
} from './sideSentence'
import { wordSet } from './worded'

/**
 * Tells whether "left" or "right" at one place of an English line names a side, by what the word
 * is in its sentence: what it hangs on (a turning verb, a limb, an article), what follows
 * (a limb, a place word, the end), and whether it stands against the other side.
 *
 * Wherever reading meets another side word it takes left and right alike, or asks only whether
 * the two differ. So a line and its mirrored line are always read alike.
 */
export type Reading = 'side' | 'plain' | 'unsure'

/**
 * A word on its own, before it is held against the others. `counted` is a "left" after a
 * number, "three left": what remains, or a side with its count.
 */
type Alone = Reading | 'counted'

interface Token {
  word: string
  /** Without a blank before it: the second part of a compound. */
  joined: boolean
}

/** Words and marks around a place; words in lower case, `.` for the end of a sentence. */
interface Around {
  /** Backwards: the first is the nearest. */
  before: Token[]
  after: Token[]
  /** The sentence up to the word, and after it. */
  head: string
  tail: string
}

const TOKEN = /[^\s.,;:!?()[\]"“”…—–/&|{}-]+|[.,;:!?()[\]"“”…—–/&|{}-]/g
const REACH = 6

function tokens(text: string, most = Infinity): Token[] {
  const found: Token[] = []
  TOKEN.lastIndex = 0
  for (let match = TOKEN.exec(text); match; match = TOKEN.exec(text)) {
    const gap = match.index > 0 && /\s/.test(text[match.index - 1]!)
    found.push({ word: match[0].toLowerCase().replace('’', "'"), joined: match.index > 0 && !gap })
    if (found.length === most) break
  }
  return found
}

/** Letters on each side that a sentence is read for; no sentence of a card is longer. */
const FAR = 800
/** Letters in which the nearest words stand. */
const NEAR = 160

function around(text: string, start: number, end: number): Around {
  let from = start
  while (from > start - FAR && from > 0 && !endsSentence(text, from - 1)) from -= 1
  let to = end
  while (to < end + FAR && to < text.length && !endsSentence(text, to)) to += 1
  const head = text.slice(from, start)
  const tail = text.slice(end, to + 1)
  // A word that is cut in two is the furthest one.
  return {
    before: tokens(head.slice(-NEAR)).slice(-REACH).reverse(),
    after: tokens(tail, REACH),
    head,
    tail,
  }
}

function endsSentence(text: string, index: number): boolean {
  const mark = text.charCodeAt(index)
  if (mark !== 46 && mark !== 33 && mark !== 63 && mark !== 0x2026) return false
  return index + 1 >= text.length || /\s/.test(text[index + 1]!)
}

const isSide = (word?: string) => word === 'left' || word === 'right'
const isMark = (word?: string) => word === undefined || /^[^\p{L}\p{N}]/u.test(word)
const END = new Set([
  undefined,
  '.',
  ',',
  ';',
  ':',
  '!',
  '?',
  ')',
  ']',
  '"',
  '”',
  '…',
  '—',
  '–',
  '}',
])
const isEnd = (word?: string) => END.has(word)
const GO_ON = wordSet('and or then but while as with than nor')
/** Bare: nothing that it could belong to follows. */
const endsThere = (word?: string) => isEnd(word) || GO_ON.has(word!)

const NUMBER =
  /^(?:\d+|one|two|three|four|five|six|seven|eight|nine|ten|twelve|both|few|last|first|next)$/
const PAIR_LINK =
  /^(?:over|under|underneath|on|onto|in|to|into|against|and|or|nor|then|behind|above|below|across|beside|before|after|than|from|next|around|round|inside|outside|atop|alongside|with|through|vs|versus|by|for|beneath|past|near|toward|towards|meets|meet|crosses|follows)$/
const FILLER = /^(?:the|your|top|of|to|front|then|her|his|their)$/

/** "right over left", "left to right", "right next to left": two sides, one against the other. */
function pairsOn({ after }: Around): boolean {
  if (!PAIR_LINK.test(after[0]?.word ?? '')) return false
  let at = 1
  while (at < 4 && FILLER.test(after[at]?.word ?? '')) at += 1
  if (!isSide(after[at]?.word)) return false
  const beyond = after[at + 1]?.word
  return (
    endsThere(beyond) ||
    SPACE_WORDS.has(beyond!) ||
    WHEN_WORDS.has(beyond!) ||
    isSide(beyond) ||
    beyond === '-'
  )
}

/** The second of the two: "over left", "to the right", after the first. */
function pairEnds({ before }: Around): boolean {
  let at = 0
  while (at < 3 && FILLER.test(before[at]?.word ?? '')) at += 1
  return PAIR_LINK.test(before[at]?.word ?? '') && isSide(before[at + 1]?.word)
}

/** The last word before that is no adverb: what the word hangs on. */
const SOFT =
  /^(?:slightly|just|gently|slowly|then|first|further|far|softly|fully|now|again|only|a|bit|little|more|all|and)$/
function hangsOn(before: Token[]): string | undefined {
  return before.find(({ word }) => !SOFT.test(word))?.word
}

/** Verbs that take a thing somewhere: "pour the weight left". */
const CARRIERS =
  /^(?:roll|swing|slide|walk|move|step|draw|send|take|sweep|pour|carry|cast|swirl|cartwheel|wheel|sit|ease|nudge|push|pull|shuffle|float|spread)s?$/

/** A turning verb earlier in the clause, with the thing that it turns between: "turn the head right". */
function turnsAThing({ before }: Around, end = 5): boolean {
  for (const [i, { word }] of before.slice(0, end).entries()) {
    if (isMark(word)) return false
    if (i > 0 && TURNERS.has(word)) return true
    if (i > 0 && CARRIERS.test(word)) return true
  }
  return false
}

const ALL_THE_WAY =
  /^(?:up|down|back|around|round|through|off|out|along|forward|forwards|inside|underneath|overhead|beneath|below|there|here)$/

function limbNext({ after }: Around): boolean {
  let at = 0
  if (after[0]?.word === '-') at = 1
  while (at < 4 && BODY_ADJECTIVES.has(after[at]?.word ?? '')) at += 1
  const word = after[at]?.word ?? ''
  if (BODY.has(word)) return !(word === 'side' && after[at + 1]?.word === 'up')
  // "Right upper", "left outer": of a side, whatever it is.
  return /^(?:upper|lower|inner|outer)$/.test(after[0]?.word ?? '') && at > 0 && isEnd(word)
}

/** In "…, right?" one is asked. */
const endsNoQuestion = (word?: string) => word !== '?' && endsThere(word)

/** "left as heavy as right", "right just as long as the left": one measured by the other. */
function measuredByTheOther({ before, after }: Around): boolean {
  const reaches = (words: Around['after'], towards: 'on' | 'back') => {
    const near = words.slice(0, 7).map(({ word }) => word)
    const mark = near.findIndex((word) => isMark(word))
    const clause = mark < 0 ? near : near.slice(0, mark)
    const other = clause.findIndex((word) => isSide(word))
    if (other < 3) return false
    const between = clause.slice(0, other).filter((word) => !/^(?:the|your)$/.test(word))
    const [first, last] = towards === 'on' ? [0, -1] : [-1, 0]
    return (
      between.filter((word) => word === 'as').length === 2 &&
      between.at(last) === 'as' &&
      /^(?:as|is|just|nearly|about|feels|not|twice|half)$/.test(between.at(first)!)
    )
  }
  return reaches(after, 'on') || reaches(before, 'back')
}

/** "left-right", "left/right", "right, left, right", "left (right)": one beside the other. */
function sideBeside({ before, after }: Around): boolean {
  const joins = /^(?:-|–|—|\/|&|\||and|or|nor|to|then|as|than|like)$/
  return (
    isSide(after[0]?.word) ||
    isSide(before[0]?.word) ||
    (joins.test(after[0]?.word ?? '') &&
      (isSide(after[1]?.word) ||
        (after[1]?.word === 'to' && isSide(after[2]?.word)) ||
        (after[1]?.word === '-' && isSide(after[2]?.word)))) ||
    (joins.test(before[0]?.word ?? '') &&
      (isSide(before[1]?.word) ||
        (before[1]?.word === '-' && isSide(before[2]?.word)) ||
        (before[1]?.word === 'to' && isSide(before[before[2]?.word === '-' ? 3 : 2]?.word)))) ||
    (after[0]?.word === ',' && isSide(after[1]?.word) && endsNoQuestion(after[2]?.word)) ||
    (after[0]?.word === ',' &&
      /^(?:and|or|then)$/.test(after[1]?.word ?? '') &&
      isSide(after[2]?.word) &&
      endsThere(after[3]?.word)) ||
    (before[0]?.word === ',' && isSide(before[1]?.word) && endsNoQuestion(after[0]?.word)) ||
    (/^(?:and|or|then)$/.test(before[0]?.word ?? '') &&
      before[1]?.word === ',' &&
      isSide(before[2]?.word) &&
      endsThere(after[0]?.word))
  )
}

/** The second half of a pair: "left knee in, right out". */
const ADVERB_END =
  /^(?:in|out|back|up|down|over|under|away|forward|low|high|long|free|bent|straight|down|heavy|soft)$/
function secondHalf({ before, after, head }: Around): boolean {
  if (!/\b(?:left|right)\b/i.test(head)) return false
  const separated = [',', ';', '–', '—', 'and', 'but', 'then', 'while'].includes(
    before[0]?.word ?? ''
  )
  const little = after[1]?.word === 'a' && /^(?:little|bit|touch)$/.test(after[2]?.word ?? '')
  const next = after[little ? 3 : after[1]?.word === 'slightly' ? 2 : 1]?.word
  return separated && ADVERB_END.test(after[0]?.word ?? '') && endsThere(next)
}

/** Whose it is: "the teacher's left"; "it's", "that's" are verbs. */
const POSSESSIVE =
  /^(?!(?:it|that|what|let|there|here|he|she|who|where|how|when|this|everything|everyone|nothing|something|one)'s$)\p{L}+(?:'s|s')$/u

const PLACES =
  'on|in|to|at|under|over|behind|into|onto|above|below|beneath|inside|outside|against|beside|by|through|across|towards?|around|round|near'
const PLACE_LINK = new RegExp(`^(?:${PLACES})$`)
const SIDE_IN_PLACE = new RegExp(`\\b(?:left|right)\\b(?:\\s+\\p{L}+)?\\s+(?:${PLACES})\\b`, 'iu')
const SIDE_WITHOUT_ARTICLE = /(?<!\b(?:the|your)\s+)\b(?:left|right)\b/i

/**
 * "Left hand to the chair, right to the hip", "left on the inside, right on the outside": two
 * clauses in short that each give a side its place. Where the first is a whole sentence with its
 * article ("slide the left heel to the shin, right to the knee"), "right" can be "directly".
 */
function besideAnother({ before, after, head, tail }: Around): Reading {
  if (!PLACE_LINK.test(after[0]?.word ?? '')) return 'plain'
  const first = before[0] === undefined
  if (!first && !/^(?:,|;|and|while)$/.test(before[0]!.word)) return 'plain'
  const clauses = (text: string) => text.split(/[,;]|\b(?:and|while)\b/i)
  const others = [...clauses(head).slice(0, -1), ...clauses(tail).slice(1)]
  const against = others.filter((clause) => SIDE_IN_PLACE.test(clause))
  if (against.length === 0) return 'plain'
  return against.some((clause) => SIDE_WITHOUT_ARTICLE.test(clause)) ? 'side' : 'unsure'
}

/** Words that make what is before them a name for a place or a limb: "the right", "your left". */
function hasDeterminer({ before }: Around): boolean {
  const [last, other] = before
  return (
    DETERMINERS.has(last?.word ?? '') ||
    POSSESSIVE.test(last?.word ?? '') ||
    (BODY_ADJECTIVES.has(last?.word ?? '') && DETERMINERS.has(other?.word ?? ''))
  )
}

const TO_A_PLACE =
  /^(?:to|from|toward|towards|on|of|onto|facing|at|for|into|by|than|via|per|favour|favor)$/

/** "A little further right": there is no further of what is correct, or of what remains. */
const goesFurther = ({ before, after }: Around): boolean =>
  /^(?:further|farther)$/.test(before[0]?.word ?? '') &&
  !(after[0]?.word === 'to' && after[1]?.word === 'go')

/** "Stage left", "house right": sides of a room that is played in. */
const inTheHall = ({ before: [where, from] }: Around): boolean =>
  /^(?:stage|house|camera|audience)$/.test(where?.word ?? '') &&
  (TO_A_PLACE.test(from?.word ?? '') ||
    TURNERS.has(from?.word ?? '') ||
    ROAMERS.has(from?.word ?? ''))

// Right.

const COPULA =
  /^(?:is|isn't|was|wasn't|are|aren't|be|feel|feels|felt|feeling|sound|sounds|seem|seems|seemed|look|looks|that's|it's|what's|you're|they're|not|all|just|quite|exactly|about|almost|nearly|perfectly|absolutely|only|completely|entirely|rather|somehow|makes|when|if|until|sits|goes)$/
const MADE =
  /^(?:guess|guessed|chose|choose|answered|do|does|done|doing|get|gets|getting|got|set|sets|make|makes|made|put|puts|have|be|did|play|hold|learn|say|read|know)$/
/** Not a place: "the right to stop", after what one has or is. */
const OWNED =
  /(?:\b(?:is|have|has|keeps?|reserves?|had|earns?|with|within|respects?|honou?rs?|gives?|remember|it['’]s|not|without|claims?|use|know|its)\s+(?:\w+\s+){0,2}|^\s*)(?:the|your|their|a|every|her|his|no|any|one['’]s|each|full|student['’]s|students['’]|person['’]s)\s+$/i
const PLACE_AFTER_TO =
  /^(?:the|your|a|an|this|that|their|his|her|its|left|right|both|one|each|it|them|face|meet|join|touch|reach|lengthen|press|lift|rest|balance|frame|support|stack|match|counter|shift|bring|come|make|look|open|turn|stretch|hold|steady|lean|sink|side|centre|center|front|back|where|which)$/
const RIGHT_TO_DO =
  /^(?:stop|stay|remain|sit|lie|wait|rest|say|refuse|ask|know|choose|change|skip|leave|decline|no|opt|decide|pause|be|privacy|feel|move|come|object|withdraw|touch|silence)$/
const GOT_RIGHT =
  /\b(?:get|gets|getting|got|do|does|make|makes)\s+(?:it|this|that|them|(?:the|your|each|every|one)\s+\w+(?:\s+\w+)?)\s+$/i
const NOT_HERE = /^(?:now|away|here|there|then|then|where)$/
const CALL =
  /^(?:now|so|let|let's|we|good|everyone|everybody|class|next|okay|ok|back|on|off|well|that|this|here|today|before|shall|take|come|ready|and|team|folks|friends|from|again|first|once|lift|breathe|stand|sit|bend|press|draw|stay|feel|hold|start|step|bring|find|set|keep|roll|release|rest|lie|reach|drop|relax|everyone's|switch|change|repeat|go|settle|soften|lengthen|two|one|three|when|if|you|i)$/

const MEASURED_THINGS =
  /^(?:height|heights|length|size|distance|width|thickness|angle|order|amount|pace|speed)$/

function readRight(here: Around): Reading {
  const { before, after } = here
  const [n1, n2] = [after[0]?.word, after[1]?.word]
  const [p1, p2] = [before[0]?.word, before[1]?.word]
  const first = p1 === undefined || p1 === '“' || p1 === '"'

  if (/^angle(?:s|d)?$/.test(n1 ?? '')) return 'plain'
  if (goesFurther(here) || inTheHall(here)) return 'side'
  if (n1 === '-') {
    if (/^angle(?:s|d)?$/.test(n2 ?? '')) return 'plain'
    if (n2 === 'side' && /^(?:-|up)$/.test(after[2]?.word ?? '')) {
      if (after.slice(2, 4).some(({ word }) => word === 'up')) return 'plain'
    }
    if (/^(?:minded|thinking|on|sized|about|angled|click|handedness)$/.test(n2 ?? ''))
      return 'plain'
    if (isSide(n2) || n2 === 'to' || BODY.has(n2 ?? '') || BODY_ADJECTIVES.has(n2 ?? ''))
      return 'side'
    if (
      /(?:ing|ed|ward|wards|first|most|lead|hand|hander|heavy|dominant)$/.test(n2 ?? '') ||
      isEnd(n2)
    )
      return 'side'
    return 'unsure'
  }
  // "Right side down, left side up" holds one side against the other.
  if (n1 === 'side' && n2 === 'up')
    return /\b(?:left|right)[\s-]sides?\b/i.test(`${here.head}.${here.tail}`) ? 'side' : 'plain'
  if (n1 === 'way' || n1 === 'ways') return 'plain'
  if (limbNext(here)) return 'side'
  if (sideBeside(here) || measuredByTheOther(here)) return 'side'
  const beside = besideAnother(here)
  if (beside !== 'plain') return beside
  if (n1 === 'side' || n1 === 'sides') return 'side'
  // "Put right what was undone."
  if (/^(?:put|puts|set|sets)$/.test(p1 ?? '') && /^(?:what|whatever|anything|any)$/.test(n1 ?? ''))
    return 'plain'
  if (SELVES.has(n1 ?? '')) return 'plain'
  if (/^(?:right|left)$/.test(p1 ?? '') && CORRECT_THINGS.has(n1 ?? '')) return 'unsure'
  if (CORRECT_THINGS.has(n1 ?? '')) return 'plain'
  // "The right stool height": measured of a thing, and no limb stands between.
  if (MEASURED_THINGS.test(n2 ?? '') && hasDeterminer(here) && !SPACE_WORDS.has(n1!)) return 'plain'
  // "The right answer is to rest": what one does is on no side.
  if (/^\s+\p{L}+\s+(?:is|was|would be)\s+(?:to|that|when|whatever)\b/iu.test(here.tail))
    return 'plain'
  if (/^(?:for)$/.test(n1 ?? '')) {
    if (
      PRONOUNS.has(n2 ?? '') ||
      /^(?:each|most|many|beginners|students|now|today|every|some|people|everyone|everybody|anyone|that|this|the|a|your)$/.test(
        n2 ?? ''
      )
    )
      return hasDeterminer(here) && !COPULA.test(p2 ?? '') ? 'unsure' : 'plain'
  }
  if (/^(?:or|and|from)$/.test(n1 ?? '') && n2 === 'wrong') return 'plain'
  if (n1 === 'enough' || (n1 === 'as' && n2 === 'rain')) return 'plain'
  if (
    p1 === 'to' &&
    /^(?:the|your)$/.test(n1 ?? '') &&
    /^(?:body|torso|trunk|spine|pelvis|boat|balance)$/.test(n2 ?? '')
  )
    return 'plain'
  if (
    first &&
    /^(?:the|your)$/.test(n1 ?? '') &&
    /^(?:body|torso|trunk|spine|pelvis|head|chest)$/.test(n2 ?? '')
  )
    return 'plain'
  // A tag or a call: ", right?", "Right, now …".
  if (n1 === '?' && (p1 === ',' || p1 === '—' || p1 === '–' || first)) return 'plain'
  if (first && (n1 === ',' || n1 === '.' || n1 === '!' || n1 === '—' || n1 === '–')) {
    if (n1 === '.' && n2 === undefined) return 'unsure'
    return CALL.test(n2 ?? '') ? 'plain' : 'unsure'
  }
  // "your right to stop": what one may do.
  if (
    n1 === 'to' &&
    OWNED.test(here.head) &&
    !/\b(?:to|from|towards?|on|onto|of|at)\s+(?:the|your)\s+$/i.test(here.head)
  ) {
    if (RIGHT_TO_DO.test(n2 ?? '')) return 'plain'
    if (!PLACE_AFTER_TO.test(n2 ?? '') && !isEnd(n2)) return 'unsure'
  }
  if (hasDeterminer(here) && !/^(?:this|that|each|a)$/.test(p1 ?? '')) {
    // "Pick the right block": the fitting one, or the one on the right?
    const chosen = /^(?:pick|choose|find|use|need|know|take|get|want|hit|give)s?$/.test(p2 ?? '')
    const thing = !isEnd(n1) && !GO_ON.has(n1!) && !SPACE_WORDS.has(n1!) && !WHEN_WORDS.has(n1!)
    return chosen && thing ? 'unsure' : 'side'
  }
  if (/^(?:all|just|quite|exactly|about|almost|nearly|not|only)$/.test(p1 ?? '')) {
    if (n1 === 'of') return 'side'
    if (p1 === 'not' && /\b(?:left|right)\b/i.test(here.head)) return 'side'
    return DETERMINERS.has(n1 ?? '') ? 'unsure' : 'plain'
  }
  if (n1 === 'of') return 'side'
  if (secondHalf(here) || pairEnds(here)) return 'side'
  if (p1 === ',' && n1 === ',')
    return /^(?:ok|okay|so|well|now|yes|good|and)$/.test(p2 ?? '') ? 'plain' : 'unsure'
  // "Get the breath right first."
  if (GOT_RIGHT.test(here.head)) return 'plain'
  const verb = hangsOn(before) ?? ''
  const bound = PRONOUNS.has(p1 ?? '') || BODY.has(p1 ?? '') || /s$/.test(p1 ?? '')
  if (pairsOn(here) && !(bound && !TURNERS.has(p1 ?? '') && !ROAMERS.has(p1 ?? ''))) return 'side'
  if (pairsOn(here))
    return turnsAThing(here) || /\bcross|\bfrom\b/i.test(here.head) ? 'side' : 'unsure'
  const turning = TURNERS.has(verb) && !isMark(p1)
  const roaming = ROAMERS.has(verb) && !isMark(p1)
  if (n1 === 'away' && n2 === 'from') return turning || roaming ? 'side' : 'plain'
  if (isEnd(n1) || n1 === 'or' || n1 === 'and' || n1 === 'but' || n1 === 'than') {
    if (PRONOUNS.has(p1 ?? '') || p1 === 'things')
      return MADE.test(p2 ?? '') ? 'plain' : turnsAThing(here) ? 'side' : 'unsure'
    if (COPULA.test(p1 ?? '') && !turning && !roaming)
      return /\b(?:left|right)\b/i.test(here.head) ? 'unsure' : 'plain'
    if (MADE.test(p1 ?? '')) return 'plain'
    return 'side'
  }
  const directly = SPACE_WORDS.has(n1!) || WHEN_WORDS.has(n1!)
  if (directly) {
    if ((turning || roaming) && /^(?:around|round)$/.test(n1!) && BODY.has(after[2]?.word ?? ''))
      return 'unsure'
    if (turning) return ALL_THE_WAY.test(n1!) || (n1 === 'over' && isEnd(n2)) ? 'plain' : 'side'
    if (roaming) {
      if (n1 === 'now') return PLACERS.has(verb) ? 'plain' : 'side'
      if (WHEN_WORDS.has(n1!) && !NOT_HERE.test(n1!) && !SPACE_WORDS.has(n1!)) return 'side'
      return ALL_THE_WAY.test(n1!) || PLACERS.has(verb) ? 'plain' : 'unsure'
    }
    if (turnsAThing(here) && !NOT_HERE.test(n1!))
      return WHEN_WORDS.has(n1!) && n1 !== 'at'
        ? 'side'
        : ALL_THE_WAY.test(n1!)
          ? 'plain'
          : 'unsure'
    if (TO_A_PLACE.test(p1 ?? '') && WHEN_WORDS.has(n1!) && !NOT_HERE.test(n1!)) return 'side'
    return 'plain'
  }
  return 'side'
}

// Left.

const LET_BE =
  /^(?:free|loose|soft|open|bent|long|straight|hanging|alone|with|out|behind|as|where|slack|heavy|relaxed|resting|off|unsaid|undone|bare|empty|unlocked|natural|lying|standing|dangling|unsupported|idle|quiet|still|half|there|here|until|to|for|on)$/
const HAVE =
  /^(?:has|have|had|having|'ve|never|just|already|hasn't|haven't|hadn't|you've|we've|they've|i've)$/
const WHAT_IS =
  /\b(?:what|whatever|all|all that|that|who|which|nothing|anything|something|everything|little|none|any|much|more|some|few|enough|there|how|breath|time|one|only|still)(?:['’]s|\s+(?:is|are|was|were|be|remains|you\s+have|we\s+have|you\s+still\s+have|has\s+been|it\s+has))(?:\s+still)?\s+$/i
const BE = /^(?:be|been|being|is|are|was|were|get|gets|it's|they're|that's|isn't|aren't)$/

/** "two breaths left", "any room left": what remains, unless a number stands before it. */
function remains(here: Around): false | 'plain' | 'counted' {
  const { before, after } = here
  const p1 = before[0]?.word ?? ''
  // "Lean a little left", "move the block a touch left".
  const moves = (word: string) => TURNERS.has(word) || ROAMERS.has(word) || CARRIERS.test(word)
  const begins = /(?:^|[,;])\s*(\p{L}+)[^,;]*$/u.exec(here.head)?.[1]?.toLowerCase() ?? ''
  if (
    /^(?:little|bit|half|touch|lot|more)$/.test(p1) &&
    (moves(begins) || before.slice(1).some(({ word }) => moves(word)))
  )
    return false
  // "Send the breath left."
  const does = before[DETERMINERS.has(before[1]?.word ?? '') ? 2 : 1]?.word ?? ''
  if (moves(does) && (endsThere(after[0]?.word) || after[0]?.word === 'of')) return false
  // "More than left", "repeat left": one side beside the other, and what is to be done.
  if (p1 === 'than' || pairEnds(here)) return false
  if (/^(?:repeat|work|count)$/.test(p1) && isMark(before[1]?.word)) return false
  const amount = (word?: string) => AMOUNTS.has(word ?? '') || NUMBER.test(word ?? '')
  const [p2, p3, p4] = before.slice(1, 4).map(({ word }) => word)
  const things =
    p1 !== "o'clock" &&
    ![BODY, MEASURED, SPACE_WORDS, WHEN_WORDS, DETERMINERS].some((kind) => kind.has(p1))
  const numbered =
    amount(p1) ||
    ((things || RESOURCES.has(p1)) && (amount(p2) || (/s$/.test(p1) && (amount(p3) || amount(p4)))))
  const had =
    /^(?:have|has|had)$/.test(p1) &&
    before.slice(1).some(({ word }) => RESOURCES.has(word) || amount(word))
  if (!numbered && !had && !RESOURCES.has(p1)) return false
  const n1 = after[0]?.word
  const ends =
    isEnd(n1) ||
    /^(?:to|in|before|for|when|here|at|until|between|and|or|over|if|then|of|on|as|after|this|by|now|but|so|while)$/.test(
      n1 ?? ''
    )
  if (!ends || (n1 === 'of' && amount(p1))) return false
  return numbered && endsThere(n1) ? 'counted' : 'plain'
}

const COUNTED_ON_A_SIDE = new RegExp(
  `\\b(?:\\d+|${[...AMOUNTS].join('|')}|one|two|three|four|five|six|seven|eight|nine|ten|same|twice|once)(?:\\s+\\p{L}+){0,2}\\s+(?:on|to)\\s+(?:the|your)\\s+(?:left|right)\\b`,
  'iu'
)

/** "Two steps right, then one": a step to the other side is meant. */
const MEASURED_TO_A_SIDE = new RegExp(
  `\\b(?:${[...MEASURED].join('|')})\\s+(?:to\\s+(?:the|your)\\s+)?(?:left|right)\\b[^.;]*\\b(?:one|two|three|four|five|another|\\d+)\\s+$`,
  'i'
)

const WHO_LEAVES =
  /^\s*(?:the|a|an|our|my|every|each|one|this|that|most|some)\s+(?:\p{L}+\s+){1,3}$/iu

function readLeft(here: Around): Alone {
  const { before, after } = here
  const [n1, n2] = [after[0]?.word, after[1]?.word]
  const [p1, p2] = [before[0]?.word, before[1]?.word]

  if (goesFurther(here) || inTheHall(here)) return 'side'
  if (n1 === '-') {
    if (/^(?:over|overs|off|out|behind)$/.test(n2 ?? '')) return 'plain'
    if (isSide(n2) || n2 === 'to' || BODY.has(n2 ?? '') || BODY_ADJECTIVES.has(n2 ?? ''))
      return 'side'
    if (
      /(?:ing|ed|ward|wards|first|most|lead|hand|hander|heavy|dominant)$/.test(n2 ?? '') ||
      isEnd(n2)
    )
      return 'side'
    return 'unsure'
  }
  if (sideBeside(here) || measuredByTheOther(here)) return 'side'
  if (besideAnother(here) === 'side') return 'side'
  // "no more left than that": what remains, unless one side is held against the other.
  if (
    n1 === 'than' &&
    /\b(?:(?:is|are|was|were|have|has|had|['’](?:s|re|ve))\s+(?:no\s+|any\s+|much\s+|far\s+)?(?:more|less|fewer)|nothing)\s+(?:\w+\s+)?$/i.test(
      here.head
    ) &&
    !/^\s*than\s+(?:on\s+|to\s+)?(?:the\s+|your\s+)?(?:left|right)\b/i.test(here.tail)
  )
    return 'plain'
  // "The audience left the hall": who is told of first went away.
  if (
    WHO_LEAVES.test(here.head) &&
    (DETERMINERS.has(n1 ?? '') || /^(?:early|late)$/.test(n1 ?? ''))
  )
    return 'plain'
  if (HAVE.test(p1 ?? '') && !remains(here)) {
    if (
      DETERMINERS.has(n1 ?? '') ||
      PRONOUNS.has(n1 ?? '') ||
      LET_BE.test(n1 ?? '') ||
      /^(?:off|enough|some|room|space|over)$/.test(n1 ?? '')
    )
      return 'plain'
    if (isEnd(n1)) return 'plain'
  }
  if (SUBJECTS.has(p1 ?? '') && !isMark(p1)) {
    if (limbNext(here)) return p1 === 'you' || p1 === 'it' ? 'unsure' : 'side'
    if (
      DETERMINERS.has(n1 ?? '') ||
      PRONOUNS.has(n1 ?? '') ||
      LET_BE.test(n1 ?? '') ||
      isEnd(n1) ||
      n1 === 'over'
    )
      return /^(?:it|them|this|that)$/.test(p1!) && turnsAThing(here) ? 'side' : 'plain'
    if (p1 !== 'it' && p1 !== 'that') return 'plain'
  }
  if (limbNext(here) || n1 === 'side' || n1 === 'sides') return 'side'
  if (p1 === undefined && /^(?:un\p{L}+ed|alone|unchecked|hanging|idle)$/u.test(n1 ?? ''))
    return 'plain'
  if (SELVES.has(n2 ?? '') && n1 === 'to') return 'plain'
  if (
    n1 === 'to' &&
    /^(?:their|your|its|his|her)$/.test(n2 ?? '') &&
    /^(?:own)$/.test(after[2]?.word ?? '')
  )
    return 'plain'
  if (WHAT_IS.test(here.head))
    return n1 === 'of' && !/\bwhat(?:ever)?\b/i.test(here.head) ? 'side' : 'plain'
  const remaining = remains(here)
  if (remaining) return remaining
  if (hasDeterminer(here)) return 'side'
  if (BE.test(p1 ?? '') && n1 !== 'of') {
    if (/^(?:be|been|being|get|gets)$/.test(p1 ?? '')) return 'plain'
    if (LET_BE.test(n1 ?? '')) return pairsOn(here) ? 'unsure' : 'plain'
    if (isEnd(n1)) return /\b(?:left|right)\b/i.test(here.head) ? 'side' : 'unsure'
    return 'plain'
  }
  if (
    n1 === 'to' &&
    /^(?:hang|rest|drop|soften|be|fall|sink|do|go|chance|stand|lie|dangle|find|settle|move|swing)$/.test(
      n2 ?? ''
    )
  )
    return BODY.has(p1 ?? '') || isMark(p1) ? 'plain' : 'unsure'
  if (pairsOn(here)) return 'side'
  if (secondHalf(here)) return 'side'
  if (p1 === ',' && n1 === 'behind' && /\b(?:left|right)\b/i.test(here.head)) return 'unsure'
  // "The twist left the spine long": what was turned is a thing here.
  if (TURNERS.has(p1 ?? '') && DETERMINERS.has(p2 ?? '') && DETERMINERS.has(n1 ?? ''))
    return 'plain'
  const verb = hangsOn(before) ?? ''
  const moving =
    (TURNERS.has(verb) || ROAMERS.has(verb) || TO_A_PLACE.test(p1 ?? '')) && !isMark(p1)
  if (moving) return 'side'
  // "The ride left us breathless", "her heel left a mark": of what was done.
  if (
    /^(?:me|us|them|him)$/.test(n1 ?? '') ||
    (n1 === 'her' && (SPACE_WORDS.has(n2 ?? '') || WHEN_WORDS.has(n2 ?? '')))
  )
    return 'plain'
  if (/^(?:a|an|no|some)$/.test(n1 ?? '') && !isMark(p1) && !SPACE_WORDS.has(p1!)) return 'plain'
  // "as the foot left the floor", "the arms left long": of what was done, or is let be.
  if (BODY.has(p1 ?? '') && !turnsAThing(here)) {
    if (/^(?:the|your|its|their|this|that|a)$/.test(n1 ?? '') && !BODY.has(n2 ?? '')) return 'plain'
    if (LET_BE.test(n1 ?? '') && !/^(?:to|on|for|as|with)$/.test(n1!)) return 'plain'
  }
  if (/^(?:over|off|alone|unsaid|undone|behind|out)$/.test(n1 ?? '') && !turnsAThing(here))
    return 'plain'
  if (
    /^(?:the|your)$/.test(n1 ?? '') &&
    /^(?:floor|mat|ground|wall|block|chair|room|earth|ears)$/.test(n2 ?? '')
  )
    return 'plain'
  if (p2 === undefined && n1 === 'with') return 'unsure'
  return 'side'
}

const PLAIN_BODY = wordSet(
  'foot feet leg legs knee knees hand hands arm arms hip hips heel toe toes thigh shin ankle shoulder elbow wrist palm ribs fingers forearm ear big'
)
const COULD_HAVE_LEFT =
  /(?:has|have|had|having|ve|never|just|already|hasn.?t|haven.?t|you|we|they|it|he|she|i|who)\s*$/i

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

/** A "left" or "right" of a line, read as either of the two words. */
export interface SideRead {
  side: Side
  /** Where its sentence begins. */
  sentence: number
  left: Alone
  right: Reading
}

/** Reads the word at `start`..`end` on its own. */
export function readAlone(side: Side, text: string, start: number, end: number): SideRead {
  const here = around(text, start, end)
  const left = readLeft(here)
  const counted =
    left === 'counted' &&
    (COUNTED_ON_A_SIDE.test(here.head + here.tail) || MEASURED_TO_A_SIDE.test(here.head))
  return {
    side,
    sentence: start - here.head.length,
    left: counted ? 'side' : left,
    right: readRight(here),
  }
}

/**
 * Holds the counted words of a line against each other: "five breaths left, five breaths right"
 * are sides, "three left, two left" is what remains. Who is held against whom doesn't hang on
 * which of the two words stands there, so that the mirrored line is read alike.
 * @returns for each word what it is as it stands, and what it would be in the mirrored line
 */
export function readTogether(words: readonly SideRead[]): [Reading, Reading][] {
  const sides = new Map<number, Set<Side>>()
  for (const { side, sentence, left, right } of words) {
    if (left !== 'counted' || right !== 'side') continue
    sides.set(sentence, (sides.get(sentence) ?? new Set()).add(side))
  }
  return words.map(({ side, sentence, left, right }) => {
    const against = right === 'side' && sides.get(sentence)?.size === 2
    const asLeft = left === 'counted' ? (against ? 'side' : 'plain') : left
    return side === 'left' ? [asLeft, right] : [right, asLeft]
  })
}

// Letters.

const at = (pattern: string) => new RegExp(pattern, 'iy')
const LIMBS = [...BODY, ...BODY_ADJECTIVES].join('|')
const LETTER_SHAPE = at("(?:[\\s-]+(?:shape|shaped|sit|bracket|position)|[’']\\w)")
const LETTER_NAMED = at(
  '(?<=\\b(?:an|letter|letters|capital|size|type|vitamin|a)\\s+|[&@#]\\s*|\\d\\s*)'
)
const LETTER_PAIR = at('(?:\\s*[/&|–-]\\s*[LRlr]\\b)')
const LETTER_PAIR_BEFORE = at('(?<=\\b[LRlr]\\s*[/&|–-]\\s*)')
const LETTER_BRACKETED = at('(?<=[([])')
const LETTER_BRACKET_END = at('[)\\]]')
const LETTER_BODY = at(`\\.?\\s+(?:${LIMBS})\\b`)
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
