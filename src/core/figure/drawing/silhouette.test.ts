import { fleshOf } from './flesh'
import { creases, flatten, gridOf, outline, partDistance, type Point } from './silhouette'
import { chosenView, draw, jointOf, lens, readFigure, solve, STARTS, unseen } from './index'

const start = (id: string) => readFigure(STARTS.find((each) => each.id === id)!.figure).figure!
const read = (data: unknown) => readFigure(data).figure!
const FRONT = { turn: 0, tilt: 0 }
const SIDE = { turn: 90, tilt: 0 }
const soles = ['left sole', 'right sole'].map((part) => ({ part, on: 'floor' }))

function seen(figure: ReturnType<typeof read>, view = FRONT) {
  const { body, placed } = solve(figure)
  return flatten(fleshOf(body, placed), lens(view))
}

/** How wide an outline is at a height, in the stretch that holds a place. */
function widthAt(rings: Point[][], y: number, x: number): number {
  const cuts = rings
    .flatMap((ring) =>
      ring.slice(1).flatMap((b, i) => {
        const a = ring[i]!
        if (a[1] > y === b[1] > y) return []
        return [a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0])]
      })
    )
    .sort((p, q) => p - q)
  const at = cuts.findIndex((cut) => cut > x)
  return cuts[at]! - cuts[at - 1]!
}

test('a straight joint is no thicker than its flesh: knees and elbows have no lumps', () => {
  const figure = read({
    angles: {
      leftShoulder: { abduction: 14 },
      rightShoulder: { abduction: 14 },
      leftHip: { abduction: 14 },
      rightHip: { abduction: 14 },
    },
    contacts: soles,
  })
  const { placed } = solve(figure)
  const parts = seen(figure)
  const rings = outline(gridOf(parts, 0.006), parts)
  // Radius of the flesh at the joint, from where it is told, and how slanted the limb is.
  const slant = Math.cos((14 * Math.PI) / 180)
  for (const [segment, radius] of [
    ['leftShank', 0.033],
    ['leftForearm', 0.0225],
  ] as const) {
    const [x, y] = placed.origins[jointOf(segment)]!
    const wide = widthAt(rings, y, x)
    expect((wide * slant) / (2 * radius)).toBeGreaterThan(0.9)
    expect((wide * slant) / (2 * radius)).toBeLessThan(1.12)
  }
})

test('a bent elbow is filled in its hollow, not on its outside', () => {
  const bent = seen(
    read({
      angles: { leftShoulder: { abduction: 90 }, leftElbow: { flexion: 90 } },
      contacts: soles,
    }),
    { turn: 0, tilt: 90 }
  )
  const arm = bent.filter((each) => each.part.limb === 'leftArm')
  const rings = outline(gridOf(arm, 0.006), arm)
  const plain = (x: number, y: number) => Math.min(...arm.map((part) => partDistance(part, x, y)))
  // Every place of the melted outline is near the plain one, and never far outside of it.
  for (const [x, y] of rings.flat()) {
    expect(plain(x, y)).toBeGreaterThan(-0.008)
    expect(plain(x, y)).toBeLessThan(0.02)
  }
  expect(Math.max(...rings.flat().map(([x, y]) => plain(x, y)))).toBeGreaterThan(0.004)
})

test('an arm across the chest has a crease, one hanging beside it has none on the trunk', () => {
  const lines = (figure: ReturnType<typeof read>) => {
    const parts = seen(figure)
    return creases(gridOf(parts, 0.009))
  }
  const hanging = lines(
    read({
      angles: { leftShoulder: { abduction: 25 }, rightShoulder: { abduction: 25 } },
      contacts: soles,
    })
  )
  const across = lines(
    read({
      angles: {
        leftShoulder: { flexion: 60, abduction: -30 },
        leftElbow: { flexion: 70 },
        rightShoulder: { abduction: 25 },
      },
      contacts: soles,
    })
  )
  const long = (list: Point[][]) =>
    list.reduce(
      (sum, line) =>
        sum +
        line.reduce(
          (all, p, i) => (i ? all + Math.hypot(p[0] - line[i - 1]![0], p[1] - line[i - 1]![1]) : 0),
          0
        ),
      0
    )
  expect(long(across)).toBeGreaterThan(long(hanging) + 0.15)
})

test('from the side the farther limbs are pale and drawn first', () => {
  const figure = start('stride')
  const drawing = draw(figure, solve(figure), { cell: 0.02, view: SIDE })
  const kinds = drawing.shapes.map(({ kind }) => kind)
  expect(kinds.filter((kind) => kind === 'far').length).toBeGreaterThan(0)
  expect(kinds.lastIndexOf('far')).toBeLessThan(kinds.indexOf('body'))
})

test('what bends ahead is seen from the side, what opens sideways from the front', () => {
  const turnOf = (id: string) => {
    const { body, placed } = solve(start(id))
    return Math.abs(chosenView(body, placed).turn)
  }
  for (const id of ['chair', 'standing-fold', 'long-seat', 'hands-and-knees', 'dog'])
    expect([id, turnOf(id) >= 70]).toEqual([id, true])
  expect(turnOf('wide')).toBeLessThanOrEqual(20)
})

test('a step on the drawing is that step in space, seen from the same place', () => {
  for (const view of [FRONT, SIDE, { turn: -20, tilt: 35 }, { turn: 160, tilt: 60 }]) {
    const see = lens(view)
    const [x, y, near] = see(unseen(view, 0.3, -0.2))
    expect([x, y, near].map((value) => Math.round(value * 1e9) / 1e9 + 0)).toEqual([0.3, -0.2, 0])
  }
})

test('seen from above there is a mat in place of the line of the floor', () => {
  const figure = start('supine')
  const paths = (tilt: number) =>
    draw(figure, solve(figure), { cell: 0.02, view: { turn: 70, tilt } })
      .shapes.filter(({ kind }) => kind === 'floor')
      .map(({ path }) => path)
  expect(paths(0)[0]).not.toMatch(/Z$/)
  expect(paths(30)[0]).toMatch(/Z$/)
})
