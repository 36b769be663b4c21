import { readFileSync } from 'node:fs'
import path from 'node:path'

/** What the project stands on: who may use it, what runs at its set-up, and whether all of it is used. */

const root = path.resolve(__dirname, '../..')
const read = (file: string) => JSON.parse(readFileSync(path.join(root, file), 'utf8'))
interface Locked {
  license?: string
  hasInstallScript?: boolean
  resolved?: string
  integrity?: string
  link?: boolean
}
const locked = Object.entries(read('package-lock.json').packages as Record<string, Locked>).filter(
  ([at, { link }]) => at !== '' && !link
)

/** Licences under which anything may be built, also what is not shown. */
const FREE =
  /^(?:\(?(?:MIT(?:-0)?|ISC|Apache-2\.0|BSD-[23]-Clause(?:-Clear)?|BSD|0BSD|BlueOak-1\.0\.0|CC0-1\.0|CC-BY-[34]\.0|Unlicense|WTFPL|Python-2\.0|OFL-1\.1|Zlib|MPL-2\.0|WordNet(?:-3\.0)?)(?: (?:OR|AND) )?)+\)?$/
/** Their licences stand in the package, not in its list; looked at by hand. */
const LOOKED_AT: Record<string, string> = { format: 'MIT', 'png-js': 'MIT' }

/** Loaded for the platform at hand, next to a program: libvips, under the LGPL, is linked to, not built in. */
const LINKED = /(?:^|\/)@img\/sharp-/

test('every package may be used', () => {
  const odd = locked
    .map(([at, { license }]) => [at.replace(/^.*node_modules\//, ''), license ?? 'none'] as const)
    .filter(([name, license]) => !FREE.test(license) && !LINKED.test(name) && !LOOKED_AT[name])
  expect(odd).toEqual([])
})

test('what runs at set-up is known', () => {
  const scripts = locked
    .filter(([, { hasInstallScript }]) => hasInstallScript)
    .map(([at]) => at.replace(/^.*node_modules\//, ''))
  const known = ['esbuild', 'sharp', 'unrs-resolver', 'fsevents', '@swc/core', '@parcel/watcher']
  expect([...new Set(scripts)].filter((name) => !known.includes(name))).toEqual([])
})

test('every package has a digest, so that no other one is taken for it', () => {
  expect(locked.filter(([, { integrity }]) => !integrity).map(([at]) => at)).toEqual([])
})

test('no package is listed that nothing uses', () => {
  const { dependencies, devDependencies } = read('package.json') as Record<
    'dependencies' | 'devDependencies',
    Record<string, string>
  >
  const { execFileSync } =
    jest.requireActual<typeof import('node:child_process')>('node:child_process')
  const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard'], {
    cwd: root,
    encoding: 'utf8',
  })
    .split('\n')
    .filter(
      (file) =>
        /\.(?:[cm]?[jt]sx?|css|json)$/.test(file) &&
        !/^(?:package|docs\/|tests\/fixtures)/.test(file)
    )
  const sources = files.map((file) => readFileSync(path.join(root, file), 'utf8')).join('\n')
  /** Found by their names: by the compiler, the bundler or the page. */
  const byName = new Set([
    'typescript',
    'react-dom',
    '@swc/core',
    'eslint-import-resolver-typescript',
    'postcss',
    'postcss-preset-mantine',
    'jest',
    'prettier',
    'eslint',
  ])
  const unused = Object.keys({ ...dependencies, ...devDependencies }).filter(
    (name) =>
      !byName.has(name) &&
      !name.startsWith('@types/') &&
      !sources.includes(`'${name}'`) &&
      !sources.includes(`'${name}/`) &&
      !sources.includes(`"${name}`) &&
      !sources.includes(`node_modules/${name}`) &&
      // Fonts, by the name of their folder.
      !sources.includes(`'${name.replace('@expo-google-fonts/', '')}/`)
  )
  expect(unused).toEqual([])
})
