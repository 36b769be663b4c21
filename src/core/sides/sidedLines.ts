import type { Card } from '../card'
import type { LineContext } from './lexicon'

export interface SidedLine {
  where: string
  text: string
  place: LineContext['place']
  /** Of a caution. */
  condition?: string
}

/** Every wording of a card that is mirrored, with its path. */
export function sidedLines(card: Card): SidedLine[] {
  const lines: SidedLine[] = []
  const add = (
    where: string,
    text: string,
    place: LineContext['place'] = 'other',
    condition?: string
  ) => {
    if (text) lines.push({ where, text, place, ...(condition === undefined ? {} : { condition }) })
  }
  add('setUp.place', card.setUp.place)
  add('setUp.note', card.setUp.note)
  card.enter.forEach(({ text }, i) => add(`enter[${i}].text`, text, 'enter'))
  card.otherWay.forEach(({ text }, i) => add(`otherWay[${i}].text`, text, 'enter'))
  card.alignment.forEach(({ text }, i) => add(`alignment[${i}].text`, text))
  card.exit.forEach(({ text }, i) => add(`exit[${i}].text`, text, 'exit'))
  add('betweenSides.text', card.betweenSides.text, 'between')
  card.mistakes.forEach(({ seen, why, say }, i) => {
    add(`mistakes[${i}].seen`, seen)
    add(`mistakes[${i}].why`, why)
    add(`mistakes[${i}].say`, say)
  })
  card.cautions.forEach(({ say, condition }, i) =>
    add(`cautions[${i}].say`, say, 'caution', condition)
  )
  card.ladder.forEach((rung, r) => {
    add(`ladder[${r}].name`, rung.name)
    rung.steps.replace.forEach(({ text }, i) => add(`ladder[${r}].steps.replace[${i}].text`, text))
    rung.steps.add.forEach(({ step }, i) =>
      add(`ladder[${r}].steps.add[${i}].step.text`, step.text)
    )
    rung.upWhen.forEach((text, i) => add(`ladder[${r}].upWhen[${i}]`, text))
    rung.downWhen.forEach((text, i) => add(`ladder[${r}].downWhen[${i}]`, text))
  })
  card.assists.forEach(({ text }, i) => add(`assists[${i}].text`, text))
  return lines
}
