'use client'

import { Button } from '@mantine/core'
import { IconPlayerPlay } from '@tabler/icons-react'
import { useState } from 'react'
import type { Card, School } from '@/core/card'
import { later } from '../shared/later'

const Play = later(() => import('./Play').then((module) => module.default))

/**
 * Plays a card; what it needs is loaded when it is asked for. It is asked for once: an answer that
 * came after the card was already playing would start it again from its beginning.
 */
export function PlayButton({ get }: { get: () => Promise<{ card: Card; school: School }> }) {
  const [shown, setShown] = useState<{ card: Card; school: School } | null>(null)
  const [asked, setAsked] = useState(false)
  const start = () => {
    setAsked(true)
    void get()
      .then(setShown, () => undefined)
      .finally(() => setAsked(false))
  }
  return (
    <>
      <Button
        variant="default"
        size="compact-md"
        leftSection={<IconPlayerPlay size={16} />}
        loading={asked}
        onClick={start}
      >
        Play
      </Button>
      {shown && <Play {...shown} onClose={() => setShown(null)} />}
    </>
  )
}
