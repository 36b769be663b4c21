'use client'

import { Button } from '@mantine/core'
import { IconPlus } from '@tabler/icons-react'
import { type ComponentType, type KeyboardEvent, memo, useMemo, useRef } from 'react'
import { belongsTo } from '@/core/sides'
import {
  type Card,
  type Cue,
  firstSideOf,
  isDrawn,
  otherSide,
  type Side,
  type Step,
  type StepList,
} from '@/core/card'
import { LABELS, packOf } from '@/core/language'
import { later, useQuiet } from '../shared/later'
import { useSchool } from '../shared/school'
import { FindingsAt } from './FindingsAt'
import { changeAndFocus, fieldName, focusField } from './focus'
import { HalfField } from './HalfField'
import { HalfTitles } from './HalfTitles'
import { keyOf } from './keys'
import classes from './Spread.module.css'
import { type BenchStore, useBench, useBenchStore } from './store'

// Drawings come after the words, and so does drag and drop: both are large.
const DrawnForm = later(() => import('./DrawnForm').then((module) => module.default))
const WordRows = later(() => import('./WordRows').then((module) => module.WordRows))
const SortRows = later(() => import('./SortRows').then((module) => module.SortRows))

export type ListName = StepList | 'alignment'
type Item = Step | Cue

/** What the rows of one list are; made once, so that a row draws anew only when it changed. */
export interface RowKind<T extends Item> {
  list: ListName
  /** What one row is called: step, cue. */
  noun: string
  centreTitle: string
  make: (card: Card, before: T | undefined) => T
  Centre: ComponentType<{ item: T; index: number; list: ListName }>
  /** Keys of this kind of row. @returns whether the key was taken */
  keys?: (event: KeyboardEvent, index: number, bench: BenchStore) => boolean
}

/** What can be done with the rows of a list. */
function rowActions<T extends Item>(bench: BenchStore, { list, make, keys }: RowKind<T>) {
  const items = () => bench.getState().card[list] as T[]
  const change = (to: (items: T[], card: Card) => T[]) =>
    bench.getState().edit((card) => ({ ...card, [list]: to(card[list] as T[], card) }))
  const nameAt = (index: number, half: Side) =>
    fieldName(`${list}[${index}].text`, bench.getState().card.sides === 'sided' ? half : 'right')
  const goTo = (index: number, half: Side) => focusField(nameAt(index, half))

  function insert(index: number, half: Side) {
    changeAndFocus(
      () => change((now, card) => now.toSpliced(index, 0, make(card, now[index - 1]))),
      nameAt(index, half)
    )
  }

  function remove(index: number, half: Side) {
    changeAndFocus(
      () => change((now) => now.toSpliced(index, 1)),
      nameAt(Math.max(0, index - 1), half)
    )
  }

  function move(from: number, to: number, half?: Side) {
    if (to < 0 || to >= items().length) return
    const moved = () => change((now) => now.toSpliced(from, 1).toSpliced(to, 0, now[from]!))
    if (half) changeAndFocus(moved, nameAt(to, half))
    else moved()
  }

  function keyDown(event: KeyboardEvent<HTMLTextAreaElement>, index: number) {
    if (event.nativeEvent.isComposing) return
    const half = event.currentTarget.dataset.half as Side
    const { value, selectionStart, selectionEnd } = event.currentTarget
    const work: Partial<Record<ReturnType<typeof keyOf> & string, () => void>> = {
      'line-new': () => insert(index + 1, half),
      'line-up': () => move(index, index - 1, half),
      'line-down': () => move(index, index + 1, half),
      'line-delete': () => remove(index, half),
      'other-side': () => goTo(index, otherSide(half)),
      ...(value === '' ? { 'line-empty': () => remove(index, half) } : {}),
      ...(selectionEnd === 0 && index > 0 ? { 'line-above': () => goTo(index - 1, half) } : {}),
      ...(selectionStart === value.length && index < items().length - 1
        ? { 'line-below': () => goTo(index + 1, half) }
        : {}),
    }
    const action = keyOf(event)
    const done = action && work[action]
    if (done) {
      event.preventDefault()
      done()
    } else if (keys?.(event, index, bench)) event.preventDefault()
  }

  function pasteLines(index: number, first: string, rest: string[]) {
    change((now, card) => {
      let rows = now.with(index, { ...now[index]!, text: first })
      rest.forEach((text, i) => {
        const place = index + 1 + i
        const made = make({ ...card, [list]: rows }, rows[place - 1])
        rows = rows.toSpliced(place, 0, { ...made, text })
      })
      return rows
    })
  }

  const append = (half: Side) => insert(items().length, half)
  return { append, remove, move, keyDown, pasteLines }
}

type RowActions = ReturnType<typeof rowActions>

interface Props<T extends Item> {
  kind: RowKind<T>
  /** Said when the list is empty. */
  teach: string
}

