import { blankCard, DEFAULT_SCHOOL } from '@/core/card'
import { createCard, loadCard, saveCard } from './cards'
import { closeDb, db } from './db'
import { saveMany } from './saveMany'
import { loadSchool, saveSchool } from './school'

beforeEach(async () => {
  await db().raw('TRUNCATE cards CASCADE')
  await db()('deck').update({ school: '{}' })
})
afterAll(closeDb)

test('a school without rules of its own has the usual ones', async () => {
  expect(await loadSchool()).toEqual(DEFAULT_SCHOOL)
})

test('rules are set from the ones that were read, and stale ones are refused', async () => {
  const left = { ...DEFAULT_SCHOOL, firstSide: 'left' as const }
  const { revision } = await db()('deck').first('revision')
  expect(await saveSchool(left, DEFAULT_SCHOOL)).toEqual({ saved: true, school: left })
  expect(await loadSchool()).toEqual(left)
  expect((await db()('deck').first('revision')).revision).toBe(revision + 1)
  const slow = { ...DEFAULT_SCHOOL, pace: { in: 6, out: 6 } }
  expect(await saveSchool(slow, DEFAULT_SCHOOL)).toEqual({ saved: false, school: left })
  expect(await loadSchool()).toEqual(left)
})

test('many cards are saved together, or none of them', async () => {
  const card = (name: string) =>
    blankCard({ name, base: 'seated', spine: 'twist', manner: 'held', sides: 'sided' })
  const [one, two] = [card('One'), card('Two')]
  await createCard(one, 'Ada')
  await createCard(two, 'Ada')
  const mended = [one, two].map((each) => ({ card: { ...each, notes: 'mended' }, from: 1 }))
  await saveCard({ ...two, notes: 'meanwhile' }, 1, 'Ben')
  expect(await saveMany(mended, 'Ada', 'note')).toEqual(['two'])
  expect((await loadCard('one'))!).toMatchObject({ version: 1, card: { notes: '' } })
  expect(await saveMany([mended[0]!, { ...mended[1]!, from: 2 }], 'Ada', 'note')).toEqual([])
  expect((await loadCard('one'))!).toMatchObject({ version: 2, card: { notes: 'mended' } })
  expect((await loadCard('two'))!).toMatchObject({ version: 3, author: 'Ada' })
})
