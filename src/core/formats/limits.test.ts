import { parse } from 'csv-parse/sync'
import { demoCard } from '../../../tests/support/cards'
import { blankCard, type Card, LIMITS, withValue } from '../card'
import { cellText, planImport, writeCsv } from '../deck'
import { CardFileError, readCard, writeJson, writeMarkdown } from '.'

/** Files that want more than their share, and files that nobody can take for what they say. */

const gate = demoCard('gate')
const md = writeMarkdown(gate)

function problems(text: string): string[] {
  try {
    readCard(text)
    return []
  } catch (error) {
    expect(error).toBeInstanceOf(CardFileError)
    return (error as CardFileError).problems.map(({ line, message }) => `${line}: ${message}`)
  }
}
const lines = (many: number, line: (i: number) => string) =>
  Array.from({ length: many }, (_, i) => line(i)).join('\n')
const front = (inside: string) => `---\nnotula: 2\n${inside}\n---\n`

describe('more than its share is refused with its line, before it is parsed', () => {
  test.each<[string, string, RegExp]>([
    [
      'lists in lists by indents',
      `${md}\n${lines(40, (i) => `${' '.repeat(2 * i)}- a`)}`,
      /lists lie more than 8 deep/,
    ],
    ['lists in lists on one line', `${md}\n${'- '.repeat(2500)}a`, /lists lie more than 8 deep/],
    ['numbered lists in lists', `${md}\n${'1. '.repeat(2500)}a`, /lists lie more than 8 deep/],
    ['lists by tabs', `${md}\n${'\t'.repeat(60)}- a`, /lists lie more than 8 deep/],
    ['quotes in quotes', `${md}\n${'>'.repeat(5000)}a`, /lists lie more than 8 deep/],
    ['underlined headings', `${md}\n${lines(500, () => 'a\n===')}`, /more than 200 headings/],
    [
      'emphasis without end',
      `${md}\n${lines(60, () => 'a* b_ '.repeat(100))}`,
      /more than 5000 marks/,
    ],
    [
      'characters by name',
      `${md}\n${lines(60, () => '&amp; '.repeat(100))}`,
      /more than 5000 marks/,
    ],
    [
      'emphasis where a fence seems to stand',
      `${md}\nWords\n    ~~~\n${lines(60, () => 'a* b_ '.repeat(100))}`,
      /more than 5000 marks/,
    ],
    ['headings', `${md}\n${lines(500, () => '## a')}`, /more than 200 headings/],
    ['lines', `${md}${'\n'.repeat(13_000)}`, /more than 12000 lines/],
    ['a line without end', `${md}\n${'a'.repeat(50_000)}`, /longer than 40000 characters/],
    [
      'names between the --- lines',
      front(lines(5000, (i) => `k${i}: 1`)),
      /more than 2000 lines stand/,
    ],
    [
      'JSON in JSON',
      `{"notula": 2, "x": ${'['.repeat(20_000)}${']'.repeat(20_000)}}`,
      /more than 40 deep/,
    ],
    [
      'JSON in JSON, never closed',
      `{"notula": 2, "x": ${'{"a":'.repeat(20_000)}`,
      /more than 40 deep/,
    ],
  ])('%s', (_what, text, told) => {
    const [first, ...rest] = problems(text)
    expect(first).toMatch(told)
    expect(first).toMatch(/^\d+: /)
    expect(rest).toEqual([])
  })

  test.each([
    ['a card of the demo', md],
    ['lists of a figure’s data in a fence', md.replace(/$/, '')],
    ['brackets in a text of JSON', writeJson({ ...gate, notes: '[{'.repeat(200) })],
    ['quotes escaped in JSON', writeJson({ ...gate, notes: '\\"[[[['.repeat(50) })],
    [
      'stars and ands by the thousand that are only text',
      writeMarkdown({ ...gate, notes: lines(12, () => `${'*a b* &amp & '.repeat(600)}\n`).trim() }),
    ],
    ['emphasis as a person writes it', `${md}\n${lines(400, () => 'Press *down*, and _grow_.')}`],
    ['a rule of dashes in the notes', writeMarkdown({ ...gate, notes: 'One.\n\n* * *\n\nTwo.' })],
  ])('%s is taken', (_what, text) => {
    expect(problems(text)).toEqual([])
  })
})

