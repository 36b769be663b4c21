import { z } from 'zod'
import { issueMessage } from '@/core/formats'

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

/** A 400 that names each value that does not fit. */
export function badInput(error: z.ZodError): Response {
  const errors = error.issues.map((issue) => ({
    path: issue.path.map(String),
    message: issueMessage(issue),
  }))
  return problem(
    400,
    'The data does not fit',
    `${errors[0]?.message ?? 'The data does not fit.'}. Nothing was saved.`,
    { errors }
  )
}

/** Longest request body that is read, in bytes. */
export const MAX_BODY = 8 * 1024 * 1024

/**
 * Reads and checks a JSON body.
 * @returns the data, or the answer to send instead
 */
export async function readBody<T>(request: Request, schema: z.ZodType<T>): Promise<T | Response> {
  if (Number(request.headers.get('content-length') ?? 0) > MAX_BODY)
    return problem(413, 'Too large', 'The request is larger than 8 MB. Nothing was saved.')
  let value: unknown
  try {
    const text = await request.text()
    if (text.length > MAX_BODY)
      return problem(413, 'Too large', 'The request is larger than 8 MB. Nothing was saved.')
    value = JSON.parse(text)
  } catch {
    return problem(400, 'No JSON', 'The request is no valid JSON. Nothing was saved.')
  }
  const result = schema.safeParse(value)
  return result.success ? result.data : badInput(result.error)
}

const OUT_OF_REACH =
  /ECONNREFUSED|ECONNRESET|ETIMEDOUT|terminat|timeout|Connection ended|starting up|shutting down/i

/** Runs a handler; a database out of reach becomes a 503, anything else a 500, both told plainly. */
export async function answering(run: () => Promise<Response>): Promise<Response> {
  try {
    return await run()
  } catch (error) {
    const words =
      error instanceof Error
        ? `${error.name} ${error.message} ${(error as { code?: string }).code ?? ''}`
        : ''
    if (OUT_OF_REACH.test(words))
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
}
