import type { Code, List, ListItem, Paragraph, Root, RootContent } from 'mdast'
import remarkFrontmatter from 'remark-frontmatter'
import remarkParse from 'remark-parse'
import { unified } from 'unified'
import { isMap, isNode, isPair, isScalar, LineCounter, type Node, parseDocument } from 'yaml'
import { BASES_OF_CLAIM, type Card, REGIONS } from '../card'
import { headingKey, type HeadingKey, unknownHeading } from './labels'
import { CardFileError, type Problem, versionProblem } from './problem'
import { readTags, splitTags, type Tags } from './tags'
import { validCard } from './validate'

const processor = unified().use(remarkParse).use(remarkFrontmatter, ['yaml'])

/** A line of a list: its words, where it stands, and the lines under it. */
interface Entry {
  text: string
  line: number
  under: Entry[]
}

interface Labelled extends Entry {
  label: string
}

type Found = Record<string, unknown>

/** Reads one file: collects what it finds, on which line, and what is wrong. */
class Reading {
  readonly problems: Problem[] = []
  private readonly lines = new Map<string, number>()

  constructor(readonly source: string) {}

  wrong(line: number, message: string): void {
    this.problems.push({ line, message })
  }

  mark(path: PropertyKey[], line: number): void {
    this.lines.set(path.join('\u0000'), line)
  }

  lineOf(path: PropertyKey[]): number {
    for (let keys = path; keys.length > 0; keys = keys.slice(0, -1)) {
      const line = this.lines.get(keys.join('\u0000'))
      if (line !== undefined) return line
    }
    return 1
  }
}

const startLine = (node: { position?: RootContent['position'] }) => node.position?.start.line ?? 1

/**
 * The words of a paragraph. Formatting has no meaning on a card, so anything but text is
 * taken letter by letter, as it stands in the file.
 */
function wordsOf(paragraph: Paragraph, source: string, lineBreak = ' '): string {
  return paragraph.children
    .map((node) => {
      if (node.type === 'text') return node.value.replace(/\n/g, lineBreak)
      if (node.type === 'break') return lineBreak
      return source.slice(node.position!.start.offset, node.position!.end.offset)
    })
    .join('')
}

function entriesOf(list: List, reading: Reading): Entry[] {
  return list.children.map((item) => entryOf(item, reading))
}

function entryOf(item: ListItem, reading: Reading): Entry {
  const entry: Entry = { text: '', line: startLine(item), under: [] }
  item.children.forEach((child, i) => {
    if (child.type === 'paragraph' && i === 0) entry.text = wordsOf(child, reading.source)
    else if (child.type === 'list') entry.under.push(...entriesOf(child, reading))
    else
      reading.wrong(
        startLine(child),
        'only one line of text, and lines that start with - under it, can stand here'
      )
  })
  return entry
}

const LABEL = /^([^:[\]]{1,60}):(?:\s+|$)/

/** Cuts `Label: text`, when the label is one of those that can stand here. */
function labelOf(entry: Entry, allowed: readonly string[], reading: Reading): Labelled | null {
  const match = LABEL.exec(entry.text)
  const found = match?.[1]?.trim().toLowerCase()
  const label = allowed.find((each) =>
    each.endsWith(' ') ? found?.startsWith(each.toLowerCase()) : each.toLowerCase() === found
  )
  if (!match || label === undefined) {
    reading.wrong(
      entry.line,
      `${found ? `“${match![1]}” is not known here` : 'the line has no label'}; it should start with ${allowed
        .map((each) => (each.endsWith(' ') ? `“${each}s2:”` : `“${each}:”`))
        .join(' or ')}`
    )
    return null
  }
  return {
    ...entry,
    label: label.endsWith(' ') ? match[1]!.trim() : label,
    text: entry.text.slice(match[0].length),
  }
}

function labelled(entries: Entry[], allowed: readonly string[], reading: Reading): Labelled[] {
  return entries.flatMap((entry) => labelOf(entry, allowed, reading) ?? [])
}

