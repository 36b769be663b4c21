import path from 'node:path'
import { closeDb } from '@/server/db'
import { loadDemo } from '@/server/demo'
import { reindex } from '@/server/search'

/** Called by npm start: fills an empty database with the demo deck. */
async function run(): Promise<void> {
  await reindex()
  const loaded = await loadDemo(path.resolve('demo'))
  console.log(loaded ? `${loaded} cards` : 'already there')
  await closeDb()
}

run().catch((error: unknown) => {
  console.error(error)
  process.exit(1)
})
