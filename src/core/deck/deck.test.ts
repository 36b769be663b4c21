import { parse } from 'csv-parse/sync'
import { demoCard } from '../../../tests/support/cards'
import { type Card, withValue } from '../card'
import { readCard, writeJson, writeMarkdown } from '../formats'
import { loopsOf, planImport, writeCsv } from '.'

const bytes = (text: string) => new TextEncoder().encode(text)
const gate = demoCard('gate')
const dog = demoCard('downward-dog')
const plan = (files: Record<string, string | Uint8Array>, deck: Card[] = [], bin: string[] = []) =>
  planImport(
    Object.entries(files).map(([name, text]) => ({
      name,
      bytes: typeof text === 'string' ? bytes(text) : text,
    })),
    new Map(deck.map((card) => [card.id, card])),
    new Set(bin)
  )

test('a preview says new, changed, same and refused', () => {
  const mended = { ...dog, notes: 'Mended.' }
  const items = plan(
    {
      'gate.md': writeMarkdown(gate),
      'dog.json': writeJson(mended),
      'cobra.md': writeMarkdown(demoCard('low-cobra')),
      'bad.md': '# no',
    },
    [dog, demoCard('low-cobra')]
  )
  expect(items.map(({ file, outcome }) => [file, outcome])).toEqual([
    ['gate.md', 'new'],
    ['dog.json', 'changed'],
    ['cobra.md', 'same'],
    ['bad.md', 'refused'],
  ])
  expect(items[1]!.after).toContain('Mended.')
  expect(items[1]!.before).not.toContain('Mended.')
  expect(items[3]!.why[0]).toMatch(/^bad\.md:1: a card file starts with/)
})

test('empty, binary, large and Latin-1 files are refused with a reason', () => {
  const items = plan({
    'empty.md': '',
    'binary.md': Uint8Array.of(0x89, 0x50, 0x4e, 0x47, 0, 1),
    'latin.md': Uint8Array.of(0x2d, 0x2d, 0x2d, 0x0a, 0xe9),
    'large.md': new Uint8Array(10 * 1024 * 1024).fill(0x61),
  })
  expect(items.map((item) => item.outcome)).toEqual(Array(4).fill('refused'))
  expect(items.map((item) => item.why[0])).toEqual([
    'empty.md:1: the file is empty',
    expect.stringContaining('UTF-8'),
    expect.stringContaining('UTF-8'),
    expect.stringContaining('larger than 2 MB'),
  ])
})

test('one id in two files, and a card in the bin, are refused', () => {
  const items = plan({
    'a.md': writeMarkdown(gate),
    'b.md': writeMarkdown({ ...gate, notes: 'x' }),
  })
  expect(items.map((item) => item.why[0])).toEqual([
    expect.stringMatching(/a\.md:1: the id “gate” stands in b\.md too/),
    expect.stringMatching(/b\.md:1: the id “gate” stands in a\.md too/),
  ])
  expect(plan({ 'a.md': writeMarkdown(gate) }, [], ['gate'])[0]!.why[0]).toMatch(/lies in the bin/)
})

test('two cards may counter each other; a longer circle is taken and told', () => {
  const a = withValue(gate, 'counter', ['downward-dog'])
  const b = withValue(dog, 'counter', ['gate'])
  const pair = plan({ 'a.md': writeMarkdown(a), 'b.md': writeMarkdown(b) })
  expect(pair.map(({ outcome, notes }) => [outcome, notes])).toEqual([
    ['new', undefined],
    ['new', undefined],
  ])
  const c = withValue(
    readCard(writeMarkdown(dog).replace('id: downward-dog', 'id: third')),
    'counter',
    ['gate']
  )
  const longer = withValue(dog, 'counter', ['third'])
  const items = plan({ 'b.md': writeMarkdown(longer), 'c.md': writeMarkdown(c) }, [a])
  expect(items.map(({ outcome }) => outcome)).toEqual(['new', 'new'])
  expect(items[0]!.notes![0]).toContain('downward-dog → third → gate → downward-dog')
})

test.each([
  ['a chain', { x: ['y'], y: ['z'], z: [] }, {}],
  ['a pair', { x: ['y'], y: ['x'] }, {}],
  ['itself', { x: ['x'] }, { x: ['x'] }],
  ['three', { x: ['y'], y: ['z'], z: ['x'] }, { x: 'x y z', y: 'y z x', z: 'z x y' }],
  [
    'three, two of them a pair as well',
    { x: ['y', 'z'], y: ['z'], z: ['x'] },
    { x: 'x y z', y: 'y z x', z: 'z x y' },
  ],
  ['a card that is not there', { x: ['gone'], gone2: ['x'] }, {}],
])('circles of counter poses: %s', (_what, counters, circles) => {
  const found = loopsOf(new Map(Object.entries(counters as Record<string, string[]>)))
  const told = Object.fromEntries([...found].map(([id, way]) => [id, way.join(' ')]))
  expect(told).toEqual(
    Object.fromEntries(
      Object.entries(circles as Record<string, string | string[]>).map(([id, way]) => [
        id,
        Array.isArray(way) ? way.join(' ') : way,
      ])
    )
  )
})

test('a JSON file that tries to change the prototype is refused', () => {
  const evil = writeJson(gate).replace('"number"', '"__proto__": {"base": "seated"}, "number"')
  expect(plan({ 'evil.json': evil })[0]!.outcome).toBe('refused')
  expect(({} as Record<string, unknown>).base).toBeUndefined()
})

test('CSV is read by another library as it was written', () => {
  const odd = withValue(gate, 'alignment[0].text', 'Press "both", left; and\u2028right {left} feet')
  const read = parse(writeCsv([odd, dog], 'cues'), { columns: true }) as Record<string, string>[]
  expect(read).toHaveLength(gate.alignment.length + dog.alignment.length)
  expect(read[0]).toEqual({
    card: 'gate',
    title: 'Gate',
    cue: 'a1',
    region: 'feet',
    on: 'both sides',
    text: 'Press "both", left; and\u2028right left feet',
  })
  expect(parse(writeCsv([gate], 'mistakes'), { columns: true })).toHaveLength(gate.mistakes.length)
  expect(parse(writeCsv([gate], 'cautions'), { columns: true })).toHaveLength(gate.cautions.length)
})
