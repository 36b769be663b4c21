'use client'

import { Alert, Progress, Skeleton } from '@mantine/core'
import { Link } from '../shared/Link'
import type { ReactNode } from 'react'
import { Page } from '../chrome/Page'
import classes from './Cautions.module.css'
import { type DeckCautions, type Matrix, useDeckCautions } from './useDeckCautions'

const PAGES = [
  { id: 'matrix', href: '/cautions', title: 'Who may do what' },
  { id: 'room', href: '/cautions/room', title: 'Who is in the room' },
  { id: 'policy', href: '/cautions/policy', title: 'The policy' },
] as const

/** A page about the cautions of the deck: it is drawn when the verdicts are known. */
export function CautionsPage({
  here,
  children,
}: {
  here: (typeof PAGES)[number]['id']
  children: (
    work: DeckCautions & { deck: NonNullable<DeckCautions['deck']>; matrix: Matrix }
  ) => ReactNode
}) {
  const work = useDeckCautions()
  const { deck, matrix, progress, failure } = work
  return (
    <Page here="cautions" width={1360}>
      <nav aria-label="Cautions" className={classes.pages}>
        {PAGES.map(({ id, href, title }) => (
          <Link key={id} href={href} aria-current={id === here ? 'page' : undefined}>
            {title}
          </Link>
        ))}
      </nav>
      <h1 className={classes.hidden}>{PAGES.find(({ id }) => id === here)!.title}</h1>
      {failure && (
        <Alert color="red" my="sm">
          {failure}
        </Alert>
      )}
      {progress && !matrix && (
        <div role="status">
          What the forms ask: {progress.done} of {progress.total} cards
          <Progress value={(progress.done / progress.total) * 100} mt={4} aria-label="Progress" />
        </div>
      )}
      {!failure && !matrix && <Skeleton height={480} mt="md" />}
      {deck && matrix && children({ ...work, deck, matrix })}
    </Page>
  )
}
