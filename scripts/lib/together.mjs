import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { root } from './base.mjs'

const TOGETHER = ['src/core', 'src/workers']

/**
 * Writes a file that holds the tests of the core and of what works with it together, in one
 * sandbox: one of its own for each file loads the whole core and warms it up eighty times. None of
 * them keeps state, so the tests don't meet; each failure is told under its file's name. The other
 * worker of Jest meanwhile runs all that is left.
 * @returns the folders that Jest is to look for tests in
 */
export function testsTogether() {
  const folder = path.join(root, '.notula/together')
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true })
  const lines = TOGETHER.flatMap((folder) =>
    readdirSync(path.join(root, folder), { recursive: true }).map((name) => `${folder}/${name}`)
  )
    .filter((file) => /\.test\.tsx?$/.test(file))
    .sort()
    .map((file) => `describe('${file}', () => { require('../../${file}') })\n`)
  writeFileSync(path.join(folder, 'core.test.ts'), lines.join(''))
  const others = readdirSync(path.join(root, 'src'), { withFileTypes: true })
    .filter((each) => each.isDirectory() && !TOGETHER.includes(`src/${each.name}`))
    .map(({ name }) => path.join(root, 'src', name))
  return [folder, ...others, path.join(root, 'tests/unit')]
}
