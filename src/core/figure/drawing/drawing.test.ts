import { readFileSync } from 'node:fs'
import { demoCards } from '../../../../tests/support/cards'
import { LENGTHS } from '../body'
import { keyframesOf } from '../ofCard'
import { poseFacts, poseWords } from '../poseWords'
import { jointOf } from '../skeleton'
import { solve } from '../solve'
import { type Figure, mirroredFigure, readFigure } from '../spec'
import { startOf } from '../starts'
import { lens, unseen } from '../view'
import { chosenView, HARDLY_SHOWN, viewOf } from './chosenView'
import { depthOf, readCone, type Reading } from './cones'
import { draw, type Drawing } from './draw'
import { edgesOf, lengthOf } from './edges'
import { flatten, gridOf, partDistance, type Point, toneAt } from './fields'
import { fleshOf } from './flesh'
import { handForms } from './handForms'
import { bodyField, evenRings, partRings, seenOf, shareOf } from './regions'
import { shownShares } from './shown'
import { mirroredPath } from './paths'
import { svgOf } from './svg'

const read = (data: unknown) => readFigure(data).figure!
const start = (id: string) => read(startOf(id)!.figure)
const FRONT = { turn: 0, tilt: 0 }
const SIDE = { turn: 90, tilt: 0 }
const soles = ['left sole', 'right sole'].map((part) => ({ part, on: 'floor' }))

/** Threaded, bound, crossed and folded forms that no demo card has. */
const FORMS: [string, Figure][] = Object.entries(
  JSON.parse(readFileSync('tests/fixtures/forms.json', 'utf8'))
).map(([name, data]) => [name, read(data)])
const DEMO: [string, Figure][] = demoCards().flatMap((card) =>
  keyframesOf(card).frames.map(({ id, figure }): [string, Figure] => [`${card.id} ${id}`, figure])
)

const SOME = [...FORMS, ...DEMO.filter((_, i) => i % 6 === 1)]

