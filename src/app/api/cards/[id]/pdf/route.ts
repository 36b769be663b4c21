import { cardTitles, loadCard } from '@/server/cards'
import { printCards } from '@/server/print'
import { answering, problem } from '@/server/problem'
import { loadSchool } from '@/server/school'

type Context = { params: Promise<{ id: string }> }

/** The card as an A5 PDF. */
export function GET(_request: Request, { params }: Context) {
  return answering(async () => {
    const { id } = await params
    const stored = await loadCard(id)
    if (!stored) return problem(404, 'No such card', `There is no card “${id}”.`)
    const pdf = await printCards([stored.card], await loadSchool(), await cardTitles())
    return new Response(Buffer.from(pdf), {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': `inline; filename="${id}.pdf"`,
      },
    })
  })
}
