'use client'

import { Alert, Button, Group, Slider, Text } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useEffect, useMemo, useRef, useState } from 'react'
import { type Card, figuresOf, type Part, type Rung, type Step, titleOf } from '@/core/card'
import { namedRole } from '@/core/language'
import {
  anglesOf,
  type Figure,
  finalFigure,
  finalPlace,
  keyframesOf,
  mirroredFigure,
  NAMED_VIEWS,
  sameFigure,
  sameForm,
  USUAL_STATURE,
  withFigure,
} from '@/core/figure'
import { plainText } from '@/core/sides'
import { useAuthor } from '../chrome/AuthorName'
import { Header } from '../chrome/Header'
import { api, ApiError } from '../shared/api'
import { AnglesForm } from './AnglesForm'
import { BodyForm } from './BodyForm'
import { ContactsForm } from './ContactsForm'
import classes from './FigureBench.module.css'
import { DrawnStarts } from './DrawnStarts'
import { Forms } from './Forms'
import { Measures } from './Measures'
import { ReadBvh } from './ReadBvh'
import { Stage } from './Stage'
import { useFigureWork } from './useFigureWork'

interface Place {
  where: string
  title: string
}

const short = (text: string, card: Card) => plainText(text, card) || 'no words yet'
const LISTS: Partial<Record<string, string>> = { enter: 'In', otherWay: 'Other way', exit: 'Out' }

function titleOfForm({ of, path, field, owners }: Part, card: Card): string {
  if (of === 'rung') {
    const rung = owners[0]!.value as Rung
    return `Rung: ${short(rung.name, card)}${rung.reference ? ' (the form described)' : ''}`
  }
  if (of !== 'step') return 'The start'
  const { text } = owners[0]!.value as Step
  const rung = owners.find((owner) => owner.of === 'rung')?.value as Rung | undefined
  if (rung) return `Added on ${short(rung.name, card)}: ${short(text, card)}`
  return `${LISTS[field] ?? field} ${Number(/\[(\d+)\]/.exec(path)![1]) + 1}: ${short(text, card)}`
}

/** Every form of a card that can have a figure, in the order of the work. */
const placesOf = (card: Card): Place[] =>
  figuresOf(card, true).map((part) => ({ where: part.path, title: titleOfForm(part, card) }))

interface Saved {
  card: Card
  version: number
}

const capital = (words: string) => words[0]!.toUpperCase() + words.slice(1)