function seen(figure: Figure, view = FRONT) {
  const { body, placed } = solve(figure)
  return flatten(fleshOf(body, placed), lens(view))
}
const whole = (parts: ReturnType<typeof seen>, cell = 0.006) => {
  const grid = gridOf(parts, cell)
  return evenRings(
    bodyField(grid),
    grid,
    shareOf(grid, () => true)
  )
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

/** The curves of a path as short straight lines, in hundredths of a stature. */
function flattened(path: string): Point[][] {
  const rings: Point[][] = []
  let [x, y] = [0, 0]
  for (const [, command, numbers] of path.matchAll(/([McLQZ])([^McLQZ]*)/g)) {
    const values = [...numbers!.matchAll(/-?(?:\d+\.?\d*|\.\d+)/g)].map(Number)
    if (command === 'M') {
      ;[x, y] = values as [number, number]
      rings.push([[x, y]])
    } else if (command === 'c')
      for (let i = 0; i < values.length; i += 6) {
        const [bx, by, cx, cy, dx, dy] = values.slice(i, i + 6) as [
          number,
          number,
          number,
          number,
          number,
          number,
        ]
        for (let k = 1; k <= 6; k += 1) {
          const t = k / 6
          const u = 1 - t
          rings
            .at(-1)!
            .push([
              x + 3 * u * u * t * bx + 3 * u * t * t * cx + t * t * t * dx,
              y + 3 * u * u * t * by + 3 * u * t * t * cy + t * t * t * dy,
            ])
        }
        ;[x, y] = [x + dx, y + dy]
      }
    else if (command === 'L') {
      ;[x, y] = values as [number, number]
      rings.at(-1)!.push([x, y])
    }
  }
  return rings
}

const pathOf = ({ shapes }: Drawing, kind: string) =>
  shapes
    .filter((shape) => shape.kind === kind)
    .map(({ path }) => path)
    .join('')

/** How far the points of one outline are from the other at most. */
function apart(a: Point[][], b: Point[][]): number {
  const segments = b.flatMap((ring) => ring.slice(1).map((q, i) => [ring[i]!, q] as const))
  const away = ([x, y]: Point) =>
    Math.min(
      ...segments.map(([p, q]) => {
        const [dx, dy] = [q[0] - p[0], q[1] - p[1]]
        const long = dx * dx + dy * dy
        const t = long ? Math.max(0, Math.min(1, ((x - p[0]) * dx + (y - p[1]) * dy) / long)) : 0
        return Math.hypot(x - p[0] - t * dx, y - p[1] - t * dy)
      })
    )
  return Math.max(...a.flat().map(away))
}

describe('the flesh', () => {
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
    const rings = whole(seen(figure))
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
    const arm = seen(
      read({
        angles: { leftShoulder: { abduction: 90 }, leftElbow: { flexion: 90 } },
        contacts: soles,
      }),
      { turn: 0, tilt: 90 }
    ).filter((each) => each.part.limb === 'leftArm' && !each.part.name.endsWith('hand'))
    const rings = whole(arm)
    const plain = (x: number, y: number) => Math.min(...arm.map((part) => partDistance(part, x, y)))
    // Every place of the melted outline is near the plain one, and never far outside of it.
    for (const [x, y] of rings.flat()) {
      expect(plain(x, y)).toBeGreaterThan(-0.008)
      expect(plain(x, y)).toBeLessThan(0.02)
    }
    expect(Math.max(...rings.flat().map(([x, y]) => plain(x, y)))).toBeGreaterThan(0.004)
  })

  test('head, hand and foot are as long as the table says', () => {
    // Drillis & Contini 1966, as given in Winter (from memory).
    const parts = seen(start('standing'), SIDE)
    const grid = gridOf(parts, 0.003)
    const box = (name: string) => {
      const points = partRings(
        grid,
        parts.find(({ part }) => part.name === name)!
      ).flat()
      const size = (k: 0 | 1) =>
        Math.max(...points.map((p) => p[k])) - Math.min(...points.map((p) => p[k]))
      return { wide: size(0), high: size(1) }
    }
    expect(box('head').high).toBeCloseTo(LENGTHS.headToChin, 2)
    expect(box('left foot').wide / LENGTHS.foot).toBeGreaterThan(0.95)
    expect(box('left foot').wide / LENGTHS.foot).toBeLessThan(1.08)
    expect(box('left hand').high / LENGTHS.hand).toBeGreaterThan(0.95)
    expect(box('left hand').high / LENGTHS.hand).toBeLessThan(1.12)
  })

  test.each([
    ['fist', 'left fist', 'floor'],
    ['fingertips', 'left fingertips', 'floor'],
    ['hook', 'left hand', 'right foot'],
    ['flat', 'left palm', 'floor'],
  ] as const)('a hand is held as its contact says: %s', (form, part, on) => {
    const figure = read({ contacts: [...soles, { part, on }] })
    expect(handForms(figure, solve(figure)).left).toBe(form)
  })
})

