import { expect, type Page } from '@playwright/test'
import { expectAccessible, newCard, openBench, saved, test, visit } from './helpers'

/** Who may do what: on the bench, over the deck, in the room, and by which policy. */

const cell = (page: Page, condition: string, column: string) =>
  page.getByRole('gridcell', { name: new RegExp(`^${condition}, ${column}: `) })

test('the matrix tells why, filters, and finds where cards differ', async ({ page }) => {
  await page.goto('/cautions')
  await cell(page, 'retina trouble', 'Downward dog').click()
  const why = page.getByRole('complementary', { name: 'Why' })
  await expect(
    why.getByText(/head below heart 20 cm; avoid when head below heart from 8 cm/)
  ).toHaveCount(2)
  await expect(why.getByText('Hands on a chair against the wall, knees soft')).toBeVisible()
  // Arrows move over the cells, Enter picks.
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await expect(why.getByRole('heading', { name: 'ear or sinus trouble' })).toBeVisible()
  await cell(page, 'second trimester', 'Sphinx').click()
  await expect(why.getByText('Cat and cow')).toBeVisible()
  await page.getByLabel('Find a condition').fill('glauc')
  await expect(page.getByRole('row')).toHaveCount(2)
  await expectAccessible(page)
  await page.getByLabel('Find a condition').fill('')
  await page.getByLabel('where a card differs').check()
  await expect(cell(page, 'eye pressure \\(glaucoma\\)', 'Legs up the wall')).toBeVisible()
  await expect(page.getByRole('rowheader', { name: 'asthma' })).toHaveCount(0)
  await page.getByLabel('where a card differs').uncheck()
  await page.getByLabel('Columns').selectOption({ label: 'rungs of Tree' })
  await expect(cell(page, 'vertigo', 'Toes on the floor')).toBeVisible()
})

