import { expect, type Page } from '@playwright/test'
import type { Card } from '../../src/core/card'
import { expectAccessible, field, newCard, openBench, saved, test, visit } from './helpers'

/** Words that move the figure, as a trainer meets them: drafted, kept, pulled, played. */

/** Adds steps to a new card by typing them. */
async function write(page: Page, lines: string[]) {
  await page
    .getByRole('group', { name: 'steps' })
    .first()
    .getByRole('button', { name: 'Add a step' })
    .click()
  for (const [i, line] of lines.entries()) {
    await field(page, `enter[${i}].text`, 'right').fill(line)
    if (i < lines.length - 1) await field(page, `enter[${i}].text`, 'right').press('Enter')
  }
}

/** Plays the card of a page; again, should the page not have been awake yet. */
async function play(page: Page) {
  const dialog = page.getByRole('dialog')
  await expect(async () => {
    if (!(await dialog.isVisible()))
      await page.getByRole('button', { name: 'Play', exact: true }).first().click({ timeout: 2000 })
    await expect(dialog).toBeVisible({ timeout: 2000 })
  }).toPass()
}

const draft = (page: Page, step: number) =>
  page.getByRole('button', { name: `Drawn from the words: step ${step}, right leads` })
const kept = (page: Page, step: number) =>
  page.getByRole('button', { name: `Kept: step ${step}, right leads` })

test('a step draws its form, says what was understood, and is kept by one key', async ({
  page,
  request,
}) => {
  const id = await newCard(request, 'Read aloud', { spine: 'lengthen' })
  await openBench(page, id)
  await write(page, [
    'Step the left foot back.',
    'Lift the right arm like a wing.',
    'Frobnicate the quux.',
  ])
  await expect(draft(page, 1)).toBeVisible()
  await expect(draft(page, 2)).toBeVisible()
  // What is not understood draws nothing, and says so quietly.
  await expect(draft(page, 3)).toHaveCount(0)
  const told = page.getByLabel('What was understood').first()
  await expect(told).toContainText('not understood')
  await field(page, 'enter[1].text', 'left').focus()
  await expect(told).toContainText('lift left arm')
  await expect(told).toContainText('like a wing')
  await field(page, 'enter[0].text', 'right').focus()
  await expect(told).toContainText('step left foot → back')
  await expectAccessible(page, 'main')

  await field(page, 'enter[0].text', 'right').press('Alt+k')
  await expect(kept(page, 1)).toBeVisible()
  // Other words move the forms after it, and not the one that is kept.
  const shape = () => kept(page, 1).locator('svg').innerHTML()
  const before = await shape()
  await field(page, 'enter[0].text', 'right').fill('Step the left foot back, a leg length.')
  await saved(page)
  await expect(kept(page, 1)).toBeVisible()
  expect(await shape()).toBe(before)
  await page.reload()
  await expect(kept(page, 1)).toBeVisible()
})

test('who writes in a row before its reading is loaded is told all the same', async ({ page }) => {
  let loads = () => undefined as void
  const focused = new Promise<void>((done) => (loads = done))
  await page.route('**/_next/static/**/*.js', async (route) => {
    const answer = await route.fetch()
    if ((await answer.text()).includes('What was understood')) await focused
    await route.fulfill({ response: answer })
  })
  // Asked for early enough, the script that is held back holds back the end of loading too.
  await page.goto('/cards/gate/bench', { waitUntil: 'commit' })
  const told = page.getByLabel('What was understood')
  await field(page, 'enter[0].text', 'right').focus()
  await expect(page.getByRole('banner').getByText('saved')).toBeVisible()
  await expect(page.getByLabel('Cue that mistake 1 breaks')).toBeAttached()
  expect(await told.count()).toBe(0)
  loads()
  await expect(told).toContainText('step right leg → out')
})

test('a drafted form is pulled, kept as it was pulled, and given back to the words', async ({
  page,
  request,
}) => {
  const id = await newCard(request, 'Pulled from words')
  await openBench(page, id)
  await write(page, ['Lift both arms.'])
  await draft(page, 1).click()
  const dialog = page.getByRole('dialog')
  const hand = dialog.getByRole('button', { name: 'Pull the left hand;' })
  await hand.focus()
  for (let i = 0; i < 6; i += 1) await hand.press('ArrowDown')
  await hand.press('Enter')
  await dialog.getByRole('button', { name: 'Close', exact: true }).last().click()
  await expect(kept(page, 1)).toBeVisible()
  await kept(page, 1).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Back to the words' }).click()
  await expect(draft(page, 1)).toBeVisible()
})

/** Pulls the left hand, lets go and presses a button, before anything can be worked out. */
async function pullAndPress(page: Page, button: string) {
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('button', { name: 'Pull the left hand;' })).toBeVisible()
  await dialog.evaluate((box, words) => {
    const hand = box.querySelector<HTMLElement>('[aria-label^="Pull the left hand;"]')!
    hand.focus()
    for (const key of ['ArrowDown', 'ArrowDown', 'ArrowDown', 'ArrowDown', 'Enter'])
      hand.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
    const found = [...box.querySelectorAll('button')].findLast((each) =>
      each.textContent!.includes(words)
    )
    found!.click()
  }, button)
  await expect(dialog).toBeHidden()
}

test('a pull is kept though the dialog closes at once; words that take it back have it back', async ({
  page,
  request,
}) => {
  const id = await newCard(request, 'Pulled and left')
  await openBench(page, id)
  await write(page, ['Lift both arms.'])
  await draft(page, 1).click()
  await pullAndPress(page, 'Close')
  await expect(kept(page, 1)).toBeVisible()
  await kept(page, 1).click()
  await pullAndPress(page, 'Back to the words')
  await expect(draft(page, 1)).toBeVisible()
  await saved(page)
  const { card } = (await (await request.get(`/api/cards/${id}`)).json()) as { card: Card }
  expect(card.enter[0]!.figure).toBeUndefined()
})

