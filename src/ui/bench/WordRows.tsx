'use client'

import { memo, type RefObject, useEffect, useMemo, useState } from 'react'
import { createPortal } from 'react-dom'
import { useStore } from 'zustand'
import type { Side } from '@/core/card'
import { withFigure } from '@/core/figure'
import type { FormDrawn } from '@/workers/words'
import { FigureSvg } from '../shared/FigureSvg'
import { useSchool } from '../shared/school'
import { keyOf } from './keys'
import { piecesOf } from './pieces'
import { PullDraft } from './PullDraft'
import type { ListName } from './SpreadList'
import { useBench, useBenchStore } from './store'
import { sharedWords, type Words } from './words'
import classes from './WordRows.module.css'

interface Props {
  list: ListName
  ids: readonly string[]
  /** The element that holds the rows, each marked with its id. */
  box: RefObject<HTMLElement | null>
}

function useWords(): Words {
  const bench = useBenchStore()
  const school = useSchool()
  const { words, join } = useMemo(() => sharedWords(bench, school), [bench, school])
  useEffect(join, [join])
  return words
}

/**
 * What the words of each row mean: the form that they draw beside it, pale until it is kept, and
 * under the row that one looks at what was understood of it. It comes after the rows and puts
 * itself into their places, so that a row which is typed in knows nothing of it.
 */
export function WordRows({ list, ids, box }: Props) {
  const words = useWords()
  const bench = useBenchStore()
  const sided = useBench((state) => state.card.sides === 'sided')
  const [here, setHere] = useState<{
    row: string
    side: Side | null
    /** Only pointed at: then it lies over what is beside it, and moves nothing. */
    hovered: boolean
  } | null>(null)
  const forms = useStore(words, (state) => state.forms)
  const [pulled, setPulled] = useState<FormDrawn | null>(null)

  useEffect(() => {
    const element = box.current
    if (!element) return
    const rowOf = (target: EventTarget | null) =>
      target instanceof Element
        ? (target.closest<HTMLElement>('[data-row]')?.dataset.row ?? null)
        : null
    // While the pointer is pressed nothing moves: what is pressed is to be there when it is let go.
    let pressed = false
    let waits: (() => void) | null = null
    const quietly = (work: () => void) => {
      if (pressed) waits = work
      else work()
    }
    const letGo = () => {
      pressed = false
      setTimeout(() => {
        waits?.()
        waits = null
      })
    }
    /** The row that one looks at, and the half of it. */
    const lookAt = (target: EventTarget | null, hovered: boolean) =>
      quietly(() => {
        const row = rowOf(target)
        const half =
          target instanceof Element
            ? (target.closest('[data-half]') ?? target.querySelector('[data-half]'))
            : null
        const side = half instanceof HTMLElement ? (half.dataset.half as Side) : null
        setHere((before) =>
          row === null
            ? null
            : before?.row === row && before.side === side && before.hovered === hovered
              ? before
              : { row, side, hovered }
        )
      })
    const leave = () => quietly(() => setHere(null))
    const within = (target: EventTarget | null) =>
      target instanceof Node && element.contains(target)
    // Someone may write in a row before this comes.
    if (within(document.activeElement)) lookAt(document.activeElement, false)
    const gone = new AbortController()
    const { signal } = gone
    window.addEventListener('pointerdown', () => (pressed = true), { signal, capture: true })
    window.addEventListener('pointerup', letGo, { signal, capture: true })
    window.addEventListener('pointercancel', letGo, { signal, capture: true })
    element.addEventListener('focusin', ({ target }) => lookAt(target, false), { signal })
    element.addEventListener(
      'pointerover',
      ({ target }) => {
        if (!within(document.activeElement)) lookAt(target, true)
      },
      { signal }
    )
    element.addEventListener(
      'focusout',
      ({ relatedTarget }) => {
        if (!within(relatedTarget)) leave()
      },
      { signal }
    )
    element.addEventListener(
      'pointerleave',
      () => {
        if (!within(document.activeElement)) leave()
      },
      { signal }
    )
    element.addEventListener(
      'keydown',
      (event) => {
        if (keyOf(event) !== 'keep-figure') return
        const row = rowOf(event.target)
        const index =
          row === null ? -1 : bench.getState().card[list].findIndex(({ id }) => id === row)
        const draft = words.getState().forms.find(({ where }) => where === `${list}[${index}].text`)
        if (!draft || draft.kept) return
        event.preventDefault()
        keep(bench, draft)
      },
      { signal }
    )
    return () => gone.abort()
  }, [box, bench, list, words])

  const at = new Map(forms.map((form) => [form.where, form]))
  return (
    <>
      {list !== 'alignment' &&
        ids.map((id, i) => {
          const form = at.get(`${list}[${i}].text`)
          if (!form) return null
          const halves: Side[] = sided ? ['left', 'right'] : ['right']
          return halves.map((side) => (
            <Slot key={`${id} ${side}`} box={box} row={id} name={`[data-draft="${side}"]`}>
              <Form form={form} side={side} step={i + 1} onPull={setPulled} />
            </Slot>
          ))
        })}
      {here && ids.includes(here.row) && (
        <Slot box={box} row={here.row} name="[data-read]">
          <Understood
            words={words}
            where={`${list}[${ids.indexOf(here.row)}].text`}
            side={here.side}
            over={here.hovered ? (here.row === ids.at(-1) ? 'before' : 'after') : null}
          />
        </Slot>
      )}
      {pulled && (
        <PullDraft
          form={pulled}
          step={Number(/\d+/.exec(pulled.where)![0]) + 1}
          onClose={() => setPulled(null)}
        />
      )}
    </>
  )
}