test('a change of the policy shows what it reaches before it is saved, reaches it, and goes back', async ({
  page,
  request,
}) => {
  await page.goto('/cautions/policy?condition=wrist')
  await page.getByRole('button', { name: 'Change the rule wrist/weight-on-wrists-10' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('from, %').fill('35')
  await dialog.getByRole('button', { name: 'Put it into the table' }).click()
  const preview = page.getByRole('region', { name: 'What this changes' })
  await expect(preview.getByText(/verdicts change, on \d+ rungs of \d+ cards/)).toBeVisible()
  await expect(preview.getByText(/wrist trouble/).first()).toBeVisible()
  // Nothing is saved yet.
  const rules = async () => (await (await request.get('/api/school')).json()).school.policy.rules
  expect(await rules()).toEqual([])
  await expectAccessible(page)
  await preview.getByRole('button', { name: 'Save the policy' }).click()
  await expect(preview).toHaveCount(0)
  await expect(page.getByText(/ours; usual: weight on wrists from 10 %/)).toBeVisible()
  expect(await rules()).toMatchObject([{ id: 'wrist/weight-on-wrists-10', least: 35 }])
  await visit(page, '/cards/downward-dog')
  await expect(page.getByText(/wrist trouble: change/)).toBeVisible()
  // Back to the policy as it was, from its versions.
  await visit(page, '/cautions/policy?condition=wrist')
  await page.getByRole('button', { name: 'Earlier policies' }).click()
  await expect(
    page.getByRole('dialog').getByText(/became weight on wrists from 35 % change/)
  ).toBeVisible()
  await page.getByRole('dialog').getByRole('button', { name: 'Look at it again' }).last().click()
  await page.getByRole('button', { name: 'Save the policy' }).click()
  await expect(page.getByRole('region', { name: 'What this changes' })).toHaveCount(0)
  expect(await rules()).toEqual([])
})

test('a condition of the school’s own is asked first until a rule is about it', async ({
  page,
}) => {
  await visit(page, '/cautions/policy')
  await page.getByRole('button', { name: 'Add a condition' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Name', { exact: true }).fill('jet lag')
  await dialog.getByRole('button', { name: 'Put it into the list' }).click()
  await expect(page.getByText(/No rule is about that/)).toBeVisible()
  await page.getByRole('button', { name: 'Add a rule' }).click()
  await dialog.getByLabel('when the form asks').selectOption('one-leg balance')
  await dialog.getByLabel('What to change').fill('a hand on the wall')
  await dialog.getByRole('button', { name: 'Put it into the table' }).click()
  await expect(page.getByText('one-leg balance from 1 %')).toBeVisible()
  await page.getByRole('button', { name: 'Leave it as it was' }).click()
  await expect(page.getByRole('region', { name: 'What this changes' })).toHaveCount(0)
})

test('the room: who does what, what is said to all, and nothing kept unless asked', async ({
  page,
  request,
}) => {
  await page.goto('/cautions/room')
  await page.getByRole('button', { name: 'wrist trouble', exact: true }).click()
  await page.getByRole('button', { name: 'One more with wrist trouble' }).click()
  await page.getByRole('button', { name: 'eye pressure (glaucoma)', exact: true }).click()
  await expect(page.getByLabel('With wrist trouble', { exact: true })).toHaveText('2')
  await page.getByLabel('Cards of today').first().click()
  await page.getByRole('option', { name: 'Downward dog' }).click()
  await page.keyboard.press('Escape')
  const card = page.getByRole('article')
  await expect(card).toHaveCount(1)
  await expect(card.getByText('begin here').first()).toBeVisible()
  await expect(card.getByText('2 × wrist trouble')).toBeVisible()
  const said = card.getByRole('list', { name: 'Said to all' })
  await expect(said).toContainText('Today everyone begins with: Hands on a chair')
  await expect(said).not.toContainText(/glaucoma|wrist trouble/)
  await expect(page.getByText(/chair × 12/).first()).toBeVisible()
  await expectAccessible(page)
  const kept = async () => (await (await request.get('/api/rooms')).json()).rooms
  expect(await kept()).toEqual([])
  await page.getByRole('button', { name: 'Keep them' }).click()
  await expect(page.getByText(/12 people, 2 conditions/)).toBeVisible()
  expect(await kept()).toMatchObject([{ room: { people: 12, counts: { wrist: 2 } } }])
  await page.getByRole('button', { name: /^Forget the room/ }).click()
  await expect(page.getByText(/12 people, 2 conditions/)).toHaveCount(0)
  expect(await kept()).toEqual([])
})

test('on the bench a verdict is decided otherwise with a reason, and another card is named', async ({
  page,
}) => {
  await openBench(page, 'sphinx')
  const section = page.locator('#cautions')
  await section.scrollIntoViewIfNeeded()
  await section.getByRole('button', { name: 'second trimester', exact: true }).click()
  await expect(
    section.getByText(/belly pressed \d+ %; avoid when any|belly pressed from 1 %/).first()
  ).toBeVisible()
  // Someone who has two things.
  await section.getByRole('button', { name: 'disc trouble', exact: true }).click()
  const both = section.getByRole('region', { name: 'All of these together' })
  await expect(both.getByText('No rung is open with all of these.')).toBeVisible()
  await both.getByRole('button', { name: 'Find a card for all of these' }).click()
  await expect(both.getByText(/^Cat and cow/)).toBeVisible()
  await section.getByRole('button', { name: 'disc trouble', exact: true }).click()
  await expectAccessible(page, '#cautions')
  await section.getByRole('button', { name: 'Find them another card' }).click()
  await section
    .getByRole('listitem')
    .filter({ hasText: 'Cat and cow' })
    .getByRole('button', { name: 'name it' })
    .click()
  const other = section.getByLabel(/^Other card of caution/).last()
  await expect(other).toHaveValue('cat-and-cow')
  // Typed by hand it is taken when it is whole.
  await other.fill('Low cobra ')
  await other.blur()
  await expect(other).toHaveValue('low-cobra')
  await other.fill('cat-and-cow')
  await other.blur()
  await section
    .getByRole('button', { name: /^Decide otherwise for second trimester on Forearms/ })
    .first()
    .click()
  const reason = section.getByLabel(/^Reason of caution/).last()
  await expect(
    section.getByText(/in place of: avoid: .*belly pressed from 1 % avoid/)
  ).toBeVisible()
  await reason.fill('only with a bolster under the hips, checked by the midwife')
  await saved(page)
  await expect(section.getByText(/the card says so, with a reason/)).toBeVisible()
})

test('what a form asks is set by hand where nothing is drawn', async ({ page, request }) => {
  const id = await newCard(request, 'Not drawn yet')
  await openBench(page, id)
  const section = page.locator('#cautions')
  await section.scrollIntoViewIfNeeded()
  await section.getByRole('button', { name: 'eye pressure (glaucoma)' }).click()
  await expect(section.getByText(/the form is not drawn/).first()).toBeVisible()
  await section.getByRole('button', { name: 'Add a number' }).click()
  await section.getByLabel('How much is asked 1').fill('20')
  await expect(section.getByText(/head below heart 20 cm; avoid/)).toBeVisible()
})

test('a mistake that breaks a measured cue is drawn beside the form as it should be', async ({
  page,
}) => {
  await openBench(page, 'long-side-angle')
  await page.locator('#mistakes').scrollIntoViewIfNeeded()
  await expect(
    page.getByRole('img', { name: /^Mistake \d, what goes wrong/ }).first()
  ).toBeVisible()
  await expect(
    page.getByRole('img', { name: /^Mistake \d, as it should be/ }).first()
  ).toBeVisible()
})

test('a table of verdicts comes back as overrides with their reason', async ({ page, request }) => {
  const text = await (await request.get('/api/cautions/csv')).text()
  const row = text.split('\r\n').find((line) => /^mountain,.*,asthma,fine,fine/.test(line))!
  const table = `${text.split('\r\n')[0]}\r\n${row.replace(',fine,fine,,', ',ask first,fine,,house rule')}\r\n`
  await visit(page, '/cautions')
  await page.getByRole('button', { name: 'CSV in' }).click()
  const dialog = page.getByRole('dialog')
  const chooser = page.waitForEvent('filechooser')
  await dialog.getByRole('button', { name: 'The table (CSV)' }).click()
  await (
    await chooser
  ).setFiles({
    name: 'verdicts.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(table),
  })
  await expect(dialog.getByText('1 verdicts on 1 card change.')).toBeVisible()
  await dialog.getByRole('button', { name: 'Write them' }).click()
  await expect(dialog).toHaveCount(0)
  const { card } = await (await request.get('/api/cards/mountain')).json()
  expect(card.cautions.at(-1)).toMatchObject({
    condition: 'asthma',
    verdict: 'ask-first',
    reason: 'house rule',
    over: 'fine',
  })
})
