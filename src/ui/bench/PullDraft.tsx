'use client'

import { Button, Group, Modal, Text } from '@mantine/core'
import { useEffect, useMemo, useRef, useState } from 'react'
import { anglesOf, type Figure, withFigure } from '@/core/figure'
import { namedRole } from '@/core/language'
import type { FormDrawn } from '@/workers/words'
import { Stage } from '../figure/Stage'
import { useFigureWork } from '../figure/useFigureWork'
import { useBenchStore } from './store'

/** A form of the card, large, to be pulled into shape; what is pulled is kept. */
export function PullDraft({
  form,
  step,
  onClose,
}: {
  form: FormDrawn
  step: number
  onClose: () => void
}) {
  const bench = useBenchStore()
  const [figure, setFigure] = useState<Figure>(form.figure)
  const [answer, ask, failure, whenDone] = useFigureWork()
  const { card } = bench.getState()
  const { writtenFor, sides } = card
  const namedBy = namedRole(card)
  const wish = useMemo(
    () => ({
      figure,
      side: writtenFor,
      namedBy,
      lead: sides === 'sided' ? writtenFor : null,
    }),
    [figure, writtenFor, namedBy, sides]
  )
  useEffect(() => ask(wish), [ask, wish])
  const path = form.where.replace(/text$/, 'figure')
  /** A pull that is still worked out does not take the form back from the words. */
  const given = useRef(false)
  const keep = (next: Figure | null) =>
    bench.getState().edit((card) => withFigure(card, path, next))
  return (
    <Modal opened onClose={onClose} title={`The figure of step ${step}`} size="lg">
      <Text size="sm" c="dimmed">
        Pull a hand, a foot, a knee, the head or the hips. What you pull is kept, whatever the words
        say later.
      </Text>
      {failure && <Text c="var(--alert)">{failure}</Text>}
      {answer && (
        <Stage
          answer={answer}
          title={`Step ${step}`}
          onDrag={(drag) => ask({ ...wish, drag, seen: answer.view })}
          onDrop={() =>
            whenDone(({ pose }) => {
              if (given.current) return
              const next = { ...figure, angles: anglesOf(pose) }
              setFigure(next)
              keep(next)
            })
          }
        />
      )}
      <Group gap="xs" mt="xs">
        {!form.kept && (
          <Button
            size="compact-md"
            onClick={() => {
              keep(figure)
              onClose()
            }}
          >
            Keep it
          </Button>
        )}
        {form.kept && (
          <Button
            size="compact-md"
            variant="default"
            onClick={() => {
              given.current = true
              keep(null)
              onClose()
            }}
          >
            Back to the words
          </Button>
        )}
        <Button size="compact-md" variant="default" onClick={onClose}>
          Close
        </Button>
      </Group>
    </Modal>
  )
}
