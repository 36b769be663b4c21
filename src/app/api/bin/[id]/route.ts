import { unbinCard } from '@/server/bin'
import { answering, problem } from '@/server/problem'

type Context = { params: Promise<{ id: string }> }

/** Takes a card out of the bin. */
export function POST(_request: Request, { params }: Context) {
  return answering(async () => {
    const { id } = await params
    return (await unbinCard(id))
      ? Response.json({ id })
      : problem(404, 'Not in the bin', `There is no card “${id}” in the bin.`)
  })
}
