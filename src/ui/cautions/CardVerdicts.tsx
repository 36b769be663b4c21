'use client'

import { Button, Skeleton } from '@mantine/core'
import { type ReactNode, useState } from 'react'
import type { Caution } from '@/core/card'
import type { WayOut } from '@/core/cautions'
import { LABELS, SAY_CAUTIONS } from '@/core/language'
import type { SeenWhy } from '@/workers/deckCautions'
import { useBench, useBenchStore } from '../bench/store'
import { VerdictMark } from '../shared/VerdictMark'
import classes from './Cautions.module.css'
import { useCardVerdicts, useTogether, useWays } from './useCardCautions'
import { sharing, Why } from './Why'

/** Whether something is to be told of a condition: it is not plainly fine on every rung. */
const tells = ({ rungs }: SeenWhy) =>
  rungs.some(({ verdict, by }) => verdict !== 'fine' || by !== 'policy')

/** Who may do which rung, as the form and the school's policy have it; each with what is behind it. */
export function CardVerdicts() {
  const seen = useCardVerdicts()
  const [picked, setPicked] = useState<readonly string[]>([])
  const pick = (id: string) =>
    setPicked((now) => (now.includes(id) ? now.filter((each) => each !== id) : [...now, id]))
  const [all, setAll] = useState(false)
  // It is waited for out of sight: one that moves would have the page drawn at each frame.
  if (!seen) return <Skeleton height={220} animate={false} />
  const told = seen.verdicts.filter(tells)
  const rows = all ? seen.verdicts : told
  const rungs = seen.verdicts[0]?.rungs ?? []
  const chosen = seen.verdicts.filter(({ condition }) => picked.includes(condition.id))
  const fine = seen.verdicts.length - told.length
  return (
    <div className={classes.split}>
      <div>
        <table className={classes.grid} aria-label="Verdicts by rung">
          <thead className={classes.level}>
            <tr>
              <td />
              {rungs.map(({ id, name, described }, i) => (
                <th key={id} scope="col" title={name} data-described={described || undefined}>
                  {i + 1}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ condition, rungs: cells }, i) => (
              <tr
                key={condition.id}
                data-first={rows[i - 1]?.condition.group !== condition.group || undefined}
              >
                <th scope="row">
                  <button
                    className={classes.name}
                    aria-pressed={picked.includes(condition.id)}
                    onClick={() => pick(condition.id)}
                  >
                    {condition.name}
                  </button>
                </th>
                {cells.map(({ id, name, verdict, by }) => (
                  <td
                    key={id}
                    data-r={i}
                    data-by={by === 'policy' ? undefined : by}
                    title={`${name}: ${LABELS.verdict[verdict]}`}
                    onClick={() => setPicked([condition.id])}
                  >
                    <VerdictMark verdict={verdict} />
                    <span className={classes.hidden}>{LABELS.verdict[verdict]}</span>
                    {(by === 'card' || by === 'reason') && <i className={classes.corner} />}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
        {fine > 0 && (
          <button className={classes.link} onClick={() => setAll(!all)}>
            {all ? 'Only what is not fine' : `${fine} more, fine on every rung`}
          </button>
        )}
      </div>
      <div className={classes.beside} aria-live="polite">
        {chosen.length > 1 && <Together chosen={chosen} />}
        {chosen.map((why) => (
          <Decide key={why.condition.id} why={why} />
        ))}
        {chosen.length === 0 && (
          <p className={classes.by}>
            Worked out from what the body does on each rung, from the lowest (1) to the highest, and
            from the school’s policy. Pick a condition to see why, to decide otherwise, or to name
            somewhere to go; pick several to see what holds for someone who has them all.
          </p>
        )}
      </div>
    </div>
  )
}

/** What holds for someone who has all of these: the strictest, and every change. */
function Together({ chosen }: { chosen: SeenWhy[] }) {
  const conditions = chosen.map(({ condition }) => condition.id)
  const seen = useTogether(conditions)
  const findWays = useWays()
  const [ways, setWays] = useState<WayOut[] | string | null>(null)
  if (!seen) return <Skeleton height={80} animate={false} />
  const open = seen.findLast(({ verdict }) => verdict === 'fine' || verdict === 'change')
  return (
    <section className={classes.why} aria-label="All of these together">
      <h3>{chosen.map(({ condition }) => condition.name).join(' and ')}</h3>
      <p className={classes.verdict}>
        {open ? `Highest rung open: ${open.name}` : 'No rung is open with all of these.'}
      </p>
      <ol className={classes.whyRungs}>
        {seen.toReversed().map((rung) => (
          <li key={rung.id} data-described={rung.described || undefined}>
            <p className={classes.verdict}>
              <VerdictMark verdict={rung.verdict} /> <b>{LABELS.verdict[rung.verdict]}</b>{' '}
              {rung.name}
              {rung.change.length > 0 && <span>: {rung.change.join('; ')}</span>}
            </p>
            {rung.against.map(([a, b]) => (
              <p key={a + b} className={classes.against}>
                {SAY_CAUTIONS.goAgainst(a, b)}
              </p>
            ))}
          </li>
        ))}
      </ol>
      {!open && (
        <Button
          size="compact-xs"
          variant="default"
          mt={6}
          onClick={() => findWays(conditions, setWays)}
        >
          Find a card for all of these
        </Button>
      )}
      {ways !== null && <Ways ways={ways} />}
    </section>
  )
}

/** Cards where one may go, each with what is done with it. */
function Ways({
  ways,
  children,
}: {
  ways: WayOut[] | string
  children?: (way: WayOut) => ReactNode
}) {
  if (typeof ways === 'string') return <p className={classes.by}>{ways}</p>
  return (
    <ul className={classes.ways}>
      {ways.length === 0 && <li>No card with the same spine direction or base lets them in.</li>}
      {ways.map((way) => (
        <li key={way.card}>
          {way.title}
          {way.name && `, ${way.name}`} ({LABELS.verdict[way.verdict]}; {sharing(way)}){' '}
          {children?.(way)}
        </li>
      ))}
    </ul>
  )
}

/** What is behind one condition, and what the card may say of it. */
function Decide({ why }: { why: SeenWhy }) {
  const bench = useBenchStore()
  const cautions = useBench((state) => state.card.cautions)
  const findWays = useWays()
  const [ways, setWays] = useState<WayOut[] | string | null>(null)
  const { condition, rungs } = why
  const names = new Set(
    [condition.id, condition.name, ...condition.synonyms].map((name) => name.toLowerCase())
  )
  const mine = cautions.find((each) => names.has(each.condition.trim().toLowerCase()))
  const add = (caution: Partial<Caution>) => {
    bench.getState().edit((card) => ({
      ...card,
      cautions: [
        ...card.cautions,
        { condition: condition.name, verdict: 'change' as const, say: '', ...caution },
      ],
    }))
    // The new line is where the words are missing.
    requestAnimationFrame(() => {
      const at = bench.getState().card.cautions.length
      document
        .querySelector<HTMLElement>(`[aria-label="Reason of caution ${at}"]`)
        ?.scrollIntoView({ block: 'nearest' })
    })
  }
  const send = (instead: string) => {
    if (!mine) return add({ verdict: 'avoid', instead })
    bench.getState().edit((card) => ({
      ...card,
      cautions: card.cautions.map((each) => (each === mine ? { ...each, instead } : each)),
    }))
  }
  const described = rungs.find((rung) => rung.described) ?? rungs[0]!
  const closed = rungs.every(({ verdict }) => verdict === 'avoid')
  return (
    <Why
      why={why}
      onRung={(id) => {
        const rung = rungs.find((each) => each.id === id)!
        return (
          <button
            className={classes.link}
            aria-label={`Decide otherwise for ${condition.name} on ${rung.name}`}
            onClick={() =>
              add({
                verdict: rung.usual === 'fine' ? 'ask-first' : 'fine',
                over: rung.basis,
                ...(rungs.length > 1 ? { rung: id } : {}),
              })
            }
          >
            decide otherwise
          </button>
        )
      }}
    >
      <div className={classes.does}>
        {!mine && (
          <Button
            size="compact-xs"
            variant="default"
            onClick={() =>
              add({
                verdict: described.verdict,
                say: described.grounds[0]?.say || sentence(described.change[0] ?? ''),
              })
            }
          >
            Word it on this card
          </Button>
        )}
        <Button
          size="compact-xs"
          variant={closed && !mine?.instead ? 'filled' : 'default'}
          onClick={() => findWays([condition.id], setWays)}
        >
          Find them another card
        </Button>
      </div>
      {ways !== null && (
        <Ways ways={ways}>
          {(way) =>
            mine?.instead === way.card ? (
              <b>named</b>
            ) : (
              <button className={classes.link} onClick={() => send(way.card)}>
                name it
              </button>
            )
          }
        </Ways>
      )}
    </Why>
  )
}

const sentence = (words: string) =>
  words ? `${words.charAt(0).toUpperCase()}${words.slice(1)}.` : ''
