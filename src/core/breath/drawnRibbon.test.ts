import { demoCards, lunge, stepsOf } from '../../../tests/support/cards'
import { Card, DEFAULT_SCHOOL } from '../card'
import { LABELS } from '../language'
import { drawnRibbon, passSeconds, ribbonOf, stayNotes } from '.'

test('every second has the same length on the ribbon, and the parts fill it', () => {
  for (const card of [lunge(), ...demoCards()]) {
    const whole = passSeconds(card, DEFAULT_SCHOOL)
    const ribbon = ribbonOf(card, DEFAULT_SCHOOL)
    const drawn = drawnRibbon(ribbon, { length: 300, breadth: 20 })
    if (whole === 0) {
      expect(drawn.stretches).toEqual([])
      continue
    }
    drawn.stretches.forEach((stretch, i) =>
      expect(stretch.length / ribbon[i]!.seconds).toBeCloseTo(300 / whole, 6)
    )
    expect(drawn.parts.reduce((sum, part) => sum + part.length, 0)).toBeCloseTo(300, 6)
    expect(drawn.parts.reduce((sum, part) => sum + part.seconds, 0)).toBeCloseTo(whole, 3)
  }
})

test('lying down, what widened downward widens to the right', () => {
  const ribbon = ribbonOf(lunge(), DEFAULT_SCHOOL)
  const box = (lies: boolean) => {
    const { path } = drawnRibbon(ribbon, { length: 300, breadth: 20 }, lies).stretches[0]!
    return path
  }
  expect(box(false)).toBe('M8.8 0H11.2L20 20H0Z')
  expect(box(true)).toBe('M0 8.8V11.2L20 20V0Z')
})

test.each([false, true])('a path lies where its phase is on the ribbon; lying: %s', (lies) => {
  for (const card of [lunge(), ...demoCards()])
    for (const stretch of drawnRibbon(
      ribbonOf(card, DEFAULT_SCHOOL),
      { length: 300, breadth: 20 },
      lies
    ).stretches) {
      const points = [...stretch.path.matchAll(/(?:[MLQ]|\d )(\d+(?:\.\d+)?) (\d+(?:\.\d+)?)/g)]
      const along = points.map((point) => Number(point[lies ? 1 : 2]))
      expect(along.length).toBeGreaterThan(1)
      expect(Math.min(...along)).toBeGreaterThanOrEqual(stretch.from - 0.02)
      expect(Math.max(...along)).toBeLessThanOrEqual(stretch.from + stretch.length + 0.02)
      expect(Math.max(...along)).toBeGreaterThan(stretch.from + stretch.length / 2)
    }
})

describe('a moving card', () => {
  const cycle = (repeats: number, more: Partial<Card['stay']> = {}) =>
    lunge({
      manner: 'moving',
      stay: { repeats, ...more },
      enter: stepsOf([
        ['in', 'Come to the knees.'],
        ['out', 'Round the back.'],
        ['in', 'Lift the chest.'],
      ]).map((step, i) => (i > 0 ? { ...step, cycle: true as const } : step)),
      exit: [],
    })
  const phases = (card: Card) => ribbonOf(card, DEFAULT_SCHOOL).map(({ breath }) => breath)

  test('goes round by round, out and in by turns', () => {
    expect(phases(cycle(4))).toEqual(['in', ...Array(4).fill(['out', 'in']).flat()])
    const [, ...ribbon] = ribbonOf(cycle(8), DEFAULT_SCHOOL)
    expect(ribbon.map(({ where }) => where)).toEqual(
      Array(8)
        .fill(['enter[1].text', 'enter[2].text'].map((at) => at.replace('.text', '')))
        .flat()
    )
    ribbon.forEach(({ at }, i) => expect(at).toBeCloseTo(4 + i * 4, 6))
  })

  test('a step done twice in each round stands twice in each', () => {
    const card = cycle(3)
    const twice = { ...card, enter: card.enter.with(1, { ...card.enter[1]!, repeat: 2 }) }
    expect(phases(twice)).toEqual(['in', ...Array(3).fill(['out', 'out', 'in']).flat()])
  })

  test('fills its time, with a range of rounds, too', () => {
    for (const card of [cycle(5), cycle(3, { repeatsMost: 6 }), cycle(40)]) {
      const ribbon = ribbonOf(card, DEFAULT_SCHOOL)
      const last = ribbon.at(-1)!
      expect(last.at + last.seconds).toBeCloseTo(passSeconds(card, DEFAULT_SCHOOL), 4)
    }
    // More rounds than can be drawn apart are one loose wave.
    expect(phases(cycle(40))).toEqual(['in', 'free'])
  })

  test('says what its count multiplies', () => {
    expect(stayNotes(cycle(8), LABELS)).toEqual(['Steps 2 and 3 are done in turn, 8 times.'])
    expect(stayNotes(cycle(8, { breaths: 5 }), LABELS)).toEqual([
      'Steps 2 and 3 are done in turn, 8 times; the stay of 5 breaths follows, 8 times as well.',
    ])
    expect(stayNotes(cycle(1), LABELS)).toEqual([])
    expect(stayNotes(lunge(), LABELS)).toEqual([])
  })
})

describe('a count that is a range', () => {
  const held = (stay: Card['stay']) => lunge({ stay, enter: [], exit: [] })
  test.each([
    [{ breaths: 8, breathsMost: 10, repeats: 1 }, 72, '8 to 10 breaths'],
    [{ breaths: 5, repeats: 2, repeatsMost: 4 }, 120, '5 breaths, 2 to 4 times'],
    [
      { breaths: 2, breathsMost: 3, repeats: 1, repeatsMost: 2 },
      30,
      '2 to 3 breaths, 1 to 2 times',
    ],
    [{ seconds: [10, 20] as [number, number], repeats: 1 }, 15, '10 to 20 seconds'],
  ])('%j lasts as long as its middle, and says so', (stay, seconds, words) => {
    const card = held(stay)
    expect(passSeconds(card, DEFAULT_SCHOOL)).toBeCloseTo(seconds, 6)
    expect(LABELS.stay(stay)).toBe(words)
    expect(stayNotes(card, LABELS).join()).toContain('the middle of')
    const last = ribbonOf(card, DEFAULT_SCHOOL).at(-1)!
    expect(last.at + last.seconds).toBeCloseTo(seconds, 4)
  })

  test.each([
    [{ breathsMost: 10, repeats: 1 }, 'breathsMost'],
    [{ breaths: 10, breathsMost: 8, repeats: 1 }, 'breathsMost'],
    [{ breaths: 5, repeats: 4, repeatsMost: 4 }, 'repeatsMost'],
  ])('%j is no range', (stay, path) => {
    const { success, error } = Card.safeParse(lunge({ stay: stay as Card['stay'] }))
    expect(success).toBe(false)
    expect(error!.issues[0]!.path).toContain(path)
  })
})
