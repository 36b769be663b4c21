import { FORMAT_VERSION } from '@/core/card'
import { lunge } from '../../../tests/support/cards'
import { dropDraft, keepDraft, keepTail, readDraft } from './draft'

/** The browser's own store, as far as it is used. */
function store() {
  const kept = new Map<string, string>()
  return {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
    kept,
  }
}

const card = lunge({ firstSide: 'left' })
const draft = { card, from: 3, at: '2026-11-27T10:00:00Z' }
let local: ReturnType<typeof store>
beforeEach(() => {
  local = store()
  Object.assign(globalThis, { localStorage: local })
})

test('a draft comes back whole, with what was typed since', () => {
  expect(keepDraft(card.id, draft)).toBe(true)
  expect(readDraft(card.id)).toEqual(draft)
  keepTail(card.id, { notes: 'typed since', firstSide: undefined })
  const { firstSide: _, ...rest } = card
  expect(readDraft(card.id)).toEqual({ ...draft, card: { ...rest, notes: 'typed since' } })
  // The next whole draft has it all.
  keepDraft(card.id, { ...draft, card: { ...card, notes: 'all' } })
  expect(readDraft(card.id)!.card.notes).toBe('all')
  dropDraft(card.id)
  expect(readDraft(card.id)).toBeNull()
  expect(local.kept.size).toBe(0)
})

test('a draft of an earlier format is brought to today’s', () => {
  const figure = { angles: { neck: { turn: 20 } }, contacts: [] }
  local.setItem(
    `notula:draft:${card.id}`,
    JSON.stringify({ ...draft, card: { ...card, setUp: { ...card.setUp, figure } } })
  )
  expect(readDraft(card.id)!.card.setUp.figure).toEqual({
    angles: { neck: { rotation: 20 } },
    contacts: [],
  })
  keepDraft(card.id, draft)
  expect(JSON.parse(local.getItem(`notula:draft:${card.id}`)!).format).toBe(FORMAT_VERSION)
})

test('a browser that keeps nothing is told of, and breaks nothing', () => {
  local.setItem = () => {
    throw new Error('no room')
  }
  expect(keepDraft(card.id, draft)).toBe(false)
  expect(() => keepTail(card.id, { notes: 'x' })).not.toThrow()
})
