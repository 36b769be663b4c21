import { expect, test } from '@playwright/test'
import pg from 'pg'
import {
  ensureDatabase,
  freePort,
  migrate,
  postgresBin,
  startCluster,
  startServer,
  tsx,
} from '../../scripts/lib.mjs'
import { Card } from '../../src/core/card'
import { demoCard } from '../support/cards'

/** The server and the database break down in the middle of saves. */

type Cluster = Awaited<ReturnType<typeof startCluster>>
type Server = Awaited<ReturnType<typeof startServer>>

const IDS = ['gate', 'seated-half-twist', 'low-cobra', 'long-side-angle']
const texts = new Map(IDS.map((id) => [id, demoCard(id)]))
let name: string
let cluster: Cluster
let database: string
let server: Server
let port: number

const startOne = async () => {
  server = await startServer({ port, host: '127.0.0.1', databaseUrl: database, quiet: true })
}

test.beforeEach(async ({}, testInfo) => {
  test.skip(!postgresBin(), 'PostgreSQL itself is not installed here')
  name = `power-${process.pid}-${testInfo.line}`
  cluster = await startCluster(name, { throwaway: true, durable: true })
  database = await ensureDatabase(cluster.url, 'notula_power', cluster.role)
  await migrate(database)
  tsx('src/cli/loadDemo.ts', [], { DATABASE_URL: database })
  port = await freePort()
  await startOne()
})
test.afterEach(async () => {
  await server?.stop()
  await cluster?.stop()
})

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/** Saves one card so many times, again and again until each is taken; gives what was acknowledged. */
async function saveOften(id: string, times: number, tell: () => void, failures: string[]) {
  const url = `http://127.0.0.1:${port}/api/cards/${id}`
  const acknowledged = new Map<number, string>()
  let from = 1
  let n = 0
  for (let tries = 0; n < times && tries < times + 400; tries += 1) {
    const notes = `${id} ${n}`
    const card = { ...texts.get(id)!, notes }
    try {
      const response = await fetch(url, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ card, from, author: 'Power' }),
      })
      const body = await response.json()
      if (response.status === 200) {
        from = body.version
        acknowledged.set(from, notes)
        n += 1
        tell()
      } else if (response.status === 409) {
        // Written, but its answer was lost on the way.
        from = body.current.version
        failures.push(`${id}: the answer was lost`)
      } else {
        failures.push(`${response.status}`)
        await pause(100)
      }
    } catch {
      failures.push('no answer')
      await pause(100)
    }
  }
  return acknowledged
}

async function rowsOf(sql: string) {
  const client = new pg.Client({ connectionString: database })
  await client.connect()
  const { rows } = await client.query(sql)
  await client.end()
  return rows
}

/** 200 saves, over four cards at once, with a breakdown in the middle of them. */
async function breakAmongSaves(breakDown: () => Promise<void>) {
  let saves = 0
  let broken: Promise<void> | undefined
  const failures: string[] = []
  const tell = () => {
    saves += 1
    if (saves === 70) broken = breakDown()
  }
  const all = await Promise.all(IDS.map((id) => saveOften(id, 50, tell, failures)))
  await broken
  expect(saves).toBe(200)
  expect(failures).not.toEqual([])

  const versions = await rowsOf('SELECT card_id, version, body FROM card_versions')
  const bodies = new Map(
    versions.map(({ card_id, version, body }) => [`${card_id} ${version}`, Card.parse(body)])
  )
  for (const [i, id] of IDS.entries())
    for (const [version, notes] of all[i]!)
      expect(bodies.get(`${id} ${version}`)).toEqual({ ...texts.get(id), notes })
  // No half card: each has its versions without a gap, and the last of them is the current one.
  const halves = await rowsOf(`
    SELECT c.id FROM cards c LEFT JOIN card_versions v ON v.card_id = c.id
    GROUP BY c.id HAVING max(v.version) IS DISTINCT FROM c.current_version
      OR count(v.version) <> c.current_version`)
  expect(halves).toEqual([])
  return failures
}

test('the server is killed among 200 saves: each acknowledged one is there, no half card', async () => {
  test.setTimeout(120_000)
  const failures = await breakAmongSaves(async () => {
    process.kill(-server.child.pid!, 'SIGKILL')
    await server.ended
    await startOne()
  })
  expect(failures).toContain('no answer')
})

test('PostgreSQL crashes and comes back under the running server: nothing is lost', async () => {
  test.setTimeout(120_000)
  const failures = await breakAmongSaves(async () => {
    cluster.halt('immediate')
    await pause(500)
    await startCluster(name, {
      throwaway: true,
      durable: true,
      onPort: Number(new URL(cluster.url).port),
    })
  })
  expect(failures).toContain('503')
})
