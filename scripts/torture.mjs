import { spawnSync } from 'node:child_process'
import fs from 'node:fs'
import { readFileSync } from 'node:fs'
import http from 'node:http'
import path from 'node:path'
import { ensureBundles } from './bundle.mjs'
import {
  ensureBuild,
  ensureDatabase,
  ensureModules,
  ensurePackages,
  freePort,
  loadDemo,
  main,
  migrate,
  root,
  startCluster,
  startServer,
  step,
} from './lib.mjs'
import { forSeconds, reads, sent } from './torture/beside.mjs'
import { longestCard, mutated, seeded, worstFiles } from './torture/worst.mjs'

/**
 * npm run torture [short]: breaks the app on purpose, on this machine alone, and counts what was
 * lost. Minutes; with `short` a cut of it in about one. The table goes into docs/reliability.md.
 */

const short = process.argv.includes('short')
const many = (full, cut) => (short ? cut : full)
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms))
const rows = []
const tell = (what, tried, acknowledged, lost, more = '') => {
  rows.push({ what, tried, acknowledged, lost, more })
  console.log(
    `  ${what}: ${tried} tried, ${acknowledged} acknowledged, ${lost} lost${more && `; ${more}`}`
  )
}

const IDS = ['gate', 'low-cobra', 'tree', 'bridge']

