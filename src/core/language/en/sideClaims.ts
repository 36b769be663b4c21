import type {
  Lexicon,
  LineContext,
  Pose,
  SideClaim,
  SidePair,
  SideRole,
  SideWord,
} from '../lexicon'

/**
 * What an English line says about the two sides of the body: which leg is in front, bent or
 * lifted, which arm is up, which way the trunk turns or bends; and which two limbs named in one
 * line must be of one side, or cannot be.
 */

const SOME = '(?:[\\w-]+\\s+){0,3}?'
const FEW = '(?:[\\w-]+\\s+){0,5}?'
const THE = '(?:the\\s+|your\\s+)?'
const MOVE =
  '(?:step|steps|slide|walk|bring|place|set|swing|take|send|lunge|draw|stretch|extend|reach|press)'
const FOOT = '(?:foot|leg|toes|heel|ball\\s+of\\s+the\\s+foot)'
const HAND = '(?:hand|palm|fist|fingers|fingertips|forearm|elbow)'
const SURFACE = '(?:shin|thigh|calf|leg|block|floor|ankle|mat|foot|chair|bolster|blocks)'

/** SIDE stands for the side word. What holds only on the way out, or only before it, says so. */
type Pattern = [role: SideRole, text: string, place?: 'exit' | 'not-exit']

