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
 * grows: until someone does anything or the page is scrolled in any other way, or for a while.
 */
export function goToSection(id: string): void {
  letGo()
  const section = document.getElementById(id)
  const all = section?.parentElement
  if (!all) return
  const page = document.documentElement
  // While it is kept nothing else moves the page when it grows, so that a scroll is someone's.
  page.style.overflowAnchor = 'none'
  let put = 0
  const bring = () => {
    section.scrollIntoView()
    put = window.scrollY
  }
  const off = (is: number, due: number) => Math.abs(is - due) > 1
  // Not by becoming shorter, and not by a browser that is on its way to the same section.
  const moved = () =>
    off(window.scrollY, Math.min(put, page.scrollHeight - page.clientHeight)) &&
    off(section.getBoundingClientRect().top, parseFloat(getComputedStyle(section).scrollMarginTop))
  const grows = new ResizeObserver(() => (moved() ? letGo() : bring()))
  const done = new AbortController()
  const timer = setTimeout(() => letGo(), KEPT_MS)
  letGo = () => {
    clearTimeout(timer)
    grows.disconnect()
    done.abort()
    page.style.overflowAnchor = ''
    letGo = () => {}
  }
  bring()
  grows.observe(all)
  const acts = { signal: done.signal, capture: true, passive: true }
  for (const name of ['wheel', 'touchstart', 'pointerdown', 'keydown', 'focusin'])
    window.addEventListener(name, () => letGo(), acts)
  window.addEventListener('scroll', () => moved() && letGo(), acts)
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
