import { SECTIONS } from '../card'

/** The headings of a card file, in the order in which they are written. */
export const HEADINGS = {
  setUp: 'Set-up',
  enter: 'Coming in',
  alignment: 'Alignment',
  otherWay: 'The other way',
  exit: 'Coming out',
  betweenSides: 'Between the sides',
  mistakes: 'What goes wrong',
  cautions: 'Cautions',
  ladder: 'The ladder',
  effects: 'Effects',
  assists: 'Touch',
  figures: 'Figures',
  notes: 'Notes',
} as const

export type HeadingKey = keyof typeof HEADINGS

const fold = (title: string) => title.toLowerCase().replace(/[^a-z]+/g, '')

/** The section that a heading names, whatever its case and hyphens. */
export function headingKey(title: string): HeadingKey | undefined {
  return (Object.keys(HEADINGS) as HeadingKey[]).find((key) => fold(HEADINGS[key]) === fold(title))
}

/** Said when a heading is none of the card's. */
export function unknownHeading(title: string): string {
  const stay = SECTIONS.find((section) => fold(section.title) === fold(title))
  if (stay)
    return `“${title}” is not written under a heading; it stands between the --- lines at the top`
  return `“${title}” is no section of a card; the sections are ${Object.values(HEADINGS).join(', ')}`
}