function nothingUnder(entry: Entry, reading: Reading): void {
  for (const each of entry.under) reading.wrong(each.line, 'nothing can stand under this line')
}

function tagsOf(
  entry: { text: string; line: number },
  reading: Reading,
  takes: (keyof Tags)[]
): { tags: Tags; text: string } {
  const { tags: words, text } = splitTags(entry.text)
  if (words === null) return { tags: {}, text }
  try {
    const tags = readTags(words)
    const stray = (Object.keys(tags) as (keyof Tags)[]).find((key) => !takes.includes(key))
    if (stray)
      reading.wrong(entry.line, `the bracket “[${words}]” holds a word that has no use here`)
    return { tags, text }
  } catch (error) {
    reading.wrong(entry.line, (error as Error).message)
    return { tags: {}, text }
  }
}

const STEP_TAGS: (keyof Tags)[] = ['breath', 'seconds', 'repeat', 'cycle', 'id']

function readStep(entry: { text: string; line: number }, reading: Reading, id?: string): Found {
  const { tags, text } = tagsOf(entry, reading, STEP_TAGS)
  const { breath, ...rest } = tags
  if (!breath)
    reading.wrong(
      entry.line,
      'the step does not say its breath; start it with a bracket such as [in]'
    )
  return { id, ...rest, breath: breath ?? 'free', text }
}

function structured(entry: Labelled, path: PropertyKey[], reading: Reading): unknown {
  nothingUnder(entry, reading)
  reading.mark(path, entry.line)
  const document = parseDocument(entry.text, { version: '1.2' })
  if (document.errors.length > 0 || !isMap(document.contents)) {
    reading.wrong(
      entry.line,
      `“${entry.label}” should be written like {name: value}, as between the --- lines`
    )
    return undefined
  }
  return document.toJS()
}

/** Puts a value under a key that can stand once. */
function once(into: Found, key: string, entry: Labelled, value: unknown, reading: Reading): void {
  if (into[key] !== undefined) reading.wrong(entry.line, `“${entry.label}” stands here twice`)
  into[key] = value
}

type SectionReader = (entries: Entry[], card: Found, reading: Reading) => void

function readSteps(key: 'enter' | 'otherWay' | 'exit', prefix: string): SectionReader {
  return (entries, card, reading) => {
    card[key] = entries.map((entry, i) => {
      nothingUnder(entry, reading)
      reading.mark([key, i], entry.line)
      return readStep(entry, reading, `${prefix}${i + 1}`)
    })
  }
}

const readSetUp: SectionReader = (entries, card, reading) => {
  const setUp: Found = {}
  const props: string[] = []
  reading.mark(['setUp'], entries[0]?.line ?? 1)
  for (const entry of labelled(entries, ['Place', 'Prop', 'Note'], reading)) {
    nothingUnder(entry, reading)
    if (entry.label === 'Prop') {
      reading.mark(['setUp', 'props', props.length], entry.line)
      props.push(entry.text)
    } else {
      const key = entry.label.toLowerCase()
      reading.mark(['setUp', key], entry.line)
      once(setUp, key, entry, entry.text, reading)
    }
  }
  card.setUp = { ...setUp, props }
}

const readAlignment: SectionReader = (entries, card, reading) => {
  card.alignment = labelled(entries, REGIONS, reading).map((entry, i) => {
    const path = ['alignment', i]
    reading.mark(path, entry.line)
    const { tags, text } = tagsOf(entry, reading, ['on', 'id'])
    const cue: Found = { id: `a${i + 1}`, region: entry.label, text, ...tags }
    for (const each of labelled(entry.under, ['Measure'], reading))
      once(cue, 'measure', each, structured(each, [...path, 'measure'], reading), reading)
    return cue
  })
}

