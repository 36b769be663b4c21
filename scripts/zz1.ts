import { readdirSync, readFileSync } from 'node:fs'
import { readCard } from '@/core/formats'
import { checkCard, checkDeck } from '@/core/check'
import { DEFAULT_SCHOOL } from '@/core/card'
const cards = readdirSync('demo').filter((f) => f.endsWith('.md')).map((f) => readCard(readFileSync('demo/' + f, 'utf8')))
const t = performance.now()
for (const c of cards) for (const f of checkCard(c, DEFAULT_SCHOOL, true)) if (/^(cautions|mistakes|claims|touch)/.test(f.rule) || !/card\//.test(f.rule)) console.log(c.id, f.rule, f.where, f.message, f.fix?.label ?? '')
console.log(performance.now() - t)
for (const [id, all] of checkDeck(cards)) for (const f of all) console.log(id, f.rule, f.where, f.message, f.fix?.label ?? '')
console.log(performance.now() - t)
