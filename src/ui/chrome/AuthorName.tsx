'use client'

import { Button, Popover, TextInput } from '@mantine/core'
import { useLocalStorage } from '@mantine/hooks'
import { IconUser } from '@tabler/icons-react'

/** The name that saved versions carry; kept in this browser. */
export function useAuthor() {
  return useLocalStorage<string>({
    key: 'notula:author',
    defaultValue: '',
    getInitialValueInEffect: true,
  })
}

export function AuthorName() {
  const [author, setAuthor] = useAuthor()
  return (
    <Popover width={260} position="bottom-end" trapFocus>
      <Popover.Target>
        <Button
          variant="subtle"
          color="gray"
          size="compact-sm"
          leftSection={<IconUser size={15} />}
        >
          {author || 'Your name'}
        </Button>
      </Popover.Target>
      <Popover.Dropdown>
        <TextInput
          label="Who is writing?"
          description="Saved with each version, so that co-trainers see who wrote what."
          value={author}
          maxLength={200}
          onChange={(event) => setAuthor(event.currentTarget.value)}
        />
      </Popover.Dropdown>
    </Popover>
  )
}
