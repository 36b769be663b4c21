import { cueOf, demoCard, lunge, stepsOf } from '../../../tests/support/cards'
import { DEFAULT_SCHOOL } from '../card'
import { checkCard, mendMany, mendPreview } from '.'

const school = DEFAULT_SCHOOL
const suspect = (rule: string) => (finding: { rule: string }) => finding.rule === rule

test('many mends of one kind are taken one after the other, each on the card as it is by then', () => {
  const card = lunge({
    exit: stepsOf([
      ['free', 'Roll to the right side to rest, then onto the left side to rest.'],
      ['free', 'Roll to the right side and sit up.'],
    ]),
  })
  const { card: after, mended } = mendMany(card, school, suspect('sides/suspect-fixed'))
  expect(mended.length).toBeGreaterThanOrEqual(2)
  expect(after.exit[1]!.text).toBe('Roll to the {right} side and sit up.')
  expect(checkCard(after).filter(suspect('sides/suspect-fixed'))).toEqual([])
})

test('only what is wanted is mended', () => {
  const card = demoCard('crescent-lunge')
  const { card: after } = mendMany(card, school, suspect('sides/silent-swap'))
  expect(after.alignment).toHaveLength(card.alignment.length + 1)
  expect(after.enter).toEqual(card.enter)
  expect(mendMany(card, school, () => false)).toEqual({ card, mended: [] })
})

test('a preview tells each place before and after', () => {
  const card = lunge({ alignment: [cueOf('Hold for five.')] })
  const finding = checkCard(card).find(suspect('breath/count-of-what'))!
  expect(mendPreview(card, finding)).toEqual([
    { where: 'alignment[0].text', before: 'Hold for five.', after: 'Hold for five breaths.' },
  ])
  const crossed = demoCard('crescent-lunge')
  const swap = checkCard(crossed).find(suspect('sides/silent-swap'))!
  expect(mendPreview(crossed, swap)[0]).toMatchObject({
    before: '',
    after: 'Interlace the fingers the other way.',
  })
})

test('every mend that a rule offers takes its finding away', () => {
  for (const id of ['crescent-lunge', 'side-lying-twist', 'thread-the-needle']) {
    const card = demoCard(id)
    const offered = checkCard(card).filter((finding) => finding.fix)
    for (const finding of offered) {
      const { mended } = mendMany(card, school, (each) => each.message === finding.message)
      expect(mended).toEqual([finding])
    }
  }
  expect(checkCard(demoCard('crescent-lunge')).some((finding) => finding.fix)).toBe(true)
})
