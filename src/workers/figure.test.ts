import { type Figure, pointIn, pointsOf, readFigure, solve, STARTS } from '@/core/figure'
import { type FigureJob, workFigure } from './figure'

const start = (id: string): Figure =>
  readFigure(STARTS.find((each) => each.id === id)!.figure).figure!
const job = (figure: Figure, more: Partial<FigureJob> = {}): FigureJob => ({
  seq: 1,
  figure,
  side: 'right',
  namedBy: 'front',
  ...more,
})

const placeOf = (figure: Figure, answer: ReturnType<typeof workFigure>, part: string) => {
  // Placed anew from the pose alone.
  const { body, placed } = solve(
    { ...figure, contacts: [], straps: [] },
    { from: answer.pose, rounds: 0 }
  )
  const { segment, at } = pointsOf(part, body)![0]!
  return pointIn(placed, segment, at)
}

test('answers what was asked, with a drawing, measures, loads and handles', () => {
  const answer = workFigure(job(start('stride'), { seq: 7 }))
  expect(answer.seq).toBe(7)
  expect(answer.unmet).toEqual([])
  expect(answer.drawing.shapes.length).toBeGreaterThan(2)
  expect(answer.measures['stance']!.unit).toBe('cm')
  expect(answer.carried!.loads.reduce((sum, each) => sum + each.share, 0)).toBeCloseTo(1, 6)
  expect(answer.carried!.moments.map((each) => each.joint)).toContain('left knee')
  expect(answer.places).toHaveLength(start('stride').contacts.length)
})

test.each(['right', 'left'])('a pulled %s hand goes where it is pulled; the feet stay', (side) => {
  const figure = { ...start('wide'), view: { turn: 0, tilt: 0 } }
  const before = workFigure(job(figure))
  const handle = `${side} hand`
  const [was] = before.handles.filter((each) => each.handle === handle)
  const answer = workFigure(job(figure, { drag: { handle, from: before.pose, dx: 0, dy: -12 } }))
  const [now] = answer.handles.filter((each) => each.handle === handle)
  expect(now!.y - was!.y).toBeLessThan(-8)
  for (const foot of ['left heel', 'right heel']) {
    const [a, b] = [placeOf(figure, before, foot), placeOf(figure, answer, foot)]
    expect(Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]) * 170).toBeLessThan(0.5)
  }
})

test('a pulled foot slides on the floor and does not leave it', () => {
  const figure = { ...start('wide'), view: { turn: 0, tilt: 0 } }
  const before = workFigure(job(figure))
  const answer = workFigure(
    job(figure, { drag: { handle: 'left heel', from: before.pose, dx: -8, dy: 0 } })
  )
  const [a, b] = [placeOf(figure, before, 'left heel'), placeOf(figure, answer, 'left heel')]
  expect((a[0] - b[0]) * 170).toBeGreaterThan(5)
  expect(Math.abs(b[1]) * 170).toBeLessThan(0.5)
})

test('a measure and a ghost are drawn when asked for; a taller person has a longer stance', () => {
  const figure = start('stride')
  const plain = workFigure(job(figure))
  const more = workFigure(
    job(figure, { show: 'right knee angle', ghost: start('standing'), stature: 190 })
  )
  const kinds = more.drawing.shapes.map((shape) => shape.kind)
  expect(kinds).toEqual(expect.arrayContaining(['measure', 'ghost']))
  expect(more.measures['stance']!.value / plain.measures['stance']!.value).toBeCloseTo(190 / 170, 2)
})

test('a form is seen as the final form of its card, and keeps that view while it is pulled', () => {
  const standing = start('standing')
  const final = { ...start('hands-and-knees'), view: { turn: 35, tilt: 0 } }
  const own = workFigure(job(standing)).view
  const like = workFigure(job(standing, { like: final, lead: 'left' })).view
  expect([own.turn === 35, like]).toEqual([false, { turn: 35, tilt: 0 }])
  const from = workFigure(job(standing)).pose
  const drag = { handle: 'left hand', from, dx: 2, dy: -4 }
  expect(workFigure(job(standing, { drag, seen: like })).view).toEqual(like)
})