const PATTERNS: Pattern[] = [
  // One leg in front of the other.
  [
    'front',
    `${MOVE}\\s+${THE}SIDE\\s+${FOOT}\\s+${SOME}(?:forwards?|ahead|in\\s+front|between\\s+the\\s+hands|to\\s+the\\s+front)`,
    'not-exit',
  ],
  [
    'back',
    `${MOVE}\\s+${THE}SIDE\\s+${FOOT}\\s+${SOME}(?:forwards?|ahead|to\\s+meet|beside|in)\\b`,
    'exit',
  ],
  ['back', `${MOVE}\\s+${THE}SIDE\\s+${FOOT}\\s+${SOME}(?:back|backwards?|behind)\\b`, 'not-exit'],
  ['front', `SIDE\\s+(?:front|forward|lead|leading)\\s+(?:foot|leg|knee|toes|heel|thigh)`],
  ['front', `(?:front|forward|lead|leading)\\s+\\(?SIDE\\)?\\s+(?:foot|leg|knee|toes|heel|thigh)`],
  ['back', `SIDE\\s+back\\s+(?:foot|leg|knee|toes|heel|thigh)`],
  ['back', `back\\s+\\(?SIDE\\)?\\s+(?:foot|leg|knee|toes|heel|thigh)`],
  [
    'front',
    `SIDE\\s+(?:shin|foot|leg|ankle|knee)\\s+(?:is\\s+)?(?:in\\s+front|ahead|forward)\\b`,
    'not-exit',
  ],
  [
    'back',
    `SIDE\\s+(?:shin|foot|leg|ankle|knee)\\s+(?:is\\s+)?behind(?=\\s*(?:[.,;:]|$))`,
    'not-exit',
  ],
  [
    'front',
    `turn\\s+${THE}SIDE\\s+(?:toes|foot)\\s+(?:out|to\\s+the\\s+(?:short|front)|ninety|90)`,
    'not-exit',
  ],
  [
    'hip-forward',
    `(?:turn|press|bring|roll|draw|swing|move|wrap)\\s+${THE}SIDE\\s+(?:hip|hip\\s*bone|side\\s+of\\s+the\\s+pelvis)\\s+(?:point\\s+)?forwards?\\b`,
  ],
  [
    'hip-back',
    `(?:draw|pull|press|move|slide|hug)\\s+${THE}SIDE\\s+(?:hip|hip\\s*bone|outer\\s+hip|hip\\s+crease)\\s+(?:point\\s+)?(?:straight\\s+)?back\\b`,
  ],
  // Bent and straight.
  ['bent', `(?:bend|fold|hug|clasp)\\s+${THE}SIDE\\s+(?:knee|leg)\\b`, 'not-exit'],
  ['bent', `(?:straighten|stretch|unbend)\\s+${THE}SIDE\\s+(?:knee|leg)\\b`, 'exit'],
  ['bent', `SIDE\\s+(?:knee|leg)\\s+(?:stays\\s+|is\\s+|deeply\\s+)?bent\\b`],
  ['bent', `SIDE\\s+knee\\s+${SOME}(?:over|above)\\s+(?:the\\s+)?(?:ankle|heel|foot|toes|second)`],
  [
    'bent',
    `SIDE\\s+knee\\s+(?:along|in\\s+line\\s+with|towards?)\\s+(?:the\\s+)?(?:second|middle|little|third|toes|foot)`,
  ],
  [
    'bent',
    `(?:the\\s+)?SIDE\\s+knee\\s+(?:rolls?|falls?|drops?|drifts?|collapses?|caves?|slides?)\\s+(?:in|inwards?|past)\\b`,
  ],
  ['bent', `press\\s+${THE}SIDE\\s+knee\\s+(?:to|towards?|out)\\b`],
  ['bent', `(?:turn|point)\\s+${THE}SIDE\\s+knee\\s+out\\b`],
  ['straight', `(?:straighten|extend|lock|firm)\\s+${THE}SIDE\\s+(?:leg|knee)\\b`, 'not-exit'],
  ['straight', `SIDE\\s+(?:leg|knee)\\s+(?:stays\\s+|is\\s+)?(?:long|straight)\\b`],
  ['straight', `SIDE\\s+kneecap\\s+(?:at|to|towards?|up)\\b`],
  [
    'straight',
    `(?:stretch|slide|reach)\\s+${THE}SIDE\\s+leg\\s+(?:long|straight|out)\\b`,
    'not-exit',
  ],
  [
    'out',
    `(?:step|slide|stretch|take|send|reach|extend)\\s+${THE}SIDE\\s+(?:leg|foot)\\s+(?:out\\s+)?(?:to\\s+the\\s+side|out|sideways)\\b`,
    'not-exit',
  ],
  [
    'out',
    `(?:bring|step|draw|slide)\\s+${THE}SIDE\\s+(?:leg|knee|foot)\\s+(?:in|beside|back\\s+(?:in|beside)|to\\s+meet)\\b`,
    'exit',
  ],
  // One leg off the floor.
  [
    'lifted',
    `(?:lift|raise|float|hover|pick\\s+up)\\s+${THE}SIDE\\s+(?:foot|leg|knee|heel|toes|thigh)`,
    'not-exit',
  ],
  [
    'lifted',
    `(?:place|set|put|bring|slide|rest|press)\\s+${THE}SIDE\\s+(?:foot|sole|heel)\\s+${SOME}(?:on|to|against|into|up)\\s+${SOME}(?:thigh|shin|calf|ankle|leg)`,
    'not-exit',
  ],
  [
    'lifted',
    `(?:draw|hug|bring|pull)\\s+${THE}SIDE\\s+(?:knee|thigh|leg)\\s+${SOME}(?:to|towards?|into|in)\\s+(?:the\\s+|your\\s+)?(?:chest|belly|ribs)`,
    'not-exit',
  ],
  ['lifted', `stretch\\s+${THE}SIDE\\s+leg\\s+(?:up|to\\s+the\\s+ceiling)`, 'not-exit'],
  [
    'lifted',
    `(?:strap|belt|loop)\\b[^.;]*?\\s(?:round|around|over|on|behind)\\s+${THE}SIDE\\s+(?:arch|foot|sole|heel|ball)`,
  ],
  [
    'lifted',
    `(?:set|put|lower|place|bring)\\s+${THE}SIDE\\s+(?:foot|leg|heel|toes)\\s+(?:back\\s+)?(?:down|to\\s+the\\s+floor)`,
    'exit',
  ],
  ['lifted', `SIDE\\s+(?:foot|leg)\\s+(?:comes\\s+)?down\\b`, 'exit'],
  [
    'standing',
    `(?:stand|balance|weight|shift|lean|root)\\b[^.;]*?\\b(?:on|onto|into|to|through)\\s+${THE}SIDE\\s+(?:foot|leg|heel)`,
  ],
  [
    'standing',
    `SIDE\\s+standing\\s+(?:foot|leg|hip|knee)|standing\\s+SIDE\\s+(?:foot|leg|hip|knee)`,
  ],
  [
    'standing',
    `(?:press|root|ground|spread)\\s+${THE}SIDE\\s+(?:foot|heel|big\\s+toe(?:\\s+mound)?|sole)\\s+(?:down\\b(?!\\s+(?:the|your))|into\\s+the\\s+(?:floor|mat|ground|earth))`,
  ],
  ['standing', `SIDE\\s+ankle\\s+(?:quiet|steady|still)`],
  ['standing', `slide\\s+${THE}SIDE\\s+leg\\s+(?:long|along|out)\\b`],
  [
    'kneeling',
    `(?:pad|cushion)\\s+(?:under\\s+)?${THE}SIDE\\s+knee\\b|(?:pad|blanket|cushion)\\s+(?:under|below|beneath)\\s+${THE}SIDE\\s+knee\\b`,
  ],
  ['kneeling', `(?:hip|hips)\\s+(?:right\\s+)?(?:over|above)\\s+${THE}SIDE\\s+knee\\b`],
  ['kneeling', `from\\s+${THE}SIDE\\s+knee\\s+to\\b`],
  [
    'kneeling',
    `(?:lower|drop|kneel\\s+on|kneel\\s+onto|set)\\s+${THE}SIDE\\s+knee(?:\\s+(?:down|to|on)\\b|$|[.,;])`,
    'not-exit',
  ],
  [
    'sole',
    `(?:press|ground|root|spread)\\s+(?:the\\s+|your\\s+)?(?:whole\\s+|outer\\s+edge\\s+of\\s+(?:the\\s+)?|all\\s+of\\s+(?:the\\s+)?)?SIDE\\s+(?:foot|sole)\\b`,
  ],
  // Arms.
  [
    'up',
    `(?:lift|raise|reach|sweep|float|stretch|extend)\\s+${THE}SIDE\\s+(?:arm|hand|fingers|fingertips)\\s+${SOME}(?:up|overhead|to\\s+the\\s+ceiling|to\\s+the\\s+sky|past|by\\s+the\\s+ear|over\\s+the\\s+(?:ear|head)|beside\\s+the\\s+ear|and\\s+grow)`,
  ],
  ['up', `lift\\s+${THE}SIDE\\s+arm\\b`, 'not-exit'],
  ['up', `(?:lower|drop)\\s+${THE}SIDE\\s+(?:arm|hand)\\b`, 'exit'],
  [
    'up',
    `(?:up|look|gaze)\\s+${SOME}(?:under|past|along|through|to)\\s+${THE}SIDE\\s+(?:arm|hand|thumb|fingers|fingertips)\\b`,
  ],
  [
    'up',
    `reach\\s+${SOME}(?:up\\s+)?(?:through|out\\s+of)\\s+${THE}SIDE\\s+(?:arm|hand|fingers|fingertips)`,
  ],
  [
    'up',
    `SIDE\\s+arm\\s+${SOME}(?:up|overhead|past|over|by|beside)\\s+the\\s+(?:ear|head|ceiling)`,
  ],
  ['up', `SIDE\\s+shoulder\\s+(?:away\\s+|down\\s+)?from\\s+the\\s+ear\\b`],
  [
    'low',
    `(?:set|rest|place|put|bring|lower|press|slide|reach)\\s+${THE}SIDE\\s+${HAND}\\s+${SOME}(?:down|to|on|onto|inside|outside)\\s+(?:the\\s+|your\\s+|a\\s+)?(?:(?!left\\b|right\\b)\\w+\\s+)?${SURFACE}\\b`,
  ],
  [
    'low',
    `SIDE\\s+${HAND}\\s+${SOME}(?:down|to|on|onto|inside|outside)\\s+(?:the|your|a)\\s+${SURFACE}\\b`,
  ],
  ['low', `into\\s+${THE}SIDE\\s+(?:hand|forearm|palm|elbow)\\b`],
  ['low', `thread\\s+${THE}SIDE\\s+arm\\s+under\\s+the\\s+(?:thigh|leg|knee)`],
  ['behind', `SIDE\\s+(?:hand|palm|fingertips|fingers)\\s+${SOME}(?:behind|back\\s+of)\\b`],
  [
    'across',
    `SIDE\\s+(?:elbow|arm|forearm|upper\\s+arm|armpit|hand)\\s+${SOME}(?:outside|across|against|round|around|over|on|to)\\s+${SOME}(?:knee|thigh)\\b`,
  ],
  [
    'across',
    `(?:hug|hold|press|hook)\\s+${FEW}(?:knee|thigh)\\s+(?:with|by)\\s+${THE}SIDE\\s+(?:arm|hand|elbow)`,
  ],
  // Trunk.
  [
    'lies',
    `(?:lie|lying|rest|roll)\\s+(?:down\\s+)?on(?:to)?\\s+(?:the\\s+|your\\s+)?SIDE\\s+side\\b`,
    'not-exit',
  ],
  [
    'turn',
    `(?:turn|twist|rotate|revolve|spin)\\s+(?:(?:further|deeper|more|again|slowly|gently|round|around|${THE}(?:chest|ribs|trunk|torso|belly|body|whole\\s+\\w+|breastbone|shoulders|navel|heart))\\s+)*(?:to(?:wards?)?\\s+(?:the\\s+|your\\s+)?)?SIDE(?:\\s+side)?(?=\\s*(?:[.,;:]|$)|\\s+(?:from|and|in|as|with|on|until)\\b)`,
    'not-exit',
  ],
  [
    'turn',
    `(?:chest|ribs|breastbone|navel|heart|trunk)\\s+(?:turns?\\s+)?to(?:wards?)?\\s+(?:the\\s+|your\\s+)?SIDE(?:\\s+side)?(?=\\s*(?:[.,;:]|$))`,
    'not-exit',
  ],
  [
    'bend',
    `(?:bend|lean|tip|side-?bend|incline|curve|bow|arch|arc)\\s+${SOME}(?:to(?:wards?)?\\s+(?:the\\s+|your\\s+)?)?SIDE(?:\\s+side)?(?=\\s*(?:[.,;:]|$)|\\s+(?:from|and|in|as|with|on|until|over)\\b)`,
    'not-exit',
  ],
  [
    'open-ribs',
    `(?:roll|turn|fan|open|lift|spin|stretch|lengthen|breathe\\s+into)\\s+${THE}SIDE\\s+(?:ribs|side\\s+ribs|side|waist|chest)(?:\\s+(?:open|up|long|to\\s+the\\s+ceiling))?\\b`,
  ],
]

