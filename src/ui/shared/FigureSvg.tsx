import { memo } from 'react'
import { DASHES, type Drawing, groupsOf, inkOf, type Palette, viewBoxOf } from '@/core/figure'

const PALETTE: Palette = {
  cloth: 'var(--figure-cloth)',
  hair: 'var(--figure-hair)',
  lightHair: 'var(--figure-light-hair)',
  skin: 'var(--figure-skin)',
  paper: 'var(--figure-gap)',
  line: 'var(--figure-line)',
  beside: 'var(--ink)',
  measure: 'var(--figure-measure)',
}

interface Props {
  drawing: Drawing & { words?: string }
  label: string
  className?: string
}

/** A drawn figure in the page, in the inks of its scheme. */
export const FigureSvg = memo(function FigureSvg({ drawing, label, className }: Props) {
  return (
    <svg
      role="img"
      aria-label={drawing.words ? `${label}. ${drawing.words}` : label}
      className={className}
      viewBox={viewBoxOf(drawing.box)}
    >
      {groupsOf(drawing.shapes).map(({ kind, paths }) => {
        const { fill, stroke, width } = inkOf(kind, PALETTE)
        return (
          <g
            key={kind}
            data-part={kind}
            fill={fill}
            stroke={stroke}
            strokeWidth={width * (drawing.weight ?? 1)}
            strokeLinejoin="round"
            strokeLinecap="round"
            strokeDasharray={DASHES[kind]}
          >
            {paths.map((path, i) => (
              <path key={i} d={path} />
            ))}
          </g>
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
})
