import { readFileSync } from 'node:fs'
import { DEFAULT_SCHOOL, withValue } from '../card'
import { readCard } from '../formats'
import { ledOrder, sheetOf, wordsOf } from '.'

const demo = (name: string) => readCard(readFileSync(`demo/${name}.md`, 'utf8'))

test('both halves are said in their own words', () => {
  const sheet = sheetOf(demo('gate'), DEFAULT_SCHOOL, new Map([['childs-rest', 'Child’s rest']]))
  expect(wordsOf(sheet.enter[3]!.left)).toBe('Bend to the left, left hand down the shin.')
  expect(wordsOf(sheet.enter[3]!.right)).toBe('Bend to the right, right hand down the shin.')
  expect(sheet).toMatchObject({
    devanagari: 'परिघासन',
    stay: '5 breaths',
    counter: ['Child’s rest'],
    firstSide: 'right',
  })
  expect(sheet.facts).toEqual([
    'kneeling',
    'spine: side',
    'held',
    'side named by the side bent towards',
    'right first',
  ])
  expect(sheet.ladder.map((rung) => rung.id)).toEqual(['foot', 'shin', 'block', 'chair'])
})

test('what is said once is said for the side that is led first', () => {
  const left = sheetOf(demo('gate'), { ...DEFAULT_SCHOOL, firstSide: 'left' })
  expect(wordsOf(left.mistakes[0]!.seen)).toBe('The right hip slides back.')
  expect(ledOrder('left')).toEqual(['left', 'right'])
})

test('an even card has one column', () => {
  const sheet = sheetOf(demo('low-cobra'), DEFAULT_SCHOOL)
  expect(sheet.enter.every((row) => row.left === null && row.right)).toBe(true)
  expect(sheet.enter[2]).toMatchObject({ breath: 'in', seconds: 20, repeat: 5 })
})

test('a cue on one side is missing on the other', () => {
  const sheet = sheetOf(withValue(demo('gate'), 'alignment[0].on', 'left-only'), DEFAULT_SCHOOL)
  expect(sheet.alignment[0]!.right).toBeNull()
  expect(wordsOf(sheet.alignment[0]!.left)).toBe('Press the whole left foot down.')
})

test('fixed words stay, and their braces are gone', () => {
  const sheet = sheetOf(demo('reclined-leg-stretch'), DEFAULT_SCHOOL)
  expect(wordsOf(sheet.exit[2]!.left)).toBe('Roll to your right side and rest.')
  expect(sheet.cautions[1]!.say).toMatch(/lie on the left side\.$/)
})