await main(async () => {
  await ensurePackages({ postgres: true })
  await ensureModules()
  await ensureBuild()
  await ensureBundles()
  const name = `torture-${process.pid}`
  const cluster = await startCluster(name, { throwaway: true, durable: true })
  let server
  try {
    const databaseUrl = await ensureDatabase(cluster.url, 'notula_torture', cluster.role)
    await migrate(databaseUrl)
    loadDemo(databaseUrl)
    const port = await freePort()
    const address = `http://127.0.0.1:${port}`
    const up = async () => {
      server = await startServer({ port, host: '127.0.0.1', databaseUrl, quiet: true })
    }
    await up()

    const { default: pg } = await import('pg')
    const asked = async (sql, values) => {
      const client = new pg.Client({ connectionString: databaseUrl })
      await client.connect()
      try {
        return (await client.query(sql, values)).rows
      } finally {
        await client.end()
      }
    }

    /** Saves cards over and over until told to stop, and keeps what was acknowledged. */
    function saving(bases = [address]) {
      let on = true
      let tried = 0
      const kept = []
      const odd = []
      let refused = 0
      let unanswered = 0
      const run = async (id, base) => {
        let from = 1
        let card
        for (let n = 0; on; n += 1) {
          try {
            if (!card)
              ({ card, version: from } = await (await fetch(`${base}/api/cards/${id}`)).json())
            if (!card) throw new Error('no card yet')
            tried += 1
            const notes = `${id} ${n} ${base.slice(-5)}`
            const answer = await fetch(`${base}/api/cards/${id}`, {
              method: 'PUT',
              headers: { 'content-type': 'application/json' },
              body: JSON.stringify({ card: { ...card, notes }, from, author: 'T' }),
            })
            const told = await answer.json()
            if (answer.status === 200) {
              kept.push({ id, version: told.version, notes })
              from = told.version
              // A cut leaves the processor to what runs beside it.
              await pause(many(0, 15))
            } else if (answer.status === 409) from = told.current.version
            else if (answer.status !== 503) odd.push(`${answer.status} ${told.detail}`)
            else {
              refused += 1
              await pause(30)
            }
            if (/at .*\.(?:ts|js):|select |password/i.test(JSON.stringify(told.detail ?? '')))
              odd.push(`told too much: ${told.detail}`)
          } catch {
            card = undefined
            unanswered += 1
            await pause(30)
          }
        }
      }
      const all = Promise.all(bases.flatMap((base) => IDS.map((id) => run(id, base))))
      return async () => {
        on = false
        await all
        const stored = await asked(
          "SELECT card_id, version, body->>'notes' AS notes FROM card_versions"
        )
        const there = new Set(stored.map((row) => `${row.card_id} ${row.version} ${row.notes}`))
        const lost = kept.filter(
          ({ id, version, notes }) => !there.has(`${id} ${version} ${notes}`)
        )
        const [{ halves }] = await asked(
          `SELECT count(*)::int AS halves FROM (
             SELECT c.id FROM cards c LEFT JOIN card_versions v ON v.card_id = c.id GROUP BY c.id
             HAVING max(v.version) IS DISTINCT FROM c.current_version
               OR count(v.version) <> c.current_version
               -- Nothing but the notes is ever changed here.
               OR count(DISTINCT v.body::jsonb - 'notes') FILTER (WHERE v.author = 'T') > 1) broken`
        )
        return { tried, kept: kept.length, lost: lost.length + halves, odd, refused, unanswered }
      }
    }
    /** Saves while something is done; `felt` says how a save must have felt it. */
    const through = async (what, work, { bases, felt } = {}) => {
      const stop = saving(bases)
      await pause(500)
      const more = await work()
      await pause(500)
      const { tried, kept, lost, odd, ...breaks } = await stop()
      if (felt && breaks[felt] === 0) odd.push(`no save was ${felt}`)
      tell(
        what,
        tried,
        kept,
        lost + odd.length,
        [more, ...odd.slice(0, 2)].filter(Boolean).join('; ')
      )
    }

    const kills = many(200, 8)
    await through(
      `kill -9 of the server, ${kills} times`,
      async () => {
        for (let i = 0; i < kills; i += 1) {
          await pause(150 + (i % 7) * 40)
          process.kill(-server.child.pid, 'SIGKILL')
          await server.ended
          await up()
        }
      },
      { felt: 'unanswered' }
    )

    const crashes = many(20, 3)
    await through(
      `PostgreSQL killed and started, ${crashes} times`,
      async () => {
        for (let i = 0; i < crashes; i += 1) {
          await pause(400)
          cluster.halt('immediate')
          await pause(200)
          await cluster.bringBack()
        }
      },
      { felt: 'refused' }
    )

    await through('all connections of the database taken, for a while', async () => {
      const { default: pgAgain } = await import('pg')
      const [{ max }] = await asked(
        "SELECT setting::int AS max FROM pg_settings WHERE name = 'max_connections'"
      )
      const taken = []
      for (let i = 0; i < max; i += 1) {
        const client = new pgAgain.Client({ connectionString: databaseUrl })
        client.on('error', () => undefined)
        try {
          await client.connect()
          taken.push(client)
        } catch {
          break
        }
      }
      await pause(many(5000, 1500))
      for (const client of taken) await client.end()
      return `${taken.length} taken`
    })

    const second = await startServer({
      port: await freePort(),
      host: '127.0.0.1',
      databaseUrl,
      quiet: true,
    })
    await through('two servers on one database', () => pause(many(15_000, 3000)), {
      bases: [address, second.address],
    })
    await second.stop()

    await step('Random changes to a card file', async () => {
      const random = seeded(20261127)
      const count = many(5000, 300)
      let answered = 0
      let odd = 0
      for (let i = 0; i < count; i += 50) {
        const form = new FormData()
        for (let k = 0; k < 50; k += 1)
          form.append('file', new File([mutated(random)], `${i + k}.md`))
        const answer = await fetch(`${address}/api/import?preview=1`, {
          method: 'POST',
          body: form,
        })
        const { items = [] } = await answer.json()
        answered += items.length
        if (answer.status !== 200 || items.length !== 50) odd += 1
      }
      tell('card files changed at random', count, answered, odd, 'each is taken or refused')
    })

    await worst(address, tell)
    await fullDisk(tell)
    const leftovers = Number((await asked('SELECT count(*)::int AS n FROM card_versions'))[0].n)
    console.log(`\n${leftovers} versions in the database at the end`)
  } finally {
    await server?.stop()
    await cluster.stop()
  }
  const table = [
    `On ${new Date().toISOString().slice(0, 10)}${short ? ', the short cut' : ''}:`,
    '',
    '| what was done | tried | acknowledged | lost or wrong | beside |',
    '|---|---|---|---|---|',
    ...rows.map(
      ({ what, tried, acknowledged, lost, more }) =>
        `| ${what} | ${tried} | ${acknowledged} | ${lost} | ${more} |`
    ),
  ].join('\n')
  console.log(`\n${table}`)
  if (!short) keepTable(table)
  return rows.every(({ lost }) => lost === 0) ? 0 : 1
})

