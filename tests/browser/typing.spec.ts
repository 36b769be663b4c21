import { type APIRequestContext, expect, type Page } from '@playwright/test'
import { FIRST_LOAD, firstLoad } from '../../scripts/lib/firstLoad.mjs'
import type { Card } from '../../src/core/card'
import { field, newCard, openBench as openAnyBench, test as base } from './helpers'

/** What a letter costs: its line is drawn, and nothing that it does not change. */

const test = base.extend({
  // A page of its own: what these tests put into it cannot be taken out again.
  page: async ({ context }, give) => {
    await give(await context.newPage())
  },
})

const STEP = '[data-field="enter[3].text@right"]'
const visibility = (page: Page, section: string) =>
  page.locator(`#${section}`).evaluate((at) => getComputedStyle(at).contentVisibility)

async function openBench(page: Page) {
  await page.goto('/cards/long-side-angle/bench')
  // The last that is worked out of a card: what its rungs ask. What is loaded above moves it on.
  const asked = page.locator('#ladder').getByText(/takes \d/)
  await expect(async () => {
    await page.locator('#ladder').scrollIntoViewIfNeeded()
    await expect(asked.first()).toBeVisible({ timeout: 1000 })
  }).toPass()
  await page.locator(STEP).focus()
  await page.keyboard.press('End')
}

/** The bench of a new card with one step. */
async function openOneStep(page: Page, request: APIRequestContext, name: string) {
  const id = await newCard(request, name)
  const { card } = (await (await request.get(`/api/cards/${id}`)).json()) as { card: Card }
  const enter = [{ id: 's1', text: 'Bend the right knee over the ankle.', breath: 'out' }]
  const put = await request.put(`/api/cards/${id}`, { data: { card: { ...card, enter }, from: 1 } })
  expect(put.status()).toBe(200)
  await openAnyBench(page, id)
}

test('a letter draws anew what it changed, not the page', async ({ page }) => {
  // Counts the parts of the page that are drawn, as the tools for developers do.
  await page.addInitScript(() => {
    interface Part {
      type: unknown
      flags: number
      child: Part | null
      sibling: Part | null
      alternate: Part | null
    }
    const seen = { drawn: 0 }
    const DREW = 1
    const count = (part: Part | null): void => {
      for (let at = part; at; at = at.sibling) {
        const before = at.alternate
        if (typeof at.type !== 'string' && at.type && (!before || at.flags & DREW)) seen.drawn += 1
        if (!before || at.child !== before.child) count(at.child)
      }
    }
    Object.assign(window, {
      seen,
      __REACT_DEVTOOLS_GLOBAL_HOOK__: {
        supportsFiber: true,
        renderers: new Map(),
        inject: () => 1,
        onCommitFiberRoot: (_: number, root: { current: Part }) => count(root.current),
        onPostCommitFiberRoot: () => undefined,
        onCommitFiberUnmount: () => undefined,
        checkDCE: () => undefined,
      },
    })
  })
  await openBench(page)
  const drawn = () =>
    page.evaluate(() => (window as unknown as { seen: { drawn: number } }).seen.drawn)
  const saved = page.getByRole('banner').getByText(/saved \d\d:\d\d/)
  const whole = await drawn()
  expect(whole).toBeGreaterThan(2000)
  // The first letter may change what is understood; the second is more of the same.
  await page.keyboard.type(' x')
  await expect(saved).toBeVisible()
  // Nothing is drawn any more.
  await expect(async () => {
    const before = await drawn()
    await page.waitForTimeout(1000)
    expect(await drawn()).toBe(before)
  }).toPass()
  const before = await drawn()
  const answered = page.waitForResponse((answer) => answer.request().method() === 'PUT')
  await page.keyboard.type('x')
  await answered
  await expect(page.locator('[data-field="enter[3].text@left"]')).toHaveValue(/ xx/)
  await expect(saved).toBeVisible()
  const after = await drawn()
  expect(after).toBeGreaterThan(before)
  expect(after - before).toBeLessThan(200)
})

test('the other half of a line follows while letters come, and stands as it is stored', async ({
  page,
  request,
}) => {
  // A card of its own: the tests below look where the lines of the demo’s stand.
  await openOneStep(page, request, 'Two halves')
  const other = field(page, 'enter[0].text', 'left')
  const letters = other.locator('xpath=preceding-sibling::*')
  const before = 'Bend the left knee over the ankle.'
  await expect(other).toHaveValue(before)
  await field(page, 'enter[0].text', 'right').focus()
  await page.keyboard.press('Control+End')
  // The first letter is seen on the other side, those that follow at once are not waited for.
  await page.keyboard.type('xy')
  await page.keyboard.press('Backspace')
  await page.keyboard.press('Backspace')
  await expect(letters).toHaveText(before)
  await expect(other).toHaveValue(before)
  // Kept up with while it goes on, not only when it rests.
  for (const letter of ' and the right heel'.repeat(3)) {
    await page.keyboard.press(letter)
    await page.waitForTimeout(30)
    if (/ and the left/.test((await letters.textContent())!)) break
  }
  expect(await letters.textContent()).toMatch(/ and the left/)
  await page.keyboard.type(' down')
  await expect(other).toHaveValue(/ and the left.* down$/)
  await expect(letters).toHaveText(await other.inputValue())
})

