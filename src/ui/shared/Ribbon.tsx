import { drawnRibbon, type RibbonStretch } from '@/core/breath'
import { LABELS } from '@/core/language'
import classes from './Ribbon.module.css'

interface Props {
  ribbon: readonly RibbonStretch[]
  /** Length in pixels. */
  length: number
  /** Runs to the right in place of down. */
  lies?: boolean
  /** What it says, when it was told elsewhere already. */
  label?: string
}

const BREADTH = 26

/** One pass through the pose to scale: every second has the same length. */
export function Ribbon({ ribbon, length, lies = false, label }: Props) {
  const drawn = drawnRibbon(ribbon, { length, breadth: BREADTH }, lies)
  if (drawn.stretches.length === 0) return null
  const told = drawn.parts.map(({ part, seconds }) => ({
    part: LABELS.passes[part] ?? part,
    seconds,
  }))
  return (
    <div className={lies ? classes.lying : classes.standing}>
      <svg
        role="img"
        aria-label={label ?? LABELS.sheet.oneSide(told)}
        viewBox={lies ? `0 0 ${length} ${BREADTH}` : `0 0 ${BREADTH} ${length}`}
        width={lies ? '100%' : BREADTH}
        height={lies ? undefined : length}
      >
        {drawn.stretches.map((stretch, i) => (
          <path
            key={i}
            d={stretch.path}
            fill={stretch.paint === 'fill' ? 'var(--ink)' : 'none'}
            stroke={stretch.paint === 'fill' ? 'var(--leaf)' : 'var(--ink)'}
            strokeWidth={stretch.paint === 'fill' ? 0.6 : 1.4}
          />
        ))}
      </svg>
      <div className={classes.parts} aria-hidden>
        {drawn.parts.map(({ from, length: long, seconds }, i) => (
          <div
            key={i}
            className={classes.part}
            style={
              lies
                ? { left: `${(from / length) * 100}%`, width: `${(long / length) * 100}%` }
                : { top: from, height: long }
            }
          >
            <span>
              {told[i]!.part} <b>{LABELS.duration(seconds)}</b>
            </span>
          </div>
        ))}
      </div>
    </div>
  )
}
