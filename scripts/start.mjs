import { ensureBundles } from './bundle.mjs'
import {
  choosePort,
  ensureBuild,
  ensureDatabase,
  ensureModules,
  ensurePackages,
  main,
  migrate,
  startCluster,
  startServer,
  step,
  tsx,
} from './lib.mjs'

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
    let databaseUrl = given
    if (!given)
      await step('Starting PostgreSQL', async () => {
        const cluster = await startCluster('postgres')
        stops.push(cluster.stop)
        databaseUrl = await ensureDatabase(cluster.url, 'notula')
        return cluster.already ? 'was running' : undefined
      })
    await step('Building server and command line', () => ensureBundles())
    await step('Bringing the tables up to date', () => migrate(databaseUrl))
    await step('Looking for the demo deck', async () =>
      tsx('src/cli/loadDemo.ts', [], { DATABASE_URL: databaseUrl }).trim()
    )
    await ensureBuild()
    const port = await choosePort(Number(process.env.PORT) || 3000, host)
    let server
    await step('Starting the app', async () => {
      server = await startServer({ port, host, databaseUrl })
      stops.push(server.stop)
    })
    console.log(`\nNotula is open at ${server.address}\nCtrl-C stops it.`)
    const code = await server.ended
    const died = !stopping
    if (died) console.error(`\nThe server ended by itself (code ${code ?? 'none'}). Start it again; nothing that was saved is lost.`)
    await stopAll()
    return died ? code || 1 : 0
  } catch (error) {
    await stopAll()
    throw error
  }
})
