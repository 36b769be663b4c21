import { z } from 'zod'
import { LIMITS } from '@/core/card'
import { issueMessage } from '@/core/formats'
import { UploadError } from './archive'
import { readBytes, TooLarge } from './http/body'
import { MeanwhileError } from './importDeck'
import { JobError } from './jobs/pool'
import { isUnreadable } from './storedBody'

/** An answer that says what went wrong, as RFC 9457 problem details. */
export function problem(
  status: number,
  title: string,
  detail: string,
  more: Record<string, unknown> = {}
): Response {
  return new Response(JSON.stringify({ type: 'about:blank', title, status, detail, ...more }), {
    status,
    headers: { 'content-type': 'application/problem+json; charset=utf-8' },
  })
}

/** A 400 that names each value of what was given that does not fit. */
export function badInput(error: z.ZodError, given: unknown): Response {
  const errors = error.issues.slice(0, LIMITS.problems).map((issue) => ({
    path: issue.path.map(String),
    message: issueMessage(issue, given),
  }))
  return problem(
    400,
    'The data does not fit',
    `${errors[0]?.message ?? 'The data does not fit.'}. Nothing was saved.`,
    { errors }
  )
}

/**
 * Reads and checks a JSON body.
 * @returns the data, or the answer to send instead
 */
export async function readBody<T>(request: Request, schema: z.ZodType<T>): Promise<T | Response> {
  let value: unknown
  try {
    value = JSON.parse((await readBytes(request, LIMITS.bodyBytes)).toString('utf8'))
  } catch (error) {
    if (error instanceof TooLarge)
      return problem(413, 'Too large', `${error.message} Nothing was saved.`)
    return problem(400, 'No JSON', 'The request is no valid JSON. Nothing was saved.')
  }
  const result = schema.safeParse(value)
  return result.success ? result.data : badInput(result.error, value)
}

const OUT_OF_REACH =
  /ECONNREFUSED|ECONNRESET|ETIMEDOUT|terminat|timeout|Connection ended|starting up|shutting down/i

/** What an error of the database means, by its SQLSTATE (PostgreSQL, appendix A). */
const STATES: [RegExp, number, string, string][] = [
  [
    /^53300$/,
    503,
    'Too many at once',
    'The database takes no more connections now. Nothing was lost; try again in a moment.',
  ],
  [
    /^(?:53100|58030|53400)$/,
    507,
    'The disk is full',
    'The database has no room left. Nothing was saved, and what you typed is kept; make room on the disk and try again.',
  ],
  [
    /^(?:40001|40P01|55P03)$/,
    503,
    'Someone else was saving',
    'Two saves waited for each other, and this one was not done. Nothing was lost; try again.',
  ],
  [
    /^(?:57P0[1-5]|08...)$/,
    503,
    'The database is out of reach',
    'Nothing was lost: what you typed is kept, and saving is tried again.',
  ],
  [
    /^22/,
    400,
    'The data does not fit',
    'Something in the request is nothing that the database can hold. Nothing was saved.',
  ],
]

/** An error as it may be told: no statement, no stack, no password. */
export function problemOf(error: unknown): Response {
  if (error instanceof UploadError)
    return problem(400, 'This cannot be taken in', `${error.message} Nothing was taken in.`)
  if (error instanceof TooLarge)
    return problem(413, 'Too large', `${error.message} Nothing was taken in.`)
  if (error instanceof MeanwhileError)
    return problem(409, 'Saved meanwhile', `${error.message} Nothing was taken in; look again.`)
  if (isUnreadable(error))
    return problem(
      422,
      'This card cannot be read',
      'What is stored of this card cannot be read; the other cards can. An earlier version of it may be brought back from its history.'
    )
  if (error instanceof JobError)
    return problem(
      error.why === 'queue' ? 503 : 422,
      error.why === 'queue' ? 'Too many at once' : 'Too much work',
      `This could not be done: ${error.message}. The deck is as it was.`
    )
  const {
    code = '',
    name = '',
    message = '',
  } = error as {
    code?: string
    name?: string
    message?: string
  }
  const known = STATES.find(([state]) => state.test(code))
  if (known) return problem(known[1], known[2], known[3])
  if (OUT_OF_REACH.test(`${name} ${message} ${code}`))
    return problem(
      503,
      'The database is out of reach',
      'Nothing was lost: what you typed is kept, and saving is tried again.'
    )
  console.error(error)
  return problem(
    500,
    'Something went wrong',
    'Nothing was saved. Try again; if it stays, look at the server’s messages.'
  )
}

/** Runs a handler; what goes wrong in it is told plainly. */
export async function answering(run: () => Promise<Response>): Promise<Response> {
  try {
    return await run()
  } catch (error) {
    return problemOf(error)
  }
}
