import { execFile, spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import fs from 'node:fs'
import net from 'node:net'
import path from 'node:path'
import { promisify } from 'node:util'
import { bundleFile } from '../bundle.mjs'
import { makeOnce } from './alone.mjs'
import { root, SetUpError } from './base.mjs'

/** The pages and the server that serves them. */

const run = promisify(execFile)

function* sources(dir) {
  for (const entry of fs.readdirSync(dir, { withFileTypes: true })) {
    const file = path.join(dir, entry.name)
    if (entry.isDirectory()) yield* sources(file)
    else if (!/\.test\.tsx?$/.test(entry.name)) yield file
  }
}

/** Builds the web pages when a source changed since the last build. */
export async function ensureBuild() {
  const hash = createHash('sha256')
  const files = [
    ...sources(path.join(root, 'src')),
    ...['package-lock.json', 'next.config.ts', 'postcss.config.cjs', 'tsconfig.json'].map((f) =>
      path.join(root, f)
    ),
  ].sort()
  for (const file of files) hash.update(path.relative(root, file)).update(fs.readFileSync(file))
  const env = { ...process.env, NODE_ENV: 'production' }
  delete env.DATABASE_URL
  await makeOnce('build', {
    title: 'Building the pages',
    stamp: path.join(root, '.next/notula-build'),
    wanted: hash.digest('hex'),
    program: [process.execPath, 'node_modules/next/dist/bin/next', 'build'],
    env,
  })
}

/** What listens on a port, as far as it can be told. */
async function portHolder(port) {
  try {
    const { stdout } = await run('ss', ['-ltnpH', `sport = :${port}`])
    const user = /users:\(\("([^"]+)",pid=(\d+)/.exec(stdout)
    if (user) return `${user[1]} (process ${user[2]})`
  } catch {
    // ss is not there.
  }
  return holderFromProc(port) ?? 'another program'
}

function holderFromProc(port) {
  try {
    const wanted = port.toString(16).toUpperCase().padStart(4, '0')
    const rows = ['tcp', 'tcp6'].flatMap((f) =>
      fs.readFileSync(`/proc/net/${f}`, 'utf8').split('\n')
    )
    const row = rows
      .map((r) => r.trim().split(/\s+/))
      .find((r) => r[1]?.endsWith(`:${wanted}`) && r[3] === '0A')
    if (!row) return null
    for (const pid of fs.readdirSync('/proc').filter((d) => /^\d+$/.test(d))) {
      let fds = []
      try {
        fds = fs.readdirSync(`/proc/${pid}/fd`)
      } catch {
        continue
      }
      for (const fd of fds) {
        try {
          if (fs.readlinkSync(`/proc/${pid}/fd/${fd}`) === `socket:[${row[9]}]`)
            return `${fs.readFileSync(`/proc/${pid}/comm`, 'utf8').trim()} (process ${pid})`
        } catch {
          // The process ended meanwhile.
        }
      }
    }
  } catch {
    // No /proc here.
  }
  return null
}

const canListen = (port, host) =>
  new Promise((resolve) => {
    const server = net.createServer()
    server.once('error', () => resolve(false))
    server.listen(port, host, () => server.close(() => resolve(true)))
  })

/** The wanted port, or the next free one, saying what holds the taken ones. */
export async function choosePort(wanted, host) {
  for (let port = wanted; port < wanted + 100; port += 1) {
    if (await canListen(port, host)) return port
    console.log(`· Port ${port} is taken by ${await portHolder(port)}; trying ${port + 1}`)
  }
  throw new SetUpError(`No free port from ${wanted} to ${wanted + 99}.`)
}

/** Starts the built app; resolves when it answers. */
export async function startServer({ port, host, databaseUrl, quiet = false }) {
  const child = spawn(process.execPath, [bundleFile('server')], {
    cwd: root,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: databaseUrl,
      HOST: host,
      PORT: String(port),
    },
    // The server ends when this channel does: killed as it may be, a start leaves none behind.
    stdio: ['ignore', 'pipe', 'pipe', 'ipc'],
    detached: true,
  })
  let said = ''
  const keep = (chunk) => {
    said = (said + chunk).slice(-4000)
    if (!quiet && ready) process.stderr.write(chunk)
  }
  let ready = false
  child.stdout.on('data', keep)
  child.stderr.on('data', keep)
  const address = `http://${host.includes(':') ? `[${host}]` : host === '0.0.0.0' ? '127.0.0.1' : host}:${port}`
  const ended = new Promise((resolve) => child.once('exit', (code) => resolve(code)))
  for (let i = 0; i < 600; i += 1) {
    if (child.exitCode !== null) throw new SetUpError(`The server ended at once:\n${said}`)
    try {
      const response = await fetch(`${address}/api/health`)
      if (response.ok) {
        ready = true
        break
      }
    } catch {
      // Not listening yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  if (!ready) throw new SetUpError(`The server does not answer on ${address}:\n${said}`)
  const stop = async (signal = 'SIGTERM') => {
    if (child.exitCode === null) {
      try {
        process.kill(-child.pid, signal)
      } catch {
        // Already gone.
      }
      await Promise.race([ended, new Promise((resolve) => setTimeout(resolve, 3000))])
      if (child.exitCode === null && child.signalCode === null) process.kill(-child.pid, 'SIGKILL')
    }
  }
  return { address, stop, ended, child }
}
