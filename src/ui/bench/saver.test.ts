import { blankCard } from '@/core/card'
import { readDraft } from './draft'
import { createSaver } from './saver'
import { createBench } from './store'

/** The saver, with a server that answers as it is told. */

type Answer = { status: number; body: Record<string, unknown> } | 'unreachable'

const card = blankCard({
  name: 'Tree',
  base: 'standing',
  spine: 'lengthen',
  manner: 'held',
  sides: 'sided',
})
let answers: Answer[]
let sent: { notes: string; from: number; author: string }[]

beforeEach(() => {
  jest.useFakeTimers()
  const kept = new Map<string, string>()
  globalThis.localStorage = {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
  } as Storage
  answers = []
  sent = []
  globalThis.fetch = jest.fn(async (_url, init) => {
    const { card: body, from, author } = JSON.parse(String(init?.body))
    sent.push({ notes: body.notes, from, author })
    const answer = answers.shift() ?? { status: 200, body: saved(from + 1) }
    if (answer === 'unreachable') throw new TypeError('no network')
    return new Response(JSON.stringify(answer.body), { status: answer.status })
  })
})
afterEach(() => jest.useRealTimers())

const saved = (version: number) => ({ version, savedAt: '2026-01-01T10:00:00Z' })
function setUp() {
  const bench = createBench(card)
  const saver = createSaver(bench, 1, () => 'Ada')
  const write = (notes: string) => bench.getState().set('notes', notes)
  const state = () => saver.status.getState().save
  return { bench, saver, write, state }
}

test('what is typed without a pause is saved once, a moment after', async () => {
  const { saver, write, state } = setUp()
  write('a')
  await jest.advanceTimersByTimeAsync(300)
  write('ab')
  expect(state()).toEqual({ state: 'unsaved' })
  expect(readDraft('tree')).toMatchObject({ from: 1, card: { notes: 'ab' } })
  await jest.advanceTimersByTimeAsync(1000)
  expect(sent).toEqual([{ notes: 'ab', from: 1, author: 'Ada' }])
  expect(state()).toEqual({ state: 'saved', at: '2026-01-01T10:00:00Z' })
  expect(saver.status.getState().version).toBe(2)
  expect(readDraft('tree')).toBeNull()
})

test('while the server is gone the text is kept, and it is saved when it is back', async () => {
  const { write, state } = setUp()
  answers = ['unreachable', { status: 503, body: { detail: 'The database is gone.' } }]
  write('a')
  await jest.advanceTimersByTimeAsync(800)
  expect(state()).toMatchObject({ state: 'waiting', kept: true })
  write('ab')
  expect(state()).toMatchObject({ state: 'waiting' })
  expect(readDraft('tree')).toMatchObject({ from: 1, card: { notes: 'ab' } })
  await jest.advanceTimersByTimeAsync(1000)
  expect(state()).toMatchObject({ state: 'waiting', message: 'The database is gone.' })
  await jest.advanceTimersByTimeAsync(2000)
  expect(state()).toMatchObject({ state: 'saved' })
  expect(sent.map(({ notes }) => notes)).toEqual(['a', 'ab', 'ab'])
  expect(readDraft('tree')).toBeNull()
})

test('what is typed while a save is on its way is saved after it, from its version', async () => {
  const { bench, saver, write } = setUp()
  write('a')
  const running = saver.flush()
  write('ab')
  await running
  expect(readDraft('tree')).toMatchObject({ from: 2, card: { notes: 'ab' } })
  await jest.advanceTimersByTimeAsync(1000)
  expect(sent.map(({ notes, from }) => [notes, from])).toEqual([
    ['a', 1],
    ['ab', 2],
  ])
  expect(bench.getState().card.notes).toBe('ab')
})

test('a stale save is not tried again until the trainer has chosen', async () => {
  const { saver, write, state } = setUp()
  const current = { card, version: 5, author: 'Ben', savedAt: '' }
  answers = [{ status: 409, body: { detail: 'saved meanwhile', current } }]
  write('mine')
  await jest.advanceTimersByTimeAsync(800)
  expect(state()).toEqual({ state: 'stale', current })
  write('mine, and more')
  await jest.advanceTimersByTimeAsync(60_000)
  await saver.flush()
  expect(sent).toHaveLength(1)
  expect(readDraft('tree')).toMatchObject({ card: { notes: 'mine, and more' } })
  saver.startFrom(5)
  await jest.advanceTimersByTimeAsync(10)
  expect(sent.at(-1)).toEqual({ notes: 'mine, and more', from: 5, author: 'Ada' })
  expect(state()).toMatchObject({ state: 'saved' })
})

test('a text that the server refuses is kept, and tried again only when it has changed', async () => {
  const { write, state } = setUp()
  answers = [{ status: 400, body: { detail: 'Counter poses in a circle.' } }]
  write('a')
  await jest.advanceTimersByTimeAsync(60_000)
  expect(sent).toHaveLength(1)
  expect(state()).toEqual({ state: 'refused', message: 'Counter poses in a circle.' })
  expect(readDraft('tree')).not.toBeNull()
  write('ab')
  await jest.advanceTimersByTimeAsync(1000)
  expect(state()).toMatchObject({ state: 'saved' })
})

test('typing in one field undoes as one; two fields undo one after the other', () => {
  const { bench, write } = setUp()
  write('a')
  write('ab')
  bench.getState().set('number', 'ST-01')
  const { undo, redo } = bench.temporal.getState()
  undo()
  expect(bench.getState().card).toMatchObject({ notes: 'ab', number: '' })
  undo()
  expect(bench.getState().card.notes).toBe('')
  redo()
  expect(bench.getState().card.notes).toBe('ab')
})
