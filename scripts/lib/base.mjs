import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import fs from 'node:fs'
import net from 'node:net'
import path from 'node:path'
import { fileURLToPath } from 'node:url'

/** What every command needs: where the project is, steps, other programs. Node only. */

export const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..')
export const dotDir = path.join(root, '.notula')
export const isRoot = process.getuid?.() === 0

process.env.NEXT_TELEMETRY_DISABLED = '1'

export class SetUpError extends Error {}

/** Prints a step before it runs and how long it took after. */
export async function step(title, work) {
  const started = Date.now()
  process.stdout.write(`· ${title} …`)
  try {
    const said = await work()
    const seconds = ((Date.now() - started) / 1000).toFixed(1)
    process.stdout.write(` ${said ?? 'done'} (${seconds} s)\n`)
  } catch (error) {
    process.stdout.write(' failed\n')
    throw error
  }
}

/** No password is shown, wherever it stands in an address. */
export const withoutPasswords = (text) => text.replace(/(\/\/[^:/\s]+:)[^@\s]+@/g, '$1…@')

/** Runs a program to its end; its output is shown only when it fails. */
export function sh(command, args, options = {}) {
  const result = spawnSync(command, args, {
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 1 << 28,
    ...options,
  })
  if (result.error) throw result.error
  if (result.status !== 0)
    throw new SetUpError(
      withoutPasswords(
        `${command} ${args.join(' ')}\n${result.stdout ?? ''}${result.stderr ?? ''}`.trim()
      )
    )
  return result.stdout ?? ''
}

export const found = (name) =>
  (process.env.PATH ?? '')
    .split(path.delimiter)
    .map((dir) => path.join(dir, name))
    .find((file) => fs.existsSync(file))

export const digest = (text) => createHash('sha256').update(text).digest('hex')

export const freePort = () =>
  new Promise((resolve, reject) => {
    const server = net.createServer()
    server.once('error', reject)
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address()
      server.close(() => resolve(port))
    })
  })

export const tsx = (file, args, env = {}) =>
  sh(process.execPath, ['--import', 'tsx', file, ...args], { env: { ...process.env, ...env } })

/** Runs the whole and tells a failure of the set-up in plain words. */
export async function main(work) {
  try {
    process.exitCode = (await work()) ?? 0
  } catch (error) {
    console.error(error instanceof SetUpError ? `\n${error.message}` : error)
    process.exitCode = 1
  }
}
