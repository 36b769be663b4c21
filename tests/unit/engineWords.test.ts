import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import ts from 'typescript'
import { REGIONS, TRAIT_NAMES } from '@/core/card'
import { THINGS } from '@/core/language'

/** What is said to people stands in the language, and not in what works things out. */

/**
 * The language itself, what checks data as it comes in, pages of docs, headings of the file
 * format, and the words of Sanskrit names.
 */
const ELSEWHERE =
  /core\/(?:language|card)\/|[pP]ages?\.ts$|\.test\.ts$|\/(?:sections|schema|spec|sanskritWords)\.ts$/

const files = readdirSync('src/core', { recursive: true, encoding: 'utf8' })
  .map((file) => path.join('src/core', file))
  .filter((file) => file.endsWith('.ts') && !ELSEWHERE.test(file))

/** Whether words are thrown for who programs, check data as it comes in, or name a type. */
function aside(node: ts.Node): boolean {
  const { parent } = node
  if (!parent) return false
  if (ts.isLiteralTypeNode(parent) || ts.isImportDeclaration(parent)) return true
  if (ts.isPropertyAssignment(parent) && parent.name.getText() === 'error') return true
  if (ts.isNewExpression(parent) && parent.expression.getText() === 'RangeError') return true
  return ts.isStatement(parent) ? false : aside(parent)
}

/** The words of a text; of one that is put together, what stands between its parts. */
const wordsOf = (node: ts.StringLiteralLike | ts.TemplateExpression) =>
  ts.isStringLiteralLike(node)
    ? node.text
    : [node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join('…')

/** Names of what is computed with, which read like words. */
const NAMES = new Set<string>([...TRAIT_NAMES, ...REGIONS, ...THINGS, 'part of the way'])

/** Texts of a file that read as a sentence: words in a row, one of them a little one. */
function sentencesIn(file: string): string[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true)
  const found: string[] = []
  const look = (node: ts.Node): void => {
    if (ts.isStringLiteralLike(node) || ts.isTemplateExpression(node)) {
      const words = wordsOf(node)
      if (SENTENCE.test(words) && LITTLE.test(words) && !NAMES.has(words) && !aside(node))
        found.push(words)
    }
    ts.forEachChild(node, look)
  }
  look(source)
  return found
}
const SENTENCE = /(?:[a-zA-Z’“”…]+[ ,;:]+){3}[a-zA-Z’“”…]+/
const LITTLE =
  /\b(?:is|are|was|the|a|an|no|not|it|its|this|that|and|or|has|have|should|more|than)\b/

test('the engines hold no sentence of any language', () => {
  expect(files.length).toBeGreaterThan(150)
  const told = files.flatMap((file) => sentencesIn(file).map((text) => `${file}: ${text}`))
  expect(told).toEqual([])
})

test('a sentence would be seen', () => {
  const said = readdirSync('src/core/language/en').filter((file) =>
    /^(?:says|bvhWords)\.ts$/.test(file)
  )
  for (const file of said)
    expect(sentencesIn(`src/core/language/en/${file}`).length).toBeGreaterThan(3)
})
