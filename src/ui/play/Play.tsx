'use client'

import { ActionIcon, Group, Loader, Modal, SegmentedControl, Text } from '@mantine/core'
import {
  IconPlayerPause,
  IconPlayerPlay,
  IconPlayerTrackNext,
  IconPlayerTrackPrev,
} from '@tabler/icons-react'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { drawnRibbon } from '@/core/breath'
import { type Card, type School, titleOf } from '@/core/card'
import type { Moment } from '@/core/play'
import { LABELS } from '@/core/language'
import type { PlayLoaded } from '@/workers/play'
import { FigureSvg } from '../shared/FigureSvg'
import classes from './Play.module.css'
import { usePlay } from './usePlay'

const SPEEDS = ['0.5', '1', '2', '4']

/** Whether the reader asked for no motion: then it goes from form to form. */
const still = () => matchMedia('(prefers-reduced-motion: reduce)').matches

/** A card that moves, on its breath and in its own time. */
export default function Play({
  card,
  school,
  onClose,
}: {
  card: Card
  school: School
  onClose: () => void
}) {
  const { loaded, picture, show, failure } = usePlay(card, school)
  return (
    <Modal
      opened
      onClose={onClose}
      title={
        <>
          <bdi>{titleOf(card)}</bdi>, as it is done
        </>
      }
      size={980}
      classNames={{ body: classes.body }}
    >
      {failure && <Text c="var(--alert)">{failure}</Text>}
      {!failure && !picture && (
        <Group justify="center" p="xl">
          <Loader size="sm" />
          <Text c="dimmed">The forms are being worked out …</Text>
        </Group>
      )}
      {loaded && loaded.moments.length === 0 && <Text>There are no steps to play yet.</Text>}
      {loaded && picture && <Playing {...{ card, loaded, picture, show }} />}
    </Modal>
  )
}

type Shown = Pick<ReturnType<typeof usePlay>, 'show'> & {
  card: Card
  loaded: PlayLoaded
  picture: NonNullable<ReturnType<typeof usePlay>['picture']>
}

function Playing({ card, loaded, picture, show }: Shown) {
  const { moments, seconds: whole } = loaded
  const [speed, setSpeed] = useState('1')
  const [running, setRunning] = useState(false)
  const time = useRef(0)
  const moment = moments[picture.moment]!

  const goTo = useCallback(
    (seconds: number) => {
      time.current = Math.max(0, Math.min(whole, seconds))
      show(time.current)
    },
    [show, whole]
  )

  useEffect(() => {
    if (!running) return
    let last = performance.now()
    let asked = 0
    let shown = -1
    const tick = (now: number) => {
      time.current += ((now - last) / 1000) * Number(speed)
      last = now
      if (time.current >= whole) {
        goTo(whole)
        setRunning(false)
        return
      }
      if (still()) {
        // From form to form: the end of each moment, when it begins.
        const at = moments.findLastIndex((each) => each.at <= time.current)
        if (at !== shown) {
          shown = at
          const { at: from, seconds } = moments[at]!
          show(from + seconds - 1e-3)
        }
      } else show(time.current)
      asked = requestAnimationFrame(tick)
    }
    asked = requestAnimationFrame(tick)
    return () => cancelAnimationFrame(asked)
  }, [running, speed, whole, show, goTo, moments])

  const step = (by: 1 | -1) => {
    const next = moments[picture.moment + by]
    if (next) goTo(next.at + 1e-3)
    else if (by < 0) goTo(0)
  }
  const toggle = () => {
    if (!running && time.current >= whole - 0.01) goTo(0)
    setRunning(!running)
  }
  const box = loaded.boxes[moment.side !== null && moment.side !== loaded.first ? 1 : 0]!
  const led = moment.side && LABELS.sheet.leads[moment.side]
  return (
    <div
      onKeyDown={(event) => {
        if (event.key !== ' ' || (event.target as HTMLElement).tagName === 'BUTTON') return
        event.preventDefault()
        toggle()
      }}
    >
      <div className={classes.stage}>
        <FigureSvg
          className={classes.figure}
          drawing={{ ...picture.drawing, box }}
          label={`${titleOf(card)}${led ? `, ${led}` : ''}`}
        />
        <div className={classes.now}>
          {led && <p className={classes.side}>{led}</p>}
          <p className={classes.line} aria-live="polite">
            {moment.text || '…'}
          </p>
          {moment.unsure && (
            <p className={classes.unsure}>The words of this step do not move the figure.</p>
          )}
          <Breathing full={picture.full} words={LABELS.breath[picture.breath]} />
        </div>
      </div>
      <Scrub {...{ moments, whole }} seconds={picture.seconds} onGo={goTo} />
      <Group justify="space-between" mt="xs">
        <Group gap="xs">
          <Act label="The step before" onClick={() => step(-1)}>
            <IconPlayerTrackPrev size={18} />
          </Act>
          <Act label={running ? 'Pause' : 'Play'} onClick={toggle}>
            {running ? <IconPlayerPause size={20} /> : <IconPlayerPlay size={20} />}
          </Act>
          <Act label="The next step" onClick={() => step(1)}>
            <IconPlayerTrackNext size={18} />
          </Act>
          <Text size="sm">
            {LABELS.duration(Math.round(picture.seconds))} of {LABELS.duration(Math.round(whole))}
          </Text>
        </Group>
        <SegmentedControl
          size="xs"
          aria-label="Speed"
          value={speed}
          onChange={setSpeed}
          data={SPEEDS.map((value) => ({ value, label: `${value} ×` }))}
        />
      </Group>
    </div>
  )
}