describe('what is nearer covers', () => {
  const reading: Reading = { d: 0, gx: 0, gy: 0 }
  test.each([...FORMS, ...DEMO.slice(0, 2)])(
    '%s: by place, the tone of the nearest surface',
    (_, figure) => {
      const solved = solve(figure)
      const parts = flatten(fleshOf(solved.body, solved.placed), lens(viewOf(figure, solved)))
      const grid = gridOf(parts, 0.006)
      const regions = seenOf(grid)
      let [places, wrong] = [0, 0]
      for (let r = 1; r < grid.h; r += 2)
        for (let c = 1; c < grid.w; c += 2) {
          const [x, y] = [grid.box.x0 + c * grid.cell, grid.box.y0 + r * grid.cell]
          // Each cone alone, without the grid.
          const hits = parts.flatMap((part) =>
            part.cones.flatMap((each) => {
              readCone(each, x, y, reading)
              return reading.d < -0.002 ? [{ part, z: depthOf(each, x, y) }] : []
            })
          )
          if (hits.length === 0) continue
          const nearest = hits.reduce((a, b) => (b.z > a.z ? b : a))
          const next = Math.max(
            -Infinity,
            ...hits.filter(({ part }) => part !== nearest.part).map(({ z }) => z)
          )
          // Where two surfaces are about as near, or a hem runs, either will do.
          if (nearest.z - next < 0.006) continue
          const tone = toneAt(nearest.part, x, y, nearest.z)
          const beside = [-0.012, 0.012].map((by) =>
            toneAt(nearest.part, x + by, y + by, nearest.z)
          )
          if (beside.some((each) => each !== tone)) continue
          const at = r * grid.w + c
          const drawn = regions.hair[at]! > 0 ? 'hair' : regions.cloth[at]! > 0 ? 'cloth' : 'skin'
          const sure = Math.min(Math.abs(regions.hair[at]!), Math.abs(regions.cloth[at]!))
          if (sure < 0.002) continue
          places += 1
          if (drawn !== tone) wrong += 1
        }
      expect(places).toBeGreaterThan(450)
      expect(wrong / places).toBeLessThan(0.004)
    }
  )

  test('an arm across the chest has an edge, one hanging beside it has hardly any', () => {
    const long = (figure: Figure) => {
      const grid = gridOf(seen(figure), 0.008)
      return edgesOf(grid, seenOf(grid)).reduce((sum, { line }) => sum + lengthOf(line), 0)
    }
    const hanging = { rightShoulder: { abduction: 25 }, leftShoulder: { abduction: 25 } }
    const across = {
      ...hanging,
      leftShoulder: { flexion: 60, abduction: -30 },
      leftElbow: { flexion: 70 },
    }
    const [low, high] = [hanging, across].map((angles) => long(read({ angles, contacts: soles })))
    expect(high!).toBeGreaterThan(low! + 0.2)
  })

  test('a prop before the body is seen, one behind it is covered', () => {
    const sits = read({
      angles: {
        leftHip: { flexion: 88 },
        rightHip: { flexion: 88 },
        leftKnee: { flexion: 88 },
        rightKnee: { flexion: 88 },
      },
      contacts: [{ part: 'sit bones', on: 'chair' }, ...soles],
    })
    const area = (view: { turn: number; tilt: number }) => {
      const rings = flattened(pathOf(draw(sits, solve(sits), { view }), 'body'))
      return rings.reduce(
        (sum, ring) =>
          sum +
          ring.reduce((all, p, i) => {
            const q = ring[(i + 1) % ring.length]!
            return all + (p[0] * q[1] - q[0] * p[1]) / 2
          }, 0),
        0
      )
    }
    // From behind the back of the chair stands before the body.
    const without = read({ ...sits, contacts: soles })
    const bare = flattened(
      pathOf(draw(without, solve(without), { view: { turn: 180, tilt: 0 } }), 'body')
    )
    expect(bare.length).toBeGreaterThan(0)
    expect(Math.abs(area({ turn: 180, tilt: 0 }))).toBeLessThan(Math.abs(area(FRONT)) * 0.97)
  })
})

describe('paths', () => {
  const all = SOME
  const drawings = new Map(
    all.map(([name, figure]) => [name, draw(figure, solve(figure), { letters: true })])
  )

  test.each(all.map(([name]) => [name]))('%s: is small, and no outline crosses itself', (name) => {
    const drawing = drawings.get(name)!
    const svg = svgOf(drawing, { title: name, description: 'x'.repeat(300) })
    expect(svg.length).toBeLessThan(14_000)
    for (const kind of ['body', 'cloth', 'hair'])
      for (const ring of flattened(pathOf(drawing, kind))) expect(crossing(ring)).toBeNull()
  })

  test.each(SOME.slice(0, 12))('%s: its mirror has mirrored paths', (_, figure) => {
    const view = viewOf(figure, solve(figure))
    const other = mirroredFigure({ ...figure, view })
    const [one, two] = [draw({ ...figure, view }, solve(figure)), draw(other, solve(other))]
    // Mirrored twice, so that both are written alike.
    const told = (drawing: Drawing, times: number) =>
      drawing.shapes.map(({ kind, path }) => [
        kind,
        times === 2 ? mirroredPath(mirroredPath(path)) : mirroredPath(path),
      ])
    expect(told(two, 2)).toEqual(told(one, 1))
  })

  test('in motion an outline moves as little as the body does', () => {
    const at = (flexion: number) =>
      read({
        angles: { leftShoulder: { abduction: flexion }, leftKnee: { flexion: flexion / 2 } },
        contacts: [soles[1]],
      })
    let before: { rings: Point[][]; tips: readonly number[] } | null = null
    for (let flexion = 40; flexion < 43; flexion += 0.5) {
      const solved = solve(at(flexion))
      const rings = flattened(pathOf(draw(at(flexion), solved, { view: FRONT }), 'body'))
      const tips = solved.placed.origins[jointOf('leftHand')]!
      if (before) {
        expect(rings.length).toBe(before.rings.length)
        const moved = 100 * Math.hypot(...tips.map((v, k) => v - before!.tips[k]!))
        expect(apart(rings, before.rings)).toBeLessThan(moved * 2 + 0.35)
      }
      before = { rings, tips }
    }
  })
})

