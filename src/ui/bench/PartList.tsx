'use client'

import { Button, Text } from '@mantine/core'
import { IconArrowDown, IconArrowUp, IconPlus, IconTrash } from '@tabler/icons-react'
import {
  type ComponentType,
  type KeyboardEvent,
  type ReactNode,
  type RefObject,
  useRef,
} from 'react'
import { flushSync } from 'react-dom'
import type { Card } from '@/core/card'
import { Tool } from '../shared/Tool'
import { FindingsAt } from './FindingsAt'
import { type KeyAction, keyOf } from './keys'
import classes from './PartList.module.css'
import { useBench, useBenchStore } from './store'

type ListName = 'effects' | 'mistakes' | 'cautions' | 'traits' | 'assists' | 'ladder'

interface Props<T> {
  list: ListName
  noun: string
  title?: string
  teach: string
  /** Rungs are drawn with the last one, the most demanding, on top. */
  upward?: boolean
  /** What each part is told by, so that it can be dragged; `Sort` puts the grips in. */
  idOf?: (part: T) => string
  Sort?: ComponentType<{ box: RefObject<HTMLElement | null> }>
  make: (card: Card) => T
  row: (part: T, set: (change: Partial<T>) => void, at: number, path: string) => ReactNode
}

/** Parts of a card in a list of forms: added, moved and deleted by keys or by hand. */
export function PartList<T extends object>(props: Props<T>) {
  const { list, noun, upward } = props
  const bench = useBenchStore()
  const parts = useBench((state) => state.card[list]) as unknown as T[]
  const box = useRef<HTMLDivElement>(null)

  const change = (to: (parts: T[], card: Card) => T[], burst?: string) =>
    bench
      .getState()
      .edit((card) => ({ ...card, [list]: to(card[list] as unknown as T[], card) }) as Card, burst)

  function focus(index: number) {
    const row = box.current?.querySelector(`[data-part="${index}"]`)
    const field = row?.querySelector<HTMLElement>('[data-part-text], textarea, input, select')
    field?.focus()
  }

  function insert(index: number) {
    flushSync(() => change((now, card) => now.toSpliced(index, 0, props.make(card))))
    focus(index)
  }

  function remove(index: number) {
    flushSync(() => change((now) => now.toSpliced(index, 1)))
    focus(Math.max(0, Math.min(index, parts.length - 2)))
  }

  function move(from: number, to: number) {
    if (to < 0 || to >= parts.length) return
    flushSync(() =>
      change((now) => {
        const rest = now.toSpliced(from, 1)
        return rest.toSpliced(to, 0, now[from]!)
      })
    )
    focus(to)
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

  const rows = parts.map((part, index) => {
    const path = `${list}[${index}]`
    const set = (next: Partial<T>) =>
      change(
        (now) => {
          const whole = { ...now[index]!, ...next }
          for (const key of Object.keys(whole) as (keyof T)[])
            if (whole[key] === undefined) delete whole[key]
          return now.with(index, whole)
        },
        `${path} ${Object.keys(next).join()}`
      )
    const name = `${noun} ${index + 1}`
    return (
      <div
        key={props.idOf?.(part) ?? index}
        data-part={index}
        data-row={props.idOf?.(part)}
        className={`${classes.row} ${upward ? classes.rung : ''}`}
        role="group"
        aria-label={name}
        onKeyDown={(event) => keyDown(event, index)}
      >
        {props.idOf && <span data-grip className={classes.gripPlace} />}
        <div className={classes.fields}>
          {props.row(part, set, index + 1, path)}
          <FindingsAt path={path} />
        </div>
        <div className={classes.tools}>
          <Tool label={`Move ${name} up`} onClick={() => move(index, index + up)}>
            <IconArrowUp size={15} />
          </Tool>
          <Tool label={`Move ${name} down`} onClick={() => move(index, index - up)}>
            <IconArrowDown size={15} />
          </Tool>
          <Tool label={`Delete ${name}`} onClick={() => remove(index)}>
            <IconTrash size={15} />
          </Tool>
        </div>
      </div>
    )
  })

  return (
    <div ref={box} className={classes.list}>
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
        onClick={() => insert(parts.length)}
      >
        Add {/^[aeiou]/.test(noun) ? 'an' : 'a'} {noun}
      </Button>
    </div>
  )
}
