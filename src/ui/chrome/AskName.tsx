'use client'

import { Button, Group, Modal, TextInput } from '@mantine/core'

interface Props {
  author: string
  onChange: (author: string) => void
  onClose: () => void
}

export function AskName({ author, onChange, onClose }: Props) {
  return (
    <Modal opened onClose={onClose} title="Who is writing?" size="sm">
      <form
        onSubmit={(event) => {
          event.preventDefault()
          onClose()
        }}
      >
        <TextInput
          label="Your name"
          description="Saved with each version, so that co-trainers see who wrote what."
          value={author}
          maxLength={200}
          data-autofocus
          onChange={(event) => onChange(event.currentTarget.value)}
        />
        <Group justify="flex-end" mt="md">
          <Button type="submit">Done</Button>
        </Group>
      </form>
    </Modal>
  )
}
