import fs from 'node:fs'
import path from 'node:path'
import { makeOnce } from './alone.mjs'
import { digest, found, isRoot, root, SetUpError, sh, step } from './base.mjs'

/** What has to be installed: Debian packages and node packages. */

/** Folder of PostgreSQL's server programs, or undefined. */
export function postgresBin() {
  const base = '/usr/lib/postgresql'
  const versions = fs.existsSync(base)
    ? fs.readdirSync(base).filter((v) => fs.existsSync(path.join(base, v, 'bin/initdb')))
    : []
  versions.sort((a, b) => Number(b) - Number(a))
  if (versions[0]) return path.join(base, versions[0], 'bin')
  const initdb = found('initdb')
  return initdb && path.dirname(fs.realpathSync(initdb))
}

/** Chromium without its window asks for half the work: with one, each page opens two of its own. */
const HEADLESS = 'chromium-headless-shell'

const WINDOWED = ['chromium', 'chromium-browser', 'google-chrome']

const firstOf = (names) => names.map(found).find(Boolean)

export const chromium = () => firstOf([HEADLESS, ...WINDOWED])

/** The browser as the trainer has it where there is one: with all that its window costs. */
export const windowed = () => firstOf([...WINDOWED, HEADLESS])

/** How Debian's Chromium is started: headless, and asking nothing of the network by itself. */
export const BROWSER_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

/** Debian packages that are wanted and not there. */
function missingPackages({ postgres, browser }) {
  const wanted = []
  if (postgres && !postgresBin()) wanted.push('postgresql')
  if (browser && !chromium()) wanted.push(HEADLESS)
  return wanted
}

/** Installs what is missing where that is allowed, else says exactly what to install. */
export async function ensurePackages(needs) {
  const wanted = missingPackages(needs)
  if (wanted.length === 0) return
  if (!isRoot || !found('apt-get'))
    throw new SetUpError(
      `Not installed here: ${wanted.join(', ')}. Install with:\n    sudo apt-get install ${wanted.join(' ')}\nthen run this command again.${
        wanted.includes('postgresql')
          ? '\nOr set DATABASE_URL to a PostgreSQL 14 or later that you have.'
          : ''
      }`
    )
  await step(`Installing ${wanted.join(', ')} (Debian packages)`, async () => {
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
    sh('apt-get', ['update', '-qq'], { env })
    sh('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...wanted], { env })
  })
}

/** Runs npm ci when node_modules does not fit package-lock.json. */
export const ensureModules = () =>
  makeOnce('modules', {
    title: 'Installing node packages (npm ci)',
    stamp: path.join(root, 'node_modules/.notula-lock'),
    wanted: digest(fs.readFileSync(path.join(root, 'package-lock.json'))),
    program: ['npm', 'ci', '--include=dev', '--no-audit', '--no-fund', '--loglevel=error'],
  })
