import { isAlone, writesLetter } from './keys'

/** Without a letter for so long, in ms, the page is whole again. */
const REST_MS = 1500
/** What is left out as a whole: it keeps its size without its contents. */
const BLOCKS = 'section[id], [data-block]'
/** Below the window, in px: a line that gets shorter brings as much of what follows into sight. */
const BELOW = 120

/** A letter, or one that is taken back; what is marked and taken out may be many lines. */
const isTyping = (event: KeyboardEvent) =>
  event.target instanceof HTMLTextAreaElement &&
  event.target.selectionStart === event.target.selectionEnd &&
  (writesLetter(event) || (/^(?:Backspace|Delete)$/.test(event.key) && isAlone(event)))

/**
 * While letters come into a page, what lies out of sight is left out of it: at each letter the
 * browser puts the page together anew, some screens above and below, too. With anything else that
 * is done, and at a rest, the page is whole again: one can go there, search it, and hear it read.
 * @param className takes the contents out
 * @returns how to stop
 */
export function leaveOutOfSight(page: HTMLElement, className: string): () => void {
  let left: HTMLElement[] | null = null
  let timer: ReturnType<typeof setTimeout> | undefined
  function putBack() {
    clearTimeout(timer)
    for (const block of left ?? []) {
      block.classList.remove(className)
      block.style.height = ''
    }
    left = null
  }
  function leaveOut() {
    clearTimeout(timer)
    timer = setTimeout(putBack, REST_MS)
    if (left) return
    const out: { block: HTMLElement; height: number }[] = []
    for (const block of page.querySelectorAll<HTMLElement>(BLOCKS)) {
      // What is within one that is left out goes with it.
      if (out.at(-1)?.block.contains(block)) continue
      const { top, bottom, height } = block.getBoundingClientRect()
      if (bottom < 0 || top > innerHeight + BELOW) out.push({ block, height })
    }
    for (const { block, height } of out) {
      block.style.height = `${height}px`
      block.classList.add(className)
    }
    left = out.map(({ block }) => block)
  }
  const done = new AbortController()
  const onWindow = { signal: done.signal, capture: true, passive: true }
  window.addEventListener(
    'keydown',
    (event) => (isTyping(event) && page.contains(event.target as Node) ? leaveOut() : putBack()),
    onWindow
  )
  for (const name of ['scroll', 'wheel', 'touchstart', 'pointerdown', 'focusout', 'blur', 'resize'])
    window.addEventListener(name, putBack, onWindow)
  return () => {
    done.abort()
    putBack()
  }
}