test('a letter behind the last underline is shown by its field alone', async ({
  page,
  request,
}) => {
  await openOneStep(page, request, 'One line')
  const line = field(page, 'enter[0].text', 'right')
  const letters = line.locator('xpath=preceding-sibling::*')
  await line.focus()
  await page.keyboard.press('Control+End')
  const seen = await line.evaluate(async (element) => {
    const box = element as HTMLTextAreaElement
    const drawn = box.previousElementSibling as HTMLElement
    /** Typed, and all that the page does with it at once. */
    const type = async (text: string, at = box.value.length) => {
      box.setSelectionRange(at, at)
      document.execCommand('insertText', false, text)
      await Promise.resolve()
      return { typed: box.value, drawn: drawn.textContent!.replace('\u200b', '') }
    }
    const inks = () => [box, drawn].map((each) => getComputedStyle(each).color)
    const first = await type('x')
    const second = await type('y')
    const shown = inks()
    const before = await type('Now ', 0)
    const third = await type('z')
    const height = box.offsetHeight
    const long = await type(' and so on'.repeat(20))
    const grown = box.offsetHeight
    const side = await type(' left')
    return { first, second, shown, before, third, long, side, height, grown }
  })
  expect(seen.first.drawn).toBe('Bend the right knee over the ankle.x')
  // The letter is in the field, in ink; beneath, the line stands as it was.
  expect(seen.second).toEqual({ typed: `${seen.first.typed}y`, drawn: seen.first.drawn })
  expect(seen.shown[0]).not.toBe(seen.shown[1])
  expect(seen.shown[1]).toBe('rgba(0, 0, 0, 0)')
  // What moves an underline, takes another line or brings a side word is drawn at once.
  expect(seen.before.drawn).toBe(seen.before.typed)
  expect(seen.third.drawn).toBe(seen.before.typed)
  expect(seen.long.drawn).toBe(seen.long.typed)
  expect(seen.grown).toBeGreaterThan(seen.height)
  expect(seen.side.drawn).toBe(seen.side.typed)
  // At the pause the two are one again, and so they are without the cursor.
  await expect(letters).toHaveText(seen.side.typed)
  await line.evaluate((box: HTMLTextAreaElement) => {
    document.execCommand('insertText', false, 's')
    box.blur()
  })
  await expect(letters).toHaveText(`${seen.side.typed}s`)
  expect(await line.evaluate((box) => getComputedStyle(box).color)).toBe('rgba(0, 0, 0, 0)')
})

