import type { Card, Finding } from '@/core/card'
import { DEFAULT_SCHOOL } from '@/core/card'
import type { FindingsAnswer, FindingsJob } from '@/workers/cardFindings'
import { followCard } from '@/workers/cardFindings'
import { lunge } from '../../../tests/support/cards'
import { createFindings, type FindingsWork } from './findings'
import { createBench } from './store'

/** A worker that answers when it is told to. */
function slowWork() {
  const jobs: FindingsJob[] = []
  const follow = followCard()
  let tell: (answer: FindingsAnswer) => void = () => undefined
  let fail: (message: string) => void = () => undefined
  const work: FindingsWork = {
    ask: (job) => jobs.push(job),
    onAnswer: (told) => {
      tell = told
    },
    onFailure: (told) => {
      fail = told
    },
    stop: () => undefined,
  }
  return { work, jobs, answer: () => tell(follow(jobs.at(-1)!)), fail: () => fail('it broke') }
}

const PAUSE = 300
const held: Partial<Card> = { stay: { breaths: 5, repeats: 1 } }
/** Both steps are on the same breath, and the second can be mended. */
const card = lunge({
  ...held,
  enter: [
    { id: 's1', text: 'Stand still.', breath: 'in' },
    { id: 's2', text: 'Stand on.', breath: 'in' },
  ],
})

beforeEach(() => jest.useFakeTimers())
afterEach(() => jest.useRealTimers())

function setUp() {
  const bench = createBench(card)
  const { work, jobs, answer } = slowWork()
  const findings = createFindings(bench, DEFAULT_SCHOOL, () => work)
  const stop = findings.start()
  answer()
  const equal = (): Finding | undefined =>
    findings.found.getState().findings.find(({ rule }) => rule === 'breath/in-and-out-take-turns')
  return { bench, findings, jobs, answer, equal, stop }
}

test('the card is followed from one pause to the next, and only what changed is sent', () => {
  const { bench, jobs, answer, equal } = setUp()
  expect(equal()).toBeDefined()
  expect(Object.keys(jobs[0]!.changed)).toContain('ladder')
  bench.getState().set('enter[1].text', 'Stand on, an')
  bench.getState().set('enter[1].text', 'Stand on, and on.')
  expect(jobs).toHaveLength(1)
  jest.advanceTimersByTime(PAUSE)
  expect(jobs).toHaveLength(2)
  expect(Object.keys(jobs[1]!.changed)).toEqual(['enter'])
  bench.getState().set('enter[1].breath', 'out')
  jest.advanceTimersByTime(PAUSE)
  // One at a time: the next is asked for when the answer is there.
  expect(jobs).toHaveLength(2)
  answer()
  expect(jobs).toHaveLength(3)
  answer()
  expect(equal()).toBeUndefined()
})

test('a finding that stays is the same one, so that nothing about it draws anew', () => {
  const { bench, answer, equal } = setUp()
  const before = equal()
  bench.getState().set('notes', 'More.')
  jest.advanceTimersByTime(PAUSE)
  answer()
  expect(equal()).toBe(before)
})

test('a mend is taken on the card as it is by then, and what was typed meanwhile stays', () => {
  const { bench, findings, answer, equal } = setUp()
  const finding = equal()!
  bench.getState().set('enter[1].text', 'Stand on, typed meanwhile.')
  findings.take(finding)
  expect(bench.getState().card.enter[1]!.breath).toBe('in')
  jest.advanceTimersByTime(PAUSE)
  answer()
  expect(bench.getState().card.enter[1]).toMatchObject({
    text: 'Stand on, typed meanwhile.',
    breath: 'out',
  })
})

test('a mend whose finding has gone meanwhile changes nothing', () => {
  const { bench, findings, answer, equal } = setUp()
  const finding = equal()!
  bench.getState().set('enter[1].breath', 'free')
  findings.take(finding)
  jest.advanceTimersByTime(PAUSE)
  answer()
  expect(bench.getState().card.enter[1]!.breath).toBe('free')
})

test('it stops', () => {
  const { bench, jobs, stop } = setUp()
  stop()
  bench.getState().set('notes', 'More.')
  jest.advanceTimersByTime(PAUSE)
  expect(jobs).toHaveLength(1)
})

test('a card that cannot be checked says so, and the next state of it is checked again', () => {
  const follow = followCard()
  const broken = { ...card, enter: null } as unknown as Card
  expect(follow({ changed: broken, school: DEFAULT_SCHOOL, asked: false }).findings).toMatchObject([
    { rule: 'card/checked', message: expect.stringContaining('could not be checked') },
  ])
  const { findings } = follow({
    changed: { enter: card.enter },
    school: DEFAULT_SCHOOL,
    asked: false,
  })
  expect(findings.map(({ rule }) => rule)).not.toContain('card/checked')
})

test('a worker that breaks is a finding of its own, and the next change is asked for again', () => {
  const bench = createBench(card)
  const { work, jobs, fail, answer } = slowWork()
  const findings = createFindings(bench, DEFAULT_SCHOOL, () => work)
  findings.start()
  // Until the first answer, that nothing is found says nothing.
  expect(findings.found.getState()).toEqual({ findings: [], looked: false })
  fail()
  expect(findings.found.getState().looked).toBe(true)
  expect(findings.found.getState().findings.map(({ message }) => message)).toEqual([
    expect.stringContaining('it broke') as string,
  ])
  bench.getState().set('enter[1].text', 'Stand on, and on.')
  jest.advanceTimersByTime(PAUSE)
  expect(jobs).toHaveLength(2)
  answer()
  expect(findings.found.getState().findings.length).toBeGreaterThan(0)
})
