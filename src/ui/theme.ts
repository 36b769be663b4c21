import { createTheme, type MantineColorsTuple } from '@mantine/core'

const water: MantineColorsTuple = [
  '#eef4f7',
  '#dbe6ec',
  '#b4ccd8',
  '#8ab1c3',
  '#679ab2',
  '#4f8ba6',
  '#3f7691',
  '#2f5d73',
  '#274d60',
  '#1b3a4a',
]

export const theme = createTheme({
  fontFamily: 'var(--font-text), var(--font-devanagari), sans-serif',
  headings: { fontFamily: 'var(--font-title), var(--font-text), serif', fontWeight: '700' },
  colors: { water },
  primaryColor: 'water',
  primaryShade: 7,
  defaultRadius: 4,
  cursorType: 'pointer',
  respectReducedMotion: true,
  components: { Modal: { defaultProps: { closeButtonProps: { 'aria-label': 'Close' } } } },
})
