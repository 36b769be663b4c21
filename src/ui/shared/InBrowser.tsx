'use client'

import { Skeleton } from '@mantine/core'
import { type ReactNode, useSyncExternalStore } from 'react'

const never = () => () => undefined

/** A part of a page that is drawn in the browser alone: the server has others to answer. */
export function InBrowser({ children }: { children: ReactNode }) {
  const here = useSyncExternalStore(
    never,
    () => true,
    () => false
  )
  return here ? children : <Skeleton height={430} m="md" />
}
