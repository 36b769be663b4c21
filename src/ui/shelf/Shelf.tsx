'use client'

import { LABELS } from '@/core/language'
import { Alert, Button, Skeleton, Text, TextInput } from '@mantine/core'
import { useDisclosure } from '@mantine/hooks'
import { IconPlus, IconSearch } from '@tabler/icons-react'
import dynamic from 'next/dynamic'
import { useDeferredValue, useMemo, useState } from 'react'
import type { ShelfCard } from '@/core/deck'
import { BASES, MANNERS, SECTIONS, STATUSES, SPINES } from '@/core/card'
import { Header } from '../chrome/Header'
import { Filter } from '../shared/Filter'
import { DeckMap } from './DeckMap'
import { type Filters, NO_FILTERS, passes } from './filters'
import { Rows } from './Rows'
import classes from './Shelf.module.css'
import { useFound } from './useFound'
import { useShelf } from './useShelf'

const NewCard = dynamic(() => import('./NewCard').then((module) => module.NewCard), { ssr: false })
const Palette = dynamic(() => import('../bench/Palette').then((module) => module.Palette), {
  ssr: false,
})

const NONE: ShelfCard[] = []

/** The deck in rows by base, with the map of base by spine direction above it. */
export function Shelf() {
  const [shelf, readAgain] = useShelf()
  const [search, setSearch] = useState('')
  const [filters, setFilters] = useState<Filters>(NO_FILTERS)
  const [adding, add] = useDisclosure()
  const wanted = useDeferredValue(search)
  const cards = shelf.state === 'ready' ? shelf.cards : NONE
  const found = useFound(cards, wanted)
  const shown = useMemo(() => found.filter((card) => passes(card, filters)), [found, filters])
  const filtering = Object.values(filters).some(Boolean)
  const set = (change: Partial<Filters>) => setFilters((now) => ({ ...now, ...change }))

  return (
    <>
      <Header here="shelf" />
      <main id="main" tabIndex={-1} className={classes.main}>
        <div className={classes.top}>
          <div className={classes.side}>
            <h1 className={classes.title}>The shelf</h1>
            <Text size="sm" c="dimmed" role="status">
              {shelf.state === 'ready' &&
                (shown.length === cards.length
                  ? `${cards.length} cards`
                  : `${shown.length} of ${cards.length} cards`)}
            </Text>
            <div className={classes.tools}>
              <TextInput
                aria-label="Search by name"
                placeholder="Search by name"
                leftSection={<IconSearch size={16} />}
                value={search}
                onChange={(event) => setSearch(event.currentTarget.value)}
                w={260}
              />
              <Button leftSection={<IconPlus size={16} />} onClick={add.open}>
                New card
              </Button>
            </div>
            <div className={classes.tools}>
              <Filter
                label="Base"
                value={filters.base}
                options={BASES.map((value) => ({ value, label: LABELS.base[value] }))}
                onChange={(base) => set({ base })}
              />
              <Filter
                label="Spine"
                value={filters.spine}
                options={SPINES}
                onChange={(spine) => set({ spine })}
              />
              <Filter
                label="Sides"
                value={filters.sides}
                options={[{ value: 'sided', label: 'two sides' }, 'even']}
                onChange={(sides) => set({ sides })}
              />
              <Filter
                label="Manner"
                value={filters.manner}
                options={MANNERS}
                onChange={(manner) => set({ manner })}
              />
              <Filter
                label="Status"
                value={filters.status}
                options={STATUSES.map((value) => ({ value, label: LABELS.status[value] }))}
                onChange={(status) => set({ status })}
              />
              <Filter
                label="Section missing"
                value={filters.missing}
                options={SECTIONS.map(({ id, title }) => ({
                  value: id,
                  label: `without ${title}`,
                }))}
                onChange={(missing) => set({ missing })}
              />
              {filtering && (
                <Button size="xs" variant="subtle" onClick={() => setFilters(NO_FILTERS)}>
                  Show all
                </Button>
              )}
            </div>
          </div>
          <DeckMap
            cards={cards}
            chosen={
              filters.base && filters.spine ? { base: filters.base, spine: filters.spine } : null
            }
            onChoose={(place) => set({ base: place?.base ?? '', spine: place?.spine ?? '' })}
          />
        </div>

        {shelf.state === 'loading' && <Loading />}
        {shelf.state === 'failed' && (
          <Alert color="red" title="The shelf cannot be read" mt="md">
            {shelf.message} Nothing is lost.{' '}
            <Button size="compact-sm" variant="default" onClick={readAgain}>
              Try again
            </Button>
          </Alert>
        )}
        {shelf.state === 'ready' && cards.length === 0 && (
          <p className={classes.empty}>
            The shelf is empty. A card holds one pose: write one side, and the other writes itself.
            Start with “New card”.
          </p>
        )}
        {shelf.state === 'ready' && cards.length > 0 && shown.length === 0 && (
          <p className={classes.empty}>
            No card is like this. Marks, capitals and the spelling of the Sanskrit do not matter.
          </p>
        )}
        <Rows cards={shown} />
      </main>
      <Palette
        sections={false}
        actions={[{ id: 'new-card', label: 'New card', onClick: add.open }]}
      />
      {adding && <NewCard onClose={add.close} />}
    </>
  )
}

function Loading() {
  return (
    <div className={classes.row} aria-label="Reading the shelf" role="status">
      <div className={classes.tiles}>
        {[1, 2, 3, 4, 5, 6].map((i) => (
          <Skeleton key={i} height={112} />
        ))}
      </div>
    </div>
  )
}
