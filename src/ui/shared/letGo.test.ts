import type * as LetGo from './letGo'

/** What waits while something on the page is pressed, and for how long. */

let page: EventTarget
let lib: typeof LetGo
let done: string[]

const does = (name: string, x = 10, y = 10) =>
  page.dispatchEvent(Object.assign(new Event(name), { clientX: x, clientY: y }))
const asks = (what: string) => lib.whenLetGo(() => done.push(what))

beforeEach(() => {
  jest.useFakeTimers()
  jest.resetModules()
  page = new EventTarget()
  Object.assign(globalThis, { window: page })
  lib = jest.requireActual('./letGo')
  done = []
})
afterEach(() => {
  jest.useRealTimers()
  Reflect.deleteProperty(globalThis, 'window')
})

test('with nothing pressed it is done at once', () => {
  asks('a')
  does('pointermove', 500)
  does('pointerup')
  asks('b')
  expect(done).toEqual(['a', 'b'])
})

test.each(['pointerup', 'pointercancel'])('what is pressed is waited for until %s', (ends) => {
  does('pointerdown')
  asks('a')
  does('pointermove', 12, 13)
  asks('b')
  expect(done).toEqual([])
  does(ends)
  // The click comes before what waited, and what comes meanwhile keeps its turn.
  done.push('click')
  asks('c')
  jest.runOnlyPendingTimers()
  expect(done).toEqual(['click', 'a', 'b', 'c'])
  asks('d')
  expect(done.at(-1)).toBe('d')
})

test('who drags is not waited for', () => {
  does('pointerdown')
  asks('a')
  does('pointermove', 10, 30)
  expect(done).toEqual(['a'])
  asks('b')
  does('pointerup')
  expect(done).toEqual(['a', 'b'])
})

test('who holds on is waited for a moment, each press for its own', () => {
  does('pointerdown')
  jest.advanceTimersByTime(lib.PRESS_MS - 1)
  asks('a')
  does('pointerdown')
  jest.advanceTimersByTime(lib.PRESS_MS - 1)
  expect(done).toEqual([])
  jest.advanceTimersByTime(1)
  expect(done).toEqual(['a'])
  asks('b')
  expect(done).toEqual(['a', 'b'])
})

test('a press right after a release is waited for, too', () => {
  does('pointerdown')
  asks('a')
  does('pointerup')
  does('pointerdown')
  jest.advanceTimersByTime(1)
  expect(done).toEqual([])
  does('pointerup')
  jest.advanceTimersByTime(1)
  expect(done).toEqual(['a'])
})

test('what fails is told, and keeps nothing back that waits behind it', () => {
  const told: unknown[] = []
  Object.assign(globalThis, { reportError: (error: unknown) => told.push(error) })
  does('pointerdown')
  const fault = new Error('no room')
  lib.whenLetGo(() => {
    throw fault
  })
  asks('a')
  does('pointerup')
  jest.runOnlyPendingTimers()
  expect([told, done]).toEqual([[fault], ['a']])
  Reflect.deleteProperty(globalThis, 'reportError')
})

test('a page that is made on the server waits for nothing', () => {
  Reflect.deleteProperty(globalThis, 'window')
  jest.resetModules()
  lib = jest.requireActual('./letGo')
  asks('a')
  expect(done).toEqual(['a'])
})
