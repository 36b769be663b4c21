import { z } from 'zod'
import { CardIn } from '@/core/card'
import { answering, problem, readBody } from '@/server/problem'
import { saveMany } from '@/server/saveMany'

const Mend = z.strictObject({
  cards: z.array(z.strictObject({ card: CardIn, from: z.int().min(1) })).max(1000),
  author: z.string().trim().max(200).default(''),
  note: z.string().trim().max(2000).default(''),
})

/** Saves mended cards as new versions: all of them, or none when one was saved meanwhile. */
export function POST(request: Request) {
  return answering(async () => {
    const body = await readBody(request, Mend)
    if (body instanceof Response) return body
    const stale = await saveMany(body.cards, body.author, body.note)
    if (stale.length === 0) return Response.json({ saved: body.cards.length })
    return problem(
      409,
      'Someone saved a card meanwhile',
      `Saved by someone else since the deck was read: ${stale.join(', ')}. Nothing was mended; read the deck again.`,
      { stale }
    )
  })
}
