import { AxeBuilder } from '@axe-core/playwright'
import {
  type APIRequestContext,
  type BrowserContext,
  chromium,
  type ConsoleMessage,
  expect,
  type Page,
  test as base,
  type ViewportSize,
  type WebError,
} from '@playwright/test'

export { pdfPages } from '../support/pdfPages.mjs'

const addressOf = (worker: number) => process.env.BASE_URLS!.split(' ')[worker]!

/** Forgets what pages kept in the browser; what was fetched and compiled stays. */
async function forget(context: BrowserContext, kept: Page, origin: string) {
  const session = await context.newCDPSession(kept)
  const storageTypes = 'cookies,local_storage,indexeddb,service_workers,cache_storage'
  await session.send('Storage.clearDataForOrigin', { origin, storageTypes })
  await session.detach()
  // What a page wrote as it was closed may come after that; here it stands in line behind it.
  await kept.evaluate(() => localStorage.clear())
}

/** Where a page of the app waits for the next test. */
const REST = '/about'

/** Goes to another page of the app as its links do: what was loaded and compiled stays. */
async function follow(page: Page, path: string) {
  await page.evaluate((to) => {
    const { next } = window as unknown as { next: { router: { push: (to: string) => void } } }
    next.router.push(to)
  }, path)
  await page.waitForURL(({ pathname, search }) => pathname + search === path)
}

/** Leaves what a test did to a page; false when the page cannot be had as it was. */
async function leave(page: Page, origin: string, viewport: ViewportSize): Promise<boolean> {
  if (page.isClosed() || new URL(page.url()).origin !== origin) return false
  page.removeAllListeners()
  await page.unrouteAll()
  await page.emulateMedia({ media: null, colorScheme: null, reducedMotion: null })
  await page.setViewportSize(viewport)
  await page.mouse.move(0, 0)
  if (!(await page.evaluate(() => 'next' in window))) return false
  await follow(page, REST)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('About Notula')
  return true
}

/**
 * A test with a server and a deck that no other test of the moment has. Its browser is that of
 * the test before, with nothing kept, and its page waits where every test leaves it. No page that
 * it opens may run against its own policy, or end a script with an error.
 */
export const test = base.extend<
  { refusals: string[] },
  { visited: { context: BrowserContext; kept: Page; resting: Page | null } }
>({
  baseURL: async ({}, give, { parallelIndex }) => {
    await give(addressOf(parallelIndex))
  },
  visited: [
    async ({}, give, { parallelIndex, project }) => {
      const { viewport, acceptDownloads, launchOptions } = project.use
      const baseURL = addressOf(parallelIndex)
      // A folder of its own: only there a browser keeps what it compiled of a script.
      const context = await chromium.launchPersistentContext('', {
        ...launchOptions,
        viewport,
        acceptDownloads,
        baseURL,
      })
      // Open as long as the worker works: the process of its pages, and what they compiled, stay.
      const kept = await context.newPage()
      await kept.goto('/icon.svg')
      await give({ context, kept, resting: null })
      await context.close()
    },
    { scope: 'worker' },
  ],
  context: async ({ visited, baseURL }, give) => {
    const { context, kept } = visited
    await give(context)
    const stay = [kept, visited.resting]
    const opened = context.pages().filter((page) => !stay.includes(page))
    await Promise.all(opened.map((page) => page.close()))
    await forget(context, kept, baseURL!)
  },
  page: async ({ visited, context, baseURL, viewport }, give, test) => {
    const page = visited.resting ?? (await context.newPage())
    visited.resting = null
    await give(page)
    // After a failure Playwright begins anew with another browser.
    if (test.status === 'passed' && (await leave(page, baseURL!, viewport!))) visited.resting = page
  },
  refusals: [
    async ({ context }, give) => {
      const refused: string[] = []
      const hear = (message: ConsoleMessage) => {
        if (/content security policy|refused to/i.test(message.text())) refused.push(message.text())
      }
      const fail = (error: WebError) => void refused.push(String(error.error()))
      context.on('console', hear)
      context.on('weberror', fail)
      await give(refused)
      context.off('console', hear)
      context.off('weberror', fail)
      expect(refused).toEqual([])
    },
    { auto: true },
  ],
})

/** Text without any blanks, to compare what was broken into lines. */
export const dense = (text: string) => text.normalize('NFC').replace(/\s+/g, '')

/** Nothing serious for people who use the page by keyboard, by ear or with poor sight. */
export async function expectAccessible(page: Page, within = 'html', rules?: string[]) {
  // No page has frames: read in one go, four times as fast as frame by frame.
  const axe = new AxeBuilder({ page })
    .include(within)
    .options({ resultTypes: ['violations'] })
    .setLegacyMode(true)
  expect(await page.locator('iframe').count()).toBe(0)
  const { violations } = await (rules ? axe.withRules(rules) : axe).analyze()
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
  expect(serious.map(({ id, nodes }) => [id, nodes.map((node) => node.html).slice(0, 3)])).toEqual(
    []
  )
}

/** Adds a new card and gives its id. */
export async function newCard(
  request: APIRequestContext,
  name: string,
  more: Record<string, string> = {}
) {
  const response = await request.post('/api/cards', {
    data: { name, base: 'standing', spine: 'side', manner: 'held', sides: 'sided', ...more },
  })
  expect(response.status()).toBe(201)
  return ((await response.json()) as { id: string }).id
}

export const saved = (page: Page) => expect(page.getByText(/saved \d\d:\d\d/)).toBeVisible()

/** One field of the spread. */
export const field = (page: Page, path: string, half: 'left' | 'right') =>
  page.locator(`[data-field="${path}@${half}"]`)

/** Goes to a page of the app: as its links do from another one of it, else by its address. */
export async function visit(page: Page, path: string) {
  const inApp = page.url().startsWith('http') && (await page.evaluate(() => 'next' in window))
  if (inApp) await follow(page, path)
  else await page.goto(path)
}

/**
 * Opens a card on the bench and waits until it takes what is typed: as a link of the app does
 * where the page waited for this test, else by its address.
 */
export async function openBench(page: Page, id: string) {
  const bench = `/cards/${id}/bench`
  if (page.url().endsWith(REST)) await visit(page, bench)
  else await page.goto(bench)
  await expect(page.getByRole('banner').getByText('saved')).toBeVisible()
}