/** Rows of a spread: left wording, the middle, right wording; added, moved and deleted by keys or by hand. */
export function SpreadList<T extends Item>({ kind, teach }: Props<T>) {
  const { list, noun, centreTitle } = kind
  const bench = useBenchStore()
  const items = useBench((state) => state.card[list]) as T[]
  const sided = useBench((state) => state.card.sides === 'sided')
  const writtenFor = useBench((state) => state.card.writtenFor)
  const drawn = useBench((state) => list === 'alignment' && isDrawn(state.card))
  const language = useBench((state) => state.card.language)
  const school = useSchool()
  const firstSide = useBench((state) => firstSideOf(state.card, school))
  const actions = useMemo(() => rowActions(bench, kind), [bench, kind])
  const quiet = useQuiet()
  const box = useRef<HTMLDivElement>(null)
  const ids = items.map((item) => item.id).join(' ')
  const sorting = useMemo(
    () => (
      <SortRows
        name={list}
        noun={noun}
        ids={ids ? ids.split(' ') : []}
        box={box}
        onMove={actions.move}
      />
    ),
    [list, noun, ids, actions]
  )
  const reading = useMemo(
    () => <WordRows list={list} ids={ids ? ids.split(' ') : []} box={box} />,
    [list, ids]
  )
  return (
    <div
      ref={box}
      className={`${classes.spread} ${sided ? '' : classes.even}`}
      role="group"
      aria-label={`${noun}s`}
    >
      <HalfTitles centre={centreTitle} />
      {drawn && (
        <div className={classes.final} data-block>
          {(sided ? (['left', 'right'] as const) : (['right'] as const)).map((side) => (
            <div key={side} className={classes[side]}>
              <DrawnForm side={side} />
            </div>
          ))}
        </div>
      )}
      {items.length === 0 && <p className={classes.teach}>{teach}</p>}
      {grouped(items).map((group, at) => (
        <div key={at} data-block className={classes.group}>
          {group.map((item, within) => (
            <SpreadRow
              key={item.id}
              item={item}
              index={at * GROUP + within}
              kind={kind as unknown as RowKind<Item>}
              sided={sided}
              writtenFor={writtenFor}
              firstSide={firstSide}
              language={language}
              actions={actions}
            />
          ))}
        </div>
      ))}
      {quiet && sorting}
      {quiet && reading}
      <div className={classes.add}>
        <Button
          variant="subtle"
          size="compact-sm"
          leftSection={<IconPlus size={15} />}
          onClick={() => actions.append(writtenFor)}
        >
          Add a {noun}
        </Button>
      </div>
    </div>
  )
}

/** Rows that are laid out together: at a letter the browser looks at one group, not at all rows. */
const GROUP = 6

function grouped<T>(items: readonly T[]): T[][] {
  const groups: T[][] = []
  for (let at = 0; at < items.length; at += GROUP) groups.push(items.slice(at, at + GROUP))
  return groups
}

interface RowProps {
  item: Item
  index: number
  kind: RowKind<Item>
  sided: boolean
  writtenFor: Side
  firstSide: Side
  language: string
  actions: RowActions
}

const SpreadRow = memo(function SpreadRow(props: RowProps) {
  const { item, index, kind, sided, writtenFor, firstSide, language, actions } = props
  const { list, noun, Centre } = kind
  const name = `${noun[0]!.toUpperCase()}${noun.slice(1)} ${index + 1}`
  const on = 'on' in item ? item.on : 'both'
  const half = (side: Side) =>
    sided && !belongsTo(on, side, firstSide) ? (
      <p className={`${classes.notHere} ${classes[side]}`}>{LABELS.sheet.notHere}</p>
    ) : sided && side !== writtenFor && !packOf(language) ? (
      <p className={`${classes.notHere} ${classes[side]}`}>{LABELS.sheet.notWritten(language)}</p>
    ) : (
      <div className={`${classes[side]} ${classes.half}`}>
        <HalfField
          path={`${list}[${index}].text`}
          value={item.text}
          side={side}
          writtenFor={writtenFor}
          sided={sided}
          label={sided ? `${name}, ${side} leads` : name}
          onKeyDown={(event) => actions.keyDown(event, index)}
          onPasteLines={(first, rest) => actions.pasteLines(index, first, rest)}
        />
        <span data-draft={side} />
      </div>
    )
  return (
    <div className={classes.row} data-block data-row={item.id}>
      <span data-grip className={classes.gripSlot} />
      {sided && half('left')}
      <div className={classes.centre}>
        <Centre item={item} index={index} list={list} />
      </div>
      {half('right')}
      <Delete
        name={name.toLowerCase()}
        index={index}
        writtenFor={writtenFor}
        remove={actions.remove}
      />
      <div className={classes.rowFindings}>
        <div data-read />
        <FindingsAt path={`${list}[${index}]`} />
      </div>
    </div>
  )
})

interface DeleteProps {
  name: string
  index: number
  writtenFor: Side
  remove: RowActions['remove']
}

const Delete = memo(function Delete({ name, index, writtenFor, remove }: DeleteProps) {
  return (
    // Drawn as a letter: a drawing in each row is put together anew at each letter that is typed.
    <button
      type="button"
      className={classes.bin}
      aria-label={`Delete ${name}`}
      title={`Delete ${name}`}
      onClick={() => remove(index, writtenFor)}
    >
      ×
    </button>
  )
})
