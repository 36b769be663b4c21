/** What a failed call said, in the words of its problem details. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly body: Record<string, unknown> = {}
  ) {
    super(message)
    this.name = 'ApiError'
  }
}

/**
 * Calls the app's own HTTP door.
 * @throws ApiError with status 0 when the server cannot be reached
 */
export async function api<T>(path: string, init?: RequestInit & { json?: unknown }): Promise<T> {
  const { json, ...rest } = init ?? {}
  let response: Response
  try {
    response = await fetch(path, {
      ...rest,
      ...(json === undefined
        ? {}
        : { body: JSON.stringify(json), headers: { 'content-type': 'application/json' } }),
    })
  } catch {
    throw new ApiError(0, 'The server cannot be reached.')
  }
  const body = (await response.json().catch(() => ({}))) as Record<string, unknown>
  if (!response.ok)
    throw new ApiError(
      response.status,
      String(body.detail ?? 'The server did not answer as expected.'),
      body
    )
  return body as T
}
