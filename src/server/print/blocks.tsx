import { Path, Svg, Text, View } from '@react-pdf/renderer'
import { Fragment } from 'react'
import { drawnRibbon } from '@/core/breath'
import type { Side } from '@/core/card'
import { LABELS, packOf } from '@/core/language'
import {
  type Block,
  type Drawn,
  type Half,
  type Item as ItemBlock,
  ledOrder,
  type Line,
  pieces,
  type Row,
  type Sheet,
} from '@/core/print'
import { BreathMark, FigureOnPaper, VerdictMark } from './marks'
import { GREY, INK, INNER, RULE, s, type Stock } from './style'
import { FLOW_LETTERS, Item, Words } from './words'

/** The blocks of a sheet on paper. */

export interface OnPaper {
  sheet: Sheet
  size: Stock
}

export const labelsOf = ({ language }: Sheet) => packOf(language)?.labels ?? LABELS

export function OneBlock({ block, ...on }: { block: Block } & OnPaper) {
  switch (block.kind) {
    case 'figures':
      return <Figures drawn={block.drawn} {...on} />
    case 'spread':
      return <Spread block={block} {...on} />
    case 'list':
      return (
        <>
          {block.items.map((each, i) => (
            // What is drawn of a line stands with it, as on the screen.
            <Fragment key={i}>
              {each.verdict ? <Marked item={each} /> : <Item lines={each.lines} />}
              <Strip drawn={each.drawn ?? []} {...on} />
            </Fragment>
          ))}
        </>
      )
    case 'rungs':
      return (
        <>
          {block.items.map((each, i) => (
            <Rung key={i} item={each} />
          ))}
          <Strip drawn={block.items.flatMap(({ drawn = [] }) => drawn)} {...on} />
        </>
      )
    case 'table':
      return <Table block={block} />
    case 'ribbon':
      return <Ribbon block={block} {...on} />
  }
}

/** Both sides of the form described, left and right as on the spread. */
function Figures({ drawn, size }: { drawn: Drawn[] } & OnPaper) {
  return (
    <View style={[s.row, { justifyContent: 'space-around', marginTop: 6 }]} wrap={false}>
      {drawn.map((each) => (
        <FigureOnPaper
          key={each.side}
          of={each}
          width={INNER[size] / drawn.length - 8}
          height={size === 'A6' ? 70 : 110}
        />
      ))}
    </View>
  )
}

/** Small figures in a row, each with what it is of below. */
function Strip({ drawn, size }: { drawn: Drawn[] } & OnPaper) {
  if (drawn.length === 0) return null
  const width = INNER[size] / (size === 'A6' ? 3 : 4)
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', marginTop: 4 }}>
      {drawn.map((each, i) => (
        <View key={i} wrap={false} style={{ width, alignItems: 'center', paddingBottom: 2 }}>
          <FigureOnPaper of={{ ...each, letters: false }} width={width - 8} height={48} />
          <Text style={{ fontSize: 7, color: GREY }}>{each.caption}</Text>
        </View>
      ))}
    </View>
  )
}

function Table({ block: { head, rows, note } }: { block: Extract<Block, { kind: 'table' }> }) {
  const cell = { width: '11%', textAlign: 'right', fontSize: 8 } as const
  const line = [s.row, { borderBottomWidth: 0.4, borderColor: RULE, paddingVertical: 1.5 }]
  return (
    <>
      <View style={line} wrap={false}>
        {head.map((each, i) => (
          <Text key={each} style={i === 0 ? { width: '45%', fontSize: 8, color: GREY } : cell}>
            {each}
          </Text>
        ))}
      </View>
      {rows.map(({ what, cells }) => (
        <View key={what} style={line} wrap={false}>
          <Text style={{ width: '45%', fontSize: 8 }}>{what}</Text>
          {cells.map(({ value, told }, i) => (
            <Text key={i} style={cell}>
              {value}
              {told ? `\n${told}` : ''}
            </Text>
          ))}
        </View>
      ))}
      <Text style={s.small}>{note}</Text>
    </>
  )
}

const BREADTH = 14

/** One pass to scale, from left to right: every second has the same length. */
function Ribbon({ block, size }: { block: Extract<Block, { kind: 'ribbon' }> } & OnPaper) {
  const length = INNER[size]
  const { stretches } = drawnRibbon(block.ribbon, { length, breadth: BREADTH }, true)
  return (
    <View wrap={false} style={{ marginTop: 3 }}>
      <Svg width={length} height={BREADTH} viewBox={`0 0 ${length} ${BREADTH}`}>
        {stretches.map(({ path, paint }, i) => (
          <Path
            key={i}
            d={path}
            fill={paint === 'fill' ? INK : 'none'}
            stroke={paint === 'fill' ? '#ffffff' : INK}
            strokeWidth={paint === 'fill' ? 0.3 : 0.8}
          />
        ))}
      </Svg>
      <Text style={s.small}>{block.told}</Text>
    </View>
  )
}

