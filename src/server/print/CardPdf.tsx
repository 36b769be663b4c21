import {
  Circle,
  Document,
  G,
  Page,
  Path,
  Rect,
  StyleSheet,
  Svg,
  Text,
  type TextProps,
  View,
  type ViewProps,
} from '@react-pdf/renderer'
import type { ReactNode } from 'react'
import { breathShape, drawnSpine, durationWords, PART_WORDS } from '@/core/breath'
import { BREATH_WORDS, VERDICT_WORDS, type Breath, type Verdict } from '@/core/card'
import {
  drawnFigure,
  type Figure,
  inkOf,
  PAPER_PALETTE,
  type ShownMeasures,
  type SizeRow,
  sizeWords,
  STATURES,
  viewBoxOf,
} from '@/core/figure'
import {
  ledOrder,
  pieces,
  type Sheet,
  type SheetRung,
  type SpreadLine,
  type SpreadRow,
  wordsOf,
} from '@/core/print'
import type { Stretch } from '@/core/sides'
import { TEXT_FONTS, TITLE_FONTS } from './fonts'

type TextStyle = Exclude<TextProps['style'], undefined>
type ViewStyle = Exclude<ViewProps['style'], undefined>

/** Paper, ISO 216, portrait. */
export type Stock = 'A4' | 'A5' | 'A6'

const INK = '#1f2a2e'
const GREY = '#55605f'
const RULE = '#b9b4a2'

const s = StyleSheet.create({
  page: {
    paddingTop: 26,
    paddingBottom: 34,
    paddingHorizontal: 26,
    fontFamily: TEXT_FONTS as never,
    fontSize: 9.2,
    color: INK,
    lineHeight: 1.32,
  },
  title: { fontFamily: TITLE_FONTS as never, fontSize: 19, lineHeight: 1.25, marginBottom: 2 },
  names: { color: INK, marginTop: 1 },
  facts: { color: GREY, fontSize: 8, marginTop: 2 },
  head: { fontWeight: 700, fontSize: 9.5, marginTop: 9, marginBottom: 3 },
  small: { color: GREY, fontSize: 8 },
  row: { flexDirection: 'row', alignItems: 'stretch' },
  left: { flex: 1, textAlign: 'right', paddingRight: 7, paddingVertical: 2.5 },
  right: { flex: 1, paddingLeft: 7, paddingVertical: 2.5 },
  spine: { width: 42, paddingVertical: 2, alignItems: 'center', justifyContent: 'center' },
  half: { fontWeight: 700, fontSize: 8, letterSpacing: 0.4 },
  item: { marginBottom: 3 },
  foot: {
    position: 'absolute',
    bottom: 14,
    left: 26,
    right: 26,
    flexDirection: 'row',
    justifyContent: 'space-between',
    color: GREY,
    fontSize: 7,
  },
})

/** A stretch of wording with its look on paper. */
type Ink = Stretch & { bold?: boolean; soft?: boolean }

const plain = (text: string): Ink => ({ text, role: 'text' })
const strong = (text: string): Ink => ({ text, role: 'text', bold: true })
const soft = (text: string): Ink => ({ text, role: 'text', soft: true })

/** Side words are underlined: swapped ones solid, fixed ones dotted, as on screen. */
function Words({ parts }: { parts: Ink[] }) {
  return parts.map(({ text, role, bold, soft: grey }, i) => (
    <Text
      key={i}
      style={{
        ...(role === 'text'
          ? {}
          : {
              textDecoration: 'underline',
              textDecorationStyle: role === 'fixed' ? 'dotted' : 'solid',
            }),
        ...(bold ? { fontWeight: 700 } : {}),
        ...(grey ? { color: GREY, fontSize: 8 } : {}),
      }}
    >
      {text}
    </Text>
  ))
}

/** Longest piece of wording across the sheet that stays whole; a longer one goes on below. */
const FLOW_LETTERS = 700

/** Wording that is never cut by the end of a page: a long one goes on as a piece of its own. */
function Flow({ parts, style }: { parts: Ink[]; style?: TextStyle }) {
  return pieces(parts, FLOW_LETTERS).map((piece, i) => (
    <View key={i} wrap={false}>
      <Text style={style ?? {}}>
        <Words parts={piece} />
      </Text>
    </View>
  ))
}

const letters = (lines: Ink[][]) => lines.reduce((sum, line) => sum + wordsOf(line).length, 0)

