'use client'

import { Skeleton } from '@mantine/core'
import { later } from '../shared/later'
import type { ReadSheetProps } from './ReadSheet'

/** The sheet of a long card, laid out in the browser: the server has others to answer. */
export const LongSheet = later<ReadSheetProps>(
  () => import('./ReadSheet').then((module) => module.ReadSheet),
  <Skeleton height={430} />
)
