'use client'

import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import { restrictToVerticalAxis } from '@dnd-kit/modifiers'
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { type RefObject, useEffect, useLayoutEffect, useState } from 'react'
import { createPortal } from 'react-dom'
import classes from './Spread.module.css'

interface Props {
  name: string
  noun: string
  ids: readonly string[]
  /** The element that holds the rows, each marked with its id. */
  box: RefObject<HTMLElement | null>
  onMove: (from: number, to: number) => void
  /** Hears where a row would land while it is dragged; null when it is let go. */
  onOver?: (from: number, to: number | null) => void
}

/**
 * Drag and drop for the rows of a spread: it comes after them and puts a grip into each, so that
 * a row which is typed in knows nothing of it.
 */
export function SortRows({ name, noun, ids, box, onMove, onOver }: Props) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates })
  )
  return (
    <DndContext
      id={`rows-${name}`}
      sensors={sensors}
      collisionDetection={closestCenter}
      modifiers={[restrictToVerticalAxis]}
      onDragOver={({ active, over }) =>
        onOver?.(ids.indexOf(String(active.id)), over ? ids.indexOf(String(over.id)) : null)
      }
      onDragCancel={({ active }) => onOver?.(ids.indexOf(String(active.id)), null)}
      onDragEnd={({ active, over }) => {
        onOver?.(ids.indexOf(String(active.id)), null)
        if (over && active.id !== over.id)
          onMove(ids.indexOf(String(active.id)), ids.indexOf(String(over.id)))
      }}
    >
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        {ids.map((id, i) => (
          <Grip key={id} id={id} label={`Move ${noun} ${i + 1}`} box={box} />
        ))}
      </SortableContext>
    </DndContext>
  )
}

const rowOf = (box: Props['box'], id: string) =>
  box.current?.querySelector<HTMLElement>(`[data-row="${id}"]`) ?? null

function Grip({ id, label, box }: { id: string; label: string; box: Props['box'] }) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id,
  })
  const [slot, setSlot] = useState<Element | null>(null)
  useEffect(() => {
    // The row of a step that was just added is there only after this.
    const asked = requestAnimationFrame(() => {
      const row = rowOf(box, id)
      setNodeRef(row)
      setSlot(row?.querySelector('[data-grip]') ?? null)
    })
    return () => cancelAnimationFrame(asked)
  }, [box, id, setNodeRef])
  useLayoutEffect(() => {
    const row = rowOf(box, id)
    if (!row) return
    row.style.transform = CSS.Translate.toString(transform) ?? ''
    row.style.transition = transition ?? ''
    row.classList.toggle(classes.dragging!, isDragging)
  })
  if (!slot) return null
  return createPortal(
    <button className={classes.grip} {...attributes} {...listeners} aria-label={label} />,
    slot
  )
}
