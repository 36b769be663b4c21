import fc from 'fast-check'
import {
  mirrorText,
  plainText,
  sideWords,
  stretches,
  toggleFixed,
} from '../../../tests/support/english'

/** Lines and what they become; the right-hand column was written by hand. */
const SWAPPED: [string, string][] = [
  ['Step the left foot back.', 'Step the right foot back.'],
  ['LEFT foot, Right Hand, rIGHT heel', 'RIGHT foot, Left Hand, lEFT heel'],
  ['Turn clockwise. Then counterclockwise!', 'Turn counterclockwise. Then clockwise!'],
  ['CLOCKWISE', 'COUNTERCLOCKWISE'],
  ['Anti-clockwise circles', 'Clockwise circles'],
  ['Sweep from left to right.', 'Sweep from right to left.'],
  ['Right-hand side, left-side rib', 'Left-hand side, right-side rib'],
  ['rightward, leftwards, leftmost', 'leftward, rightwards, rightmost'],
  ['a left-handed bind, righthand first', 'a right-handed bind, lefthand first'],
  ['L hand to R foot (L/R).', 'R hand to L foot (R/L).'],
  ['R. knee bends; l. hand rests. (r)', 'L. knee bends; r. hand rests. (l)'],
  ['LH on the block, RF forward, Lt heel', 'RH on the block, LF forward, Rt heel'],
  [
    'Knee right above the ankle, left shin vertical.',
    'Knee right above the ankle, right shin vertical.',
  ],
  ['Cross right over left.', 'Cross left over right.'],
  ['Cross the right over the left.', 'Cross the left over the right.'],
  ['Stack the left knee right over the ankle.', 'Stack the right knee right over the ankle.'],
  ['Look right as you breathe out.', 'Look left as you breathe out.'],
  ['Turn left now.', 'Turn right now.'],
  ['Right away, lift the left arm.', 'Right away, lift the right arm.'],
  ['Lift right, lower left.', 'Lift left, lower right.'],
  ['Left knee in, right out.', 'Right knee in, left out.'],
  ['Interlace the fingers, right thumb on top.', 'Interlace the fingers, left thumb on top.'],
  ['Right-angled left elbow', 'Right-angled right elbow'],
  ['That’s right: lift the right rib.', 'That’s right: lift the left rib.'],
  [
    'The heel has left the floor; press the right heel.',
    'The heel has left the floor; press the left heel.',
  ],
  ['Hold five breaths left, five breaths right.', 'Hold five breaths right, five breaths left.'],
  ['Bring the right forward and the left back.', 'Bring the left forward and the right back.'],
  ['Lie on your left.', 'Lie on your right.'],
  ['Twist right, then left', 'Twist left, then right'],
  ['Reach right up through the left fingertips.', 'Reach right up through the right fingertips.'],
  ['The right of the mat; just right of centre', 'The left of the mat; just left of centre'],
  ['Sit bones level, left as heavy as right.', 'Sit bones level, right as heavy as left.'],
  ['Is the left as long as the right?', 'Is the right as long as the left?'],
  ['The left is just as heavy as the right.', 'The right is just as heavy as the left.'],
  ['Take as many breaths left as right.', 'Take as many breaths right as left.'],
  ['Sit with more weight left than right.', 'Sit with more weight right than left.'],
  ['Lean more left than before.', 'Lean more right than before.'],
  ['Left heavier than right is a sign.', 'Right heavier than left is a sign.'],
  ['Braces {like this} stay, left.', 'Braces {like this} stay, right.'],
  [
    'Look past the left shoulder, roll to your {right} side.',
    'Look past the right shoulder, roll to your {right} side.',
  ],
]