/** A body that is posed: pulled by its parts or by its angles, held by its contacts. */
export function FigureBench({ card, version, of }: { card: Card; version: number; of?: string }) {
  const [author] = useAuthor()
  const router = useRouter()
  const [now, setNow] = useState<Saved>({ card, version })
  const places = useMemo(() => placesOf(now.card), [now.card])
  const latest = useRef(now)
  const [where, setWhere] = useState(of ?? finalPlace(card))
  const saved = useMemo(
    () => keyframesOf(now.card).frames.find((frame) => frame.where === where)?.figure ?? null,
    [now.card, where]
  )
  const [figure, setFigure] = useState<Figure | null>(saved)
  const [past, setPast] = useState<(Figure | null)[]>([])
  const [future, setFuture] = useState<(Figure | null)[]>([])
  const [failure, setFailure] = useState('')
  const [ghost, setGhost] = useState<Figure | null>(null)
  const [show, setShow] = useState<string | null>(null)
  const [stature, setStature] = useState(USUAL_STATURE)
  const [said, setSaid] = useState<string[]>([])
  const [answer, ask, broken, whenDone] = useFigureWork()
  const side = card.writtenFor
  const frame = keyframesOf(now.card).frames.find((each) => each.where === where)
  const changed = !sameFigure(figure, saved)

  // All forms of a card are seen from where its final form is.
  const like = useMemo(
    () => (where === finalPlace(now.card) ? figure : finalFigure(now.card)?.figure),
    [now.card, where, figure]
  )
  const namedBy = namedRole(card)
  const wish = useMemo(
    () =>
      figure && {
        figure,
        side,
        namedBy,
        stature,
        lead: card.sides === 'sided' ? side : null,
        ...(like ? { like } : {}),
        ...(ghost ? { ghost } : {}),
        ...(show ? { show } : {}),
      },
    [figure, side, namedBy, card.sides, stature, like, ghost, show]
  )
  useEffect(() => {
    if (wish) ask(wish)
  }, [wish, ask])

  function change(next: Figure | null) {
    setPast([...past.slice(-100), figure])
    setFuture([])
    setFigure(next)
  }
  function undo() {
    if (past.length === 0) return
    setFuture([figure, ...future])
    setFigure(past.at(-1)!)
    setPast(past.slice(0, -1))
  }
  function redo() {
    if (future.length === 0) return
    setPast([...past, figure])
    setFigure(future[0]!)
    setFuture(future.slice(1))
  }
  // What is posed is not lost by closing the page without a word.
  useEffect(() => {
    if (!changed) return
    const warn = (event: BeforeUnloadEvent) => event.preventDefault()
    window.addEventListener('beforeunload', warn)
    return () => window.removeEventListener('beforeunload', warn)
  }, [changed])

  /** Goes to another form; what was posed here is saved first. */
  async function go(next: string) {
    if (changed && !(await save())) return
    setWhere(next)
    setPast([])
    setFuture([])
    setSaid([])
    setFigure(
      keyframesOf(latest.current.card).frames.find((frame) => frame.where === next)?.figure ?? null
    )
  }
  /** Puts the figure where it belongs on a state of the card, and saves that. */
  async function put(on: Saved, at: string): Promise<Saved> {
    const next = withFigure(on.card, at, figure)
    const { version: saved } = await api<{ version: number }>(`/api/cards/${card.id}`, {
      method: 'PUT',
      json: { card: next, from: on.version, author, note: 'figure' },
    })
    return { card: next, version: saved }
  }

  /** @returns whether it is saved */
  async function save(): Promise<boolean> {
    try {
      latest.current = await put(now, where).catch(async (error) => {
        if (!(error instanceof ApiError) || error.status !== 409) throw error
        // The card was saved meanwhile: the figure goes onto what it is now.
        const current = await api<Saved>(`/api/cards/${card.id}`)
        const at = sameForm(now.card, where, current.card)
        if (!at) throw new Error('The step or rung of this figure was deleted meanwhile.')
        const merged = await put(current, at)
        setWhere(at)
        setSaid(['The card was changed meanwhile; the figure was added to what it is now.'])
        return merged
      })
      setNow(latest.current)
      setFailure('')
      return true
    } catch (error) {
      setFailure(`${(error as Error).message} The figure stays here until it is saved.`)
      return false
    }
  }

  return (
    <>
      <Header />
      <main
        id="main"
        tabIndex={-1}
        className={classes.page}
        onKeyDown={(event) => {
          if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return
          event.preventDefault()
          if (event.shiftKey) redo()
          else undo()
        }}
      >
        <div className={classes.head}>
          <h1>
            <bdi>{titleOf(card)}</bdi>, its figures
          </h1>
          <Group gap="xs">
            <Button variant="default" size="compact-md" disabled={past.length === 0} onClick={undo}>
              Undo
            </Button>
            <Button
              variant="default"
              size="compact-md"
              disabled={future.length === 0}
              onClick={redo}
            >
              Do it again
            </Button>
            <Button
              variant="default"
              size="compact-md"
              disabled={!figure}
              onClick={() => change(mirroredFigure(figure!))}
            >
              Flip sides
            </Button>
            <Button
              variant="default"
              size="compact-md"
              onClick={async () => {
                if (!changed || (await save())) router.push(`/cards/${card.id}/bench`)
              }}
            >
              To the bench
            </Button>
            <Button size="compact-md" disabled={!changed} onClick={() => void save()}>
              Save
            </Button>
          </Group>
        </div>
        {(failure || broken) && <Alert color="red">{failure || broken}</Alert>}
        <nav aria-label="Forms of the card" className={classes.places}>
          {places.map((place) => {
            const drawn = keyframesOf(now.card).frames.some((frame) => frame.where === place.where)
            return (
              <button
                key={place.where}
                aria-current={place.where === where ? 'true' : undefined}
                onClick={() => void go(place.where)}
              >
                <span className={drawn ? classes.full : classes.open} aria-hidden />
                <bdi>{place.title}</bdi>
                {drawn && <span className="visually-hidden">, drawn</span>}
              </button>
            )
          })}
        </nav>
        <section className={classes.stage} aria-label="Figure">
          <Group gap="xs" align="flex-end">
            <Forms
              label="Start from"
              none={figure ? 'Start anew from …' : 'Start from …'}
              card={now.card}
              positions
              onPick={(picked) => {
                if (picked) change(picked)
              }}
            />
            <Forms
              label="Behind it"
              none="nothing behind"
              card={now.card}
              keeps
              onPick={setGhost}
            />
            <ReadBvh
              onRead={(read, notes) => {
                change(read)
                setSaid(notes)
              }}
              onProblem={setFailure}
            />
          </Group>
          {said.length > 0 && (
            <Text size="sm" c="dimmed">
              {said.join(' ')}
            </Text>
          )}
          {figure && answer && (
            <Stage
              answer={answer}
              title={titleOf(card)}
              onDrag={(drag) => ask({ ...wish!, drag, seen: answer.view })}
              onDrop={() => whenDone(({ pose }) => change({ ...figure, angles: anglesOf(pose) }))}
            />
          )}
          {!figure && (
            <>
              <Text c="dimmed">
                No figure yet. Pick a position to start from, then pull a hand, a foot, a knee, the
                head or the hips; what touches the floor stays where it is.
              </Text>
              <DrawnStarts onPick={change} />
            </>
          )}
          {figure && answer && (
            <div className={classes.view}>
              <span>Seen from</span>
              <Slider
                thumbLabel="Seen from, degrees to the left of the front"
                min={-180}
                max={180}
                step={5}
                value={answer.view.turn}
                label={(value) => `${value}°`}
                onChange={(turn) =>
                  setFigure({ ...figure, view: { turn, tilt: answer.view.tilt } })
                }
              />
              <span>From above</span>
              <Slider
                thumbLabel="From above, degrees"
                min={0}
                max={80}
                step={2}
                value={answer.view.tilt}
                label={(value) => `${value}°`}
                onChange={(tilt) =>
                  setFigure({ ...figure, view: { turn: answer.view.turn, tilt } })
                }
              />
              <Group gap={6} className={classes.views}>
                {Object.entries(NAMED_VIEWS).map(([name, view]) => (
                  <Button
                    key={name}
                    size="compact-xs"
                    variant="default"
                    onClick={() => change({ ...figure, view })}
                  >
                    {name}
                  </Button>
                ))}
                <Button
                  size="compact-xs"
                  variant="default"
                  onClick={() => {
                    const { view: _, ...rest } = figure
                    change(rest)
                  }}
                >
                  Choose the view for me
                </Button>
              </Group>
            </div>
          )}
        </section>
        {figure && (
          <aside className={classes.side}>
            {answer?.carried?.falls && (
              <Alert color="red" py={4}>
                {capital(answer.carried.falls)}
              </Alert>
            )}
            {answer?.unmet.map((each) => (
              <Alert key={each.message} color="red" py={4}>
                {each.message}
              </Alert>
            ))}
            <ContactsForm figure={figure} places={answer?.places} onChange={change} />
            <AnglesForm figure={figure} pose={answer?.pose ?? null} onChange={change} />
            <BodyForm figure={figure} stature={stature} onStature={setStature} onChange={change} />
            {answer && <Measures answer={answer} show={show} onShow={setShow} />}
            {frame && <Files id={card.id} of={frame.id} />}
            <Button
              size="compact-xs"
              variant="subtle"
              color="red"
              mt="sm"
              onClick={() => change(null)}
            >
              Take this figure away
            </Button>
          </aside>
        )}
      </main>
    </>
  )
}

/** The form as files, as it was last saved. */
function Files({ id, of }: { id: string; of: string }) {
  const from = `/api/cards/${id}/figure?of=${encodeURIComponent(of)}`
  return (
    <p className={classes.files}>
      As saved:{' '}
      <a href={from} download={`${id}.svg`}>
        SVG
      </a>{' '}
      <a href={`${from}&manner=lines`} download={`${id}-lines.svg`}>
        Lines alone
      </a>
      <a href={`${from}&as=png`} download={`${id}.png`}>
        PNG
      </a>{' '}
      <a href={`/api/cards/${id}/figure?as=bvh`} download={`${id}.bvh`}>
        all forms as BVH
      </a>
    </p>
  )
}
