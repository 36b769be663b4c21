import { execFileSync } from 'node:child_process'
import { readdirSync, readFileSync } from 'node:fs'
import knex from 'knex'
import { completeness, SECTIONS, withValue } from '@/core/card'
import { finalFigure, keyframesOf, solve } from '@/core/figure'
import { readCard, writeJson, writeMarkdown } from '@/core/formats'
import { closeDb, db } from '@/server/db'
import { loadCard, saveCard } from '@/server/cards'
import { loadVersion } from '@/server/history'
import { packedShelf } from '@/server/shelf'

/** What was written before: the deck as it stood in format 1, as files and as a database. */

const FOLDER = 'tests/fixtures/deck-1'
/** The same cards as format 2 has them. */
const TODAY = 'tests/fixtures/deck-2'
const files = readdirSync(FOLDER).map((name) => ({
  name,
  text: readFileSync(`${FOLDER}/${name}`, 'utf8'),
}))

describe('files of format 1', () => {
  test.each(files)('$name comes in as the card that it was', ({ name, text }) => {
    const card = readCard(text)
    const today = readFileSync(`${TODAY}/${name}`, 'utf8')
    expect(writeMarkdown(card)).toBe(today)
    expect(readCard(writeJson(card))).toEqual(card)
    // Nothing but the words for angles is written in another way.
    const wordless = (file: string) =>
      file.replace(/^notula: \d$/m, '').replace(/^\{"angles.*$/gm, '')
    expect(wordless(today)).toBe(wordless(text))
  })

  test('every number of a figure is kept, and every form stands as it stood', () => {
    const numbers = (text: string) => (text.match(/-?\d+(?:\.\d+)?/g) ?? []).sort().join(' ')
    for (const { text } of files) {
      const card = readCard(text)
      expect(keyframesOf(card).problems).toEqual([])
      expect(numbers(writeMarkdown(card).replace('notula: 2', 'notula: 1'))).toBe(numbers(text))
      expect(solve(finalFigure(card)!.figure).unmet).toEqual([])
    }
  })

  test('a rung that was told against the last step in is whole', () => {
    const text = files.find(({ name }) => name === 'tree.md')!.text
    const figure = (meta: string, data: object) =>
      `\n\`\`\`json ${meta}\n${JSON.stringify(data)}\n\`\`\`\n`
    const undrawn = text.slice(0, text.indexOf('## Figures'))
    const rung = readCard(text).ladder.find((each) => !each.reference)!.id
    const old = readCard(
      `${undrawn}## Figures\n${figure('step s1', {
        angles: { neck: { turn: 20, bend: 5 }, leftToes: { up: 10 } },
        contacts: [{ part: 'left sole', on: 'floor' }],
      })}${figure(`rung ${rung}`, { angles: { neck: { turn: 40 } } })}`
    )
    expect(old.ladder.find(({ id }) => id === rung)!.figure).toEqual({
      angles: { neck: { rotation: 40, flexion: 5 }, leftToes: { extension: 10 } },
      contacts: [{ part: 'left sole', on: 'floor' }],
    })
  })
})

describe('a database of format 1', () => {
  const url = process.env.DATABASE_URL!
  /** Without any tables at first; made by the set-up of the tests. */
  const own = new URL(process.env.NOTULA_EMPTY_DATABASE!)

  /** Migrations are modules, which this test’s own process cannot load. */
  const migrations = (work: string) =>
    execFileSync(process.execPath, [
      '--input-type=module',
      '-e',
      `import knex from 'knex'
       const db = knex({ client: 'pg', connection: '${own.href}' })
       const all = { directory: 'db/migrations', loadExtensions: ['.mjs'] }
       ${work}
       await db.destroy()`,
    ])

  beforeAll(async () => {
    const old = knex({ client: 'pg', connection: own.href })
    migrations('for (let n = 1; n <= 6; n += 1) await db.migrate.up(all)')
    for (const { text } of files) {
      const card = readCard(text)
      const bits = completeness(card).reduce(
        (sum, { complete }, i) => sum + Number(complete) * 2 ** i,
        0
      )
      await old('cards').insert({
        id: card.id,
        current_version: 1,
        number: card.number,
        title: card.names.common[0],
        sanskrit: card.names.sanskrit,
        aliases: '',
        base: card.base,
        spine: card.spine,
        manner: card.manner,
        sides: card.sides,
        sections: bits,
      })
      // As it was stored: with the words of format 1.
      const body = [...text.matchAll(/^```json rung (\S+)\n(.*)$/gm)].reduce(
        (now, [, id, data]) => {
          const at = now.ladder.findIndex((rung) => rung.id === id)
          return withValue(now, `ladder[${at}].figure`, JSON.parse(data!))
        },
        card
      )
      await old('card_versions').insert({
        card_id: card.id,
        version: 1,
        body: JSON.stringify(body),
        author: 'Ada',
      })
    }
    migrations('await db.migrate.latest(all)')
    await old.destroy()
    await closeDb()
    process.env.DATABASE_URL = own.href
  })
  afterAll(async () => {
    await closeDb()
    process.env.DATABASE_URL = url
  })

  test('every card is read as today’s files have it, and its unwritten sections are known', async () => {
    const shelf = JSON.parse((await packedShelf()).json) as {
      cards: { id: string; unwritten: string[] }[]
    }
    for (const card of files.map(({ name }) =>
      readCard(readFileSync(`${TODAY}/${name}`, 'utf8'))
    )) {
      expect((await loadCard(card.id))!.card).toEqual(card)
      const open = completeness(card).filter(({ complete }) => !complete)
      expect(shelf.cards.find(({ id }) => id === card.id)!.unwritten).toEqual(
        open.map(({ id }) => id)
      )
    }
    expect(
      shelf.cards
        .flatMap(({ unwritten }) => unwritten)
        .every((id) => SECTIONS.some((each) => each.id === id))
    ).toBe(true)
  })

  test('the counter poses of each card are known without its body', async () => {
    const rows: { id: string; counter: string[] }[] = await db()('cards').select('id', 'counter')
    expect(new Map(rows.map(({ id, counter }) => [id, counter]))).toEqual(
      new Map(files.map(({ text }) => readCard(text)).map(({ id, counter }) => [id, counter]))
    )
    expect(rows.some(({ counter }) => counter.length > 0)).toBe(true)
  })

  test('it is saved on in today’s format, and the version before is still read', async () => {
    const { card } = (await loadCard('gate'))!
    expect(await saveCard({ ...card, notes: 'more' }, 1, 'Ben')).toMatchObject({ outcome: 'saved' })
    expect((await loadCard('gate'))!.card).toEqual({ ...card, notes: 'more' })
    expect(await loadVersion('gate', 1)).toEqual(card)
  })
})
