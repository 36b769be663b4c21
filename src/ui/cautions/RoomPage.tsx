'use client'

import {
  ActionIcon,
  Alert,
  Button,
  Group,
  MultiSelect,
  NumberInput,
  TextInput,
} from '@mantine/core'
import { IconMinus, IconPlus, IconTrash } from '@tabler/icons-react'
import { Link } from '../shared/Link'
import { useCallback, useEffect, useMemo, useState } from 'react'
import type { Room, RoomCard } from '@/core/cautions'
import { LABELS } from '@/core/language'
import type { CautionsAnswer } from '@/workers/deckCautions'
import { api } from '../shared/api'
import { VerdictMark } from '../shared/VerdictMark'
import classes from './Cautions.module.css'
import { CautionsPage } from './CautionsPage'
import type { DeckCautions, Matrix } from './useDeckCautions'

interface Kept {
  id: string
  room: Room
  until: string
}
/** A day from today on, as a date field writes it. */
const inDays = (days: number) =>
  new Date(Date.now() + days * 86_400_000).toLocaleDateString('en-CA')

type Told = Extract<CautionsAnswer, { told: 'room' }>

export function RoomPage() {
  return <CautionsPage here="room">{(work) => <InRoom {...work} />}</CautionsPage>
}

/** How many are here with what, and what that means for the cards of today. */
function InRoom({ matrix, ask }: DeckCautions & { matrix: Matrix }) {
  const [people, setPeople] = useState(12)
  const [counts, setCounts] = useState<Record<string, number>>({})
  const [picked, setPicked] = useState<string[]>([])
  const [words, setWords] = useState('')
  const [told, setTold] = useState<Told | null>(null)

  const cards = useMemo(
    () => (picked.length > 0 ? picked : matrix.cards.map(({ id }) => id)),
    [picked, matrix]
  )
  const anyone = Object.keys(counts).length > 0
  const room = useMemo((): Room => ({ people, counts, cards }), [people, counts, cards])
  useEffect(() => {
    let gone = false
    void ask<'room'>({ ask: 'room', room }).then((answer) => {
      if (!gone) setTold(answer)
    })
    return () => {
      gone = true
    }
  }, [room, ask])

  const add = (id: string, by: number) =>
    setCounts(({ [id]: now = 0, ...others }) => {
      const next = Math.max(0, Math.min(people, now + by))
      return next === 0 ? others : { ...others, [id]: next }
    })
  const asked = words.trim().toLowerCase()
  const named = matrix.conditions.filter(({ name, synonyms }) =>
    [name, ...synonyms].some((each) => each.toLowerCase().includes(asked))
  )
  const groups = [...new Set(named.map(({ group }) => group))]
  return (
    <div className={classes.room}>
      <section className={classes.who} aria-label="Who is in the room">
        <Group gap="xs" align="flex-end">
          <NumberInput
            size="xs"
            w={90}
            label="People"
            min={1}
            max={500}
            value={people}
            onChange={(value) => {
              if (typeof value === 'number' && value >= 1) setPeople(Math.min(500, value))
            }}
          />
          <TextInput
            size="xs"
            style={{ flex: 1 }}
            label="Among them"
            placeholder="find a condition"
            value={words}
            onChange={(event) => setWords(event.currentTarget.value)}
          />
        </Group>
        <div className={classes.counts}>
          {groups.map((group) => (
            <div key={group}>
              <h3>{group}</h3>
              {named
                .filter((each) => each.group === group)
                .map(({ id, name }) => {
                  const n = counts[id] ?? 0
                  return (
                    <div key={id} className={classes.count} data-some={n > 0 || undefined}>
                      <button onClick={() => add(id, 1)}>{name}</button>
                      {n > 0 && (
                        <>
                          <ActionIcon
                            size="xs"
                            variant="subtle"
                            color="gray"
                            aria-label={`One less with ${name}`}
                            onClick={() => add(id, -1)}
                          >
                            <IconMinus size={12} />
                          </ActionIcon>
                          <output aria-label={`With ${name}`}>{n}</output>
                        </>
                      )}
                      <ActionIcon
                        size="xs"
                        variant="subtle"
                        color="gray"
                        aria-label={`One more with ${name}`}
                        onClick={() => add(id, 1)}
                      >
                        <IconPlus size={12} />
                      </ActionIcon>
                    </div>
                  )
                })}
            </div>
          ))}
        </div>
        <Keep
          room={{ ...room, cards: picked }}
          onTake={(kept) => {
            setPeople(kept.people)
            setCounts(kept.counts)
            setPicked(kept.cards.filter((id) => matrix.cards.some((card) => card.id === id)))
          }}
        />
      </section>
      <section aria-label="What they do">
        <MultiSelect
          size="xs"
          label="Cards of today"
          placeholder={picked.length > 0 ? '' : 'the whole deck'}
          searchable
          clearable
          data={matrix.cards.map(({ id, title }) => ({ value: id, label: title }))}
          value={picked}
          onChange={setPicked}
        />
        {told && (
          <>
            <p className={classes.props}>
              <b>Props to lay out:</b>{' '}
              {Object.keys(told.props).length === 0
                ? 'none'
                : Object.entries(told.props)
                    .map(([name, count]) => `${name} × ${count}`)
                    .join(', ')}
              {told.cards.length > 1 && ' (each as many as the card that takes the most)'}
            </p>
            {!anyone && (
              <p className={classes.by}>
                Tick what is in the room: a click adds one person. Names are not asked for, and
                nothing is kept unless you say so.
              </p>
            )}
            {told.cards.map((card) => (
              <OneCard key={card.id} card={card} anyone={anyone} />
            ))}
          </>
        )}
      </section>
    </div>
  )
}

