import fs from 'node:fs'
import path from 'node:path'
import {
  dumpTool,
  ensureModules,
  ensurePackages,
  forTool,
  main,
  openDatabase,
  root,
  SetUpError,
  sh,
  step,
} from './lib.mjs'

/** npm run backup [FILE]: the whole database in one file, by pg_dump. */
await main(async () => {
  await ensurePackages({ postgres: true })
  await ensureModules()
  const stamp = new Date().toISOString().slice(0, 19).replace(/[:T]/g, '-')
  const file = path.resolve(process.argv[2] ?? path.join(root, 'backups', `notula-${stamp}.dump`))
  if (fs.existsSync(file))
    throw new SetUpError(`${file} is there already; nothing was written over it.`)
  const { url, stop } = await openDatabase()
  const { address, env } = forTool(url)
  try {
    fs.mkdirSync(path.dirname(file), { recursive: true })
    await step('Writing the backup', async () => {
      sh(dumpTool('pg_dump'), ['--format=custom', '--no-owner', `--file=${file}.part`, address], {
        env,
      })
      fs.renameSync(`${file}.part`, file)
    })
    console.log(file)
  } finally {
    fs.rmSync(`${file}.part`, { force: true })
    await stop()
  }
})
