'use client'

import { Alert, Group, NativeSelect, Progress, SegmentedControl, Skeleton } from '@mantine/core'
import { Link } from '../shared/Link'
import { useEffect, useMemo, useState } from 'react'
import { BASES, DEMANDED, type Demanded, type School, SPINES } from '@/core/card'
import { type CardLevels, gapsIn } from '@/core/ladder'
import { LABELS, LADDER } from '@/core/language'
import type { LevelsAnswer, LevelsJob } from '@/workers/deckLevels'
import { Page } from '../chrome/Page'
import { api } from '../shared/api'
import { later } from '../shared/later'
import classes from './DeckLadders.module.css'

// The library that draws charts is large, and comes after the words.
const LevelChart = later(
  () => import('./LevelChart').then((module) => module.LevelChart),
  <Skeleton height={430} />
)

type Family = 'base' | 'spine'
const FAMILIES: Record<Family, readonly string[]> = { base: BASES, spine: SPINES }
const MOST_GAPS = 12

/** Every card and rung of the deck by what it asks, to find the gaps between levels. */
export function DeckLadders() {
  const [deck, setDeck] = useState<LevelsJob | null>(null)
  const [answer, setAnswer] = useState<LevelsAnswer | null>(null)
  const [failure, setFailure] = useState('')
  useEffect(() => {
    api<{ school: School } & LevelsJob>('/api/deck')
      .then(setDeck)
      .catch((error: Error) => setFailure(error.message))
  }, [])
  useEffect(() => {
    if (!deck) return
    const worker = new Worker(new URL('../../workers/deckLevels.worker.ts', import.meta.url), {
      type: 'module',
    })
    worker.onmessage = ({ data }: MessageEvent<LevelsAnswer>) => setAnswer(data)
    worker.onerror = (event) =>
      setFailure(
        `The ladders could not be worked out (${event.message || 'the worker did not start'}). The deck is as it was; reload the page.`
      )
    worker.postMessage(deck)
    return () => worker.terminate()
  }, [deck])
  const finished = answer && 'finished' in answer ? answer : null
  const running = answer && 'done' in answer ? answer : null
  return (
    <Page here="ladders" width={1240}>
      <h1>Ladders of the deck</h1>
      {failure && (
        <Alert color="red" my="sm">
          {failure}
        </Alert>
      )}
      {running && (
        <div>
          {running.done} of {running.total} cards
          <Progress value={(running.done / running.total) * 100} mt={4} aria-label="Progress" />
        </div>
      )}
      {!failure && !finished && <Skeleton height={430} mt="md" />}
      {finished && <Levels cards={finished.cards} failed={finished.failed} />}
    </Page>
  )
}

const Mark = ({ filled = false }: { filled?: boolean }) => (
  <svg width={12} height={12} viewBox="0 0 12 12" aria-hidden>
    <rect
      x={1}
      y={1}
      width={10}
      height={10}
      fill={filled ? 'var(--ink)' : 'none'}
      stroke="var(--ink)"
    />
  </svg>
)

function Levels({ cards, failed }: { cards: CardLevels[]; failed: string[] }) {
  const [family, setFamily] = useState<Family>('base')
  const [of, setOf] = useState<Demanded | 'total'>('total')
  const order = FAMILIES[family]
  const sorted = useMemo(
    () =>
      cards
        .filter(({ levels }) => levels.length > 0)
        .toSorted(
          (a, b) =>
            order.indexOf(a[family]) - order.indexOf(b[family]) || a.title.localeCompare(b.title)
        ),
    [cards, family, order]
  )
  const gaps = useMemo(() => gapsIn(cards, family, of), [cards, family, of])
  const label = (name: string) => (LABELS[family] as Record<string, string>)[name] ?? name
  const unknown = cards.filter((card) => card.unknown > 0)
  return (
    <>
      <Group gap="md" mt="xs">
        <SegmentedControl
          size="xs"
          aria-label="Families"
          value={family}
          onChange={(value) => setFamily(value as Family)}
          data={[
            { value: 'base', label: 'by base' },
            { value: 'spine', label: 'by spine direction' },
          ]}
        />
        <NativeSelect
          size="xs"
          aria-label="What is looked at"
          value={of}
          onChange={(event) => setOf(event.currentTarget.value as Demanded | 'total')}
          data={[
            { value: 'total', label: LADDER.inAll },
            ...DEMANDED.map((part) => ({ value: part, label: LADDER.demanded[part] })),
          ]}
        />
        <span className={classes.key}>
          <Mark filled /> the form described <Mark /> another rung
        </span>
      </Group>
      <LevelChart cards={sorted} family={family} of={of} label={label} />
      <h2 className={classes.part}>Gaps between levels</h2>
      {gaps.length === 0 && <p>In no family is there a gap that wants a rung.</p>}
      <ol className={classes.gaps}>
        {gaps.slice(0, MOST_GAPS).map(({ family: name, from, to, by }) => (
          <li key={name + from.card + from.rung}>
            <b>{label(name)}</b>: {Math.round(by)} between{' '}
            <Link href={`/cards/${from.card}/bench?at=ladder`}>
              {from.title}, {from.name}
            </Link>{' '}
            ({Math.round(from.demand[of])}) and{' '}
            <Link href={`/cards/${to.card}/bench?at=ladder`}>
              {to.title}, {to.name}
            </Link>{' '}
            ({Math.round(to.demand[of])})
          </li>
        ))}
      </ol>
      {gaps.length > MOST_GAPS && <p>and {gaps.length - MOST_GAPS} narrower ones</p>}
      {(unknown.length > 0 || failed.length > 0) && (
        <p className={classes.soft}>
          Not placed, because their form is not known:{' '}
          {unknown.map(({ id, title, unknown: n }, i) => (
            <span key={id}>
              {i > 0 && ', '}
              <Link href={`/cards/${id}/bench?at=ladder`}>{title}</Link> ({n})
            </span>
          ))}
          {failed.map((id) => (
            <span key={id}> {id}</span>
          ))}
        </p>
      )}
    </>
  )
}
