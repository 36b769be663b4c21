'use client'

import {
  Alert,
  Button,
  FileButton,
  Group,
  NativeSelect,
  NumberInput,
  Slider,
  Text,
} from '@mantine/core'
import { useRouter } from 'next/navigation'
import { type KeyboardEvent, type PointerEvent, useEffect, useMemo, useRef, useState } from 'react'
import { type Card, titleOf, withValue } from '@/core/card'
import {
  anglesOf,
  BvhError,
  type Figure,
  type FigureInput,
  figureFromBvh,
  finalFigure,
  finalPlace,
  keptFigureAt,
  keyframesOf,
  mirroredFigure,
  NAMED_VIEWS,
  type Pose,
  readFigure,
  sameForm,
  STARTS,
  USUAL_STATURE,
} from '@/core/figure'
import { plainText } from '@/core/sides'
import { useAuthor } from '../chrome/AuthorName'
import { Header } from '../chrome/Header'
import { api, ApiError } from '../shared/api'
import { FigureSvg } from '../shared/FigureSvg'
import { AnglesForm } from './AnglesForm'
import { BodyForm } from './BodyForm'
import { ContactsForm } from './ContactsForm'
import classes from './FigureBench.module.css'
import { Measures } from './Measures'
import { useFigureWork } from './useFigureWork'

interface Place {
  where: string
  title: string
}

/** Every form of a card that can have a figure, in the order of the work. */
function placesOf(card: Card): Place[] {
  const short = (text: string) => plainText(text) || 'no words yet'
  return [
    { where: 'setUp.figure', title: 'The start' },
    ...(['enter', 'otherWay', 'exit'] as const).flatMap((list) =>
      card[list].map((step, i) => ({
        where: `${list}[${i}].figure`,
        title: `${{ enter: 'In', otherWay: 'Other way', exit: 'Out' }[list]} ${i + 1}: ${short(step.text)}`,
      }))
    ),
    ...card.ladder.map((rung, i) => ({
      where: `ladder[${i}].figure`,
      title: `Rung: ${short(rung.name)}${rung.reference ? ' (the form described)' : ''}`,
    })),
  ]
}

interface Saved {
  card: Card
  version: number
}

const figureOf = (input: FigureInput): Figure => readFigure(input).figure!

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
  const [answer, ask, broken] = useFigureWork()
  const side = card.writtenFor
  const frame = keyframesOf(now.card).frames.find((each) => each.where === where)
  const changed = JSON.stringify(figure) !== JSON.stringify(saved)

  const wish = useMemo(
    () =>
      figure && {
        figure,
        side,
        namedBy: card.sideNamedBy,
        stature,
        ...(ghost ? { ghost } : {}),
        ...(show ? { show } : {}),
      },
    [figure, side, card.sideNamedBy, stature, ghost, show]
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
    const kept = figure ? keptFigureAt(on.card, at, figure) : undefined
    const next = withValue(on.card, at, kept as Card['setUp']['figure'])
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
        className={classes.desk}
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
              onDrag={(drag) => ask({ ...wish!, drag })}
              onDrop={(pose) => change({ ...figure, angles: anglesOf(pose) })}
            />
          )}
          {!figure && (
            <Text c="dimmed">
              No figure yet. Start from a position above, then pull a hand, a foot, a knee, the head
              or the hips; what touches the floor stays where it is.
            </Text>
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

function Files({ id, of }: { id: string; of: string }) {
  const from = `/api/cards/${id}/figure?of=${encodeURIComponent(of)}`
  return (
    <p className={classes.files}>
      As saved:{' '}
      <a href={from} download={`${id}.svg`}>
        SVG
      </a>{' '}
      <a href={`${from}&as=png`} download={`${id}.png`}>
        PNG
      </a>{' '}
      <a href={`/api/cards/${id}/figure?as=bvh`} download={`${id}.bvh`}>
        all forms as BVH
      </a>
    </p>
  )
}

interface Drawn {
  id: string
  title: string
  figure: Figure
}

interface FormsProps {
  label: string
  none: string
  card: Card
  /** Whether the starting positions are offered. */
  positions?: boolean
  /** Whether what was picked stays picked. */
  keeps?: boolean
  onPick: (figure: Figure | null) => void
}

/** Forms to pick from: starting positions, those of this card, the final ones of others. */
function Forms({ label, none, card, positions, keeps, onPick }: FormsProps) {
  const [others, setOthers] = useState<Drawn[]>([])
  const [picked, setPicked] = useState('')
  const own = keyframesOf(card).frames
  const read = () => {
    if (others.length > 0) return
    api<{ cards: { card: Card }[] }>('/api/deck')
      .then(({ cards }) =>
        setOthers(
          cards.flatMap(({ card: other }) => {
            const found = finalFigure(other)
            if (!found || other.id === card.id) return []
            return [{ id: other.id, title: titleOf(other), figure: found.figure }]
          })
        )
      )
      .catch(() => undefined)
  }
  return (
    <NativeSelect
      className={classes.forms}
      aria-label={label}
      value={picked}
      onFocus={read}
      onChange={(event) => {
        const value = event.currentTarget.value
        const start = STARTS.find((each) => `start ${each.id}` === value)
        const found =
          (start && figureOf(start.figure)) ??
          own.find((each) => `own ${each.id}` === value)?.figure ??
          others.find((each) => `card ${each.id}` === value)?.figure ??
          null
        if (keeps) setPicked(value)
        onPick(found)
      }}
      data={[
        { value: '', label: none },
        ...(positions
          ? [
              {
                group: 'Positions',
                items: STARTS.map(({ id, title }) => ({ value: `start ${id}`, label: title })),
              },
            ]
          : []),
        {
          group: 'This card',
          items: own.map(({ id }) => ({ value: `own ${id}`, label: id })),
        },
        {
          group: 'Other cards',
          items: others.map(({ id, title }) => ({ value: `card ${id}`, label: title })),
        },
      ]}
    />
  )
}

const MOST_BYTES = 20_000_000

/** Takes one frame of a BVH file as the figure. */
function ReadBvh({
  onRead,
  onProblem,
}: {
  onRead: (figure: Figure, notes: string[]) => void
  onProblem: (message: string) => void
}) {
  const [frame, setFrame] = useState(1)
  async function read(file: File | null) {
    if (!file) return
    if (file.size > MOST_BYTES) {
      onProblem(`${file.name} is larger than 20 MB. Nothing was changed; take a shorter file.`)
      return
    }
    try {
      const { figure, notes, frames } = figureFromBvh(await file.text(), frame)
      onProblem('')
      onRead(readFigure(figure).figure!, [`Frame ${frame} of ${frames}.`, ...notes])
    } catch (error) {
      const line = error instanceof BvhError ? `, line ${error.line}` : ''
      onProblem(
        `${file.name}${line}: ${(error as Error).message}. Nothing was changed; mend the file or take another.`
      )
    }
  }
  return (
    <>
      <NumberInput
        w={98}
        prefix="frame "
        aria-label="Frame of the BVH file"
        title="Frame of the BVH file"
        min={1}
        value={frame}
        onChange={(value) => {
          if (typeof value === 'number' && value >= 1) setFrame(Math.round(value))
        }}
      />
      <FileButton onChange={(file) => void read(file)} accept=".bvh">
        {(props) => (
          <Button {...props} variant="default">
            Read a BVH frame
          </Button>
        )}
      </FileButton>
    </>
  )
}

/** One press of an arrow key moves a part by this, in hundredths of a stature. */
const KEY_STEP = 1
const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-KEY_STEP, 0],
  ArrowRight: [KEY_STEP, 0],
  ArrowUp: [0, -KEY_STEP],
  ArrowDown: [0, KEY_STEP],
}

