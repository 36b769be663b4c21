'use client'

import { LABELS } from '@/core/language'
import { Button, Group, Skeleton, Text } from '@mantine/core'
import { useState } from 'react'
import type { Card } from '@/core/card'
import { later } from '../shared/later'
import { useBench, useBenchStore } from './store'

const NameForm = later(
  () => import('./NameForm').then((module) => module.NameForm),
  <Skeleton height={425} />
)

export const namesAndFamily = (card: Card) => {
  const { names, base, spine, manner, number, language } = card
  const { sides, sideNamedBy, firstSide, writtenFor } = card
  return {
    ...{ names, base, spine, manner, number, language },
    ...{ sides, sideNamedBy, firstSide, writtenFor },
  }
}

/** What a named card is, in one line. */
function headline({
  names,
  base,
  spine,
  manner,
  sides,
  sideNamedBy,
  number,
}: ReturnType<typeof namesAndFamily>) {
  return [
    names.sanskrit,
    ...names.common.slice(1),
    LABELS.base[base],
    LABELS.spine[spine],
    LABELS.manner[manner],
    sides === 'sided' ? `two sides, named by the ${sideNamedBy}` : 'even',
    number,
  ]
    .filter(Boolean)
    .join(' · ')
}

const isNamed = ({ names, sides, sideNamedBy }: Card) =>
  Boolean(names.common[0]) && (sides === 'even' || Boolean(sideNamedBy))

/** Names, and the card’s place in the families: folded to a line once it is named. */
export function NameSection() {
  const bench = useBenchStore()
  const [open, setOpen] = useState(() => !isNamed(bench.getState().card))
  const line = useBench((state) => headline(namesAndFamily(state.card)))
  if (open) return <NameForm />
  return (
    <Group gap="sm" wrap="nowrap" justify="space-between">
      <Text dir="auto">{line}</Text>
      <Button variant="subtle" size="compact-sm" onClick={() => setOpen(true)}>
        Change names and family
      </Button>
    </Group>
  )
}
