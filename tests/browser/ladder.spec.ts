import { expect, type Page } from '@playwright/test'
import { expectAccessible, openBench, saved, test } from './helpers'

/** The ladder as a trainer works on it: what rungs ask, proposals, a body, two side by side, the deck. */

const rung = (page: Page, at: number) =>
  page.getByRole('group', { name: `rung ${at}`, exact: true })

test('rungs climb the page with their forms, what they ask, and why', async ({ page }) => {
  await openBench(page, 'tree')
  const top = rung(page, 4)
  await top.scrollIntoViewIfNeeded()
  await expect(top.getByRole('img', { name: 'Foot on the thigh, arms up' })).toBeVisible()
  await expect(
    top.getByRole('img', { name: /^range \d+, strength \d+, balance \d+/ })
  ).toBeVisible()
  await expect(top.getByText('Sweep both arms overhead.')).toBeVisible()
  await top.getByText('Why', { exact: true }).click()
  await expect(top.getByText(/from tipping/)).toBeVisible()
  await expect(top.getByText('drawn for this rung')).toBeVisible()
  // From the bottom up, each asks more.
  const totals = await page
    .locator('#ladder')
    .getByText(/^asks \d+ of 100/)
    .allTextContents()
  const numbers = totals.map((each) => Number(/\d+/.exec(each)![0]))
  expect(numbers).toHaveLength(4)
  expect([...numbers].sort((a, b) => b - a)).toEqual(numbers)
  await expectAccessible(page, '#ladder')
})

test('for a body each rung says whether it is open, and what is missing', async ({ page }) => {
  await openBench(page, 'tree')
  await rung(page, 4).scrollIntoViewIfNeeded()
  await page.getByText('Stiff from sitting', { exact: true }).click()
  await expect(page.getByText('First open rung: Toes on the floor')).toBeVisible()
  await expect(rung(page, 4).getByText(/not open.*hip opening: \d+° short/)).toBeVisible()
  await page.getByText('Supple, small', { exact: true }).click()
  await expect(rung(page, 4).getByText('not open')).toHaveCount(0)
  await page.getByRole('button', { name: 'Own numbers' }).click()
  await page.getByLabel('Hip opening').fill('5')
  await expect(rung(page, 1).getByText(/hip opening: \d+° short/)).toBeVisible()
  await expect(page.getByText(/No rung is open/)).toBeVisible()
})

