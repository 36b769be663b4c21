import { longestText, pathOf } from '@/core/card'
import { cardTitles, storedDeck } from '@/server/cards'
import { JobError, run } from '@/server/jobs/pool'
import { storedBody } from '@/server/storedBody'
import { answering, problem } from '@/server/problem'
import { loadSchool } from '@/server/school'

type Context = { params: Promise<{ id: string }> }

/** The card as an A5 PDF; with `?rung=ID` as it is done on that rung. */
export function GET(request: Request, { params }: Context) {
  return answering(async () => {
    const { id } = await params
    const [stored] = await storedDeck([id])
    if (!stored) return problem(404, 'No such card', `There is no card “${id}”.`)
    const rung = new URL(request.url).searchParams.get('rung') ?? undefined
    if (rung !== undefined && !storedBody(stored).ladder.some((each) => each.id === rung))
      return problem(404, 'No such rung', `There is no rung “${rung}” on this card.`)
    const [school, titles] = await Promise.all([loadSchool(), cardTitles()])
    const pdf = await run('print', { cards: [stored], school, titles: [...titles], rung }).catch(
      (error: unknown) => {
        if (!(error instanceof JobError) || error.why === 'queue') throw error
        const { path, length } = longestText(storedBody(stored))
        return problem(
          422,
          'Too long to print',
          `This card is too long to print: ${error.message}. Its longest text is “${pathOf(path)}” with ${length} characters; shorten it or split the card. The card is as it was.`
        )
      }
    )
    if (pdf instanceof Response) return pdf
    return new Response(Buffer.from(pdf), {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': `inline; filename="${id}${rung === undefined ? '' : `-${rung}`}.pdf"`,
      },
    })
  })
}