const readBetween: SectionReader = (entries, card, reading) => {
  const between: Found = {}
  for (const entry of labelled(entries, ['Breaths', 'Say'], reading)) {
    nothingUnder(entry, reading)
    const key = entry.label === 'Say' ? 'text' : 'breaths'
    reading.mark(['betweenSides', key], entry.line)
    once(between, key, entry, key === 'text' ? entry.text : Number(entry.text || NaN), reading)
  }
  card.betweenSides = between
}

const readMistakes: SectionReader = (entries, card, reading) => {
  card.mistakes = labelled(entries, ['Seen'], reading).map((entry, i) => {
    const path = ['mistakes', i]
    reading.mark(path, entry.line)
    const mistake: Found = { seen: entry.text }
    for (const each of labelled(entry.under, ['Why', 'Say', 'Cue', 'On'], reading)) {
      nothingUnder(each, reading)
      const key = each.label.toLowerCase()
      reading.mark([...path, key], each.line)
      once(mistake, key, each, each.text, reading)
    }
    return mistake
  })
}

const readCautions: SectionReader = (entries, card, reading) => {
  card.cautions = labelled(entries, ['Condition'], reading).map((entry, i) => {
    const path = ['cautions', i]
    reading.mark(path, entry.line)
    const caution: Found = { condition: entry.text }
    for (const each of labelled(entry.under, ['Verdict', 'Say', 'Rung', 'Reason'], reading)) {
      nothingUnder(each, reading)
      const key = each.label.toLowerCase()
      reading.mark([...path, key], each.line)
      const value = key === 'verdict' ? each.text.toLowerCase().replace(/\s+/g, '-') : each.text
      once(caution, key, each, value, reading)
    }
    return caution
  })
}

const RUNG_LABELS = [
  'Id',
  'Reference',
  'Prop',
  'Replace ',
  'Add first',
  'Add after ',
  'Omit',
  'Stay',
  'Up when',
  'Down when',
]

const readLadder: SectionReader = (entries, card, reading) => {
  card.ladder = labelled(entries, ['Rung'], reading).map((entry, r) => {
    const path = ['ladder', r]
    reading.mark(path, entry.line)
    const props: string[] = []
    const upWhen: string[] = []
    const downWhen: string[] = []
    const replace: Found[] = []
    const add: Found[] = []
    const omit: string[] = []
    const rung: Found = { name: entry.text }
    const push = <T>(to: T[], value: T, key: PropertyKey[], line: number) => {
      reading.mark([...path, ...key, to.length], line)
      to.push(value)
    }
    for (const each of labelled(entry.under, RUNG_LABELS, reading)) {
      nothingUnder(each, reading)
      const [head, ...tail] = each.label.split(/\s+/)
      const step = tail.at(-1)
      switch (head!.toLowerCase()) {
        case 'id':
          reading.mark([...path, 'id'], each.line)
          once(rung, 'id', each, each.text, reading)
          break
        case 'reference':
          if (each.text.toLowerCase() === 'yes') rung.reference = true
          else reading.wrong(each.line, '“Reference:” is followed by yes, or left out')
          break
        case 'prop':
          push(props, each.text, ['props'], each.line)
          break
        case 'replace': {
          const { tags, text } = tagsOf(each, reading, ['breath', 'seconds'])
          push(replace, { step, text, ...tags }, ['steps', 'replace'], each.line)
          break
        }
        case 'add': {
          const { id, ...added } = readStep(each, reading)
          if (!id)
            reading.wrong(each.line, 'an added step needs an id in its bracket, such as [in, #r1]')
          const after = tail[0]!.toLowerCase() === 'after' ? step : undefined
          push(add, { after, step: { id: id ?? 'x', ...added } }, ['steps', 'add'], each.line)
          break
        }
        case 'omit':
          push(omit, each.text, ['steps', 'omit'], each.line)
          break
        case 'stay':
          once(rung, 'stay', each, structured(each, [...path, 'stay'], reading), reading)
          break
        case 'up':
          push(upWhen, each.text, ['upWhen'], each.line)
          break
        default:
          push(downWhen, each.text, ['downWhen'], each.line)
      }
    }
    return { id: `r${r + 1}`, ...rung, props, upWhen, downWhen, steps: { replace, add, omit } }
  })
}

