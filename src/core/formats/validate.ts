import type { z } from 'zod'
import { type Card, CardIn, pathOf, valueIn } from '../card'
import { SAY_FILES } from '../language'
import { CardFileError, type Problem } from './problem'

type Issue = z.core.$ZodIssue

/**
 * Says a schema issue in a trainer's words.
 * @param found what was checked: tells what is missing from what does not fit
 */
export function issueMessage(issue: Issue, found: unknown): string {
  const place = pathOf(issue.path)
  if (issue.code === 'unrecognized_keys') {
    return SAY_FILES.noPart(issue.keys, place)
  }
  if (issue.code === 'invalid_type' && valueIn(found, issue.path) === undefined)
    return SAY_FILES.missing(place)
  if (issue.code === 'invalid_type' && issue.expected in SAY_FILES.kinds)
    return SAY_FILES.at(place, SAY_FILES.shouldBe(issue.expected as keyof typeof SAY_FILES.kinds))
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
        return { line: lineOf(path), message: issueMessage(issue, found) }
      })
      .sort((a, b) => a.line - b.line)
  )
}
