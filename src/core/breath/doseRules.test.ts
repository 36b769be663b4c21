import { readdirSync } from 'node:fs'
import fc from 'fast-check'
import { demoCard, demoCards, lunge, stepsOf } from '../../../tests/support/cards'
import { type Card, DEFAULT_SCHOOL } from '../card'
import { doseRules } from './doseRules'

/**
 * How much a card asks, against what is practised: held 5 to 10 breaths, therapeutic 8 to 10,
 * moving 5 to 10 repeats, kneeling seat 5 to 10 min, shoulder stand 1 to 3 min, supported folds 2
 * to 5 min, final rest 2 to 5 min or longer. Common practice, no source.
 */

const [rule] = doseRules
const told = (card: Card) => rule!.check(card, DEFAULT_SCHOOL)
const at = (card: Card) => told(card).map(({ where }) => where)
const stay = (of: Partial<Card['stay']>, more: Partial<Card> = {}) =>
  lunge({ stay: { repeats: 1, ...of }, ...more })

describe('doses', () => {
  test.each([
    ['a general class', stay({ breaths: 5 })],
    ['a therapeutic one', stay({ breaths: 8, breathsMost: 10 })],
    ['a classical back bend', stay({ seconds: [10, 20], repeats: 3 })],
    ['three stages', stay({ seconds: [10, 15], repeats: 5 })],
    [
      'a long kneeling seat',
      stay({ seconds: [300, 600] }, { base: 'kneeling', spine: 'lengthen' }),
    ],
    ['a shoulder stand', stay({ seconds: [60, 180] }, { base: 'inverted' })],
    ['a supported fold', stay({ seconds: [120, 300] }, { manner: 'restorative', base: 'seated' })],
    ['a final rest', stay({ seconds: [300, 900] }, { manner: 'restorative', base: 'supine' })],
    ['a movement', stay({ repeats: 8, repeatsMost: 10 }, { manner: 'moving' })],
    ['nothing written yet', stay({})],
    ['a restorative card with no stay yet', stay({}, { manner: 'restorative' })],
    ['a slow breath', stay({ breaths: 10, pace: { in: 8, out: 8 } })],
    ['two breaths between', lunge({ betweenSides: { breaths: 2, text: '' } })],
    ['a free step of a minute', lunge({ enter: stepsOf([['free', 'Rest.', { seconds: 60 }]]) })],
  ])('%s is usual', (_, card) => {
    expect(told(card)).toEqual([])
  })

  test.each([
    ['a nought too many', stay({ breaths: 50 }), 'stay', '6 min 40 s'],
    ['minutes for seconds', stay({ seconds: [900, 1200] }), 'stay', '17 min 30 s'],
    [
      'an hour on the knees',
      stay({ seconds: [3600, 3600] }, { base: 'kneeling' }),
      'stay',
      '60 min',
    ],
    [
      'seconds for minutes',
      stay({ seconds: [2, 5] }, { manner: 'restorative' }),
      'stay',
      'for minutes',
    ],
    [
      'a side bend on the knees',
      stay({ breaths: 60 }, { base: 'kneeling', spine: 'side' }),
      'stay',
      '8 min',
    ],
    ['a hundred rounds', stay({ repeats: 100 }, { manner: 'moving' }), 'stay', '100 times'],
    ['a hold done twelve times', stay({ breaths: 1, repeats: 12 }), 'stay', '12 times'],
    [
      'one breath of half a minute',
      lunge({ enter: stepsOf([['in', 'Lift.', { seconds: 30 }]]) }),
      'enter[0].seconds',
      '30 s',
    ],
    [
      'a held breath of half a minute',
      lunge({ exit: stepsOf([['hold-in', 'Stay.', { seconds: 30 }]], 'x') }),
      'exit[0].seconds',
      '30 s',
    ],
    [
      'a step done fifty times',
      lunge({ enter: stepsOf([['in', 'Lift.', { repeat: 50 }]]) }),
      'enter[0].repeat',
      '50 times',
    ],
    [
      'twenty breaths between',
      lunge({ betweenSides: { breaths: 20, text: '' } }),
      'betweenSides.breaths',
      '20 breaths',
    ],
  ])('%s is told', (_, card, where, words) => {
    expect(at(card)).toEqual([where])
    expect(told(card)[0]!.message).toContain(words)
  })

  test('the stay of a rung is judged as well, at its own pace', () => {
    const card = demoCard('long-side-angle')
    const at0 = { ...card.ladder[0]!, stay: { breaths: 12, repeats: 1, pace: { in: 20, out: 20 } } }
    expect(at({ ...card, ladder: [at0, ...card.ladder.slice(1)] })).toEqual(['ladder[0].stay'])
  })

  test('every card of the demo asks for what is usual', () => {
    expect(demoCards().length).toBe(readdirSync('demo').length)
    for (const card of demoCards()) expect([card.id, told(card)]).toEqual([card.id, []])
  })

  test('more breaths are never less told', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(['standing', 'kneeling', 'inverted', 'supine'] as const)),
        fc.integer({ min: 1, max: 200 }),
        fc.integer({ min: 1, max: 50 }),
        (base, breaths, more) => {
          if (told(stay({ breaths }, { base })).length > 0)
            expect(told(stay({ breaths: breaths + more }, { base }))).not.toEqual([])
        }
      )
    )
  })
})
