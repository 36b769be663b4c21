'use client'

import { memo } from 'react'
import { Bar, BarChart, Cell, LabelList, XAxis, YAxis } from 'recharts'
import { DEMANDED } from '@/core/card'
import type { DemandNumbers } from '@/core/ladder'
import { LADDER } from '@/core/language'

const INK = { fontSize: 11, fill: 'var(--ink)' }
const ROW = 17
const WORDS = 92
const LEAST = 0.4

/** The word of a bar, on one line. */
const Word = ({
  x,
  y,
  payload,
}: {
  x: number | string
  y: number | string
  payload: { value: string }
}) => (
  <text x={x} y={y} dy={4} textAnchor="end" {...INK}>
    {payload.value}
  </text>
)

/** Each part of a demand as a bar from 0 to 100; of two demands the bars stand one under the other. */
export const DemandBars = memo(function DemandBars({
  demand,
  beside,
  width = 250,
  faint = false,
}: {
  demand: DemandNumbers
  /** Another demand, to compare with. */
  beside?: DemandNumbers
  width?: number
  /** Whether it is not sure. */
  faint?: boolean
}) {
  const data = DEMANDED.map((part) => ({
    part: LADDER.demanded[part],
    value: Math.round(demand[part]),
    ...(beside ? { other: Math.round(beside[part]) } : {}),
    // A bar of nothing still has its place and its number.
    long: Math.max(LEAST, demand[part]),
    ...(beside ? { otherLong: Math.max(LEAST, beside[part]) } : {}),
  }))
  const told = data
    .map(
      ({ part, value, other }) =>
        `${part} ${value}${other === undefined ? '' : ` against ${other}`}`
    )
    .join(', ')
  return (
    <div role="img" aria-label={told}>
      <BarChart
        layout="vertical"
        width={width}
        height={data.length * ROW * (beside ? 1.6 : 1) + 6}
        data={data}
        margin={{ top: 2, right: 26, bottom: 2, left: 0 }}
        barGap={1}
        barCategoryGap={beside ? 4 : 3}
        accessibilityLayer={false}
      >
        <XAxis type="number" domain={[0, 100]} hide />
        <YAxis
          type="category"
          dataKey="part"
          width={WORDS}
          tick={Word}
          tickLine={false}
          axisLine={{ stroke: 'var(--rule)' }}
          interval={0}
        />
        <Bar
          dataKey="long"
          isAnimationActive={false}
          fill="var(--figure-cloth)"
          background={{ fill: 'var(--right-tint)' }}
        >
          {data.map(({ part }) => (
            <Cell key={part} fillOpacity={faint ? 0.35 : 1} />
          ))}
          <LabelList dataKey="value" position="right" style={INK} />
        </Bar>
        {beside && (
          <Bar
            dataKey="otherLong"
            isAnimationActive={false}
            fill="var(--leaf)"
            stroke="var(--ink)"
            strokeWidth={1}
          >
            <LabelList dataKey="other" position="right" style={INK} />
          </Bar>
        )}
      </BarChart>
    </div>
  )
})
