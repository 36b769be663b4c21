'use client'

import { Button } from '@mantine/core'
import { useDisclosure, useLocalStorage } from '@mantine/hooks'
import { IconUser } from '@tabler/icons-react'
import dynamic from 'next/dynamic'

const AskName = dynamic(() => import('./AskName').then((module) => module.AskName), { ssr: false })

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
  const [asking, ask] = useDisclosure()
  return (
    <>
      <Button
        variant="subtle"
        color="gray"
        size="compact-sm"
        leftSection={<IconUser size={15} />}
        onClick={ask.open}
      >
        {author || 'Your name'}
      </Button>
      {asking && <AskName author={author} onChange={setAuthor} onClose={ask.close} />}
    </>
  )
}
