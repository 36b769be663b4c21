import { School } from '@/core/card'
import { db } from './db'

/** The rules of the school that this deck belongs to. */
export async function loadSchool(): Promise<School> {
  const row = await db()('deck').where({ id: 1 }).first('school')
  return School.parse(row?.school ?? {})
}

const same = (a: School, b: School) => JSON.stringify(School.parse(a)) === JSON.stringify(b)

/**
 * Sets the rules of the school; what they were stays in its versions.
 * @param from the rules as they were read; when others were set since, nothing is written
 * @returns the rules that hold now, and whether they are the new ones
 */
export async function saveSchool(
  school: School,
  from: School,
  { author = '', note = '' }: { author?: string; note?: string } = {}
): Promise<{ saved: boolean; school: School }> {
  return db().transaction(async (trx) => {
    const row = await trx('deck').where({ id: 1 }).forUpdate().first('school')
    const current = School.parse(row?.school ?? {})
    if (!same(from, current)) return { saved: false, school: current }
    const body = JSON.stringify(school)
    await trx('deck')
      .where({ id: 1 })
      .update({ school: body, revision: trx.raw('revision + 1') })
    await trx('school_versions').insert({ school: body, author, note })
    return { saved: true, school }
  })
}

/** The school’s rules as they once were. */
export interface SchoolVersion {
  version: number
  school: School
  author: string
  note: string
  savedAt: string
}

/** How many versions of the rules are told. */
const MOST_VERSIONS = 100

/** The versions of the school’s rules, the newest first; one that cannot be read any more is left out. */
export async function schoolVersions(): Promise<SchoolVersion[]> {
  const rows = await db()('school_versions').orderBy('version', 'desc').limit(MOST_VERSIONS)
  return rows.flatMap((row): SchoolVersion[] => {
    const school = School.safeParse(row.school)
    if (!school.success) return []
    const { version, author, note, saved_at } = row as {
      version: number
      author: string
      note: string
      saved_at: Date
    }
    return [{ version, school: school.data, author, note, savedAt: saved_at.toISOString() }]
  })
}
