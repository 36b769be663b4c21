import { deflateRawSync } from 'node:zlib'
import { Zip, type ZipInputFile, zipSync } from 'fflate'
import { demoCard } from '../../tests/support/cards'
import { blankCard, type Card, withValue } from '@/core/card'
import { writeJson, writeMarkdown } from '@/core/formats'
import { filesOf, pack, unpack } from './archive'
import { binCard, binnedCards, emptyBin, unbinCard } from './bin'
import { cardWithPicture, createCard, loadCard, loadDeck, saveCard } from './cards'
import { closeDb, db } from './db'
import { loadDemo } from './demo'
import { bringBack, loadVersion, versionsOf } from './history'
import { importFiles, previewImport } from './importDeck'
import { endJobs } from './jobs/pool'
import { forgetTab, noteTab } from './presence'
import { saveOne } from './saveOne'
import { reindex, searchCards } from './search'

// Jobs start their workers first.
jest.setTimeout(60_000)

const bytes = (text: string) => new TextEncoder().encode(text)
const gate = demoCard('gate')
const dog = demoCard('downward-dog')
const none = new Set<string>()

beforeEach(async () => {
  await db().raw('TRUNCATE cards CASCADE')
  await db()('deck').update({ demo_loaded_at: null })
})
afterAll(async () => {
  await endJobs()
  await closeDb()
})

/** Everything that a deck is made of, to tell whether anything changed. */
const whole = async () =>
  JSON.stringify([
    await db()('cards').orderBy('id'),
    await db()('card_versions').orderBy(['card_id', 'version']),
    await db()('deck'),
  ])

describe('import', () => {
  test('new and changed cards come in, the same and the refused stay out', async () => {
    await createCard(gate, 'Ada')
    await createCard(dog, 'Ada')
    const files = [
      { name: 'gate.md', bytes: bytes(writeMarkdown({ ...gate, notes: 'New.' })) },
      { name: 'dog.md', bytes: bytes(writeMarkdown(dog)) },
      { name: 'cobra.json', bytes: bytes(writeJson(demoCard('low-cobra'))) },
      { name: 'bad.md', bytes: bytes('bad') },
    ]
    const before = await whole()
    expect((await previewImport(files)).map((item) => item.outcome)).toEqual([
      'changed',
      'same',
      'new',
      'refused',
    ])
    expect(await whole()).toBe(before)
    const steps: number[] = []
    expect(await importFiles(files, 'Ben', none, (done) => steps.push(done))).toEqual({
      added: 1,
      changed: 1,
    })
    expect(steps).toEqual([1, 2])
    expect(await loadCard('gate')).toMatchObject({
      version: 2,
      author: 'Ben',
      card: { notes: 'New.' },
    })
    expect((await loadCard('downward-dog'))!.version).toBe(1)
  })

  test('is all or nothing', async () => {
    await createCard(gate, 'Ada')
    const before = await whole()
    const files = [
      { name: 'dog.md', bytes: bytes(writeMarkdown(dog)) },
      { name: 'gate.md', bytes: bytes(writeMarkdown({ ...gate, notes: 'New.' })) },
    ]
    const late = importFiles(files, 'Ben', none, () => {
      throw new Error('the line broke')
    })
    await expect(late).rejects.toThrow('the line broke')
    expect(await whole()).toBe(before)
  })

  test('leaves out what the trainer left out', async () => {
    const files = [gate, dog].map((card) => ({
      name: `${card.id}.md`,
      bytes: bytes(writeMarkdown(card)),
    }))
    expect(await importFiles(files, '', new Set(['gate.md']))).toEqual({ added: 1, changed: 0 })
    expect(await loadCard('gate')).toBeNull()
  })

  test('deck out, database emptied, deck in: the same', async () => {
    await loadDemo('demo')
    const out = await loadDeck()
    for (const write of [writeMarkdown, writeJson]) {
      const zip = pack(out.map(({ card }) => ({ name: `${card.id}.md`, text: write(card) })))
      await db().raw('TRUNCATE cards CASCADE')
      await importFiles(unpack('deck.zip', zip), '', none)
      expect((await loadDeck()).map(({ card }) => card)).toEqual(out.map(({ card }) => card))
    }
  })
})

