import type { Breath } from '../card'

/**
 * Which breath a movement asks for, read from the words of a line (English).
 * Lengthen, lift, open, reach, arch: in. Fold, lower, twist, bend sideways, soften: out.
 * Common practice, no source.
 */

export type Movement = { word: string; at: number; phase: 'in' | 'out'; kind: MovementKind }
export type MovementKind = 'lengthen' | 'lift' | 'open' | 'fold' | 'lower' | 'turn' | 'soften'

const LIMB =
  '(?:toes?|foot|feet|heels?|knees?|legs?|thighs?|shins?|hands?|palms?|arms?|elbows?|forearms?|wrists?|fingers?|thumbs?|fingertips?|head|chin|neck|eyes|gaze|face|hips?|kneecaps?)'
const MINE =
  '(?:(?:the|your|both|one|left|right|\\{left\\}|\\{right\\}|front|back|top|bottom)\\s+)*'

/** Forms of the verbs, with the movement each names. The first that fits at a place counts. */
const VERBS: [kind: MovementKind, phase: 'in' | 'out', pattern: string][] = [
  ['fold', 'out', 'fold(?:s|ing)?(?!ed)\\b(?!\\s+(?:mat|blanket))'],
  ['fold', 'out', '(?:bow|round|curl|hinge|dive)(?:s|ing)?\\b(?!\\s+up)'],
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

/** The movements that a line names, in order. */
export function movementsIn(text: string): Movement[] {
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

const SPOKEN_IN = /\b(?:breathe|breathing|breath)\s+in\b|\binhal(?:e|es|ing|ation)\b|\bin-breath\b/i
const SPOKEN_OUT =
  /\b(?:breathe|breathing|breath)\s+out\b|\bexhal(?:e|es|ing|ation)\b|\bout-breath\b/i

/**
 * The breath that a line asks for: the one it names, else the one its movements share.
 * @returns null when the line names no movement, or movements of both phases
 * @example phaseOffered('Grow long through the crown.') // 'in'
 */
export function phaseOffered(text: string): Extract<Breath, 'in' | 'out'> | null {
  const [spokenIn, spokenOut] = [SPOKEN_IN.test(text), SPOKEN_OUT.test(text)]
  if (spokenIn !== spokenOut) return spokenIn ? 'in' : 'out'
  if (spokenIn) return null
  const phases = new Set(movementsIn(text).map((movement) => movement.phase))
  return phases.size === 1 ? [...phases][0]! : null
}
