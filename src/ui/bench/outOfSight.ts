/** Without a letter for so long, in ms, the page is whole again. */
const REST_MS = 1500
/** What is left out as a whole: it keeps its size without its contents. */
const BLOCKS = 'section[id], [data-group]'

/** A letter, or one that is taken back. */
const isTyping = (event: KeyboardEvent) =>
  (event.key.length === 1 || event.key === 'Backspace' || event.key === 'Delete') &&
  !event.ctrlKey &&
  !event.metaKey &&
  !event.altKey &&
  event.target instanceof HTMLTextAreaElement

/**
 * While letters come into a page, what lies out of sight is left out of it: at each letter the
 * browser puts the page together anew, some screens above and below, too. With anything else that
 * is done, and at a rest, the page is whole again: one can go there, search it, and hear it read.
 * @param className takes the contents out
 * @returns how to stop
 */
export function leaveOutOfSight(page: HTMLElement, className: string): () => void {
  let left: Element[] | null = null
  let timer: ReturnType<typeof setTimeout> | undefined
  function putBack() {
    clearTimeout(timer)
    left?.forEach((block) => block.classList.remove(className))
    left = null
  }
  function leaveOut() {
    clearTimeout(timer)
    timer = setTimeout(putBack, REST_MS)
    if (left) return
    left = [...page.querySelectorAll(BLOCKS)].filter((block) => {
      const { top, bottom } = block.getBoundingClientRect()
      return bottom < 0 || top > innerHeight
    })
    left.forEach((block) => block.classList.add(className))
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
