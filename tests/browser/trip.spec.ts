import { expect } from '@playwright/test'
import { readCard } from '../../src/core/formats'
import { demoText } from '../support/cards'
import {
  dense,
  expectAccessible,
  field,
  newCard,
  openBench,
  pdfPages,
  saved,
  test,
} from './helpers'

test('the first trip: find a card, write a new one from one side, read it, print it, take it as a file', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Standing' })).toBeVisible()
  await page.getByLabel('Search by name').fill('parsvakona')
  await expect(page.getByRole('article')).toHaveCount(1)
  await page.getByRole('link', { name: 'Long side angle', exact: true }).click()
  await expect(field(page, 'enter[0].text', 'left')).toHaveValue(
    'Step the right foot back, a leg length.'
  )
  await expect(field(page, 'enter[0].text', 'right')).toHaveValue(
    'Step the left foot back, a leg length.'
  )

  await page.getByRole('link', { name: 'Shelf', exact: true }).click()
  await page.getByRole('button', { name: 'New card' }).click()
  await page.getByLabel('Common name').fill('Half moon')
  await page.getByRole('dialog').getByLabel('Spine').selectOption('side')
  await page.getByRole('button', { name: 'Write it' }).click()
  await page.waitForURL('**/cards/half-moon/bench')

  await page.getByLabel('Sanskrit, in IAST').fill('ardha candrāsana')
  await expect(page.getByText('अर्ध चन्द्रासन')).toBeVisible()
  await page.getByLabel('Start, left leads').fill('Stand with the left foot near the wall.')
  await page.getByRole('button', { name: 'Add a step' }).first().click()

  // Letter by letter: what is typed in one half stands mirrored in the other.
  await page.keyboard.type('Bend the left')
  await expect(field(page, 'enter[0].text', 'left')).toHaveValue('Bend the right')
  await page.keyboard.type(' knee right over the ankle.')
  await expect(field(page, 'enter[0].text', 'left')).toHaveValue(
    'Bend the right knee right over the ankle.'
  )
  await page.keyboard.press('Enter')
  await page.keyboard.press('Alt+s')
  await page.keyboard.type('Set the right hand down.')
  await expect(field(page, 'enter[1].text', 'right')).toHaveValue('Set the left hand down.')
  await page.keyboard.press('Enter')
  await page.keyboard.type('Hold and look up.')
  await page.keyboard.press('Alt+h')
  await expect(page.getByLabel('Breath of step 3')).toHaveValue('hold-in')
  await page.keyboard.press('Alt+ArrowUp')
  await expect(field(page, 'enter[1].text', 'right')).toHaveValue('Hold and look up.')
  await expect(page.getByLabel('Breath of step 2')).toHaveValue('hold-in')

  await page.getByRole('button', { name: 'Add a cue' }).click()
  await page.keyboard.type('Press the left heel.')
  await expect(field(page, 'alignment[0].text', 'left')).toHaveValue('Press the right heel.')
  await saved(page)
  await page.reload()
  await expect(field(page, 'enter[2].text', 'left')).toHaveValue('Set the right hand down.')
  await expect(page.getByLabel('Start, right leads')).toHaveValue(
    'Stand with the right foot near the wall.'
  )

  await page.getByRole('link', { name: 'Read and print' }).click()
  await expect(page.getByRole('heading', { name: 'Half moon' })).toBeVisible()
  await expect(
    page.getByRole('row', {
      name: /Bend the right knee right over the ankle\..*Bend the left knee right over/,
    })
  ).toBeVisible()
  const pdf = await page.request.get('/api/cards/half-moon/pdf')
  expect(pdf.headers()['content-type']).toBe('application/pdf')
  const words = dense((await pdfPages(await pdf.body())).join(' '))
  expect(words).toContain(dense('Bend the right knee right over the ankle.'))
  expect(words).toContain(dense('Set the left hand down.'))
  expect(words).toContain('candrāsana')

  await page.getByRole('button', { name: 'As a file' }).click()
  const downloading = page.waitForEvent('download')
  await page.getByRole('menuitem', { name: 'Markdown' }).click()
  const download = await downloading
  expect(download.suggestedFilename()).toBe('half-moon.md')
  const card = readCard(
    await (
      await download.createReadStream()
    )
      .toArray()
      .then((parts) => Buffer.concat(parts).toString())
  )
  expect(card.enter.map((step) => [step.breath, step.text])).toEqual([
    ['in', 'Bend the left knee right over the ankle.'],
    ['hold-in', 'Hold and look up.'],
    ['out', 'Set the left hand down.'],
  ])
})

