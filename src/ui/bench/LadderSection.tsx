'use client'

import { Button } from '@mantine/core'
import { type RefObject, useCallback, useMemo, useState } from 'react'
import { type Card, freshId, type Rung } from '@/core/card'
import { asksLess, moved, type Person, placeFor, type Standing } from '@/core/ladder'
import { LADDER } from '@/core/language'
import { plainText } from '@/core/sides'
import { later } from '../shared/later'
import { PersonForm } from '../ladder/PersonForm'
import { LadderContext, RungRow } from '../ladder/RungRow'
import { useLadder } from '../ladder/useLadder'
import classes from '../ladder/Ladder.module.css'
import { PartList } from './PartList'
import { useBench, useBenchStore } from './store'

const SortRows = later(() => import('./SortRows').then((module) => module.SortRows))
const Proposals = later(() => import('../ladder/Proposals').then((module) => module.Proposals))
const Compare = later(() => import('../ladder/Compare').then((module) => module.Compare))

/** The ladder: rungs that climb the page, what each asks, and for whom it is open. */
export function LadderSection() {
  const bench = useBenchStore()
  const ladder = useBench((state) => state.card.ladder)
  const [person, setPerson] = useState<Person | null>(null)
  const [proposing, setProposing] = useState(false)
  const [compared, setCompared] = useState<readonly [string, string] | null>(null)
  const [over, setOver] = useState<readonly [from: number, to: number] | null>(null)
  const seen = useLadder(person)
  const shown = useMemo(() => ({ seen, onCompare: setCompared }), [seen])
  const name = (rung: Rung) => plainText(rung.name, bench.getState().card) || rung.id
  const totalOf = (id: string) => {
    const rung = seen?.rungs.get(id)
    return rung?.sure && rung.demand ? rung.demand.total : null
  }
  const opened = ladder.filter(({ id }) => seen?.rungs.get(id)?.opening?.open)
  const described = ladder.find((rung) => rung.reference)

  // From the top down, as they are drawn.
  const line = ladder
    .map(({ id }) => id)
    .toReversed()
    .join(' ')
  const ids = useMemo(() => (line ? line.split(' ') : []), [line])
  const put = useCallback(
    (from: number, to: number) =>
      bench.getState().edit((card) => ({
        ...card,
        ladder: moved(card.ladder.toReversed(), from, to).toReversed(),
      })),
    [bench]
  )
  const Sort = useCallback(
    ({ box }: { box: RefObject<HTMLElement | null> }) => (
      <SortRows
        name="ladder"
        noun="rung"
        ids={ids}
        box={box}
        onMove={put}
        onOver={(from, to) => setOver(to === null ? null : [from, to])}
      />
    ),
    [ids, put]
  )
  const tentative = over ? moved(ids, ...over).toReversed() : null
  const standing = (id: string): Standing => {
    const rung = ladder.find((each) => each.id === id)
    return { id, total: totalOf(id), ...(rung?.beside ? { beside: true } : {}) }
  }
  const wrong =
    tentative &&
    asksLess(tentative.map(standing)).map(({ id, below }) => {
      const [mine, its] = [id, below].map((each) => name(ladder.find((rung) => rung.id === each)!))
      return LADDER.asksLess(mine!, its!)
    })

  const take = (rung: Rung, total: number) =>
    bench.getState().edit((card) => {
      const at = placeFor(
        card.ladder.map(({ id }) => standing(id)),
        total
      )
      return {
        ...card,
        ladder: card.ladder.toSpliced(at, 0, {
          ...rung,
          id: freshId(
            'r',
            card.ladder.map(({ id }) => id)
          ),
        }),
      }
    })

  return (
    <div className={classes.ladder}>
      <div className={classes.bar}>
        <PersonForm person={person} onPerson={setPerson} />
        <span className={classes.barTools}>
          <Button
            size="compact-sm"
            variant="default"
            aria-expanded={proposing}
            onClick={() => setProposing(!proposing)}
          >
            Propose rungs
          </Button>
          {ladder.length > 1 && (
            <Button
              size="compact-sm"
              variant="default"
              onClick={() => setCompared([ladder.at(-2)!.id, ladder.at(-1)!.id])}
            >
              Compare two
            </Button>
          )}
        </span>
      </div>
      {person && seen && (
        <p className={classes.first} role="status">
          {opened.length > 0
            ? LADDER.person.first(name(opened[0]!))
            : ladder.length > 0
              ? LADDER.person.none
              : ''}
        </p>
      )}
      {proposing && (
        <Proposals
          now={described ? totalOf(described.id) : null}
          onTake={take}
          onClose={() => setProposing(false)}
        />
      )}
      {wrong && (
        <p className={classes.first} role="status">
          {wrong.length === 0 ? LADDER.climbsSo : wrong.join(' ')}
        </p>
      )}
      <LadderContext.Provider value={shown}>
        <PartList<Rung>
          list="ladder"
          noun="rung"
          upward
          idOf={({ id }) => id}
          Sort={Sort}
          teach="Start with the form that the steps describe, then an easier one below it. Rungs go from the most supported at the bottom to the most demanding on top."
          make={newRung}
          Form={RungRow}
        />
      </LadderContext.Provider>
      {compared && (
        <Compare
          card={bench.getState().card}
          seen={seen}
          ids={compared}
          onClose={() => setCompared(null)}
        />
      )}
    </div>
  )
}

const newRung = (card: Card): Rung => ({
  id: freshId(
    'r',
    card.ladder.map((rung) => rung.id)
  ),
  name: '',
  ...(card.ladder.length === 0 ? { reference: true as const } : {}),
  props: [],
  steps: { replace: [], add: [], omit: [] },
  upWhen: [],
  downWhen: [],
})
