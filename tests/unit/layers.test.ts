import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'

const PROBES: [folder: string, line: string, says: RegExp | null][] = [
  ['core/card', "import { db as thing } from '@/server/db'", /imports only point down/],
  ['ui', "import { Card as thing } from '@/core/card/card'", /only door/],
  ['core/card', "import { useState as thing } from 'react'", /core is pure/],
  ['ui', "import thing from 'knex'", /knex/],
  ['ui', "import { Card as thing } from '@/core/card'", null],
]

test('the lint refuses an import that points up, passes a door, or brings a face into the core', () => {
  const dirs = PROBES.map(([folder]) => mkdtempSync(path.join('src', folder, 'lint-')))
  try {
    const files = dirs.map((dir, i) => {
      const file = path.join(dir, 'probe.ts')
      writeFileSync(file, `${PROBES[i]![1]}\nexport const probe = thing\n`)
      return file
    })
    const run = spawnSync(
      process.execPath,
      ['node_modules/eslint/bin/eslint.js', '--format', 'json', ...files],
      { encoding: 'utf8' }
    )
    const results = JSON.parse(run.stdout) as {
      filePath: string
      messages: { message: string }[]
    }[]
    PROBES.forEach(([, line, says], i) => {
      const result = results.find((each) => each.filePath === path.resolve(files[i]!))!
      const messages = result.messages.map((each) => each.message).join('\n')
      if (says) expect([line, messages]).toEqual([line, expect.stringMatching(says)])
      else expect(messages).toBe('')
    })
  } finally {
    dirs.forEach((dir) => rmSync(dir, { recursive: true }))
  }
}, 120_000)
