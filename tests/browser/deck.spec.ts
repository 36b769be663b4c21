import { expect } from '@playwright/test'
import { unzipSync, zipSync } from 'fflate'
import { readCard, writeMarkdown } from '../../src/core/formats'
import { demoText } from '../support/cards'
import { expectAccessible, field, newCard, openBench, saved, test } from './helpers'

interface Stored {
  version: number
  card: ReturnType<typeof readCard>
}
const stored = async (
  request: { get: (url: string) => Promise<{ json: () => Promise<unknown> }> },
  id: string
) => (await (await request.get(`/api/cards/${id}`)).json()) as Stored

test('every section is written on the bench, by keys, and saved', async ({ page, request }) => {
  test.setTimeout(120_000)
  const id = await newCard(request, 'Whole')
  await openBench(page, id)
  await page.getByLabel('Hours after a meal').fill('2')
  await page.getByRole('button', { name: 'Add an effect' }).click()
  await page.keyboard.type('Feels wide.')
  await page.getByRole('button', { name: 'Add a cue' }).click()
  await page.keyboard.type('Press the left foot.')
  await page.getByLabel('Breaths', { exact: true }).fill('5')

  await page.getByRole('button', { name: 'Add a mistake' }).click()
  await page.getByLabel('Seen 1, right leads').fill('The left knee rolls in.')
  await expect(page.getByLabel('Seen 1, left leads')).toHaveValue('The right knee rolls in.')
  // No side is named: one line across, until there is one.
  await page.getByLabel('Why 1', { exact: true }).fill('The knee takes the load.')
  await page.getByLabel('Say 1, right leads').fill('Press out.')
  await page.getByLabel('Cue that mistake 1 breaks').selectOption({ index: 1 })

  await page.getByRole('button', { name: 'Add a caution' }).click()
  await page.keyboard.type('vertigo')
  const say = page.getByLabel('Caution 1, say', { exact: true })
  await say.click()
  await page.keyboard.type('Keep the left')
  await expect(page.getByLabel('Caution 1, say, left leads')).toHaveValue('Keep the right')
  await page.keyboard.type(' hand on the wall.')
  await expect(page.getByLabel('Caution 1, say, right leads')).toHaveValue(
    'Keep the left hand on the wall.'
  )

  await page.getByRole('button', { name: 'Add a rung' }).click()
  await page.getByLabel('Rung 1, name', { exact: true }).fill('Free')
  await page.getByLabel('Rung 1, name', { exact: true }).press('Control+Enter')
  await page.getByLabel('Rung 2, name', { exact: true }).fill('At the wall')
  await page.getByLabel('Rung 2, name', { exact: true }).press('Alt+ArrowDown')
  await expect(page.getByLabel('Rung 1, name', { exact: true })).toHaveValue('At the wall')

  await page.getByRole('button', { name: 'Add a step' }).first().click()
  await page.keyboard.type('Step the left foot back.')
  const lowest = page.getByRole('group', { name: 'rung 1', exact: true })
  await lowest.getByText('Props, steps, cues and stay').click()
  await lowest.getByText('Steps: all as on the card').click()
  await page.getByLabel('Rung 1, step 1').selectOption('replace')
  await page.getByLabel('Rung 1, instead of step 1, right leads').fill('Slide the left foot back.')
  await page.getByRole('button', { name: 'Add after' }).first().click()
  await page.getByLabel('Rung 1, added step 1, right leads').fill('Hold the wall.')

  await page.getByRole('button', { name: 'Add a step' }).last().click()
  await page.keyboard.type('Step the left foot in.')
  await page.getByLabel('Between the sides, right leads').fill('Stand still.')
  const follow = page.getByRole('combobox', { name: 'Follow with' })
  await follow.fill('Mountain')
  // By its key: where the list is pressed, it may have moved on as the page above it grew.
  await expect(page.getByRole('option', { name: 'Mountain (mountain)' })).toBeVisible()
  await follow.press('ArrowDown')
  await follow.press('Enter')
  // Typed by its name and left, it is taken as well; what is no card is not, and that is told.
  await follow.fill('tree')
  await follow.press('Tab')
  await follow.fill('no such card')
  await follow.press('Tab')
  await expect(page.getByText('“no such card” is not the name of one card')).toBeVisible()
  await page.getByRole('button', { name: 'Add a touch' }).click()
  await page.getByLabel('Touch 1, right leads').fill('Steady the left hip; ask first.')
  await page.getByLabel('Notes').fill('One.\n\nTwo.')
  await page.keyboard.press('Control+s')
  await saved(page)

  const { card } = await stored(request, id)
  expect(card).toMatchObject({
    when: { mealGapHours: 2 },
    effects: [{ text: 'Feels wide.', basis: 'experience' }],
    stay: { breaths: 5 },
    mistakes: [{ seen: 'The left knee rolls in.', cue: 'a1', say: 'Press out.' }],
    cautions: [{ condition: 'vertigo', verdict: 'change' }],
    ladder: [
      {
        name: 'At the wall',
        steps: {
          replace: [{ step: 's1', text: 'Slide the left foot back.' }],
          add: [{ after: 's1', step: { text: 'Hold the wall.' } }],
        },
      },
      { name: 'Free', reference: true },
    ],
    exit: [{ text: 'Step the left foot in.' }],
    betweenSides: { text: 'Stand still.' },
    counter: ['mountain', 'tree'],
    assists: [{ text: 'Steady the left hip; ask first.' }],
    notes: 'One.\n\nTwo.',
  })
  await expect(page.getByText('Give the Sanskrit name, with its marks.').first()).toBeVisible()
  await expectAccessible(page)

  await page.keyboard.press('Control+k')
  await page.getByPlaceholder('Go to a card').fill('gate')
  await page.getByRole('button', { name: /^Gate/ }).click()
  await page.waitForURL('**/cards/gate/bench')
})

