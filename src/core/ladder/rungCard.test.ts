import { demoCard, demoCards } from '../../../tests/support/cards'
import { form, ladderCard, squats } from '../../../tests/support/ladders'
import { timeOf } from '../breath'
import { atRung, cardRules, DEFAULT_SCHOOL, runRules, titleOf } from '../card'
import { checkCard } from '../check'
import { finalFigure, sameFigure } from '../figure'
import { readCard, writeMarkdown } from '../formats'
import { sheetOf } from '../print'
import { findingsOnRung, rungCard, rungForm } from '.'

test('a rung is a card of its own: its steps, time and form, under both names', () => {
  for (const card of demoCards())
    for (const rung of card.ladder) {
      const alone = rungCard(card, rung.id)
      expect(alone.enter.map(({ text }) => text)).toEqual(
        atRung(card, rung.id).enter.map(({ text }) => text)
      )
      expect(timeOf(alone, DEFAULT_SCHOOL)).toEqual(timeOf(card, DEFAULT_SCHOOL, rung.id))
      expect(sameFigure(finalFigure(alone)!.figure, rungForm(card, rung.id).figure)).toBe(true)
      expect(alone.ladder).toHaveLength(1)
      if (!rung.reference) expect(titleOf(alone)).toBe(`${titleOf(card)}: ${rung.name}`)
      // It is a card like any other: no link leads nowhere, and it goes to a file and back.
      expect(
        runRules(cardRules, alone, DEFAULT_SCHOOL, false).map(({ message }) => message)
      ).toEqual([])
      expect(readCard(writeMarkdown(alone))).toEqual(alone)
    }
})

test('a rung whose form is not known has no figure at all', () => {
  const card = ladderCard(
    { two: form('standing'), chair: form('chair') },
    'two',
    {},
    {
      chair: { figure: undefined, props: ['chair'] },
    }
  )
  expect(finalFigure(rungCard(card, 'chair'))).toBeNull()
  expect(() => rungCard(card, 'none')).toThrow(RangeError)
})

test('what is wrong on a rung alone is told of it, and nothing that the card has anyway', () => {
  const card = demoCard('tree')
  const bare = {
    ...card,
    ladder: card.ladder.map((rung) =>
      rung.id === 'thigh' ? { ...rung, steps: { ...rung.steps, add: [] } } : rung
    ),
  }
  const told = findingsOnRung(bare, 'thigh', (done) => checkCard(done))
  expect(told.map(({ rule }) => rule)).toContain('sense/taken-back')
  expect(findingsOnRung(card, 'thigh', (done) => checkCard(done))).toEqual([])
  expect(findingsOnRung(card, 'shin', (done) => checkCard(done))).toEqual([])
})

test('a mistake whose cue a rung leaves out is no slip of that rung', () => {
  const card = demoCard('bridge')
  const leaves = card.ladder.filter(({ cues }) => cues?.omit.length)
  expect(leaves.map(({ id }) => id)).toContain('leg')
  for (const { id } of leaves)
    expect(findingsOnRung(card, id, (done) => checkCard(done))).toEqual([])
  // One that breaks no cue of the card at all is still told of the card, and of no rung.
  const dead = {
    ...card,
    mistakes: card.mistakes.map((each) => ({ ...each, cue: 'gone' })),
  }
  expect(checkCard(dead).map(({ rule }) => rule)).toContain('card/links-lead-somewhere')
  expect(findingsOnRung(dead, 'leg', (done) => checkCard(done))).toEqual([])
})

test('a prop that a step of a rung names and the rung does not list is told, though a note names it too', () => {
  const card = demoCard('childs-rest')
  expect(card.setUp.note).toContain('bolster')
  const slipped = {
    ...card,
    ladder: card.ladder.map((rung) =>
      rung.id === 'table'
        ? {
            ...rung,
            steps: {
              ...rung.steps,
              replace: rung.steps.replace.map((each) =>
                each.step === 's2' ? { ...each, text: 'Rest arms and head on the bolster.' } : each
              ),
            },
          }
        : rung
    ),
  }
  const told = findingsOnRung(slipped, 'table', (done) => checkCard(done))
  const named = told.filter(({ rule }) => rule === 'sense/props-named')
  expect(named.map(({ where, message }) => [where, /bolster/.test(message)])).toEqual([
    ['enter[1].text', true],
  ])
})

test('of the rungs of the demo only what their own steps bring about is told', () => {
  const told = demoCards().flatMap((card) =>
    card.ladder.flatMap(({ id }) =>
      findingsOnRung(card, id, (done) => checkCard(done)).map(({ rule }) => [card.id, id, rule])
    )
  )
  // A step that the rung leaves out parted two ins, or had lifted what is lowered later.
  expect(told).toEqual([
    ['crescent-lunge', 'thigh', 'breath/in-and-out-take-turns'],
    ['crescent-lunge', 'knee', 'breath/in-and-out-take-turns'],
    ['reclined-leg-stretch', 'bent', 'breath/in-and-out-take-turns'],
    ['reclined-leg-stretch', 'side', 'sense/already-there'],
  ])
})

test('the sheet of a card shows what each sure rung asks, and no number for one that is not', () => {
  const rungs = (card: Parameters<typeof sheetOf>[0]) =>
    sheetOf(card, DEFAULT_SCHOOL)
      .parts.flatMap(({ blocks }) => blocks)
      .flatMap((block) => (block.kind === 'rungs' ? block.items : []))
  const drawn = rungs(ladderCard(squats(), 'half'))
  expect(drawn.map(({ bars }) => bars?.map(({ label }) => label))).toEqual(
    Array.from({ length: 3 }, () => [
      'range',
      'strength',
      'balance',
      'hands',
      'head and neck',
      'time',
    ])
  )
  const undrawn = rungs(
    ladderCard(squats(), 'half', {}, { high: { figure: undefined, props: ['chair'] } })
  )
  expect(undrawn.map(({ id, bars }) => [id, bars !== undefined])).toEqual([
    ['deep', true],
    ['half', true],
    ['high', false],
  ])
})
