import '../support/production'
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { createElement } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import fc from 'fast-check'
import {
  BASES,
  BASES_OF_CLAIM,
  BREATHS,
  type Card,
  DEFAULT_SCHOOL,
  MANNERS,
  MARK_KINDS,
  ON,
  type Part,
  partsOf,
  REGIONS,
  SPINES,
  TRAIT_NAMES,
  VERDICTS,
  withValue,
} from '@/core/card'
import { readMarkdown, writeJson, writeMarkdown } from '@/core/formats'
import { compareSheets, type Sheet, sheetOf } from '@/core/print'
import { CardSheet } from '@/ui/cardView/CardSheet'
import { arbitraryCard } from '../support/arbitraryCard'
import { pdfText } from '../support/pdfText'

jest.setTimeout(60_000)

/** Everything that a card says reaches screen, paper, comparison and file. */

const CHOICES: Record<string, readonly string[]> = {
  base: BASES,
  spine: SPINES,
  manner: MANNERS,
  breath: BREATHS,
  on: ON,
  region: REGIONS,
  kind: MARK_KINDS,
  verdict: VERDICTS,
  basis: BASES_OF_CLAIM,
  trait: TRAIT_NAMES,
  firstSide: ['left', 'right'],
  sides: ['even', 'sided'],
}
const FIGURE = {
  angles: { leftKnee: { flexion: 41 } },
  contacts: [{ part: 'left sole', on: 'floor' }],
}
const TOKEN = 'Qwertzuiop'

/** Another value for a part; undefined when a reader is not shown it. */
function otherValue({ kind, key, value, unread }: Part): unknown {
  if (unread) return undefined
  switch (kind) {
    case 'words':
      return key === 'language' ? 'xx' : TOKEN
    case 'link':
      return 'qwertzuiop'
    case 'number':
      // Told to a tenth: another number has to be further off.
      return Array.isArray(value) ? [1, 7199] : Math.abs(Number(value) - 7) < 1 ? 9 : 7
    case 'choice':
      return CHOICES[key]!.find((each) => each !== value)
    case 'figure':
      return FIGURE
    default:
      return undefined
  }
}

/** Cards on which everything is drawn and nothing is named twice. */
const full = arbitraryCard.map((card): Card => ({ ...card, sides: 'sided', language: 'en' }))
const sheet = (card: Card) => sheetOf(card, DEFAULT_SCHOOL)
const screen = (of: Sheet) => renderToStaticMarkup(createElement(CardSheet, { sheet: of }))

/** What changes nothing that is done: a length of an in-breath is told, a count inside a count too. */
const leaves = (card: Card) =>
  partsOf(card, () => true).flatMap((part) => {
    const other = otherValue(part)
    return other === undefined ? [] : [{ part, changed: withValue(card, part.path, other) }]
  })

test('every leaf of a card that is changed shows on the screen and in the comparison', () => {
  fc.assert(
    fc.property(full, (card) => {
      const before = sheet(card)
      const seen = screen(before)
      for (const { part, changed } of leaves(card)) {
        const after = sheet(changed)
        const told = compareSheets(before, after).some(({ rows }) =>
          rows.some(({ kind }) => kind !== 'same')
        )
        expect([part.path, told, screen(after) !== seen]).toEqual([part.path, true, true])
      }
    }),
    { numRuns: 3, endOnFailure: true }
  )
})

test('what is taken away shows, too', () => {
  fc.assert(
    fc.property(full, (card) => {
      for (const part of partsOf(card, ({ kind }) => kind === 'figure')) {
        const drawn = withValue(card, part.path, FIGURE)
        const rows = compareSheets(sheet(drawn), sheet(withValue(card, part.path, undefined)))
        expect([
          part.path,
          rows.some((each) => each.rows.some(({ kind }) => kind === 'gone')),
        ]).toEqual([part.path, true])
      }
    }),
    { numRuns: 10, endOnFailure: true }
  )
})

function printed(card: Card): Uint8Array {
  const dir = mkdtempSync(path.join(tmpdir(), 'notula-leaves-'))
  try {
    const [file, out] = [path.join(dir, 'card.json'), path.join(dir, 'card.pdf')]
    writeFileSync(file, writeJson(card))
    execFileSync(process.execPath, ['bin/notula.mjs', 'print', file, '--out', out])
    return readFileSync(out)
  } finally {
    rmSync(dir, { recursive: true })
  }
}

test('every word of a card is printed, and stands in its file', () => {
  const samples = fc.sample(full, { numRuns: 2, seed: 7 })
  for (const card of samples) {
    let n = 0
    const words = partsOf(
      card,
      ({ kind, unread, key }) => kind === 'words' && !unread && key !== 'language'
    )
    const marked = words.reduce((now, { path }) => withValue(now, path, `Zq${(n += 1)}x`), card)
    const text = pdfText(printed(marked)).replace(/\s+/g, '')
    const file = writeMarkdown(marked)
    for (let i = 1; i <= n; i += 1) {
      expect([words[i - 1]!.path, text.includes(`Zq${i}x`)]).toEqual([words[i - 1]!.path, true])
      expect(file).toContain(`Zq${i}x`)
    }
    expect(readMarkdown(file)).toEqual(marked)
  }
})
