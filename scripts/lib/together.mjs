import { mkdirSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { root } from './base.mjs'

/** Sandboxes, which are warmed up anew each: one for each worker of Jest. */
const SANDBOXES = 2

const TOGETHER = ['src/core', 'src/workers']

/**
 * Writes files that hold the tests of the core and of what works with it together, a few sandboxes
 * of many files each: a sandbox of its own for each file loads the whole core and warms it up
 * eighty times. None of them keeps state, so the tests don't meet; each failure is told under its
 * file's name.
 * @returns the folders that Jest is to look for tests in
 */
export function testsTogether() {
  const folder = path.join(root, '.notula/together')
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true })
  const sandboxes = Array.from({ length: SANDBOXES }, () => ({ bytes: 0, lines: [] }))
  TOGETHER.flatMap((folder) =>
    readdirSync(path.join(root, folder), { recursive: true }).map((name) => `${folder}/${name}`)
  )
    .filter((file) => /\.test\.tsx?$/.test(file))
    .map((file) => ({ file, bytes: statSync(path.join(root, file)).size }))
    .sort((a, b) => b.bytes - a.bytes || a.file.localeCompare(b.file))
    .forEach(({ file, bytes }) => {
      const emptiest = sandboxes.reduce((a, b) => (b.bytes < a.bytes ? b : a))
      emptiest.bytes += bytes
      emptiest.lines.push(`describe('${file}', () => { require('../../${file}') })\n`)
    })
  sandboxes.forEach(({ lines }, i) =>
    writeFileSync(path.join(folder, `core-${i + 1}.test.ts`), lines.join(''))
  )
  const others = readdirSync(path.join(root, 'src'), { withFileTypes: true })
    .filter((each) => each.isDirectory() && !TOGETHER.includes(`src/${each.name}`))
    .map(({ name }) => path.join(root, 'src', name))
  return [folder, ...others, path.join(root, 'tests/unit')]
}
