import {
  type Condition,
  conditionNamed,
  conditions as known,
  highestOpen,
  nearestConditions,
  judgedCard,
  together,
} from '@/core/cautions'
import { LABELS, SAY_CAUTIONS } from '@/core/language'
import { plainText } from '@/core/sides'
import { BadCall, GOOD, out } from '../badCall'
import { DEFAULT_SCHOOL, type School } from '@/core/card'
import { cardFrom, schoolFrom, write } from '../files'

/** The conditions that a list of names means. */
function conditionsFrom(list: string, school: School): { asked: string; condition: Condition }[] {
  const names = list
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean)
  if (names.length === 0) throw new BadCall(SAY_CAUTIONS.none)
  return names.map((asked) => {
    const condition = conditionNamed(asked, school)
    if (!condition)
      throw new BadCall(
        SAY_CAUTIONS.unknown(
          asked,
          nearestConditions(asked, school).map(({ name }) => name)
        )
      )
    return { asked, condition }
  })
}

/** Tells, rung by rung, what a form means for people with some conditions. */
export function verdicts(
  file: string,
  options: { has: string; json?: boolean; school?: string }
): number {
  const school = options.school === undefined ? DEFAULT_SCHOOL : schoolFrom(options.school)
  const asked = conditionsFrom(options.has, school)
  const card = cardFrom(file)
  const { rows } = judgedCard(card, school)
  const all = asked.map(
    ({ condition }) => rows.find((row) => row.condition.id === condition.id)!.cells
  )
  const open = highestOpen(all)
  const at = all[0]!.findIndex(({ rung }) => rung === open)
  const against = together(all.map((cells) => cells[at < 0 ? cells.length - 1 : at]!)).against
  const told = asked.map(({ asked: words, condition }, i) => ({
    condition: condition.name,
    id: condition.id,
    asked: words,
    rungs: all[i]!.map(({ rung, verdict, change, reason, by, usual, typed, stale }) => ({
      rung,
      verdict,
      change: change.join('; '),
      reason: reason.join('; '),
      // What the card says itself, where it is not the policy's word that stands.
      ...(by === 'policy'
        ? {}
        : {
            by,
            usual,
            card: typed!.caution.reason ?? typed!.caution.say,
            ...(stale ? { stale } : {}),
          }),
    })),
  }))
  if (options.json) {
    write(
      `${JSON.stringify({ conditions: told, open, ...(against.length ? { against } : {}) }, null, 2)}\n`
    )
    return GOOD
  }
  const name = (id: string) => {
    const rung = card.ladder.find((each) => each.id === id)
    return (rung && plainText(rung.name, card)) || id
  }
  for (const { condition, rungs } of told) {
    out(`${condition}\n`)
    for (const { rung, verdict, change, reason, by } of rungs.toReversed())
      out(
        `   ${name(rung)}: ${LABELS.verdict[verdict]}${change ? `: ${change}` : ''}${reason ? ` (${reason})` : ''}${by ? ` [${SAY_CAUTIONS.cardSays}]` : ''}\n`
      )
  }
  // Of one who has all of them the changes add up, and may not go together.
  for (const [a, b] of against) out(`${SAY_CAUTIONS.goAgainst(a, b)}\n`)
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
