import { spawnSync } from 'node:child_process'
import fs from 'node:fs'
import path from 'node:path'
import { ensureDatabase, freePort, loadDemo, migrate, postgresBin, startServer } from '../lib.mjs'

/** Saves to a database on a small file system until it is full, makes room, and goes on. */

const home = process.argv[2]
const bin = postgresBin()
const data = path.join(home, 'data')
const as = (program, args) =>
  spawnSync(
    'setpriv',
    ['--reuid=postgres', '--regid=postgres', '--init-groups', path.join(bin, program), ...args],
    { cwd: '/', encoding: 'utf8', stdio: ['ignore', 'ignore', 'pipe'] }
  )
spawnSync('chown', ['postgres:postgres', home])
as('initdb', ['-D', data, '-U', 'notula', '--auth=trust', '--wal-segsize=1'])
const dbPort = await freePort()
const settings = `-p ${dbPort} -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c max_wal_size=4MB -c min_wal_size=2MB`
as('pg_ctl', ['-D', data, '-w', '-l', path.join(home, 'log'), '-o', settings, 'start'])
const databaseUrl = await ensureDatabase(`postgres://notula@127.0.0.1:${dbPort}/postgres`, 'notula')
let server
try {
  await migrate(databaseUrl)
  loadDemo(databaseUrl)
  const filler = path.join(home, 'filler')
  server = await startServer({
    port: await freePort(),
    host: '127.0.0.1',
    databaseUrl,
    quiet: true,
  })
  const url = `${server.address}/api/cards/gate`
  const { card } = await (await fetch(url)).json()
  let { version: from } = await (await fetch(url)).json()
  let tried = 0
  const kept = []
  const statuses = {}
  const save = async () => {
    tried += 1
    const notes = `n ${tried} ${Math.random().toString(36).repeat(2000)}`.slice(0, 40_000)
    try {
      const answer = await fetch(url, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ card: { ...card, notes }, from, author: 'T' }),
      })
      const told = await answer.json()
      statuses[answer.status] = (statuses[answer.status] ?? 0) + 1
      if (answer.status === 200) {
        from = told.version
        kept.push({ version: from, notes })
        return true
      }
      if (answer.status === 409) from = told.current.version
    } catch {
      statuses.none = (statuses.none ?? 0) + 1
    }
    return false
  }
  for (let i = 0; i < 20; i += 1) await save()
  // To the brim.
  spawnSync('sh', ['-c', `cat /dev/zero > ${filler} 2>/dev/null`])
  let refused = 0
  for (let i = 0; i < 60 && refused < 10; i += 1) if (!(await save())) refused += 1
  fs.rmSync(filler)
  await new Promise((resolve) => setTimeout(resolve, 2500))
  if (
    spawnSync(path.join(bin, 'pg_isready'), ['-q', '-h', '127.0.0.1', '-p', String(dbPort)])
      .status !== 0
  )
    as('pg_ctl', ['-D', data, '-w', '-l', path.join(home, 'log'), '-o', settings, 'start'])
  let after = 0
  for (let i = 0; i < 20; i += 1) {
    if (await save()) after += 1
    else await new Promise((resolve) => setTimeout(resolve, 300))
  }
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: databaseUrl })
  await client.connect()
  const { rows } = await client.query(
    "SELECT version, body->>'notes' AS notes FROM card_versions WHERE card_id = 'gate'"
  )
  await client.end()
  const there = new Map(rows.map(({ version, notes }) => [version, notes]))
  const lost = kept.filter(({ version, notes }) => there.get(version) !== notes).length
  console.log(
    JSON.stringify({
      tried,
      kept: kept.length,
      lost: lost + (after === 0 ? 1 : 0),
      more: `${refused} refused while it was full, ${after} saved after; answers ${JSON.stringify(statuses)}`,
    })
  )
} finally {
  await server?.stop()
  as('pg_ctl', ['-D', data, '-m', 'immediate', '-w', 'stop'])
}
process.exit(0)
