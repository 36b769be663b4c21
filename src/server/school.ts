import { School } from '@/core/card'
import { db } from './db'

/** The rules of the school that this deck belongs to. */
export async function loadSchool(): Promise<School> {
  const row = await db()('deck').where({ id: 1 }).first('school')
  return School.parse(row?.school ?? {})
}

const same = (a: School, b: School) => JSON.stringify(School.parse(a)) === JSON.stringify(b)

/**
 * Sets the rules of the school.
 * @param from the rules as they were read; when others were set since, nothing is written
 * @returns the rules that hold now, and whether they are the new ones
 */
export async function saveSchool(
  school: School,
  from: School
): Promise<{ saved: boolean; school: School }> {
  return db().transaction(async (trx) => {
    const row = await trx('deck').where({ id: 1 }).forUpdate().first('school')
    const current = School.parse(row?.school ?? {})
    if (!same(from, current)) return { saved: false, school: current }
    await trx('deck')
      .where({ id: 1 })
      .update({ school: JSON.stringify(school), revision: trx.raw('revision + 1') })
    return { saved: true, school }
  })
}