test('a card plays: on its breath, line by line, stepped, scrubbed and paused', async ({
  page,
}) => {
  await visit(page, '/cards/gate')
  await play(page)
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByText('Step the right leg out to the side, foot flat.')).toBeVisible()
  await expectAccessible(page, '[role="dialog"]')
  await dialog.getByRole('button', { name: 'The next step' }).click()
  await expect(dialog.getByText('Stack the left hip over the left knee.')).toBeVisible()
  await dialog.getByRole('slider', { name: 'Time' }).fill('130')
  await expect(dialog.getByText('left leads', { exact: true })).toBeVisible()
  // And it stays there.
  await page.waitForTimeout(500)
  await expect(dialog.getByRole('slider', { name: 'Time' })).toHaveValue('130')
  const shape = () => dialog.getByRole('img', { name: /^Gate/ }).innerHTML()
  await dialog.getByRole('slider', { name: 'Time' }).fill('0')
  await expect(dialog.getByText('Step the right leg out to the side, foot flat.')).toBeVisible()
  const before = await shape()
  await dialog.getByText('4 ×').click()
  await dialog.getByRole('button', { name: 'Play' }).click()
  await expect.poll(shape).not.toBe(before)
  await dialog.getByRole('button', { name: 'Pause' }).click()
  await expect(dialog.getByRole('button', { name: 'Play' })).toBeVisible()
})

test('asked twice, it plays once and is not begun again', async ({ page }) => {
  let answers = 0
  // Its answer is late, and the button is pressed again before it.
  await page.route('**/api/cards/gate', async (route) => {
    answers += 1
    await new Promise((done) => setTimeout(done, 1500))
    await route.continue()
  })
  await page.goto('/cards/gate')
  const button = page.getByRole('button', { name: 'Play', exact: true }).first()
  // Until the page is awake a press does nothing; once it asked, it is not pressed for that again.
  await expect(async () => {
    if (answers === 0) await button.click({ timeout: 500 })
    await expect.poll(() => answers, { timeout: 1000 }).toBe(1)
  }).toPass()
  await button.click({ force: true, timeout: 2000 }).catch(() => undefined)
  await expect(page.getByRole('dialog').getByRole('slider', { name: 'Time' })).toBeVisible()
  expect(answers).toBe(1)
})

test('with reduced motion it goes from form to form', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' })
  await visit(page, '/cards/bridge')
  await play(page)
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByText('Press the feet.')).toBeVisible()
  await dialog.getByText('4 ×').click()
  await dialog.getByRole('button', { name: 'Play' }).click()
  const shapes = new Set<string>()
  for (let i = 0; i < 10; i += 1) {
    shapes.add(await dialog.getByRole('img', { name: /^Bridge/ }).innerHTML())
    await page.waitForTimeout(150)
  }
  // Few pictures in one and a half seconds: not one for each frame.
  expect(shapes.size).toBeLessThan(5)
})

test('a cue that is understood offers its mark', async ({ page, request }) => {
  const id = await newCard(request, 'Marked by words')
  await openBench(page, id)
  await page.getByRole('button', { name: 'Add a cue' }).click()
  await field(page, 'alignment[0].text', 'right').fill('Press the left foot down.')
  await page.getByRole('button', { name: 'Mark of cue 1' }).click()
  await page.getByRole('button', { name: /As the words say/ }).click()
  await expect(page.getByLabel('Where')).toHaveValue('left foot')
})

test('a step with two things is mended by a step of its own', async ({ page, request }) => {
  const id = await newCard(request, 'Two in one')
  await openBench(page, id)
  await write(page, ['Place the right hand on the shin, left arm up.'])
  await page
    .getByRole('button', { name: /Left arm up.*step of its own/ })
    .first()
    .click()
  await expect(field(page, 'enter[0].text', 'right')).toHaveValue(
    'Place the right hand on the shin.'
  )
  await expect(field(page, 'enter[1].text', 'right')).toHaveValue('Left arm up.')
})

test('what is understood of a line that is pointed at shows in every row, the last too', async ({
  page,
}) => {
  await openBench(page, 'long-side-angle')
  const rows = page.locator('#enter [data-row]')
  await expect(draft(page, 1).first()).toBeVisible()
  const count = await rows.count()
  // Rows are laid out six by six.
  for (const at of [2, 5, count - 1]) {
    const row = rows.nth(at)
    await row.scrollIntoViewIfNeeded()
    const told = row.getByLabel('What was understood')
    await expect(async () => {
      await page.mouse.move(0, 0)
      await expect(page.getByLabel('What was understood')).toHaveCount(0, { timeout: 1000 })
      await row.locator('textarea').last().hover()
      await expect(told).toBeVisible({ timeout: 1000 })
      const { x, y, width, height } = (await told.boundingBox())!
      // As a whole: what is beyond its list would be cut off.
      const list = (await row.locator('xpath=ancestor::*[@aria-label="steps"]').boundingBox())!
      expect(y).toBeGreaterThan(list.y)
      expect(y + height).toBeLessThan(list.y + list.height)
      const clip = { x, y, width, height }
      const shown = await page.screenshot({ clip })
      await told.evaluate((each) => Object.assign(each.style, { opacity: '0' }))
      expect((await page.screenshot({ clip })).equals(shown)).toBe(false)
    }).toPass()
  }
})
