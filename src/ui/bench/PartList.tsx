'use client'

import { Button, Text } from '@mantine/core'
import { IconArrowDown, IconArrowUp, IconPlus, IconTrash } from '@tabler/icons-react'
import {
  type ComponentType,
  type KeyboardEvent,
  memo,
  type RefObject,
  useCallback,
  useMemo,
  useRef,
} from 'react'
import { flushSync } from 'react-dom'
import type { Card } from '@/core/card'
import { Tool } from '../shared/Tool'
import { FindingsAt } from './FindingsAt'
import { type KeyAction, keyOf } from './keys'
import classes from './PartList.module.css'
import { type BenchStore, useBench, useBenchStore } from './store'

type ListName = 'effects' | 'mistakes' | 'cautions' | 'traits' | 'assists' | 'ladder'

/** A part as its form shows it. */
export interface PartProps<T> {
  part: T
  set: (change: Partial<T>) => void
  /** Its number, from 1. */
  at: number
  path: string
}

interface List<T> {
  list: ListName
  noun: string
  /** Rungs are drawn with the last one, the most demanding, on top. */
  upward?: boolean
  make: (card: Card) => T
}

interface Props<T> extends List<T> {
  title?: string
  teach: string
  /** What each part is told by, so that it can be dragged; `Sort` puts the grips in. */
  idOf?: (part: T) => string
  Sort?: ComponentType<{ box: RefObject<HTMLElement | null> }>
  /** The form of a part: it is drawn anew when its part is another, or when it asks itself. */
  Form: ComponentType<PartProps<T>>
}

/** What is done to the parts of a list: each sees the card as it is by then. */
function partActs<T extends object>(
  bench: BenchStore,
  { list, upward, make }: Omit<List<T>, 'noun'>
) {
  const partsOf = (card: Card) => card[list] as unknown as T[]
  const count = () => partsOf(bench.getState().card).length
  const change = (to: (parts: T[], card: Card) => T[], burst?: string) =>
    bench.getState().edit((card) => ({ ...card, [list]: to(partsOf(card), card) }) as Card, burst)

  function focus(index: number) {
    const row = document.querySelector(`[data-parts="${list}"] > [data-part="${index}"]`)
    const field = row?.querySelector<HTMLElement>('[data-part-text], textarea, input, select')
    field?.focus()
  }

  function insert(index: number) {
    flushSync(() => change((now, card) => now.toSpliced(index, 0, make(card))))
    focus(index)
  }

  function remove(index: number) {
    flushSync(() => change((now) => now.toSpliced(index, 1)))
    focus(Math.max(0, Math.min(index, count() - 1)))
  }

  function move(from: number, to: number) {
    if (to < 0 || to >= count()) return
    flushSync(() => change((now) => now.toSpliced(from, 1).toSpliced(to, 0, now[from]!)))
    focus(to)
  }

  function set(index: number, next: Partial<T>) {
    change(
      (now) => {
        const whole = { ...now[index]!, ...next }
        for (const key of Object.keys(whole) as (keyof T)[])
          if (whole[key] === undefined) delete whole[key]
        return now.with(index, whole)
      },
      `${list}[${index}] ${Object.keys(next).join()}`
    )
  }

  const up = upward ? 1 : -1
  function keyDown(event: KeyboardEvent, index: number) {
    const target = event.target as HTMLElement
    if (event.nativeEvent.isComposing || target.tagName === 'SELECT' || target.tagName === 'BUTTON')
      return
    const work: Partial<Record<KeyAction, () => void>> = {
      'line-up': () => move(index, index + up),
      'line-down': () => move(index, index - up),
      'line-delete': () => remove(index),
      'part-new': () => insert(index + 1),
    }
    const action = keyOf(event)
    const done = action && work[action]
    if (!done) return
    event.preventDefault()
    event.stopPropagation()
    done()
  }
  return {
    append: () => insert(count()),
    remove,
    up: (index: number) => move(index, index + up),
    down: (index: number) => move(index, index - up),
    set,
    keyDown,
  }
}

/** Parts of a card in a list of forms: added, moved and deleted by keys or by hand. */
export function PartList<T extends object>(props: Props<T>) {
  const { list, noun, upward, make, idOf, Form } = props
  const bench = useBenchStore()
  const parts = useBench((state) => state.card[list]) as unknown as T[]
  const box = useRef<HTMLDivElement>(null)
  const acts = useMemo(
    () => partActs<T>(bench, { list, upward, make }),
    [bench, list, upward, make]
  )
  const rows = parts.map((part, index) => (
    <PartRow
      key={idOf?.(part) ?? index}
      id={idOf?.(part)}
      part={part}
      path={`${list}[${index}]`}
      index={index}
      name={`${noun} ${index + 1}`}
      upward={upward}
      acts={acts as PartRowProps['acts']}
      Form={Form as PartRowProps['Form']}
    />
  ))

  return (
    <div ref={box} data-parts={list} className={classes.list}>
      {props.title && <h3 className={classes.title}>{props.title}</h3>}
      {parts.length === 0 && (
        <Text size="sm" c="dimmed">
          {props.teach}
        </Text>
      )}
      {upward ? rows.toReversed() : rows}
      {props.Sort && parts.length > 1 && <props.Sort box={box} />}
      <Button
        variant="subtle"
        size="compact-sm"
        mt={4}
        leftSection={<IconPlus size={15} />}
        onClick={acts.append}
      >
        Add {/^[aeiou]/.test(noun) ? 'an' : 'a'} {noun}
      </Button>
    </div>
  )
}

interface PartRowProps {
  id: string | undefined
  part: object
  path: string
  index: number
  name: string
  upward: boolean | undefined
  acts: ReturnType<typeof partActs<object>>
  Form: ComponentType<PartProps<object>>
}

const PartRow = memo(function PartRow(props: PartRowProps) {
  const { id, part, path, index, name, acts, Form } = props
  const set = useCallback((next: object) => acts.set(index, next), [acts, index])
  return (
    <div
      data-block
      data-part={index}
      data-row={id}
      className={`${classes.row} ${props.upward ? classes.rung : ''}`}
      role="group"
      aria-label={name}
      onKeyDown={(event) => acts.keyDown(event, index)}
    >
      {id && <span data-grip className={classes.gripPlace} />}
      <div className={classes.fields}>
        <Form part={part} set={set} at={index + 1} path={path} />
        <FindingsAt path={path} />
      </div>
      <div className={classes.tools}>
        <Tool label={`Move ${name} up`} onClick={() => acts.up(index)}>
          <IconArrowUp size={15} />
        </Tool>
        <Tool label={`Move ${name} down`} onClick={() => acts.down(index)}>
          <IconArrowDown size={15} />
        </Tool>
        <Tool label={`Delete ${name}`} onClick={() => acts.remove(index)}>
          <IconTrash size={15} />
        </Tool>
      </div>
    </div>
  )
})
