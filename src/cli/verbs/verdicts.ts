import {
  type Condition,
  conditionNamed,
  conditions as known,
  highestOpen,
  nearestConditions,
  verdictsFor,
} from '@/core/cautions'
import { LABELS, SAY_CAUTIONS } from '@/core/language'
import { plainText } from '@/core/sides'
import { BadCall, GOOD, out } from '../badCall'
import { cardFrom, write } from '../files'

/** The conditions that a list of names means. */
function conditionsFrom(list: string): { asked: string; condition: Condition }[] {
  const names = list
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean)
  if (names.length === 0) throw new BadCall(SAY_CAUTIONS.none)
  return names.map((asked) => {
    const condition = conditionNamed(asked)
    if (!condition)
      throw new BadCall(
        SAY_CAUTIONS.unknown(
          asked,
          nearestConditions(asked).map(({ name }) => name)
        )
      )
    return { asked, condition }
  })
}

/** Tells, rung by rung, what a form means for people with some conditions. */
export function verdicts(file: string, options: { has: string; json?: boolean }): number {
  const asked = conditionsFrom(options.has)
  const card = cardFrom(file)
  const all = asked.map(({ condition }) => verdictsFor(card, condition))
  const open = highestOpen(all)
  const told = asked.map(({ asked: words, condition }, i) => ({
    condition: condition.name,
    id: condition.id,
    asked: words,
    rungs: all[i]!.map(({ rung, verdict, change, reason }) => ({
      rung,
      verdict,
      change: change.join('; '),
      reason: reason.join('; '),
    })),
  }))
  if (options.json) {
    write(`${JSON.stringify({ conditions: told, open }, null, 2)}\n`)
    return GOOD
  }
  const name = (id: string) => {
    const rung = card.ladder.find((each) => each.id === id)
    return (rung && plainText(rung.name, card)) || id
  }
  for (const { condition, rungs } of told) {
    out(`${condition}\n`)
    for (const { rung, verdict, change, reason } of rungs.toReversed())
      out(
        `   ${name(rung)}: ${LABELS.verdict[verdict]}${change ? `: ${change}` : ''}${reason ? ` (${reason})` : ''}\n`
      )
  }
  out(`${open === null ? SAY_CAUTIONS.closed : SAY_CAUTIONS.open(name(open))}\n`)
  out(`${SAY_CAUTIONS.defer}\n`)
  return GOOD
}

/** Lists the conditions by their groups, each with its other names. */
export function listConditions(options: { json?: boolean }): number {
  if (options.json) {
    out(`${JSON.stringify(known, null, 2)}\n`)
    return GOOD
  }
  for (const group of new Set(known.map((each) => each.group))) {
    out(`${group}\n`)
    for (const { name, synonyms } of known.filter((each) => each.group === group))
      out(`   ${name}: ${synonyms.join(', ')}\n`)
  }
  return GOOD
}
