'use client'

import { type ComponentType, useState } from 'react'
import type { Cue } from '@/core/card'
import { later } from '../shared/later'
import classes from './CueCell.module.css'

interface Tool {
  cue: Cue
  index: number
  opened: boolean
  onOpen: (open: boolean) => void
}

const waits = <span className={classes.measured}>…</span>
const TOOLS: { field: 'measure' | 'mark'; title: string; Tool: ComponentType<Tool> }[] = [
  {
    field: 'measure',
    title: 'Measure',
    Tool: later(() => import('./CueMeasure').then((module) => module.default), waits),
  },
  {
    field: 'mark',
    title: 'Mark',
    Tool: later(() => import('./CueMark').then((module) => module.default), waits),
  },
]

/** What the figure should measure for a cue, and what is drawn on it; quiet until one is there. */
export const CueTools = ({ cue, index }: { cue: Cue; index: number }) => (
  <span className={classes.tools}>
    {/* What is there first; beside it what is not takes hardly any room. */}
    {TOOLS.toSorted((a, b) => Number(!cue[a.field]) - Number(!cue[b.field])).map((tool) => (
      <One key={tool.field} {...tool} cue={cue} index={index} />
    ))}
  </span>
)

function One({
  field,
  title,
  Tool,
  cue,
  index,
}: (typeof TOOLS)[number] & Pick<Tool, 'cue' | 'index'>) {
  const [opened, setOpened] = useState(false)
  if (cue[field] || opened)
    return <Tool cue={cue} index={index} opened={opened} onOpen={setOpened} />
  return (
    <button
      className={`${classes.measured} ${classes.quiet}`}
      aria-label={`${title} of cue ${index + 1}`}
      title={title}
      onClick={() => setOpened(true)}
    >
      {TOOLS.some((tool) => cue[tool.field]) ? '+' : field}
    </button>
  )
}
