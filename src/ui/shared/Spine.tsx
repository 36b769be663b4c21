import { drawnSpine, durationWords, PART_WORDS, type SpineStretch } from '@/core/breath'
import classes from './Spine.module.css'

interface Props {
  spine: readonly SpineStretch[]
  /** Length in pixels. */
  length: number
  /** Runs to the right in place of down. */
  lies?: boolean
}

const BREADTH = 26

/** One pass through the pose to scale: every second has the same length. */
export function Spine({ spine, length, lies = false }: Props) {
  const drawn = drawnSpine(spine, { length, breadth: BREADTH }, lies)
  if (drawn.stretches.length === 0) return null
  const at = (from: number) => (lies ? `translate(${from} 0)` : `translate(0 ${from})`)
  const label = `One side: ${drawn.parts
    .map(({ part, seconds }) => `${PART_WORDS[part]} ${durationWords(seconds)}`)
    .join(', ')}.`
  return (
    <div className={lies ? classes.lying : classes.standing}>
      <svg
        role="img"
        aria-label={label}
        viewBox={lies ? `0 0 ${length} ${BREADTH}` : `0 0 ${BREADTH} ${length}`}
        width={lies ? '100%' : BREADTH}
        height={lies ? undefined : length}
      >
        {drawn.stretches.map((stretch, i) => (
          <path
            key={i}
            d={stretch.path}
            transform={at(stretch.from)}
            fill={stretch.paint === 'fill' ? 'var(--ink)' : 'none'}
            stroke={stretch.paint === 'fill' ? 'var(--leaf)' : 'var(--ink)'}
            strokeWidth={stretch.paint === 'fill' ? 0.6 : 1.4}
          />
        ))}
      </svg>
      <div className={classes.parts} aria-hidden>
        {drawn.parts.map(({ part, from, length: long, seconds }, i) => (
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
              {PART_WORDS[part]} <b>{durationWords(seconds)}</b>
            </span>
          </div>
        ))}
      </div>
    </div>
  )
}
