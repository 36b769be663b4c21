import { type Drawing, inkOf, type Palette, viewBoxOf } from '@/core/figure'

const PALETTE: Palette = {
  body: 'var(--figure-body)',
  far: 'var(--figure-far)',
  paper: 'var(--figure-gap)',
  line: 'var(--ink)',
  measure: 'var(--figure-measure)',
}

/** A drawn figure in the page, in the inks of its scheme. */
export function FigureSvg({
  drawing,
  label,
  className,
}: {
  drawing: Drawing
  label: string
  className?: string
}) {
  return (
    <svg role="img" aria-label={label} className={className} viewBox={viewBoxOf(drawing.box)}>
      {drawing.shapes.map(({ kind, path }, i) => {
        const { fill, stroke, width } = inkOf(kind, PALETTE)
        return (
          <path
            key={i}
            d={path}
            fill={fill}
            stroke={stroke}
            strokeWidth={width}
            strokeLinejoin="round"
            strokeLinecap="round"
            paintOrder={kind === 'body' || kind === 'far' ? 'stroke' : undefined}
            strokeDasharray={kind === 'ghost' ? '2 1.5' : undefined}
          />
        )
      })}
      {drawing.letters.map(({ text, x, y }) => (
        <text
          key={text}
          x={x}
          y={y}
          fontSize={6}
          textAnchor="middle"
          dominantBaseline="central"
          fill="var(--ink)"
        >
          {text}
        </text>
      ))}
    </svg>
  )
}
