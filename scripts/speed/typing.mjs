import { readFileSync } from 'node:fs'
import { chromium as playwright } from '@playwright/test'
import { BROWSER_ARGS, windowed } from '../lib.mjs'

/** How long one key press keeps the main thread busy, in a real browser. */

const ROUNDS = 8
/** In each round, the first of them warm what is needed. */
const KEYS = { warm: 3, taken: 6 }
/** More keys than this are not typed in a round, when the machine is too slow for most of them. */
const MOST_KEYS = 30
/** Between two keys, in ms, and what it takes to press one. */
const APART = 100
/** Without a key for so long, in ms, the bench takes it that typing has paused. */
const [, PAUSED] = /PAUSE_MS = (\d+)/.exec(readFileSync('src/ui/bench/store.ts', 'utf8'))
/** After the last key, in ms: typing has paused, the page is drawn anew, found through and saved. */
const PAUSE = 2000

const middle = (times) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)]

/**
 * One key typed into the field that has the cursor, until the next.
 * @returns `ms` of the main thread, and whether typing went `on`: on a slow machine the next key
 *   may come so late that what a pause sets off has begun
 */
async function pressed({ page, session }, key, apart = APART) {
  const busy = async () => {
    const { metrics } = await session.send('Performance.getMetrics')
    return metrics.find(({ name }) => name === 'TaskDuration').value * 1000
  }
  const before = await busy()
  const from = performance.now()
  await page.keyboard.press(key)
  await page.waitForTimeout(apart)
  const ms = (await busy()) - before
  return { ms, on: performance.now() - from < Number(PAUSED) }
}

/** Keys at the end of the field's own line, which does not grow from round to round. */
async function typed(place) {
  const { page, field, line } = place
  await page.bringToFront()
  await field.fill(line)
  // By a click, as people do: from then on the pointer lies on the page, and on each page alike.
  await field.click()
  await field.press('End')
  // What the line set off that came back with that is over: drawn, found through and saved.
  await page.waitForTimeout(PAUSE)
  const times = []
  for (let i = 0; i < MOST_KEYS && times.length < KEYS.taken; i += 1) {
    const { ms, on } = await pressed(place, 'abcdefghij'[i % 10])
    if (on && i >= KEYS.warm) times.push(ms)
  }
  return { keys: times, pause: (await pressed(place, 'k', PAUSE)).ms }
}

/**
 * Key presses on the bench of each card, and in a bare text area of the same browser, in turns.
 * @param cards address of a bench, and the field that is typed in, by name
 * @returns by name, and under `bare`: milliseconds of a key while typing goes on (`key`), and of
 *   one with all that the pause after it sets off (`pause`)
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
    const times = Object.fromEntries(
      Object.keys(places).map((name) => [name, { keys: [], pauses: [] }])
    )
    // The first round loads and warms what is needed.
    for (let round = 0; round <= ROUNDS; round += 1)
      for (const [name, place] of Object.entries(places)) {
        const { keys, pause } = await typed(place)
        if (!round) continue
        times[name].keys.push(...keys)
        times[name].pauses.push(pause)
      }
    if (Object.values(times).some(({ keys }) => keys.length === 0))
      throw new Error('This machine is too slow just now to type on it without a pause.')
    return Object.fromEntries(
      Object.entries(times).map(([name, { keys, pauses }]) => [
        name,
        { key: middle(keys), pause: middle(pauses) },
      ])
    )
  } finally {
    await browser.close()
  }
}
