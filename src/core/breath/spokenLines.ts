import type { Breath, Card } from '../card'

/** A line that is said with a breath: a step of the card, or one of a rung. */
export interface SpokenLine {
  /** Path of the words. */
  where: string
  /** Path of the breath. */
  breathAt: string
  text: string
  breath: Breath
  /** Seconds that the step gives itself. */
  given?: number
  repeat: number
}

/** Every line of a card that is said with a breath, those of the rungs included. */
export function spokenLines(card: Card): SpokenLine[] {
  const lines: SpokenLine[] = []
  const of = (id: string) =>
    [...card.enter, ...card.otherWay, ...card.exit].find((step) => step.id === id)
  for (const list of ['enter', 'otherWay', 'exit'] as const)
    card[list].forEach(({ text, breath, seconds, repeat = 1 }, i) =>
      lines.push({
        where: `${list}[${i}].text`,
        breathAt: `${list}[${i}].breath`,
        text,
        breath,
        given: seconds,
        repeat,
      })
    )
  card.ladder.forEach(({ steps }, r) => {
    steps.replace.forEach(({ step, text, breath, seconds }, i) => {
      const instead = of(step)
      const at = `ladder[${r}].steps.replace[${i}]`
      lines.push({
        where: `${at}.text`,
        breathAt: `${at}.breath`,
        text,
        breath: breath ?? instead?.breath ?? 'free',
        given: seconds ?? instead?.seconds,
        repeat: instead?.repeat ?? 1,
      })
    })
    steps.add.forEach(({ step }, i) => {
      const at = `ladder[${r}].steps.add[${i}].step`
      lines.push({
        where: `${at}.text`,
        breathAt: `${at}.breath`,
        text: step.text,
        breath: step.breath,
        given: step.seconds,
        repeat: step.repeat ?? 1,
      })
    })
  })
  return lines
}
