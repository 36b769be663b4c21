'use client'

import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react'
import { type Pose, viewBoxOf } from '@/core/figure'
import type { FigureAnswer } from '@/workers/figure'
import { FigureSvg } from '../shared/FigureSvg'
import classes from './FigureBench.module.css'

/** One press of an arrow key moves a part by this, in hundredths of a stature. */
const KEY_STEP = 1
const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-KEY_STEP, 0],
  ArrowRight: [KEY_STEP, 0],
  ArrowUp: [0, -KEY_STEP],
  ArrowDown: [0, KEY_STEP],
}

interface StageProps {
  answer: FigureAnswer
  title: string
  onDrag: (drag: { handle: string; from: Pose; dx: number; dy: number }) => void
  /** The part is let go: it stays where it was pulled last. */
  onDrop: () => void
}

/** The drawing with its handles; a handle is pulled by hand or by the arrow keys. */
export function Stage({ answer, title, onDrag, onDrop }: StageProps) {
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
    onDrop()
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
    onDrop()
  }
  return (
    <div ref={frame} className={classes.drawing}>
      <FigureSvg drawing={{ ...answer.drawing, box }} label={title} />
      <svg viewBox={viewBoxOf(box)} className={classes.handles}>
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
