import { expect, type Page } from '@playwright/test'
import { demoText } from '../support/cards'
import { expectAccessible, newCard, openBench, saved, test, visit } from './helpers'

/** A body that is posed, drawn and measured, as a trainer meets it. */

const handle = (page: Page, name: string) => page.getByRole('button', { name: `Pull the ${name};` })

async function placeOf(page: Page, name: string) {
  const box = (await handle(page, name).boundingBox())!
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 }
}

/** Waits until the drawing stands still. */
async function atRest(page: Page) {
  let before = ''
  await expect
    .poll(async () => {
      const now = await page.getByRole('region', { name: 'Figure' }).innerHTML()
      const same = now === before
      before = now
      return same
    })
    .toBe(true)
}

/** Starts from a position; again, should the page not have been awake yet. */
async function startFrom(page: Page, label: string) {
  await expect(async () => {
    await page.getByLabel('Start from').selectOption({ label })
    await expect(handle(page, 'head')).toBeVisible({ timeout: 2000 })
  }).toPass()
}

test('a figure is started, pulled by hand and by keys, taken back, and saved', async ({
  page,
  request,
}) => {
  const id = await newCard(request, 'Posed')
  await page.goto(`/cards/${id}/figure`)
  await expect(page.getByText('No figure yet')).toBeVisible()
  await startFrom(page, 'Wide stand, arms out')
  await expect(handle(page, 'left hand')).toBeVisible()
  await atRest(page)

  const from = await placeOf(page, 'left hand')
  const foot = await placeOf(page, 'left heel')
  await page.mouse.move(from.x, from.y)
  await page.mouse.down()
  await page.mouse.move(from.x, from.y - 40, { steps: 4 })
  await page.mouse.move(from.x, from.y - 90, { steps: 6 })
  await expect.poll(async () => (await placeOf(page, 'left hand')).y).toBeLessThan(from.y - 40)
  const still = await placeOf(page, 'left heel')
  expect(Math.hypot(still.x - foot.x, still.y - foot.y)).toBeLessThan(4)
  await page.mouse.up()
  await atRest(page)

  const away = async () => {
    const now = await placeOf(page, 'left hand')
    return Math.hypot(now.x - from.x, now.y - from.y)
  }
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(away).toBeLessThan(3)
  await page.getByRole('button', { name: 'Do it again' }).click()
  await expect.poll(away).toBeGreaterThan(40)
  await atRest(page)

  const knee = await placeOf(page, 'right knee')
  await handle(page, 'right knee').focus()
  for (let i = 0; i < 6; i += 1) await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await expect
    .poll(async () => Math.abs((await placeOf(page, 'right knee')).y - knee.y))
    .toBeGreaterThan(0.5)
  await atRest(page)

  await expectAccessible(page)
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('button', { name: 'Save' })).toBeDisabled()
  const { card } = await (await request.get(`/api/cards/${id}`)).json()
  expect(card.setUp.figure.contacts).toEqual([
    { on: 'floor', part: 'left sole' },
    { on: 'floor', part: 'right sole' },
  ])
  const svg = await request.get(`/api/cards/${id}/figure?of=start`)
  expect(svg.headers()['content-type']).toContain('image/svg+xml')
  expect(await svg.text()).toMatch(
    /<title id="title">Posed<\/title>\n<desc id="desc">On the floor: left sole and right sole\./
  )
})

