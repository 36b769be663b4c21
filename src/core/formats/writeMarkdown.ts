import type { Root } from 'mdast'
import remarkFrontmatter from 'remark-frontmatter'
import remarkStringify from 'remark-stringify'
import { unified } from 'unified'
import type { Card } from '../card'
import { frontMatter } from './frontMatter'
import { FILE_SECTIONS } from './sections'

const processor = unified()
  .use(remarkFrontmatter, ['yaml'])
  .use(remarkStringify, { bullet: '-', listItemIndent: 'one', rule: '-', fences: true })

/** Writes a card as Markdown with YAML front matter (docs/card-format.md). */
export function writeMarkdown(card: Card): string {
  const root: Root = { type: 'root', children: [{ type: 'yaml', value: frontMatter(card) }] }
  for (const { heading, write } of Object.values(FILE_SECTIONS)) {
    const blocks = write(card)
    if (blocks.length === 0) continue
    root.children.push(
      { type: 'heading', depth: 2, children: [{ type: 'text', value: heading }] },
      ...blocks
    )
  }
  return processor.stringify(root)
}
