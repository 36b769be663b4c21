import { writeFileSync } from 'node:fs'
import { RULES, rulesPage } from '../src/core/check'
import { figureTablesPage } from '../src/core/figure'
import { cautionsPage } from '../src/core/cautions'
import { cardSchema } from '../src/core/formats'
import { ladderPage } from '../src/core/ladder'
import { readingPage } from '../src/core/reading'

/** npm run docs: writes the pages that are made from the code. */
writeFileSync('docs/card.schema.json', `${JSON.stringify(cardSchema(), null, 2)}\n`)
writeFileSync('docs/rules.md', rulesPage(RULES))
writeFileSync('docs/figure-tables.md', figureTablesPage())
writeFileSync('docs/reading.md', readingPage())
writeFileSync('docs/ladder.md', ladderPage())
writeFileSync('docs/cautions.md', cautionsPage())
console.log(
  'docs/cautions.md, docs/ladder.md, docs/reading.md, docs/card.schema.json, docs/rules.md, docs/figure-tables.md'
)