async function worst(address, tell) {
  const got = async (path) => {
    const answer = await fetch(`${address}${path}`)
    await answer.arrayBuffer()
    return answer.status
  }
  const files = worstFiles(many(1500, 200))
  // Making them holds this process up: connections that the server closed meanwhile are let go of.
  await pause(200)
  await sent(address, longestCard('longest'), true)
  // A cut does each thing once: beside other work what it would measure says nothing.
  const seconds = many(8, 0)
  const idle = await reads(address, forSeconds(seconds))
  const upload = (file) => sent(address, file)
  const endless = () =>
    new Promise((resolve) => {
      const request = http.request(
        `${address}/api/cards/tree`,
        {
          method: 'PUT',
          headers: { 'content-type': 'application/json', 'transfer-encoding': 'chunked' },
        },
        (answer) => {
          answer.resume()
          resolve(answer.statusCode)
        }
      )
      request.on('error', () => resolve(413))
      const part = Buffer.alloc(1 << 20, 97)
      let sent = 0
      const go = () => {
        if (sent > 300 || request.destroyed) return request.end()
        sent += 1
        if (request.write(part)) setImmediate(go)
        else request.once('drain', go)
      }
      go()
    })
  const works = {
    ...Object.fromEntries(Object.entries(files).map(([what, file]) => [what, () => upload(file)])),
    'a body of 300 MB that doesn’t say its length': endless,
    'a PDF': () => got('/api/cards/gate/pdf'),
    'the page of the longest card': () => got('/cards/longest'),
    'its bench': () => got('/cards/longest/bench'),
    'the whole deck as files': () => got('/api/export?as=md'),
  }
  for (const [what, work] of Object.entries(works)) {
    let on = true
    let done = 0
    let wrong = 0
    const answers = {}
    const again = (async () => {
      do {
        const status = await work().catch((error) => String(error.cause?.code ?? error.message))
        done += 1
        answers[status] = (answers[status] ?? 0) + 1
        if (!(status < 500)) wrong += 1
      } while (on)
    })()
    const beside = await reads(address, forSeconds(seconds))
    on = false
    await again
    const ratio = beside.p99 / idle.p99
    tell(
      what,
      done,
      done - wrong,
      wrong,
      [
        !short &&
          `p99 of a small read ${beside.p99.toFixed(0)} ms, ${ratio.toFixed(1)} of idle${ratio > 5 ? ' (OVER 5)' : ''}`,
        wrong && `answers ${JSON.stringify(answers)}`,
      ]
        .filter(Boolean)
        .join('; ')
    )
  }
}

/** A cluster on a small file system of its own, filled to the brim; where one can be mounted. */
async function fullDisk(tell) {
  const home = '/var/lib/notula/small-disk'
  if (process.getuid?.() !== 0) return console.log('  a full disk: not tried, it needs root')
  fs.mkdirSync(home, { recursive: true })
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=90m', 'tmpfs', home])
  if (mounted.status !== 0)
    return console.log('  a full disk: not tried, no file system can be mounted here')
  try {
    const { status, stdout } = spawnSync(
      process.execPath,
      [path.join(root, 'scripts/torture/fullDisk.mjs'), home],
      { encoding: 'utf8', timeout: 180_000 }
    )
    const told = status === 0 ? JSON.parse(stdout.trim().split('\n').at(-1)) : null
    if (!told) return console.log(`  a full disk: could not be tried\n${stdout}`)
    tell('a full disk', told.tried, told.kept, told.lost, told.more)
  } finally {
    spawnSync('umount', ['-l', home])
  }
}

function keepTable(table) {
  const file = path.join(root, 'docs/reliability.md')
  const text = readFileSync(file, 'utf8')
  const [before] = text.split('<!-- table -->')
  fs.writeFileSync(file, `${before}<!-- table -->\n\n${table}\n`)
}
