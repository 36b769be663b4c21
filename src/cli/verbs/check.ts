import { type Card, DEFAULT_SCHOOL, type Finding, pathKeys, titleOf } from '@/core/card'
import { checkCard, checkDeck } from '@/core/check'
import { FINDINGS, GOOD, out } from '../badCall'
import { cardsFrom, textOf } from '../files'
import { onRung } from '../onRung'

/** Line of a finding in its file: the first line that holds its words, or those beside it. */
function lineOf(text: string, card: Card, where: string): number {
  let value: unknown = card
  let words = ''
  for (const key of pathKeys(where)) {
    value = (value as Record<string, unknown> | undefined)?.[key]
    const near = (value as { text?: unknown } | undefined)?.text
    if (typeof near === 'string') words = near
  }
  const own = typeof value === 'string' && value.includes(' ') ? value : words
  const line = own ? text.split('\n').findIndex((each) => each.includes(own.slice(0, 40))) : -1
  return line + 1 || 1
}

/** Tells what is to be mended on cards. */
export async function check(
  files: string[],
  options: { json?: boolean; review?: boolean; rung?: string }
): Promise<number> {
  const all: (Finding & { file: string })[] = []
  const cards = cardsFrom(files)
  const beside = options.rung === undefined ? checkDeck(cards.map(({ card }) => card)) : null
  for (const { file, card } of cards) {
    const own = checkCard(await onRung(file, card, options.rung), DEFAULT_SCHOOL, options.review)
    // Some files are not the whole deck: a card that is named may well be in it.
    const found = beside?.get(card.id) ?? []
    const findings = [...own, ...found.filter(({ rule }) => rule !== 'cautions/instead-open')]
    all.push(...findings.map((finding) => ({ ...finding, file })))
    if (options.json) continue
    const text = textOf(file)
    for (const { severity, where, message, rule } of findings)
      out(`${file}:${lineOf(text, card, where)}: ${severity}: ${message} (${where}, ${rule})\n`)
    if (findings.length === 0) out(`${file}: nothing to mend on “${titleOf(card)}”\n`)
  }
  if (options.json)
    out(
      `${JSON.stringify(files.length > 1 ? all : all.map(({ file: _file, ...finding }) => finding), null, 2)}\n`
    )
  return all.some((finding) => finding.severity === 'stop') ? FINDINGS : GOOD
}