/** A limb that is moved by name; legs step in and out of a pose by either foot. */
const MOVED = new RegExp(
  `\\b(?:reach|open|bring|sweep|thread|slide|draw|take|lift|raise|lower|wrap|swing|float|turn|send|extend|unwind|release|press|move|place|set|pull|push)\\s+${THE}(left|right)\\s+(arm|hand|elbow|forearm|knee|toes|shin|thigh)\\b`,
  'gid'
)

/** The limb that a side word belongs to, whatever stands between them. */
const LIMB =
  /^\s+(?:(?:front|back|upper|lower|outer|inner|whole|big|top|bottom|bent|straight|standing|lifted)\s+)*(foot|leg|knee|heel|toes?|shin|thigh|ankle|hip|arm|elbow|forearm|hand|shoulder|palm|wrist|buttock)(?:caps?|s)?\b/i

/** Limbs that lie next to each other: what goes wrong with the toes is seen on the foot. */
const PLACES: [place: string, limbs: RegExp][] = [
  ['foot', /^(?:foot|heel|toe|ankle)$/],
  ['knee', /^(?:knee|shin)$/],
  ['hip', /^(?:hip|thigh|buttock)$/],
  ['hand', /^(?:hand|palm|wrist)$/],
  ['elbow', /^(?:elbow|forearm)$/],
]

