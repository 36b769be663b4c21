import { z } from 'zod'
import { CardIn, STATUSES } from '@/core/card'
import { binCard } from '@/server/bin'
import { loadCard, setStatus } from '@/server/cards'
import { answering, problem, readBody } from '@/server/problem'
import { saveOne } from '@/server/saveOne'

type Context = { params: Promise<{ id: string }> }

const missing = (id: string) =>
  problem(404, 'No such card', `There is no card “${id}”. It may have been deleted.`)

export function GET(_request: Request, { params }: Context) {
  return answering(async () => {
    const { id } = await params
    const stored = await loadCard(id)
    return stored ? Response.json(stored) : missing(id)
  })
}

const Save = z.strictObject({
  card: CardIn,
  /** The version that the text started from. */
  from: z.int().min(1),
  author: z.string().trim().max(200).default(''),
  note: z.string().trim().max(2000).default(''),
  /** Made for this save alone; with it a save whose answer was lost is known again. */
  key: z.string().min(8).max(80).optional(),
  /** Keys of earlier saves of this page whose answers were lost. */
  lost: z.array(z.string().max(80)).max(50).optional(),
})

/** Saves a new version; a stale one is refused with both texts. */
export function PUT(request: Request, { params }: Context) {
  return answering(async () => {
    const { id } = await params
    const body = await readBody(request, Save)
    if (body instanceof Response) return body
    if (body.card.id !== id)
      return problem(
        400,
        'Two ids',
        `The card says it is “${body.card.id}”, the address says “${id}”. Nothing was saved.`
      )
    const result = await saveOne(body)
    switch (result.outcome) {
      case 'saved':
        return Response.json({
          version: result.version,
          savedAt: result.savedAt,
          ...(result.notes?.length ? { notes: result.notes } : {}),
        })
      case 'missing':
        return missing(id)
      case 'stale':
        return problem(
          409,
          'Someone saved this card meanwhile',
          `Version ${result.current.version} was saved after you started from version ${body.from}. Your text was not written over it; both are kept.`,
          { current: result.current, yours: body.card }
        )
    }
  })
}

const Change = z.strictObject({ status: z.enum(STATUSES) })

export function PATCH(request: Request, { params }: Context) {
  return answering(async () => {
    const { id } = await params
    const body = await readBody(request, Change)
    if (body instanceof Response) return body
    return (await setStatus(id, body.status)) ? Response.json({ status: body.status }) : missing(id)
  })
}

/** Puts the card into the bin. */
export function DELETE(_request: Request, { params }: Context) {
  return answering(async () => {
    const { id } = await params
    return (await binCard(id)) ? Response.json({ id }) : missing(id)
  })
}
