'use client'

import { type ReactNode, useState } from 'react'
import classes from './LadderSection.module.css'

/** What is seldom wanted: nothing of it is there until it is opened. */
export function More({ summary, children }: { summary: string; children: ReactNode }) {
  const [open, setOpen] = useState(false)
  return (
    <details className={classes.more} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>{summary}</summary>
      {open && children}
    </details>
  )
}
