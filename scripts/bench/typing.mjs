import { chromium as playwright } from '@playwright/test'
import { BROWSER_ARGS, chromium } from '../lib.mjs'

/** How long one key press keeps the main thread busy, in a real browser. */

const KEYS = 24
/** Between two keys, in ms: time for all that one of them sets off on the page. */
const APART = 160

const middle = (times) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)]

/** Main-thread milliseconds of one key typed into the field that has the cursor. */
async function pressed(page, session, key) {
  const busy = async () => {
    const { metrics } = await session.send('Performance.getMetrics')
    return metrics.find(({ name }) => name === 'TaskDuration').value * 1000
  }
  const before = await busy()
  await page.keyboard.press(key)
  await page.waitForTimeout(APART)
  return (await busy()) - before
}

async function typed(page, focus) {
  await focus()
  const session = await page.context().newCDPSession(page)
  await session.send('Performance.enable')
  const times = []
  for (let i = 0; i < KEYS; i += 1) {
    const taken = await pressed(page, session, 'abcdefghij'[i % 10])
    // The first keys load and warm what is needed.
    if (i >= 6) times.push(taken)
  }
  return middle(times)
}

/**
 * Key presses on the bench of each card, and in a bare text area of the same browser.
 * @param cards address of a bench, and the field that is typed in, by name
 * @returns milliseconds by name, and under `bare`
 */
export async function typing(cards) {
  const browser = await playwright.launch({ executablePath: chromium(), args: BROWSER_ARGS })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    const taken = {}
    const bare = async () => {
      await page.setContent('<textarea rows="3"></textarea>')
      return typed(page, () => page.locator('textarea').focus())
    }
    const first = await bare()
    for (const [name, { address, field }] of Object.entries(cards)) {
      await page.goto(address)
      await page.waitForLoadState('networkidle')
      const text = page.locator(`[data-field="${field}"]`)
      taken[name] = await typed(page, async () => {
        await text.focus()
        await text.press('End')
      })
    }
    taken.bare = (first + (await bare())) / 2
    return taken
  } finally {
    await browser.close()
  }
}