test('a demo card comes back from the server as the file it was made from', async ({ request }) => {
  for (const id of ['long-side-angle', 'tree', 'low-cobra']) {
    const file = await request.get(`/api/cards/${id}/file`)
    expect(await file.text()).toBe(demoText(id))
    const json = await request.get(`/api/cards/${id}/file?as=json`)
    expect(readCard(await json.text())).toEqual(readCard(demoText(id)))
  }
})

test('undo, redo, delete, move by hand, paste of several lines', async ({ page, request }) => {
  const id = await newCard(request, 'Undo me')
  await openBench(page, id)
  await page.getByRole('button', { name: 'Add a step' }).first().click()
  await page.evaluate(() => navigator.clipboard?.writeText?.('').catch(() => undefined))
  await field(page, 'enter[0].text', 'right').evaluate((node) => {
    const data = new DataTransfer()
    data.setData('text', 'First, left.\nSecond.\nThird, right.')
    node.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true })
    )
  })
  await expect(field(page, 'enter[2].text', 'left')).toHaveValue('Third, left.')
  await expect(page.getByLabel('Breath of step 2')).toHaveValue('out')

  const from = await page.getByRole('button', { name: 'Move step 1' }).first().boundingBox()
  const to = await page.getByRole('button', { name: 'Move step 3' }).first().boundingBox()
  await page.mouse.move(from!.x + 5, from!.y + 10)
  await page.mouse.down()
  await page.mouse.move(from!.x + 5, from!.y + 40, { steps: 5 })
  await page.mouse.move(to!.x + 5, to!.y + 20, { steps: 10 })
  await page.mouse.up()
  await expect(field(page, 'enter[2].text', 'right')).toHaveValue('First, left.')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(field(page, 'enter[0].text', 'right')).toHaveValue('First, left.')

  await page.getByRole('button', { name: 'Delete step 2' }).first().click()
  await expect(field(page, 'enter[1].text', 'right')).toHaveValue('Third, right.')
  await page.keyboard.press('Control+z')
  await expect(field(page, 'enter[1].text', 'right')).toHaveValue('Second.')
  await page.keyboard.press('Control+Shift+z')
  await expect(field(page, 'enter[1].text', 'right')).toHaveValue('Third, right.')

  await field(page, 'enter[0].text', 'right').click()
  await page.keyboard.press('End')
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('Alt+p')
  await expect(field(page, 'enter[0].text', 'left')).toHaveValue('First, {left}.')
  await saved(page)
})

test('an address leads to its section, and stays there while the page above it grows', async ({
  page,
}) => {
  await page.goto('/cards/gate/bench#ladder')
  const ladder = page.locator('#ladder')
  const top = async () => (await ladder.boundingBox())!.y
  const head = (await page.getByRole('heading', { level: 1 }).boundingBox())!
  const arrived = head.y + head.height
  // What stands above and below it, and what it asks itself, has come.
  await expect(ladder.getByText(/takes \d/).first()).toBeVisible()
  await expect(page.locator('#cautions').getByText('high blood pressure').first()).toBeAttached()
  await expect.poll(async () => Math.abs((await top()) - arrived)).toBeLessThan(60)
  // Who scrolls is not brought back.
  await page.mouse.move(600, 400)
  await page.mouse.wheel(0, -900)
  await expect.poll(top).toBeGreaterThan(arrived + 300)
  await page.setViewportSize({ width: 1100, height: 800 })
  await expect(ladder).toBeAttached()
  expect(await top()).toBeGreaterThan(arrived + 200)
})

