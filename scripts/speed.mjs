import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { chromium as playwright } from '@playwright/test'
import autocannon from 'autocannon'
import { typing } from './speed/typing.mjs'
import { forSeconds, reads, sent } from './torture/beside.mjs'
import { longestCard, worstFiles } from './torture/worst.mjs'
import { bundleFile, ensureBundles } from './bundle.mjs'
import { FIRST_LOAD, firstLoad } from './lib/firstLoad.mjs'
import {
  BROWSER_ARGS,
  chromium,
  ensureBuild,
  ensureDatabase,
  ensureModules,
  ensurePackages,
  freePort,
  main,
  migrate,
  root,
  sh,
  startCluster,
  startServer,
  step,
  tsx,
} from './lib.mjs'

/** npm run bench: speed as ratios within one run, each beside its limit. */

const rows = []
function report(what, ratio, limit, kind, detail) {
  const good = kind === 'most' ? ratio <= limit : ratio >= limit
  rows.push(good)
  console.log(
    `${good ? 'good' : 'OVER'}  ${what}: ${ratio.toFixed(2)} (at ${kind} ${limit})  ${detail}`
  )
}

/** Requests a second, measured in turns, the middle of three rounds each. */
async function throughput(urls) {
  const taken = urls.map(() => [])
  for (let round = 0; round < 3; round += 1)
    for (const [i, url] of urls.entries()) {
      const { requests } = await autocannon({
        url,
        connections: 8,
        duration: 3,
        headers: { 'accept-encoding': 'gzip' },
      })
      taken[i].push(requests.average)
    }
  return taken.map((times) => times.sort((a, b) => a - b)[1])
}

/** Milliseconds from the address to the last picture of a shelf, in a browser that was there before. */
async function shelfVisits(drawn, bare) {
  const browser = await playwright.launch({
    executablePath: chromium(),
    args: BROWSER_ARGS,
  })
  try {
    const page = await (await browser.newContext()).newPage()
    const taken = { drawn: [], bare: [] }
    for (let round = 0; round < 16; round += 1)
      for (const [kind, address] of Object.entries({ drawn, bare })) {
        const started = performance.now()
        await page.goto(address)
        await page.waitForSelector('article')
        await page.waitForFunction(() => [...document.images].every((image) => image.complete))
        if (round > 2) taken[kind].push(performance.now() - started)
      }
    const middle = (times) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)]
    return { drawn: middle(taken.drawn), bare: middle(taken.bare) }
  } finally {
    await browser.close()
  }
}

/** Milliseconds that a program takes from its start to its end, the middle of nine. */
function started(args) {
  const times = Array.from({ length: 9 }, () => {
    const from = performance.now()
    spawnSync(process.execPath, args, { cwd: root, stdio: 'ignore' })
    return performance.now() - from
  })
  return times.sort((a, b) => a - b)[4]
}

/** Most bytes that a server of its own holds, with its workers, while it takes 1,000 cards in. */
async function memoryOfImport(databaseUrl) {
  const own = await startServer({ port: await freePort(), host: '127.0.0.1', databaseUrl })
  let most = 0
  const look = setInterval(() => {
    const status = readFileSync(`/proc/${own.child.pid}/status`, 'utf8')
    most = Math.max(most, Number(/VmRSS:\s+(\d+)/.exec(status)[1]) * 1024)
  }, 20)
  try {
    const zip = Object.values(worstFiles(1000)).at(-1)
    const status = await sent(own.address, zip, true)
    if (status !== 200) throw new Error(`The import was answered with ${status}.`)
    return most
  } finally {
    clearInterval(look)
    await own.stop()
  }
}

/** Makes one card of the deck a card of 40 steps. */
async function fortySteps(address) {
  const url = `${address}/api/cards/long-side-angle-2`
  const { card, version } = await (await fetch(url)).json()
  const enter = Array.from({ length: 40 }, (_, i) => ({
    ...card.enter[i % card.enter.length],
    id: `s${i + 1}`,
  }))
  await fetch(url, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ card: { ...card, enter }, from: version, author: 'Speed' }),
  })
}

