import fs from 'node:fs'
import path from 'node:path'
import {
  dumpTool,
  ensureModules,
  ensurePackages,
  forTool,
  main,
  migrate,
  openDatabase,
  SetUpError,
  sh,
  step,
} from './lib.mjs'

/** npm run restore FILE: brings a backup back, all of it or nothing, in place of what is there. */
await main(async () => {
  const file = process.argv[2] && path.resolve(process.argv[2])
  if (!file || !fs.existsSync(file))
    throw new SetUpError(
      file
        ? `There is no file ${file}. Nothing was changed.`
        : 'Say which file: npm run restore FILE'
    )
  await ensurePackages({ postgres: true })
  await ensureModules()
  const { url, adminUrl, settle, stop } = await openDatabase()
  const { address, env } = forTool(adminUrl)
  try {
    await step('Bringing the backup back', async () => {
      try {
        sh(
          dumpTool('pg_restore'),
          [
            '--clean',
            '--if-exists',
            '--no-owner',
            '--single-transaction',
            '--exit-on-error',
            `--dbname=${address}`,
            file,
          ],
          { env }
        )
      } catch (error) {
        throw new SetUpError(
          `The backup could not be brought back; the deck is as it was.\n${error.message}`
        )
      }
    })
    await settle()
    await step('Bringing the tables up to date', () => migrate(url))
    const { default: pg } = await import('pg')
    const client = new pg.Client({ connectionString: url })
    await client.connect()
    // A running app must not take the old deck for the new one.
    await client.query(
      'UPDATE deck SET revision = (extract(epoch FROM clock_timestamp()) * 1000)::bigint'
    )
    await client.end()
  } finally {
    await stop()
  }
})
