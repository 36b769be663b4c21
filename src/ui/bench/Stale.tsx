'use client'

import { writeMarkdown } from '@/core/formats'
import type { Saver, ServerCard } from './saver'
import { StaleDialog } from './StaleDialog'

/** Loaded only when two texts meet: the file writer is large. */
export function Stale({ current, saver }: { current: ServerCard; saver: Saver }) {
  return <StaleDialog current={current} saver={saver} textOf={writeMarkdown} />
}
