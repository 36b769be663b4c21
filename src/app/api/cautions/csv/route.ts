import { z } from 'zod'
import { LIMITS } from '@/core/card'
import { storedDeck } from '@/server/cards'
import { run } from '@/server/jobs/pool'
import { answering, problem, readBody } from '@/server/problem'
import { loadSchool } from '@/server/school'

export const dynamic = 'force-dynamic'

/** The verdicts of every card and rung as CSV. */
export function GET() {
  return answering(async () => {
    const [deck, school] = await Promise.all([storedDeck(), loadSchool()])
    return new Response(await run('verdictsCsv', { deck, school }), {
      headers: {
        'content-type': 'text/csv; charset=utf-8',
        'content-disposition': 'attachment; filename="notula-verdicts.csv"',
      },
    })
  })
}

const Table = z.strictObject({ text: z.string().max(LIMITS.bodyBytes) })

/** What a table of verdicts would change; nothing is saved by asking. */
export function POST(request: Request) {
  return answering(async () => {
    const body = await readBody(request, Table)
    if (body instanceof Response) return body
    const [deck, school] = await Promise.all([storedDeck(), loadSchool()])
    const told = await run('planVerdicts', { text: body.text, deck, school })
    return 'value' in told
      ? Response.json(told.value)
      : problem(400, 'This cannot be read', told.refused)
  })
}
