import { writeFileSync } from 'node:fs'
import { RULES, rulesPage } from '../src/core/check'
import { cardSchema } from '../src/core/formats'

/** npm run docs: writes the pages that are made from the code. */
writeFileSync('docs/card.schema.json', `${JSON.stringify(cardSchema(), null, 2)}\n`)
writeFileSync('docs/rules.md', rulesPage(RULES))
console.log('docs/card.schema.json, docs/rules.md')
