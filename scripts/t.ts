import { db, closeDb } from '/work/main/src/server/db'
import { searchCards } from '/work/main/src/server/search'
import { searchKey, plainName } from '/work/main/src/core/search'
const med = async (name: string, f: () => Promise<any>) => {
  const t: number[] = []
  let r
  for (let i = 0; i < 200; i++) {
    const s = process.hrtime.bigint()
    r = await f()
    t.push(Number(process.hrtime.bigint() - s) / 1000)
  }
  t.sort((a, b) => a - b)
  console.log(name, t[100]!.toFixed(0), Array.isArray(r) ? r.length : '')
}
await med('select1', () => db().raw('SELECT 1'))
await med('search', () => searchCards('virabhadrasana'))
await med('search2', () => searchCards('parshvakonasana'))
await med('prep select1', () =>
  db()
    .raw('SELECT 1')
    .options({ name: 'one' } as any)
)
const key = searchKey('virabhadrasana'),
  plain = plainName('virabhadrasana')
console.log(key, plain)
const q2 = async (t: string, s: string) => med(t, () => searchCards(s))
await q2('x', 'mountain')
const q = (name: string, sql: string, b: any[]) =>
  med(
    name,
    async () =>
      (
        await db()
          .raw(sql, b)
          .options({ name } as any)
      ).rows
  )
await q(
  'words only',
  `SELECT word FROM search_words WHERE word LIKE ? OR word LIKE ? OR word % unaccent(?)`,
  [`%${key}%`, `%${plain}%`, key]
)
await q(
  'words no unaccent',
  `SELECT word FROM search_words WHERE word LIKE ? OR word LIKE ? OR word % ?`,
  [`%${key}%`, `%${plain}%`, key]
)
await q(
  'cards',
  `SELECT id FROM cards WHERE deleted_at IS NULL AND words && ?::text[] ORDER BY words @> ?::text[] DESC, title LIMIT 200`,
  [[key], [key]]
)
await q(
  'all',
  `WITH w0 AS (SELECT array_agg(word) AS words FROM search_words WHERE word LIKE ? OR word LIKE ? OR word % ?) SELECT id FROM cards WHERE deleted_at IS NULL AND words && (SELECT words FROM w0) ORDER BY words @> ?::text[] DESC, title LIMIT 200`,
  [`%${key}%`, `%${plain}%`, key, [key]]
)
await q(
  'all int',
  `WITH w0 AS (SELECT array_agg(word) AS words FROM search_words WHERE word LIKE ? OR word LIKE ? OR word % ?) SELECT array_agg(id) FROM cards WHERE deleted_at IS NULL AND words && (SELECT words FROM w0)`,
  [`%${key}%`, `%${plain}%`, key]
)
await closeDb()