describe('archives that are not to be trusted', () => {
  const card = bytes(writeMarkdown(gate))

  test('names that lead out of the archive', () => {
    expect(() => unpack('x.zip', zipSync({ '../../etc/gate.md': card }))).toThrow(
      /leads out of the archive/
    )
    expect(() => unpack('x.zip', zipSync({ 'a/..\\b.md': card }))).toThrow(
      /leads out of the archive/
    )
    expect(() => unpack('x.zip', zipSync({ '/root/gate.md': card }))).toThrow(
      /leads out of the archive/
    )
  })

  test('a bomb', () => {
    // Packed once, by the machine's own library, for all of its files.
    const size = 30 * 1024 * 1024
    const zeros = deflateRawSync(new Uint8Array(size))
    const parts: Uint8Array[] = []
    const zip = new Zip((_, part) => parts.push(part))
    for (const n of [1, 2, 3, 4, 5]) {
      const file: ZipInputFile = { filename: `${n}.md`, size, crc: 0, compression: 8 }
      zip.add(file)
      file.ondata!(null, zeros, true)
    }
    zip.end()
    const bomb = Buffer.concat(parts)
    expect(bomb.length).toBeLessThan(1024 * 1024)
    expect(() => unpack('bomb.zip', bomb)).toThrow(/more than 128 MB/)
  })

  test('five thousand files, packed or not', () => {
    const many = Object.fromEntries(Array.from({ length: 5000 }, (_, i) => [`${i}.md`, card]))
    expect(() => unpack('many.zip', zipSync(many, { level: 0 }))).toThrow(/more than 2000 files/)
    const loose = Array.from({ length: 5000 }, (_, i) => ({ name: `${i}.md`, bytes: card }))
    expect(() => filesOf(loose)).toThrow(/More than 2000 files/)
  })

  test('a broken one, an empty one, and files that are no cards', () => {
    expect(() => unpack('x.zip', Uint8Array.of(0x50, 0x4b, 3, 4, 9, 9))).toThrow(
      /cannot be unpacked/
    )
    expect(() => filesOf([])).toThrow(/no card file/)
    expect(
      unpack('x.zip', zipSync({ 'photo.png': card, '.hidden/gate.md': card, 'in/gate.md': card }))
    ).toMatchObject([{ name: 'x.zip/in/gate.md' }])
  })
})

test('history: any version is there, and one is brought back as a new one', async () => {
  await createCard(gate, 'Ada', 'first')
  await saveCard({ ...gate, notes: 'two' }, 1, 'Ben')
  expect(await bringBack('gate', 1, 'Cleo')).toMatchObject({ outcome: 'saved', version: 3 })
  expect(await loadVersion('gate', 2)).toMatchObject({ notes: 'two' })
  expect((await loadCard('gate'))!.card).toEqual(gate)
  expect((await versionsOf('gate')).map((each) => [each.version, each.author, each.note])).toEqual([
    [3, 'Cleo', 'brought back version 1'],
    [2, 'Ben', ''],
    [1, 'Ada', 'first'],
  ])
  expect(await loadVersion('gate', 9)).toBeNull()
  expect(await bringBack('gate', 9, '')).toEqual({ outcome: 'missing' })
})

test('the bin keeps a card until it is emptied', async () => {
  await createCard(gate, 'Ada')
  expect(await binCard('gate')).toBe(true)
  expect(await binCard('gate')).toBe(false)
  expect(await loadCard('gate')).toBeNull()
  expect(await saveCard(gate, 1, '')).toEqual({ outcome: 'missing' })
  expect(await binnedCards()).toMatchObject([{ id: 'gate', title: 'Gate' }])
  expect(await unbinCard('gate')).toBe(true)
  expect((await loadCard('gate'))!.version).toBe(1)
  await binCard('gate')
  expect(await emptyBin()).toBe(1)
  expect(await db()('card_versions').where({ card_id: 'gate' })).toEqual([])
  expect(await createCard(gate, 'Ada')).not.toBeNull()
})

