import type { z } from 'zod'
import { type Card, CardIn, pathOf } from '../card'
import { CardFileError, type Problem } from './problem'

type Issue = z.core.$ZodIssue

/** Says a schema issue in a trainer's words. */
export function issueMessage(issue: Issue): string {
  const place = pathOf(issue.path)
  if (issue.code === 'unrecognized_keys') {
    const keys = issue.keys.map((key) => `“${key}”`).join(', ')
    return `${keys} ${issue.keys.length === 1 ? 'is no part' : 'are no parts'} of ${place ? `“${place}”` : 'a card'}`
  }
  if (issue.code === 'invalid_type' && issue.input === undefined) return `“${place}” is missing`
  const message = issue.message.startsWith('Invalid')
    ? `does not fit (${issue.message})`
    : issue.message
  return `“${place || 'the card'}” ${message}`
}

/**
 * Checks what a reader found against the card model.
 * @param lineOf the line on which the value at a path stands
 * @throws CardFileError with a problem for each value that does not fit
 */
export function validCard(found: unknown, lineOf: (path: PropertyKey[]) => number): Card {
  const result = CardIn.safeParse(found)
  if (result.success) return result.data
  throw new CardFileError(
    result.error.issues
      .map((issue): Problem => {
        const path =
          issue.code === 'unrecognized_keys' ? [...issue.path, issue.keys[0]!] : issue.path
        return { line: lineOf(path), message: issueMessage(issue) }
      })
      .sort((a, b) => a.line - b.line)
  )
}
