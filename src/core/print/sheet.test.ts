import { readFileSync } from 'node:fs'
import { DEFAULT_SCHOOL, withValue } from '../card'
import { readCard } from '../formats'
import { itemsAt, rowsAt, textAt } from '../../../tests/support/sheet'
import { ledOrder, sheetOf, wordsOf } from '.'

const demo = (name: string) => readCard(readFileSync(`demo/${name}.md`, 'utf8'))

test('both halves are said in their own words', () => {
  const sheet = sheetOf(demo('gate'), DEFAULT_SCHOOL, new Map([['childs-rest', 'Child’s rest']]))
  expect(wordsOf(rowsAt(sheet, 'enter')[3]!.left!.words)).toBe(
    'Bend to the left, left hand down the shin.'
  )
  expect(wordsOf(rowsAt(sheet, 'enter')[3]!.right!.words)).toBe(
    'Bend to the right, right hand down the shin.'
  )
  expect(sheet).toMatchObject({
    devanagari: 'परिघासन',
    firstSide: 'right',
  })
  expect(textAt(sheet, 'stay')).toMatch(/^5 breaths · breath 5 s in, 5 s out\n/)
  expect(textAt(sheet, 'counter')).toBe('Child’s rest')
  expect(sheet.facts.slice(0, 5)).toEqual([
    'kneeling',
    'spine: side',
    'held',
    'side named by the side bent towards',
    'right first',
  ])
  expect(itemsAt(sheet, 'ladder').map((rung) => rung.id)).toEqual([
    'foot',
    'shin',
    'block',
    'chair',
  ])
})

test('what is said once is said for the side that is led first', () => {
  const left = sheetOf(demo('gate'), { ...DEFAULT_SCHOOL, firstSide: 'left' })
  expect(wordsOf(itemsAt(left, 'mistakes')[0]!.lines[0]!)).toBe('The right hip slides back.')
  expect(ledOrder('left')).toEqual(['left', 'right'])
})

test('an even card has one column', () => {
  const sheet = sheetOf(demo('low-cobra'), DEFAULT_SCHOOL)
  expect(rowsAt(sheet, 'enter').every((row) => row.left === null && row.right)).toBe(true)
  expect(rowsAt(sheet, 'enter')[2]).toMatchObject({ breath: 'in', seconds: 4, repeat: 5 })
})

test('a cue on one side is missing on the other', () => {
  const sheet = sheetOf(withValue(demo('gate'), 'alignment[0].on', 'left-only'), DEFAULT_SCHOOL)
  expect(rowsAt(sheet, 'alignment')[0]!.right).toBeNull()
  expect(wordsOf(rowsAt(sheet, 'alignment')[0]!.left!.words)).toBe(
    'Press the whole left foot down.'
  )
})

test('fixed words stay, and their braces are gone', () => {
  const sheet = sheetOf(demo('reclined-leg-stretch'), DEFAULT_SCHOOL)
  expect(wordsOf(rowsAt(sheet, 'exit')[2]!.left!.words)).toBe('Roll to your right side and rest.')
  expect(textAt(sheet, 'cautions')).toMatch(/lie on the left side\.$/m)
})
