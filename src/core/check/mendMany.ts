import { applyPatches, type Card, type Finding, type School, valueAt } from '../card'
import { checkCard } from './checkCard'

/** Names a finding among those of its card. */
export const findingKey = ({ rule, where, message }: Finding): string =>
  `${rule}\n${where}\n${message}`

/** No card needs more mends of one kind than it has lines. */
const MOST_MENDS = 500

/**
 * Takes the offered mends of many findings of one card, one after the other: each is looked for
 * anew on the card as it is by then.
 * @param wanted which of the findings that offer a mend are taken
 * @param ofDeck findings that only show beside other cards: they are mended first, as they are
 */
export function mendMany(
  card: Card,
  school: School,
  wanted: (finding: Finding) => boolean,
  ofDeck: readonly Finding[] = []
): { card: Card; mended: Finding[] } {
  const mended = ofDeck.filter((finding) => finding.fix && wanted(finding))
  let now = mended.reduce((done, { fix }) => applyPatches(done, fix!.patches), card)
  while (mended.length < MOST_MENDS) {
    const next = checkCard(now, school).find((finding) => finding.fix && wanted(finding))
    if (!next) break
    const after = applyPatches(now, next.fix!.patches)
    // A mend that leaves its finding as it was would go on for ever.
    if (checkCard(after, school).some((finding) => findingKey(finding) === findingKey(next))) break
    mended.push(next)
    now = after
  }
  return { card: now, mended }
}

function wordsOf(value: unknown): string {
  if (value === undefined || value === null) return ''
  if (typeof value === 'string') return value
  if (typeof value === 'object' && 'text' in value) return String(value.text)
  return JSON.stringify(value)
}

/** What a mend would change, in words: before and after, place by place. */
export function mendPreview(
  card: Card,
  finding: Finding
): { where: string; before: string; after: string }[] {
  return (finding.fix?.patches ?? []).map((patch) => ({
    where: patch.path,
    before: wordsOf(valueAt(card, patch.path)),
    after: 'remove' in patch ? '' : wordsOf(patch.value),
  }))
}
