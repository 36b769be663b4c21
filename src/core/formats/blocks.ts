import type { BlockContent, List, ListItem, Paragraph, PhrasingContent } from 'mdast'
import { stringify } from 'yaml'
import type { Stay } from '../card'
import { splitTags } from './tags'

/** The lines of a card file as they are written: labels, brackets, lists. */

/** Leaves out what is empty, so that a file shows only what was written. */
export function filled<T extends object>(parts: T): Partial<T> {
  return Object.fromEntries(
    Object.entries(parts).filter(
      ([, value]) =>
        value !== undefined &&
        value !== '' &&
        !(Array.isArray(value) && value.length === 0) &&
        !(typeof value === 'object' && !Array.isArray(value) && Object.keys(value).length === 0)
    )
  ) as Partial<T>
}

export const stayParts = (stay: Stay) =>
  filled({ ...stay, repeats: stay.repeats === 1 ? undefined : stay.repeats })

/** Written as it is: the brackets and labels around the trainer's own words. */
export const verbatim = (value: string): PhrasingContent => ({ type: 'html', value })

export function line(before: string, text: string): Paragraph {
  const children: PhrasingContent[] = []
  const space = before && text ? ' ' : ''
  if (before) children.push(verbatim(before + space))
  if (text) children.push({ type: 'text', value: text })
  return { type: 'paragraph', children }
}

/** A bracket goes before the text; one is needed, too, when the text itself starts like one. */
export function tagged(tags: string, text: string): string {
  return tags || (splitTags(text).tags === null ? '' : '[]')
}

export const item = (first: Paragraph, under: ListItem[] = []): ListItem => ({
  type: 'listItem',
  spread: false,
  children: under.length ? [first, list(under)] : [first],
})

export const list = (children: ListItem[], ordered = false): List => ({
  type: 'list',
  ordered,
  start: ordered ? 1 : null,
  spread: false,
  children,
})

/** `- Label: text`, left out when there is no text. */
export const labelledItem = (
  label: string,
  text: string | undefined,
  under: ListItem[] = []
): ListItem[] => (text === undefined || text === '' ? [] : [item(line(`${label}:`, text), under)])

/** `- Label: text` that stands even when the text is empty. */
export const always = (label: string, text: string, under: ListItem[] = []): ListItem =>
  item(line(`${label}:`, text), under)

const flow = (value: unknown) =>
  stringify(value, { collectionStyle: 'flow', lineWidth: 0, flowCollectionPadding: false }).trim()

/** Nothing that Markdown could take for more than letters. */
const HARMLESS = /^[\p{L}\p{N} {}[\]:,.%°-]*$/u

/** A structured value on one line, as between the --- lines. */
export function structuredItem(label: string, value: unknown): ListItem[] {
  if (value === undefined) return []
  const written = flow(value)
  return [
    item(HARMLESS.test(written) ? line(`${label}: ${written}`, '') : line(`${label}:`, written)),
  ]
}

export const bullets = (items: ListItem[]): BlockContent[] => (items.length ? [list(items)] : [])

export const capital = (word: string) => word[0]!.toUpperCase() + word.slice(1)
