import { storedDeck } from '@/server/cards'
import { type Export, EXPORTS } from '@/server/jobs/exports'
import { run } from '@/server/jobs/pool'
import { answering, problem } from '@/server/problem'

export const dynamic = 'force-dynamic'

/** The whole deck: `?as=md` or `?as=json` as a ZIP, `?as=cues`, `mistakes` or `cautions` as CSV. */
export function GET(request: Request) {
  return answering(async () => {
    const as = new URL(request.url).searchParams.get('as') ?? 'md'
    if (!(EXPORTS as readonly string[]).includes(as))
      return problem(400, 'No such form', `The deck goes out as ${EXPORTS.join(', ')}.`)
    const body = await run('exportDeck', { deck: await storedDeck(), as: as as Export })
    const zip = as === 'md' || as === 'json'
    return new Response(Buffer.from(body), {
      headers: {
        'content-type': zip ? 'application/zip' : 'text/csv; charset=utf-8',
        'content-disposition': `attachment; filename="${zip ? `notula-deck-${as}.zip` : `notula-${as}.csv`}"`,
      },
    })
  })
}
