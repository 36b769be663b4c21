import { mirrorText } from '../../../../tests/support/english'
import { packOf } from '..'

/** What lines say about the two sides of a body; every line written by hand, read as a teacher would. */

const { claims, pairs, limbs, leadHints, namedRole } = packOf('en')!.sides
const POSE = { base: 'standing', spine: 'side' } as const

type Place = Parameters<typeof claims>[1]['place']
const told = (line: string, place: Place = 'enter') =>
  claims(line, { place }).map(({ role, side, limb }) =>
    [role, side, limb].filter(Boolean).join(' ')
  )

const other = (words: string) =>
  words.replace(/left|right/g, (side) => (side === 'left' ? 'right' : 'left'))

/** A line, what it claims on the way in, and on the way out where that differs. */
const CLAIMS: [line: string, enter: string, exit?: string][] = [
  ['Step the right foot forward between the hands.', 'front right', 'back right'],
  ['Step the right foot back.', 'back right', ''],
  ['Slide the left leg straight back.', 'back left, straight left', 'straight left'],
  ['The right front knee stacks over the ankle.', 'front right'],
  ['Back left heel reaches.', 'back left'],
  ['Right shin in front.', 'front right', ''],
  ['Press the left hip forward.', 'hip-forward left'],
  ['Draw the right hip crease straight back.', 'hip-back right'],
  ['Bend the right knee.', 'bent right', ''],
  ['Straighten the left leg.', 'straight left', 'bent left'],
  ['Left leg stays long.', 'straight left'],
  ['Right knee over the ankle.', 'bent right'],
  ['Right kneecap at the ceiling.', 'straight right'],
  ['Stretch the left leg out.', 'straight left, out left', 'bent left'],
  ['Step the left foot to the side.', 'out left', ''],
  ['Lift the right foot.', 'lifted right', ''],
  ['Place the left sole on the inner right thigh.', 'lifted left', ''],
  ['Hug the right knee into the chest.', 'bent right, lifted right', ''],
  ['Stand on the left leg.', 'standing left'],
  ['Shift the weight onto the right foot.', 'standing right'],
  ['Set the left knee down.', 'kneeling left, moves left knee', 'moves left knee'],
  ['Press the whole left foot.', 'sole left'],
  ['Lift the left arm up to the ceiling.', 'up left, moves left arm'],
  ['Look up past the right thumb.', 'up right'],
  ['Right hand down on the shin.', 'low right'],
  ['Thread the left arm under the thigh.', 'low left, moves left arm'],
  ['Right hand behind the back.', 'behind right'],
  ['Left elbow outside the right knee.', 'across left'],
  ['Hug the knee with the left arm.', 'across left'],
  ['Turn the chest to the right.', 'turn right', ''],
  ['Twist left from the waist.', 'turn left', ''],
  ['Bend to the left.', 'bend left', ''],
  ['Lean right, the left side long.', 'bend right', ''],
  ['Fan the left ribs open.', 'open-ribs left'],
  ['Lie on the right side.', 'lies right', ''],
  ['Swing the left arm round.', 'moves left arm'],
  ['Loop the strap round the right foot.', 'lifted right'],
  ['Pad the right knee.', 'kneeling right'],
  ['Right shoulder away from the ear.', 'up right'],
  // What is pressed down on the way out may be the foot that was up.
  [
    'Press the right foot down.',
    'standing right, sole right',
    'lifted right, standing right, sole right',
  ],
  // Nothing is said about which limb does what.
  ['Rest the head to the right.', ''],
  ['Let the breath come to the left.', ''],
  ['Both knees bend.', ''],
  ['Right away, lift.', ''],
  ['The right foot is heavy.', ''],
  ['Nothing is left to lift.', ''],
]
const words = (list: string[]) => list.join(', ')

test.each(CLAIMS)('“%s” says: %s', (line, enter, exit = enter) => {
  expect(words(told(line))).toBe(enter)
  expect(words(told(line, 'exit'))).toBe(exit)
})

test.each(CLAIMS.filter(([, enter]) => enter))(
  '“%s” says the mirrored thing of the other side',
  (line, enter) => {
    expect(words(told(mirrorText(line)))).toBe(other(enter))
  }
)