/** Where a ring crosses itself; null where it does not. */
function crossing(ring: Point[]): Point | null {
  const n = ring.length
  for (let i = 0; i + 1 < n; i += 1)
    for (let j = i + 2; j + 1 < n; j += 1) {
      if (i === 0 && j + 2 >= n) continue
      const [a, b, c, d] = [ring[i]!, ring[i + 1]!, ring[j]!, ring[j + 1]!]
      const side = (p: Point, q: Point, r: Point) =>
        (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0])
      if (side(a, b, c) * side(a, b, d) < -1e-9 && side(c, d, a) * side(c, d, b) < -1e-9) return a
    }
  return null
}

describe('the view', () => {
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

  test('the side that leads is nearer, where both are seen alike', () => {
    const { body, placed } = solve(start('hands-and-knees'))
    expect(chosenView(body, placed, 'left').turn).toBeGreaterThan(0)
    expect(chosenView(body, placed, 'right').turn).toBeLessThan(0)
  })

  test.each(SOME)('%s: each limb is seen, or told as hidden', (_, figure) => {
    const solved = solve(figure)
    const view = viewOf(figure, solved)
    const shares = shownShares(fleshOf(solved.body, solved.placed), lens(view))
    const { hidden } = poseFacts(figure, solved, view)
    for (const [limb, share] of shares)
      expect([limb, share < HARDLY_SHOWN]).toEqual([limb, hidden.includes(limb)])
    if (!figure.view)
      expect(
        hidden.filter((limb) => /thigh|shank|trunk|head/.test(limb)).length
      ).toBeLessThanOrEqual(2)
  })
})

describe('in words', () => {
  test.each([...FORMS, ...DEMO])('%s: names its contacts, all and no others', (_, figure) => {
    const solved = solve(figure)
    const words = poseWords(figure, solved, viewOf(figure, solved))
    const told = [...words.matchAll(/On (?:the |a )?([^:]+): ([^.]+)\./g)].flatMap(
      ([, on, parts]) => parts!.split(/, | and /).map((part) => `${part} on ${on}`)
    )
    const there = figure.contacts.map(({ part, on }) => {
      const [kind, height] = on.split(' ')
      return `${part} on ${/^(?:left|right)/.test(on) || !height ? on : `${height} ${kind}`}`
    })
    expect([...new Set(told)].sort()).toEqual([...new Set(there)].sort())
  })

  test('tells how the trunk is, what bends, and where the hands are', () => {
    const words = (data: object) => {
      const figure = read({ contacts: soles, view: FRONT, ...data })
      return poseWords(figure, solve(figure), FRONT)
    }
    expect(words({})).toBe(
      'On the floor: left sole and right sole. Trunk upright. Seen from the front.'
    )
    expect(words({ angles: { leftShoulder: { flexion: 175 } } })).toContain('Left hand raised.')
    expect(
      words({ angles: { ribs: { lateralFlexion: -20, rotation: 25 }, neck: { rotation: 40 } } })
    ).toMatch(/bent to the right 20°, turned to the left 25°.*Head turned to the left/)
    const chair = { flexion: 70 }
    expect(
      words({
        angles: {
          leftHip: chair,
          rightHip: chair,
          leftKnee: { flexion: 80 },
          rightKnee: { flexion: 40 },
        },
      })
    ).toMatch(/Left knee bent \d+°, right knee bent \d+°/)
  })
})
