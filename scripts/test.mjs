import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import path from 'node:path'
import {
  chromium,
  dropDatabase,
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
import { ensureBundles } from './bundle.mjs'
import { testsTogether } from './lib/together.mjs'

/** npm test: sets up what is missing, then types, lint, format, unit tests and the real interface. */

let passed = 0
let failed = 0

/** Runs a program with its output shown as it comes; resolves to whether it ended well. */
function show(title, args, env = {}) {
  console.log(`\n· ${title}`)
  const started = Date.now()
  return new Promise((resolve) => {
    const child = spawn(process.execPath, args, {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env },
    })
    child.once('exit', (code) => {
      console.log(
        `· ${title}: ${code === 0 ? 'good' : 'FAILED'} (${((Date.now() - started) / 1000).toFixed(1)} s)`
      )
      resolve(code === 0)
    })
  })
}

async function check(title, args) {
  if (await show(title, args)) passed += 1
  else failed += 1
}

/** Names of the browser tests to be run; all of them when there are none. */
const only = process.argv.slice(2).filter((word) => !word.startsWith('--'))

const results = path.join(root, '.notula/results')

async function unitTests() {
  const file = path.join(results, 'unit.json')
  const good = await show('Unit tests (Jest)', [
    'node_modules/jest/bin/jest.js',
    '--json',
    `--outputFile=${file}`,
    '--silent',
    '--roots',
    ...testsTogether(),
  ])
  if (!existsSync(file)) {
    failed += 1
    return
  }
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(
    readFileSync(file, 'utf8')
  )
  passed += numPassedTests
  failed += numFailedTests + numRuntimeErrorTestSuites
  if (!good && numFailedTests + numRuntimeErrorTestSuites === 0) failed += 1
}

/** How many browser tests run at once, each with a server and a deck of its own. */
const ABREAST = 2

async function browserTests() {
  const given = process.env.DATABASE_URL
  const databases = Array.from({ length: ABREAST }, (_, i) => `notula_test_${process.pid}_${i}`)
  let cluster = { url: given, stop: async () => {} }
  const servers = []
  try {
    const urls = []
    await step('Making throwaway databases with the demo deck', async () => {
      if (!given) cluster = await startCluster(`test-${process.pid}`, { throwaway: true })
      const [first, ...others] = databases
      const url = await ensureDatabase(cluster.url, first, cluster.role)
      await migrate(url)
      loadDemo(url)
      urls.push(url)
      for (const database of others)
        urls.push(await ensureDatabase(cluster.url, database, cluster.role, first))
    })
    for (const databaseUrl of urls)
      servers.push(await startServer({ port: await freePort(), host: '127.0.0.1', databaseUrl }))
    const good = await show(
      'The real interface (Playwright)',
      ['node_modules/@playwright/test/cli.js', 'test', ...only],
      { BASE_URLS: servers.map(({ address }) => address).join(' '), CHROMIUM: chromium() }
    )
    const file = path.join(results, 'browser.json')
    if (!existsSync(file)) {
      failed += 1
      return
    }
    const { stats } = JSON.parse(readFileSync(file, 'utf8'))
    passed += stats.expected
    failed += stats.unexpected + stats.flaky
    if (!good && stats.unexpected + stats.flaky === 0) failed += 1
  } finally {
    for (const server of servers) await server.stop()
    if (given) for (const database of databases) await dropDatabase(given, database)
    await cluster.stop()
  }
}

async function readSources() {
  await check('Lint', [
    ...['node_modules/eslint/bin/eslint.js', '--max-warnings=0'],
    ...['--cache', '--cache-strategy=content', '--cache-location=.notula/lint', '.'],
  ])
  await check('Types', ['node_modules/typescript/bin/tsc', '--noEmit'])
  await check('Format', [
    ...['node_modules/prettier/bin/prettier.cjs', '--check', '--log-level=warn'],
    // Its usual place is emptied by whoever formats without it.
    ...['--cache', '--cache-strategy=content', '--cache-location=.notula/format', '.'],
  ])
}

const breakOnPurpose = () =>
  check('Broken on purpose, a short cut', ['scripts/torture.mjs', 'short'])

/** Does all of it at once and to its end; throws what the first of it failed with. */
async function together(works) {
  const ends = await Promise.allSettled(works)
  const broken = ends.find(({ status }) => status === 'rejected')
  if (broken) throw broken.reason
}

await main(async () => {
  await ensurePackages({ postgres: !process.env.DATABASE_URL, browser: true })
  await ensureModules()
  await step('Building server and command line', () => ensureBundles())
  rmSync(results, { recursive: true, force: true })
  mkdirSync(results, { recursive: true })
  // npm test -- --browser [SPEC…] runs the real interface only, -- --unit the rest.
  const [unit, browser] = ['--browser', '--unit'].map((word) => !process.argv.includes(word))
  const built = browser && ensureBuild()
  // Whatever waits for a page, a disk or a killed server leaves the processor to the rest.
  await together([
    unit && unitTests(),
    browser && built.then(browserTests),
    unit && (browser ? built.then(breakOnPurpose) : Promise.resolve()).then(readSources),
  ])
  console.log(`\n${passed} passed, ${failed} failed`)
  return failed ? 1 : 0
})
