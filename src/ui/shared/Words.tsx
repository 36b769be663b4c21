import { IconPinFilled } from '@tabler/icons-react'
import type { Side } from '@/core/card'
import type { Stretch } from '@/core/sides'
import classes from './Words.module.css'

/** A line with its side words underlined: swapped ones solid, fixed ones dotted, with a pin. */
export function Words({ parts, side }: { parts: Stretch[]; side: Side }) {
  return (
    <bdi dir="auto">
      {parts.map((part, i) =>
        part.role === 'text' ? (
          <span key={i}>{part.text}</span>
        ) : (
          <span key={i} className={part.role === 'fixed' ? classes.fixed : classes[side]}>
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
