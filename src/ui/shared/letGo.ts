'use client'

/** So long, in ms, what is pressed is waited for. */
export const PRESS_MS = 1000
/** Who moves this far, in px, drags. */
const DRAGS = 8

let pressed: AbortController | null = null
const waiting: (() => void)[] = []

function letGo() {
  pressed?.abort()
  pressed = null
  for (const work of waiting.splice(0))
    try {
      work()
    } catch (error) {
      // What waits behind it is somebody else's.
      reportError(error)
    }
}

function press({ clientX, clientY }: PointerEvent) {
  pressed?.abort()
  pressed = new AbortController()
  const { signal } = pressed
  const timer = setTimeout(letGo, PRESS_MS)
  signal.addEventListener('abort', () => clearTimeout(timer))
  const until = { signal, capture: true, passive: true }
  // The click that it makes comes first.
  for (const name of ['pointerup', 'pointercancel'])
    window.addEventListener(name, () => setTimeout(() => !signal.aborted && letGo()), until)
  window.addEventListener(
    'pointermove',
    (to) => Math.hypot(to.clientX - clientX, to.clientY - clientY) > DRAGS && letGo(),
    until
  )
}

if (typeof window !== 'undefined')
  window.addEventListener('pointerdown', press, { capture: true, passive: true })

/**
 * Does what can make the page grow: at once, or when what is pressed is let go. A thing that moved
 * away between the press and the release would not be clicked. Who drags or holds on is not waited
 * for.
 */
export function whenLetGo(work: () => void): void {
  if (pressed) waiting.push(work)
  else work()
}
