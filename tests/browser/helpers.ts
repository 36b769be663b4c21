import { readFileSync } from 'node:fs'
import { AxeBuilder } from '@axe-core/playwright'
import { expect, test as base, type APIRequestContext, type Page } from '@playwright/test'

export { pdfPages } from '../support/pdfPages.mjs'

/**
 * A test with a server and a deck that no other test of the moment has. No page that it opens
 * may run against its own policy, or end a script with an error.
 */
export const test = base.extend<{ refusals: string[] }>({
  baseURL: async ({}, give, { parallelIndex }) => {
    await give(process.env.BASE_URLS!.split(' ')[parallelIndex])
  },
  refusals: [
    async ({ context }, give) => {
      const refused: string[] = []
      context.on('console', (message) => {
        if (/content security policy|refused to/i.test(message.text())) refused.push(message.text())
      })
      context.on('weberror', (error) => refused.push(String(error.error())))
      await give(refused)
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

export const demoText = (id: string) => readFileSync(`demo/${id}.md`, 'utf8')

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
