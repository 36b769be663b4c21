import { z } from 'zod'
import { blankCard, Card, cardId } from '@/core/card'
import { createCard } from '@/server/cards'
import { answering, problem, readBody } from '@/server/problem'

const NewCard = z.strictObject({
  name: z.string().trim().min(1, { error: 'should be a name' }).max(300),
  id: cardId.optional(),
  base: Card.shape.base,
  spine: Card.shape.spine,
  manner: Card.shape.manner,
  sides: Card.shape.sides,
  author: z.string().trim().max(200).default(''),
})

/** Adds a new card; the id is made from the name, with a number when it is taken. */
export function POST(request: Request) {
  return answering(async () => {
    const body = await readBody(request, NewCard)
    if (body instanceof Response) return body
    const { author, ...from } = body
    const card = blankCard(from)
    for (let n = 1; n < 100; n += 1) {
      const id = n === 1 ? card.id : `${card.id}-${n}`
      if (await createCard({ ...card, id }, author))
        return Response.json({ id, version: 1 }, { status: 201 })
      if (from.id) break
    }
    return problem(
      409,
      'The name is taken',
      `There is already a card “${card.id}”, on the shelf or in the bin. Nothing was added.`
    )
  })
}
