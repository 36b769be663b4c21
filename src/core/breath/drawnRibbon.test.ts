import { demoCards, lunge } from '../../../tests/support/cards'
import { DEFAULT_SCHOOL } from '../card'
import { drawnRibbon, passSeconds, ribbonOf } from '.'

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
  expect(box(false)).toBe('M8.8 0 H11.2 L20 20 H0 Z')
  expect(box(true)).toBe('M0 8.8V11.2L20 20V0Z')
})
