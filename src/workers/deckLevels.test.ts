import { form, ladderCard } from '../../tests/support/ladders'
import { DEFAULT_SCHOOL } from '@/core/card'
import { deckLevels, type LevelsAnswer } from './deckLevels'

test('a card that cannot be worked out is told, and the others go on', () => {
  const good = ladderCard({ two: form('standing') }, 'two')
  const broken = { ...good, id: 'broken', stay: null as never }
  const told: LevelsAnswer[] = []
  deckLevels(
    { cards: [good, broken, good].map((card) => ({ card })), school: DEFAULT_SCHOOL },
    (answer) => told.push(answer)
  )
  const last = told.at(-1)!
  expect('finished' in last && [last.cards.length, last.failed]).toEqual([2, ['broken']])
})
