import type { Side } from '../../card'
import type { LeadHint, Lexicon } from '../lexicon'

/**
 * What an English line says about the side that leads, by what the side is named by. In the
 * patterns SIDE stands for the side word, THEN for a few words in between.
 */

type Pattern = [text: string, means: 'same' | 'other']

const LEG = '(?:foot|leg|toes)'
const SOME = '(?:[\\w-]+\\s+){0,3}?'
const BODY =
  '(?:toes?|foot|feet|heel|knees?|kneecap|leg|thigh|shin|ankle|hand|palm|arm|elbow|forearm|fingers?|fingertips|thumb|hip|shoulder|ribs?|cheek|ear|big|sit|buttock|waist|armpit|wrist|inner|outer|front|back|top|bottom)'
const TO_SIDE = `(?:to(?:wards?)?\\s+(?:the\\s+)?)?SIDE(?:\\s+side)?(?!\\s+${BODY}\\b)`
const THE = '(?:the\\s+|your\\s+)?'

const PATTERNS: { named: RegExp; patterns: Pattern[] }[] = [
  {
    named: /\b(?:front|forward|lead|leading)\b/i,
    patterns: [
      [
        `(?:step|slide|walk|bring|place|set|swing|take|send|lunge)\\s+${THE}SIDE\\s+${LEG}\\s+${SOME}(?:forwards?|ahead|in\\s+front|between\\s+the\\s+hands|to\\s+the\\s+front)`,
        'same',
      ],
      [
        `(?:step|slide|walk|send|take|swing|reach|extend|stretch|bring)\\s+${THE}SIDE\\s+${LEG}\\s+${SOME}(?:back|backwards?|behind)\\b`,
        'other',
      ],
      [`bend\\s+${THE}SIDE\\s+knee\\b`, 'same'],
      [`SIDE\\s+knee\\s+${SOME}over\\s+the\\s+(?:ankle|heel|foot)`, 'same'],
      [`SIDE\\s+(?:front|forward|lead)\\s+(?:foot|leg|knee|toes|heel|thigh)`, 'same'],
      [`(?:front|forward|lead)\\s+\\(?SIDE\\)?\\s+(?:foot|leg|knee|toes|heel|thigh)`, 'same'],
      [`SIDE\\s+back\\s+(?:foot|leg|knee|toes|heel|thigh)`, 'other'],
      [`back\\s+\\(?SIDE\\)?\\s+(?:foot|leg|knee|toes|heel|thigh)`, 'other'],
      [
        `turn\\s+${THE}SIDE\\s+(?:toes|foot)\\s+(?:out|to\\s+the\\s+(?:short|front)|ninety|90)`,
        'same',
      ],
      [`turn\\s+${THE}SIDE\\s+(?:toes|foot|heel)\\s+${SOME}(?:in|inwards?)\\b`, 'other'],
      [`(?:lower|drop|set|put)\\s+${THE}SIDE\\s+knee\\b`, 'other'],
      [`SIDE\\s+knee\\s+(?:down|to\\s+the\\s+(?:floor|mat)|on\\s+the\\s+(?:floor|mat))`, 'other'],
    ],
  },
  {
    named: /\b(?:standing|support\w*)\b/i,
    patterns: [
      [
        `(?:stand|balance|weight|shift|lean|root)\\b[^.;]*?\\b(?:on|onto|into|to|through)\\s+${THE}SIDE\\s+(?:foot|leg)`,
        'same',
      ],
      [`(?:lift|raise|float|hover)\\s+${THE}SIDE\\s+(?:foot|leg|knee|heel|toes)`, 'other'],
    ],
  },
  {
    named: /\b(?:lift\w*|raised|free|upper|top)\b/i,
    patterns: [
      [`(?:lift|raise|float|hover)\\s+${THE}SIDE\\s+(?:foot|leg|knee|heel|toes)`, 'same'],
      [
        `(?:place|set|put|bring|slide|rest|press)\\s+${THE}SIDE\\s+(?:foot|sole|heel)\\s+${SOME}(?:on|to|against|into|up)\\s+${SOME}(?:thigh|shin|calf|ankle|leg)`,
        'same',
      ],
      [
        `(?:stand|balance|weight|shift|lean|root)\\b[^.;]*?\\b(?:on|onto|into|to|through)\\s+${THE}SIDE\\s+(?:foot|leg)`,
        'other',
      ],
      [`SIDE\\s+standing\\s+(?:foot|leg|hip|knee)`, 'other'],
      [`standing\\s+SIDE\\s+(?:foot|leg|hip|knee)`, 'other'],
    ],
  },
  {
    named: /\bbent\s+(?:knee|leg)|\bfolded\b|\bknee\b/i,
    patterns: [
      [`(?:bend|hug|clasp|fold)\\s+${THE}SIDE\\s+(?:knee|leg)\\b`, 'same'],
      [`SIDE\\s+(?:knee|leg)\\s+bent\\b`, 'same'],
      [`(?:straighten|stretch|extend)\\s+${THE}SIDE\\s+(?:leg|knee)\\b`, 'other'],
      [`SIDE\\s+leg\\s+(?:long|straight)\\b`, 'other'],
    ],
  },
  {
    named: /\bbent?\s+to|\btowards?\b|\bside\s?bend|\blean/i,
    patterns: [
      [`(?:bend|lean|tip|side-?bend|incline|curve|bow|arch)\\s+${SOME}${TO_SIDE}`, 'same'],
      [
        `SIDE\\s+(?:hand|palm|fingers|fingertips|forearm)\\s+${SOME}(?:down|to|on|onto)\\s+(?:the|your|a)\\s+(?:shin|thigh|calf|leg|block|floor|ankle)`,
        'same',
      ],
      [`SIDE\\s+arm\\s+${SOME}(?:past|over|by)\\s+the\\s+(?:ear|head)`, 'other'],
    ],
  },
  {
    named: /\b(?:turn\w*|twist\w*|direction|rotat\w*|chest)\b/i,
    patterns: [
      [
        `(?:turn|twist|rotate|revolve|spin)\\s+(?:(?:further|deeper|more|again|slowly|gently|round|around|the\\s+(?:chest|ribs|trunk|torso|belly|body|whole\\s+\\w+|breastbone|shoulders))\\s+)*${TO_SIDE}`,
        'same',
      ],
      [`SIDE\\s+(?:hand|palm|fingertips)\\s+${SOME}(?:behind|back\\s+of)\\b`, 'same'],
      [
        `SIDE\\s+(?:elbow|arm|forearm|upper\\s+arm|armpit)\\s+${SOME}(?:outside|across|against|over)\\s+${SOME}(?:knee|thigh)`,
        'other',
      ],
      [`(?:hug|hold|press)\\s+${SOME}knee\\s+with\\s+${THE}SIDE\\s+(?:arm|hand|elbow)`, 'other'],
    ],
  },
]

const compiled = PATTERNS.map(({ named, patterns }) => ({
  named,
  patterns: patterns.map(([text, means]) => ({
    pattern: new RegExp(`\\b${text.replace('SIDE', '(?<side>left|right)\\b')}`, 'gid'),
    means,
  })),
}))

const across: Record<Side, Side> = { left: 'right', right: 'left' }

export const leadHintsOf =
  (find: Lexicon['find']): Lexicon['leadHints'] =>
  (text, namedBy) => {
    const group = compiled.find(({ named }) => named.test(namedBy))
    if (!group) return []
    const words = find(text)
    if (words.length === 0) return []
    const hints: LeadHint[] = []
    for (const { pattern, means } of group.patterns) {
      pattern.lastIndex = 0
      for (let match = pattern.exec(text); match; match = pattern.exec(text)) {
        const [start] = match.indices!.groups!.side!
        const word = words.find((each) => each.start === start && each.role === 'swaps')
        if (!word?.side || hints.some((hint) => hint.word.start === start)) continue
        hints.push({ word, leads: means === 'same' ? word.side : across[word.side] })
      }
    }
    return hints
  }
