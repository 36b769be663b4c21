'use client'

import { Button, Group, Modal, SimpleGrid, Text } from '@mantine/core'
import type { Card } from '@/core/card'
import { dropDraft } from './draft'
import type { Saver, ServerCard } from './saver'
import classes from './StaleDialog.module.css'
import { useBench, useBenchStore } from './store'

interface Props {
  current: ServerCard
  saver: Saver
  textOf: (card: Card) => string
}

/** Two texts of one card: the trainer chooses, and nothing is written over unseen. */
export function StaleDialog({ current, saver, textOf }: Props) {
  const bench = useBenchStore()
  const mine = useBench((state) => state.card)
  const keepMine = () => saver.startFrom(current.version)
  const takeTheirs = () => {
    bench.getState().replace(current.card)
    dropDraft(current.card.id)
    saver.startFrom(current.version)
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
        {current.author || 'Someone'} saved version {current.version} after you started. Both texts
        are kept until you choose; the one not taken stays in the history or comes back with undo.
      </Text>
      <SimpleGrid cols={2} mt="sm">
        <Side title="Yours, not yet saved" text={textOf(mine)} />
        <Side title={`Version ${current.version}, saved`} text={textOf(current.card)} />
      </SimpleGrid>
      <Group justify="flex-end" mt="md">
        <Button variant="default" onClick={takeTheirs}>
          Take version {current.version}
        </Button>
        <Button onClick={keepMine}>Save yours as the newer version</Button>
      </Group>
    </Modal>
  )
}

function Side({ title, text }: { title: string; text: string }) {
  return (
    <div>
      <Text fw={700} size="sm">
        {title}
      </Text>
      <pre className={classes.text} tabIndex={0}>
        {text}
      </pre>
    </div>
  )
}