/**
 * Lines that belong together stay on one page when they fit on one. No view that may be cut
 * holds another one: the PDF writer loses its measures there.
 */
function Item({ lines, style, last }: { lines: Ink[][]; style?: ViewStyle; last?: TextStyle }) {
  const flows = lines.map((line, i) => (
    <Flow key={i} parts={line} style={i > 0 ? last : undefined} />
  ))
  if (letters(lines) > FLOW_LETTERS) return flows
  return (
    <View style={style ?? s.item} wrap={false}>
      {flows}
    </View>
  )
}

function BreathMark({ breath, seconds }: { breath: Breath; seconds: number }) {
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

const PRINTED = { ...PAPER_PALETTE, paper: '#ffffff' }

/** A figure on paper, so wide and so high at most. */
function Drawn({
  figure,
  letters,
  shown,
  width,
  height,
}: {
  figure: Figure
  letters: boolean
  shown?: ShownMeasures
  width: number
  height: number
}) {
  const { box, shapes, letters: names } = drawnFigure(figure, letters, shown)
  const scale = Math.min(width / box[2], height / box[3])
  return (
    <Svg width={box[2] * scale} height={box[3] * scale} viewBox={viewBoxOf(box)}>
      {shapes.flatMap(({ kind, path }, i) => {
        const ink = inkOf(kind, PRINTED)
        const line = (
          <Path
            key={`${i} line`}
            d={path}
            fill="none"
            stroke={ink.stroke}
            strokeWidth={ink.width}
          />
        )
        const fill = <Path key={`${i} fill`} d={path} fill={ink.fill} />
        // Paper has no order of paint: the line goes down first, and the fill covers its inner half.
        if (kind === 'body' || kind === 'far') return [line, fill]
        return [
          <Path key={i} d={path} fill={ink.fill} stroke={ink.stroke} strokeWidth={ink.width} />,
        ]
      })}
      {names.map(({ text, x, y }) => (
        <Text key={text} x={x - 2} y={y + 2} style={{ fontSize: 6 }}>
          {text}
        </Text>
      ))}
    </Svg>
  )
}

/** Both sides of the form described, left and right as on the spread. */
function Figures({ sheet, size }: { sheet: Sheet; size: Stock }) {
  if (sheet.figures.length === 0) return null
  const sides = sheet.sided ? (['left', 'right'] as const) : (['right'] as const)
  return (
    <View style={[s.row, { justifyContent: 'space-around', marginTop: 6 }]} wrap={false}>
      {sides.map((side) => (
        <Drawn
          key={side}
          {...sheet.figures.find((each) => each.side === side)!}
          letters={sheet.sided}
          width={INNER[size] / sides.length - 8}
          height={size === 'A6' ? 70 : 110}
        />
      ))}
    </View>
  )
}

/** The start and the steps that are drawn, in their order, led from the first side. */
function Steps({ sheet, size }: { sheet: Sheet; size: Stock }) {
  const steps = [
    ...(sheet.start ? [{ name: 'start', figure: sheet.start }] : []),
    ...[...sheet.enter, ...sheet.otherWay, ...sheet.exit].flatMap((row, i) => {
      const figure = row.figures?.[sheet.firstSide] ?? row.figures?.right
      if (!figure) return []
      const on = i < sheet.enter.length ? `${i + 1}` : 'on from there'
      return [{ name: on, figure }]
    }),
    ...sheet.ladder.flatMap(({ name, figure }) => (figure ? [{ name, figure }] : [])),
  ]
  if (steps.length === 0) return null
  const across = size === 'A6' ? 3 : 4
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', marginTop: 4 }}>
      {steps.map(({ name, figure }, i) => (
        <View
          key={i}
          wrap={false}
          style={{ width: INNER[size] / across, alignItems: 'center', paddingBottom: 2 }}
        >
          <Drawn figure={figure} letters={false} width={INNER[size] / across - 8} height={48} />
          <Text style={{ fontSize: 7, color: GREY }}>{name}</Text>
        </View>
      ))}
    </View>
  )
}

