import { readdirSync } from 'node:fs'
import fc from 'fast-check'
import { arbitraryCard } from '../../../tests/support/arbitraryCard'
import { demoCard, stepsOf } from '../../../tests/support/cards'
import { checkCard } from '../check'
import {
  applyPatches,
  blankCard,
  Card,
  completeness,
  DEFAULT_SCHOOL,
  dropUnwritable,
  freshId,
  pathKeys,
  pathOf,
  SECTIONS,
  School,
  sectionOf,
  slugOf,
  tidyLine,
  tidyProse,
  titleOf,
  withValue,
} from '.'

const blank = blankCard({
  name: 'Tree',
  base: 'standing',
  spine: 'lengthen',
  manner: 'held',
  sides: 'sided',
})

describe('the model', () => {
  test('fills in what may be left out', () => {
    const card = Card.parse({
      id: 'x',
      base: 'seated',
      spine: 'twist',
      manner: 'held',
      sides: 'even',
    })
    expect(card).toMatchObject({
      language: 'en',
      writtenFor: 'right',
      stay: { repeats: 1 },
      ladder: [],
      notes: '',
    })
  })

  test('refuses unknown keys, words outside the lists and impossible numbers', () => {
    const bad = (more: object) => Card.safeParse({ ...blank, ...more }).success
    expect(bad({ loud: 1 })).toBe(false)
    expect(bad({ base: 'floating' })).toBe(false)
    expect(bad({ stay: { breaths: -1, repeats: 1 } })).toBe(false)
    expect(bad({ stay: { seconds: [20, 10], repeats: 1 } })).toBe(false)
    expect(bad({ id: 'Not a slug' })).toBe(false)
    expect(bad({ notes: 'half \ud83d surrogate' })).toBe(false)
    expect(bad({ notes: 'nul \u0000' })).toBe(false)
  })

  test('parsing a card again changes nothing', () => {
    fc.assert(
      fc.property(arbitraryCard, (card) => {
        expect(Card.parse(card)).toEqual(card)
      }),
      { numRuns: 50 }
    )
  })
})

describe('wording', () => {
  test('is brought to one line, or to paragraphs, in NFC', () => {
    expect(tidyLine(' Fold\r\n forward\t now ')).toBe('Fold  forward  now')
    expect(tidyLine('s\u0301')).toBe('ś')
    expect(tidyProse(' a \r\n\r\n\r\n\r\n b\rc ')).toBe('a\n\nb\nc')
  })

  test('loses only what cannot be written', () => {
    expect(dropUnwritable('a\u0000b\ud800c\nd\te👩🏽‍🦰\u0007')).toBe('abc\nd\te👩🏽‍🦰')
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (text) => {
        expect(Card.safeParse({ ...blank, notes: dropUnwritable(text) }).success).toBe(true)
      })
    )
  })
})

test('the default school is what an empty school becomes', () => {
  expect(School.parse({})).toEqual(DEFAULT_SCHOOL)
})

test('names and ids', () => {
  expect(slugOf('Vīrabhadrāsana II')).toBe('virabhadrasana-ii')
  expect(slugOf('  Child’s rest! ')).toBe('childs-rest')
  expect(slugOf('木')).toBe('card')
  expect(titleOf(blank)).toBe('Tree')
  expect(titleOf({ id: 'x', names: { ...blank.names, common: [] } })).toBe('x')
  expect(freshId('s', ['s1', 's2'])).toBe('s3')
  expect(freshId('s', ['s2'])).toBe('s3')
})

describe('paths and patches', () => {
  test('paths are read and written', () => {
    expect(pathKeys('enter[2].text')).toEqual(['enter', 2, 'text'])
    expect(pathOf(['enter', 2, 'text'])).toBe('enter[2].text')
  })

  test('a value is set or taken away without touching the rest', () => {
    const card = demoCard('gate')
    const changed = withValue(card, 'enter[1].text', 'New')
    expect(changed.enter[1]!.text).toBe('New')
    expect(card.enter[1]!.text).not.toBe('New')
    expect(changed.enter[0]).toBe(card.enter[0])
    const patched = applyPatches(card, [
      { path: 'enter[0]', remove: true },
      { path: 'notes', value: 'x' },
    ])
    expect(patched.enter).toEqual(card.enter.slice(1))
    expect(patched.notes).toBe('x')
    expect(
      'firstSide' in withValue(withValue(card, 'firstSide', 'left'), 'firstSide', undefined)
    ).toBe(false)
  })
})

/** A finished card with each kind of part that is made of words. */
function everyPart(): Card {
  const card = demoCard('gate')
  const [step] = card.enter
  const [cue] = card.alignment
  const chair = {
    ...card.ladder[1]!,
    name: 'Chair',
    steps: {
      replace: [{ step: card.enter[1]!.id, text: 'Sit.' }],
      add: [{ step: { ...step!, id: 'n1' } }],
      omit: [],
    },
    cues: {
      replace: [{ cue: card.alignment[1]!.id, text: 'Sit tall.' }],
      add: [{ ...cue!, id: 'n2' }],
      omit: [],
    },
  }
  return {
    ...card,
    otherWay: [{ ...step!, id: 'w1' }],
    ladder: card.ladder.map((rung, i) => (i === 1 ? chair : rung)),
    assists: [{ text: 'Steady the hip.', stance: '', on: 'both' }],
    effects: [{ text: 'It calms.', basis: 'tradition' }],
  }
}

