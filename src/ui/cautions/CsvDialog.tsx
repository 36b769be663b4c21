'use client'

import { Alert, Button, FileInput, Group, Modal, Text } from '@mantine/core'
import { useState } from 'react'
import type { Card } from '@/core/card'
import { useAuthor } from '../chrome/AuthorName'
import { api } from '../shared/api'
import classes from './Cautions.module.css'

interface Plan {
  changed: { card: Card; title: string; lines: string[]; from: number }[]
  same: number
  problems: { line: number; message: string }[]
}

/** A table of verdicts that comes back: what it would change, then all of it or nothing. */
export function CsvDialog({ onClose }: { onClose: (saved: boolean) => void }) {
  const [author] = useAuthor()
  const [plan, setPlan] = useState<Plan | null>(null)
  const [failure, setFailure] = useState('')
  const [busy, setBusy] = useState(false)

  async function read(file: File | null) {
    setPlan(null)
    setFailure('')
    if (!file) return
    setBusy(true)
    try {
      setPlan(
        await api<Plan>('/api/cautions/csv', { method: 'POST', json: { text: await file.text() } })
      )
    } catch (error) {
      setFailure((error as Error).message)
    }
    setBusy(false)
  }

  async function save() {
    setBusy(true)
    try {
      const cards = plan!.changed.map(({ card, from }) => ({ card, from }))
      await api('/api/mend', {
        method: 'POST',
        json: { cards, author, note: 'verdicts from a table' },
      })
      onClose(true)
    } catch (error) {
      setFailure((error as Error).message)
      setBusy(false)
    }
  }

  return (
    <Modal opened onClose={() => onClose(false)} size="lg" title="Bring a table of verdicts back">
      <Text size="sm">
        Take the table out, change the column “verdict”, write why into “reason”, and bring it back.
        Only what differs is written, on its card, as an override with that reason.
      </Text>
      <FileInput
        mt="sm"
        label="The table (CSV)"
        accept=".csv,text/csv"
        placeholder="Pick a file"
        onChange={(file) => void read(file)}
      />
      {failure && (
        <Alert color="red" mt="sm">
          {failure}
        </Alert>
      )}
      {plan && (
        <div role="status">
          <p>
            {plan.changed.length === 0
              ? 'Nothing changes.'
              : `${plan.changed.reduce((sum, { lines }) => sum + lines.length, 0)} verdicts on ${plan.changed.length} ${plan.changed.length === 1 ? 'card' : 'cards'} change.`}{' '}
            {plan.same} say what holds.
          </p>
          <ul className={classes.plan}>
            {plan.changed.map(({ title, lines }) => (
              <li key={title}>
                <b>{title}</b>
                {lines.map((line) => (
                  <span key={line}>{line}</span>
                ))}
              </li>
            ))}
          </ul>
          {plan.problems.length > 0 && (
            <Alert color="red" title="Not taken" mt="sm">
              {plan.problems.map(({ line, message }) => (
                <div key={`${line} ${message}`}>
                  Line {line}: {message}.
                </div>
              ))}
            </Alert>
          )}
        </div>
      )}
      <Group justify="flex-end" mt="md">
        <Button variant="default" onClick={() => onClose(false)}>
          Leave all as it is
        </Button>
        <Button
          disabled={!plan || plan.changed.length === 0}
          loading={busy}
          onClick={() => void save()}
        >
          Write them
        </Button>
      </Group>
    </Modal>
  )
}
