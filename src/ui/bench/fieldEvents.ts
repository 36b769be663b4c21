import { keyOf, writesLetter } from './keys'

/**
 * Events of typing that nothing outside a field listens to. The window gives them to the field
 * before anything else hears of them: at each letter every listener of the page would look at
 * them, and find nothing.
 */
const OWN = ['keydown', 'keypress', 'textInput', 'input', 'keyup', 'selectionchange'] as const

const fields = new WeakMap<EventTarget, () => void>()
let listening = false

/** A key that does something besides writing a letter. */
const acts = (event: Event) =>
  event instanceof KeyboardEvent &&
  event.type === 'keydown' &&
  (!writesLetter(event) || keyOf(event) !== null)

function hear(event: Event) {
  const typed = event.target && fields.get(event.target)
  if (!typed || acts(event)) return
  event.stopPropagation()
  if (event.type === 'input') typed()
}

/**
 * Keeps the letters typed into a field between the field and `typed`.
 * @returns how to stop
 */
export function keepTyping(field: HTMLElement, typed: () => void): () => void {
  if (!listening) {
    listening = true
    for (const name of OWN) window.addEventListener(name, hear, { capture: true })
  }
  fields.set(field, typed)
  return () => void fields.delete(field)
}

/** In px: what is told of a height is rounded. */
const LESS_THAN_A_LINE = 6

/**
 * While letters come a field keeps its height, so that a letter lays out one line and not the
 * page; a line that takes more or less room than before is let go and held anew.
 */
export function steadyHeight(field: HTMLElement, letters: HTMLElement, className: string) {
  const room = field.parentElement!
  let height: number | null = null
  let gone = false
  function letGo() {
    if (height === null) return
    height = null
    room.style.height = ''
    room.classList.remove(className)
  }
  function hold() {
    if (gone || letters.offsetHeight === height) return
    letGo()
    height = letters.offsetHeight
    room.style.height = `${height}px`
    room.classList.add(className)
  }
  function release() {
    gone = true
    letGo()
  }
  /** Whether the height is kept, and what stands in the field needs no more. */
  const holds = () => height !== null && field.scrollHeight - field.clientHeight < LESS_THAN_A_LINE
  return { hold, holds, release }
}