const Act = (props: { label: string; onClick: () => void; children: React.ReactNode }) => (
  <ActionIcon
    variant="default"
    size="lg"
    aria-label={props.label}
    title={props.label}
    onClick={props.onClick}
  >
    {props.children}
  </ActionIcon>
)

/** The breath shape, growing on the in and shrinking on the out. */
function Breathing({ full, words }: { full: number; words: string }) {
  const half = 10 + 44 * full
  return (
    <div className={classes.breath}>
      <svg viewBox="-60 -40 120 80" width={150} height={100} aria-hidden>
        <path d={`M0 -36 L${half} 0 L0 36 L${-half} 0 Z`} fill="var(--ink)" />
      </svg>
      <span>{words}</span>
    </div>
  )
}

/** The breath spine of all of it, lying; one pulls along it. */
function Scrub({
  moments,
  whole,
  seconds,
  onGo,
}: {
  moments: Moment[]
  whole: number
  seconds: number
  onGo: (seconds: number) => void
}) {
  const drawn = useMemo(
    () =>
      drawnRibbon(
        moments.map((each) => ({ ...each, part: each.part === 'between' ? 'exit' : each.part })),
        { length: 900, breadth: 26 },
        true
      ),
    [moments]
  )
  return (
    <div className={classes.scrub}>
      <svg viewBox="0 0 900 26" preserveAspectRatio="none" aria-hidden>
        {drawn.stretches.map((stretch, i) => (
          <path
            key={i}
            d={stretch.path}
            fill={stretch.paint === 'fill' ? 'var(--ink)' : 'none'}
            stroke={stretch.paint === 'fill' ? 'var(--leaf)' : 'var(--ink)'}
            strokeWidth={stretch.paint === 'fill' ? 0.6 : 1.2}
          />
        ))}
        <rect
          x={(seconds / (whole || 1)) * 900 - 1.5}
          y={0}
          width={3}
          height={26}
          fill="var(--alert)"
        />
      </svg>
      <input
        type="range"
        min={0}
        max={whole}
        step={0.1}
        // Only what the input can hold: a finer value is rounded by it, and read back as a wish.
        value={Math.round(seconds * 10) / 10}
        aria-label="Time"
        aria-valuetext={LABELS.duration(Math.round(seconds))}
        onChange={(event) => onGo(event.currentTarget.valueAsNumber)}
      />
    </div>
  )
}