function OneCard({ card, anyone }: { card: RoomCard; anyone: boolean }) {
  const name = (rung: string) => card.rungs.find(({ id }) => id === rung)!.name
  return (
    <article className={classes.card}>
      <header>
        <h2>
          <Link href={`/cards/${card.id}`}>{card.title}</Link>
        </h2>
        <span className={classes.by}>
          {card.forAll ? 'one rung lets everyone in' : 'not everyone has a rung here'}
        </span>
      </header>
      <div className={classes.two}>
        <ol className={classes.ladder} aria-label="Rungs">
          {card.rungs.toReversed().map((rung) => (
            <li key={rung.id} data-first={rung.id === card.first || undefined}>
              {rung.name}
              {rung.id === card.first && <b> · begin here</b>}
              {rung.closedTo > 0 && <small> not for {rung.closedTo}</small>}
            </li>
          ))}
        </ol>
        <div>
          <ul className={classes.said} aria-label="Said to all">
            {card.say.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
          {card.against.map(([a, b]) => (
            <Alert key={a + b} color="yellow" p={6} mt={4}>
              “{a}” and “{b}” go against each other: say them to those whom they are for.
            </Alert>
          ))}
          {Object.keys(card.props).length > 0 && (
            <p className={classes.by}>
              For it:{' '}
              {Object.entries(card.props)
                .map(([prop, count]) => `${prop} × ${count}`)
                .join(', ')}
            </p>
          )}
        </div>
      </div>
      {anyone && card.who.length > 0 && (
        <table className={classes.whoDoes}>
          <tbody>
            {card.who.map((each) => (
              <tr key={each.condition}>
                <td className={classes.nowrap}>
                  {each.people} × {each.name}
                </td>
                <td className={classes.nowrap}>
                  <VerdictMark verdict={each.verdict} /> {LABELS.verdict[each.verdict]}
                </td>
                <td>
                  {each.rung === null ? (
                    each.elsewhere ? (
                      <>
                        in place of it{' '}
                        <Link href={`/cards/${each.elsewhere.card}`}>{each.elsewhere.title}</Link>
                        {each.elsewhere.name && `, ${each.elsewhere.name}`}
                      </>
                    ) : (
                      'rests; no other card of the deck is open'
                    )
                  ) : (
                    <>
                      up to {name(each.rung)}
                      {each.change.length > 0 && `: ${each.change.join('; ')}`}
                    </>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </article>
  )
}

/** Keeping a room for a while: only the counts, and only until a day. */
function Keep({ room, onTake }: { room: Room; onTake: (room: Room) => void }) {
  const [kept, setKept] = useState<Kept[]>([])
  const [until, setUntil] = useState(() => inDays(7))
  const [failure, setFailure] = useState('')
  const read = useCallback(() => {
    api<{ rooms: Kept[] }>('/api/rooms')
      .then(({ rooms }) => setKept(rooms))
      .catch((error: Error) => setFailure(error.message))
  }, [])
  useEffect(read, [read])
  const call = (work: Promise<unknown>) =>
    void work.then(
      () => {
        setFailure('')
        read()
      },
      (error: Error) => setFailure(error.message)
    )
  return (
    <div className={classes.keep}>
      <h3>Nothing of this is kept</h3>
      <Group gap="xs" align="flex-end">
        <TextInput
          size="xs"
          type="date"
          label="unless you keep the counts until"
          min={inDays(0)}
          max={inDays(60)}
          value={until}
          onChange={(event) => setUntil(event.currentTarget.value)}
        />
        <Button
          size="xs"
          variant="default"
          disabled={!until}
          onClick={() => call(api('/api/rooms', { method: 'POST', json: { room, until } }))}
        >
          Keep them
        </Button>
      </Group>
      {failure && <Alert color="red">{failure}</Alert>}
      <ul>
        {kept.map(({ id, room: each, until: day }) => (
          <li key={id}>
            <button className={classes.link} onClick={() => onTake(each)}>
              {each.people} people, {Object.keys(each.counts).length} conditions
            </button>{' '}
            until {day}
            <ActionIcon
              size="xs"
              variant="subtle"
              color="gray"
              aria-label={`Forget the room of ${each.people} people`}
              onClick={() => call(api(`/api/rooms/${id}`, { method: 'DELETE' }))}
            >
              <IconTrash size={13} />
            </ActionIcon>
          </li>
        ))}
      </ul>
    </div>
  )
}