interface StageProps {
  answer: NonNullable<ReturnType<typeof useFigureWork>[0]>
  title: string
  onDrag: (drag: { handle: string; from: Pose; dx: number; dy: number }) => void
  onDrop: (pose: Pose) => void
}

/** The drawing with its handles; a handle is pulled by hand or by the arrow keys. */
function Stage({ answer, title, onDrag, onDrop }: StageProps) {
  const frame = useRef<HTMLDivElement>(null)
  const drag = useRef<{ handle: string; from: Pose; x: number; y: number } | null>(null)
  const keyed = useRef<{ handle: string; from: Pose; dx: number; dy: number } | null>(null)
  // While a part is pulled the drawing keeps its place on the screen.
  const [held, setHeld] = useState<[number, number, number, number] | null>(null)
  const box = held ?? answer.drawing.box

  const scale = () => {
    const { width, height } = frame.current!.getBoundingClientRect()
    return Math.max(box[2] / width, box[3] / height)
  }
  function down(event: PointerEvent<SVGCircleElement>, handle: string) {
    event.currentTarget.setPointerCapture(event.pointerId)
    drag.current = { handle, from: answer.pose, x: event.clientX, y: event.clientY }
    setHeld(answer.drawing.box)
  }
  function move(event: PointerEvent<SVGCircleElement>) {
    const now = drag.current
    if (!now) return
    const k = scale()
    onDrag({
      handle: now.handle,
      from: now.from,
      dx: (event.clientX - now.x) * k,
      dy: (event.clientY - now.y) * k,
    })
  }
  function drop() {
    if (!drag.current) return
    drag.current = null
    setHeld(null)
    onDrop(answer.pose)
  }
  function key(event: KeyboardEvent<SVGCircleElement>, handle: string) {
    const arrow = ARROWS[event.key]
    if (arrow) {
      event.preventDefault()
      const before = keyed.current?.handle === handle ? keyed.current : null
      const next = {
        handle,
        from: before?.from ?? answer.pose,
        dx: (before?.dx ?? 0) + arrow[0],
        dy: (before?.dy ?? 0) + arrow[1],
      }
      keyed.current = next
      onDrag(next)
    } else if (event.key === 'Enter') settle()
  }
  function settle() {
    if (!keyed.current) return
    keyed.current = null
    onDrop(answer.pose)
  }
  const viewBox = box.map((value) => Math.round(value * 100) / 100).join(' ')
  return (
    <div ref={frame} className={classes.drawing}>
      <FigureSvg drawing={{ ...answer.drawing, box }} label={title} />
      <svg viewBox={viewBox} className={classes.handles}>
        {answer.limits.map(({ joint, angle, value, x, y }) => (
          <path
            key={`${joint} ${angle}`}
            className={classes.limit}
            d={`M${x} ${y - 3.4}l3.4 3.4l-3.4 3.4l-3.4 -3.4Z`}
          >
            <title>{`${joint} ${angle} ${value}°, at its end`}</title>
          </path>
        ))}
        {answer.handles.map(({ handle, x, y }) => (
          <circle
            key={handle}
            cx={x}
            cy={y}
            r={2.2}
            tabIndex={0}
            role="button"
            aria-label={`Pull the ${handle}; arrow keys move it, Enter keeps it`}
            onPointerDown={(event) => down(event, handle)}
            onPointerMove={move}
            onPointerUp={drop}
            onPointerCancel={drop}
            onKeyDown={(event) => key(event, handle)}
            onBlur={settle}
          >
            <title>{handle}</title>
          </circle>
        ))}
      </svg>
    </div>
  )
}