const readEffects: SectionReader = (entries, card, reading) => {
  card.effects = labelled(entries, BASES_OF_CLAIM, reading).map((entry, i) => {
    reading.mark(['effects', i], entry.line)
    const claim: Found = { basis: entry.label, text: entry.text }
    for (const each of labelled(entry.under, ['Source'], reading)) {
      nothingUnder(each, reading)
      once(claim, 'source', each, each.text, reading)
    }
    return claim
  })
}

const readAssists: SectionReader = (entries, card, reading) => {
  card.assists = entries.map((entry, i) => {
    nothingUnder(entry, reading)
    reading.mark(['assists', i], entry.line)
    const { tags, text } = tagsOf(entry, reading, ['breath', 'on'])
    return { text, ...tags }
  })
}

const LISTS: Partial<Record<HeadingKey, SectionReader>> = {
  setUp: readSetUp,
  enter: readSteps('enter', 's'),
  alignment: readAlignment,
  otherWay: readSteps('otherWay', 'w'),
  exit: readSteps('exit', 'x'),
  betweenSides: readBetween,
  mistakes: readMistakes,
  cautions: readCautions,
  ladder: readLadder,
  effects: readEffects,
  assists: readAssists,
}

function readNotes(nodes: RootContent[], source: string): string {
  return nodes
    .map((node) =>
      node.type === 'paragraph'
        ? wordsOf(node, source, '\n')
        : source.slice(node.position!.start.offset, node.position!.end.offset)
    )
    .join('\n\n')
}

/** Puts drawn figures, which stand together at the end of a file, where they belong. */
function placeFigures(codes: Code[], card: Found, reading: Reading): void {
  const rungs = (card.ladder ?? []) as { id: string; steps: { add: { step: Found }[] } }[]
  const steps = [
    ...((card.enter ?? []) as Found[]),
    ...((card.otherWay ?? []) as Found[]),
    ...((card.exit ?? []) as Found[]),
    ...rungs.flatMap((rung) => rung.steps.add.map((each) => each.step)),
  ]
  for (const code of codes) {
    const [kind, id] = (code.meta ?? '').split(/\s+/)
    const owner: Found | undefined =
      kind === 'start'
        ? ((card.setUp as Found | undefined) ?? (card.setUp = {}))
        : kind === 'rung'
          ? (rungs.find((rung) => rung.id === id) as Found | undefined)
          : steps.find((step) => kind === 'step' && step.id === id)
    if (!owner) {
      reading.wrong(
        startLine(code),
        'a figure starts with ```json start, with step s1, or with rung and the id of a rung'
      )
      continue
    }
    try {
      owner.figure = JSON.parse(code.value)
    } catch {
      reading.wrong(startLine(code), `the figure of ${kind} ${id} is no valid JSON`)
    }
  }
}

function readSection(key: HeadingKey, nodes: RootContent[], card: Found, reading: Reading): void {
  if (key === 'notes') {
    card.notes = readNotes(nodes, reading.source)
    return
  }
  if (key === 'figures') {
    placeFigures(
      nodes.filter((node): node is Code => node.type === 'code'),
      card,
      reading
    )
    return
  }
  const lists = nodes.filter((node): node is List => node.type === 'list')
  for (const node of nodes)
    if (node.type !== 'list')
      reading.wrong(
        startLine(node),
        'text in this section stands in a list: start each line with “- ” or “1. ”'
      )
  LISTS[key]!(
    lists.flatMap((list) => entriesOf(list, reading)),
    card,
    reading
  )
}

