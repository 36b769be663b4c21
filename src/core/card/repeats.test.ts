import fc from 'fast-check'
import { demoText } from '../../../tests/support/cards'

import { readCard } from '../formats'
import { readRepeats, Step, writeRepeats } from '.'

test.each([
  ['8', { repeat: 8 }],
  [' 8-10 ', { repeat: 8, repeatMost: 10 }],
  ['8 to 10', { repeat: 8, repeatMost: 10 }],
  ['8–10', { repeat: 8, repeatMost: 10 }],
  ['', {}],
])('%j is read', (text, of) => expect(readRepeats(text)).toEqual(of))

test.each(['eight', '8-', '-8', '8-10-12', '8.5', '8 times', '123456'])('%j is no count', (text) =>
  expect(readRepeats(text)).toBeNull()
)

test('what is written is read again', () =>
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 100 }),
      fc.integer({ min: 1, max: 99 }),
      (least, more) => {
        for (const each of [{ repeat: least }, { repeat: least, repeatMost: least + more }])
          expect(readRepeats(writeRepeats(each))).toEqual(each)
      }
    )
  ))

test('a range that goes down or has no smaller number is refused', () => {
  const step = { id: 's1', text: 'Lift.', breath: 'in' }
  expect(Step.safeParse({ ...step, repeat: 8, repeatMost: 8 }).success).toBe(false)
  expect(Step.safeParse({ ...step, repeatMost: 3 }).success).toBe(false)
  expect(Step.safeParse({ ...step, repeat: 1, repeatMost: 3 }).success).toBe(true)
})

test.each(['x8-10', 'x8 to 10', '× 8–10'])('in a file: [in, %s]', (words) => {
  const text = demoText('long-side-angle').replace(/^1\. \[(\w+)/m, `1. [$1, ${words}`)
  expect(text).toContain(words)
  expect(readCard(text).enter[0]).toMatchObject({ repeat: 8, repeatMost: 10 })
})