/** What scales with the person, by stature. */
function Sizes({ rows }: { rows: SizeRow[] }) {
  if (rows.length === 0) return null
  const cell = { width: '11%', textAlign: 'right', fontSize: 8 } as const
  const line = [s.row, { borderBottomWidth: 0.4, borderColor: RULE, paddingVertical: 1.5 }]
  return (
    <Section title="For a person’s size">
      <View style={line} wrap={false}>
        <Text style={{ width: '45%', fontSize: 8, color: GREY }}>stature, cm</Text>
        {STATURES.map((stature) => (
          <Text key={stature} style={cell}>
            {stature}
          </Text>
        ))}
      </View>
      {rows.map(({ what, unit, values, told }) => (
        <View key={what} style={line} wrap={false}>
          <Text style={{ width: '45%', fontSize: 8 }}>{what}</Text>
          {values.map((value, i) => (
            <Text key={i} style={cell}>
              {sizeWords(value, unit)}
              {told ? `\n${told[i]!}` : ''}
            </Text>
          ))}
        </View>
      ))}
    </Section>
  )
}

/** Inner width of a page, in points. */
const INNER: Record<Stock, number> = { A4: 543, A5: 367, A6: 245 }
const RIBBON = 14

/** One pass to scale, from left to right: every second has the same length. */
function Spine({ sheet, size }: { sheet: Sheet; size: Stock }) {
  const length = INNER[size]
  const drawn = drawnSpine(sheet.spine, { length, breadth: RIBBON }, true)
  if (drawn.stretches.length === 0) return null
  const words = drawn.parts
    .map(({ part, seconds }) => `${PART_WORDS[part]} ${durationWords(seconds)}`)
    .join(' · ')
  return (
    <View wrap={false} style={{ marginTop: 3 }}>
      <Svg width={length} height={RIBBON} viewBox={`0 0 ${length} ${RIBBON}`}>
        {drawn.stretches.map(({ path, paint, from }, i) => (
          <G key={i} transform={`translate(${from} 0)`}>
            <Path
              d={path}
              fill={paint === 'fill' ? INK : 'none'}
              stroke={paint === 'fill' ? '#ffffff' : INK}
              strokeWidth={paint === 'fill' ? 0.3 : 0.8}
            />
          </G>
        ))}
      </Svg>
      <Text style={s.small}>One side: {words}</Text>
    </View>
  )
}

function VerdictMark({ verdict }: { verdict: Verdict }) {
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

/** A heading that stays with the first rows below it. */
const Head = ({ children }: { children: ReactNode }) => (
  <View minPresenceAhead={70}>
    <Text style={s.head}>{children}</Text>
  </View>
)

/** Keeps a heading on the page of what follows it. */
function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <>
      <Head>{title}</Head>
      {children}
    </>
  )
}

function HalfTitles({ sheet, spine }: { sheet: Sheet; spine: string }) {
  if (!sheet.sided) return null
  const [first] = ledOrder(sheet.firstSide)
  const order = (side: 'left' | 'right') => (side === first ? '1st' : '2nd')
  return (
    <View
      style={[s.row, { borderBottomWidth: 0.7, borderColor: INK }]}
      wrap={false}
      minPresenceAhead={50}
    >
      <Text style={[s.left, s.half]}>LEFT LEADS · {order('left')} · L</Text>
      <Text style={[s.spine, { textAlign: 'center', fontSize: 7, color: GREY, paddingTop: 3 }]}>
        {spine}
      </Text>
      <Text style={[s.right, s.half]}>R · RIGHT LEADS · {order('right')}</Text>
    </View>
  )
}

/** Longest stretch of wording that one row of the sheet holds; the rest goes on below. */
const ROW_LETTERS = 420

/** A row is never cut by the end of a page; a long line goes on in rows of its own. */
function Row({ row, sided, number }: { row: SpreadRow; sided: boolean; number?: number }) {
  const left = row.left && pieces(row.left, ROW_LETTERS)
  const right = row.right && pieces(row.right, ROW_LETTERS)
  const count = Math.max(left?.length ?? 0, right?.length ?? 0, 1)
  const label = number ? `${number}. ` : ''
  const repeat = row.repeat > 1 ? ` (${row.repeat} times)` : ''
  const half = (cut: Ink[][] | null, at: number, side: 'left' | 'right') =>
    cut ? (
      <>
        {at === 0 && label}
        <Words parts={cut[at] ?? []} />
        {at === count - 1 && repeat}
        {at === count - 1 && row.measured && (
          <Text style={{ fontSize: 7, color: GREY }}>{` (${row.measured[side]})`}</Text>
        )}
      </>
    ) : (
      <Text style={{ color: GREY }}>{at === 0 && `${label}not on this side`}</Text>
    )
  return Array.from({ length: count }, (_, at) => (
    <View
      key={at}
      style={[s.row, at === count - 1 ? { borderBottomWidth: 0.4, borderColor: RULE } : {}]}
      wrap={false}
    >
      {sided && <Text style={s.left}>{half(left, at, 'left')}</Text>}
      <View style={s.spine}>
        {at === 0 && row.breath && (
          <>
            <BreathMark breath={row.breath} seconds={row.seconds / row.repeat} />
            <Text style={{ fontSize: 6.5, color: GREY }}>{BREATH_WORDS[row.breath]}</Text>
          </>
        )}
        {at === 0 && row.label !== '' && (
          <Text style={{ fontSize: 7, color: GREY, textAlign: 'center' }}>{row.label}</Text>
        )}
      </View>
      <Text style={s.right}>{half(right, at, 'right')}</Text>
    </View>
  ))
}

