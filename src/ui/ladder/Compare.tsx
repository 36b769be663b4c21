'use client'

import { Modal, NativeSelect } from '@mantine/core'
import { useState } from 'react'
import { LABELS } from '@/core/language'
import { atRung, type Card, type Rung, stepsOf } from '@/core/card'
import { LADDER } from '@/core/language'
import { plainText } from '@/core/sides'
import type { RungSeen } from '@/workers/ladder'
import { FigureSvg } from '../shared/FigureSvg'
import { DemandBars } from './DemandBars'
import classes from './Ladder.module.css'
import type { LadderSeen } from './useLadder'

interface Props {
  card: Card
  seen: LadderSeen | null
  /** The two rungs to begin with. */
  ids: readonly [string, string]
  onClose: () => void
}

/** Two rungs side by side: form, what they ask, and where their steps part. */
export function Compare({ card, seen, ids, onClose }: Props) {
  const [[a, b], setIds] = useState(ids)
  const name = (rung: Rung) => plainText(rung.name, card) || rung.id
  const data = card.ladder.map((rung) => ({ value: rung.id, label: name(rung) })).toReversed()
  const [one, two] = [seen?.rungs.get(a), seen?.rungs.get(b)]
  const [left, right] = [a, b].map((id) => lines(card, id))
  return (
    <Modal opened onClose={onClose} size="min(980px, 94vw)" title="Two rungs side by side">
      <div className={classes.compare}>
        {([a, b] as const).map((id, i) => {
          const rung = card.ladder.find((each) => each.id === id)!
          const mine = i === 0 ? one : two
          const others = new Set(i === 0 ? right : left)
          return (
            <section key={i} className={classes.compared} aria-label={name(rung)}>
              <NativeSelect
                size="xs"
                aria-label={i === 0 ? 'First rung' : 'Second rung'}
                value={id}
                data={data}
                onChange={(event) => {
                  const next = event.currentTarget.value
                  setIds(i === 0 ? [next, b] : [a, next])
                }}
              />
              {mine?.drawing && (
                <FigureSvg drawing={mine.drawing} label={name(rung)} className={classes.large} />
              )}
              <p className={classes.soft}>{facts(card, rung, mine)}</p>
              <ol className={classes.steps}>
                {(i === 0 ? left : right)!.map((line, k) => (
                  <li key={k} className={others.has(line) ? undefined : classes.differs}>
                    {line}
                  </li>
                ))}
              </ol>
              {mine?.findings.map(({ rule, where, message }) => (
                <p key={rule + where} className={classes.soft}>
                  {message}
                </p>
              ))}
            </section>
          )
        })}
      </div>
      {one?.demand && two?.demand && (
        <div className={classes.comparedBars}>
          <p>
            Filled: {name(card.ladder.find(({ id }) => id === a)!)}, {one.demand.total}{' '}
            {LADDER.inAll}. Outlined: {name(card.ladder.find(({ id }) => id === b)!)},{' '}
            {two.demand.total}.
          </p>
          <DemandBars demand={one.demand} beside={two.demand} width={560} />
        </div>
      )}
    </Modal>
  )
}

/** The steps of a rung as they are said, each with its breath. */
const lines = (card: Card, id: string): string[] => {
  const done = atRung(card, id)
  return stepsOf(done).map(
    ({ step }) => `${LABELS.breath[step.breath]}: ${plainText(step.text, card)}`
  )
}

function facts(card: Card, rung: Rung, seen: RungSeen | undefined): string {
  const done = atRung(card, rung.id)
  return [
    done.setUp.props.length ? LABELS.sheet.with(done.setUp.props) : '',
    LABELS.stay(done.stay),
    seen ? LABELS.duration(seen.seconds) : '',
  ]
    .filter(Boolean)
    .join(' · ')
}
