import { Document, Page, Text, View } from '@react-pdf/renderer'
import { BASES, type Card, type School, titleOf, VERDICTS } from '@/core/card'
import { describedCell, type Judged, judgedCard, openBelow } from '@/core/cautions'
import { LABELS, SAY_CAUTIONS } from '@/core/language'
import { VerdictMark } from './marks'
import { INK, RULE, s } from './style'

/** Cards on one sheet. */
const COLUMNS = 26
const NAME_WIDTH = 132
const SHEET_WIDTH = 790
/** Cells share the sheet, and are no wider than is read along a line. */
const cellWidth = (cards: number) => Math.min(32, (SHEET_WIDTH - NAME_WIDTH) / cards)
const HEAD_HEIGHT = 92
const ROW_HEIGHT = 11

interface Column {
  card: Card
  judged: Judged
}

/** A title that stands on its end: letters would be too small across. */
function Upright({ text, width }: { text: string; width: number }) {
  return (
    <View style={{ width, height: HEAD_HEIGHT }}>
      <Text
        style={{
          position: 'absolute',
          left: 6,
          bottom: 2,
          width: HEAD_HEIGHT,
          fontSize: 8,
          lineHeight: 1.1,
          transform: 'rotate(-90deg)',
          transformOrigin: '0 100%',
          marginLeft: 12,
        }}
        wrap={false}
      >
        {text.length > 22 ? `${text.slice(0, 21)}…` : text}
      </Text>
    </View>
  )
}

function Sheet({ columns, school }: { columns: Column[]; school: School }) {
  const { rows } = columns[0]!.judged
  const width = cellWidth(Math.max(columns.length, 20))
  return (
    <Page size="A4" orientation="landscape" style={{ ...s.page, paddingBottom: 24 }}>
      <View style={{ ...s.row, alignItems: 'flex-end' }}>
        <View style={{ width: NAME_WIDTH }}>
          <Text style={{ ...s.title, fontSize: 15 }}>{LABELS.sections.cautions}</Text>
          {VERDICTS.map((verdict) => (
            <View key={verdict} style={{ ...s.row, alignItems: 'center' }}>
              <VerdictMark verdict={verdict} />
              <Text style={{ ...s.small, marginLeft: 4 }}>{LABELS.verdict[verdict]}</Text>
            </View>
          ))}
          <Text style={s.small}>{SAY_CAUTIONS.wallBelow}</Text>
        </View>
        {columns.map(({ card }) => (
          <Upright key={card.id} text={titleOf(card)} width={width} />
        ))}
      </View>
      {rows.map((row, i) => (
        <View
          key={row.condition.id}
          style={{
            ...s.row,
            minHeight: ROW_HEIGHT,
            paddingBottom: 2,
            alignItems: 'center',
            borderTopWidth: 0.5,
            borderTopColor: rows[i - 1]?.condition.group === row.condition.group ? RULE : INK,
          }}
          wrap={false}
        >
          <Text style={{ width: NAME_WIDTH, fontSize: 8, lineHeight: 1.2 }}>
            {row.condition.name}
          </Text>
          {columns.map(({ card, judged }) => {
            const own = judged.rows[i]!
            const cell = describedCell(judged, own)
            const at = judged.rungs.findIndex(({ described }) => described)
            const below = cell.verdict !== 'fine' && cell.verdict !== 'change' && openBelow(own, at)
            return (
              <View key={card.id} style={{ ...s.row, width, alignItems: 'center', paddingLeft: 8 }}>
                <VerdictMark verdict={cell.verdict} />
                {below && (
                  <Text style={{ fontSize: 7, lineHeight: 1.2, marginLeft: 1 }}>
                    {judged.rungs.findIndex(({ id }) => id === below.rung) + 1}
                  </Text>
                )}
              </View>
            )
          })}
        </View>
      ))}
      <View style={s.foot} fixed>
        <Text>
          {SAY_CAUTIONS.defers(school.cautionLead) ? school.cautionLead : SAY_CAUTIONS.defer}
        </Text>
      </View>
    </Page>
  )
}

/** The conditions by the cards of a deck, for the wall of a classroom. */
export function WallPdf({ cards, school }: { cards: readonly Card[]; school: School }) {
  const columns = cards
    .map((card): Column => ({ card, judged: judgedCard(card, school) }))
    .sort((a, b) => BASES.indexOf(a.card.base) - BASES.indexOf(b.card.base))
  const sheets = Math.max(1, Math.ceil(columns.length / COLUMNS))
  return (
    <Document title={LABELS.sections.cautions}>
      {Array.from({ length: sheets }, (_, i) => columns.slice(i * COLUMNS, (i + 1) * COLUMNS)).map(
        (some, i) =>
          some.length === 0 ? (
            <Page key={i} size="A4" orientation="landscape" style={s.page}>
              <Text>{SAY_CAUTIONS.wallEmpty}</Text>
            </Page>
          ) : (
            <Sheet key={i} columns={some} school={school} />
          )
      )}
    </Document>
  )
}
