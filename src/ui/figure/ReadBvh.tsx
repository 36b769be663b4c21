'use client'

import { Button, FileButton, NumberInput } from '@mantine/core'
import { useState } from 'react'
import { BvhError, type Figure, figureFromBvh, readFigure } from '@/core/figure'

const MOST_BYTES = 20_000_000

/** Takes one frame of a BVH file as the figure. */
export function ReadBvh({
  onRead,
  onProblem,
}: {
  onRead: (figure: Figure, notes: string[]) => void
  onProblem: (message: string) => void
}) {
  const [frame, setFrame] = useState(1)
  async function read(file: File | null) {
    if (!file) return
    if (file.size > MOST_BYTES) {
      onProblem(`${file.name} is larger than 20 MB. Nothing was changed; take a shorter file.`)
      return
    }
    try {
      const { figure, notes, frames } = figureFromBvh(await file.text(), frame)
      onProblem('')
      onRead(readFigure(figure).figure!, [`Frame ${frame} of ${frames}.`, ...notes])
    } catch (error) {
      const line = error instanceof BvhError ? `, line ${error.line}` : ''
      onProblem(
        `${file.name}${line}: ${(error as Error).message}. Nothing was changed; mend the file or take another.`
      )
    }
  }
  return (
    <>
      <NumberInput
        w={98}
        prefix="frame "
        aria-label="Frame of the BVH file"
        title="Frame of the BVH file"
        min={1}
        value={frame}
        onChange={(value) => {
          if (typeof value === 'number' && value >= 1) setFrame(Math.round(value))
        }}
      />
      <FileButton onChange={(file) => void read(file)} accept=".bvh">
        {(props) => (
          <Button {...props} variant="default">
            Read a BVH frame
          </Button>
        )}
      </FileButton>
    </>
  )
}
