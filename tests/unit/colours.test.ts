import { readFileSync } from 'node:fs'

/**
 * The colours of the house, by day and in the dark, against WCAG 2.2: 4.5 to 1 for text (1.4.3)
 * and 3 to 1 for what has to be seen to use a page (1.4.11). Luminance as in its glossary.
 */

const css = readFileSync('src/ui/theme.css', 'utf8')
const colours = (selector: string) => {
  const from = css.indexOf(`${selector} {`)
  expect(from).toBeGreaterThanOrEqual(0)
  const block = css.slice(from, css.indexOf('}', from))
  return Object.fromEntries(
    [...block.matchAll(/--([a-z-]+):\s*(#[0-9a-f]{6});/g)].map((match) => [match[1]!, match[2]!])
  )
}
const day = colours(':root')
const SCHEMES = [
  ['by day', day],
  ['in the dark', { ...day, ...colours("[data-mantine-color-scheme='dark']") }],
] as const

const linear = (value: number) =>
  value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4
const luminance = (hex: string) => {
  const [r, g, b] = [1, 3, 5].map((at) => linear(parseInt(hex.slice(at, at + 2), 16) / 255))
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!
}
const contrast = (a: string, b: string) => {
  const [lighter, darker] = [luminance(a), luminance(b)].sort((x, y) => y - x)
  return (lighter! + 0.05) / (darker! + 0.05)
}

test('the measure itself: black on white is 21, grey #767676 on white just passes', () => {
  // Both are values that the WCAG working group gives in its techniques (G18), from memory.
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5)
  expect(contrast('#767676', '#ffffff')).toBeGreaterThan(4.5)
  expect(contrast('#777777', '#ffffff')).toBeLessThan(4.5)
  expect(contrast('#1f2a2e', '#fbfaf6')).toBe(contrast('#fbfaf6', '#1f2a2e'))
})

const GROUNDS = ['paper', 'leaf', 'left-tint', 'right-tint']
const INKS = ['ink', 'ink-soft', 'alert', 'done', 'left-accent', 'right-accent']

describe.each(SCHEMES)('%s', (_, of) => {
  const pairs = INKS.flatMap((ink) => GROUNDS.map((ground) => [ink, ground] as const))
  test.each(pairs)('%s can be read on %s', (ink, ground) => {
    expect(of[ink]).toBeDefined()
    expect(of[ground]).toBeDefined()
    expect(contrast(of[ink]!, of[ground]!)).toBeGreaterThanOrEqual(4.5)
  })

  test('a figure stands out from paper, its cloth from its skin, and the measure from both', () => {
    const seen = (a: string, b: string) => contrast(of[`figure-${a}`]!, of[b]!)
    expect(Math.max(seen('line', 'paper'), seen('skin', 'paper'))).toBeGreaterThanOrEqual(3)
    expect(seen('cloth', 'figure-skin')).toBeGreaterThanOrEqual(3)
    expect(seen('line', 'figure-skin')).toBeGreaterThanOrEqual(3)
    expect(seen('measure', 'figure-skin')).toBeGreaterThanOrEqual(3)
  })

  test('the focus ring is seen on every ground', () => {
    for (const ground of GROUNDS)
      expect(contrast(of['right-accent']!, of[ground]!)).toBeGreaterThanOrEqual(3)
  })
})

test('left and right are told apart by more than their colour, and their colours differ in grey as well', () => {
  // On a black-and-white printer the tints fall together: the notch and the letter tell them.
  const [left, right] = [luminance(day['left-tint']!), luminance(day['right-tint']!)]
  expect(Math.abs(left - right)).toBeLessThan(0.1)
  expect(contrast(day['left-accent']!, day['paper']!)).toBeGreaterThanOrEqual(4.5)
})