test('two rungs side by side', async ({ page }) => {
  await openBench(page, 'tree')
  await rung(page, 4).scrollIntoViewIfNeeded()
  await page.getByRole('button', { name: 'Compare rung 4 with the one below' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByText('in: Set the right foot on the left thigh.')).toBeVisible()
  await expect(dialog.getByRole('img', { name: /against/ })).toBeVisible()
  await dialog.getByLabel('First rung').selectOption({ label: 'Toes on the floor' })
  await expect(dialog.getByText('in: Set the right heel on the left ankle.')).toBeVisible()
  await expectAccessible(page, '[role="dialog"]')
})

test('a proposed rung is taken with one key and thrown away with another; a drag puts rungs in another order', async ({
  page,
  request,
}) => {
  const id = 'mountain'
  await openBench(page, id)
  await rung(page, 1).scrollIntoViewIfNeeded()
  await page.getByRole('button', { name: 'Propose rungs' }).click()
  const offers = page.getByRole('listitem').filter({ hasText: /easier|harder/ })
  await expect(offers.first()).toBeVisible()
  const count = await offers.count()
  expect(count).toBeGreaterThan(3)
  const names = await offers.locator('b').allTextContents()
  await offers.last().focus()
  await page.keyboard.press('Delete')
  await expect(offers).toHaveCount(count - 1)
  const wanted = page.locator('[data-proposal="Arms overhead"]')
  await wanted.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Rung 4, name', { exact: true })).toHaveValue('Arms overhead')
  await expect(rung(page, 4).getByRole('img', { name: 'Arms overhead' })).toBeVisible()
  await saved(page)
  const { card } = (await (await request.get(`/api/cards/${id}`)).json()) as {
    card: { ladder: { name: string; figure: object }[] }
  }
  expect(card.ladder.at(-1)).toMatchObject({ name: 'Arms overhead', figure: expect.anything() })
  expect(names).toContain('Arms overhead')

  // Dragged below the stand it asks more than what is above it, and that is told beside it.
  await page.getByRole('button', { name: 'Close', exact: true }).click()
  const grip = page.getByRole('button', { name: 'Move rung 1', exact: true })
  await grip.focus()
  await page.keyboard.press('Space')
  // The page scrolls along before the row moves on.
  await expect(async () => {
    await page.keyboard.press('ArrowDown')
    await expect(page.getByText(/“.+” asks less than “Arms overhead” below it\./)).toBeVisible({
      timeout: 1000,
    })
  }).toPass()
  await page.keyboard.press('Space')
  await expect(page.getByLabel('Rung 4, name', { exact: true })).not.toHaveValue('Arms overhead')
  await expect(page.locator('[data-finding="ladder/climbs"]').first()).toBeVisible()
  await page.locator('[data-finding="ladder/climbs"] [data-mend]').first().click()
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect(page.getByLabel('Rung 4, name', { exact: true })).toHaveValue('Arms overhead')
  await page.keyboard.press('Control+z')
  await expect(page.getByLabel('Rung 4, name', { exact: true })).toHaveCount(0)
  await page.keyboard.press('Control+s')
  await saved(page)
})

test('signs are picked from the house and the trade; cues of a rung are its own', async ({
  page,
  request,
}) => {
  const id = 'standing-fold'
  await openBench(page, id)
  const lowest = rung(page, 1)
  await lowest.scrollIntoViewIfNeeded()
  await lowest.getByRole('combobox', { name: 'Rung 1, go up when' }).click()
  await page.getByRole('option', { name: 'the breath stays even for five breaths' }).click()
  await lowest.getByText('Props, steps, cues and stay').click()
  await lowest.getByText('Cues: all as on the card').click()
  await lowest.getByLabel('Rung 1, cue 1').selectOption('omit')
  await lowest.getByRole('button', { name: 'Add a cue' }).click()
  await lowest
    .getByLabel('Rung 1, added cue 1', { exact: true })
    .fill('Press the hands into the seat.')
  await page.keyboard.press('Control+s')
  await saved(page)
  const { card } = (await (await request.get(`/api/cards/${id}`)).json()) as {
    card: { ladder: { upWhen: string[]; cues: object }[] }
  }
  expect(card.ladder[0]!.upWhen).toContain('the breath stays even for five breaths')
  expect(card.ladder[0]!.cues).toMatchObject({
    omit: [expect.any(String)],
    add: [{ text: 'Press the hands into the seat.' }],
  })
})

test('a rung is read and printed as a card of its own', async ({ page, request }) => {
  await page.goto('/cards/tree?rung=wall')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Tree: Hand on the wall')
  const print = page.getByRole('link', { name: 'Print, A5' })
  expect(await print.getAttribute('href')).toBe('/api/cards/tree/pdf?rung=wall')
  const pdf = await request.get('/api/cards/tree/pdf?rung=wall')
  expect(pdf.status()).toBe(200)
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-')
  expect((await request.get('/api/cards/tree/pdf?rung=none')).status()).toBe(404)
  await page.getByRole('link', { name: 'The whole card' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Tree/)
  await expect(page.getByText('the form described here')).toBeVisible()
})

test('the deck’s levels stand on one chart, with the gaps between them', async ({ page }) => {
  await page.goto('/ladders')
  const chart = page.getByRole('region', { name: 'Levels of the deck' })
  await expect(chart).toBeVisible()
  await expect(chart.getByText('Long side angle')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Gaps between levels' })).toBeVisible()
  await expect(page.getByRole('listitem').filter({ hasText: 'between' }).first()).toBeVisible()
  await page.getByLabel('What is looked at').selectOption('balance')
  await page.getByText('by spine direction').click()
  await expect(chart.getByText('twist', { exact: true })).toBeVisible()
  await expectAccessible(page, 'main')
})
