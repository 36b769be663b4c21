'use client'

import { Button, Loader, Text } from '@mantine/core'
import { type KeyboardEvent, useRef, useState } from 'react'
import { flushSync } from 'react-dom'
import type { Rung } from '@/core/card'
import { LADDER } from '@/core/language'
import { FigureSvg } from '../shared/FigureSvg'
import classes from './Ladder.module.css'
import { useProposals } from './useLadder'

interface Props {
  /** What the form described asks in all, where it is known. */
  now: number | null
  onTake: (rung: Rung, total: number) => void
  onClose: () => void
}

/**
 * Rungs that the named moves make of the form described. Enter takes the one in hand onto the
 * ladder, Delete throws it away, the arrows go on.
 */
export function Proposals({ now, onTake, onClose }: Props) {
  const proposals = useProposals()
  const [gone, setGone] = useState<ReadonlySet<string>>(new Set())
  const box = useRef<HTMLDivElement>(null)
  const left = proposals?.filter(({ rung }) => !gone.has(rung.name)) ?? []
  const focus = (at: number) => {
    const all = box.current?.querySelectorAll<HTMLElement>('[data-proposal]')
    all?.[Math.max(0, Math.min(at, all.length - 1))]?.focus()
  }
  const drop = (at: number) => {
    flushSync(() => setGone(new Set([...gone, left[at]!.rung.name])))
    focus(at)
  }
  const take = (at: number) => {
    onTake(left[at]!.rung, left[at]!.demand.total)
    drop(at)
  }
  const keyDown = (event: KeyboardEvent, at: number) => {
    const work: Record<string, () => void> = {
      Enter: () => take(at),
      Delete: () => drop(at),
      Backspace: () => drop(at),
      ArrowRight: () => focus(at + 1),
      ArrowLeft: () => focus(at - 1),
      Escape: onClose,
    }
    const done = event.target === event.currentTarget && work[event.key]
    if (!done) return
    event.preventDefault()
    event.stopPropagation()
    done()
  }
  return (
    <div className={classes.proposals} ref={box}>
      <div className={classes.proposalsHead}>
        <Text size="sm">
          {proposals === null
            ? 'Working out what stands …'
            : left.length === 0
              ? 'Nothing more to propose from this form.'
              : `${left.length} forms that a body can stand in, from the least asking. Enter puts one on the ladder, Delete throws it away.`}
        </Text>
        {proposals === null && <Loader size="xs" />}
        <Button size="compact-xs" variant="subtle" onClick={onClose}>
          Close
        </Button>
      </div>
      <div className={classes.strip} role="list">
        {left.map(({ rung, way, demand, drawing }, i) => (
          <div
            key={rung.name}
            role="listitem"
            tabIndex={0}
            data-proposal={rung.name}
            className={classes.proposal}
            onKeyDown={(event) => keyDown(event, i)}
            aria-label={`${rung.name}, ${way}, ${demand.total} in all`}
          >
            <FigureSvg drawing={drawing} label={rung.name} className={classes.small} />
            <b>{rung.name}</b>
            <span>
              {way}: {Math.round(demand.total)}
              {now === null
                ? ''
                : ` (${Math.round(demand.total - now) > 0 ? '+' : ''}${Math.round(demand.total - now)})`}{' '}
              {LADDER.inAll}
            </span>
            <span className={classes.proposalTools}>
              <Button size="compact-xs" onClick={() => take(i)}>
                Take
              </Button>
              <Button size="compact-xs" variant="subtle" onClick={() => drop(i)}>
                Away
              </Button>
            </span>
          </div>
        ))}
      </div>
    </div>
  )
}