function Rows({
  title,
  rows,
  sheet,
  numbered,
}: {
  title: string
  rows: SpreadRow[]
  sheet: Sheet
  numbered?: boolean
}) {
  if (rows.length === 0) return null
  return (
    <Section title={title}>
      <HalfTitles sheet={sheet} spine={numbered ? 'breath' : 'where'} />
      {rows.map((row, i) => (
        <Row key={row.id} row={row} sided={sheet.sided} number={numbered ? i + 1 : undefined} />
      ))}
    </Section>
  )
}

/** A line that both halves share, or a line for each half. */
function Shared({ label, line }: { label: string; line: SpreadLine | null }) {
  if (!line?.right) return null
  const same = !line.left || wordsOf(line.left) === wordsOf(line.right)
  return (
    <Item
      lines={
        same
          ? [[strong(`${label} `), ...line.right]]
          : [
              [strong(`${label}, left leads: `), ...line.left!],
              [strong(`${label}, right leads: `), ...line.right],
            ]
      }
    />
  )
}

function Rung({ rung, at }: { rung: SheetRung; at: number }) {
  const facts = [
    rung.props.length ? `With ${rung.props.join(', ')}.` : '',
    rung.stay ? `Stay ${rung.stay}.` : '',
    ...rung.changes,
    ...rung.upWhen.map((sign) => `Up when ${sign}`),
    ...rung.downWhen.map((sign) => `Down when ${sign}`),
  ].filter(Boolean)
  const name = [
    strong(`${at} ${rung.name}`),
    plain(rung.reference ? ' · the form described here' : ''),
  ]
  return (
    <>
      <Item
        style={{ paddingVertical: 2.5 }}
        last={{ fontSize: 8.4, paddingLeft: 10 }}
        lines={[name, ...facts.map((fact) => [plain(fact)])]}
      />
      <View style={{ height: 1.6, backgroundColor: INK }} />
    </>
  )
}

/** The marks of the verdicts stand before the words. */
function Caution({ each }: { each: Sheet['cautions'][number] }) {
  const words = [
    strong(`${each.condition}: ${VERDICT_WORDS[each.verdict]}`),
    plain(`${each.rung ? ` (${each.rung})` : ''}. ${each.say}`),
    plain(each.reason ? ` Reason: ${each.reason}` : ''),
  ]
  return pieces(words, FLOW_LETTERS).map((piece, i) => (
    <View key={i} style={[s.row, s.item]} wrap={false}>
      <View style={{ width: 14, paddingTop: 2.5 }}>
        {i === 0 && <VerdictMark verdict={each.verdict} />}
      </View>
      <Text style={{ flex: 1 }}>
        <Words parts={piece} />
      </Text>
    </View>
  ))
}

