'use client'

import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import { restrictToVerticalAxis } from '@dnd-kit/modifiers'
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { ActionIcon, Button } from '@mantine/core'
import { IconGripVertical, IconPlus, IconTrash } from '@tabler/icons-react'
import { type KeyboardEvent, lazy, memo, type ReactNode, Suspense } from 'react'
import { belongsTo, otherSide } from '@/core/sides'
import { type Card, type Cue, firstSideOf, isDrawn, type Side, type Step } from '@/core/card'
import { useSchool } from '../shared/school'
import { FindingsAt } from './FindingsAt'
import { changeAndFocus, fieldName, focusField } from './focus'
import { HalfField } from './HalfField'
import { HalfTitles } from './HalfTitles'
import classes from './Spread.module.css'
import { useBench, useBenchStore } from './store'

// Drawings come after the words: the figure is large.
const DrawnForm = lazy(() => import('./DrawnForm'))

export type ListName = 'enter' | 'otherWay' | 'exit' | 'alignment'
type Item = Step | Cue

interface Props<T extends Item> {
  list: ListName
  /** What one row is called: step, cue. */
  noun: string
  /** Said when the list is empty. */
  teach: string
  centreTitle: string
  make: (card: Card, before: T | undefined) => T
  centre: (item: T, index: number) => ReactNode
  /** Keys of this kind of row. @returns whether the key was taken */
  keys?: (event: KeyboardEvent, index: number) => boolean
}

/** Rows of a spread: left wording, the middle, right wording; added, moved and deleted by keys or by hand. */
export function SpreadList<T extends Item>(props: Props<T>) {
  const { list, noun } = props
  const items = useBench((state) => state.card[list]) as T[]
  const sided = useBench((state) => state.card.sides === 'sided')
  const writtenFor = useBench((state) => state.card.writtenFor)
  const drawn = useBench((state) => isDrawn(state.card))
  const bench = useBenchStore()
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates })
  )

  const change = (to: (items: T[], card: Card) => T[]) =>
    bench.getState().edit((card) => ({ ...card, [list]: to(card[list] as T[], card) }))

  const nameAt = (index: number, half: Side) =>
    fieldName(`${list}[${index}].text`, sided ? half : 'right')
  const at = (index: number, half: Side) => focusField(nameAt(index, half))

  function insert(index: number, half: Side) {
    changeAndFocus(
      () => change((now, card) => now.toSpliced(index, 0, props.make(card, now[index - 1]))),
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
    if (to < 0 || to >= items.length) return
    const swap = () => change((now) => arrayMove(now, from, to))
    if (half) changeAndFocus(swap, nameAt(to, half))
    else swap()
  }

  function keyDown(event: KeyboardEvent<HTMLTextAreaElement>, index: number) {
    const half = event.currentTarget.dataset.half as Side
    const { value, selectionStart, selectionEnd } = event.currentTarget
    const done = () => event.preventDefault()
    if (event.nativeEvent.isComposing) return
    if (event.key === 'Enter' && !event.altKey && !event.ctrlKey && !event.metaKey) {
      done()
      insert(index + 1, half)
    } else if (event.altKey && event.key === 'ArrowUp') {
      done()
      move(index, index - 1, half)
    } else if (event.altKey && event.key === 'ArrowDown') {
      done()
      move(index, index + 1, half)
    } else if (event.altKey && event.key === 'Delete') {
      done()
      remove(index, half)
    } else if (event.altKey && event.code === 'KeyS') {
      done()
      at(index, otherSide(half))
    } else if (event.key === 'Backspace' && value === '') {
      done()
      remove(index, half)
    } else if (event.key === 'ArrowUp' && selectionEnd === 0 && index > 0) {
      done()
      at(index - 1, half)
    } else if (
      event.key === 'ArrowDown' &&
      selectionStart === value.length &&
      index < items.length - 1
    ) {
      done()
      at(index + 1, half)
    } else if (props.keys?.(event, index)) done()
  }

  function pasteLines(index: number, first: string, rest: string[]) {
    change((now, card) => {
      let rows = now.with(index, { ...now[index]!, text: first })
      rest.forEach((text, i) => {
        const place = index + 1 + i
        const made = props.make({ ...card, [list]: rows }, rows[place - 1])
        rows = rows.toSpliced(place, 0, { ...made, text })
      })
      return rows
    })
  }

  function dragEnd({ active, over }: DragEndEvent) {
    if (!over || active.id === over.id) return
    move(
      items.findIndex((item) => item.id === active.id),
      items.findIndex((item) => item.id === over.id)
    )
  }

  return (
    <div
      className={`${classes.spread} ${sided ? '' : classes.even}`}
      role="group"
      aria-label={`${noun}s`}
    >
      <HalfTitles centre={props.centreTitle} />
      {list === 'alignment' && drawn && (
        <div className={classes.final}>
          {(sided ? (['left', 'right'] as const) : (['right'] as const)).map((side) => (
            <div key={side} className={classes[side]}>
              <Suspense>
                <DrawnForm side={side} />
              </Suspense>
            </div>
          ))}
        </div>
      )}
      {items.length === 0 && <p className={classes.teach}>{props.teach}</p>}
      <DndContext
        id={`rows-${list}`}
        sensors={sensors}
        collisionDetection={closestCenter}
        modifiers={[restrictToVerticalAxis]}
        onDragEnd={dragEnd}
      >
        <SortableContext
          items={items.map((item) => item.id)}
          strategy={verticalListSortingStrategy}
        >
          {items.map((item, index) => (
            <SpreadRow
              key={item.id}
              item={item}
              index={index}
              list={list}
              noun={noun}
              sided={sided}
              writtenFor={writtenFor}
              centre={props.centre(item, index)}
              onKeyDown={(event) => keyDown(event, index)}
              onPasteLines={(first, rest) => pasteLines(index, first, rest)}
              onDelete={() => remove(index, writtenFor)}
            />
          ))}
        </SortableContext>
      </DndContext>
      <div className={classes.add}>
        <Button
          variant="subtle"
          size="compact-sm"
          leftSection={<IconPlus size={15} />}
          onClick={() => insert(items.length, writtenFor)}
        >
          Add a {noun}
        </Button>
      </div>
    </div>
  )
}

