import { demoCard } from '../../tests/support/cards'
import { DEFAULT_SCHOOL, DEMANDED } from '@/core/card'
import { LADDER } from '@/core/language'
import { READY_BODIES } from '@/core/ladder'
import { ladderWork } from './ladder'

jest.setTimeout(60_000)

const tree = demoCard('tree')

test('every rung comes with its form, its numbers and what they came from', () => {
  const { rungs, offered } = ladderWork({
    ask: 'ladder',
    card: tree,
    school: DEFAULT_SCHOOL,
    person: null,
  })
  expect(rungs!.map(({ id }) => id)).toEqual(tree.ladder.map(({ id }) => id))
  for (const rung of rungs!) {
    expect(rung.drawing!.shapes.length).toBeGreaterThan(3)
    expect(rung.seconds).toBeGreaterThan(60)
    expect(rung.opening).toBeNull()
    expect(Object.keys(rung.why)).toEqual([...DEMANDED])
    expect(rung.why.balance.join()).toMatch(/weight|wall/)
    expect(rung.from).toBe(LADDER.from.kept)
  }
  expect(offered!.up.length).toBeGreaterThan(3)
  // Each ready body opens the pose at one rung, or at none.
  const named = rungs!.flatMap(({ opensTo }) => opensTo)
  expect(new Set(named).size).toBe(named.length)
  expect(rungs![0]!.opensTo.length).toBeGreaterThan(0)
})

test('for a person each rung says whether it is open, and is drawn as far as they go', () => {
  const { person } = READY_BODIES.find(({ id }) => id === 'stiff')!
  const plain = ladderWork({
    ask: 'ladder',
    card: demoCard('standing-fold'),
    school: DEFAULT_SCHOOL,
    person: null,
  })
  const stiff = ladderWork({
    ask: 'ladder',
    card: demoCard('standing-fold'),
    school: DEFAULT_SCHOOL,
    person,
  })
  const [top, same] = [stiff.rungs!.at(-1)!, plain.rungs!.at(-1)!]
  expect(top.opening!.open).toBe(false)
  expect(top.opening!.missing.join()).toMatch(/straight-leg raise: \d+° short/)
  expect(JSON.stringify(top.drawing!.shapes)).not.toBe(JSON.stringify(same.drawing!.shapes))
  // What a rung asks does not hang on who looks at it.
  expect(top.demand).toEqual(same.demand)
})

test('proposals come with a rung that can be put on the ladder', () => {
  const { proposals } = ladderWork({ ask: 'proposals', card: tree, school: DEFAULT_SCHOOL })
  expect(proposals!.length).toBeGreaterThan(4)
  for (const { rung, drawing, demand } of proposals!) {
    expect(rung.name).not.toBe('')
    expect(drawing.shapes.length).toBeGreaterThan(3)
    expect(demand.total).toBeGreaterThan(0)
  }
})

test('a card with no ladder has nothing to tell', () => {
  const { rungs } = ladderWork({
    ask: 'ladder',
    card: { ...tree, ladder: [] },
    school: DEFAULT_SCHOOL,
    person: null,
  })
  expect(rungs).toEqual([])
})
