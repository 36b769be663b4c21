import { valueAt } from '@/core/card'
import { lunge, stepsOf } from '../../../tests/support/cards'
import { changedFields, createBench, PAUSE_MS } from './store'

/** What waits until a thing that is pressed is let go; null with nothing pressed. */
let mockWaiting: (() => void)[] | null = null
jest.mock('../shared/letGo', () => ({
  whenLetGo: (work: () => void) => void (mockWaiting ? mockWaiting.push(work) : work()),
}))

/** The card on the bench: who hears of a change, when, and what an undo takes back. */

const card = lunge({
  enter: stepsOf([
    ['in', 'Stand.'],
    ['out', 'Fold.'],
  ]),
})
const at = (bench: ReturnType<typeof createBench>, path: string) =>
  valueAt(bench.getState().card, path)

beforeEach(() => jest.useFakeTimers())
afterEach(() => jest.useRealTimers())

describe('who follows', () => {
  test('a typed line: its own fields at each letter, the page and what is worked out at the pause', () => {
    const bench = createBench(card)
    const heard: string[] = []
    const hears = (text: string, goesOn: boolean) => heard.push(goesOn ? `${text}…` : text)
    bench.onTyped('enter[0].text', hears)
    bench.onTyped('enter[1].text', (text) => heard.push(`other ${text}`))
    bench.type('enter[0].text', 'Stand t')
    bench.type('enter[0].text', 'Stand ta')
    expect(heard).toEqual(['Stand t…', 'Stand ta…'])
    expect(at(bench, 'enter[0].text')).toBe('Stand ta')
    expect(valueAt(bench.drawn.getState().card, 'enter[0].text')).toBe('Stand.')
    jest.advanceTimersByTime(PAUSE_MS - 1)
    expect(bench.quiet.getState().card).toBe(card)
    expect(heard).toHaveLength(2)
    jest.advanceTimersByTime(1)
    expect(heard.slice(2)).toEqual(['Stand ta'])
    expect(bench.drawn.getState().card).toBe(bench.getState().card)
    expect(bench.quiet.getState().card).toBe(bench.getState().card)
  })

  test('while something is pressed the pause waits, and tells nothing of what was changed since', () => {
    const bench = createBench(card)
    mockWaiting = []
    bench.type('enter[0].text', 'Stand t')
    jest.advanceTimersByTime(PAUSE_MS)
    expect(bench.quiet.getState().card).toBe(card)
    bench.type('enter[0].text', 'Stand ta')
    const waited = mockWaiting.splice(0)
    expect(waited).toHaveLength(1)
    waited[0]!()
    expect(bench.quiet.getState().card).toBe(card)
    mockWaiting = null
    jest.advanceTimersByTime(PAUSE_MS)
    expect(at(bench, 'enter[0].text')).toBe('Stand ta')
    expect(bench.quiet.getState().card).toBe(bench.getState().card)
  })

  test('any other change: the page at once, what is worked out at the pause', () => {
    const bench = createBench(card)
    bench.getState().set('enter[0].breath', 'out')
    expect(bench.drawn.getState().card).toBe(bench.getState().card)
    expect(bench.quiet.getState().card).toBe(card)
    jest.advanceTimersByTime(PAUSE_MS)
    expect(bench.quiet.getState().card).toBe(bench.getState().card)
  })

  test('a letter that was taken back at once is told at the pause, though the line is as it was', () => {
    const bench = createBench(card)
    const rests: string[] = []
    bench.onTyped('enter[0].text', (text, goesOn) => goesOn || rests.push(text))
    bench.type('enter[0].text', 'Stand.x')
    bench.type('enter[0].text', 'Stand.')
    jest.advanceTimersByTime(PAUSE_MS)
    expect(rests).toEqual(['Stand.'])
    jest.advanceTimersByTime(5 * PAUSE_MS)
    expect(rests).toHaveLength(1)
  })

  test('a pause begins anew with each letter', () => {
    const bench = createBench(card)
    for (const text of ['a', 'ab', 'abc']) {
      bench.type('enter[0].text', text)
      jest.advanceTimersByTime(PAUSE_MS - 20)
    }
    expect(bench.quiet.getState().card).toBe(card)
    jest.advanceTimersByTime(20)
    expect(valueAt(bench.quiet.getState().card, 'enter[0].text')).toBe('abc')
  })

  test('who has left hears nothing more', () => {
    const bench = createBench(card)
    const heard: string[] = []
    const leave = bench.onTyped('enter[0].text', (text) => heard.push(text))
    bench.type('enter[0].text', 'a')
    leave()
    bench.type('enter[0].text', 'ab')
    expect(heard).toEqual(['a'])
  })
})

describe('undo', () => {
  test('takes back a burst of one field as one, and brings it back', () => {
    const bench = createBench(card)
    for (const text of ['S', 'St', 'Sta']) {
      bench.type('enter[0].text', text)
      jest.advanceTimersByTime(300)
    }
    bench.temporal.getState().undo()
    expect(at(bench, 'enter[0].text')).toBe('Stand.')
    bench.temporal.getState().redo()
    expect(at(bench, 'enter[0].text')).toBe('Sta')
  })

  test('another field, or a second later, is a step of its own', () => {
    const bench = createBench(card)
    bench.type('enter[0].text', 'A')
    bench.type('enter[1].text', 'B')
    jest.advanceTimersByTime(1500)
    bench.type('enter[1].text', 'BB')
    const undo = () => bench.temporal.getState().undo()
    undo()
    expect([at(bench, 'enter[0].text'), at(bench, 'enter[1].text')]).toEqual(['A', 'B'])
    undo()
    expect([at(bench, 'enter[0].text'), at(bench, 'enter[1].text')]).toEqual(['A', 'Fold.'])
    undo()
    expect(bench.getState().card).toBe(card)
  })

  test('of a line that was typed just now reaches its fields before the page is drawn', () => {
    const bench = createBench(card)
    const heard: string[] = []
    bench.onTyped('enter[0].text', (text) => heard.push(text))
    bench.type('enter[0].text', 'Sit')
    bench.temporal.getState().undo()
    expect(heard).toEqual(['Sit', 'Stand.'])
    expect(bench.drawn.getState().card).toBe(card)
  })

  test('a change that changes nothing is none', () => {
    const bench = createBench(card)
    bench.getState().edit((now) => now)
    bench.getState().replace(card)
    expect(bench.temporal.getState().pastStates).toEqual([])
  })

  test('another text in its place is one step', () => {
    const bench = createBench(card)
    bench.getState().replace({ ...card, notes: 'theirs' })
    bench.temporal.getState().undo()
    expect(bench.getState().card).toBe(card)
  })
})

test('only the fields that changed are told, what is new and what is gone among them', () => {
  const now = { ...card, notes: 'n', number: undefined as never }
  expect(changedFields(card, now)).toEqual({ notes: 'n', number: undefined })
  expect(changedFields(card, card)).toEqual({})
  expect(Object.keys(changedFields(null, card)).sort()).toEqual(Object.keys(card).sort())
})