test('while letters come what lies out of sight is left out, and keeps its place', async ({
  page,
}) => {
  await openBench(page)
  const look = () =>
    page.evaluate((step) => {
      const { scrollHeight } = document.documentElement
      return [scrollHeight, document.querySelector(step)!.getBoundingClientRect().top] as const
    }, STEP)
  // Nothing comes in any more that would move it.
  await expect(async () => {
    const before = await look()
    await page.waitForTimeout(1000)
    expect(await look()).toEqual(before)
  }).toPass()
  const [whole, place] = await look()
  const line = await page.locator(STEP).inputValue()
  expect(await visibility(page, 'mistakes')).toBe('auto')

  // What the page finds when something is done to it, at that very moment.
  await page.evaluate((step) => {
    const found: Record<string, unknown>[] = []
    const style = (section: string) =>
      getComputedStyle(document.getElementById(section)!).contentVisibility
    const hear = (event: Event) =>
      found.push({
        by: event instanceof KeyboardEvent ? event.key : event.type,
        far: style('mistakes'),
        near: style('enter'),
        height: document.documentElement.scrollHeight,
        top: document.querySelector(step)!.getBoundingClientRect().top,
      })
    // At the window, after the page: a letter goes no further than to its field.
    for (const name of ['keydown', 'pointerdown', 'wheel'])
      window.addEventListener(name, hear, { capture: true })
    Object.assign(window, { found })
  }, STEP)
  const found = (by: string) =>
    page.evaluate(
      (name) =>
        (
          window as unknown as {
            found: { by: string; far: string; near: string; height: number; top: number }[]
          }
        ).found.findLast((each) => each.by === name)!,
      by
    )

  await page.keyboard.press('a')
  const left = await found('a')
  expect(left).toMatchObject({ far: 'hidden', near: 'auto' })
  // To a pixel: a section’s own height is rounded when it is left out.
  expect(Math.abs(left.height - whole)).toBeLessThanOrEqual(1)
  expect(Math.abs(left.top - place)).toBeLessThan(1)
  // And so are the rows out of sight of a section that is partly in sight.
  const rows = await page.evaluate(() => {
    const placeOf = (at: Element) => {
      const { top, bottom } = at.getBoundingClientRect()
      return bottom < 0 || top > innerHeight + 120 ? 'far' : top < innerHeight ? 'here' : 'beside'
    }
    return [...document.querySelectorAll('#enter [data-row], #alignment [data-row]')].map(
      (row) => ({
        place: placeOf(row),
        section: placeOf(row.closest('section')!),
        drawn: row.firstElementChild!.checkVisibility(),
      })
    )
  })
  const cut = rows.filter(({ section, place: of }) => section === 'here' && of === 'far')
  expect(cut.length).toBeGreaterThan(0)
  expect(rows.filter(({ place: of, drawn }) => of === 'far' && drawn)).toEqual([])
  expect(rows.filter(({ place: of, drawn }) => of === 'here' && !drawn)).toEqual([])

  await page.keyboard.press('Backspace')
  expect(await found('Backspace')).toMatchObject({ far: 'hidden', near: 'auto' })

  // A letter in place of all that is marked may take many lines out: the page is whole at once.
  await page.keyboard.press('Control+a')
  await page.keyboard.press('y')
  expect(await found('y')).toMatchObject({ far: 'auto', near: 'auto' })
  await page.keyboard.press('x')
  expect(await found('x')).toMatchObject({ far: 'hidden', near: 'auto' })

  // Whatever else is done finds the page whole.
  for (const [letter, key, name] of [
    ['b', 'ArrowLeft', 'ArrowLeft'],
    ['c', 'Control+z', 'z'],
    ['d', 'Alt+.', '.'],
    ['e', 'Tab', 'Tab'],
  ] as const) {
    await page.locator(STEP).focus()
    await page.keyboard.press(letter)
    expect(await found(letter)).toMatchObject({ far: 'hidden' })
    await page.keyboard.press(key)
    expect(await found(name)).toMatchObject({ far: 'auto', near: 'auto' })
  }
  await page.locator(STEP).focus()
  await page.keyboard.press('f')
  expect(await found('f')).toMatchObject({ far: 'hidden' })
  await page.mouse.move(600, 400)
  await page.mouse.wheel(0, 60)
  await expect(async () => expect(await found('wheel')).toMatchObject({ far: 'auto' })).toPass()
  await page.locator(STEP).focus()
  await page.keyboard.press('g')
  await page.getByRole('button', { name: 'Keys (?)' }).click()
  expect(await found('pointerdown')).toMatchObject({ far: 'auto' })
  await page.keyboard.press('Escape')

  // And so it is at a rest.
  await page.locator(STEP).focus()
  await page.keyboard.press('h')
  expect(await found('h')).toMatchObject({ far: 'hidden' })
  await expect.poll(() => visibility(page, 'mistakes')).toBe('auto')
  // With the words that it had it is as tall as it was, when what is said of them has come.
  await page.locator(STEP).fill(line)
  await expect.poll(async () => Math.abs((await look())[0] - whole)).toBeLessThanOrEqual(1)
})

test('what stands far from the window is worked out when one comes near', async ({ page }) => {
  await page.addInitScript(() => {
    const asked: string[] = []
    const post = Worker.prototype.postMessage
    Worker.prototype.postMessage = function (message: { work?: string }, ...more: unknown[]) {
      if (message.work) asked.push(message.work)
      return post.call(this, message, ...(more as []))
    }
    Object.assign(window, { asked })
  })
  const asked = async (work: string) =>
    page.evaluate(
      (of) => (window as unknown as { asked: string[] }).asked.filter((each) => each === of).length,
      work
    )
  await page.goto('/cards/long-side-angle/bench')
  const takes = page.locator('#ladder').getByText(/takes \d/)
  await expect(page.locator('#enter').getByRole('img').first()).toBeVisible()
  await expect.poll(() => asked('words')).toBeGreaterThan(0)
  expect(await asked('ladder')).toBe(0)
  expect(await takes.count()).toBe(0)
  // What holds its place does not move: the page would be drawn at each frame for it.
  await expect(page.locator('#cautions [class*=Skeleton]').first()).toBeAttached()
  await expect(page.locator('[class*=Skeleton][data-animate]')).toHaveCount(0)

  await openBench(page)
  let before = 0
  // The page hears at its own time that the ladder is far again.
  await expect(async () => {
    before = await asked('ladder')
    expect(before).toBeGreaterThan(0)
    const found = await asked('findings')
    await page.keyboard.type('x')
    await expect.poll(() => asked('findings')).toBeGreaterThan(found)
    await page.keyboard.press('Backspace')
    await expect(page.getByRole('banner').getByText(/saved \d\d:\d\d/)).toBeVisible()
    expect(await asked('ladder')).toBe(before)
  }).toPass()
  await page.keyboard.type('?')
  await page.locator('#ladder').scrollIntoViewIfNeeded()
  await expect.poll(() => asked('ladder')).toBeGreaterThan(before)
})

test('the scripts of a bench stay small at first load', async ({ baseURL }) => {
  const { bytes, count } = await firstLoad(baseURL!, '/cards/long-side-angle/bench')
  expect(count).toBeGreaterThan(5)
  expect(bytes).toBeGreaterThan(100_000)
  expect(bytes).toBeLessThan(FIRST_LOAD)
})
