import {
  Circle,
  Document,
  Page,
  Path,
  Rect,
  StyleSheet,
  Svg,
  Text,
  View,
} from '@react-pdf/renderer'
import type { ReactNode } from 'react'
import { breathShape } from '@/core/breath'
import { BREATH_WORDS, VERDICT_WORDS, type Breath, type Verdict } from '@/core/card'
import {
  ledOrder,
  type Sheet,
  type SheetRung,
  type SpreadLine,
  type SpreadRow,
  wordsOf,
} from '@/core/print'
import type { Stretch } from '@/core/sides'
import { TEXT_FONTS, TITLE_FONTS } from './fonts'

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

/** A row this long may be broken over pages; a shorter one is kept whole. */
const LONG_ROW = 700

const rowBreaks = (...lines: (Stretch[] | null | string)[]) =>
  lines.some((line) => (typeof line === 'string' ? line : wordsOf(line)).length > LONG_ROW)

/** Side words are underlined: swapped ones solid, fixed ones dotted, as on screen. */
function Words({ parts }: { parts: Stretch[] }) {
  return (
    <>
      {parts.map((part, i) =>
        part.role === 'text' ? (
          <Text key={i}>{part.text}</Text>
        ) : (
          <Text
            key={i}
            style={{
              textDecoration: 'underline',
              textDecorationStyle: part.role === 'fixed' ? 'dotted' : 'solid',
            }}
          >
            {part.text}
          </Text>
        )
      )}
    </>
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
  <View minPresenceAhead={40}>
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
      minPresenceAhead={30}
    >
      <Text style={[s.left, s.half]}>LEFT LEADS · {order('left')} · L</Text>
      <Text style={[s.spine, { textAlign: 'center', fontSize: 7, color: GREY, paddingTop: 3 }]}>
        {spine}
      </Text>
      <Text style={[s.right, s.half]}>R · RIGHT LEADS · {order('right')}</Text>
    </View>
  )
}

