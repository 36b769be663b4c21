import { expect, type Page } from '@playwright/test'
import { test } from './helpers'

/** A whole card with its figure, written without a mouse. */

/** Presses Tab until what is wanted has the focus. */
async function tabTo(page: Page, wanted: RegExp, most = 140) {
  for (let i = 0; i < most; i += 1) {
    await page.keyboard.press('Tab')
    const name = await page.evaluate(() => {
      const at = document.activeElement
      if (!at) return ''
      const label = at.id ? document.querySelector(`label[for="${at.id}"]`)?.textContent : ''
      return [at.getAttribute('aria-label'), label, at.textContent?.slice(0, 80)]
        .filter(Boolean)
        .join(' | ')
    })
    if (wanted.test(name)) return
  }
  throw new Error(`Tab never came to ${wanted}`)
}

test('a new card, its steps, a cue, its figure and a pull of its hand, by keys alone', async ({
  page,
  request,
}) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Standing' })).toBeVisible()
  // The first stop leads past the header.
  await page.keyboard.press('Tab')
  await expect(page.getByRole('link', { name: /skip|content/i }).first()).toBeFocused()
  await tabTo(page, /New card/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog')).toBeVisible()
  await page.getByLabel('Common name').waitFor()
  if (!(await page.getByLabel('Common name').evaluate((at) => at === document.activeElement)))
    await tabTo(page, /Common name/)
  await page.keyboard.type('Written by keys')
  await tabTo(page, /Write it/)
  await page.keyboard.press('Enter')
  await page.waitForURL('**/written-by-keys/bench')
  await expect(page.getByRole('banner').getByText('saved')).toBeVisible()

  await tabTo(page, /Add a step/)
  await page.keyboard.press('Enter')
  await page.keyboard.type('Lift both arms.')
  await page.keyboard.press('Alt+i')
  await page.keyboard.press('Enter')
  await page.keyboard.type('Lower both arms.')
  await page.keyboard.press('Alt+o')
  await tabTo(page, /Add a cue/)
  await page.keyboard.press('Enter')
  await page.keyboard.type('Press both feet down.')
  await expect(page.getByText(/saved \d\d:\d\d/)).toBeVisible()

  await page.evaluate(() => (document.activeElement as HTMLElement).blur())
  await tabTo(page, /^Figure/)
  await page.keyboard.press('Enter')
  await page.waitForURL('**/written-by-keys/figure')
  await expect(page.getByText('No figure yet')).toBeVisible()
  await tabTo(page, /^Standing/)
  await page.keyboard.press('Enter')
  const hand = page.getByRole('button', { name: 'Pull the left hand;' })
  await expect(hand).toBeVisible()
  const before = (await hand.boundingBox())!
  await tabTo(page, /Pull the left hand/)
  for (let i = 0; i < 12; i += 1) await page.keyboard.press('ArrowUp')
  await page.keyboard.press('Enter')
  await expect.poll(async () => (await hand.boundingBox())!.y).toBeLessThan(before.y - 10)
  await page.evaluate(() => (document.activeElement as HTMLElement).blur())
  await tabTo(page, /^Save/)
  await page.keyboard.press('Enter')
  await expect
    .poll(async () => {
      const { card } = await (await request.get('/api/cards/written-by-keys')).json()
      const forms = [card.setUp, ...card.enter].flatMap(({ figure }) => figure ?? [])
      return forms.map(({ contacts }) => contacts.length)
    })
    .toEqual([2])
  const { card } = await (await request.get('/api/cards/written-by-keys')).json()
  expect(
    card.enter.map(({ breath, text }: { breath: string; text: string }) => [breath, text])
  ).toEqual([
    ['in', 'Lift both arms.'],
    ['out', 'Lower both arms.'],
  ])
  expect(card.alignment[0].text).toBe('Press both feet down.')
})
