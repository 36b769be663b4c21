import { Circle, Path, Rect, Svg, Text } from '@react-pdf/renderer'
import { breathShape } from '@/core/breath'
import type { Breath, Verdict } from '@/core/card'
import { DASHES, drawnFigure, inkOf, PAPER_PALETTE, viewBoxOf } from '@/core/figure'
import type { Drawn } from '@/core/print'
import { INK } from './style'

/** What is drawn on paper: breath shapes, verdicts, figures. */

export function BreathMark({ breath, seconds }: { breath: Breath; seconds: number }) {
  const height = Math.max(16, Math.min(60, 5 * seconds))
  const shape = breathShape(breath, 18, height)
  const filled = shape.paint === 'fill'
  return (
    <Svg width={18} height={height} viewBox={`0 0 18 ${height}`}>
      <Path
        d={shape.path}
        fill={filled ? INK : 'none'}
        stroke={filled ? 'none' : INK}
        strokeWidth={filled ? 0 : 1}
      />
    </Svg>
  )
}

export function VerdictMark({ verdict }: { verdict: Verdict }) {
  return (
    <Svg width={8} height={8} viewBox="0 0 8 8">
      {verdict === 'avoid' && <Rect x={0.5} y={0.5} width={7} height={7} fill={INK} />}
      {verdict === 'ask-first' && (
        <Circle cx={4} cy={4} r={3.2} fill="none" stroke={INK} strokeWidth={1} />
      )}
      {verdict === 'change' && <Path d="M4 0.8 A3.2 3.2 0 0 0 4 7.2 Z" fill={INK} />}
      {verdict === 'change' && (
        <Circle cx={4} cy={4} r={3.2} fill="none" stroke={INK} strokeWidth={0.8} />
      )}
      {verdict === 'fine' && <Circle cx={4} cy={4} r={1.3} fill={INK} />}
    </Svg>
  )
}

const PRINTED = { ...PAPER_PALETTE, paper: '#ffffff', skin: '#ffffff' }

/** A figure on paper, so wide and so high at most. */
export function FigureOnPaper({
  of: { figure, letters, shown },
  width,
  height,
}: {
  of: Drawn
  width: number
  height: number
}) {
  const { box, shapes, letters: names, weight = 1 } = drawnFigure(figure, letters, shown)
  const scale = Math.min(width / box[2], height / box[3])
  return (
    <Svg width={box[2] * scale} height={box[3] * scale} viewBox={viewBoxOf(box)}>
      {shapes.map(({ kind, path }, i) => {
        const { fill, stroke, width } = inkOf(kind, PRINTED)
        return (
          <Path
            key={i}
            d={path}
            fill={fill}
            stroke={stroke}
            strokeWidth={width * weight}
            strokeLinecap="round"
            strokeDasharray={DASHES[kind]}
          />
        )
      })}
      {names.map(({ text, x, y }) => (
        <Text key={text} x={x - 2} y={y + 2} style={{ fontSize: 6 }}>
          {text}
        </Text>
      ))}
    </Svg>
  )
}
