import fs from 'node:fs'
import path from 'node:path'
import { fileURLToPath } from 'node:url'

/**
 * What runs outside the pages, each bundled so that it starts quickly: the command line, the
 * server with its guard, the jobs of its workers, and what loads the demo. Node alone; the bundler
 * is asked for when needed.
 */

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..')

const BUNDLES = {
  cli: {
    entry: 'src/cli/notula.ts',
    sources: ['src/core', 'src/cli', 'src/server/print'],
    // What prints stays in packages of its own and is loaded when it prints.
    external: ['@react-pdf/renderer', 'pdf-lib', 'sharp', 'react'],
  },
  server: {
    entry: 'src/server/http/main.ts',
    sources: ['src/server/http', 'src/core/card'],
    external: ['next'],
  },
  jobs: {
    entry: 'src/server/jobs/thread.ts',
    sources: ['src/core', 'src/server/jobs', 'src/server/print', 'src/server/archive.ts'],
    external: ['@react-pdf/renderer', 'pdf-lib', 'react'],
  },
  demo: {
    entry: 'src/cli/loadDemo.ts',
    sources: ['src/core', 'src/cli', 'src/server'],
    external: ['knex', 'pg'],
  },
  // The core is measured as it is used: bundled, and not as it is loaded for development.
  speed: {
    entry: 'scripts/speed/core.ts',
    sources: ['src/core', 'src/workers', 'scripts/speed'],
    external: [],
    asked: true,
  },
}

const KEPT_MS = 2 * 24 * 60 * 60 * 1000

const folderOf = (name) => path.join(root, '.notula', name)

/** The file of a bundle. */
export const bundleFile = (name) =>
  path.join(folderOf(name), path.basename(BUNDLES[name].entry).replace('.ts', '.mjs'))

/** When the newest of a bundle's sources was written. */
function newest(at) {
  const stat = fs.statSync(at, { throwIfNoEntry: false })
  if (!stat) return 0
  if (!stat.isDirectory()) return at.includes('.test.') ? 0 : stat.mtimeMs
  return fs
    .readdirSync(at)
    .reduce((latest, entry) => Math.max(latest, newest(path.join(at, entry))), 0)
}

/** Whether a bundle is there and no source is newer. */
function isBuilt(name) {
  const built = fs.statSync(bundleFile(name), { throwIfNoEntry: false })
  return (
    built !== undefined &&
    [...BUNDLES[name].sources, 'node_modules/.notula-lock'].every(
      (each) => newest(path.join(root, each)) <= built.mtimeMs
    )
  )
}

async function buildBundle(name) {
  const { build } = await import('esbuild')
  const { entry, external } = BUNDLES[name]
  const fresh = `${folderOf(name)}-${process.pid}`
  await build({
    entryPoints: [path.join(root, entry)],
    outdir: fresh,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    minify: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    jsx: 'automatic',
    tsconfig: path.join(root, 'tsconfig.json'),
    mainFields: ['module', 'main'],
    external,
    banner: {
      js: "import { createRequire as require0 } from 'node:module'; const require = require0(import.meta.url);",
    },
    logLevel: 'error',
  })
  // A server that runs still loads the parts of the bundle that it started with: they stay for a
  // while, and the entry is changed last.
  const folder = folderOf(name)
  fs.mkdirSync(folder, { recursive: true })
  const files = fs.readdirSync(fresh)
  const last = path.basename(bundleFile(name))
  for (const file of [...files.filter((each) => each !== last), last])
    fs.renameSync(path.join(fresh, file), path.join(folder, file))
  fs.rmSync(fresh, { recursive: true, force: true })
  for (const file of fs.readdirSync(folder)) {
    const { mtimeMs } = fs.statSync(path.join(folder, file))
    if (!files.includes(file) && mtimeMs < Date.now() - KEPT_MS)
      fs.rmSync(path.join(folder, file), { recursive: true, force: true })
  }
}

const USUAL = Object.keys(BUNDLES).filter((name) => !BUNDLES[name].asked)

/** Builds what has a newer source. @returns what was done, for a line of progress */
export async function ensureBundles(names = USUAL) {
  const stale = names.filter((name) => !isBuilt(name))
  for (const name of stale) await buildBundle(name)
  return stale.length === 0 ? 'is built' : 'built'
}
