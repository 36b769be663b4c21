import { SECTIONS } from '../card'
import { SAY_FILES } from '../language'
import { FILE_SECTIONS } from './sections'

const fold = (title: string) => title.toLowerCase().replace(/[^a-z]+/g, '')

/** The section that a heading names, whatever its case and hyphens. */
export function headingKey(title: string): string | undefined {
  return Object.keys(FILE_SECTIONS).find((key) => fold(FILE_SECTIONS[key]!.heading) === fold(title))
}

/** Said when a heading is none of the card's. */
export function unknownHeading(title: string): string {
  const stay = SECTIONS.find((section) => fold(section.title) === fold(title))
  if (stay) return SAY_FILES.frontOnly(title)
  const headings = Object.values(FILE_SECTIONS).map(({ heading }) => heading)
  return SAY_FILES.noSection(title, headings)
}
