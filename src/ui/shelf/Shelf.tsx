'use client'

import { Alert, Button, Skeleton, Text, TextInput } from '@mantine/core'
import { useDisclosure } from '@mantine/hooks'
import { IconPlus, IconSearch } from '@tabler/icons-react'
import dynamic from 'next/dynamic'
import { useDeferredValue, useMemo, useState } from 'react'
import { BASE_TITLES, BASES, type Base, type Spine } from '@/core/card'
import { Header } from '../chrome/Header'
import { CardTile } from './CardTile'
import { DeckMap } from './DeckMap'
import classes from './Shelf.module.css'
import { fold, matchesName } from './search'
import { type ShelfCard, useShelf } from './useShelf'

const NewCard = dynamic(() => import('./NewCard').then((module) => module.NewCard), { ssr: false })

/** The deck in rows by base, with the map of base by spine direction above it. */
export function Shelf() {
  const [shelf, readAgain] = useShelf()
  const [search, setSearch] = useState('')
  const [place, setPlace] = useState<{ base: Base; spine: Spine } | null>(null)
  const [adding, add] = useDisclosure()
  const wanted = useDeferredValue(search)
  const cards = shelf.state === 'ready' ? shelf.cards : NONE
  const shown = useMemo(() => {
    const words = fold(wanted)
    return cards.filter(
      (card) =>
        matchesName(card, words) &&
        (!place || (card.base === place.base && card.spine === place.spine))
    )
  }, [cards, wanted, place])

  return (
    <>
      <Header here="shelf" />
      <main className={classes.main}>
        <div className={classes.top}>
          <div>
            <h1 className={classes.title}>The shelf</h1>
            <Text size="sm" c="dimmed" role="status">
              {shelf.state === 'ready' &&
                (shown.length === cards.length
                  ? `${cards.length} cards`
                  : `${shown.length} of ${cards.length} cards`)}
              {place && (
                <button className={classes.clear} onClick={() => setPlace(null)}>
                  {BASE_TITLES[place.base]} · {place.spine}, show all
                </button>
              )}
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
          </div>
          <DeckMap cards={cards} chosen={place} onChoose={setPlace} />
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
          <p className={classes.empty}>No card has this name. Marks and capitals do not matter.</p>
        )}
        {BASES.map((base) => (
          <Row key={base} base={base} cards={shown.filter((card) => card.base === base)} />
        ))}
      </main>
      {adding && <NewCard onClose={add.close} />}
    </>
  )
}

const NONE: ShelfCard[] = []

function Row({ base, cards }: { base: Base; cards: ShelfCard[] }) {
  if (cards.length === 0) return null
  return (
    <section aria-labelledby={`row-${base}`} className={classes.row}>
      <h2 id={`row-${base}`} className={classes.rowTitle}>
        {BASE_TITLES[base]} <span>{cards.length}</span>
      </h2>
      <ul className={classes.tiles}>
        {cards.map((card) => (
          <li key={card.id}>
            <CardTile card={card} />
          </li>
        ))}
      </ul>
    </section>
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
