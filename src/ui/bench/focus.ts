import { flushSync } from 'react-dom'

/** Name of a field on the bench: the path in the card, and the half. */
export const fieldName = (path: string, half: 'left' | 'right') => `${path}@${half}`

/**
 * Draws a change at once and puts the cursor in a field, so that the next letter typed
 * stands where it belongs.
 */
export function changeAndFocus(change: () => void, name: string): void {
  flushSync(change)
  focusField(name)
}

/** Puts the cursor at the end of a field. */
export function focusField(name: string): void {
  const field = document.querySelector<HTMLTextAreaElement>(`[data-field="${CSS.escape(name)}"]`)
  field?.focus()
  const end = field?.value.length ?? 0
  field?.setSelectionRange?.(end, end)
}

/** So long, in ms, a section is kept at the top while what lies above it is still coming. */
const KEPT_MS = 5000
let letGo = () => {}

/**
 * Brings a section to the top, and keeps it there while what lies above it comes, is laid out and
 * grows: until someone does anything, or for a while.
 */
export function goToSection(id: string): void {
  letGo()
  const section = document.getElementById(id)
  if (!section?.parentElement) return
  const again = () => section.scrollIntoView()
  again()
  const grows = new ResizeObserver(again)
  grows.observe(section.parentElement)
  const done = new AbortController()
  letGo = () => {
    clearTimeout(timer)
    grows.disconnect()
    done.abort()
  }
  const timer = setTimeout(letGo, KEPT_MS)
  for (const name of ['wheel', 'touchstart', 'pointerdown', 'keydown', 'focusin'])
    window.addEventListener(name, letGo, { signal: done.signal, capture: true, passive: true })
}

/** A link to a section that arrives where it leads. */
export const sectionLink = (id: string) => ({
  href: `#${id}`,
  onClick: (event: { preventDefault: () => void }) => {
    event.preventDefault()
    history.replaceState(null, '', `#${id}`)
    goToSection(id)
  },
})
