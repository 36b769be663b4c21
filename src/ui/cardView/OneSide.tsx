'use client'

import { type ReactNode, useRef, useState } from 'react'
import { flushSync } from 'react-dom'
import type { Side } from '@/core/card'
import { LABELS } from '@/core/language'
import classes from './OneSide.module.css'

/** The row that stands at the top of the window, or nearest below it. */
const topRow = (box: HTMLElement): HTMLElement | undefined =>
  [...box.querySelectorAll<HTMLElement>('[role="row"], section, li')].find(
    (row) => row.getBoundingClientRect().bottom > 60
  )

/**
 * On a phone beside the mat one side of a card at a time, and a switch as wide as two thumbs
 * that keeps the place. On a wider screen both stand side by side.
 */
export function OneSide({ first, children }: { first: Side; children: ReactNode }) {
  const [side, setSide] = useState(first)
  const box = useRef<HTMLDivElement>(null)
  function show(next: Side) {
    const row = topRow(box.current!)
    const before = row?.getBoundingClientRect().top ?? 0
    flushSync(() => setSide(next))
    if (row) window.scrollBy(0, row.getBoundingClientRect().top - before)
  }
  return (
    <div ref={box} data-shown={side}>
      {children}
      <div className={classes.switch} role="group" aria-label="Side that is shown">
        {(['left', 'right'] as const).map((each) => (
          <button
            key={each}
            className={classes[each]}
            aria-pressed={side === each}
            onClick={() => show(each)}
          >
            {LABELS.sheet.leads[each]}
          </button>
        ))}
      </div>
    </div>
  )
}