describe('counter poses', () => {
  const counters = (card: Card, ...counter: string[]) => ({ ...card, counter })
  const cobra = demoCard('low-cobra')
  const put = (card: Card, from = 1) => saveOne({ card, from, author: '', note: '' })
  beforeEach(async () => {
    for (const card of [dog, gate, cobra]) await createCard(counters(card), '')
  })

  test('two cards may counter each other', async () => {
    expect(await put(counters(gate, 'downward-dog'))).toMatchObject({ notes: [] })
    expect(await put(counters(dog, 'gate'))).toMatchObject({ outcome: 'saved', notes: [] })
  })

  test('a longer circle is saved and told, and other saves go on', async () => {
    await put(counters(gate, 'downward-dog'))
    await put(counters(dog, 'low-cobra'))
    const { notes } = (await put(counters(cobra, 'gate'))) as { notes: string[] }
    expect(notes).toEqual([expect.stringContaining('low-cobra → gate → downward-dog → low-cobra')])
    const later = await put({ ...counters(gate, 'downward-dog'), notes: 'More.' }, 2)
    expect(later.outcome).toBe('saved')
  })

  test('of saves at once that make a circle together, the last one tells it', async () => {
    for (let round = 1; round <= 6; round += 1) {
      const ends = await Promise.all([
        put({ ...counters(gate, 'downward-dog'), notes: `${round}` }, 2 * round - 1),
        put({ ...counters(dog, 'low-cobra'), notes: `${round}` }, 2 * round - 1),
        put({ ...counters(cobra, 'gate'), notes: `${round}` }, 2 * round - 1),
      ])
      const told = ends.flatMap((end) => ('notes' in end ? (end.notes ?? []) : []))
      expect([round, told.length]).toEqual([round, 1])
      for (const card of [gate, dog, cobra]) await put(counters(card), 2 * round)
    }
  })
})

test('two imports of the same cards in opposite orders don’t wait for each other', async () => {
  const cards = [gate, dog, demoCard('low-cobra'), demoCard('bridge')]
  for (const card of cards) await createCard(card, '')
  for (let round = 0; round < 4; round += 1) {
    const files = (order: Card[], who: string) =>
      order.map((card) => ({
        name: `${card.id}.md`,
        bytes: bytes(writeMarkdown({ ...card, notes: `${who} ${round}` })),
      }))
    const ends = await Promise.allSettled([
      importFiles(files(cards, 'Ada'), 'Ada', none),
      importFiles(files(cards.toReversed(), 'Ben'), 'Ben', none),
    ])
    const failed = ends.flatMap((end) => (end.status === 'rejected' ? [String(end.reason)] : []))
    expect(failed.filter((why) => !/meanwhile/.test(why))).toEqual([])
    expect(failed.length).toBeLessThan(2)
  }
})

describe('a save whose answer was lost', () => {
  const put = (notes: string, from: number, more: object) =>
    saveOne({ card: { ...gate, notes }, from, author: 'Ada', note: '', ...more })
  beforeEach(() => createCard(gate, ''))

  test('is known when it is tried again, and is one version', async () => {
    const first = await put('one', 1, { key: 'aaaa-1111' })
    expect(await put('one', 1, { key: 'aaaa-1111' })).toEqual(first)
    expect(await versionsOf('gate')).toHaveLength(2)
  })

  test('is no conflict for what was typed after it', async () => {
    await put('one', 1, { key: 'aaaa-1111' })
    const next = await put('one two', 1, { key: 'aaaa-2222', lost: ['aaaa-1111'] })
    expect(next).toMatchObject({ outcome: 'saved', version: 3 })
  })

  test('is a conflict still when someone else saved', async () => {
    await put('one', 1, { key: 'bbbb-1111' })
    const next = await put('two', 1, { key: 'aaaa-2222', lost: ['aaaa-1111'] })
    expect(next).toMatchObject({ outcome: 'stale', current: { card: { notes: 'one' } } })
  })
})

