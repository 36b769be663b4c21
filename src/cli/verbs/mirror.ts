import { packOf } from '@/core/language'
import { mirrorText, type Turning } from '@/core/sides'
import { BadCall, GOOD, oneOf, out } from '../badCall'
import { textOf } from '../files'

/** Writes each line of the standard input for the other side. */
export function mirror(options: { spelling: string }): number {
  const turning: Turning = oneOf('the spelling', options.spelling, [
    'counterclockwise',
    'anticlockwise',
  ])
  const text = textOf()
  const lines = text.split('\n')
  const last = lines.at(-1) === '' ? lines.pop() : undefined
  out(
    lines.map((line) => mirrorText(line, { turning })).join('\n') +
      (last === '' ? '\n' : lines.length ? '\n' : '')
  )
  return GOOD
}
