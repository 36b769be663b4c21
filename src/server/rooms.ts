import { Room } from '@/core/cautions'
import { db } from './db'

/** A room that was kept, with the last day on which it is. */
export interface KeptRoom {
  id: string
  room: Room
  /** ISO 8601 date. */
  until: string
}

/** How long a room may be kept, in days, and how many are. */
export const MOST_DAYS = 62
export const MOST_ROOMS = 50

/** Takes away what is kept no longer. */
export const forgetRooms = () => db()('room_checks').whereRaw('until < current_date').delete()

/** The rooms that are kept today, the newest first. */
export async function keptRooms(): Promise<KeptRoom[]> {
  await forgetRooms()
  const rows = await db()('room_checks')
    .orderBy('kept_at', 'desc')
    .limit(MOST_ROOMS)
    .select('id', 'room', db().raw(`to_char(until, 'YYYY-MM-DD') AS until`))
  return rows.flatMap(({ id, room, until }): KeptRoom[] => {
    const read = Room.safeParse(room)
    return read.success ? [{ id: id as string, room: read.data, until: until as string }] : []
  })
}

/**
 * Keeps a room until the end of a day: how many have what, and no names.
 * @returns its id; null when so many are kept that another is refused
 */
export async function keepRoom(room: Room, until: string): Promise<string | null> {
  await forgetRooms()
  return db().transaction(async (trx) => {
    await trx.raw('SELECT pg_advisory_xact_lock(20261128)')
    const [{ n }] = (await trx('room_checks').count({ n: '*' })) as [{ n: string }]
    if (Number(n) >= MOST_ROOMS) return null
    const [row] = await trx('room_checks')
      .insert({ room: JSON.stringify(room), until })
      .returning('id')
    return (row as { id: string }).id
  })
}

/** Forgets a room that was kept. */
export const forgetRoom = async (id: string): Promise<boolean> =>
  (await db()('room_checks').where({ id }).delete()) > 0
