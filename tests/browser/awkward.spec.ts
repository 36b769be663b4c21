import { expect } from '@playwright/test'
import { Card } from '../../src/core/card'
import { readCard } from '../../src/core/formats'
import { dense, field, newCard, openBench, pdfPages, saved, test, visit } from './helpers'

const SCRIPT =
  '<script>document.title="broken"</script><img src=x onerror="document.title=\'broken\'">'
const RTL = 'שלום left مرحبا'
const COMBINING = 'Vi\u0304rabhadra\u0304sana q\u0301\u0323\u0302'
const LONG = 'Press the left foot and lengthen the right side. '.repeat(205).slice(0, 10_000).trim()
const ALL = `${SCRIPT} ${RTL} ${COMBINING}`

const awkward = (id: string) =>
  Card.parse({
    id,
    number: 'A<b>1',
    base: 'standing',
    spine: 'side',
    manner: 'held',
    sides: 'sided',
    names: { sanskrit: ALL, common: [ALL, RTL], aliases: [ALL], meaning: ALL },
    sideNamedBy: '<i>front leg</i>',
    setUp: { place: ALL, props: [SCRIPT.slice(0, 60), RTL], note: ALL },
    enter: [
      { id: 's1', text: ALL, breath: 'in' },
      { id: 's2', text: LONG, breath: 'out' },
    ],
    alignment: [{ id: 'a1', region: 'feet', text: ALL }],
    stay: { breaths: 5 },
    exit: [{ id: 'x1', text: ALL, breath: 'out' }],
    betweenSides: { text: ALL },
    mistakes: [{ seen: ALL, why: ALL, say: ALL }],
    cautions: [{ condition: SCRIPT, verdict: 'change', say: ALL, reason: ALL }],
    ladder: [{ id: 'r1', name: SCRIPT, props: [RTL], upWhen: [ALL], downWhen: [ALL] }],
    counter: ['gate'],
    when: { timeOfDay: SCRIPT },
    effects: [{ text: ALL, basis: 'published', source: ALL }],
    assists: [{ text: ALL }],
    notes: `${ALL}\n\n${LONG}`,
  })

test('awkward text in every field is shown as text, saved, printed and written to a file', async ({
  page,
  request,
}) => {
  test.setTimeout(120_000)
  const id = await newCard(request, 'Awkward')
  const card = awkward(id)
  expect((await request.put(`/api/cards/${id}`, { data: { card, from: 1 } })).status()).toBe(200)

  const errors: string[] = []
  page.on('pageerror', (error) => errors.push(error.message))
  await page.goto(`/cards/${id}`)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('<script>')
  const shown = dense(await page.getByRole('article').innerText())
  expect(shown).toContain(dense(LONG))
  expect(shown.split(dense(SCRIPT)).length - 1).toBeGreaterThan(15)
  expect(shown).toContain(dense(COMBINING))
  expect(shown).toContain('שלום')
  await expect(page.locator('article script, article img')).toHaveCount(0)

  await openBench(page, id)
  await expect(field(page, 'enter[1].text', 'right')).toHaveValue(LONG)
  await field(page, 'alignment[0].text', 'left').fill(`${ALL} again left`)
  await saved(page)
  expect(await page.title()).not.toBe('broken')
  expect(errors).toEqual([])

  const stored = (await (await request.get(`/api/cards/${id}`)).json()) as { card: Card }
  expect(stored.card).toEqual({
    ...card,
    alignment: [
      {
        ...card.alignment[0],
        text: `${ALL} again right`.normalize('NFC').replace('שלום left', 'שלום right'),
      },
    ],
  })
  expect(readCard(await (await request.get(`/api/cards/${id}/file`)).text())).toEqual(stored.card)

  await visit(page, '/')
  await expect(page.getByRole('link', { name: /^<script>/ }).first()).toBeVisible()
  expect(await page.title()).not.toBe('broken')

  const pdf = await request.get(`/api/cards/${id}/pdf`)
  expect(pdf.headers()['content-type'], await pdf.text()).toBe('application/pdf')
  const pages = await pdfPages(await pdf.body())
  expect(pages.length).toBeGreaterThan(5)
  const printed = dense(pages.join(' '))
  expect(printed.split('<script>').length - 1).toBeGreaterThan(15)
  // The long step stands in both halves and in the notes, broken over pages, no word lost.
  expect(printed.split('lengthen').length - 1).toBeGreaterThanOrEqual(3 * 204)
  expect(printed).toContain('Vīrabhadrāsana')
  expect(printed).toMatch(/שלום|םולש/)
})
