import type { BenchAsked, BenchTold } from '@/workers/bench'
import type { openWork } from './benchWork'

/** A worker that answers when the test says so. */
class Hand {
  static made: Hand[] = []
  onmessage?: (event: { data: BenchTold }) => void
  onerror?: (event: { message: string }) => void
  heard: BenchAsked[] = []
  ended = false
  constructor() {
    Hand.made.push(this)
  }
  postMessage(asked: BenchAsked) {
    this.heard.push(asked)
  }
  terminate() {
    this.ended = true
  }
  answer() {
    const heard = this.heard.splice(0)
    const gone = heard.flatMap((asked) => ('leaves' in asked ? asked.from : []))
    for (const asked of heard) {
      const to = asked.from
      if ('leaves' in asked) this.onmessage!({ data: { to, left: true } })
      else if (!gone.includes(to)) this.onmessage!({ data: { to, answer: asked.work } })
    }
  }
}

const JOB = {} as never
let open: typeof openWork

beforeEach(() => {
  jest.useFakeTimers()
  jest.resetModules()
  Hand.made = []
  Object.assign(globalThis, { Worker: Hand })
  open = (jest.requireActual('./benchWork') as { openWork: typeof openWork }).openWork
})
afterEach(() => {
  jest.useRealTimers()
  Reflect.deleteProperty(globalThis, 'Worker')
})

/** Parts that asked for something. */
const parts = (...works: ('findings' | 'words')[]) =>
  works.map((work) => {
    const part = open(work)
    const told: unknown[] = []
    part.onAnswer((answer) => told.push(answer))
    part.ask(JOB)
    return { ...part, told }
  })

test('all parts of a bench share one worker, and the next bench takes it over with what it knows', () => {
  const [found, words] = parts('findings', 'words')
  const [hand] = Hand.made
  hand!.answer()
  expect([found!.told, words!.told]).toEqual([['findings'], ['words']])
  found!.stop()
  words!.stop()
  expect(hand!.ended).toBe(false)
  // Whoever left is not worked for any more.
  expect(hand!.heard).toMatchObject([{ leaves: true }, { leaves: true }])
  jest.advanceTimersByTime(200_000)
  const [again] = parts('findings')
  hand!.answer()
  expect(again!.told).toEqual(['findings'])
  // It was wanted in time: the end that was set before does not come.
  jest.advanceTimersByTime(200_000)
  expect([Hand.made.length, hand!.ended]).toEqual([1, false])
})

test('a worker that nobody wants for five minutes ends', () => {
  const [found] = parts('findings')
  Hand.made[0]!.answer()
  found!.stop()
  jest.advanceTimersByTime(304_000)
  expect(Hand.made[0]!.ended).toBe(false)
  jest.advanceTimersByTime(2000)
  expect(Hand.made[0]!.ended).toBe(true)
  parts('findings')
  expect(Hand.made).toHaveLength(2)
})

test.each([
  ['is still at work', (hand: Hand) => void hand],
  ['did not start', (hand: Hand) => hand.onerror!({ message: 'no worker' })],
])('a worker that %s when the last part leaves is not the next bench’s', (_, happens) => {
  const [found, words] = parts('findings', 'words')
  const [hand] = Hand.made
  happens(hand!)
  found!.stop()
  words!.stop()
  expect(hand!.ended).toBe(false)
  const [again] = parts('findings')
  expect([Hand.made.length, hand!.ended]).toEqual([2, true])
  Hand.made[1]!.answer()
  expect(again!.told).toEqual(['findings'])
})

test('what is still at work for nobody has a few seconds to end it', () => {
  const [slow] = parts('findings')
  slow!.stop()
  jest.advanceTimersByTime(4000)
  // What was not begun when its part left has no answer, and the worker is free for others.
  Hand.made[0]!.answer()
  expect(slow!.told).toEqual([])
  jest.advanceTimersByTime(200_000)
  const [found] = parts('findings')
  expect([Hand.made.length, Hand.made[0]!.ended]).toEqual([1, false])
  found!.stop()
  jest.advanceTimersByTime(4000)
  expect(Hand.made[0]!.ended).toBe(false)
  jest.advanceTimersByTime(2000)
  expect(Hand.made[0]!.ended).toBe(true)
})

test('a worker of one part’s own ends with it', () => {
  const [found] = parts('findings')
  const own = open('words', true)
  expect(Hand.made).toHaveLength(2)
  own.stop()
  expect(Hand.made.map(({ ended }) => ended)).toEqual([false, true])
  Hand.made[0]!.answer()
  expect(found!.told).toEqual(['findings'])
})
