import fc from 'fast-check'
import { ANGLES, fallOf, mirroredFigure, solve } from '../../figure'
import { draftedFrom, type Stands } from '../../../../tests/support/drafted'
import { overTheFeet } from './balance'
import { figureOf, get, put, setOn, startFigure, stanceOf } from './stance'

/**
 * A body that is asked to stand stands: its weight is over what carries it. The size of a sole is
 * that of the drawing; that one leans to come over one foot is common practice, no source.
 */

/** In statures: less than 2 cm outside the sole is not seen on a card. */
const SEEN = 0.012

const fallsBy = (from: Stands, lines: readonly string[]) =>
  fallOf(draftedFrom(from, lines).at(-1)!.solved)?.by ?? 0

test.each<[Stands, string[]]>([
  ['standing', ['Lift the right foot.']],
  ['standing', ['Lift the left knee to hip height.']],
  ['standing', ['Lift the right leg forward.']],
  ['standing', ['Lift the left leg back.']],
  ['standing', ['Lift the right leg out to the side.']],
  ['standing', ['Lift the left leg back.', 'Lift the arms overhead.']],
  ['standing', ['Draw the right knee to the chest.']],
  ['standing', ['Draw the left heel to the buttock.']],
  ['standing', ['Lift the right heel towards the buttock.']],
  ['standing', ['Place the right foot on the left thigh.']],
  ['standing', ['Place the left foot on the right shin.']],
  ['standing', ['Place the right ankle on the left thigh.']],
  ['standing', ['Cross the right thigh over the left.']],
  ['standing', ['Cross the left foot in front of the right.']],
  ['standing', ['Cross the right ankle behind the left.']],
  ['standing', ['Lift the right knee.', 'Open the right knee to the side.']],
  ['standing', ['Lift the right knee.', 'Straighten the right leg.']],
  ['standing', ['Step the left foot back.', 'Lift the left leg back, level with the floor.']],
  ['standing', ['Step the feet wide apart.', 'Lift the left leg.']],
  ['standing', ['Lift the heels.']],
  ['standing', ['Rise onto the toes.', 'Lift the arms overhead.']],
  ['standing', ['Fold forward.', 'Lengthen halfway.']],
  ['together', ['Lift the left foot.']],
])('from %s: %j does not fall', (from, lines) => {
  expect(fallsBy(from, lines)).toBeLessThan(SEEN)
})

test('a leg that has leant stands upright again once the other foot is down', () => {
  const [before, , after] = draftedFrom('standing', [
    'Lift the right foot.',
    'Lower the right foot.',
  ])
  expect(after!.figure.angles.leftHip).toEqual(before!.figure.angles.leftHip)
})

/** A stance on the right foot, the other leg and the arms as they are given. */
function onOneFoot(leg: { flexion: number; abduction: number }, arms: number, knee: number) {
  const s = stanceOf(startFigure('standing')!, 'right')
  s.contacts = []
  put(s, 'right sole', 'floor')
  setOn(s, 'left', 'Hip', leg)
  setOn(s, 'left', 'Knee', { flexion: knee })
  for (const side of ['left', 'right'] as const) setOn(s, side, 'Shoulder', { abduction: arms })
  return s
}

test('on one foot, whatever the other leg and the arms do, the standing leg leans under the weight', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -20, max: 90 }),
      fc.integer({ min: 0, max: 35 }),
      fc.integer({ min: 0, max: 170 }),
      fc.integer({ min: 0, max: 120 }),
      (flexion, abduction, arms, knee) => {
        const s = onOneFoot({ flexion, abduction }, arms, knee)
        const stood = overTheFeet(s)
        const other = ANGLES.filter((_, i) => stood.angles[i] !== s.angles[i])
        // Only the leg that stands is moved, and no further than a leg leans.
        expect(other.every(({ joint }) => joint === 'rightHip')).toBe(true)
        expect(Math.abs(get(stood, 'rightHip', 'abduction'))).toBeLessThanOrEqual(12)
        expect(Math.abs(get(stood, 'rightHip', 'flexion'))).toBeLessThanOrEqual(12)
        expect(fallOf(solve(figureOf(stood)))?.by ?? 0).toBeLessThan(SEEN)
      }
    ),
    { numRuns: 60 }
  )
})

test('what more than the feet carry, and who stands well on both, is left as it is', () => {
  const standing = stanceOf(startFigure('standing')!, null)
  expect(overTheFeet(standing)).toEqual(standing)
  for (const id of ['hands-and-knees', 'plank', 'long-seat', 'supine', 'kneeling']) {
    const s = stanceOf(startFigure(id)!, null)
    expect([id, overTheFeet(s)]).toEqual([id, s])
  }
  const atTheWall = onOneFoot({ flexion: 60, abduction: 30 }, 20, 90)
  put(atTheWall, 'left palm', 'wall')
  expect(overTheFeet(atTheWall)).toBe(atTheWall)
})

test('on the other foot it is the mirror', () => {
  const right = overTheFeet(onOneFoot({ flexion: 40, abduction: 20 }, 30, 60))
  const other = overTheFeet(
    stanceOf(mirroredFigure(figureOf(onOneFoot({ flexion: 40, abduction: 20 }, 30, 60))), 'left')
  )
  for (const angle of ['flexion', 'abduction'])
    expect(get(other, 'leftHip', angle)).toBeCloseTo(get(right, 'rightHip', angle), 6)
})
