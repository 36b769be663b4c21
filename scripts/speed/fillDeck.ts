import { readdirSync, readFileSync } from 'node:fs'
import { undrawn } from '../../src/core/card'
import { readCard } from '../../src/core/formats'
import { createCard } from '../../src/server/cards'
import { closeDb, db } from '../../src/server/db'

/** Fills a database with copies of the demo cards: fillDeck.ts COUNT [bare], bare without figures */
const count = Number(process.argv[2])
const bare = process.argv[3] === 'bare'

const demo = readdirSync('demo')
  .filter((name) => name.endsWith('.md'))
  .map((name) => readCard(readFileSync(`demo/${name}`, 'utf8')))
await db().transaction(async (trx) => {
  for (let i = 0; i < count; i += 1) {
    const whole = demo[i % demo.length]!
    const card = bare ? undrawn(whole) : whole
    const n = Math.floor(i / demo.length) + 1
    const names = { ...card.names, common: [`${card.names.common[0]} ${n}`] }
    await createCard({ ...card, id: `${card.id}-${n}`, names }, 'Speed', '', trx)
  }
})
await closeDb()
console.log(`${count} cards`)
