import { readdirSync, readFileSync } from 'node:fs'
import remarkFrontmatter from 'remark-frontmatter'
import remarkParse from 'remark-parse'
import { unified } from 'unified'
import type { Card } from '../../src/core/card'
import { readCardBytes, writeMarkdown } from '../../src/core/formats'
import { loadCard, saveCard } from '../../src/server/cards'
import { closeDb, db } from '../../src/server/db'
import { importFiles } from '../../src/server/importDeck'
import { searchCards } from '../../src/server/search'

/** Ratios of the server layer, measured in turns on one connection; printed as JSON. */

async function inTurns<T extends Record<string, () => Promise<unknown>>>(works: T, rounds: number) {
  const taken = Object.fromEntries(Object.keys(works).map((name) => [name, [] as number[]]))
  for (let round = 0; round < rounds; round += 1)
    for (const [name, work] of Object.entries(works)) {
      const started = process.hrtime.bigint()
      await work()
      taken[name]!.push(Number(process.hrtime.bigint() - started) / 1000)
    }
  return Object.fromEntries(
    Object.entries(taken).map(([name, times]) => [
      name,
      times.sort((a, b) => a - b)[Math.floor(rounds / 2)]!,
    ])
  ) as Record<keyof T, number>
}

const demo = readdirSync('demo').map((name) => readCardBytes(readFileSync(`demo/${name}`)))
const cards = Array.from({ length: 1000 }, (_, i): Card => {
  const card = demo[i % demo.length]!
  const names = { ...card.names, common: [`${card.names.common[0]} ${i}`] }
  return { ...card, id: `${card.id}-${i}`, names, counter: [] }
})
const files = cards.map((card) => ({
  name: `${card.id}.md`,
  bytes: new TextEncoder().encode(writeMarkdown(card)),
}))

const parse = async () => files.map((file) => readCardBytes(file.bytes))
await parse()
const markdown = unified().use(remarkParse).use(remarkFrontmatter, ['yaml'])
const remark = async () => files.map((file) => markdown.parse(new TextDecoder().decode(file.bytes)))
/** Parsing before the import and after it, so that it stands beside what it is measured by. */
const before = await inTurns({ parse }, 1)
const { imported } = await inTurns({ imported: () => importFiles(files, 'Speed', new Set()) }, 1)
const after = await inTurns({ parse }, 1)
const whole = { imported, parse: (before.parse + after.parse) / 2 }

const one = cards[0]!
let version = (await loadCard(one.id))!.version
await db().raw('CREATE TABLE speed_row (id int PRIMARY KEY, n int)')
await db().raw('INSERT INTO speed_row VALUES (1, 0)')
const rows = await inTurns(
  {
    update: () => db().raw('UPDATE speed_row SET n = n + 1 WHERE id = 1'),
    save: async () => {
      const result = await saveCard({ ...one, notes: String(version) }, version, 'Speed')
      if (result.outcome === 'saved') version = result.version
    },
    select: () => db().raw('SELECT 1'),
    search: () => searchCards('virabhadrasana'),
    found: () => searchCards('parshvakonasana'),
  },
  200
)
await db().raw('DROP TABLE speed_row')
const { parse: read, remark: remarked } = await inTurns({ parse, remark }, 3)
console.log(JSON.stringify({ ...rows, ...whole, read, remarked }))
await closeDb()
