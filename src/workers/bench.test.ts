import { DEFAULT_SCHOOL, withValue } from '@/core/card'
import { demoCard } from '../../tests/support/cards'
import { type BenchAsked, type BenchTold, benchWorker } from './bench'

/** One worker for all that a bench wants to know: each part asks for itself. */

const gate = demoCard('gate')
const school = DEFAULT_SCHOOL
const findings = (from: number, changed: object): BenchAsked => ({
  from,
  work: 'findings',
  job: { changed, school, asked: false },
})
const words = (from: number): BenchAsked => ({
  from,
  work: 'words',
  job: { changed: gate, school },
})
const faults = (from: number): BenchAsked => ({
  from,
  work: 'cautions',
  job: { ask: 'faults', card: gate, school },
})

/** A worker whose next job begins when the test says so. */
function slowWorker() {
  const told: BenchTold[] = []
  const wakes: (() => void)[] = []
  const hear = benchWorker(
    (each) => told.push(each),
    (work) => wakes.push(work)
  )
  const goOn = () => wakes.splice(0).forEach((work) => work())
  return { told, hear, goOn, wakes }
}

test('what is wanted first is answered first, one job at a time, each to who asked', () => {
  const { told, hear, goOn } = slowWorker()
  hear(faults(3))
  hear(words(2))
  hear(findings(1, gate))
  expect(told).toEqual([])
  goOn()
  expect(told.map(({ to }) => to)).toEqual([1])
  // What comes meanwhile waits for its turn, and goes before what may wait longer.
  hear(findings(1, {}))
  goOn()
  goOn()
  goOn()
  expect(told.map(({ to }) => to)).toEqual([1, 1, 2, 3])
  goOn()
  expect(told).toHaveLength(4)
  hear(findings(1, {}))
  goOn()
  expect(told).toHaveLength(5)
})

test('each part follows a card of its own', () => {
  const { told, hear, goOn } = slowWorker()
  const rules = (told: BenchTold | undefined) =>
    'answer' in told! ? (told.answer as { findings: { rule: string }[] }).findings : null
  hear(findings(1, gate))
  goOn()
  hear(findings(2, withValue(gate, 'enter[0].breath', 'hold-in')))
  goOn()
  // Only what changed is sent: the rest is known of before, to this part alone.
  hear(findings(1, { notes: 'n' }))
  goOn()
  expect(rules(told[2])).toEqual(rules(told[0]))
  expect(rules(told[1])).not.toEqual(rules(told[0]))
})

test('one that leaves is not worked for, and the others are', () => {
  const { told, hear, goOn, wakes } = slowWorker()
  hear(findings(1, gate))
  hear(findings(2, gate))
  hear({ from: 1, leaves: true })
  expect(told.splice(0)).toEqual([{ to: 1, left: true }])
  goOn()
  expect(told.map(({ to }) => to)).toEqual([2])
  goOn()
  expect(wakes).toEqual([])
})

test('a job that comes to no end is told to who asked, and nobody else waits for it', () => {
  const { told, hear, goOn } = slowWorker()
  hear({ from: 1, work: 'words', job: { changed: {}, school } })
  hear(findings(2, gate))
  goOn()
  goOn()
  expect(told.map(({ to }) => to)).toEqual([2, 1])
  expect(told[1]).toEqual({ to: 1, failed: expect.stringMatching(/./) as string })
})

test('the same answer about cautions is told once; ways out are told whenever they are asked for', () => {
  const { told, hear, goOn } = slowWorker()
  const ways: BenchAsked = {
    from: 1,
    work: 'cautions',
    job: { ask: 'ways', card: gate, school, conditions: ['knee'], deck: [{ card: gate }] },
  }
  for (const asked of [faults(1), faults(1), ways, ways]) {
    hear(asked)
    goOn()
    goOn()
  }
  const answers = told.map((each) => Object.keys('answer' in each ? (each.answer as object) : {}))
  expect(answers).toEqual([['faults'], [], ['ways'], ['ways']])
})
