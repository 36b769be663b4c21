'use client'

import { Text } from '@mantine/core'
import { Link } from '../shared/Link'
import type { ReactNode } from 'react'
import type { WayOut } from '@/core/cautions'
import { LABELS } from '@/core/language'
import type { CellBy, SeenWhy } from '@/workers/deckCautions'
import { VerdictMark } from '../shared/VerdictMark'
import classes from './Cautions.module.css'

const BY: Record<CellBy, string> = {
  policy: '',
  card: 'the card is stricter',
  reason: 'the card says so, with a reason',
  stale: 'the card’s reason was given for another verdict: the stricter one stands',
  milder: 'the card is milder, and gives no reason: the usual one stands',
}

/** What another card has in common with the one that is closed, in words. */
export const sharing = ({ shares }: WayOut) =>
  shares === 'nothing' ? 'named on the card' : `same ${shares}`

/** One condition on every rung of a card, from the top down: verdict, what it was read off, what to do. */
export function Why({
  why,
  onRung,
  children,
}: {
  why: SeenWhy
  /** What stands at a rung besides. */
  onRung?: (rung: string) => ReactNode
  children?: ReactNode
}) {
  const { condition, rungs, ways } = why
  return (
    <div className={classes.why}>
      <h3>{condition.name}</h3>
      <ol className={classes.whyRungs}>
        {rungs.toReversed().map((rung) => (
          <li key={rung.id} data-described={rung.described || undefined}>
            <p className={classes.verdict}>
              <VerdictMark verdict={rung.verdict} /> <b>{LABELS.verdict[rung.verdict]}</b>
              <span>
                {' '}
                {rung.name}
                {rung.described && rungs.length > 1 ? ', the form described' : ''}
              </span>
            </p>
            {BY[rung.by] !== '' && (
              <p className={classes.by}>
                {BY[rung.by]}
                {rung.usual !== rung.verdict && ` (usual: ${LABELS.verdict[rung.usual]})`}
                {rung.typed && `: “${rung.typed}”`}
              </p>
            )}
            {rung.grounds.map((ground) => (
              <p key={ground.rule} className={classes.ground}>
                {ground.read}; {LABELS.verdict[ground.verdict]} when {ground.rule}: {ground.change}.{' '}
                <small>
                  {ground.basis}
                  {ground.source && `: ${ground.source}`}
                </small>
              </p>
            ))}
            {rung.grounds.length === 0 &&
              rung.reason.map((reason) => (
                <p key={reason} className={classes.ground}>
                  {reason}
                </p>
              ))}
            {onRung?.(rung.id)}
          </li>
        ))}
      </ol>
      {ways && rungs.every(({ verdict }) => verdict === 'avoid' || verdict === 'ask-first') && (
        <>
          <h4>Somewhere to go</h4>
          {ways.length === 0 && (
            <Text size="sm">
              No card of the deck with the same spine direction or base lets them in.
            </Text>
          )}
          <ul className={classes.ways}>
            {ways.map((way) => (
              <li key={way.card}>
                <Link href={`/cards/${way.card}`}>{way.title}</Link>
                {way.name && `, ${way.name}`} ({LABELS.verdict[way.verdict]}; {sharing(way)})
              </li>
            ))}
          </ul>
        </>
      )}
      {children}
    </div>
  )
}
