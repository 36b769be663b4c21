import { type Card, DEFAULT_SCHOOL, type School, withValue } from '../card'
import { DEFAULT_POLICY } from '../cautions'
import { demoCard } from '../../../tests/support/cards'
import { itemsAt, rowsAt, textAt } from '../../../tests/support/sheet'
import { ledOrder, sheetOf, wordsOf } from '.'

test('both halves are said in their own words', () => {
  const sheet = sheetOf(
    demoCard('gate'),
    DEFAULT_SCHOOL,
    new Map([['childs-rest', 'Child’s rest']])
  )
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
  const left = sheetOf(demoCard('gate'), { ...DEFAULT_SCHOOL, firstSide: 'left' })
  expect(wordsOf(itemsAt(left, 'mistakes')[0]!.lines[0]!)).toBe(
    'The left foot rolls onto its inner edge.'
  )
  expect(ledOrder('left')).toEqual(['left', 'right'])
})

test('an even card has one column', () => {
  const sheet = sheetOf(demoCard('low-cobra'), DEFAULT_SCHOOL)
  expect(rowsAt(sheet, 'enter').every((row) => row.left === null && row.right)).toBe(true)
  expect(rowsAt(sheet, 'enter')[2]).toMatchObject({ breath: 'in', seconds: 4, repeat: 5 })
})

test('a cue on one side is missing on the other', () => {
  const sheet = sheetOf(withValue(demoCard('gate'), 'alignment[0].on', 'left-only'), DEFAULT_SCHOOL)
  expect(rowsAt(sheet, 'alignment')[0]!.right).toBeNull()
  expect(wordsOf(rowsAt(sheet, 'alignment')[0]!.left!.words)).toBe(
    'Press the whole left foot down.'
  )
})

test('fixed words stay, and their braces are gone', () => {
  const sheet = sheetOf(demoCard('reclined-leg-stretch'), DEFAULT_SCHOOL)
  expect(wordsOf(rowsAt(sheet, 'exit')[2]!.left!.words)).toBe('Roll to your right side and rest.')
  expect(textAt(sheet, 'cautions')).toMatch(/lie on the left side\.$/m)
})

describe('cautions on a sheet', () => {
  const told = (card: Card, school: School = DEFAULT_SCHOOL) =>
    itemsAt(sheetOf(card, school, new Map([['cat-and-cow', 'Cat and cow']])), 'cautions').map(
      ({ lines }) => lines.map((line) => wordsOf(line)).join(' ')
    )

  test('follow from the form without being written, alike ones together', () => {
    const bare = { ...demoCard('downward-dog'), cautions: [] }
    const lines = told(bare)
    expect(lines[0]).toBe(DEFAULT_SCHOOL.cautionLead)
    expect(lines).toContainEqual(
      expect.stringMatching(
        /^avoid: eye pressure \(glaucoma\), retina trouble\. Keep the head at or above the heart\. Open: Hands on a chair/
      )
    )
    // A form that nobody has told has nothing that follows from it.
    const unknown = {
      ...bare,
      ladder: [],
      enter: [{ id: 's1', text: 'Melt into it.', breath: 'out' as const }],
    }
    expect(told(unknown)).toEqual([])
  })

  test('a change of the policy reaches the sheet', () => {
    const bare = { ...demoCard('downward-dog'), cautions: [] }
    const none: School = {
      ...DEFAULT_SCHOOL,
      policy: {
        rules: [],
        without: DEFAULT_POLICY.filter(({ condition }) => condition === 'wrist').map(
          ({ id }) => id
        ),
      },
    }
    expect(told(bare).join()).toMatch(/change: [^.]*wrist trouble/)
    expect(told(bare, none).join()).toMatch(/ask first: [^.]*wrist trouble/)
  })

  test('every sheet defers to the clinician and to local rules, whatever the lead says', () => {
    for (const cautionLead of [
      '',
      'Be kind to yourself.',
      'Ask your doctor.',
      'Follow local rules.',
    ])
      for (const id of ['gate', 'low-cobra']) {
        const [lead] = told(demoCard(id), { ...DEFAULT_SCHOOL, cautionLead })
        expect(lead).toMatch(/clinician/)
        expect(lead).toMatch(/local rules/)
        expect(lead).toContain(cautionLead)
      }
    const own = 'What your midwife and the local rules say comes first.'
    expect(told(demoCard('gate'), { ...DEFAULT_SCHOOL, cautionLead: own })[0]).toBe(own)
  })

  test('what the card says itself is told with its reason, what it overrides, and the way out', () => {
    const lines = told(demoCard('low-cobra'))
    expect(lines).toContainEqual(
      expect.stringMatching(/^third trimester: avoid\. .*Instead: Cat and cow\.$/)
    )
    expect(told(demoCard('legs-up-the-wall'))).toContainEqual(
      expect.stringMatching(/^glaucoma: avoid\. .*Reason: .*In place of: fine\./)
    )
    const milder = { ...demoCard('downward-dog') }
    milder.cautions = [{ condition: 'glaucoma', verdict: 'change', say: '' }]
    expect(told(milder)).toContainEqual(
      expect.stringMatching(/^glaucoma: change\. +The usual verdict is avoid \(head below heart/)
    )
  })

  test('consent stands before every touch, then the stance, then the press on its breath', () => {
    const lines = itemsAt(sheetOf(demoCard('downward-dog'), DEFAULT_SCHOOL), 'assists').map(
      ({ lines: each }) => each.map((line) => wordsOf(line))
    )
    expect(lines[0]).toEqual([DEFAULT_SCHOOL.consent])
    expect(lines[1]![0]).toMatch(/^Stand first: /)
    expect(lines[1]![1]).toMatch(/^On out: /)
    const empty = sheetOf(demoCard('downward-dog'), { ...DEFAULT_SCHOOL, consent: '' })
    expect(wordsOf(itemsAt(empty, 'assists')[0]!.lines[0]!)).toMatch(/May I touch/)
  })
})
