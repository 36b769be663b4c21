import { demoCard } from '../../../tests/support/cards'
import { DEFAULT_SCHOOL } from '../card'
import { signMeasure, signRead, signsOffered } from '.'

test.each([
  [
    'the knee stays over the ankle (front knee over ankle 0 deg ± 10)',
    { name: 'front knee over ankle', target: 0, tolerance: 10, unit: 'deg' },
  ],
  ['long arms (arm line 180° ± 5)', { name: 'arm line', target: 180, tolerance: 5, unit: 'deg' }],
  [
    'hips level (hip height 4.5 cm ±1)',
    { name: 'hip height', target: 4.5, tolerance: 1, unit: 'cm' },
  ],
  [
    'even (arc evenness 0.7 ± 0.2)',
    { name: 'arc evenness', target: 0.7, tolerance: 0.2, unit: '' },
  ],
  ['five breaths are steady', null],
  ['five breaths (or six)', null],
  ['±', null],
])('%s', (sign, wanted) => {
  expect(signMeasure(sign)).toEqual(wanted)
})

test('signs are offered from the house, the trade and the cues that are measured', () => {
  const card = demoCard('mountain')
  const { up, down } = signsOffered(card, { signs: { up: ['the house says so'], down: [] } })
  expect(up[0]).toBe('the house says so')
  expect(down.length).toBeGreaterThan(3)
  const tied = up.find((sign) => signMeasure(sign))!
  expect(tied).toBe('float the ribs over the pelvis (shoulders over hips 0° ± 5)')
  const read = signRead(card, 'open', tied)!
  expect(read.off).toBe(0)
  expect(signRead(card, 'open', 'the breath is even')).toBeNull()
  expect(signRead(card, 'open', 'so (no such measure 1 cm ± 1)')).toBeNull()
  expect(signsOffered(card, DEFAULT_SCHOOL).up.length).toBe(up.length - 1)
})