test('a page that is scrolled by its bar, or by a search in it, is left there', async ({
  page,
}) => {
  await page.goto('/cards/gate/bench')
  const enter = page.locator('#enter')
  const top = async () => (await enter.boundingBox())!.y
  await expect.poll(top).toBeLessThan(300)
  await expect(enter.getByRole('img').first()).toBeVisible()
  // Neither tells the page of a key or of a pointer.
  await page.evaluate(() => window.scrollTo(0, 4000))
  await expect.poll(top).toBeLessThan(-500)
  for (const width of [1100, 1280]) {
    await page.setViewportSize({ width, height: 800 })
    await expect.poll(() => page.evaluate(() => innerWidth)).toBe(width)
  }
  await expect(page.locator('#cautions')).toBeAttached()
  expect(await top()).toBeLessThan(-500)
})

test('a stale save is refused with both texts, and the trainer chooses', async ({
  page,
  request,
}) => {
  const id = await newCard(request, 'Two hands')
  await openBench(page, id)
  const { card } = (await (await request.get(`/api/cards/${id}`)).json()) as {
    card: Record<string, unknown>
  }
  const other = await request.put(`/api/cards/${id}`, {
    data: { card: { ...card, notes: 'Theirs.' }, from: 1, author: 'Ben' },
  })
  expect(other.status()).toBe(200)
  const late = await request.put(`/api/cards/${id}`, {
    data: { card: { ...card, notes: 'Mine.' }, from: 1 },
  })
  expect(late.status()).toBe(409)
  expect(late.headers()['content-type']).toContain('application/problem+json')
  expect(await late.json()).toMatchObject({
    status: 409,
    current: { version: 2, card: { notes: 'Theirs.' } },
    yours: { notes: 'Mine.' },
  })

  await page.getByLabel('Sanskrit, in IAST').fill('mine')
  await expect(page.getByRole('dialog')).toContainText('Ben saved version 2')
  await expectAccessible(page, '[role=dialog]')
  await page.getByRole('button', { name: 'Save as the newer version' }).click()
  await saved(page)
  expect(await (await request.get(`/api/cards/${id}`)).json()).toMatchObject({
    version: 3,
    card: { names: { sanskrit: 'mine' } },
  })
})

for (const path of [
  '/',
  '/cards/long-side-angle/bench',
  '/cards/low-cobra/bench',
  '/cards/long-side-angle',
  '/cards/none',
])
  test(`nothing serious for axe at ${path}, by day and in the dark`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' })
    await page.goto(path)
    await expect(page.getByRole('heading').first()).toBeVisible()
    await page.waitForLoadState('networkidle')
    await expectAccessible(page)
    // In the dark only colours differ.
    await page.emulateMedia({ colorScheme: 'dark' })
    await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', 'dark')
    await expectAccessible(page, 'html', ['color-contrast'])
  })

test('what does not fit is refused with a reason, and nothing is saved', async ({ request }) => {
  const id = await newCard(request, 'Strict')
  const { card } = (await (await request.get(`/api/cards/${id}`)).json()) as {
    card: Record<string, unknown>
  }
  const put = (data: unknown) => request.put(`/api/cards/${id}`, { data: data as object })
  const bad = await put({ card: { ...card, base: 'floating' }, from: 1 })
  expect(bad.status()).toBe(400)
  expect(((await bad.json()) as { detail: string }).detail).toContain(
    '“card.base” should be one of: standing'
  )
  expect((await put({ card: { ...card, extra: 1 }, from: 1 })).status()).toBe(400)
  expect((await put({ card: { ...card, id: 'other' }, from: 1 })).status()).toBe(400)
  expect(
    (
      await request.put(`/api/cards/${id}`, {
        headers: { 'content-type': 'application/json' },
        data: Buffer.from('{'),
      })
    ).status()
  ).toBe(400)
  expect((await request.get('/api/cards/none')).status()).toBe(404)
  expect(await (await request.get(`/api/cards/${id}`)).json()).toMatchObject({ version: 1 })
})
