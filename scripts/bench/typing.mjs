import { chromium as playwright } from '@playwright/test'
import { BROWSER_ARGS, windowed } from '../lib.mjs'

/** How long one key press keeps the main thread busy, in a real browser. */

const ROUNDS = 8
/** In each round, the first of them warm what is needed. */
const KEYS = { warm: 3, taken: 6 }
/** Between two keys, in ms: time for all that one of them sets off on the page. */
const APART = 160

const middle = (times) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)]

/** Main-thread milliseconds of one key typed into the field that has the cursor. */
async function pressed({ page, session }, key) {
  const busy = async () => {
    const { metrics } = await session.send('Performance.getMetrics')
    return metrics.find(({ name }) => name === 'TaskDuration').value * 1000
  }
  const before = await busy()
  await page.keyboard.press(key)
  await page.waitForTimeout(APART)
  return (await busy()) - before
}

/** Keys at the end of the field's own line, which does not grow from round to round. */
async function typed(place) {
  const { page, field, line } = place
  await page.bringToFront()
  await field.fill(line)
  await field.focus()
  await field.press('End')
  await page.waitForTimeout(5 * APART)
  const times = []
  for (let i = 0; i < KEYS.warm + KEYS.taken; i += 1)
    times.push(await pressed(place, 'abcdefghij'[i]))
  return times.slice(KEYS.warm)
}

/**
 * Key presses on the bench of each card, and in a bare text area of the same browser, in turns.
 * @param cards address of a bench, and the field that is typed in, by name
 * @returns milliseconds by name, and under `bare`
 */
export async function typing(cards) {
  const browser = await playwright.launch({ executablePath: windowed(), args: BROWSER_ARGS })
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
    const open = async (load, selector) => {
      const page = await context.newPage()
      await load(page)
      const session = await context.newCDPSession(page)
      await session.send('Performance.enable')
      const field = page.locator(selector)
      return { page, session, field, line: await field.inputValue() }
    }
    const places = {
      bare: await open((page) => page.setContent('<textarea rows="3"></textarea>'), 'textarea'),
    }
    for (const [name, { address, field }] of Object.entries(cards))
      places[name] = await open(
        (page) => page.goto(address, { waitUntil: 'networkidle' }),
        `[data-field="${field}"]`
      )
    const times = Object.fromEntries(Object.keys(places).map((name) => [name, []]))
    // The first round loads and warms what is needed.
    for (let round = 0; round <= ROUNDS; round += 1)
      for (const [name, place] of Object.entries(places)) {
        const taken = await typed(place)
        if (round) times[name].push(...taken)
      }
    return Object.fromEntries(Object.entries(times).map(([name, all]) => [name, middle(all)]))
  } finally {
    await browser.close()
  }
}