const UNCHANGED = [
  'There is no more left than that.',
  'There is more left than you think.',
  'The strap is left as it is.',
  'Bend to a right angle.',
  'Come to right angles at both elbows.',
  'All right, come up.',
  'Stay upright; brightly, outright, a cleft, leftover breath.',
  'What is left over, let go.',
  'Use what is left of the breath.',
  'Place the wrist right under the shoulder.',
  'The blocks stand right behind you.',
  'Start right now. Right here.',
  'Make an L shape with the body, L5 long.',
  'When you have two breaths left, soften.',
  'Do it right.',
  'Stay where it feels right.',
  'Find the right height for the block.',
  'Is it right for you?',
  'Right yourself slowly.',
  'The arms are left long by the sides.',
  'Nothing left to do.',
  'Go on where you left off.',
  'Roll to your {right} side and sit up.',
  'Close the {left nostril} with the thumb.',
]

describe('mirrorText', () => {
  test.each(SWAPPED)('%s', (line, mirrored) => {
    expect(mirrorText(line)).toBe(mirrored)
  })

  test.each(UNCHANGED)('leaves “%s” alone', (line) => {
    expect(mirrorText(line)).toBe(line)
  })

  test('spells the turning sense as the school does', () => {
    expect(mirrorText('Circle clockwise.', { turning: 'anticlockwise' })).toBe(
      'Circle anticlockwise.'
    )
    expect(mirrorText('Circle counterclockwise.', { turning: 'anticlockwise' })).toBe(
      'Circle clockwise.'
    )
  })

  const words = fc.constantFrom(
    ..."left right Left RIGHT lEfT RigHT L R l LH Rt clockwise counterclockwise Clockwise COUNTERCLOCKWISE anti counter the your to over under away now angle breaths two have is what all just turn roll foot hand back up in out of and wall {right} {left {} } turn left, right? , any room one step place it knee o'clock 9 three body get is your end lean roll - ( ) , . ; - / & — leftover upright rightward left-hand side Vīra ś ا".split(
      ' '
    )
  )
  const gaps = fc.constantFrom(' ', ' ', ' ', '', '-', '  ', ', ', '/', '\u00a0')
  const sentence = fc
    .array(fc.tuple(words, gaps), { maxLength: 14 })
    .map((parts) => parts.flat().join(''))

  /** In the chosen spelling a turning sense is written one way only. */
  const otherSpelling = /(?:anti|counter)[\s-]+clockwise|anticlockwise/i

  test('twice gives back any line of side words', () => {
    fc.assert(
      fc.property(sentence, (line) => {
        fc.pre(!otherSpelling.test(line))
        expect(mirrorText(mirrorText(line))).toBe(line)
      }),
      { numRuns: 8000 }
    )
  })

  test('twice gives back any text at all', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 60 }), sentence, (noise, line) => {
        fc.pre(!otherSpelling.test(noise + line))
        expect(mirrorText(mirrorText(noise + line + noise))).toBe(noise + line + noise)
      }),
      { numRuns: 1500 }
    )
  })

  test('says which words it is unsure of instead of guessing', () => {
    const roles = sideWords('Drop left under the shoulder.').map((word) => word.role)
    expect(roles).toEqual(['unsure'])
  })
})

describe('fixed words', () => {
  test('are marked by braces and shown without them', () => {
    const line = 'Roll to the {right}, left arm long.'
    expect(plainText(line)).toBe('Roll to the right, left arm long.')
    expect(stretches(line)).toEqual([
      { role: 'text', text: 'Roll to the ' },
      { role: 'fixed', text: 'right' },
      { role: 'text', text: ', ' },
      { role: 'swaps', text: 'left' },
      { role: 'text', text: ' arm long.' },
    ])
  })

  test('braces without a side word are only braces', () => {
    expect(plainText('Write {x} here')).toBe('Write {x} here')
  })

  test('toggle on and off again', () => {
    const line = 'Lie on the left side.'
    const fixed = toggleFixed(line, 12)
    expect(fixed).toBe('Lie on the {left} side.')
    expect(toggleFixed(fixed, 14)).toBe(line)
    expect(toggleFixed(line, 0)).toBe(line)
  })

  test('stretches put together are the plain line', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 40 }), (noise) => {
        const line = `${noise} left {right} ${noise}`
        expect(
          stretches(line)
            .map((part) => part.text)
            .join('')
        ).toBe(plainText(line))
      })
    )
  })
})