const limbsOf =
  (find: Lexicon['find']): Lexicon['limbs'] =>
  (text) =>
    find(text).flatMap((word) => {
      const limb = word.role === 'swaps' && LIMB.exec(text.slice(word.end))?.[1]
      if (!limb) return []
      const name = limb.toLowerCase().replace(/s$/, '')
      const place = PLACES.find(([, limbs]) => limbs.test(name))?.[0] ?? name
      return [{ word, limb: name, place }]
    })

const compiled = PATTERNS.map(([role, text, place]) => ({
  role,
  place,
  pattern: new RegExp(`\\b${text.replaceAll('SIDE', '(left|right)\\b')}`, 'gid'),
}))

type Find = Lexicon['find']

const claimsOf =
  (find: Find) =>
  (text: string, { place }: Pick<LineContext, 'place'>): SideClaim[] => {
    const words = find(text).filter(({ role, kind }) => role === 'swaps' && kind === 'side')
    if (words.length === 0) return []
    const claims: SideClaim[] = []
    for (const { role, place: only, pattern } of compiled) {
      if (only && (only === 'exit') !== (place === 'exit')) continue
      pattern.lastIndex = 0
      for (let match = pattern.exec(text); match; match = pattern.exec(text)) {
        const group = match.indices!.slice(1).find((span) => span)
        const word = words.find(({ start }) => start === group?.[0])
        if (word && !claims.some((each) => each.role === role && each.word === word))
          claims.push({ role, word, side: word.side! })
      }
    }
    MOVED.lastIndex = 0
    for (let match = MOVED.exec(text); match; match = MOVED.exec(text)) {
      const word = words.find(({ start }) => start === match!.indices![1]![0])
      if (word)
        claims.push({ role: 'moves', word, side: word.side!, limb: match[2]!.toLowerCase() })
    }
    return claims
  }

