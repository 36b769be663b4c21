import { demoCard, demoCards, lunge, stepsOf } from '../../../tests/support/cards'
import { outsideLimits } from '../../../tests/support/numbers'
import { passSeconds, timeOf } from '../breath'
import { DEFAULT_SCHOOL } from '../card'
import { ANGLES, mirroredPose, type Pose, touchPoints } from '../figure'
import { frameAt, fullness, momentAt, playOf } from './play'

const played = (id: string) => playOf(demoCard(id), DEFAULT_SCHOOL)

test.each(demoCards().map((card) => [card.id, card] as const))(
  '%s lasts as long as its card',
  (_, card) => {
    expect(playOf(card, DEFAULT_SCHOOL).seconds).toBeCloseTo(timeOf(card, DEFAULT_SCHOOL).total, 3)
  }
)

test('both sides of a sided card are played, the first side first, the second as its mirror', () => {
  const card = demoCard('gate')
  const { moments } = playOf(card, DEFAULT_SCHOOL)
  const own = moments.filter(({ part }) => part !== 'between')
  const sides = [...new Set(own.map(({ side }) => side))]
  expect(sides).toEqual(['right', 'left'])
  expect(own.find(({ side }) => side === 'left')!.text).toBe(
    'Step the left leg out to the side, foot flat.'
  )
  const between = moments.find(({ part }) => part === 'between')!
  expect(between.at).toBeCloseTo(passSeconds(card, DEFAULT_SCHOOL), 3)
  expect(between.seconds).toBe(20)
})

test.each(
  demoCards()
    .filter(({ sides }) => sides === 'sided')
    .map((card) => [card.id, card] as const)
)('%s: on the second side the body does in a mirror what it did on the first', (_, card) => {
  const { moments, forms } = playOf(card, DEFAULT_SCHOOL)
  const first = moments[0]!.side
  const of = (second: boolean) =>
    moments.filter(({ part, side }) => part !== 'between' && (side !== first) === second)
  expect(of(true).map(({ part }) => part)).toEqual(of(false).map(({ part }) => part))
  // Limbs that lie on each other are pushed apart one after the other: feet differ by a little.
  const main = ANGLES.flatMap(({ joint }, i) =>
    /lowBack|ribs|Hip|Shoulder/.test(joint) ? [i] : []
  )
  const apart = (a: Pose, b: Pose) =>
    Math.max(...main.map((i) => Math.abs(a.angles[i]! - b.angles[i]!)))
  for (const [i, { to, text }] of of(false).entries()) {
    // Who rolls to a chosen side to get up does so on both.
    if (text.includes('{')) continue
    const across = mirroredPose(forms[to]!.pose)
    expect([text, apart(across, forms[of(true)[i]!.to]!.pose) < 6]).toEqual([text, true])
  }
})

test('an even card is played once', () => {
  expect(new Set(played('bridge').moments.map(({ side }) => side))).toEqual(new Set([null]))
})

/** How far, in cm, a part that stays goes from its place while the body moves. */
function slides(id: string): number {
  const play = played(id)
  let worst = 0
  for (let seconds = 0; seconds < Math.min(play.seconds, 120); seconds += 0.4) {
    const { moment, solved } = frameAt(play, seconds)!
    const [from, to] = [play.forms[moment.from]!, play.forms[moment.to]!]
    for (const { part, on, at } of from.held) {
      const after = to.held.find((each) => each.part === part && each.on === on)
      if (!after || Math.hypot(after.at![0] - at![0], after.at![1] - at![1]) > 1e-3) continue
      const [x, , z] = touchPoints(part, solved)[0]!.at
      worst = Math.max(worst, Math.hypot(x - at![0], z - at![1]) * 170)
    }
  }
  return worst
}

test.each(['tree', 'bridge', 'gate', 'downward-dog', 'cat-and-cow', 'seated-fold', 'low-cobra'])(
  'in %s what stays does not slide by more than 3 cm',
  (id) => expect(slides(id)).toBeLessThan(3)
)

test('it begins and ends each moment at its forms', () => {
  const play = played('tree')
  for (const moment of play.moments.filter(({ from, to }) => from !== to)) {
    const end = frameAt(play, moment.at + moment.seconds - 1e-6)!
    const turned = play.forms[moment.to]!.pose.angles.map(
      (angle, i) => Math.abs(end.solved.pose.angles[i]! - angle) % 360
    )
    expect(Math.max(...turned)).toBeLessThan(0.1)
  }
})

test('no frame passes the limits of a joint by more than a degree', () => {
  for (const id of ['gate', 'tree', 'seated-half-twist']) {
    const play = played(id)
    for (let seconds = 0; seconds < 60; seconds += 1.3)
      expect(outsideLimits(frameAt(play, seconds)!.solved.pose.angles, 1)).toEqual([])
  }
})

test('words that are not understood do not move the body, and are told', () => {
  const play = playOf(
    lunge({ enter: stepsOf([['in', 'Frobnicate the quux.']]), exit: [] }),
    DEFAULT_SCHOOL
  )
  expect(play.moments[0]).toMatchObject({ unsure: true, from: 0, to: 0 })
})

test('the time before, in and after the play finds a moment; a card with no steps has none', () => {
  const play = played('bridge')
  expect(momentAt(play, -5)).toBe(play.moments[0])
  expect(momentAt(play, 1e6)).toBe(play.moments.at(-1))
  const empty = playOf(
    lunge({ sides: 'even', enter: [], exit: [], stay: { repeats: 1 } }),
    DEFAULT_SCHOOL
  )
  expect(frameAt(empty, 0)).toBeNull()
})

test('the lungs fill on the in, empty on the out, and stay when they are held', () => {
  expect([fullness('in', 0), fullness('in', 1)]).toEqual([0, 1])
  expect([fullness('out', 0), fullness('out', 1)]).toEqual([1, 0])
  expect([fullness('hold-in', 0.4), fullness('hold-out', 0.4)]).toEqual([1, 0])
})
