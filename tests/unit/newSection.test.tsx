import { renderToStaticMarkup } from 'react-dom/server'
import {
  blankCard,
  type Card,
  cardRules,
  DEFAULT_SCHOOL,
  runRules,
  sectionOf,
  type Step,
  stepIds,
} from '@/core/card'
import { breathRules, spokenLines, timeOf } from '@/core/breath'
import { keyframesOf } from '@/core/figure'
import { readMarkdown, writeMarkdown } from '@/core/formats'
import { compareSheets, sheetOf } from '@/core/print'
import { cardLedFrom, sideRules } from '@/core/sides'
import { CardSheet } from '@/ui/cardView/CardSheet'

/**
 * A made-up section and a made-up list of steps, added at the places that docs/architecture.md
 * lists and nowhere else: each of them is one mock here.
 */

// 1. The schema, with its marks. (The tree of parts is made from it by npm run docs.)
jest.mock('../../src/core/card/card', () => {
  const { z } = jest.requireActual('zod')
  const actual = jest.requireActual('../../src/core/card/card')
  const { marked } = jest.requireActual('../../src/core/card/marks')
  const line = () => z.string().default('')
  const Card = marked(
    actual.Card.extend({
      warmUp: marked(z.array(actual.Step).default([]), {
        steps: { prefix: 'u', heading: 'Warming up' },
      }),
      tales: z
        .array(
          marked(
            z.strictObject({
              told: marked(line(), { sided: true }),
              by: line(),
              say: marked(line(), { sided: true, spoken: 'free' }),
            }),
            { owner: 'tale' }
          )
        )
        .default([]),
    }),
    { owner: 'card' }
  )
  return { ...actual, Card }
})
jest.mock('../../src/core/card/tree.json', () => {
  const { Card } = jest.requireMock('../../src/core/card/card')
  return jest.requireActual('../../src/core/card/treeOf').treeOf(Card)
})
// 2. The section: its fields, and when it is written.
jest.mock('../../src/core/card/sections', () => {
  const actual = jest.requireActual('../../src/core/card/sections')
  const fieldsOf = (id: string) =>
    actual.SECTIONS.find((section: { id: string }) => section.id === id).fields
  fieldsOf('enter').push('warmUp')
  fieldsOf('rest').push('tales')
  return actual
})
// 3. How it stands in a file.
jest.mock('../../src/core/formats/sections', () => {
  const actual = jest.requireActual('../../src/core/formats/sections')
  const tales = actual.partsSection('tales', 'Tales', { label: 'Told', key: 'told' }, [
    { label: 'By', key: 'by' },
    { label: 'Say', key: 'say' },
  ])
  actual.FILE_SECTIONS.tales = tales
  return actual
})
// 4. What it is called.
jest.mock('../../src/core/language/en/labels', () => {
  const actual = jest.requireActual('../../src/core/language/en/labels')
  Object.assign(actual.englishLabels.parts, { warmUp: 'Warming up', tales: 'Tales' })
  return actual
})

type Wider = Card & {
  warmUp: Step[]
  tales: { told: string; by: string; say: string }[]
}

const card = {
  ...blankCard({
    name: 'Made up',
    base: 'standing',
    spine: 'side',
    manner: 'held',
    sides: 'sided',
  }),
  enter: [{ id: 's1', text: 'Step the right foot forward.', breath: 'in' }],
  exit: [{ id: 'x1', text: 'Step back.', breath: 'out' }],
  warmUp: [
    { id: 'u1', text: 'Shake the left hand.', breath: 'free', seconds: 10 },
    { id: 'u2', text: 'Roll the right shoulder.', breath: 'out', figure: { contacts: [] } },
  ],
  tales: [{ told: 'The left heel lifts.', by: 'Ada', say: 'Hold for five on the left.' }],
} as unknown as Wider

describe('a made-up list of steps', () => {
  test('is mirrored, spoken, timed, drawn, and its ids are known', () => {
    const left = cardLedFrom(card, 'left', 'right') as Wider
    expect(left.warmUp.map(({ text }) => text)).toEqual([
      'Shake the right hand.',
      'Roll the left shoulder.',
    ])
    expect(spokenLines(card).map(({ where }) => where)).toContain('warmUp[1].text')
    expect(stepIds(card)).toEqual(expect.arrayContaining(['u1', 'u2', 's1']))
    expect(timeOf(card, DEFAULT_SCHOOL).right).toBe(10 + 4 + 4 + 4)
    expect(keyframesOf(card).frames.map(({ id }) => id)).toContain('step u2')
    const twice = { ...card, exit: [{ ...card.exit[0]!, id: 'u1' }] }
    expect(runRules(cardRules, twice).map(({ rule }) => rule)).toContain('card/one-id-one-part')
  })
})

describe('a made-up section', () => {
  test('is mirrored and checked', () => {
    const left = cardLedFrom(card, 'left', 'right') as Wider
    expect(left.tales[0]).toEqual({
      told: 'The right heel lifts.',
      by: 'Ada',
      say: 'Hold for five on the right.',
    })
    const told = runRules([...sideRules(), ...breathRules], card)
    expect(told.filter(({ where }) => where === 'tales[0].say').map(({ rule }) => rule)).toContain(
      'breath/count-of-what'
    )
  })

  test('goes into a file and comes back', () => {
    const file = writeMarkdown(card)
    expect(file).toContain('## Warming up\n\n1. [free, 10 s] Shake the left hand.')
    expect(file).toContain('## Tales\n\n- Told: The left heel lifts.\n  - By: Ada')
    expect(file).toContain('```json step u2')
    expect(readMarkdown(file)).toEqual(card)
  })

  test('stands on the screen and in the comparison of versions', () => {
    const sheet = sheetOf(card, DEFAULT_SCHOOL)
    const titles = sheet.parts.map(({ title }) => title)
    expect(titles).toEqual(expect.arrayContaining(['Warming up', 'Tales']))
    const html = renderToStaticMarkup(<CardSheet sheet={sheet} />)
    expect(html.replace(/<[^>]+>/g, '')).toContain('Roll the left shoulder.')
    expect(html.replace(/<[^>]+>/g, '')).toContain('Ada')
    const later = { ...card, tales: [{ ...card.tales[0]!, by: 'Ben' }] }
    const changed = compareSheets(sheet, sheetOf(later, DEFAULT_SCHOOL)).filter(({ rows }) =>
      rows.some(({ kind }) => kind !== 'same')
    )
    expect(changed.map(({ title }) => title)).toEqual(['Tales'])
  })

  test('what is found on it is told in its section', () => {
    expect(sectionOf('warmUp[0].text')).toBe('enter')
    expect(sectionOf('tales[0].say')).toBe('rest')
  })
})
