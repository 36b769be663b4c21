import type { z } from 'zod'
import { type Card, CardIn, pathOf } from '../card'
import { SAY_FILES } from '../language'
import { CardFileError, type Problem } from './problem'

type Issue = z.core.$ZodIssue

/** Says a schema issue in a trainer's words. */
export function issueMessage(issue: Issue): string {
  const place = pathOf(issue.path)
  if (issue.code === 'unrecognized_keys') {
    return SAY_FILES.noPart(issue.keys, place)
  }
  if (issue.code === 'invalid_type' && issue.input === undefined) return SAY_FILES.missing(place)
  const message = issue.message.startsWith('Invalid')
    ? SAY_FILES.doesNotFit(issue.message)
    : issue.message
  return SAY_FILES.at(place, message)
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
