import { readForm } from '@/server/http/body'
import { carryOut, plannedImport } from '@/server/importDeck'
import { answering, problem, problemOf } from '@/server/problem'

/**
 * Takes card files in. `?preview=1` only says what would happen; else the answer is a line of
 * JSON for each step of the way, the last one with the outcome.
 */
export function POST(request: Request) {
  return answering(async () => {
    const form = await readForm(request)
    if (!form) return problem(400, 'No files', 'The request holds no files. Nothing was taken in.')
    // An upload that cannot be used as a whole is refused before anything is answered.
    const plan = await plannedImport(form.files)
    if (new URL(request.url).searchParams.has('preview'))
      return Response.json({
        items: plan.items.map(({ card, ...item }) => ({
          ...item,
          id: card?.id ?? null,
        })),
      })
    const fields = (wanted: string) =>
      form.fields.filter(({ name }) => name === wanted).map(({ value }) => value)
    const leaveOut = new Set(fields('leaveOut'))
    const author = (fields('author')[0] ?? '').slice(0, 200)
    return progress((tell) => carryOut(plan, author, leaveOut, tell))
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
        const { detail } = (await problemOf(error).json()) as { detail: string }
        say({ failed: `${detail} The deck is as it was.` })
      }
      controller.close()
    },
  })
  return new Response(stream, {
    headers: { 'content-type': 'application/x-ndjson; charset=utf-8' },
  })
}
