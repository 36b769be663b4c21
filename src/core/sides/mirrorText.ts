import { lexiconOf, type SideOptions, type SideWord } from '../language'

export interface MirrorOptions extends SideOptions {
  /** BCP 47, of the line. In a language with no pack there are no side words. */
  language: string
}

/**
 * Finds the side words of a line, fixed and plain ones too.
 * @example sideWords('Press the left foot.', { language: 'en' })[0].other // 'right'
 */
export const sideWords = (text: string, options: MirrorOptions): readonly SideWord[] =>
  lexiconOf(options.language).find(text, options)

/**
 * Writes a line for the other side. Doing it twice gives back the line to the letter,
 * in the chosen spelling of the turning sense.
 * @example mirrorText('Turn the left foot out.', { language: 'en' }) // 'Turn the right foot out.'
 */
export function mirrorText(text: string, options: MirrorOptions): string {
  let mirrored = ''
  let done = 0
  for (const word of sideWords(text, options)) {
    if (word.role !== 'swaps') continue
    mirrored += text.slice(done, word.start) + word.other
    done = word.end
  }
  return done === 0 ? text : mirrored + text.slice(done)
}

/** A stretch of a line as it is shown. */
export interface Stretch {
  text: string
  role: 'text' | 'swaps' | 'fixed'
}

const FIXED = /\{([^{}]*)\}/g

/** Whether a span between braces holds a side word, so that the braces are markup. */
function fixes(inside: string, options: MirrorOptions): boolean {
  return sideWords(inside, options).length > 0
}

/**
 * Cuts a line into stretches to be drawn: side words apart from the rest, the braces
 * around fixed words gone. Braces that hold no side word are shown as they are.
 */
export function stretches(text: string, options: MirrorOptions): Stretch[] {
  const parts: Stretch[] = []
  const add = (role: Stretch['role'], from: number, to: number) => {
    if (to > from) parts.push({ role, text: text.slice(from, to) })
  }
  const swapping = sideWords(text, options).filter((word) => word.role === 'swaps')
  const fixed = [...text.matchAll(FIXED)]
    .filter((match) => fixes(match[1]!, options))
    .map((match) => ({ start: match.index, end: match.index + match[0].length }))
  let done = 0
  const marks = [
    ...swapping.map(({ start, end }) => ({ start, end, role: 'swaps' as const })),
    ...fixed.map((span) => ({ ...span, role: 'fixed' as const })),
  ].sort((a, b) => a.start - b.start)
  for (const mark of marks) {
    add('text', done, mark.start)
    const inset = mark.role === 'fixed' ? 1 : 0
    add(mark.role, mark.start + inset, mark.end - inset)
    done = mark.end
  }
  add('text', done, text.length)
  return parts
}

/**
 * The line as it is read and spoken: without the braces around fixed words.
 * @example plainText('Roll to the {right} side.', { language: 'en' }) // 'Roll to the right side.'
 */
export function plainText(text: string, options: MirrorOptions): string {
  if (!text.includes('{')) return text
  return text.replace(FIXED, (whole, inside: string) => (fixes(inside, options) ? inside : whole))
}

/**
 * Fixes the side word at a place of a line, or sets it free again.
 * @param index any index within the word
 * @returns the line as it was when no side word stands there
 */
export function toggleFixed(text: string, index: number, options: MirrorOptions): string {
  const word = sideWords(text, options).find((each) => each.start <= index && index <= each.end)
  if (!word) return text
  if (word.role !== 'fixed')
    return `${text.slice(0, word.start)}{${text.slice(word.start, word.end)}}${text.slice(word.end)}`
  const open = text.lastIndexOf('{', word.start)
  const close = text.indexOf('}', word.end)
  return text.slice(0, open) + text.slice(open + 1, close) + text.slice(close + 1)
}
