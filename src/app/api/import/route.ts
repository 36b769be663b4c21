import { filesOf, MAX_UPLOAD, UploadError } from '@/server/archive'
import { importFiles, previewImport } from '@/server/importDeck'
import { answering, problem } from '@/server/problem'

/**
 * Takes card files in. `?preview=1` only says what would happen; else the answer is a line of
 * JSON for each step of the way, the last one with the outcome.
 */
export function POST(request: Request) {
  return answering(async () => {
    if (Number(request.headers.get('content-length') ?? 0) > MAX_UPLOAD)
      return problem(
        413,
        'Too large',
        'The files are larger than 64 MB together. Nothing was taken in.'
      )
    const form = await request.formData().catch(() => null)
    if (!form) return problem(400, 'No files', 'The request holds no files. Nothing was taken in.')
    try {
      const files = await filesOf(form)
      if (new URL(request.url).searchParams.has('preview'))
        return Response.json({
          items: (await previewImport(files)).map(({ card, ...item }) => ({
            ...item,
            id: card?.id ?? null,
          })),
        })
      const leaveOut = new Set(form.getAll('leaveOut').map(String))
      return progress((tell) =>
        importFiles(files, String(form.get('author') ?? ''), leaveOut, tell)
      )
    } catch (error) {
      if (error instanceof UploadError)
        return problem(400, 'This cannot be taken in', `${error.message} Nothing was taken in.`)
      throw error
    }
  })
}

/** Answers with a line of JSON for each step, while the work goes on. */
function progress<T extends object>(
  work: (tell: (done: number, total: number) => void) => Promise<T>
): Response {
  const encoder = new TextEncoder()
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      const say = (line: object) => controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`))
      try {
        const outcome = await work((done, total) => {
          if (done % 10 === 0 || done === total) say({ done, total })
        })
        say({ finished: true, ...outcome })
      } catch (error) {
        console.error(error)
        say({
          failed: `${error instanceof Error ? error.message : 'Something went wrong.'} Nothing was taken in; the deck is as it was.`,
        })
      }
      controller.close()
    },
  })
  return new Response(stream, {
    headers: { 'content-type': 'application/x-ndjson; charset=utf-8' },
  })
}