test('without the server, typing goes on, is kept, and is saved when it is back; a crash loses nothing', async ({
  page,
  context,
  request,
}) => {
  const id = await newCard(request, 'Offline')
  await openBench(page, id)
  await page.getByRole('button', { name: 'Add a step' }).first().click()
  await page.keyboard.type('First.')
  await saved(page)
  await page.route('**/api/cards/**', (route) => route.abort())
  await page.keyboard.press('Enter')
  await page.keyboard.type('Second, typed without a server, left.')
  await expect(page.getByText('kept in this browser, not yet saved')).toBeVisible()
  await expect(field(page, 'enter[1].text', 'left')).toHaveValue(
    'Second, typed without a server, right.'
  )
  await page.unroute('**/api/cards/**')
  await saved(page)
  expect((await stored(request, id)).card.enter).toHaveLength(2)

  await page.route('**/api/cards/**', (route) => route.abort())
  await page.keyboard.press('Enter')
  await page.keyboard.type('Third, before the crash.')
  await expect(page.getByText('kept in this browser, not yet saved')).toBeVisible()
  await page.close()
  const again = await context.newPage()
  await again.goto(`/cards/${id}/bench`)
  await expect(field(again, 'enter[2].text', 'right')).toHaveValue('Third, before the crash.')
  await expect
    .poll(async () => (await stored(request, id)).card.enter[2]?.text)
    .toBe('Third, before the crash.')
  await expect(again.getByRole('banner').getByText('saved')).toBeVisible()
})

test('two tabs on one card are told of each other', async ({ page, context, request }) => {
  const id = await newCard(request, 'Two tabs')
  await openBench(page, id)
  const other = await context.newPage()
  await openBench(other, id)
  await expect(other.getByText(/also here:/)).toBeVisible()
  await expect(page.getByText(/also here:/)).toBeVisible()
  const left = other.waitForResponse((answer) => answer.request().resourceType() === 'ping')
  await other.getByRole('link', { name: 'Ladders' }).click()
  expect((await left).status()).toBe(200)
  await expect(page.getByText(/also here:/)).toBeHidden()
})

test('history compares two versions and brings one back; the bin keeps a card until it is emptied', async ({
  page,
  request,
}) => {
  const id = await newCard(request, 'Old and new')
  const first = await stored(request, id)
  await request.put(`/api/cards/${id}`, {
    data: { card: { ...first.card, notes: 'Second text.' }, from: 1, author: 'Ben' },
  })
  await openBench(page, id)
  await page.getByRole('button', { name: 'Versions' }).click()
  await expect(page.locator('ins', { hasText: 'Second text.' })).toBeVisible()
  await page.getByText('As text').click()
  await expect(page.getByRole('cell', { name: '+ Second text.' })).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Bring version 1 back' }).click()
  await page.waitForURL(`**/cards/${id}/bench`)
  expect(await stored(request, id)).toMatchObject({ version: 3, card: { notes: '' } })

  await page.getByRole('button', { name: 'Put this card into the bin' }).click()
  await page.waitForURL('**/bin')
  await expect(page.getByRole('button', { name: 'Put back Old and new' })).toBeVisible()
  await expectAccessible(page)
  await page
    .getByRole('button', { name: /Put back/ })
    .first()
    .click()
  await expect(page.getByText('The bin is empty.')).toBeVisible()
  expect((await stored(request, id)).version).toBe(3)
  await request.delete(`/api/cards/${id}`)
  await page.reload()
  await page.getByRole('button', { name: 'Empty the bin' }).click()
  await page.getByRole('button', { name: 'Empty it' }).click()
  await expect(page.getByText('The bin is empty.')).toBeVisible()
  expect((await request.get(`/api/cards/${id}`)).status()).toBe(404)
})

