import { CSV_TABLES, type CsvTable, writeCsv } from '@/core/deck'
import { writeJson, writeMarkdown } from '@/core/formats'
import { pack } from '@/server/archive'
import { loadDeck } from '@/server/cards'
import { answering, problem } from '@/server/problem'

export const dynamic = 'force-dynamic'

/** The whole deck: `?as=md` or `?as=json` as a ZIP, `?as=cues`, `mistakes` or `cautions` as CSV. */
export function GET(request: Request) {
  return answering(async () => {
    const as = new URL(request.url).searchParams.get('as') ?? 'md'
    const cards = (await loadDeck()).map(({ card }) => card)
    const send = (body: BodyInit, type: string, name: string) =>
      new Response(body, {
        headers: {
          'content-type': type,
          'content-disposition': `attachment; filename="${name}"`,
        },
      })
    if ((CSV_TABLES as readonly string[]).includes(as))
      return send(writeCsv(cards, as as CsvTable), 'text/csv; charset=utf-8', `notula-${as}.csv`)
    if (as !== 'md' && as !== 'json')
      return problem(
        400,
        'No such form',
        `The deck goes out as md, json, ${CSV_TABLES.join(', ')}.`
      )
    const write = as === 'md' ? writeMarkdown : writeJson
    const zip = pack(cards.map((card) => ({ name: `${card.id}.${as}`, text: write(card) })))
    return send(Buffer.from(zip), 'application/zip', `notula-deck-${as}.zip`)
  })
}