describe('completeness and findings', () => {
  test('a new card lacks every section, each told in words', () => {
    const sections = completeness(blank)
    expect(sections.map((section) => section.id)).toEqual(SECTIONS.map((section) => section.id))
    expect(
      sections.every(
        (section) => !section.complete && section.missing.every((each) => /\.$/.test(each.message))
      )
    ).toBe(true)
  })

  test.each([
    ['enter[1].text', 'enter', 'Step 2 has no words yet.'],
    ['exit[0].text', 'exit', 'Step 1 has no words yet.'],
    ['alignment[2].text', 'alignment', 'Cue 3 has no words yet.'],
    ['ladder[0].name', 'ladder', 'Rung 1 has no name yet.'],
    ['assists[0].text', 'rest', 'Touch 1 has no words yet.'],
    ['effects[0].text', 'when', 'Claim 1 has no words yet.'],
    ['otherWay[0].text', 'enter', 'Step 1 of the other way has no words yet.'],
    ['ladder[1].steps.add[0].step.text', 'ladder', 'Added step 1 of “Chair” has no words yet.'],
    ['ladder[1].steps.replace[0].text', 'ladder', 'Changed step 1 of “Chair” has no words yet.'],
    ['ladder[1].cues.add[0].text', 'ladder', 'Added cue 1 of “Chair” has no words yet.'],
    ['ladder[1].cues.replace[0].text', 'ladder', 'Changed cue 1 of “Chair” has no words yet.'],
  ])('what has no words is told where it stands: %s', (where, section, message) => {
    const whole = everyPart()
    const told = (text: string) =>
      completeness(withValue(whole, where, text)).flatMap(({ id, missing }) =>
        missing.map((each) => ({ id, ...each }))
      )
    expect(told('Words.')).toEqual([])
    for (const empty of ['', '  ']) expect(told(empty)).toEqual([{ id: section, where, message }])
  })

  test('each step without words is told, not only the first', () => {
    const card = {
      ...everyPart(),
      enter: stepsOf([
        ['in', ''],
        ['out', 'Fold.'],
        ['in', ''],
      ]),
    }
    expect(completeness(card).flatMap(({ missing }) => missing.map(({ where }) => where))).toEqual([
      'enter[0].text',
      'enter[2].text',
    ])
  })

  test.each(readdirSync('demo').map((file) => file.replace(/\.md$/, '')))(
    '%s says what it lacks in the right section',
    (name) => {
      for (const section of completeness(demoCard(name)))
        for (const { where } of section.missing) expect(sectionOf(where)).toBe(section.id)
    }
  )

  test('a card that is full in every section has no findings', () => {
    for (const name of [
      'gate',
      'downward-dog',
      'low-cobra',
      'long-side-angle',
      'seated-half-twist',
      'reclined-leg-stretch',
    ])
      expect([name, checkCard(demoCard(name))]).toEqual([name, []])
  })

  const found = (card: Card) =>
    checkCard(card).map((finding) => `${finding.severity} ${finding.rule} ${finding.where}`)

  test('planted faults are found where they are', () => {
    const card = demoCard('gate')
    const two = {
      ...card,
      ladder: card.ladder.map((rung) => ({ ...rung, reference: true as const })),
    }
    expect(found(two)[0]).toBe('stop card/one-reference-rung ladder')
    expect(found(withValue(card, 'mistakes[0].cue', 'a99'))).toEqual([
      'stop card/links-lead-somewhere mistakes[0].cue',
    ])
    expect(found(withValue(card, 'enter[1].id', 's1'))).toContain(
      'stop card/one-id-one-part enter[1].id'
    )
    expect(found({ ...card, counter: ['gate'] })).toEqual([
      'mend card/not-its-own-counter counter[0]',
    ])
    expect(found(withValue(card, 'effects[0].basis', 'published'))).toEqual([
      'mend card/claims-have-a-basis effects[0].source',
    ])
    // What is not written is nothing wrong, until the review is asked for.
    expect(found(withValue(card, 'sideNamedBy', ''))).toEqual([])
    expect(
      checkCard(withValue(card, 'sideNamedBy', ''), DEFAULT_SCHOOL, true).map(
        ({ rule, where }) => `${rule} ${where}`
      )
    ).toEqual(['card/name-complete sideNamedBy'])
    expect(found(withValue(card, 'enter[0].text', 'Drop left under the shoulder.'))).toEqual([
      'mend sides/unsure-word enter[0].text',
    ])
  })

  test('a school gives a rule another severity', () => {
    const card = { ...demoCard('gate'), counter: ['gate'] }
    const school = {
      ...DEFAULT_SCHOOL,
      severities: { 'card/not-its-own-counter': 'stop' as const },
    }
    expect(checkCard(card, school)[0]!.severity).toBe('stop')
  })
})
