import {
  draw,
  MARKED,
  marksOf,
  measure,
  MEASURES,
  mirroredFigure,
  readFigure,
  solve,
  STARTS,
} from './index'

const start = (id: string) => readFigure(STARTS.find((each) => each.id === id)!.figure).figure!
const lead = { lead: 'right' as const }

test('every measure but the shares of the load can be shown', () => {
  expect(MEASURES.map((info) => info.name).filter((name) => !MARKED.includes(name))).toEqual([
    'load share',
  ])
  const solved = solve(start('stride'))
  for (const { name, sided } of MEASURES.filter((info) => info.name !== 'load share')) {
    const lines = marksOf(solved, sided ? `left ${name}` : name, lead)
    expect([name, lines.length > 0]).toEqual([name, true])
    expect(lines.flat(2).every(Number.isFinite)).toBe(true)
  }
  expect(marksOf(solved, 'no such thing', lead)).toEqual([])
})

test('a plumb line stands upright, and its angle to the shin is what is measured', () => {
  const solved = solve(start('stride'))
  for (const side of ['left', 'right'] as const) {
    const [upright, shin] = marksOf(solved, `${side} knee over ankle`, lead)
    const [foot, above] = [upright![0]!, upright![1]!]
    expect([above[0], above[2]]).toEqual([foot[0], foot[2]])
    const [a, b] = [shin![0]!, shin![1]!]
    const along = Math.hypot(b[0] - a[0], b[2] - a[2])
    const lean = (Math.atan2(along, b[1] - a[1]) * 180) / Math.PI
    const read = measure(solved, `${side} knee over ankle`, lead)!.value
    // The measure looks along the foot only.
    expect(lean).toBeGreaterThanOrEqual(Math.abs(read) - 0.01)
  }
})

test('an arc has the radius of a compass and ends on the two limbs', () => {
  const solved = solve(start('long-seat'))
  const [arms, curve] = marksOf(solved, 'left hip angle', lead)
  const centre = arms![1]!
  const far = curve!.map((p) => Math.hypot(...p.map((value, k) => value - centre[k]!)))
  expect(Math.max(...far) - Math.min(...far)).toBeLessThan(1e-9)
})

test('drawn, a measure widens the box and stands on top of the body', () => {
  const figure = start('standing')
  const solved = solve(figure)
  const plain = draw(figure, solved, { cell: 0.02 })
  const shown = draw(figure, solved, {
    cell: 0.02,
    marks: marksOf(solved, 'left foot turn', lead),
  })
  const kinds = shown.shapes.map((shape) => shape.kind)
  expect(plain.shapes.some((shape) => shape.kind === 'measure')).toBe(false)
  expect(kinds.lastIndexOf('measure')).toBeGreaterThan(kinds.lastIndexOf('body'))
  expect(shown.box[2]).toBeGreaterThanOrEqual(plain.box[2])
})

test('a ghost lies behind, as a dashed outline', () => {
  const figure = start('standing')
  const drawing = draw(figure, solve(figure), { cell: 0.02, ghost: solve(start('arms-up')) })
  const kinds = drawing.shapes.map((shape) => shape.kind)
  expect(kinds).toContain('ghost')
  expect(kinds.indexOf('ghost')).toBeLessThan(kinds.indexOf('body'))
})

test('letters stand by their hands, and change places in the mirror', () => {
  const figure = start('arms-up')
  const one = draw(figure, solve(figure), { cell: 0.02, letters: true, view: { turn: 0, tilt: 0 } })
  const across = mirroredFigure(figure)
  const two = draw(across, solve(across), { cell: 0.02, letters: true, view: { turn: 0, tilt: 0 } })
  const at = (drawing: typeof one, text: string) =>
    drawing.letters.find((letter) => letter.text === text)!
  expect(at(one, 'L').x).toBeCloseTo(-at(two, 'R').x, 6)
  expect(at(one, 'L').y).toBeCloseTo(at(two, 'R').y, 6)
  // The person looks at us: their left is on our right.
  expect(at(one, 'L').x).toBeGreaterThan(at(one, 'R').x)
})
