import { ensureBundles } from './bundle.mjs'
import {
  choosePort,
  ensureBuild,
  ensureDatabase,
  ensureModules,
  ensurePackages,
  loadDemo,
  main,
  migrate,
  SetUpError,
  startCluster,
  startServer,
  step,
} from './lib.mjs'

/** PORT, or 3000. */
function wantedPort() {
  const given = process.env.PORT
  if (given === undefined || given === '') return 3000
  const port = Number(given)
  if (/^\d+$/.test(given) && port >= 1 && port <= 65_535) return port
  throw new SetUpError(
    `PORT is “${given}”; it should be a whole number from 1 to 65535, or left out. Nothing was started.`
  )
}

const WATCH_MS = 2000

/** Starts the database again when it went away; the app finds it by itself. */
function bringBackWhenGone(cluster) {
  let busy = false
  return setInterval(async () => {
    if (busy) return
    busy = true
    try {
      if (await cluster.bringBack()) console.log('· PostgreSQL had stopped; it was started again')
    } catch (error) {
      console.error(`· PostgreSQL stopped and cannot be started: ${error.message}`)
    }
    busy = false
  }, WATCH_MS)
}

/** npm start: sets up what is missing, then serves the app until Ctrl-C. */
await main(async () => {
  const given = process.env.DATABASE_URL
  const host = process.env.HOST || '127.0.0.1'
  const stops = []
  let stopping = false
  const stopAll = async () => {
    if (stopping) return
    stopping = true
    for (const stop of stops.reverse()) await stop()
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, async () => {
      if (!stopping) console.log('\n· Stopping')
      await stopAll()
      process.exit(0)
    })
  try {
    await ensurePackages({ postgres: !given })
    await ensureModules()
    const wanted = wantedPort()
    let databaseUrl = given
    let cluster
    if (!given)
      await step('Starting PostgreSQL', async () => {
        cluster = await startCluster('postgres')
        stops.push(cluster.stop)
        databaseUrl = await ensureDatabase(cluster.url, 'notula', cluster.role)
        return cluster.already ? 'was running' : undefined
      })
    await step('Building server and command line', () => ensureBundles())
    await step('Bringing the tables up to date', () => migrate(databaseUrl))
    await step('Looking for the demo deck', async () => loadDemo(databaseUrl))
    await ensureBuild()
    const port = await choosePort(wanted, host)
    let server
    await step('Starting the app', async () => {
      server = await startServer({ port, host, databaseUrl })
      stops.push(server.stop)
    })
    console.log(`\nNotula is open at ${server.address}\nCtrl-C stops it.`)
    if (['0.0.0.0', '::'].includes(host) && !process.env.ORIGIN)
      console.log(
        'Browsers on other machines are refused until ORIGIN says by which address they come, such as ORIGIN=http://cards.lan:3000.'
      )
    const watch = cluster && bringBackWhenGone(cluster)
    const code = await server.ended
    clearInterval(watch)
    const died = !stopping
    if (died)
      console.error(
        `\nThe server ended by itself (code ${code ?? 'none'}). Start it again; nothing that was saved is lost.`
      )
    await stopAll()
    return died ? code || 1 : 0
  } catch (error) {
    await stopAll()
    throw error
  }
})
