import { AxeBuilder } from '@axe-core/playwright'
import {
  type APIRequestContext,
  type BrowserContext,
  chromium,
  type ConsoleMessage,
  expect,
  type Page,
  test as base,
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

/**
 * A test with a server and a deck that no other test of the moment has. Its browser is that of
 * the test before, with nothing open and nothing kept. No page that it opens may run against its
 * own policy, or end a script with an error.
 */
export const test = base.extend<
  { refusals: string[] },
  { visited: { context: BrowserContext; kept: Page } }
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
      await give({ context, kept })
      await context.close()
    },
    { scope: 'worker' },
  ],
  context: async ({ visited, baseURL }, give) => {
    const { context, kept } = visited
    await give(context)
    const opened = context.pages().filter((page) => page !== kept)
    await Promise.all(opened.map((page) => page.close()))
    await forget(context, kept, baseURL!)
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

/** Opens a card on the bench and waits until it takes what is typed. */
export async function openBench(page: Page, id: string) {
  await page.goto(`/cards/${id}/bench`)
  await expect(page.getByRole('banner').getByText('saved')).toBeVisible()
}
