import { readFileSync } from 'node:fs'
import { DEFAULT_SCHOOL, DEMANDED } from '@/core/card'
import {
  closesWords,
  demandsOf,
  ladderReport,
  missingWords,
  originWords,
  type Person,
  readPerson,
} from '@/core/ladder'
import { LADDER } from '@/core/language'
import { plainText } from '@/core/sides'
import { BadCall, GOOD } from '../badCall'
import { cardFrom, write } from '../files'

function personFrom(file: string): Person {
  let data: unknown
  try {
    data = JSON.parse(readFileSync(file, 'utf8'))
  } catch (error) {
    throw new BadCall(`${file}:1: the body cannot be read: ${(error as Error).message}`)
  }
  const { person, problem } = readPerson(data)
  if (!person) throw new BadCall(`${file}:1: ${problem}`)
  return person
}

/** Tells what each rung asks, in which order, and for whom it is open. */
export function ladder(
  file: string,
  options: { json?: boolean; body?: string; why?: boolean }
): number {
  const card = cardFrom(file)
  const person = options.body === undefined ? undefined : personFrom(options.body)
  const report = ladderReport(card, DEFAULT_SCHOOL, person)
  if (options.json) {
    write(`${JSON.stringify(report, null, 2)}\n`)
  } else {
    const lines: string[] = []
    // From the top down, as rungs are drawn.
    for (const [i, rung] of [...report.rungs.entries()].reverse()) {
      const name = plainText(card.ladder[i]!.name, { language: card.language })
      lines.push(`${i + 1} ${name}${card.ladder[i]!.beside ? ` (${LADDER.beside})` : ''}`)
      if (rung.demand)
        lines.push(
          `   ${DEMANDED.map((part) => `${LADDER.demanded[part]} ${Math.round(rung.demand![part])}`).join(', ')}; ${LADDER.inAll} ${rung.demand.total}`
        )
      if (!rung.sure) lines.push(`   ${rung.demand ? LADDER.unsure : LADDER.from.none}`)
      if (options.why) {
        const { demand } = demandsOf(card, DEFAULT_SCHOOL)[i]!
        if (demand)
          for (const part of DEMANDED)
            lines.push(
              `   ${LADDER.demanded[part]}: ${demand.parts[part].from.map(originWords).join('; ') || LADDER.origin.none}`
            )
      }
      if (person)
        lines.push(
          `   ${rung.open === null ? LADDER.person.unsure : rung.open ? LADDER.person.open : LADDER.person.closed}${[...rung.missing!.map(missingWords), ...rung.closes!.map(closesWords)].map((words) => `; ${words}`).join('')}`
        )
    }
    for (const { message } of report.findings) lines.push(message)
    write(`${lines.join('\n')}\n`)
  }
  return GOOD
}
