import { Text, View } from '@react-pdf/renderer'
import { type Line, pieces, wordsOf } from '@/core/print'
import { GREY, s, type TextStyle, type ViewStyle } from './style'

/** Wording on paper: stretches with their look, lines that are never cut by the end of a page. */

/** Side words are underlined: swapped ones solid, fixed ones dotted, as on screen. */
export function Words({ parts }: { parts: Line }) {
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
export const FLOW_LETTERS = 700

/** Wording that is never cut by the end of a page: a long one goes on as a piece of its own. */
export function Flow({ parts, style }: { parts: Line; style?: TextStyle }) {
  return pieces(parts, FLOW_LETTERS).map((piece, i) => (
    <View key={i} wrap={false}>
      <Text style={style ?? {}}>
        <Words parts={piece} />
      </Text>
    </View>
  ))
}

const letters = (lines: Line[]) => lines.reduce((sum, line) => sum + wordsOf(line).length, 0)

/**
 * Lines that belong together stay on one page when they fit on one. No view that may be cut
 * holds another one: the PDF writer loses its measures there.
 */
export function Item({
  lines,
  style,
  last,
}: {
  lines: Line[]
  style?: ViewStyle
  last?: TextStyle
}) {
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
