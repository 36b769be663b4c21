import { z } from 'zod'
import { demoText } from '../../../tests/support/cards'
import { BREATHS, LIMITS, ON } from '../card'
import { SAY_FILES } from '../language'
import { CardFileError, issueMessage, readCard, readCardBytes } from '.'

/** Each thing that can be wrong with a file: what is said, and at which line. */

const GATE = demoText('gate')
const lineOf = (text: string, part: string) => text.slice(0, text.indexOf(part)).split('\n').length

/** The gate with one place of it written otherwise. */
const gate = (from: string, to: string) => {
  expect(GATE).toContain(from)
  return GATE.replace(from, () => to)
}

function problems(read: () => unknown) {
  try {
    read()
  } catch (error) {
    expect(error).toBeInstanceOf(CardFileError)
    return (error as CardFileError).problems
  }
  return []
}

type Say = typeof SAY_FILES
/** The words of a message up to the first thing that it names, and after it. */
const stem = (key: Exclude<keyof Say, 'kinds'>) => {
  const say: string | ((...args: never[]) => string) = SAY_FILES[key]
  if (typeof say === 'string') return [say]
  if (key === 'shouldBe') return ['should be a number']
  const lists = ['labels', 'noSection', 'unknownTag', 'noPart', 'otherVersion']
  const args = lists.includes(key) ? ['\u0001', ['\u0001'], ['\u0001']] : ['\u0001', '\u0001']
  if (key === 'noPart') args.reverse()
  return (say as (...all: unknown[]) => string)(...args)
    .split(/[^.;]?\u0001[^.;]?/)
    .map((part) => part.trim())
    .filter((part) => part.length > 3)
}

const CASES: [key: Exclude<keyof Say, 'kinds'>, at: string | number, text: string][] = [
  ['empty', 1, ' \n\n'],
  ['noText', 1, 'a\u0000b'],
  ['noJson', 1, '{"notula": 2,, }'],
  ['noCard', 1, '[1, 2]'],
  ['noStart', 1, '# Gate\n'],
  ['noVersion', 1, gate('notula: 2\n', '')],
  ['otherVersion', 'notula:', gate('notula: 2', 'notula: 9')],
  ['lines', LIMITS.fileLines, '---\n' + 'a\n'.repeat(LIMITS.fileLines + 2)],
  ['frontLines', LIMITS.frontLines, `---\n${'a: b\n'.repeat(LIMITS.frontLines + 1)}---\n`],
  ['line', 3, `---\nnotula: 2\nid: ${'x'.repeat(LIMITS.fileLine)}\n---\n`],
  ['headings', LIMITS.headings + 1, '# a\n'.repeat(LIMITS.headings + 1)],
  ['marks', 1, '*a '.repeat(LIMITS.marks + 1)],
  ['deepLists', 1, `${'- '.repeat(LIMITS.nesting + 1)}a\n`],
  ['deepJson', 1, '['.repeat(LIMITS.jsonDepth + 1)],
  ['notNamed', 1, '---\n- gate\n---\n'],
  ['badFront', 28, gate('number: KN-04', 'number: "KN-04')],
  [
    'inItself',
    1,
    '---\nnotula: 2\na: &a [1]\nb: &b [*a,*a,*a,*a,*a,*a,*a]\nc: [*b,*b,*b,*b]\n---\n',
  ],
  ['ownSection', 'enter: now', gate('base: kneeling', 'base: kneeling\nenter: now')],
  ['frontOnly', '## The stay', gate('## Alignment', '## The stay')],
  ['noSection', '## Alinement', gate('## Alignment', '## Alinement')],
  ['noHeading', 'Kneel', gate('## Set-up', 'Kneel first.\n\n## Set-up')],
  ['wrongHeading', '### Alignment', gate('## Alignment', '### Alignment')],
  ['sectionTwice', '## Set-up\n\n- Place: A', GATE.replace('## Notes', '## Set-up\n\n- Place: A')],
  ['noList', 'Press on.', gate('- Feet: Press the whole', 'Press on.\n\n- Feet: Press the whole')],
  [
    'oneLine',
    '> quoted',
    gate('- Note: Pad the left knee', '- Note: Pad\n\n  > quoted\n\n- Note: P'),
  ],
  ['nothingUnder', 'And this', gate('- Breaths: 2', '- Breaths: 2\n  - And this')],
  ['twice', '- Say: Sit', gate('- Breaths: 2', '- Breaths: 2\n- Say: Rest.')],
  ['noLabel', '- Just press', gate('- Feet: Press', '- Just press')],
  ['unknownLabel', '- Feat:', gate('- Feet: Press', '- Feat: Press')],
  ['labels', '- Feat:', gate('- Feet: Press', '- Feat: Press')],
  ['inBraces', '- Mark: press', gate('- Mark: {kind: press, part: right foot}', '- Mark: press')],
  ['yesOrNothing', '- Reference: no', gate('- Reference: yes', '- Reference: no')],
  ['unknownTag', '[up]', gate('[in] Step the right', '[up] Step the right')],
  ['strayTag', '[in, both]', gate('[in] Step the right', '[in, both] Step the right')],
  ['noBreath', 'Step the right', gate('[in] Step the right', 'Step the right')],
  ['stepNeedsId', '- Add after s2', gate('  - Omit: s2', '  - Add after s2: [in] Grow.')],
  ['cueNeedsId', '- Add cue feet', gate('  - Omit cue: a3', '  - Add cue feet: Press.')],
  ['figureOf', '```json rung nowhere', gate('```json rung chair', '```json rung nowhere')],
  [
    'figureJson',
    '```json start',
    gate('{"angles":{"leftAnkle":{"dorsi', '{"angles":{leftAnkle":{"dorsi'),
  ],
  ['missing', '{name: left hip over knee', gate('target: 0, tolerance: 10', 'tolerance: 10')],
  ['noPart', 'colour: red', gate('number: KN-04', 'colour: red')],
  ['shouldBe', '{name: left hip over knee', gate('target: 0, tol', 'target: far, tol')],
  ['at', 'base: flying', gate('base: kneeling', 'base: flying')],
]

