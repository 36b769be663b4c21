import type { Card, Found, Rule } from '../card'
import { sideWords } from './mirrorText'

/** Every wording of a card that is mirrored, with its path. */
export function sidedLines(card: Card): { where: string; text: string }[] {
  return [
    { where: 'setUp.place', text: card.setUp.place },
    { where: 'setUp.note', text: card.setUp.note },
    ...card.enter.map(({ text }, i) => ({ where: `enter[${i}].text`, text })),
    ...card.alignment.map(({ text }, i) => ({ where: `alignment[${i}].text`, text })),
    ...card.otherWay.map(({ text }, i) => ({ where: `otherWay[${i}].text`, text })),
    ...card.exit.map(({ text }, i) => ({ where: `exit[${i}].text`, text })),
    { where: 'betweenSides.text', text: card.betweenSides.text },
    ...card.mistakes.flatMap(({ seen, why, say }, i) => [
      { where: `mistakes[${i}].seen`, text: seen },
      { where: `mistakes[${i}].why`, text: why },
      { where: `mistakes[${i}].say`, text: say },
    ]),
    ...card.cautions.map(({ say }, i) => ({ where: `cautions[${i}].say`, text: say })),
    ...card.ladder.flatMap((rung, r) => [
      { where: `ladder[${r}].name`, text: rung.name },
      ...rung.steps.replace.map(({ text }, i) => ({
        where: `ladder[${r}].steps.replace[${i}].text`,
        text,
      })),
      ...rung.steps.add.map(({ step }, i) => ({
        where: `ladder[${r}].steps.add[${i}].step.text`,
        text: step.text,
      })),
    ]),
    ...card.assists.map(({ text }, i) => ({ where: `assists[${i}].text`, text })),
  ]
}

function unsureWords(card: Card): Found[] {
  if (card.sides === 'even') return []
  return sidedLines(card).flatMap(({ where, text }) =>
    sideWords(text)
      .filter((word) => word.role === 'unsure')
      .map((word) => {
        const written = text.slice(word.start, word.end)
        return {
          where,
          message: `“${written}” is left as it is on the other side, because “${word.other}” would be read as something else here. Name the limb: “the ${written} hand”.`,
        }
      })
  )
}

/** The rules about side words. */
export const sideRules: readonly Rule[] = [
  {
    id: 'sides/unsure-word',
    looksAt: 'Side words whose mirror word would not be read as a side.',
    why: 'A side word that stays the same on both sides sends the second side the wrong way.',
    source: 'common practice',
    severity: 'mend',
    check: unsureWords,
  },
]
