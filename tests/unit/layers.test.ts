import { spawnSync } from 'node:child_process'
import path from 'node:path'

const PROBES: [folder: string, line: string, says: RegExp | null][] = [
  ['core/card', "import { db as thing } from '@/server/db'", /imports only point down/],
  ['ui', "import { Card as thing } from '@/core/card/card'", /only door/],
  ['core/card', "import { useState as thing } from 'react'", /core is pure/],
  ['ui', "import thing from 'knex'", /knex/],
  ['ui', "import { Card as thing } from '@/core/card'", null],
]

/** The lint on texts that stand nowhere: whoever reads the sources meanwhile finds none of them. */
const LINT = `
  import { ESLint } from 'eslint'
  import { text } from 'node:stream/consumers'
  const lint = new ESLint()
  const results = []
  for (const [filePath, code] of JSON.parse(await text(process.stdin)))
    results.push(...(await lint.lintText(code, { filePath })))
  console.log(JSON.stringify(results))
`

test('the lint refuses an import that points up, passes a door, or brings a face into the core', () => {
  const files = PROBES.map(([folder, line], i) => [
    path.resolve('src', folder, `lint-${i}/probe.ts`),
    `${line}\nexport const probe = thing\n`,
  ])
  const run = spawnSync(process.execPath, ['--input-type=module', '--eval', LINT], {
    encoding: 'utf8',
    input: JSON.stringify(files),
  })
  const results = JSON.parse(run.stdout) as { messages: { message: string }[] }[]
  expect(results).toHaveLength(PROBES.length)
  PROBES.forEach(([, line, says], i) => {
    const messages = results[i]!.messages.map((each) => each.message).join('\n')
    if (says) expect([line, messages]).toEqual([line, expect.stringMatching(says)])
    else expect(messages).toBe('')
  })
}, 120_000)