interface RowProps {
  item: Item
  index: number
  list: ListName
  noun: string
  sided: boolean
  writtenFor: Side
  centre: ReactNode
  onKeyDown: (event: KeyboardEvent<HTMLTextAreaElement>) => void
  onPasteLines: (first: string, rest: string[]) => void
  onDelete: () => void
}

const SpreadRow = memo(function SpreadRow(props: RowProps) {
  const { item, index, list, noun, sided, writtenFor } = props
  const school = useSchool()
  const firstSide = useBench((state) => firstSideOf(state.card, school))
  const bench = useBenchStore()
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: item.id,
  })
  const name = `${noun[0]!.toUpperCase()}${noun.slice(1)} ${index + 1}`
  const on = 'on' in item ? item.on : 'both'
  const path = `${list}[${index}].text`
  const half = (side: Side) =>
    sided && !belongsTo(on, side, firstSide) ? (
      <p className={`${classes.notHere} ${classes[side]}`}>not on this side</p>
    ) : (
      <div className={classes[side]}>
        <HalfField
          value={item.text}
          onChange={(text) => bench.getState().set(path, text)}
          side={side}
          writtenFor={writtenFor}
          sided={sided}
          label={sided ? `${name}, ${side} leads` : name}
          field={fieldName(path, side)}
          onKeyDown={props.onKeyDown}
          onPasteLines={props.onPasteLines}
        />
        {'figure' in item && item.figure && (
          <Suspense>
            <DrawnForm where={`${list}[${index}].figure`} side={side} className={classes.drawn} />
          </Suspense>
        )}
      </div>
    )
  return (
    <div
      ref={setNodeRef}
      className={`${classes.row} ${isDragging ? classes.dragging : ''}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      data-row={item.id}
    >
      <button
        className={classes.grip}
        {...attributes}
        {...listeners}
        aria-label={`Move ${name.toLowerCase()}`}
      >
        <IconGripVertical size={15} />
      </button>
      {sided && half('left')}
      <div className={classes.centre}>{props.centre}</div>
      {half('right')}
      <ActionIcon
        className={classes.bin}
        variant="subtle"
        color="gray"
        size="sm"
        aria-label={`Delete ${name.toLowerCase()}`}
        onClick={props.onDelete}
      >
        <IconTrash size={15} />
      </ActionIcon>
      <div className={classes.rowFindings}>
        <FindingsAt path={`${list}[${index}]`} />
      </div>
    </div>
  )
})