/** Keeps a form as the words draw it: from now on it stays, whatever is written elsewhere. */
const keep = (bench: ReturnType<typeof useBenchStore>, { where, figure }: FormDrawn) =>
  bench.getState().edit((card) => withFigure(card, where.replace(/text$/, 'figure'), figure))

/** A place within a row, found after the row was drawn. */
function Slot({
  box,
  row,
  name,
  children,
}: {
  box: Props['box']
  row: string
  name: string
  children: React.ReactNode
}) {
  const [slot, setSlot] = useState<Element | null>(null)
  useEffect(() => {
    const asked = requestAnimationFrame(() =>
      setSlot(box.current?.querySelector(`[data-row="${row}"] ${name}`) ?? null)
    )
    return () => cancelAnimationFrame(asked)
  }, [box, row, name])
  return slot && createPortal(children, slot)
}

const Form = memo(function Form({
  form,
  side,
  step,
  onPull,
}: {
  form: FormDrawn
  side: Side
  step: number
  onPull: (form: FormDrawn) => void
}) {
  const bench = useBenchStore()
  const writtenFor = useBench((state) => state.card.writtenFor)
  const sided = useBench((state) => state.card.sides === 'sided')
  const led = sided ? `, ${side} leads` : ''
  const mirrored = sided && side !== writtenFor
  const drawing = useMemo(() => ({ ...form.drawing, letters: [] }), [form.drawing])
  return (
    <span className={`${classes.form} ${form.kept ? '' : classes.draft}`}>
      <button
        type="button"
        className={`${classes.look} ${mirrored ? classes.mirrored : ''}`}
        tabIndex={mirrored ? -1 : undefined}
        aria-label={`${form.kept ? 'Kept' : 'Drawn from the words'}: step ${step}${led}; pull it`}
        title="Pull it to correct it"
        onClick={() => onPull(form)}
      >
        <FigureSvg drawing={drawing} label={`${form.id}${led}`} />
      </button>
      {!form.kept && !mirrored && (
        <button
          type="button"
          className={classes.keep}
          aria-label={`Keep the figure of step ${step}`}
          title="Keep this figure (Alt K)"
          onClick={() => keep(bench, form)}
        >
          keep
        </button>
      )}
    </span>
  )
})

/** What was understood of a line, word by word; and what was not. */
function Understood({
  words,
  where,
  side,
  over,
}: {
  words: Words
  where: string
  side: Side | null
  /** Lies over the row before or after, where it is only pointed at. */
  over: 'before' | 'after' | null
}) {
  const line = useStore(
    words,
    ({ lines }) =>
      lines.find((each) => each.where === where && each.side === side) ??
      lines.find((each) => each.where === where)
  )
  if (!line?.text) return null
  return (
    <p
      className={`${classes.understood} ${over ? `${classes.over} ${classes[over]}` : ''}`}
      aria-label="What was understood"
    >
      {piecesOf(line).map(({ text, asks, unread }, i) => (
        <span key={i} className={asks ? classes.read : unread ? classes.unread : classes.between}>
          <span>{text}</span>
          {asks && <small>{asks.join(' · ')}</small>}
          {unread && <small>not understood</small>}
        </span>
      ))}
    </p>
  )
}