describe('search', () => {
  const card = (name: string, sanskrit: string): Card =>
    withValue(
      blankCard({ name, base: 'standing', spine: 'lengthen', manner: 'held', sides: 'even' }),
      'names.sanskrit',
      sanskrit
    )

  beforeEach(async () => {
    for (const [name, sanskrit] of [
      ['Hero two', 'Vīrabhadrāsana'],
      ['Tree', 'Vṛkṣāsana'],
      ['Long side angle', 'Utthita Pārśvakoṇāsana'],
      ['Final rest', 'Śavāsana'],
    ] as const)
      await createCard(card(name, sanskrit), '')
  })

  test.each([
    ['virabhadrasana', 'hero-two'],
    ['Veerabhadrasana', 'hero-two'],
    ['virabhadresana', 'hero-two'],
    ['vrikshasana', 'tree'],
    ['parshvakonasana', 'long-side-angle'],
    ['shavasana', 'final-rest'],
    ['savasena', 'final-rest'],
    ['side angl', 'long-side-angle'],
    ['tred', 'tree'],
  ])('“%s” finds %s first', async (words, id) => {
    expect((await searchCards(words))[0]).toBe(id)
  })

  test('finds nothing where nothing is alike, and is not led astray by odd input', async () => {
    expect(await searchCards('xylophone')).toEqual([])
    expect(await searchCards("%' OR 1=1 --")).toEqual([])
    expect(await searchCards('   ')).toEqual([])
    await binCard('tree')
    expect(await searchCards('tree')).toEqual([])
  })

  test('cards stored before there was a search are found after a reindex', async () => {
    await db()('cards').update({ words: null })
    expect(await searchCards('tree')).toEqual([])
    expect(await reindex()).toBe(4)
    expect(await searchCards('tree')).toEqual(['tree'])
  })
})

test('tabs are told of each other, and forgotten when they are gone', async () => {
  await createCard(gate, '')
  expect(await noteTab('gate', 'a', 'Ada')).toEqual([])
  expect(await noteTab('gate', 'b', 'Ben')).toEqual(['Ada'])
  await db()('presence')
    .where({ tab: 'a' })
    .update({ seen_at: new Date(Date.now() - 20_000) })
  expect(await noteTab('gate', 'b', 'Ben')).toEqual([])
  await noteTab('gate', 'a', 'Ada')
  await forgetTab('gate', 'a')
  expect(await noteTab('gate', 'b', 'Ben')).toEqual([])
})

test('of cards that there are not, and of too many tabs, nothing is kept', async () => {
  await createCard(gate, '')
  await noteTab('not-here', 'a', 'Ada')
  for (let i = 0; i < 60; i += 1) await noteTab('gate', `tab ${i}`, 'Ada')
  expect(await db()('presence').where({ card_id: 'not-here' })).toEqual([])
  expect((await db()('presence')).length).toBeLessThanOrEqual(40)
})

test('a card that is deleted and taken in anew has its picture at another address', async () => {
  const addressOf = async () =>
    (await db()('cards').where({ id: 'gate' }).first('picture'))!.picture as string
  await createCard(gate, '')
  const first = await addressOf()
  expect((await cardWithPicture('gate'))!.picture).toBe(first)
  await binCard('gate')
  expect(await cardWithPicture('gate')).toBeNull()
  await emptyBin()
  await createCard({ ...gate, notes: 'Another.' }, '')
  expect(await addressOf()).not.toBe(first)
  await saveCard({ ...gate, notes: 'And another.' }, 1, '')
  const third = await addressOf()
  await saveCard(gate, 2, '')
  // The same card again is the same picture.
  expect([third === first, await addressOf()]).toEqual([false, first])
})
