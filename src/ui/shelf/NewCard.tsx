'use client'

import { LABELS } from '@/core/language'
import { Alert, Button, Group, Modal, NativeSelect, SimpleGrid, TextInput } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { type FormEvent, useState } from 'react'
import { BASES, MANNERS, SPINES } from '@/core/card'
import { useAuthor } from '../chrome/AuthorName'
import { api } from '../shared/api'

/** Asks for what places a card on the shelf, then opens it on the bench. */
export function NewCard({ onClose }: { onClose: () => void }) {
  const router = useRouter()
  const [author] = useAuthor()
  const [failure, setFailure] = useState('')
  const [busy, setBusy] = useState(false)

  async function create(event: FormEvent<HTMLFormElement>) {
    event.preventDefault()
    const form = Object.fromEntries(new FormData(event.currentTarget)) as Record<string, string>
    setBusy(true)
    try {
      const { id } = await api<{ id: string }>('/api/cards', {
        method: 'POST',
        json: { ...form, author },
      })
      router.push(`/cards/${id}/bench`)
    } catch (error) {
      setFailure((error as Error).message)
      setBusy(false)
    }
  }

  return (
    <Modal opened onClose={onClose} title="New card" centered>
      <form onSubmit={create}>
        <TextInput
          name="name"
          label="Common name"
          placeholder="Long side angle"
          required
          maxLength={300}
          data-autofocus
        />
        <SimpleGrid cols={2} mt="sm">
          <NativeSelect
            name="base"
            label="Base"
            data={BASES.map((value) => ({ value, label: LABELS.base[value] }))}
          />
          <NativeSelect name="spine" label="Spine" data={[...SPINES]} />
          <NativeSelect name="manner" label="Manner" data={[...MANNERS]} />
          <NativeSelect
            name="sides"
            label="Sides"
            data={[
              { value: 'sided', label: 'two sides' },
              { value: 'even', label: 'even' },
            ]}
          />
        </SimpleGrid>
        {failure && (
          <Alert color="red" mt="sm">
            {failure}
          </Alert>
        )}
        <Group justify="flex-end" mt="md">
          <Button variant="default" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" loading={busy}>
            Write it
          </Button>
        </Group>
      </form>
    </Modal>
  )
}
