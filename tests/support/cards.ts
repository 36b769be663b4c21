import { readdirSync, readFileSync } from 'node:fs'
import { blankCard, type Breath, type Card, type Cue } from '@/core/card'
import { readCard } from '@/core/formats'
import { remember } from '@/core/language'

const frozen = <T>(value: T): T => {
  if (typeof value === 'object' && value !== null)
    Object.values(Object.freeze(value)).forEach(frozen)
  return value
}

/** The file of a card of the demo deck. */
export const demoText = (id: string): string => readFileSync(`demo/${id}.md`, 'utf8')

/** A card of the demo deck, read once and the same for all tests: none of them can change it. */
export const demoCard = remember((id): Card => frozen(readCard(demoText(id))))
export const demoCards = (): Card[] =>
  readdirSync('demo').map((name) => demoCard(name.replace('.md', '')))

/** Cards of the demo deck that are unfinished, and faulty, on purpose. */
export const UNFINISHED = ['crescent-lunge', 'side-lying-twist', 'sphinx', 'thread-the-needle']
export const finishedCards = (): Card[] =>
  demoCards().filter((card) => !UNFINISHED.includes(card.id))

type Line = [breath: Breath, text: string, more?: Partial<Card['enter'][number]>]
export const stepsOf = (lines: Line[], prefix = 's'): Card['enter'] =>
  lines.map(([breath, text, more], i) => ({ id: `${prefix}${i + 1}`, breath, text, ...more }))

export const cueOf = (text: string, more: Partial<Cue> = {}): Cue => ({
  id: 'a1',
  region: 'feet',
  text,
  on: 'both',
  ...more,
})

/** A short sided card whose side is named by the front leg, with nothing wrong with it. */
export function lunge(more: Partial<Card> = {}): Card {
  return {
    ...blankCard({
      name: 'Lunge',
      base: 'standing',
      spine: 'back',
      manner: 'held',
      sides: 'sided',
    }),
    sideNamedBy: 'front leg',
    enter: stepsOf([
      ['in', 'Grow tall.'],
      ['out', 'Step the left foot back.'],
      ['in', 'Lift the chest.'],
      ['out', 'Bend the right knee over the ankle.'],
    ]),
    exit: stepsOf([['in', 'Step the feet together.']], 'x'),
    stay: { breaths: 5, repeats: 1 },
    ...more,
  }
}