test('a side that is fixed claims nothing', () => {
  for (const [line] of CLAIMS) expect(told(line.replace(/\b(left|right)\b/gi, '{$1}'))).toEqual([])
})

describe('two limbs of one line', () => {
  test.each([
    ['Left knee over the left ankle.', 'same'],
    ['Left knee over the right ankle.', 'same'],
    ['Stack the left hip over the right knee.', 'same'],
    ['Right shoulder over right wrist.', 'same'],
    ['Left hand on the left elbow.', 'differ'],
    ['Cross the left ankle over the left knee.', 'differ'],
    ['Place the left foot on the left thigh.', 'differ'],
  ])('%s must be of the %s side', (line, must) => {
    expect(pairs(line, POSE).map((pair) => pair.must)).toEqual([must])
    expect(pairs(mirrorText(line), POSE).map((pair) => pair.must)).toEqual([must])
  })

  test.each([
    'Right elbow on the right thigh.',
    'Hold the right foot with the right hand.',
    'Left wrist in the left hand.',
    'Right ear to the right shoulder.',
    'Left hand, left foot.',
    'Knee over the left ankle.',
  ])('%s can be of either', (line) => {
    expect(pairs(line, POSE)).toEqual([])
  })
})

test.each([
  ['Left knee, right toe.', 'left knee, right toe'],
  ['Front knee of the left leg.', 'left leg'],
  ['The right outer ankle rolls.', 'right ankle'],
  ['Left kneecaps up.', 'left knee'],
  ['Left big toes wide.', 'left toe'],
  ['L hand on the block.', 'left hand'],
  ['The {left} knee stays.', ''],
  ['Turn left.', ''],
  ['The right side.', ''],
  ['Right angle at the knee.', ''],
])('“%s” names: %s', (line, named) => {
  expect(
    limbs(line)
      .map(({ word, limb }) => `${word.side} ${limb}`)
      .join(', ')
  ).toBe(named)
})

describe('the side that leads, by what a pose is named by', () => {
  test.each([
    ['front leg', 'Step the right foot forward.', 'right'],
    ['front leg', 'Step the left foot back.', 'right'],
    ['front leg', 'Bend the right knee.', 'right'],
    ['front leg', 'Lower the left knee to the mat.', 'right'],
    ['front leg', 'Left back heel lifts.', 'right'],
    ['standing leg', 'Stand on the left leg.', 'left'],
    ['standing leg', 'Lift the right knee.', 'left'],
    ['lifted leg', 'Lift the right knee.', 'right'],
    ['bent knee', 'Bend the left knee.', 'left'],
    ['bent knee', 'Straighten the right leg.', 'left'],
    ['side bent towards', 'Lean to the left.', 'left'],
    ['side bent towards', 'Left hand down to the shin.', 'left'],
    ['direction turned', 'Turn to the right.', 'right'],
    ['direction turned', 'Left hand behind the back.', 'left'],
    ['direction turned', 'Right elbow outside the left knee.', 'left'],
  ])('%s: “%s” leads the %s', (named, line, side) => {
    expect(leadHints(line, named).map(({ leads }) => leads)).toEqual([side])
    expect(leadHints(mirrorText(line), named).map(({ leads }) => leads)).toEqual([other(side)])
  })

  test.each([
    ['colour', 'Turn to the right.'],
    ['front leg', 'Turn to the right.'],
    ['direction turned', 'Bend the right knee.'],
  ])('%s: “%s” tells nothing', (named, line) => {
    expect(leadHints(line, named)).toEqual([])
  })

  test.each([
    ['front leg', 'front'],
    ['the leading foot', 'front'],
    ['standing leg', 'standing'],
    ['raised leg', 'lifted'],
    ['bent knee', 'bent'],
    ['folded leg', 'bent'],
    ['side bent towards', 'bend'],
    ['direction turned', 'turn'],
    ['straight leg', 'straight'],
    ['kneeling knee', 'kneeling'],
    ['colour', null],
    ['', null],
  ])('“%s” is the role %s', (named, role) => {
    expect(namedRole(named)).toBe(role)
  })
})
