import { LABELS } from '@/core/language'
import { breathShape } from '@/core/breath'
import { type Breath } from '@/core/card'

/** The mark of a breath phase: its shape tells in, out, hold and free apart. */
export function BreathMark({
  breath,
  width,
  height,
  decorative,
}: {
  breath: Breath
  width: number
  height: number
  decorative?: boolean
}) {
  const shape = breathShape(breath, width, height)
  const filled = shape.paint === 'fill'
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      {...(decorative
        ? { 'aria-hidden': true }
        : { role: 'img', 'aria-label': `breathe ${LABELS.breath[breath]}` })}
    >
      <path
        d={shape.path}
        fill={filled ? 'var(--ink)' : 'none'}
        stroke={filled ? 'none' : 'var(--ink)'}
        strokeWidth={filled ? 0 : 2}
      />
    </svg>
  )
}
