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

const FRAMES = 6

/**
 * Brings a section to the top. What lies above it is laid out only when it comes into sight and
 * may grow then, so it is done again for a few frames.
 */
export function goToSection(id: string): void {
  let left = FRAMES
  const again = () => {
    document.getElementById(id)?.scrollIntoView()
    left -= 1
    if (left > 0) requestAnimationFrame(again)
  }
  again()
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
