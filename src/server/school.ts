import { School } from '@/core/card'
import { db } from './db'

/** The rules of the school that this deck belongs to. */
export async function loadSchool(): Promise<School> {
  const row = await db()('deck').where({ id: 1 }).first('school')
  return School.parse(row?.school ?? {})
}
