'use client'

import { useEffect, useState } from 'react'
import type { KeptDrawing } from '@/core/figure'
import type { DrawingJob } from '@/workers/bench'
import { FigureSvg } from '../shared/FigureSvg'
import { useWork } from '../shared/useWork'

/** A figure drawn beside the page; until the new one is there, as it was before. */
export function AskedDrawing({ job, label }: { job: DrawingJob; label: string }) {
  const work = useWork('drawings')
  const [drawing, setDrawing] = useState<KeptDrawing | null>(null)
  const asked = JSON.stringify(job)
  useEffect(() => {
    work(JSON.parse(asked) as DrawingJob, ({ drawing: now }) => now && setDrawing(now))
  }, [asked, work])
  return drawing && <FigureSvg drawing={drawing} label={label} />
}