/** Remembers on which line each value between the --- lines stands. */
function markYaml(
  node: unknown,
  path: PropertyKey[],
  counter: LineCounter,
  reading: Reading
): void {
  if (!isNode(node)) return
  const children: [PropertyKey, unknown, Node | null][] = isMap(node)
    ? node.items.map((pair) => [
        String(isScalar(pair.key) ? pair.key.value : pair.key),
        pair.value,
        isNode(pair.key) ? pair.key : null,
      ])
    : 'items' in node && Array.isArray(node.items)
      ? node.items.map((each, i) => [
          i,
          isPair(each) ? each.value : each,
          isNode(each) ? each : null,
        ])
      : []
  for (const [key, value, at] of children) {
    if (at?.range) reading.mark([...path, key], counter.linePos(at.range[0]).line + 1)
    markYaml(value, [...path, key], counter, reading)
  }
}

function readFrontMatter(yaml: string, reading: Reading): Found {
  const counter = new LineCounter()
  const document = parseDocument(yaml, { version: '1.2', lineCounter: counter, uniqueKeys: true })
  for (const error of document.errors)
    reading.wrong(
      (error.linePos?.[0].line ?? 1) + 1,
      `this line between the --- lines cannot be read: ${error.message.split('\n')[0]!.replace(/ at line \d+.*$/, '')}. Put a text that holds a colon or a bracket in "quotes"`
    )
  if (document.errors.length > 0) return {}
  if (!isMap(document.contents)) {
    reading.wrong(1, 'the part between the --- lines should be a list of “name: value” lines')
    return {}
  }
  markYaml(document.contents, [], counter, reading)
  try {
    const { notula, ...head } = document.toJS({ maxAliasCount: 20 }) as Found
    const wrong = versionProblem(notula)
    if (wrong) reading.wrong(reading.lineOf(['notula']), wrong)
    if (typeof head.number === 'number') head.number = String(head.number)
    const body = Object.keys(head).find((key) => key in LISTS || key === 'notes')
    if (body)
      reading.wrong(
        reading.lineOf([body]),
        `“${body}” is not written between the --- lines; it has a section of its own below`
      )
    return head
  } catch {
    reading.wrong(1, 'the part between the --- lines repeats itself too often (YAML aliases)')
    return {}
  }
}

/**
 * Reads a card from Markdown with YAML front matter (docs/card-format.md).
 * @throws CardFileError with every problem and its line
 */
export function readMarkdown(source: string): Card {
  const reading = new Reading(source)
  const root: Root = processor.parse(source)
  const [head, ...body] = root.children
  if (head?.type !== 'yaml')
    throw new CardFileError([
      {
        line: 1,
        message: 'a card file starts with a line of ---, then names and families, then --- again',
      },
    ])
  const card = readFrontMatter(head.value, reading)
  let key: HeadingKey | undefined
  const sections = new Map<HeadingKey, RootContent[]>()
  for (const node of body) {
    if (node.type === 'heading' && (node.depth <= 2 || key !== 'notes')) {
      const title = wordsOf({ type: 'paragraph', children: node.children }, source)
      key = node.depth === 2 ? headingKey(title) : undefined
      if (node.depth !== 2)
        reading.wrong(
          startLine(node),
          `“${title}” should be a section with two ##; the name of the pose stands in names`
        )
      else if (!key) reading.wrong(startLine(node), unknownHeading(title))
      else if (sections.has(key))
        reading.wrong(startLine(node), `the section “${title}” stands here twice`)
      if (key && !sections.has(key)) sections.set(key, [])
    } else if (key) sections.get(key)!.push(node)
    else if (reading.problems.length === 0)
      reading.wrong(
        startLine(node),
        'this text stands in no section; put a heading such as “## Coming in” above it'
      )
  }
  const figures = sections.get('figures')
  sections.delete('figures')
  for (const [name, nodes] of sections) readSection(name, nodes, card, reading)
  if (figures) readSection('figures', figures, card, reading)
  if (reading.problems.length > 0)
    throw new CardFileError(reading.problems.sort((a, b) => a.line - b.line))
  return validCard(card, (path) => reading.lineOf(path))
}
