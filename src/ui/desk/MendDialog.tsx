'use client'

import { Alert, Button, Checkbox, Group, Modal, Text } from '@mantine/core'
import { useState } from 'react'
import { findingKey, mendMany, mendPreview, RULES } from '@/core/check'
import { wordChanges } from '@/core/compare'
import { useAuthor } from '../chrome/AuthorName'
import { api } from '../shared/api'
import type { Deck, Line } from './Desk'
import classes from './Desk.module.css'

/** Findings of one card that only show beside the others. */
const DECK_RULES = new Set(RULES.filter(({ deck }) => deck).map(({ id }) => id))
const ofDeck = (id: string) => (line: Line) =>
  line.card.id === id && DECK_RULES.has(line.finding.rule)

const keyOf = ({ card, finding }: Line) => `${card.id}\n${findingKey(finding)}`

/** Many mends of one kind: what each would change, and then all of them or none. */
export function MendDialog({
  deck,
  lines,
  title,
  onClose,
}: {
  deck: Deck
  lines: Line[]
  title: string
  onClose: (mended: boolean) => void
}) {
  const [author] = useAuthor()
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set())
  const [failure, setFailure] = useState('')
  const [busy, setBusy] = useState(false)
  const byId = new Map(deck.cards.map((each) => [each.card.id, each]))
  const taken = lines.filter((line) => !left.has(keyOf(line)))
  const touched = new Set(taken.map((line) => line.card.id))

  async function mend() {
    setBusy(true)
    try {
      const cards = [...touched].map((id) => {
        const { card, version } = byId.get(id)!
        const wanted = new Set(
          taken.filter((line) => line.card.id === id).map((line) => findingKey(line.finding))
        )
        return {
          card: mendMany(
            card,
            deck.school,
            (each) => wanted.has(findingKey(each)),
            taken.filter(ofDeck(id)).map((line) => line.finding)
          ).card,
          from: version,
        }
      })
      await api('/api/mend', {
        method: 'POST',
        json: { cards, author, note: `mended: ${title}`.slice(0, 500) },
      })
      onClose(true)
    } catch (error) {
      setFailure((error as Error).message)
      setBusy(false)
    }
  }

  return (
    <Modal opened onClose={() => onClose(false)} size="xl" title="Mend many at once">
      <Text size="sm">{title}</Text>
      <ul className={classes.mends}>
        {lines.map((line) => {
          const key = keyOf(line)
          const card = byId.get(line.card.id)!.card
          return (
            <li key={key}>
              <Checkbox
                aria-label={`${line.card.title}: ${line.finding.fix!.label}`}
                checked={!left.has(key)}
                onChange={(event) => {
                  const next = new Set(left)
                  if (event.currentTarget.checked) next.delete(key)
                  else next.add(key)
                  setLeft(next)
                }}
              />
              <div>
                <b>
                  <bdi>{line.card.title}</bdi>
                </b>
                : {line.finding.fix!.label}
                {mendPreview(card, line.finding).map((change) => (
                  <p key={change.where} dir="auto" className={classes.change}>
                    {wordChanges(change.before, change.after).map((word, i) => {
                      if (word.kind === 'gone') return <del key={i}>{word.text}</del>
                      if (word.kind === 'come') return <ins key={i}>{word.text}</ins>
                      return <span key={i}>{word.text}</span>
                    })}
                  </p>
                ))}
              </div>
            </li>
          )
        })}
      </ul>
      {failure && (
        <Alert color="red" mt="sm">
          {failure}
        </Alert>
      )}
      <Group justify="flex-end" mt="md">
        <Button variant="default" onClick={() => onClose(false)}>
          Leave all as they are
        </Button>
        <Button disabled={taken.length === 0} loading={busy} onClick={() => void mend()}>
          Mend {taken.length} on {touched.size} {touched.size === 1 ? 'card' : 'cards'}
        </Button>
      </Group>
    </Modal>
  )
}