describe('a card takes no more than the limits', () => {
  const told = (card: Card) => problems(writeJson(card))
  const cue = (i: number, text: string): Card['alignment'][number] => ({
    id: `c${i}`,
    region: 'feet',
    on: 'both',
    text,
  })

  test.each<[string, Card, RegExp]>([
    [
      'words',
      { ...gate, alignment: Array.from({ length: 20 }, (_, i) => cue(i, 'a'.repeat(10_000 + i))) },
      /“alignment\[19\]\.text” is the longest text .* a card takes 150000/,
    ],
    [
      'cues',
      { ...gate, alignment: Array.from({ length: LIMITS.list + 1 }, (_, i) => cue(i, 'a')) },
      /“alignment” has more than 400 entries/,
    ],
    [
      'a number of a figure',
      withValue(gate, 'setUp.figure', { angles: { pelvis: { turn: 1e308 } } }),
      /“setUp\.figure\.angles\.pelvis\.turn” is a number that nothing on a card can have/,
    ],
    [
      'numbers of a figure',
      withValue(gate, 'setUp.figure', {
        x: Array.from({ length: 8 }, () => Array.from({ length: 300 }, () => 1)),
      }),
      /“setUp\.figure” holds more than 2000/,
    ],
    [
      'a measure',
      withValue(gate, 'alignment[0].measure', {
        name: 'knee angle',
        target: 1e300,
        tolerance: 1,
        unit: 'deg',
      }),
      /target” is a number that nothing/,
    ],
  ])('too many: %s', (_what, card, message) => {
    expect(told(card).join('\n')).toMatch(message)
  })

  test('just as much is taken', () => {
    expect(
      told({ ...gate, alignment: Array.from({ length: LIMITS.list }, (_, i) => cue(i, 'a')) })
    ).toEqual([])
    expect(told({ ...gate, notes: 'a '.repeat(45_000).trim() })).toEqual([])
  })
})

describe('one file that cannot be read spoils only itself', () => {
  const bytes = (text: string) => new TextEncoder().encode(text)
  test.each([
    ['an alias that there is not', md.replace('---\n', '---\nx: *nope\n')],
    [
      'aliases of aliases',
      front(
        'a: &a [1,1,1,1,1,1,1,1]\nb: &b [*a,*a,*a,*a,*a,*a,*a]\nc: &c [*b,*b,*b,*b,*b,*b]\nd: [*c,*c,*c,*c,*c,*c]'
      ),
    ],
    ['brackets in brackets', front(`x: ${'['.repeat(3000)}`)],
    ['deep JSON', `{"x": ${'['.repeat(20_000)}`],
    ['a version that is no version', `{"notula": ${'['.repeat(30)}${']'.repeat(30)}}`],
    ['half a letter', '\ud800'],
  ])('%s', (_what, text) => {
    const files = [
      { name: 'bad.md', bytes: bytes(text) },
      { name: 'good.md', bytes: bytes(md) },
    ]
    const [bad, good] = planImport(files, new Map())
    expect(bad).toMatchObject({
      outcome: 'refused',
      why: [expect.stringMatching(/^bad\.md:\d+: ./)],
    })
    expect(bad!.why.join('').length).toBeLessThan(600)
    expect(good).toMatchObject({ outcome: 'new', title: 'Gate' })
  })
})

describe('what looks like a number comes back as it is written, or is refused', () => {
  test.each([
    '1.10',
    '007',
    '.inf',
    '-.inf',
    '.nan',
    '1e3',
    '0x10',
    '0o7',
    '-0',
    '+5',
    '12345678901234567890',
    '"1.0"',
    '2026-11-27',
    '1_000',
  ])('number: %s', (written) => {
    const card = readCard(md.replace(/^number:.*$/m, `number: ${written}`))
    expect(card.number).toBe(written.replace(/"/g, ''))
    expect(readCard(writeMarkdown(card)).number).toBe(card.number)
  })

  test.each(['true', '~', 'null', '[1]', '{a: 1}'])('number: %s is refused', (written) => {
    expect(problems(md.replace(/^number:.*$/m, `number: ${written}`)).join()).toContain('“number”')
  })

  test('names too', () => {
    const card = readCard(
      md.replace(/^names:$/m, 'names:\n  meaning: 1.50').replace(/^ {2}meaning: (?!1\.50).*\n/m, '')
    )
    expect(card.names.meaning).toBe('1.50')
  })
})

test.each([
  [
    'a key',
    (text: string) => text.replace('"id"', '"id": "other", "id"'),
    /“id” stands here twice/,
  ],
  [
    'a key of a part',
    (text: string) => text.replace('"region"', '"region": "feet", "region"'),
    /“region” stands here twice/,
  ],
])('JSON that says %s twice is told, not halved', (_what, change, told) => {
  expect(problems(change(writeJson(gate))).join('\n')).toMatch(told)
})

describe('CSV', () => {
  const dangerous = [
    '=1+1',
    '+1',
    '-1',
    '@SUM(A1)',
    '\t=1',
    "'=1",
    '＝1',
    '=cmd|" /C calc"!A0',
    '- press',
    "'tis soft",
  ]
  const card = {
    ...blankCard({
      name: 'Tree',
      base: 'standing',
      spine: 'lengthen',
      manner: 'held',
      sides: 'even',
    }),
    cautions: dangerous.map((condition) => ({ condition, verdict: 'avoid', say: '' })),
  } as Card

  test('no cell is a formula, and each is read back whole', () => {
    const rows: string[][] = parse(writeCsv([card], 'cautions'))
    expect(rows).toHaveLength(dangerous.length + 1)
    for (const cell of rows.flat()) expect(cell).not.toMatch(/^[=+\-@\t\r＝＋－＠]/)
    expect(rows.slice(1).map((row) => cellText(row[2]!))).toEqual(dangerous)
  })

  test('what is no formula has no mark', () => {
    const rows: string[][] = parse(writeCsv([gate], 'cues'))
    for (const cell of rows.flat()) expect(cellText(cell)).toBe(cell)
  })
})