function CardPages({ sheet, size }: { sheet: Sheet; size: Stock }) {
  const names = [sheet.sanskrit, sheet.devanagari, ...sheet.also].filter(Boolean).join(' · ')
  return (
    <Page size={size} style={s.page}>
      <Flow style={s.title} parts={[plain(sheet.title)]} />
      <Flow style={s.names} parts={[plain(names)]} />
      <Flow style={s.small} parts={[plain(sheet.meaning)]} />
      <Flow style={s.facts} parts={[plain(sheet.facts.join(' · '))]} />
      {sheet.when !== '' && <Flow style={s.facts} parts={[plain(`When: ${sheet.when}`)]} />}
      <View style={{ height: 1, backgroundColor: INK, marginTop: 4 }} />

      <Figures sheet={sheet} size={size} />
      {(sheet.setUp.place || sheet.setUp.note || sheet.setUp.props.length > 0) && (
        <Section title="Set-up">
          <Shared label="Start" line={sheet.setUp.place} />
          {sheet.setUp.props.length > 0 && (
            <Item lines={[[strong('Props '), plain(sheet.setUp.props.join(', '))]]} />
          )}
          <Shared label="Note" line={sheet.setUp.note} />
        </Section>
      )}

      <Rows title="Coming in" rows={sheet.enter} sheet={sheet} numbered />
      <Steps sheet={sheet} size={size} />
      {(sheet.stay !== '' || sheet.time !== '') && (
        <Section title="The stay, and the time it all takes">
          <Flow parts={[plain([sheet.stay, `breath ${sheet.pace}`].filter(Boolean).join(' · '))]} />
          {sheet.time !== '' && <Flow parts={[plain(sheet.time)]} />}
          <Spine sheet={sheet} size={size} />
        </Section>
      )}
      <Rows title="The other way" rows={sheet.otherWay} sheet={sheet} numbered />
      <Rows title="Alignment" rows={sheet.alignment} sheet={sheet} />
      <Rows title="Coming out" rows={sheet.exit} sheet={sheet} numbered />
      <Sizes rows={sheet.sizes} />
      {sheet.between && (
        <Section title="Between the sides">
          <Flow parts={[plain(`${sheet.between.breaths}. `), ...sheet.between.text]} />
        </Section>
      )}

      {sheet.mistakes.length > 0 && (
        <Section title="What goes wrong">
          {sheet.mistakes.map((each, i) => (
            <Item
              key={i}
              lines={[
                [
                  ...each.seen.map((part) => ({ ...part, bold: true })),
                  plain(each.on ? ` (${each.on})` : ''),
                ],
                each.why.map((part) => ({ ...part, soft: true })),
                each.say.length > 0 ? [plain('Say: “'), ...each.say, plain('”')] : [],
              ]}
            />
          ))}
        </Section>
      )}

      {sheet.cautions.length > 0 && (
        <Section title="Cautions">
          <Item lines={[[soft(sheet.cautionLead)]]} />
          {sheet.cautions.map((each, i) => (
            <Caution key={i} each={each} />
          ))}
        </Section>
      )}

      {sheet.ladder.length > 0 && (
        <Section title="The ladder, most demanding on top">
          {sheet.ladder.map((rung, i) => (
            <Rung key={rung.id} rung={rung} at={sheet.ladder.length - i} />
          ))}
        </Section>
      )}

      {sheet.counter.length > 0 && (
        <Section title="Follow with">
          <Flow parts={[plain(sheet.counter.join(', '))]} />
        </Section>
      )}
      {sheet.conventions.length > 0 && (
        <Section title="In our school">
          {sheet.conventions.map(({ title, answer }) => (
            <Item key={title} lines={[[strong(`${title}: `), plain(answer)]]} />
          ))}
        </Section>
      )}
      {sheet.effects.length > 0 && (
        <Section title="Said of this pose">
          {sheet.effects.map((each, i) => (
            <Item
              key={i}
              lines={[
                [
                  plain(each.text),
                  soft(` (${[each.basis, each.source].filter(Boolean).join(': ')})`),
                ],
              ]}
            />
          ))}
        </Section>
      )}
      {sheet.assists.length > 0 && (
        <Section title="Touch, only with consent, asked each time">
          {sheet.assists.map((each, i) => (
            <Item
              key={i}
              lines={[
                [
                  plain(each.breath ? `On ${BREATH_WORDS[each.breath]}: ` : ''),
                  ...each.text,
                  plain(each.on ? ` (${each.on})` : ''),
                ],
              ]}
            />
          ))}
        </Section>
      )}
      {sheet.notes !== '' && (
        <Section title="Notes">
          {sheet.notes.split('\n').map((line, i) => (
            <Flow key={i} parts={[plain(line || ' ')]} />
          ))}
        </Section>
      )}

      <View style={s.foot} fixed>
        <Text>
          {sheet.number ? `${sheet.number} · ` : ''}
          {sheet.title.slice(0, 60)}
        </Text>
      </View>
    </Page>
  )
}

/** One printed card; the page numbers are set when the pages are known. */
export function CardPdf({ sheet, size }: { sheet: Sheet; size: Stock }) {
  return (
    <Document title={sheet.title}>
      <CardPages sheet={sheet} size={size} />
    </Document>
  )
}
