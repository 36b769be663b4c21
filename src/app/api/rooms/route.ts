import { z } from 'zod'
import { Room } from '@/core/cautions'
import { answering, problem, readBody } from '@/server/problem'
import { keepRoom, keptRooms, MOST_DAYS, MOST_ROOMS } from '@/server/rooms'

export const dynamic = 'force-dynamic'

/** The rooms that are kept: counts, no names, each with its last day. */
export function GET() {
  return answering(async () => Response.json({ rooms: await keptRooms() }))
}

const DAY_MS = 86_400_000
const Keep = z.strictObject({
  room: Room,
  until: z.iso.date({ error: 'should be a day such as 2026-12-31' }),
})

/** Keeps a room until the end of a day. */
export function POST(request: Request) {
  return answering(async () => {
    const body = await readBody(request, Keep)
    if (body instanceof Response) return body
    const days = (Date.parse(body.until) - Date.now()) / DAY_MS
    if (days < -1 || days > MOST_DAYS)
      return problem(
        400,
        'Not that day',
        `A room is kept for ${MOST_DAYS} days at most, and not into the past. Nothing was kept.`
      )
    const id = await keepRoom(body.room, body.until)
    if (id !== null) return Response.json({ id }, { status: 201 })
    return problem(
      409,
      'Too many rooms',
      `${MOST_ROOMS} rooms are kept already. Forget one first. Nothing was kept.`
    )
  })
}
