'use client'

import { Alert, Button, Group, Modal, Text } from '@mantine/core'
import { useEffect, useMemo, useState } from 'react'
import type { Card } from '@/core/card'
import { compareFromBase, compareWords, mergedText } from '@/core/compare'
import { CardFileError, readCard, writeMarkdown } from '@/core/formats'
import { api } from '../shared/api'
import type { Saver, ServerCard } from './saver'
import classes from './StaleDialog.module.css'
import { useBench, useBenchStore } from './store'

type Three = [string, string, string]

/** Two texts of one card: the trainer chooses line by line, and nothing is written over unseen. */
export function StaleDialog({ current, saver }: { current: ServerCard; saver: Saver }) {
  const bench = useBenchStore()
  const mine = useBench((state) => state.card)
  const from = saver.status.getState().version
  const [base, setBase] = useState<Card | null>(null)
  const hunks = useMemo(
    () => compareFromBase(...([base ?? mine, mine, current.card].map(writeMarkdown) as Three)),
    [base, mine, current]
  )
  const [theirs, setTheirs] = useState<ReadonlySet<number>>(new Set())
  const [failure, setFailure] = useState('')
  // Where only the other one wrote, theirs is taken unless the trainer says otherwise. Without
  // the text that both started from, all of it is a question.
  useEffect(() => {
    let gone = false
    api<{ card: Card }>(`/api/cards/${mine.id}/versions/${from}`)
      .then(({ card }) => {
        if (gone) return
        setBase(card)
        const all = compareFromBase(...([card, mine, current.card].map(writeMarkdown) as Three))
        setTheirs(new Set(all.flatMap((hunk, i) => (hunk.by === 'second' ? [i] : []))))
      })
      .catch(() => undefined)
    return () => {
      gone = true
    }
  }, [mine, current, from])
  const changed = hunks.flatMap((hunk, i) => (hunk.kind === 'changed' ? [i] : []))

  function save() {
    try {
      const text = mergedText(hunks, (i) => (theirs.has(i) ? 'second' : 'first'))
      const merged = theirs.size === 0 ? mine : readCard(text)
      bench.getState().replace({ ...merged, id: mine.id })
      saver.startFrom(current.version)
    } catch (error) {
      if (!(error instanceof CardFileError)) throw error
      setFailure(
        `These lines do not make a card together: ${error.problems[0]!.message}. Choose one of them otherwise; nothing was saved.`
      )
    }
  }

  return (
    <Modal
      opened
      onClose={() => undefined}
      withCloseButton={false}
      size="xl"
      title="Someone saved this card meanwhile"
    >
      <Text size="sm">
        {current.author || 'Someone'} saved version {current.version} after you started. Where only
        one of you wrote, that one is taken; choose otherwise as you like. What is not taken stays
        in the history or comes back with undo.
      </Text>
      <Group my="xs" gap="xs">
        <Button size="compact-sm" variant="default" onClick={() => setTheirs(new Set())}>
          All of yours
        </Button>
        <Button size="compact-sm" variant="default" onClick={() => setTheirs(new Set(changed))}>
          All of version {current.version}
        </Button>
      </Group>
      {changed.length === 0 && <Text size="sm">Both texts are the same.</Text>}
      <div className={classes.hunks}>
        {changed.map((i, place) => {
          const words = compareWords(hunks[i]!.first.join('\n'), hunks[i]!.second.join('\n'))
          const choice = (side: 'first' | 'second', label: string) => (
            <label className={classes.choice}>
              <input
                type="radio"
                name={`hunk-${i}`}
                checked={theirs.has(i) === (side === 'second')}
                onChange={() => {
                  const next = new Set(theirs)
                  if (side === 'second') next.add(i)
                  else next.delete(i)
                  setTheirs(next)
                }}
              />
              <span>
                <b>{label}</b>
                <span className={classes.text}>
                  {words[side].length === 0 && <i>nothing here</i>}
                  {words[side].map((mark, j) =>
                    mark.marked ? (
                      <mark key={j}>{mark.text}</mark>
                    ) : (
                      <span key={j}>{mark.text}</span>
                    )
                  )}
                </span>
              </span>
            </label>
          )
          return (
            <div
              key={i}
              className={classes.hunk}
              role="radiogroup"
              aria-label={`Place ${place + 1}`}
            >
              {choice('first', 'Yours')}
              {choice('second', `Version ${current.version}`)}
            </div>
          )
        })}
      </div>
      {failure && (
        <Alert color="red" mt="sm">
          {failure}
        </Alert>
      )}
      <Group justify="flex-end" mt="md">
        <Button onClick={save}>Save as the newer version</Button>
      </Group>
    </Modal>
  )
}