test('angles are typed, contacts and a measure chosen, another form seen behind', async ({
  page,
  request,
}) => {
  const id = await newCard(request, 'Typed')
  await visit(page, `/cards/${id}/figure`)
  await startFrom(page, 'Standing')
  await page.getByLabel('Joint').selectOption('leftShoulder')
  await page.getByLabel('abduction').fill('90')
  await page.getByLabel('abduction').blur()
  await expect(page.getByText('is 90°')).toBeVisible()

  const region = page.getByRole('region', { name: 'Figure' })
  await page.getByRole('button', { name: 'left elbow angle' }).click()
  await expect(region.locator('[data-part="measure"] path').first()).toBeAttached()
  await page.getByLabel('Behind it').selectOption({ label: 'nothing behind' })

  // A hand that cannot reach the floor from there is told, in centimetres.
  await page.getByRole('button', { name: 'Add a contact' }).click()
  await page.getByLabel('Contact 3, part').selectOption('left elbow')
  await page.getByRole('button', { name: 'Add a contact' }).click()
  await page.getByLabel('Contact 4, part').selectOption('crown')
  await page.getByLabel('Contact 4, on').selectOption('wall')
  await atRest(page)
  await page.getByRole('button', { name: 'Take contact 4 away' }).click()
  await page.getByRole('button', { name: 'Take contact 3 away' }).click()

  await page.getByLabel('legs, %').fill('110')
  await page.getByLabel('legs, %').blur()
  await page.getByRole('button', { name: 'Keep contact 1 on its place' }).click()
  await page.getByRole('button', { name: 'Flip sides' }).click()
  await page.getByLabel('Joint').selectOption('rightShoulder')
  await expect(page.getByLabel('abduction')).toHaveValue('90')
  await page.getByRole('button', { name: 'To the bench' }).click()
  await page.waitForURL(`**/cards/${id}/bench`)
  const { card } = await (await request.get(`/api/cards/${id}`)).json()
  expect(card.setUp.figure.angles.rightShoulder.abduction).toBe(90)
  expect(card.setUp.figure.body).toEqual({ legs: 1.1 })
  expect(card.setUp.figure.contacts.some((contact: { at?: number[] }) => contact.at)).toBe(true)
})

test('words saved meanwhile stay, and the figure is added to them', async ({ page, request }) => {
  const id = await newCard(request, 'Two at work')
  await visit(page, `/cards/${id}/figure`)
  await startFrom(page, 'Standing')
  const before = await (await request.get(`/api/cards/${id}`)).json()
  const put = await request.put(`/api/cards/${id}`, {
    data: {
      card: { ...before.card, notes: 'Written meanwhile.' },
      from: before.version,
      author: '',
    },
  })
  expect(put.status()).toBe(200)
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('The card was changed meanwhile')).toBeVisible()
  const { card } = await (await request.get(`/api/cards/${id}`)).json()
  expect(card.notes).toBe('Written meanwhile.')
  expect(card.setUp.figure.contacts).toHaveLength(2)
})

test('forms as BVH and back, errors told and nothing changed', async ({ page, request }) => {
  const bvh = await request.get('/api/cards/gate/figure?as=bvh')
  expect(bvh.status()).toBe(200)
  const id = await newCard(request, 'From a file')
  await visit(page, `/cards/${id}/figure`)
  await page.getByLabel('Frame of the BVH file').fill('2')
  const choose = page.locator('input[type=file]')
  await choose.setInputFiles({
    name: 'gate.bvh',
    mimeType: 'text/plain',
    buffer: Buffer.from(await bvh.text()),
  })
  await expect(page.getByText('Frame 2 of 5.')).toBeVisible()
  await expect(handle(page, 'head')).toBeVisible()
  await choose.setInputFiles({
    name: 'odd.bvh',
    mimeType: 'text/plain',
    buffer: Buffer.from('HIERARCHY\nROOT hips\n{\nOFFSET 1 2\n'),
  })
  await expect(
    page.getByText(/odd\.bvh, line 4: OFFSET needs three numbers.*Nothing was changed/)
  ).toBeVisible()
  await expect(handle(page, 'head')).toBeVisible()
})

test('a cue is measured on the bench, and a figure that breaks it is a finding', async ({
  page,
  request,
}) => {
  const { card } = await (await request.get('/api/cards/long-side-angle')).json()
  const copy = { ...card, id: 'measured-angle', number: '', counter: [] }
  const id = await newCard(request, 'Measured angle')
  const stored = await (await request.get(`/api/cards/${id}`)).json()
  const put = await request.put(`/api/cards/${id}`, {
    data: { card: { ...copy, id, names: stored.card.names }, from: stored.version, author: '' },
  })
  expect(put.status()).toBe(200)

  await openBench(page, id)
  const cues = page.getByRole('group', { name: 'cues' })
  await cues.scrollIntoViewIfNeeded()
  await expect(cues.getByRole('img', { name: /left leads/ })).toBeVisible()
  await expect(cues.getByRole('img', { name: /right leads/ })).toBeVisible()
  const measure = page.getByRole('button', { name: 'Measure of cue 2' })
  await expect(measure).toContainText(/✓ \d/)
  await measure.click()
  await page.getByLabel('wanted').fill('45')
  await page.getByLabel('wanted').blur()
  await expect(measure).toContainText('off: ')
  await expect(page.locator('[data-finding="figure/keeps-the-cues"]').first()).toContainText(
    'wanted 45° give or take 12'
  )
  await page.keyboard.press('Escape')
  await saved(page)

  await visit(page, `/cards/${id}`)
  await expect(page.getByText(/front knee over ankle: .*but wanted 45° ± 12/).first()).toBeVisible()
  await expect(page.getByRole('region', { name: 'Sizes by stature' })).toContainText(
    'from ankle to ankle'
  )
  await expectAccessible(page)
})

