import { packOf, type Turning } from '@/core/language'
import { mirrorText } from '@/core/sides'
import { BadCall, GOOD, oneOf, out } from '../badCall'
import { textOf } from '../files'

/** Writes each line of the standard input for the other side. */
export function mirror(options: { spelling: string; language: string }): number {
  const turning: Turning = oneOf('the spelling', options.spelling, [
    'counterclockwise',
    'anticlockwise',
  ])
  const { language } = options
  if (!packOf(language))
    throw new BadCall(
      `Notula knows no side words of “${language}” yet; the lines were not mirrored`
    )
  const text = textOf()
  const lines = text.split('\n')
  const last = lines.at(-1) === '' ? lines.pop() : undefined
  out(
    lines.map((line) => mirrorText(line, { turning, language })).join('\n') +
      (last === '' ? '\n' : lines.length ? '\n' : '')
  )
  return GOOD
}
