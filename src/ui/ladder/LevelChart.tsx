'use client'

import { useRouter } from 'next/navigation'
import {
  CartesianGrid,
  ReferenceArea,
  ReferenceLine,
  Scatter,
  ScatterChart,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts'
import type { Demanded } from '@/core/card'
import type { CardLevels, Level } from '@/core/ladder'
import classes from './DeckLadders.module.css'

const COLUMN = 46
const HEIGHT = 430
const INK = { fontSize: 12, fill: 'var(--ink)' }

interface Props {
  /** In the order in which they stand. */
  cards: readonly CardLevels[]
  family: 'base' | 'spine'
  of: Demanded | 'total'
  label: (family: string) => string
}

interface Dot extends Level {
  x: number
  y: number
}

/** Cards side by side, families in bands, each rung as high as what it asks. */
export function LevelChart({ cards, family, of, label }: Props) {
  const router = useRouter()
  const dots = cards.flatMap(({ levels }, x) =>
    levels.map((level): Dot => ({ ...level, x, y: level.demand[of] }))
  )
  const highest = Math.max(10, ...dots.map(({ y }) => y))
  const bands = cards.flatMap((card, i) =>
    i === 0 || cards[i - 1]![family] !== card[family]
      ? [
          {
            name: card[family],
            from: i,
            until: i + cards.filter((each) => each[family] === card[family]).length - 1,
          },
        ]
      : []
  )
  return (
    <div className={classes.chart} tabIndex={0} role="region" aria-label="Levels of the deck">
      <ScatterChart
        width={Math.max(900, cards.length * COLUMN + 70)}
        height={HEIGHT}
        margin={{ top: 26, right: 10, bottom: 76, left: 0 }}
      >
        {bands.map(({ name, from, until }, i) => (
          <ReferenceArea
            key={name}
            x1={from - 0.5}
            x2={until + 0.5}
            fill={i % 2 ? 'var(--left-tint)' : 'var(--right-tint)'}
            fillOpacity={1}
            label={{
              value: label(name).split(',')[0],
              position: 'insideTopLeft',
              dy: (i % 2) * 15,
              ...INK,
              fontWeight: 700,
            }}
          />
        ))}
        <CartesianGrid vertical={false} stroke="var(--rule)" />
        <XAxis
          type="number"
          dataKey="x"
          domain={[-0.5, cards.length - 0.5]}
          ticks={cards.map((_, i) => i)}
          interval={0}
          tickLine={false}
          tick={({
            x,
            y,
            payload,
          }: {
            x: number | string
            y: number | string
            payload: { value: number }
          }) => (
            <text x={x} y={y} textAnchor="end" transform={`rotate(-42 ${x} ${y})`} dy={8} {...INK}>
              {cards[payload.value]?.title ?? ''}
            </text>
          )}
        />
        <YAxis
          type="number"
          dataKey="y"
          domain={[0, Math.min(100, Math.ceil(highest / 10) * 10)]}
          tick={INK}
          width={38}
          tickLine={false}
        />
        {cards.map(({ id, levels }, x) => {
          const all = levels.filter(({ beside }) => !beside).map(({ demand }) => demand[of])
          return (
            <ReferenceLine
              key={id}
              segment={[
                { x, y: Math.min(...all) },
                { x, y: Math.max(...all) },
              ]}
              stroke="var(--ink-soft)"
            />
          )
        })}
        <Tooltip
          isAnimationActive={false}
          content={({ payload }) => {
            const dot = payload?.[0]?.payload as Dot | undefined
            return dot ? (
              <div className={classes.tip}>
                <b>{dot.title}</b>
                <br />
                {dot.name}: {Math.round(dot.y)}
              </div>
            ) : null
          }}
        />
        <Scatter
          data={dots}
          isAnimationActive={false}
          onClick={(dot) =>
            router.push(
              `/cards/${(dot as unknown as { payload: Dot }).payload.card}/bench?at=ladder`
            )
          }
          shape={(props: unknown) => {
            const { cx, cy, payload } = props as { cx: number; cy: number; payload: Dot }
            return (
              <rect
                x={cx - 5}
                y={cy - 5}
                width={10}
                height={10}
                rx={payload.beside ? 5 : 0}
                fill={payload.reference ? 'var(--ink)' : 'var(--leaf)'}
                stroke="var(--ink)"
                strokeWidth={1.4}
                style={{ cursor: 'pointer' }}
              />
            )
          }}
        />
      </ScatterChart>
    </div>
  )
}