await main(async () => {
  await ensurePackages({ postgres: true, browser: true })
  await ensureModules()
  const cluster = await startCluster(`speed-${process.pid}`, { throwaway: true })
  let server
  try {
    const databaseUrl = await ensureDatabase(cluster.url, 'notula_speed', cluster.role)
    await migrate(databaseUrl)
    await step('Filling a deck', async () =>
      tsx('scripts/speed/fillDeck.ts', ['1000'], { DATABASE_URL: databaseUrl }).trim()
    )
    await ensureBuild()
    await ensureBundles()
    await ensureBundles(['speed'])
    server = await startServer({ port: await freePort(), host: '127.0.0.1', databaseUrl })

    const core = JSON.parse(sh(process.execPath, [bundleFile('speed')]))
    const { mirror, clone, key, found, cloned, drag, read, chain, single, picture } = core
    report(
      'mirroring a 40-step card / structuredClone of it',
      mirror / clone,
      3,
      'most',
      `${mirror.toFixed(0)} µs / ${clone.toFixed(0)} µs`
    )
    report(
      'a key press on a 40-step card: halves, findings, timeline / a frame of 16.7 ms',
      key / 16_700,
      0.25,
      'most',
      `${(key / 1000).toFixed(2)} ms`
    )
    report(
      'all findings of a card, over 1,000 cards / structuredClone of it',
      found / cloned,
      30,
      'most',
      `${found.toFixed(0)} µs / ${cloned.toFixed(0)} µs`
    )

    report(
      'a pulled figure solved and drawn / a frame of 16.7 ms',
      drag / 16_700,
      0.5,
      'most',
      `${(drag / 1000).toFixed(1)} ms`
    )

    report(
      'reading a 40-step card / a frame of 16.7 ms',
      read / 16_700,
      0.15,
      'most',
      `${(read / 1000).toFixed(2)} ms`
    )
    report(
      'a drafted chain of ten steps / one of its forms solved',
      chain / single,
      6,
      'most',
      `${(chain / 1000).toFixed(1)} ms / ${(single / 1000).toFixed(1)} ms`
    )
    report(
      'one picture of a card that plays / a frame of 16.7 ms',
      picture / 16_700,
      0.5,
      'most',
      `${(picture / 1000).toFixed(1)} ms`
    )

    report(
      'what all rungs of 500 cards ask / their forms only solved',
      core.demands / core.solves,
      4,
      'most',
      `${core.demands.toFixed(0)} ms / ${core.solves.toFixed(0)} ms, ${core.rungs} rungs`
    )

    report(
      'verdicts of 1,000 cards × 5 rungs × 40 conditions, traits and all / the traits read once',
      (core.traits + core.verdicts) / core.traits,
      1.3,
      'most',
      `${(core.traits + core.verdicts).toFixed(0)} ms / ${core.traits.toFixed(0)} ms`
    )

    const [cli, empty] = [
      ['bin/notula.mjs', '--help'],
      ['-e', '0'],
    ].map(started)
    report(
      'notula --help / node -e 0',
      cli / empty,
      4,
      'most',
      `${cli.toFixed(0)} ms / ${empty.toFixed(0)} ms`
    )

    const [still, shelf, data] = await throughput([
      `${server.address}/about`,
      `${server.address}/`,
      `${server.address}/api/shelf`,
    ])
    report(
      'shelf page, 1,000 cards / static page, requests a second',
      shelf / still,
      0.5,
      'least',
      `${shelf.toFixed(0)} / ${still.toFixed(0)}`
    )
    const visit = 1 / (1 / shelf + 1 / data)
    console.log(
      `      with the request for its cards: ${(visit / still).toFixed(2)} of a static page (${data.toFixed(0)} a second for the cards)`
    )

    const files = worstFiles()
    const worst = {
      'the worst import': () => sent(server.address, files['emphasis without end']),
      'an import of 1,500 cards': () => sent(server.address, files['a ZIP of 1,500 cards']),
      'a PDF': async () => (await fetch(`${server.address}/api/cards/gate-1/pdf`)).arrayBuffer(),
      'the page of the longest card': async () =>
        (await fetch(`${server.address}/cards/longest`)).arrayBuffer(),
      'the whole deck': async () => (await fetch(`${server.address}/api/deck`)).arrayBuffer(),
    }
    await sent(server.address, longestCard('longest'), true)
    const idle = await reads(server.address, forSeconds(6), 'tree-1')
    for (const [what, work] of Object.entries(worst)) {
      let on = true
      const again = (async () => {
        while (on) await work()
      })()
      const beside = await reads(server.address, forSeconds(6), 'tree-1')
      on = false
      await again
      report(
        `p99 of a small read beside ${what} / alone`,
        beside.p99 / idle.p99,
        5,
        'most',
        `${beside.p99.toFixed(1)} ms / ${idle.p99.toFixed(1)} ms`
      )
    }

    const deckUrl = await ensureDatabase(cluster.url, 'notula_speed_deck', cluster.role)
    await migrate(deckUrl)
    const t = JSON.parse(tsx('scripts/speed/server.ts', [], { DATABASE_URL: deckUrl }))
    report(
      'a save / a bare UPDATE of one row',
      t.save / t.update,
      3,
      'most',
      `${(t.save / 1000).toFixed(2)} ms / ${(t.update / 1000).toFixed(2)} ms`
    )
    report(
      'reading 1,000 Markdown cards / remark alone parsing them',
      t.read / t.remarked,
      3,
      'most',
      `${(t.read / 1e6).toFixed(1)} s / ${(t.remarked / 1e6).toFixed(1)} s`
    )
    report(
      'import of 1,000 Markdown cards / parsing them',
      t.imported / t.parse,
      1.5,
      'most',
      `${(t.imported / 1e6).toFixed(1)} s / ${(t.parse / 1e6).toFixed(1)} s`
    )
    const importUrl = await ensureDatabase(cluster.url, 'notula_speed_import', cluster.role)
    await migrate(importUrl)
    const most = await memoryOfImport(importUrl)
    report(
      'memory of the server while it takes 1,000 cards in / 500 MB',
      most / 5e8,
      1,
      'most',
      `${(most / 1e6).toFixed(0)} MB with its workers`
    )
    const search = Math.max(t.search, t.found)
    report(
      'a search among 1,000 cards / SELECT 1',
      search / t.select,
      4,
      'most',
      `${(search / 1000).toFixed(2)} ms / ${(t.select / 1000).toFixed(2)} ms`
    )

    const shelves = {}
    for (const kind of ['drawn', 'bare']) {
      const url = await ensureDatabase(cluster.url, `notula_speed_${kind}`, cluster.role)
      await migrate(url)
      tsx('scripts/speed/fillDeck.ts', ['200', kind], { DATABASE_URL: url })
      shelves[kind] = await startServer({
        port: await freePort(),
        host: '127.0.0.1',
        databaseUrl: url,
      })
    }
    try {
      const { drawn, bare } = await shelfVisits(shelves.drawn.address, shelves.bare.address)
      report(
        'a shelf of 200 figures from the cache / the same without figures, visits a second',
        bare / drawn,
        0.7,
        'least',
        `${(1000 / drawn).toFixed(1)} / ${(1000 / bare).toFixed(1)}`
      )
    } finally {
      await shelves.drawn.stop()
      await shelves.bare.stop()
    }

    await fortySteps(server.address)
    const field = 'enter[3].text@right'
    const bench = (id) => ({ address: `${server.address}/cards/${id}/bench`, field })
    const keys = await typing({
      demo: bench('long-side-angle-1'),
      forty: bench('long-side-angle-2'),
    })
    for (const [name, of] of [
      ['demo', 'the longest demo card'],
      ['forty', 'a 40-step card'],
    ])
      for (const [kind, what, most] of [
        ['key', 'a key typed', 2.5],
        ['pause', 'a key and the pause after it', 40],
      ])
        report(
          `${what} on the bench of ${of} / a key in a bare text area`,
          keys[name][kind] / keys.bare.key,
          most,
          'most',
          `${keys[name][kind].toFixed(1)} ms / ${keys.bare.key.toFixed(1)} ms of the main thread`
        )

    const { bytes, count } = await firstLoad(server.address, '/cards/long-side-angle-1/bench')
    report(
      'bench screen, script at first load / 235 kB gzipped',
      bytes / FIRST_LOAD,
      1,
      'most',
      `${(bytes / 1000).toFixed(0)} kB in ${count} files`
    )
  } finally {
    await server?.stop()
    await cluster.stop()
  }
  return rows.every(Boolean) ? 0 : 1
})