test('after a stale save the trainer takes one line from here and one from there', async ({
  page,
  request,
}) => {
  const id = await newCard(request, 'Both hands')
  const { card } = await stored(request, id)
  const base = { ...card, setUp: { place: 'Old place.', props: [], note: '' }, notes: 'Old note.' }
  await request.put(`/api/cards/${id}`, { data: { card: base, from: 1 } })
  await openBench(page, id)
  await request.put(`/api/cards/${id}`, {
    data: {
      card: { ...base, setUp: { ...base.setUp, place: 'Their place.' }, notes: 'Their note.' },
      from: 2,
      author: 'Ben',
    },
  })
  await page.getByLabel('Start, right leads').fill('My place.')
  await page.getByRole('radiogroup', { name: 'Place 2' }).getByLabel('Version 3').check()
  await page.getByRole('button', { name: 'Save as the newer version' }).click()
  await saved(page)
  expect(await stored(request, id)).toMatchObject({
    version: 4,
    card: { setUp: { place: 'My place.' }, notes: 'Their note.' },
  })
})

test('files come in by a preview, and the deck goes out as it came in', async ({
  page,
  request,
}) => {
  await page.goto('/files')
  await page.waitForLoadState('networkidle')
  const gate = readCard(demoText('gate'))
  const zip = zipSync({
    'in/new.md': new TextEncoder().encode(
      writeMarkdown({ ...gate, id: 'gate-two', names: { ...gate.names, common: ['Second gate'] } })
    ),
    'in/gate.md': new TextEncoder().encode(writeMarkdown({ ...gate, notes: 'Changed by a file.' })),
    'in/cobra.md': new TextEncoder().encode(demoText('low-cobra')),
    'in/bad.md': new TextEncoder().encode('# Bad'),
  })
  await page
    .getByLabel('Card files', { exact: true })
    .setInputFiles({ name: 'deck.zip', mimeType: 'application/zip', buffer: Buffer.from(zip) })
  await expect(page.getByText('1 refused · 1 changed · 1 new · 1 the same')).toBeVisible()
  await expect(page.getByText('deck.zip/in/bad.md:1: a card file starts with')).toBeVisible()
  await page.getByText('What changes').click()
  await expect(page.getByRole('cell', { name: '+ Changed by a file.' })).toBeVisible()
  await expectAccessible(page)
  expect((await stored(request, 'gate')).card.notes).not.toBe('Changed by a file.')
  await page.getByRole('button', { name: 'Take 2 cards in' }).click()
  await expect(page.getByText('1 new and 1 changed cards are on the shelf.')).toBeVisible()
  expect((await stored(request, 'gate')).card.notes).toBe('Changed by a file.')

  const out = unzipSync(new Uint8Array(await (await request.get('/api/export?as=md')).body()))
  expect(Buffer.from(out['low-cobra.md']!).toString()).toBe(demoText('low-cobra'))
  expect(Object.keys(out)).toContain('gate-two.md')
  expect(await (await request.get('/api/export?as=cautions')).text()).toMatch(
    /^card,title,condition,verdict/
  )
})

test('an archive that leads out of itself is refused, and nothing changes', async ({ request }) => {
  const before = await (await request.get('/api/shelf')).json()
  const zip = zipSync({ '../../gate.md': new TextEncoder().encode(demoText('gate')) })
  for (const query of ['?preview=1', '']) {
    const answer = await request.post(`/api/import${query}`, {
      multipart: {
        file: { name: 'evil.zip', mimeType: 'application/zip', buffer: Buffer.from(zip) },
      },
    })
    expect(answer.status()).toBe(400)
    expect(((await answer.json()) as { detail: string }).detail).toMatch(/leads out of the archive/)
  }
  expect(await (await request.get('/api/shelf')).json()).toEqual(before)
})

test('the shelf finds by spelling and by filters', async ({ page }) => {
  await page.goto('/')
  await page.getByLabel('Search by name').fill('vrikshasena')
  await expect(page.getByRole('link', { name: 'Tree', exact: true })).toBeVisible()
  await expect(page.getByRole('article')).toHaveCount(1)
  await page.getByLabel('Search by name').fill('')
  await page.getByLabel('Section missing').selectOption('alignment')
  await page.getByLabel('Base').selectOption('prone')
  await expect(page.getByRole('link', { name: 'Sphinx', exact: true })).toBeVisible()
  await expect(page.getByRole('article')).toHaveCount(1)
  await page.getByRole('button', { name: 'Show all' }).click()
  await expect(page.getByRole('article')).not.toHaveCount(1)
})
