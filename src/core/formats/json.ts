import {
  findNodeAtLocation,
  type Node,
  type ParseError,
  parseTree,
  printParseErrorCode,
} from 'jsonc-parser'
import { type Card, FORMAT_VERSION, upgraded } from '../card'
import { SAY_FILES } from '../language'
import { CardFileError, type Problem, versionProblem } from './problem'
import { refuseTooDeep } from './tooMuch'
import { validCard } from './validate'

/** Writes a card as JSON, with the format version first. */
export function writeJson(card: Card): string {
  return `${JSON.stringify({ notula: FORMAT_VERSION, ...card }, null, 2)}\n`
}

function lineAt(text: string, offset: number): number {
  let line = 1
  for (let i = text.indexOf('\n'); i >= 0 && i < offset; i = text.indexOf('\n', i + 1)) line += 1
  return line
}

/**
 * Reads a card from JSON.
 * @throws CardFileError with the line of each problem
 */
export function readJson(text: string): Card {
  refuseTooDeep(text)
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    const errors: ParseError[] = []
    parseTree(text, errors, { disallowComments: true, allowTrailingComma: false })
    const first = errors[0]
    throw new CardFileError([
      {
        line: first ? lineAt(text, first.offset) : 1,
        message: SAY_FILES.noJson(first ? wordsOf(printParseErrorCode(first.error)) : ''),
      },
    ])
  }
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw new CardFileError([{ line: 1, message: SAY_FILES.noCard }])
  const { notula, ...card } = value as Record<string, unknown>
  const wrong = versionProblem(notula)
  if (wrong) throw new CardFileError([{ line: 1, message: wrong }])
  const tree = parseTree(text)
  refuseDoubleKeys(tree, text)
  return validCard(upgraded(card, notula), (path) => {
    for (let keys = path.map((key) => key as string | number); ; keys = keys.slice(0, -1)) {
      const node = tree && findNodeAtLocation(tree, keys)
      if (node)
        return lineAt(text, node.parent?.type === 'property' ? node.parent.offset : node.offset)
      if (keys.length === 0) return 1
    }
  })
}

/** Of a key that stands twice one value would be lost. */
function refuseDoubleKeys(root: Node | undefined, text: string): void {
  const problems: Problem[] = []
  const look = (node: Node) => {
    const seen = new Set<string>()
    for (const child of node.children ?? []) {
      if (node.type === 'object' && child.type === 'property') {
        const key = String(child.children![0]!.value)
        if (seen.has(key))
          problems.push({ line: lineAt(text, child.offset), message: SAY_FILES.twice(key) })
        seen.add(key)
      }
      look(child)
    }
  }
  if (root) look(root)
  if (problems.length > 0) throw new CardFileError(problems)
}

const wordsOf = (code: string) => code.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase()