test.each(CASES)('%s is told at its line', (key, at, text) => {
  const line = typeof at === 'number' ? at : lineOf(text, at)
  const told = problems(() => readCardBytes(Buffer.from(text)))
  const mine = told.filter(({ message }) => stem(key).every((part) => message.includes(part)))
  expect({ key, told: mine.map((each) => each.line), all: told.slice(0, 3) }).toMatchObject({
    told: expect.arrayContaining([line]),
  })
})

test('bytes that are no UTF-8 are refused before anything is read', () => {
  const [problem] = problems(() => readCardBytes(Uint8Array.of(0x2d, 0xff, 0xfe)))
  expect(problem).toEqual({ line: 1, message: SAY_FILES.notUtf8 })
})

test('what no words of ours are for is told in those of the schema, with its place', () => {
  const either = z.object({ at: z.union([z.literal('a'), z.number()]) })
  const [issue] = either.safeParse({ at: true }).error!.issues
  expect(issueMessage(issue!, { at: true })).toBe(`“at” ${SAY_FILES.doesNotFit('Invalid input')}`)
})

test('nothing that can be said of a file is left out here', () => {
  // The kinds are part of what should be.
  const tried = new Set<string>([...CASES.map(([key]) => key), 'notUtf8', 'doesNotFit', 'kinds'])
  expect(Object.keys(SAY_FILES).filter((key) => !tried.has(key))).toEqual([])
})

test('a file with several things wrong tells them all, in the order of their lines', () => {
  const text = gate('[in] Step the right', '[up] Step the right')
    .replace('- Feet: Press', '- Feat: Press')
    .replace('base: kneeling', 'base: kneeling\nenter: now')
  const lines = problems(() => readCard(text)).map(({ line }) => line)
  expect(lines.length).toBeGreaterThanOrEqual(3)
  expect(lines).toEqual([...lines].sort((a, b) => a - b))
})

test.each([
  ['{"notula": 2, "id": 7}', '“id” should be text'],
  ['{"notula": 2, "names": "Gate"}', '“names” should be names with their values'],
  ['{"notula": 2, "enter": {}}', '“enter” should be a list'],
  ['{"notula": 2, "stay": {"breaths": "five"}}', '“stay.breaths” should be a number'],
])('%s tells what should stand there, and never that nothing does', (text, message) => {
  const told = problems(() => readCard(text)).map((problem) => problem.message)
  expect(told).toContain(message)
})

test('a word that is nearly known gets the known one; one that is far from all gets none', () => {
  const said = (label: string) =>
    problems(() => readCard(gate('- Feet: Press', `- ${label}: Press`)))[0]!.message
  expect(said('Sholders')).toContain('“shoulders” is meant?')
  expect(said('Ankels')).toContain('“ankles” is meant?')
  expect(said('Trombone')).not.toContain('is meant?')
})

test('what a bracket takes is said in full', () => {
  const [problem] = problems(() => readCard(gate('[in] Step the right', '[up] Step the right')))
  for (const word of [...BREATHS, ...ON]) expect(problem!.message).toContain(word)
})
