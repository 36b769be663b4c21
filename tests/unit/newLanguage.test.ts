import { phaseOffered, speechSeconds } from '@/core/breath'
import { type Card, DEFAULT_SCHOOL, runRules } from '@/core/card'
import { checkCard } from '@/core/check'
import {
  type LanguagePack,
  PACKS,
  packOf,
  type SideWord,
  SPEECH,
  speechIn,
  type SpeechWords,
} from '@/core/language'
import { compareSheets, sheetOf } from '@/core/print'
import { cardLedFrom, sideRules } from '@/core/sides'
import { lunge, stepsOf } from '../support/cards'
import { rowsAt } from '../support/sheet'

/** A made-up language: its pack is all that is added, and nothing of English is left in the way. */

const OTHER: Record<string, string> = { lura: 'rilo', rilo: 'lura' }
const english = packOf('en')!
const find = (text: string): SideWord[] =>
  [...text.matchAll(/\b(?:lura|rilo)\b/g)].map((match) => ({
    start: match.index,
    end: match.index + match[0].length,
    kind: 'side',
    side: match[0] === 'lura' ? 'left' : 'right',
    other: OTHER[match[0]]!,
    role: 'swaps',
  }))
const pack: LanguagePack = {
  language: 'qx',
  sides: {
    ...english.sides,
    find,
    suspects: () => [],
    leadHints: () => [],
    relatives: () => [],
    onlyOneSide: (text) => (text.includes('nur') ? { words: 'nur', on: 'left-only' } : null),
  },
  breath: {
    ...english.breath,
    movements: (text) =>
      text.includes('sobe') ? [{ word: 'sobe', at: 0, phase: 'in', kind: 'lift' }] : [],
    named: () => null,
    countIn: () => '',
  },
  labels: {
    ...english.labels,
    parts: { ...english.labels.parts, enter: 'Veni', exit: 'Iri' },
    sheet: { ...english.labels.sheet, leads: { left: 'lura gvida', right: 'rilo gvida' } },
  },
}
const speech: SpeechWords = {
  ...speechIn('en')!,
  words: (text) => text.split(' '),
  syllables: () => 4,
}

const card = (language: string): Card =>
  lunge({
    language,
    enter: stepsOf([
      ['out', 'Sobe la lura mano, sobe.'],
      ['out', 'Pone la rilo pede.'],
    ]),
    exit: stepsOf([['in', 'Iri.']], 'x'),
  })

describe('a language with a pack', () => {
  beforeAll(() => {
    PACKS.push(pack)
    SPEECH.set('qx', speech)
  })
  afterAll(() => {
    PACKS.pop()
    SPEECH.delete('qx')
  })

  test('is mirrored, told and timed by its own words', () => {
    const made = card('qx-AB')
    expect(cardLedFrom(made, 'left', 'right').enter.map(({ text }) => text)).toEqual([
      'Sobe la rilo mano, sobe.',
      'Pone la lura pede.',
    ])
    expect(phaseOffered('sobe', 'qx')).toBe('in')
    expect(phaseOffered('Lift the arms.', 'qx')).toBeNull()
    // Four syllables a word are two words of the rate.
    expect(speechSeconds('un du', 120, 'qx')).toBe(2)
    const sheet = sheetOf(made, DEFAULT_SCHOOL)
    expect(sheet.parts.map(({ title }) => title)).toEqual(expect.arrayContaining(['Veni', 'Iri']))
    expect(sheet.facts.join()).not.toContain('written in')
  })

  test('is checked by its own habits', () => {
    const made = card('qx')
    const [step] = made.enter
    const only = { ...made, enter: [{ ...step!, text: 'Sobe nur la lura mano.' }] }
    expect(runRules(sideRules(), only).map(({ rule }) => rule)).toEqual(['sides/same-form-on-both'])
    expect(checkCard(made).map(({ rule }) => rule)).not.toContain('card/language-is-known')
  })
})

describe('a language without one', () => {
  const unknown = card('qx')

  test('is a finding, and nothing else is guessed', () => {
    const told = checkCard(unknown).filter(({ rule }) => /language|sides|said-within/.test(rule))
    expect(told).toMatchObject([
      { rule: 'card/language-is-known', where: 'language', severity: 'mend' },
    ])
    expect(checkCard(card('en-GB')).map(({ rule }) => rule)).not.toContain('card/language-is-known')
  })

  test('is not mirrored: the half that is not written says so', () => {
    const sheet = sheetOf(unknown, DEFAULT_SCHOOL)
    const [row] = rowsAt(sheet, 'enter')
    expect(row!.left).toBeNull()
    expect(row!.right!.words).toEqual([{ role: 'text', text: 'Sobe la lura mano, sobe.' }])
    const spread = sheet.parts.find(({ id }) => id === 'enter')!.blocks[0]
    expect(spread).toMatchObject({ absent: expect.stringContaining('“qx”') })
    expect(sheet.facts).toContain('written in qx')
    const inEnglish = sheetOf(card('en'), DEFAULT_SCHOOL)
    expect(compareSheets(sheet, inEnglish).length).toBeGreaterThan(0)
  })
})
