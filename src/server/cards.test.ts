import { blankCard, Card, cardsNamed, SECTIONS } from '@/core/card'
import { cardTitles, createCard, loadCard, loadDeck, saveCard, setStatus } from './cards'
import { closeDb, db } from './db'
import { loadDemo } from './demo'
import { searchCards } from './search'
import { packedShelf } from './shelf'

const tree = blankCard({
  name: 'Tree',
  base: 'standing',
  spine: 'lengthen',
  manner: 'held',
  sides: 'sided',
})
const noted = (notes: string): Card => ({ ...tree, notes })

beforeEach(async () => {
  await db().raw('TRUNCATE cards CASCADE')
  await db()('deck').update({ demo_loaded_at: null })
})
afterAll(closeDb)

test('a card is kept whole, version after version', async () => {
  expect(await createCard(tree, 'Ada')).toEqual({ version: 1 })
  expect(await saveCard(noted('two'), 1, 'Ben')).toMatchObject({ outcome: 'saved', version: 2 })
  expect(await loadCard('tree')).toMatchObject({ card: noted('two'), version: 2, author: 'Ben' })
  const versions = await db()('card_versions').where({ card_id: 'tree' }).orderBy('version')
  expect(versions.map((row) => [row.version, row.author, row.body.notes])).toEqual([
    [1, 'Ada', ''],
    [2, 'Ben', 'two'],
  ])
})

test('a card is found by the name that it was given last, a letter off too', async () => {
  const called = (name: string, notes = '') => ({
    ...noted(notes),
    names: { ...tree.names, common: [name] },
  })
  await db().raw('TRUNCATE search_words')
  await createCard(tree, 'Ada')
  expect(await searchCards('trei')).toEqual(['tree'])
  await saveCard(called('Windflower'), 1, 'Ada')
  expect(await searchCards('windfiower')).toEqual(['tree'])
  expect(await searchCards('trei')).toEqual([])
  // What changes no name writes no words, and is found as before.
  await saveCard(called('Windflower', 'two'), 2, 'Ada')
  expect(await searchCards('windfiower')).toEqual(['tree'])
  await saveCard(called('Tree', 'two'), 3, 'Ada')
  expect(await searchCards('trei')).toEqual(['tree'])
  // As they are written, and with their spelling levelled.
  const { rows } = await db().raw('SELECT word FROM search_words ORDER BY word')
  expect(rows.map((row: { word: string }) => row.word)).toEqual([
    'tree',
    'tri',
    'vindflover',
    'windflower',
  ])
})

test('a card’s page asks for the names of those cards that it names', async () => {
  for (const name of ['Cobra', 'Child', 'Boat'])
    await createCard(
      { ...tree, id: name.toLowerCase(), names: { ...tree.names, common: [name] } },
      ''
    )
  const caution = {
    condition: 'pregnancy',
    verdict: 'avoid',
    say: 'Not today.',
    instead: 'boat',
  }
  const card = Card.parse({
    ...tree,
    counter: ['child', 'gone', 'boat'],
    cautions: [caution, { ...caution, condition: 'glaucoma' }],
  })
  expect(cardsNamed(card)).toEqual(expect.arrayContaining(['child', 'gone', 'boat']))
  expect(cardsNamed(card)).toHaveLength(3)
  expect(cardsNamed(tree)).toEqual([])
  expect(await cardTitles(cardsNamed(card))).toEqual(
    new Map([
      ['boat', 'Boat'],
      ['child', 'Child'],
    ])
  )
  expect(await cardTitles([])).toEqual(new Map())
  expect((await cardTitles()).size).toBe(3)
})

test('a body stays in its row as text, packed by the quicker method where there is one', async () => {
  const { rows } = await db().raw(
    `SELECT attstorage, atttypid::regtype::text AS type, attcompression = CASE
       WHEN 'lz4' = ANY (enumvals) THEN 'l' ELSE '' END AS packed
     FROM pg_attribute, pg_settings WHERE attrelid = 'card_versions'::regclass
     AND attname = 'body' AND pg_settings.name = 'default_toast_compression'`
  )
  expect(rows).toEqual([{ attstorage: 'm', type: 'json', packed: true }])
})

test('a second card of the same id is not taken in', async () => {
  await createCard(tree, 'Ada')
  expect(await createCard(noted('other'), 'Ben')).toBeNull()
  expect((await loadCard('tree'))!.card.notes).toBe('')
})

test('a stale save writes nothing and gives back the current text', async () => {
  await createCard(tree, 'Ada')
  await saveCard(noted('first'), 1, 'Ada')
  const stale = await saveCard(noted('late'), 1, 'Ben')
  expect(stale).toMatchObject({ outcome: 'stale', current: { version: 2, card: noted('first') } })
  expect((await loadCard('tree'))!.card.notes).toBe('first')
  expect(await saveCard({ ...tree, id: 'gone' }, 1, '')).toEqual({ outcome: 'missing' })
})

test('of saves at the same moment one is taken, the others are told', async () => {
  await createCard(tree, 'Ada')
  const results = await Promise.all(
    [1, 2, 3, 4, 5, 6].map((n) => saveCard(noted(String(n)), 1, 'Ada'))
  )
  expect(results.filter((each) => each.outcome === 'saved')).toHaveLength(1)
  expect(results.filter((each) => each.outcome === 'stale')).toHaveLength(5)
  expect((await loadCard('tree'))!.version).toBe(2)
})

test('versions can be neither changed nor deleted', async () => {
  await createCard(tree, 'Ada')
  await expect(db()('card_versions').update({ note: 'x' })).rejects.toThrow(/append-only/)
  await expect(db()('card_versions').delete()).rejects.toThrow(/append-only/)
  expect(await db()('card_versions').where({ card_id: 'tree' })).toHaveLength(1)
})

test('the shelf follows each save and is packed once for each', async () => {
  const empty = await packedShelf()
  await createCard(tree, 'Ada')
  const one = await packedShelf()
  expect(JSON.parse(one.json).cards).toMatchObject([
    { id: 'tree', title: 'Tree', status: 'draft', unwritten: SECTIONS.map(({ id }) => id) },
  ])
  expect(one.etag).not.toBe(empty.etag)
  expect(await packedShelf()).toBe(one)
  await setStatus('tree', 'approved')
  expect(JSON.parse((await packedShelf()).json).cards[0].status).toBe('approved')
})

test('the demo is loaded once, and only into an empty deck', async () => {
  const loaded = await loadDemo('demo')
  expect(loaded).toBeGreaterThanOrEqual(6)
  expect(await loadDeck()).toHaveLength(loaded)
  await db().raw('TRUNCATE cards CASCADE')
  expect(await loadDemo('demo')).toBe(0)
})
