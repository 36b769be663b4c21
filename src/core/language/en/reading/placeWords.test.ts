import { readerOf, SAY_CAUTIONS } from '../..'

/** What an English line says of props, limbs and their articles, understood or not. */

const { anySide, hops, namesProp, props, sameThing, several, speaksOf, withSide } = readerOf('en')!

test.each([
  ['Loop the strap round the foot.', 'long strap', true],
  ['Loop the straps round the feet.', 'strap', true],
  ['Sit on two blocks.', 'block', true],
  ['Sit on the Block.', 'block', true],
  ['Rest on a brick.', '2 bricks', false],
  ['Strapped in, rest.', 'strap', false],
  ['Place the chair, a firm one.', 'firm chair', true],
  ['Blocking the breath is no help.', 'block', false],
])('“%s” names “%s”: %s', (text, prop, named) => {
  expect(namesProp(text, prop)).toBe(named)
})

test.each([
  ['2 blocks', 'block', true],
  ['two bricks', 'block', true],
  ['blocks', 'block', true],
  ['block', 'block', false],
  ['a block', 'block', false],
  ['12 cm block', 'block', false],
  ['bricks', 'block', true],
  ['Two straps', 'strap', true],
  ['a pair of cushions', 'bolster', true],
  ['2 x block', 'block', true],
  ['cushion', 'bolster', false],
  ['a pad of 2 cm', 'blanket', false],
  ['2.5 cm pad', 'blanket', false],
  ['2-inch pad', 'blanket', false],
  ['one belt', 'strap', false],
] as const)('“%s” is more than one %s: %s', (prop, thing, many) => {
  expect(several(prop, thing)).toBe(many)
})

test.each([
  ['lift the knee', 'knee', 'lift the left knee'],
  ['lift your right knee', 'knee', null],
  ['Press the heel of the hand', 'heel', 'Press the left heel of the hand'],
  ['bend a knee', 'knee', null],
  ['knee', 'knee', null],
  ['turn the big toe out', 'big toe', 'turn the left big toe out'],
  ['soften the kneecap', 'knee', null],
])('“%s” with a side for “%s” is “%s”', (words, part, told) => {
  expect(withSide(words, part, 'left')).toBe(told)
})

test('one and many of a thing are the same thing', () => {
  for (const [one, other] of ['feet foot', 'knees knee', 'hip hips', 'toes toe', 'heel heel'].map(
    (pair) => pair.split(' ')
  ))
    expect([one, other, sameThing(one!, other!)]).toEqual([one, other, true])
  for (const [one, other] of ['foot toes', 'heel heels-up', 'hand hands-free'].map((pair) =>
    pair.split(' ')
  ))
    expect([one, other, sameThing(one!, other!)]).toEqual([one, other, false])
})

test('a body that hops as a line begins is told from one that hopes', () => {
  for (const line of [
    'Hop the feet forward.',
    'Jump back.',
    'Lightly jump the feet apart.',
    'Softly hop to the hands.',
    'Spring the feet in.',
    'leap forward',
    'Jumping back, land softly.',
    'Hopping on the left foot, turn.',
  ])
    expect([line, hops(line)]).toEqual([line, true])
  for (const line of [
    'Hope for the best.',
    'Step back; do not jump.',
    'Jumper off.',
    'Lift the foot.',
    '',
  ])
    expect([line, hops(line)]).toEqual([line, false])
})

test.each([
  [
    'arm',
    ['Lower the arms.', 'Hands to the hips.'],
    ['Harm nobody.', 'Bend the elbow.', 'Handle it.'],
  ],
  ['armOrElbow', ['Bend the elbow.', 'One arm down.'], ['Knees down.']],
  ['foot', ['Feet together.', 'Curl the toes.'], ['Footing matters.', 'Bend the knee.']],
  ['leg', ['Both legs long.', 'Knee in.', 'A foot back.'], ['Elegant.', 'Toes in.']],
  ['turning', ['Turn round.', 'Feet in.'], ['Return.', 'Footwork.']],
] as const)('%s is spoken of, or not', (what, told, silent) => {
  for (const line of told) expect([line, speaksOf[what].test(line)]).toEqual([line, true])
  for (const line of silent) expect([line, speaksOf[what].test(line)]).toEqual([line, false])
})

test('either side is meant by a knee, each foot, any hand; not by the knee', () => {
  for (const line of ['bend a knee', 'each foot', 'Any hand', 'either arm', 'every toe', 'one leg'])
    expect([line, anySide.test(line)]).toEqual([line, true])
  for (const line of ['bend the knee', 'your foot', 'alone', 'eachfoot'])
    expect([line, anySide.test(line)]).toEqual([line, false])
})

test('props are told by what they are, whatever else is said of them', () => {
  expect(props('Slide the block under, fold the blanket.')).toEqual(['block', 'blanket'])
  expect(props('Nothing but the floor.')).toEqual([])
})

test.each([
  ['2 blocks', 2, 'blocks'],
  ['Two Blocks', 2, 'blocks'],
  ['a strap', 1, 'strap'],
  ['an eye pillow', 1, 'eye pillow'],
  ['four chairs', 4, 'chairs'],
  ['blanket', 1, 'blanket'],
  ['0 blocks', 1, 'blocks'],
  ['  3 long straps ', 3, 'long straps'],
])('of “%s” one person takes %i “%s”', (prop, count, name) => {
  expect(SAY_CAUTIONS.countOf(prop)).toEqual({ count, name })
})

test('a wall and a mat are there already; what sounds like them is not', () => {
  for (const prop of ['wall', 'the wall', 'Mat', 'sticky mat'])
    expect([prop, SAY_CAUTIONS.shared.test(prop)]).toEqual([prop, true])
  for (const prop of ['wallet', 'mattress', 'block'])
    expect([prop, SAY_CAUTIONS.shared.test(prop)]).toEqual([prop, false])
})
