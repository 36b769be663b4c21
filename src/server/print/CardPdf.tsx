import { Document, Page, Text, View } from '@react-pdf/renderer'
import { ink, type Sheet, type SheetPart } from '@/core/print'
import { labelsOf, OneBlock, type OnPaper } from './blocks'
import { INK, s, type Stock } from './style'
import { Flow } from './words'

/** A heading that stays with the first rows below it, and the blocks of the part. */
function Part({ part, ...on }: { part: SheetPart } & OnPaper) {
  return (
    <>
      {part.title !== '' && (
        <View minPresenceAhead={70}>
          <Text style={s.head}>{part.title}</Text>
        </View>
      )}
      {part.blocks.map((block, i) => (
        <OneBlock key={i} block={block} {...on} />
      ))}
    </>
  )
}

function CardPages({ sheet, size }: OnPaper) {
  const also = sheet.also.length ? labelsOf(sheet).sheet.also(sheet.also) : ''
  const names = [sheet.sanskrit, sheet.devanagari, also].filter(Boolean).join(' · ')
  return (
    <Page size={size} style={s.page}>
      <Flow style={s.title} parts={[ink(sheet.title)]} />
      <Flow style={s.names} parts={[ink(names)]} />
      <Flow style={s.small} parts={[ink(sheet.meaning)]} />
      <Flow style={s.facts} parts={[ink(sheet.facts.join(' · '))]} />
      <View style={{ height: 1, backgroundColor: INK, marginTop: 4 }} />
      {sheet.parts.map((part) => (
        <Part key={part.id} part={part} sheet={sheet} size={size} />
      ))}
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
