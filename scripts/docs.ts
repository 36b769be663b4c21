import { writeFileSync } from 'node:fs'
import { RULES, rulesPage } from '../src/core/check'
import { figureTablesPage } from '../src/core/figure'
import { cardSchema } from '../src/core/formats'
import { ladderPage } from '../src/core/ladder'
import { readingPage } from '../src/core/reading'

/** npm run docs: writes the pages that are made from the code. */
writeFileSync('docs/card.schema.json', `${JSON.stringify(cardSchema(), null, 2)}\n`)
writeFileSync('docs/rules.md', rulesPage(RULES))
writeFileSync('docs/figure-tables.md', figureTablesPage())
writeFileSync('docs/reading.md', readingPage())
writeFileSync('docs/ladder.md', ladderPage())
console.log(
  'docs/ladder.md, docs/reading.md, docs/card.schema.json, docs/rules.md, docs/figure-tables.md'
)
