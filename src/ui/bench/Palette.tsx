'use client'

import '@mantine/spotlight/styles.css'
import {
  Spotlight,
  type SpotlightActionData,
  type SpotlightActionGroupData,
} from '@mantine/spotlight'
import { IconSearch } from '@tabler/icons-react'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { SECTIONS } from '@/core/card'
import { api } from '../shared/api'
import { goToSection } from './focus'

interface Props {
  /** Things that can be done in this view, besides going elsewhere. */
  actions?: SpotlightActionData[]
  /** Whether this view has the sections of a card. */
  sections?: boolean
}

/** One field to go to any card, section or action. */
export function Palette({ actions = [], sections = true }: Props) {
  const router = useRouter()
  const [cards, setCards] = useState<{ id: string; title: string; sanskrit: string }[]>([])
  const groups: SpotlightActionGroupData[] = [
    {
      group: 'Sections',
      actions: sections
        ? SECTIONS.map(({ id, title }) => ({
            id: `section-${id}`,
            label: title,
            onClick: () => {
              goToSection(id)
              document
                .getElementById(id)
                ?.querySelector<HTMLElement>('textarea, input, select, button')
                ?.focus({ preventScroll: true })
            },
          }))
        : [],
    },
    {
      group: 'Do',
      actions: [
        ...actions,
        { id: 'go-shelf', label: 'Go to the shelf', onClick: () => router.push('/') },
      ],
    },
    {
      group: 'Cards',
      actions: cards.map(({ id, title, sanskrit }) => ({
        id: `card-${id}`,
        label: title,
        description: sanskrit,
        keywords: [sanskrit.normalize('NFD').replace(/\p{M}+/gu, '')],
        onClick: () => router.push(`/cards/${id}/bench`),
      })),
    },
  ]
  return (
    <Spotlight
      shortcut={['mod + K']}
      tagsToIgnore={[]}
      actions={groups.filter((group) => group.actions.length > 0)}
      onSpotlightOpen={() => {
        api<{ cards: typeof cards }>('/api/shelf')
          .then((shelf) => setCards(shelf.cards))
          .catch(() => undefined)
      }}
      limit={12}
      scrollable
      maxHeight={420}
      highlightQuery
      nothingFound="Nothing has this name"
      searchProps={{
        leftSection: <IconSearch size={18} />,
        placeholder: 'Go to a card, a section, or do something',
        'aria-label': 'Go to a card, a section, or do something',
      }}
    />
  )
}
