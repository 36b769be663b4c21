import fs from 'node:fs'
import path from 'node:path'
import { fileURLToPath } from 'node:url'

/** The command line, bundled so that it starts quickly. Node alone; the bundler is asked for when needed. */

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..')
const folder = path.join(root, '.notula/cli')
export const builtCli = path.join(folder, 'notula.mjs')

/** When the newest of the command's sources was written. */
function newest(dir) {
  let latest = 0
  for (const entry of fs.readdirSync(dir, { withFileTypes: true })) {
    const file = path.join(dir, entry.name)
    if (entry.isDirectory()) latest = Math.max(latest, newest(file))
    else if (!entry.name.includes('.test.')) latest = Math.max(latest, fs.statSync(file).mtimeMs)
  }
  return latest
}

const SOURCES = ['src/core', 'src/cli', 'src/server/print', 'node_modules/.notula-lock']

/** Whether the bundle is there and no source is newer. */
export function isCliBuilt() {
  try {
    const { mtimeMs } = fs.statSync(builtCli)
    return SOURCES.every((each) => {
      const at = path.join(root, each)
      if (!fs.existsSync(at)) return true
      return (fs.statSync(at).isDirectory() ? newest(at) : fs.statSync(at).mtimeMs) <= mtimeMs
    })
  } catch {
    return false
  }
}

/** Bundles the command; what prints stays in packages of its own and is loaded when it prints. */
export async function buildCli() {
  const { build } = await import('esbuild')
  const fresh = `${folder}-${process.pid}`
  await build({
    entryPoints: [path.join(root, 'src/cli/notula.ts')],
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
    external: ['@react-pdf/renderer', 'pdf-lib', 'sharp', 'react'],
    banner: {
      js: "import { createRequire as require0 } from 'node:module'; const require = require0(import.meta.url);",
    },
    logLevel: 'error',
  })
  // A command that is running keeps the files that it started with.
  fs.rmSync(folder, { recursive: true, force: true })
  fs.renameSync(fresh, folder)
}

/** Builds the command when a source changed. @returns what was done, for a line of progress */
export async function ensureCli() {
  if (isCliBuilt()) return 'is built'
  await buildCli()
  return 'built'
}