// Two limbs in one line.

const NOUN =
  'foot|leg|knee|shin|ankle|heel|toes|sole|thigh|calf|hip|hand|arm|elbow|forearm|palm|wrist|fingers|fingertips|thumb|shoulder|ribs|side|big\\s+toe|buttock|ear|cheek|shoulder\\s*blade'
const UP_OVER =
  '(?:beside|over|under|underneath|in\\s+front\\s+of|behind|on\\s+top\\s+of|above|below|than|against|across|or\\s+over|next\\s+to|with|outside|inside|on|onto|past)'
const S1 = '(?<one>left|right)\\b'
const S2 = '(?<two>left|right)\\b'
const ADJ = '(?:inner\\s+|outer\\s+|upper\\s+|lower\\s+|front\\s+|back\\s+|whole\\s+)?'
const THE2 = '(?:the\\s+|your\\s+)?'
const NO_NOUN = `(?!\\s+(?:${ADJ}(?:${NOUN}|sit|rib|groin|armpit|hand-side)\\b|side|of))`

/** With what pose it holds. */
type PairPattern = [must: SidePair['must'], text: string, when?: (pose: Pose) => boolean]
const twist = ({ spine }: Pose) => spine === 'twist'

const PAIRS: PairPattern[] = [
  // "the right knee beside the left": the other one.
  [
    'differ',
    `${S1}\\s+${ADJ}(?:${NOUN})\\b\\s*,?\\s+(?:[a-z-]+\\s+){0,2}?${UP_OVER}\\s+${THE2}${S2}${NO_NOUN}`,
  ],
  [
    'differ',
    `\\b(?:cross|stack|hook|wrap|fold|put|set|place)\\s+${THE2}${S1}\\s+(?:over|under|on|onto|behind|in\\s+front\\s+of)\\s+${THE2}${S2}${NO_NOUN}`,
  ],
  // One limb beside, over, against itself.
  [
    'differ',
    `${S1}\\s+${ADJ}(?<noun>${NOUN})\\b\\s+(?:[a-z-]+\\s+){0,2}?(?:over|beside|under|on|onto|in\\s+front\\s+of|behind|on\\s+top\\s+of|against|above|below|across|to|next\\s+to|with)\\s+${THE2}${S2}\\s+${ADJ}\\k<noun>\\b`,
  ],
  [
    'differ',
    `${S1}\\s+(?:hand|palm|fingers|fingertips|thumb)\\b\\s+(?:[a-z-]+\\s+){0,2}?(?:on|onto|to|round|around|hold|holds|holding|clasps?|grips?|takes?|catch|catches|over|under)\\s+${THE2}${S2}\\s+${ADJ}(?:wrist|forearm|elbow|hand|palm|thumb|arm|biceps)\\b`,
  ],
  [
    'differ',
    `(?:hold|clasp|grip|catch|take|grasp|cup)\\s+${THE2}${S1}\\s+(?:wrist|elbow|forearm|hand|thumb)\\s+(?:[a-z-]+\\s+){0,2}?(?:with|in|by)\\s+${THE2}${S2}\\s+(?:hand|palm|fingers)\\b`,
  ],
  [
    'differ',
    `${S1}\\s+(?:foot|heel|sole|ankle|toes|arch)\\b\\s+(?:[a-z-]+\\s+){0,2}?(?:on|onto|to|against|into|over|across|outside|high\\s+on)\\s+${THE2}${S2}\\s+${ADJ}(?:shin|thigh|knee|calf|ankle|foot|instep|leg)\\b`,
  ],
  // "the left foot forward, the right foot back"
  [
    'differ',
    `${S1}\\s+(?<noun>${NOUN})\\b\\s+(?:[a-z-]+\\s+){0,2}?(?:forward|ahead|in\\s+front|up|in|back|behind|down|out|high|low|bent|straight|long)\\s*(?:,|,?\\s+and|,?\\s+then|,?\\s+while|;)\\s+${THE2}${S2}\\s+(?:\\k<noun>\\s+)?(?:[a-z-]+\\s+){0,2}?(?:forward|ahead|in\\s+front|up|in|back|behind|down|out|high|low|bent|straight|long)\\b`,
  ],
  // A turn takes arm and ribs across to the other knee; a leg that opens goes to its own side.
  [
    'differ',
    `${S1}\\s+(?:hand|arm|elbow|forearm|upper\\s+arm|armpit|ribs)\\b\\s+(?:[a-z-]+\\s+){0,2}?(?:on|to|towards?|outside|round|around|against|over|across)\\s+${THE2}${S2}\\s+${ADJ}(?:knee|thigh)\\b`,
    twist,
  ],
  [
    'differ',
    `(?:drop|lower|let|draw|take|bring)\\s+${THE2}${S1}\\s+(?:knee|leg|thigh)\\b\\s+(?:[a-z-]+\\s+){0,3}?to\\s+the\\s+${S2}(?=\\s*(?:[.,;:]|$)|\\s+side\\b)`,
    twist,
  ],
  [
    'same',
    `(?:drop|lower|let|open|take|float)\\s+${THE2}${S1}\\s+(?:knee|leg|thigh)\\b\\s+(?:out\\s+)?to\\s+the\\s+${S2}(?=\\s*(?:[.,;:]|$)|\\s+side\\b)`,
    (pose) => !twist(pose),
  ],
  // A joint stands over the next one below it, of its own side.
  [
    'same',
    `(?<!cross\\s+${THE2})${S1}\\s+hip\\b\\s+(?:[a-z-]+\\s+){0,2}?(?:over|above)\\s+${THE2}${S2}\\s+(?:knee|ankle|heel|foot)\\b`,
  ],
  [
    'same',
    `(?<!cross\\s+${THE2})${S1}\\s+shoulder\\b\\s+(?:[a-z-]+\\s+){0,2}?(?:over|above)\\s+${THE2}${S2}\\s+(?:wrist|elbow|hand)\\b`,
  ],
  [
    'same',
    `(?<!cross\\s+${THE2})${S1}\\s+elbow\\b\\s+(?:[a-z-]+\\s+){0,2}?(?:over|above)\\s+${THE2}${S2}\\s+(?:wrist|hand)\\b`,
  ],
  [
    'same',
    `(?<!cross\\s+${THE2})${S1}\\s+knee\\b\\s+(?:[a-z-]+\\s+){0,2}?(?:over|above)\\s+${THE2}${S2}\\s+(?:ankle|heel|foot|toes)\\b`,
    ({ base }) => base !== 'seated' && base !== 'supine',
  ],
]
const pairPatterns = PAIRS.map(([must, text, when]) => ({
  must,
  when,
  pattern: new RegExp(`\\b${text}`.replace('\\b\\b', '\\b').replace('\\b(?<!', '(?<!'), 'gid'),
}))

