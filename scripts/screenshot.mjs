import { BROWSER_ARGS, chromium, ensureModules, ensurePackages, SetUpError } from './lib.mjs'

/**
 * Takes a picture of a page of the running app.
 * node scripts/screenshot.mjs URL FILE [--dark] [--width 1280] [--height 800] [--full] [--do "js to run in the page"]
 */
const [url, file, ...flags] = process.argv.slice(2)
const value = (flag, other) => {
  const at = flags.indexOf(flag)
  return at < 0 ? other : flags[at + 1]
}

try {
  // A machine without a browser gets one, or is told what to install.
  await ensurePackages({ browser: true })
  await ensureModules()
} catch (error) {
  if (!(error instanceof SetUpError)) throw error
  console.error(error.message)
  process.exit(1)
}
const { chromium: playwright } = await import('@playwright/test')
const browser = await playwright.launch({
  executablePath: chromium(),
  args: BROWSER_ARGS,
})
const page = await browser.newPage({
  viewport: { width: Number(value('--width', 1280)), height: Number(value('--height', 800)) },
  colorScheme: flags.includes('--dark') ? 'dark' : 'light',
})
page.on('console', (message) => message.type() === 'error' && console.error(message.text()))
page.on('pageerror', (error) => console.error(error.message))
await page.goto(url, { waitUntil: 'networkidle' })
await page.evaluate(() => document.fonts.ready)
const action = value('--do')
if (action) {
  await page.evaluate(action)
  await page.waitForTimeout(600)
}
await page.screenshot({ path: file, fullPage: flags.includes('--full') })
await browser.close()
