import { LIMITS } from '../card'
import { SAY_FILES } from '../language'
import { CardFileError } from './problem'

/** Columns that one list in another stands further in, at the most. */
const INDENT = 6

/** Marks of lists and quotes at the start of a line, one after the other. */
const MARKS = /^(?:\s*(?:[-*+>]|\d{1,9}[.)])(?=\s|[-*+>]|$))+/
const ONE_MARK = /[-*+>]|\d+[.)]/g

/** Brackets in brackets, as YAML takes them. */
const FLOW = new RegExp(`(?:[[{]\\s*){${LIMITS.nesting + 1}}`)

/** What is not escaped, and is held against all that stands before it. */
const PAIRED = /\\.|(\*+|_+|&(?=[#a-z]))/gi

/** How deep a line lies in lists and quotes, as far as that can be told from the line. */
function nesting(line: string): number {
  const marks = MARKS.exec(line)?.[0]
  const indent = /^\s*/.exec(line)![0].replace(/\t/g, '    ').length
  return Math.max(marks ? marks.match(ONE_MARK)!.length : 0, Math.floor(indent / INDENT))
}

/**
 * Looks over the text of a file before it is parsed: what a parser would need very long for is
 * refused here, with its line.
 * @throws CardFileError
 */
export function refuseTooMuch(text: string): void {
  const refuse = (line: number, message: string): never => {
    throw new CardFileError([{ line, message }])
  }
  const lines = text.split('\n', LIMITS.fileLines + 1)
  if (lines.length > LIMITS.fileLines) refuse(LIMITS.fileLines, SAY_FILES.lines(LIMITS.fileLines))
  const front = lines[0]?.trimEnd() === '---' ? lines.indexOf('---', 1) : -1
  if (front > LIMITS.frontLines) refuse(LIMITS.frontLines, SAY_FILES.frontLines(LIMITS.frontLines))
  const deep = (i: number) => refuse(i + 1, SAY_FILES.deepLists(LIMITS.nesting))
  let headings = 0
  let marks = 0
  let fenced = false
  lines.forEach((line, i) => {
    if (line.length > LIMITS.fileLine) refuse(i + 1, SAY_FILES.line(LIMITS.fileLine))
    if (/^\s*(?:```|~~~)/.test(line)) fenced = !fenced
    if (i < front && FLOW.test(line)) deep(i)
    if (i < front) return
    // In a fence, too: what looks like one need not be one.
    for (const [, mark] of line.matchAll(PAIRED)) if (mark) marks += 1
    if (marks > LIMITS.marks) refuse(i + 1, SAY_FILES.marks(LIMITS.marks))
    if (fenced) return
    if (/^ {0,3}(?:#{1,6}(?:\s|$)|=+\s*$|-+\s*$)/.test(line)) headings += 1
    if (headings > LIMITS.headings) refuse(i + 1, SAY_FILES.headings(LIMITS.headings))
    if (nesting(line) > LIMITS.nesting) deep(i)
  })
}

/**
 * Refuses JSON that lies too deep in itself to be read.
 * @throws CardFileError
 */
export function refuseTooDeep(text: string): void {
  let depth = 0
  let quoted = false
  for (let i = 0; i < text.length; i += 1) {
    const code = text.charCodeAt(i)
    if (quoted) {
      if (code === 92) i += 1
      else if (code === 34) quoted = false
    } else if (code === 34) quoted = true
    else if (code === 123 || code === 91) depth += 1
    else if (code === 125 || code === 93) depth -= 1
    if (depth > LIMITS.jsonDepth) {
      const line = text.slice(0, i).split('\n').length
      throw new CardFileError([{ line, message: SAY_FILES.deepJson(LIMITS.jsonDepth) }])
    }
  }
}