function Row({ row, sided, number }: { row: SpreadRow; sided: boolean; number?: number }) {
  const label = number ? `${number}. ` : ''
  const repeat = row.repeat > 1 ? ` (${row.repeat} times)` : ''
  const spine = (
    <View style={s.spine}>
      {row.breath && <BreathMark breath={row.breath} seconds={row.seconds / row.repeat} />}
      {row.breath && <Text style={{ fontSize: 6.5, color: GREY }}>{BREATH_WORDS[row.breath]}</Text>}
      {row.label !== '' && (
        <Text style={{ fontSize: 7, color: GREY, textAlign: 'center' }}>{row.label}</Text>
      )}
    </View>
  )
  const half = (line: Stretch[] | null) =>
    line ? (
      <>
        {label}
        <Words parts={line} />
        {repeat}
      </>
    ) : (
      <Text style={{ color: GREY }}>{label}not on this side</Text>
    )
  return (
    <View
      style={[s.row, { borderBottomWidth: 0.4, borderColor: RULE }]}
      wrap={rowBreaks(row.left, row.right)}
    >
      {sided && <Text style={s.left}>{half(row.left)}</Text>}
      {spine}
      <Text style={s.right}>{half(row.right)}</Text>
    </View>
  )
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

const bold = { fontWeight: 700 } as const

/** A line that both halves share, or a line for each half. */
function Shared({ label, line }: { label: string; line: SpreadLine | null }) {
  if (!line) return null
  const left = wordsOf(line.left)
  const right = wordsOf(line.right)
  const same = !line.left || left === right
  return (
    <View style={s.item} wrap={rowBreaks(left, right)}>
      {same ? (
        <Text>
          <Text style={bold}>{label} </Text>
          <Words parts={line.right!} />
        </Text>
      ) : (
        <>
          <Text>
            <Text style={bold}>{label}, left leads: </Text>
            <Words parts={line.left!} />
          </Text>
          <Text>
            <Text style={bold}>{label}, right leads: </Text>
            <Words parts={line.right!} />
          </Text>
        </>
      )}
    </View>
  )
}

function Rung({ rung, at }: { rung: SheetRung; at: number }) {
  const lines = [
    rung.props.length ? `With ${rung.props.join(', ')}.` : '',
    rung.stay ? `Stay ${rung.stay}.` : '',
    ...rung.changes,
    ...rung.upWhen.map((sign) => `Up when ${sign}`),
    ...rung.downWhen.map((sign) => `Down when ${sign}`),
  ].filter(Boolean)
  return (
    <View
      style={{ borderBottomWidth: 1.6, borderColor: INK, paddingVertical: 2.5 }}
      wrap={rowBreaks(lines.join(''))}
    >
      <Text>
        <Text style={bold}>
          {at} {rung.name}
        </Text>
        {rung.reference ? ' · the form described here' : ''}
      </Text>
      {lines.map((line, i) => (
        <Text key={i} style={{ fontSize: 8.4, paddingLeft: 10 }}>
          {line}
        </Text>
      ))}
    </View>
  )
}

function CardPages({ sheet, size }: { sheet: Sheet; size: 'A4' | 'A5' | 'A6' }) {
  const names = [sheet.sanskrit, sheet.devanagari, ...sheet.also].filter(Boolean).join(' · ')
  return (
    <Page size={size} style={s.page}>
      <View style={{ borderBottomWidth: 1, borderColor: INK, paddingBottom: 4 }}>
        <Text style={s.title}>{sheet.title}</Text>
        {names !== '' && <Text style={s.names}>{names}</Text>}
        {sheet.meaning !== '' && <Text style={s.small}>{sheet.meaning}</Text>}
        <Text style={s.facts}>{sheet.facts.join(' · ')}</Text>
        {sheet.when !== '' && <Text style={s.facts}>When: {sheet.when}</Text>}
      </View>

      {(sheet.setUp.place || sheet.setUp.note || sheet.setUp.props.length > 0) && (
        <Section title="Set-up">
          <Shared label="Start" line={sheet.setUp.place} />
          {sheet.setUp.props.length > 0 && (
            <Text style={s.item}>
              <Text style={bold}>Props </Text>
              {sheet.setUp.props.join(', ')}
            </Text>
          )}
          <Shared label="Note" line={sheet.setUp.note} />
        </Section>
      )}

      <Rows title="Coming in" rows={sheet.enter} sheet={sheet} numbered />
      {sheet.stay !== '' && (
        <Section title="The stay">
          <Text>
            {sheet.stay} · breath {sheet.pace}
          </Text>
        </Section>
      )}
      <Rows title="Alignment" rows={sheet.alignment} sheet={sheet} />
      <Rows title="Coming out" rows={sheet.exit} sheet={sheet} numbered />
      {sheet.between && (
        <Section title="Between the sides">
          <Text wrap={true}>
            {sheet.between.breaths}. <Words parts={sheet.between.text} />
          </Text>
        </Section>
      )}

      {sheet.mistakes.length > 0 && (
        <Section title="What goes wrong">
          {sheet.mistakes.map((each, i) => (
            <View key={i} style={s.item} wrap={rowBreaks(each.seen, each.why, each.say)}>
              <Text>
                <Text style={bold}>
                  <Words parts={each.seen} />
                </Text>
                {each.on ? ` (${each.on})` : ''}
              </Text>
              {each.why.length > 0 && (
                <Text style={s.small}>
                  <Words parts={each.why} />
                </Text>
              )}
              {each.say.length > 0 && (
                <Text>
                  Say: “<Words parts={each.say} />”
                </Text>
              )}
            </View>
          ))}
        </Section>
      )}

      {sheet.cautions.length > 0 && (
        <Section title="Cautions">
          <Text style={[s.small, s.item]}>{sheet.cautionLead}</Text>
          {sheet.cautions.map((each, i) => (
            <View key={i} style={[s.row, s.item]} wrap={rowBreaks(each.say)}>
              <View style={{ width: 14, paddingTop: 2.5 }}>
                <VerdictMark verdict={each.verdict} />
              </View>
              <Text style={{ flex: 1 }}>
                <Text style={bold}>
                  {each.condition}: {VERDICT_WORDS[each.verdict]}
                </Text>
                {each.rung ? ` (${each.rung})` : ''}. {each.say}
                {each.reason ? ` Reason: ${each.reason}` : ''}
              </Text>
            </View>
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
          <Text>{sheet.counter.join(', ')}</Text>
        </Section>
      )}
      {sheet.effects.length > 0 && (
        <Section title="Said of this pose">
          {sheet.effects.map((each, i) => (
            <Text key={i} style={s.item}>
              {each.text} ({each.basis}
              {each.source ? `: ${each.source}` : ''})
            </Text>
          ))}
        </Section>
      )}
      {sheet.assists.length > 0 && (
        <Section title="Touch, only with consent, asked each time">
          {sheet.assists.map((each, i) => (
            <Text key={i} style={s.item}>
              {each.breath ? `On ${BREATH_WORDS[each.breath]}: ` : ''}
              <Words parts={each.text} />
              {each.on ? ` (${each.on})` : ''}
            </Text>
          ))}
        </Section>
      )}
      {sheet.notes !== '' && (
        <Section title="Notes">
          <Text>{sheet.notes}</Text>
        </Section>
      )}

      <View style={s.foot} fixed>
        <Text>
          {sheet.number ? `${sheet.number} · ` : ''}
          {sheet.title.slice(0, 60)}
        </Text>
        <Text
          render={({ subPageNumber, subPageTotalPages }) =>
            `${subPageNumber} of ${subPageTotalPages}`
          }
        />
      </View>
    </Page>
  )
}

/** The printed cards, each starting on a page of its own. */
export function CardsPdf({
  sheets,
  size,
  title,
}: {
  sheets: Sheet[]
  size: 'A4' | 'A5' | 'A6'
  title: string
}) {
  return (
    <Document title={title} creator="Notula" producer="Notula">
      {sheets.map((sheet) => (
        <CardPages key={sheet.id} sheet={sheet} size={size} />
      ))}
    </Document>
  )
}
