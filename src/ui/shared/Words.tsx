import { IconPinFilled } from '@tabler/icons-react'
import type { Side } from '@/core/card'
import type { Ink } from '@/core/print'
import classes from './Words.module.css'

const toneOf = ({ bold, soft }: Ink) => (bold ? classes.bold : soft ? classes.soft : undefined)

/** A line with its side words underlined: swapped ones solid, fixed ones dotted, with a pin. */
export function Words({ parts, side }: { parts: Ink[]; side: Side }) {
  return (
    <bdi dir="auto">
      {parts.map((part, i) =>
        part.role === 'text' ? (
          <span key={i} className={toneOf(part)}>
            {part.text}
          </span>
        ) : (
          <span
            key={i}
            className={`${part.role === 'fixed' ? classes.fixed : classes[side]} ${toneOf(part) ?? ''}`}
          >
            {part.text}
            {part.role === 'fixed' && (
              <IconPinFilled
                size={11}
                className={classes.pin}
                role="img"
                aria-label="fixed: the same on both sides"
              />
            )}
          </span>
        )
      )}
    </bdi>
  )
}
