import { readdirSync, readFileSync } from 'node:fs'
import Ajv2020 from 'ajv/dist/2020'
import { Card, LIMITS, treeOf } from '@/core/card'
import TREE from '@/core/card/tree.json' with { type: 'json' }
import { cautionsPage, conditions } from '@/core/cautions'
import { RULES, rulesPage } from '@/core/check'
import { ANGLES, figureTablesPage, MEASURES } from '@/core/figure'
import { ladderPage, MOTIONS } from '@/core/ladder'
import { readingPage } from '@/core/reading'
import { cardSchema, readCard, writeJson, writeMarkdown } from '@/core/formats'

test('docs/card.schema.json is fresh; run npm run docs when this fails', () => {
  expect(JSON.parse(readFileSync('docs/card.schema.json', 'utf8'))).toEqual(cardSchema())
})

test('the tree of a card’s parts is fresh; run npm run docs when this fails', () => {
  expect(TREE).toEqual(treeOf(Card))
})

test('docs/rules.md is fresh; run npm run docs when this fails', () => {
  expect(readFileSync('docs/rules.md', 'utf8')).toBe(rulesPage(RULES))
})

test('docs/reading.md is fresh; run npm run docs when this fails', () => {
  const page = readFileSync('docs/reading.md', 'utf8')
  expect(page).toBe(readingPage())
  for (const action of ['step', 'side-bend', 'clasp', 'soften'])
    expect(page).toContain(`| ${action} |`)
})

test('docs/ladder.md and docs/cautions.md are fresh; run npm run docs when this fails', () => {
  const ladder = readFileSync('docs/ladder.md', 'utf8')
  expect(ladder).toBe(ladderPage())
  for (const motion of MOTIONS) expect(ladder).toContain(`| ${motion} | `)
  const cautions = readFileSync('docs/cautions.md', 'utf8')
  expect(cautions).toBe(cautionsPage())
  for (const { name } of conditions) expect(cautions).toContain(`| ${name} | `)
})

test('docs/figure-tables.md is fresh; run npm run docs when this fails', () => {
  const page = readFileSync('docs/figure-tables.md', 'utf8')
  expect(page).toBe(figureTablesPage())
  // Every angle and measure has its meaning told.
  const rows = page.split('\n').filter((line) => line.startsWith('| `'))
  expect(rows.length).toBe(
    ANGLES.filter(({ joint }) => !/^right/.test(joint)).length + MEASURES.length
  )
  for (const row of rows) expect(row).toMatch(/\| [^|]{4,} \|$/)
})

test('every rule says what it looks at and why, under an id of its own', () => {
  expect(new Set(RULES.map((rule) => rule.id)).size).toBe(RULES.length)
  for (const rule of RULES) {
    expect(rule.id).toMatch(/^[a-z]+\/[a-z-]+$/)
    expect(rule.looksAt.length).toBeGreaterThan(10)
    expect(rule.why.length).toBeGreaterThan(10)
  }
})

test('the schema, read by another library, takes the demo cards and refuses a bad one', () => {
  const validate = new Ajv2020({ strict: false }).compile(cardSchema())
  for (const name of readdirSync('demo')) {
    const json = JSON.parse(writeJson(readCard(readFileSync(`demo/${name}`, 'utf8'))))
    expect([name, validate(json)]).toEqual([name, true])
    expect(validate({ ...json, base: 'floating' })).toBe(false)
    expect(validate({ ...json, loud: true })).toBe(false)
  }
})

test('the whole card in docs/card-format.md is a card that is written the same way', () => {
  const page = readFileSync('docs/card-format.md', 'utf8')
  const whole = /````markdown\n([\s\S]*?)````/.exec(page)![1]!
  expect(writeMarkdown(readCard(whole))).toBe(whole)
})

test('the table of limits tells each limit as it is', () => {
  const page = readFileSync('docs/reliability.md', 'utf8')
  const told = Object.fromEntries(
    [...page.matchAll(/^\| `(\w+)` +\| (\d+) +\|/gm)].map((row) => [row[1], Number(row[2])])
  )
  expect(told).toEqual(LIMITS)
})
