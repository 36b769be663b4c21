import fc from 'fast-check'
import { arbitraryCard } from '../../../tests/support/arbitraryCard'
import { blankCard, Card } from '../card'
import {
  CardFileError,
  decodeText,
  describeProblems,
  readCard,
  readCardBytes,
  writeJson,
  writeMarkdown,
} from '.'

const card = Card.parse({
  ...blankCard({
    name: 'Tree',
    base: 'standing',
    spine: 'lengthen',
    manner: 'held',
    sides: 'sided',
  }),
  enter: [{ id: 's1', text: 'Lift the left foot.', breath: 'in' }],
})
const file = writeMarkdown(card)

/** Every problem of a file, as `line: message`. */
function problems(text: string): string[] {
  try {
    readCard(text)
    return []
  } catch (error) {
    if (!(error instanceof CardFileError)) throw error
    return describeProblems('tree.md', error).split('\n')
  }
}

describe('a card and its file', () => {
  test('Markdown holds any card, and writing it again gives the same bytes', () => {
    fc.assert(
      fc.property(arbitraryCard, (any) => {
        const written = writeMarkdown(any)
        const read = readCard(written)
        expect(read).toEqual(any)
        expect(writeMarkdown(read)).toBe(written)
      }),
      { numRuns: 150 }
    )
  })

  test('JSON holds any card, and writing it again gives the same bytes', () => {
    fc.assert(
      fc.property(arbitraryCard, (any) => {
        const written = writeJson(any)
        expect(readCard(written)).toEqual(any)
        expect(writeJson(readCard(written))).toBe(written)
      }),
      { numRuns: 60 }
    )
  })

  test('byte order mark, CRLF and decomposed letters are read', () => {
    const named = Card.parse({ ...card, names: { ...card.names, sanskrit: 'Vṛkṣāsana' } })
    const odd = `\uFEFF${writeMarkdown(named).normalize('NFD').replace(/\n/g, '\r\n')}`
    expect(readCardBytes(new TextEncoder().encode(odd))).toEqual(named)
  })
})

/** The line, from 1, on which a stretch of text stands. */
const lineOf = (text: string, part: string) => text.slice(0, text.indexOf(part)).split('\n').length

describe('a bad file', () => {
  test('names an unknown key and its line', () => {
    const bad = file.replace('base:', 'bass: x\nbase:')
    expect(problems(bad)).toEqual([`tree.md:${lineOf(bad, 'bass')}: “bass” is no part of a card`])
  })

  test('names an unknown section and its line', () => {
    expect(problems(`${file}\n## Music\n\n- x\n`)[0]).toMatch(
      /^tree\.md:\d+: “Music” is no section of a card/
    )
  })

  test('tells a wrong word, what it may be, and the line', () => {
    expect(problems(file.replace('base: standing', 'base: sitting'))).toEqual([
      `tree.md:${lineOf(file, 'base:')}: “base” should be one of: standing, kneeling, seated, prone, supine, side-lying, hands, inverted`,
    ])
  })

  test('tells a step without a breath, and a bracket that is not understood', () => {
    const start = `tree.md:${lineOf(file, '1. ')}: `
    expect(problems(file.replace('[in] ', ''))[0]).toContain(
      `${start}the step does not say its breath`
    )
    expect(problems(file.replace('[in]', '[inhale]'))[0]).toContain(
      `${start}“inhale” in the bracket`
    )
  })

  test('tells a label that is none', () => {
    const bad = `${file}\n## Alignment\n\n- Nose: Long.\n`
    expect(problems(bad)[0]).toContain(`tree.md:${lineOf(bad, '- Nose')}: “Nose” is not known here`)
  })

  test('tells YAML that cannot be read', () => {
    expect(
      problems(file.replace('number', 'number').replace('base: standing', 'base: [standing'))[0]
    ).toMatch(/^tree\.md:\d+: this line between the --- lines cannot be read/)
  })

  test('tells a missing and a later format version', () => {
    expect(problems(file.replace('notula: 2\n', ''))[0]).toMatch(/write “notula: 2”/)
    expect(problems(file.replace('notula: 2', 'notula: 3'))[0]).toMatch(
      /tree\.md:2: .*reads format 1/
    )
  })

  test('tells where JSON breaks off, and an unknown key in it', () => {
    expect(problems('{\n "notula": 2,\n oops\n}')[0]).toMatch(/^tree\.md:3: this is no valid JSON/)
    const json = writeJson(card).replace('"breath": "in"', '"breath": "in",\n"loud": 1')
    expect(problems(json)[0]).toMatch(/^tree\.md:\d+: “loud” is no part of “enter\[0\]”/)
  })

  test('is refused when it is empty, binary or in another encoding', () => {
    expect(problems('  \n')).toEqual(['tree.md:1: the file is empty'])
    expect(() => decodeText(Uint8Array.of(0xe9, 0x20))).toThrow(/not text in UTF-8/)
    expect(() => decodeText(Uint8Array.of(0x50, 0x00))).toThrow(/no text file/)
  })

  test('reports all problems at once, in order of lines', () => {
    const bad = file.replace('[in]', '[loud]').replace('notula: 2', 'notula: 9')
    expect(problems(bad)).toHaveLength(3)
  })

  test('never throws anything else, whatever the text', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), fc.nat(file.length), (noise, at) => {
        expect(
          problems(file.slice(0, at) + noise + file.slice(at)).every((each) =>
            /^tree\.md:\d+: ./.test(each)
          )
        ).toBe(true)
      }),
      { numRuns: 150 }
    )
  })
})
