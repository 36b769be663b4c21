import { writeJson, writeMarkdown } from '@/core/formats'
import { loadCard } from '@/server/cards'
import { answering, problem } from '@/server/problem'

type Context = { params: Promise<{ id: string }> }

/** The card as a plain file: Markdown, or JSON with `?as=json`. */
export function GET(request: Request, { params }: Context) {
  return answering(async () => {
    const { id } = await params
    const stored = await loadCard(id)
    if (!stored) return problem(404, 'No such card', `There is no card “${id}”.`)
    const json = new URL(request.url).searchParams.get('as') === 'json'
    return new Response(json ? writeJson(stored.card) : writeMarkdown(stored.card), {
      headers: {
        'content-type': json ? 'application/json; charset=utf-8' : 'text/markdown; charset=utf-8',
        'content-disposition': `attachment; filename="${id}.${json ? 'json' : 'md'}"`,
      },
    })
  })
}