const pairsOf =
  (find: Find) =>
  (text: string, pose: Pose): SidePair[] => {
    const words = find(text).filter(({ kind }) => kind === 'side')
    if (words.length < 2) return []
    const pairs: SidePair[] = []
    const at = (span?: [number, number]): SideWord | undefined =>
      words.find(({ start, role }) => start === span?.[0] && role !== 'plain')
    for (const { must, when, pattern } of pairPatterns) {
      if (when && !when(pose)) continue
      pattern.lastIndex = 0
      for (let match = pattern.exec(text); match; match = pattern.exec(text)) {
        const { one, two } = match.indices!.groups!
        const [a, b] = [at(one), at(two)]
        if (a && b && !pairs.some((pair) => pair.words[1] === b))
          pairs.push({ must, words: [a, b], told: match[0].trim() })
        pattern.lastIndex = match.index + 1
      }
    }
    return pairs
  }

/** Which role the side of a pose is named by. */
const NAMED: [SideRole, RegExp][] = [
  ['front', /\b(?:front|forward|lead|leading)\b/i],
  ['standing', /\b(?:standing|support\w*)\b/i],
  ['lifted', /\b(?:lift\w*|raised|free)\b/i],
  ['bent', /\bbent\s+(?:knee|leg)|\bfolded\b/i],
  ['bend', /\bbent?\s+to|\bside\s?bend|\blean/i],
  ['turn', /\b(?:turn\w*|twist\w*|direction|rotat\w*)\b/i],
  ['straight', /\b(?:straight|long|stretched)\s+leg/i],
  ['kneeling', /\bkneeling\b/i],
]

export const claimWords = (
  find: Find
): Pick<Lexicon, 'claims' | 'pairs' | 'limbs' | 'namedRole'> => ({
  claims: claimsOf(find),
  pairs: pairsOf(find),
  limbs: limbsOf(find),
  namedRole: (namedBy) => NAMED.find(([, pattern]) => pattern.test(namedBy))?.[0] ?? null,
})
