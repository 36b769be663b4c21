import { readFileSync } from 'node:fs'
import type { Card } from '../../src/core/card'
import { readCard } from '../../src/core/formats'
import { cardLedFrom } from '../../src/core/sides'

/** Ratios of the core, measured in turns within one run; printed as JSON. */

const ROUNDS = 60
const TIMES = 40

/** Middle of the rounds, in microseconds a call; the rounds of all are run in turns. */
function inTurns<T extends Record<string, () => unknown>>(works: T): Record<keyof T, number> {
  const taken = Object.fromEntries(Object.keys(works).map((name) => [name, [] as number[]]))
  for (let round = 0; round < ROUNDS; round += 1)
    for (const [name, work] of Object.entries(works)) {
      const started = process.hrtime.bigint()
      for (let i = 0; i < TIMES; i += 1) work()
      taken[name]!.push(Number(process.hrtime.bigint() - started) / 1000 / TIMES)
    }
  return Object.fromEntries(
    Object.entries(taken).map(([name, times]) => [name, times.sort((a, b) => a - b)[ROUNDS / 2]!])
  ) as Record<keyof T, number>
}

/** A card with 40 steps, made from the demo. */
function fortySteps(): Card {
  const card = readCard(readFileSync('demo/long-side-angle.md', 'utf8'))
  const step = (i: number) => ({ ...card.enter[i % card.enter.length]!, id: `s${i + 1}` })
  return { ...card, enter: Array.from({ length: 40 }, (_, i) => step(i)) }
}

const card = fortySteps()
const { mirror, clone } = inTurns({
  mirror: () => cardLedFrom(card, 'left', 'right'),
  clone: () => structuredClone(card),
})
console.log(JSON.stringify({ mirror, clone }))
