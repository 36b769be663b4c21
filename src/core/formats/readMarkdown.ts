import type { List, Root, RootContent } from 'mdast'
import remarkFrontmatter from 'remark-frontmatter'
import remarkParse from 'remark-parse'
import { unified } from 'unified'
import { type Card, upgraded } from '../card'
import { SAY_FILES } from '../language'
import { entriesOf, Reading, startLine, wordsOf } from './entries'
import { readFrontMatter } from './frontMatter'
import { headingKey, unknownHeading } from './labels'
import { CardFileError } from './problem'
import { FILE_SECTIONS } from './sections'
import { refuseTooMuch } from './tooMuch'
import { validCard } from './validate'

const processor = unified().use(remarkParse).use(remarkFrontmatter, ['yaml'])

function listsIn(nodes: RootContent[], reading: Reading) {
  const lists = nodes.filter((node): node is List => node.type === 'list')
  for (const node of nodes)
    if (node.type !== 'list') reading.wrong(startLine(node), SAY_FILES.noList)
  return lists.flatMap((list) => entriesOf(list, reading))
}

/** What stands under each heading of a file. */
function underHeadings(body: RootContent[], reading: Reading): Map<string, RootContent[]> {
  const sections = new Map<string, RootContent[]>()
  let key: string | undefined
  for (const node of body) {
    if (node.type === 'heading' && (node.depth <= 2 || key !== 'notes')) {
      const title = wordsOf({ type: 'paragraph', children: node.children }, reading.source)
      key = node.depth === 2 ? headingKey(title) : undefined
      if (node.depth !== 2) reading.wrong(startLine(node), SAY_FILES.wrongHeading(title))
      else if (!key) reading.wrong(startLine(node), unknownHeading(title))
      else if (sections.has(key)) reading.wrong(startLine(node), SAY_FILES.sectionTwice(title))
      if (key && !sections.has(key)) sections.set(key, [])
    } else if (key) sections.get(key)!.push(node)
    else if (reading.problems.length === 0) reading.wrong(startLine(node), SAY_FILES.noHeading)
  }
  return sections
}

/**
 * Reads a card from Markdown with YAML front matter (docs/card-format.md).
 * @throws CardFileError with every problem and its line
 */
export function readMarkdown(source: string): Card {
  refuseTooMuch(source)
  const reading = new Reading(source)
  const root: Root = processor.parse(source)
  const [head, ...body] = root.children
  if (head?.type !== 'yaml')
    throw new CardFileError([
      {
        line: 1,
        message: SAY_FILES.noStart,
      },
    ])
  const { card, version } = readFrontMatter(head.value, reading)
  const sections = [...underHeadings(body, reading)]
  for (const [key, nodes] of sections)
    if (FILE_SECTIONS[key]!.read) FILE_SECTIONS[key]!.read(listsIn(nodes, reading), card, reading)
  for (const [key, nodes] of sections) FILE_SECTIONS[key]!.readNodes?.(nodes, card, reading)
  if (reading.problems.length > 0)
    throw new CardFileError(reading.problems.sort((a, b) => a.line - b.line))
  return validCard(upgraded(card, version), (path) => reading.lineOf(path))
}
