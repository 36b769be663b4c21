import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { binCard } from '@/server/bin'
import { loadCard, loadDeck, saveCard, setStatus } from '@/server/cards'
import { closeDb, db } from '@/server/db'
import { loadDemo } from '@/server/demo'
import { versionsOf } from '@/server/history'

jest.setTimeout(60_000)

let dir: string

beforeAll(async () => {
  dir = mkdtempSync(path.join(tmpdir(), 'notula-backup-'))
  await db().raw('TRUNCATE cards CASCADE')
  await db()('deck').update({ demo_loaded_at: null })
  await loadDemo('demo')
})
afterAll(async () => {
  await closeDb()
  rmSync(dir, { recursive: true })
})

const script = (verb: string, file: string) =>
  spawnSync(process.execPath, [`scripts/${verb}.mjs`, file], {
    encoding: 'utf8',
    env: { ...process.env },
  })

test('a backup brings a changed database back to what it was', async () => {
  const gate = (await loadCard('gate'))!
  await saveCard({ ...gate.card, notes: 'before' }, gate.version, 'Ada', 'kept')
  await setStatus('gate', 'review')
  const before = await loadDeck()
  const file = path.join(dir, 'deck.dump')
  expect(script('backup', file)).toMatchObject({ status: 0 })
  expect(script('backup', file)).toMatchObject({
    status: 1,
    stderr: expect.stringContaining('there already'),
  })

  await saveCard({ ...gate.card, notes: 'after' }, gate.version + 1, 'Ben')
  await setStatus('gate', 'approved')
  await binCard('low-cobra')
  await db().raw('DELETE FROM search_words')
  expect(await loadDeck()).not.toEqual(before)

  expect(script('restore', file)).toMatchObject({ status: 0 })
  expect(await loadDeck()).toEqual(before)
  expect((await versionsOf('gate')).map(({ author, note }) => [author, note])).toEqual([
    ['Ada', 'kept'],
    ['Jonas Reiter', 'after the review in class'],
    ['Ines Aldorf', 'first writing'],
  ])
})

test('a damaged backup changes nothing', async () => {
  const before = await loadDeck()
  const file = path.join(dir, 'damaged.dump')
  const whole = readFileSync(path.join(dir, 'deck.dump'))
  for (const bytes of [whole.subarray(0, whole.length / 2), Buffer.from('no backup')]) {
    writeFileSync(file, bytes)
    const { status, stderr } = script('restore', file)
    expect(status).toBe(1)
    expect(stderr).toContain('the deck is as it was')
    expect(await loadDeck()).toEqual(before)
  }
  expect(script('restore', path.join(dir, 'none')).stderr).toContain('Nothing was changed')
})
