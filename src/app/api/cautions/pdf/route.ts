import { storedDeck } from '@/server/cards'
import { run } from '@/server/jobs/pool'
import { answering } from '@/server/problem'
import { loadSchool } from '@/server/school'

export const dynamic = 'force-dynamic'

/** The verdicts of the deck as sheets for the wall, A4 across. */
export function GET() {
  return answering(async () => {
    const [deck, school] = await Promise.all([storedDeck(), loadSchool()])
    const pdf = await run('wallSheet', { deck, school })
    return new Response(Buffer.from(pdf), {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': 'inline; filename="notula-cautions.pdf"',
      },
    })
  })
}
