'use client'

import { Alert, Button, Group, Modal, Text } from '@mantine/core'
import { useDisclosure } from '@mantine/hooks'
import { useCallback, useEffect, useState } from 'react'
import { Page } from '../chrome/Page'
import { api } from '../shared/api'
import classes from './Bin.module.css'

interface Binned {
  id: string
  title: string
  deletedAt: string
}

/** Deleted cards, until the bin is emptied. */
export function Bin() {
  const [cards, setCards] = useState<Binned[] | null>(null)
  const [failure, setFailure] = useState('')
  const [asking, ask] = useDisclosure()
  const read = useCallback(() => {
    api<{ cards: Binned[] }>('/api/bin')
      .then((bin) => setCards(bin.cards))
      .catch((error: Error) => setFailure(error.message))
  }, [])
  useEffect(read, [read])
  const act = (path: string, method: string) =>
    api(path, { method })
      .then(read)
      .catch((error: Error) => setFailure(error.message))
  return (
    <Page here="bin" width={760}>
      <Group justify="space-between">
        <h1>The bin</h1>
        <Button variant="default" disabled={!cards?.length} onClick={ask.open}>
          Empty the bin
        </Button>
      </Group>
      {failure && <Alert color="red">{failure}</Alert>}
      {cards?.length === 0 && (
        <Text c="dimmed">
          The bin is empty. A deleted card lies here, with all its versions, until you empty it.
        </Text>
      )}
      <ul className={classes.list}>
        {cards?.map((card) => (
          <li key={card.id}>
            <span>
              <b>
                <bdi>{card.title}</bdi>
              </b>{' '}
              deleted {new Date(card.deletedAt).toLocaleString('en-GB')}
            </span>
            <Button
              size="compact-sm"
              variant="default"
              onClick={() => void act(`/api/bin/${card.id}`, 'POST')}
            >
              Put back<span className="visually-hidden"> {card.title}</span>
            </Button>
          </li>
        ))}
      </ul>
      <Modal opened={asking} onClose={ask.close} title="Empty the bin?">
        <Text>
          {cards?.length === 1 ? 'One card' : `${cards?.length ?? 0} cards`} and all their versions
          will be gone for good. This cannot be undone.
        </Text>
        <Group justify="flex-end" mt="md">
          <Button variant="default" onClick={ask.close}>
            Keep them
          </Button>
          <Button
            color="red"
            onClick={() => {
              ask.close()
              void act('/api/bin', 'DELETE')
            }}
          >
            Empty it
          </Button>
        </Group>
      </Modal>
    </Page>
  )
}