function HalfTitles({ sheet, centre }: { sheet: Sheet; centre: string }) {
  if (!sheet.sided) return null
  const words = labelsOf(sheet).sheet
  const [first] = ledOrder(sheet.firstSide)
  const title = (side: Side) =>
    [words.leads[side].toUpperCase(), words.order[side === first ? 'first' : 'second']].join(' · ')
  return (
    <View
      style={[s.row, { borderBottomWidth: 0.7, borderColor: INK }]}
      wrap={false}
      minPresenceAhead={50}
    >
      <Text style={[s.left, s.half]}>{title('left')} · L</Text>
      <Text style={[s.spine, { textAlign: 'center', fontSize: 7, color: GREY, paddingTop: 3 }]}>
        {centre}
      </Text>
      <Text style={[s.right, s.half]}>R · {title('right')}</Text>
    </View>
  )
}

/** Longest stretch of wording that one row of the sheet holds; the rest goes on below. */
const ROW_LETTERS = 420

interface RowProps {
  row: Row
  sheet: Sheet
  /** Before its words, when rows are numbered. */
  label: string
  absent: string
}

/** A row is never cut by the end of a page; a long line goes on in rows of its own. */
function OneRow({ row, sheet, label, absent }: RowProps) {
  const cutIn = (half: Half | null) => half && pieces(half.words, ROW_LETTERS)
  const [left, right] = [cutIn(row.left), cutIn(row.right)]
  const count = Math.max(left?.length ?? 0, right?.length ?? 0, 1)
  const half = (cut: Line[] | null, at: number, of: Half | null) =>
    cut ? (
      <>
        {at === 0 && label}
        <Words parts={cut[at] ?? []} />
        {at === count - 1 && of?.measured && (
          <Text style={{ fontSize: 7, color: GREY }}>{` (${of.measured})`}</Text>
        )}
      </>
    ) : (
      <Text style={{ color: GREY }}>{at === 0 && `${label}${absent}`}</Text>
    )
  const middle = [
    row.label,
    row.breath ? labelsOf(sheet).breath[row.breath] : '',
    ...row.beside,
  ].filter(Boolean)
  return Array.from({ length: count }, (_, at) => (
    <View
      key={at}
      style={[s.row, at === count - 1 ? { borderBottomWidth: 0.4, borderColor: RULE } : {}]}
      wrap={false}
    >
      {sheet.sided && <Text style={s.left}>{half(left, at, row.left)}</Text>}
      <View style={s.spine}>
        {at === 0 && row.breath && <BreathMark breath={row.breath} seconds={row.seconds} />}
        {at === 0 &&
          middle.map((each) => (
            <Text key={each} style={{ fontSize: 6.5, color: GREY, textAlign: 'center' }}>
              {each}
            </Text>
          ))}
      </View>
      <Text style={s.right}>{half(right, at, row.right)}</Text>
    </View>
  ))
}

/** The rows of a spread, and below them what is drawn of them, led from the first side. */
function Spread({ block, ...on }: { block: Extract<Block, { kind: 'spread' }> } & OnPaper) {
  const { sheet } = on
  const drawn = block.rows.flatMap((row, i) => {
    const of = (row[sheet.firstSide] ?? row.right)?.drawn
    return of ? [{ ...of, caption: `${i + 1}` }] : []
  })
  return (
    <>
      <HalfTitles sheet={sheet} centre={block.centre} />
      {block.rows.map((row, i) => (
        <OneRow
          key={row.id}
          row={row}
          sheet={sheet}
          label={block.numbered ? `${i + 1}. ` : ''}
          absent={block.absent}
        />
      ))}
      <Strip drawn={drawn} {...on} />
    </>
  )
}

function Rung({ item }: { item: ItemBlock }) {
  return (
    <>
      <Item
        style={{ paddingVertical: 2.5 }}
        last={{ fontSize: 8.4, paddingLeft: 10 }}
        lines={item.lines}
      />
      {item.bars && <Bars bars={item.bars} />}
      <View style={{ height: 1.6, backgroundColor: INK }} />
    </>
  )
}

/** Numbers from 0 to 100 side by side, each a bar with its word. */
function Bars({ bars }: { bars: NonNullable<ItemBlock['bars']> }) {
  return (
    <View wrap={false} style={{ flexDirection: 'row', paddingLeft: 10, paddingBottom: 2.5 }}>
      {bars.map(({ label, value }) => (
        <View key={label} style={{ width: `${100 / bars.length}%`, paddingRight: 5 }}>
          <View style={{ height: 3.4, backgroundColor: '#e4e4e0' }}>
            <View style={{ height: 3.4, width: `${value}%`, backgroundColor: INK }} />
          </View>
          <Text style={{ fontSize: 6.4, color: GREY }}>
            {label} {value}
          </Text>
        </View>
      ))}
    </View>
  )
}

/** The marks of the verdicts stand before the words. */
function Marked({ item: { lines, verdict } }: { item: ItemBlock }) {
  return lines
    .flatMap((line) => pieces(line, FLOW_LETTERS))
    .map((piece, i) => (
      <View key={i} style={[s.row, s.item]} wrap={false}>
        <View style={{ width: 14, paddingTop: 2.5 }}>
          {i === 0 && <VerdictMark verdict={verdict!} />}
        </View>
        <Text style={{ flex: 1 }}>
          <Words parts={piece} />
        </Text>
      </View>
    ))
}