test('the shelf shows figures from addresses that may be kept', async ({ page, request }) => {
  await page.goto('/')
  const picture = page.locator('article', { hasText: 'Mountain' }).locator('img')
  await expect(picture).toBeVisible()
  const address = (await picture.getAttribute('src'))!
  const answer = await request.get(address)
  expect(answer.headers()['cache-control']).toContain('immutable')
  const png = await request.get('/api/cards/mountain/figure?as=png')
  expect((await png.body()).subarray(1, 4).toString()).toBe('PNG')
  expect((await request.get('/api/cards/mountain/figure?side=up')).status()).toBe(400)
  expect((await request.get('/api/cards/mountain/figure?of=nothing')).status()).toBe(404)
})

test('a cue is marked on the figure, chosen by looking at it, and drawn on the card', async ({
  page,
  request,
}) => {
  const made = await request.post('/api/import', {
    multipart: {
      file: {
        name: 'x.md',
        mimeType: 'text/markdown',
        buffer: Buffer.from(
          demoText('gate')
            .replace('id: gate', 'id: marked-gate')
            .replace(/ {2}- Mark: .*\n/g, '')
        ),
      },
    },
  })
  expect(made.status()).toBe(200)
  await openBench(page, 'marked-gate')
  await page.getByRole('button', { name: 'Mark of cue 3' }).click()
  // What the cue measures offers its mark.
  await page.getByRole('button', { name: 'As it is measured: plumb line: left hip' }).click()
  const looks = page.getByRole('img', { name: 'plumb line: left hip' })
  await expect(looks.locator('[data-part="teachDots"]')).toBeAttached()
  await page.getByRole('button', { name: 'press', exact: true }).click()
  await page.getByLabel('Where').selectOption('right foot')
  await expect(
    page.getByRole('img', { name: 'press: right foot' }).locator('[data-part="teachHead"]')
  ).toBeAttached()
  await page.keyboard.press('Escape')
  await saved(page)
  await expectAccessible(page)

  await visit(page, '/cards/marked-gate')
  await expect(page.getByText('press: right foot').first()).toBeVisible()
  await expect(page.getByText('press: left foot').first()).toBeVisible()
  const svg = await (await request.get('/api/cards/marked-gate/figure?manner=lines')).text()
  expect(svg).not.toContain('fill="#4a6066"')
  expect(svg).toContain('<g id="cloth" fill="none"')
})

test('the school picks bodies by looking at them, and cards are drawn with them', async ({
  page,
  request,
}) => {
  await visit(page, '/school')
  await page.getByRole('button', { name: 'older' }).click()
  await page.getByRole('button', { name: 'usual' }).click()
  await page.getByRole('button', { name: 'Save for the deck' }).click()
  await expect(page.getByRole('button', { name: 'Save for the deck' })).toBeHidden()
  await visit(page, '/')
  const picture = page.locator('article', { hasText: 'Mountain' }).locator('img')
  await expect(picture).toHaveAttribute('src', /build=older/)
  const svg = await (await request.get((await picture.getAttribute('src'))!)).text()
  expect(svg).toContain('<g id="lightHair"')
  expect((await request.get('/api/cards/mountain/figure?build=giant')).status()).toBe(400)
  // The others find the deck as it was.
  await visit(page, '/school')
  await page.getByRole('button', { name: 'usual' }).click()
  await page.getByRole('button', { name: 'older' }).click()
  await page.getByRole('button', { name: 'Save for the deck' }).click()
  await expect(page.getByRole('button', { name: 'Save for the deck' })).toBeHidden()
})
