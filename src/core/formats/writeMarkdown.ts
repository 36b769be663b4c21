import type { BlockContent, List, ListItem, Paragraph, PhrasingContent, Root } from 'mdast'
import remarkFrontmatter from 'remark-frontmatter'
import remarkStringify from 'remark-stringify'
import { unified } from 'unified'
import { stringify } from 'yaml'
import type { Card, On, Stay, Step } from '../card'
import { HEADINGS, type HeadingKey } from './labels'
import { FORMAT_VERSION } from './problem'
import { splitTags, writeTags } from './tags'

const processor = unified()
  .use(remarkFrontmatter, ['yaml'])
  .use(remarkStringify, { bullet: '-', listItemIndent: 'one', rule: '-', fences: true })

/** Leaves out what is empty, so that a file shows only what was written. */
function filled<T extends object>(parts: T): Partial<T> {
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

function frontMatter(card: Card): string {
  const head = filled({
    notula: FORMAT_VERSION,
    id: card.id,
    number: card.number,
    language: card.language,
    names: filled(card.names),
    base: card.base,
    spine: card.spine,
    manner: card.manner,
    sides: card.sides,
    sideNamedBy: card.sideNamedBy,
    firstSide: card.firstSide,
    writtenFor: card.writtenFor,
    stay: stayParts(card.stay),
    counter: card.counter,
    when: filled(card.when),
  })
  return stringify(head, { lineWidth: 0 }).trimEnd()
}

const stayParts = (stay: Stay) =>
  filled({ ...stay, repeats: stay.repeats === 1 ? undefined : stay.repeats })

/** Written as it is: the brackets and labels around the trainer's own words. */
const verbatim = (value: string): PhrasingContent => ({ type: 'html', value })

function line(before: string, text: string): Paragraph {
  const children: PhrasingContent[] = []
  const space = before && text ? ' ' : ''
  if (before) children.push(verbatim(before + space))
  if (text) children.push({ type: 'text', value: text })
  return { type: 'paragraph', children }
}

/** A bracket goes before the text; one is needed, too, when the text itself starts like one. */
function tagged(tags: string, text: string): string {
  return tags || (splitTags(text).tags === null ? '' : '[]')
}

const item = (first: Paragraph, under: ListItem[] = []): ListItem => ({
  type: 'listItem',
  spread: false,
  children: under.length ? [first, list(under)] : [first],
})

const list = (children: ListItem[], ordered = false): List => ({
  type: 'list',
  ordered,
  start: ordered ? 1 : null,
  spread: false,
  children,
})

/** `- Label: text`, left out when there is no text. */
const labelled = (label: string, text: string | undefined, under: ListItem[] = []): ListItem[] =>
  text === undefined || text === '' ? [] : [item(line(`${label}:`, text), under)]

/** `- Label: text` that stands even when the text is empty. */
const always = (label: string, text: string, under: ListItem[] = []): ListItem =>
  item(line(`${label}:`, text), under)

const flow = (value: unknown) =>
  stringify(value, { collectionStyle: 'flow', lineWidth: 0, flowCollectionPadding: false }).trim()

/** Nothing that Markdown could take for more than letters. */
const HARMLESS = /^[\p{L}\p{N} {}[\]:,.%°-]*$/u

/** A structured value on one line, as between the --- lines. */
function structured(label: string, value: unknown): ListItem[] {
  if (value === undefined) return []
  const written = flow(value)
  return [
    item(HARMLESS.test(written) ? line(`${label}: ${written}`, '') : line(`${label}:`, written)),
  ]
}

const onTag = (on: On): On | undefined => (on === 'both' ? undefined : on)

function stepLine(step: Step, at: string | null): Paragraph {
  const tags = writeTags({
    breath: step.breath,
    seconds: step.seconds,
    repeat: step.repeat,
    cycle: step.cycle,
    id: step.id === at ? undefined : step.id,
  })
  return line(tags, step.text)
}

const steps = (each: Step[], prefix: string): BlockContent[] =>
  each.length
    ? [
        list(
          each.map((step, i) => item(stepLine(step, `${prefix}${i + 1}`))),
          true
        ),
      ]
    : []

const bullets = (items: ListItem[]): BlockContent[] => (items.length ? [list(items)] : [])

const capital = (word: string) => word[0]!.toUpperCase() + word.slice(1)

function rungItems(rung: Card['ladder'][number]): ListItem {
  return always('Rung', rung.name, [
    ...labelled('Id', rung.id),
    ...(rung.reference ? [always('Reference', 'yes')] : []),
    ...rung.props.map((prop) => always('Prop', prop)),
    ...rung.steps.replace.map((each) => {
      const tags = writeTags({ breath: each.breath, seconds: each.seconds })
      return item(line(`Replace ${each.step}: ${tagged(tags, each.text)}`.trimEnd(), each.text))
    }),
    ...rung.steps.add.map((each) => {
      const place = each.after === undefined ? 'Add first' : `Add after ${each.after}`
      const { children } = stepLine(each.step, null)
      return item({ type: 'paragraph', children: [verbatim(`${place}: `), ...children] })
    }),
    ...rung.steps.omit.map((id) => always('Omit', id)),
    ...structured('Stay', rung.stay && stayParts(rung.stay)),
    ...rung.upWhen.map((sign) => always('Up when', sign)),
    ...rung.downWhen.map((sign) => always('Down when', sign)),
  ])
}

function figures(card: Card): BlockContent[] {
  const drawn = [
    { of: 'start', figure: card.setUp.figure },
    ...[...card.enter, ...card.otherWay, ...card.exit].map(({ id, figure }) => ({
      of: `step ${id}`,
      figure,
    })),
    ...card.ladder.flatMap((rung) => [
      { of: `rung ${rung.id}`, figure: rung.figure },
      ...rung.steps.add.map(({ step }) => ({ of: `step ${step.id}`, figure: step.figure })),
    ]),
  ]
  return drawn.flatMap(({ of, figure }) =>
    figure ? [{ type: 'code' as const, lang: 'json', meta: of, value: JSON.stringify(figure) }] : []
  )
}

function notes(text: string): BlockContent[] {
  if (!text) return []
  return text.split('\n\n').map((paragraph) => ({
    type: 'paragraph',
    children: paragraph
      .split('\n')
      .flatMap((value, i): PhrasingContent[] => [
        ...(i ? [{ type: 'break' as const }] : []),
        { type: 'text', value },
      ]),
  }))
}

function blocks(card: Card): Record<HeadingKey, BlockContent[]> {
  return {
    setUp: bullets([
      ...labelled('Place', card.setUp.place),
      ...card.setUp.props.map((prop) => always('Prop', prop)),
      ...labelled('Note', card.setUp.note),
    ]),
    enter: steps(card.enter, 's'),
    alignment: bullets(
      card.alignment.map((cue, i) => {
        const tags = writeTags({
          on: onTag(cue.on),
          id: cue.id === `a${i + 1}` ? undefined : cue.id,
        })
        const label = `${capital(cue.region)}: ${tagged(tags, cue.text)}`.trimEnd()
        return item(line(label, cue.text), structured('Measure', cue.measure))
      })
    ),
    otherWay: steps(card.otherWay, 'w'),
    exit: steps(card.exit, 'x'),
    betweenSides: bullets([
      ...labelled('Breaths', card.betweenSides.breaths?.toString()),
      ...labelled('Say', card.betweenSides.text),
    ]),
    mistakes: bullets(
      card.mistakes.map((each) =>
        always('Seen', each.seen, [
          ...labelled('Why', each.why),
          ...labelled('Say', each.say),
          ...labelled('Cue', each.cue),
          ...labelled('On', onTag(each.on)),
        ])
      )
    ),
    cautions: bullets(
      card.cautions.map((each) =>
        always('Condition', each.condition, [
          always('Verdict', each.verdict),
          ...labelled('Say', each.say),
          ...labelled('Rung', each.rung),
          ...(each.reason === undefined ? [] : [always('Reason', each.reason)]),
        ])
      )
    ),
    ladder: bullets(card.ladder.map(rungItems)),
    effects: bullets(
      card.effects.map((claim) =>
        always(
          capital(claim.basis),
          claim.text,
          claim.source === undefined ? [] : [always('Source', claim.source)]
        )
      )
    ),
    assists: bullets(
      card.assists.map((each) => {
        const tags = writeTags({ breath: each.breath, on: onTag(each.on) })
        return item(line(tagged(tags, each.text), each.text))
      })
    ),
    figures: figures(card),
    notes: notes(card.notes),
  }
}

/** Writes a card as Markdown with YAML front matter (docs/card-format.md). */
export function writeMarkdown(card: Card): string {
  const sections = blocks(card)
  const root: Root = { type: 'root', children: [{ type: 'yaml', value: frontMatter(card) }] }
  for (const key of Object.keys(HEADINGS) as HeadingKey[]) {
    if (sections[key].length === 0) continue
    root.children.push(
      { type: 'heading', depth: 2, children: [{ type: 'text', value: HEADINGS[key] }] },
      ...sections[key]
    )
  }
  return processor.stringify(root)
}
