import { StyleSheet, type TextProps, type ViewProps } from '@react-pdf/renderer'
import { TEXT_FONTS, TITLE_FONTS } from './fonts'

export type TextStyle = Exclude<TextProps['style'], undefined>
export type ViewStyle = Exclude<ViewProps['style'], undefined>

/** Paper, ISO 216, portrait. */
export type Stock = 'A4' | 'A5' | 'A6'

export const INK = '#1f2a2e'
export const GREY = '#55605f'
export const RULE = '#b9b4a2'

export const s = StyleSheet.create({
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

/** Inner width of a page, in points. */
export const INNER: Record<Stock, number> = { A4: 543, A5: 367, A6: 245 }
