import fc from 'fast-check'
import { draftedFrom, type Stands } from '../../../tests/support/drafted'
import type { Side } from '../card'
import { measure } from '../figure'

/**
 * How far a line moves a body, measured on the form it is drafted as. Amounts that are told are
 * those of the line; the others are the usual ones: feet hip-width are two fists apart, a wide
 * stance is a little under one leg length, the front foot turns out 90° and the back foot in about
 * 15°, a bent knee stands over its ankle and never past the toes, hands are under shoulders and
 * knees under hips. Common practice, no source.
 */

const valued = (from: Stands, lines: readonly string[], name: string, stature?: number) => {
  const lead: Side = 'right'
  const found = measure(draftedFrom(from, lines, stature).at(-1)!.solved, name, {
    lead,
    ...(stature ? { stature } : {}),
  })
  return found && found.value
}

const WIDE = 'Step the feet wide apart.'
const OUT = 'Turn the right foot out.'

type Row = [from: Stands, lines: string[], name: string, least: number, most: number]

test.each<Row>([
  // Told in the line.
  ['standing', ['Step the feet a leg length apart.'], 'stance length', 0.95, 1.05],
  ['standing', ['Step the left foot back a leg length.'], 'stance length', 0.9, 1.05],
  ['standing', [WIDE, 'Turn the right foot out 90 degrees.'], 'right foot turn', 87, 93],
  ['standing', [WIDE, 'Turn the right foot out 45 degrees.'], 'right foot turn', 40, 50],
  ['standing', [WIDE, 'Turn the left toes in 15 degrees.'], 'left foot turn', -18, -12],
  ['standing', ['Bend the knees to 90 degrees.'], 'right knee angle', 85, 95],
  ['standing', ['Bend the knees to 90 degrees.'], 'left knee angle', 85, 95],
  ['standing', ['Bend the knees to 30 degrees.'], 'left knee angle', 26, 34],
  ['plank', ['Bend the elbows to 90 degrees.'], 'right elbow angle', 82, 95],
  ['supine', ['Lift the right leg to 90 degrees.'], 'right hip angle', 87, 93],
  ['supine', ['Lift both legs to 60 degrees.'], 'left hip angle', 57, 63],
  ['supine', ['Lift both legs to 30 degrees.'], 'left hip angle', 27, 33],
  ['supine', ['Lift both legs to 30 degrees.'], 'right hip angle', 27, 33],
  ['seated', ['Turn the ribs 30 degrees to the right.'], 'turn', -32, -28],
  ['seated', ['Turn the ribs 20 degrees to the left.'], 'turn', 18, 22],
  ['standing', ['Lift the right knee to hip height.'], 'right hip angle', 84, 96],
  // Usual.
  ['standing', ['Grow tall.'], 'stance', 22, 32],
  ['together', ['Grow tall.'], 'stance', 8, 19],
  ['standing', [WIDE], 'stance length', 0.8, 1.02],
  ['standing', ['Step the left foot back.'], 'stance length', 0.6, 1],
  ['standing', [WIDE, OUT], 'right foot turn', 80, 95],
  ['standing', [WIDE, OUT], 'left foot turn', -20, 5],
  ['standing', [WIDE, 'Turn the left toes in.'], 'left foot turn', -20, -10],
  [
    'standing',
    [WIDE, OUT, 'Bend the right knee over the ankle.'],
    'right knee over ankle',
    -10,
    10,
  ],
  ['standing', [WIDE, OUT, 'Bend the right knee over the ankle.'], 'right knee past toes', -40, 0],
  ['standing', [WIDE, OUT, 'Bend the right knee over the ankle.'], 'left knee angle', -3, 8],
  [
    'standing',
    ['Step the left foot back.', 'Bend the right knee.'],
    'right knee past toes',
    -40,
    0,
  ],
  ['standing', ['Bend the knees.'], 'right knee past toes', -40, 2],
  ['allFours', ['Grow long.'], 'right shoulder over wrist', -10, 10],
  ['allFours', ['Grow long.'], 'left hip over knee', -10, 10],
  ['allFours', ['Grow long.'], 'right knee angle', 80, 100],
  ['plank', ['Grow long.'], 'left shoulder over wrist', -6, 6],
  ['plank', ['Grow long.'], 'right elbow angle', -3, 6],
  ['plank', ['Grow long.'], 'spine arc', -6, 6],
  ['supine', ['Lift the right leg to the ceiling.'], 'right hip angle', 80, 95],
  ['supine', ['Draw the right knee to the chest.'], 'right hip angle', 105, 130],
  ['supine', ['Draw the right knee to the chest.'], 'left hip angle', -10, 10],
  ['standing', ['Lift the arms to shoulder height.'], 'arm line', 165, 180],
  ['standing', ['Fold forward from the hips.'], 'right hip angle', 80, 120],
  ['standing', ['Fold halfway.'], 'right hip angle', 30, 60],
  ['kneeling', ['Bend to the right.'], 'side arc', -60, -25],
  ['kneeling', ['Bend to the left.'], 'side arc', 25, 60],
  ['kneeling', ['Bend to the right.'], 'side bend plane', -8, 8],
  ['kneeling', ['Bend to the right.'], 'hips level', -4, 4],
])('%s: %j: %s', (from, lines, name, least, most) => {
  const value = valued(from, lines, name)!
  expect(value).toBeGreaterThanOrEqual(least)
  expect(value).toBeLessThanOrEqual(most)
})

test.each<[Stands, string[], string, boolean]>([
  ['standing', ['Fold forward from the hips.'], 'head against heart', true],
  ['bent', ['Lift the hips.'], 'head against heart', true],
  ['standing', ['Fold halfway.'], 'head against heart', false],
  ['seated', ['Turn the ribs to the right.'], 'head against heart', false],
  ['kneeling', ['Bend to the right.'], 'head against heart', false],
])('%s: %j: whether the head is below the heart', (from, lines, name, below) => {
  expect(valued(from, lines, name)! < 0).toBe(below)
})

test('what is told in lengths of a leg is as long on every body', () => {
  fc.assert(
    fc.property(fc.integer({ min: 148, max: 200 }), (stature) => {
      const apart = valued(
        'standing',
        ['Step the feet a leg length apart.'],
        'stance length',
        stature
      )!
      expect(apart).toBeCloseTo(1, 1)
      const knee = valued(
        'standing',
        [WIDE, OUT, 'Bend the right knee over the ankle.'],
        'right knee over ankle',
        stature
      )!
      expect(Math.abs(knee)).toBeLessThan(10)
    }),
    { numRuns: 12 }
  )
})

test('the same line said for the other side is as far, the other way', () => {
  const swap = (text: string) =>
    text.replace(/left|right/g, (side) => (side === 'left' ? 'right' : 'left'))
  for (const [from, lines, name] of [
    ['standing', [WIDE, OUT], 'right foot turn'],
    ['standing', [WIDE, OUT, 'Bend the right knee over the ankle.'], 'right knee angle'],
    ['supine', ['Lift the right leg to 60 degrees.'], 'right hip angle'],
    ['supine', ['Draw the right knee to the chest.'], 'left hip angle'],
    ['plank', ['Lift the right foot.'], 'right foot height'],
  ] as const) {
    const mine = valued(from, lines, name)!
    expect(valued(from, lines.map(swap), swap(name))).toBeCloseTo(mine, 0)
  }
  expect(valued('kneeling', ['Bend to the left.'], 'side arc')).toBeCloseTo(
    -valued('kneeling', ['Bend to the right.'], 'side arc')!,
    0
  )
})
