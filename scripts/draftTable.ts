import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { finalFigure, solved } from '@/core/figure'
import { readCardBytes } from '@/core/formats'
import { apart, draftsOf, finalDraft } from '@/core/reading'

/**
 * How near the forms that the words draw come to those posed by hand: `tsx scripts/draftTable.ts
 * [FOLDER]`, as a table in Markdown.
 */

const folder = process.argv[2] ?? path.join(process.cwd(), 'demo')

const contacts = (all: readonly { part: string; on: string }[]) =>
  all.map(({ part, on }) => `${part} on ${on}`).sort()

const rows = readdirSync(folder)
  .filter((name) => name.endsWith('.md'))
  .flatMap((name) => {
    const card = readCardBytes(readFileSync(path.join(folder, name)))
    const kept = finalFigure(card)
    if (!kept) return []
    const draft = finalDraft(card, draftsOf(card, { kept: false }))
    const [a, b] = [contacts(kept.figure.contacts), contacts(draft.figure.contacts)]
    const only = (one: string[], other: string[]) => one.filter((each) => !other.includes(each))
    const differ = [
      ...only(a, b).map((each) => `− ${each}`),
      ...only(b, a).map((each) => `+ ${each}`),
    ]
    const cm = apart(solved(kept.figure), draft.solved)
    return [{ id: card.id, form: draft.id, differ, cm, near: differ.length === 0 && cm <= 12 }]
  })

console.log(
  '# Drafts beside figures posed by hand\n\nThe final form that the words of each demo card draw, with no help from the figures it keeps, beside the form that is kept; made by `npm run docs`. A − is a contact that only the kept form has, a + one that only the draft has. For a stature of 170 cm.\n'
)
console.log('| card | form | contacts | joints apart, cm | near |\n|---|---|---|---|---|')
for (const { id, form, differ, cm, near } of rows)
  console.log(
    `| ${id} | ${form} | ${differ.join('; ') || 'the same'} | ${cm.toFixed(1)} | ${near ? 'yes' : 'no'} |`
  )
console.log(
  `\n${rows.filter(({ near }) => near).length} of ${rows.length} have the same contacts, and joints within 12 cm on average.`
)
