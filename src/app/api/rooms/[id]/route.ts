import { z } from 'zod'
import { answering, problem } from '@/server/problem'
import { forgetRoom } from '@/server/rooms'

type Context = { params: Promise<{ id: string }> }

/** Forgets a room that was kept. */
export function DELETE(_request: Request, { params }: Context) {
  return answering(async () => {
    const { id } = await params
    const known = z.uuid().safeParse(id).success && (await forgetRoom(id))
    return known
      ? Response.json({ id })
      : problem(404, 'Not kept', 'There is no such room, or it was forgotten already.')
  })
}
